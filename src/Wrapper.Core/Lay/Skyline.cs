namespace Wrapper.Core.Lay;

/// <summary>
/// A rectangle to lay, in counts, by the ways in which it may lie (which of its kind's, and how large it is then);
/// <paramref name="Count"/> of them are alike.
/// </summary>
internal sealed record Box(IReadOnlyList<(int At, long Width, long Height)> Ways, int Count)
{
    public long Area => Ways[0].Width * (Ways[0].Height >> 10);
}

/// <summary>One box laid: which, which way, and where.</summary>
internal readonly record struct Spot(int Box, int Way, long X, long Y);

/// <summary>
/// Lays boxes by filling the lowest hollow of the skyline, the upper edge of what lies already: of the boxes that go
/// into the hollow the one that fits
/// best, of equal fits the one that stands first in the order. What no box fits is given up to the lower neighbour. The
/// scale of fits is that of
/// skyline heuristics in the packing literature: hollow filled level on both sides first, then level on one, then so
/// that another box fills the rest, then loose.
/// Source: the best-fit skyline heuristic (Burke, Kendall and Whitwell 2004; scores after Leung, Zhang and Sim 2011).
/// </summary>
internal sealed class Skyline
{
    // So many boxes that leave a gap are looked at, in search of one whose gap another box fills exactly.
    private const int Lookahead = 24;

    private readonly IReadOnlyList<Box> boxes;
    private readonly long usable;
    private readonly (int Box, int Way, long Width, long Height)[] live;
    private readonly int[] left;
    private readonly Dictionary<long, int> widths = [];
    private readonly int[] ofWidth;
    private readonly int[][] widthsOf;
    private (long X, long Y, long Width)[] line = new (long, long, long)[64];
    private int segments;
    private int count;

    public Skyline(IReadOnlyList<Box> boxes, long usable)
    {
        (this.boxes, this.usable) = (boxes, usable);
        left = new int[boxes.Count];
        live = new (int, int, long, long)[boxes.Sum(box => box.Ways.Count)];
        widthsOf =
        [
            .. boxes.Select(box =>
                box.Ways.Select(way =>
                    {
                        if (!widths.TryGetValue(way.Width, out var at))
                            widths[way.Width] = at = widths.Count;
                        return at;
                    })
                    .ToArray()
            ),
        ];
        ofWidth = new int[widths.Count];
    }

    /// <summary>The length reached.</summary>
    public long Reached { get; private set; }

    /// <summary>
    /// Lays boxes with <paramref name="order"/> (box indices) breaking ties, none above <paramref name="limit"/>; the
    /// area of those that found no
    /// room, zero if all did, in counts times 1024. Gives up when more than <paramref name="most"/> is sure to be left.
    /// Where they lie goes into <paramref name="spots"/> if given.
    /// </summary>
    public long Lay(int[] order, long limit = long.MaxValue, long most = long.MaxValue, List<Spot>? spots = null)
    {
        var area = 0L;
        Array.Clear(ofWidth);
        count = 0;
        foreach (var box in order)
        {
            left[box] = boxes[box].Count;
            area += boxes[box].Count * boxes[box].Area;
            for (var way = 0; way < boxes[box].Ways.Count; way++)
            {
                var (_, w, h) = boxes[box].Ways[way];
                live[count++] = (box, way, w, h);
                ofWidth[widthsOf[box][way]] += boxes[box].Count;
            }
        }
        segments = 1;
        line[0] = (0, 0, usable);
        Reached = 0;
        // So much area may be wasted below the limit; wasting more leaves no room for all the boxes.
        var spare = limit == long.MaxValue ? long.MaxValue : (usable * (limit >> 10)) - area + (usable * 2);
        while (count > 0)
        {
            var at = Lowest();
            var (x, y, width) = line[at];
            if (y >= limit)
                break;
            var (before, after) = (
                at == 0 ? long.MaxValue : line[at - 1].Y - y,
                at == segments - 1 ? long.MaxValue : line[at + 1].Y - y
            );
            var best = Best(width, before, after, limit - y);
            if (best < 0)
            {
                var by = Math.Min(Math.Min(before, after), limit - y);
                if (spare != long.MaxValue && -(spare -= width * (by >> 10)) > most)
                    return long.MaxValue;
                line[at].Y += by;
                Merge(at);
                continue;
            }
            var (box, way, w, h) = live[best];
            Reached = Math.Max(Reached, y + h);
            // Against the side whose height it reaches exactly, else against the higher side.
            var toLeft = h == before || (h != after && before >= after);
            spots?.Add(new Spot(box, way, toLeft ? x : x + width - w, y));
            Put(at, w, h, toLeft);
            area -= boxes[box].Area;
            Take(box);
        }
        return area;
    }

    private int Lowest()
    {
        var lowest = 0;
        for (var at = 1; at < segments; at++)
            if (line[at].Y < line[lowest].Y)
                lowest = at;
        return lowest;
    }

    private int Best(long width, long before, long after, long room)
    {
        var (high, low) = before >= after ? (before, after) : (after, before);
        var (best, score, looked) = (-1, -1, 0);
        for (var at = 0; at < count; at++)
        {
            ref var one = ref live[at];
            var h = one.Height;
            if (one.Width > width || h > room)
                continue;
            int own;
            if (one.Width == width)
                own =
                    h == high ? 9
                    : h == low ? 8
                    : h > high ? 7
                    : h > low ? 5
                    : 3;
            else if (h == high)
                own = 6;
            else if (h == low)
                own = 4;
            else if (score >= 1 || ++looked > Lookahead)
                continue;
            else
                own = widths.TryGetValue(width - one.Width, out var rest) && ofWidth[rest] > 0 ? 1 : 0;
            if (own <= score)
                continue;
            (best, score) = (at, own);
            if (own == 9)
                break;
        }
        return best;
    }

    private void Take(int box)
    {
        foreach (var at in widthsOf[box])
            ofWidth[at]--;
        if (--left[box] > 0)
            return;
        var to = 0;
        for (var from = 0; from < count; from++)
            if (live[from].Box != box)
                live[to++] = live[from];
        count = to;
    }

    private void Put(int at, long w, long h, bool toLeft)
    {
        var (x, y, width) = line[at];
        if (w == width)
            line[at] = (x, y + h, width);
        else
        {
            if (segments == line.Length)
                Array.Resize(ref line, 2 * segments);
            Array.Copy(line, at, line, at + 1, segments - at);
            segments++;
            (line[at], line[at + 1]) = toLeft
                ? ((x, y + h, w), (x + w, y, width - w))
                : ((x, y, width - w), (x + width - w, y + h, w));
            if (!toLeft)
                at++;
        }
        Merge(at);
    }

    private void Merge(int at)
    {
        if (at + 1 < segments && line[at + 1].Y == line[at].Y)
            Join(at);
        if (at > 0 && line[at - 1].Y == line[at].Y)
            Join(at - 1);
    }

    private void Join(int at)
    {
        line[at].Width += line[at + 1].Width;
        segments--;
        Array.Copy(line, at + 2, line, at + 1, segments - at - 1);
    }
}
