using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// A lay of one cloth: the best found, the hand sum beside it, and a length that no lay can be under; where both
/// lengths meet the lay is proven shortest.
/// Pieces too large for the cloth stand in <see cref="Misfits"/> and are left out.
/// </summary>
public sealed record ClothLay(Placed Best, Placed Hand, Length ShortestPossible, IReadOnlyList<Misfit> Misfits)
{
    /// <summary>
    /// The length of the remnants and part rolls that it begins with; lengths count from their start.
    /// </summary>
    public Length Stock { get; init; }

    /// <summary>How far the cloth is folded double; null where it is not.</summary>
    public Length? FoldedTo { get; init; }

    /// <summary>What has to be bought: the length beyond the stock.</summary>
    public Length Length => Off(Best.Length);

    /// <summary>Whether no lay is shorter.</summary>
    public bool IsProven => Best.Length <= ShortestPossible || !Length.IsPositive;

    /// <summary>
    /// Whether slanted or curved pieces are known by their area alone: nothing is promised then of how near the shortest
    /// it is.
    /// </summary>
    public bool IsOfAreaAlone { get; init; }

    /// <summary>
    /// By how many per cent, rounded up, it may be longer than the shortest; null where the shortest is nothing, or is
    /// only what the area of curved pieces comes to.
    /// </summary>
    public int? Over =>
        IsProven ? 0
        : IsOfAreaAlone ? null
        : Off(ShortestPossible) is { IsPositive: true } shortest
            ? (int)Math.Ceiling(100m * (Length - shortest).Ticks / shortest.Ticks)
        : null;

    /// <summary>A lay of no pieces.</summary>
    internal static ClothLay Nothing(LayCloth cloth) =>
        new(new Placed([], Length.Zero), new Placed([], Length.Zero), Length.Zero, []) { Stock = cloth.Stock };

    /// <summary>How much of a length lies beyond the stock.</summary>
    public Length Off(Length length) => Length.Max(Length.Zero, length - Stock);
}

/// <summary>Lays pieces on one cloth.</summary>
public static class LayTable
{
    // Outlines of so many corners together are tried in more ways at once, and side by side.
    private const int Few = 240,
        Beams = 4,
        Tried = 12,
        TriedInAll = 15_000,
        ManyPlaces = 10_000,
        MostPlaces = 30_000,
        FewKinds = 24,
        BarSteps = 200,
        Some = 60,
        FewRows = 30,
        Followed = 4,
        Nearly = 50,
        Closed = 500,
        First = 4,
        FewBoxes = 16,
        SomeBoxes = 80,
        Many = 300,
        FewOverlapped = 16,
        Pairs = 120_000,
        BuiltCorners = 1_200,
        LeastTried = 4;

    private static readonly Care Usual = new(10);
    private static readonly Care[] Cares = [new(40, 0.7), new(60, 1), new(16), new(8)];

    /// <summary>
    /// Lays <paramref name="pieces"/> on <paramref name="cloth"/> at once; the same pieces always lie the same way.
    /// Ready-made articles lie one behind
    /// the other, and no piece reaches over from one into the next. Nobody waits for a lay that is
    /// <paramref name="cancel"/>: it ends in an
    /// <see cref="OperationCanceledException"/>.
    /// </summary>
    public static ClothLay Of(IReadOnlyList<LayPiece> pieces, LayCloth cloth, CancellationToken cancel = default) =>
        Seen(pieces, cloth, null, cancel);

    /// <summary>The same; each lay that is found on the way is told to <paramref name="seen"/> too.</summary>
    internal static ClothLay Seen(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        Action<Placed>? seen,
        CancellationToken cancel
    )
    {
        cloth = cloth.Bearing(pieces);
        if (cloth.Spread == Spread.Torn)
            return TornLay.Of(pieces, cloth, cancel);
        if (cloth.Spread == Spread.Folded)
            return FoldedLay.Of(pieces, cloth, (some, on) => Of(some, on, cancel));
        var table = new LaySet(pieces, cloth, cancel);
        List<Func<Placed?>> ways =
        [
            () => table.Hand,
            () => cloth.IsPlain ? table.InRows(1, cancel) : null,
            .. table.Outlined(cancel),
        ];
        if (cloth.IsPlain)
        {
            // Two ways that together take a few dozen milliseconds: many lays followed side by side, and exchanges within
            // one; a few outlines are let lie in one another below in their place.
            ways.Add(() => table.Followed(BeamWidth(table.Count), Usual, cancel));
            ways.Add(() => TornLay.Plain(table, cloth, cancel));
            if (table.Count <= Some)
                ways.Add(() => table.InRows(table.Count <= FewRows ? Followed : Followed / 2, cancel));
            if (table.IsRectangles || table.Count > FewOverlapped)
                ways.Add(() =>
                    table.Exchanged(seed: 1, rounds: 8, steps: 40_000 / Math.Max(1, 8 * table.Count), cancel)
                );
        }
        // What area alone says of a repeat, or of curves, is little.
        var barred = 0L;
        if (table.KindCount <= FewKinds && !(cloth.IsPlain && table.IsRectangles))
            ways.Insert(
                0,
                () =>
                {
                    barred = table.Bar(1, BarSteps, cancel);
                    return null;
                }
            );
        // Slants and bows that close up to rows without waste leave nothing to be found by other ways.
        var found = SideBySide.Laid([.. ways.Take(First)], cancel).ToList();
        table.Raise(barred);
        if (table.IsRectangles || found.Min(lay => lay.Length.Ticks) > table.Bound + (table.Bound / Closed))
            found.AddRange(SideBySide.Laid([.. ways.Skip(First)], cancel));
        if (found.Min(lay => lay.Length.Ticks) is var shortest && shortest > table.Bound + (table.Bound / Nearly))
            found.AddRange(SideBySide.Laid([.. Further(table, cloth, shortest, cancel)], cancel));
        var kept = found.Where((lay, at) => at > 0 || (cloth.Flaws.Count == 0 && cloth.Pins.Count == 0)).ToList();
        // Remnants are used first: by hand nobody lays into them.
        if (cloth.StockLengths.Count > 0 && kept.Any(lay => lay != found[0] && lay.Length <= found[0].Length))
            kept.Remove(found[0]);
        // A few outlines, or pieces with demands, are also let lie in one another for a moment.
        if (
            !table.IsRectangles
            && cloth.IsPlain
            && table.Count is > 4 and <= FewOverlapped
            && kept.MinBy(lay => lay.Length.Ticks) is { } from
            && from.Length.Ticks > table.Bound + (table.Bound / Nearly)
        )
            kept.AddRange(
                SideBySide.Laid(
                    [
                        .. new[] { 1, 2 }.Select(seed =>
                            (Func<Placed?>)(() => table.Shortened(from, Pairs, seed, cancel))
                        ),
                    ],
                    cancel
                )
            );
        if (seen is not null)
            kept.ForEach(lay => seen(cloth.WithoutGap(lay)));
        var best = kept.Count > 0 ? Simplest(kept, table, pieces, cloth, cancel) : table.Hand;
        return BehindStock(
            table.Finished(cloth.IsPlain ? table.Nested(best, cancel) : best, cancel),
            pieces,
            cloth,
            cancel
        );
    }

    /// <summary>
    /// Lays panels at once from what of which cord strips are cut as <paramref name="demands"/> ask: that lay is best
    /// which is shortest with them.
    /// </summary>
    public static ClothLay Of(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<StripDemand> demands,
        CancellationToken cancel = default
    ) =>
        demands.Count == 0 || pieces.Count == 0 || cloth.Spread != Spread.Single
            ? Of(pieces, cloth, cancel)
            : new CordLay(pieces, cloth, demands, cancel).AtOnce();

    // Where what was found may be a good deal longer than it must: rectangles followed by more and by less care for what
    // is lost, aimed below it; outlines of few corners built up side by side.
    private static IEnumerable<Func<Placed?>> Further(
        LaySet table,
        LayCloth cloth,
        long shortest,
        CancellationToken cancel
    )
    {
        if (cloth.IsPlain && table.IsRectangles)
        {
            if (table.Count is > FewBoxes and <= Many)
                foreach (var care in table.Count <= SomeBoxes ? Cares[..2] : Cares)
                    yield return () => table.Followed(BeamWidth(table.Count), care, cancel, shortest - 1);
        }
        else if (table.Corners <= Few)
        {
            // Each piece is tried among all that lie there: what that costs grows with both.
            var tried = Math.Clamp(Tried * BuiltCorners / (table.Count * table.Corners), LeastTried, Tried);
            yield return () => table.Built(Beams, tried, cancel);
            yield return () => table.Built(Beams, tried, cancel, new(1));
        }
        else if (cloth.Repeat is not null && table.Places <= MostPlaces)
        {
            // What fits a repeat is worth looking for among many; the more pieces, the fewer of them for each.
            var tried = Math.Clamp(TriedInAll / table.Places, Tried / 4, 2 * Tried);
            var beams = table.Places <= ManyPlaces ? Beams : Beams / 2;
            yield return () => table.Built(beams, tried, cancel);
            yield return () => table.Built(beams, tried, cancel, new(1));
        }
    }

    // Of lays that are as good as equally short the one that is simplest to cut; a proven shortest one is given away for
    // none, and none is taken that is longer than by hand.
    private static Placed Simplest(
        List<Placed> lays,
        LaySet table,
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        CancellationToken cancel
    )
    {
        var shortest = lays.Min(lay => lay.Length);
        var longest =
            shortest.Ticks <= table.Bound
                ? shortest
                : Length.Max(shortest, Length.Min(shortest + Simplicity.Worth, table.Hand.Length));
        lays.RemoveAll(lay => lay.Length > longest);
        if (lays.Count == 1)
            return lays[0];
        var byId = pieces.ToDictionary(piece => piece.Id);
        // Ways of laying often find the same.
        var ranked = lays.GroupBy(lay => Simplicity.Of(lay, byId))
            .MinBy(alike => alike.Key)!
            .DistinctBy(
                lay => lay.Placements.Select(at => (byId[at.Id].Cut, at.Turns, at.X, at.Y)).ToHashSet(),
                HashSet<(Outline, int, Length, Length)>.CreateSetComparer()
            )
            .ToList();
        // Among those, the one with the largest remnant: one useful piece is worth more than slivers.
        return ranked.Count == 1
            ? ranked[0]
            : ranked.MaxBy(lay =>
                Remnants.Of(lay, byId, cloth, lay.Length, cancel) is [var largest, ..]
                    ? (double)largest.Along.Ticks * largest.Across.Ticks
                    : 0
            )!;
    }

    // What the remnants did not hold is laid on the roll as any other cloth would be.
    private static ClothLay BehindStock(
        ClothLay lay,
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        CancellationToken cancel
    )
    {
        if (cloth.StockLengths.Count == 0 || !lay.Length.IsPositive || !(cloth with { StockLengths = [] }).IsPlain)
            return lay;
        var onStock = lay.Best.Placements.Where(at => at.Y < cloth.Stock).ToList();
        var taken = onStock.Select(at => at.Id).Concat(lay.Misfits.Select(misfit => misfit.Id)).ToHashSet();
        var rest = Of(
            [.. pieces.Where(piece => !taken.Contains(piece.Id))],
            cloth with
            {
                StockLengths = [],
            },
            cancel
        ).Best;
        return rest.Length >= lay.Length
            ? lay
            : lay with
            {
                Best = new Placed(
                    [.. onStock, .. rest.Placements.Select(at => at with { Y = at.Y + cloth.Stock })],
                    rest.Length + cloth.Stock
                ),
            };
    }

    /// <summary>A length that no lay of these pieces is under.</summary>
    internal static Length Bound(IReadOnlyList<LayPiece> pieces, LayCloth cloth) =>
        cloth.WithoutGap(new Placed([], new Length(new LaySet(pieces, cloth).Bound))).Length;

    /// <summary>
    /// The hand sum alone: rows of each kind (craft §10). Pieces that the cloth cannot take are left out.
    /// </summary>
    public static Length ByHand(IReadOnlyList<LayPiece> pieces, LayCloth cloth) => new LaySet(pieces, cloth).HandLength;

    // Work grows with the square of the pieces.
    private static int BeamWidth(int pieces) =>
        Math.Max(2, (int)(240 * Math.Min(1, 127.0 / pieces * (127.0 / pieces))));
}
