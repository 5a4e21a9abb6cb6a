using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// A pin-fitted slipcover for an upholstered chair: every piece a rough rectangle with the outline to expect drawn on
/// it, tuck-ins along the crevices, pin-fit ease on every edge, cord lines, a zip down one back seam and a skirt
/// (craft §6.2). The loose seat cushion is an item of its own.
/// </summary>
public sealed partial class ChairSlipcover : MakeUp
{
    /// <inheritdoc/>
    public override string Key => "chair-slipcover";

    /// <inheritdoc/>
    public override IReadOnlyList<ShownAs> Shown { get; } =
    [
        new(
            "armFront",
            "strip",
            "panel",
            "The strips of the arm fronts are shown as panels: they are eased on the chair."
        ),
    ];

    /// <inheritdoc/>
    public override string Name => "Pin-fitted slipcover";

    /// <inheritdoc/>
    public override string Family => "Upholstered chair";

    /// <inheritdoc/>
    public override string Suits =>
        "A tailored cover for an armchair: cut as rough rectangles, pinned on the chair inside out and trimmed in two passes.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [W, S, F, A, B, U, LeanOfTheArm, H, K, G, C, TuckIn.Used, TuckIn.AtArms];

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
        SkirtBelow,
        FlapWidth,
        .. Cord.ChoicesFor(Corded),
        .. CordLines.Select(line => line.Choice),
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
            [TuckIn.Used] = SeatLine.Tuck,
            [TuckIn.AtArms] = SeatLine.TuckAtArms,
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
        if (HasSkirt(reading))
        {
            var rise = ChairBody.Rise(reading).Value;
            if (!rise.IsPositive)
                yield return reading.Refuse(
                    SkirtBelow,
                    $"the skirt would hang from the lower edge of the body or under it and not cover it: less than its {reading.Say(reading[SkirtDrop])}",
                    "0"
                );
            else if (rise + (2 * reading[EdgeAllowances.Seam].Value) >= reading[F].Value)
                yield return reading.Refuse(
                    SkirtDrop,
                    $"the skirt line would lie {reading.Say(rise)} up, where nothing is left of the front band ({reading.Say(reading[F].Value)})",
                    LengthPrinter.Finished(reading[F].Value.Over(2), reading.Unit).Text
                );
            if (!rise.IsPositive || rise >= reading[F].Value)
                yield break;
        }
        var body = new ChairBody(reading);
        foreach (var problem in TuckIn.Check(reading, C))
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

    // Which lines are corded is asked one by one.
    private static bool IsCorded(Reading reading, string? line) =>
        line is not null
        && reading.Chosen(CordLines.First(each => line.StartsWith(each.Line, StringComparison.Ordinal)).Choice)
            is YesNo.Yes;

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var body = new ChairBody(reading);
        var corded = Cord.IsChosen(reading);
        var pieces = new SlipcoverPieces(reading, body).All().ToList();
        var seams = new SlipcoverSeams(reading, body)
            .All()
            .Select(seam => corded && IsCorded(reading, seam.CordLine) ? seam : seam with { CordLine = null })
            .ToList();
        List<Use> uses = [.. SlipcoverSeams.Hems(reading, pieces)];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Tucks = [.. SkirtFlaps.Of(pieces)],
            Finished =
            [
                ("tuck-in", TuckIn.Of(reading, ChairSlipcover.C)),
                .. TuckIn.ToldAtArms(reading),
                ("plumb width of an arm front", body.Plumb),
                ("inside of the arm", body.Inner + body.Over),
                ("outside of the arm", body.Outer),
                ("across the back, above the arms", body.Across),
                ("round the foot", (2 * body.Foot) + (2 * (body.Seat + body.Thick))),
            ],
            Steps = SlipcoverSteps.Of(reading, body, seams),
            Remarks = [.. new SlipcoverPoints(body).Remarks(), Cautions.OldFurniture],
        };
    }
}
