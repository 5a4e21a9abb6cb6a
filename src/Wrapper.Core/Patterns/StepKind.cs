using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// What kind of work a step is, in the order in which kinds are done together when several covers are made: what comes
/// first here is done first on every cover that is ready for it.
/// </summary>
[JsonConverter(typeof(ByName<StepKind>))]
public enum StepKind
{
    /// <summary>Cloth is washed and pressed before it is cut.</summary>
    [JsonStringEnumMemberName("preparing")]
    Preparing,

    /// <summary>Pieces are cut and marked.</summary>
    [JsonStringEnumMemberName("cutting")]
    Cutting,

    /// <summary>Raw edges are finished.</summary>
    [JsonStringEnumMemberName("edges")]
    Edges,

    /// <summary>Widths or lengths of one piece are joined.</summary>
    [JsonStringEnumMemberName("piecing")]
    Piecing,

    /// <summary>Cord is covered and sewn on.</summary>
    [JsonStringEnumMemberName("cording")]
    Cording,

    /// <summary>Zips are sewn in.</summary>
    [JsonStringEnumMemberName("zips")]
    Zips,

    /// <summary>Cloth is pinned on the furniture.</summary>
    [JsonStringEnumMemberName("pinning")]
    Pinning,

    /// <summary>Piece is sewn to piece.</summary>
    [JsonStringEnumMemberName("sewing")]
    Sewing,

    /// <summary>Edges are hemmed.</summary>
    [JsonStringEnumMemberName("hemming")]
    Hemming,

    /// <summary>Elastic, drawstrings and their casings.</summary>
    [JsonStringEnumMemberName("holding")]
    Holding,

    /// <summary>Buttons, loops, snaps, tape.</summary>
    [JsonStringEnumMemberName("fastening")]
    Fastening,

    /// <summary>The cover is tried on.</summary>
    [JsonStringEnumMemberName("fitting")]
    Fitting,

    /// <summary>Corners and seams are trimmed.</summary>
    [JsonStringEnumMemberName("trimming")]
    Trimming,

    /// <summary>Seams are finished and the cover is turned.</summary>
    [JsonStringEnumMemberName("turning")]
    Turning,

    /// <summary>The inner goes in and the cover is closed.</summary>
    [JsonStringEnumMemberName("filling")]
    Filling,

    /// <summary>What the maker added to the steps.</summary>
    [JsonStringEnumMemberName("own")]
    Own,
}

/// <summary>How the layers lie that are under the needle, or on the table.</summary>
[JsonConverter(typeof(ByName<Layers>))]
public enum Layers
{
    /// <summary>One layer, its right side up.</summary>
    [JsonStringEnumMemberName("right-side-up")]
    RightSideUp,

    /// <summary>One layer, its wrong side up.</summary>
    [JsonStringEnumMemberName("wrong-side-up")]
    WrongSideUp,

    /// <summary>Two layers, right sides together.</summary>
    [JsonStringEnumMemberName("right-sides-together")]
    RightSidesTogether,
}

/// <summary>What kinds of steps are called, and how cloth lies for them.</summary>
public static class StepKinds
{
    /// <summary>How the layers lie for a step of this kind; null where it is on the furniture, or turned as it is.</summary>
    public static Layers? Lies(this StepKind kind) =>
        kind switch
        {
            StepKind.Sewing or StepKind.Zips or StepKind.Piecing => Layers.RightSidesTogether,
            StepKind.Cording => Layers.RightSideUp,
            StepKind.Hemming or StepKind.Holding or StepKind.Cutting or StepKind.Edges => Layers.WrongSideUp,
            _ => null,
        };

    /// <summary>What is done together.</summary>
    public static string Name(this StepKind kind) =>
        kind switch
        {
            StepKind.Preparing => "Washing and pressing",
            StepKind.Cutting => "Cutting and marking",
            StepKind.Edges => "Raw edges",
            StepKind.Piecing => "Joining widths",
            StepKind.Cording => "Cord",
            StepKind.Zips => "Zips",
            StepKind.Pinning => "Pinning on the furniture",
            StepKind.Sewing => "Sewing",
            StepKind.Hemming => "Hems",
            StepKind.Holding => "Elastic and drawstrings",
            StepKind.Fastening => "Fastening",
            StepKind.Fitting => "Trying on",
            StepKind.Trimming => "Trimming",
            StepKind.Turning => "Turning",
            StepKind.Filling => "Filling",
            _ => "Your own steps",
        };
}
