using CsCheck;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Tests;

/// <summary>
/// What the seams make of the pieces: a surface with its right sides out, closed or open where the make-up says so.
/// </summary>
public class SurfaceCases
{
    [Fact]
    public void Every_cover_is_a_ball_less_its_openings() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var cover in SurfaceCheck.Of(Items.Pattern(item)))
                    Assert.True(
                        cover.Holds,
                        $"{item.MakeUp}: Euler number {cover.EulerNumber} with {cover.Openings} openings: {string.Join(", ", cover.Pieces)}"
                    );
            },
            iter: 300
        );

    // Corners less lines and faces: 2 for what is closed all round, a zip shut; 1 less for every opening.
    [Theory]
    [InlineData("box-cushion-folded", "", 2)]
    [InlineData("box-cushion-strip", "", 2)]
    [InlineData("box-cushion-strip", "assembly=sandwich", 2)]
    [InlineData("box-cushion-two-panels", "", 2)]
    [InlineData("bolster", "", 2)]
    [InlineData("mattress-gusset", "", 2)]
    [InlineData("mattress-stitched-off", "", 2)]
    [InlineData("centre-panel", "", 2)]
    [InlineData("knife-edge-pad", "closing=hand", 1)] // the gap that is closed by hand
    [InlineData("knife-edge-pad", "closing=inside", 2)]
    [InlineData("cube-banded", "", 1)] // the gap for filling
    [InlineData("pillowcase-cushion", "", 1)] // its wrapped end
    [InlineData("duvet-cover", "closing=snaps", 1)]
    [InlineData("duvet-cover", "closing=zip", 2)]
    [InlineData("duvet-cover", "slots=both", -1)] // the foot and two slots for hands
    [InlineData("chair-back-slip-over", "lining=single", 1)] // open below
    [InlineData("chair-back-slip-over", "lining=reversible", 1)] // the gap that it is turned through
    [InlineData("chair-back-slip-over", "lining=single | finials=ends", -1)] // and a hole for each finial
    [InlineData("chair-slipcover", "skirt=none", 1)] // the foot
    [InlineData("chair-slipcover", "skirt=none | wings=yes", 1)]
    [InlineData("chair-slipcover", "skirt=none | armFront=strip", -1)] // and the turned-in end of each strip
    [InlineData("ottoman-cap", "", 1)]
    [InlineData("ottoman-boxed", "", 1)]
    [InlineData("fitted-sheet", "", 1)]
    [InlineData("table-five-pieces", "", 1)]
    [InlineData("table-one-piece", "", 1)]
    [InlineData("round-table-draped", "", 1)]
    [InlineData("round-table-skirted", "", 1)]
    public void The_Euler_number_is_what_the_make_up_says(string makeUp, string changes, int number)
    {
        var usual = Items.Drafting.Find(makeUp)!.UsualItem("i1", "cover", JobUnit.Inch);
        var changed = Items.Read(makeUp, JobUnit.Inch, changes);
        var pattern = Items.Pattern(changed with { Measures = usual.Measures });
        Assert.Equal([number], SurfaceCheck.Of(pattern).Select(cover => cover.EulerNumber));
    }

    // The ends of a zip strip that change places twist the ring; so does a back that does not face its front.
    [Fact]
    public void What_is_sewn_the_wrong_way_round_is_found()
    {
        var pattern = Items.Pattern(Items.Example("box-cushion-strip"));
        Assert.True(SurfaceCheck.Of(pattern).All(cover => cover.Holds));
        Seam Swapped(Seam seam) =>
            seam.Name == "boxing to zip strip, first end"
                ? seam with
                {
                    OtherSide = [.. seam.OtherSide.Reverse()],
                }
                : seam;
        Assert.DoesNotContain(
            SurfaceCheck.Of(pattern with { Seams = [.. pattern.Seams.Select(Swapped)] }),
            cover => cover.Holds
        );
        var duvet = Items.Pattern(Items.Drafting.Find("duvet-cover")!.UsualItem("i1", "cover", JobUnit.Inch));
        var facing = duvet with { Pieces = [.. duvet.Pieces.Select(piece => piece with { Faces = false })] };
        Assert.DoesNotContain(SurfaceCheck.Of(facing), cover => cover.Holds);
    }
}
