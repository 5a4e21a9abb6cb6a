using SkiaSharp;
using Wrapper.Core.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Drawings;

/// <summary>
/// Draws tiles of cloth, their lower left corner where the repeat begins. The same tile is always drawn the same: what
/// is uneven in it is sown from a fixed number.
/// </summary>
internal sealed class TileDrawing(PhotoStore photos)
{
    private const int Most = 512,
        Least = 16,
        Threads = 48,
        Slubs = 40,
        Sown = 7;

    /// <summary>The tile as pixels; a photo that is not there any more is drawn as the cloth would be without it.</summary>
    public SKBitmap Draw(ClothTile tile)
    {
        var scale = (float)Most / Math.Max(tile.Across, tile.Along);
        var bitmap = new SKBitmap(
            Math.Max(Least, (int)MathF.Round(tile.Across * scale)),
            Math.Max(Least, (int)MathF.Round(tile.Along * scale))
        );
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColor.Parse(tile.Tone));
        if (!DrawPhoto(canvas, tile, bitmap.Width, bitmap.Height))
            Show(canvas, tile, bitmap.Width, bitmap.Height, scale);
        return bitmap;
    }

    private static void Show(SKCanvas canvas, ClothTile tile, int width, int height, float scale)
    {
        using var ink = new SKPaint { Color = SKColor.Parse(tile.Second), IsAntialias = true };
        using var shade = new SKPaint { Color = SKColor.Parse("#50000000") };
        switch (tile.Print)
        {
            case ClothPrint.Stripe:
                DrawStripes(canvas, width, height, ink, shade);
                break;
            case ClothPrint.Check:
                DrawCheck(canvas, width, height, ink, shade);
                break;
            case ClothPrint.Herringbone:
                DrawHerringbone(canvas, width, height, ink);
                break;
            case ClothPrint.Spots or ClothPrint.Sprig:
                DrawMotifs(canvas, tile, width, height, scale, ink);
                break;
            default:
                DrawWeave(canvas, Math.Max(width, height));
                break;
        }
    }

    // Homography and drawing are Skia's: the photo is drawn through the inverse of how its corners stand.
    private bool DrawPhoto(SKCanvas canvas, ClothTile tile, int width, int height)
    {
        if (tile.Straightened is not { } straight || photos.Picture(tile.Photo) is not { } kept)
            return false;
        using (kept)
        {
            if (UprightPhoto.Read(kept.Bytes, Most * 4) is not { } upright)
                return false;
            using var photo = upright.Image;
            var rows = straight.Rows.Select(number => (float)number).ToArray();
            var toPhoto = new SKMatrix(
                rows[0] / width,
                rows[1] / height,
                rows[2],
                rows[3] / width,
                rows[4] / height,
                rows[5],
                rows[6] / width,
                rows[7] / height,
                1
            );
            if (!toPhoto.TryInvert(out var toTile))
                return false;
            canvas.Save();
            canvas.SetMatrix(toTile);
            canvas.DrawImage(
                photo,
                new SKRect(0, 0, upright.Width, upright.Height),
                new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
            );
            canvas.Restore();
            return true;
        }
    }

    // Threads over and under, and here and there a thicker one.
    private static void DrawWeave(SKCanvas canvas, float side)
    {
        var step = side / Threads;
        using var light = new SKPaint { Color = SKColor.Parse("#12ffffff") };
        using var dark = new SKPaint { Color = SKColor.Parse("#14000000") };
        for (var at = 0; at < Threads; at++)
        {
            canvas.DrawRect(0, at * step, side, step * 0.5f, at % 2 == 1 ? light : dark);
            canvas.DrawRect(at * step, 0, step * 0.5f, side, at % 2 == 1 ? dark : light);
        }
        var sown = new Random(Sown);
        for (var slub = 0; slub < Slubs; slub++)
        {
            var (along, thread, start) = (sown.Next(2) == 0, sown.Next(Threads) * step, side * sown.NextSingle());
            var reach = side * (0.08f + (0.2f * sown.NextSingle()));
            // What runs out of the tile comes in again on its other side.
            for (var round = 0; round < 2; round++)
            {
                var from = start - (round * side);
                if (along)
                    canvas.DrawRect(thread, from, step * 0.7f, reach, light);
                else
                    canvas.DrawRect(from, thread, reach, step * 0.7f, light);
            }
        }
    }

    private static void DrawStripes(SKCanvas canvas, float width, float height, SKPaint ink, SKPaint shade)
    {
        canvas.DrawRect(width * 0.35f, 0, width * 0.3f, height, ink);
        canvas.DrawRect(width * 0.06f, 0, width * 0.05f, height, shade);
    }

    // Where two bands cross it is lighter than either.
    private static void DrawCheck(SKCanvas canvas, float width, float height, SKPaint ink, SKPaint shade)
    {
        ink.Color = ink.Color.WithAlpha(0x70);
        canvas.DrawRect(0, 0, width / 2, height, ink);
        canvas.DrawRect(0, height / 2, width, height / 2, ink);
        canvas.DrawRect(width * 0.74f, 0, width * 0.03f, height, shade);
        canvas.DrawRect(0, height * 0.23f, width, height * 0.03f, shade);
    }

    // Two columns, four lines in the height of the tile.
    private static void DrawHerringbone(SKCanvas canvas, float width, float height, SKPaint ink)
    {
        const int lines = 4;
        var (column, gap) = (width / 2, height / lines);
        ink.IsStroke = true;
        ink.StrokeWidth = gap * 0.42f;
        for (var at = -3; at <= lines + 3; at++)
        {
            canvas.Save();
            canvas.ClipRect(new SKRect(0, 0, column, height));
            canvas.DrawLine(-1, (at * gap) + column + 1, column + 1, (at * gap) - 1, ink);
            canvas.Restore();
            canvas.Save();
            canvas.ClipRect(new SKRect(column, 0, width, height));
            canvas.DrawLine(column - 1, (at * gap) - 1, width + 1, (at * gap) + column + 1, ink);
            canvas.Restore();
        }
    }

    private static void DrawMotifs(SKCanvas canvas, ClothTile tile, int width, int height, float scale, SKPaint ink)
    {
        var columns = tile.HalfDrop ? 2 : 1;
        var wide = (float)width / columns;
        for (var column = 0; column < columns; column++)
        // What reaches beyond the tile comes in again on its other side.
        for (var round = -1; round <= 1; round++)
        for (var over = -1; over <= 1; over++)
        {
            var (x, y, size) = (
                (column * wide) + (tile.MotifAcross * scale) + (round * width),
                ((1 + over - (0.5f * column)) * height) - (tile.MotifAlong * scale),
                0.36f * Math.Min(wide, height)
            );
            if (tile.Print == ClothPrint.Sprig)
                DrawSprig(canvas, x, y, size, ink);
            else
                DrawSpots(canvas, x, y, wide, height, size, ink);
        }
    }

    // A large one in the motif's place, a smaller one half a repeat away both ways.
    private static void DrawSpots(SKCanvas canvas, float x, float y, float wide, float height, float size, SKPaint ink)
    {
        canvas.DrawCircle(x, y, size * 0.5f, ink);
        canvas.DrawCircle(x + (wide / 2), y + (height / 2), size * 0.34f, ink);
    }

    // A sprig with its flower at the upper end, one leaf higher than the other: neither upside down nor mirrored alike.
    private static void DrawSprig(SKCanvas canvas, float x, float y, float size, SKPaint ink)
    {
        canvas.Save();
        canvas.Translate(x, y);
        canvas.DrawRect(-0.06f * size, -0.5f * size, 0.12f * size, 1.5f * size, ink);
        Leaf(0.4f, -0.05f, 0.42f, 0.16f, -34);
        Leaf(-0.3f, 0.5f, 0.3f, 0.12f, 34);
        canvas.DrawCircle(0, -0.7f * size, 0.3f * size, ink);
        canvas.Restore();

        void Leaf(float across, float down, float wide, float high, float turned)
        {
            canvas.Save();
            canvas.Translate(across * size, down * size);
            canvas.RotateDegrees(turned);
            canvas.DrawOval(0, 0, wide * size, high * size, ink);
            canvas.Restore();
        }
    }
}
