using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>What a cloth shows: how it is drawn, not how it is laid.</summary>
[JsonConverter(typeof(ByName<ClothPrint>))]
public enum ClothPrint
{
    /// <summary>
    /// Not said, so what its repeat says: a sprig where it repeats along, stripes where it repeats across alone, a
    /// plain weave without a repeat.
    /// </summary>
    [JsonStringEnumMemberName("motif")]
    Motif,

    /// <summary>Bands along and across that cross each other.</summary>
    [JsonStringEnumMemberName("check")]
    Check,

    /// <summary>One colour, its threads seen.</summary>
    [JsonStringEnumMemberName("plain")]
    Plain,

    /// <summary>Bands along the roll.</summary>
    [JsonStringEnumMemberName("stripe")]
    Stripe,

    /// <summary>Columns of slanting lines, every second one slanting the other way.</summary>
    [JsonStringEnumMemberName("herringbone")]
    Herringbone,

    /// <summary>Round spots, every second row between those of the row before.</summary>
    [JsonStringEnumMemberName("spots")]
    Spots,

    /// <summary>A sprig that stands upright up the roll.</summary>
    [JsonStringEnumMemberName("sprig")]
    Sprig,
}
