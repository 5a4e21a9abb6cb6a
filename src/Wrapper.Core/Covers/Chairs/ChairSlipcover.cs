using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// A pin-fitted slipcover for an upholstered chair: every piece with its real outline, tuck-ins along the crevices, pin-fit ease on every
/// edge, cord lines, a zip down one back seam and a skirt (handbook §6.2). The loose seat cushion is an item of its own.
/// </summary>
public sealed class ChairSlipcover : MakeUp
{
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
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        new("W", "seat width", "Between the arms, along the crevice at the back.", LengthLimits.Item),
        new(
            "S",
            "seat depth",
            "From the back crevice to the front edge, cushion off; cord to cord where there is cord.",
            LengthLimits.Item
        ),
        new(
            "F",
            "front band",
            "From the front edge of the seat down to the lower edge of the body.",
            LengthLimits.Item
        ),
        new(
            "A",
            "arm height",
            "Upright, from the seat to the top of the arm; to where the roll begins if it is rolled.",
            LengthLimits.Item
        ),
        new("B", "arm front, base", "Across the front of one arm at its foot.", LengthLimits.Item),
        new("U", "arm front, top", "Across the front of one arm at its top, level.", LengthLimits.Item),
        new Measure(
            "x",
            "lean of the arm",
            "Hang a plumb line from the arm's inner top edge: how far its foot lies beside it at the seat.",
            LengthLimits.Item
        ).When("lean", "out", "in"),
        new("H", "inside back", "From the crevice up, over the top rail, to the seam behind.", LengthLimits.Item),
        new("K", "back, thickness", "Through the back at its top corner.", LengthLimits.Item),
        new Measure("G", "wing", "How far the wing stands forward of the back.", LengthLimits.Item).When(
            "wings",
            "yes"
        ),
        new Measure("C", "crevice", "How deep a hand goes down between seat and back.", Usual.UpTo(24, "5", "12")) with
        {
            FitsInside = true,
        },
        new(
            "t",
            "tuck-in used",
            "Only to use another depth than three fifths of the crevice, at most 3 in (7.5 cm).",
            Usual.UpTo(24, "3", "7.5"),
            Optional: true
        ),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Choice.Of(
            "lean",
            "Arm fronts lean",
            "Arms",
            new Option("none", "Not at all", "The inner edge stands plumb."),
            new Option("out", "Outward", "Away from the seat, going up."),
            new Option("in", "Inward", "Over the seat, going up.")
        ) with
        {
            OnMeasure = true,
        },
        Choice.Of(
            "armTop",
            "Arms are",
            "Arms",
            new Option("flat", "Flat on top", "Square in front."),
            new Option("rolled", "Rolled", "Rounded on top.")
        ) with
        {
            OnMeasure = true,
        },
        Choice
            .OfLength("roll", "Rise of the roll", "Arms", Length.Inches(1, 1, 2), 40, Usual.UpTo(24, "1 1/2", "4"))
            .When("armTop", "rolled") with
        {
            OnMeasure = true,
            Note = "How far the middle of the roll stands above its ends.",
        },
        Choice.Of(
            "wings",
            "Wings",
            "Arms",
            new Option("no", "None", "The back stands alone."),
            new Option("yes", "Wings", "An inside and an outside wing on each side.")
        ) with
        {
            OnMeasure = true,
        },
        Choice.Of(
            "armFront",
            "Arm fronts are covered by",
            "Arms",
            new Option("panel", "A panel", "Cut on the straight grain, as wide as the plumb rule asks."),
            new Option("strip", "A strip", "A long strip along the outside curve, eased to shape: for scrolls.")
        ),
        Choice.OfLength(
            "pinEase",
            "Pin-fit ease, in each direction",
            "Ease",
            Length.Inches(2, 1, 2),
            65,
            Usual.UpTo(12, "2 1/2", "6.5", zero: true)
        ) with
        {
            Note = "Half of it on every edge; trimmed to three seam allowances, then to one.",
        },
        Choice.Of(
            "zipSide",
            "Zip",
            "Zip",
            new Option("left", "Left back seam", "Seen from behind."),
            new Option("right", "Right back seam", "Seen from behind.")
        ),
        Choice.OfLength(
            "zipClosed",
            "Seam left closed above the zip",
            "Zip",
            Length.Inches(2),
            50,
            Usual.UpTo(60, "2", "5", zero: true)
        ),
        Choice.Of(
            "skirt",
            "Skirt",
            "Skirt",
            new Option(
                "flaps",
                "With flaps",
                "One width to each face, flaps behind the corners; hung from a cord line that covers the lower edge of the body."
            ),
            new Option("none", "None", "The lower edge is hemmed.")
        ),
        Choice
            .OfLength("skirtDrop", "Skirt, finished", "Skirt", Length.Inches(7), 180, Usual.UpTo(40, "7", "18"))
            .When("skirt", "flaps"),
        Choice
            .OfLength(
                "flap",
                "Flap, each way from the corner",
                "Skirt",
                Length.Inches(6),
                150,
                Usual.UpTo(24, "6", "15")
            )
            .When("skirt", "flaps") with
        {
            Adjustable = Length.Inches(1),
        },
        .. Cord.ChoicesFor(
            "cord",
            new("both", "Cord on all cord lines", "Arm fronts, top of the back, front edge of the seat, skirt line."),
            new("none", "No cord", "Plain seams.")
        ),
        Usual.PanelGrain,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } =
    [Usual.Seam, new("h", "Hem", AllowanceRole.Hem, Length.Inches(1, 1, 2), Length.Millimetres(40))];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        Length Or(string key, int inches) => reading.Known(key) ?? Length.Inches(inches);
        var lines = new Dictionary<string, SeatLine>
        {
            ["W"] = SeatLine.Width,
            ["S"] = SeatLine.Seat,
            ["F"] = SeatLine.Front,
            ["A"] = SeatLine.ArmHeight,
            ["B"] = SeatLine.ArmBase,
            ["U"] = SeatLine.ArmTop,
            ["H"] = SeatLine.InsideBack,
            ["K"] = SeatLine.BackThickness,
            ["C"] = SeatLine.Crevice,
            ["t"] = SeatLine.Tuck,
        };
        if (!reading.Chosen("lean", "none"))
            lines["x"] = SeatLine.Lean;
        if (reading.Chosen("wings", "yes"))
            lines["G"] = SeatLine.Wing;
        return SeatSketch.Of(
            new(
                Or("W", 22),
                Or("S", 22),
                Or("F", 12),
                Or("A", 9),
                Or("U", 5),
                Length.Max(Or("H", 27) - Or("K", 5), Or("A", 9) + Length.Inches(1))
            ),
            lines
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        string Example(string inches, string metric) => reading.Unit.IsInches() ? inches : metric;
        var body = new ChairBody(reading);
        foreach (var problem in TuckIn.Check(reading))
            yield return problem;
        if (body.Above.Value <= 2 * reading.Allowance("s").Value)
            yield return reading.Refuse(
                "measures.H",
                $"no higher than arm and top rail together ({reading.Say(body.Arm.Value + body.Thick.Value)}): nothing is left of the back above the arms",
                Example("30", "76")
            );
        else if (reading.Choice("zipClosed") >= body.Above.Value)
            yield return reading.Refuse(
                "choices.zipClosed",
                $"the zip must reach above the arm: less than {reading.Say(body.Above.Value)}",
                Example("2", "5")
            );
        if (body.LeansIn && 2 * body.Lean.Value >= body.Width.Value)
            yield return reading.Refuse("measures.x", "the arms would meet over the seat", Example("1", "2.5"));
        if (body.LeansIn && body.Lean.Value >= body.ArmTop.Value + body.ArmBase.Value)
            yield return reading.Refuse("measures.x", "the arm's top would lie clear of its foot", Example("1", "2.5"));
        if (5 * body.Roll.Value > 2 * body.ArmTop.Value)
            yield return reading.Refuse(
                "choices.roll",
                $"over two fifths of the arm's width ({reading.Say((2 * body.ArmTop.Value).Over(5))}): measure the arm height to where the roll begins",
                Example("1", "2.5")
            );
        if (body.HasWings && body.Wing.Value >= body.Seat.Value)
            yield return reading.Refuse(
                "measures.G",
                $"the wing stands further forward than the seat is deep ({reading.Say(body.Seat.Value)})",
                Example("5", "13")
            );
        if (reading.Chosen("armFront", "strip") && (body.Outer + body.Over).Value < (body.Front + body.Inner).Value)
            yield return reading.Refuse(
                "choices.armFront",
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
            .Select(seam => seam with { Corded = seam.Corded && corded })
            .ToList();
        List<Use> uses = [.. SlipcoverSeams.Hems(reading, pieces)];
        List<Notion> notions =
        [
            new(
                "zip",
                "zip, teeth",
                seams.First(seam => seam.Kind == SeamKind.Zip).Drafted,
                Note: "one slider; its teeth ride the cord, its foot stays open until the skirt is on"
            ),
        ];
        // A join at each line's end: two arm fronts, the top of the back, the front edge, and the skirt line where there is one.
        if (corded)
            Cord.Add(reading, seams, rings: reading.Chosen("skirt", "flaps") ? 5 : 4, pieces, uses, notions);
        notions.Add(Making.Thread.Of(seams));
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
            Notions = notions,
            Steps = SlipcoverSteps.Of(reading, body, seams),
            Remarks = [.. new SlipcoverPoints(body).Remarks(), Usual.Blades, Usual.OldFurniture],
        };
    }
}
