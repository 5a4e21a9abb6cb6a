namespace Wrapper.Core.Lay;

/// <summary>
/// A length that no lay can be under, by what lies side by side: any line across the cloth meets pieces that go into its
/// width together, matched ones at their places of the repeat. Give every piece a worth for its width so that no such set
/// is worth more than one: its worth times its length, summed, is a bound. The worths are bettered step by step; each of
/// them is valid, the best one counts.
/// Source: the bar relaxation (Belov and Scheithauer 2013), its dual by multiplicative steps.
/// </summary>
internal sealed class BarBound
{
    // So many rows are looked at for one worth; where there are more, the worth of parts of pieces stands for them.
    private const int MostRows = 30_000;

    /// <summary>
    /// A rectangle within a piece, how many of it there are, and where across the repeat it may begin; nowhere in
    /// particular where it need not match.
    /// </summary>
    private readonly record struct Bar(long Width, long Length, int Count, long[] Phases);

    private readonly long usable,
        across;
    private readonly Bar[] bars;

    private BarBound(long usable, long across, Bar[] bars) =>
        (this.usable, this.across, this.bars) = (usable, across, bars);

    /// <summary>The bound for these kinds, so many of each, after so many steps; zero where nothing can be said.</summary>
    public static long Of(
        IReadOnlyList<(PieceKind Kind, int Count)> kinds,
        LayCloth cloth,
        int steps,
        CancellationToken stop
    )
    {
        if (cloth.StockLengths.Count > 0 || cloth.Article is not null)
            return 0;
        var across = cloth.Repeat?.Across.Ticks ?? 0;
        var inners = kinds
            .Select(each => (each.Kind, each.Count, Inner: each.Kind.Ways.Select(way => way.Region.Inner()).ToArray()))
            .Where(each => each.Inner.All(inner => inner is { Width: > 0, Height: > 0 }))
            .ToList();
        if (inners.Count == 0)
            return 0;
        // Measured as they are, or by the places of the repeat up the roll, whichever comes to more.
        var (levels, spread) = ((Levels?)null, Spread(null));
        if (cloth.Repeat is not null)
            foreach (var tried in Levels.Of(inners.Select(each => (each.Kind, each.Inner)), cloth.Repeat))
                if (Spread(tried) is var more && more - (tried.Lost * (double)cloth.Usable.Ticks) > spread)
                    (levels, spread) = (tried, more - (tried.Lost * (double)cloth.Usable.Ticks));
        Bar[] bars =
        [
            .. inners.Select(each => new Bar(
                each.Inner.Min(inner => inner.Width),
                Long(each.Kind, each.Inner, levels),
                each.Count,
                across > 0 && each.Kind.IsMatched
                    ?
                    [
                        .. each
                            .Kind.Ways.Select((way, n) => Grid.First(across, way.OriginX - each.Inner[n].Left))
                            .Distinct(),
                    ]
                    : []
            )),
        ];
        return Math.Max(0, new BarBound(cloth.Usable.Ticks, across, bars).Best(steps, stop) - (levels?.Lost ?? 0));

        double Spread(Levels? by) =>
            inners.Sum(each =>
                (double)each.Count * each.Inner.Min(inner => inner.Width) * Long(each.Kind, each.Inner, by)
            );
    }

    private static long Long(PieceKind kind, (long Left, long Bottom, long Width, long Height)[] inner, Levels? by) =>
        by is { } levels
            ? kind.Ways.Select((way, n) => levels.Between(kind, way, inner[n].Bottom, inner[n].Height)).Min()
            : inner.Min(each => each.Height);

    private long Best(int steps, CancellationToken stop)
    {
        var worth = bars.Select(bar => (double)bar.Width / usable).ToArray();
        var best = 0.0;
        for (var step = 0; step < steps && !stop.IsCancellationRequested; step++)
        {
            var sum = bars.Select((bar, n) => (double)bar.Length * bar.Count * worth[n]).Sum();
            var (most, row) = Most(worth);
            best = Math.Max(best, sum / most);
            var pace = 0.6 / Math.Sqrt(1 + (step / 4.0));
            for (var n = 0; n < bars.Length; n++)
            {
                // Up by its share of the length, down by its share of the row that is worth most.
                var share = ((double)bars[n].Length * bars[n].Count * worth[n] / sum) - (row[n] * worth[n] / most);
                worth[n] *= Math.Exp(pace * share);
            }
        }
        // A count is taken off for what doubles lose.
        return Math.Max(0, (long)Math.Floor(best * (1 - 1e-9)) - 1);
    }

    // The row that is worth most: how many of each stand in it, and what it is worth at the most.
    private (double Most, int[] Row) Most(double[] worth)
    {
        int[] order = [.. Enumerable.Range(0, bars.Length).OrderByDescending(n => worth[n] / bars[n].Width)];
        var (best, rows) = (0.0, 0);
        var (taken, row) = (new int[bars.Length], new int[bars.Length]);
        var whole = Matched(0, 0, 0);
        return (whole ? best : Math.Max(best, Parts(0, usable)), row);

        // Matched ones from the left on, in any order, each at its next place; the rest goes between and beside them.
        bool Matched(long from, long filled, double value)
        {
            if (!Others(0, usable - filled, value))
                return false;
            if (value + Parts(0, usable - filled) <= best)
                return true;
            foreach (var n in order)
            {
                if (taken[n] == bars[n].Count)
                    continue;
                foreach (var phase in bars[n].Phases)
                {
                    var end = Grid.UpTo(from, across, phase) + bars[n].Width;
                    if (end > usable)
                        continue;
                    taken[n]++;
                    var done = Matched(end, filled + bars[n].Width, value + worth[n]);
                    taken[n]--;
                    if (!done)
                        return false;
                }
            }
            return true;
        }

        bool Others(int at, long room, double value)
        {
            if (++rows > MostRows)
                return false;
            if (value > best)
            {
                best = value;
                taken.CopyTo(row, 0);
            }
            while (at < order.Length && bars[order[at]].Phases.Length > 0)
                at++;
            if (at == order.Length || value + Parts(at, room) <= best)
                return true;
            var n = order[at];
            for (var take = (int)Math.Min(bars[n].Count, room / bars[n].Width); take >= 0; take--)
            {
                taken[n] = take;
                if (!Others(at + 1, room - (take * bars[n].Width), value + (take * worth[n])))
                    return false;
            }
            return true;
        }

        // At most: the best by width fill the room, the last one in part.
        double Parts(int at, long room)
        {
            var sum = 0.0;
            for (; at < order.Length && room > 0; at++)
            {
                ref readonly var bar = ref bars[order[at]];
                var take = Math.Min(bar.Count, (double)room / bar.Width);
                sum += take * worth[order[at]];
                room -= (long)(take * bar.Width);
            }
            return sum;
        }
    }
}
