using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Which width to buy, and whether what is there will do (craft §10): a duvet cover 54 x 84, s 1/2, hem 3, each face 55
/// x 87 1/2.
/// </summary>
public class ClothChoiceTests
{
    // 36: usable 35, a centre and sides of 11, three of them to a width: 4 cuts. 54: usable 53, sides of 2 share one:
    // 3. 60 and 72: a face a width: 2. 118: both faces side by side.
    [Theory]
    [InlineData(36, 350, 4, 9.75, 195)]
    [InlineData(54, 262.5, 4, 7.375, 147.50)]
    [InlineData(60, 175, 0, 4.875, 97.50)]
    [InlineData(108, 175, 0, 4.875, 97.50)]
    [InlineData(118, 87.5, 0, 2.5, 50)]
    public void Every_width_is_drafted_and_laid_for_itself(
        int width,
        double needed,
        int joins,
        double yards,
        double cost
    )
    {
        var row = Widths.Of(Duvet(), "c1", Items.Drafting).Single(tried => tried.Width == Length.Inches(width));
        Assert.Equal(
            (needed, joins, yards),
            ((double)Items.Inches(row.Needed!.Value), row.Joins, (double)Items.Inches(row.Bought!.Value) / 36)
        );
        Assert.Equal((decimal)cost, row.Cost);
        Assert.Equal(width == 54, row.Current);
    }

    [Fact]
    public void Waste_is_what_is_in_no_piece()
    {
        // On 54: faces of 53 and 2 + 2 across, twice, out of 53 x 3 cuts: (2 x 53 + 4 x 2) / 159.
        Assert.Equal(28, Widths.Of(Duvet(), "c1", Items.Drafting).Single(tried => tried.Current).Waste);
    }

    [Fact]
    public void Panels_are_compared_lying_both_ways_and_a_width_that_is_too_narrow_says_why()
    {
        var job = Duvet() with
        {
            Items =
            [
                Items.Read("box-cushion-folded", JobUnit.Inch, "W=70 | L=20 | T=4 | panelGrain=along") with
                {
                    Cloth = null,
                },
            ],
        };
        var rows = Widths.Of(job, "c1", Items.Drafting);
        Assert.Equal(
            ["as chosen", "up the roll", "railroaded"],
            rows.Where(row => row.Width == Length.Inches(54)).Select(row => row.Lying)
        );
        Assert.Contains("is cut 74 3/4 in across", rows.Single(row => row.Current).Reason, StringComparison.Ordinal); // 70 + 3 3/4 + 2 x 1/2
        Assert.Equal(Length.Inches(74, 3, 4), rows.Single(row => row.Lying == "railroaded").Needed);
        Assert.Equal(10, rows.Select(row => row.Width).Count() - 1);
        Assert.DoesNotContain(Widths.Of(Duvet(), "c1", Items.Drafting), row => row.Lying == "railroaded");
    }

    [Theory]
    [InlineData("7 1/2 yd", true, 7.5)] // 270 - 262 1/2
    [InlineData("262 1/2", true, 0)]
    [InlineData("5 yd", false, -82.5)]
    [InlineData("0", false, -262.5)]
    public void What_is_there_will_do_or_not(string have, bool fits, double difference)
    {
        var enough = Ask(have);
        Assert.Equal((fits, difference), (enough.Fits, (double)Items.Inches(enough.Have - enough.Needed)));
    }

    // Both faces are three panels of 18 and seams: two lie side by side, so 5 yd hold two rows of 87 1/2 and the third
    // row finds no room; two inches narrower no face is joined, and all fits in 175.
    [Fact]
    public void What_finds_no_room_is_named_and_what_would_make_it_fit()
    {
        var enough = Ask("5 yd");
        Assert.Equal(2, enough.WithoutRoom.Count);
        Assert.Equal(["measures.W"], enough.Choices.Select(saving => saving.Field));
        Assert.Empty(Ask("4 yd").Choices);
    }

    // The sum with one repeat to start: 30 in of lay, 20 to start.
    [Fact]
    public void A_repeat_to_start_must_be_there_too()
    {
        var job = Duvet() with
        {
            Items = [Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with { Cloth = null }],
            Cloths = [LayTests.Cloth("70", false) with { RepeatAlong = new("20", JobUnit.Inch) }],
        };
        bool Fits(int inches) => Enough.Of(job, "c1", Length.Inches(inches), Items.Drafting, new LayCache())!.Fits;
        Assert.Equal((false, true), (Fits(49), Fits(50)));
    }

    private static Enough Ask(string have) =>
        Enough.Of(
            Duvet(),
            "c1",
            LengthReader.Read(have, JobUnit.Inch, LengthLimits.Cloth).Length!.Value,
            Items.Drafting,
            new LayCache()
        )!;

    private static JobDocument Duvet() =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Items.Read("duvet-cover", JobUnit.Inch, "W=54 | L=84") with { Cloth = null }],
            Cloths = [LayTests.Cloth("54", false)],
        };
}
