using CsCheck;
using Wrapper.Core.Cloth;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>Ready-made articles: cloth of fixed size, its finished edges used or cut off (craft §10).</summary>
public class ArticleTests
{
    // A towel of 40 x 60, 1 in cut off all round: 38 x 58, four pieces of 19 x 29 from each.
    [Fact]
    public void Articles_are_counted_and_priced_one_by_one()
    {
        var cloth = new ClothReading(Towel("60"), JobUnit.Inch);
        var lay = LayTable.Of(Rectangles(5, 19, 29), cloth.ForLay);
        Assert.Equal((Length.Inches(87), Length.Inches(87)), (lay.Best.Length, lay.Hand.Length)); // 58 of the first, 29 of the second
        var buying = Buying.Of(lay.Best.Length, cloth);
        Assert.Equal((2, 18m, Length.Inches(29)), (buying.Articles, buying.Cost, buying.LeftOver));
    }

    [Fact]
    public void No_piece_reaches_from_one_article_into_the_next() =>
        Gen.Select(Gen.Select(Gen.Int[2, 38], Gen.Int[2, 58]).Array[1, 30], Gen.Bool)
            .Sample(
                (sizes, oneWay) =>
                {
                    List<LayPiece> pieces =
                    [
                        .. sizes.Select(
                            (size, n) =>
                                new LayPiece(
                                    $"p{n}",
                                    "i",
                                    $"p{n}",
                                    "1a",
                                    Outline.Rectangle(Length.Inches(size.Item1), Length.Inches(size.Item2)),
                                    Grain.Along
                                )
                        ),
                    ];
                    var one = Length.Inches(58);
                    var lay = LayTable.Of(pieces, new LayCloth(Length.Inches(38), oneWay, one));
                    Assert.Empty(lay.Misfits);
                    foreach (var placed in new[] { lay.Best, lay.Hand })
                    {
                        Assert.Equal(pieces.Count, placed.Placements.Count);
                        foreach (var at in placed.Placements)
                        {
                            var high = Length.Inches(
                                sizes[int.Parse(at.Id[1..], System.Globalization.CultureInfo.InvariantCulture)].Item2
                            );
                            Assert.True((at.Y.Ticks % one.Ticks) + high.Ticks <= one.Ticks, $"{at} of {high}");
                        }
                    }
                },
                iter: 100
            );

    [Theory]
    [InlineData("60", "1", 59, "articleLength", "is cut 59 in long", "61")] // 60 less both edges
    [InlineData("", "1", 20, "articleLength", "nothing is entered", "")]
    [InlineData("60", "20", 20, "selvedge", "takes the whole article", "")]
    [InlineData("30", "15", 20, "selvedge", "takes the whole article", "")]
    public void What_an_article_cannot_give_is_told(
        string length,
        string cut,
        int high,
        string field,
        string reason,
        string example
    )
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Items.Read("centre-panel", JobUnit.Inch, $"shape=square | W={high} | s=0") with { Cloth = "t" }],
            Cloths =
            [
                Towel(length) with
                {
                    Selvedge = new(cut, JobUnit.Inch),
                    Width = new(high > 40 ? "80" : "40", JobUnit.Inch),
                },
            ],
        };
        var problem = Assert.Single(Plan.Of(job, Items.Drafting, lay: true).Cloths[0].Problems.Take(1));
        Assert.Equal($"cloths.t.{field}", problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
        if (example.Length > 0)
            Assert.Equal(example, problem.Example);
    }

    private static JobCloth Towel(string length) =>
        new(
            "t",
            "towel",
            new("40", JobUnit.Inch),
            new("1", JobUnit.Inch),
            false,
            new("1/8 yd", JobUnit.Inch),
            new("0", JobUnit.Inch),
            "9",
            "yd",
            "#7d6a72"
        )
        {
            ArticleLength = new(length, JobUnit.Inch),
        };

    private static List<LayPiece> Rectangles(int count, int wide, int high)
    {
        var cut = Outline.Rectangle(Length.Inches(wide), Length.Inches(high));
        return [.. Enumerable.Range(1, count).Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along))];
    }
}
