using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Lays pieces in strips that are torn from selvedge to selvedge: every strip is as long as its longest piece, and what
/// is left beside and behind the others is
/// kept as remnants. Of many orders the one whose strips are shortest together is taken; strips lie clear of every
/// flaw.
/// </summary>
internal static class TornLay
{
    // So many further orders are tried, in each of which every height counts up to a quarter more or less.
    private const int Shaken = 200,
        MostOrdered = 400;

    private sealed class Strip(long start)
    {
        public List<(LayPiece Piece, Way Way, long X)> Laid { get; } = [];
        public long Start => start;
        public long Height,
            Right;
    }

    public static ClothLay Of(IReadOnlyList<LayPiece> pieces, LayCloth cloth, CancellationToken cancel)
    {
        var whole = cloth.WithGap();
        var set = new LaySet(pieces, cloth, cancel);
        // The rows of the hand sum can be torn as strips too, as long as no flaw lies in them.
        var best = cloth.Flaws.Count == 0 ? set.Hand : null;
        foreach (var order in Orders(set.Fit))
        {
            var lay = Torn(order, whole, cancel);
            if (best is null || lay.Length < best.Length)
                best = lay;
        }
        return set.Finished(best!, cancel);
    }

    /// <summary>
    /// The strips of the plain order, as one of several ways on cloth that is not torn: no longer than another way they
    /// are the simplest to cut.
    /// </summary>
    public static Placed? Plain(LaySet set, LayCloth cloth, CancellationToken cancel) =>
        set.Count is 0 or > MostOrdered ? null : Torn(Orders(set.Fit).First(), cloth.WithGap(), cancel);

    private static IEnumerable<List<(LayPiece Piece, PieceKind Kind)>> Orders(
        IReadOnlyList<(LayPiece Piece, PieceKind Kind)> pieces
    )
    {
        static long Height((LayPiece, PieceKind Kind) pair) => pair.Kind.Ways.Min(way => way.Region.Height);
        yield return [.. pieces.OrderByDescending(Height).ThenByDescending(pair => pair.Kind.Area)];
        yield return
        [
            .. pieces.OrderByDescending(pair => pair.Kind.Ways.Max(way => way.Region.Width)).ThenByDescending(Height),
        ];
        var random = new Random(1);
        for (var n = 0; n < Shaken && pieces.Count <= MostOrdered; n++)
            yield return [.. pieces.OrderByDescending(pair => Height(pair) * (0.75 + (random.NextDouble() / 2)))];
    }

    private static Placed Torn(List<(LayPiece Piece, PieceKind Kind)> order, LayCloth cloth, CancellationToken cancel)
    {
        List<Strip> strips = [];
        var end = 0L;
        foreach (var (piece, kind) in order)
        {
            cancel.ThrowIfCancellationRequested();
            // A piece goes into the strip that has to grow least for it; only the last strip can still grow. Of several, the
            // fullest. Where none has room it begins a strip of its own.
            var choices =
                from strip in strips
                from each in kind.Ways
                let place = Place(strip, kind, each, cloth)
                let longer = Math.Max(0, each.Region.Height - strip.Height)
                where
                    place >= 0
                    && (longer == 0 || (strip == strips[^1] && Above(strip.Start, each.Region.Height, cloth) is null))
                orderby longer, cloth.Usable.Ticks - place - each.Region.Width
                select (Strip: strip, Way: each, X: place);
            var (at, way, x) = choices.FirstOrDefault();
            if (at is null)
            {
                way = kind.Ways.MinBy(each => (each.Region.Height, each.Region.Width));
                x = kind.IsMatched ? Grid.First(cloth.Repeat!.Across.Ticks, way.OriginX) : 0;
                strips.Add(at = new Strip(Start(end, kind, way, x, cloth)));
            }
            at.Laid.Add((piece, way, x));
            (at.Height, at.Right) = (Math.Max(at.Height, way.Region.Height), x + way.Region.Width);
            end = Math.Max(end, at.Start + at.Height);
        }
        return new Placed(
            [
                .. strips.SelectMany(strip =>
                    strip.Laid.Select(laid => new Placement(
                        laid.Piece.Id,
                        laid.Way.Turns,
                        new Length(laid.X),
                        new Length(strip.Start)
                    ))
                ),
            ],
            new Length(end)
        );
    }

    private static long Start(long y, PieceKind kind, Way way, long x, LayCloth cloth)
    {
        long OnGrid(long from) =>
            kind.IsMatched ? Grid.UpTo(from, cloth.Repeat!.Along.Ticks, Grid.Phase(cloth.Repeat, way, x), cloth) : from;
        y = OnGrid(y);
        while (Above(y, way.Region.Height, cloth) is { } above)
            y = OnGrid(above);
        return y;
    }

    // How far across the strip the piece can lie beside what is there already; -1 where it has no room.
    private static long Place(Strip strip, PieceKind kind, Way way, LayCloth cloth)
    {
        var x = strip.Right;
        if (kind.IsMatched)
        {
            x = Grid.UpTo(x, cloth.Repeat!.Across.Ticks, -way.OriginX);
            if (
                Grid.UpTo(strip.Start, cloth.Repeat.Along.Ticks, Grid.Phase(cloth.Repeat, way, x), cloth) != strip.Start
            )
                return -1;
        }
        return x + way.Region.Width <= cloth.Usable.Ticks ? x : -1;
    }

    // Where the flaw or the end of an article ends that lies in the way of a strip that would start here.
    private static long? Above(long start, long height, LayCloth cloth)
    {
        foreach (var flaw in cloth.Flaws)
            if (flaw.FromEnd.Ticks < start + height && (flaw.FromEnd + flaw.Along).Ticks > start)
                return (flaw.FromEnd + flaw.Along).Ticks;
        return cloth.Article is { } one && (start % one.Ticks) + height > one.Ticks
            ? (start / one.Ticks + 1) * one.Ticks
            : null;
    }
}
