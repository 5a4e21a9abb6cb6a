using Wrapper.Core.Jobs;

namespace Wrapper.Core.Lay;

/// <summary>
/// A longer search for a shorter lay, in rounds (<see cref="RoundSearch"/>). The same seed and number of rounds give the
/// same lay; it ends when the lay is proven or when it is stopped, and else after the last round if there is one.
/// </summary>
public static class LaySearch
{
    // Rounds of both parts of folded cloth double up to so many.
    private const int MostFolded = 1 << 12;

    /// <summary>
    /// Searches until <paramref name="stop"/>, which ends it with the best so far. The first lay and every shorter one
    /// is told to <paramref name="better"/> at once. With <paramref name="demands"/> that lay is shorter which is so with
    /// its cord strips; what is told are the panels.
    /// </summary>
    public static ClothLay Run(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        int seed,
        Action<ClothLay> better,
        CancellationToken stop,
        int rounds = int.MaxValue,
        IReadOnlyList<StripDemand>? demands = null
    )
    {
        cloth = cloth.Bearing(pieces);
        if (cloth.Spread == Spread.Folded)
            return Folded(pieces, cloth, seed, rounds, better, stop);
        if (demands is { Count: > 0 } && pieces.Count > 0 && cloth.Spread == Spread.Single)
            return WithCord(pieces, cloth, demands, seed, rounds, better, stop);
        var found = LayTable.Of(pieces, cloth, CancellationToken.None);
        better(found);
        if (cloth.Spread == Spread.Torn)
            return found;
        var search = new RoundSearch(pieces, cloth, found, seed);
        for (var round = 0; round < rounds && !search.IsOver(stop); round++)
            search.Round(better, stop);
        return search.Found;
    }

    // Both parts are searched, ever longer by turns; a shorter one of either shortens the whole.
    private static ClothLay Folded(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        int seed,
        int rounds,
        Action<ClothLay> better,
        CancellationToken stop
    )
    {
        var found = LayTable.Of(pieces, cloth, CancellationToken.None);
        better(found);
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

    // The panels alone, and by turns together with the strips that the best lay leads to, while strips make it longer
    // than panels need be.
    private static ClothLay WithCord(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<StripDemand> demands,
        int seed,
        int rounds,
        Action<ClothLay> better,
        CancellationToken stop
    )
    {
        var cord = new CordLay(pieces, cloth, demands, CancellationToken.None);
        better(cord.AtOnce());
        var alone = new RoundSearch(pieces, cloth, cord.Panels!, seed);
        RoundSearch? both = null;
        IReadOnlyList<LayPiece> together = [];
        for (var round = 0; round < rounds && !stop.IsCancellationRequested && !cord.Whole!.IsProven; round++)
        {
            if (!alone.IsOver(stop))
                alone.Round(lay => Tell(cord.Offer(lay)), stop, lay => Tell(cord.Offer(lay)));
            if (cord.HasTogether && cord.Whole!.Best.Length > alone.Found.Best.Length)
            {
                if (both is null || together != cord.Together)
                    both = new RoundSearch(
                        together = cord.Together,
                        cloth,
                        LayTable.Of(cord.Together, cloth, CancellationToken.None),
                        seed + round
                    );
                Tell(cord.Offer(both.Found.Best));
                if (!both.IsOver(stop))
                    both.Round(lay => Tell(cord.Offer(lay.Best)), stop, lay => Tell(cord.Offer(lay)));
            }
            if (alone.IsOver(stop) && both?.IsOver(stop) != false)
                break;
        }
        return cord.Panels!;

        void Tell(bool shorter)
        {
            if (shorter)
                better(cord.Panels!);
        }
    }
}
