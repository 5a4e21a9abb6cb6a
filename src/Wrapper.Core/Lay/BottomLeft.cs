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
    private readonly long? article;
    private readonly Repeat? repeat;
    private long reached;
    private readonly List<(Region Region, long X, long Y)> laid = [];
    private long[] from = new long[256], to = new long[256];

    private BottomLeft(LayCloth cloth)
    {
        (usable, article, repeat) = (cloth.Usable.Ticks, cloth.Article?.Ticks, cloth.Repeat);
        // Flaws lie there before any piece does.
        foreach (var flaw in cloth.Flaws) laid.Add((Region.Rectangle(flaw.Across.Ticks, flaw.Along.Ticks), flaw.FromSelvedge.Ticks, flaw.FromEnd.Ticks));
    }

    /// <summary>Lays <paramref name="pieces"/> in the order given on <paramref name="cloth"/>; those that are pinned stay where they are.</summary>
    public static Placed Lay(IEnumerable<(LayPiece Piece, Kind Kind)> pieces, LayCloth cloth, CancellationToken superseded)
    {
        var table = new BottomLeft(cloth);
        var placements = new List<Placement>();
        var pinned = cloth.Pins.ToDictionary(pin => pin.Id);
        foreach (var (piece, _) in pieces)
            if (pinned.TryGetValue(piece.Id, out var pin))
            {
                var region = Region.Of(piece.Cut, pin.Turns, cloth.Gap.Ticks);
                placements.Add(pin);
                table.laid.Add((region, pin.X.Ticks, pin.Y.Ticks));
                table.reached = Math.Max(table.reached, pin.Y.Ticks + region.Height);
            }
        foreach (var (piece, kind) in pieces)
        {
            if (pinned.ContainsKey(piece.Id)) continue;
            superseded.ThrowIfCancellationRequested();
            var spot = table.Best(kind);
            placements.Add(new Placement(piece.Id, spot.Turns, new Length(spot.X), new Length(spot.Y)));
            table.laid.Add((spot.Region, spot.X, spot.Y));
            table.reached = Math.Max(table.reached, spot.Y + spot.Region.Height);
        }
        return new Placed(placements, new Length(table.reached));
    }

    private (int Turns, Region Region, long X, long Y) Best(Kind kind)
    {
        (int Turns, Region Region, long X, long Y) best = default;
        var lowest = (Top: long.MaxValue, Y: long.MaxValue, X: long.MaxValue);
        foreach (var (turns, region) in kind.Ways)
            foreach (var (x, step, phase) in kind.IsMatched && repeat is not null ? Matched(region, repeat) : Candidates(region).Select(x => (x, 0L, 0L)))
            {
                var y = LowestFree(region, x, lowest.Top - region.Height, step, phase);
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

    // Whole repeats across, each with the repeat along that y must be a multiple of, half of one off at every second with half-drop.
    private IEnumerable<(long X, long Step, long Phase)> Matched(Region region, Repeat by)
    {
        var room = usable - region.Width;
        if (!by.Across.IsPositive) return Candidates(region).Select(x => (x, by.Along.Ticks, 0L));
        return Enumerable.Range(0, (int)(room / by.Across.Ticks) + 1).Select(n => (n * by.Across.Ticks, by.Along.Ticks, by.HalfDrop && n % 2 == 1 ? by.Along.Over(2).Ticks : 0L));
    }

    // The lowest y at which the region is free at x, a whole number of steps from the phase; gives up with the highest of all above limit.
    private long LowestFree(Region region, long x, long limit, long step, long phase)
    {
        // Each pair of cells that share a stretch of width forbids an open interval of y, and so does the end of each article.
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

        for (var end = article; end <= reached + article; end += article) Forbid(end.Value - region.Height, end.Value);
        foreach (var (other, left, bottom) in laid)
        {
            if (left >= x + region.Width || left + other.Width <= x) continue;
            foreach (var own in region.Cells)
                foreach (var cell in other.Cells)
                {
                    if (own.Left + x >= cell.Right + left || cell.Left + left >= own.Right + x) continue;
                    Forbid(cell.Bottom + bottom - own.Top, cell.Top + bottom - own.Bottom);
                }
        }
        Array.Sort(from, to, 0, count);
        var y = step > 0 ? phase : 0L;
        for (var at = 0; at < count; at++)
        {
            if (from[at] >= y) break;
            if (to[at] > y) y = step > 0 ? phase + ((to[at] - phase + step - 1) / step * step) : to[at];
            if (y > limit) return long.MaxValue - region.Height;
        }
        return y;
    }
}
