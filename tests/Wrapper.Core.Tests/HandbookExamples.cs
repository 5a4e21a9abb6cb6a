namespace Wrapper.Core.Tests;

/// <summary>The handbook's worked examples, figure by figure, in inches.</summary>
public class HandbookExamples
{
    [Theory]
    [InlineData("panel", "cut width", 47.5)]
    [InlineData("panel", "cut length", 20.25)]
    [InlineData("zip-strip", "cut height", 3.125)]
    [InlineData("zip-strip", "cut length", 53.5)]
    [InlineData("boxing", "cut depth", 4.75)]
    [InlineData("boxing", "cut length", 81.5)]
    public void Separate_strip(string piece, string size, decimal inches)
    {
        var pattern = Items.Pattern(Items.Example("box-cushion-strip"));
        Assert.Equal(inches, Items.Size(pattern, piece, size));
    }

    [Fact]
    public void Separate_strip_runs_quantities_and_cord()
    {
        var pattern = Items.Pattern(Items.Example("box-cushion-strip"));
        var finished = pattern.Finished.ToDictionary(f => f.Name, f => Items.Inches(f.Working.Value));
        Assert.Equal(
            (131.5m, 52.5m, 79m, 3.75m),
            (finished["perimeter"], finished["zip run"], finished["boxing run"], finished["finished depth"])
        );
        Assert.Equal([2, 2, 1], pattern.Pieces.Select(piece => piece.Quantity));
        Assert.Equal(269m, Items.Inches(pattern.Notions.Single(n => n.Key == "cord").Length!.Value));
        Assert.Equal(53.5m, Items.Inches(pattern.Notions.Single(n => n.Key == "zip").Length!.Value));
        Assert.Equal(
            (269m, 1.875m),
            (Items.Inches(pattern.Covering!.Length.Value), Items.Inches(pattern.Covering.StripWidth.Value))
        );
        Assert.Equal(
            23.5m,
            Items.Inches(Planning.CordOnCloth.Side(pattern.Covering.Length.Value, pattern.Covering.StripWidth.Value))
        );
    }

    [Theory]
    [InlineData("cut width", 51.25)]
    [InlineData("cut length", 47.5)]
    [InlineData("corner cut-out, in from the side", 1.875)]
    [InlineData("corner cut-out, in from the zip edge", 2.125)]
    [InlineData("fold notch, in from the side", 1.875)]
    [InlineData("fold notch, to each side of the fold", 1.375)]
    [InlineData("fold notch, across the fold", 2.75)]
    public void One_piece_folded(string size, decimal inches) =>
        Assert.Equal(inches, Items.Size(Items.Pattern(Items.Example("box-cushion-folded")), "cover", size));

    // The raw edge as drawn, not as listed: around the lower right corner and the right fold notch, from the stitch
    // line's corner.
    [Fact]
    public void One_piece_folded_is_drawn_as_listed()
    {
        var cut = Items
            .Pattern(Items.Example("box-cushion-folded"))
            .Piece("cover")
            .Cut.Edges.ToDictionary(e => e.Name, e => (Items.Inches(e.Start.X), Items.Inches(e.Start.Y)));
        Assert.Equal((48.875m, -0.75m), cut["back right lower"]); // G + W + s, -z
        Assert.Equal((48.875m, 1.375m), cut["right end lower"]); // 2 1/8 above the raw zip edge
        Assert.Equal((50.75m, 1.375m), cut["right side lower"]); // 1 7/8 out to the raw side
        Assert.Equal((48.875m, 21.625m), cut["front right"]); // fold at 23, 1 3/8 below
        Assert.Equal((48.875m, 24.375m), cut["right front upper"]);
    }

    // Metric, by hand: W 60, L 50, T 8 cm, snug 6 mm, s 15, z 20, w 65, o 20 mm; D 7.4; P 220; Z 60 + 13 = 73.
    [Fact]
    public void Separate_strip_in_centimetres()
    {
        var pattern = Items.Pattern(
            Items.Of("box-cushion-strip", Lengths.JobUnit.Centimetre, ("W", "60"), ("L", "50"), ("T", "8")),
            Lengths.JobUnit.Centimetre
        );
        decimal Cm(string piece, string size) =>
            pattern.Piece(piece).Sizes.Single(s => s.Name == size).Working.Value.Ticks / 38_400m;
        Assert.Equal((63m, 53m), (Cm("panel", "cut width"), Cm("panel", "cut length")));
        Assert.Equal((76m, 7.2m), (Cm("zip-strip", "cut length"), Cm("zip-strip", "cut height")));
        Assert.Equal((154m, 10.4m), (Cm("boxing", "cut length"), Cm("boxing", "cut depth"))); // 147 + 3 + 4
    }

    // Rounded corners, by hand: W 24, L 20, r 4: P = 88 - (8 - 2π) 4 = 81.1327; Z = 24 - 8 + 2π + 5 = 27.2832.
    [Fact]
    public void Rounded_corners_shorten_the_ring()
    {
        var pattern = Items.Pattern(
            Items.Of("box-cushion-strip", Lengths.JobUnit.Inch, ("W", "24"), ("L", "20"), ("T", "3"), ("r", "4"))
        );
        var finished = pattern.Finished.ToDictionary(f => f.Name, f => f.Working.Value);
        Assert.Equal(81.1327m, Items.Inches(finished["perimeter"]), 3);
        Assert.Equal(27.2832m, Items.Inches(finished["zip run"]), 3);
        Assert.Equal(finished["perimeter"], finished["zip run"] + finished["boxing run"]);
        Assert.Equal(0, (finished["perimeter"] - pattern.Piece("panel").Stitch.Perimeter()).Ticks, 8.0);
    }
}
