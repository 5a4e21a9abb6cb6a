using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// A piece of which the cut size is known already: a line of somebody's cut list, a patch, a facing. Nothing is added to
/// it and nothing is sewn; it is laid and bought with the rest.
/// </summary>
public sealed class CutToSize : MakeUp
{
    internal static readonly Measure W = new(
        "W",
        "cut width",
        "Across the piece, all allowances in it.",
        LengthLimits.Item,
        Usual: Length.Inches(18)
    );

    internal static readonly Measure L = new(
        "L",
        "cut length",
        "Along the piece, all allowances in it.",
        LengthLimits.Item,
        Usual: Length.Inches(24)
    );

    /// <inheritdoc/>
    public override string Key => "cut-to-size";

    /// <inheritdoc/>
    public override string Name => "As it is listed";

    /// <inheritdoc/>
    public override string Family => "Piece cut to size";

    /// <inheritdoc/>
    public override int Rank => 90;

    /// <inheritdoc/>
    public override string Suits =>
        "A piece whose cut size is known: from a list, a patch, a facing. Nothing is added.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [GrainChoices.Panels];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => PrismSketch.Box(reading, L, W, up: null);

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading) => [];

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (w, l) = (reading[W], reading[L]);
        var piece = Plain.Rectangle("piece", "piece", 1, w, l, _ => Sum.Of()) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
        };
        return new Pattern
        {
            Pieces = [piece],
            Seams = [],
            Uses =
            [
                .. Plain.Sides.Select(edge => new Use(
                    EdgeUse.Raw,
                    new Run("piece", 1, edge) { Drafted = (edge is "lower" or "upper" ? w : l).Value }
                )),
            ],
            Finished = [("finished width", w), ("finished length", l)],
            Steps = [Step.Cutting("Cut the piece; whoever listed it knows how it is sewn.")],
        };
    }
}
