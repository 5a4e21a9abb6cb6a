using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>Cautions that stand where somebody can come to harm (craft §12), each at the steps that it is about.</summary>
internal static class Cautions
{
    /// <summary>Old fillings and heavy furniture, where a cover comes off and goes on.</summary>
    public static readonly Remark OldFurniture = new(
        "Old fillings shed dust and mould, some with flame retardants: ventilate and wear a mask. Lift and turn furniture with a second person. Upholstery must meet the local fire rules: ask a qualified upholsterer where in doubt.",
        Caution: true
    )
    {
        StandsAt = Doing.Fitting,
    };

    private static readonly Remark Blades = At(
        Doing.Cutting | Doing.Trimming,
        "Shears and rotary cutters: cut away from the hand that holds the cloth, and close the blade each time it is put down."
    );

    private static readonly Remark Posture = At(
        Doing.Cutting,
        "Long hours bent over a low table hurt the back: work at a height that keeps it straight."
    );

    private static readonly Remark HotIron = At(
        Doing.Pressing,
        "Irons, steam and hot boards burn: keep hands clear of the steam, and let the board cool before its cover is changed."
    );

    private static readonly Remark Needles = At(
        Doing.Stretching,
        "Needles break when elastic is pulled from the front only: stretch it from both sides of the foot."
    );

    private static readonly Remark Dust = At(
        Doing.Filling,
        "Foam and loose fillings shed dust, old ones mould too: ventilate and wear a mask."
    );

    private static readonly Remark Adhesive = At(
        Doing.Filling,
        "Spray adhesive for the wadding: ventilate, no flame and no spark near it."
    );

    /// <summary>
    /// The pattern with each caution at its own steps: those of the trade, and those of the cover that say where they
    /// stand. Only what must stand on every print stays among the remarks too.
    /// </summary>
    public static Pattern Apply(Pattern pattern)
    {
        var glued = pattern.Pieces.Any(piece => piece.Role == ClothRole.Wadding);
        List<Remark> standing =
        [
            Blades,
            Posture,
            HotIron,
            Needles,
            Dust,
            .. glued ? [Adhesive] : Array.Empty<Remark>(),
            .. pattern.Remarks.Where(remark => remark.StandsAt is not null),
        ];
        // What has no step of its kind stays where it was.
        // Standing bent is tiring where all of it is cut, not where a corner is trimmed.
        var first = pattern.Steps.FirstOrDefault(step => step.Does.HasFlag(Doing.Cutting));
        bool Stands(Remark remark, Step step) => Belongs(remark, step) && (remark != Posture || step == first);
        var placed = standing.Where(remark => pattern.Steps.Any(step => Belongs(remark, step))).ToHashSet();
        return pattern with
        {
            Steps =
            [
                .. pattern.Steps.Select(step =>
                    step with
                    {
                        Cautions = [.. step.Cautions, .. standing.Where(remark => Stands(remark, step))],
                    }
                ),
            ],
            Remarks = [.. pattern.Remarks.Where(remark => remark.Always || !placed.Contains(remark))],
        };
    }

    private static bool Belongs(Remark remark, Step step) => (step.Does & remark.StandsAt!.Value) != 0;

    private static Remark At(Doing doing, string text) => new(text, Caution: true) { StandsAt = doing };
}
