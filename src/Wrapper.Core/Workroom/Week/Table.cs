namespace Wrapper.Core.Workroom.Week;

/// <summary>
/// The days of the workers as they fill up. What is placed can be taken back in the opposite order, so that a search
/// need not copy it.
/// </summary>
internal sealed class Table
{
    private readonly IReadOnlyList<Worker> workers;
    private readonly int days;

    // What of each day is taken, ascending and apart.
    private readonly List<(int From, int To)>[][] taken;
    private readonly Stack<(int Worker, int Day, List<(int From, int To)> Before)> done = new();

    public Table(IReadOnlyList<Worker> workers)
    {
        this.workers = workers;
        days = workers.Count == 0 ? 0 : workers.Min(worker => worker.Minutes.Count);
        taken = [.. workers.Select(_ => Enumerable.Range(0, days).Select(_ => new List<(int, int)>()).ToArray())];
    }

    /// <summary>How many days it has.</summary>
    public int Days => days;

    /// <summary>How much has been placed, to come <see cref="Back"/> to.</summary>
    public int Mark => done.Count;

    /// <summary>
    /// Places so many minutes in the first free ones of a worker from <paramref name="start"/> on, around what is there
    /// already; where it ends, or null where the days do not hold it, and then nothing is placed.
    /// </summary>
    public (int Day, int Minute)? Place(
        int worker,
        int minutes,
        (int Day, int Minute) start,
        List<(int Day, int From, int Minutes)>? into = null
    )
    {
        var mark = Mark;
        var left = minutes;
        for (var day = start.Day; day < days; day++)
        {
            var (from, to) = (day == start.Day ? start.Minute : 0, workers[worker].Minutes[day]);
            if (from >= to)
                continue;
            var there = taken[worker][day];
            List<(int From, int To)>? now = null;
            var at = from;
            var end = -1;
            for (var n = 0; n <= there.Count && left > 0; n++)
            {
                var (next, after) = n < there.Count ? there[n] : (to, to);
                var free = Math.Min(next, to) - at;
                if (free > 0)
                {
                    var part = Math.Min(free, left);
                    (now ??= [.. there]).Add((at, at + part));
                    into?.Add((day, at, part));
                    left -= part;
                    end = at + part;
                }
                at = Math.Max(at, after);
            }
            if (now is not null)
            {
                done.Push((worker, day, there));
                taken[worker][day] = Joined(now);
            }
            if (left == 0)
                return (day, end);
        }
        Back(mark);
        return null;
    }

    /// <summary>Takes back everything that was placed since <paramref name="mark"/>.</summary>
    public void Back(int mark)
    {
        while (done.Count > mark)
        {
            var (worker, day, before) = done.Pop();
            taken[worker][day] = before;
        }
    }

    private static List<(int From, int To)> Joined(List<(int From, int To)> parts)
    {
        parts.Sort();
        List<(int From, int To)> joined = [];
        foreach (var part in parts)
            if (joined.Count > 0 && joined[^1].To == part.From)
                joined[^1] = (joined[^1].From, part.To);
            else
                joined.Add(part);
        return joined;
    }
}
