using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>A cap over a work table, pressing board, tray or bench, held by elastic or a drawstring, with a drop of its own on each side (handbook §9.3).</summary>
public sealed class ElasticCap : MakeUp
{
    private const int MostObstacles = 3,
        MostPads = 3;

    /// <inheritdoc/>
    public override string Key => "elastic-cap";

    /// <inheritdoc/>
    public override string Name => "Cap held by elastic or a drawstring";

    /// <inheritdoc/>
    public override string Family => "Work table, tray or pressing board";

    /// <inheritdoc/>
    public override string When =>
        "Pulled over the top and gripped beneath: comes off for washing, and goes round what is in the way under an edge.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        new("W", "width", "Of the board, along its longer side.", LengthLimits.Item),
        new("L", "depth", "Of the board, front to back.", LengthLimits.Item),
        new("T", "board", "Thickness of the bare board at its edge.", Usual.UpTo(24, "3/4", "2")),
        .. Enumerable
            .Range(1, MostObstacles)
            .SelectMany(n =>
                new Measure[]
                {
                    new Measure(
                        $"x{n}",
                        $"to obstacle {n}",
                        "Facing that side: from its left end to where the obstacle begins.",
                        Usual.UpTo(600, "12", "30", zero: true)
                    ).When("obstacles", Usual.AtLeast(n, MostObstacles)),
                    new Measure(
                        $"y{n}",
                        $"obstacle {n}, width",
                        "Along the edge, with room for a hand.",
                        Usual.UpTo(600, "6", "15")
                    ).When("obstacles", Usual.AtLeast(n, MostObstacles)),
                }
            ),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        .. CapSheet.Sides.Select(side =>
            Choice.OfLength(
                $"{side}Over",
                $"Overhang, {side}",
                "Overhang",
                Length.Inches(3, 1, 2),
                90,
                Usual.UpTo(24, "3 1/2", "9")
            ) with
            {
                Adjustable = Length.Inches(0, 1, 2),
                Note = "Below the board's lower edge, to the hem line.",
            }
        ),
        Choice.OfCount("obstacles", "Obstacles under an edge", "Obstacles", 0, 0, MostObstacles) with
        {
            OnMeasure = true,
        },
        .. Enumerable
            .Range(1, MostObstacles)
            .SelectMany(n =>
                new Choice[]
                {
                    Choice
                        .Of(
                            $"side{n}",
                            $"Obstacle {n} is at the",
                            "Obstacles",
                            [
                                .. CapSheet.Sides.Select(side => new Option(
                                    side,
                                    char.ToUpperInvariant(side[0]) + side[1..],
                                    $"Under the {side} edge."
                                )),
                            ]
                        )
                        .When("obstacles", Usual.AtLeast(n, MostObstacles)) with
                    {
                        OnMeasure = true,
                    },
                    Choice
                        .OfLength(
                            $"clear{n}",
                            $"Overhang over obstacle {n}",
                            "Obstacles",
                            Length.Inches(1),
                            25,
                            Usual.UpTo(24, "1", "2.5", zero: true)
                        )
                        .When("obstacles", Usual.AtLeast(n, MostObstacles)),
                }
            ),
        Choice.Of(
            "corners",
            "Corners",
            "Corners",
            new Option(
                "squared",
                "Squared",
                "Sewn by the corner rule; where overhangs differ the longer side slopes down to the smaller."
            ),
            new Option("rounded", "Rounded", "One smooth curve from hem to hem, no seam: the elastic draws it in.")
        ),
        Choice.OfCount("pads", "Pad layers on top", "Pad", 0, 0, MostPads),
        .. Enumerable
            .Range(1, MostPads)
            .Select(n =>
                Choice
                    .OfLength(
                        $"pad{n}",
                        $"Layer {n}, thickness",
                        "Pad",
                        Length.Inches(0, 1, 2),
                        12,
                        Usual.UpTo(6, "1/2", "1.2")
                    )
                    .When("pads", Usual.AtLeast(n, MostPads))
            ),
        Choice.OfCount("turns", "Wadding wrapped, turns", "Pad", 0, 0, 4) with
        {
            Note = "Round the board from side to side: adds its thickness above, below and at both ends.",
        },
        Choice
            .OfLength("wadding", "Wadding, thickness", "Pad", Length.Inches(0, 1, 4), 6, Usual.UpTo(3, "1/4", "0.6"))
            .When("turns", "1", "2", "3", "4"),
        Choice.Of(
            "barrier",
            "Moisture barrier",
            "Pad",
            new Option("none", "None", "For dry work."),
            new Option("under", "Under the wadding", "For pressing with steam: keeps the board dry.")
        ),
        Choice.Of(
            "hold",
            "Held by",
            "Elastic",
            new Option("elastic", "Elastic", "Grips by itself."),
            new Option(
                "drawstring",
                "A drawstring in a casing",
                "Pulled tight and tied beneath; the cord is 12 in (30 cm) longer than the edge."
            )
        ),
        Elastic.Edge.When("hold", "elastic"),
        .. Elastic.Choices.Select(choice => choice.Key == "elastic" ? choice.When("hold", "elastic") : choice),
        Usual.PanelGrain,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [Usual.Seam, Elastic.Casing];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var (w, l) = (reading.Known("W") ?? Length.Inches(48), reading.Known("L") ?? Length.Inches(20));
        var thick = reading.Known("T") ?? Length.Inches(1);
        List<PlanLine> lines =
        [
            new("W", new(Length.Zero, Length.Zero), new(w, Length.Zero)),
            new("L", new(w, Length.Zero), new(w, l)),
        ];
        foreach (var n in Enumerable.Range(1, reading.Count("obstacles")))
        {
            var side = Array.IndexOf(CapSheet.Sides, reading.Option($"side{n}"));
            var reach = side % 2 == 0 ? w : l;
            var from = Length.Min(reading.Known($"x{n}") ?? reach.Over(4), reach);
            var to = Length.Min(from + (reading.Known($"y{n}") ?? reach.Over(6)), reach);
            Point On(Length along) =>
                side switch
                {
                    0 => new(along, Length.Zero),
                    1 => new(w, along),
                    2 => new(w - along, l),
                    _ => new(Length.Zero, l - along),
                };
            lines.Add(new($"x{n}", On(Length.Zero), On(from)));
            lines.Add(new($"y{n}", On(from), On(to)));
        }
        return PrismSketch.Of(new PlanDrawing(Outline.Rectangle(w, l), lines), thick);
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        string Example(string inches, string metric) => reading.Unit.IsInches() ? inches : metric;
        var (sheet, k) = (Sheet(reading), reading.Allowance("k").Value);
        var cased = reading.Chosen("hold", "drawstring") || reading.Chosen("edge", "casing");
        foreach (var side in CapSheet.Sides)
            if (cased && reading.Choice($"{side}Over") <= k)
                yield return reading.Refuse(
                    $"choices.{side}Over",
                    $"an overhang no longer than its casing ({reading.Say(k)}) has nothing to grip",
                    Example("3 1/2", "9")
                );
        var obstacles = Obstacles(reading);
        foreach (var obstacle in obstacles)
        {
            var (n, reach) = (obstacle.Number, Reach(reading, obstacle.Side).Value);
            var (from, to) = (obstacle.From.Value, (obstacle.From + obstacle.Width).Value);
            if (to > reach - sheet.Slope(obstacle.Side, end: true) || from < sheet.Slope(obstacle.Side, end: false))
                yield return reading.Refuse(
                    $"measures.x{n}",
                    $"the obstacle does not lie within its side ({reading.Say(reach)}, less what slopes at its corners)",
                    Example("12", "30")
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
                    $"measures.x{n}",
                    $"obstacles {other.Number} and {n} overlap",
                    Example("24", "60")
                );
            if (obstacle.Drop.Value >= Drops(reading)[obstacle.Side].Value)
                yield return reading.Refuse(
                    $"choices.clear{n}",
                    "no shorter than the overhang of that side",
                    Example("1", "2.5")
                );
        }
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var sheet = Sheet(reading);
        var (wide, deep, drops) = (Wide(reading), reading.Measure("L"), Drops(reading));
        Working Hem(string edge) =>
            reading.Chosen("hold", "drawstring")
                ? reading.EdgeAllowance("k", "sheet", edge)
                : Elastic.Allowance(reading, "sheet", edge);
        var piece = new Piece("sheet", "sheet", 1, sheet.Dimensions, sheet.Shape);
        piece = piece with
        {
            Allowances = piece.Stitch.Edges.ToDictionary(
                edge => edge.Name,
                edge => CapSheet.IsSeam(edge.Name) ? reading.EdgeAllowance("s", "sheet", edge.Name) : Hem(edge.Name)
            ),
            Grain = Usual.GrainOf(reading.Option("panelGrain")),
            Note =
                Obstacles(reading).Count > 0
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
            Pieces = [piece],
            Seams = seams,
            Uses =
            [
                .. outer.Select(edge => new Use(
                    EdgeUse.Hem,
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
            Notions = [.. Holding(reading, hem, drops), Making.Thread.Of(seams)],
            Steps =
            [
                new("Cut the sheet; mark the corners and where each obstacle is.", []),
                new(
                    seams.Count > 0
                        ? "Sew the corners; the seam takes the smaller drop, the longer side slopes down to it."
                        : "Finish the edge; at the rounded corners ease it in.",
                    [.. seams.Select(seam => seam.Name)]
                ),
                new("Try it on over the pad before the elastic.", []),
                .. reading.Chosen("hold", "elastic")
                    ? Elastic.Steps(reading)
                    :
                    [
                        new Step(
                            $"Turn the casing, a gap of {reading.Say(Length.Inches(1))} left open; draw the cord through and tie it beneath.",
                            []
                        ),
                    ],
            ],
            Remarks =
            [
                .. reading.Chosen("hold", "elastic") ? Elastic.Remarks(reading) : [],
                Usual.HotIron,
                Usual.Blades,
            ],
        };
    }

    /// <inheritdoc/>
    public override IEnumerable<Piece> Fillings(Reading reading) => PadStack.Of(reading, Pads(reading));

    private static Working[] Pads(Reading reading) =>
        [
            .. Enumerable
                .Range(1, reading.Count("pads"))
                .Select(n => Working.Of($"p{n}", $"pad layer {n}", reading.Choice($"pad{n}"))),
        ];

    private static Working Wrapped(Reading reading) =>
        reading.Count("turns") == 0
            ? Sum.Of()
            : (reading.Count("turns") * Working.Of("wadding", "wadding", reading.Choice("wadding"))).As(
                "n t",
                "wadding, all turns"
            );

    // Wrapped from side to side it lies at both ends.
    private static Working Wide(Reading reading) =>
        reading.Count("turns") == 0 ? reading.Measure("W") : reading.Measure("W") + (2 * Wrapped(reading));

    // The board, its pads, and the wadding above and below.
    private static Working Height(Reading reading) =>
        Sum.Of([
                reading.Measure("T"),
                .. Pads(reading),
                .. reading.Count("turns") > 0 ? [2 * Wrapped(reading)] : Array.Empty<Working>(),
            ])
            .As("H", "height over board and pad");

    private static Working[] Drops(Reading reading) =>
        [
            .. CapSheet.Sides.Select(side =>
                Height(reading) + Working.Of($"o {side}", $"overhang, {side}", reading.Choice($"{side}Over"))
            ),
        ];

    private static Working Reach(Reading reading, int side) => side % 2 == 0 ? Wide(reading) : reading.Measure("L");

    private static List<Obstacle> Obstacles(Reading reading) =>
        [
            .. Enumerable
                .Range(1, reading.Count("obstacles"))
                .Select(n => new Obstacle(
                    n,
                    Array.IndexOf(CapSheet.Sides, reading.Option($"side{n}")),
                    reading.Measure($"x{n}"),
                    reading.Measure($"y{n}"),
                    Height(reading)
                        + Working.Of($"clear {n}", $"overhang over obstacle {n}", reading.Choice($"clear{n}"))
                )),
        ];

    private static CapSheet Sheet(Reading reading) =>
        new(
            Wide(reading),
            reading.Measure("L"),
            Drops(reading),
            Obstacles(reading),
            reading.Chosen("corners", "rounded")
        );

    private static IEnumerable<Notion> Holding(Reading reading, Working hem, Working[] drops)
    {
        if (reading.Chosen("hold", "drawstring"))
            yield return new(
                "drawstring",
                "cord for the drawstring",
                hem + Working.Of("tails", "to tie", Length.Inches(12)),
                Note: $"a gap of {reading.Say(Length.Inches(1))} in the casing"
            );
        else
            foreach (var notion in Elastic.Notions(reading, hem, drops.MaxBy(drop => drop.Value)!, corners: 4))
                yield return notion;
        if (reading.Count("obstacles") > 0)
            yield return new(
                "straps",
                "straps of elastic, across underneath",
                reading.Measure("L"),
                reading.Count("obstacles"),
                "one beside each obstacle, from front to back"
            );
    }
}
