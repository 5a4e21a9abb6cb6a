using SkiaSharp;

namespace Wrapper.Server.Photos;

/// <summary>
/// Puts corners that were set by hand onto the edges of the square that they mean, finer than a dot: across each side the
/// place is looked for where light changes most, a line is laid through those, and corners are where lines cross.
/// </summary>
internal static class SquareEdges
{
    private const int Samples = 25,
        Fewest = 8;

    // How far off a hand may be, as a share of the side.
    private const double Reach = 0.07;

    /// <summary>The corners, x and y of each, in dots; those of sides that show no edge stay.</summary>
    public static double[] Found(SKBitmap picture, double[] corners)
    {
        var lines = Enumerable.Range(0, 4).Select(side => Line(picture, corners, side)).ToList();
        var found = (double[])corners.Clone();
        for (var at = 0; at < 4; at++)
        {
            var (before, after) = (lines[(at + 3) % 4], lines[at]);
            var under = (before.Dx * after.Dy) - (before.Dy * after.Dx);
            if (Math.Abs(under) < 1e-6)
                continue;
            var along = (((after.X - before.X) * after.Dy) - ((after.Y - before.Y) * after.Dx)) / under;
            (found[2 * at], found[(2 * at) + 1]) = (before.X + (along * before.Dx), before.Y + (along * before.Dy));
        }
        return found;
    }

    private static (double X, double Y, double Dx, double Dy) Line(SKBitmap picture, double[] corners, int side)
    {
        var (x, y) = (corners[2 * side], corners[(2 * side) + 1]);
        var (dx, dy) = (corners[2 * ((side + 1) % 4)] - x, corners[(2 * ((side + 1) % 4)) + 1] - y);
        var length = Math.Sqrt((dx * dx) + (dy * dy));
        if (length < 10)
            return (x, y, dx, dy);
        var (nx, ny) = (-dy / length, dx / length);
        var reach = Math.Clamp(length * Reach, 3, 30);
        List<(double At, double Off, double Change)> edges = [];
        for (var n = 0; n < Samples; n++)
        {
            var at = 0.12 + (0.76 * n / (Samples - 1));
            var (best, off) = (0.0, 0.0);
            double Change(double by) =>
                Math.Abs(
                    Light(picture, x + (at * dx) + ((by + 1) * nx), y + (at * dy) + ((by + 1) * ny))
                        - Light(picture, x + (at * dx) + ((by - 1) * nx), y + (at * dy) + ((by - 1) * ny))
                );
            for (var by = -reach; by <= reach; by += 0.5)
                if (Change(by) is var change && change > best)
                    (best, off) = (change, by);
            // Between the steps: the top of the parabola through the highest one and its neighbours.
            var (left, right) = (Change(off - 0.5), Change(off + 0.5));
            var bend = left - (2 * best) + right;
            if (bend < -1e-9)
                off += Math.Clamp(0.25 * (left - right) / bend, -0.5, 0.5);
            edges.Add((at, off, best));
        }
        var strong = edges.Max(edge => edge.Change) * 0.4;
        edges.RemoveAll(edge => edge.Change < strong);
        // Twice: what lies off the first line is something else than the side.
        var (from, slope) = (0.0, 0.0);
        for (var round = 0; round < 2 && edges.Count >= Fewest; round++)
        {
            (from, slope) = Through(edges);
            edges.RemoveAll(edge => Math.Abs(edge.Off - from - (slope * edge.At)) > 1.5);
        }
        if (edges.Count < Fewest)
            return (x, y, dx, dy);
        (from, slope) = Through(edges);
        return (x + (from * nx), y + (from * ny), dx + (slope * nx), dy + (slope * ny));
    }

    // The straight line through places along the side, by least squares.
    private static (double From, double Slope) Through(List<(double At, double Off, double Change)> edges)
    {
        var (at, off) = (edges.Average(edge => edge.At), edges.Average(edge => edge.Off));
        var slope =
            edges.Sum(edge => (edge.At - at) * (edge.Off - off)) / edges.Sum(edge => (edge.At - at) * (edge.At - at));
        return (off - (slope * at), slope);
    }

    // Between dots, whose middles lie half a dot in.
    private static double Light(SKBitmap picture, double x, double y)
    {
        var (fx, fy) = (Math.Clamp(x - 0.5, 0, picture.Width - 1.001), Math.Clamp(y - 0.5, 0, picture.Height - 1.001));
        var (left, top) = ((int)fx, (int)fy);
        var (right, down) = (fx - left, fy - top);
        double At(int dx, int dy)
        {
            var dot = picture.GetPixel(Math.Min(left + dx, picture.Width - 1), Math.Min(top + dy, picture.Height - 1));
            return (0.3 * dot.Red) + (0.59 * dot.Green) + (0.11 * dot.Blue);
        }
        return ((1 - down) * (((1 - right) * At(0, 0)) + (right * At(1, 0))))
            + (down * (((1 - right) * At(0, 1)) + (right * At(1, 1))));
    }
}
