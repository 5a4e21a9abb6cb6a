using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Stock;

/// <summary>What kind of thing lies on a shelf.</summary>
[JsonConverter(typeof(ByName<StockKind>))]
public enum StockKind
{
    /// <summary>A whole bolt of cloth.</summary>
    [JsonStringEnumMemberName("bolt")]
    Bolt,

    /// <summary>What is left of a bolt, of its whole width.</summary>
    [JsonStringEnumMemberName("part-roll")]
    PartRoll,

    /// <summary>A piece that was left after cutting.</summary>
    [JsonStringEnumMemberName("remnant")]
    Remnant,

    /// <summary>Zips.</summary>
    [JsonStringEnumMemberName("zip")]
    Zip,

    /// <summary>Cord, tape, elastic: by length.</summary>
    [JsonStringEnumMemberName("cord")]
    Cord,

    /// <summary>Foam and offcuts of it.</summary>
    [JsonStringEnumMemberName("foam")]
    Foam,

    /// <summary>Anything else that is counted.</summary>
    [JsonStringEnumMemberName("other")]
    Other,
}

/// <summary>Something on a shelf, as typed. Every length of cloth is a row of its own and keeps its batch.</summary>
public sealed record StockRow(StockKind Kind, string Name)
{
    /// <summary>The batch or dye lot that its ticket says.</summary>
    public string Batch { get; init; } = "";

    /// <summary>Where it lies.</summary>
    public string Place { get; init; } = "";

    /// <summary>How long it is, of what has a length.</summary>
    public Entry? Length { get; init; }

    /// <summary>How wide it is, of cloth and foam; null where nothing was said.</summary>
    public Entry? Width { get; init; }

    /// <summary>How many, of what is counted.</summary>
    public string Count { get; init; } = "";

    /// <summary>
    /// More is bought once there is less than this of all rows of its name: a length or a count as the row has; empty for
    /// never.
    /// </summary>
    public string Mark { get; init; } = "";

    /// <summary>What else to know of it.</summary>
    public string Note { get; init; } = "";

    /// <summary>When it was last counted, <c>yyyy-MM-dd</c>; empty for never.</summary>
    public string CountedOn { get; init; } = "";

    /// <summary>The job that it was left by; empty for none.</summary>
    public string From { get; init; } = "";

    /// <summary>Whether it is told by its length, and not by how many there are.</summary>
    [JsonIgnore]
    public bool HasLength => Kind is StockKind.Bolt or StockKind.PartRoll or StockKind.Remnant or StockKind.Cord;
}
