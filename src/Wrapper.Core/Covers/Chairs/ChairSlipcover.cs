using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// A pin-fitted slipcover for an upholstered chair: every piece with its real outline, tuck-ins along the crevices,
/// pin-fit ease on every
/// edge, cord lines, a zip down one back seam and a skirt (craft §6.2). The loose seat cushion is an item of its own.
/// </summary>
public sealed class ChairSlipcover : MakeUp
{
    internal static readonly OptionChoice<ArmLean> Lean = Choice.Of(
        "lean",
        "Arm fronts lean",
        "Arms",
        Option.Of(ArmLean.None, "Not at all", "The inner edge stands plumb."),
        Option.Of(ArmLean.Out, "Outward", "Away from the seat, going up."),
        Option.Of(ArmLean.In, "Inward", "Over the seat, going up.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<ArmShape> ArmTop = Choice.Of(
        "armTop",
        "Arms are",
        "Arms",
        Option.Of(ArmShape.Flat, "Flat on top", "Square in front."),
        Option.Of(ArmShape.Rolled, "Rolled", "Rounded on top.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly LengthChoice Roll = Choice
        .OfLength("roll", "Rise of the roll", "Arms", Length.Inches(1, 1, 2), 40, LengthLimits.UpTo(24, "1 1/2", "4"))
        .AskedWhen(ArmTop, ArmShape.Rolled) with
    {
        OnMeasure = true,
        Note = "How far the middle of the roll stands above its ends.",
    };

    internal static readonly OptionChoice<YesNo> Wings = Choice.Of(
        "wings",
        "Wings",
        "Arms",
        Option.Of(YesNo.No, "None", "The back stands alone."),
        Option.Of(YesNo.Yes, "Wings", "An inside and an outside wing on each side.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<ArmFrontSchool> ArmFront = Choice.Of(
        "armFront",
        "Arm fronts are covered by",
        "Arms",
        Option.Of(ArmFrontSchool.Panel, "A panel", "Cut on the straight grain, as wide as the plumb rule asks."),
        Option.Of(ArmFrontSchool.Strip, "A strip", "A long strip along the outside curve, eased to shape: for scrolls.")
    );

    internal static readonly LengthChoice PinEase = Choice.OfLength(
        "pinEase",
        "Pin-fit ease, in each direction",
        "Ease",
        Length.Inches(2, 1, 2),
        65,
        LengthLimits.UpTo(12, "2 1/2", "6.5", zero: true)
    ) with
    {
        Note = "Half of it on every edge; trimmed to three seam allowances, then to one.",
    };

    internal static readonly OptionChoice<BackSide> ZipSide = Choice.Of(
        "zipSide",
        "Zip",
        "Zip",
        Option.Of(BackSide.Left, "Left back seam", "Seen from behind."),
        Option.Of(BackSide.Right, "Right back seam", "Seen from behind.")
    );

    internal static readonly LengthChoice ZipClosed = Choice.OfLength(
        "zipClosed",
        "Seam left closed above the zip",
        "Zip",
        Length.Inches(2),
        50,
        LengthLimits.UpTo(60, "2", "5", zero: true)
    );

    internal static readonly OptionChoice<SkirtSchool> Skirt = Choice.Of(
        "skirt",
        "Skirt",
        "Skirt",
        Option.Of(
            SkirtSchool.Flaps,
            "With flaps",
            "One width to each face, flaps behind the corners; hung from a cord line that covers the lower edge of the body."
        ),
        Option.Of(SkirtSchool.None, "None", "The lower edge is hemmed.")
    );

    internal static readonly LengthChoice SkirtDrop = Choice
        .OfLength("skirtDrop", "Skirt, finished", "Skirt", Length.Inches(7), 180, LengthLimits.UpTo(40, "7", "18"))
        .AskedWhen(Skirt, SkirtSchool.Flaps);

    internal static readonly LengthChoice FlapWidth = Choice
        .OfLength(
            "flap",
            "Flap, each way from the corner",
            "Skirt",
            Length.Inches(6),
            150,
            LengthLimits.UpTo(24, "6", "15")
        )
        .AskedWhen(Skirt, SkirtSchool.Flaps) with
    {
        Adjustable = Length.Inches(1),
    };

    internal static readonly AllowanceDeclaration Hem = new AllowanceDeclaration(
        "h",
        "Hem",
        AllowanceRole.Hem,
        Length.Inches(1, 1, 2),
        Length.Millimetres(40)
    );

    internal static readonly Measure W = new Measure(
        "W",
        "seat width",
        "Between the arms, along the crevice at the back.",
        LengthLimits.Item,
        Usual: Length.Inches(22)
    );

    internal static readonly Measure S = new Measure(
        "S",
        "seat depth",
        "From the back crevice to the front edge, cushion off; cord to cord where there is cord.",
        LengthLimits.Item,
        Usual: Length.Inches(22)
    );

    internal static readonly Measure F = new Measure(
        "F",
        "front band",
        "From the front edge of the seat down to the lower edge of the body.",
        LengthLimits.Item,
        Usual: Length.Inches(12)
    );

    internal static readonly Measure A = new Measure(
        "A",
        "arm height",
        "Upright, from the seat to the top of the arm; to where the roll begins if it is rolled.",
        LengthLimits.Item,
        Usual: Length.Inches(9)
    );

    internal static readonly Measure B = new Measure(
        "B",
        "arm front, base",
        "Across the front of one arm at its foot.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    );

    internal static readonly Measure U = new Measure(
        "U",
        "arm front, top",
        "Across the front of one arm at its top, level.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    );

    internal static readonly Measure LeanOfTheArm = new Measure(
        "x",
        "lean of the arm",
        "Hang a plumb line from the arm's inner top edge: how far its foot lies beside it at the seat.",
        LengthLimits.Item,
        Usual: Length.Inches(1)
    ).AskedWhen(Lean, ArmLean.Out, ArmLean.In);

    internal static readonly Measure H = new Measure(
        "H",
        "inside back",
        "From the crevice up, over the top rail, to the seam behind.",
        LengthLimits.Item,
        Usual: Length.Inches(27)
    );

    internal static readonly Measure K = new Measure(
        "K",
        "back, thickness",
        "Through the back at its top corner.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    );

    internal static readonly Measure G = new Measure(
        "G",
        "wing",
        "How far the wing stands forward of the back.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    ).AskedWhen(Wings, YesNo.Yes);

    internal static readonly Measure C = new Measure(
        "C",
        "crevice",
        "How deep a hand goes down between seat and back.",
        LengthLimits.UpTo(24, "5", "12"),
        Usual: Length.Inches(5)
    ) with
    {
        FitsInside = true,
    };

    internal static readonly Measure TuckInUsed = new Measure(
        "t",
        "tuck-in used",
        "Only to use another depth than three fifths of the crevice, at most 3 in (7.5 cm).",
        LengthLimits.UpTo(24, "3", "7.5"),
        Optional: true,
        Usual: Length.Inches(3)
    );

    /// <inheritdoc/>
    public override string Key => "chair-slipcover";

    /// <inheritdoc/>
    public override string Name => "Pin-fitted slipcover";

    /// <inheritdoc/>
    public override string Family => "Upholstered chair";

    /// <inheritdoc/>
    public override string When =>
        "A tailored cover for an armchair: cut roughly to its shape, pinned on the chair inside out and trimmed in two passes.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, S, F, A, B, U, LeanOfTheArm, H, K, G, C, TuckInUsed];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Lean,
        ArmTop,
        Roll,
        Wings,
        ArmFront,
        PinEase,
        ZipSide,
        ZipClosed,
        Skirt,
        SkirtDrop,
        FlapWidth,
        .. Cord.ChoicesFor(
            Cord.Asked(
                "cord",
                Option.Of(
                    Cording.Both,
                    "Cord on all cord lines",
                    "Arm fronts, top of the back, front edge of the seat, skirt line."
                ),
                Option.Of(Cording.None, "No cord", "Plain seams.")
            )
        ),
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, Hem];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var lines = new Dictionary<Measure, SeatLine>
        {
            [W] = SeatLine.Width,
            [S] = SeatLine.Seat,
            [F] = SeatLine.Front,
            [A] = SeatLine.ArmHeight,
            [B] = SeatLine.ArmBase,
            [U] = SeatLine.ArmTop,
            [H] = SeatLine.InsideBack,
            [K] = SeatLine.BackThickness,
            [C] = SeatLine.Crevice,
            [TuckInUsed] = SeatLine.Tuck,
        };
        if (reading.Chosen(Lean) is not ArmLean.None)
            lines[LeanOfTheArm] = SeatLine.Lean;
        if (reading.Chosen(Wings) is YesNo.Yes)
            lines[G] = SeatLine.Wing;
        return SeatSketch.Of(
            new(
                reading.Drawn(W),
                reading.Drawn(S),
                reading.Drawn(F),
                reading.Drawn(A),
                reading.Drawn(U),
                Length.Max(reading.Drawn(H) - reading.Drawn(K), reading.Drawn(A) + Length.Inches(1))
            ),
            lines
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var body = new ChairBody(reading);
        foreach (var problem in TuckIn.Check(reading))
            yield return problem;
        if (body.Above.Value <= 2 * reading[EdgeAllowances.Seam].Value)
            yield return reading.Refuse(
                H,
                $"no higher than arm and top rail together ({reading.Say(body.Arm.Value + body.Thick.Value)}): nothing is left of the back above the arms",
                reading.Example("30", "76")
            );
        else if (reading[ZipClosed] >= body.Above.Value)
            yield return reading.Refuse(
                ZipClosed,
                $"the zip must reach above the arm: less than {reading.Say(body.Above.Value)}",
                reading.Example("2", "5")
            );
        if (body.LeansIn && 2 * body.Lean.Value >= body.Width.Value)
            yield return reading.Refuse(LeanOfTheArm, "the arms would meet over the seat", reading.Example("1", "2.5"));
        if (body.LeansIn && body.Lean.Value >= body.ArmTop.Value + body.ArmBase.Value)
            yield return reading.Refuse(
                LeanOfTheArm,
                "the arm's top would lie clear of its foot",
                reading.Example("1", "2.5")
            );
        if (5 * body.Roll.Value > 2 * body.ArmTop.Value)
            yield return reading.Refuse(
                Roll,
                $"over two fifths of the arm's width ({reading.Say((2 * body.ArmTop.Value).Over(5))}): measure the arm height to where the roll begins",
                reading.Example("1", "2.5")
            );
        if (body.HasWings && body.Wing.Value >= body.Seat.Value)
            yield return reading.Refuse(
                G,
                $"the wing stands further forward than the seat is deep ({reading.Say(body.Seat.Value)})",
                reading.Example("5", "13")
            );
        if (
            reading.Chosen(ArmFront) is ArmFrontSchool.Strip
            && (body.Outer + body.Over).Value < (body.Front + body.Inner).Value
        )
            yield return reading.Refuse(
                ArmFront,
                "the outside of this arm is shorter than its inside: a strip cannot be eased to it",
                "panel"
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var body = new ChairBody(reading);
        var corded = Cord.IsChosen(reading);
        var pieces = new SlipcoverPieces(reading, body).All().ToList();
        var seams = new SlipcoverSeams(reading, body)
            .All()
            .Select(seam => corded ? seam : seam with { CordLine = null })
            .ToList();
        List<Use> uses = [.. SlipcoverSeams.Hems(reading, pieces)];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Finished =
            [
                ("tuck-in", TuckIn.Of(reading)),
                ("plumb width of an arm front", body.Plumb),
                ("inside of the arm", body.Inner + body.Over),
                ("outside of the arm", body.Outer),
                ("across the back, above the arms", body.Across),
                ("round the foot", (2 * body.Foot) + (2 * (body.Seat + body.Thick))),
            ],
            Steps = SlipcoverSteps.Of(reading, body, seams),
            Remarks = [.. new SlipcoverPoints(body).Remarks(), Cautions.Blades, Cautions.OldFurniture],
        };
    }
}

/// <summary>The answers to: Arm fronts lean.</summary>
internal enum ArmLean
{
    None,
    Out,
    In,
}

/// <summary>The answers to: Arms are.</summary>
internal enum ArmShape
{
    Flat,
    Rolled,
}

/// <summary>The answers to: Arm fronts are covered by.</summary>
internal enum ArmFrontSchool
{
    Panel,
    Strip,
}

/// <summary>The answers to: Zip.</summary>
internal enum BackSide
{
    Left,
    Right,
}

/// <summary>The answers to: Skirt.</summary>
internal enum SkirtSchool
{
    Flaps,
    None,
}
