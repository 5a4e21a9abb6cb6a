using SkiaSharp;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Prints;

namespace Wrapper.Formats.Pages;

/// <summary>A picture that is drawn into a frame of its own proportions.</summary>
public abstract class Picture
{
    /// <summary>Its width over its height.</summary>
    public abstract float Ratio { get; }

    /// <summary>Draws it with its upper left corner at the origin, so wide and high in millimetres.</summary>
    internal abstract void Draw(SKCanvas canvas, float wide, float high);

    /// <summary>A pen so wide, in millimetres.</summary>
    internal static SKPaint Pen(float width) =>
        new()
        {
            IsStroke = true,
            StrokeWidth = width,
            Color = SKColors.Black,
            StrokeJoin = SKStrokeJoin.Round,
            IsAntialias = true,
        };
}

/// <summary>A picture as it was taken or drawn before: PNG or JPEG.</summary>
public sealed class RasterPicture : Picture, IDisposable
{
    private readonly SKImage image;

    /// <summary>The picture in these bytes.</summary>
    /// <exception cref="ArgumentException">They are no picture.</exception>
    public RasterPicture(byte[] encoded) =>
        image = SKImage.FromEncodedData(encoded) ?? throw new ArgumentException("no picture", nameof(encoded));

    /// <inheritdoc/>
    public override float Ratio => image.Width / (float)image.Height;

    /// <inheritdoc/>
    public void Dispose() => image.Dispose();

    internal override void Draw(SKCanvas canvas, float wide, float high) =>
        canvas.DrawImage(image, new SKRect(0, 0, wide, high), new SKSamplingOptions(SKFilterMode.Linear));
}

/// <summary>A sign drawn as a path in a field so wide and high, y down, with a text inside where it has one.</summary>
public sealed class SignPicture(string path, string inside, float textAt, float fieldWide, float fieldHigh) : Picture
{
    /// <inheritdoc/>
    public override float Ratio => fieldWide / fieldHigh;

    internal override void Draw(SKCanvas canvas, float wide, float high)
    {
        canvas.Scale(wide / fieldWide);
        using var pen = Pen(2);
        using var drawn = SKPath.ParseSvgPathData(path);
        canvas.DrawPath(drawn, pen);
        if (inside.Length == 0)
            return;
        using var ink = new SKPaint { IsAntialias = true };
        using var font = Faces.Of(Faces.Bold, 11);
        canvas.DrawText(inside, fieldWide / 2, textAt, SKTextAlign.Center, font, ink);
    }
}

/// <summary>A drawing to scale, as large as there is room; words on it are as large as can be read.</summary>
public sealed class ScaledDrawing : Picture
{
    private readonly Drawing drawing;
    private readonly float from,
        wide,
        high;

    /// <summary>
    /// The picture of a drawing that has an extent, or of the stretch of it from <paramref name="from"/> to
    /// <paramref name="to"/> from its left, so wide whether it is filled or not.
    /// </summary>
    public ScaledDrawing(Drawing drawing, Length? from = null, Length? to = null)
    {
        this.drawing = drawing.AtOrigin();
        var (_, _, right, top) = this.drawing.Bounds();
        this.from = Mm(from ?? Length.Zero);
        wide = Math.Max(1, Mm(to ?? right) - this.from);
        high = Math.Max(1, Mm(top));
    }

    /// <inheritdoc/>
    public override float Ratio => wide / high;

    internal override void Draw(SKCanvas canvas, float across, float down)
    {
        var scale = across / wide;
        canvas.Save();
        // What reaches over the end of the stretch is on the next one too.
        canvas.ClipRect(new SKRect(-1, -1, across + 1, down + 1));
        canvas.Translate(-from * scale, down);
        canvas.Scale(scale);
        foreach (var stroke in drawing.Strokes)
            StrokePainter.Draw(canvas, stroke, 1 / scale);
        canvas.Restore();
        using var ink = new SKPaint { IsAntialias = true };
        foreach (var caption in drawing.Captions)
        {
            var x = (Mm(caption.At.X) - from) * scale;
            if (x < 0 || x > across)
                continue;
            using var font = Faces.Of(Faces.Bold, Math.Clamp(Mm(caption.Height) * 1.4f * scale, 2, 3.4f));
            canvas.DrawText(
                caption.Words,
                x,
                down - (Mm(caption.At.Y) * scale) + (font.Size / 3),
                SKTextAlign.Center,
                font,
                ink
            );
        }
    }

    private static float Mm(Length length) => (float)length.ToMillimetres();
}

/// <summary>A measuring sketch with the letters of what is measured.</summary>
public sealed class SketchPicture : Picture
{
    private const float Letter = 4.2f;
    private static readonly float[] Places = [0.5f, 0.38f, 0.62f, 0.26f, 0.74f, 0.14f, 0.86f];
    private readonly Sketch sketch;
    private readonly float left,
        top,
        wide,
        high;

    /// <summary>The picture of a sketch that has an extent.</summary>
    public SketchPicture(Sketch sketch)
    {
        this.sketch = sketch;
        var points = sketch
            .Strokes.SelectMany(stroke => stroke.Points)
            .Concat(sketch.Dimensions.SelectMany(line => new[] { line.From, line.To }))
            .Select(point => At(point))
            .ToList();
        (left, top) = (points.Min(at => at.X), points.Min(at => at.Y));
        (wide, high) = (Math.Max(1, points.Max(at => at.X) - left), Math.Max(1, points.Max(at => at.Y) - top));
    }

    /// <inheritdoc/>
    public override float Ratio => wide / high;

    internal override void Draw(SKCanvas canvas, float across, float down)
    {
        var scale = across / wide;
        SKPoint On(Core.Geometry.Point point)
        {
            var at = At(point);
            return new((at.X - left) * scale, (at.Y - top) * scale);
        }
        using var face = new SKPaint { Color = new SKColor(0xEE, 0xEE, 0xEE), IsAntialias = true };
        using var dashes = SKPathEffect.CreateDash([1.5f, 1], 0);
        foreach (var stroke in sketch.Strokes)
        {
            using var builder = new SKPathBuilder();
            builder.MoveTo(On(stroke.Points[0]));
            foreach (var point in stroke.Points.Skip(1))
                builder.LineTo(On(point));
            if (stroke.Kind == "face")
                builder.Close();
            using var path = builder.Detach();
            if (stroke.Kind == "face")
                canvas.DrawPath(path, face);
            using var pen = Pen(stroke.Kind == "hidden" ? 0.2f : 0.4f);
            pen.PathEffect = stroke.Kind == "hidden" ? dashes : null;
            canvas.DrawPath(path, pen);
        }
        using var thin = Pen(0.3f);
        using var paper = new SKPaint { Color = SKColors.White, IsAntialias = true };
        using var ink = new SKPaint { IsAntialias = true };
        using var font = Faces.Of(Faces.Bold, Letter);
        foreach (var line in sketch.Dimensions)
            canvas.DrawLine(On(line.From), On(line.To), thin);
        List<SKPoint> taken = [];
        foreach (var line in sketch.Dimensions)
        {
            var (from, to) = (On(line.From), On(line.To));
            SKPoint Along(float share) => new(from.X + ((to.X - from.X) * share), from.Y + ((to.Y - from.Y) * share));
            // The middle of the line, or the next place on it that no other letter has.
            var at = Places
                .Select(Along)
                .OrderBy(place => taken.Any(other => SKPoint.Distance(place, other) < Letter * 1.3f))
                .First();
            taken.Add(at);
            var room = font.MeasureText(line.Measure.Key) + 1.4f;
            canvas.DrawRect(at.X - (room / 2), at.Y - (Letter / 2) - 0.4f, room, Letter + 0.8f, paper);
            canvas.DrawText(line.Measure.Key, at.X, at.Y + (Letter * 0.35f), SKTextAlign.Center, font, ink);
        }
    }

    // The page runs downward.
    private static SKPoint At(Core.Geometry.Point point) =>
        new((float)point.X.ToMillimetres(), -(float)point.Y.ToMillimetres());
}
