namespace Wrapper.Core.Geometry;

/// <summary>Follows the edge of what is marked on a grid of dots, and says it with few points.</summary>
public static class EdgeTrace
{
    /// <summary>
    /// The edge of the patch that holds a dot, along the lines between dots, corner by corner with the patch to the right
    /// (clockwise as the grid is seen, y down), holes left out; null where the dot is not marked. Dots that touch by
    /// their corners alone are not one patch.
    /// </summary>
    /// <param name="marked">Row by row from the upper left.</param>
    /// <param name="wide">How many dots a row has.</param>
    /// <param name="x">The dot, from the left.</param>
    /// <param name="y">The dot, from above.</param>
    public static IReadOnlyList<(int X, int Y)>? Around(bool[] marked, int wide, int x, int y)
    {
        var high = marked.Length / wide;
        if (x < 0 || y < 0 || x >= wide || y >= high || !marked[(y * wide) + x])
            return null;
        var patch = Patch(marked, wide, high, x, y);
        bool In(int at, int row) => at >= 0 && row >= 0 && at < wide && row < high && patch[(row * wide) + at];
        var first = Array.IndexOf(patch, true);
        var start = (X: first % wide, Y: first / wide);
        List<(int, int)> corners = [start];
        var (here, dx, dy) = (start, 1, 0);
        while (true)
        {
            here = (here.X + dx, here.Y + dy);
            if (here == start)
                return corners;
            // The dots before the corner, to the right of the way and to the left of it.
            var (rightX, rightY) = (here.X + ((dx - dy - 1) / 2), here.Y + ((dy + dx - 1) / 2));
            var (leftX, leftY) = (here.X + ((dx + dy - 1) / 2), here.Y + ((dy - dx - 1) / 2));
            if (!In(rightX, rightY))
                (dx, dy) = (-dy, dx);
            else if (In(leftX, leftY))
                (dx, dy) = (dy, -dx);
            else
                continue;
            corners.Add(here);
        }
    }

    /// <summary>
    /// The ring with fewer points, none of those left out further than <paramref name="tolerance"/> from it
    /// (D. Douglas and T. Peucker, 1973).
    /// </summary>
    public static IReadOnlyList<(double X, double Y)> Fewest(
        IReadOnlyList<(double X, double Y)> points,
        double tolerance
    )
    {
        if (points.Count < 4)
            return points;
        List<Vec> ring = [.. points.Select(point => new Vec(point.X, point.Y))];
        // From the two points that lie furthest apart from the first, which are kept.
        var far = Enumerable.Range(0, ring.Count).MaxBy(at => (ring[at] - ring[0]).Size);
        var near = Enumerable.Range(0, ring.Count).MaxBy(at => (ring[at] - ring[far]).Size);
        var (one, other) = (Math.Min(far, near), Math.Max(far, near));
        List<Vec> first = [.. ring.Skip(one).Take(other - one + 1)];
        List<Vec> second = [.. ring.Skip(other), .. ring.Take(one + 1)];
        return
        [
            .. Kept(first, tolerance)
                .SkipLast(1)
                .Concat(Kept(second, tolerance).SkipLast(1))
                .Select(point => (point.X, point.Y)),
        ];
    }

    private static List<Vec> Kept(List<Vec> line, double tolerance)
    {
        List<bool> kept = [.. Enumerable.Repeat(false, line.Count)];
        (kept[0], kept[^1]) = (true, true);
        var open = new Stack<(int From, int To)>([(0, line.Count - 1)]);
        while (open.TryPop(out var part))
        {
            var (from, to) = (line[part.From], line[part.To]);
            var (worst, at) = (tolerance, -1);
            for (var n = part.From + 1; n < part.To; n++)
                if (Off(line[n], from, to) is var off && off > worst)
                    (worst, at) = (off, n);
            if (at < 0)
                continue;
            kept[at] = true;
            open.Push((part.From, at));
            open.Push((at, part.To));
        }
        return [.. line.Where((_, at) => kept[at])];
    }

    private static double Off(Vec point, Vec from, Vec to)
    {
        var way = to - from;
        return way.Size < 1e-9 ? (point - from).Size : Math.Abs(way.Cross(point - from)) / way.Size;
    }

    private static bool[] Patch(bool[] marked, int wide, int high, int x, int y)
    {
        var patch = new bool[marked.Length];
        var open = new Stack<int>([(y * wide) + x]);
        patch[(y * wide) + x] = true;
        while (open.TryPop(out var dot))
        {
            var (at, row) = (dot % wide, dot / wide);
            Reach(at > 0, dot - 1);
            Reach(at + 1 < wide, dot + 1);
            Reach(row > 0, dot - wide);
            Reach(row + 1 < high, dot + wide);
        }
        return patch;

        void Reach(bool exists, int dot)
        {
            if (!exists || patch[dot] || !marked[dot])
                return;
            patch[dot] = true;
            open.Push(dot);
        }
    }
}
