namespace Wrapper.Core.Workroom.Week;

/// <summary>
/// Days that are otherwise than the week says: off where <paramref name="Hours"/> is empty, else so many hours each; both
/// dates <c>yyyy-MM-dd</c>, <paramref name="Until"/> empty for one day.
/// </summary>
public sealed record OtherDays(string Id, string From, string Until, string Hours, string Why);

/// <summary>
/// Somebody who works here: the hours of Monday to Sunday as typed, empty for none, what they can do, and how long they
/// take, in per cent of the workroom's usual time, empty for 100.
/// </summary>
public sealed record Hand(string Id, string Name, IReadOnlyList<string> Hours, IReadOnlyList<Skill> Skills, string Pace)
{
    /// <summary>Their own days off and extra days; they go before the workroom's.</summary>
    public IReadOnlyList<OtherDays> Other { get; init; } = [];
}

/// <summary>When the workroom works, all as typed.</summary>
public sealed record Calendar
{
    /// <summary>Who works here.</summary>
    public IReadOnlyList<Hand> People { get; init; } = [];

    /// <summary>Days on which the whole workroom is closed, or works otherwise.</summary>
    public IReadOnlyList<OtherDays> Other { get; init; } = [];

    /// <summary>One maker, seven hours on weekdays: until it is told otherwise.</summary>
    public static Calendar Usual { get; } =
        new() { People = [new("maker", "Maker", ["7", "7", "7", "7", "7", "", ""], Enum.GetValues<Skill>(), "")] };
}
