using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>How covering strips are cut. Older jobs know the three by the same keys.</summary>
[JsonConverter(typeof(ByName<StripCut>))]
public enum StripCut
{
    /// <summary>Across the cloth or along it, from whatever is left.</summary>
    [JsonStringEnumMemberName("across")]
    Straight,

    /// <summary>Short strips at 45° from whatever is left.</summary>
    [JsonStringEnumMemberName("slanted")]
    ShortBias,

    /// <summary>One square for the whole cloth, sewn to a tube and cut in a spiral.</summary>
    [JsonStringEnumMemberName("bias")]
    Tube,
}

/// <summary>
/// The covering that the cord of one cover asks of its cloth: so much strip, so wide. It is no piece of its own: the
/// strips of all covers are cut last, from what the panels leave (craft §4.1).
/// </summary>
/// <param name="Length">How much strip, a join for each ring included.</param>
/// <param name="StripWidth">How wide a strip is cut.</param>
/// <param name="Join">The allowance where two strips join.</param>
/// <param name="Cut">How strips are cut.</param>
public sealed record CordCovering(Working Length, Working StripWidth, Length Join, StripCut Cut);
