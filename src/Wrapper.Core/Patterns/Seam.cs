using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>What two chains of runs do to each other.</summary>
[JsonConverter(typeof(ByName<SeamKind>))]
public enum SeamKind
{
    /// <summary>Sewn edge to edge.</summary>
    [JsonStringEnumMemberName("join")]
    Join,

    /// <summary>Edge to edge with a zip between.</summary>
    [JsonStringEnumMemberName("zip")]
    Zip,

    /// <summary>Both sides on one piece.</summary>
    [JsonStringEnumMemberName("dart")]
    Dart,

    /// <summary>The left side is gathered to the right.</summary>
    [JsonStringEnumMemberName("gather")]
    Gather,

    /// <summary>The left side is eased to the right.</summary>
    [JsonStringEnumMemberName("ease")]
    Ease,

    /// <summary>The left side loses a declared length in pleats.</summary>
    [JsonStringEnumMemberName("pleat")]
    Pleat,

    /// <summary>A tuck: one side of the fold on the other.</summary>
    [JsonStringEnumMemberName("lap")]
    Lap,

    /// <summary>Edge to edge, left open.</summary>
    [JsonStringEnumMemberName("opening")]
    Opening,
}

/// <summary>How a stretch of stitch line that is in no seam is finished.</summary>
[JsonConverter(typeof(ByName<EdgeUse>))]
public enum EdgeUse
{
    /// <summary>Hemmed.</summary>
    [JsonStringEnumMemberName("hem")]
    Hem,

    /// <summary>Turned over elastic or a cord that is threaded through.</summary>
    [JsonStringEnumMemberName("casing")]
    Casing,

    /// <summary>Sewn to elastic that is stretched along it.</summary>
    [JsonStringEnumMemberName("elastic")]
    Elastic,

    /// <summary>On a fold.</summary>
    [JsonStringEnumMemberName("fold")]
    Fold,

    /// <summary>Left open.</summary>
    [JsonStringEnumMemberName("opening")]
    Opening,

    /// <summary>Caught in a seam, behind the pieces that it joins.</summary>
    [JsonStringEnumMemberName("caught")]
    Caught,

    /// <summary>Left raw.</summary>
    [JsonStringEnumMemberName("raw")]
    Raw,
}

/// <summary>
/// A stretch of one edge of one piece instance (1-based), <paramref name="From"/> to <paramref name="To"/> along the
/// drawn stitch
/// line; null means from the edge's start, or to its end.
/// </summary>
public sealed record Run(string Piece, int Instance, string Edge, Length? From = null, Length? To = null)
{
    /// <summary>
    /// The length that this run alone should have, where the draft reckons it edge by edge; null where only the sum
    /// counts.
    /// </summary>
    public Length? Drafted { get; init; }
}

/// <summary>
/// Two chains of runs that meet. <paramref name="Drafted"/> is the length that the draft reckons the seam to have;
/// <see cref="Swallowed"/> is what <see cref="OneSide"/> loses in pleats, gathers or ease, zero otherwise.
/// </summary>
public sealed record Seam(
    string Name,
    SeamKind Kind,
    IReadOnlyList<Run> OneSide,
    IReadOnlyList<Run> OtherSide,
    Working Drafted
)
{
    /// <summary>Declared difference of the sides.</summary>
    public Length Swallowed { get; init; }

    /// <summary>
    /// The cord line that it is part of ("top edge"), one length of cord with one join; null where no cord lies in it.
    /// </summary>
    public string? CordLine { get; init; }

    /// <summary>What is sewn into it where it is a zip.</summary>
    public Zip? Zip { get; init; }
}

/// <summary>A stretch of stitch line that is in no seam.</summary>
public sealed record Use(EdgeUse Kind, Run Run);
