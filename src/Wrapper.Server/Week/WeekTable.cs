using Wrapper.Core.Making;
using Wrapper.Core.Workroom.Week;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Week;

/// <summary>The whole week of a workroom: read, planned and told.</summary>
internal sealed class WeekTable
{
    /// <summary>Works are planned this far; what does not fit is told.</summary>
    public const int Days = 366;

    // Remedies are looked for so many jobs, the most urgent first: each costs some plans of everything.
    private const int MostRemedied = 3,
        MostOutside = 60;

    private readonly Calendar calendar;
    private readonly CalendarReading hands;
    private readonly List<WeekJob> jobs;
    private readonly Dictionary<string, (BenchJob Kept, Load Load)> known;
    private readonly WeekReading reading;
    private readonly DateOnly first;

    public WeekTable(
        SheetStore sheets,
        WeekStore store,
        Workloads loads,
        DateOnly today,
        CancellationToken cancel,
        BenchJob? also = null
    )
    {
        first = today;
        calendar = CalendarEndpoints.Of(sheets);
        hands = new(calendar, first, Days);
        var kept = store.Scheduled().ToList();
        if (also is not null && kept.All(job => job.Id != also.Id))
            kept.Add(also);
        known = kept.ToDictionary(job => job.Id, job => (job, loads.Of(job.Id, job.Revision, cancel)));
        jobs =
        [
            .. kept.Select(job => new WeekJob(
                job.Id,
                job.Name,
                ScheduleOf(job.Schedule) is var said && job.Id == also?.Id ? said with { InWeek = InWeek.Yes } : said,
                known[job.Id].Load.Works,
                job.IsOrdered
            )),
        ];
        reading = new(jobs, first, Days);
        Plan = Planner.Of(reading.Planned, hands.Workers, cancel);
        Unscheduled = store.Unscheduled(MostOutside);
    }

    public WeekPlan Plan { get; }

    private IReadOnlyList<BenchJob> Unscheduled { get; }

    /// <summary>What was said of when a job is made.</summary>
    public static JobSchedule ScheduleOf(KeptSheet? sheet) => KeptJson.Read<JobSchedule>(sheet?.Content) ?? new();

    public WeekView View(int days, CancellationToken cancel)
    {
        var parts = new Dictionary<(string, string), int>();
        var skills = reading
            .Planned.SelectMany(job => job.Works.Select(work => (Job: job.Id, Work: work)))
            .ToDictionary(each => (each.Job, each.Work.Id), each => each.Work);
        return new(
            Week.Days.Written(first),
            days,
            [
                .. calendar
                    .People.Zip(hands.Workers)
                    .Select(each => new HandView(each.First.Id, each.First.Name, [.. each.Second.Minutes.Take(days)])),
            ],
            [
                .. Plan
                    .Stretches.OrderBy(part => part.Day)
                    .ThenBy(part => part.From)
                    .Select(part =>
                    {
                        var at = parts[(part.Job, part.Work)] = parts.GetValueOrDefault((part.Job, part.Work), -1) + 1;
                        var work = skills[(part.Job, part.Work)];
                        return new StripView(
                            part.Job,
                            part.Work,
                            work.Skill,
                            part.Person,
                            part.Day,
                            part.From,
                            part.Minutes,
                            at,
                            work.Fixed is not null
                        );
                    })
                    .Where(strip => strip.Day < days),
            ],
            [.. reading.Planned.Select(JobOf)],
            [
                .. Plan
                    .Late.OrderBy(late => reading.Planned.First(job => job.Id == late.Job).Promised)
                    .Select((late, at) => LateOf(late, at < MostRemedied, cancel)),
            ],
            [.. reading.Waiting.Select(each => OutsideOf(known[each.Job].Kept, each.Reason))],
            [
                .. reading.Outside.Select(id => OutsideOf(known[id].Kept, "")),
                .. Unscheduled.Select(job => OutsideOf(job, "")),
            ],
            hands.Problems
        );
    }

    /// <summary>When one of its jobs can be had, and why not sooner.</summary>
    public WhenView When(string job)
    {
        var name = known[job].Kept.Name;
        if (reading.Waiting.FirstOrDefault(each => each.Job == job) is { } waiting)
            return new(null, $"{name} cannot be promised yet: {waiting.Reason}.", []);
        if (reading.Planned.FirstOrDefault(each => each.Id == job) is not { } planned)
            return new(null, $"{name} has no work left that is known: enter its sizes first.", []);
        var finish = Plan.Finishes.First(each => each.Job == job);
        if (finish.Day is not { } day)
            return new(null, $"{name} does not fit into the next year.", [.. ClashesOf(job)]);
        var date = first.AddDays(day);
        return new(Week.Days.Written(date), $"{name} can be had on {Week.Days.Told(date)}.", [.. Why(planned, day)]);
    }

    private IEnumerable<string> Why(PlannedJob job, int day)
    {
        yield return $"It is {Minutes.Text(job.Works.Sum(work => (long)work.Minutes))} of work, at the pace of the workroom.";
        if (job.Works.Max(work => work.NotBefore) is > 0 and var wait)
            yield return $"It waits for what comes on {Week.Days.Told(first.AddDays(wait))}.";
        var before = Plan
            .Stretches.Where(part => part.Job != job.Id && part.Day <= day)
            .GroupBy(part => part.Job)
            .Select(parts => (Name: known[parts.Key].Kept.Name, Minutes: parts.Sum(part => (long)part.Minutes)))
            .OrderByDescending(each => each.Minutes)
            .ToList();
        if (before.Count > 0)
            yield return $"Until then there is {string.Join(", ", before.Take(4).Select(each => $"{each.Name} ({Minutes.Text(each.Minutes)})"))}{(before.Count > 4 ? $" and {before.Count - 4} more" : "")}.";
        foreach (var clash in ClashesOf(job.Id))
            yield return clash;
        if (known[job.Id].Load.InDoubt is > 0 and var doubt)
            yield return $"{doubt} of its items cannot be reckoned yet and come on top.";
    }

    private WeekJobView JobOf(PlannedJob job)
    {
        var (kept, load) = known[job.Id];
        var finish = Plan.Finishes.First(each => each.Job == job.Id);
        var begins = Plan.Stretches.Where(part => part.Job == job.Id).Select(part => (int?)part.Day).Min();
        List<string> told =
        [
            .. ClashesOf(job.Id),
            .. reading.ToAsk.Where(each => each.Job == job.Id).Select(each => each.Text),
        ];
        if (load.InDoubt > 0)
            told.Add($"{load.InDoubt} of its items cannot be reckoned yet and come on top");
        if (job.AskedFor is { } asked && finish.Day > asked && finish.Late == 0)
            told.Add($"the customer asked for {Week.Days.Told(first.AddDays(asked))}");
        return new(
            job.Id,
            kept.Name,
            kept.Customer,
            load.Tone,
            kept.Schedule?.Revision ?? 0,
            ScheduleOf(kept.Schedule),
            Minutes.Text(job.Works.Sum(work => (long)work.Minutes)),
            Dated(begins),
            Dated(finish.Day),
            Dated(job.Promised is { } due ? Backward.BeginBy(job, due, hands.Workers) : null),
            finish.Late,
            told,
            [.. reading.Problems.Where(each => each.Job == job.Id).Select(each => each.Problem)]
        );
    }

    private IEnumerable<string> ClashesOf(string job) =>
        Plan.Clashes.Where(clash => clash.Job == job).Select(clash => $"{clash.Work.Split('-')[0]}: {clash.Reason}");

    private LateView LateOf(Finish late, bool remedied, CancellationToken cancel)
    {
        var name = known[late.Job].Kept.Name;
        var promised = reading.Planned.First(job => job.Id == late.Job).Promised!.Value;
        var text = late.Day is { } day
            ? $"{name} will be done on {Week.Days.Told(first.AddDays(day))}, {(late.Late == 1 ? "a day" : $"{late.Late} days")} later than promised ({Week.Days.Told(first.AddDays(promised))})."
            : $"{name} was promised for {Week.Days.Told(first.AddDays(promised))} and does not fit into the days that are planned.";
        return new(
            late.Job,
            text,
            remedied ? [.. Remedies.For(late, Plan, reading.Planned, hands.Workers, cancel).Select(Told)] : []
        );
    }

    private RemedyView Told(Remedy remedy)
    {
        var date = first.AddDays(remedy.Day);
        var others = remedy
            .Others.Select(each =>
                $"{known[each.Job].Kept.Name} is done {(each.Days == 1 ? "a day" : $"{each.Days} days")} later"
            )
            .ToList();
        string Hours() => Minutes.Text(remedy.Amount);
        return remedy.Kind switch
        {
            RemedyKind.Move => new(
                $"Promise {known[remedy.About].Kept.Name} for {Week.Days.Told(date)}, {remedy.Amount} {(remedy.Amount == 1 ? "day" : "days")} later",
                others,
                remedy.About,
                null,
                Week.Days.Written(date),
                ""
            ),
            RemedyKind.Day => new(
                $"{calendar.People.First(hand => hand.Id == remedy.About).Name} works on {Week.Days.Told(date)}, {Hours()}",
                others,
                null,
                remedy.About,
                Week.Days.Written(date),
                $"{remedy.Amount / 60}:{remedy.Amount % 60:00}"
            ),
            RemedyKind.Helper => new(
                $"A helper for the last {(remedy.Amount == 1 ? "working day" : $"{remedy.Amount} working days")} until {Week.Days.Told(date)}",
                others,
                null,
                null,
                Week.Days.Written(date),
                ""
            )
            {
                Helper =
                [
                    .. remedy.Helped.Select(each => new HelperDay(
                        Week.Days.Written(first.AddDays(each.Day)),
                        $"{each.Minutes / 60}:{each.Minutes % 60:00}"
                    )),
                ],
            },
            _ => new(
                $"Promise it for {Week.Days.Told(date)} instead",
                others,
                remedy.About,
                null,
                Week.Days.Written(date),
                ""
            ),
        };
    }

    private static OutsideView OutsideOf(BenchJob job, string why) => new(job.Id, job.Name, job.Customer, why);

    private string Dated(int? day) => day is { } there ? Week.Days.Written(first.AddDays(there)) : "";
}
