using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>How a piece may lie on the cloth.</summary>
[JsonConverter(typeof(ByName<Grain>))]
public enum Grain
{
    /// <summary>Its upright runs up the roll.</summary>
    [JsonStringEnumMemberName("along")]
    Along,

    /// <summary>Its upright runs across the roll (railroaded).</summary>
    [JsonStringEnumMemberName("across")]
    Across,

    /// <summary>Either way, where the cloth itself does not forbid it.</summary>
    [JsonStringEnumMemberName("either")]
    Either,
}
