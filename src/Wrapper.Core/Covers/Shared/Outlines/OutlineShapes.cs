using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>The outlines that a seat can have: what each measures, what makes it impossible, and how it is drawn (handbook §1, §2).</summary>
internal static class OutlineShapes
{
    private static readonly SeatShape[] All =
    [
        new RectangleShape(),
        new FourSidedShape(),
        new TaperedShape(),
        new RoundShape(),
        new TeeShape(),
        new EllShape(),
        new BowShape(),
        new CurvedEndShape(),
        new TracedShape(),
    ];

    public static readonly Choice Shape = Choice.Of(
        "shape",
        "Outline",
        "Outline",
        [.. All.Select(shape => new Option(shape.Key, shape.Name, shape.When))]
    ) with
    {
        OnMeasure = true,
    };

    /// <summary>What the outlines need to be told beside their measures.</summary>
    public static readonly IReadOnlyList<Choice> Choices =
    [
        Shape,
        Choice
            .Of(
                "sides",
                "Tapered sides",
                "Outline",
                new Option("straight", "Straight", "Straight from station to station."),
                new Option(
                    "smooth",
                    "A smooth curve",
                    "A smooth curve through all stations; needs one station at least."
                )
            )
            .When("shape", "tapered") with
        {
            OnMeasure = true,
        },
        Choice
            .Of(
                "square",
                "Check that it is square",
                "Outline",
                new Option("no", "No", "Width, length and thickness are enough."),
                new Option(
                    "yes",
                    "Both ends, both sides, both diagonals",
                    "A taper or a lean shows before cloth is cut."
                )
            )
            .When("shape", "rectangle") with
        {
            OnMeasure = true,
        },
        Choice
            .OfCount("stations", "Widths between", "Outline", 1, 0, TaperedShape.MostStations)
            .When("shape", "tapered") with
        {
            OnMeasure = true,
        },
        Choice
            .Of(
                "hand",
                "Hand",
                "Outline",
                new Option("right", "Right", "The ear or the curve is on the right, seen from the front."),
                new Option("left", "Left", "On the left, seen from the front."),
                new Option("pairs", "In pairs", "Every second cover is the mirror image of the first.")
            )
            .When("shape", "ell", "curved-end", "four-sided", "traced") with
        {
            OnMeasure = true,
        },
        Choice.OfCount("backEdge", "Back is edge number", "Outline", 0, 0, 60).When("shape", "traced") with
        {
            OnMeasure = true,
            Note = "0 takes the edge that lies furthest back.",
        },
    ];

    /// <summary>The plan measures of all outlines; each is asked only with the outlines that have it.</summary>
    public static readonly IReadOnlyList<Measure> Measures =
    [
        new Measure(
            "W",
            "width",
            "Side to side, along the front edge of the inner or of the space it sits in.",
            LengthLimits.Item
        ).When("shape", "rectangle", "four-sided", "tapered", "tee", "ell", "bow", "curved-end"),
        new Measure(
            "L",
            "length",
            "Front to back, at the side; with a bow front, at the corner.",
            LengthLimits.Item
        ).When("shape", "rectangle", "four-sided", "tapered", "tee", "ell", "bow", "curved-end"),
        new Measure("d", "diameter", "Right across the middle; turn the tape and read twice.", LengthLimits.Item).When(
            "shape",
            "round"
        ),
        new Measure("B", "back width", "Along the back edge.", LengthLimits.Item).When(
            "shape",
            "four-sided",
            "tapered"
        ),
        new Measure("R", "right side", "From the front right corner to the back right one.", LengthLimits.Item).When(
            "shape",
            "four-sided"
        ),
        new Measure("X", "diagonal", "From the front left corner to the back right one.", LengthLimits.Item).When(
            "shape",
            "four-sided"
        ),
        new Measure("N", "width behind", "Across the body, behind the ears.", LengthLimits.Item).When(
            "shape",
            "tee",
            "ell"
        ),
        new Measure("E", "ear", "Front to back of the part that stands out.", LengthLimits.Item).When(
            "shape",
            "tee",
            "ell"
        ),
        new Measure(
            "b",
            "bow",
            "How far the middle of the curve stands out beyond its corners.",
            LengthLimits.Item
        ).When("shape", "bow", "curved-end"),
        .. TaperedShape.StationMeasures(
            "How far behind the front edge the width is taken.",
            "Side to side at that distance from the front."
        ),
        new Measure(
            "O",
            "traced outline",
            "Points x, y from the front left, one a line; behind a point arc or hollow and its radius where the way to it is curved. Or an SVG path.",
            LengthLimits.Item
        )
        {
            Kind = MeasureKind.Outline,
            ShownWhen = new Condition("shape", ["traced"]),
        },
        new Measure(
            "r",
            "corner radius",
            "Only if the corners are rounded: from where the side stops being straight to where it would have met the front.",
            new LengthLimits(Length.Zero, Length.Inches(120), "3", "8"),
            Optional: true
        ).When("shape", "rectangle"),
        new Measure(
            "V",
            "width at the back",
            "To check: side to side at the back.",
            LengthLimits.Item,
            Optional: true
        ).When("square", "yes"),
        new Measure(
            "M",
            "length at the other side",
            "To check: front to back at the other side.",
            LengthLimits.Item,
            Optional: true
        ).When("square", "yes"),
        new Measure(
            "X1",
            "diagonal",
            "To check: from the front left corner to the back right one.",
            LengthLimits.Item,
            Optional: true
        ).When("square", "yes"),
        new Measure(
            "X2",
            "other diagonal",
            "To check: from the front right corner to the back left one.",
            LengthLimits.Item,
            Optional: true
        ).When("square", "yes"),
    ];

    /// <summary>What is wrong with the outline as measured.</summary>
    public static IEnumerable<Problem> Check(Reading reading)
    {
        var shape = Chosen(reading);
        var problems = shape.Check(reading).ToList();
        if (problems.Count == 0 && OutlineCheck.Fault(shape.Draw(reading).Outline) is { } fault)
            problems.Add(
                reading.Refuse($"measures.{shape.Main}", $"the outline {fault}", reading.Unit.IsInches() ? "20" : "50")
            );
        return problems;
    }

    /// <summary>The outline as measured, without ease; asked only when <see cref="Check"/> finds nothing.</summary>
    public static SeatOutline Of(Reading reading)
    {
        var drawn = Chosen(reading).Draw(reading);
        return reading.Chosen("hand", "left") && Chosen(reading).HasHand ? LeftHanded(drawn) : drawn;
    }

    /// <summary>Whether every second cover is mirrored.</summary>
    public static bool InPairs(Reading reading) => Chosen(reading).HasHand && reading.Chosen("hand", "pairs");

    /// <summary>What the check measures of a rectangle tell (handbook §1.2).</summary>
    public static IEnumerable<Remark> Remarks(Reading reading)
    {
        if (Chosen(reading) is not RectangleShape)
            yield break;
        var tolerance = reading.Unit.IsInches() ? Length.Inches(0, 1, 4) : Length.Millimetres(6);
        foreach (
            var (one, other, what) in new[] { ("W", "V", "widths"), ("L", "M", "lengths"), ("X1", "X2", "diagonals") }
        )
            if (reading.Known(one) is { } a && reading.Known(other) is { } b && (a - b).Abs() > tolerance)
                yield return new Remark(
                    $"Out of square or tapered: the {what} differ by {reading.Say((a - b).Abs())}. Choose the four-sided or the tapered outline.",
                    Caution: true
                )
                {
                    OnMeasure = true,
                };
    }

    /// <summary>The measuring sketch: a box on this outline, its letters where they are measured. Usual sizes stand in for what is not measured yet.</summary>
    public static Sketch Sketch(Reading reading, Length thickness) =>
        PrismSketch.Of(Chosen(reading).Drawing(reading), thickness);

    private static SeatShape Chosen(Reading reading) => All.First(shape => shape.Key == reading.Option("shape"));

    private static SeatOutline LeftHanded(SeatOutline right) =>
        right with
        {
            Shape = d => SeatShape.Mirror(right.Shape(d)),
            Lengths = right.Lengths.ToDictionary(pair => SeatShape.OtherSide(pair.Key), pair => pair.Value),
        };
}
