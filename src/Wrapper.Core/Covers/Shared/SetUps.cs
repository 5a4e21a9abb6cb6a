using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>How the machine is set up for each step, by what is sewn and by the cloths that are under the needle.</summary>
internal sealed class SetUps(Pattern pattern, Reading reading)
{
    private readonly List<ClothTrait> traits =
    [
        .. pattern.Roles.Where(role => !role.IsFilling()).SelectMany(role => reading.Room(role).Behaves).Distinct(),
    ];

    /// <summary>The set-up for <paramref name="step"/>; null where nothing of it is sewn by machine.</summary>
    public SetUp? Of(Step step)
    {
        var seams = pattern
            .Seams.Where(seam => seam.Kind != SeamKind.Opening && step.Seams.Contains(seam.Name))
            .ToList();
        if (step.Foot is { } own)
            return own.Length == 0 ? null : With(own, "close zigzag");
        return step.Kind switch
        {
            StepKind.Edges => With("overcasting foot", Edge),
            StepKind.Cording => With("cord foot", Straight),
            StepKind.Zips => With("zip foot", Straight),
            StepKind.Holding when step.Does.HasFlag(Doing.Stretching) => With("standard foot", "zigzag, 3 mm wide"),
            StepKind.Hemming or StepKind.Holding => With("standard foot", Straight),
            StepKind.Fastening => With("standard foot", Straight),
            _ when seams.Count == 0 => null,
            _ => With(seams.Any(seam => seam.CordLine is not null) ? "cord foot" : Foot, Straight),
        };
    }

    private SetUp With(string foot, string stitch) => new(foot, stitch, Thread, Needle);

    private bool Is(ClothTrait trait) => traits.Contains(trait);

    private string Foot => Is(ClothTrait.Coated) ? "non-stick foot" : "standard foot";

    private string Edge =>
        pattern.Applied.Any(applied => applied.Kind == AppliedKind.Serging)
            ? "three-thread serging"
            : "zigzag, 5 mm wide";

    // Coated cloth tears along a row of close holes; thick cloth draws a short stitch under.
    private string Straight =>
        Is(ClothTrait.Stretchy) ? $"narrow zigzag, {Long(3, 8)}"
        : Is(ClothTrait.Thick) || Is(ClothTrait.Coated) ? $"straight, {Long(4, 6)}"
        : Is(ClothTrait.Slippery) ? $"straight, {Long(2, 12)}"
        : $"straight, {Long(3, 8)}";

    private string Long(int millimetres, int toTheInch) =>
        reading.Unit.IsInches() ? $"{toTheInch} stitches to the inch" : $"{millimetres} mm long";

    private string Thread =>
        (
            Is(ClothTrait.Outdoor) ? "outdoor thread"
            : Is(ClothTrait.Thick) ? "strong thread"
            : "all-purpose thread"
        ) + (pattern.Colour.Length > 0 ? $" for {pattern.Colour}" : "");

    private string Needle =>
        Is(ClothTrait.Stretchy) ? "ball point 90"
        : Is(ClothTrait.Thick) ? "strong, 100 to 110"
        : Is(ClothTrait.Slippery) ? "fine, 70"
        : "universal 90";
}
