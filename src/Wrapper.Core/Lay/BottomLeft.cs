using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Places pieces one after another, each where its upper end comes lowest: for every x at which it touches a piece or a
/// selvedge with its side, the lowest y that is free, so that small ones slip into hollows of large ones and slants lie
/// against slants. In whole counts. Source: the bottom-left rule (Baker, Coffman and Rivest 1980).
/// </summary>
internal sealed class BottomLeft
{
    // Pieces that lie further below the upper end than so many times the tallest are no longer looked at, where there are
    // more than so many: what an order costs grows with their number then, and not with its square or more.
    private const int Reach = 2,
        FewCurved = 20,
        FewRectangles = 260;

    // How finely a place in a hollow is looked for: by steps from a quarter of the piece down to this.
    private const long Fine = Length.TicksPerMillimetre / 128;

    // Of heights at which a piece is pushed in from the side, so many that have room.
    private const int Heights = 3;

    private readonly record struct Laid(Region Region, long X, long Y)
    {
        public long Top => Y + Region.Height;

        public long Right => X + Region.Width;
    }

    /// <summary>Where a piece comes to lie, and which way; the lowest upper end counts first.</summary>
    internal readonly record struct Spot(long Top, long Y, long X, Way Way) : IComparable<Spot>
    {
        public int CompareTo(Spot other) => (Top, Y, X).CompareTo((other.Top, other.Y, other.X));
    }

    private readonly LayCloth cloth;
    private readonly long usable,
        reach;
    private readonly bool windowed;
    private long reached;
    private List<Laid> near = [];
    private readonly Stretches refused = new();
    private readonly List<long> gaps = [];
    private readonly SortedSet<long> places = [],
        heights = [];

    private BottomLeft(LayCloth cloth, long tallest, bool windowed)
    {
        (this.cloth, usable, this.windowed, reach) = (cloth, cloth.Usable.Ticks, windowed, Reach * tallest);
        foreach (var (region, x, y) in cloth.Taken())
            Add(new(region, x, y), isFixed: true);
    }

    private BottomLeft(BottomLeft other)
    {
        (cloth, usable, windowed, reach) = (other.cloth, other.usable, other.windowed, other.reach);
        (reached, near) = (other.reached, [.. other.near]);
    }

    /// <summary>
    /// Lays <paramref name="pieces"/> in the order given on <paramref name="cloth"/>; those that are pinned stay where
    /// they are. Null when it would come out longer than <paramref name="most"/>.
    /// </summary>
    public static Placed? Lay(
        IReadOnlyCollection<(LayPiece Piece, PieceKind Kind)> pieces,
        LayCloth cloth,
        CancellationToken cancel,
        long most = long.MaxValue
    )
    {
        var table = For(pieces, cloth);
        var placements = new List<Placement>(pieces.Count);
        var pinned = cloth.Pins.ToDictionary(pin => pin.Id);
        foreach (var (piece, kind) in pieces)
            if (pinned.TryGetValue(piece.Id, out var pin))
            {
                cancel.ThrowIfCancellationRequested();
                placements.Add(pin);
                var region = Region.Of(piece.Cut, pin.Turns, cloth.Gap.Ticks);
                table.Add(new(region, pin.X.Ticks, pin.Y.Ticks), isFixed: true);
                table.reached = Math.Max(table.reached, pin.Y.Ticks + region.Height);
            }
        foreach (var (piece, kind) in pieces)
        {
            if (pinned.ContainsKey(piece.Id))
                continue;
            cancel.ThrowIfCancellationRequested();
            var spot = table.Best(kind);
            placements.Add(new Placement(piece.Id, spot.Way.Turns, new Length(spot.X), new Length(spot.Y)));
            table.Put(spot);
            if (table.reached > most)
                return null;
        }
        return new Placed(placements, new Length(table.reached));
    }

    /// <summary>A table on which nothing lies yet, for these pieces.</summary>
    public static BottomLeft For(IReadOnlyCollection<(LayPiece Piece, PieceKind Kind)> pieces, LayCloth cloth) =>
        new(
            cloth,
            pieces.Count == 0 ? 0 : pieces.Max(each => each.Kind.Ways.Max(way => way.Region.Height)),
            pieces.Count > (pieces.Any(each => !each.Kind.IsRectangle) ? FewCurved : FewRectangles)
        );

    /// <summary>The length reached.</summary>
    public long Reached => reached;

    /// <summary>The same table, to be gone on from another way.</summary>
    public BottomLeft Copy() => new(this);

    /// <summary>Lays a piece there.</summary>
    public void Put(Spot spot) => Add(new(spot.Way.Region, spot.X, spot.Y));

    private long Floor => windowed ? Math.Max(0, reached - reach) : 0;

    private void Add(Laid one, bool isFixed = false)
    {
        near.Add(one);
        if (isFixed)
            return;
        if (one.Top <= reached)
            return;
        reached = one.Top;
        if (windowed && Floor is > 0 and var floor)
            near = [.. near.Where(each => each.Top > floor)];
    }

    /// <summary>Where a piece of this kind comes lowest.</summary>
    public Spot Best(PieceKind kind)
    {
        var best = new Spot(long.MaxValue, 0, 0, default);
        foreach (var way in kind.Ways)
        {
            var room = usable - way.Region.Width;
            if (kind.IsMatched && cloth.Repeat!.Across.Ticks is > 0 and var step)
            {
                // A matched piece moves across the cloth by whole repeats only.
                for (var x = Grid.First(step, way.OriginX); x <= room; x += step)
                    best = Lower(best, kind, way, x);
                continue;
            }
            places.Clear();
            places.UnionWith([0, room]);
            foreach (var other in near)
            {
                places.Add(other.Right);
                places.Add(other.X - way.Region.Width);
            }
            foreach (var x in places)
                if (x >= 0 && x <= room)
                    best = Lower(best, kind, way, x);
            if (way.Region.IsRectangle && near.TrueForAll(other => other.Region.IsRectangle))
                continue;
            best = Pushed(best, kind, way, room);
            best = Sunk(best, kind, way, room);
        }
        return best;
    }

    private Spot Lower(Spot best, PieceKind kind, Way way, long x)
    {
        var found = LowestFree(kind, way, x, best.Top == long.MaxValue ? long.MaxValue : best.Top - way.Region.Height)
            is { } y
            ? new Spot(y + way.Region.Height, y, x, way)
            : best;
        return found.CompareTo(best) < 0 ? found : best;
    }

    // Pushed in from the side at heights where others begin or end, as far as it goes: slants come to lie on slants.
    private Spot Pushed(Spot best, PieceKind kind, Way way, long room)
    {
        heights.Clear();
        heights.Add(Math.Max(0, Floor));
        foreach (var other in near)
        {
            heights.Add(other.Y);
            heights.Add(other.Top);
            heights.Add(other.Top - way.Region.Height);
        }
        var tried = 0;
        foreach (var y in heights)
        {
            if (y < Floor)
                continue;
            if (best.Top != long.MaxValue && y > best.Top - way.Region.Height)
                break;
            refused.Clear();
            foreach (var other in near)
                if (other.Y < y + way.Region.Height && other.Top > y)
                    way.Region.Sideways.Forbidden(y, other.Region.Sideways, other.Y, refused, other.X);
            gaps.Clear();
            refused.Gaps(0, room, gaps);
            if (gaps.Count == 0)
                continue;
            foreach (var x in gaps.ToArray())
                best = Lower(best, kind, way, x);
            if (++tried == Heights)
                break;
        }
        return best;
    }

    // Let down into the hollow it lies over, by ever smaller steps to either side.
    private Spot Sunk(Spot best, PieceKind kind, Way way, long room)
    {
        if (best.Way != way)
            return best;
        for (var step = way.Region.Width / 4; step >= Fine; )
        {
            var before = best;
            foreach (var x in (long[])[before.X - step, before.X + step])
                if (x >= 0 && x <= room)
                    best = Lower(best, kind, way, x);
            if (best.Top >= before.Top)
                step /= 2;
        }
        return best;
    }

    // The lowest y at which the region is free at x, on the grid of the repeat if it is matched; null above limit.
    private long? LowestFree(PieceKind kind, Way way, long x, long limit)
    {
        var region = way.Region;
        refused.Clear();
        foreach (var end in cloth.Ends(reached))
            refused.Add(end - region.Height, end);
        foreach (var other in near)
        {
            if (other.X >= x + region.Width || other.Right <= x || other.Y - region.Height > limit)
                continue;
            if (region.IsRectangle && other.Region.IsRectangle)
                refused.Add(other.Y - region.Height, other.Top);
            else
                region.Upright.Forbidden(x, other.Region.Upright, other.X, refused, other.Y);
        }
        if (!kind.IsMatched)
            return refused.Free(Floor, limit);
        var (step, phase) = (cloth.Repeat!.Along.Ticks, Grid.Phase(cloth.Repeat, way, x));
        return refused.Free(Floor, limit, y => Grid.UpTo(y, step, phase, cloth));
    }
}
