using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

public class OutlineTests
{
    private static Length In(int whole, int eighths = 0) => Length.Inches(whole, eighths, 8);

    private static Point At(int x, int y) => new(In(x), In(y));

    private static Piece Cut(Func<Dimensions, Outline> shape, params (string Edge, Length Allowance)[] allowances) =>
        new("p", "piece", 1, new Dictionary<string, Working>(), shape)
        {
            Allowances = allowances.ToDictionary(pair => pair.Edge, pair => Working.Of("a", "allowance", pair.Allowance)),
        };

    // A stadium: 10 straight, half circles of radius 3 at both ends. Perimeter 20 + 6π, area 60 + 9π square inches.
    private static Outline Stadium() => new([
        new("bottom", At(3, 0)), new("right", At(13, 0), In(3)), new("top", At(13, 6)), new("left", At(3, 6), In(3)),
    ]);

    [Fact]
    public void Arcs_are_measured_as_arcs()
    {
        Assert.Equal(Length.Inches(1).Scaled(9.42477796m), Stadium().LengthOf("right"));
        Assert.Equal((60 + (9 * Math.PI)) * 0.00064516, Stadium().AreaSquareMetres(), 1e-9);
        Assert.Equal((In(0), In(0), In(16), In(6)), Stadium().Bounds());
    }

    [Fact]
    public void Arcs_stay_arcs_when_offset()
    {
        var cut = Cut(_ => Stadium(), ("bottom", In(0, 4)), ("right", In(0, 4)), ("top", In(0, 4)), ("left", In(0, 4))).Cut;
        Assert.Equal([null, In(3, 4), null, In(3, 4)], cut.Edges.Select(edge => edge.Radius));
        Assert.Equal((-In(0, 4), -In(0, 4), In(16, 4), In(6, 4)), cut.Bounds());
    }

    [Fact]
    public void A_hollow_arc_loses_radius_to_its_allowance()
    {
        // A square with a half circle of radius 2 bitten out of its top.
        var bitten = new Outline([new("bottom", At(0, 0)), new("right", At(8, 0)), new("top right", At(8, 8)), new("bite", At(6, 8), In(2), Outward: false), new("top left", At(2, 8)), new("left", At(0, 8))]);
        Assert.Equal((64 - (2 * Math.PI)) * 0.00064516, bitten.AreaSquareMetres(), 1e-9);
        var cut = Cut(_ => bitten, ("bite", In(0, 4))).Cut;
        Assert.Equal(In(1, 4), cut.Edges.Single(edge => edge.Name == "bite").Radius);
    }

    [Fact]
    public void Corners_are_mitred_and_unequal_allowances_meet_in_one_point()
    {
        var cut = Cut(_ => Outline.Rectangle(In(10), In(6)), ("bottom", In(1)), ("right", In(2)), ("top", In(0, 4))).Cut;
        Assert.Equal([new Point(In(0), -In(1)), new Point(In(12), -In(1)), new Point(In(12), In(6, 4)), new Point(In(0), In(6, 4))], cut.Edges.Select(edge => edge.Start));
    }

    [Fact]
    public void Smooth_neighbours_with_unequal_allowances_step_straight_out()
    {
        var cut = Cut(_ => Stadium(), ("bottom", In(1)), ("right", In(0, 4))).Cut;
        var step = cut.Edges.Single(edge => edge.Name == "step to right");
        Assert.Equal((new Point(In(13), -In(1)), new Point(In(13), -In(0, 4))), (step.Start, cut.Edges.Single(edge => edge.Name == "right").Start));
    }

    [Fact]
    public void Slants_are_offset_square_to_themselves()
    {
        // Legs 8 and 6, inradius 2: an offset of 1 scales the triangle by (2 + 1) / 2 about its incentre, so legs are 12 and 9.
        var triangle = new Outline([new("base", At(0, 0)), new("slant", At(8, 0)), new("upright", At(0, 6))]);
        var cut = Cut(_ => triangle, ("base", In(1)), ("slant", In(1)), ("upright", In(1))).Cut;
        Assert.Equal((In(12), In(9), In(15)), (cut.LengthOf("base"), cut.LengthOf("upright"), cut.LengthOf("slant")));
    }

    [Fact]
    public void Marks_stand_square_on_the_stitch_line()
    {
        Assert.Equal((At(5, 0), new Point(In(5), -In(0, 4))), Outline.Rectangle(In(10), In(6)).Mark("bottom", In(5), In(0, 4)));
        var (on, outward) = Stadium().Mark("right", Stadium().LengthOf("right").Over(2), In(1));
        foreach (var (point, expected) in new[] { (on, At(16, 3)), (outward, At(17, 3)) }) // half a length is rounded to a count
            Assert.True((point.X - expected.X).Abs() <= new Length(1) && (point.Y - expected.Y).Abs() <= new Length(1));
    }
}
