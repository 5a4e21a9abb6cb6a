using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

public class DraftProperties
{
    [Fact]
    public void Every_seam_matches_and_every_stitch_line_is_used_once() =>
        Variants.Makeable.Sample(item => Assert.True(Items.Draft(item).Seams!.Holds, Faults(Items.Draft(item).Seams!)), iter: 400);

    [Fact]
    public void Listed_cut_sizes_are_the_extent_of_the_raw_edge() =>
        Variants.Makeable.Sample(item =>
        {
            foreach (var piece in Items.Pattern(item).Pieces)
            {
                var (left, bottom, right, top) = piece.Cut.Bounds();
                var sizes = piece.Sizes.Where(size => size.Kind == SizeKind.Cut).ToList();
                Assert.Equal(0, (sizes[0].Working.Value - (right - left)).Ticks, 4.0);
                Assert.Equal(0, (sizes[1].Working.Value - (top - bottom)).Ticks, 4.0);
            }
        }, iter: 400);

    // The band between stitch line and raw edge: allowance times edge, plus the mitres; a square convex corner adds a x b and a
    // concave one takes it away. For pieces of straight, square edges that is exact.
    [Fact]
    public void Area_of_the_cut_is_that_of_the_stitch_line_plus_its_allowances() =>
        Variants.Makeable.Sample(item =>
        {
            foreach (var piece in Items.Pattern(item).Pieces.Where(p => p.UncutShape is null && p.Stitch.Edges.All(e => e.Radius is null)))
            {
                var edges = piece.Stitch.Edges;
                double Mm(Length l) => l.Ticks / 3840.0;
                double A(int at) => piece.Allowances.TryGetValue(edges[(at + edges.Count) % edges.Count].Name, out var a) ? Mm(a.Value) : 0;
                var band = 0.0;
                for (var at = 0; at < edges.Count; at++)
                {
                    var (p, q, o) = (edges[at].Start, edges[(at + 1) % edges.Count].Start, edges[(at + edges.Count - 1) % edges.Count].Start);
                    var turn = Math.Sign((Mm(p.X - o.X) * Mm(q.Y - p.Y)) - (Mm(p.Y - o.Y) * Mm(q.X - p.X)));
                    band += (A(at) * Mm(piece.Stitch.LengthOf(edges[at].Name))) + (turn * A(at) * A(at - 1));
                }
                Assert.Equal(piece.Stitch.AreaSquareMetres() + (band / 1e6), piece.Cut.AreaSquareMetres(), 1e-6);
            }
        }, iter: 200);

    [Fact]
    public void An_eighth_of_an_inch_in_any_dimension_is_named_by_the_seam_check() =>
        Variants.Makeable.Sample(item =>
        {
            var pattern = Items.Pattern(item);
            foreach (var piece in pattern.Pieces.Where(piece => !piece.Key.StartsWith("cord", StringComparison.Ordinal)))
                foreach (var (name, working) in piece.Dimensions.Where(d => d.Value.Value.IsPositive))
                {
                    var report = SeamCheck.Of(pattern.With(piece.Redrawn(name, working.Value + Length.Inches(0, 1, 8))), JobUnit.Inch);
                    Assert.True(report.Seams.Any(seam => seam.Fault is not null), $"{item.MakeUp}: {piece.Key} {name} passed unseen");
                }
        }, iter: 60);

    [Fact]
    public void A_seam_left_out_leaves_its_edges_uncovered() =>
        Variants.Makeable.Sample(item =>
        {
            var pattern = Items.Pattern(item);
            foreach (var seam in pattern.Seams.Where(seam => seam.Drafted.Value > SeamCheck.Tolerance))
            {
                var report = SeamCheck.Of(pattern with { Seams = [.. pattern.Seams.Where(other => other != seam)] }, JobUnit.Inch);
                Assert.NotEmpty(report.Coverage);
            }
        }, iter: 40);

    [Fact]
    public void A_stretch_in_two_seams_is_told_and_so_is_one_past_its_edge()
    {
        var pattern = Items.Pattern(Items.Example("box-cushion-strip"));
        var twice = pattern with { Uses = [.. pattern.Uses, new Use(EdgeUse.Raw, new Run("panel", 1, "front"))] };
        Assert.Contains("used twice", Assert.Single(SeamCheck.Of(twice, JobUnit.Inch).Coverage), StringComparison.Ordinal);
        var past = new Run("panel", 1, "front", null, Length.Inches(50));
        var seams = pattern.Seams.Select(seam => seam with { Right = [.. seam.Right.Select(run => run is { Piece: "panel", Instance: 1, Edge: "front" } ? past : run)] }).ToList();
        Assert.Contains(SeamCheck.Of(pattern with { Seams = seams }, JobUnit.Inch).Coverage, fault => fault.Contains("past its end", StringComparison.Ordinal));
    }

    [Fact]
    public void The_unit_of_the_job_changes_no_size() =>
        Variants.Makeable.Sample(item =>
        {
            var (inches, metric) = (Items.Pattern(item), Items.Pattern(item, JobUnit.Centimetre));
            Assert.Equal(inches.Pieces.SelectMany(Corners), metric.Pieces.SelectMany(Corners));
        }, iter: 100);

    [Fact]
    public void Boxing_is_never_joined_within_the_front() =>
        Variants.Makeable.Where(item => item.MakeUp == "box-cushion-strip").Sample(item =>
        {
            var pattern = Items.Pattern(item);
            // The front edge of the top panel meets one boxing length only: its run in the seam is whole, so no join falls in it.
            var seam = pattern.Seams.Single(s => s.Name == "boxing to top panel");
            var front = seam.Right.SingleOrDefault(run => run.Edge == "front");
            if (front is null) return; // a full round: no straight front
            var before = seam.Right.TakeWhile(run => run != front).Select(run => Drawn(pattern, run)).Aggregate(Length.Zero, (a, b) => a + b);
            var joins = seam.Left.Select(run => Drawn(pattern, run)).Aggregate(new List<Length> { Length.Zero }, (at, next) => [.. at, at[^1] + next]);
            Assert.DoesNotContain(joins, join => join > before + Length.Inches(0, 1, 64) && join < before + Drawn(pattern, front) - Length.Inches(0, 1, 64));
        }, iter: 200);

    [Fact]
    public void The_other_one_of_a_pair_is_its_mirror_image() =>
        Variants.Makeable.Sample(item =>
        {
            foreach (var cut in Items.Pattern(item).Pieces.Select(piece => piece.Cut))
            {
                var turned = cut.Mirrored();
                Assert.Equal(cut.AreaSquareMetres(), turned.AreaSquareMetres(), 1e-9);
                Assert.Equal(cut.Perimeter(), turned.Perimeter());
                Assert.Equal(cut.Edges.Select(e => (-e.Start.X.Ticks, e.Start.Y.Ticks)).Order(), turned.Edges.Select(e => (e.Start.X.Ticks, e.Start.Y.Ticks)).Order());
                Assert.Equal(cut.Edges.ToHashSet(), turned.Mirrored().Edges.ToHashSet());
            }
        }, iter: 60);

    // A wider left side: on the cloth the bottom panel has it on its right.
    [Fact]
    public void The_bottom_panel_is_cut_turned_over()
    {
        var item = Items.Example("box-cushion-strip", ("panel/left", "1 1/2")) with { Cloth = null };
        var job = JobDocument.Empty("job", JobUnit.Inch) with { Items = [item], Cloths = [LayTests.Cloth("54", false)] };
        var panels = Planning.Of(job, Items.Drafting, lay: false).Cloths[0].Pieces.Where(piece => piece.Piece == "panel").ToList();
        decimal Left(int at) => Items.Inches(panels[at].Cut.Bounds().Left);
        Assert.Equal((-1.5m, -47m), (Left(0), Left(1))); // 46 1/2 and its own 1/2
    }

    private static Length Drawn(Pattern pattern, Run run) =>
        (run.To ?? pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge)) - (run.From ?? Length.Zero);

    private static IEnumerable<(string, Point)> Corners(Piece piece) => piece.Cut.Edges.Select(edge => ($"{piece.Key} {edge.Name}", edge.Start));

    private static string Faults(SeamReport report) =>
        string.Join("; ", report.Coverage.Concat(report.Seams.Where(s => s.Fault is not null).Select(s => $"{s.Seam}: {s.Fault}")));
}
