namespace Wrapper.Core.Workroom.Week;

/// <summary>What could be done about a job that will be late.</summary>
public enum RemedyKind
{
    /// <summary>Another job is promised for a later day.</summary>
    Move,

    /// <summary>Somebody works on a day that is off.</summary>
    Day,

    /// <summary>A helper comes for some days.</summary>
    Helper,

    /// <summary>The job itself is promised for the day on which it will be done.</summary>
    Promise,
}

/// <summary>
/// One remedy: the job or person that it is about, on which day (of a helper: the last), for how many minutes or days,
/// and by how many days other jobs are then later than they would have been.
/// </summary>
public sealed record Remedy(
    RemedyKind Kind,
    string About,
    int Day,
    int Amount,
    IReadOnlyList<(string Job, int Days)> Others
)
{
    /// <summary>Of a helper: the days, and for how many minutes each.</summary>
    public IReadOnlyList<(int Day, int Minutes)> Helped { get; init; } = [];
}

/// <summary>Looks for what would bring a late job in time, each tried by planning anew.</summary>
public static class Remedies
{
    // So many of the jobs and days before it are tried.
    private const int MostTried = 10;

    /// <summary>What helps <paramref name="late"/>, which the <paramref name="plan"/> has late; each way once.</summary>
    public static IReadOnlyList<Remedy> For(
        Finish late,
        WeekPlan plan,
        IReadOnlyList<PlannedJob> jobs,
        IReadOnlyList<Worker> workers,
        CancellationToken cancel = default
    )
    {
        var job = jobs.First(each => each.Id == late.Job);
        List<Remedy> found = [];
        bool Helps(WeekPlan other) => other.Finishes.First(finish => finish.Job == late.Job).Late == 0;
        IReadOnlyList<(string, int)> Others(WeekPlan other) =>
            [
                .. plan
                    .Finishes.Zip(other.Finishes)
                    .Where(two =>
                        two.First.Job != late.Job && (two.Second.Day ?? int.MaxValue) > (two.First.Day ?? int.MaxValue)
                    )
                    .Select(two =>
                        (two.First.Job, (two.Second.Day ?? two.First.Day!.Value + 1) - two.First.Day!.Value)
                    ),
            ];

        var before = jobs.Where(each => each.Id != late.Job && each.Promised is not null)
            .Where(each => plan.Stretches.Any(part => part.Job == each.Id && part.Day <= (late.Day ?? int.MaxValue)))
            .OrderByDescending(each => each.Promised)
            .Take(MostTried);
        foreach (var other in before)
        {
            var moved = Planner.Of(
                [.. jobs.Select(each => each.Id == other.Id ? each with { Promised = null } : each)],
                workers,
                cancel
            );
            if (!Helps(moved) || moved.Finishes.First(finish => finish.Job == other.Id).Day is not { } day)
                continue;
            found.Add(new(RemedyKind.Move, other.Id, day, day - other.Promised!.Value, Others(moved)));
            break;
        }

        var off = (
            from worker in workers
            let usual = worker.Minutes.Where(minutes => minutes > 0).DefaultIfEmpty(0).Max()
            from day in Enumerable.Range(0, Math.Clamp((job.Promised ?? -1) + 1, 0, worker.Minutes.Count))
            where usual > 0 && worker.Minutes[day] == 0
            orderby day descending
            select (worker, day, usual)
        ).Take(MostTried);
        foreach (var (worker, day, usual) in off)
        {
            var longer = Planner.Of(
                jobs,
                [
                    .. workers.Select(each =>
                        each.Id == worker.Id
                            ? each with
                            {
                                Minutes = [.. each.Minutes.Select((minutes, n) => n == day ? usual : minutes)],
                            }
                            : each
                    ),
                ],
                cancel
            );
            if (!Helps(longer))
                continue;
            found.Add(new(RemedyKind.Day, worker.Id, day, usual, Others(longer)));
            break;
        }

        // The last working days before it is due, with somebody who can do everything and works as long as others do.
        List<int> working =
        [
            .. Enumerable
                .Range(0, Math.Clamp((job.Promised ?? -1) + 1, 0, workers.Count == 0 ? 0 : workers[0].Minutes.Count))
                .Where(day => workers.Any(worker => worker.Minutes[day] > 0)),
        ];
        foreach (
            var count in new[] { 1, 2, 3, 5, working.Count }
                .Where(count => count <= working.Count && count > 0)
                .Distinct()
        )
        {
            var days = working.TakeLast(count).ToHashSet();
            var helped = Planner.Of(
                jobs,
                [
                    .. workers,
                    new Worker(
                        "helper",
                        [
                            .. workers[0]
                                .Minutes.Select(
                                    (_, day) => days.Contains(day) ? workers.Max(worker => worker.Minutes[day]) : 0
                                ),
                        ],
                        Enum.GetValues<Skill>().ToHashSet()
                    ),
                ],
                cancel
            );
            if (!Helps(helped))
                continue;
            found.Add(
                new(RemedyKind.Helper, "", days.Max(), count, Others(helped))
                {
                    Helped = [.. days.Order().Select(day => (day, workers.Max(worker => worker.Minutes[day])))],
                }
            );
            break;
        }

        if (late.Day is { } done)
            found.Add(new(RemedyKind.Promise, late.Job, done, late.Late, []));
        return found;
    }
}
