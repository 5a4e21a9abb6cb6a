using System.Globalization;
using SkiaSharp;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;

namespace Wrapper.Server.Drawings;

/// <summary>
/// The look of a cloth, one repeat large: its tone, and a weave, stripes, a check, or a motif that stands upright up the
/// roll.
/// Sizes are hundredths of a millimetre; <see cref="From"/> is where up the roll the first one begins.
/// </summary>
internal sealed record ClothTile(
    string Tone,
    long Across,
    long Along,
    bool Stripes,
    bool Check,
    bool HalfDrop,
    long MotifAcross,
    long MotifAlong,
    long From
)
{
    private const int Most = 512,
        Least = 16,
        Threads = 32;

    // A patch of plain weave.
    private const long Patch = 6000;

    // Cloth that an item does not have yet.
    private const string NoTone = "#b9b2a6";

    /// <summary>Cloth of which nothing is known.</summary>
    public static readonly ClothTile Plain = Of(NoTone, null);

    /// <summary>The tile of a cloth of this tone, <c>#rrggbb</c>, and repeat.</summary>
    public static ClothTile Of(string tone, Repeat? repeat, ClothPrint print = ClothPrint.Motif)
    {
        var known = IsTone(tone) ? tone : NoTone;
        if (repeat is null)
            return new(known, Patch, Patch, false, false, false, 0, 0, 0);
        var (wide, high) = (Drawing.Hundredths(repeat.Across), repeat.IsStripes ? 0 : Drawing.Hundredths(repeat.Along));
        var across = wide > 0 ? wide : high;
        return new(
            known,
            across * (repeat.HalfDrop && wide > 0 ? 2 : 1),
            high > 0 ? high : across,
            high == 0,
            high > 0 && print == ClothPrint.Check,
            repeat.HalfDrop && wide > 0,
            Drawing.Hundredths(repeat.Motif.X) % across,
            high > 0 ? Drawing.Hundredths(repeat.Motif.Y) % high : 0,
            Drawing.Hundredths(repeat.From)
        );
    }

    /// <summary>Whether a tone is <c>#rrggbb</c>.</summary>
    public static bool IsTone(string tone) =>
        tone is ['#', ..] && tone.Length == 7 && tone.Skip(1).All(char.IsAsciiHexDigit);

    /// <summary>Where its picture is to be had.</summary>
    public string Url =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"/api/cloth-tile?tone={Tone[1..]}&across={Across}&along={Along}&stripes={(Stripes ? 1 : 0)}&check={(Check ? 1 : 0)}&halfDrop={(HalfDrop ? 1 : 0)}&motifAcross={MotifAcross}&motifAlong={MotifAlong}"
        );

    /// <summary>The tile drawn, its lower left corner where the repeat begins.</summary>
    public SKBitmap Draw()
    {
        var scale = (float)Most / Math.Max(Across, Along);
        var bitmap = new SKBitmap(
            Math.Max(Least, (int)MathF.Round(Across * scale)),
            Math.Max(Least, (int)MathF.Round(Along * scale))
        );
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColor.Parse(Tone));
        if (Stripes)
            DrawStripes(canvas, bitmap.Width, bitmap.Height);
        else if (Check)
            DrawCheck(canvas, bitmap.Width, bitmap.Height);
        else if ((Across, Along) == (Patch, Patch))
            DrawWeave(canvas, bitmap.Width);
        else
        {
            var columns = HalfDrop ? 2 : 1;
            var wide = (float)bitmap.Width / columns;
            for (var column = 0; column < columns; column++)
            // What reaches beyond the tile comes in again on its other side.
            for (var round = -1; round <= 1; round++)
            for (var over = -1; over <= 1; over++)
                DrawMotif(
                    canvas,
                    (column * wide) + (MotifAcross * scale) + (round * bitmap.Width),
                    ((1 + over - (0.5f * column)) * bitmap.Height) - (MotifAlong * scale),
                    0.36f * Math.Min(wide, bitmap.Height)
                );
        }
        return bitmap;
    }

    private static void DrawWeave(SKCanvas canvas, float side)
    {
        var step = side / Threads;
        for (var at = 0; at < Threads; at++)
        {
            using var paint = new SKPaint { Color = SKColor.Parse(at % 2 == 1 ? "#08ffffff" : "#09000000") };
            canvas.DrawRect(0, at * step, side, step * 0.6f, paint);
            canvas.DrawRect(at * step, 0, step * 0.6f, side, paint);
        }
    }

    private static void DrawStripes(SKCanvas canvas, float width, float height)
    {
        using var broad = new SKPaint { Color = SKColor.Parse("#b0fffaf0") };
        using var narrow = new SKPaint { Color = SKColor.Parse("#50000000") };
        canvas.DrawRect(width * 0.35f, 0, width * 0.3f, height, broad);
        canvas.DrawRect(width * 0.06f, 0, width * 0.05f, height, narrow);
    }

    // Where two bands cross it is lighter than either.
    private static void DrawCheck(SKCanvas canvas, float width, float height)
    {
        using var band = new SKPaint { Color = SKColor.Parse("#70fffaf0") };
        using var line = new SKPaint { Color = SKColor.Parse("#50000000") };
        canvas.DrawRect(0, 0, width / 2, height, band);
        canvas.DrawRect(0, height / 2, width, height / 2, band);
        canvas.DrawRect(width * 0.74f, 0, width * 0.03f, height, line);
        canvas.DrawRect(0, height * 0.23f, width, height * 0.03f, line);
    }

    // A sprig with its flower at the upper end, one leaf higher than the other: neither upside down nor mirrored alike.
    private static void DrawMotif(SKCanvas canvas, float x, float y, float size)
    {
        using var ink = new SKPaint { Color = SKColor.Parse("#d0fffaf0"), IsAntialias = true };
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
