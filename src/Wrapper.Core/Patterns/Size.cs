using System.Text.Json.Serialization;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>Whether a size is measured along the stitch line or along the raw edge.</summary>
[JsonConverter(typeof(ByName<SizeKind>))]
public enum SizeKind
{
    /// <summary>Along the stitch line.</summary>
    [JsonStringEnumMemberName("finished")]
    Finished,

    /// <summary>Along the raw edge.</summary>
    [JsonStringEnumMemberName("cut")]
    Cut,
}

/// <summary>A size of a piece with its working, and the line on the drawing that it belongs to.</summary>
public sealed record Size(string Name, SizeKind Kind, Working Working, Point From, Point To);

/// <summary>
/// A mark on an edge, <paramref name="At"/> from the edge's start along the stitch line; a clip is cut to just short of
/// that line.
/// </summary>
public sealed record Notch(string Edge, Length At, bool Clip = false)
{
    /// <summary>What is there, where it is no mark to match: a button, a loop, where a cord starts. Empty for the rest.</summary>
    public string What { get; init; } = "";
}

/// <summary>A line inside a piece: <c>fold</c>, <c>centre</c>, <c>strip</c> or <c>mark</c>.</summary>
public sealed record InnerLine(string Kind, Point From, Point To);
