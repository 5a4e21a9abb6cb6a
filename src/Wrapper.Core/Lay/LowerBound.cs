namespace Wrapper.Core.Lay;

/// <summary>
/// A length that no lay can be under. The area spread over the width; the tallest piece; and for rectangles dual
/// feasible functions: widths are changed by a
/// function under which whatever lies side by side still fits side by side, so that the changed area, spread over the
/// width, is a bound too. They
/// see that two wide pieces cannot share a width, and that three a little over a third cannot.
/// Source: Fekete and Schepers, bounds by dual feasible functions (2001).
/// </summary>
internal static class LowerBound
{
    /// <summary>
    /// The bound for pieces of these kinds, one for each piece, on <paramref name="cloth"/>, its gap included in both.
    /// </summary>
    public static long Of(IReadOnlyList<PieceKind> kinds, LayCloth cloth)
    {
        if (kinds.Count == 0)
            return 0;
        var usable = cloth.Usable.Ticks;
        var stock = cloth.StockLengths.Sum(stretch => (double)stretch.Length.Ticks * stretch.Usable.Ticks);
        var area = Area(kinds);
        if (stock > 0)
        {
            // On the roll, beyond the remnants, lie at least those pieces that fit on no remnant, and what the remnants' area
            // cannot hold. Where the remnants may hold
            // everything, the bound is zero.
            List<PieceKind> behind =
            [
                .. kinds.Where(kind =>
                    !kind.Ways.Any(way =>
                        cloth.StockLengths.Any(stretch =>
                            way.Region.Width <= stretch.Usable.Ticks && way.Region.Height <= stretch.Length.Ticks
                        )
                    )
                ),
            ];
            var over = Math.Max(
                (long)Math.Floor((area - stock) / usable),
                Of(behind, cloth with { StockLengths = [] })
            );
            return over > 0 ? cloth.Stock.Ticks + over : 0;
        }
        var bound = Math.Max(
            (long)Math.Floor(area / usable),
            kinds.Max(kind => kind.Ways.Min(way => way.Region.Height))
        );
        // A piece with cut-outs may let others reach into them, but not into a rectangle within it: the widest, or one
        // from end to end.
        bound = Math.Max(
            bound,
            Math.Max(
                ByWidths(
                    Within(
                        kinds,
                        region => region.Cells.MaxBy(cell => (cell.Right - cell.Left, cell.Top - cell.Bottom))
                    ),
                    usable
                ),
                ByWidths(Within(kinds, FromEndToEnd), usable)
            )
        );
        return Math.Max(bound, ByRepeats([.. kinds.Where(kind => kind.IsMatched && kind.IsRectangle)], cloth));
    }

    /// <summary>The area of all spread over the width: nothing can be under that either, and it says least.</summary>
    public static long ByArea(IReadOnlyList<PieceKind> kinds, LayCloth cloth) =>
        (long)Math.Floor(Area(kinds) / cloth.Usable.Ticks);

    // Less what slants and curves may share of the cloth by being rounded: well under a thousandth of an inch a row.
    private static double Area(IReadOnlyList<PieceKind> kinds) =>
        kinds.Sum(kind => kind.Ways.All(way => way.Region.IsStraight) ? kind.Area : kind.Area * 0.9999);

    private static List<(long Width, long Height)[]> Within(
        IEnumerable<PieceKind> kinds,
        Func<Region, Cell> rectangle
    ) =>
        [
            .. kinds
                .Where(kind => kind.Ways.All(way => way.Region.IsStraight))
                .Select(kind =>
                    kind.Ways.Select(way =>
                            rectangle(way.Region) is var cell
                                ? (cell.Right - cell.Left, cell.Top - cell.Bottom)
                                : default
                        )
                        .ToArray()
                ),
        ];

    // The rectangle that spans all cells of an outline from end to end; none where cells lie side by side.
    private static Cell FromEndToEnd(Region region)
    {
        var (left, right) = (region.Cells.Max(cell => cell.Left), region.Cells.Min(cell => cell.Right));
        return right > left ? new Cell(left, 0, right, region.Height) : default;
    }

    // Matched pieces above one another start whole repeats apart (half ones with half-drop), so each but the last takes
    // whole repeats of the length.
    private static long ByRepeats(List<PieceKind> matched, LayCloth cloth)
    {
        if (cloth.Repeat is not { } repeat || matched.Count == 0 || cloth.Article is not null)
            return 0;
        var step = repeat.HalfDrop ? repeat.Along.Over(2).Ticks : repeat.Along.Ticks;
        if (
            step == 0
            || matched.SelectMany(kind => kind.Ways).Select(way => Grid.UpTo(0, step, way.OriginY)).Distinct().Count()
                > 1
        )
            return 0;
        var rounded = matched
            .Select(kind =>
                kind.Ways.Select(way => (way.Region.Width, Height: Grid.UpTo(way.Region.Height, step, 0))).ToArray()
            )
            .ToList();
        var last = matched.Max(kind => kind.Ways.Max(way => Grid.UpTo(way.Region.Height, step, 0) - way.Region.Height));
        return ByWidths(rounded, cloth.Usable.Ticks) - last;
    }

    private static long ByWidths(List<(long Width, long Height)[]> boxes, long usable)
    {
        if (boxes.Count == 0)
            return 0;
        var bound = 0L;
        var widths = boxes
            .SelectMany(box => box.Select(way => way.Width))
            .Distinct()
            .Where(width => 2 * width <= usable)
            .Append(0)
            .Distinct()
            .Order()
            .ToList();
        foreach (var small in widths)
            bound = Math.Max(bound, Spread(boxes, usable, width => Trimmed(width, usable, small)));
        for (var parts = 1; parts <= 6; parts++)
        {
            var k = parts;
            bound = Math.Max(bound, Spread(boxes, usable, width => Shared(width, usable, k)));
        }
        return bound;
    }

    // Lengths are whole counts, so the bound may be rounded up; a thousandth is taken off first for what doubles lose.
    private static long Spread(List<(long Width, long Height)[]> boxes, long usable, Func<long, double> changed) =>
        (long)Math.Ceiling((boxes.Sum(box => box.Min(way => changed(way.Width) * way.Height)) / usable) - 1e-3);

    // First dual feasible function (Fekete and Schepers): pieces narrower than a chosen width count nothing, pieces that
    // leave less than it beside them count as the whole width.
    private static double Trimmed(long width, long usable, long small) =>
        width < small ? 0
        : width > usable - small ? usable
        : width;

    // Second dual feasible function (Fekete and Schepers): the width is parted into k + 1 shares, a piece counts the
    // whole shares that it fills, and k of them make up the width.
    private static double Shared(long width, long usable, int k) =>
        (k + 1) * width % usable == 0 ? width : Math.Floor((double)(k + 1) * width / usable) * usable / k;
}
