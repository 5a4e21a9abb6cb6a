using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>What must hold for every cover of a kind, whatever its sizes.</summary>
public class SeatProperties
{
    // The making order names seams that exist, and every seam that is stitched is sewn in some step.
    [Fact]
    public void Steps_name_real_seams() =>
        Variants.Makeable.Sample(
            item =>
            {
                var pattern = Items.Pattern(item);
                var real = pattern.Seams.Select(seam => seam.Name).ToHashSet();
                Assert.All(pattern.Steps.SelectMany(step => step.Seams), seam => Assert.Contains(seam, real));
                Assert.Equal(real.Count, pattern.Seams.Count);
            },
            iter: 200
        );

    [Theory]
    [InlineData("box-cushion-strip")]
    [InlineData("box-cushion-two-panels")]
    [InlineData("pillowcase-cushion")]
    [InlineData("knife-edge-pad")]
    [InlineData("bolster")]
    [InlineData("ottoman-boxed")]
    [InlineData("ottoman-cap")]
    [InlineData("cube-banded")]
    [InlineData("chair-back-slip-over")]
    [InlineData("chair-slipcover")]
    [InlineData("fitted-sheet")]
    [InlineData("mattress-gusset")]
    [InlineData("mattress-stitched-off")]
    [InlineData("contoured-pad")]
    [InlineData("duvet-cover")]
    [InlineData("table-five-pieces")]
    [InlineData("table-one-piece")]
    [InlineData("elastic-cap")]
    [InlineData("round-table-draped")]
    [InlineData("round-table-skirted")]
    [InlineData("centre-panel")]
    public void Every_seam_is_sewn_in_some_step(string makeUp) =>
        Variants
            .Of(makeUp)
            .Sample(
                item =>
                {
                    var pattern = Items.Pattern(item);
                    var sewn = pattern.Steps.SelectMany(step => step.Seams).ToHashSet();
                    Assert.All(
                        pattern.Seams.Where(seam => seam.Kind != SeamKind.Opening),
                        seam => Assert.Contains(seam.Name, sewn)
                    );
                },
                iter: 40
            );

    // A boxed corner: both flap ends are as long as the fold-down, and square to the flap's own edge.
    [Theory]
    [InlineData("box-cushion-two-panels", "panel")]
    [InlineData("cube-banded", "top")]
    [InlineData("fitted-sheet", "sheet")]
    [InlineData("table-one-piece", "sheet")]
    public void Boxed_corners_fold_to_their_depth(string makeUp, string piece) =>
        Variants
            .Of(makeUp)
            .Sample(
                item =>
                {
                    var pattern = Items.Pattern(item);
                    if (pattern.Pieces.All(each => each.Key != piece))
                        return; // joined of several widths: checked by its seams
                    var stitch = pattern.Piece(piece).Stitch;
                    var fall = pattern.Piece(piece).Dimensions["fall"].Value;
                    if (stitch.Edges.Any(edge => edge.Radius is not null))
                        return; // stitched off over a rounded inner: a case of its own
                    for (var at = 0; at < stitch.Edges.Count; at += 3)
                    {
                        Assert.Equal(0, (stitch.LengthOf(stitch.Edges[at].Name) - fall).Ticks, 3.0);
                        Assert.Equal(0, (stitch.LengthOf(stitch.Edges[at + 2].Name) - fall).Ticks, 3.0);
                        var (side, flap) = (Way(stitch, at), Way(stitch, at + 1));
                        Assert.Equal(0, ((side.X * flap.X) + (side.Y * flap.Y)) / (Size(side) * Size(flap)), 1e-4);
                    }
                },
                iter: 60
            );

    // Around a boxing: both strips together close the ring of the panel, on every outline.
    [Fact]
    public void Boxing_and_zip_strip_close_the_ring() =>
        Variants
            .Of("box-cushion-strip")
            .Sample(
                item =>
                {
                    var pattern = Items.Pattern(item);
                    var finished = pattern.Finished.ToDictionary(size => size.Name, size => size.Working.Value);
                    Assert.Equal(finished["perimeter"], finished["zip run"] + finished["boxing run"]);
                    var drawn = pattern.Piece("panel").Stitch.Perimeter();
                    Assert.True(
                        (drawn - finished["perimeter"]).Abs() <= Length.Millimetres(0.02m),
                        $"{drawn} drawn, {finished["perimeter"]} reckoned"
                    );
                },
                iter: 200
            );

    // The plumb rule of the handbook, reckoned here from the leaning edges' ends.
    [Fact]
    public void The_plumb_width_holds_the_leaning_arm_front() =>
        Variants
            .Of("chair-slipcover")
            .Sample(
                item =>
                {
                    if (item.Choices["armFront"].Typed != "panel" || item.Choices["armTop"].Typed != "flat")
                        return;
                    var pattern = Items.Pattern(item);
                    var stitch = pattern.Piece("arm-front").Stitch;
                    Length X(string edge) => stitch.Edges.Single(e => e.Name == edge).Start.X;
                    var (baseWidth, topLeft, topWidth) = (
                        X("outer") - X("base"),
                        X("inner") - X("base"),
                        X("top") - X("inner")
                    );
                    var held = Length.Max(baseWidth, topLeft + topWidth) - Length.Min(Length.Zero, topLeft);
                    Assert.Equal(
                        held,
                        pattern.Finished.Single(size => size.Name == "plumb width of an arm front").Working.Value
                    );
                    var (left, _, right, _) = stitch.Bounds();
                    Assert.Equal(held, right - left);
                },
                iter: 60
            );

    // A tuck-in lies only along crevices: those edges of the cut reach further out than their neighbours by its depth.
    [Fact]
    public void Tuck_ins_lie_only_along_crevices() =>
        Variants
            .Of("chair-slipcover")
            .Sample(
                item =>
                {
                    var pattern = Items.Pattern(item);
                    var tuck = pattern.Finished.Single(size => size.Name == "tuck-in").Working.Value;
                    foreach (
                        var (piece, tucked, plain) in new[]
                        {
                            ("inside-back", "lower", "left"),
                            ("inside-arm", "lower", "right"),
                            ("deck", "upper", "lower"),
                        }
                    )
                    {
                        if (pattern.Pieces.All(each => each.Key != piece))
                            continue; // joined of several widths
                        var allowances = pattern.Piece(piece).Allowances;
                        var own = pattern
                            .Finished.Where(size => size.Name == "tuck-in at the arms")
                            .Select(size => size.Working.Value)
                            .DefaultIfEmpty(tuck)
                            .Single();
                        Assert.Equal(
                            piece == "inside-arm" ? own : tuck,
                            allowances[tucked].Value - allowances[plain].Value
                        );
                    }
                },
                iter: 40
            );

    // Nothing is cut to shape before it is on the chair: each piece of the body is a rectangle that lies beyond the line to
    // expect by at least the seam and half of the ease, on every side.
    [Fact]
    public void A_slipcover_is_cut_as_rough_rectangles() =>
        Variants
            .Of("chair-slipcover")
            .Sample(
                item =>
                {
                    var pattern = Items.Pattern(item);
                    foreach (
                        var piece in pattern.Pieces.Where(each =>
                            !each.Key.StartsWith("skirt", StringComparison.Ordinal)
                        )
                    )
                    {
                        Assert.Equal(4, piece.Cut.Edges.Count);
                        var (cut, line) = (piece.Cut.Bounds(), piece.Stitch.Bounds());
                        Assert.All(
                            piece.Cut.Edges.Zip([.. piece.Cut.Edges.Skip(1), piece.Cut.Edges[0]]),
                            side =>
                                Assert.True(
                                    side.First.Start.X == side.Second.Start.X
                                        || side.First.Start.Y == side.Second.Start.Y
                                )
                        );
                        var least = piece.Allowances.Values.Min(each => each.Value);
                        Assert.All(
                            new[]
                            {
                                cut.Right - line.Right,
                                line.Left - cut.Left,
                                cut.Top - line.Top,
                                line.Bottom - cut.Bottom,
                            },
                            over => Assert.True(over >= least, $"{piece.Name}: {Items.Inches(over)} in over")
                        );
                    }
                },
                iter: 40
            );

    // The other hand is the mirror image: the same area, edges, and cloth.
    [Theory]
    [InlineData("shape=ell | W=30 | N=22 | L=24 | E=8")]
    [InlineData("shape=curved-end | W=30 | L=20 | b=6")]
    [InlineData("shape=four-sided | W=30 | R=21 | B=27 | L=19 | X=35")]
    [InlineData("shape=traced | O=0, 0; 22, 0; 26, 14; 15, 22; -4, 12")]
    public void Left_is_the_mirror_image_of_right(string outline)
    {
        Piece Panel(string hand) =>
            Items
                .Pattern(Items.Read("box-cushion-strip", JobUnit.Inch, $"T=4 | hand={hand} | {outline}"))
                .Piece("panel");
        var (right, left) = (Panel("right"), Panel("left"));
        Assert.Equal(right.Cut.AreaSquareMetres(), left.Cut.AreaSquareMetres(), 1e-9);
        Assert.Equal(Corners(right.Stitch.Mirrored()), Corners(left.Stitch));
        Assert.NotEqual(Corners(right.Stitch), Corners(left.Stitch));
    }

    [Fact]
    public void In_pairs_every_second_cover_is_mirrored()
    {
        var item = Items.Read(
            "pillowcase-cushion",
            JobUnit.Inch,
            "shape=curved-end | hand=pairs | W=30 | L=20 | b=6 | T=5"
        ) with
        {
            Quantity = "2",
            Cloth = null,
        };
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [item],
            Cloths = [LayTests.Cloth("54", false)],
        };
        var panels = Plan.Of(job, Items.Drafting, lay: false).Cloths[0].Pieces;
        // Top and bottom of the first, then of the second: right, turned over, turned over, right.
        Assert.Equal(4, panels.Count);
        Assert.Same(panels[0].Cut, panels[3].Cut);
        Assert.Same(panels[1].Cut, panels[2].Cut);
        Assert.NotEqual(Corners(panels[0].Cut), Corners(panels[1].Cut));
    }

    // A smooth side runs through every station exactly, left and right alike, without a corner between its arcs.
    [Theory]
    [InlineData("stations=1 | f1=8 | w1=19")]
    [InlineData("stations=2 | f1=6 | w1=18 1/2 | f2=12 | w2=16")]
    [InlineData("stations=3 | f1=4 | w1=18 3/4 | f2=8 | w2=18 1/2 | f3=13 | w3=16 1/4")]
    public void A_smooth_side_runs_through_its_stations(string stations)
    {
        var stitch = Items
            .Pattern(
                Items.Read(
                    "box-cushion-strip",
                    JobUnit.Inch,
                    $"shape=tapered | sides=smooth | W=18 | B=14 | L=16 | T=3 | {stations}"
                )
            )
            .Piece("panel")
            .Stitch;
        var measured = stations
            .Split('|')
            .Skip(1)
            .Select(part => part.Split('=')[1].Trim())
            .Select(text => LengthReader.Read(text, JobUnit.Inch, LengthLimits.Item).Length!.Value)
            .ToList();
        foreach (var (from, width) in measured.Where((_, n) => n % 2 == 0).Zip(measured.Where((_, n) => n % 2 == 1)))
        foreach (var x in (Length[])[Length.Inches(9) + width.Over(2), Length.Inches(9) - width.Over(2)])
            Assert.Contains(stitch.Edges, edge => (edge.Start.X - x).Abs().Ticks <= 1 && edge.Start.Y == from);
        var right = stitch.Edges.Where(edge => edge.Name.StartsWith("right", StringComparison.Ordinal)).ToList();
        foreach (var (before, after) in right.Zip(right.Skip(1)))
        {
            var (leaving, into) = (Heading(stitch, before, end: true), Heading(stitch, after, end: false));
            Assert.Equal(0, Math.Sin(leaving - into), 2e-3);
        }
    }

    [Theory]
    [InlineData("soft", "softBy", -1)]
    [InlineData("loose", "looseBy", 1)]
    [InlineData("pinfit", "pinBy", 1)]
    public void Ease_moves_every_side_of_any_outline_by_half_of_it(string school, string amount, int way)
    {
        // A T: corners that turn outward gain half on both sides, the inside corner gains on one and loses on the
        // other.
        Pattern Of(string ease) =>
            Items.Pattern(
                Items.Read(
                    "box-cushion-strip",
                    JobUnit.Inch,
                    $"shape=tee | W=28 | N=22 | L=24 | E=5 | T=4 | ease={ease} | {amount}=1"
                )
            );
        Length Edge(string ease, string edge) => Of(ease).Piece("panel").Stitch.LengthOf(edge);
        var inch = Length.Inches(1);
        Assert.Equal(Edge("exact", "front") + (way * inch), Edge(school, "front"));
        Assert.Equal(Edge("exact", "back") + (way * inch), Edge(school, "back"));
        Assert.Equal(Edge("exact", "right ear") + (way * inch), Edge(school, "right ear"));
        Assert.Equal(Edge("exact", "right ear back"), Edge(school, "right ear back"));
        Assert.Equal(Edge("exact", "right"), Edge(school, "right"));
    }

    // Of what must fit inside, like a tuck-in in its crevice, the smaller of two readings counts.
    [Fact]
    public void Of_a_crevice_the_smaller_reading_counts()
    {
        var pattern = Items.Pattern(
            Items.Read("sofa-base", JobUnit.Inch, "W=60 | S=22 | F=16 | A=34 | M=34 | C=4 | C again=3 7/8")
        );
        Assert.Equal(2.325m, Items.Inches(pattern.Finished.Single(size => size.Name == "tuck-in").Working.Value)); // 3/5 of 3 7/8
    }

    [Fact]
    public void A_measure_that_is_not_asked_cannot_stand_in_the_way()
    {
        var item = Items.Read("box-cushion-strip", JobUnit.Inch, "W=30 | L=20 | T=4 | d=abc | f1=-3 | O=nonsense");
        Assert.Empty(Items.Draft(item).Problems);
    }

    [Fact]
    public void An_item_from_before_a_choice_keeps_its_meaning()
    {
        var item = Items.Read("box-cushion-strip", JobUnit.Inch, "W=30 | L=20 | T=4");
        var older = item with
        {
            Choices = item
                .Choices.Where(choice => choice.Key is not ("shape" or "square" or "wadding" or "hand"))
                .ToDictionary(),
        };
        Assert.Equal(
            Items.Pattern(item).Size("boxing", "cut length"),
            Items.Pattern(older).Size("boxing", "cut length")
        );
    }

    [Fact]
    public void Cord_of_a_slipcover_follows_its_cord_lines()
    {
        // The skirt line lies 7 in above the lower edge: two arm fronts (inside 14, outside 12 - 7 + 9), arm tops 21 1/2,
        // the back's top 32, its corners 13, both back seams 14 + 13, the front edge 22, round the skirt line
        // 2 x 32 + 2 x 26 1/2; seven joins of 3.
        var pattern = Items.Pattern(
            Items.Read("chair-slipcover", JobUnit.Inch, "W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5")
        );
        Assert.Equal(
            (2 * (14 + 14)) + (2 * 21.5m) + 32 + (2 * 13) + (2 * 27) + 22 + 64 + 53 + 21,
            Items.Inches(pattern.Notions.Single(notion => notion.Key == "cord").Length!.Value)
        );
        // From the skirt line up past the arm (14), and 13 less 2 above it.
        Assert.Equal(25m, Items.Inches(pattern.Notions.Single(notion => notion.Key == "zip").Length!.Value));
    }

    [Theory]
    [InlineData("capCorners=boxed", 4)]
    [InlineData("capCorners=pleated", 0)]
    public void A_cap_is_boxed_or_pleated(string corners, int darts)
    {
        var pattern = Items.Pattern(Items.Read("ottoman-cap", JobUnit.Inch, $"W=20 | L=18 | H=16 | {corners}"));
        Assert.Equal(darts, pattern.Seams.Count(seam => seam.Kind == SeamKind.Dart));
        // Each pleated corner loses 4 f tan 22.5° = 6.6274 at f 4.
        var swallowed = pattern
            .Seams.Where(seam => seam.Kind == SeamKind.Pleat)
            .Select(seam => Items.Inches(seam.Swallowed))
            .SingleOrDefault();
        Assert.Equal(darts == 0 ? 26.5097m : 0, swallowed);
    }

    private static (double X, double Y) Way(Outline outline, int at)
    {
        var (a, b) = (outline.Edges[at].Start, outline.Edges[(at + 1) % outline.Edges.Count].Start);
        return ((b.X - a.X).Ticks, (b.Y - a.Y).Ticks);
    }

    private static double Size((double X, double Y) way) => Math.Sqrt((way.X * way.X) + (way.Y * way.Y));

    // The direction of an edge at its start or end, from its chord and the angle that an arc makes with it.
    private static double Heading(Outline outline, Edge edge, bool end)
    {
        var way = Way(outline, outline.Edges.ToList().IndexOf(edge));
        var half = edge.Radius is { } r ? Math.Asin(Math.Min(1, Size(way) / 2 / r.Ticks)) * (edge.Outward ? 1 : -1) : 0;
        return Math.Atan2(way.Y, way.X) + (end ? half : -half);
    }

    private static IEnumerable<(long, long)> Corners(Outline outline)
    {
        var (left, bottom, _, _) = outline.Bounds();
        return outline
            .Edges.Select(edge => ((edge.Start.X - left).Ticks / 8, (edge.Start.Y - bottom).Ticks / 8))
            .Order();
    }
}
