using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>One list for the shop, added up over items and quantities; and cloth that is bought to the last inch.</summary>
public class ShoppingCases
{
    private static IReadOnlyList<ShoppingLine> List(JobUnit unit, string step, params Item[] items)
    {
        var job = JobDocument.Empty("job", unit) with
        {
            Items =
            [
                .. items.Select((item, at) => item with { Id = $"i{at}", Cloth = null, Name = $"cushion {at + 1}" }),
            ],
            Cloths =
            [
                LayTests.Cloth("54", false) with
                {
                    Width = new(unit.IsInches() ? "54" : "140", unit),
                    Selvedge = new("1/2", JobUnit.Inch),
                    Step = new(step, unit),
                },
            ],
        };
        return Shopping.Of(Plan.Of(job, Items.Drafting, lay: true), job);
    }

    // Cord 269 twice and, P 80, 2 x 80 + 6 = 166: 704 in are 19.56 yd, by quarters 19 3/4. Zips 53 1/2 twice, 20 + 5 + 1 = 26.
    [Fact]
    public void In_inches()
    {
        var list = List(
            JobUnit.Inch,
            "1/8 yd",
            Items.Example("box-cushion-strip") with
            {
                Quantity = "2",
            },
            Items.Of("box-cushion-strip", JobUnit.Inch, ("W", "20"), ("L", "20"), ("T", "3"))
        );
        ShoppingLine Line(string name) => Assert.Single(list, line => line.Name == name);
        Assert.Equal("19 3/4 yd", Line("cord").Amount);
        Assert.Equal(["cushion 1 x 2", "cushion 2"], Line("cord").For);
        // 53 1/2 twice and 26: 133 in, by quarters of a yard 135.
        Assert.Equal("3 3/4 yd, 3 sliders: 2 x 53 1/2 in, 1 x 26 in", Line("zip chain").Amount);
        Assert.Equal("1/4 in thick", Line("cord").Note);
        Assert.Equal("2 x 46 1/2 x 19 1/4 x 4 in, 1 x 20 x 20 x 3 in", Line("foam").Amount);
        Assert.Matches(@"^\d+ reels? of 100 m$", Line("thread").Amount);
        Assert.Matches(@"^\d+( \d/8)? yd$", list[0].Amount); // the cloth, in the shop's own fractions
    }

    // The chain of the case above: 135 in. 1 1/2 yd of it are there: 135 - 54 = 81 in, 2 1/4 yd; or 50 in: 85, by quarters
    // 90. What cannot be read takes nothing off.
    [Theory]
    [InlineData("zip chain", "1 1/2 yd", "2 1/4 yd")]
    [InlineData("zip chain", "50", "2 1/2 yd")]
    [InlineData("zip chain", "9 yd", "nothing")]
    [InlineData("zip chain", "some", null)]
    [InlineData("foam", "2", "1 of 3")]
    [InlineData("foam", "3", "nothing")]
    [InlineData("foam", "1/2", null)]
    public void What_is_taken_from_the_shelves_is_not_bought(string name, string taken, string? left)
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items =
            [
                Items.Example("box-cushion-strip") with
                {
                    Id = "a",
                    Quantity = "2",
                },
                Items.Of("box-cushion-strip", JobUnit.Inch, ("W", "20"), ("L", "20"), ("T", "3")) with
                {
                    Id = "b",
                },
            ],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: false);
        var line = Assert.Single(Shopping.Of(plan, job), line => line.Name == name);
        Assert.Equal(name == "foam" ? "3" : "3 3/4 yd", line.Whole);
        Assert.Null(line.StillToBuy);
        var with = job with { FromShelves = [new("r", line.Key, "shelf", new(taken, JobUnit.Inch))] };
        Assert.Equal(left, Assert.Single(Shopping.Of(plan, with), each => each.Key == line.Key).StillToBuy);
    }

    // P 160, cord 2 x 160 + 15 = 335 cm, three times 10.05 m: 10.10 by tens. Zip 40 + 2 x 6.5 + 3 = 56.
    [Fact]
    public void In_centimetres()
    {
        var list = List(
            JobUnit.Centimetre,
            "10 cm",
            Items.Of("box-cushion-strip", JobUnit.Centimetre, ("W", "40"), ("L", "40"), ("T", "6")) with
            {
                Quantity = "3",
            }
        );
        Assert.Equal("10.10 m", Assert.Single(list, line => line.Name == "cord").Amount);
        Assert.Equal("1.70 m, 3 sliders: 3 x 56 cm", Assert.Single(list, line => line.Name == "zip chain").Amount);
    }

    // Two cushions of linen that frays, one of twill that does not: thread to match each is a line of its own, and a
    // serger runs three cones, however little comes off each. 12 x 1.1 times the cut lines stays far under 3000 m.
    [Fact]
    public void Thread_is_bought_by_colour_and_serging_thread_in_threes()
    {
        Item Cushion(string id, string cloth) => Items.Example("box-cushion-folded") with { Id = id, Cloth = cloth };
        JobCloth Cloth(string id, string name) => LayTests.Cloth("54", false) with { Id = id, Name = name };
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Cushion("a", "c1"), Cushion("b", "c1"), Cushion("c", "c2")],
            Cloths =
            [
                Cloth("c1", "Moss linen") with
                {
                    Behaves = [ClothTrait.Frays],
                    EdgeFinish = EdgeFinish.Serging,
                },
                Cloth("c2", "Slate twill"),
            ],
        };
        var list = Shopping.Of(Plan.Of(job, Items.Drafting, lay: true), job);
        var thread = list.Where(line => line.Name == "thread").ToDictionary(line => line.Note, line => line.For.Count);
        Assert.Equal((2, 1), (thread["to match Moss linen"], thread["to match Slate twill"]));
        var serging = Assert.Single(list, line => line.Name == "serging thread");
        Assert.Equal(("to match Moss linen", "3 cones of 1000 m"), (serging.Note, serging.Amount));
        Assert.Equal(2, serging.For.Count);
    }

    // Bolsters 30 and 24 long have zips of 22 1/2 and 18 in; made up they are to be had in 24 and 18.
    [Fact]
    public void Made_up_zips_come_in_stock_lengths()
    {
        var list = List(
            JobUnit.Inch,
            "1/8 yd",
            Items.Of("bolster", JobUnit.Inch, ("d", "7"), ("L", "30")) with
            {
                Quantity = "2",
            },
            Items.Of("bolster", JobUnit.Inch, ("d", "7"), ("L", "24"))
        );
        Assert.Equal(
            "2 x 24 in, shortened to 22 1/2, 1 x 18 in",
            Assert.Single(list, line => line.Name == "zip, teeth").Amount
        );
    }

    // Hems 2 (31 1/2 + 74) = 211 by the true top, less 4 at square = drop: 207 x 3/4 + 1 = 156.25 in, twice 8.68 yd.
    [Fact]
    public void Elastic_is_bought_by_its_width_and_squaring_is_a_line_of_its_own()
    {
        var list = List(
            JobUnit.Inch,
            "1/8 yd",
            Items.Read("fitted-sheet", JobUnit.Inch, "W=31 1/2 | L=74 | T=7 | elasticWidth=3/8") with
            {
                Quantity = "2",
            }
        );
        Assert.Equal("8 3/4 yd", Assert.Single(list, line => line.Name == "elastic, 3/8 in wide").Amount);
        var squaring = Assert.Single(
            list,
            line => line.Name.StartsWith("squaring the end of", StringComparison.Ordinal)
        );
        Assert.Equal("2 in", squaring.Amount);
        Assert.Matches("within what stays over", squaring.Note);
    }

    // Off a bolt cut by the yard: 35 1/2 needed leaves half an inch, 35 a whole one; a margin of an inch is room too.
    [Theory]
    [InlineData(71, "0", true)]
    [InlineData(70, "0", false)]
    [InlineData(69, "1", false)]
    public void Less_than_an_inch_to_spare_is_told(int halfInches, string margin, bool tight)
    {
        var cloth = LayTests.Cloth("54", false) with
        {
            Step = new("1 yd", JobUnit.Inch),
            Margin = new(margin, JobUnit.Inch),
        };
        Assert.Equal(tight, Buying.Of(Length.Inches(0, halfInches, 2), new ClothReading(cloth, JobUnit.Inch)).IsTight);
    }

    // A cap 48 x 20 x 3/4 with an obstacle: its hem 136 + 2 x 2 1/2 up and down = 141, x 3/4 + 1 = 106 3/4 of elastic, and a
    // strap of 11 3/4: 118 1/2 in of one width, by quarters of a yard 126.
    [Fact]
    public void What_is_sold_as_one_thing_is_added_up_whatever_it_is_for()
    {
        var list = List(
            JobUnit.Inch,
            "1/8 yd",
            Items.Read("elastic-cap", JobUnit.Inch, "W=48 | L=20 | T=3/4 | obstacles=1 | side1=front | x1=12 | y1=6")
        );
        Assert.Equal("3 1/2 yd", Assert.Single(list, line => line.Name == "elastic, 1/4 in wide").Amount);
    }
}
