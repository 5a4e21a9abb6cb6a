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

    /// <summary>What was said of them when they went out; null until then.</summary>
    public GivenRecord? Given { get; init; }
}

/// <summary>
/// What was said of a cover when it went out, word for word: no later change of the job, of a cloth or of this program
/// changes it. Dates are <c>2026-11-26</c>.
/// </summary>
public sealed record GivenRecord(string Date, string Name, string Kind, int Quantity, string Size)
{
    /// <summary>Who made it.</summary>
    public string Maker { get; init; } = "";

    /// <summary>The maker's postcode.</summary>
    public string Postcode { get; init; } = "";

    /// <summary>Whom it was made for.</summary>
    public string Customer { get; init; } = "";

    /// <summary>Where it went.</summary>
    public string Place { get; init; } = "";

    /// <summary>What it was cut from.</summary>
    public IReadOnlyList<GivenCloth> Cloths { get; init; } = [];

    /// <summary>The care marks that all its cloths bear, by their keys.</summary>
    public IReadOnlyList<string> Care { get; init; } = [];

    /// <summary>What was stated, line by line, each under its name: fillings, interliner, flammability.</summary>
    public IReadOnlyList<GivenLine> Stated { get; init; } = [];

    /// <summary>What the customer is warned of.</summary>
    public IReadOnlyList<string> Cautions { get; init; } = [];

    /// <summary>What came off the furniture and went back with it.</summary>
    public IReadOnlyList<string> Parts { get; init; } = [];
}

/// <summary>A cloth of a cover, and the batch that it came from.</summary>
public sealed record GivenCloth(string Name, string Batch, IReadOnlyList<string> Care);

/// <summary>One thing that was stated.</summary>
public sealed record GivenLine(string Name, string Text);
