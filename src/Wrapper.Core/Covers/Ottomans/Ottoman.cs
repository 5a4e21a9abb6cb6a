using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Ottomans;

/// <summary>What the ottoman and cube make-ups share: measures, the return beneath, and the pieces that stand on the floor.</summary>
public abstract class Ottoman : MakeUp
{
    /// <inheritdoc/>
    public override string Family => "Ottoman or cube";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        new("W", "width", "Side to side, over the fullest part.", LengthLimits.Item),
        new("L", "length", "Front to back, over the fullest part.", LengthLimits.Item),
        new(
            "H",
            "height",
            "From the edge of the top to the lower edge of the body, legs left out.",
            Usual.UpTo(120, "18", "45")
        ),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [Usual.Seam];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => PrismSketch.Box(reading, "H", 20, 20, 17);

    /// <summary>An example in the job's unit.</summary>
    private protected static string Example(Reading reading, string inches, string centimetres) =>
        reading.Unit.IsInches() ? inches : centimetres;

    /// <summary>How the cover is held under the body (handbook §5): the return beneath, and hook-and-loop less a gap at each leg.</summary>
    private protected static IReadOnlyList<Choice> Beneath { get; } =
    [
        Choice.OfLength(
            "under",
            "Return beneath, hem included",
            "Beneath",
            Length.Inches(3),
            75,
            Usual.UpTo(12, "3", "7.5", zero: true)
        ) with
        {
            Adjustable = Length.Inches(1),
            Note = "What turns under the body, with its hem or the turning for hook-and-loop.",
        },
        Choice.Of(
            "fastening",
            "Held by",
            "Beneath",
            new Option(
                "hook-and-loop",
                "Hook-and-loop",
                "Comes off for washing: the upper row first, the turning trimmed under its midline, then the lower row."
            ),
            new Option("none", "Nothing", "A loose cover that stands by itself, or is tacked.")
        ),
        Choice.OfCount("legs", "Legs", "Beneath", 4, 0, 12).When("fastening", "hook-and-loop"),
        Choice
            .OfLength(
                "legGap",
                "Gap at each leg",
                "Beneath",
                Length.Inches(3),
                75,
                Usual.UpTo(24, "3", "7.5", zero: true)
            )
            .When("fastening", "hook-and-loop"),
    ];

    /// <summary>Refuses legs that leave nothing to fasten.</summary>
    private protected static IEnumerable<Problem> CheckBeneath(Reading reading)
    {
        if (reading.Chosen("fastening", "hook-and-loop") && Fastening(reading).Value <= Length.Zero)
            yield return reading.Refuse(
                "choices.legGap",
                "the gaps at the legs take the whole edge",
                Example(reading, "3", "7.5")
            );
    }

    private protected static IEnumerable<Notion> FasteningNotion(Reading reading)
    {
        if (reading.Chosen("fastening", "hook-and-loop"))
            yield return new Notion(
                "hook-and-loop",
                "hook-and-loop",
                Fastening(reading),
                Note: $"a gap at each of {reading.Count("legs")} legs"
            );
    }

    private static Working Fastening(Reading reading)
    {
        var round = 2 * (reading.Measure("W") + reading.Measure("L"));
        return reading.Count("legs") == 0
            ? round
            : round - (reading.Count("legs") * Working.Of("gap", "gap at a leg", reading.Choice("legGap")));
    }

    /// <summary>Front, right, back and left panels that hang from <c>upper</c>, turned under below.</summary>
    private protected static IEnumerable<Piece> Panels(Reading reading, Working height, string name)
    {
        var under = new Allowance("under", AllowanceRole.Hem, reading.Choice("under"));
        foreach (var (key, side) in new[] { ("front", "W"), ("side", "L") })
            yield return Usual.Rectangle(
                key,
                key == "front" ? $"{name}, front and back" : $"{name}, left and right",
                2,
                reading.Measure(side),
                height,
                edge => edge == "lower" ? under : reading.EdgeAllowance("s", key, edge),
                "width",
                "height"
            ) with
            {
                Grain = Grain.Along,
                Notches = [new("upper", reading.Measure(side).Value.Over(2))],
                Note = "Mark the middle of the top edge.",
            };
    }

    /// <summary>The four corner seams of those panels, in order round from the front right; <paramref name="height"/> long.</summary>
    private protected static IEnumerable<Seam> Corners(Working height) =>
        [
            Usual.Join("front right corner", ("front", 1, "right"), ("side", 1, "left"), height),
            Usual.Join("back right corner", ("side", 1, "right"), ("front", 2, "left"), height),
            Usual.Join("back left corner", ("front", 2, "right"), ("side", 2, "left"), height),
            Usual.Join("front left corner", ("side", 2, "right"), ("front", 1, "left"), height),
        ];

    /// <summary>Their turned-under edges.</summary>
    private protected static IEnumerable<Use> Hems() =>
        [.. Usual.Left(EdgeUse.Hem, "front", 2, "lower"), .. Usual.Left(EdgeUse.Hem, "side", 2, "lower")];

    /// <summary>Which panel hangs under each side of the top.</summary>
    private protected static (string Piece, int Instance) Under(string side) =>
        side switch
        {
            "front" => ("front", 1),
            "right" => ("side", 1),
            "back" => ("front", 2),
            _ => ("side", 2),
        };
}
