using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>What the fillings of a cover are.</summary>
[JsonConverter(typeof(ByName<FillingsAre>))]
public enum FillingsAre
{
    /// <summary>Nobody said.</summary>
    [JsonStringEnumMemberName("unsaid")]
    Unsaid,

    /// <summary>Those that it came with.</summary>
    [JsonStringEnumMemberName("original")]
    Original,

    /// <summary>New ones.</summary>
    [JsonStringEnumMemberName("replaced")]
    Replaced,

    /// <summary>The cover has none.</summary>
    [JsonStringEnumMemberName("none")]
    None,
}

/// <summary>Whether something is so, where nobody need have said.</summary>
[JsonConverter(typeof(ByName<Stated>))]
public enum Stated
{
    /// <summary>Nobody said.</summary>
    [JsonStringEnumMemberName("unsaid")]
    Unsaid,

    /// <summary>It is.</summary>
    [JsonStringEnumMemberName("yes")]
    Yes,

    /// <summary>It is not.</summary>
    [JsonStringEnumMemberName("no")]
    No,
}

/// <summary>What goes out with the covers of a job, and what is kept of them (craft §12).</summary>
public sealed record HandOverLog
{
    /// <summary>Where they go: house, room, boat.</summary>
    public string Place { get; init; } = "";

    /// <summary>How wide a sewn-in label is; null for the usual.</summary>
    public Entry? LabelWidth { get; init; }

    /// <summary>How high a sewn-in label is; null for the usual. One that its text does not fit is drawn higher.</summary>
    public Entry? LabelHeight { get; init; }

    /// <summary>What is recorded of each item, under its id.</summary>
    public IReadOnlyList<CoverRecord> Covers { get; init; } = [];
}

/// <summary>What the maker states of the covers of one item; nothing here is certified.</summary>
public sealed record CoverRecord(string Id)
{
    /// <summary>When they were handed over, <c>2026-11-26</c>; empty until then.</summary>
    public string Date { get; init; } = "";

    /// <summary>How they are cleaned beyond the care marks of their cloth.</summary>
    public string Cleaning { get; init; } = "";

    /// <summary>What their fillings are.</summary>
    public FillingsAre Fillings { get; init; }

    /// <summary>What the fillings are made of.</summary>
    public string Filling { get; init; } = "";

    /// <summary>Whether an interliner lies between cloth and filling.</summary>
    public Stated Interliner { get; init; }

    /// <summary>What the maker states about flammability, in the words that the country asks for.</summary>
    public string Flammability { get; init; } = "";

    /// <summary>Whether the cover is fixed; a loose one comes off.</summary>
    public Stated Fixed { get; init; }

    /// <summary>Which corner or seam may be opened, and by what thread it is known.</summary>
    public string Opens { get; init; } = "";

    /// <summary>What else the customer should know.</summary>
    public string Notes { get; init; } = "";
}
