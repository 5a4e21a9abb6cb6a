namespace Wrapper.Core.Lay;

/// <summary>
/// Tries every lay of a few boxes. In some shortest lay every box is pushed down and then left; so in the lowest hollow
/// either some box stands at its left end, or
/// nothing narrower than the hollow is laid in it and it is given up to its lower neighbour. What has given up more
/// than the best length has to spare is dropped.
/// </summary>
internal sealed class ExactLay(IReadOnlyList<Box> boxes, long usable)
{
    private readonly int[] left = [.. boxes.Select(box => box.Count)];
    private readonly List<Spot> spots = [];
    private List<Spot>? best;
    private long length,
        bound;
    private int nodes;

    /// <summary>
    /// The shortest lay under <paramref name="known"/>, null where there is none; proven unless more than
    /// <paramref name="most"/> ways to go on were met.
    /// </summary>
    public (List<Spot>? Spots, long Length, bool Proven) Find(
        long known,
        long shortest,
        int most,
        CancellationToken stop
    )
    {
        (length, bound, nodes, best) = (known, shortest, most, null);
        var spare = 0L;
        foreach (var box in boxes)
            spare += box.Count * box.Ways.Min(way => way.Width * (way.Height >> 10));
        Next([(0, 0, usable)], spare, 0, 0, boxes.Sum(box => box.Count), stop);
        return (best, length, nodes > 0);
    }

    private void Next(
        (long X, long Y, long Width)[] line,
        long area,
        long waste,
        long reached,
        int remaining,
        CancellationToken stop
    )
    {
        if (remaining == 0)
        {
            (length, best) = (reached, [.. spots]);
            return;
        }
        if (--nodes <= 0)
            return;
        if ((nodes & 1023) == 0)
            stop.ThrowIfCancellationRequested();
        var at = 0;
        for (var n = 1; n < line.Length; n++)
            if (line[n].Y < line[at].Y)
                at = n;
        var (x, y, hollow) = line[at];
        for (var box = 0; box < boxes.Count && length > bound && nodes > 0; box++)
        {
            if (left[box] == 0)
                continue;
            for (var way = 0; way < boxes[box].Ways.Count; way++)
            {
                var (_, w, h) = boxes[box].Ways[way];
                if (w > hollow || y + h >= length)
                    continue;
                left[box]--;
                spots.Add(new Spot(box, way, x, y));
                Next(UpperEdge.Raised(line, at, w, h), area, waste, Math.Max(reached, y + h), remaining - 1, stop);
                spots.RemoveAt(spots.Count - 1);
                left[box]++;
            }
        }
        var low = Math.Min(
            at == 0 ? long.MaxValue : line[at - 1].Y,
            at == line.Length - 1 ? long.MaxValue : line[at + 1].Y
        );
        if (low == long.MaxValue || length <= bound)
            return;
        waste += hollow * ((low - y) >> 10);
        if (area + waste <= usable * ((length >> 10) + 1))
            Next(UpperEdge.Raised(line, at, hollow, low - y), area, waste, reached, remaining, stop);
    }
}
