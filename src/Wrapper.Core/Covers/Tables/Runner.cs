using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// A runner for a table or a shelf, hemmed along its sides; its ends are hemmed or left raw. The worked example of
/// docs/ADDING_A_MAKE_UP.md.
/// </summary>
public sealed class Runner : MakeUp
{
    internal static readonly Measure L = new(
        "L",
        "length",
        "Along the table, with what hangs over at both ends.",
        LengthLimits.Item,
        Usual: Length.Inches(72)
    );

    internal static readonly Measure W = new(
        "W",
        "width",
        "Across the runner.",
        LengthLimits.Item,
        Usual: Length.Inches(14)
    );

    internal static readonly OptionChoice<RunnerEnds> Ends = Choice
        .Of(
            "ends",
            "Ends",
            "Ends",
            Option.Of(RunnerEnds.Hemmed, "Hemmed", "Turned twice like the sides."),
            Option.Of(RunnerEnds.Raw, "Left raw", "For a fringe, or cloth that does not fray.")
        )
        .ToldToCustomer();

    internal static readonly AllowanceDeclaration Hem = EdgeAllowances.Hem(
        "h",
        "Hem, both folds",
        Length.Inches(1),
        Length.Millimetres(25)
    );

    /// <inheritdoc/>
    public override string Key => "runner";

    /// <inheritdoc/>
    public override string Name => "Hemmed runner";

    /// <inheritdoc/>
    public override string Family => "Runner";

    /// <inheritdoc/>
    public override int Rank => 40;

    /// <inheritdoc/>
    public override string Suits => "A strip along a table or a shelf: one piece, no seam.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [L, W];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Ends, GrainChoices.Panels];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [Hem];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => PrismSketch.Box(reading, L, W, up: null);

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (reading[W].Value <= 2 * reading[Hem].Value)
            yield return reading.Refuse(
                W,
                $"no wider than its two hems ({reading.Say(2 * reading[Hem].Value)})",
                reading.Example("14", "36")
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (l, w) = (reading[L], reading[W]);
        // Upright it lies along the roll: its ends are its lower and its upper edge.
        bool IsEnd(string edge) => edge is "lower" or "upper";
        bool IsRaw(string edge) => IsEnd(edge) && reading.Chosen(Ends) is RunnerEnds.Raw;
        var runner = Plain.Rectangle(
            "runner",
            "runner",
            1,
            w,
            l,
            edge => IsRaw(edge) ? Sum.Of() : reading.EdgeAllowance(Hem, "runner", edge)
        ) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
        };
        return new Pattern
        {
            Pieces = [runner],
            Seams = [],
            Uses =
            [
                .. Plain.Sides.Select(edge => new Use(
                    IsRaw(edge) ? EdgeUse.Raw : EdgeUse.Hem,
                    new Run("runner", 1, edge) { Drafted = (IsEnd(edge) ? w : l).Value }
                )),
            ],
            Finished = [("finished length", l), ("finished width", w)],
            Steps =
            [
                Step.Cutting("Cut the runner."),
                Step.Pressing("Turn the hems twice, press and sew them.") with
                {
                    Kind = StepKind.Hemming,
                },
            ],
        };
    }
}

/// <summary>The answers to: Ends.</summary>
internal enum RunnerEnds
{
    Hemmed,
    Raw,
}
