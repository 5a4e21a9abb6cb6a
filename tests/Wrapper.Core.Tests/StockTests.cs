using Wrapper.Core.Cloth;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Remnants and part rolls used first, what the shop asks, and what was measured on the table; worked by hand.
/// </summary>
public class StockTests
{
    private static Entry In(string typed) => new(typed, JobUnit.Inch);

    private static LayPiece Square(int n, int side) =>
        new(
            $"p{n}",
            "i",
            "p",
            $"1{(char)('a' + n)}",
            Outline.Rectangle(Length.Inches(side), Length.Inches(side)),
            Grain.Along
        );

    // A pin on the roll keeps its place from the roll's own end when a remnant comes before it; a pin on a remnant is
    // counted back from there.
    [Fact]
    public void Pins_stay_when_a_remnant_is_added()
    {
        var job = Panels(
            LayTests.Cloth("54", false) with
            {
                Pins = [new JobPin("i1/panel/1", 0, Length.Inches(20).Ticks, Length.Inches(12).Ticks)],
            }
        );
        Placement Panel(JobCloth cloth) =>
            Plan.Of(job with { Cloths = [cloth] }, Items.Drafting, lay: true)
                .Cloths[0]
                .Lay!.Best.Placements.Single(at => at.Id == "i1/panel/1");
        Assert.Equal(Length.Inches(12), Panel(job.Cloths[0]).Y);
        var stocked = job.Cloths[0] with { Stock = [new("", In("35"), null)] };
        Assert.Equal(Length.Inches(47), Panel(stocked).Y);
        Assert.Equal(job.Cloths[0].Pins[0], new ClothReading(stocked, JobUnit.Inch).ForLay.PinAt(Panel(stocked)));
        Assert.Equal(
            Length.Inches(5),
            Panel(stocked with { Pins = [job.Cloths[0].Pins[0] with { Y = Length.Inches(-30).Ticks }] }).Y
        );
    }

    // Squares of 30 on 53 in. A remnant of 31 x 40 takes one, the other is bought; one of 25 takes none; one of 70
    // takes both, and nothing is bought. Shortest possible: what its area cannot hold, or what does not go on it.
    [Theory]
    [InlineData(2, 31, 40, 30, 10.566)] // (1800 - 31 x 40) / 53
    [InlineData(2, 25, 53, 60, 60)] // neither goes on it, nor beside the other
    [InlineData(2, 70, 53, 0, 0)]
    [InlineData(2, 70, 29, 60, 60)] // too narrow for either, though large enough
    [InlineData(3, 31, 53, 60, 19.943)]
    public void Remnants_are_used_first(int squares, int length, int usable, int bought, double shortest)
    {
        var lay = LayTable.Of(
            [.. Enumerable.Range(0, squares).Select(n => Square(n, 30))],
            new LayCloth(Length.Inches(53), OneWay: false)
            {
                StockLengths = [new(Length.Inches(length), Length.Inches(usable))],
            }
        );
        Assert.Equal(Length.Inches(bought), lay.Length);
        Assert.Equal((decimal)shortest, decimal.Round(Items.Inches(lay.Off(lay.ShortestPossible)), 3));
        Assert.Equal(bought == (int)shortest, lay.IsProven);
        Assert.Equal(Length.Inches(30 * squares), lay.Off(lay.Hand.Length));
    }

    // What lies on the roll is laid as well as if there were no remnants: 20 pieces of 10 x 10, five abreast. Four lie
    // on 20 x 20; of 16 are three rows of five and one more.
    [Fact]
    public void Behind_remnants_the_roll_is_laid_as_ever()
    {
        List<LayPiece> pieces = [.. Enumerable.Range(0, 20).Select(n => Square(n, 10))];
        var lay = LayTable.Of(
            pieces,
            new LayCloth(Length.Inches(53), OneWay: true) { StockLengths = [new(Length.Inches(20), Length.Inches(20))] }
        );
        Assert.Equal(Length.Inches(40), lay.Length);
        Assert.Equal(4, lay.Best.Placements.Count(at => at.Y < Length.Inches(20)));
    }

    [Fact]
    public void Where_remnants_hold_everything_nothing_is_bought()
    {
        var cloth = Plan.Of(
            Panels(
                LayTests.Cloth("54", false) with
                {
                    Stock = [new("from the barge", In("70"), null)],
                    Margin = In("4"),
                    LeastCut = In("1 yd"),
                }
            ),
            Items.Drafting,
            lay: true
        ).Cloths[0];
        Assert.Equal((Length.Zero, Length.Zero, 0m), (cloth.Buying!.Needed, cloth.Buying.Bought, cloth.Buying.Cost));
    }

    // 20 a yard, 15 from 3 yd on. 100 in are 2 7/8 yd: 57.50, and 3 yd at 45.00 cost less. 110 in are 3 1/8 yd at 15.
    // 20 in are not cut under 1 yd. A skew of 3/4 in is bought too: 100 3/4 in, 23 eighths.
    [Theory]
    [InlineData("100", "", "", 103.5, 57.50, 108, 45.00)]
    [InlineData("110", "", "", 112.5, 46.88, 0, 0)]
    [InlineData("20", "1 yd", "", 36, 20.00, 0, 0)]
    [InlineData("100", "1 yd", "3/4", 103.5, 57.50, 108, 45.00)]
    [InlineData("103", "", "3/4", 108, 45.00, 0, 0)]
    public void What_the_shop_asks(
        string need,
        string least,
        string skew,
        double bought,
        double cost,
        double cheaper,
        double thenCosts
    )
    {
        var cloth = new ClothReading(
            LayTests.Cloth("54", false) with
            {
                Prices = [new(In("3 yd"), "15")],
                LeastCut = In(least),
                Skew = In(skew),
            },
            JobUnit.Inch
        );
        Assert.Empty(cloth.Problems);
        var buying = Buying.Of(LengthReader.Read(need, JobUnit.Inch, LengthLimits.Cloth).Length!.Value, cloth);
        Assert.Equal(((decimal)bought, (decimal?)(decimal)cost), (Items.Inches(buying.Bought), buying.Cost));
        Assert.Equal(
            ((decimal)cheaper, (decimal)thenCosts),
            buying.Cheaper is { } other ? (Items.Inches(other.Bought), other.Cost) : (0, 0)
        );
        Assert.Equal(buying.Bought, buying.Needed + buying.ForSkew + buying.Margin + buying.LeftOver);
        Assert.Equal(least.Length > 0 && bought == 36, buying.IsLeastCut);
        Assert.Equal(skew == "3/4", cloth.IsSkewed);
    }

    // Panel and facing of 30 x 30 one behind the other: 60 in. On the table lie 60 less 1 1/2 for squaring: 1 1/2 are
    // missing, one piece lies beyond. Measured 62 wide and railroaded they go side by side.
    [Theory]
    [InlineData("", "60", "1 1/2", 1.5, 1)]
    [InlineData("", "62", "1 1/2", 0, 0)]
    [InlineData("", "25", "0", 35, 2)]
    [InlineData("62", "31", "1", 0, 0)]
    public void What_lies_on_the_table_holds_it_or_is_told(
        string width,
        string length,
        string squaring,
        double missing,
        int beyond
    )
    {
        var cloth = Plan.Of(
            Panels(
                LayTests.Cloth("54", false) with
                {
                    MeasuredWidth = In(width),
                    MeasuredLength = In(length),
                    Squaring = In(squaring),
                }
            ),
            Items.Drafting,
            lay: true
        ).Cloths[0];
        Assert.Empty(cloth.Problems);
        Assert.Equal(
            ((decimal)missing, beyond),
            cloth.Beyond is { } over ? (Items.Inches(over.Missing), over.Pieces.Count) : (0, 0)
        );
        if (width.Length > 0)
            Assert.Equal(Length.Inches(61), cloth.ForLay.Usable);
    }

    [Theory]
    [InlineData("squaring", "60", "squaring took the whole length")]
    [InlineData("stock.0.width", "2", "under 4 in")]
    [InlineData("stock.0.length", "a bit", "no number")]
    [InlineData("prices.0.price", "much", "a price is needed")]
    [InlineData("spread", "folded", "laid single")]
    [InlineData("repeatAcross", "", "half-drop needs the repeat across")]
    public void What_cannot_be_is_told_with_its_field(string field, string typed, string reason)
    {
        var plain = LayTests.Cloth("54", false);
        var cloth = field switch
        {
            "squaring" => plain with { MeasuredLength = In("60"), Squaring = In(typed) },
            "stock.0.width" => plain with { Stock = [new("", In("20"), In(typed))] },
            "stock.0.length" => plain with { Stock = [new("", In(typed), null)] },
            "repeatAcross" => plain with { RepeatAlong = In("12"), RepeatAcross = In(typed), HalfDrop = true },
            "prices.0.price" => plain with { Prices = [new(In("3 yd"), typed)] },
            _ => plain with { Stock = [new("", In("20"), null)], Spread = Spread.Folded },
        };
        var problem = new ClothReading(cloth, JobUnit.Inch).Problems[0];
        Assert.Equal($"cloths.c1.{field}", problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    // A panel and its facing of 30 x 30 are cut on 54: 53 less 30 stay beside each. While one of them is not cut yet,
    // nothing is offered.
    [Theory]
    [InlineData(2, " LINEN ", "60x23")]
    [InlineData(1, "linen", "")]
    [InlineData(2, "wool", "")]
    public void What_is_left_of_cloth_that_was_cut_is_offered(int cut, string asked, string remnants)
    {
        var job = Panels(LayTests.Cloth("54", false) with { Name = "Linen", Step = In("1") });
        var pieces = Plan.Of(job, Items.Drafting, lay: false).Cloths[0].Pieces;
        var done = Panels(
            job.Cloths[0] with
            {
                Cut = [.. pieces.Take(cut).Select(piece => new JobCut(piece.Id, 0, 0))],
            }
        );
        Assert.Equal(
            remnants,
            string.Join(
                ' ',
                LeftOver
                    .Of(done, asked, Items.Drafting)
                    .Select(left => $"{Items.Inches(left.Along):0.##}x{Items.Inches(left.Across):0.##}")
            )
        );
    }

    // Articles of 66, 1/2 in cut off along each edge, washed 10 % shorter: 58 1/2 each, one square of 30 on either.
    // Behind it 53 x 28 1/2 are left, beside it 23 x 30; of both as much.
    [Fact]
    public void What_is_left_of_washed_articles_is_washed_once()
    {
        var job = Panels(
            LayTests.Cloth("54", false) with
            {
                Name = "Linen",
                ArticleLength = In("66"),
                ShrinksAlong = "10",
            }
        );
        var pieces = Plan.Of(job, Items.Drafting, lay: false).Cloths[0].Pieces;
        var done = Panels(job.Cloths[0] with { Cut = [.. pieces.Select(piece => new JobCut(piece.Id, 0, 0))] });
        Assert.Equal(
            "28.5x53 28.5x53 30x23 30x23",
            string.Join(
                ' ',
                LeftOver
                    .Of(done, "Linen", Items.Drafting)
                    .Select(left => $"{Items.Inches(left.Along):0.##}x{Items.Inches(left.Across):0.##}")
            )
        );
    }

    private static JobDocument Panels(JobCloth cloth) =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with { Cloth = null }],
            Cloths = [cloth],
        };
}
