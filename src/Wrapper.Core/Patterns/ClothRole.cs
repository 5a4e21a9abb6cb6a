using System.Text.Json.Serialization;

namespace Wrapper.Core.Patterns;

/// <summary>What a piece is cut from, seen from its cover: each role can be given a cloth of its own.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ClothRole>))]
public enum ClothRole
{
    /// <summary>The item's own cloth.</summary>
    [JsonStringEnumMemberName("face")] Face,

    /// <summary>The other side of what can be worn either way, or the back of what has two faces.</summary>
    [JsonStringEnumMemberName("second face")] SecondFace,

    /// <summary>Bands and skirts that are set off.</summary>
    [JsonStringEnumMemberName("contrast")] Contrast,

    /// <summary>Strips that cover cord.</summary>
    [JsonStringEnumMemberName("cord covering")] CordCovering,
}
