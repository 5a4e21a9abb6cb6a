namespace Wrapper.Core.Lay;

/// <summary>
/// How deep a piece lies in others along a line, each by its weight: in every forbidden stretch as far as the nearer end
/// is away, or as the two share of the width where that is less. The sum is straight between the places where one
/// begins, turns or ends, so its lowest place is one of them. Source: the line search of Umetani et al. 2009.
/// </summary>
internal sealed class Tents : IWeighed
{
    // A place, and how it sorts where several fall on one: what ends there no longer bears on it, what begins there not yet.
    private const int Ends = 0,
        Turns = 1,
        Begins = 2;

    private long[] keys = new long[512];
    private double[] rises = new double[512];
    private int count;

    /// <inheritdoc/>
    public double Weight { get; set; } = 1;

    /// <summary>Forgets all.</summary>
    public void Clear() => count = 0;

    /// <inheritdoc/>
    public void Add(long low, long high, long shared)
    {
        var rise = Math.Min(shared, (high - low) / 2);
        if (rise <= 0)
            return;
        if (count + 4 > keys.Length)
        {
            Array.Resize(ref keys, 2 * keys.Length);
            Array.Resize(ref rises, 2 * rises.Length);
        }
        Add(low, Begins, Weight);
        Add(low + rise, Turns, -Weight);
        Add(high - rise, Turns, -Weight);
        Add(high, Ends, Weight);
    }

    /// <summary>The lowest place from <paramref name="from"/> to <paramref name="to"/> at which the sum is least.</summary>
    public (long At, double Sum) Lowest(long from, long to)
    {
        Array.Sort(keys, rises, 0, count);
        var (best, least) = (from, double.MaxValue);
        var (sum, slope, at, open) = (0.0, 0.0, long.MinValue / 4, 0);
        void Try(long place, double value)
        {
            value = open == 0 ? 0 : value;
            if (place >= from && place <= to && value < least)
                (best, least) = (place, value);
        }
        for (var n = 0; n < count && at <= to && least > 0; n++)
        {
            var next = keys[n] >> 2;
            if (next > at)
            {
                if (at < from && from < next)
                    Try(from, sum + (slope * (from - at)));
                if (next > to)
                    Try(to, sum + (slope * (to - at)));
                (sum, at) = (sum + (slope * (next - at)), next);
            }
            open += Opens(keys[n]);
            slope += rises[n];
            Try(at, sum);
        }
        if (at < from)
            Try(from, 0);
        return (best, Math.Max(0, least));
    }

    /// <summary>The sum at one place.</summary>
    public double At(long place)
    {
        var (sum, open) = (0.0, 0);
        for (var n = 0; n < count; n++)
        {
            var (at, sort) = (keys[n] >> 2, keys[n] & 3);
            if (at > place || (at == place && sort != Ends))
                continue;
            sum += rises[n] * (place - at);
            open += Opens(keys[n]);
        }
        return open == 0 ? 0 : Math.Max(0, sum);
    }

    private static int Opens(long key) =>
        (key & 3) switch
        {
            Begins => 1,
            Ends => -1,
            _ => 0,
        };

    private void Add(long place, int sort, double rise) => (keys[count], rises[count++]) = ((place << 2) + sort, rise);
}
