using Wrapper.Core.Jobs;

namespace Wrapper.Core.Workroom.Week;

/// <summary>A job as the week knows it.</summary>
public sealed record WeekJob(
    string Id,
    string Name,
    JobSchedule Schedule,
    IReadOnlyList<LoadedWork> Works,
    bool IsOrdered
);

/// <summary>Why a job is not planned: what it waits for without a date.</summary>
public sealed record Waiting(string Job, string Reason);

/// <summary>
/// The jobs of a workroom as the planner takes them, from the first day of the plan on. What cannot be read of a job is
/// told and counts as not said.
/// </summary>
public sealed class WeekReading
{
    private readonly DateOnly first;
    private readonly int days;

    /// <summary>Reads <paramref name="jobs"/> over so many <paramref name="days"/>.</summary>
    public WeekReading(IEnumerable<WeekJob> jobs, DateOnly first, int days)
    {
        (this.first, this.days) = (first, days);
        foreach (var job in jobs)
            Take(job);
    }

    /// <summary>What is planned.</summary>
    public List<PlannedJob> Planned { get; } = [];

    /// <summary>What waits for something that has no date.</summary>
    public List<Waiting> Waiting { get; } = [];

    /// <summary>What is not in the week: neither ordered nor promised, or left out for now.</summary>
    public List<string> Outside { get; } = [];

    /// <summary>What could not be read, by job.</summary>
    public List<(string Job, Problem Problem)> Problems { get; } = [];

    /// <summary>What should be looked at: expected days that are past.</summary>
    public List<(string Job, string Text)> ToAsk { get; } = [];

    private void Take(WeekJob job)
    {
        var schedule = job.Schedule;
        var (promised, asked) = (Day(job, "promised", schedule.Promised), Day(job, "askedFor", schedule.AskedFor));
        var isIn =
            schedule.InWeek == InWeek.Yes
            || (schedule.InWeek == InWeek.Usual && (job.IsOrdered || schedule.Promised.Trim().Length > 0));
        if (!isIn || job.Works.Count == 0)
        {
            if (job.Works.Count > 0)
                Outside.Add(job.Id);
            return;
        }
        var cloth = Awaited(job, "cloth", schedule.Cloth, schedule.ClothOn, "its cloth");
        var foam = Awaited(job, "foam", schedule.Foam, schedule.FoamOn, "its foam");
        if (cloth is null || foam is null)
            return;
        var fitting = Math.Max(0, Day(job, "fittingOn", schedule.FittingOn) ?? 0);
        var put = schedule.Fixed.GroupBy(each => each.Work).ToDictionary(each => each.Key, each => each.Last());
        Planned.Add(
            new(
                job.Id,
                [
                    .. job.Works.Select(work => new PlannedWork(
                        work.Id,
                        work.Skill,
                        work.Minutes,
                        work.Skill switch
                        {
                            Skill.Cutting => cloth.Value,
                            Skill.Fitting => Math.Max(fitting, cloth.Value),
                            Skill.Finishing => Math.Max(foam.Value, cloth.Value),
                            _ => cloth.Value,
                        }
                    )
                    {
                        // What was fixed to a day that is past goes on today.
                        Fixed =
                            put.GetValueOrDefault(work.Id) is { } there
                            && Day(job, "fixed", there.Date) is { } day
                            && day < days
                                ? new(there.Person, Math.Max(0, day))
                                : null,
                    }),
                ],
                promised
            )
            {
                AskedFor = asked,
            }
        );
    }

    // The first day on which it can be there; null where nobody knows.
    private int? Awaited(WeekJob job, string field, Supply supply, string on, string what)
    {
        if (supply != Supply.Ordered)
            return 0;
        if (on.Trim().Length == 0)
        {
            Waiting.Add(new(job.Id, $"{what} is ordered, and no day is known: say when it is expected"));
            return null;
        }
        if (Day(job, $"{field}On", on) is not { } day)
        {
            Waiting.Add(new(job.Id, $"the day that {what} is expected cannot be read"));
            return null;
        }
        if (day < 0)
            ToAsk.Add((job.Id, $"{what} was expected on {on}: is it here?"));
        return Math.Max(0, day);
    }

    private int? Day(WeekJob job, string field, string typed)
    {
        if (typed.Trim().Length == 0)
            return null;
        var (date, problem) = CalendarReading.Date(field, typed);
        if (problem is not null)
            Problems.Add((job.Id, problem));
        return date is { } day ? day.DayNumber - first.DayNumber : null;
    }
}
