using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

public class DraftProperties
{
    [Fact]
    public void Every_seam_matches_and_every_stitch_line_is_used_once() =>
        Variants.Makeable.Sample(
            item => Assert.True(Items.Draft(item).Seams!.Holds, Faults(Items.Draft(item).Seams!)),
            iter: 400
        );

    [Fact]
    public void Listed_cut_sizes_are_the_extent_of_the_raw_edge() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var piece in Items.Pattern(item).Pieces)
                {
                    var (left, bottom, right, top) = piece.Cut.Bounds();
                    var sizes = piece.Sizes.Where(size => size.Kind == SizeKind.Cut).ToList();
                    Assert.Equal(0, (sizes[0].Working.Value - (right - left)).Ticks, 4.0);
                    Assert.Equal(0, (sizes[1].Working.Value - (top - bottom)).Ticks, 4.0);
                }
            },
            iter: 400
        );

    // The band between stitch line and raw edge: allowance times edge, plus at each corner the kite between both
    // offsets and the
    // mitre: with a turn t its legs are (b - a cos t) / sin t and (a - b cos t) / sin t long. Along an arc a ring's
    // share is added.
    [Fact]
    public void Area_of_the_cut_is_that_of_the_stitch_line_plus_its_allowances() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var piece in Items.Pattern(item).Pieces.Where(p => p.UncutShape is null && !p.IsRough))
                {
                    var edges = piece.Stitch.Edges;
                    double A(int at) =>
                        piece.Allowances.TryGetValue(edges[at % edges.Count].Name, out var a) ? Mm(a.Value) : 0;
                    var band = 0.0;
                    var exact = true;
                    for (var at = 0; at < edges.Count; at++)
                    {
                        var (curve, next) = (
                            new Bend(piece.Stitch, at),
                            new Bend(piece.Stitch, (at + 1) % edges.Count)
                        );
                        band +=
                            (A(at) * Mm(piece.Stitch.LengthOf(edges[at].Name))) + (curve.Turned * A(at) * A(at) / 2);
                        var turn = next.Start - curve.End;
                        turn -= 2 * Math.PI * Math.Round(turn / (2 * Math.PI));
                        // Where an arc meets a corner the mitre lies on the arc, not on its tangent; there the kite is
                        // only near.
                        if (Math.Abs(turn) < 2e-3)
                            exact &= A(at) == A(at + 1);
                        else if (curve.Turned != 0 || next.Turned != 0)
                            exact = false;
                        else
                            band +=
                                (
                                    (A(at) * (A(at + 1) - (A(at) * Math.Cos(turn))))
                                    + (A(at + 1) * (A(at) - (A(at + 1) * Math.Cos(turn))))
                                )
                                / Math.Sin(turn)
                                / 2;
                    }
                    if (exact)
                        Assert.Equal(
                            piece.Stitch.AreaSquareMetres() + (band / 1e6),
                            piece.Cut.AreaSquareMetres(),
                            3e-6 * Math.Max(1, 2 * piece.Cut.AreaSquareMetres())
                        );
                }
            },
            iter: 300
        );

    private static double Mm(Length length) => length.Ticks / 3840.0;

    // An edge by its headings, reckoned from its ends and its radius.
    private readonly record struct Bend(double Start, double End, double Turned)
    {
        public Bend(Outline outline, int at)
            : this(0, 0, 0)
        {
            var (edge, to) = (outline.Edges[at], outline.Edges[(at + 1) % outline.Edges.Count].Start);
            var (dx, dy) = (Mm(to.X - edge.Start.X), Mm(to.Y - edge.Start.Y));
            var chord = Math.Atan2(dy, dx);
            var swept = edge.Radius is { } r
                ? 2 * Math.Asin(Math.Min(1, Math.Sqrt((dx * dx) + (dy * dy)) / 2 / Mm(r)))
                : 0;
            if (edge.Large)
                swept = (2 * Math.PI) - swept;
            Turned = edge.Outward ? swept : -swept;
            (Start, End) = (chord - (Turned / 2), chord + (Turned / 2));
        }
    }

    [Fact]
    public void An_eighth_of_an_inch_in_any_dimension_is_caught_by_the_seam_check() =>
        Variants.Makeable.Sample(
            item =>
            {
                var pattern = Items.Pattern(item);
                foreach (var piece in pattern.Pieces)
                foreach (var (name, working) in piece.Dimensions.Where(d => d.Value.Value.IsPositive))
                {
                    var changed = piece.Redrawn(name, working.Value + Length.Inches(0, 1, 8));
                    // A piece that loses an edge is no longer that piece: nobody could sew it.
                    if (!piece.Stitch.Edges.All(edge => changed.Stitch.Has(edge.Name)))
                        continue;
                    // A station's width moves each side by half of the eighth, a point on an arc slides along it: no
                    // more than a seam may differ by.
                    // So do the width at a nose, which nothing is sewn to, and a nose that is as round as it can be.
                    // A softer corner line moves by (√2 - 1) of the eighth. One width of a joined piece need not reach
                    // what a dimension of the whole piece moves.
                    if (
                        (
                            name.Any(char.IsDigit)
                            || (name is "back" or "nose" && item.MakeUp == "traced-board")
                            || name == "soften"
                            || piece.Dimensions.ContainsKey("join at 1")
                        )
                        && Moved(piece.Stitch, changed.Stitch) <= Length.Inches(0, 1, 16)
                    )
                        continue;
                    var report = SeamCheck.Of(pattern.With(changed), JobUnit.Inch);
                    Assert.True(
                        !report.Holds,
                        $"{item.MakeUp}: {piece.Key} {name} passed unseen; {string.Join(", ", item.Measures.Concat(item.Choices).Select(entry => $"{entry.Key} {entry.Value.Typed}"))}"
                    );
                }
            },
            iter: 60
        );

    // How far a corner moves beside the first one; a piece that is only drawn elsewhere has not changed.
    private static Length Moved(Outline before, Outline after) =>
        before
            .Edges.Where(edge => after.Has(edge.Name) && after.Has(before.Edges[0].Name))
            .Select(edge => (Before: From(before, edge.Name), After: From(after, edge.Name)))
            .Select(corner =>
                Length.Max((corner.Before.X - corner.After.X).Abs(), (corner.Before.Y - corner.After.Y).Abs())
            )
            // Where the first corner itself is gone there is nothing to compare by: that is a change.
            .DefaultIfEmpty(Length.Inches(1))
            .Max();

    private static Point From(Outline outline, string edge)
    {
        var (first, own) = (outline.Edges[0].Start, outline.Edges.Single(each => each.Name == edge).Start);
        return new(own.X - first.X, own.Y - first.Y);
    }

    // Halfway along every cut edge its line or circle is as far from the stitch line's as the allowance says: reckoned
    // from ends and radii.
    [Fact]
    public void The_cut_line_keeps_its_allowance_from_the_stitch_line() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var piece in Items.Pattern(item).Pieces.Where(p => p.UncutShape is null && !p.IsRough))
                foreach (var edge in piece.Stitch.Edges)
                {
                    var own = piece.Allowances.TryGetValue(edge.Name, out var allowance) ? Mm(allowance.Value) : 0;
                    // A round corner goes over from one neighbour's allowance to the other's: a case of its own.
                    if (
                        edge.Radius is not null
                        && new[] { piece.Stitch.EdgeBefore(edge.Name), piece.Stitch.EdgeAfter(edge.Name) }.Any(next =>
                            Math.Abs(own - Mm(piece.Allowances.GetValueOrDefault(next)?.Value ?? Length.Zero)) > 1e-6
                        )
                    )
                        continue;
                    var (a, b) = Ends(piece.Stitch, edge);
                    var (c, d) = Ends(piece.Cut, piece.Cut.Edges.Single(e => e.Name == edge.Name));
                    var apart = edge.Radius is null
                        ? Beside(a, b, ((c.X + d.X) / 2, (c.Y + d.Y) / 2))
                        : Mm(piece.Cut.Edges.Single(e => e.Name == edge.Name).Radius!.Value - edge.Radius.Value)
                            * (edge.Outward ? 1 : -1);
                    Assert.Equal(own, apart, 0.01);
                }
            },
            iter: 300
        );

    private static ((double X, double Y) From, (double X, double Y) To) Ends(Outline outline, Edge edge)
    {
        var to = outline.Edges[(outline.Edges.ToList().IndexOf(edge) + 1) % outline.Edges.Count].Start;
        return ((Mm(edge.Start.X), Mm(edge.Start.Y)), (Mm(to.X), Mm(to.Y)));
    }

    // How far p lies to the right of the way from a to b.
    private static double Beside((double X, double Y) a, (double X, double Y) b, (double X, double Y) p)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        return (((p.X - a.X) * dy) - ((p.Y - a.Y) * dx)) / Math.Sqrt((dx * dx) + (dy * dy));
    }

    // Another library's eye: no stitch line and no cut line crosses itself.
    [Fact]
    public void Outlines_are_simple() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var piece in Items.Pattern(item).Pieces)
                foreach (var (line, outline) in new[] { ("stitch", piece.Stitch), ("cut", piece.Cut) })
                {
                    var check = new NetTopologySuite.Operation.Valid.IsValidOp(
                        Geometry.Laid(outline, new("", 0, Length.Zero, Length.Zero))
                    );
                    Assert.True(
                        check.IsValid,
                        $"{item.MakeUp} {item.Choices.GetValueOrDefault("shape")?.Typed} {piece.Key} {line}: {check.ValidationError} {string.Join("; ", outline.Edges)}"
                    );
                }
            },
            iter: 300
        );

    [Fact]
    public void A_seam_left_out_leaves_its_edges_uncovered() =>
        Variants.Makeable.Sample(
            item =>
            {
                var pattern = Items.Pattern(item);
                foreach (var seam in pattern.Seams.Where(seam => seam.Drafted.Value > SeamCheck.Tolerance))
                {
                    var report = SeamCheck.Of(
                        pattern with
                        {
                            Seams = [.. pattern.Seams.Where(other => other != seam)],
                        },
                        JobUnit.Inch
                    );
                    Assert.NotEmpty(report.Coverage);
                }
            },
            iter: 40
        );

    [Fact]
    public void A_stretch_in_two_seams_is_told_and_so_is_one_past_its_edge()
    {
        var pattern = Items.Pattern(Items.Example("box-cushion-strip"));
        var twice = pattern with { Uses = [.. pattern.Uses, new Use(EdgeUse.Raw, new Run("panel", 1, "front"))] };
        Assert.Contains(
            "used twice",
            Assert.Single(SeamCheck.Of(twice, JobUnit.Inch).Coverage),
            StringComparison.Ordinal
        );
        var past = new Run("panel", 1, "front", null, Length.Inches(50));
        var seams = pattern
            .Seams.Select(seam =>
                seam with
                {
                    OtherSide =
                    [
                        .. seam.OtherSide.Select(run =>
                            run is { Piece: "panel", Instance: 1, Edge: "front" } ? past : run
                        ),
                    ],
                }
            )
            .ToList();
        Assert.Contains(
            SeamCheck.Of(pattern with { Seams = seams }, JobUnit.Inch).Coverage,
            fault => fault.Contains("past its end", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void The_unit_of_the_job_changes_no_size() =>
        Variants.Makeable.Sample(
            item =>
            {
                var (inches, metric) = (Items.Pattern(item), Items.Pattern(item, JobUnit.Centimetre));
                Assert.Equal(inches.Pieces.SelectMany(Corners), metric.Pieces.SelectMany(Corners));
            },
            iter: 100
        );

    [Fact]
    public void Boxing_is_never_joined_within_the_front() =>
        Variants
            .Of("box-cushion-strip")
            .Sample(
                item =>
                {
                    var pattern = Items.Pattern(item);
                    // The front edge of the top panel meets one boxing length only: its run in the seam is whole, so no
                    // join falls in it.
                    var seam = pattern.Seams.Single(s => s.Name == "boxing to top panel");
                    var front = seam.OtherSide.SingleOrDefault(run => run.Edge == "front");
                    if (front is null)
                        return; // a full round: no straight front
                    var before = seam
                        .OtherSide.TakeWhile(run => run != front)
                        .Select(run => Drawn(pattern, run))
                        .Aggregate(Length.Zero, (a, b) => a + b);
                    var joins = seam
                        .OneSide.Select(run => Drawn(pattern, run))
                        .Aggregate(new List<Length> { Length.Zero }, (at, next) => [.. at, at[^1] + next]);
                    Assert.DoesNotContain(
                        joins,
                        join =>
                            join > before + Length.Inches(0, 1, 64)
                            && join < before + Drawn(pattern, front) - Length.Inches(0, 1, 64)
                    );
                },
                iter: 200
            );

    [Fact]
    public void The_other_one_of_a_pair_is_its_mirror_image() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var cut in Items.Pattern(item).Pieces.Select(piece => piece.Cut))
                {
                    var turned = cut.Mirrored();
                    Assert.Equal(cut.AreaSquareMetres(), turned.AreaSquareMetres(), 1e-9);
                    Assert.Equal(cut.Perimeter(), turned.Perimeter());
                    Assert.Equal(
                        cut.Edges.Select(e => (-e.Start.X.Ticks, e.Start.Y.Ticks)).Order(),
                        turned.Edges.Select(e => (e.Start.X.Ticks, e.Start.Y.Ticks)).Order()
                    );
                    Assert.Equal(cut.Edges.ToHashSet(), turned.Mirrored().Edges.ToHashSet());
                }
            },
            iter: 60
        );

    // A wider left side: on the cloth the bottom panel has it on its right.
    [Fact]
    public void The_bottom_panel_is_cut_turned_over()
    {
        var item = Items.Example("box-cushion-strip", ("panel/left", "1 1/2")) with { Cloth = null };
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [item],
            Cloths = [LayTests.Cloth("54", false)],
        };
        var panels = Plan.Of(job, Items.Drafting, lay: false)
            .Cloths[0]
            .Pieces.Where(piece => piece.Piece == "panel")
            .ToList();
        decimal Left(int at) => Items.Inches(panels[at].Cut.Bounds().Left);
        Assert.Equal((-1.5m, -47m), (Left(0), Left(1))); // 46 1/2 and its own 1/2
    }

    private static Length Drawn(Pattern pattern, Run run) =>
        (run.To ?? pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge)) - (run.From ?? Length.Zero);

    private static IEnumerable<(string, Point)> Corners(Piece piece) =>
        piece.Cut.Edges.Select(edge => ($"{piece.Key} {edge.Name}", edge.Start));

    private static string Faults(SeamReport report) =>
        string.Join(
            "; ",
            report.Coverage.Concat(report.Seams.Where(s => s.Fault is not null).Select(s => $"{s.Seam}: {s.Fault}"))
        );
}
