using SkiaSharp;
using Wrapper.Formats.Prints;

namespace Wrapper.Formats.Pages;

/// <summary>
/// Something at its place on a page, in millimetres from the upper left corner of what it belongs to; <paramref name="Of"/>
/// is the part of the sheet that it belongs to, null for what is only decoration.
/// </summary>
internal abstract record Mark(float X, float Y, Node? Of)
{
    /// <summary>The same further right and down.</summary>
    public Mark Moved(float dx, float dy) => this with { X = X + dx, Y = Y + dy };

    /// <summary>Draws it.</summary>
    public abstract void Draw(SKCanvas canvas);
}

/// <summary>Words on their base line.</summary>
internal sealed record Words(float X, float Y, Node? Of, string Said, SKTypeface Face, float Size) : Mark(X, Y, Of)
{
    public override void Draw(SKCanvas canvas)
    {
        using var font = Faces.Of(Face, Size);
        using var ink = new SKPaint { IsAntialias = true };
        canvas.DrawText(Said, X, Y, SKTextAlign.Left, font, ink);
    }
}

/// <summary>A line to the right and down.</summary>
internal sealed record Rule(float X, float Y, float Right, float Down, float Width = 0.2f) : Mark(X, Y, null)
{
    public override void Draw(SKCanvas canvas)
    {
        using var pen = Picture.Pen(Width);
        canvas.DrawLine(X, Y, X + Right, Y + Down, pen);
    }
}

/// <summary>A frame.</summary>
internal sealed record Frame(float X, float Y, float Wide, float High, float Width = 0.3f) : Mark(X, Y, null)
{
    public override void Draw(SKCanvas canvas)
    {
        using var pen = Picture.Pen(Width);
        canvas.DrawRect(X, Y, Wide, High, pen);
    }
}

/// <summary>A picture in its frame.</summary>
internal sealed record Shown(float X, float Y, Node? Of, float Wide, float High, Picture Picture) : Mark(X, Y, Of)
{
    public override void Draw(SKCanvas canvas)
    {
        // A layer of its own: one thing in the file, whatever it is drawn with.
        canvas.SaveLayer(new SKRect(X - 3, Y - 3, X + Wide + 3, Y + High + 3), null);
        canvas.Translate(X, Y);
        Picture.Draw(canvas, Wide, High);
        canvas.Restore();
    }
}

/// <summary>
/// A stretch of a sheet that is not parted: so high, with its marks. One that is <paramref name="WithNext"/> stays with
/// what follows; <paramref name="Again"/> is what stands over it where it begins a page.
/// </summary>
internal sealed record Strip(float High, IReadOnlyList<Mark> Marks, bool WithNext = false, Strip? Again = null)
{
    /// <summary>Where a page ends, whatever room it has.</summary>
    public bool IsBreak { get; init; }

    /// <summary>The same further right.</summary>
    public Strip Moved(float dx) => this with { Marks = [.. Marks.Select(mark => mark.Moved(dx, 0))] };

    /// <summary>Strips as one that is not parted.</summary>
    public static Strip Joined(IReadOnlyList<Strip> strips)
    {
        List<Mark> marks = [];
        var y = 0f;
        foreach (var strip in strips)
        {
            marks.AddRange(strip.Marks.Select(mark => mark.Moved(0, y)));
            y += strip.High;
        }
        return new(y, marks);
    }

    /// <summary>Strips side by side, as high as the highest.</summary>
    public static Strip Abreast(IReadOnlyList<Strip> strips) =>
        new(strips.Count == 0 ? 0 : strips.Max(strip => strip.High), [.. strips.SelectMany(strip => strip.Marks)]);
}
