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
}
