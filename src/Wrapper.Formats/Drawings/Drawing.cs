using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Formats.Drawings;

/// <summary>Words on a drawing, their middle at a point, so high as a capital letter.</summary>
public sealed record Caption(Point At, string Words, Length Height)
{
    /// <summary>The caption moved by a displacement.</summary>
    public Caption Moved(Length dx, Length dy) => this with { At = At.Moved(dx, dy) };
}

/// <summary>
/// A drawing at its true size, x to the right and y upward: what every format writes. Arcs are arcs.
/// </summary>
public sealed record Drawing(string Name, IReadOnlyList<Stroke> Strokes, IReadOnlyList<Caption> Captions)
{
    /// <summary>The drawing moved by a displacement.</summary>
    public Drawing Moved(Length dx, Length dy) =>
        this with
        {
            Strokes = [.. Strokes.Select(stroke => stroke.Moved(dx, dy))],
            Captions = [.. Captions.Select(caption => caption.Moved(dx, dy))],
        };

    /// <summary>The drawing turned a quarter to the right: what ran upward runs to the right.</summary>
    public Drawing Turned()
    {
        static Point At(Point at) => new(at.Y, -at.X);
        return this with
        {
            Strokes =
            [
                .. Strokes.Select(stroke =>
                    stroke with
                    {
                        From = At(stroke.From),
                        Legs = [.. stroke.Legs.Select(leg => leg with { To = At(leg.To) })],
                    }
                ),
            ],
            Captions = [.. Captions.Select(caption => caption with { At = At(caption.At) })],
        };
    }

    /// <summary>The box of its lines, arcs included; nothing where it has none.</summary>
    public (Length Left, Length Bottom, Length Right, Length Top) Bounds()
    {
        var points = Strokes.SelectMany(stroke => stroke.Curves()).SelectMany(curve => curve.Extremes()).ToList();
        return points.Count == 0
            ? default
            : (
                Length.Snap(points.Min(at => at.X)),
                Length.Snap(points.Min(at => at.Y)),
                Length.Snap(points.Max(at => at.X)),
                Length.Snap(points.Max(at => at.Y))
            );
    }

    /// <summary>The drawing with its box beginning at (0, 0).</summary>
    public Drawing AtOrigin()
    {
        var (left, bottom, _, _) = Bounds();
        return Moved(-left, -bottom);
    }
}
