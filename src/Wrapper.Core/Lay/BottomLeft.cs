using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Places pieces one after another, each where its upper end comes lowest: for every x at which it touches a piece or a
/// selvedge
/// with its side, the lowest y that is free. Pieces are regions of rectangles, so small ones slip into cut-outs of
/// large ones;
/// all in whole counts, so that nothing overlaps by rounding. Source: the bottom-left rule (Baker, Coffman and Rivest 1980).
/// </summary>
internal sealed class BottomLeft
{
    // Places where cells of two regions touch are tried this far apart; where their boxes touch, always.
    private const long Closeness = 5 * Length.TicksPerMillimetre;

    private readonly LayCloth cloth;
    private readonly long usable;
    private long reached;
    private readonly List<(Region Region, long X, long Y)> laid = [];
    private long[] from = new long[256],
        to = new long[256];

    private BottomLeft(LayCloth cloth)
    {
        (this.cloth, usable) = (cloth, cloth.Usable.Ticks);
        // Flaws lie there before any piece does, and what a narrow remnant lacks of the width.
        foreach (var flaw in cloth.Flaws)
            laid.Add(
                (Region.Rectangle(flaw.Across.Ticks, flaw.Along.Ticks), flaw.FromSelvedge.Ticks, flaw.FromEnd.Ticks)
            );
        var start = 0L;
        foreach (var stretch in cloth.StockLengths)
        {
            if (stretch.Usable < cloth.Usable)
                laid.Add(
                    (
                        Region.Rectangle((cloth.Usable - stretch.Usable).Ticks, stretch.Length.Ticks),
                        stretch.Usable.Ticks,
                        start
                    )
                );
            start += stretch.Length.Ticks;
        }
    }

    /// <summary>
    /// Lays <paramref name="pieces"/> in the order given on <paramref name="cloth"/>; those that are pinned stay where
    /// they are.
    /// </summary>
    public static Placed Lay(
        IEnumerable<(LayPiece Piece, PieceKind Kind)> pieces,
        LayCloth cloth,
        CancellationToken cancel
    )
    {
        var table = new BottomLeft(cloth);
        var placements = new List<Placement>();
        var pinned = cloth.Pins.ToDictionary(pin => pin.Id);
        foreach (var (piece, kind) in pieces)
            if (pinned.TryGetValue(piece.Id, out var pin))
            {
                cancel.ThrowIfCancellationRequested();
                var region = Region.Of(piece.Cut, pin.Turns, cloth.Gap.Ticks);
                if (kind.IsRectangle)
                    region = Region.Rectangle(region.Width, region.Height);
                placements.Add(pin);
                table.laid.Add((region, pin.X.Ticks, pin.Y.Ticks));
                table.reached = Math.Max(table.reached, pin.Y.Ticks + region.Height);
            }
        foreach (var (piece, kind) in pieces)
        {
            if (pinned.ContainsKey(piece.Id))
                continue;
            cancel.ThrowIfCancellationRequested();
            var spot = table.Best(kind);
            placements.Add(new Placement(piece.Id, spot.Turns, new Length(spot.X), new Length(spot.Y)));
            table.laid.Add((spot.Region, spot.X, spot.Y));
            table.reached = Math.Max(table.reached, spot.Y + spot.Region.Height);
        }
        return new Placed(placements, new Length(table.reached));
    }

    private (int Turns, Region Region, long X, long Y) Best(PieceKind kind)
    {
        (int Turns, Region Region, long X, long Y) best = default;
        var lowest = (Top: long.MaxValue, Y: long.MaxValue, X: long.MaxValue);
        foreach (var way in kind.Ways)
        foreach (var x in kind.IsMatched ? Matched(way) : Candidates(way.Region))
        {
            var y = LowestFree(kind, way, x, lowest.Top - way.Region.Height);
            if ((y + way.Region.Height, y, x).CompareTo(lowest) >= 0)
                continue;
            lowest = (y + way.Region.Height, y, x);
            best = (way.Turns, way.Region, x, y);
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
            if (other.Cells.Length == 1 && region.Cells.Length == 1)
                continue;
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

    // A matched piece moves across the cloth by whole repeats only.
    private IEnumerable<long> Matched(Way way)
    {
        var (room, step) = (usable - way.Region.Width, cloth.Repeat!.Across.Ticks);
        if (step == 0)
            return Candidates(way.Region);
        var first = Grid.First(step, way.OriginX);
        return Enumerable.Range(0, (int)((room - first) / step) + 1).Select(n => first + (n * step));
    }

    // The lowest y at which the region is free at x, on the grid of the repeat if it is matched; gives up with the
    // highest of all above limit.
    private long LowestFree(PieceKind kind, Way way, long x, long limit)
    {
        var region = way.Region;
        var (step, phase) = kind.IsMatched ? (cloth.Repeat!.Along.Ticks, Grid.Phase(cloth.Repeat, way, x)) : (0, 0);
        // Each pair of cells that share a stretch of width forbids an open interval of y, and so does the end of each
        // article.
        var count = 0;
        void Forbid(long low, long high)
        {
            if (count == from.Length)
            {
                Array.Resize(ref from, 2 * count);
                Array.Resize(ref to, 2 * count);
            }
            (from[count], to[count]) = (low, high);
            count++;
        }

        foreach (var end in cloth.Ends(reached))
            Forbid(end - region.Height, end);
        foreach (var (other, left, bottom) in laid)
        {
            if (left >= x + region.Width || left + other.Width <= x)
                continue;
            if (region.Columns is not null || other.Columns is not null)
            {
                var own = region.Columns ?? (region.Cells.Length == 1 ? region.Cells : null);
                var there = other.Columns ?? (other.Cells.Length == 1 ? other.Cells : null);
                if (own is not null && there is not null)
                {
                    var (low, high) = Between(own, x, there, left);
                    Forbid(low + bottom, high + bottom);
                    continue;
                }
            }
            foreach (var own in region.Cells)
            foreach (var cell in other.Cells)
            {
                if (own.Left + x >= cell.Right + left || cell.Left + left >= own.Right + x)
                    continue;
                Forbid(cell.Bottom + bottom - own.Top, cell.Top + bottom - own.Bottom);
            }
        }
        Array.Sort(from, to, 0, count);
        var y = Grid.UpTo(0, step, phase, cloth);
        for (var at = 0; at < count; at++)
        {
            if (from[at] >= y)
                break;
            if (to[at] > y)
                y = Grid.UpTo(to[at], step, phase, cloth);
            if (y > limit)
                return long.MaxValue - region.Height;
        }
        return y;
    }

    // From where up to where the first columns may not begin, counted from where the others do, so that no column of
    // theirs is in the way.
    private static (long Low, long High) Between(Cell[] own, long x, Cell[] there, long left)
    {
        var (low, high) = (long.MaxValue, long.MinValue);
        for (int a = 0, b = 0; a < own.Length && b < there.Length; )
        {
            var (ownRight, itsRight) = (own[a].Right + x, there[b].Right + left);
            if (own[a].Left + x < itsRight && there[b].Left + left < ownRight)
            {
                low = Math.Min(low, there[b].Bottom - own[a].Top);
                high = Math.Max(high, there[b].Top - own[a].Bottom);
            }
            if (ownRight <= itsRight)
                a++;
            else
                b++;
        }
        return (low, high);
    }
}
