using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>How raw edges are finished so that they do not ravel (craft §10).</summary>
[JsonConverter(typeof(ByName<EdgeFinish>))]
public enum EdgeFinish
{
    /// <summary>Zigzagged on the machine that sews: four times the way of thread.</summary>
    [JsonStringEnumMemberName("zigzag")]
    Zigzag,

    /// <summary>Serged with three threads: twelve times the way.</summary>
    [JsonStringEnumMemberName("serging")]
    Serging,
}
