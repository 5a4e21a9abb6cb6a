using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

public class OutlineTests
{
    private static Length In(int whole, int eighths = 0) => Length.Inches(whole, eighths, 8);

    private static Point At(int x, int y) => new(In(x), In(y));

    private static Piece Cut(Func<Dimensions, Outline> shape, params (string Edge, Length Allowance)[] allowances) =>
        new("p", "piece", 1, new Dictionary<string, Working>(), shape)
        {
            Allowances = allowances.ToDictionary(
                pair => pair.Edge,
                pair => Working.Of("a", "allowance", pair.Allowance)
            ),
        };

    // A stadium: 10 straight, half circles of radius 3 at both ends. Perimeter 20 + 6π, area 60 + 9π square inches.
    private static Outline Stadium() =>
        new([
            new("bottom", At(3, 0)),
            new("right", At(13, 0), In(3)),
            new("top", At(13, 6)),
            new("left", At(3, 6), In(3)),
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
        var cut = Cut(
            _ => Stadium(),
            ("bottom", In(0, 4)),
            ("right", In(0, 4)),
            ("top", In(0, 4)),
            ("left", In(0, 4))
        ).Cut;
        Assert.Equal([null, In(3, 4), null, In(3, 4)], cut.Edges.Select(edge => edge.Radius));
        Assert.Equal((-In(0, 4), -In(0, 4), In(16, 4), In(6, 4)), cut.Bounds());
    }

    [Fact]
    public void A_hollow_arc_loses_radius_to_its_allowance()
    {
        // A square with a half circle of radius 2 bitten out of its top.
        var bitten = new Outline([
            new("bottom", At(0, 0)),
            new("right", At(8, 0)),
            new("top right", At(8, 8)),
            new("bite", At(6, 8), In(2), Outward: false),
            new("top left", At(2, 8)),
            new("left", At(0, 8)),
        ]);
        Assert.Equal((64 - (2 * Math.PI)) * 0.00064516, bitten.AreaSquareMetres(), 1e-9);
        var cut = Cut(_ => bitten, ("bite", In(0, 4))).Cut;
        Assert.Equal(In(1, 4), cut.Edges.Single(edge => edge.Name == "bite").Radius);
    }

    [Fact]
    public void Corners_are_mitred_and_unequal_allowances_meet_in_one_point()
    {
        var cut = Cut(
            _ => Outline.Rectangle(In(10), In(6)),
            ("bottom", In(1)),
            ("right", In(2)),
            ("top", In(0, 4))
        ).Cut;
        Assert.Equal(
            [
                new Point(In(0), -In(1)),
                new Point(In(12), -In(1)),
                new Point(In(12), In(6, 4)),
                new Point(In(0), In(6, 4)),
            ],
            cut.Edges.Select(edge => edge.Start)
        );
    }

    // A half circle of radius 5 between straight sides with 1 in at its start, 1/2 in in its middle and nothing at its end:
    // its raw edge begins and ends where theirs do, and passes 1/2 in outside its middle. Circle arcs that meet have no
    // straight side to go over to: there the raw edge steps straight out.
    [Fact]
    public void A_round_corner_goes_over_from_one_allowance_to_the_other()
    {
        var cut = Cut(_ => Stadium(), ("bottom", In(1)), ("right", In(0, 4))).Cut;
        Assert.DoesNotContain(cut.Edges, edge => edge.Name == "step to right");
        var right = cut.Edges.Single(edge => edge.Name == "right");
        Assert.Equal(new Point(In(13), -In(1)), right.Start);
        var stitch = Stadium();
        var middle = stitch.Mark("right", stitch.LengthOf("right").Over(2), In(0, 4)).Outward;
        var (centre, radius) = CircleOf(cut, "right");
        Assert.Equal(
            radius,
            Math.Sqrt(Math.Pow(Mm(middle.X) - centre.X, 2) + Math.Pow(Mm(middle.Y) - centre.Y, 2)),
            0.01
        );
    }

    private static double Mm(Length length) => length.Ticks / 3840.0;

    // From the ends of an arc over its chord, and its radius.
    private static ((double X, double Y) Centre, double Radius) CircleOf(Outline outline, string edge)
    {
        var at = outline.Edges.ToList().FindIndex(each => each.Name == edge);
        var (a, b) = (outline.Edges[at].Start, outline.Edges[(at + 1) % outline.Edges.Count].Start);
        var (dx, dy, r) = (Mm(b.X - a.X), Mm(b.Y - a.Y), Mm(outline.Edges[at].Radius!.Value));
        var chord = Math.Sqrt((dx * dx) + (dy * dy));
        var foot = Math.Sqrt(Math.Max(0, (r * r) - (chord * chord / 4))) * (outline.Edges[at].Large ? -1 : 1);
        return ((Mm(a.X) + (dx / 2) - (foot * dy / chord), Mm(a.Y) + (dy / 2) + (foot * dx / chord)), r);
    }

    [Fact]
    public void Slants_are_offset_square_to_themselves()
    {
        // Legs 8 and 6, inradius 2: an offset of 1 scales the triangle by (2 + 1) / 2 about its incentre, so legs are
        // 12 and 9.
        var triangle = new Outline([new("base", At(0, 0)), new("slant", At(8, 0)), new("upright", At(0, 6))]);
        var cut = Cut(_ => triangle, ("base", In(1)), ("slant", In(1)), ("upright", In(1))).Cut;
        Assert.Equal((In(12), In(9), In(15)), (cut.LengthOf("base"), cut.LengthOf("upright"), cut.LengthOf("slant")));
    }

    [Fact]
    public void Marks_stand_square_on_the_stitch_line()
    {
        Assert.Equal(
            (At(5, 0), new Point(In(5), -In(0, 4))),
            Outline.Rectangle(In(10), In(6)).Mark("bottom", In(5), In(0, 4))
        );
        var (on, outward) = Stadium().Mark("right", Stadium().LengthOf("right").Over(2), In(1));
        foreach (var (point, expected) in new[] { (on, At(16, 3)), (outward, At(17, 3)) }) // half a length is rounded to a count
            Assert.True((point.X - expected.X).Abs() <= new Length(1) && (point.Y - expected.Y).Abs() <= new Length(1));
    }

    // A bow front 20 wide with a rise of 2 (radius 26): allowance 1 on the arc, 1/2 at the side. The side's raw edge is
    // x = 20 1/2; the arc's
    // has radius 27 about (10, 24): it meets the side at y = 24 - root (27² - 10.5²) = -0.8743.
    [Fact]
    public void An_arc_and_a_line_meet_on_both_offsets()
    {
        var bow = new Outline([
            new("front", At(0, 0), In(26)),
            new("right", At(20, 0)),
            new("back", At(20, 18)),
            new("left", At(0, 18)),
        ]);
        var cut = Cut(_ => bow, ("front", In(1)), ("right", In(0, 4)), ("left", In(0, 4)))
            .Cut.Edges.ToDictionary(edge => edge.Name);
        Assert.Equal(20.5m, Items.Inches(cut["right"].Start.X));
        Assert.Equal(-0.8743, (double)Items.Inches(cut["right"].Start.Y), 1e-3);
        Assert.Equal(-0.5m, Items.Inches(cut["front"].Start.X));
        Assert.Equal(In(27), cut["front"].Radius);
    }

    // A hollow 6 wide with radius 5 in the top of a block; allowance 1/2: the raw edges meet where y = 8 1/2 cuts the
    // circle of radius 4 1/2 about
    // (8, 12): x = 8 ± root (4.5² - 3.5²) = 8 ± 2.8284.
    [Fact]
    public void A_hollow_is_entered_and_left_at_its_own_ends()
    {
        var hollow = new Outline([
            new("bottom", At(0, 0)),
            new("right", At(16, 0)),
            new("top right", At(16, 8)),
            new("hollow", At(11, 8), In(5), Outward: false),
            new("top left", At(5, 8)),
            new("left", At(0, 8)),
        ]);
        var cut = Cut(_ => hollow, ("top right", In(0, 4)), ("hollow", In(0, 4)), ("top left", In(0, 4)))
            .Cut.Edges.ToDictionary(edge => edge.Name);
        Assert.Equal((10.8284m, 8.5m), (Items.Inches(cut["hollow"].Start.X), Items.Inches(cut["hollow"].Start.Y)));
        Assert.Equal((5.1716m, 8.5m), (Items.Inches(cut["top left"].Start.X), Items.Inches(cut["top left"].Start.Y)));
    }

    // An allowance of 3 at the sides and 1/4 on a shallow hollow of radius 3: its circle never reaches the sides' raw
    // edges.
    [Fact]
    public void An_arc_that_bends_away_is_closed_straight()
    {
        var cup = new Outline([
            new("bottom", At(0, 0)),
            new("right", At(5, 0)),
            new("hollow", At(5, 8), In(3), Outward: false),
            new("left", At(0, 8)),
        ]);
        var cut = Cut(_ => cup, ("right", In(3)), ("left", In(3)), ("hollow", In(0, 2))).Cut;
        Assert.Equal(
            ["bottom", "right", "step to hollow", "hollow", "step to left", "left"],
            cut.Edges.Select(edge => edge.Name)
        );
        Assert.Equal((-In(3), In(8)), (cut.Bounds().Left, In(8)));
        Assert.Equal(In(2, 6), cut.Edges.Single(edge => edge.Name == "hollow").Radius);
    }

    // Turned about 45 degrees nothing of a circle sticks out: the cloth's rectangles reach exactly as far as the arc.
    [Fact]
    public void A_circle_takes_its_diameter_of_the_cloth()
    {
        var half = In(10).Scaled(0.70710678118654752440m);
        var circle = new Outline([
            new("a", new(-half, -half), In(10)),
            new("b", new(half, -half), In(10)),
            new("c", new(half, half), In(10)),
            new("d", new(-half, half), In(10)),
        ]);
        var lay = Lay.LayTable.Of(
            [new("c", "i", "c", "1a", circle, Grain.Along), new("d", "i", "c", "1a", circle, Grain.Along)],
            new Lay.LayCloth(In(40) + Length.Millimetres(0.01m), OneWay: true)
        );
        Assert.True((lay.Best.Length - In(20)).Abs() <= Length.Millimetres(0.01m), $"{lay.Best.Length}");
        Assert.Equal([0, 20], lay.Best.Placements.Select(at => (int)Math.Round(at.X.Ticks / 97536.0)).Order());
    }

    [Theory]
    [InlineData("an open edge drawn too long", "drafted")]
    [InlineData("a corner out of place", "beside where it was drafted")]
    public void The_seam_check_sees_what_no_seam_shows(string fault, string told)
    {
        Piece Of(int width, int lean) =>
            new(
                "p",
                "piece",
                1,
                new Dictionary<string, Working>
                {
                    ["width"] = Working.Of("w", "", In(width)),
                    ["lean"] = Working.Of("lean", "", In(0, lean)),
                },
                d => new Outline([
                    new("lower", At(0, 0)),
                    new("right", new(d["width"], In(0))),
                    new("upper", new(d["width"] + d["lean"], In(20))),
                    new("left", new(d["lean"], In(20))),
                ])
            );
        var drafted = Of(10, 0) with { Corners = [("right", At(10, 0)), ("upper", At(10, 20)), ("left", At(0, 20))] };
        var drawn =
            fault[0] == 'a' && fault[3] == 'o' ? drafted.Redrawn("width", In(11)) : drafted.Redrawn("lean", In(0, 2));
        var pattern = new Pattern
        {
            Pieces = [drawn],
            Seams = [],
            Uses =
            [
                .. new[] { "lower", "right", "upper", "left" }.Select(edge => new Use(
                    EdgeUse.Hem,
                    new Run("p", 1, edge) { Drafted = drafted.Stitch.LengthOf(edge) }
                )),
            ],
        };
        var report = SeamCheck.Of(pattern, JobUnit.Inch);
        Assert.False(report.Holds);
        Assert.Contains(report.Extents, line => line.Contains(told, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(3, 4, 5)]
    [InlineData(8, 15, 17)]
    [InlineData(20, 21, 29)]
    [InlineData(5, 12, 13)]
    [InlineData(7, 24, 25)]
    [InlineData(12, 35, 37)]
    public void A_slant_is_the_root_of_both_squares(int a, int b, int slant)
    {
        var working = Working.Slant(Working.Of("a", "a", In(a)), Working.Of("b", "b", In(b)));
        Assert.Equal(In(slant), working.Value);
        Assert.Equal(
            $"slant = the slant across (a; b) = the slant across ({a}; {b}) = {slant}",
            WorkingText.Lines(working, "slant", JobUnit.Inch)[^1]
        );
        Assert.Equal(In(2 * slant), working.With("a", In(2 * a)).With("b", In(2 * b)).Value);
    }

    // A half circle over 10 is 5 π; over a chord of 6 with a rise of 1 the radius is 5 and the arc 10 asin(3/5).
    [Theory]
    [InlineData(10, 5, 15.7080)]
    [InlineData(6, 1, 6.4350)]
    [InlineData(6, 0, 6)]
    [InlineData(24, 8, 30.5760)] // radius 13: 26 asin(12/13)
    [InlineData(8, 2, 9.2730)] // radius 5: 10 asin(4/5)
    [InlineData(16, 4, 18.5459)] // radius 10: twice the last
    public void An_arc_by_its_chord_and_rise(int chord, int rise, double arc) =>
        Assert.Equal(
            arc,
            (double)
                Items.Inches(Working.ArcOver(Working.Of("c", "c", In(chord)), Working.Of("h", "h", In(rise))).Value),
            1e-4
        );

    // An outline offset a third time has two steps to an edge already: two quarters of a circle, the second wider by an
    // inch.
    [Fact]
    public void Each_step_has_a_name_of_its_own()
    {
        static Length In(int n) => Length.Inches(n);
        var rounded = new Outline([
            new("bottom", new(In(0), In(0))),
            new("quarter", new(In(10), In(0)), In(5)),
            new("cap", new(In(15), In(5)), In(5)),
            new("step to cap", new(In(10), In(10))),
            new("another step to cap", new(In(0), In(10))),
        ]);
        var piece = new Piece("p", "p", 1, new Dictionary<string, Working>(), _ => rounded)
        {
            Allowances = new Dictionary<string, Working> { ["cap"] = Working.Of("a", "a", In(1)) },
        };
        Assert.Equal(
            [
                "bottom",
                "quarter",
                "another another step to cap",
                "cap",
                "step to step to cap",
                "step to cap",
                "another step to cap",
            ],
            piece.Cut.Edges.Select(edge => edge.Name)
        );
    }
}
