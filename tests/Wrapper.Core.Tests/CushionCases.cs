using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>
/// Cases worked by hand for a cushion 30 x 20 x 4 in, s 1/2, z 3/4, w 2 1/2, o 3/4: P = 100, Z = 35, boxing run 65 when
/// exact.
/// </summary>
public class CushionCases
{
    private static Pattern Strip(params (string, string)[] changes) =>
        Items.Pattern(Items.Of("box-cushion-strip", JobUnit.Inch, [("W", "30"), ("L", "20"), ("T", "4"), .. changes]));

    private static Pattern Folded(params (string, string)[] changes) =>
        Items.Pattern(
            Items.Of(
                "box-cushion-folded",
                JobUnit.Inch,
                [("W", "30"), ("L", "20"), ("T", "4"), ("ease", "exact"), .. changes]
            )
        );

    private static decimal Notion(Pattern pattern, string key) =>
        Items.Inches(pattern.Notions.Single(n => n.Key == key).Length!.Value);

    // Panel width and length, boxing length and depth, zip strip height, foam width and length.
    [Theory]
    [InlineData("exact", 31, 21, 67.5, 5, 3.25, 30, 20)]
    [InlineData("snug", 31, 21, 67.5, 4.75, 3.125, 30, 20)]
    [InlineData("overcut", 31, 21, 67.5, 5, 3.25, 31, 20.5)] // 1 in over 24 in, 1/2 in up to it
    [InlineData("soft", 29.5, 19.5, 63, 5, 3.25, 0, 0)] // 1 1/2 smaller: P 94, Z 33 1/2, run 60 1/2; no foam in it
    [InlineData("loose", 31.5, 21.5, 69, 5, 3.25, 30, 20)] // 1/2 larger: P 102, Z 35 1/2, run 66 1/2
    [InlineData("pinfit", 33.5, 23.5, 75, 7.5, 4.5, 30, 20)] // 2 1/2 over each way: P 110, Z 37 1/2, run 72 1/2
    public void Ease_schools(
        string ease,
        double width,
        double length,
        double boxing,
        double depth,
        double zip,
        double foamWidth,
        double foamLength
    )
    {
        var pattern = Strip(("ease", ease));
        decimal Foam(string side) =>
            Items.Inches(
                pattern.Notions.SingleOrDefault(notion => notion.Key == $"foam-{side}")?.Length?.Value ?? Length.Zero
            );
        Assert.Equal(
            [
                (decimal)width,
                (decimal)length,
                (decimal)boxing,
                (decimal)depth,
                (decimal)zip,
                (decimal)foamWidth,
                (decimal)foamLength,
            ],
            [
                pattern.Size("panel", "cut width"),
                pattern.Size("panel", "cut length"),
                pattern.Size("boxing", "cut length"),
                pattern.Size("boxing", "cut depth"),
                pattern.Size("zip-strip", "cut height"),
                Foam("width"),
                Foam("length"),
            ]
        );
    }

    [Theory]
    [InlineData("ring", "none", 66)]
    [InlineData("ring", "one", 67.5)]
    [InlineData("ring", "both", 69)]
    [InlineData("sandwich", "one", 69)] // the open strip is lapped at both ends
    public void Laps_take_twice_their_length(string assembly, string ends, double boxing) =>
        Assert.Equal(
            (decimal)boxing,
            Strip(("ease", "exact"), ("assembly", assembly), ("lapEnds", ends)).Size("boxing", "cut length")
        );

    // The run of 65 is 17 1/2 of side, 30 of front, 17 1/2 of side; the first length has the lap, 1 1/2; each has 1 in
    // of seams.
    [Theory]
    [InlineData("corners", 2, "50, 18.5")]
    [InlineData("corners", 3, "20, 31, 18.5")]
    [InlineData("evenly", 3, "20, 31, 18.5")]
    [InlineData("evenly", 4, "20, 31, 9.75, 9.75")]
    [InlineData("evenly", 5, "11.25, 9.75, 31, 9.75, 9.75")]
    public void Pieced_boxing(string joins, int lengths, string cut)
    {
        var pattern = Strip(("ease", "exact"), ("joins", joins), ("lengths", $"{lengths}"));
        var sizes = Enumerable.Range(1, lengths).Select(n => pattern.Size($"boxing-{n}", "cut length")).ToList();
        Assert.Equal(
            cut.Split(", ").Select(text => decimal.Parse(text, System.Globalization.CultureInfo.InvariantCulture)),
            sizes
        );
        // In one length it is 67 1/2; each join takes two seam allowances more.
        Assert.Equal(67.5m + (lengths - 1), sizes.Sum());
    }

    // A long narrow cushion: 12 wide, 60 long. The run is 144 - 17 = 127, its front only 12: three even lengths miss
    // the front.
    [Fact]
    public void Even_lengths_need_not_end_at_corners()
    {
        var pattern = Strip(
            ("W", "12"),
            ("L", "60"),
            ("ease", "exact"),
            ("joins", "evenly"),
            ("lengths", "3"),
            ("lapEnds", "none")
        );
        Assert.Equal(
            [43.3333m, 43.3333m, 43.3333m],
            Enumerable.Range(1, 3).Select(n => pattern.Size($"boxing-{n}", "cut length"))
        );
    }

    // Corner marks of the boxing: L - w = 17 1/2 and L - w + W = 47 1/2 from the first end, after the lap's 1 1/2.
    [Fact]
    public void Corner_marks_fall_where_the_corners_are()
    {
        var pattern = Strip(("ease", "exact"));
        IEnumerable<Notch> On(string piece, params string[] edges) =>
            pattern.Piece(piece).Notches.Where(notch => edges.Contains(notch.Edge));
        Assert.All(On("boxing", "lower", "upper"), notch => Assert.True(notch.Clip));
        Assert.Equal([19m, 49m], On("boxing", "lower").Select(n => Items.Inches(n.At)));
        Assert.Equal([17.5m, 47.5m], On("boxing", "upper").Select(n => Items.Inches(n.At))); // drawn from the right, 66 1/2 long
        Assert.Equal([2.5m, 32.5m], pattern.Piece("zip-strip").Notches.Select(n => Items.Inches(n.At)));
        // The zip's own seam meets both ends of the boxing at half its depth of 4, where nothing is clipped.
        Assert.All(
            On("boxing", "left end", "right end"),
            notch => Assert.Equal((2m, false), (Items.Inches(notch.At), notch.Clip))
        );
        Assert.Equal(2, On("boxing", "left end", "right end").Count());
        // The boxing takes over from the zip strip 2 1/2 from the back corners: of the left side 2 1/2 from its start,
        // of the right side 20 - 2 1/2.
        Assert.Equal([17.5m, 2.5m], On("panel", "right", "left").Select(n => Items.Inches(n.At)));
    }

    [Theory]
    [InlineData("cut", 2, 2.25, 2, 1.5, 30, 20)]
    [InlineData("square-drop", 2.5, 2.75, 2.5, 2, 29, 19)] // every square one seam larger, the top two smaller
    public void Folded_corner_schools(
        string corners,
        double side,
        double zip,
        double fold,
        double foldEach,
        double top,
        double topLength
    )
    {
        var pattern = Folded(("corners", corners));
        decimal Size(string name) => pattern.Size("cover", name);
        Assert.Equal((35m, 49.5m), (Size("cut width"), Size("cut length"))); // 30 + 4 + 1; 40 + 8 + 1 1/2
        Assert.Equal(
            [(decimal)side, (decimal)zip, (decimal)fold, (decimal)foldEach, (decimal)top, (decimal)topLength],
            [
                Size("corner cut-out, in from the side"),
                Size("corner cut-out, in from the zip edge"),
                Size("fold notch, in from the side"),
                Size("fold notch, to each side of the fold"),
                Size("finished width of the top"),
                Size("finished length of the top"),
            ]
        );
    }

    [Fact]
    public void Square_as_deep_as_the_drop_tells_what_the_top_loses()
    {
        var pattern = Folded(("corners", "square-drop"));
        Assert.Contains(
            pattern.Remarks,
            remark => remark.Text.StartsWith("Top finishes 1 in smaller each way", StringComparison.Ordinal)
        );
        Assert.Equal(5m, Items.Inches(pattern.Finished.Single(f => f.Name == "finished depth").Working.Value)); // 4 and the inch the top lost
    }

    [Theory]
    [InlineData("full", 35, 49.5)] // the full cut width
    [InlineData("inside", 29, 49.5)] // W - 1
    [InlineData("closed", 30, 49.5)] // W
    [InlineData("round", 36, 49)] // W + 5 + 1; the zip edges have s
    public void Folded_zip_schools(string zip, double bought, double cutLength)
    {
        var pattern = Folded(("zip", zip));
        Assert.Equal(
            ((decimal)bought, (decimal)cutLength),
            (Notion(pattern, "zip"), pattern.Size("cover", "cut length"))
        );
    }

    // Nothing is cut out; each corner line measures D = 4. Rounded by 2: (2 - 0.8284) straight and an eighth of a
    // circle, four ends.
    [Fact]
    public void Stitched_off_corners_leave_a_rectangle_to_cut()
    {
        var square = Folded(("corners", "stitch-off"));
        Assert.Equal(4, square.Piece("cover").Cut.Edges.Count);
        Assert.Equal(4m, Items.Inches(square.Finished.Single(f => f.Name == "corner seam").Working.Value));
        var rounded = Folded(("corners", "stitch-off"), ("r", "2"));
        Assert.Equal(5.4848m, Items.Inches(rounded.Finished.Single(f => f.Name == "corner seam").Working.Value), 3);
        Assert.Equal((35m, 49.5m), (rounded.Size("cover", "cut width"), rounded.Size("cover", "cut length")));
    }

    // Metric: 76 x 35.5 x 9, s 1.5, z 2: 76 + 9 + 3; 71 + 18 + 4; G 4.5; 4.5 - 1.5 + 2; 4.5 - 1.5 each side of the
    // fold.
    [Fact]
    public void Folded_in_centimetres()
    {
        var pattern = Items.Pattern(
            Items.Of(
                "box-cushion-folded",
                JobUnit.Centimetre,
                ("W", "76"),
                ("L", "35.5"),
                ("T", "9"),
                ("ease", "exact")
            ),
            JobUnit.Centimetre
        );
        decimal Cm(string name) =>
            pattern.Piece("cover").Sizes.Single(s => s.Name == name).Working.Value.Ticks / 38_400m;
        Assert.Equal(
            (88m, 93m, 4.5m, 5m, 3m),
            (
                Cm("cut width"),
                Cm("cut length"),
                Cm("corner cut-out, in from the side"),
                Cm("corner cut-out, in from the zip edge"),
                Cm("fold notch, to each side of the fold")
            )
        );
    }

    // The right side has an inch of its own: the sheet is 1/2 in wider and the waste at that side deeper by as much.
    [Fact]
    public void An_edge_with_its_own_allowance()
    {
        var pattern = Folded(("cover/right side lower", "1"), ("cover/right side upper", "1"));
        Assert.Equal(
            (35.5m, 2.5m),
            (pattern.Size("cover", "cut width"), pattern.Size("cover", "corner cut-out, in from the side"))
        );
        var panel = Strip(("panel/front", "1"), ("ease", "exact"));
        Assert.Equal((31m, 21.5m), (panel.Size("panel", "cut width"), panel.Size("panel", "cut length")));
    }

    // Zip 30 on both sides, sides 20, corners 4 x 4: 116 in of seam, x 3 x 1.1.
    [Fact]
    public void Thread_and_filling_are_read_off_the_seams()
    {
        var pattern = Folded();
        Assert.Equal(382.8m, Notion(pattern, "thread"), 2);
        Assert.StartsWith("fair", Filling.Of(pattern), StringComparison.Ordinal);
        Assert.StartsWith("tight", Filling.Of(Folded(("zip", "inside"))), StringComparison.Ordinal);
        Assert.StartsWith("easy", Filling.Of(Strip()), StringComparison.Ordinal);
        Assert.True(
            Minutes.Of(pattern) < Minutes.Of(Strip(("cord", "none")))
                && Minutes.Of(Strip(("cord", "none"))) < Minutes.Of(Strip())
        );
    }

    // Every line once, three times where cord lies in it, both edges of a tape; needle and bobbin take three times
    // that, and a tenth more.
    [Theory]
    // True-size sheet: hem 2 (31 1/2 + 74) = 211 as a casing, four corners of 7 + 3.
    [InlineData("fitted-sheet", "W=31 1/2 | L=74 | T=7 | tuck=3 | k=1/2 | corners=cut", 211 + 40)]
    // Top 2 (20 + 18) = 76 with cord, corners 4 x 16, hem 76, hook-and-loop 76 less 3 at each of four legs, along both
    // edges.
    [InlineData("ottoman-boxed", "W=20 | L=18 | H=16 | cord=both | legs=4 | legGap=3", (3 * 76) + 64 + 76 + (2 * 64))]
    // Sewn to its facing round 4 x 20, then topstitched.
    [InlineData("centre-panel", "shape=square | W=20", 80 + 80)]
    public void Thread_is_three_times_every_stitched_line_and_a_tenth(string makeUp, string changes, double stitched)
    {
        var pattern = Items.Pattern(Items.Read(makeUp, JobUnit.Inch, changes));
        Assert.Equal(3.3 * stitched, (double)Notion(pattern, "thread"), 2);
        if (makeUp == "ottoman-boxed")
            Assert.Equal((76m + 3, 64m), (Notion(pattern, "cord"), Notion(pattern, "hook-and-loop"))); // one ring, one join
    }

    [Theory]
    [InlineData("ring", "into a ring", "Open the zip.")]
    [InlineData("sandwich", "in one pass", "length that is left")]
    public void Assembly_schools_have_their_own_order_and_name_real_seams(string assembly, string first, string later)
    {
        var pattern = Strip(("assembly", assembly));
        var texts = pattern.Steps.Select(step => step.Text).ToList();
        Assert.True(
            texts.FindIndex(text => text.Contains(first, StringComparison.Ordinal))
                < texts.FindIndex(text => text.Contains(later, StringComparison.Ordinal))
        );
        Assert.All(
            pattern.Steps.SelectMany(step => step.Seams),
            seam => Assert.Contains(pattern.Seams, real => real.Name == seam)
        );
    }
}
