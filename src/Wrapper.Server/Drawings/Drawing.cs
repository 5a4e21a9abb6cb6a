using System.Globalization;
using System.Text;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
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

    /// <summary>
    /// How the tile of a cloth, drawn up the roll upward, lies on the cloth along the screen; its repeat ends
    /// <paramref name="until"/> up the roll. Seen from the wrong side where <paramref name="over"/>, the usable width,
    /// says from where.
    /// </summary>
    public static string TileOnCloth(long until, long? over) =>
        over is { } width
            ? string.Create(CultureInfo.InvariantCulture, $"matrix(0 -1 -1 0 {until} {width})")
            : string.Create(CultureInfo.InvariantCulture, $"matrix(0 1 -1 0 {until} 0)");

    /// <summary>
    /// The same as it lies on a piece that is drawn upright, and not turned over, and was laid at <paramref name="at"/>:
    /// what <see cref="OnCloth"/> does to the piece, undone.
    /// </summary>
    public static string TileOnPiece(LayPiece piece, Placement at, long until)
    {
        var bounds = piece.Cut.Bounds();
        var (left, bottom, right, top) = (
            Hundredths(bounds.Left),
            Hundredths(bounds.Bottom),
            Hundredths(bounds.Right),
            Hundredths(bounds.Top)
        );
        var (across, along) = (Hundredths(at.X), Hundredths(at.Y));
        return at.Turns switch
        {
            1 => Matrix(0, 1, -1, 0, until - along + left, -across - top),
            2 => Matrix(-1, 0, 0, -1, right + across, until - along - top),
            3 => Matrix(0, -1, 1, 0, right + along - until, across - bottom),
            _ => Matrix(1, 0, 0, 1, left - across, along - until - bottom),
        };

        // Of a piece that was turned over what lay to the right lies to the left on its drawing.
        string Matrix(int a, int b, int c, int d, long e, long f)
        {
            var over = piece.IsTurnedOver ? -1 : 1;
            return string.Create(CultureInfo.InvariantCulture, $"matrix({over * a} {b} {over * c} {d} {over * e} {f})");
        }
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
