using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>A box cushion with a separate boxing strip and zip strip: the tailored school (craft §4.1).</summary>
public class BoxCushionStrip : BoxCushion
{
    internal static readonly LengthChoice ZipTurn = Choice.OfLength(
        "zipTurn",
        "Zip turns each back corner by",
        "Zip",
        Length.Inches(2, 1, 2),
        65,
        new LengthLimits(Length.Zero, Length.Inches(60), "2 1/2", "6.5")
    ) with
    {
        Note = "0 keeps the zip in the back edge; more makes the inner easier to put in.",
    };

    internal static readonly OptionChoice<AssemblySchool> Assembly = Choice.Of(
        "assembly",
        "Assembly",
        "Boxing",
        Option.Of(
            AssemblySchool.Ring,
            "Cord first, closed ring",
            "Zip strip and boxing become a ring, then the ring goes on the panels. Easiest to keep square."
        ),
        Option.Of(
            AssemblySchool.Sandwich,
            "Sandwich, open strip",
            "Panel, cord and boxing in one pass from a front corner; the zip strip is sewn last to the length that is left, with a lap at both ends."
        )
    );

    internal static readonly OptionChoice<LapPlaces> LapEnds = Choice.Of(
        "lapEnds",
        "Lap over the slider",
        "Boxing",
        Option.Of(LapPlaces.One, "At one end", "Hides the slider where the zip closes."),
        Option.Of(LapPlaces.Both, "At both ends", "Both ends of the zip look alike."),
        Option.Of(LapPlaces.None, "None", "The slider shows.")
    ) with
    {
        ShownWhen = Condition.While(Assembly, AssemblySchool.Ring),
    };

    internal static readonly LengthChoice Lap = Choice.OfLength(
        "lap",
        "Lap",
        "Boxing",
        Length.Inches(0, 3, 4),
        20,
        new LengthLimits(Length.Zero, Length.Inches(4), "3/4", "2")
    ) with
    {
        Adjustable = Length.Inches(0, 1, 4),
        Note = "A tuck, out and back: it takes twice its length of the strip.",
    };

    internal static readonly CountChoice Lengths = Choice.OfCount(
        "lengths",
        "Boxing in lengths",
        "Boxing",
        1,
        1,
        12
    ) with
    {
        Note =
            "At least; where the cloth is not long or wide enough for one it is joined by itself, at the front corners first.",
    };

    internal static readonly OptionChoice<JoinPlaces> Joins = Choice.Of(
        "joins",
        "Joins of the boxing",
        "Boxing",
        Option.Of(
            JoinPlaces.Corners,
            "At the front corners",
            "The join disappears in the corner; at most three lengths."
        ),
        Option.Of(JoinPlaces.Evenly, "Evenly", "Lengths as even as they can be, never joined in the front run.")
    );

    /// <inheritdoc/>
    public override string Key => "box-cushion-strip";

    /// <inheritdoc/>
    public override string Name => "Separate boxing strip";

    /// <inheritdoc/>
    public override Length Tolerance => Length.Inches(0, 1, 8);

    /// <inheritdoc/>
    public override string Suits =>
        "The tailored look: crisp edges, cord if wanted, rounded corners, and a zip that turns the back corners so that foam goes in easily.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices => BoxedChoices;

    /// <summary>The choices of this school.</summary>
    private protected static IReadOnlyList<Choice> BoxedChoices { get; } =
    [
        .. OutlineShapes.Choices,
        .. EaseSchools.Choices,
        ZipTurn,
        Assembly,
        LapEnds,
        Lap,
        Lengths,
        Joins,
        GrainChoices.Panels,
        GrainChoices.Strips,
        .. Cord.Choices,
    ];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = base.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var plan = new BoxedPlan(reading);
        if (plan.Turn.Value >= plan.SideRun.Value)
            problems.Add(
                reading.Refuse(
                    ZipTurn,
                    $"the zip would run past the side ({reading.Say(plan.SideRun.Value)})",
                    reading.Example("2 1/2", "6.5")
                )
            );
        if (reading.Chosen(Joins) is JoinPlaces.Corners && reading[Lengths] > 3)
            problems.Add(reading.Refuse(Lengths, "joins at the two front corners give three lengths at the most", "3"));
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var plan = new BoxedPlan(reading);
        var panel = Panel(reading, plan) with { MayBeJoined = JoinsPanels };
        var boxing = new BoxingStrip(reading, plan, GrainChoices.OfStrips(reading));
        var zipStrip = ZipStrip(reading, plan);
        bool IsCorded(int panel) =>
            reading.Chosen(Cord.Corded) is Cording.Both || (panel == 1 && reading.Chosen(Cord.Corded) is Cording.Top);
        List<Seam> seams =
        [
            .. from side in new[] { 1, 2 } // 1 the top panel, 2 the bottom panel
            let name = side == 1 ? "top" : "bottom"
            from seam in new Seam[]
            {
                new(
                    $"boxing to {name} panel",
                    SeamKind.Join,
                    boxing.LongEdge(side),
                    plan.Ring.Stretch("panel", side, plan.BoxingStart, plan.BoxingRun.Value),
                    plan.BoxingRun
                )
                {
                    CordLine = IsCorded(side) ? $"{name} edge" : null,
                },
                new(
                    $"zip strip to {name} panel",
                    SeamKind.Join,
                    [new Run("zip-strip", side, "outer")],
                    plan.Ring.Stretch("panel", side, plan.ZipStart, plan.ZipRun.Value),
                    plan.ZipRun
                )
                {
                    CordLine = IsCorded(side) ? $"{name} edge" : null,
                },
            }
            select seam,
            new("zip", SeamKind.Zip, [new Run("zip-strip", 1, "zip")], [new Run("zip-strip", 2, "zip")], plan.ZipRun)
            {
                Zip = Zip.Chain(plan.ZipRun + (2 * reading[EdgeAllowances.Seam])),
            },
            new(
                "boxing to zip strip, first end",
                SeamKind.Join,
                [boxing.FirstEnd],
                [new Run("zip-strip", 1, "right end"), new Run("zip-strip", 2, "left end")],
                plan.Depth
            ),
            new(
                "boxing to zip strip, second end",
                SeamKind.Join,
                [boxing.LastEnd],
                [new Run("zip-strip", 2, "right end"), new Run("zip-strip", 1, "left end")],
                plan.Depth
            ),
            .. boxing.Joins,
            .. boxing.Laps,
        ];

        List<Piece> pieces = [panel, zipStrip, .. boxing.Pieces];

        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Finished =
            [
                .. FinishedSizes(plan.Seat.Width, plan.Seat.Depth, plan.Depth),
                ("perimeter", plan.Perimeter),
                ("zip run", plan.ZipRun),
                ("boxing run", plan.BoxingRun),
            ],
            Notions = [.. Basics(reading)],
            MidDepth = plan.Depth / 2,
            CordGauge =
                reading.Chosen(Cord.Corded) is Cording.Both
                    ? ("from cord to cord, across the boxing", plan.Depth)
                    : null,
            Steps = BoxedSteps.Of(reading, seams, reading.Chosen(Cord.Corded)),
            Remarks = [.. EaseRemarks(reading)],
            InPairs = OutlineShapes.InPairs(reading),
        };
    }

    private static Piece Panel(Reading reading, BoxedPlan plan)
    {
        Working Own(string edge) => reading.EdgeAllowance(EdgeAllowances.Seam, "panel", edge);
        var outline = plan.Seat.Outline;
        return new Piece("panel", "panel", 2, plan.Seat.Dimensions, plan.Seat.Shape)
        {
            Allowances = outline.Edges.ToDictionary(edge => edge.Name, edge => Own(edge.Name)),
            Grain = reading.Chosen(GrainChoices.Panels),
            TurnedOver = true,
            Note = "One top, and one bottom that is turned over.",
        }.Measured(plan.Seat.Width, plan.Seat.Depth, more: plan.Seat.Diagonals(outline));
    }

    private static Piece ZipStrip(Reading reading, BoxedPlan plan)
    {
        Working Edge(string edge) =>
            reading.EdgeAllowance(edge == "zip" ? EdgeAllowances.Zip : EdgeAllowances.Seam, "zip-strip", edge);
        var half = plan.Depth / 2;
        return new Piece(
            "zip-strip",
            "zip strip, half",
            2,
            new Dictionary<string, Working> { ["length"] = plan.ZipRun, ["height"] = half },
            d => Outline.Rectangle(d["length"], d["height"], "zip", "right end", "outer", "left end")
        )
        {
            Allowances = new[] { "zip", "right end", "outer", "left end" }.ToDictionary(edge => edge, Edge),
            Grain = GrainChoices.OfStrips(reading),
            Role = ClothRole.Boxing,
            MayBeJoined = true,
            JoinedFirstAt = plan.Turn.Value.IsPositive ? [plan.Turn, plan.ZipRun - plan.Turn] : [],
        }.Measured(plan.ZipRun, half, "length", "height");
    }
}

/// <summary>The answers to: Assembly.</summary>
internal enum AssemblySchool
{
    Ring,
    Sandwich,
}

/// <summary>The answers to: Lap over the slider.</summary>
internal enum LapPlaces
{
    One,
    Both,
    None,
}

/// <summary>The answers to: Joins of the boxing.</summary>
internal enum JoinPlaces
{
    Corners,
    Evenly,
}
