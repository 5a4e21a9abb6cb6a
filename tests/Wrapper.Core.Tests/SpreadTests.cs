using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>
/// Cloth folded double, cloth torn into strips, what is left over, and which of equal lays is taken; worked by hand on
/// 53 in.
/// </summary>
public class SpreadTests
{
    private static LayPiece Piece(int n, int w, int h, string item = "i", Grain grain = Grain.Along) =>
        new($"p{n}", item, "p", "1a", Outline.Rectangle(Length.Inches(w), Length.Inches(h)), grain);

    private static List<LayPiece> Pieces(string sizes, Grain grain = Grain.Along) =>
        [
            .. sizes
                .Split(' ')
                .Select(
                    (size, n) =>
                        size.Split('x') is var side
                            ? Piece(n, int.Parse(side[0], null), int.Parse(side[1], null), grain: grain)
                            : null!
                ),
        ];

    private static LayCloth Cloth(Spread spread, bool oneWay = true) =>
        new(Length.Inches(53), oneWay) { Spread = spread };

    // Double, 26 1/2 lie under either hand. Four of 20 x 10: two pairs, 20. Three: a pair, and one behind it. Two of 30
    // do not go double. Across on cloth with one way up nothing has a partner.
    [Theory]
    [InlineData("20x10 20x10 20x10 20x10", Grain.Along, 20, 20)]
    [InlineData("20x10 20x10 20x10", Grain.Along, 20, 10)]
    [InlineData("13x10 13x10 13x10 13x10", Grain.Along, 10, 10)]
    [InlineData("30x10 30x10", Grain.Along, 20, 0)]
    [InlineData("10x20 10x20", Grain.Across, 10, 0)] // side by side on one layer
    public void Pairs_are_cut_double_and_the_rest_behind_them(string sizes, Grain grain, int length, int folded)
    {
        var lay = LayTable.Of(Pieces(sizes, grain), Cloth(Spread.Folded));
        Assert.Equal((Length.Inches(length), Length.Inches(folded)), (lay.Best.Length, lay.FoldedTo ?? Length.Zero));
        Assert.Equal(sizes.Split(' ').Length, lay.Best.Placements.Select(at => at.Id).Distinct().Count());
    }

    // An L and its mirror image lie on each other; two left ones do not.
    [Fact]
    public void Only_mirror_images_lie_on_each_other()
    {
        Length In(int n) => Length.Inches(n);
        Outline left = new([
            new("a", new(In(0), In(0))),
            new("b", new(In(20), In(0))),
            new("c", new(In(20), In(8))),
            new("d", new(In(8), In(8))),
            new("e", new(In(8), In(20))),
            new("f", new(In(0), In(20))),
        ]);
        List<LayPiece> Two(Outline other) =>
            [new("p1", "i", "p", "1a", left, Grain.Along), new("p2", "i", "p", "1a", other, Grain.Along)];
        Assert.Equal(In(20), LayTable.Of(Two(left.Mirrored()), Cloth(Spread.Folded)).FoldedTo);
        Assert.Null(LayTable.Of(Two(left), Cloth(Spread.Folded)).FoldedTo);
    }

    // Torn, 8 in cannot be cut under 12 in beside a piece of 20: it takes a strip of its own. On a flaw from 25 to 26
    // no strip lies.
    [Theory]
    [InlineData("30x20 20x12 20x8", "", 28)]
    [InlineData("30x20 20x20 53x10 10x18", "", 48)]
    [InlineData("30x20 30x20", "25", 46)] // the second from 26 on
    public void Torn_strips_reach_from_selvedge_to_selvedge(string sizes, string flaw, int length)
    {
        var cloth = Cloth(Spread.Torn) with
        {
            Flaws =
                flaw.Length == 0
                    ? []
                    :
                    [
                        new(
                            Length.Inches(int.Parse(flaw, null)),
                            Length.Inches(50),
                            Length.Inches(1),
                            Length.Inches(1)
                        ),
                    ],
        };
        Assert.Equal(Length.Inches(length), LayTable.Of(Pieces(sizes), cloth).Best.Length);
        Assert.True(LayTable.Of(Pieces(sizes), Cloth(Spread.Single)).Best.Length <= Length.Inches(length));
    }

    // Of a square of 30 in the corner of 53 x 60: 53 x 30 behind it, then 23 x 30 beside it. 5 in beside a piece are no
    // remnant.
    [Theory]
    [InlineData("30x30", 60, "53x30 23x30")]
    [InlineData("48x30", 30, "")]
    [InlineData("47x30", 30, "6x30")]
    public void What_is_left_over_is_found(string piece, int length, string remnants)
    {
        var pieces = Pieces(piece);
        var left = Remnants.Of(
            new Placed([new Placement("p0", 0, Length.Zero, Length.Zero)], Length.Inches(30)),
            pieces.ToDictionary(each => each.Id),
            Cloth(Spread.Single),
            Length.Inches(length)
        );
        Assert.Equal(
            remnants,
            string.Join(' ', left.Select(each => $"{Items.Inches(each.Across):0.##}x{Items.Inches(each.Along):0.##}"))
        );
    }

    // Five pieces 10 wide and 20 long of two items fill 50 of 53 in any order: of these lays the one with the fewest
    // lines and changes of item is taken.
    [Fact]
    public void Of_equal_lays_the_simplest_is_taken()
    {
        List<LayPiece> pieces =
        [
            .. Enumerable.Range(0, 5).Select(n => Piece(n, 10, 20, n % 2 == 0 ? "i" : "j")),
            .. Enumerable.Range(5, 5).Select(n => Piece(n, 10, 20, n % 2 == 0 ? "i" : "j")),
        ];
        var lay = LayTable.Of(pieces, Cloth(Spread.Single));
        Assert.Equal(Length.Inches(40), lay.Best.Length);
        Assert.Equal([0, 20], lay.Best.Placements.Select(at => (int)Items.Inches(at.Y)).Distinct().Order());
        Assert.Equal(5, lay.Best.Placements.Select(at => at.X).Distinct().Count());
    }
}
