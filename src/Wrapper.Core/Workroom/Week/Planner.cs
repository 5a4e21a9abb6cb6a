namespace Wrapper.Core.Workroom.Week;

/// <summary>
/// Puts works into days. Jobs are placed one after the other, each work as early as it can be, around what is there
/// already (the serial schedule of project planning, Kolisch 1996): so the order of the jobs decides, and who does
/// which work. What was fixed by hand is placed before everything else. The same jobs give the same plan, always.
/// </summary>
public sealed class Planner
{
    /// <summary>Up to so many promised jobs every order and every person is looked at, where need be.</summary>
    public const int Exact = 8;

    // Most tries of the exact search and of the other one: both end soon, whatever they are asked.
    private const int MostNodes = 60_000,
        MostPlaced = 10_000;

    private readonly IReadOnlyList<PlannedJob> jobs;
    private readonly IReadOnlyList<Worker> workers;
    private readonly Dictionary<Skill, int[]> able;
    private readonly CancellationToken cancel;

    // A work of a job, and who does it where that was decided.
    private readonly record struct Turn(int Job, int At, int? Worker);

    private Planner(IReadOnlyList<PlannedJob> jobs, IReadOnlyList<Worker> workers, CancellationToken cancel)
    {
        (this.jobs, this.workers, this.cancel) = (jobs, workers, cancel);
        // Who can do less is asked first, so that others stay free for what only they can do.
        able = Enum.GetValues<Skill>()
            .ToDictionary(
                skill => skill,
                skill =>
                    Enumerable
                        .Range(0, workers.Count)
                        .Where(at => workers[at].Skills.Contains(skill))
                        .OrderBy(at => workers[at].Skills.Count)
                        .ToArray()
            );
    }

    /// <summary>
    /// The plan of <paramref name="jobs"/>: no day that was promised is missed where some order of the jobs keeps them
    /// all, for up to <see cref="Exact"/> of them; of more, and where it cannot be, the fewest days late that a bounded
    /// search finds.
    /// </summary>
    public static WeekPlan Of(
        IReadOnlyList<PlannedJob> jobs,
        IReadOnlyList<Worker> workers,
        CancellationToken cancel = default
    ) => new Planner(jobs, workers, cancel).Plan();

    private WeekPlan Plan()
    {
        // The earliest promised first: the best order for one person (Jackson 1955), and a good one for several.
        var order = Enumerable
            .Range(0, jobs.Count)
            .OrderBy(at => jobs[at].Promised ?? int.MaxValue)
            .ThenBy(at => jobs[at].AskedFor ?? int.MaxValue)
            .ToList();
        var promised = order.Where(at => jobs[at].Promised is not null).ToList();
        var rest = order.Where(at => jobs[at].Promised is null).ToList();
        var first = Written(InTurn(order));
        if (!first.Late.Any())
            return first;
        if (promised.Count <= Exact && MayBeKept(promised) && FindAll(promised) is { } found)
            return Written([.. found, .. InTurn(rest)]);
        return Written(InTurn([.. Improved(promised), .. rest]));
    }

    // Job after job, whoever is quickest.
    private IEnumerable<Turn> InTurn(IEnumerable<int> order) =>
        order.SelectMany(job => Enumerable.Range(0, jobs[job].Works.Count).Select(at => new Turn(job, at, null)));

    // What is due by each promised day must fit into the days until then: of everybody, and of those who can do it.
    private bool MayBeKept(List<int> promised)
    {
        var due = promised.Select(job => jobs[job].Promised!.Value).Distinct();
        var skills = Enum.GetValues<Skill>()
            .Select(skill => (Func<Skill, bool>)(each => each == skill))
            .Append(_ => true);
        return (
            from day in due
            from asks in skills
            let asked = promised
                .Where(job => jobs[job].Promised <= day)
                .SelectMany(job => jobs[job].Works)
                .Where(work => asks(work.Skill))
                .Sum(work =>
                    able[work.Skill].Length == 0
                        ? long.MaxValue / 1000
                        : able[work.Skill].Min(at => (long)workers[at].Takes(work.Minutes))
                )
            let there = workers
                .Where(worker => worker.Skills.Any(asks))
                .Sum(worker => worker.Minutes.Take(day + 1).Sum(minutes => (long)Math.Max(0, minutes)))
            select asked <= there
        ).All(fits => fits);
    }

    // Every order of the works and every person for each, the earliest promised first; given up as soon as a job that is
    // left could not be done in time even if it came next, since what is placed later never makes it earlier.
    private List<Turn>? FindAll(List<int> promised)
    {
        var table = new Table(workers);
        var ends = PlaceFixed(table, null, null);
        List<Turn> turns = [];
        var at = promised.ToDictionary(job => job, _ => 0);
        var from = promised.ToDictionary(job => job, _ => (Day: 0, Minute: 0));
        var nodes = 0;
        return Next() ? turns : null;

        bool Next()
        {
            cancel.ThrowIfCancellationRequested();
            if (++nodes > MostNodes)
                return false;
            var left = promised.Where(job => at[job] < jobs[job].Works.Count).ToList();
            if (left.Count == 0)
                return true;
            return left.All(InTime) && left.Exists(Begin);
        }

        bool Begin(int job)
        {
            var (here, before) = (at[job], from[job]);
            var work = jobs[job].Works[here];
            at[job] = here + 1;
            if (ends.TryGetValue((job, here), out var end))
            {
                from[job] = Later(before, end!.Value);
                turns.Add(new(job, here, null));
                if (IsKept(job) && Next())
                    return true;
                turns.RemoveAt(turns.Count - 1);
            }
            else
                foreach (var worker in able[work.Skill])
                {
                    // Of two works that have nothing to do with each other one order is enough.
                    if (
                        turns is [.., { Worker: { } other } last]
                        && other != worker
                        && last.Job != job
                        && promised.IndexOf(last.Job) > promised.IndexOf(job)
                    )
                        continue;
                    var mark = table.Mark;
                    if (
                        table.Place(worker, workers[worker].Takes(work.Minutes), Later(before, (work.NotBefore, 0))) is
                        { } placed
                    )
                    {
                        from[job] = placed;
                        turns.Add(new(job, here, worker));
                        if (IsKept(job) && Next())
                            return true;
                        turns.RemoveAt(turns.Count - 1);
                    }
                    table.Back(mark);
                }
            (at[job], from[job]) = (here, before);
            return false;
        }

        // A job whose last work is placed is looked at no more: it is in time now, or never.
        bool IsKept(int job) => from[job].Day <= jobs[job].Promised;

        // The earliest that it can end as things are: work by work, whoever is quickest.
        bool InTime(int job)
        {
            var now = from[job];
            for (var n = at[job]; n < jobs[job].Works.Count; n++)
            {
                var work = jobs[job].Works[n];
                if (ends.TryGetValue((job, n), out var end))
                {
                    if (end is null)
                        return false;
                    now = Later(now, end.Value);
                }
                else if (Quickest(table, work, Later(now, (work.NotBefore, 0)), -1).End is { } there)
                    now = there;
                else
                    return false;
            }
            return now.Day <= jobs[job].Promised;
        }
    }

    // Each job is tried before others, as long as that makes it better; the number of tries is bounded by what they cost.
    private List<int> Improved(List<int> order)
    {
        var best = order;
        var cost = Lateness(best);
        var tries = Math.Max(8, MostPlaced / Math.Max(1, jobs.Sum(job => job.Works.Count)));
        var better = true;
        while (better && tries > 0)
        {
            better = false;
            for (var at = 1; at < best.Count && tries > 0; at++)
                foreach (var to in new[] { at - 1, at / 2, 0 }.Distinct().Where(to => to < at))
                {
                    if (tries-- <= 0)
                        break;
                    List<int> other = [.. best];
                    other.RemoveAt(at);
                    other.Insert(to, best[at]);
                    var now = Lateness(other);
                    if (now.CompareTo(cost) >= 0)
                        continue;
                    (best, cost, better) = (other, now, true);
                }
        }
        return best;
    }

    private (long Days, int Jobs) Lateness(List<int> order)
    {
        var late = Written(InTurn(order)).Late.ToList();
        return (late.Sum(finish => (long)finish.Late), late.Count);
    }

    private WeekPlan Written(IEnumerable<Turn> turns)
    {
        var table = new Table(workers);
        List<Stretch> stretches = [];
        List<Clash> clashes = [];
        var ends = PlaceFixed(table, stretches, clashes);
        var from = new (int Day, int Minute)[jobs.Count];
        var last = new int[jobs.Count];
        Array.Fill(last, -1);
        var isOut = new bool[jobs.Count];
        foreach (var (job, at, chosen) in turns)
        {
            cancel.ThrowIfCancellationRequested();
            var work = jobs[job].Works[at];
            if (ends.TryGetValue((job, at), out var fixedEnd))
            {
                isOut[job] |= fixedEnd is null;
                if (fixedEnd is not { } end)
                    continue;
                if (Begins(job, work, stretches).CompareTo(from[job]) < 0)
                    clashes.Add(new(jobs[job].Id, work.Id, "it is fixed before what has to be done first"));
                from[job] = Later(from[job], end);
                continue;
            }
            if (isOut[job])
                continue;
            var start = Later(from[job], (work.NotBefore, 0));
            var worker = chosen ?? Quickest(table, work, start, last[job]).Worker;
            List<(int Day, int From, int Minutes)> parts = [];
            if (worker < 0 || table.Place(worker, workers[worker].Takes(work.Minutes), start, parts) is not { } placed)
            {
                isOut[job] = true;
                clashes.Add(
                    new(
                        jobs[job].Id,
                        work.Id,
                        able[work.Skill].Length == 0
                            ? "nobody in the workroom can do it"
                            : "the days that are planned do not hold it"
                    )
                );
                continue;
            }
            stretches.AddRange(parts.Select(part => Stretch(job, work, worker, part)));
            (from[job], last[job]) = (placed, worker);
        }
        return new(
            stretches,
            [.. jobs.Select((job, at) => Ended(job, isOut[at] ? null : from[at].Day, table.Days))],
            clashes
        );
    }

    private static Finish Ended(PlannedJob job, int? day, int days) =>
        new(
            job.Id,
            day,
            job.Promised is not { } promised ? 0
                : day is { } there ? Math.Max(0, there - promised)
                : Math.Max(1, days - promised)
        );

    private Stretch Stretch(int job, PlannedWork work, int worker, (int Day, int From, int Minutes) part) =>
        new(jobs[job].Id, work.Id, workers[worker].Id, part.Day, part.From, part.Minutes);

    // Whoever is done first; among equals who did the work before it, then who can do less. -1 and null for nobody.
    private (int Worker, (int Day, int Minute)? End) Quickest(
        Table table,
        PlannedWork work,
        (int Day, int Minute) start,
        int last
    )
    {
        (int Worker, (int Day, int Minute)? End) quickest = (-1, null);
        foreach (var worker in able[work.Skill])
        {
            var mark = table.Mark;
            var end = table.Place(worker, workers[worker].Takes(work.Minutes), start);
            table.Back(mark);
            if (end is not { } there)
                continue;
            var compared = quickest.End is { } before ? there.CompareTo(before) : -1;
            if (compared < 0 || (compared == 0 && worker == last))
                quickest = (worker, there);
        }
        return quickest;
    }

    // What was fixed by hand, in the order of days; it stays even where it does not go with the rest, which is told.
    // Null is where none of its days has time for it.
    private Dictionary<(int, int), (int Day, int Minute)?> PlaceFixed(
        Table table,
        List<Stretch>? stretches,
        List<Clash>? clashes
    )
    {
        Dictionary<(int, int), (int Day, int Minute)?> ends = [];
        var all =
            from job in Enumerable.Range(0, jobs.Count)
            from at in Enumerable.Range(0, jobs[job].Works.Count)
            let work = jobs[job].Works[at]
            where work.Fixed is not null
            orderby work.Fixed!.Day, job, at
            select (job, at, work);
        foreach (var (job, at, work) in all)
        {
            var fixedTo = work.Fixed!;
            var worker = Enumerable.Range(0, workers.Count).FirstOrDefault(n => workers[n].Id == fixedTo.Person, -1);
            var reason =
                worker < 0 ? "who it was fixed for is not in the workroom any more"
                : !workers[worker].Skills.Contains(work.Skill) ? "who it is fixed for cannot do it"
                : fixedTo.Day < work.NotBefore ? "it is fixed before what it waits for is here"
                : null;
            if (reason is not null)
                clashes?.Add(new(jobs[job].Id, work.Id, reason));
            if (worker < 0)
                continue;
            List<(int Day, int From, int Minutes)> parts = [];
            var start = ends.GetValueOrDefault((job, at - 1)) is { } before
                ? Later((fixedTo.Day, 0), before)
                : (fixedTo.Day, 0);
            // It begins on its day, or it is not where it was fixed.
            var placed = table.Place(worker, workers[worker].Takes(work.Minutes), start, parts);
            ends[(job, at)] = placed;
            if (placed is not null)
                stretches?.AddRange(parts.Select(part => Stretch(job, work, worker, part)));
            if (placed is null || parts[0].Day != fixedTo.Day)
                clashes?.Add(new(jobs[job].Id, work.Id, "there is no time left on the day that it is fixed to"));
        }
        return ends;
    }

    private (int Day, int Minute) Begins(int job, PlannedWork work, List<Stretch> stretches)
    {
        var first = stretches.First(part => part.Job == jobs[job].Id && part.Work == work.Id);
        return (first.Day, first.From);
    }

    private static (int Day, int Minute) Later((int Day, int Minute) one, (int Day, int Minute) other) =>
        one.CompareTo(other) >= 0 ? one : other;
}
