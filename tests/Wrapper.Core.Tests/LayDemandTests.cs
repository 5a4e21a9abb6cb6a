using CsCheck;
using NetTopologySuite.Geometries;
using Wrapper.Core.Cloth;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// What cloth demands of a lay: a gap, flaws left out, a repeat that drops are matched to (craft §10). Looked at with
/// another library's geometry.
/// </summary>
public class LayDemandTests
{
    private static Entry In(string typed) => new(typed, JobUnit.Inch);

    // Whole jobs, as they are typed: every demand that a cloth can have, one or several at a time.
    private static readonly Gen<JobDocument> Jobs =
        from items in Variants.Makeable.Array[1, 3]
        from width in Gen.Int[40, 110]
        from oneWay in Gen.Bool
        from gap in Gen.Int[0, 3]
        from repeat in Gen.Int[0, 4]
        from matches in Gen.Enum<Match>().Array[6]
        from inLine in Gen.Bool
        from spread in Gen.Int[0, 7]
        from stock in Gen.Select(Gen.Int[12, 90], Gen.Int[10, 100]).Array[0, 2]
        from flaws in Gen.Select(Gen.Int[0, 90], Gen.Int[0, 40], Gen.Int[1, 12], Gen.Int[1, 12]).Array[0, 3]
        select Job(
            items,
            LayTests.Cloth($"{width}", oneWay) with
            {
                Gap = In($"{gap}/4"),
                RepeatAlong = repeat == 0 || spread == 1 ? null : In($"{4 * repeat}"),
                RepeatAcross = repeat is 0 or 2 ? null : In($"{3 * repeat}"),
                HalfDrop = repeat > 2,
                MotifAcross = repeat == 3 ? In("2 1/2") : null,
                Spread =
                    spread == 1 ? Spread.Folded
                    : spread == 2 ? Spread.Torn
                    : Spread.Single,
                Stock = spread is 1 or 2
                    ? []
                    : [.. stock.Select(one => new JobRemnant("", In($"{one.Item1}"), In($"{one.Item2}")))],
                Flaws =
                [
                    .. flaws.Select(flaw => new JobFlaw(
                        In($"{flaw.Item1}"),
                        In($"{flaw.Item2}"),
                        In($"{flaw.Item3}"),
                        In($"{flaw.Item4}")
                    )),
                ],
            },
            matches,
            inLine
        );

    // Every second piece has a match chosen for it.
    private static JobDocument Job(Item[] items, JobCloth cloth, Match[] matches, bool inLine) =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Cloths = [cloth],
            Items =
            [
                .. items.Select(
                    (item, at) =>
                        item with
                        {
                            Id = $"i{at}",
                            Cloth = null,
                            InLine = inLine,
                            Matches = Items
                                .Draft(item)
                                .Pattern!.Pieces.Where((_, n) => n % 2 == at % 2)
                                .Select((piece, n) => (piece.Key, matches[n % matches.Length]))
                                .ToDictionary(),
                        }
                ),
            ],
        };

    [Fact]
    public void Every_demand_is_kept() =>
        Jobs.Sample(
            job =>
            {
                var plan = Plan.Of(job, Items.Drafting, lay: true);
                if (plan.Cloths[0].Lay is not { } lay)
                    return; // a remnant of which nothing is left
                Keeps(plan, lay);
                Assert.Equal(
                    lay.Best.Placements,
                    Plan.Of(job, Items.Drafting, lay: true).Cloths[0].Lay!.Best.Placements
                );
            },
            iter: 60
        );

    // What a search finds, of its rows, orders and overlaps, keeps them too, and is no longer.
    [Fact]
    public void Every_demand_is_kept_by_a_search() =>
        Jobs.Sample(
            job =>
            {
                var plan = Plan.Of(job, Items.Drafting, lay: true);
                var (cloth, pieces) = (plan.Cloths[0].ForLay, plan.Cloths[0].Panels);
                if (
                    plan.Cloths[0].Lay is null
                    || pieces.Count is < 2 or > 14
                    || pieces.Count < plan.Cloths[0].Pieces.Count
                )
                    return;
                var lay = LaySearch.Run(pieces, cloth, seed: 5, _ => { }, default, rounds: 2);
                Keeps(plan, lay);
                Assert.True(lay.Best.Length <= LayTable.Of(pieces, cloth).Best.Length);
            },
            iter: 20
        );

    private static void Keeps(Plan plan, ClothLay lay)
    {
        var (cloth, pieces) = (plan.Cloths[0].ForLay, plan.Cloths[0].Pieces);
        Assert.Equal(pieces.Count, lay.Best.Placements.Count + lay.Misfits.Count);
        Assert.True(
            lay.ShortestPossible <= lay.Best.Length,
            $"{cloth}: {lay.Best.Length} is under {lay.ShortestPossible}"
        );
        if (cloth.Flaws.Count == 0)
            Assert.True(
                lay.Best.Length <= lay.Hand.Length,
                $"{cloth}: {lay.Best.Length} is longer than {lay.Hand.Length} by hand"
            );
        var byId = pieces.ToDictionary(piece => piece.Id);
        var drawn = lay
            .Best.Placements.Select(at => (At: at, Piece: byId[at.Id], Shape: Geometry.Laid(byId[at.Id].Cut, at)))
            .ToList();
        for (var a = 0; a < drawn.Count; a++)
        {
            Assert.True(
                Ground(cloth, lay.Best.Length).Any(ground => ground.Contains(drawn[a].Shape.EnvelopeInternal)),
                $"{drawn[a].At} lies off the cloth"
            );
            foreach (var flaw in cloth.Flaws)
                Assert.True(drawn[a].Shape.Intersection(Rectangle(flaw)).Area < 0.5, $"{drawn[a].At} lies on a flaw");
            // Remnants are cut one by one: between them there is no gap to keep.
            for (var b = 0; b < a; b++)
                if (cloth.StockLengthAt(drawn[a].At.Y) == cloth.StockLengthAt(drawn[b].At.Y))
                    Assert.True(
                        drawn[a].Shape.Distance(drawn[b].Shape) > Geometry.Mm(cloth.Gap) - 0.05,
                        $"{drawn[a].At} and {drawn[b].At} are nearer than the gap"
                    );
        }
        Assert.All(
            drawn,
            laid =>
                Assert.True(
                    laid.Piece.Grain == Grain.Either || laid.At.Turns % 2 == (laid.Piece.Grain == Grain.Across ? 1 : 0)
                )
        );
        if (cloth.OneWay && cloth.Spread != Spread.Folded)
            Assert.All(drawn, laid => Assert.Equal(laid.Piece.Grain == Grain.Across ? 1 : 0, laid.At.Turns));
        AreLeftOver(
            [.. Remnants.Of(lay.Best, byId, cloth, lay.Best.Length).Select(Rectangle)],
            [.. drawn.Select(laid => laid.Shape), .. cloth.Flaws.Select(Rectangle)],
            cloth,
            lay.Best.Length
        );
        // Cord is cut by itself, once the panels are out.
        var panels = plan.Cloths[0].Panels.Select(piece => piece.Id).ToHashSet();
        var laid = lay with
        {
            Best = lay.Best with { Placements = [.. lay.Best.Placements.Where(at => panels.Contains(at.Id))] },
        };
        if (cloth.Spread == Spread.Folded)
            IsFolded(laid, cloth, byId);
        if (cloth.Spread == Spread.Torn)
            IsTorn(laid, cloth, byId);
        if (cloth.Repeat is { } repeat)
        {
            Matches(plan, laid, cloth, repeat, byId);
            RunsOn(plan, laid, cloth, repeat);
        }
    }

    // The usable cloth: every remnant by itself, then the roll.
    private static IEnumerable<Envelope> Ground(LayCloth cloth, Length length)
    {
        var from = Length.Zero;
        Envelope Part(Length wide, Length to) =>
            new(-0.01, Geometry.Mm(wide) + 0.01, Geometry.Mm(from) - 0.01, Geometry.Mm(to) + 0.01);
        foreach (var stretch in cloth.StockLengths)
        {
            yield return Part(stretch.Usable, from + stretch.Length);
            from += stretch.Length;
        }
        yield return Part(cloth.Usable, Length.Max(from, length));
    }

    // Remnants lie on the cloth, clear of everything and of each other, each 6 x 6 in at least.
    private static void AreLeftOver(List<Polygon> remnants, List<Polygon> taken, LayCloth cloth, Length length)
    {
        Assert.All(
            remnants,
            left =>
                Assert.True(
                    Math.Min(left.EnvelopeInternal.Width, left.EnvelopeInternal.Height) > 152.39
                        && Ground(cloth, length).Any(ground => ground.Contains(left.EnvelopeInternal))
                )
        );
        for (var a = 0; a < remnants.Count; a++)
            Assert.All(
                [.. taken, .. remnants.Take(a)],
                other => Assert.True(remnants[a].Intersection(other).Area < 0.5)
            );
    }

    // Opened out, the folded part is its own mirror image about the middle of the cloth.
    private static void IsFolded(ClothLay lay, LayCloth cloth, Dictionary<string, LayPiece> pieces)
    {
        var end = lay.FoldedTo ?? Length.Zero;
        var shapes = lay
            .Best.Placements.Where(at => at.Y < end)
            .Select(at => Geometry.Laid(pieces[at.Id].Cut, at))
            .ToList();
        Assert.Equal(0, shapes.Count % 2);
        var middle = Geometry.Mm(cloth.Usable) / 2;
        foreach (var shape in shapes)
        {
            var mirrored = new NetTopologySuite.Geometries.Utilities.AffineTransformation()
                .Reflect(middle, 0, middle, 1)
                .Transform(shape);
            Assert.Contains(
                shapes,
                other =>
                    other != shape
                    && mirrored.EnvelopeInternal.Centre.Distance(other.EnvelopeInternal.Centre) < 0.1
                    && NetTopologySuite.Algorithm.Distance.DiscreteHausdorffDistance.Distance(mirrored, other) < 1
            );
        }
        Assert.All(lay.Best.Placements, at => Assert.True(at.Y >= end || at.Y + pieces[at.Id].Along(at.Turns) <= end));
    }

    // Pieces begin together at a tear, and none reaches over the next one.
    private static void IsTorn(ClothLay lay, LayCloth cloth, Dictionary<string, LayPiece> pieces)
    {
        var strips = lay
            .Best.Placements.GroupBy(at => at.Y)
            .OrderBy(strip => strip.Key)
            .Select(strip => (Start: strip.Key, End: strip.Max(at => at.Y + pieces[at.Id].Along(at.Turns))))
            .ToList();
        foreach (var (strip, next) in strips.Zip(strips.Skip(1)))
            Assert.True(strip.End + cloth.Gap <= next.Start);
        Assert.All(
            strips,
            strip =>
                Assert.DoesNotContain(
                    cloth.Flaws,
                    flaw => flaw.FromEnd < strip.End && flaw.FromEnd + flaw.Along > strip.Start
                )
        );
    }

    // The point that is matched, reckoned from the draft: like pieces from the same place, motifs in the middle; m (Q,
    // V/2) + n (0, V) apart.
    private static void Matches(
        Plan plan,
        ClothLay lay,
        LayCloth cloth,
        Repeat repeat,
        Dictionary<string, LayPiece> pieces
    )
    {
        var matches = plan.Cloths[0].Matches.ToDictionary(match => (match.Item.Item.Id, match.Piece.Key));
        foreach (
            var like in lay
                .Best.Placements.Where(at => pieces[at.Id].Role != ClothRole.CordCovering)
                .GroupBy(at => (matches[(pieces[at.Id].Item, pieces[at.Id].Piece)], pieces[at.Id].Cut, at.Turns))
        )
        {
            var (match, cut, _) = like.Key;
            // In line each is elsewhere: worked by hand below.
            if (match.Match == Match.Free || match.Item.Item.InLine)
                continue;
            var (left, bottom, right, top) = cut.Bounds();
            var (stitchLeft, stitchBottom, stitchRight, stitchTop) = match.Piece.Stitch.Bounds();
            var turnedOver = left != match.Piece.Cut.Bounds().Left;
            var middle = ((stitchLeft + stitchRight).Over(2), (stitchBottom + stitchTop).Over(2));
            var point =
                match.Match == Match.Centred
                    ? (turnedOver ? -middle.Item1 : middle.Item1, middle.Item2)
                    : (left, bottom);
            var places = like.Select(at =>
                    (at.Turns % 4) switch
                    {
                        1 => (X: at.X + (top - point.Item2), Y: at.Y + (point.Item1 - left)),
                        2 => (X: at.X + (right - point.Item1), Y: at.Y + (top - point.Item2)),
                        3 => (X: at.X + (point.Item2 - bottom), Y: at.Y + (right - point.Item1)),
                        _ => (X: at.X + (point.Item1 - left), Y: at.Y + (point.Item2 - bottom)),
                    }
                )
                .Select((place, n) => (place.X, Y: place.Y - cloth.StockLengthAt(like.ElementAt(n).Y).Start))
                .ToList();
            // Like pieces lie on the grid from the squared end or anywhere on it; motifs lie on motifs.
            if (match.Match == Match.Centred)
                places.Insert(0, (repeat.Motif.X, repeat.Motif.Y + repeat.From));
            if (match.Match == Match.Same)
                places.Insert(0, (Length.Zero, repeat.From));
            foreach (var (x, y) in places.Skip(1))
            {
                var (dx, dy) = ((x - places[0].X).Ticks, (y - places[0].Y).Ticks);
                if (repeat.Across.IsPositive)
                    Assert.Equal(0, dx % repeat.Across.Ticks);
                var dropped =
                    repeat.HalfDrop && repeat.Across.IsPositive && dx / repeat.Across.Ticks % 2 != 0
                        ? repeat.Along.Ticks / 2
                        : 0;
                Assert.True(
                    (dy - dropped) % repeat.Along.Ticks == 0,
                    $"{match.Piece.Key} does not start at the same place of the repeat"
                );
            }
        }
    }

    // Of a whole straight edge sewn to a whole straight edge the one begins where the other ends: both points lie at
    // the same place of the repeat, where neither piece is turned.
    private static void RunsOn(Plan plan, ClothLay lay, LayCloth cloth, Repeat repeat)
    {
        foreach (
            var match in plan.Cloths[0]
                .Matches.Where(match =>
                    match.Match == Match.Follows
                    && match.Leader is not null
                    && plan.Cloths[0]
                        .Pieces.Any(piece => piece.Piece == match.Leader.Key && piece.Item == match.Item.Item.Id)
                )
        )
        {
            // Known and open (PROGRESS): parts of a joined slipcover piece, to which a corner does not always run on.
            if (
                match.Item.Item.MakeUp == "chair-slipcover"
                && match.Leader!.Key.StartsWith("outside-back-", StringComparison.Ordinal)
            )
                continue;
            // Only where those two are sewn together in one place.
            var between = match
                .Item.Draft.Pattern!.Seams.Where(seam =>
                    seam.OneSide.Concat(seam.OtherSide).Select(run => run.Piece).ToHashSet() is var sewn
                    && sewn.Contains(match.Piece.Key)
                    && sewn.Contains(match.Leader!.Key)
                )
                .ToList();
            if (
                between
                is not [
                    {
                        Kind: SeamKind.Join,
                        OneSide: [{ From: null, To: null, Instance: 1 } left],
                        OtherSide: [{ From: null, To: null, Instance: 1 } right]
                    },
                ]
            )
                continue;
            var (own, other) = left.Piece == match.Piece.Key ? (left, right) : (right, left);
            if (
                Start(match.Piece, own.Edge, match.Item) is not { } mine
                || End(match.Leader!, other.Edge, match.Item) is not { } its
            )
                continue;
            // An edge that runs the same way on both is turned when it is sewn: nothing can run on there.
            if (
                Along(match.Piece, own.Edge) is var one
                && Along(match.Leader!, other.Edge) is var two
                && (Math.Abs(one.X + two.X) > 100 || Math.Abs(one.Y + two.Y) > 100)
            )
                continue;
            var (dx, dy) = ((mine.X - its.X).Ticks, (mine.Y - its.Y).Ticks);
            if (repeat.Across.IsPositive)
                Assert.True(
                    Math.Min(Mod(dx, repeat.Across.Ticks), Mod(-dx, repeat.Across.Ticks)) <= 2,
                    $"{match.Item.Item.MakeUp}: across, {match.Piece.Key} does not run on from {match.Leader!.Key} by {new Length(dx)}"
                );
            var dropped =
                repeat.HalfDrop
                && repeat.Across.IsPositive
                && Mod((long)Math.Round(dx / (double)repeat.Across.Ticks), 2) == 1
                    ? repeat.Along.Ticks / 2
                    : 0;
            Assert.True(
                Math.Min(Mod(dy - dropped, repeat.Along.Ticks), Mod(dropped - dy, repeat.Along.Ticks)) <= 2,
                $"{match.Item.Item.MakeUp}: along, {match.Piece.Key} does not run on from {match.Leader!.Key} by {new Length(dy)}"
            );
        }

        static long Mod(long value, long step) => ((value % step) + step) % step;
        static (long X, long Y) Along(Patterns.Piece piece, string edge) =>
            (Corner(piece, edge, 1), Corner(piece, edge, 0)) is var (to, from)
                ? ((to.X - from.X).Ticks, (to.Y - from.Y).Ticks)
                : default;
        static Core.Geometry.Point Corner(Patterns.Piece piece, string edge, int next) =>
            piece.Stitch.Edges is var edges && edges.ToList().FindIndex(each => each.Name == edge) is var at
                ? edges[(at + next) % edges.Count].Start
                : default;
        Core.Geometry.Point? Start(Patterns.Piece piece, string edge, ItemPlan item) =>
            OnCloth(piece, item, Corner(piece, edge, 0));
        Core.Geometry.Point? End(Patterns.Piece piece, string edge, ItemPlan item) =>
            OnCloth(piece, item, Corner(piece, edge, 1));
        Core.Geometry.Point? OnCloth(Patterns.Piece piece, ItemPlan item, Core.Geometry.Point corner)
        {
            var at = lay.Best.Placements.SingleOrDefault(each => each.Id == $"{item.Item.Id}/{piece.Key}/1");
            if (at is not { Turns: 0 })
                return null;
            var (left, bottom, _, _) = piece.Cut.Bounds();
            return corner.Moved(at.X - left, at.Y - bottom - cloth.StockLengthAt(at.Y).Start);
        }
    }

    private static Polygon Rectangle(Patch flaw)
    {
        var (x, y, w, h) = (
            Geometry.Mm(flaw.FromSelvedge),
            Geometry.Mm(flaw.FromEnd),
            Geometry.Mm(flaw.Across),
            Geometry.Mm(flaw.Along)
        );
        return new Polygon(new LinearRing([new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h), new(x, y)]));
    }

    // craft §10: n straight-match drops take (n - 1) ceil(cut / V) V + cut. Three panels of 30 x 20 on 40 in, repeat 12
    // 1/2: 2 x 25 + 20.
    [Fact]
    public void Drops_of_a_straight_match_take_what_the_hand_sum_says()
    {
        var cut = Outline.Rectangle(Length.Inches(30), Length.Inches(20));
        List<LayPiece> pieces =
        [
            .. Enumerable
                .Range(1, 3)
                .Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along).AtSamePlace()),
        ];
        var lay = LayTable.Of(
            pieces,
            new LayCloth(Length.Inches(40), OneWay: true)
            {
                Repeat = new Repeat(Length.Inches(12, 1, 2), Length.Zero, false),
            }
        );
        Assert.Equal(
            (Length.Inches(70), Length.Inches(70), Length.Inches(70)),
            (lay.Hand.Length, lay.Best.Length, lay.ShortestPossible)
        );
    }

    // Two panels of 20 x 20 beside each other on 53 in: the second starts whole repeats of 9 across, at 27, so both
    // fit; with 13 it would start at 26 too.
    // Half-drop 9 across, 8 along: at 27 stands the third repeat, half of 8 higher: 4 + 20.
    [Theory]
    [InlineData(9, 8, false, 20)]
    [InlineData(9, 8, true, 24)]
    [InlineData(17, 8, false, 44)] // at 34 the second would reach 54: under the first instead, 24 + 20
    public void Panels_start_whole_repeats_apart(int across, int along, bool halfDrop, int length)
    {
        var cut = Outline.Rectangle(Length.Inches(20), Length.Inches(20));
        List<LayPiece> pieces =
        [
            .. Enumerable
                .Range(1, 2)
                .Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along).AtSamePlace()),
        ];
        var lay = LayTable.Of(
            pieces,
            new LayCloth(Length.Inches(53), OneWay: true)
            {
                Repeat = new Repeat(Length.Inches(along), Length.Inches(across), halfDrop),
            }
        );
        Assert.Equal(Length.Inches(length), lay.Best.Length);
    }

    // 24 panels of 10 x 10 with 1/2 in between on 53 in: (53 + 1/2) / 10 1/2 = 5 across, five rows: 5 x 10 + 4 x 1/2.
    [Fact]
    public void A_gap_lies_between_pieces_and_nowhere_else()
    {
        var cut = Outline.Rectangle(Length.Inches(10), Length.Inches(10));
        List<LayPiece> pieces =
        [
            .. Enumerable.Range(1, 24).Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along)),
        ];
        var lay = LayTable.Of(pieces, new LayCloth(Length.Inches(53), OneWay: true) { Gap = Length.Inches(0, 1, 2) });
        Assert.Equal((Length.Inches(52), Length.Inches(52)), (lay.Best.Length, lay.Hand.Length));
    }

    // Washed 10 % shorter: a repeat of 20 is 18 then; what is bought has one repeat of 20 to start.
    [Fact]
    public void Repeats_and_flaws_shrink_with_the_cloth_and_one_repeat_is_bought_to_start()
    {
        var cloth = new ClothReading(
            LayTests.Cloth("54", false) with
            {
                ShrinksAlong = "10",
                ShrinksAcross = "5",
                RepeatAlong = In("20"),
                RepeatAcross = In("10"),
                Gap = In("1/4"),
                Flaws = [new(In("30"), In("4"), In("2"), In("1"))],
            },
            JobUnit.Inch
        );
        Assert.Empty(cloth.Problems);
        Assert.Equal(new Repeat(Length.Inches(18), Length.Inches(9, 1, 2), false), cloth.ForLay.Repeat);
        Assert.Equal(
            new Patch(
                Length.Inches(27),
                Length.Millimetres(96.52m),
                Length.Millimetres(45.72m),
                Length.Millimetres(24.13m)
            ),
            cloth.ForLay.Flaws[0],
            Near
        );
        var buying = Buying.Of(Length.Inches(90), cloth);
        Assert.Equal(
            (Length.Inches(100), Length.Inches(20), Length.Inches(121, 1, 2)),
            (buying.Needed, buying.ToStart, buying.Bought)
        ); // 120, up to 27 eighths of a yard
    }

    private static bool Near(Patch a, Patch b) =>
        new[] { a.FromEnd - b.FromEnd, a.FromSelvedge - b.FromSelvedge, a.Along - b.Along, a.Across - b.Across }.All(
            off => off.Abs().Ticks <= 1
        );

    [Theory]
    [InlineData("gap", "-1", "negative")]
    [InlineData("repeatAlong", "abc", "no number")]
    [InlineData("repeatAcross", "500", "over")]
    public void A_demand_that_cannot_be_read_is_told(string field, string typed, string reason)
    {
        var entry = new Entry(typed, JobUnit.Inch);
        var plain = LayTests.Cloth("54", false) with { RepeatAlong = new("10", JobUnit.Inch) };
        var problem = Assert.Single(
            new ClothReading(
                field switch
                {
                    "gap" => plain with { Gap = entry },
                    "repeatAlong" => plain with { RepeatAlong = entry },
                    _ => plain with { RepeatAcross = entry },
                },
                JobUnit.Inch
            ).Problems
        );
        Assert.Equal($"cloths.c1.{field}", problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    // A flaw across the whole width from the very end: everything is laid behind it. Nothing to lay takes nothing,
    // flaws or not.
    [Fact]
    public void Behind_a_flaw_across_the_whole_width_the_cloth_goes_on()
    {
        var flawed = new LayCloth(Length.Inches(53), OneWay: false)
        {
            Flaws = [new(Length.Zero, Length.Zero, Length.Inches(500), Length.Inches(53))],
        };
        LayPiece piece = new("p", "i", "p", "1a", Outline.Rectangle(Length.Inches(53), Length.Inches(10)), Grain.Along);
        Assert.Equal(Length.Inches(510), LayTable.Of([piece], flawed).Best.Length);
        Assert.Equal(Length.Zero, LayTable.Of([], flawed).Best.Length);
    }

    // Repeats longer and wider than the cloth, pieces just as wide as it, nothing, or a piece for which nothing will
    // do: laid, or told.
    [Theory]
    [InlineData("30x10 30x10", 400, 0, 410)] // one behind the other, a whole repeat of 400 further
    [InlineData("20x10 20x10", 8, 90, 26)] // only at the selvedge: 16 and 10 more
    [InlineData("53x10 53x10", 8, 90, 26)]
    [InlineData("54x10", 8, 90, 0)]
    [InlineData("", 8, 5, 0)]
    public void Strange_repeats_are_laid_or_told(string sizes, int along, int across, int length)
    {
        List<LayPiece> pieces =
        [
            .. sizes
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(
                    (size, n) =>
                        size.Split('x') is var side
                            ? new LayPiece(
                                $"p{n}",
                                "i",
                                "p",
                                "1a",
                                Outline.Rectangle(
                                    Length.Inches(int.Parse(side[0], null)),
                                    Length.Inches(int.Parse(side[1], null))
                                ),
                                Grain.Along
                            ).AtSamePlace()
                            : null!
                ),
        ];
        var lay = LayTable.Of(
            pieces,
            new LayCloth(Length.Inches(53), OneWay: true)
            {
                Repeat = new Repeat(Length.Inches(along), Length.Inches(across), across > 0),
            }
        );
        Assert.Equal(Length.Inches(length), lay.Best.Length);
        Assert.Equal(sizes.StartsWith("54", StringComparison.Ordinal) ? 1 : 0, lay.Misfits.Count);
    }

    // Some hundred pieces under every demand end in a lay, and the search in one no longer.
    [Theory]
    [InlineData(Spread.Single, 12)]
    [InlineData(Spread.Torn, 0)]
    [InlineData(Spread.Folded, 0)]
    public void Many_pieces_are_laid_under_every_demand(Spread spread, int repeat)
    {
        var random = new Random(2);
        List<LayPiece> pieces =
        [
            .. Enumerable
                .Range(0, 1100)
                .Select(n => new LayPiece(
                    $"p{n}",
                    $"i{n % 9}",
                    "p",
                    "1a",
                    Outline.Rectangle(Length.Inches(random.Next(3, 24)), Length.Inches(random.Next(3, 24))),
                    Grain.Along
                ))
                .Select(piece => repeat > 0 ? piece.AtSamePlace() : piece),
        ];
        var cloth = new LayCloth(Length.Inches(53), OneWay: true)
        {
            Spread = spread,
            Repeat = repeat > 0 ? new Repeat(Length.Inches(repeat), Length.Inches(7), true) : null,
            Flaws = [new(Length.Inches(100), Length.Inches(10), Length.Inches(3), Length.Inches(3))],
            StockLengths = spread == Spread.Single ? [new(Length.Inches(90), Length.Inches(40))] : [],
        };
        var lay = LayTable.Of(pieces, cloth);
        Assert.Equal(1100, lay.Best.Placements.Select(at => at.Id).Distinct().Count());
        Assert.True(lay.ShortestPossible <= lay.Best.Length);
    }
}
