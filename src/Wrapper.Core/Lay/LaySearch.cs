namespace Wrapper.Core.Lay;

/// <summary>
/// A longer search for a shorter lay: rounds of following more and more lays side by side, at weights that change from round to round, with exchanges
/// from another seed beside them; on cloth with demands of its own, of orders shaken a little. The same seed and number of rounds give the same lay; it ends when the
/// lay is proven, when it is stopped, or after the last round.
/// </summary>
public static class LaySearch
{
    /// <summary>How many rounds there are; each takes about twice as long as the one before.</summary>
    public const int Rounds = 12;

    private const int MostExchanged = 60;

    /// <summary>
    /// Searches until <paramref name="stop"/>, which ends it with the best so far. The first lay and every shorter one is told to <paramref name="better"/> at once.
    /// </summary>
    public static ClothLay Run(IReadOnlyList<LayPiece> pieces, LayCloth cloth, int seed, Action<ClothLay> better, CancellationToken stop, int rounds = Rounds)
    {
        var found = LayTable.Of(pieces, cloth, CancellationToken.None);
        better(found);
        if (found.Best.Placements.Count < 2 || cloth.Spread == Spread.Torn) return found;
        if (cloth.Spread == Spread.Folded)
        {
            // Both parts are searched; a shorter one of either shortens the whole.
            var folded = FoldedLay.Of(pieces, cloth, (some, on) => Run(some, on, seed, _ => { }, stop, rounds));
            if (folded.Best.Length < found.Best.Length) better(found = folded);
            return found;
        }
        var table = new LaySet(pieces, cloth);
        try
        {
            for (var round = 0; round < rounds && !found.IsProven; round++)
                foreach (var lay in Round(table, cloth, seed, round, (found.Best.Length + cloth.Gap).Ticks - 1, stop).AsParallel().AsOrdered().WithCancellation(stop).Select(way => way()).AsEnumerable().OfType<Placed>().ToList())
                    if (table.Finished(cloth.IsPlain ? table.Nested(lay, stop) : lay, stop) is var finished && (finished.Best.Length < found.Best.Length || finished is { IsProven: true } && finished.Best.Length == found.Best.Length))
                        better(found = finished);
        }
        catch (OperationCanceledException)
        {
            // Stopped: the best so far stands.
        }
        return found;
    }

    private static Func<Placed?>[] Round(LaySet table, LayCloth cloth, int seed, int round, long aim, CancellationToken stop)
    {
        if (!cloth.IsPlain) return [.. Shaken(table, seed, round, stop)];
        var (width, steps, weight) = (60 << round, 2_000 << round, 5 + (round * 7 % 11));
        // Of many boxes an exchange betters little: two lots of lays are followed instead, one more narrowly ranked.
        Func<Placed?> other = table.Count > MostExchanged
            ? () => table.Followed(width, stop, aim, 4 + (weight * 7 % 13), branches: 6)
            : () => table.Exchanged(seed + (round * 31), rounds: 6, steps / Math.Max(1, table.Count / 20), stop);
        Func<Placed?>[] boxes = [() => table.Followed(width, stop, aim, weight), other];
        return table.IsRectangles ? boxes : [.. boxes, .. Shaken(table, seed, round, stop)];
    }

    private static IEnumerable<Func<Placed?>> Shaken(LaySet table, int seed, int round, CancellationToken stop) =>
        Enumerable.Range(0, 4 << Math.Min(round, 6)).Select(n => (Func<Placed?>)(() => table.Shaken(seed + (1000 * round) + n, stop)));
}
