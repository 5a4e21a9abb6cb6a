using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>How a cloth behaves under shears, iron and needle, and in the wash (craft §10).</summary>
[JsonConverter(typeof(ByName<ClothTrait>))]
public enum ClothTrait
{
    /// <summary>It is washed and pressed before it is cut.</summary>
    [JsonStringEnumMemberName("washable")]
    Washable,

    /// <summary>Its raw edges ravel.</summary>
    [JsonStringEnumMemberName("frays")]
    Frays,

    /// <summary>It loses fibres once cut.</summary>
    [JsonStringEnumMemberName("sheds")]
    Sheds,

    /// <summary>It has a pile: every piece lies one way up.</summary>
    [JsonStringEnumMemberName("pile")]
    Pile,

    /// <summary>It is cut two layers at most.</summary>
    [JsonStringEnumMemberName("thick")]
    Thick,

    /// <summary>It slides away.</summary>
    [JsonStringEnumMemberName("slippery")]
    Slippery,

    /// <summary>It gives.</summary>
    [JsonStringEnumMemberName("stretchy")]
    Stretchy,

    /// <summary>It keeps every hole of a pin.</summary>
    [JsonStringEnumMemberName("coated")]
    Coated,

    /// <summary>It stands sun and rain, and asks for thread that does.</summary>
    [JsonStringEnumMemberName("outdoor")]
    Outdoor,

    /// <summary>Its flame resistance is a coating on its back.</summary>
    [JsonStringEnumMemberName("flame-resistant coating")]
    FlameResistantCoating,
}

/// <summary>Each trait in the trade's words.</summary>
public static class ClothTraits
{
    /// <summary>Every trait: its name, and what follows from it.</summary>
    public static IReadOnlyList<(ClothTrait Trait, string Name, string Means)> All { get; } =
    [
        (ClothTrait.Washable, "Washable", "Washed and pressed before cutting; enter what it lost as shrinkage."),
        (ClothTrait.Frays, "Frays", "Raw edges are finished once cut."),
        (ClothTrait.Sheds, "Sheds", "Raw edges are finished once cut."),
        (ClothTrait.Pile, "Pile", "Brushed flat towards the front and downward: every piece one way up."),
        (ClothTrait.Thick, "Thick", "Cut two layers at most."),
        (ClothTrait.Slippery, "Slippery", "Not a cloth to begin on."),
        (ClothTrait.Stretchy, "Stretchy", "Not a cloth to begin on."),
        (ClothTrait.Coated, "Coated", "Never pinned inside the seam; not a cloth to begin on."),
        (ClothTrait.Outdoor, "Outdoor", "Sewn with outdoor thread."),
        (ClothTrait.FlameResistantCoating, "Flame-resistant coating", "May be lost in washing."),
    ];
}
