using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Places pieces one after another, each where its upper end comes lowest: for every x at which it touches a piece or a selvedge
/// with its side, the lowest y that is free. Pieces are regions of rectangles, so small ones slip into cut-outs of large ones;
/// all in whole counts, so that nothing overlaps by rounding.
/// </summary>
internal static class BottomLeft
{
    /// <summary>Lays <paramref name="pieces"/> in the order given on cloth of <paramref name="usable"/> counts.</summary>
    public static Placed Lay(IEnumerable<(LayPiece Piece, Kind Kind)> pieces, long usable)
    {
        var taken = new List<Cell>();
        var placements = new List<Placement>();
        foreach (var (piece, kind) in pieces)
        {
            var best = kind.Ways.Select(way => Best(way.Turns, way.Region, taken, usable)).MinBy(spot => (spot.Top, spot.Y, spot.X, spot.Turns));
            placements.Add(new Placement(piece.Id, best.Turns, new Length(best.X), new Length(best.Y)));
            foreach (var cell in best.Region.Cells)
                taken.Add(new Cell(cell.Left + best.X, cell.Bottom + best.Y, cell.Right + best.X, cell.Top + best.Y));
        }
        return new Placed(placements, new Length(taken.Count == 0 ? 0 : taken.Max(cell => cell.Top)));
    }

    private static (long Top, long Y, long X, int Turns, Region Region) Best(int turns, Region region, List<Cell> taken, long usable)
    {
        var room = usable - region.Width;
        var xs = new HashSet<long> { 0, room };
        foreach (var other in taken)
            foreach (var own in region.Cells)
            {
                xs.Add(other.Right - own.Left);
                xs.Add(other.Left - own.Right);
            }
        return xs.Where(x => x >= 0 && x <= room)
            .Select(x => (LowestFree(region, x, taken), x))
            .Select(spot => (spot.Item1 + region.Height, spot.Item1, spot.x, turns, region))
            .MinBy(spot => (spot.Item1, spot.Item2, spot.x));
    }

    private static long LowestFree(Region region, long x, List<Cell> taken)
    {
        // Each pair of cells that share a stretch of width forbids an open interval of y.
        var forbidden = new List<(long From, long To)>();
        foreach (var own in region.Cells)
            foreach (var other in taken)
                if (own.Left + x < other.Right && other.Left < own.Right + x)
                    forbidden.Add((other.Bottom - own.Top, other.Top - own.Bottom));
        forbidden.Sort();
        var y = 0L;
        foreach (var (from, to) in forbidden)
        {
            if (from >= y) break;
            if (to > y) y = to;
        }
        return y;
    }
}
