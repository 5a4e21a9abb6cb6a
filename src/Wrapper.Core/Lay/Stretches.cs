namespace Wrapper.Core.Lay;

/// <summary>Open stretches of a line in counts, in which something may not begin.</summary>
internal sealed class Stretches : IForbidden
{
    private long[] from = new long[256],
        to = new long[256];
    private int count;

    /// <summary>Forgets all.</summary>
    public void Clear() => count = 0;

    /// <inheritdoc/>
    public void Add(long low, long high, long shared) => Add(low, high);

    /// <summary>One more.</summary>
    public void Add(long low, long high)
    {
        if (count == from.Length)
        {
            Array.Resize(ref from, 2 * count);
            Array.Resize(ref to, 2 * count);
        }
        (from[count], to[count]) = (low, high);
        count++;
    }

    /// <summary>The end of the last one; 0 where there is none.</summary>
    public long Last => count == 0 ? 0 : to.Take(count).Max();

    /// <summary>Whether a place lies more than <paramref name="by"/> within one of them.</summary>
    public bool Holds(long place, long by) =>
        Enumerable.Range(0, count).Any(n => from[n] + by < place && place < to[n] - by);

    /// <summary>
    /// The first place from <paramref name="start"/> on that none forbids, moved on by <paramref name="onto"/> to where
    /// it may be at all; gives up with null above <paramref name="limit"/>.
    /// </summary>
    public long? Free(long start, long limit, Func<long, long>? onto = null)
    {
        Array.Sort(from, to, 0, count);
        var at = onto is null ? start : onto(start);
        for (var n = 0; n < count && from[n] < at; n++)
        {
            if (to[n] <= at)
                continue;
            at = onto is null ? to[n] : onto(to[n]);
            if (at > limit)
                return null;
        }
        return at > limit ? null : at;
    }

    /// <summary>Both ends of every place between <paramref name="start"/> and <paramref name="end"/> that none forbids.</summary>
    public void Gaps(long start, long end, List<long> into)
    {
        Array.Sort(from, to, 0, count);
        var at = start;
        for (var n = 0; n < count && at <= end; n++)
        {
            if (from[n] >= at && from[n] <= end)
            {
                into.Add(at);
                if (from[n] > at)
                    into.Add(from[n]);
            }
            at = Math.Max(at, to[n]);
        }
        if (at > end)
            return;
        into.Add(at);
        if (end > at)
            into.Add(end);
    }
}
