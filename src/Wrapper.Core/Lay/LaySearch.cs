using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// A longer search for a shorter lay: rounds of following more and more lays side by side, shaken and aimed below the
/// best, with exchanges from another seed
/// beside them; of outlines, and on cloth with demands of its own, rows, searches over orders, and searches that let
/// pieces lie in one another. The same seed and number of
/// rounds give the same lay; it ends when the lay is proven or when it is stopped, and else after the last round if
/// there is one.
/// </summary>
public static class LaySearch
{
    // Orders of up to so many pieces are also bettered by exchanging two; with more pieces one exchange changes too little.
    private const int MostExchanged = 80;

    // From this round on the beam is wide enough: several beams of this width find more than one that is wider still.
    private const int WideRound = 6,
        WideLots = 3;

    // A lay that is followed takes some two kilobytes; no round follows more of them side by side, so that a search of
    // any length stays within its memory.
    private const int MostWide = 6000,
        MostWideRound = 7;

    // So many orders are tried in a round by each of two searches that begin apart; what boxes can find of outlines they
    // find in the first rounds.
    private const int Orders = 160,
        FewOrders = 40,
        BoxedRounds = 4,
        WidestRound = 12,
        MostFolded = 1 << 12,
        BarSteps = 400,
        MostOverlapped = 300,
        MostRows = 24;

    // Pairs of pieces that are looked at by a search that lets them overlap, in the first round; four times as many in
    // each that follows, up to so many doublings.
    private const long Looked = 400_000;
    private const int WidestLooked = 5;

    /// <summary>
    /// Searches until <paramref name="stop"/>, which ends it with the best so far. The first lay and every shorter one
    /// is told to <paramref name="better"/> at once.
    /// </summary>
    public static ClothLay Run(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        int seed,
        Action<ClothLay> better,
        CancellationToken stop,
        int rounds = int.MaxValue
    )
    {
        var found = LayTable.Of(pieces, cloth, CancellationToken.None);
        better(found);
        if (found.Best.Placements.Count < 2 || cloth.Spread == Spread.Torn)
            return found;
        if (cloth.Spread == Spread.Folded)
        {
            // Both parts are searched, ever longer by turns; a shorter one of either shortens the whole.
            for (var some = 2; some < 2 * (long)rounds && !stop.IsCancellationRequested; some *= 2)
            {
                var most = Math.Min(some, rounds);
                var folded = FoldedLay.Of(pieces, cloth, (part, on) => Run(part, on, seed, _ => { }, stop, most));
                if (folded.Best.Length < found.Best.Length)
                    better(found = folded);
                if (found.IsProven || some > MostFolded)
                    break;
            }
            return found;
        }
        var table = new LaySet(pieces, cloth);
        OutlineSearch[] orders =
            cloth.IsPlain && table.IsRectangles ? [] : [table.Orders(2 * seed), table.Orders((2 * seed) + 1)];
        OverlapSearch[] overlaps =
            orders.Length == 0 || table.Count > MostOverlapped
                ? []
                : [table.Overlaps(2 * seed), table.Overlaps((2 * seed) + 1)];
        var best = cloth.Gap.IsPositive ? new Placed([], new Length(long.MaxValue)) : found.Best;
        void Take(Placed? lay, CancellationToken until)
        {
            if (lay is null)
                return;
            if (lay.Length < best.Length)
                best = lay;
            var finished = table.Finished(cloth.IsPlain ? table.Nested(lay, until) : lay, until);
            if (
                finished.Best.Length < found.Best.Length
                || (finished.IsProven && !found.IsProven && finished.Best.Length == found.Best.Length)
            )
                better(found = finished);
        }
        try
        {
            table.Bar(BarSteps, stop);
            if (table.Shortest > found.ShortestPossible)
                better(found = found with { ShortestPossible = table.Shortest, IsOfAreaAlone = false });
            for (var round = 0; round < rounds && !found.IsProven; round++)
                foreach (
                    var ways in Round(
                            table,
                            cloth,
                            orders,
                            overlaps,
                            () => best,
                            seed,
                            round,
                            () => (found.Best.Length + cloth.Gap).Ticks - 1,
                            stop
                        )
                        .TakeWhile(_ => !found.IsProven)
                )
                foreach (var lay in SideBySide.Laid(ways, stop))
                    Take(lay, stop);
        }
        catch (OperationCanceledException)
        {
            // Stopped: the best so far stands, that of a round that was not over too.
            foreach (var stopped in orders.Select(search => search.Best).Concat(overlaps.Select(search => search.Best)))
                if (stopped is { } lay && cloth.WithoutGap(lay).Length < found.Best.Length)
                    better(found = table.Finished(lay, CancellationToken.None));
        }
        return found;
    }

    // The lays of a round, in lots that are laid side by side; each lot aims below what those before it have found.
    private static IEnumerable<Func<Placed?>[]> Round(
        LaySet table,
        LayCloth cloth,
        OutlineSearch[] orders,
        OverlapSearch[] overlaps,
        Func<Placed> best,
        int seed,
        int round,
        Func<long> below,
        CancellationToken stop
    )
    {
        if (orders.Length > 0 && round == 0 && cloth.IsPlain)
            yield return [() => table.InRows(MostRows, stop)];
        if (orders.Length > 0)
            yield return
            [
                .. Enumerable
                    .Range(0, 2)
                    .Select(n =>
                        (Func<Placed?>)(
                            () =>
                                table.Built(
                                    4 << Math.Min(round, 3),
                                    Math.Min(12 + (4 * round), 32),
                                    stop,
                                    new Random(seed + (1000 * round) + n)
                                )
                        )
                    ),
            ];
        if (orders.Length > 0)
            yield return
            [
                .. orders.Select(search =>
                    (Func<Placed?>)(
                        () =>
                        {
                            // One goes on from the best of all, the other its own way.
                            if (search != orders[0] && best().Placements.Count > 0)
                                search.From(best());
                            search.Run(overlaps.Length > 0 && round > 0 ? FewOrders : Orders, stop);
                            return search.Best;
                        }
                    )
                ),
            ];
        if (best().Placements.Count > 0 && overlaps.Length > 0)
            yield return
            [
                .. overlaps.Select(search =>
                    (Func<Placed?>)(
                        () =>
                        {
                            search.From(best());
                            search.Run(Looked << Math.Min(2 * round, WidestLooked), stop);
                            return search.Best;
                        }
                    )
                ),
            ];
        if (!cloth.IsPlain || (orders.Length > 0 && round >= BoxedRounds))
            yield break;
        var widened = Math.Min(round, WidestRound);
        var (width, steps, random) = (
            Math.Min(MostWide, 60 << widened),
            (2_000 << widened) / Math.Max(1, table.Count / 20),
            new Random(seed + (100 * round))
        );
        Func<Placed?> Aimed() => Lower(table, width, below(), random.Next(), stop);
        Func<Placed?> Straight(long aim) => () => table.Followed(width, stop, aim, weight: 5 + (round * 7 % 11));
        yield return
        [
            Straight(below()),
            table.Count > MostExchanged ? Aimed() : () => table.Exchanged(seed + (round * 31), rounds: 6, steps, stop),
        ];
        for (var lot = 0; lot < (round < WideRound ? 1 : WideLots << Math.Max(0, widened - MostWideRound)); lot++)
            yield return [Aimed(), Aimed(), Aimed(), Aimed()];
    }

    // Many lays that are shaken, each at another weight and aimed up to two fifths of the way down to the bound: one of
    // them comes out shorter than a single one of twice the width.
    private static Func<Placed?> Lower(LaySet table, int width, long below, int seed, CancellationToken stop)
    {
        var random = new Random(seed);
        var (aim, weight) = (below - (long)((below - table.Bound) * 0.4 * random.NextDouble()), random.Next(10, 26));
        return () => table.Followed(width, stop, aim, weight, random);
    }
}
