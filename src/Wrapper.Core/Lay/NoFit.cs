namespace Wrapper.Core.Lay;

/// <summary>
/// What two regions forbid each other, up a column or along a row. Pieces that lie at places of a repeat come to lie at
/// the same places to each other again and again: that is worked out once.
/// </summary>
internal sealed class NoFit(bool remembers)
{
    private readonly Dictionary<(Region, Region, long), Known> columns = [],
        rows = [];

    /// <summary>Where <paramref name="one"/>, at <paramref name="x"/>, may not begin because of the other.</summary>
    public void Column(Region one, long x, Region other, long left, long bottom, IForbidden into)
    {
        if (remembers)
            Of(columns, one, other, x - left, (at, known) => one.Upright.Forbidden(at, other.Upright, 0, known, 0))
                .Told(into, bottom);
        else
            one.Upright.Forbidden(x, other.Upright, left, into, bottom);
    }

    /// <summary>The same along a row at <paramref name="y"/>.</summary>
    public void Row(Region one, long y, Region other, long bottom, long left, IForbidden into)
    {
        if (remembers)
            Of(rows, one, other, y - bottom, (at, known) => one.Sideways.Forbidden(at, other.Sideways, 0, known, 0))
                .Told(into, left);
        else
            one.Sideways.Forbidden(y, other.Sideways, bottom, into, left);
    }

    private static Known Of(
        Dictionary<(Region, Region, long), Known> among,
        Region one,
        Region other,
        long apart,
        Action<long, Known> work
    )
    {
        if (among.TryGetValue((one, other, apart), out var known))
            return known;
        work(apart, known = new Known());
        return among[(one, other, apart)] = known;
    }

    private sealed class Known : IForbidden
    {
        private readonly List<(long Low, long High, long Shared)> stretches = [];

        public void Add(long low, long high, long shared) => stretches.Add((low, high, shared));

        public void Told(IForbidden into, long by)
        {
            foreach (var (low, high, shared) in stretches)
                into.Add(low + by, high + by, shared);
        }
    }
}
