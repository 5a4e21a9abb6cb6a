using System.Globalization;
using System.Text;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Server.Drawings;

/// <summary>A box on a drawing, in whole hundredths of a millimetre, y down.</summary>
public sealed record BoxView(long X, long Y, long Width, long Height);

/// <summary>
/// Outlines as SVG path data in whole hundredths of a millimetre, y down; arcs stay arcs. Two ways of looking: a piece
/// upright, and
/// cloth lying along the screen (up the roll to the right, the first selvedge on top).
/// </summary>
internal static class Drawing
{
    public static (long X, long Y) Upright(Point p) => (Hundredths(p.X), -Hundredths(p.Y));

    public static string Path(Outline outline) => Path(outline, Upright);

    public static BoxView Box(Outline outline)
    {
        var (left, bottom, right, top) = outline.Bounds();
        return new BoxView(Hundredths(left), -Hundredths(top), Hundredths(right - left), Hundredths(top - bottom));
    }

    /// <summary>
    /// The path of a laid piece, turned and drawn from the corner of its box, so that a piece that moves is drawn the
    /// same; and its box at (<paramref name="x"/>, <paramref name="y"/>) on the cloth.
    /// </summary>
    public static (string Path, BoxView Box) OnCloth(Outline outline, int turns, Length x, Length y)
    {
        var (left, bottom, right, top) = outline.Bounds();
        var (width, height) = turns % 2 == 0 ? (right - left, top - bottom) : (top - bottom, right - left);
        Point Turn(Point p) =>
            turns switch
            {
                1 => new(top - p.Y, p.X - left),
                2 => new(right - p.X, top - p.Y),
                3 => new(p.Y - bottom, right - p.X),
                _ => new(p.X - left, p.Y - bottom),
            };
        return (
            Path(outline, p => (Hundredths(Turn(p).Y), Hundredths(Turn(p).X))),
            new BoxView(Hundredths(y), Hundredths(x), Hundredths(height), Hundredths(width))
        );
    }

    private static string Path(Outline outline, Func<Point, (long X, long Y)> place)
    {
        var path = new StringBuilder();
        for (var at = 0; at < outline.Edges.Count; at++)
        {
            var edge = outline.Edges[at];
            var (from, to) = (place(edge.Start), place(outline.Edges[(at + 1) % outline.Edges.Count].Start));
            if (at == 0)
                path.Append(CultureInfo.InvariantCulture, $"M{from.X} {from.Y}");
            if (edge.Radius is { } radius)
                path.Append(
                    CultureInfo.InvariantCulture,
                    $"A{Hundredths(radius)} {Hundredths(radius)} 0 {(edge.Large ? 1 : 0)} {(edge.Outward ? 0 : 1)} {to.X} {to.Y}"
                );
            else
                path.Append(CultureInfo.InvariantCulture, $"L{to.X} {to.Y}");
        }
        return path.Append('Z').ToString();
    }

    public static long Hundredths(Length length) =>
        (long)Math.Round(length.Ticks / 38.4, MidpointRounding.AwayFromZero);
}
