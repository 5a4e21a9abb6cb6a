using System.Numerics;

namespace Wrapper.Core.Lay;

/// <summary>
/// Lays boxes one by one on the skyline like <see cref="Skyline"/>, but follows many lays at once: of all ways to go
/// on, the ones that have laid most and
/// given up least are kept for the next box. Nothing is laid above the aim, and what has given up more area than that
/// length has to spare is dropped. Source: beam search over skylines, as in the strip packing literature.
/// </summary>
internal sealed class BeamSearch
{
    // Each lay is continued in at most so many ways.
    private const int Branches = 4;

    // A step of the upper edge as high as an average box is wide counts as so much of a stretch.
    private const double Steep = 0.25;

    private readonly IReadOnlyList<Box> boxes;
    private readonly long usable;
    private readonly (int Box, int Way, long Width, long Height)[] ways;
    private readonly int[][] waysOf;
    private readonly long[] areas,
        narrowestOf;
    private readonly ulong[] marks;
    private readonly long total;
    private readonly int all,
        waste;
    private readonly double stretch,
        rise;

    public BeamSearch(IReadOnlyList<Box> boxes, long usable, Care care)
    {
        (this.boxes, this.usable, waste) = (boxes, usable, care.Waste);
        // Larger boxes first.
        ways =
        [
            .. boxes
                .SelectMany((box, at) => box.Ways.Select((way, n) => (at, n, way.Width, way.Height)))
                .OrderByDescending(way => way.Item3 * (way.Item4 >> 10)),
        ];
        waysOf =
        [
            .. boxes.Select((_, box) => Enumerable.Range(0, ways.Length).Where(n => ways[n].Box == box).ToArray()),
        ];
        areas = [.. boxes.Select(box => box.Area)];
        narrowestOf = [.. boxes.Select(box => box.Ways.Min(way => way.Width))];
        total = boxes.Sum(box => box.Count * box.Area);
        all = boxes.Sum(box => box.Count);
        // Of an average box its area for each stretch, its width for each step up or down.
        stretch = care.Uneven * total / all;
        rise = care.Uneven * Steep * boxes.Sum(box => (double)box.Count * box.Ways.Average(way => way.Width)) / all;
        var random = new Random(7);
        marks = [.. boxes.Select(_ => (ulong)random.NextInt64() << 1 | 1)];
    }

    // A lay so far: its skyline, how many of each box are left and so which ways are open, and what was given up.
    private sealed class State
    {
        public required (long X, long Y, long Width)[] Line;
        public required short[] Left;
        public required ulong[] Open;
        public long Waste,
            Placed,
            Reached,
            Narrowest;
        public ulong Left64;
        public Step? Last;
    }

    private sealed record Step(Step? Before, Spot Spot);

    // One way to continue a lay, described before the lay is copied for it.
    private readonly record struct Choice(
        State From,
        (long X, long Y, long Width)[] Line,
        int At,
        int Way,
        bool ToLeft,
        long Waste
    );

    // The continuations of one step. Their worth is kept negated, so that sorting upward puts the best first.
    private sealed class Choices
    {
        public Choice[] All = new Choice[256];
        public int Count;
        private long[] ranks = new long[256];
        private int[] order = new int[256];

        public void Add(in Choice choice, long rank)
        {
            if (Count == All.Length)
            {
                Array.Resize(ref All, 2 * Count);
                Array.Resize(ref ranks, 2 * Count);
                Array.Resize(ref order, 2 * Count);
            }
            (All[Count], ranks[Count], order[Count]) = (choice, -rank, Count);
            Count++;
        }

        public void Shake(Func<long> by)
        {
            for (var n = 0; n < Count; n++)
                ranks[n] -= by();
        }

        public ArraySegment<int> Ranked()
        {
            Array.Sort(ranks, order, 0, Count);
            return new(order, 0, Count);
        }
    }

    /// <summary>
    /// A lay of everything no longer than <paramref name="aim"/>, following <paramref name="width"/> lays; null where
    /// none was found.
    /// <paramref name="shake"/>, an area, is added to each rank so that other lays are followed.
    /// </summary>
    public (List<Spot> Spots, long Reached)? Find(long aim, int width, CancellationToken stop, Func<long>? shake = null)
    {
        var spare = aim == long.MaxValue ? long.MaxValue : (usable * (aim >> 10)) + usable - total;
        if (spare < 0)
            return null;
        List<State> states = [Empty()],
            next = [];
        var seen = new HashSet<ulong>();
        var choices = new Choices();
        for (var laid = 0; laid < all; laid++)
        {
            stop.ThrowIfCancellationRequested();
            choices.Count = 0;
            foreach (var state in states)
                Expand(state, state.Line, state.Waste, aim, spare, choices, 0);
            if (shake is not null)
                choices.Shake(shake);
            seen.Clear();
            next.Clear();
            foreach (var at in choices.Ranked())
            {
                var grown = Put(choices.All[at]);
                if (seen.Add(Key(grown)))
                    next.Add(grown);
                if (next.Count == width)
                    break;
            }
            if (next.Count == 0)
                return null;
            (states, next) = (next, states);
        }
        var best = states.MinBy(state => state.Reached)!;
        var spots = new List<Spot>();
        for (var step = best.Last; step is not null; step = step.Before)
            spots.Add(step.Spot);
        return (spots, best.Reached);
    }

    private State Empty()
    {
        var open = new ulong[(ways.Length + 63) / 64];
        for (var n = 0; n < ways.Length; n++)
            open[n >> 6] |= 1ul << n;
        return new()
        {
            Line = [(0, 0, usable)],
            Left = [.. boxes.Select(box => (short)box.Count)],
            Open = open,
            Narrowest = ways.Min(way => way.Width),
        };
    }

    private void Expand(
        State state,
        (long X, long Y, long Width)[] line,
        long given,
        long aim,
        long spare,
        Choices choices,
        int raised
    )
    {
        var at = 0;
        for (var n = 1; n < line.Length; n++)
            if (line[n].Y < line[at].Y)
                at = n;
        var (_, y, hollow) = line[at];
        var (before, after) = (
            at == 0 ? long.MaxValue : line[at - 1].Y - y,
            at == line.Length - 1 ? long.MaxValue : line[at + 1].Y - y
        );
        var (high, low) = before >= after ? (before, after) : (after, before);
        // The best few; of equally good ones those with the larger box.
        Span<(int Score, int Way)> best = stackalloc (int, int)[Branches];
        var edge = stretch > 0 ? UpperEdge.Rise(line) : 0;
        var (found, least, room, leaves) = (0, -1, aim - y, hollow - state.Narrowest);
        var open = state.Open;
        for (var word = 0; word < open.Length; word++)
        {
            for (var bits = open[word]; bits != 0; bits &= bits - 1)
            {
                var n = (word << 6) + BitOperations.TrailingZeroCount(bits);
                ref readonly var way = ref ways[n];
                var (w, h) = (way.Width, way.Height);
                if (w > hollow || h > room)
                    continue;
                int score;
                if (w == hollow)
                    score =
                        h == high ? 9
                        : h == low ? 8
                        : h > high ? 7
                        : h > low ? 5
                        : 4;
                else if (w > leaves)
                    score = h == high || h == low ? 2 : 0;
                else
                    score =
                        h == high ? 6
                        : h == low ? 3
                        : 1;
                if (score <= least)
                    continue;
                var place = found < Branches ? found++ : found - 1;
                for (; place > 0 && best[place - 1].Score < score; place--)
                    best[place] = best[place - 1];
                best[place] = (score, n);
                if (found == Branches)
                    least = best[^1].Score;
            }
        }
        for (var n = 0; n < found; n++)
        {
            var (box, _, w, h) = ways[best[n].Way];
            var rest = hollow - w;
            var lost =
                rest > 0 && rest < state.Narrowest ? rest * (Math.Min(h, low == long.MaxValue ? h : low) >> 10) : 0;
            if (given + lost > spare)
                continue;
            var toLeft = h == before || (h != after && before >= after);
            choices.Add(
                new Choice(state, line, at, best[n].Way, toLeft, given),
                state.Placed
                    + areas[box]
                    - (waste * (given + lost))
                    - Uneven(line, edge, at, w, h, toLeft)
                    + ((best[n].Score - 5) << 4)
            );
        }
        // Where no box fits the hollow, or only with a gap, giving the hollow up is one of the continuations.
        if (raised >= 3 || (found > 0 && best[0].Score > 1) || low == long.MaxValue)
            return;
        var by = Math.Min(low, room);
        if (by <= 0 || given + (hollow * (by >> 10)) > spare || by != low)
            return;
        Expand(
            state,
            UpperEdge.Raised(line, at, hollow, by),
            given + (hollow * (by >> 10)),
            aim,
            spare,
            choices,
            raised + 1
        );
    }

    // What an edge is reckoned to lose once this lies in its lowest stretch.
    private long Uneven((long X, long Y, long Width)[] line, long edge, int at, long w, long h, bool toLeft)
    {
        if (stretch <= 0)
            return 0;
        var (stretches, steps) = UpperEdge.RiseBy(line, at, w, h, toLeft);
        return (long)((stretch * (line.Length + stretches)) + (rise * ((edge + steps) >> 10)));
    }

    private State Put(in Choice choice)
    {
        var (from, before, at, n, toLeft, waste) = choice;
        var (box, way, w, h) = ways[n];
        var (x, y, hollow) = before[at];
        short[] left = [.. from.Left];
        var (open, narrowest) = (from.Open, from.Narrowest);
        if (--left[box] == 0)
        {
            open = [.. open];
            foreach (var each in waysOf[box])
                open[each >> 6] &= ~(1ul << each);
            if (narrowest == narrowestOf[box])
                narrowest = Narrowest(open);
        }
        return new State
        {
            Line = UpperEdge.Raised(before, at, w, h, toLeft || w == hollow),
            Left = left,
            Open = open,
            Left64 = from.Left64 + marks[box],
            Waste = waste,
            Placed = from.Placed + areas[box],
            Reached = Math.Max(from.Reached, y + h),
            Narrowest = narrowest,
            Last = new Step(from.Last, new Spot(box, way, toLeft ? x : x + hollow - w, y)),
        };
    }

    private long Narrowest(ulong[] open)
    {
        var narrowest = long.MaxValue;
        for (var n = 0; n < ways.Length; n++)
            if ((open[n >> 6] >> n & 1) != 0 && ways[n].Width < narrowest)
                narrowest = ways[n].Width;
        return narrowest;
    }

    private static ulong Key(State state)
    {
        var key = state.Left64;
        foreach (var (x, y, _) in state.Line)
            key = (key * 0x9E3779B97F4A7C15) ^ (ulong)(x + (y << 20));
        return key;
    }
}
