using CsCheck;
using NetTopologySuite.Operation.Overlay;
using NetTopologySuite.Operation.OverlayNG;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>
/// Slants and curves: sets whose lay a person sees at once, worked by hand, and random ones whose overlap is measured by
/// another geometry on the true outlines.
/// </summary>
public sealed class SlantedLayCases
{
    private static readonly LayCloth Cloth = new(Length.Inches(54), OneWay: false);

    private static Length Sixteenths(int n) => Length.Inches(0, n, 16);

    private static Outline Polygon(params (int X, int Y)[] inches) =>
        new([.. inches.Select((at, n) => new Edge($"{n}", new Point(Length.Inches(at.X), Length.Inches(at.Y))))]);

    private static List<LayPiece> Alike(int count, Outline cut, Grain grain = Grain.Along) =>
        [.. Enumerable.Range(0, count).Select(n => new LayPiece($"p{n}", $"i{n % 3}", $"p{n}", $"{n}", cut, grain))];

    private static double Inches(Length length) => (double)length.Ticks / Length.TicksPerInch;

    // Nothing lies on anything else by more than 0.02 mm, or beyond the cloth.
    internal static void Holds(IReadOnlyList<LayPiece> pieces, Placed lay, LayCloth cloth)
    {
        var byId = pieces.ToDictionary(piece => piece.Id);
        Assert.Equal(pieces.Count, lay.Placements.Count);
        // Less 0.01 mm all round each.
        var drawn = lay.Placements.Select(at => Geometry.Laid(byId[at.Id].Cut, at).Buffer(-0.01)).ToList();
        for (var a = 0; a < drawn.Count; a++)
        {
            var box = drawn[a].EnvelopeInternal;
            Assert.True(box.MinX > 0 && box.MinY > 0 && box.MaxX < Geometry.Mm(cloth.Usable), $"{lay.Placements[a]}");
            Assert.True(box.MaxY < Geometry.Mm(lay.Length), $"{lay.Placements[a]}");
            for (var b = 0; b < a; b++)
                if (box.Intersects(drawn[b].EnvelopeInternal))
                    Assert.True(
                        // Hollow arcs are drawn by chords, which bulge out of them by a hair.
                        OverlayNGRobust.Overlay(drawn[a], drawn[b], SpatialFunction.Intersection).Area < 0.5,
                        $"{lay.Placements[a]} on {lay.Placements[b]}"
                    );
        }
    }

    // The same seats half an inch apart, measured along the cloth and across it: between two slanted sides, which lean 3 in
    // 18, that is 1/2 x (1 + 3/18) in = 7/12 in across. Three take 54 + 14/12, so 55 3/16 in of cloth; four rows and three
    // gaps take 73 1/2 in. A sixteenth less of cloth, and a third one does not go beside two.
    [Fact]
    public void A_gap_is_kept_along_slants()
    {
        var pieces = Alike(12, Polygon((0, 0), (20, 0), (17, 18), (3, 18)));
        var cloth = new LayCloth(Length.Inches(55, 3, 16), OneWay: false) { Gap = Length.Inches(0, 1, 2) };
        var lay = LayTable.Of(pieces, cloth).Best;
        Assert.Equal(73.5, Inches(lay.Length), 2);
        var drawn = lay
            .Placements.Select(at => Geometry.Laid(pieces.Single(piece => piece.Id == at.Id).Cut, at))
            .ToList();
        for (var a = 0; a < drawn.Count; a++)
        for (var b = 0; b < a; b++)
            Assert.True(drawn[a].Distance(drawn[b]) > Geometry.Mm(cloth.Gap) - 0.02);
        Assert.True(LayTable.Of(pieces, cloth with { Usable = Length.Inches(55, 2, 16) }).Best.Length > lay.Length);
    }

    // Two Ls of 20 x 20, each without a corner of 10 x 10, fill 600 square inches; one turned over the other they lie step
    // in step, 20 wide and 30 high, whichever side the step is on.
    [Theory]
    [InlineData(0, 10)]
    [InlineData(10, 0)]
    public void Steps_that_meet_lie_in_one_another(int high, int low)
    {
        var cut = Polygon((0, 0), (20, 0), (20, 20 - high), (10, 20 - high), (10, 20 - low), (0, 20 - low));
        var pieces = Alike(2, cut);
        var cloth = new LayCloth(Length.Inches(20), OneWay: false);
        var lay = LayTable.Of(pieces, cloth).Best;
        Assert.Equal(Length.Inches(30), lay.Length);
        Holds(pieces, lay, cloth);
    }

    // Two Ls of 40 x 30, each without its corner of 20 x 15, one of them turned: an inch apart one reaches into the other,
    // 41 wide and 46 high. So four take 93 in with the inch between the pairs, and no bound may say more, whatever part of
    // an L it counts. The corner cut slanting makes it no straight piece, and nothing longer.
    [Theory]
    [InlineData(0)]
    [InlineData(2)]
    public void A_bound_with_a_gap_counts_no_part_twice(int slant)
    {
        var pieces = Alike(4, Polygon((0, 0), (40, 0), (40, 15 - slant), (20, 15), (20, 30), (0, 30)));
        var cloth = new LayCloth(Length.Inches(41), OneWay: false) { Gap = Length.Inches(1) };
        var found = LaySearch.Run(pieces, cloth, 1, _ => { }, CancellationToken.None, rounds: 1);
        Assert.True(found.ShortestPossible <= Length.Inches(93), $"{Inches(found.ShortestPossible)}");
        // Slants are closed up by a search, to a millimetre.
        Assert.InRange(Inches(found.Best.Length), Inches(found.ShortestPossible), 93.04);
    }

    // Two bars 30 in wide, one above the other and 24 in to its side: on 54 in no two bars lie abreast, so three pieces take
    // their six bars of 14 in at the least, 84 in. The larger of two bars alone would say 42, their area 50. One stands
    // on the other, 90 in.
    [Fact]
    public void The_bound_counts_each_part_of_a_piece()
    {
        var bars = Polygon((0, 0), (30, 0), (30, 14), (54, 16), (54, 30), (24, 30), (24, 16), (0, 14));
        var oneWay = Cloth with { OneWay = true };
        var found = LaySearch.Run(Alike(3, bars), oneWay, 1, _ => { }, CancellationToken.None, rounds: 1);
        Assert.Equal(90.0, Inches(found.Best.Length), 3);
        // Less a millimetre of each, as if their outline were drawn round an arc.
        Assert.InRange(Inches(found.ShortestPossible), 83.8, 90.0);
    }

    // Tapered seats, 20 in front and 14 in behind: head to foot 20 + 14 + 20 = 54 lie abreast, four rows of 18 in.
    [Fact]
    public void Tapered_seats_lie_head_to_foot_three_abreast()
    {
        var pieces = Alike(12, Polygon((0, 0), (20, 0), (17, 18), (3, 18)));
        var lay = LayTable.Of(pieces, Cloth);
        Assert.Equal(72.0, Inches(lay.Best.Length), 4);
        Holds(pieces, lay.Best, Cloth);
        // With one way up they cannot: two abreast, and the third in the wedge between two above.
        Assert.True(LayTable.Of(pieces, Cloth with { OneWay = true }).Best.Length > lay.Best.Length);
        // On a print that none of them keeps to they lie as on plain cloth; one that does lies in its places.
        var printed = Cloth with
        {
            Repeat = new Repeat(Length.Inches(11), Length.Inches(7), HalfDrop: true),
        };
        Assert.Equal(lay.Best.Placements, LayTable.Of(pieces, printed).Best.Placements);
        Assert.Equal(72.0, Inches(LaySearch.Run(pieces, printed, 1, _ => { }, default, rounds: 1).Best.Length), 4);
        var kept = LayTable
            .Of([pieces[0].AtSamePlace(), .. pieces[1..]], printed)
            .Best.Placements.Single(at => at.Id == pieces[0].Id);
        // Its lower left corner is the upper one where it lies head to foot.
        var corner = kept.Turns == 0 ? kept.Y : kept.Y + Length.Inches(18);
        Assert.Equal(0, corner.Ticks % Length.Inches(5, 1, 2).Ticks);
    }

    // Seven of 6 in and one slant of 12 in fill the width: fourteen are two rows of 12 in.
    [Fact]
    public void Bias_pieces_lie_edge_to_edge()
    {
        var pieces = Alike(14, Polygon((0, 0), (6, 0), (18, 12), (12, 12)));
        var lay = LayTable.Of(pieces, Cloth);
        Assert.Equal(24.0, Inches(lay.Best.Length), 4);
        Holds(pieces, lay.Best, Cloth);
    }

    // Rows of six and five discs of 9 in, each nested into the one below: 9 + 2 x 9 x root 3 / 2 = 24.59 in; in rows 27.
    [Fact]
    public void Discs_nest_like_a_honeycomb()
    {
        var (across, radius) = (Length.Inches(9), Length.Inches(9).Over(2));
        var disc = new Outline([
            new("a", new Point(Length.Zero, radius), radius),
            new("b", new Point(across, radius), radius),
        ]);
        var pieces = Alike(16, disc, Grain.Either);
        var lay = LayTable.Of(pieces, Cloth);
        Assert.InRange(Inches(lay.Best.Length), 24.588, 24.66);
        Holds(pieces, lay.Best, Cloth);
    }

    private static readonly Gen<LayPiece[]> Any = Gen.Select(
            Gen.Int[0, 4],
            Gen.Int[3 * 16, 24 * 16],
            Gen.Int[3 * 16, 20 * 16],
            Gen.Int[0, 100],
            (kind, w, h, part) =>
            {
                Point At(int x, int y) => new(Sixteenths(x), Sixteenths(y));
                var in_ = 1 + (part * (Math.Min(w, h) - 3) / 220);
                return kind switch
                {
                    0 => new Outline([
                        new("a", At(0, 0)),
                        new("b", At(w, 0)),
                        new("c", At(w - in_, h)),
                        new("d", At(in_ / 2, h)),
                    ]),
                    1 => new Outline([
                        new("a", At(0, 0)),
                        new("b", At(w, 0)),
                        new("c", At(w + in_, h)),
                        new("d", At(in_, h)),
                    ]),
                    // A bow in front, and a hollow one.
                    2 => new Outline([
                        new("a", At(0, 0), Sixteenths(w)),
                        new("b", At(w, 0)),
                        new("c", At(w, h)),
                        new("d", At(0, h)),
                    ]),
                    3 => new Outline([
                        new("a", At(0, 0), Sixteenths(4 * w), Outward: false),
                        new("b", At(w, 0)),
                        new("c", At(w, h)),
                        new("d", At(0, h)),
                    ]),
                    _ => new Outline([
                        new("a", At(0, 0)),
                        new("b", At(w, 0)),
                        new("c", At(w, h)),
                        new("d", At(w - in_, h)),
                        new("e", At(w - in_, h - in_)),
                        new("f", At(0, h - in_)),
                    ]),
                };
            }
        )
        .Array[2, 26]
        .Select(cuts =>
            cuts.Select(
                    (cut, n) =>
                        new LayPiece(
                            $"p{n}",
                            $"i{n % 3}",
                            $"p{n}",
                            $"{n}",
                            cut,
                            n % 5 == 0 ? Grain.Either : Grain.Along
                        )
                )
                .ToArray()
        );

    [Fact]
    public void Any_outlines_lie_apart_at_once_and_after_a_search_and_no_bound_is_longer() =>
        Any.Sample(
            pieces =>
            {
                var lay = LayTable.Of(pieces, Cloth);
                Holds(pieces, lay.Best, Cloth);
                Assert.True(lay.ShortestPossible <= lay.Best.Length);
                Assert.Equal(lay.Best.Placements, LayTable.Of(pieces, Cloth).Best.Placements);
                var found = LaySearch.Run(pieces, Cloth, seed: 3, _ => { }, default, rounds: 1);
                Holds(pieces, found.Best, Cloth);
                Assert.True(found.ShortestPossible <= found.Best.Length && found.Best.Length <= lay.Best.Length);
            },
            iter: 10
        );

    // A repeat of 10 in: a piece of 12 in takes 20 from the next, so two go into 32 in, where three would by width alone:
    // five of 9 in along are three rows, 27 in. Plain ones of 4 in still go between them.
    [Fact]
    public void A_bound_knows_the_places_of_the_repeat()
    {
        var cloth = new LayCloth(Length.Inches(36), OneWay: true)
        {
            Repeat = new Repeat(Length.Inches(1), Length.Inches(10), false),
        };
        var wide = Alike(5, Outline.Rectangle(Length.Inches(12), Length.Inches(9)))
            .Select(piece => piece.AtSamePlace())
            .ToList();
        var found = LaySearch.Run(wide, cloth, seed: 1, _ => { }, default, rounds: 1);
        Assert.Equal(27.0, Inches(found.Best.Length), 4);
        // Of fifths of rows two and a half: 22.5 in by what goes side by side; 15 in by area.
        Assert.InRange(Inches(found.ShortestPossible), 22.3, 27.0);
        var between = wide.Append(
                new LayPiece("n", "i", "n", "n", Outline.Rectangle(Length.Inches(4), Length.Inches(27)), Grain.Along)
            )
            .ToList();
        Assert.Equal(27.0, Inches(LaySearch.Run(between, cloth, seed: 1, _ => { }, default, rounds: 1).Best.Length), 4);
    }

    // Tapered from 36 to 32 in, 12 in long, on a repeat of 10 in along: two never lie abreast, and one above another begins
    // 20 in further, so three take 20 + 20 + 12 in. By area they would be 34; half a millimetre all round is not counted.
    [Fact]
    public void A_bound_knows_how_far_apart_matched_pieces_lie_above_one_another()
    {
        var cloth = new LayCloth(Length.Inches(36), OneWay: true)
        {
            Repeat = new Repeat(Length.Inches(10), Length.Zero, false),
        };
        var pieces = Alike(3, Polygon((0, 0), (36, 0), (34, 12), (2, 12))).Select(piece => piece.AtSamePlace());
        var lay = LayTable.Of([.. pieces], cloth);
        Assert.Equal(52.0, Inches(lay.Best.Length), 4);
        Assert.InRange(Inches(lay.ShortestPossible), 51.9, 52.0);
        // In half-drop one whole place apart is two: every 5 in, so 15 and 15 and 12.
        var dropped = cloth with
        {
            Repeat = new Repeat(Length.Inches(10), Length.Inches(36), true),
        };
        Assert.InRange(Inches(LayTable.Of([.. pieces], dropped).ShortestPossible), 41.9, 42.0);
    }

    // Many pieces cost no cliff: all are laid, by their outlines, and a request that is given up ends at once.
    [Fact]
    public void Hundreds_of_curved_pieces_are_laid_by_their_outlines()
    {
        var pieces = Alike(700, Polygon((0, 0), (20, 0), (17, 18), (3, 18)));
        var lay = LayTable.Of(pieces, Cloth);
        // 233 rows of three and one: 234 x 18 in.
        Assert.Equal(234 * 18.0, Inches(lay.Best.Length), 3);
        using var given = new CancellationTokenSource();
        given.Cancel();
        Assert.ThrowsAny<OperationCanceledException>(() => LayTable.Of(pieces, Cloth, given.Token));
    }
}
