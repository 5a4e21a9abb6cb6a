using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>How a piece is matched to the repeat of its cloth.</summary>
[JsonConverter(typeof(ByName<Match>))]
public enum Match
{
    /// <summary>Not at all.</summary>
    [JsonStringEnumMemberName("free")]
    Free,

    /// <summary>Like pieces are cut from the same place of the repeat.</summary>
    [JsonStringEnumMemberName("same")]
    Same,

    /// <summary>The motif sits in the middle of the piece.</summary>
    [JsonStringEnumMemberName("centred")]
    Centred,

    /// <summary>
    /// The print runs on from the piece that it is sewn to: a boxing front continues its panel's stripes.
    /// </summary>
    [JsonStringEnumMemberName("follows")]
    Follows,

    /// <summary>The motif sits at a place of its own: see <see cref="Item.Motifs"/>.</summary>
    [JsonStringEnumMemberName("placed")]
    Placed,
}

/// <summary>
/// Where the middle of a motif lies on a piece as drawn: so far from its left finished edge, and from its lower one.
/// </summary>
public sealed record MotifPlace(Entry Across, Entry Along);
