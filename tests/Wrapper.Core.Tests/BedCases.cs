using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>
/// Covers of beds, each size worked by hand with the handbook's rule beside it. Usual allowances: s 1/2, z 3/4, k 5/8
/// in, or s 1.5, z 2, k 1.6 cm;
/// bare numbers in inches unless a case says cm. Cloth has 53 in between its selvedges unless a case says another U.
/// </summary>
public class BedCases
{
    [Theory]
    // Sheet: (W + 2 (H + t + k)), squares G - s + k, or the whole drop; hem 2 (W + L), 8 s less at square = drop. The
    // handbook's example first.
    [InlineData(
        "fitted-sheet",
        "W=31 1/2 | L=74 | T=7 | k=1/2",
        "sheet/cut width=52.5; sheet/cut length=95; sheet/corner cut-out, in from the front=10.5; hem perimeter=207; *elastic=156.25"
    )]
    [InlineData(
        "fitted-sheet",
        "W=31 1/2 | L=74 | T=7 | k=1/2 | corners=cut",
        "sheet/cut width=52.5; sheet/corner cut-out, in from the side=10; hem perimeter=211; finished width=31.5"
    )]
    [InlineData(
        "fitted-sheet",
        "W=31 1/2 | L=74 | T=7 | k=1/2 | corners=cut | sheet/front=1 | sheet/left=3/4",
        "sheet/cut width=52.75; sheet/cut length=95.5; sheet/corner cut-out, in from the front=10.5; sheet/corner cut-out, in from the side=10.25"
    )]
    [InlineData(
        "fitted-sheet",
        "W=27 | L=51 | T=5 | tuck=2 | edge=sewn | elastic=corners | ratio=70",
        "sheet/cut width=41; sheet/cut length=65; *elastic=9.8"
    )] // 70 % of 2 (5 + 2)
    [InlineData(
        "fitted-sheet",
        "cm | W=70 | L=140 | T=12 | ratio=80",
        "sheet/cut width=112.2; sheet/cut length=182.2; hem perimeter=408; *elastic=328.94"
    )] // 0.8 x 408 + 2.54
    // A strip at the right where the cloth is narrow: one whole width 53 cut, 52 finished; the rest has s on both
    // sides.
    [InlineData(
        "fitted-sheet",
        "W=40 | L=74 | T=7 | k=1/2",
        "sheet-left/cut width=53; sheet-right/cut width=9; sheet-left/cut length=95"
    )] // 61 across, 62 with the join
    [InlineData(
        "fitted-sheet",
        "W=40 | L=74 | T=7 | k=1/2 | corners=cut | widths=two",
        "sheet-left/cut width=31; sheet-right/cut width=31"
    )]
    // Mattress with a gusset, 1/2 loose: panel (W + 1/2 + 2 s) x (L + 1/2 + 2 s); wider than 53: centre 53, sides (W +
    // 1/2 - 52) / 2 + 2 s.
    [InlineData(
        "mattress-gusset",
        "W=36 | L=75 | T=6",
        "panel/cut width=37.5; panel/cut length=76.5; boxing-2/cut depth=7; finished width=36.5"
    )]
    [InlineData(
        "mattress-gusset",
        "W=59 1/2 | L=75 | T=6",
        "panel-left/cut width=5; panel-centre/cut width=53; panel-right/cut width=5; panel-centre/cut length=76.5"
    )]
    [InlineData(
        "mattress-gusset",
        "cm | W=90 | L=200 | T=15 | panel/back=3",
        "panel/cut width=94.5; panel/cut length=206; finished depth=15"
    )]
    // Stitched off: (W + D + 2 s) x (L + D + s + z).
    [InlineData(
        "mattress-stitched-off",
        "W=36 | L=75 | T=6 | panelGrain=along",
        "panel/cut width=43.5; panel/cut length=82.75"
    )]
    [InlineData(
        "mattress-stitched-off",
        "W=54 | L=75 | T=6 | panelGrain=along | widths=two",
        "panel-left/cut width=31.25; panel-right/cut width=31.25"
    )] // 60 1/2 across: halves of 30 1/4 + 2 s
    [InlineData(
        "mattress-stitched-off",
        "cm | W=90 | L=190 | T=15 | panelGrain=along",
        "panel/cut width=109.5; panel/cut length=210"
    )] // 90 + 1.5 loose + 15 + 2 s; 190 + 1.5 + 15 + s + z
    [InlineData(
        "mattress-stitched-off",
        "W=36 | L=75 | T=6 | panelGrain=along | s=3/4 | panel/left=1",
        "panel/cut width=44.25; panel/cut length=83"
    )] // 42 1/2 + 3/4 + 1; 81 1/2 + 3/4 + 3/4
    [InlineData(
        "mattress-stitched-off",
        "cm | W=70 | L=140 | T=10 | panelGrain=along",
        "panel/cut width=84.5; panel/cut length=155"
    )]
    public void Worked_by_hand(string makeUp, string changes, string expected) =>
        Cases.Check(makeUp, changes, expected);

    // §8.2's rule on any outline: the widths lie side by side, none wider than the cloth, and together they are the
    // whole.
    [Fact]
    public void Joined_widths_fit_the_cloth_and_make_up_the_whole() =>
        CsCheck.Check.Sample(
            CsCheck.Gen.OneOf(
                Variants.Of("mattress-gusset"),
                Variants.Of("mattress-stitched-off"),
                Variants.Of("fitted-sheet")
            ),
            item =>
            {
                var joined = Items.Pattern(item);
                var whole = Items.Pattern(
                    item with
                    {
                        Choices = new Dictionary<string, Entry>(item.Choices)
                        {
                            ["widths"] = new("none", JobUnit.Inch),
                        },
                    }
                );
                var key = whole.Pieces.Single(piece => piece.MayBeJoined && piece.JoinedFirstAt is null).Key;
                if (joined.Pieces.Any(piece => piece.Key == key))
                    return;
                var parts = joined
                    .Pieces.Where(piece => piece.Key.StartsWith($"{key}-", StringComparison.Ordinal))
                    .ToList();
                Assert.All(
                    parts,
                    part =>
                        Assert.True(part.Cut.Bounds().Right - part.Cut.Bounds().Left <= Length.Inches(53), part.Name)
                );
                Assert.Equal(
                    whole.Piece(key).Stitch.AreaSquareMetres(),
                    parts.Sum(part => part.Stitch.AreaSquareMetres()),
                    1e-6
                );
                Assert.Equal(whole.Seams.Count + ((parts.Count - 1) * whole.Piece(key).Quantity), joined.Seams.Count);
            },
            iter: 120
        );

    [Theory]
    [InlineData("fitted-sheet", "W=1 | L=74 | T=7", "measures.W", "nothing is left of the top")]
    [InlineData("fitted-sheet", "W=30 | L=74 | T=1/4 | tuck=0", "measures.T", "no more than one seam allowance")]
    [InlineData("fitted-sheet", "W=30 | L=74 | T=7 | ratio=20", "choices.ratio", "from 40 to 100")]
    [InlineData("mattress-gusset", "W=36 | L=75 | T=1", "measures.T", "not over two seam allowances")]
    public void Impossible_beds_are_refused(string makeUp, string changes, string field, string reason) =>
        Cases.Refused(makeUp, changes, field, reason);

    [Theory]
    [InlineData("fitted-sheet", "W=27 | L=51 | T=5", 1)]
    [InlineData("mattress-gusset", "W=27 | L=51 | T=5", 1)]
    [InlineData("mattress-gusset", "W=27 | L=51 | T=5 | cord=both", 2)]
    [InlineData("mattress-stitched-off", "W=27 | L=51 | T=5", 1)]
    public void Covers_for_infants_carry_their_caution(string makeUp, string sizes, int cautions)
    {
        int Always(string use) =>
            Items
                .Pattern(Items.Read(makeUp, JobUnit.Inch, $"{sizes} | for={use}"))
                .Remarks.Count(remark => remark is { Always: true, Caution: true });
        Assert.Equal((0, cautions), (Always("bed"), Always("cot")));
    }

    [Theory]
    [InlineData("cut", "")]
    [InlineData("square-drop", "Top finishes 1 in smaller each way, the sides 1/2 in deeper: snug")]
    [InlineData(
        "stitch-off",
        "Fold each corner on the diagonal and stitch square to the raw edges, 10 5/8 in from each"
    )]
    public void A_corner_school_says_what_it_does_to_the_finished_size(string school, string says)
    {
        var remarks = Items
            .Pattern(Items.Read("fitted-sheet", JobUnit.Inch, $"W=31 1/2 | L=74 | T=7 | corners={school}"))
            .Remarks;
        if (says.Length > 0)
            Assert.Contains(remarks, remark => remark.Text.Contains(says, StringComparison.Ordinal));
        else
            Assert.DoesNotContain(remarks, remark => remark.Text.Contains("smaller", StringComparison.Ordinal));
    }
}
