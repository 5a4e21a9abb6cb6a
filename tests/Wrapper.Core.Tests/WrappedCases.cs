using Wrapper.Core.Lengths;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Tests;

/// <summary>Sheets that elastic or a cord draws in beneath a mattress or a board.</summary>
public class WrappedCases
{
    // A mattress 60 x 80 x 10, 5 in tucked beneath. Square = drop makes the top 1 in smaller each way and the sides 1/2 in
    // deeper, so the hem lies 5 1/2 in from each side of 59 x 79.
    [Fact]
    public void A_fitted_sheet_goes_beneath_its_mattress()
    {
        var form = Forms.Sewn(Items.Read("fitted-sheet", JobUnit.Inch, "W=60 | L=80 | T=10 | tuck=5"));
        Assert.True(form.Vouched);
        Assert.Equal((59, 79, 10), Spans(form, Everywhere(form)));
        var hem = form.Lines.Where(line => line.Kind == FormLineKind.Elastic).SelectMany(line => line.Points);
        Assert.Equal((48, 68, 0), Spans(form, hem));
    }

    // A board 54 x 18 x 1 with 3 in turned under all round; sewn at the corners, or in one curve that elastic draws in.
    [Theory]
    [InlineData("squared")]
    [InlineData("rounded")]
    public void A_cap_goes_beneath_its_board(string corners)
    {
        var form = Forms.Sewn(
            Items.Read(
                "elastic-cap",
                JobUnit.Inch,
                $"corners={corners} | W=54 | L=18 | T=1 | frontOver=3 | rightOver=3 | backOver=3 | leftOver=3"
            )
        );
        Assert.True(form.Vouched, $"{form.Quality}");
        Assert.Equal((54, 18, 1), Spans(form, Everywhere(form)));
    }

    // A board traced 15 in wide, 54 long and 1 in thick; its cover, 2 1/4 in larger all round, is drawn in beneath it.
    [Fact]
    public void A_traced_cover_is_wrapped_round_its_board()
    {
        var form = Forms.Sewn(Forms.Usual("traced-board"));
        Assert.True(form.Vouched, $"{form.Quality}");
        Assert.Equal((15, 54, 1), Spans(form, Everywhere(form)));
    }

    private static IEnumerable<int> Everywhere(SewnForm form) => Enumerable.Range(0, form.Places.Count / 3);

    // To the nearest quarter inch across and back, tenth up.
    private static (double, double, double) Spans(SewnForm form, IEnumerable<int> points)
    {
        var all = points.ToList();
        double Span(int axis) =>
            (all.Max(at => form.Places[(3 * at) + axis]) - all.Min(at => form.Places[(3 * at) + axis])) / 25.4;
        return (Math.Round(4 * Span(0)) / 4, Math.Round(4 * Span(1)) / 4, Math.Round(Span(2), 1));
    }
}
