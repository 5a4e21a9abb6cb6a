using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>What a piece is cut from, seen from its cover: each role can be given a cloth of its own.</summary>
[JsonConverter(typeof(ByName<ClothRole>))]
public enum ClothRole
{
    /// <summary>The item's own cloth.</summary>
    [JsonStringEnumMemberName("face")]
    Face,

    /// <summary>The other side of what can be worn either way, or the back of what has two faces.</summary>
    [JsonStringEnumMemberName("second face")]
    SecondFace,

    /// <summary>Bands and skirts that are set off.</summary>
    [JsonStringEnumMemberName("contrast")]
    Contrast,

    /// <summary>Strips that cover cord.</summary>
    [JsonStringEnumMemberName("cord covering")]
    CordCovering,

    /// <summary>The inner side of what is lined; the second face's cloth unless it has its own.</summary>
    [JsonStringEnumMemberName("lining")]
    Lining,

    /// <summary>The strips round a box cushion, zip strip included.</summary>
    [JsonStringEnumMemberName("boxing")]
    Boxing,

    /// <summary>The upright sides of a cube or an ottoman.</summary>
    [JsonStringEnumMemberName("sides")]
    Sides,

    /// <summary>What hangs below a cap.</summary>
    [JsonStringEnumMemberName("apron")]
    Apron,

    /// <summary>What is joined to a sheet that the cloth is too narrow for.</summary>
    [JsonStringEnumMemberName("join strip")]
    JoinStrip,

    /// <summary>A sheet that is owned and becomes a face as it is.</summary>
    [JsonStringEnumMemberName("ready-made sheet")]
    ReadyMade,

    /// <summary>Soft sheets wrapped round an inner or a board.</summary>
    [JsonStringEnumMemberName("wadding")]
    Wadding,

    /// <summary>Flat layers between a board and its cover.</summary>
    [JsonStringEnumMemberName("pad layer")]
    PadLayer,

    /// <summary>What keeps steam and water from a board.</summary>
    [JsonStringEnumMemberName("moisture barrier")]
    MoistureBarrier,
}

/// <summary>Questions about roles.</summary>
public static class ClothRoles
{
    /// <summary>
    /// Whether it lies under the cover, or is there already: then it is never cut from the item's own cloth, only from
    /// one that is named for it.
    /// </summary>
    public static bool IsFilling(this ClothRole role) =>
        role is ClothRole.Wadding or ClothRole.PadLayer or ClothRole.MoistureBarrier or ClothRole.ReadyMade;
}
