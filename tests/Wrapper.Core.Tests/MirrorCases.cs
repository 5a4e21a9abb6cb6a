using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>Items in a mirror: what was left is right, and nothing else is otherwise.</summary>
public sealed class MirrorCases
{
    // Of whatever make-up: a mirror image can be made too, from pieces of the same sizes, and its own mirror image is the
    // first again.
    [Fact]
    public void A_mirror_image_takes_the_same_cloth_and_mirrors_back() =>
        Variants.Makeable.Sample(
            item =>
            {
                var makeUp = Items.Drafting.Find(item.MakeUp)!;
                var mirrored = makeUp.Mirrored(item);
                var (one, other) = (Areas(item), Areas(mirrored));
                // Where sheets and strips are parted is reckoned from the left, so it may differ by their seams.
                Assert.InRange(other.Sum() / one.Sum(), 0.97m, 1.03m);
                var parted = new[] { item, mirrored }
                    .Select(each => Items.Pattern(each))
                    .Any(pattern =>
                        pattern.Counted.Count > 0 || pattern.Steps.Any(step => step.Kind == StepKind.Piecing)
                    );
                if (makeUp.Choices.Any(choice => choice.IsHand) && !parted)
                    Assert.InRange(other[^1] / one[^1], 0.999m, 1.001m);
                Assert.Equal(Cuts(item), Cuts(makeUp.Mirrored(mirrored)));
            },
            iter: 400
        );

    // A hundredth of a square millimetre apart by where points were snapped.
    private static List<decimal> Areas(Item item) =>
        [
            .. Items
                .Draft(item)
                .Pattern!.Pieces.SelectMany(piece =>
                    Enumerable.Repeat(Math.Round((decimal)piece.Cut.AreaSquareMetres(), 6), piece.Quantity)
                )
                .Order(),
        ];

    private static List<string> Cuts(Item item) =>
        [.. Items.Draft(item).Pattern!.Pieces.Select(piece => $"{piece.Key} {piece.Cut.Bounds()}")];

    [Theory]
    [InlineData("0, 0; 18, 0; 20, 9 arc 14; 17, 18", "0, 0; -18, 0; -20, 9 arc 14; -17, 18")]
    [InlineData("-2 1/2, 0; +3, 1\n4, 9 hollow 6", "2 1/2, 0; -3, 1\n-4, 9 hollow 6")]
    [InlineData("M0 0 H20 A10 8 30 0 1 20 -20 h-5 l-2,3 Z", "M0 0 H-20 A10 8 30 0 0 -20 -20 h5 l2,3 Z")]
    [InlineData("no outline", "no outline")]
    [InlineData("", "")]
    public void An_outline_is_turned_over(string text, string mirrored)
    {
        Assert.Equal(mirrored, OutlineReader.Mirrored(text));
        var (one, _) = OutlineReader.Read(text, JobUnit.Inch);
        if (one is null)
            return;
        // What lay so far from the left lies so far from the right.
        var other = OutlineReader.Read(mirrored, JobUnit.Inch).Outline!;
        var right = one.Bounds().Right;
        Assert.Equal(
            one.Edges.Select(edge => (right - edge.Start.X, edge.Start.Y)).Order(),
            other.Edges.Select(edge => (edge.Start.X, edge.Start.Y)).Order()
        );
    }

    // Craft §9.3: an obstacle 6 in wide, 12 from the left end of a front of 48, is 30 from it in the mirror; on the left
    // it is on the right.
    [Fact]
    public void An_obstacle_keeps_its_way_to_the_other_end()
    {
        Entry In(string typed) => new(typed, JobUnit.Inch);
        var cap = Items.Drafting.Find("elastic-cap")!;
        var item = cap.UsualItem("i", "Board", JobUnit.Inch);
        item = item with
        {
            Choices = new Dictionary<string, Entry>(item.Choices)
            {
                ["obstacles"] = In("2"),
                ["side1"] = In("front"),
                ["side2"] = In("left"),
                ["leftOver"] = In("5"),
                ["rightOver"] = In("4"),
            },
            Measures = new Dictionary<string, Entry>(item.Measures)
            {
                ["W"] = In("48"),
                ["L"] = In("20"),
                ["x1"] = In("12"),
                ["y1"] = In("6"),
                ["x2"] = In("3"),
                ["y2"] = In("4"),
            },
        };
        var mirrored = cap.Mirrored(item);
        Assert.Equal(("30", "13"), (mirrored.Measures["x1"].Typed, mirrored.Measures["x2"].Typed));
        Assert.Equal(("front", "right"), (mirrored.Choices["side1"].Typed, mirrored.Choices["side2"].Typed));
        Assert.Equal(("4", "5"), (mirrored.Choices["leftOver"].Typed, mirrored.Choices["rightOver"].Typed));
    }

    // A rectangle is its own mirror image, though the make-up knows hands; what is wider along its left is so along its
    // right. Of a pair both hands are there already.
    [Theory]
    [InlineData("rectangle", "right", "right", "panel/right")]
    [InlineData("ell", "right", "left", "panel/right")]
    [InlineData("ell", "left", "right", "panel/right")]
    [InlineData("ell", "pairs", "pairs", "panel/left")]
    public void A_hand_changes_only_where_there_is_one(string shape, string hand, string other, string edge)
    {
        var strip = Items.Drafting.Find("box-cushion-strip")!;
        var item = strip.UsualItem("i", "Cushion", JobUnit.Inch);
        Entry In(string typed) => new(typed, JobUnit.Inch);
        item = item with
        {
            Choices = new Dictionary<string, Entry>(item.Choices) { ["shape"] = In(shape), ["hand"] = In(hand) },
            Allowances = new Dictionary<string, Entry>(item.Allowances) { ["panel/left"] = In("1") },
        };
        var mirrored = strip.Mirrored(item);
        Assert.Equal(other, mirrored.Choices["hand"].Typed);
        Assert.Equal("1", mirrored.Allowances[edge].Typed);
        Assert.Equal(item.Measures, mirrored.Measures);
    }
}
