namespace Wrapper.Core.Lay;

/// <summary>
/// Lays boxes one by one on the skyline like <see cref="Skyline"/>, but follows many lays at once: of all ways to go on, the ones that have laid most and
/// given up least are kept for the next box. Nothing is laid above the aim, and what has given up more area than that length has to spare is dropped.
/// </summary>
internal sealed class BeamSearch
{
    private readonly IReadOnlyList<Box> boxes;
    private readonly long usable;
    private readonly (int Box, int Way, long Width, long Height)[] ways;
    private readonly long[] areas;
    private readonly ulong[] marks;
    private readonly long total;
    private readonly int all;

    public BeamSearch(IReadOnlyList<Box> boxes, long usable)
    {
        (this.boxes, this.usable) = (boxes, usable);
        ways = [.. boxes.SelectMany((box, at) => box.Ways.Select((way, n) => (at, n, way.Width, way.Height))).OrderByDescending(way => way.Item3 * (way.Item4 >> 10))];
        areas = [.. boxes.Select(box => box.Area)];
        total = boxes.Sum(box => box.Count * box.Area);
        all = boxes.Sum(box => box.Count);
        var random = new Random(7);
        marks = [.. boxes.Select(_ => (ulong)random.NextInt64() << 1 | 1)];
    }

    // A lay so far: its skyline, how many of each box are left, and what was given up.
    private sealed class State
    {
        public required (long X, long Y, long Width)[] Line;
        public required short[] Left;
        public long Waste, Placed, Reached, Narrowest;
        public ulong Left64;
        public Step? Last;
    }

    private sealed record Step(Step? Before, Spot Spot);

    // A way to go on, before anything is copied.
    private readonly record struct Choice(State From, (long X, long Y, long Width)[] Line, int At, int Way, bool ToLeft, long Waste, long Rank);

    /// <summary>
    /// A lay of everything no longer than <paramref name="aim"/>, following <paramref name="width"/> lays of which each goes on in at most <paramref name="branches"/> ways; null where none was found.
    /// <paramref name="weight"/> is how much worse given up area is than area not yet laid.
    /// </summary>
    public (List<Spot> Spots, long Reached)? Find(long aim, int width, int branches, int weight, CancellationToken stop)
    {
        var spare = aim == long.MaxValue ? long.MaxValue : (usable * (aim >> 10)) + usable - total;
        if (spare < 0) return null;
        List<State> states = [new() { Line = [(0, 0, usable)], Left = [.. boxes.Select(box => (short)box.Count)], Narrowest = ways.Min(way => way.Width) }];
        var seen = new HashSet<ulong>();
        for (var laid = 0; laid < all; laid++)
        {
            stop.ThrowIfCancellationRequested();
            var choices = new List<Choice>();
            foreach (var state in states) Expand(state, state.Line, state.Waste, aim, spare, branches, weight, choices, 0);
            choices.Sort((a, b) => b.Rank.CompareTo(a.Rank));
            seen.Clear();
            states = [];
            foreach (var choice in choices)
            {
                var next = Put(choice);
                if (seen.Add(Key(next))) states.Add(next);
                if (states.Count == width) break;
            }
            if (states.Count == 0) return null;
        }
        var best = states.MinBy(state => state.Reached)!;
        var spots = new List<Spot>();
        for (var step = best.Last; step is not null; step = step.Before) spots.Add(step.Spot);
        return (spots, best.Reached);
    }

    private void Expand(State state, (long X, long Y, long Width)[] line, long waste, long aim, long spare, int branches, int weight, List<Choice> choices, int raised)
    {
        var at = 0;
        for (var n = 1; n < line.Length; n++)
            if (line[n].Y < line[at].Y) at = n;
        var (_, y, hollow) = line[at];
        var (before, after) = (at == 0 ? long.MaxValue : line[at - 1].Y - y, at == line.Length - 1 ? long.MaxValue : line[at + 1].Y - y);
        var (high, low) = before >= after ? (before, after) : (after, before);
        Span<(int Score, int Way)> best = stackalloc (int, int)[branches];
        var found = 0;
        for (var n = 0; n < ways.Length; n++)
        {
            var (box, _, w, h) = ways[n];
            if (state.Left[box] == 0 || w > hollow || h > aim - y) continue;
            int score;
            if (w == hollow) score = h == high ? 9 : h == low ? 8 : h > high ? 7 : h > low ? 5 : 4;
            else if (hollow - w < state.Narrowest) score = h == high || h == low ? 2 : 0;
            else score = h == high ? 6 : h == low ? 3 : 1;
            // The best few, of equal ones the larger, which come first.
            var place = found;
            while (place > 0 && best[place - 1].Score < score) place--;
            if (place >= branches) continue;
            if (found < branches) found++;
            for (var to = found - 1; to > place; to--) best[to] = best[to - 1];
            best[place] = (score, n);
        }
        for (var n = 0; n < found; n++)
        {
            var (box, _, w, h) = ways[best[n].Way];
            var rest = hollow - w;
            var lost = rest > 0 && rest < state.Narrowest ? rest * (Math.Min(h, low == long.MaxValue ? h : low) >> 10) : 0;
            if (waste + lost > spare) continue;
            choices.Add(new Choice(state, line, at, best[n].Way, h == before || (h != after && before >= after), waste, state.Placed + areas[box] - (weight * (waste + lost)) + ((best[n].Score - 5) << 4)));
        }
        // Nothing goes in, or only loosely: the hollow may be given up instead.
        if (raised >= 3 || (found > 0 && best[0].Score > 1) || low == long.MaxValue) return;
        var by = Math.Min(low, aim - y);
        if (by <= 0 || waste + (hollow * (by >> 10)) > spare || by != low) return;
        Expand(state, UpperEdge.Raised(line, at, hollow, by), waste + (hollow * (by >> 10)), aim, spare, branches, weight, choices, raised + 1);
    }

    private State Put(Choice choice)
    {
        var (from, before, at, n, toLeft, waste, _) = choice;
        var (box, way, w, h) = ways[n];
        var (x, y, hollow) = before[at];
        short[] left = [.. from.Left];
        left[box]--;
        var narrowest = from.Narrowest;
        if (left[box] == 0)
        {
            narrowest = long.MaxValue;
            foreach (var each in ways)
                if (left[each.Box] > 0 && each.Width < narrowest) narrowest = each.Width;
        }
        return new State
        {
            Line = UpperEdge.Raised(before, at, w, h, toLeft || w == hollow),
            Left = left,
            Left64 = from.Left64 + marks[box],
            Waste = waste,
            Placed = from.Placed + areas[box],
            Reached = Math.Max(from.Reached, y + h),
            Narrowest = narrowest,
            Last = new Step(from.Last, new Spot(box, way, toLeft ? x : x + hollow - w, y)),
        };
    }

    private static ulong Key(State state)
    {
        var key = state.Left64;
        foreach (var (x, y, _) in state.Line) key = (key * 0x9E3779B97F4A7C15) ^ (ulong)(x + (y << 20));
        return key;
    }
}
