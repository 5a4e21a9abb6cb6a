using SkiaSharp;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Drawings;

namespace Wrapper.Formats.Prints;

/// <summary>Paints strokes of drawings on a canvas in millimetres, y downward: the line of each layer in its own look.</summary>
internal static class StrokePainter
{
    private static readonly Dictionary<Layer, (float Width, float[] Dashes, SKColor Colour)> Looks = new()
    {
        [Layer.Cut] = (0.5f, [], SKColors.Black),
        [Layer.Stitch] = (0.3f, [4, 2], SKColors.Black),
        [Layer.Marks] = (0.4f, [], new SKColor(0xB0, 0x00, 0x20)),
        [Layer.Grain] = (0.3f, [], new SKColor(0x1A, 0x5F, 0xB4)),
        [Layer.Cloth] = (0.3f, [], new SKColor(0x77, 0x77, 0x77)),
    };

    /// <summary>
    /// Draws a stroke, arcs as arcs; its line is <paramref name="heavier"/> times as wide, so that it stays as it is where
    /// the canvas is scaled.
    /// </summary>
    public static void Draw(SKCanvas canvas, Stroke stroke, float heavier = 1)
    {
        var (width, dashes, colour) = Looks[stroke.Layer];
        using var pen = new SKPaint
        {
            IsStroke = true,
            StrokeWidth = width * heavier,
            Color = colour,
            IsAntialias = true,
        };
        using var effect =
            dashes.Length > 0 ? SKPathEffect.CreateDash([.. dashes.Select(dash => dash * heavier)], 0) : null;
        pen.PathEffect = effect;
        using var builder = new SKPathBuilder();
        builder.MoveTo(Mm(stroke.From.X), -Mm(stroke.From.Y));
        foreach (var leg in stroke.Legs)
        {
            var (x, y) = (Mm(leg.To.X), -Mm(leg.To.Y));
            if (leg.Radius is { } radius)
                builder.ArcTo(
                    Mm(radius),
                    Mm(radius),
                    0,
                    leg.Large ? SKPathArcSize.Large : SKPathArcSize.Small,
                    // The page runs downward.
                    leg.TurnsLeft
                        ? SKPathDirection.CounterClockwise
                        : SKPathDirection.Clockwise,
                    x,
                    y
                );
            else
                builder.LineTo(x, y);
        }
        if (stroke.IsClosed)
            builder.Close();
        using var path = builder.Detach();
        canvas.DrawPath(path, pen);
    }

    private static float Mm(Length length) => (float)length.ToMillimetres();
}
