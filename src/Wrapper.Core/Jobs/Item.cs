namespace Wrapper.Core.Jobs;

/// <summary>
/// One cover to be made, in its maker's words: which make-up, how many, and what was entered for it, all as typed.
/// </summary>
public sealed record Item(
    string Id,
    string Name,
    string MakeUp,
    string Quantity,
    string? Cloth,
    IReadOnlyDictionary<string, Entry> Measures,
    IReadOnlyDictionary<string, Entry> Choices,
    IReadOnlyDictionary<string, Entry> Allowances
)
{
    /// <summary>What was seen while measuring: what is in the way, what comes off, which details are kept.</summary>
    public string Notes { get; init; } = "";

    /// <summary>The room of the customer's place that it belongs to; empty for none.</summary>
    public string Room { get; init; } = "";

    /// <summary>What comes off before it is covered, numbered in this order, and goes back on.</summary>
    public IReadOnlyList<PartOff> PartsOff { get; init; } = [];

    /// <summary>The cloths of pieces that are not cut from the item's own, by their role.</summary>
    public IReadOnlyDictionary<ClothRole, string> OtherCloths { get; init; } = new Dictionary<ClothRole, string>();

    /// <summary>How pieces are matched on cloth with a repeat, by their key, where that was chosen for them.</summary>
    public IReadOnlyDictionary<string, Match> Matches { get; init; } = new Dictionary<string, Match>();

    /// <summary>
    /// Where the motif lies on pieces whose match is <see cref="Match.Placed"/>, by their key; without an entry it lies
    /// in the middle.
    /// </summary>
    public IReadOnlyDictionary<string, MotifPlace> Motifs { get; init; } = new Dictionary<string, MotifPlace>();

    /// <summary>
    /// Its making steps in the maker's own order, with steps of the maker's own between them; empty for the usual way.
    /// </summary>
    public IReadOnlyList<WayStep> Way { get; init; } = [];

    /// <summary>
    /// Whether the print runs on over its covers, side by side, and over the items beside it that lie in line too.
    /// </summary>
    public bool InLine { get; init; }
}

/// <summary>Something that comes off the furniture, and whether it is back on.</summary>
public sealed record PartOff(string Id, string Name, bool IsBack);

/// <summary>
/// A step in the maker's own order: <paramref name="Id"/> is the key of one of the make-up's steps, or of one of the
/// maker's own, which says <paramref name="Text"/>.
/// </summary>
public sealed record WayStep(string Id, string Text)
{
    /// <summary>What the maker notes at it every time.</summary>
    public string Note { get; init; } = "";
}
