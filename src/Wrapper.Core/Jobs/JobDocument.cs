namespace Wrapper.Core.Jobs;

using Wrapper.Core.Lengths;

/// <summary>One cover to be made, in its maker's words: which make-up, how many, and what was entered for it, all as typed.</summary>
public sealed record Item(
    string Id,
    string Name,
    string MakeUp,
    string Quantity,
    string? Cloth,
    IReadOnlyDictionary<string, Entry> Measures,
    IReadOnlyDictionary<string, Entry> Choices,
    IReadOnlyDictionary<string, Entry> Allowances)
{
    /// <summary>What was seen while measuring: what is in the way, what comes off, which details are kept.</summary>
    public string Notes { get; init; } = "";
}

/// <summary>
/// One cloth of a job. <paramref name="Step"/> is what the shop cuts in (<c>1/8 yd</c>, <c>10 cm</c>); <paramref name="Price"/>, as typed and empty while unknown, is
/// for one yard or metre by <paramref name="PricedBy"/>; <paramref name="Tone"/> is its colour on drawings, <c>#rrggbb</c>.
/// </summary>
public sealed record JobCloth(
    string Id,
    string Name,
    Entry Width,
    Entry Selvedge,
    bool OneWay,
    Entry Step,
    Entry Margin,
    string Price,
    string PricedBy,
    string Tone)
{
    /// <summary>A plain cloth as most shops have it: 54 in or 140 cm wide, cut in eighths of a yard or tens of centimetres, unpriced.</summary>
    public static JobCloth Usual(string id, string name, JobUnit unit)
    {
        Entry Of(string inches, string metric) => new(unit.IsInches() ? inches : metric, unit);
        return new JobCloth(id, name, Of("54", "140"), Of("1/2", "1.5"), false, Of("1/8 yd", "10 cm"), Of("0", "0"), "", unit.IsInches() ? "yd" : "m", "#5d7284");
    }
}

/// <summary>
/// A job as it is stored, sent and exported: one versioned document. <paramref name="Version"/> is the format's,
/// now <see cref="Current"/>; older ones are upgraded when read.
/// </summary>
public sealed record JobDocument(
    int Version,
    string Name,
    string Customer,
    JobUnit Unit,
    string Currency,
    IReadOnlyList<Item> Items,
    IReadOnlyList<JobCloth> Cloths)
{
    /// <summary>The version that this program writes.</summary>
    public const int Current = 1;

    /// <summary>An empty job.</summary>
    public static JobDocument Empty(string name, JobUnit unit) => new(Current, name, "", unit, "£", [], []);
}
