namespace Wrapper.Core.Geometry;

/// <summary>
/// How a flat rectangle stands in a photo that was taken aslant: the projective map from the unit square, (0, 0) top
/// left and (1, 1) bottom right, to four corners in pixels. After P. Heckbert, Fundamentals of Texture Mapping and Image
/// Warping, 1989, section 2.2.3.
/// </summary>
public sealed class Perspective
{
    private readonly double a,
        b,
        c,
        d,
        e,
        f,
        g,
        h;

    private readonly double share;

    private Perspective(double[] map, double share)
    {
        (a, b, c, d, e, f, g, h) = (map[0], map[1], map[2], map[3], map[4], map[5], map[6], map[7]);
        this.share = share;
    }

    /// <summary>The nine numbers of the map, row by row: x, y and the divisor of (u, v, 1).</summary>
    public IReadOnlyList<double> Rows => [a, b, c, d, e, f, g, h, 1];

    /// <summary>
    /// The map to corners given as x and y of the top left, top right, bottom right and bottom left one; null where they
    /// go round no field, cross over or lie in a line.
    /// </summary>
    public static Perspective? To(IReadOnlyList<int> corners)
    {
        if (corners.Count != 8 || !IsConvex(corners))
            return null;
        var (x, y) = (new double[4], new double[4]);
        for (var at = 0; at < 4; at++)
            (x[at], y[at]) = (corners[2 * at], corners[(2 * at) + 1]);
        var (dx1, dx2, sx) = (x[1] - x[2], x[3] - x[2], x[0] - x[1] + x[2] - x[3]);
        var (dy1, dy2, sy) = (y[1] - y[2], y[3] - y[2], y[0] - y[1] + y[2] - y[3]);
        var under = (dx1 * dy2) - (dx2 * dy1);
        var (g, h) = (((sx * dy2) - (dx2 * sy)) / under, ((dx1 * sy) - (sx * dy1)) / under);
        double Side(int from, int to) => Math.Sqrt(Math.Pow(x[from] - x[to], 2) + Math.Pow(y[from] - y[to], 2));
        return new Perspective(
            [
                x[1] - x[0] + (g * x[1]),
                x[3] - x[0] + (h * x[3]),
                x[0],
                y[1] - y[0] + (g * y[1]),
                y[3] - y[0] + (h * y[3]),
                y[0],
                g,
                h,
            ],
            (Side(0, 3) + Side(1, 2)) / (Side(0, 1) + Side(3, 2))
        );
    }

    /// <summary>
    /// How far two points of the photo lie apart on the rectangle, in its widths. How high that is to its width is taken
    /// from the mean of opposite sides in the photo, which is near where it was taken from nearly above.
    /// </summary>
    internal double WidthsBetween(int x1, int y1, int x2, int y2)
    {
        var (one, other) = (OnSquare(x1, y1), OnSquare(x2, y2));
        return Math.Sqrt(Math.Pow(one.U - other.U, 2) + Math.Pow(share * (one.V - other.V), 2));
    }

    /// <summary>How high the rectangle is to its width, see <see cref="WidthsBetween"/>.</summary>
    internal double HeightToWidth => share;

    /// <summary>
    /// Where a point of the photo lies on the plane of the square: (0, 0) at its upper left corner, (1, 1) at its lower
    /// right one. The adjoint of the map does the inverse, up to the divisor.
    /// </summary>
    public (double U, double V) OnSquare(double x, double y)
    {
        var u = ((e - (f * h)) * x) + (((c * h) - b) * y) + ((b * f) - (c * e));
        var v = (((f * g) - d) * x) + ((a - (c * g)) * y) + ((c * d) - (a * f));
        var under = (((d * h) - (e * g)) * x) + (((b * g) - (a * h)) * y) + ((a * e) - (b * d));
        return (u / under, v / under);
    }

    // Every corner turns the same way round, by more than nothing.
    private static bool IsConvex(IReadOnlyList<int> corners)
    {
        var turns = Enumerable
            .Range(0, 4)
            .Select(at =>
            {
                (long X, long Y) Corner(int n) => (corners[2 * (n % 4)], corners[(2 * (n % 4)) + 1]);
                var (one, two, three) = (Corner(at), Corner(at + 1), Corner(at + 2));
                return Math.Sign(((two.X - one.X) * (three.Y - two.Y)) - ((two.Y - one.Y) * (three.X - two.X)));
            })
            .Distinct()
            .ToList();
        return turns is [not 0];
    }
}
