using Wrapper.Core.Jobs;

namespace Wrapper.Core.Lay;

/// <summary>
/// A longer search for a shorter lay: rounds of following more and more lays side by side, shaken and aimed below the
/// best, with exchanges from another seed
/// beside them; on cloth with demands of its own, of orders shaken a little. The same seed and number of rounds give
/// the same lay; it ends when the lay is
/// proven, when it is stopped, or after the last round.
/// </summary>
public static class LaySearch
{
    /// <summary>How many rounds there are; each takes about twice as long as the one before.</summary>
    public const int Rounds = 12;

    // Orders of up to so many pieces are also bettered by exchanging two; with more pieces one exchange changes too little.
    private const int MostExchanged = 80;

    // From this round on the beam is wide enough: several beams of this width find more than one that is wider still.
    private const int WideRound = 6,
        WideLots = 3;

    // A lay that is followed takes some two kilobytes; no round follows more of them side by side, so that a search of
    // any length stays within its memory.
    private const int MostWide = 6000,
        MostWideRound = 7;

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
        int rounds = Rounds
    )
    {
        var found = LayTable.Of(pieces, cloth, CancellationToken.None);
        better(found);
        if (found.Best.Placements.Count < 2 || cloth.Spread == Spread.Torn)
            return found;
        if (cloth.Spread == Spread.Folded)
        {
            // Both parts are searched; a shorter one of either shortens the whole.
            var folded = FoldedLay.Of(pieces, cloth, (some, on) => Run(some, on, seed, _ => { }, stop, rounds));
            if (folded.Best.Length < found.Best.Length)
                better(found = folded);
            return found;
        }
        var table = new LaySet(pieces, cloth);
        try
        {
            for (var round = 0; round < rounds && !found.IsProven; round++)
                foreach (
                    var ways in Round(table, cloth, seed, round, () => (found.Best.Length + cloth.Gap).Ticks - 1, stop)
                        .TakeWhile(_ => !found.IsProven)
                )
                foreach (var lay in SideBySide.Laid(ways, stop))
                    if (
                        table.Finished(cloth.IsPlain ? table.Nested(lay, stop) : lay, stop) is var finished
                        && (
                            finished.Best.Length < found.Best.Length
                            || finished is { IsProven: true } && finished.Best.Length == found.Best.Length
                        )
                    )
                        better(found = finished);
        }
        catch (OperationCanceledException)
        {
            // Stopped: the best so far stands.
        }
        return found;
    }

    // The lays of a round, in lots that are laid side by side; each lot aims below what those before it have found.
    private static IEnumerable<Func<Placed?>[]> Round(
        LaySet table,
        LayCloth cloth,
        int seed,
        int round,
        Func<long> below,
        CancellationToken stop
    )
    {
        if (!cloth.IsPlain || !table.IsRectangles)
            yield return [.. Shaken(table, seed, round, stop)];
        if (!cloth.IsPlain)
            yield break;
        var (width, steps, random) = (
            Math.Min(MostWide, 60 << round),
            (2_000 << round) / Math.Max(1, table.Count / 20),
            new Random(seed + (100 * round))
        );
        Func<Placed?> Aimed() => Lower(table, width, below(), random.Next(), stop);
        Func<Placed?> Straight(long aim) => () => table.Followed(width, stop, aim, weight: 5 + (round * 7 % 11));
        yield return
        [
            Straight(below()),
            table.Count > MostExchanged ? Aimed() : () => table.Exchanged(seed + (round * 31), rounds: 6, steps, stop),
        ];
        for (var lot = 0; lot < (round < WideRound ? 1 : WideLots << Math.Max(0, round - MostWideRound)); lot++)
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

    private static IEnumerable<Func<Placed?>> Shaken(LaySet table, int seed, int round, CancellationToken stop) =>
        Enumerable
            .Range(0, 4 << Math.Min(round, 6))
            .Select(n => (Func<Placed?>)(() => table.Shaken(seed + (1000 * round) + n, stop)));
}
