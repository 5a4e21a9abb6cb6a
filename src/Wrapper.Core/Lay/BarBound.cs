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
    private const int MostRows = 30_000,
        Settled = 1_000,
        MostTriedAStep = 5_000;

    /// <summary>
    /// A rectangle within a piece, how many of it there are, and where across the repeat it may begin; nowhere in
    /// particular where it need not match.
    /// </summary>
    private readonly record struct Bar(long Width, long Length, int Count, long[] Phases);

    private readonly long usable,
        across;
    private readonly Bar[] bars;
    private long tried;

    private BarBound(long usable, long across, Bar[] bars) =>
        (this.usable, this.across, this.bars) = (usable, across, bars);

    /// <summary>
    /// The bound for these kinds, so many of each, parted into so many rectangles at the most, after so many steps; zero
    /// where nothing can be said.
    /// </summary>
    public static long Of(
        IReadOnlyList<(PieceKind Kind, int Count)> kinds,
        LayCloth cloth,
        int most,
        int steps,
        CancellationToken stop
    )
    {
        if (cloth.StockLengths.Count > 0 || cloth.Article is not null)
            return 0;
        var across = cloth.Repeat?.Across.Ticks ?? 0;
        var known = kinds
            .Select(each => (each.Kind, each.Count, Partings: InnerRectangles.Of(each.Kind, most)))
            .Where(each => each.Partings.Count > 0)
            .ToList();
        if (known.Count == 0)
            return 0;
        // Measured as they are, or by the places of the repeat up the roll, whichever comes to more.
        var (levels, spread) = ((Levels?)null, Spread(null));
        if (cloth.Repeat is not null)
            foreach (var tried in Levels.Of(known.SelectMany(All), cloth.Repeat))
                if (Spread(tried) is var more && more - (tried.Lost * (double)cloth.Usable.Ticks) > spread)
                    (levels, spread) = (tried, more - (tried.Lost * (double)cloth.Usable.Ticks));
        // Those that count alike are one: a pair of mirror images too.
        Bar[] bars =
        [
            .. known
                .SelectMany(each =>
                    each.Partings.MaxBy(parting => Worth(each.Kind, parting, levels))!
                        .Select(inner => new Bar(
                            inner.Min(one => one.Width),
                            Long(each.Kind, inner, levels),
                            each.Count,
                            across > 0 && each.Kind.IsMatched
                                ?
                                [
                                    .. each
                                        .Kind.Ways.Select((way, n) => Grid.First(across, way.OriginX - inner[n].Left))
                                        .Distinct()
                                        .Order(),
                                ]
                                : []
                        ))
                )
                .Where(bar => bar.Length > 0)
                .GroupBy(bar => (bar.Width, bar.Length, string.Join(' ', bar.Phases)))
                .Select(alike => alike.First() with { Count = alike.Sum(bar => bar.Count) }),
        ];
        return bars.Length == 0
            ? 0
            : Math.Max(0, new BarBound(cloth.Usable.Ticks, across, bars).Best(steps, stop) - (levels?.Lost ?? 0));

        double Spread(Levels? by) =>
            known.Sum(each => each.Count * each.Partings.Max(parting => Worth(each.Kind, parting, by)));

        static IEnumerable<(PieceKind, Inner[])> All((PieceKind Kind, int Count, List<List<Inner[]>> Partings) each) =>
            each.Partings.SelectMany(parting => parting.Select(inner => (each.Kind, inner)));
    }

    private static double Worth(PieceKind kind, List<Inner[]> parting, Levels? by) =>
        parting.Sum(inner => (double)inner.Min(one => one.Width) * Long(kind, inner, by));

    private static long Long(PieceKind kind, Inner[] inner, Levels? by) =>
        by is { } levels
            ? kind.Ways.Select((way, n) => levels.Between(kind, way, inner[n].Bottom, inner[n].Height)).Min()
            : inner.Min(each => each.Height);

    private long Best(int steps, CancellationToken stop)
    {
        var worth = bars.Select(bar => (double)bar.Width / usable).ToArray();
        var (best, bettered) = (0.0, 0);
        // Where as many steps again have bettered nothing, no more will. Where rows are many, steps are few.
        for (
            var step = 0;
            step < Math.Min(steps, Settled + (2 * bettered))
                && tried < (long)steps * MostTriedAStep
                && !stop.IsCancellationRequested;
            step++
        )
        {
            var sum = bars.Select((bar, n) => (double)bar.Length * bar.Count * worth[n]).Sum();
            var (most, row) = Most(worth);
            if (sum / most > best * (1 + 1e-6))
                bettered = step;
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
        int[] others = [.. order.Where(n => bars[n].Phases.Length == 0)];
        var (best, rows) = (0.0, 0);
        var (taken, row) = (new int[bars.Length], new int[bars.Length]);
        var behind = new Dictionary<long, double>();
        var whole = Matched(0, 0, 0);
        return (whole ? best : Math.Max(best, AtMost(0, 0)), row);

        // Matched ones from the left on, in any order, each at its next place; the rest goes between and beside them.
        bool Matched(long from, long filled, double value)
        {
            if (!Others(0, usable - filled, value))
                return false;
            if (value + AtMost(from, filled) <= best)
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

        // What may still come: by width alone, or matched ones in any number at their places and the others beside them.
        double AtMost(long from, long filled) =>
            Math.Min(Parts(order, 0, usable - filled), Behind(from) + Parts(others, 0, usable - filled));

        double Behind(long from)
        {
            if (behind.TryGetValue(from, out var known))
                return known;
            var most = 0.0;
            foreach (var n in order)
            foreach (var phase in bars[n].Phases)
            {
                tried++;
                if (Grid.UpTo(from, across, phase) + bars[n].Width is var end && end <= usable)
                    most = Math.Max(most, worth[n] + Behind(end));
            }
            return behind[from] = most;
        }

        bool Others(int at, long room, double value)
        {
            tried++;
            if (++rows > MostRows)
                return false;
            if (value > best)
            {
                best = value;
                taken.CopyTo(row, 0);
            }
            if (at == others.Length || value + Parts(others, at, room) <= best)
                return true;
            var n = others[at];
            for (var take = (int)Math.Min(bars[n].Count, room / bars[n].Width); take >= 0; take--)
            {
                taken[n] = take;
                if (!Others(at + 1, room - (take * bars[n].Width), value + (take * worth[n])))
                    return false;
            }
            return true;
        }

        // At most: the best by width fill the room, the last one in part.
        double Parts(int[] among, int at, long room)
        {
            var sum = 0.0;
            for (; at < among.Length && room > 0; at++)
            {
                ref readonly var bar = ref bars[among[at]];
                var take = Math.Min(bar.Count, (double)room / bar.Width);
                sum += take * worth[among[at]];
                room -= (long)(take * bar.Width);
            }
            return sum;
        }
    }
}
