namespace Wrapper.Core.Lay;

/// <summary>
/// The upper edge of what lies on the cloth, as level stretches from left to right; neighbours never stand level.
/// </summary>
internal static class UpperEdge
{
    /// <summary>
    /// The edge with <paramref name="w"/> of its stretch <paramref name="at"/> raised by <paramref name="h"/>, at the
    /// left end or at the right; what comes to stand level is joined.
    /// </summary>
    public static (long X, long Y, long Width)[] Raised(
        (long X, long Y, long Width)[] line,
        int at,
        long w,
        long h,
        bool toLeft = true
    )
    {
        var (x, y, hollow) = line[at];
        var rest = hollow - w;
        var raised = (X: toLeft ? x : x + rest, Y: y + h, Width: w);
        var (from, to) = (at, at + 1);
        if (at > 0 && line[at - 1].Y == raised.Y && raised.X == x)
        {
            from--;
            raised = (line[from].X, raised.Y, line[from].Width + raised.Width);
        }
        if (to < line.Length && line[to].Y == raised.Y && (rest == 0 || !toLeft))
        {
            raised.Width += line[to].Width;
            to++;
        }
        var next = new (long, long, long)[line.Length - (to - from) + (rest > 0 ? 2 : 1)];
        Array.Copy(line, next, from);
        var end = from;
        if (rest > 0 && !toLeft)
            next[end++] = (x, y, rest);
        next[end++] = raised;
        if (rest > 0 && toLeft)
            next[end++] = (x + w, y, rest);
        Array.Copy(line, to, next, end, line.Length - to);
        return next;
    }

    /// <summary>How far the edge goes up and down from one stretch to the next, all together.</summary>
    public static long Rise((long X, long Y, long Width)[] line)
    {
        var rise = 0L;
        for (var n = 1; n < line.Length; n++)
            rise += Math.Abs(line[n].Y - line[n - 1].Y);
        return rise;
    }

    /// <summary>
    /// By how many stretches there are more, and by how much <see cref="Rise"/> grows, when <see cref="Raised"/> is done
    /// to it.
    /// </summary>
    public static (int Stretches, long Rise) RiseBy(
        (long X, long Y, long Width)[] line,
        int at,
        long w,
        long h,
        bool toLeft
    )
    {
        var (_, y, hollow) = line[at];
        var whole = w == hollow;
        var (stretches, rise) = (whole ? 0 : 1, whole ? 0 : h);
        if (at > 0 && (whole || toLeft))
            Meet(line[at - 1].Y);
        if (at + 1 < line.Length && (whole || !toLeft))
            Meet(line[at + 1].Y);
        return (stretches, rise);

        void Meet(long beside)
        {
            rise += Math.Abs(beside - y - h) - Math.Abs(beside - y);
            if (beside == y + h)
                stretches--;
        }
    }
}
