using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// A cover for a board that narrows to a nose, by widths along its length, drawn in beneath by a cord (craft §9.4).
/// </summary>
public sealed class TracedBoard : MakeUp
{
    internal static readonly OptionChoice<SideLine> Sides = Choice.Of(
        "sides",
        "Sides",
        "Outline",
        Option.Of(SideLine.Smooth, "A smooth curve", "A smooth curve through all widths; needs one between at least."),
        Option.Of(SideLine.Straight, "Straight", "Straight from width to width.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<BoardBy> By = Choice.Of(
        "board",
        "The board is told by",
        "Outline",
        Option.Of(BoardBy.Widths, "Widths along its length", "A square end, widths, and a nose."),
        Option.Of(BoardBy.Trace, "A traced outline", "Any shape: points and arcs off a template, or an SVG path.")
    ) with
    {
        OnMeasure = true,
    };

    // The outline of the board, its nose away from you.
    internal static readonly Measure O = OutlineShapes.O with
    {
        HoldTape =
            "Points x, y of the bare board from its near left corner, one a line; behind a point arc or hollow and its radius where the way to it is curved. Or an SVG path.",
        ShownWhen = Condition.While(By, BoardBy.Trace),
        UsualOutline = "0, 0; 15, 0; 11, 48; 4, 48 arc 4; 0, 0",
    };

    internal static readonly LengthChoice Beyond = Choice.OfLength(
        "beyond",
        "Turned under, beyond board and pad",
        "Edge",
        Length.Inches(1, 1, 4),
        30,
        LengthLimits.UpTo(12, "1 1/4", "3")
    ) with
    {
        Adjustable = Length.Inches(0, 1, 4),
        Note = "The outline is moved out by this and the thickness of board and pad.",
    };

    internal static readonly LengthChoice Pad = Choice.OfLength(
        "pad",
        "Pad on top, thickness",
        "Pad",
        Length.Zero,
        0,
        LengthLimits.UpTo(6, "1/2", "1.2", zero: true)
    );

    internal static readonly OptionChoice<CordEdge> Edge = Choice.Of(
        "edge",
        "Drawcord in the edge",
        "Edge",
        Option.Of(
            CordEdge.Serged,
            "Serged into the edge",
            "Cut on the outline; the drawcord is sewn over while the edge is serged."
        ),
        Option.Of(CordEdge.Casing, "In a casing", "The edge is turned over the drawcord.")
    );

    internal static readonly Measure W = new Measure(
        "W",
        "square end",
        "Across the wide end, edge to edge.",
        LengthLimits.Item,
        Usual: Length.Inches(15)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "From the square end to where the nose begins to round.",
        LengthLimits.Item,
        Usual: Length.Inches(54)
    );

    internal static readonly Measure B = new Measure(
        "B",
        "width at the nose",
        "Across, where the nose begins to round.",
        LengthLimits.Item,
        Usual: Length.Inches(6)
    );

    internal static readonly Measure Nose = new Measure(
        "b",
        "nose",
        "How far the tip stands beyond that line; nothing for a square one.",
        new LengthLimits(Length.Zero, Length.Inches(60), "2", "5"),
        Optional: true,
        Usual: Length.Inches(3)
    );

    internal static readonly Measure T = new Measure(
        "T",
        "board",
        "Thickness of the board at its edge, without its pad.",
        LengthLimits.UpTo(12, "1", "2.5"),
        Usual: Length.Inches(1)
    );

    // At the square end the cord starts here and comes out again.
    private static readonly Length StartGap = Length.Inches(1),
        Tail = Length.Inches(12);

    /// <inheritdoc/>
    public override string Key => "traced-board";

    /// <inheritdoc/>
    public override string Name => "Cover drawn in by a drawcord";

    /// <inheritdoc/>
    public override string Family => "Ironing board";

    /// <inheritdoc/>
    public override string Suits =>
        "Any board with a nose: its outline from widths along its length, a drawcord in the edge, one stop to hold it.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        W.AskedWhen(By, BoardBy.Widths),
        L.AskedWhen(By, BoardBy.Widths),
        B.AskedWhen(By, BoardBy.Widths),
        Nose.AskedWhen(By, BoardBy.Widths),
        O,
        T,
        // The widths are the stations of a tapered seat, taken from the square end.
        .. Stations.Measures.Select(
            (measure, at) =>
                measure with
                {
                    HoldTape =
                        at % 2 == 0
                            ? "How far from the square end the width is taken."
                            : "Side to side at that distance.",
                    // 18, 30 and 42 from the end, 14, 12 and 10 wide.
                    Usual = Length.Inches(at % 2 == 0 ? 18 + (6 * at) : 15 - at),
                }
        ),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        By,
        Stations.Count.AskedWhen(By, BoardBy.Widths),
        Sides.AskedWhen(By, BoardBy.Widths),
        Beyond,
        Pad,
        Edge,
        CordCasing.Thick,
        CordCasing.Width.AskedWhen(Edge, CordEdge.Casing),
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        if (IsTraced(reading))
            return PrismSketch.Of(
                new PlanDrawing(reading.Traced(O) ?? OutlineReader.Read(O.UsualOutline, JobUnit.Inch).Outline!, []),
                T,
                reading.Drawn(T)
            );
        var plan = new TaperedShape().Drawing(reading);
        var b = NoseOf(reading.Drawn(B), reading.Known(Nose) ?? Length.Zero);
        var back = plan.Lines.Single(line => line.Measure == OutlineShapes.B);
        var tip = new Point((back.From.X + back.To.X).Over(2), back.From.Y);
        return PrismSketch.Of(
            new PlanDrawing(
                Rounded(plan.Outline, b),
                [.. plan.Lines, new(Nose, tip, tip.Moved(Length.Zero, Length.Max(b, Length.Inches(2))))]
            ),
            T,
            reading.Drawn(T)
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (IsTraced(reading))
            yield break;
        foreach (var problem in new TaperedShape().Check(reading))
            yield return problem;
        if (2 * reading.OrZero(Nose).Value > reading[B].Value)
            yield return reading.Refuse(
                Nose,
                $"stands out more than half of the width there ({reading.Say(reading[B].Value.Over(2))}): take that width nearer to the tip",
                reading.Example("2", "5")
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var board = Board(reading);
        var over = (
            reading[T] + Working.Of("pad", "pad", reading[Pad]) + Working.Of("beyond", "turned under", reading[Beyond])
        ).As("o", "outline moved out by");
        var outline = board.Grown(over);
        var cased = reading.Chosen(Edge) is CordEdge.Casing;
        var start = IsTraced(reading) ? "the straightest end" : "the square end";
        Working Hem(string edge) =>
            cased
                ? CordCasing.Allowance(reading, "cover", edge)
                : reading.Own("cover", edge, new Allowance("k", AllowanceRole.Casing, Length.Zero));
        var piece = new Piece("cover", "cover", 1, outline.Dimensions, outline.Shape)
        {
            Allowances = outline.Outline.Edges.ToDictionary(edge => edge.Name, edge => Hem(edge.Name)),
            Grain = reading.Chosen(GrainChoices.Panels),
            Wraps = new(board.Outline, reading[T].Value + reading[Pad]),
            Note = $"The drawcord starts and ends at {start}, 1 in (2.5 cm) apart.",
        }.Measured(outline.Width, outline.Depth);
        var round = Working.Of("P", "round the edge as drawn", outline.Outline.Perimeter());
        return new Pattern
        {
            Pieces = [piece],
            Seams = [],
            Uses =
            [
                .. outline.Outline.Edges.Select(edge => new Use(
                    reading.Chosen(Edge) is CordEdge.Casing ? EdgeUse.Casing : EdgeUse.Hem,
                    new Run("cover", 1, edge.Name) { Drafted = outline.Lengths[edge.Name].Value }
                )),
            ],
            Finished =
            [
                ("board, width", board.Width),
                ("board, length", board.Depth),
                ("outline moved out by", over),
                ("round the edge", round),
            ],
            Notions =
            [
                new(
                    "cord",
                    "drawcord",
                    round + Working.Of("tails", "tails", Tail),
                    Note: $"{reading.Say(reading[CordCasing.Thick])} thick"
                )
                {
                    SoldAs = $"drawcord, {reading.Say(reading[CordCasing.Thick])} thick",
                },
                new("cord-stop", "drawcord stop", null),
            ],
            Steps =
            [
                Step.Cutting("Cut the cover."),
                Step.Of(
                    StepKind.Holding,
                    cased
                        ? $"Turn the casing under and sew it, a gap of {reading.Say(StartGap)} left at {start}; draw the drawcord through."
                        : $"Serge the edge over the drawcord, from {start} round to {reading.Say(StartGap)} before the start; leave a tail of half a foot at both ends."
                ),
                Step.Fitting(
                    "Fit the drawcord stop half-way along the tails; try the cover on, pull the drawcord and set the stop."
                ),
            ],
        };
    }

    /// <inheritdoc/>
    public override IEnumerable<Piece> Fillings(Reading reading) =>
        reading[Pad] is { IsPositive: true } thick ? [PadStack.Layer(reading, 1, thick, Board(reading))] : [];

    // The board itself: sides through all widths, the far end rounded to the nose.
    private static SeatOutline Board(Reading reading)
    {
        if (IsTraced(reading))
            return TracedShape.Of(reading.Traced(O)!, backEdge: 0);
        var sides = new TaperedShape().Draw(reading);
        var b = reading.OrZero(Nose);
        if (!b.Value.IsPositive)
            return sides;
        var dimensions = new Dictionary<string, Working>(sides.Dimensions) { ["nose"] = b };
        var shape = sides.Shape;
        var lengths = new Dictionary<string, Working>(sides.Lengths) { ["back"] = Working.ArcOver(reading[B], b) };
        return sides with
        {
            Dimensions = dimensions,
            Shape = d => Rounded(shape(d), d["nose"]),
            Lengths = lengths,
            Depth = sides.Depth + b,
        };
    }

    private static bool IsTraced(Reading reading) => reading.Chosen(By) is BoardBy.Trace;

    private static Length NoseOf(Length width, Length nose) => Length.Min(nose, width.Over(2));

    private static Outline Rounded(Outline sides, Length nose) =>
        !nose.IsPositive
            ? sides
            : new Outline([
                .. sides.Edges.Select(
                    (edge, at) =>
                        edge.Name == "back"
                            ? edge with
                            {
                                Radius = Bows.Radius(edge.Start.X - sides.Edges[at + 1].Start.X, nose),
                            }
                            : edge
                ),
            ]);
}

/// <summary>The answers to: The board is told by.</summary>
internal enum BoardBy
{
    Widths,
    Trace,
}

/// <summary>The answers to: Sides.</summary>
internal enum SideLine
{
    Smooth,
    Straight,
}

/// <summary>The answers to: Cord in the edge.</summary>
internal enum CordEdge
{
    Serged,
    Casing,
}
