using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>How cloth is spread and parted.</summary>
[JsonConverter(typeof(ByName<Spread>))]
public enum Spread
{
    /// <summary>One layer, cut along the pieces.</summary>
    [JsonStringEnumMemberName("single")]
    Single,

    /// <summary>
    /// Folded lengthwise, right sides together, so that pairs are cut at once; what has no partner is cut from one
    /// layer behind them.
    /// </summary>
    [JsonStringEnumMemberName("folded")]
    Folded,

    /// <summary>Torn from selvedge to selvedge into strips, and those cut apart.</summary>
    [JsonStringEnumMemberName("torn")]
    Torn,
}
