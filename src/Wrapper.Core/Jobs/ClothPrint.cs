using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>What a cloth shows that repeats along the roll: how it is drawn, not how it is laid.</summary>
[JsonConverter(typeof(ByName<ClothPrint>))]
public enum ClothPrint
{
    /// <summary>A motif that stands upright up the roll.</summary>
    [JsonStringEnumMemberName("motif")]
    Motif,

    /// <summary>Bands along and across that cross each other.</summary>
    [JsonStringEnumMemberName("check")]
    Check,
}
