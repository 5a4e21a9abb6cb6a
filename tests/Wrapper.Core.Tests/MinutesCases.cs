using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>Making time by the work that there is, worked by hand from the table of rates.</summary>
public class MinutesCases
{
    private static Pattern Wide(string makeUp, string changes) =>
        Items
            .Drafting.Draft(
                Items.Read(makeUp, JobUnit.Inch, changes),
                JobUnit.Inch,
                _ => new ClothRoom(Working.Of("U", "usable width", Length.Inches(118)))
            )
            .Pattern!;

    private static Work Of(Pattern pattern, string name) => Minutes.Works(pattern).Single(work => work.Name == name);

    // Cut 74 x 16, so 180 in of cut line, 4.572 m at 2 and one piece at 2; hem 172 in, 4.3688 m at 6, pressed at 2;
    // sewn in hems, so no seam is matched.
    [Fact]
    public void A_runner()
    {
        var runner = Wide("runner", "L=72 | W=14");
        Assert.Equal(11.144m, Of(runner, "cutting").Minutes, 3);
        Assert.Equal(26.2128m, Of(runner, "sewing").Minutes, 3);
        Assert.Equal(8.7376m, Of(runner, "pressing").Minutes, 3);
        Assert.Equal(180m, Items.Inches(Of(runner, "cutting").Along));
        var marks = runner.Pieces.Sum(piece => piece.Notches.Count + piece.Lines.Count);
        Assert.Equal((int)Math.Round(46.0944m + (0.25m * marks)), Minutes.Of(runner));
    }

    // A top of 35 1/2 in with 30 in of drop all round is a circle of 95 1/2 in: 300 in of hem.
    [Fact]
    public void Three_hundred_inches_of_circle_are_hemmed_in_an_hour()
    {
        var cloth = Wide("round-table-draped", "d=35 1/2 | H=30");
        Assert.InRange(Of(cloth, "sewing").Minutes + Of(cloth, "pressing").Minutes, 55, 65);
    }

    // Two days of eight hours, give or take.
    [Theory]
    [InlineData("wings=no | skirt=none", 840, 960)]
    [InlineData("wings=yes | skirt=flaps", 960, 1200)]
    public void An_armchair_that_is_fitted_with_pins_takes_two_days(string choices, int least, int most)
    {
        var chair = Items.Pattern(
            Items.Read(
                "chair-slipcover",
                JobUnit.Inch,
                $"W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5 | G=5 | {choices}"
            )
        );
        Assert.InRange(Minutes.Of(chair), least, most);
        Assert.Equal(
            chair.Pieces.Where(piece => piece.IsRough).Sum(piece => piece.Quantity),
            Of(chair, "pinning on the furniture").Times
        );
    }

    // What is filled and tried on takes its time; what is neither has none of it.
    [Fact]
    public void Only_what_is_done_takes_time()
    {
        Assert.Equal(1, Of(Items.Pattern(Items.Example("box-cushion-strip")), "filling").Times);
        Assert.DoesNotContain(
            Minutes.Works(Wide("runner", "L=72 | W=14")),
            work => work.Name is "filling" or "trying on" or "pinning on the furniture"
        );
    }

    [Theory]
    [InlineData(59, "59 min")]
    [InlineData(125, "2 h 05 min")]
    public void In_words(long minutes, string text) => Assert.Equal(text, Minutes.Text(minutes));
}
