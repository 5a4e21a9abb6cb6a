using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>A cloth made of strips of others: how it is cut and sewn, and covers that are cut from it.</summary>
public class MadeClothCases
{
    // 45 wide of 6 and 3 in turn: five of each, 9 x 5. Each is cut a seam wider on both sides; nine seams of 60.
    [Theory]
    [InlineData("W=45 | L=60", "first/cut width=7; first/cut length=60; second/cut width=4")]
    // 50 wide: 5 x 9 = 45, and 5 of the next first strip.
    [InlineData("W=50 | L=60", "first/cut width=7; first-last/cut width=6; second/cut width=4")]
    [InlineData(
        "cm | W=100 | L=150 | kinds=three | first=20 | second=10 | third=10",
        "first/cut width=23; second/cut width=13; third/cut width=13"
    )]
    public void Strips_are_cut_a_seam_wider(string changes, string expected) =>
        Cases.Check("cloth-of-strips", changes, expected);

    [Fact]
    public void They_are_sewn_in_turn()
    {
        var pattern = Items.Pattern(Items.Read("cloth-of-strips", JobUnit.Inch, "W=45 | L=60"));
        Assert.Equal((5, 5), (pattern.Piece("first").Quantity, pattern.Piece("second").Quantity));
        Assert.Equal(9, pattern.Seams.Count);
        Assert.All(pattern.Seams, seam => Assert.Equal(60m, Items.Inches(seam.Drafted.Value)));
    }

    [Theory]
    [InlineData("W=45 1/4 | L=60", "measures.W", "leave it out")]
    [InlineData("W=500 | L=60", "choices.first", "over 60 strips")]
    public void What_nobody_would_sew_is_refused(string changes, string field, string reason) =>
        Cases.Refused("cloth-of-strips", changes, field, reason);

    // Runners 20 x 40 from a made cloth 45 x 60: cut 22 x 42, two lie side by side on one and a third needs another. Nothing
    // of that cloth is bought; its ten strips are cut from the cloth of the job.
    [Theory]
    [InlineData("2", "1", null)]
    [InlineData("3", "1", "2 of it are needed")]
    [InlineData("3", "2", null)]
    public void A_cover_is_cut_from_a_cloth_that_is_made_here(string runners, string made, string? reason)
    {
        var strips = Items.Read("cloth-of-strips", JobUnit.Inch, "W=45 | L=60") with { Id = "strips", Quantity = made };
        var runner = Items.Read("runner", JobUnit.Inch, "W=20 | L=40 | panelGrain=along") with
        {
            Id = "runner",
            Cloth = "made",
            Quantity = runners,
        };
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [strips, runner],
            Cloths = [LayTests.Cloth("54", false), LayTests.Cloth("54", false) with { Id = "made", MadeBy = "strips" }],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: true);
        var cloth = plan.Cloths[1];
        Assert.Equal(Length.Inches(45), cloth.Reading.Usable.Value);
        Assert.Equal(Length.Inches(60), cloth.Reading.Article!.Value);
        Assert.Null(cloth.Buying);
        Assert.Equal(int.Parse(runners, System.Globalization.CultureInfo.InvariantCulture), cloth.Pieces.Count);
        Assert.NotNull(plan.Cloths[0].Buying);
        Assert.Equal(
            10 * int.Parse(made, System.Globalization.CultureInfo.InvariantCulture),
            plan.Cloths[0].Pieces.Count
        );
        if (reason is null)
            Assert.Empty(cloth.Problems);
        else
            Assert.Contains(reason, Assert.Single(cloth.Problems).Reason, StringComparison.Ordinal);
        // Its maker gone, the cloth says so.
        var orphan = Plan.Of(job with { Items = [runner] }, Items.Drafting, lay: true).Cloths[1];
        Assert.Contains("makes it any more", Assert.Single(orphan.Problems).Reason, StringComparison.Ordinal);
    }
}
