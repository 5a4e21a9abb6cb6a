using SkiaSharp;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Drawings;

namespace Wrapper.Formats.Prints;

/// <summary>
/// A drawing at its true size on sheets of paper, as PDF: first a page with two squares to measure and a map of the
/// pages, then each page with its name and crosses that lie on those of its neighbours.
/// </summary>
public static class TiledPdf
{
    /// <summary>The most pages that are printed; more is a slip of the pen, or for a roll.</summary>
    public const int MostPages = 400;

    // Points a millimetre.
    private const float Scale = 72 / 25.4f;
    private const float Cross = 4;

    /// <summary>
    /// Writes <paramref name="drawing"/> on <paramref name="paper"/> into a stream; <paramref name="words"/> are what the
    /// first page says.
    /// </summary>
    /// <exception cref="InvalidOperationException">It takes more than <see cref="MostPages"/>.</exception>
    public static void Write(Drawing drawing, Paper paper, TileWords words, Stream into, CancellationToken cancel)
    {
        var placed = drawing.AtOrigin();
        var tiling = new Tiling(placed, paper);
        if (tiling.Tiles.Count > MostPages)
            throw new InvalidOperationException($"{tiling.Tiles.Count} pages are more than {MostPages}");
        using var stream = new SKManagedWStream(into);
        using var document = SKDocument.CreatePdf(
            stream,
            new SKDocumentPdfMetadata
            {
                Title = drawing.Name,
                Creator = "Wrapper",
                RasterDpi = 300,
            }
        );
        FirstPage(document, paper, tiling, words);
        foreach (var tile in tiling.Tiles)
        {
            cancel.ThrowIfCancellationRequested();
            Page(document, paper, tiling, tile, placed, words);
        }
        document.Close();
    }

    private static SKCanvas Begin(SKDocument document, Paper paper)
    {
        var canvas = document.BeginPage(Mm(paper.Width) * Scale, Mm(paper.Height) * Scale);
        canvas.Scale(Scale);
        return canvas;
    }

    private static void Page(
        SKDocument document,
        Paper paper,
        Tiling tiling,
        Tile tile,
        Drawing drawing,
        TileWords words
    )
    {
        var canvas = Begin(document, paper);
        var (margin, width, height) = (Mm(Tiling.Margin), Mm(tiling.Width), Mm(tiling.Height));
        canvas.Save();
        canvas.ClipRect(new SKRect(margin, margin, margin + width, margin + height));
        // The drawing's corner lies on that of the printed area, y upward.
        canvas.Translate(margin - Mm(tile.Corner.X), margin + height + Mm(tile.Corner.Y));
        foreach (var stroke in drawing.Strokes)
            StrokePainter.Draw(canvas, stroke);
        using var font = Faces.Of(Faces.Regular, 1);
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        foreach (var caption in drawing.Captions)
        {
            font.Size = Mm(caption.Height) * 1.4f;
            canvas.DrawText(caption.Words, Mm(caption.At.X), -Mm(caption.At.Y), SKTextAlign.Center, font, ink);
        }
        canvas.Restore();
        Crosses(canvas, margin, width, height);
        using var bold = Faces.Of(Faces.Bold, 5);
        canvas.DrawText(tile.Name, margin, margin - 3, SKTextAlign.Left, bold, ink);
        using var small = Faces.Of(Faces.Regular, 3.2f);
        canvas.DrawText($"{words.Title}, {words.FullSize}", margin + 14, margin - 3, SKTextAlign.Left, small, ink);
        document.EndPage();
    }

    // Where the overlap begins and ends, at each corner of the printed area: neighbours have them in the same places.
    private static void Crosses(SKCanvas canvas, float margin, float width, float height)
    {
        var half = Mm(Tiling.Overlap) / 2;
        using var ink = Pen(0.2f, SKColors.Black);
        foreach (var x in new[] { margin + half, margin + width - half })
        foreach (var y in new[] { margin + half, margin + height - half })
        {
            canvas.DrawLine(x - Cross, y, x + Cross, y, ink);
            canvas.DrawLine(x, y - Cross, x, y + Cross, ink);
        }
    }

    private static void FirstPage(SKDocument document, Paper paper, Tiling tiling, TileWords words)
    {
        var canvas = Begin(document, paper);
        var left = Mm(Tiling.Margin);
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        using var pen = Pen(0.3f, SKColors.Black);
        using var bold = Faces.Of(Faces.Bold, 7);
        using var font = Faces.Of(Faces.Regular, 4.2f);
        canvas.DrawText(words.Title, left, 22, SKTextAlign.Left, bold, ink);
        var y = 32f;
        foreach (var line in words.How)
        {
            canvas.DrawText(line, left, y, SKTextAlign.Left, font, ink);
            y += 6;
        }
        canvas.DrawRect(left, y, 100, 100, pen);
        canvas.DrawText("100 mm", left + 4, y + 8, SKTextAlign.Left, font, ink);
        // The other within it where paper is short: both have the same corner.
        canvas.DrawRect(left, y, 101.6f, 101.6f, pen);
        canvas.DrawText("4 in", left + 98, y + 107, SKTextAlign.Right, font, ink);
        Map(canvas, paper, tiling, words, left, y + 112);
        document.EndPage();
    }

    // The pages as they are stuck together; those that hold nothing are not printed.
    private static void Map(SKCanvas canvas, Paper paper, Tiling tiling, TileWords words, float left, float top)
    {
        var room = Math.Min(
            (Mm(paper.Width) - (2 * left)) / (tiling.Columns * Mm(tiling.Width)),
            (Mm(paper.Height) - top - 20) / (tiling.Rows * Mm(tiling.Height))
        );
        if (room <= 0)
            return;
        var (width, height) = (room * Mm(tiling.Width), room * Mm(tiling.Height));
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        using var pen = Pen(0.3f, SKColors.Black);
        using var font = Faces.Of(Faces.Regular, 4.2f);
        using var small = Faces.Of(Faces.Bold, Math.Clamp(height / 3, 1.5f, 5));
        canvas.DrawText(words.Pages(tiling.Tiles.Count), left, top, SKTextAlign.Left, font, ink);
        foreach (var tile in tiling.Tiles)
        {
            var (x, y) = (left + (tile.Column * width), top + 4 + ((tiling.Rows - 1 - tile.Row) * height));
            canvas.DrawRect(x, y, width, height, pen);
            canvas.DrawText(tile.Name, x + (width / 2), y + (height * 0.6f), SKTextAlign.Center, small, ink);
        }
    }

    private static SKPaint Pen(float width, SKColor colour) =>
        new()
        {
            IsStroke = true,
            StrokeWidth = width,
            Color = colour,
            IsAntialias = true,
        };

    private static float Mm(Length length) => (float)length.ToMillimetres();
}

/// <summary>What is said on the pages of a tiled print.</summary>
public sealed record TileWords(string Title, IReadOnlyList<string> How, string FullSize, Func<int, string> Pages)
{
    /// <summary>As it is usually said.</summary>
    public static TileWords Usual(string title) =>
        new(
            title,
            [
                "Print at 100 %, not fitted to the page. Then measure both squares: if either is off, do not cut by it.",
                "Lay each page over its neighbour, cross on cross, and stick them together.",
                "Solid lines are cut, dashed lines are stitched.",
            ],
            "full size",
            count => count == 1 ? "One page follows." : $"{count} pages follow; stuck together they lie like this:"
        );
}
