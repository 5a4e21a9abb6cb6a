using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Overlay;
using NetTopologySuite.Operation.OverlayNG;
using Wrapper.Core.Cloth;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Point = Wrapper.Core.Geometry.Point;

namespace Wrapper.Core.Tests;

public class LayTests
{
    // Random jobs of up to four cushions on cloth wide enough or not, plain or one-way.
    private static readonly Gen<(IReadOnlyList<LayPiece> Pieces, Length Usable, bool OneWay)> Jobs = Gen.Select(
        Variants.Makeable.Array[1, 4],
        Gen.Int[30, 120],
        Gen.Bool,
        (items, width, oneWay) =>
        {
            var document = JobDocument.Empty("job", JobUnit.Inch) with
            {
                Items = [.. items.Select((item, at) => item with { Id = $"i{at}" })],
                Cloths = [Cloth($"{width}", oneWay)],
            };
            var cloth = Plan.Of(document, Items.Drafting, lay: false).Cloths[0];
            return (cloth.Pieces, cloth.Reading.Usable.Value, oneWay);
        }
    );

    [Fact]
    public void Pieces_lie_on_the_cloth_apart_and_on_their_grain() =>
        Jobs.Sample(
            job =>
            {
                var lay = LayTable.Of(job.Pieces, new LayCloth(job.Usable, job.OneWay));
                Assert.Equal(job.Pieces.Count, lay.Best.Placements.Count + lay.Misfits.Count);
                foreach (var placed in new[] { lay.Best, lay.Hand })
                {
                    Assert.True(lay.ShortestPossible <= placed.Length && lay.Best.Length <= lay.Hand.Length);
                    var drawn = placed
                        // Less 0.01 mm all round: nothing lies on anything by more than 0.02 mm.
                        .Placements.Select(at =>
                            Geometry.Laid(job.Pieces.Single(piece => piece.Id == at.Id).Cut, at).Buffer(-0.01)
                        )
                        .ToList();
                    for (var a = 0; a < drawn.Count; a++)
                    {
                        var box = drawn[a].EnvelopeInternal;
                        Assert.True(
                            box.MinX > -0.01
                                && box.MinY > -0.01
                                && box.MaxX < Geometry.Mm(job.Usable) + 0.01
                                && box.MaxY < Geometry.Mm(placed.Length) + 0.01
                        );
                        for (var b = 0; b < a; b++)
                        {
                            var shared = OverlayNGRobust.Overlay(drawn[a], drawn[b], SpatialFunction.Intersection).Area; // mm², where chords touch
                            Assert.True(
                                shared < 0.5,
                                $"{placed.Placements[a].Id} and {placed.Placements[b].Id} overlap by {shared:0.##} mm²"
                            );
                        }
                    }
                    foreach (var at in placed.Placements)
                    {
                        var grain = job.Pieces.Single(piece => piece.Id == at.Id).Grain;
                        if (grain == Grain.Along)
                            Assert.Equal(0, at.Turns % 2);
                        if (grain == Grain.Across)
                            Assert.Equal(1, at.Turns % 2);
                        if (job.OneWay)
                            Assert.Equal(grain == Grain.Across ? 1 : 0, at.Turns);
                    }
                }
            },
            iter: 60
        );

    // Plus-shaped pieces, 12 across with 4 x 4 cut out of every corner. In rows of boxes two go across 24 and each row
    // takes 12;
    // nested, the arms of one row reach into the corners of the next. Four small squares fit the corners too.
    [Fact]
    public void Deep_cut_outs_and_unequal_pieces_beat_rows()
    {
        Length In(int n) => Length.Inches(n);
        var plus = Ring(
            (4, 0),
            (8, 0),
            (8, 4),
            (12, 4),
            (12, 8),
            (8, 8),
            (8, 12),
            (4, 12),
            (4, 8),
            (0, 8),
            (0, 4),
            (4, 4)
        );
        List<LayPiece> pieces =
        [
            .. Enumerable.Range(1, 6).Select(i => new LayPiece($"p{i}", "i", "plus", "1a", plus, Grain.Along)),
        ];
        var patch = Outline.Rectangle(In(4), In(4));
        pieces.AddRange(
            Enumerable.Range(1, 8).Select(i => new LayPiece($"q{i}", "i", "patch", "1b", patch, Grain.Along))
        );
        var lay = LayTable.Of(pieces, new LayCloth(In(24), OneWay: true));
        Assert.Equal(In(44), lay.Hand.Length); // three rows of 12; 24 wide they leave no room beside them: 8 patches six across, two rows of 4
        Assert.True(lay.Best.Length <= In(36), $"{lay.Best.Length}");
    }

    // By hand on 50: each panel of 30 x 20 leaves 20 beside it, for a strip of 18; the strip of 44 takes a row of 4, and
    // those of 15 x 3, which find no room beside it, share one of 3.
    [Fact]
    public void By_hand_shorter_pieces_share_the_rows_of_longer_ones()
    {
        LayPiece Piece(string name, int width, int height) =>
            new(name, "i", name, "1a", Outline.Rectangle(Length.Inches(width), Length.Inches(height)), Grain.Along);
        List<LayPiece> pieces =
        [
            Piece("a", 30, 20),
            Piece("b", 30, 20),
            Piece("c", 44, 4),
            Piece("d", 18, 4),
            Piece("e", 18, 4),
            Piece("f", 15, 3),
            Piece("g", 15, 3),
        ];
        var hand = LayTable.Of(pieces, new LayCloth(Length.Inches(50), OneWay: true)).Hand;
        Assert.Equal(Length.Inches(20 + 20 + 4 + 3), hand.Length);
    }

    [Fact]
    public void A_piece_too_wide_is_told_and_the_rest_is_laid()
    {
        List<LayPiece> pieces =
        [
            new("wide", "i", "wide", "1a", Outline.Rectangle(Length.Inches(60), Length.Inches(70)), Grain.Along),
            new("small", "i", "small", "1b", Outline.Rectangle(Length.Inches(10), Length.Inches(10)), Grain.Along),
        ];
        var lay = LayTable.Of(pieces, new LayCloth(Length.Inches(53), OneWay: false));
        Assert.Equal(("wide", Length.Inches(60)), (Assert.Single(lay.Misfits).Id, lay.Misfits[0].Across));
        Assert.Equal("small", Assert.Single(lay.Best.Placements).Id);
    }

    [Fact]
    public void Nothing_to_lay_takes_no_cloth() =>
        Assert.Equal(Length.Zero, LayTable.Of([], new LayCloth(Length.Inches(54), OneWay: false)).Best.Length);

    [Theory]
    [InlineData("100", "1/8 yd", "0", "24", 103.5, 69.00)] // steps of 4 1/2 in: 22.2 of them, so 23; 2 7/8 yd
    [InlineData("36", "1/2 yd", "0", "10.00", 36, 10.00)] // just one yard: nothing over
    [InlineData("36.1", "1/2 yd", "0", "10,00", 54, 15.00)]
    [InlineData("36", "1/2 yd", "1", "10", 54, 15.00)] // a margin is an explicit line
    [InlineData("100 cm", "10 cm", "0", "20", 39.3701, 21.87)] // ten steps; 1 m is 1.09361 yd
    public void Buying_rounds_up_to_the_shops_step(
        string need,
        string step,
        string margin,
        string price,
        double boughtInches,
        double cost
    )
    {
        var cloth = new ClothReading(
            Cloth("54", false) with
            {
                Step = new(step, JobUnit.Inch),
                Margin = new(margin, JobUnit.Inch),
                Price = price,
            },
            JobUnit.Inch
        );
        var buying = Buying.Of(LengthReader.Read(need, JobUnit.Inch, LengthLimits.Cloth).Length!.Value, cloth);
        Assert.Equal((decimal)boughtInches, Items.Inches(buying.Bought), 4);
        Assert.Equal((decimal)cost, buying.Cost);
        Assert.Equal(buying.Bought, buying.Needed + buying.Margin + buying.LeftOver);
    }

    internal static JobCloth Cloth(string width, bool oneWay) =>
        new(
            "c1",
            "cloth",
            new(width, JobUnit.Inch),
            new("1/2", JobUnit.Inch),
            oneWay,
            new("1/8 yd", JobUnit.Inch),
            new("0", JobUnit.Inch),
            "20",
            "yd",
            "#6b7f8c"
        );

    private static Outline Ring(params (int X, int Y)[] corners) =>
        new([
            .. corners.Select(
                (corner, at) => new Edge($"e{at}", new Point(Length.Inches(corner.X), Length.Inches(corner.Y)))
            ),
        ]);
}

/// <summary>Laid pieces as polygons of another library, arcs by chords: an independent eye on the placer.</summary>
internal static class Geometry
{
    public static double Mm(Length length) => length.Ticks / 3840.0;

    public static Polygon Laid(Outline cut, Placement at)
    {
        var turned = Points(cut)
            .Select(p =>
                (at.Turns % 4) switch
                {
                    1 => (-p.Y, p.X),
                    2 => (-p.X, -p.Y),
                    3 => (p.Y, -p.X),
                    _ => p,
                }
            )
            .ToList();
        // The box of chords falls short of the true one by at most a thousandth of a millimetre.
        var (left, bottom) = (turned.Min(p => p.Item1), turned.Min(p => p.Item2));
        var ring = turned.Select(p => new Coordinate(p.Item1 - left + Mm(at.X), p.Item2 - bottom + Mm(at.Y))).ToList();
        return new Polygon(new LinearRing([.. ring, ring[0]]));
    }

    /// <summary>An outline as a ring of that library, to measure distances from.</summary>
    public static LinearRing Ring(Outline outline)
    {
        Coordinate[] points = [.. Points(outline).Select(p => new Coordinate(p.X, p.Y))];
        return new LinearRing([.. points, points[0]]);
    }

    /// <summary>Points on an outline, in mm, arcs by halving.</summary>
    public static IEnumerable<(double X, double Y)> Points(Outline outline)
    {
        for (var at = 0; at < outline.Edges.Count; at++)
        {
            var (edge, next) = (outline.Edges[at], outline.Edges[(at + 1) % outline.Edges.Count]);
            (double X, double Y) a = (Mm(edge.Start.X), Mm(edge.Start.Y)),
                b = (Mm(next.Start.X), Mm(next.Start.Y));
            yield return a;
            if (edge.Radius is not { } radius)
                continue;
            // Chords of an arc found by halving: the middle of an arc lies on the bisector of its chord, a sagitta
            // away.
            foreach (var p in Halve(a, b, Mm(radius), edge.Outward ? 1 : -1, 9, edge.Large))
                yield return p;
        }
    }

    private static IEnumerable<(double X, double Y)> Halve(
        (double X, double Y) a,
        (double X, double Y) b,
        double r,
        int side,
        int depth,
        bool large = false
    )
    {
        if (depth == 0)
            yield break;
        Assert.False(a == b, $"an arc of no length at {a}, radius {r}");
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var chord = Math.Sqrt((dx * dx) + (dy * dy));
        // Of an arc over half a circle the middle lies beyond the centre; its halves are small again.
        var foot = Math.Sqrt(Math.Max(0, (r * r) - (chord * chord / 4)));
        var sagitta = large ? r + foot : r - foot;
        var middle = ((a.X + b.X) / 2 + (side * dy / chord * sagitta), (a.Y + b.Y) / 2 - (side * dx / chord * sagitta));
        foreach (var p in Halve(a, middle, r, side, depth - 1))
            yield return p;
        yield return middle;
        foreach (var p in Halve(middle, b, r, side, depth - 1))
            yield return p;
    }
}
