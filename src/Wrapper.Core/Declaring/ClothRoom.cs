using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Declaring;

/// <summary>
/// How much room there is on the cloth that a cover is drafted to: its width <paramref name="Usable"/> between the
/// selvedges, and what keeps a strip from lying along it.
/// </summary>
public sealed record ClothRoom(Working Usable)
{
    /// <summary>Its name, for steps and remarks.</summary>
    public string Name { get; init; } = "";

    /// <summary>How it behaves.</summary>
    public IReadOnlyList<ClothTrait> Behaves { get; init; } = [];

    /// <summary>How its raw edges are finished where they ravel.</summary>
    public EdgeFinish EdgeFinish { get; init; }

    /// <summary>Whether what washing takes of it is reckoned with.</summary>
    public bool Shrinks { get; init; }

    /// <summary>Whether everything lies one way up, for pile or print.</summary>
    public bool OneWay { get; init; }

    /// <summary>The usable length of one ready-made article; null off the roll.</summary>
    public Length? Article { get; init; }

    /// <summary>Whether there is such a cloth; else it is usual cloth, to which no strip is joined.</summary>
    public bool IsKnown { get; init; } = true;

    /// <summary>Where strips are cut, if they have less room than sheets; null for here.</summary>
    public ClothRoom? Strips { get; init; }

    /// <summary>
    /// How long a strip may be cut at the most, its length drawn from side to side: across the cloth where it stands
    /// upright, along it where it is railroaded or may lie either way; null where the roll sets no end to it.
    /// </summary>
    public Length? LongestStrip(Grain grain) =>
        Strips is { } strips ? strips.LongestStrip(grain)
        : !IsKnown ? null
        : grain == Grain.Along || (grain == Grain.Either && OneWay) ? Usable.Value
        : Article is { } article ? (grain == Grain.Either ? Length.Max(Usable.Value, article) : article)
        : null;
}
