namespace Wrapper.Core.Workroom.Week;

/// <summary>
/// Work of one job that is done without changing tools: so many minutes at the usual pace, on no day before
/// <paramref name="NotBefore"/> (day 0 is the first of the plan). <paramref name="Minutes"/> is at least 1.
/// </summary>
public sealed record PlannedWork(string Id, Skill Skill, int Minutes, int NotBefore = 0)
{
    /// <summary>Who does it and from which day on, where that was fixed by hand.</summary>
    public Fixed? Fixed { get; init; }
}

/// <summary>A work that stays where it was put: with this person, begun on this day.</summary>
public sealed record Fixed(string Person, int Day);

/// <summary>
/// A job to be planned: its works in the order in which they are done, and the last day on which it may be finished;
/// null where no day was promised. Among jobs of one day the one that comes first in the list is planned first.
/// </summary>
public sealed record PlannedJob(string Id, IReadOnlyList<PlannedWork> Works, int? Promised)
{
    /// <summary>The day that was asked for, which orders jobs that nothing was promised for.</summary>
    public int? AskedFor { get; init; }
}

/// <summary>
/// Somebody who works: the minutes of each day of the plan, what they can do, and how long they take for what takes
/// others 100.
/// </summary>
public sealed record Worker(string Id, IReadOnlyList<int> Minutes, IReadOnlySet<Skill> Skills, int Pace = 100)
{
    /// <summary>How long they take for so much at the usual pace; at least a minute.</summary>
    public int Takes(int minutes) => Math.Max(1, (int)(((long)minutes * Pace + 50) / 100));
}

/// <summary>
/// A stretch of a work on one day of one person: from so many minutes after the day's beginning, so many minutes long.
/// </summary>
public sealed record Stretch(string Job, string Work, string Person, int Day, int From, int Minutes);

/// <summary>A work that could not be planned as it is fixed, and why.</summary>
public sealed record Clash(string Job, string Work, string Reason);

/// <summary>
/// When a job is done: the day, or null where it does not fit into the days of the plan; and by how many days that is
/// later than promised, 0 for in time.
/// </summary>
public sealed record Finish(string Job, int? Day, int Late);

/// <summary>Every work in its place, when each job is done, and what does not go together.</summary>
public sealed record WeekPlan(
    IReadOnlyList<Stretch> Stretches,
    IReadOnlyList<Finish> Finishes,
    IReadOnlyList<Clash> Clashes
)
{
    /// <summary>The jobs that are done later than promised.</summary>
    public IEnumerable<Finish> Late => Finishes.Where(finish => finish.Late > 0);
}
