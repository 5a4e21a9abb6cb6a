using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>What a learner may have to be shown.</summary>
[JsonConverter(typeof(ByName<Technique>))]
public enum Technique
{
    /// <summary>A straight edge of woven cloth, found by drawing a thread.</summary>
    [JsonStringEnumMemberName("draw-a-thread")]
    DrawAThread,

    /// <summary>Turning a corner with the needle down.</summary>
    [JsonStringEnumMemberName("pivot")]
    Pivot,

    /// <summary>Clips along a curve.</summary>
    [JsonStringEnumMemberName("clip-a-curve")]
    ClipACurve,

    /// <summary>The two ends of a covered cord joined.</summary>
    [JsonStringEnumMemberName("join-cord")]
    JoinCord,

    /// <summary>A slider threaded on to zip chain.</summary>
    [JsonStringEnumMemberName("thread-a-slider")]
    ThreadASlider,

    /// <summary>An opening closed by hand.</summary>
    [JsonStringEnumMemberName("ladder-stitch")]
    LadderStitch,
}
