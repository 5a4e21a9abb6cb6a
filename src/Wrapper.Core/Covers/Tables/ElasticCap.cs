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
/// A cap over a work table, pressing board, tray or bench, held by elastic or a drawstring, with a drop of its own on
/// each side (craft §9.3).
/// </summary>
public sealed partial class ElasticCap : MakeUp
{
    /// <inheritdoc/>
    public override string Key => "elastic-cap";

    /// <inheritdoc/>
    public override string Name => "Cap held by elastic or a drawstring";

    /// <inheritdoc/>
    public override string Family => "Work table, tray or pressing board";

    /// <inheritdoc/>
    public override string Suits =>
        "Pulled over the top and gripped beneath: comes off for washing, and goes round what is in the way under an edge.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [W, L, T, .. Enumerable.Range(0, MostObstacles).SelectMany(at => new[] { ToObstacle[at], ObstacleWidth[at] })];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        .. Overhang,
        Obstacles,
        .. Enumerable.Range(0, MostObstacles).SelectMany(at => new Choice[] { ObstacleSide[at], Clear[at] }),
        Corners,
        Pads,
        .. PadLayer,
        Turns,
        Wadding,
        Barrier,
        Hold,
        Elastic.Edge.AskedWhen(Hold, HoldSchool.Elastic),
        Elastic.Run.AskedWhen(Hold, HoldSchool.Elastic),
        Elastic.Ratio,
        Elastic.Width.AskedWhen(Hold, HoldSchool.Elastic),
        Drawstring,
        StringWidth,
        CordCasing.Thick.AskedWhen(Hold, HoldSchool.Drawstring).AndWhen(Drawstring, DrawnBy.Cord),
        CordCasing.Width.AskedWhen(Hold, HoldSchool.Drawstring).AndWhen(Drawstring, DrawnBy.Cord),
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, Elastic.Casing];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var (w, l) = (reading.Drawn(W), reading.Drawn(L));
        List<PlanLine> lines =
        [
            new(W, new(Length.Zero, Length.Zero), new(w, Length.Zero)),
            new(L, new(w, Length.Zero), new(w, l)),
        ];
        foreach (var n in Enumerable.Range(1, reading[Obstacles]))
        {
            var side = (int)reading.Chosen(ObstacleSide[n - 1]);
            var reach = side % 2 == 0 ? w : l;
            var from = Length.Min(reading.Known(ToObstacle[n - 1]) ?? reach.Over(4), reach);
            var to = Length.Min(from + (reading.Known(ObstacleWidth[n - 1]) ?? reach.Over(6)), reach);
            Point On(Length along) =>
                side switch
                {
                    0 => new(along, Length.Zero),
                    1 => new(w, along),
                    2 => new(w - along, l),
                    _ => new(Length.Zero, l - along),
                };
            lines.Add(new(ToObstacle[n - 1], On(Length.Zero), On(from)));
            lines.Add(new(ObstacleWidth[n - 1], On(from), On(to)));
        }
        return PrismSketch.Of(new PlanDrawing(Outline.Rectangle(w, l), lines), T, reading.Drawn(T));
    }

    /// <summary>The item in a mirror; an obstacle that began so far from one end of its side ends so far from it.</summary>
    public override Item Mirrored(Item item)
    {
        var reading = new Reading(this, item, item.Choices.Values.FirstOrDefault()?.Unit ?? JobUnit.Inch);
        var mirrored = base.Mirrored(item);
        var measures = new Dictionary<string, Entry>(mirrored.Measures);
        foreach (var n in Enumerable.Range(0, reading[Obstacles]))
        {
            var side = reading.Chosen(ObstacleSide[n]) is BoardSide.Front or BoardSide.Back ? W : L;
            if (
                reading.Known(side) is { } reach
                && reading.Known(ToObstacle[n]) is { } from
                && reading.Known(ObstacleWidth[n]) is { } wide
                && from + wide <= reach
            )
                measures[ToObstacle[n].Key] = Entry.Of(reach - from - wide, item.Measures[ToObstacle[n].Key].Unit);
        }
        return mirrored with { Measures = measures };
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var drawn = reading.Chosen(Hold) is HoldSchool.Drawstring;
        var (sheet, k) = (Sheet(reading), drawn ? Casing(reading).Value : reading[Elastic.Casing].Value);
        var cased = drawn || reading.Chosen(Elastic.Edge) is ElasticEdge.Casing;
        foreach (var overhang in Overhang)
            if (cased && reading[overhang] <= k)
                yield return reading.Refuse(
                    overhang,
                    $"an overhang no longer than its casing ({reading.Say(k)}) has nothing to grip",
                    reading.Example("3 1/2", "9")
                );
        var obstacles = ObstaclesOf(reading);
        foreach (var obstacle in obstacles)
        {
            var (n, reach) = (obstacle.Number, Reach(reading, obstacle.Side).Value);
            var (from, to) = (obstacle.From.Value, (obstacle.From + obstacle.Width).Value);
            if (to > reach - sheet.Slope(obstacle.Side, end: true) || from < sheet.Slope(obstacle.Side, end: false))
                yield return reading.Refuse(
                    ToObstacle[n - 1],
                    $"the obstacle does not lie within its side ({reading.Say(reach)}, less what slopes at its corners)",
                    reading.Example("12", "30")
                );
            else if (
                obstacles.FirstOrDefault(other =>
                    other.Number < n
                    && other.Side == obstacle.Side
                    && other.From.Value < to
                    && from < (other.From + other.Width).Value
                ) is
                { } other
            )
                yield return reading.Refuse(
                    ToObstacle[n - 1],
                    $"obstacles {other.Number} and {n} overlap",
                    reading.Example("24", "60")
                );
            if (obstacle.Drop.Value >= Drops(reading)[obstacle.Side].Value)
                yield return reading.Refuse(
                    Clear[n - 1],
                    "no shorter than the overhang of that side",
                    reading.Example("1", "2.5")
                );
        }
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var sheet = Sheet(reading);
        var (wide, deep, drops) = (sheet.Width, sheet.Depth, sheet.Drops);
        Working Hem(string edge) =>
            reading.Chosen(Hold) is HoldSchool.Drawstring
                ? reading.Own("sheet", edge, new Allowance("k", AllowanceRole.Casing, Casing(reading).Value))
                : Elastic.Allowance(reading, "sheet", edge);
        var piece = new Piece("sheet", "sheet", 1, sheet.Dimensions, sheet.Shape);
        piece = piece with
        {
            Allowances = piece.Stitch.Edges.ToDictionary(
                edge => edge.Name,
                edge =>
                    CapSheet.IsSeam(edge.Name)
                        ? reading.EdgeAllowance(EdgeAllowances.Seam, "sheet", edge.Name)
                        : Hem(edge.Name)
            ),
            Grain = reading.Chosen(GrainChoices.Panels),
            Wraps = new(Outline.Rectangle(wide.Value, deep.Value), Height(reading).Value),
            Note =
                ObstaclesOf(reading).Count > 0
                    ? "Snip into the inside corners over each obstacle before the edge is turned."
                    : "",
        };
        piece = piece.Measured(wide + drops[1] + drops[3], deep + drops[0] + drops[2]);
        List<Seam> seams = [.. sheet.CornerSeams("sheet")];
        var outer = piece.Stitch.Edges.Where(edge => !CapSheet.IsSeam(edge.Name)).ToList();
        var hem = Working.Of(
            "hem",
            "hem line as drawn",
            outer.Aggregate(Length.Zero, (sum, edge) => sum + piece.Stitch.LengthOf(edge.Name))
        );
        var height = Height(reading);
        return new Pattern
        {
            Pieces = [piece, .. StringOf(reading, hem)],
            Seams = seams,
            Uses =
            [
                .. StringOf(reading, hem)
                    .SelectMany(strip => Plain.Unsewn(EdgeUse.Fold, strip.Key, 1, "lower", "upper"))
                    .Concat(
                        StringOf(reading, hem)
                            .SelectMany(strip => Plain.Unsewn(EdgeUse.Raw, strip.Key, 1, "left", "right"))
                    ),
                .. outer.Select(edge => new Use(
                    reading.Chosen(Hold) is HoldSchool.Drawstring ? EdgeUse.Casing : Elastic.Use(reading),
                    new Run("sheet", 1, edge.Name) { Drafted = piece.Stitch.LengthOf(edge.Name) }
                )),
            ],
            Finished =
            [
                ("finished width", wide),
                ("finished length", deep),
                ("height over board and pad", height),
                .. CapSheet.Sides.Select((side, at) => ($"drop, {side}", drops[at])),
                ("hem perimeter", hem),
            ],
            Applied =
            [
                .. StringOf(reading, hem)
                    .Select(strip => new Applied(
                        "drawstring, folded",
                        AppliedKind.Topstitching,
                        strip.Sizes[2].Working
                    )),
            ],
            Notions = [.. Holding(reading, hem, drops)],
            Steps =
            [
                Step.Cutting("Cut the sheet; mark the corners and where each obstacle is."),
                new(
                    seams.Count > 0
                        ? "Sew the corners; the seam takes the smaller drop, the longer side slopes down to it."
                        : "Finish the edge; at the rounded corners ease it in.",
                    [.. seams.Select(seam => seam.Name)]
                )
                {
                    Kind = seams.Count > 0 ? StepKind.Sewing : StepKind.Edges,
                },
                Step.Fitting(
                    $"Try it on over the pad before the {(reading.Chosen(Hold) is HoldSchool.Elastic ? "elastic" : "drawstring")}."
                ),
                .. reading.Chosen(Hold) is HoldSchool.Elastic
                    ? Elastic.Steps(reading)
                    :
                    [
                        .. IsOwnCloth(reading)
                            ?
                            [
                                Step.Pressing(
                                    "Fold the drawstring's strip lengthwise to the middle, then in half; press, and sew it down close to the edge."
                                ) with
                                {
                                    Kind = StepKind.Holding,
                                },
                            ]
                            : Array.Empty<Step>(),
                        Step.Of(
                            StepKind.Holding,
                            $"Turn the casing, a gap of {reading.Say(Length.Inches(1))} left open; draw the {(IsOwnCloth(reading) ? "drawstring" : "drawcord")} through and tie it beneath."
                        ),
                    ],
            ],
            Remarks =
            [
                .. reading.Chosen(Hold) is HoldSchool.Elastic ? Elastic.Remarks(reading) : [],
                .. reading.Chosen(Corners) is SheetCorners.SquareDrop
                    ?
                    [
                        new Remark(
                            $"Top finishes {reading.Say(2 * reading[EdgeAllowances.Seam].Value)} smaller each way, the sides {reading.Say(reading[EdgeAllowances.Seam].Value)} deeper: snug. Right over a soft pad, wrong for a rigid top."
                        ),
                    ]
                    : Array.Empty<Remark>(),
            ],
        };
    }

    /// <inheritdoc/>
    public override IEnumerable<Piece> Fillings(Reading reading) => PadStack.Of(reading, PadsOf(reading));

    private static T[] Numbered<T>(int most, Func<int, T> one) => [.. Enumerable.Range(1, most).Select(one)];

    private static Working[] PadsOf(Reading reading) =>
        [
            .. Enumerable
                .Range(1, reading[Pads])
                .Select(n => Working.Of($"p{n}", $"pad layer {n}", reading[PadLayer[n - 1]])),
        ];

    private static Working Wrapped(Reading reading) =>
        reading[Turns] == 0
            ? Sum.Of()
            : (reading[Turns] * Working.Of("wadding", "wadding", reading[Wadding])).As("n t", "wadding, all turns");

    // Wrapped from side to side it lies at both ends.
    private static Working Wide(Reading reading) =>
        reading[Turns] == 0 ? reading[W] : reading[W] + (2 * Wrapped(reading));

    // The board, its pads, and the wadding above and below.
    private static Working Height(Reading reading) =>
        Sum.Of([
                reading[T],
                .. PadsOf(reading),
                .. reading[Turns] > 0 ? [2 * Wrapped(reading)] : Array.Empty<Working>(),
            ])
            .As("H", "height over board and pad");

    private static Working[] Drops(Reading reading) =>
        [
            .. CapSheet.Sides.Select(
                (side, at) => Height(reading) + Working.Of($"o {side}", $"overhang, {side}", reading[Overhang[at]])
            ),
        ];

    private static Working Reach(Reading reading, int side) => side % 2 == 0 ? Wide(reading) : reading[L];

    private static List<Obstacle> ObstaclesOf(Reading reading) =>
        [
            .. Enumerable
                .Range(1, reading[Obstacles])
                .Select(n => new Obstacle(
                    n,
                    (int)reading.Chosen(ObstacleSide[n - 1]),
                    reading[ToObstacle[n - 1]],
                    reading[ObstacleWidth[n - 1]],
                    Height(reading) + Working.Of($"clear {n}", $"overhang over obstacle {n}", reading[Clear[n - 1]])
                )),
        ];

    // Square = drop moves a seam allowance from each side of the top to its drop (craft §3).
    private static CapSheet Sheet(Reading reading)
    {
        var (corners, s) = (reading.Chosen(Corners), reading[EdgeAllowances.Seam]);
        var (wide, deep, drops, obstacles) = (Wide(reading), reading[L], Drops(reading), ObstaclesOf(reading));
        return corners is SheetCorners.SquareDrop
            ? new(
                wide - (2 * s),
                deep - (2 * s),
                [.. drops.Select(drop => drop + s)],
                [.. obstacles.Select(each => each with { From = each.From - s, Drop = each.Drop + s })],
                rounded: false
            )
            : new(wide, deep, drops, obstacles, corners is SheetCorners.Rounded);
    }
}
