using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;
using static Wrapper.Core.Tests.Forms;

namespace Wrapper.Core.Tests;

/// <summary>Lines of a sewn cover, counted by hand, and what is shown where it cannot be sewn as it is cut.</summary>
public class FormLineCases
{
    // A fold wherever a piece turns a corner that is no seam. Boxing: two front corners; each half of the zip strip: two
    // back corners. Two panels with cut-out corners: four sides each. One piece folded: four round the top, four round
    // the bottom, sharing none. A boxed top of five pieces has a seam at every corner.
    [Theory]
    [InlineData("box-cushion-strip", 2 + (2 * 2))]
    [InlineData("box-cushion-two-panels", 2 * 4)]
    [InlineData("box-cushion-folded", 2 * 4)]
    [InlineData("ottoman-boxed", 0)]
    [InlineData("table-one-piece", 4)]
    [InlineData("knife-edge-pad", 0)]
    public void Folds_are_where_a_piece_turns_a_corner(string makeUp, int folds)
    {
        var form = Sewn(Usual(makeUp));
        Assert.Equal(folds, form.Lines.Count(line => line.Kind == FormLineKind.Fold));
    }

    // The lines of a zip together are as long as its seam, in space as on the cloth.
    [Theory]
    [InlineData("box-cushion-strip")]
    [InlineData("box-cushion-two-panels")]
    [InlineData("bolster")]
    public void A_zip_is_as_long_as_its_seam(string makeUp)
    {
        var item = Usual(makeUp, ("closing", "zip"));
        var seam = Items.Pattern(item).Seams.Single(each => each.Zip is not null);
        var form = Sewn(item);
        double Apart(int a, int b) =>
            Math.Sqrt(
                Enumerable
                    .Range(0, 3)
                    .Sum(axis => Math.Pow(form.Places[(3 * a) + axis] - form.Places[(3 * b) + axis], 2))
            );
        var length = form
            .Lines.Where(line => line.Kind == FormLineKind.Zip)
            .Sum(line => line.Points.Zip(line.Points.Skip(1), Apart).Sum());
        Assert.Equal((double)Items.Inches(seam.Drafted.Value), length / 25.4, 0.1);
    }

    // A panel six inches too wide cannot be sewn to its boxing: its pieces lie flat beside each other, as they were cut,
    // and it is the piece that gives most or what it is sewn to that is named first.
    [Fact]
    public void What_cannot_be_sewn_is_laid_out_flat()
    {
        var pattern = Items.Pattern(Usual("box-cushion-strip"));
        var panel = pattern.Piece("panel");
        var width = panel.Dimensions.Keys.First(key => key.StartsWith('w') || key.StartsWith('W'));
        var wrong = pattern.With(panel.Redrawn(width, panel.Dimensions[width].Value + Length.Inches(6)));
        var form = SewnForm.Of(wrong)!;
        Assert.True(form.LaidOut && !form.Vouched);
        Assert.All(Enumerable.Range(0, form.Places.Count / 3), at => Assert.Equal(0, form.Places[(3 * at) + 2]));
        Assert.Contains(
            form.Sheets.OrderByDescending(sheet => sheet.Strain).Take(3),
            sheet => sheet.Piece is "panel" or "boxing" or "zip-strip"
        );
        // Flat, each point is as far from the next as on its piece.
        var sheet = form.Sheets[0];
        var (a, b) = (sheet.Triangles[0], sheet.Triangles[1]);
        Assert.Equal(
            Math.Abs(form.Flat[2 * a] - form.Flat[2 * b]),
            Math.Abs(form.Places[3 * a] - form.Places[3 * b]),
            0.01
        );
    }

    [Theory]
    [InlineData("chair-slipcover", "armFront", "strip", "shown as panels")]
    public void What_is_shown_otherwise_says_so(string makeUp, string choice, string answer, string says)
    {
        var item = Usual(makeUp, (choice, answer));
        Assert.Contains(says, Assert.Single(ItemForm.Notes(item, Items.Drafting)), StringComparison.Ordinal);
        Assert.True(Sewn(item).Vouched);
        Assert.Empty(ItemForm.Notes(Usual(makeUp), Items.Drafting));
    }

    // A corner stitched off over a rounded inner: shown square, as wide and deep as it is.
    [Fact]
    public void A_rounded_folded_cover_is_shown_square()
    {
        var item = Usual("box-cushion-folded", ("corners", "stitch-off"));
        Assert.Empty(ItemForm.Notes(item, Items.Drafting));
        var rounded = item with
        {
            Measures = new Dictionary<string, Entry>(item.Measures) { ["r"] = new("2", JobUnit.Inch) },
        };
        Assert.Contains("square", Assert.Single(ItemForm.Notes(rounded, Items.Drafting)), StringComparison.Ordinal);
        Assert.True(Sewn(rounded).Vouched);
    }

    // A skirt of 7 in, and the flaps behind it, hang 7 in down from its line, less than an inch aside where the line is not quite level.
    [Fact]
    public void A_skirt_hangs_straight_down()
    {
        var form = Sewn(Usual("chair-slipcover", ("skirt", "flaps"), ("skirtDrop", "7")));
        var skirts = form.Sheets.Where(sheet => sheet.Piece.StartsWith("skirt", StringComparison.Ordinal)).ToList();
        Assert.Equal(4 + 4, skirts.Count);
        foreach (var sheet in skirts)
        {
            // Either end of the skirt, at its line and at its hem.
            var points = Enumerable.Range(sheet.FirstPoint, sheet.PointCount).ToList();
            foreach (var end in new[] { points.Min(at => form.Flat[2 * at]), points.Max(at => form.Flat[2 * at]) })
            {
                var edge = points
                    .Where(at => Math.Abs(form.Flat[2 * at] - end) < 0.1)
                    .OrderBy(at => form.Flat[(2 * at) + 1])
                    .ToList();
                var drop = Enumerable
                    .Range(0, 3)
                    .Select(axis => (form.Places[(3 * edge[^1]) + axis] - form.Places[(3 * edge[0]) + axis]) / 25.4)
                    .ToList();
                Assert.Equal(7, drop[2], 0.2);
                Assert.InRange(Math.Sqrt((drop[0] * drop[0]) + (drop[1] * drop[1])), 0, 1);
            }
        }
    }

    // Between arms 60 apart, a seat 22 deep and 16 high. Over the arm 34: the arm is (34 - 16) / 3 = 6 wide, its outside
    // (34 + 16 - 6) / 2 = 22 high. So 60 + 2 x 6 = 72 across, 22 high; the arm sheets, 34 + 4 long, reach farthest.
    [Fact]
    public void Sheets_lie_over_the_sofa()
    {
        var form = Sewn(Items.Read("sofa-base", JobUnit.Inch, "W=60 | S=22 | F=16 | A=34 | M=34 | C=5 | round=4"));
        Assert.True(form.Vouched, $"{form.Quality}");
        Assert.InRange(form.Quality.Strain, 0, 0.001f);
        double Reach(int axis)
        {
            var all = Enumerable.Range(0, form.Places.Count / 3).Select(at => form.Places[(3 * at) + axis]).ToList();
            return (all.Max() - all.Min()) / 25.4;
        }
        Assert.Equal(72, Reach(0), 0.1);
        Assert.Equal(38, Reach(1), 0.1);
        Assert.Equal(22, Reach(2), 0.1);
        // The seat is bent once, either arm sheet twice.
        Assert.Equal(5, form.Lines.Count(line => line.Kind == FormLineKind.Fold));
    }

    // A table of 36 with a drop of 28: the top stays as it is, the hem hangs all but 28 lower and is as long as the circle
    // of 92 is round, in folds outside the table.
    [Fact]
    public void A_round_cloth_hangs_in_folds()
    {
        var form = Sewn(Items.Read("round-table-draped", JobUnit.Inch, "d=36 | H=28"));
        Assert.True(form.Vouched, $"{form.Quality}");
        var points = Enumerable
            .Range(0, form.Places.Count / 3)
            .Select(at => (X: form.Places[3 * at], Y: form.Places[(3 * at) + 1], Z: form.Places[(3 * at) + 2]))
            .Select(at => (From: Math.Sqrt((at.X * at.X) + (at.Y * at.Y)) / 25.4, Z: at.Z / 25.4))
            .ToList();
        var (top, low) = (points.Max(at => at.Z), points.Min(at => at.Z));
        Assert.InRange(top - low, 23, 28.3); // cloth gives a little under its weight
        Assert.All(points.Where(at => at.Z < top - 1), at => Assert.InRange(at.From, 16, 38));
        var hem = form.Lines.Where(line => line.Kind == FormLineKind.Edge).Sum(line => Length(form, line));
        Assert.InRange(hem / 25.4, 92 * Math.PI * 0.97, 92 * Math.PI * 1.03);

        static double Length(SewnForm form, FormLine line) =>
            line
                .Points.Zip(
                    line.Points.Skip(1),
                    (a, b) =>
                        Math.Sqrt(
                            Enumerable
                                .Range(0, 3)
                                .Sum(axis => Math.Pow(form.Places[(3 * a) + axis] - form.Places[(3 * b) + axis], 2))
                        )
                )
                .Sum();
    }

    // A table cloth of several widths is sewn as one sheet; its parts share it out from side to side without a gap.
    [Fact]
    public void A_joined_sheet_shows_each_of_its_widths()
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Usual("table-one-piece") with { Cloth = null }],
            Cloths = [JobCloth.Usual("c1", "Moss linen", JobUnit.Inch)],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: true);
        var form = ItemForm.Sew(plan.Items[0].Item, job, Items.Drafting, CancellationToken.None)!;
        Assert.Single(form.Sheets);
        var parts = ItemForm.Print(plan.Items[0], form, plan).OrderBy(part => part.From!.Value.Ticks).ToList();
        Assert.True(parts.Count > 1);
        Assert.All(parts.Zip(parts.Skip(1)), pair => Assert.Equal(pair.First.To, pair.Second.From));
    }

    // Ties go in at both ends of the back: of a chair pad 18 wide those are half of that to either side.
    [Fact]
    public void Ties_hang_at_the_back_posts()
    {
        var form = Sewn(Items.Read("knife-edge-pad", JobUnit.Inch, "W=18 | L=16 | T=1 1/2 | ties=4"));
        var ties = form.Marks.Where(mark => mark.What == "tie").ToList();
        Assert.Contains(ties, tie => tie.Across < -8 * 25.4 && tie.Back > 6 * 25.4);
        Assert.Contains(ties, tie => tie.Across > 8 * 25.4 && tie.Back > 6 * 25.4);
        Assert.Empty(Sewn(Items.Read("knife-edge-pad", JobUnit.Inch, "W=18 | L=16 | T=1 1/2 | ties=0")).Marks);
    }
}
