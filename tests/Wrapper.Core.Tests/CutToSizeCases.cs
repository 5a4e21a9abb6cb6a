using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>Pieces of which the cut size is known already: nothing is added, nothing is sewn, they are laid.</summary>
public class CutToSizeCases
{
    [Theory]
    [InlineData("W=18 | L=24", "piece/cut width=18; piece/cut length=24; finished width=18; finished length=24")]
    [InlineData("cm | W=45.7 | L=61", "piece/cut width=45.7; piece/cut length=61; finished length=61")]
    [InlineData("W=1/4 | L=400", "piece/cut width=0.25; piece/cut length=400")]
    public void Nothing_is_added(string changes, string expected) => Cases.Check("cut-to-size", changes, expected);

    [Theory]
    [InlineData("W=0 | L=24", "measures.W", "zero")]
    [InlineData("W=18 | L=-3", "measures.L", "negative")]
    public void No_piece_is_nothing(string changes, string field, string reason) =>
        Cases.Refused("cut-to-size", changes, field, reason);

    [Fact]
    public void Every_edge_is_left_raw()
    {
        var pattern = Items.Pattern(Items.Read("cut-to-size", JobUnit.Inch, "W=18 | L=24"));
        Assert.Empty(pattern.Seams);
        Assert.Equal(4, pattern.Uses.Count);
        Assert.All(pattern.Uses, use => Assert.Equal(EdgeUse.Raw, use.Kind));
        Assert.Equal(84m, pattern.Uses.Sum(use => Items.Inches(use.Run.Drafted!.Value)));
        Assert.DoesNotContain(pattern.Notions, notion => notion.Key is "zip" or "cord" or "thread");
    }

    // Three of 18 x 24 on 53 in: upright two abreast, two rows of 24; lying two of 24 abreast, two rows of 18. Which way
    // the grain runs is all that is asked of them.
    [Theory]
    [InlineData("along", 48)]
    [InlineData("across", 36)]
    [InlineData("either", 36)]
    public void They_are_laid_with_the_rest(string grain, int inches)
    {
        var item = Items.Read("cut-to-size", JobUnit.Inch, $"W=18 | L=24 | panelGrain={grain}") with
        {
            Id = "patch",
            Quantity = "3",
            Cloth = null,
        };
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [item],
            Cloths = [LayTests.Cloth("53", oneWay: false)],
        };
        var cloth = Plan.Of(job, Items.Drafting, lay: false).Cloths[0];
        Assert.Equal(3, cloth.Pieces.Count);
        var lay = LayTable.Of(cloth.Pieces, cloth.Reading.ForLay);
        Assert.Equal(Length.Inches(inches), lay.Best.Length);
        Assert.True(lay.IsProven);
    }
}
