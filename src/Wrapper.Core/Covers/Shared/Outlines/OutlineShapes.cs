using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// The outlines that a seat can have: what each measures, what makes it impossible, and how it is drawn (craft §1, §2).
/// </summary>
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

    internal static readonly OptionChoice<SeatShapeKind> Shape = Choice.Of(
        "shape",
        "Outline",
        "Outline",
        [.. All.Select(shape => Option.Of(shape.Kind, shape.Name, shape.Suits))]
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<SideLine> Sides = Choice
        .Of(
            "sides",
            "Tapered sides",
            "Outline",
            Option.Of(SideLine.Straight, "Straight", "Straight from station to station."),
            Option.Of(
                SideLine.Smooth,
                "A smooth curve",
                "A smooth curve through all stations; needs one station at least."
            )
        )
        .AskedWhen(Shape, SeatShapeKind.Tapered) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<YesNo> Square = Choice
        .Of(
            "square",
            "Check that it is square",
            "Outline",
            Option.Of(YesNo.No, "No", "Width, length and thickness are enough."),
            Option.Of(
                YesNo.Yes,
                "Both ends, both sides, both diagonals",
                "A taper or a lean shows before cloth is cut."
            )
        )
        .AskedWhen(Shape, SeatShapeKind.Rectangle) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<HandSide> Hand = Choice
        .Of(
            "hand",
            "Hand",
            "Outline",
            Option.Of(HandSide.Right, "Right", "The ear or the curve is on the right, seen from the front."),
            Option.Of(HandSide.Left, "Left", "On the left, seen from the front."),
            Option.Of(HandSide.Pairs, "In pairs", "Every second cover is the mirror image of the first.")
        )
        .AskedWhen(
            Shape,
            SeatShapeKind.Ell,
            SeatShapeKind.CurvedEnd,
            SeatShapeKind.FourSided,
            SeatShapeKind.Traced
        ) with
    {
        IsHand = true,
        OnMeasure = true,
    };

    internal static readonly CountChoice BackEdge = Choice
        .OfCount("backEdge", "Back is edge number", "Outline", 0, 0, 60)
        .AskedWhen(Shape, SeatShapeKind.Traced) with
    {
        OnMeasure = true,
        Note = "0 takes the edge that lies furthest back.",
    };

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Side to side, along the front edge of the inner or of the space it sits in.",
        LengthLimits.Item,
        Usual: Length.Inches(22)
    ).AskedWhen(
        Shape,
        SeatShapeKind.Rectangle,
        SeatShapeKind.FourSided,
        SeatShapeKind.Tapered,
        SeatShapeKind.Tee,
        SeatShapeKind.Ell,
        SeatShapeKind.Bow,
        SeatShapeKind.CurvedEnd
    );

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "Front to back, at the side; with a bow front, at the corner.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    ).AskedWhen(
        Shape,
        SeatShapeKind.Rectangle,
        SeatShapeKind.FourSided,
        SeatShapeKind.Tapered,
        SeatShapeKind.Tee,
        SeatShapeKind.Ell,
        SeatShapeKind.Bow,
        SeatShapeKind.CurvedEnd
    );

    internal static readonly Measure Diameter = new Measure(
        "d",
        "diameter",
        "Right across the middle; turn the tape and read twice.",
        LengthLimits.Item,
        Usual: Length.Inches(18)
    ).AskedWhen(Shape, SeatShapeKind.Round);

    internal static readonly Measure B = new Measure(
        "B",
        "back width",
        "Along the back edge.",
        LengthLimits.Item,
        Usual: Length.Inches(18)
    ).AskedWhen(Shape, SeatShapeKind.FourSided, SeatShapeKind.Tapered);

    internal static readonly Measure R = new Measure(
        "R",
        "right side",
        "From the front right corner to the back right one.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    ).AskedWhen(Shape, SeatShapeKind.FourSided);

    internal static readonly Measure X = new Measure(
        "X",
        "diagonal",
        "From the front left corner to the back right one.",
        LengthLimits.Item,
        Usual: Length.Inches(29)
    ).AskedWhen(Shape, SeatShapeKind.FourSided);

    internal static readonly Measure N = new Measure(
        "N",
        "width behind",
        "Across the body, behind the ears.",
        LengthLimits.Item,
        Usual: Length.Inches(16)
    ).AskedWhen(Shape, SeatShapeKind.Tee, SeatShapeKind.Ell);

    internal static readonly Measure E = new Measure(
        "E",
        "ear",
        "Front to back of the part that stands out.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    ).AskedWhen(Shape, SeatShapeKind.Tee, SeatShapeKind.Ell);

    internal static readonly Measure Bow = new Measure(
        "b",
        "bow",
        "How far the middle of the curve stands out beyond its corners.",
        LengthLimits.Item,
        Usual: Length.Inches(2)
    ).AskedWhen(Shape, SeatShapeKind.Bow, SeatShapeKind.CurvedEnd);

    internal static readonly Measure O = new Measure(
        "O",
        "traced outline",
        "Points x, y from the front left, one a line; behind a point arc or hollow and its radius where the way to it is curved. Or an SVG path.",
        LengthLimits.Item
    )
    {
        Kind = MeasureKind.Outline,
        ShownWhen = Condition.While(Shape, SeatShapeKind.Traced),
    };

    internal static readonly Measure CornerRadius = new Measure(
        "r",
        "corner radius",
        "Only if the corners are rounded: from where the side stops being straight to where it would have met the front.",
        new LengthLimits(Length.Zero, Length.Inches(120), "3", "8"),
        Optional: true,
        Usual: Length.Inches(3)
    ).AskedWhen(Shape, SeatShapeKind.Rectangle);

    internal static readonly Measure V = new Measure(
        "V",
        "width at the back",
        "To check: side to side at the back.",
        LengthLimits.Item,
        Optional: true,
        Usual: Length.Inches(22)
    ).AskedWhen(Square, YesNo.Yes);

    internal static readonly Measure M = new Measure(
        "M",
        "length at the other side",
        "To check: front to back at the other side.",
        LengthLimits.Item,
        Optional: true,
        Usual: Length.Inches(20)
    ).AskedWhen(Square, YesNo.Yes);

    internal static readonly Measure X1 = new Measure(
        "X1",
        "diagonal",
        "To check: from the front left corner to the back right one.",
        LengthLimits.Item,
        Optional: true,
        Usual: Length.Inches(29, 3, 4)
    ).AskedWhen(Square, YesNo.Yes);

    internal static readonly Measure X2 = new Measure(
        "X2",
        "other diagonal",
        "To check: from the front right corner to the back left one.",
        LengthLimits.Item,
        Optional: true,
        Usual: Length.Inches(29, 3, 4)
    ).AskedWhen(Square, YesNo.Yes);

    /// <summary>What the outlines need to be told beside their measures.</summary>
    public static readonly IReadOnlyList<Choice> Choices =
    [
        Shape,
        Sides,
        Square,
        Stations.Count.AskedWhen(Shape, SeatShapeKind.Tapered),
        Hand,
        BackEdge,
    ];

    /// <summary>The plan measures of all outlines; each is asked only with the outlines that have it.</summary>
    public static readonly IReadOnlyList<Measure> Measures =
    [
        W,
        L,
        Diameter,
        B,
        R,
        X,
        N,
        E,
        Bow,
        .. Stations.Measures,
        O,
        CornerRadius,
        V,
        M,
        X1,
        X2,
    ];

    /// <summary>What is wrong with the outline as measured.</summary>
    public static IEnumerable<Problem> Check(Reading reading)
    {
        var shape = Chosen(reading);
        var problems = shape.Check(reading).ToList();
        if (problems.Count == 0 && OutlineCheck.Fault(shape.Draw(reading).Outline) is { } fault)
            problems.Add(reading.Refuse(shape.Main, $"the outline {fault}", reading.Example("20", "50")));
        return problems;
    }

    /// <summary>The outline as measured, without ease; asked only when <see cref="Check"/> finds nothing.</summary>
    public static SeatOutline Of(Reading reading)
    {
        var drawn = Chosen(reading).Draw(reading);
        return reading.Chosen(Hand) is HandSide.Left && Chosen(reading).HasHand ? LeftHanded(drawn) : drawn;
    }

    /// <summary>The outline of the inner in words, where it is no plain rectangle; empty for one.</summary>
    public static string OutlineOf(Reading reading) =>
        Chosen(reading) is RectangleShape
            ? reading.OrZero(CornerRadius) is { Value.IsPositive: true } r
                ? $"corners rounded by {reading.Say(r.Value)}"
                : ""
            : $"{Chosen(reading).Name.ToLowerInvariant()}, cut to the outline of the inner";

    /// <summary>Whether every second cover is mirrored.</summary>
    public static bool InPairs(Reading reading) => Chosen(reading).HasHand && reading.Chosen(Hand) is HandSide.Pairs;

    /// <summary>What the check measures of a rectangle tell (craft §1.2).</summary>
    public static IEnumerable<Remark> Remarks(Reading reading)
    {
        if (Chosen(reading) is not RectangleShape)
            yield break;
        var tolerance = reading.Unit.IsInches() ? Length.Inches(0, 1, 4) : Length.Millimetres(6);
        foreach (var (one, other, what) in new[] { (W, V, "widths"), (L, M, "lengths"), (X1, X2, "diagonals") })
            if (reading.Known(one) is { } a && reading.Known(other) is { } b && (a - b).Abs() > tolerance)
                yield return new Remark(
                    $"Out of square or tapered: the {what} differ by {reading.Say((a - b).Abs())}. Choose the four-sided or the tapered outline.",
                    Caution: true
                )
                {
                    OnMeasure = true,
                };
    }

    /// <summary>
    /// The measuring sketch: a box on this outline, its letters where they are measured. Usual sizes stand in for what
    /// is not measured yet.
    /// </summary>
    public static Sketch Sketch(Reading reading, Measure thickness) =>
        PrismSketch.Of(Chosen(reading).Drawing(reading), thickness, reading.Drawn(thickness));

    private static SeatShape Chosen(Reading reading) => All.First(shape => shape.Kind == reading.Chosen(Shape));

    private static SeatOutline LeftHanded(SeatOutline right) =>
        right with
        {
            Shape = d => SeatShape.Mirror(right.Shape(d)),
            Lengths = right.Lengths.ToDictionary(pair => SeatShape.OtherSide(pair.Key), pair => pair.Value),
        };
}

/// <summary>The answers to: Outline.</summary>
internal enum SeatShapeKind
{
    Rectangle,
    FourSided,
    Tapered,
    Round,
    Tee,
    Ell,
    Bow,
    CurvedEnd,
    Traced,
}

/// <summary>The answers to: Tapered sides.</summary>
internal enum SideLine
{
    Straight,
    Smooth,
}

/// <summary>The answers to: Hand.</summary>
internal enum HandSide
{
    Right,
    Left,
    Pairs,
}
