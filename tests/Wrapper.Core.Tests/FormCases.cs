using CsCheck;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Tests;

/// <summary>Covers sewn from their patterns: what comes out must be as large as what was measured.</summary>
public class FormCases
{
    private static Pattern Wide(Item item, JobUnit unit = JobUnit.Inch) =>
        Items
            .Drafting.Draft(
                item,
                unit,
                _ => new ClothRoom(Working.Of("U", "usable width", Length.Inches(4000))) { IsKnown = false }
            )
            .Pattern!;

    private static Pattern Usual(string makeUp, string changes = "")
    {
        var usual = Items.Drafting.Find(makeUp)!.UsualItem("i1", "cover", JobUnit.Inch);
        var changed = Items.Read(makeUp, JobUnit.Inch, changes);
        return Wide(changed with { Measures = changed.Measures.Count > 0 ? changed.Measures : usual.Measures });
    }

    private static (double X, double Y, double Z) Box(SewnForm form)
    {
        double Reach(int axis)
        {
            var all = Enumerable.Range(0, form.Places.Count / 3).Select(at => form.Places[(3 * at) + axis]).ToList();
            return (all.Max() - all.Min()) / 25.4;
        }
        return (Reach(0), Reach(1), Reach(2));
    }

    // Finished sizes in inches, across, back and up, worked by hand from what was measured.
    [Theory]
    [InlineData("box-cushion-strip", "W=46 1/2 | L=19 1/4 | T=4", 46.5, 19.25, 3.75)] // snug by 1/4
    [InlineData("box-cushion-folded", "W=22 | L=20 | T=4", 22, 20, 3.75)]
    [InlineData("box-cushion-two-panels", "W=22 | L=20 | T=4", 22, 20, 3.75)]
    [InlineData("ottoman-boxed", "W=20 | L=18 | H=16", 20, 18, 16)]
    [InlineData("cube-banded", "W=18 | L=16 | H=15", 18, 16, 15)]
    [InlineData("table-one-piece", "W=60 | L=30 | H=29", 60, 30, 29)]
    [InlineData("bolster", "d=7 | L=24", 24, 7, 7)]
    [InlineData("round-table-skirted", "d=36 | H=28", 36, 36, 28)]
    [InlineData("box-cushion-strip", "shape=bow | W=40 | L=20 | b=2 | T=4", 40, 22, 3.75)] // deepest in its middle
    public void It_is_as_large_as_what_it_covers(string makeUp, string changes, double x, double y, double z)
    {
        var box = Box(SewnForm.Of(Usual(makeUp, changes))!);
        Assert.Equal(x, box.X, 0.3);
        Assert.Equal(y, box.Y, 0.3);
        Assert.Equal(z, box.Z, 0.3);
    }

    // Flat between seams and folds: to a millimetre along every seam, and under one per cent of stretch.
    [Theory]
    [InlineData("box-cushion-strip")]
    [InlineData("box-cushion-folded")]
    [InlineData("box-cushion-two-panels")]
    [InlineData("bolster")]
    [InlineData("contoured-pad")]
    [InlineData("cube-banded")]
    [InlineData("ottoman-boxed")]
    [InlineData("ottoman-cap")]
    [InlineData("mattress-gusset")]
    [InlineData("mattress-stitched-off")]
    [InlineData("fitted-sheet")]
    [InlineData("table-five-pieces")]
    [InlineData("table-one-piece")]
    [InlineData("sofa-base")]
    [InlineData("chair-slipcover")]
    public void A_firm_cover_closes_without_strain(string makeUp)
    {
        var quality = SewnForm.Of(Usual(makeUp))!.Quality;
        Assert.InRange(quality.Strain, 0, 0.01f);
        Assert.InRange(quality.SeamDifference, 0, 1f);
    }

    // A soft cover gives, but no more than cloth does, and is as thick as its filling.
    [Theory]
    [InlineData("knife-edge-pad")]
    [InlineData("pillowcase-cushion")]
    [InlineData("duvet-cover")]
    [InlineData("chair-back-slip-over")]
    public void A_soft_cover_is_filled(string makeUp)
    {
        var form = SewnForm.Of(Usual(makeUp))!;
        Assert.True(form.Vouched, $"{form.Quality}");
        Assert.InRange(Box(form).Z, 0.8, 8);
    }

    // Of sixteen covers of any kind, at any size, with any choices; the bench tells how many of each make-up. A share
    // that chance does not go under while nineteen of twenty are.
    [Fact]
    public void Nearly_every_cover_is_vouched_for()
    {
        var (all, vouched) = (0, 0);
        Variants.Makeable.Sample(
            item =>
            {
                var job = JobDocument.Empty("job", JobUnit.Inch) with { Items = [item] };
                var form = ItemForm.Sew(item, job, Items.Drafting, CancellationToken.None);
                Interlocked.Increment(ref all);
                if (form is null || form.Vouched)
                    Interlocked.Increment(ref vouched);
            },
            iter: 16
        );
        Assert.True(vouched >= 0.75 * all, $"{vouched} of {all}");
    }

    [Fact]
    public void The_same_pattern_gives_the_same_form()
    {
        var (one, other) = (SewnForm.Of(Usual("bolster"))!, SewnForm.Of(Usual("bolster"))!);
        Assert.Equal(one.Places, other.Places);
        Assert.Equal(one.Flat, other.Flat);
    }

    // Faces are the pieces: together as large, and every flat point within the outline that it is cut by.
    [Fact]
    public void Faces_are_as_large_as_their_pieces() =>
        Variants.Makeable.Sample(
            item =>
            {
                var pattern = Wide(item);
                if (SewnForm.Of(pattern) is not { } form)
                    return;
                foreach (var sheet in form.Sheets)
                {
                    (float X, float Y) Flat(int at) => (form.Flat[2 * at], form.Flat[(2 * at) + 1]);
                    var area = 0.0;
                    for (var at = 0; at < sheet.Triangles.Count; at += 3)
                    {
                        var (a, b, c) = (
                            Flat(sheet.Triangles[at]),
                            Flat(sheet.Triangles[at + 1]),
                            Flat(sheet.Triangles[at + 2])
                        );
                        area += Math.Abs(((b.X - a.X) * (c.Y - a.Y)) - ((c.X - a.X) * (b.Y - a.Y))) / 2;
                    }
                    var tucked = pattern.Seams.Any(seam =>
                        seam.Kind == SeamKind.Lap && seam.OneSide.Any(run => run.Piece == sheet.Piece)
                    );
                    var drawn = pattern.Pieces.First(piece => piece.Key == sheet.Piece).Stitch.AreaSquareMetres() * 1e6;
                    // Arcs are followed in steps; of the short boxing of a small cushion two laps tuck away nearly half.
                    Assert.InRange(area / drawn, tucked ? 0.5 : 0.985, 1.015);
                }
            },
            iter: 8
        );

    // Drawn (x, y) from its lower left corner, laid upright: as far from where its box begins. A quarter turn to the left
    // takes what points to the right up the roll; turned over, right is left.
    [Fact]
    public void Each_face_shows_its_place_in_the_lay()
    {
        var item = Items.Of(
            "box-cushion-strip",
            JobUnit.Inch,
            ("W", "22"),
            ("L", "20"),
            ("T", "4"),
            ("panelGrain", "either")
        );
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [item with { Cloth = null }],
            Cloths = [JobCloth.Usual("c1", "Moss linen", JobUnit.Inch)],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: true);
        var form = ItemForm.Sew(plan.Items[0].Item, job, Items.Drafting, CancellationToken.None)!;
        var print = ItemForm.Print(plan.Items[0], form, plan);
        var placed = plan.Cloths[0].Lay!.Best.Placements.ToDictionary(at => at.Id);
        var pattern = plan.Items[0].Draft.Pattern!;
        Assert.Equal(form.Sheets.Count, print.Select(part => (part.FormPiece, part.Instance)).Distinct().Count());
        foreach (var part in print)
        {
            var piece = pattern.Piece(part.Piece);
            var at = placed[$"i1/{part.Piece}/{part.Instance}"];
            var (left, bottom, right, top) = piece.Cut.Bounds();
            var (across, up) = (right - left, top - bottom);
            foreach (var (x, y) in new[] { (0, 0), (3, 1), (7, 2), (10, 10), (1, 9) })
            {
                var (dx, dy) = (across.Over(10), up.Over(10));
                var (px, py) = (x * dx, y * dy);
                var seen = piece.IsTurnedOver(part.Instance) ? across - px : px;
                var (fromSelvedge, fromEnd) = at.Turns switch
                {
                    0 => (seen, py),
                    1 => (up - py, seen),
                    2 => (across - seen, up - py),
                    _ => (py, across - seen),
                };
                var on = part.OnCloth(new(left + px, bottom + py));
                Assert.Equal((at.X + fromSelvedge, at.Y + fromEnd), (on.X, on.Y));
            }
        }
    }
}
