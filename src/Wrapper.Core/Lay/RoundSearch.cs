using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// A search for a shorter lay of one layer, round by round: following more and more lays side by side, shaken and aimed
/// below the best, with exchanges from another seed beside them; of outlines, and on cloth with demands of its own, rows,
/// searches over orders, and searches that let pieces lie in one another.
/// </summary>
internal sealed class RoundSearch
{
    // Orders of up to so many pieces are also bettered by exchanging two; with more pieces one exchange changes too little.
    private const int MostExchanged = 80;

    // From this round on the beam is wide enough: several beams of this width find more than one that is wider still.
    private const int WideRound = 6,
        WideLots = 3;

    // So many of a lot are aimed lower side by side; as many of them keep their edge even as that has found more.
    private const int Aimed = 4;

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
        BarSteps = 30_000,
        FewBarSteps = 4_000,
        MostParts = 3,
        MostOverlapped = 300,
        MostRows = 24;

    // Pairs of pieces that are looked at by a search that lets them overlap, in the first round; four times as many in
    // each that follows, up to so many doublings.
    private const long Looked = 400_000;
    private const int WidestLooked = 5;

    private readonly LayCloth cloth;
    private readonly LaySet table;
    private readonly OutlineSearch[] orders;
    private readonly OverlapSearch[] overlaps;
    private readonly int seed;
    private readonly Dictionary<string, LayPiece> byId;
    private Placed best;
    private Length shortest;
    private int round,
        evenly = Aimed / 2;

    /// <summary>A search that begins with a lay that was <paramref name="found"/> at once.</summary>
    public RoundSearch(IReadOnlyList<LayPiece> pieces, LayCloth cloth, ClothLay found, int seed)
    {
        (this.cloth, this.seed, Found, shortest) = (cloth, seed, found, found.Best.Length);
        byId = pieces.ToDictionary(piece => piece.Id);
        table = new LaySet(pieces, cloth);
        orders = cloth.IsPlain && table.IsRectangles ? [] : [table.Orders(2 * seed), table.Orders((2 * seed) + 1)];
        overlaps =
            orders.Length == 0 || table.Count > MostOverlapped
                ? []
                : [table.Overlaps(2 * seed), table.Overlaps((2 * seed) + 1)];
        best = cloth.Gap.IsPositive ? new Placed([], new Length(long.MaxValue)) : found.Best;
    }

    /// <summary>The best lay so far.</summary>
    public ClothLay Found { get; private set; }

    /// <summary>Whether nothing shorter is to be found, or it was stopped.</summary>
    public bool IsOver(CancellationToken stop) =>
        Found.IsProven || Found.Best.Placements.Count < 2 || stop.IsCancellationRequested;

    /// <summary>
    /// One more round, wider than the one before. A shorter lay, or a surer one, is told to <paramref name="better"/> at
    /// once, every lay on the way to <paramref name="seen"/>.
    /// </summary>
    public void Round(Action<ClothLay> better, CancellationToken stop, Action<Placed>? seen = null)
    {
        try
        {
            if (round == 0)
            {
                for (var parts = 1; parts <= (table.IsRectangles ? 1 : MostParts); parts++)
                    table.Raise(table.Bar(parts, parts == 1 ? BarSteps : FewBarSteps, stop));
                if (table.Shortest > Found.ShortestPossible)
                    better(Found = Found with { ShortestPossible = table.Shortest, IsOfAreaAlone = false });
            }
            foreach (var ways in Lots(stop).TakeWhile(_ => !Found.IsProven))
            foreach (var lay in SideBySide.Laid(ways, stop))
            {
                seen?.Invoke(cloth.WithoutGap(lay));
                Take(lay, better, stop);
            }
            round++;
        }
        catch (OperationCanceledException)
        {
            // Stopped: the best so far stands, that of a round that was not over too.
            foreach (var stopped in orders.Select(search => search.Best).Concat(overlaps.Select(search => search.Best)))
                if (stopped is { } lay && cloth.WithoutGap(lay).Length < Found.Best.Length)
                    Tell(table.Finished(lay, CancellationToken.None), better);
        }
    }

    private void Take(Placed lay, Action<ClothLay> better, CancellationToken stop)
    {
        if (lay.Length < best.Length)
            best = lay;
        Tell(table.Finished(cloth.IsPlain ? table.Nested(lay, stop) : lay, stop), better);
    }

    private void Tell(ClothLay finished, Action<ClothLay> better)
    {
        shortest = Length.Min(shortest, finished.Best.Length);
        if (
            finished.Best.Length <= Found.Best.Length
            && (finished.IsProven ? !Found.IsProven : finished.Best.Length < Found.Best.Length && IsWorth(finished))
        )
            better(Found = finished);
    }

    // A hair less cloth is not worth more lines to chalk.
    private bool IsWorth(ClothLay lay) =>
        Found.Best.Length - lay.Best.Length > Simplicity.Worth
        || Simplicity.Of(lay.Best, byId).CompareTo(Simplicity.Of(Found.Best, byId)) <= 0;

    private long Below => (shortest + cloth.Gap).Ticks - 1;

    // The lays of a round, in lots that are laid side by side; each lot aims below what those before it have found.
    private IEnumerable<Func<Placed?>[]> Lots(CancellationToken stop)
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
                            if (search != orders[0] && best.Placements.Count > 0)
                                search.From(best);
                            search.Run(overlaps.Length > 0 && round > 0 ? FewOrders : Orders, stop);
                            return search.Best;
                        }
                    )
                ),
            ];
        if (best.Placements.Count > 0 && overlaps.Length > 0)
            yield return
            [
                .. overlaps.Select(search =>
                    (Func<Placed?>)(
                        () =>
                        {
                            search.From(best);
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
        Func<Placed?> Straight(long aim) => () => table.Followed(width, new(5 + (round * 7 % 11)), stop, aim);
        yield return
        [
            Straight(Below),
            table.Count > MostExchanged
                ? Lower(table, width, Below, evenly: true, random.Next(), stop)
                : () => table.Exchanged(seed + (round * 31), rounds: 6, steps, stop),
        ];
        for (var lot = 0; lot < (round < WideRound ? 1 : WideLots << Math.Max(0, widened - MostWideRound)); lot++)
        {
            var shorter = new Placed?[Aimed];
            yield return
            [
                .. Enumerable
                    .Range(0, Aimed)
                    .Select(n => Lower(table, width, Below, n < evenly, random.Next(), stop))
                    .Select((lower, n) => (Func<Placed?>)(() => shorter[n] = lower())),
            ];
            // What has found a shorter lay is tried more often, the other still.
            var (even, other) = (
                shorter.Take(evenly).Any(lay => lay is not null),
                shorter.Skip(evenly).Any(lay => lay is not null)
            );
            if (even != other)
                evenly = even ? Aimed - 1 : 1;
        }
    }

    // Many lays that are shaken, each at another care and aimed up to two fifths of the way down to the bound: one of
    // them comes out shorter than a single one of twice the width. Which sizes an even edge suits differs from cloth to
    // cloth.
    private static Func<Placed?> Lower(
        LaySet table,
        int width,
        long below,
        bool evenly,
        int seed,
        CancellationToken stop
    )
    {
        var random = new Random(seed);
        var aim = below - (long)((below - table.Bound) * 0.4 * random.NextDouble());
        var care = evenly ? new Care(random.Next(30, 65), 0.4 + (0.8 * random.NextDouble())) : new(random.Next(8, 32));
        return () => table.Followed(width, care, stop, aim, random);
    }
}
