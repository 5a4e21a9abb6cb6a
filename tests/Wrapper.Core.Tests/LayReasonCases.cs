using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>Why a lay is as long as it is: figures of a lay that was drawn by hand.</summary>
public sealed class LayReasonCases
{
    // On 54 in: a lid of 40 x 20 from the squared end, a base of 40 x 10 behind it, a side of 10 x 15 beside the lid.
    private static readonly Dictionary<string, LayPiece> Pieces = new (string, int, int)[]
    {
        ("lid", 40, 20),
        ("base", 40, 10),
        ("side", 10, 15),
    }.ToDictionary(
        each => each.Item1,
        each => new LayPiece(
            each.Item1,
            "i",
            each.Item1,
            each.Item1,
            Outline.Rectangle(Length.Inches(each.Item2), Length.Inches(each.Item3)),
            Grain.Along
        )
    );

    private static readonly LayCloth Cloth = new(Length.Inches(54), OneWay: true);

    private static Placement At(string id, int x, int y) => new(id, 0, Length.Inches(x), Length.Inches(y));

    [Fact]
    public void A_lay_says_what_takes_its_length_what_is_lost_and_what_is_to_cut()
    {
        var lay = new Placed([At("lid", 0, 0), At("base", 0, 20), At("side", 40, 0)], Length.Inches(30));
        var why = LayReasons.Of(lay, Pieces, Cloth, Remnants.Of(lay, Pieces, Cloth, lay.Length));
        // 800 + 400 + 150 of 54 x 30.
        Assert.Equal(83, why.Share);
        Assert.Equal(["lid", "base"], why.Chain);
        Assert.Equal((2, Length.Inches(30)), (why.Wide, why.WideLength));
        // Above the side, 15 in from the end: 15 along by 14 across, and another side would go there.
        Assert.Equal(new Patch(Length.Inches(15), Length.Inches(40), Length.Inches(15), Length.Inches(14)), why.Lost);
        Assert.Equal(["side"], why.Fitting);
        // Round each 120 + 100 + 50, less 40 between lid and base and 15 between lid and side.
        Assert.Equal(Length.Inches(215), why.CutLine);
        // Across at 0, 15, 20 and 30; along at 0, 40 and 50.
        Assert.Equal(7, why.Lines);
        var told = why.Told(JobUnit.Inch).ToList();
        Assert.Contains("lid, base", told[1], StringComparison.Ordinal);
        Assert.Contains("15 in from the squared end: 15 in along by 14 in across", told[3], StringComparison.Ordinal);
        Assert.Contains(
            "38.1 cm from the squared end",
            why.Told(JobUnit.Centimetre).ElementAt(3),
            StringComparison.Ordinal
        );
    }

    // Sixteen pads of 13 x 10 in, each a few 64ths longer than that: in rows by hand they take 1/8 in more than need be at
    // the most, with a handful of lines. A lay that saves less than that for more lines is none to cut by.
    [Fact]
    public void A_hair_less_cloth_is_not_worth_more_lines_to_chalk()
    {
        var among = 0;
        foreach (var seed in Enumerable.Range(1, 20))
        {
            var random = new Random(seed);
            var pads = Enumerable
                .Range(1, 16)
                .Select(n => new LayPiece(
                    $"p{n}",
                    "i",
                    $"p{n}",
                    "1a",
                    Outline.Rectangle(Length.Inches(13), Length.Inches(10, random.Next(3), 64)),
                    Grain.Along
                ))
                .ToDictionary(piece => piece.Id);
            var lay = LayTable.Of([.. pads.Values], Cloth);
            if (lay.IsProven || lay.Hand.Length - lay.Best.Length > Length.Inches(0, 1, 8))
                continue;
            among++;
            int Lines(Placed placed) => LayReasons.Of(placed, pads, Cloth, []).Lines;
            Assert.True(Lines(lay.Best) <= Lines(lay.Hand));
        }
        Assert.True(among > 5);
    }

    [Fact]
    public void Nothing_laid_has_no_chain()
    {
        var why = LayReasons.Of(new Placed([], Length.Zero), Pieces, Cloth, []);
        Assert.Empty(why.Chain);
        Assert.Equal(Length.Zero, why.CutLine);
        Assert.Empty(why.Told(JobUnit.Inch));
    }

    // Two tapered pieces of 30 in lie head to foot abreast on 54: wider than half, and yet beside each other.
    [Fact]
    public void Slanted_pieces_wider_than_half_may_lie_abreast()
    {
        Point On(int x, int y) => new(Length.Inches(x), Length.Inches(y));
        var taper = new Outline([new("a", On(0, 0)), new("b", On(30, 0)), new("c", On(24, 12)), new("d", On(0, 12))]);
        var pieces = new[] { "one", "two" }.ToDictionary(
            id => id,
            id => new LayPiece(id, "i", id, id, taper, Grain.Along)
        );
        var lay = new Placed([At("one", 0, 0), new("two", 2, Length.Inches(24), Length.Zero)], Length.Inches(12));
        var why = LayReasons.Of(lay, pieces, Cloth, []);
        Assert.Equal(0, why.Wide);
        // Both are cut round: 30 + 12 + 24 and a slant of root 180 each.
        Assert.Equal(2 * (66 + Math.Sqrt(180)), (double)why.CutLine.Ticks / Length.TicksPerInch, 3);
        // 27 x 12 each of 54 x 12.
        Assert.InRange(why.Share, 99, 100);
    }
}
