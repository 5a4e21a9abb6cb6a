using CsCheck;
using NetTopologySuite.Geometries;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>What a maker needs to draw a piece on cloth with tape and square alone.</summary>
public class SettingOutCases
{
    private static readonly Length Sixteenth = Length.Inches(0, 1, 16);

    // 18 in front, 14 behind, 16 deep, seams 1/2. The right side leans 2 in 16, so it is 16.1245 along the slant and its
    // raw edge lies 1/2 x 16.1245 / 16 = 0.5039 further out, level with the stitch line; half an inch below the front
    // another 0.0625. Front: 18 + 2 x 0.5664 = 19.1328. Back corner: 2 x 17 / 16 = 2.125 in from the front one.
    // Side: sqrt(2.125² + 17²) = 17.1323. Across: sqrt((19.1328 - 2.125)² + 17²) = 24.0471.
    [Fact]
    public void A_tapered_pad_is_drawn_from_its_corners()
    {
        var set = Of(
            "box-cushion-strip",
            "T=4 | ease=exact | shape=tapered | stations=0 | W=18 | B=14 | L=16",
            "panel"
        );
        Near(
            [(0, 0), (19.1328, 0), (17.0078, 17), (2.125, 17)],
            set.Corners.Select(corner => (Inches(corner.Along), Inches(corner.Across)))
        );
        Near([19.1328, 17.1323, 14.8828, 17.1323], set.Sides.Select(side => Inches(side.Length)));
        Near([24.0471, 24.0471], set.Diagonals.Select(line => Inches(line.Length)));
        Assert.Equal(["1", "2", "3", "4"], set.Corners.Select(corner => corner.Name));
        Assert.All(set.Sides, side => Assert.Null(side.Curve));
    }

    // The folded cover of the inner 46 1/2 x 19 1/4 x 4, snug: cut 51 1/4 x 47 1/2. Cut-outs at the zip end 1 7/8 in from
    // the side and 2 1/8 in from the zip edge; at the fold 1 7/8 in, 1 3/8 each way from the middle of 47 1/2.
    [Fact]
    public void A_cut_out_shows_both_its_figures()
    {
        var set = SettingOut.Of(Items.Pattern(Items.Example("box-cushion-folded")).Pieces[0]);
        var corners = set.Corners.Select(corner => (Inches(corner.Along), Inches(corner.Across))).ToList();
        foreach (
            var expected in new[]
            {
                (1.875, 2.125),
                (49.375, 2.125),
                (1.875, 45.375),
                (1.875, 22.375),
                (1.875, 25.125),
                (0.0, 22.375),
                (49.375, 25.125),
            }
        )
            Assert.Contains(
                corners,
                corner =>
                    Math.Abs(corner.Item1 - expected.Item1) < 1e-4 && Math.Abs(corner.Item2 - expected.Item2) < 1e-4
            );
    }

    // A circle of 7 in with 1/2 in seams: four quarters of radius 4, chord 4 √2 = 5.6569, rise 4 - 4 / √2 = 1.1716.
    [Fact]
    public void A_curve_is_told_by_radius_chord_and_rise()
    {
        var curves = Of("bolster", "d=7 | L=30", "end").Sides.Select(side => side.Curve!).ToList();
        var whole = curves.Sum(curve => 2 * Math.Asin(Inches(curve.Chord) / 2 / Inches(curve.Radius)));
        Assert.Equal(2 * Math.PI, whole, 1e-3);
        Assert.All(
            curves,
            curve =>
            {
                Assert.Equal(4, Inches(curve.Radius), 1e-4);
                var half = Inches(curve.Chord) / 2;
                Assert.Equal(4 - Math.Sqrt(16 - (half * half)), Inches(curve.Rise), 1e-3);
                Assert.True(curve.Outward && curve.On.Count > 0);
                // Every listed point lies 4 in from the middle of the 8 in box.
                Assert.All(
                    curve.On,
                    point =>
                        Assert.Equal(
                            4,
                            Math.Sqrt(Math.Pow(Inches(point.Along) - 4, 2) + Math.Pow(Inches(point.Across) - 4, 2)),
                            1e-3
                        )
                );
            }
        );
    }

    // A boxing of 78 in finished, 1/2 in seams: a mark 16 in along the stitch line lies 16 1/2 in from the cut corner.
    [Fact]
    public void A_mark_is_measured_along_the_cut_edge_from_the_nearer_corner()
    {
        var strip = Strip();
        var marked = strip with
        {
            Notches = [new("bottom", Length.Inches(16)), new("bottom", Length.Inches(70), Clip: true)],
        };
        Assert.Equal(
            [
                new SetMark("notch", "1", "bottom", Length.Inches(16, 1, 2)),
                new SetMark("clip", "2", "bottom", Length.Inches(8, 1, 2)),
            ],
            SettingOut.Of(marked).Marks
        );
        Assert.Empty(SettingOut.Of(marked).Corners);
    }

    // A cover 54 wide closed over 40 1/2: six buttons at (i - 1/2) x 6 3/4, the first 6 3/4 + 3 3/8 from the side and half
    // an inch further from the raw corner. A cushion 30 wide: its cord starts in the middle of the back.
    [Fact]
    public void Buttons_and_the_starts_of_cords_are_marks_of_their_own()
    {
        var duvet = Cases.Draft("duvet-cover", "W=54 | L=78 | usable=108", JobUnit.Inch).Pattern!;
        List<SetMark> Marks(string piece, string what) =>
            [.. SettingOut.Of(duvet.Piece(piece)).Marks.Where(mark => mark.What == what)];
        Assert.Equal((6, 6), (Marks("front", "buttonhole").Count, Marks("back", "button").Count));
        Assert.Equal(6.75 + 3.375 + 0.5, Marks("front", "buttonhole").Min(mark => Inches(mark.Along)), 1e-4);
        var start = Assert.Single(
            Of("box-cushion-strip", "W=30 | L=20 | T=4 | ease=exact", "panel").Marks,
            mark => mark.What == "cord start"
        );
        Assert.Equal(("back", 15.5), (start.Side, Inches(start.Along)));
        // With round corners too the cord starts in the back, never in an arc.
        Assert.Contains(
            Of("knife-edge-pad", "W=20 | L=18 | T=2 | r=3 | edgeCord=both", "panel").Marks,
            mark => (mark.What, mark.Side) == ("cord start", "back")
        );
        Assert.DoesNotContain(
            Of("box-cushion-strip", "W=30 | L=20 | T=4 | cord=none", "panel").Marks,
            mark => mark.What == "cord start"
        );
    }

    [Fact]
    public void A_piece_redrawn_from_its_figures_to_the_mark_lies_within_a_sixteenth() =>
        Variants.Makeable.Sample(
            item =>
            {
                foreach (var piece in Items.Pattern(item).Pieces)
                {
                    var set = SettingOut.Of(piece);
                    if (set.Corners.Count == 0)
                        continue;
                    var (left, bottom, _, _) = piece.Cut.Bounds();
                    var drawn = Geometry.Ring(Redrawn(set));
                    var off = Geometry
                        .Points(piece.Line)
                        .Max(p =>
                            drawn.Distance(
                                new NetTopologySuite.Geometries.Point(
                                    new Coordinate(p.X - Geometry.Mm(left), p.Y - Geometry.Mm(bottom))
                                )
                            )
                        );
                    Assert.True(off <= 25.4 / 16, $"{item.MakeUp}, {piece.Name}: off by {off / 25.4} in");
                }
            },
            iter: 15
        );

    // From the listed figures alone, each to the nearest sixteenth: corner to corner, curves through their points.
    private static Outline Redrawn(SettingOut set)
    {
        var edges = new List<Edge>();
        for (var at = 0; at < set.Sides.Count; at++)
        {
            var curve = set.Sides[at].Curve;
            Length? radius = curve is null ? null : Marked(curve.Radius);
            foreach (var point in (SetPoint[])[set.Corners[at], .. curve?.On ?? []])
                edges.Add(
                    new Edge(
                        $"{edges.Count}",
                        new(Marked(point.Along), Marked(point.Across)),
                        radius,
                        curve?.Outward ?? true
                    )
                );
        }
        // What is shorter than a mark of the tape is no side that could be drawn.
        return new Outline([.. edges.Where((edge, at) => edge.Start != edges[(at + 1) % edges.Count].Start)]);
    }

    private static Length Marked(Length length) => ((length + Sixteenth.Over(2)).Ticks / Sixteenth.Ticks) * Sixteenth;

    private static Piece Strip() =>
        new(
            "strip",
            "strip",
            1,
            new Dictionary<string, Core.Lengths.Workings.Working>(),
            _ => Outline.Rectangle(Length.Inches(78), Length.Inches(4))
        )
        {
            Allowances = new[] { "bottom", "right", "top", "left" }.ToDictionary(
                edge => edge,
                _ => Core.Lengths.Workings.Working.Of("s", "seam", Length.Inches(0, 1, 2))
            ),
        };

    private static SettingOut Of(string makeUp, string changes, string piece) =>
        SettingOut.Of(Items.Pattern(Items.Read(makeUp, JobUnit.Inch, changes)).Piece(piece));

    private static double Inches(Length length) => length.Ticks / (double)Length.TicksPerInch;

    private static void Near(IEnumerable<double> expected, IEnumerable<double> actual) =>
        Assert.Equal(expected, actual, (a, b) => Math.Abs(a - b) < 1e-3);

    private static void Near(IEnumerable<(double, double)> expected, IEnumerable<(double, double)> actual) =>
        Assert.Equal(
            expected,
            actual,
            (a, b) => Math.Abs(a.Item1 - b.Item1) < 1e-3 && Math.Abs(a.Item2 - b.Item2) < 1e-3
        );
}
