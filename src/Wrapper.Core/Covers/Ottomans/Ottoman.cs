using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Ottomans;

/// <summary>
/// What the ottoman and cube make-ups share: measures, the return beneath, and the pieces that stand on the floor.
/// </summary>
public abstract class Ottoman : MakeUp
{
    internal static readonly LengthChoice Turned = Choice.OfLength(
        "under",
        "Return beneath, hem included",
        "Beneath",
        Length.Inches(3),
        75,
        LengthLimits.UpTo(12, "3", "7.5", zero: true)
    ) with
    {
        Adjustable = Length.Inches(1),
        Note = "What turns under the body, with its hem or the turning for hook-and-loop.",
    };

    internal static readonly OptionChoice<OttomanFastening> Fastening = Choice
        .Of(
            "fastening",
            "Held by",
            "Beneath",
            Option.Of(
                OttomanFastening.HookAndLoop,
                "Hook-and-loop",
                "Comes off for washing: the upper row first, the turning trimmed under its midline, then the lower row."
            ),
            Option.Of(OttomanFastening.None, "Nothing", "A loose cover that stands by itself, or is tacked.")
        )
        .ToldToCustomer();

    internal static readonly CountChoice Legs = Choice
        .OfCount("legs", "Legs", "Beneath", 4, 0, 12)
        .AskedWhen(Fastening, OttomanFastening.HookAndLoop);

    internal static readonly LengthChoice LegGap = Choice
        .OfLength(
            "legGap",
            "Gap at each leg",
            "Beneath",
            Length.Inches(3),
            75,
            LengthLimits.UpTo(24, "3", "7.5", zero: true)
        )
        .AskedWhen(Fastening, OttomanFastening.HookAndLoop);

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Side to side, over the fullest part.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "Front to back, over the fullest part.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    );

    internal static readonly Measure H = new Measure(
        "H",
        "height",
        "From the edge of the top to the lower edge of the body, legs left out.",
        LengthLimits.UpTo(120, "18", "45"),
        Usual: Length.Inches(17)
    );

    /// <inheritdoc/>
    public override string Family => "Ottoman or cube";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L, H];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => PrismSketch.Box(reading, W, L, H);

    /// <summary>
    /// How the cover is held under the body (craft §5): the return beneath, and hook-and-loop less a gap at each leg.
    /// </summary>
    private protected static IReadOnlyList<Choice> Beneath { get; } = [Turned, Fastening, Legs, LegGap];

    /// <summary>Refuses legs that leave nothing to fasten.</summary>
    private protected static IEnumerable<Problem> CheckBeneath(Reading reading)
    {
        if (reading.Chosen(Fastening) is OttomanFastening.HookAndLoop && FasteningRun(reading).Value <= Length.Zero)
            yield return reading.Refuse(
                LegGap,
                "the gaps at the legs take the whole edge",
                reading.Example("3", "7.5")
            );
    }

    /// <summary>Hook-and-loop along the lower edge, a gap at each leg.</summary>
    private protected static IEnumerable<Applied> Fastened(Reading reading)
    {
        if (reading.Chosen(Fastening) is OttomanFastening.HookAndLoop)
            yield return new Applied("hook-and-loop", AppliedKind.Tape, FasteningRun(reading))
            {
                Note = $"a gap at each of {reading[Legs]} legs",
            };
    }

    private static Working FasteningRun(Reading reading)
    {
        var round = 2 * (reading[W] + reading[L]);
        return reading[Legs] == 0
            ? round
            : round - (reading[Legs] * Working.Of("gap", "gap at a leg", reading[LegGap]));
    }

    /// <summary>Front, right, back and left panels that hang from <c>upper</c>, turned under below.</summary>
    private protected static IEnumerable<Piece> Panels(Reading reading, Working height, string name, ClothRole role)
    {
        var under = new Allowance("under", AllowanceRole.Hem, reading[Turned]);
        foreach (var (key, side) in new[] { ("front", W), ("side", L) })
            yield return Plain.Rectangle(
                key,
                key == "front" ? $"{name}, front and back" : $"{name}, left and right",
                2,
                reading[side],
                height,
                edge => edge == "lower" ? under : reading.EdgeAllowance(EdgeAllowances.Seam, key, edge),
                "width",
                "height"
            ) with
            {
                Grain = Grain.Along,
                Role = role,
                MayBeJoined = true,
                Notches = [new("upper", reading[side].Value.Over(2))],
                Note = "Mark the middle of the top edge.",
            };
    }

    /// <summary>
    /// The four corner seams of those panels, in order round from the front right; <paramref name="height"/> long.
    /// </summary>
    private protected static IEnumerable<Seam> Corners(Working height) =>
        [
            Plain.Join("front right corner", ("front", 1, "right"), ("side", 1, "left"), height),
            Plain.Join("back right corner", ("side", 1, "right"), ("front", 2, "left"), height),
            Plain.Join("back left corner", ("front", 2, "right"), ("side", 2, "left"), height),
            Plain.Join("front left corner", ("side", 2, "right"), ("front", 1, "left"), height),
        ];

    /// <summary>Their turned-under edges.</summary>
    private protected static IEnumerable<Use> Hems() =>
        [.. Plain.Unsewn(EdgeUse.Hem, "front", 2, "lower"), .. Plain.Unsewn(EdgeUse.Hem, "side", 2, "lower")];

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

/// <summary>The answers to: Held by.</summary>
internal enum OttomanFastening
{
    HookAndLoop,
    None,
}
