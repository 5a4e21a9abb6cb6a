using System.Text.RegularExpressions;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Tests;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Prints;

namespace Wrapper.Formats.Tests;

/// <summary>Prints at full size, drawn by another program and measured on its pixels.</summary>
public sealed class TiledPdfTests : IDisposable
{
    private const int Dots = 5;
    private readonly Tools tools = new();

    public void Dispose() => tools.Dispose();

    private static double Mm(Length length) => length.Ticks / 3840.0;

    private string Print(Drawing drawing, Paper paper)
    {
        using var file = File.Create(tools.Path("print.pdf"));
        TiledPdf.Write(drawing, paper, TileWords.Usual(drawing.Name), file, CancellationToken.None);
        return file.Name;
    }

    private static Drawing Ring(int width, int height) =>
        new(
            "ring",
            [
                Stroke.Of(
                    Layer.Cut,
                    Outline.Rectangle(Length.Millimetres(width), Length.Millimetres(height)),
                    at => at,
                    turnedOver: false
                ),
            ],
            []
        );

    [Theory]
    [InlineData("a4", 210, 297)]
    [InlineData("letter", 215.9, 279.4)]
    [InlineData("a3", 297, 420)]
    public void The_squares_measure_true_and_pages_are_those_of_the_paper(string key, double width, double height)
    {
        var pdf = Print(Ring(300, 300), Paper.Find(key)!);
        var told = Text(pdf, "pdfinfo");
        var size = Regex.Match(told, @"Page size:\s+([\d.]+) x ([\d.]+) pts");
        Assert.Equal(width / 25.4 * 72, double.Parse(size.Groups[1].Value), 0.5);
        Assert.Equal(height / 25.4 * 72, double.Parse(size.Groups[2].Value), 0.5);
        Assert.Matches(@"AtkinsonHyperlegible\S*\s+\S+.*\s+yes\s+yes", Text(pdf, "pdffonts"));
        // The left side of both squares at 10 mm: then a line 100 mm to the right of it, and one 4 in.
        var page = Pixels.OfPage(pdf, 1, 10);
        var left = 100;
        var top = Enumerable
            .Range(300, 400)
            .First(y => Enumerable.Range(left + 30, 900).All(x => page.IsDarkNear(x, y, 1)));
        List<int> upright =
        [
            .. Enumerable
                .Range(left - 5, page.Width - left)
                .Where(x => Enumerable.Range(top + 20, 900).All(y => page.IsDark(x, y))),
        ];
        Assert.Contains(upright, x => Math.Abs(x - left) <= 2);
        Assert.Contains(upright, x => Math.Abs(x - left - 1000) <= 2);
        Assert.Contains(upright, x => Math.Abs(x - left - 1016) <= 2);
        Assert.DoesNotContain(upright, x => x - left is > 5 and < 990);
        var words = Text(pdf, "pdftotext", "-layout", "{}", "-");
        Assert.Contains("100 mm", words, StringComparison.Ordinal);
        Assert.Contains("4 in", words, StringComparison.Ordinal);
        Assert.Contains("not fitted to the page", words, StringComparison.Ordinal);
    }

    private static string Text(string pdf, string program, params string[] arguments) =>
        Tools.Text(program, arguments.Length == 0 ? [pdf] : [.. arguments.Select(each => each == "{}" ? pdf : each)]);

    // Where the pages are stuck together every part of every outline is there, to a fifth of a millimetre.
    [Theory]
    [InlineData("a4")]
    [InlineData("a3")]
    public void Pages_rejoin_without_a_gap(string key)
    {
        var item = ItemPlan.Of(
            Items.Example("box-cushion-strip", ("corners", "rounded")),
            1,
            Items.Drafting,
            JobDocument.Empty("job", JobUnit.Inch)
        );
        var drawing = PieceDrawing.Of(item, item.Draft.Pattern!.Pieces[0]);
        var paper = Paper.Find(key)!;
        var tiling = new Tiling(drawing, paper);
        var pdf = Print(drawing, paper);
        var pages = tiling.Tiles.Select((tile, n) => (tile, Pixels.OfPage(pdf, n + 2, Dots))).ToList();
        var margin = Mm(Tiling.Margin);
        // Every 3 mm along the cut line, on each page that shows it; each of them on one at least.
        foreach (var (x, y) in Along(drawing.Strokes.First(stroke => stroke.Layer == Layer.Cut), 3))
        {
            var shown = 0;
            foreach (var (tile, page) in pages)
            {
                var (across, up) = (x - Mm(tile.Corner.X), y - Mm(tile.Corner.Y));
                if (across < 0 || up < 0 || across > Mm(tiling.Width) || up > Mm(tiling.Height))
                    continue;
                shown++;
                Assert.True(
                    page.IsDarkNear(Dots * (margin + across), Dots * (margin + Mm(tiling.Height) - up), 1),
                    $"{tile.Name} lacks its line at {across:0.0}, {up:0.0}"
                );
            }
            Assert.InRange(shown, 1, 4);
        }
        // Nothing is printed where nothing was drawn: the margin of a page, its name apart.
        Assert.All(
            pages,
            each =>
                Assert.DoesNotContain(
                    Enumerable.Range(0, each.Item2.Height),
                    y => each.Item2.IsDark(2 * Dots, y) || each.Item2.IsDark(each.Item2.Width - (2 * Dots), y)
                )
        );
    }

    // A ring of 1 m by 1 m on A4 is held by the pages round its rim: 6 columns of 180 mm, 4 rows of 267 mm.
    [Fact]
    public void Only_pages_that_hold_something_are_printed()
    {
        var drawing = Ring(1000, 1000);
        var tiling = new Tiling(drawing, Paper.Find("a4")!);
        Assert.Equal((6, 4), (tiling.Columns, tiling.Rows));
        Assert.Equal(24 - (4 * 2), tiling.Tiles.Count);
        Assert.DoesNotContain(tiling.Tiles, tile => tile.Name is "B2" or "E3");
        Assert.Contains(tiling.Tiles, tile => tile.Name == "F4");
        var pdf = Print(drawing, Paper.Find("a4")!);
        Assert.Matches(@"Pages:\s+17\b", Tools.Text("pdfinfo", pdf));
    }

    [Fact]
    public void A_roll_is_as_long_as_what_is_drawn_and_no_print_goes_on_for_ever()
    {
        var drawing = Ring(800, 3000);
        var roll = Paper.Roll(Length.Millimetres(914), Length.Millimetres(3020));
        Assert.Single(new Tiling(drawing, roll).Tiles);
        var size = Regex.Match(Tools.Text("pdfinfo", Print(drawing, roll)), @"Page size:\s+([\d.]+) x ([\d.]+)");
        Assert.Equal(3020 / 25.4 * 72, double.Parse(size.Groups[2].Value), 1.0);
        var stripes = new Drawing(
            "stripes",
            [
                .. Enumerable
                    .Range(0, 200)
                    .Select(n =>
                        Stroke.Line(
                            Layer.Marks,
                            new(Length.Zero, Length.Millimetres(n * 100)),
                            new(Length.Millimetres(20_000), Length.Millimetres(n * 100))
                        )
                    ),
            ],
            []
        );
        Assert.Throws<InvalidOperationException>(() => Print(stripes, Paper.Find("a4")!));
    }

    internal static IEnumerable<(double X, double Y)> Along(Stroke stroke, double step)
    {
        // By chords of the true circle, reckoned here anew: centre from both ends, radius and side.
        var (x1, y1) = (Mm(stroke.From.X), Mm(stroke.From.Y));
        foreach (var leg in stroke.Legs)
        {
            var (x2, y2) = (Mm(leg.To.X), Mm(leg.To.Y));
            var (dx, dy) = (x2 - x1, y2 - y1);
            var chord = Math.Sqrt((dx * dx) + (dy * dy));
            var rise = 0.0;
            if (leg.Radius is { } radius)
                rise = Math.Sqrt((Mm(radius) * Mm(radius)) - (chord * chord / 4));
            var count = (int)Math.Ceiling(chord / step);
            for (var n = 0; n < count; n++)
            {
                var share = (double)n / count;
                var (x, y) = (x1 + (share * dx), y1 + (share * dy));
                if (leg.Radius is { } r)
                {
                    // Off the chord, to the right of an arc that turns left.
                    var along = (share - 0.5) * chord;
                    var off = Math.Sqrt((Mm(r) * Mm(r)) - (along * along)) + (leg.Large ? rise : -rise);
                    var side = leg.TurnsLeft ? 1 : -1;
                    (x, y) = (x + (side * off * dy / chord), y - (side * off * dx / chord));
                }
                yield return (x, y);
            }
            (x1, y1) = (x2, y2);
        }
    }
}
