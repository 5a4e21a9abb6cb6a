using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>What of a cloth or of its pieces may be otherwise, so that the lay gets shorter.</summary>
[JsonConverter(typeof(ByName<LayChange>))]
public enum LayChange
{
    /// <summary>What is pinned lies where it takes least; what is cut stays.</summary>
    [JsonStringEnumMemberName("unpinned")]
    Unpinned,

    /// <summary>One layer, cut along the pieces, in place of folded double.</summary>
    [JsonStringEnumMemberName("not-folded")]
    NotFolded,

    /// <summary>One layer, cut along the pieces, in place of torn across.</summary>
    [JsonStringEnumMemberName("not-torn")]
    NotTorn,

    /// <summary>Raw edges touch.</summary>
    [JsonStringEnumMemberName("no-gap")]
    NoGap,

    /// <summary>Cloth that may lie either way up.</summary>
    [JsonStringEnumMemberName("no-way-up")]
    NoWayUp,

    /// <summary>Cloth a little wider.</summary>
    [JsonStringEnumMemberName("wider-cloth")]
    WiderCloth,

    /// <summary>Pieces that may be turned.</summary>
    [JsonStringEnumMemberName("either-way")]
    EitherWay,

    /// <summary>Pieces that need not lie at a place of the repeat.</summary>
    [JsonStringEnumMemberName("unmatched")]
    Unmatched,

    /// <summary>Pieces a little less wide.</summary>
    [JsonStringEnumMemberName("narrower")]
    Narrower,

    /// <summary>Pieces a little less high.</summary>
    [JsonStringEnumMemberName("shorter")]
    Shorter,
}
