namespace Wrapper.Core.Lay;

/// <summary>Takes forbidden stretches, each by a weight.</summary>
internal interface IWeighed : IForbidden
{
    /// <summary>What stretches that are added now count.</summary>
    double Weight { get; set; }
}

/// <summary>
/// How deep a piece lies in others at the places of a repeat up a column, each by its weight: as <see cref="Tents"/>,
/// where only some places matter.
/// </summary>
internal sealed class Comb : IWeighed
{
    private readonly List<long> places = [];
    private double[] sums = new double[64];

    /// <inheritdoc/>
    public double Weight { get; set; } = 1;

    /// <summary>Begins anew, at these places, one above the other.</summary>
    public void Begin(IEnumerable<long> at)
    {
        places.Clear();
        places.AddRange(at);
        if (sums.Length < places.Count)
            sums = new double[2 * places.Count];
        Array.Clear(sums, 0, places.Count);
    }

    /// <inheritdoc/>
    public void Add(long low, long high, long shared)
    {
        var n = places.BinarySearch(low + 1);
        for (n = n < 0 ? ~n : n; n < places.Count && places[n] < high; n++)
            sums[n] += Weight * Math.Min(shared, Math.Min(places[n] - low, high - places[n]));
    }

    /// <summary>The lowest place at which the sum is least; null of no places.</summary>
    public (long At, double Sum)? Least()
    {
        (long At, double Sum)? best = null;
        for (var n = 0; n < places.Count; n++)
            if (best is not var (_, least) || sums[n] < least)
                best = (places[n], sums[n]);
        return best;
    }
}
