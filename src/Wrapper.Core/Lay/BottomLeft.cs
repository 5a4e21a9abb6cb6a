using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Places pieces one after another, each where its upper end comes lowest: for every x at which it touches a piece or a selvedge
/// with its side, the lowest y that is free. Pieces are regions of rectangles, so small ones slip into cut-outs of large ones;
/// all in whole counts, so that nothing overlaps by rounding.
/// </summary>
internal sealed class BottomLeft
{
    // Places where cells of two regions touch are tried this far apart; where their boxes touch, always.
    private const long Closeness = 5 * Length.TicksPerMillimetre;

    private readonly long usable;
    private readonly List<(Region Region, long X, long Y)> laid = [];
    private long[] from = new long[256], to = new long[256];

    private BottomLeft(long usable) => this.usable = usable;

    /// <summary>Lays <paramref name="pieces"/> in the order given on cloth of <paramref name="usable"/> counts.</summary>
    public static Placed Lay(IEnumerable<(LayPiece Piece, Kind Kind)> pieces, long usable, CancellationToken superseded)
    {
        var table = new BottomLeft(usable);
        var placements = new List<Placement>();
        var end = 0L;
        foreach (var (piece, kind) in pieces)
        {
            superseded.ThrowIfCancellationRequested();
            var spot = table.Best(kind);
            placements.Add(new Placement(piece.Id, spot.Turns, new Length(spot.X), new Length(spot.Y)));
            table.laid.Add((spot.Region, spot.X, spot.Y));
            end = Math.Max(end, spot.Y + spot.Region.Height);
        }
        return new Placed(placements, new Length(end));
    }

    private (int Turns, Region Region, long X, long Y) Best(Kind kind)
    {
        (int Turns, Region Region, long X, long Y) best = default;
        var lowest = (Top: long.MaxValue, Y: long.MaxValue, X: long.MaxValue);
        foreach (var (turns, region) in kind.Ways)
            foreach (var x in Candidates(region))
            {
                var y = LowestFree(region, x, lowest.Top - region.Height);
                if ((y + region.Height, y, x).CompareTo(lowest) >= 0) continue;
                lowest = (y + region.Height, y, x);
                best = (turns, region, x, y);
            }
        return best;
    }

    private IEnumerable<long> Candidates(Region region)
    {
        var room = usable - region.Width;
        var exact = new HashSet<long> { 0, room };
        var near = new Dictionary<long, long>();
        foreach (var (other, x, _) in laid)
        {
            exact.Add(x + other.Width);
            exact.Add(x - region.Width);
            if (other.Cells.Length == 1 && region.Cells.Length == 1) continue;
            foreach (var cell in other.Steps)
                foreach (var own in region.Steps)
                {
                    near.TryAdd((x + cell.Right - own.Left) / Closeness, x + cell.Right - own.Left);
                    near.TryAdd((x + cell.Left - own.Right) / Closeness, x + cell.Left - own.Right);
                }
        }
        exact.UnionWith(near.Values);
        return exact.Where(x => x >= 0 && x <= room).Order();
    }

    // The lowest y at which the region is free at x; gives up with the highest of all above limit.
    private long LowestFree(Region region, long x, long limit)
    {
        // Each pair of cells that share a stretch of width forbids an open interval of y.
        var count = 0;
        foreach (var (other, left, bottom) in laid)
        {
            if (left >= x + region.Width || left + other.Width <= x) continue;
            foreach (var own in region.Cells)
                foreach (var cell in other.Cells)
                {
                    if (own.Left + x >= cell.Right + left || cell.Left + left >= own.Right + x) continue;
                    if (count == from.Length)
                    {
                        Array.Resize(ref from, 2 * count);
                        Array.Resize(ref to, 2 * count);
                    }
                    from[count] = cell.Bottom + bottom - own.Top;
                    to[count++] = cell.Top + bottom - own.Bottom;
                }
        }
        Array.Sort(from, to, 0, count);
        var y = 0L;
        for (var at = 0; at < count && from[at] < y; at++)
        {
            if (to[at] > y) y = to[at];
            if (y > limit) return long.MaxValue - region.Height;
        }
        return y;
    }
}
