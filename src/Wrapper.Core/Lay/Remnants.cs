using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// What is left of cloth that has been laid: the largest upright rectangles clear of pieces and flaws, each 6 x 6 in at
/// least (craft §10), the largest first; they do not overlap.
/// </summary>
public static class Remnants
{
    private const int Most = 8;
    private static readonly Length Least = Length.Inches(6);

    // Slants and arcs are covered by many cells; their edges count to this closeness, outward.
    private static readonly long Closeness = Length.Inches(0, 1, 8).Ticks;

    /// <summary>
    /// The remnants of <paramref name="lay"/> on cloth that is <paramref name="length"/> long, its stock included.
    /// </summary>
    public static IReadOnlyList<Patch> Of(
        Placed lay,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        Length length,
        CancellationToken cancel = default
    )
    {
        return
        [
            .. Free(
                    lay,
                    pieces,
                    cloth,
                    length,
                    (across, along) => across >= Least.Ticks && along >= Least.Ticks,
                    Most,
                    cancel
                )
                .OrderByDescending(left => (double)left.Along.Ticks * left.Across.Ticks)
                .Take(Most),
        ];
    }

    /// <summary>
    /// Rectangles that are free as far as <paramref name="length"/> and <paramref name="useful"/> (across, along), on
    /// each remnant or article the largest first and no more than <paramref name="most"/>; they do not overlap. Each is
    /// looked for when it is asked for.
    /// </summary>
    internal static IEnumerable<Patch> Free(
        Placed lay,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        Length length,
        Func<long, long, bool> useful,
        int most,
        CancellationToken cancel
    )
    {
        var taken = Taken(lay, pieces, cloth, cancel);
        var from = 0L;
        foreach (var end in cloth.Ends(length.Ticks).Append(long.MaxValue).Select(end => Math.Min(end, length.Ticks)))
        {
            if (end <= from)
                continue;
            var usable =
                cloth.StockLengthAt(new Length(from)) is var (index, _) && index < cloth.StockLengths.Count
                    ? cloth.StockLengths[index].Usable
                    : cloth.Usable;
            var here = taken
                .Where(cell => cell.Top > from && cell.Bottom < end && cell.Left < usable.Ticks && cell.Right > 0)
                .ToList();
            foreach (var cell in Within(new Cell(0, from, usable.Ticks, end), here, useful, most, cancel))
                yield return new Patch(
                    new Length(cell.Bottom),
                    new Length(cell.Left),
                    new Length(cell.Top - cell.Bottom),
                    new Length(cell.Right - cell.Left)
                );
            from = end;
        }
    }

    private static List<Cell> Taken(
        Placed lay,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        CancellationToken cancel
    )
    {
        List<Cell> taken =
        [
            .. cloth.Flaws.Select(flaw => new Cell(
                flaw.FromSelvedge.Ticks,
                flaw.FromEnd.Ticks,
                (flaw.FromSelvedge + flaw.Across).Ticks,
                (flaw.FromEnd + flaw.Along).Ticks
            )),
        ];
        foreach (var at in lay.Placements)
        {
            cancel.ThrowIfCancellationRequested();
            taken.AddRange(
                Region
                    .Of(pieces[at.Id].Cut, at.Turns)
                    .Cells.Select(cell => new Cell(
                        Down(cell.Left + at.X.Ticks),
                        Down(cell.Bottom + at.Y.Ticks),
                        Up(cell.Right + at.X.Ticks),
                        Up(cell.Top + at.Y.Ticks)
                    ))
            );
        }
        return taken;
    }

    // Columns between all left and right edges, rows between all lower and upper ones.
    private static IEnumerable<Cell> Within(
        Cell all,
        List<Cell> taken,
        Func<long, long, bool> useful,
        int most,
        CancellationToken cancel
    )
    {
        long[] xs =
        [
            .. taken
                .SelectMany(cell => new[] { cell.Left, cell.Right })
                .Where(x => x > all.Left && x < all.Right)
                .Append(all.Left)
                .Append(all.Right)
                .Distinct()
                .Order(),
        ];
        long[] ys =
        [
            .. taken
                .SelectMany(cell => new[] { cell.Bottom, cell.Top })
                .Where(y => y > all.Bottom && y < all.Top)
                .Append(all.Bottom)
                .Append(all.Top)
                .Distinct()
                .Order(),
        ];
        // A bit for each: long cloth full of curves has millions.
        var covered = new ulong[ys.Length - 1, (xs.Length + 62) / 64];
        void Cover(Cell cell)
        {
            cancel.ThrowIfCancellationRequested();
            var (left, right) = (At(xs, Math.Max(cell.Left, all.Left)), At(xs, Math.Min(cell.Right, all.Right)));
            for (var row = At(ys, Math.Max(cell.Bottom, all.Bottom)); row < At(ys, Math.Min(cell.Top, all.Top)); row++)
            for (var column = left; column < right; column++)
                covered[row, column >> 6] |= 1ul << column;
        }
        foreach (var cell in taken)
            Cover(cell);
        for (var n = 0; n < most && Largest(xs, ys, covered, useful, cancel) is { } cell; n++)
        {
            yield return cell;
            Cover(cell);
        }
    }

    // Under each row the free height of every column, then the largest rectangle under that skyline, found with a
    // stack of rising heights (the largest rectangle in a histogram).
    private static Cell? Largest(
        long[] xs,
        long[] ys,
        ulong[,] covered,
        Func<long, long, bool> useful,
        CancellationToken cancel
    )
    {
        Cell? best = null;
        // Where the free cloth under a row's upper edge begins, for each column.
        var floor = new long[xs.Length - 1];
        Array.Fill(floor, ys[0]);
        for (var row = 0; row < ys.Length - 1; row++)
        {
            cancel.ThrowIfCancellationRequested();
            for (var column = 0; column < floor.Length; column++)
                if ((covered[row, column >> 6] >> column & 1) != 0)
                    floor[column] = ys[row + 1];
            var open = new Stack<(int From, long Floor)>();
            for (var column = 0; column <= floor.Length; column++)
            {
                var (start, now) = (column, column < floor.Length ? floor[column] : long.MaxValue);
                while (open.Count > 0 && open.Peek().Floor < now)
                {
                    var (begun, bottom) = open.Pop();
                    start = begun;
                    var cell = new Cell(xs[begun], bottom, xs[column], ys[row + 1]);
                    if (
                        (best is not { } other || Area(cell) > Area(other))
                        && useful(cell.Right - cell.Left, cell.Top - cell.Bottom)
                    )
                        best = cell;
                }
                if (column < floor.Length && (open.Count == 0 || open.Peek().Floor > now))
                    open.Push((start, now));
            }
        }
        return best;
    }

    private static int At(long[] places, long place) => Array.BinarySearch(places, place);

    private static double Area(Cell cell) => (double)(cell.Right - cell.Left) * (cell.Top - cell.Bottom);

    private static long Down(long ticks) => ticks >= 0 ? ticks / Closeness * Closeness : ticks;

    private static long Up(long ticks) => (ticks + Closeness - 1) / Closeness * Closeness;
}
