namespace Wrapper.Core.Lay;

/// <summary>
/// Pieces on a length of cloth that may lie in one another: how deep each pair does, and what that counts. What is
/// pinned, flaws, what a narrow remnant lacks and the ends of remnants lie there too and never move.
/// </summary>
internal sealed class OverlapTable
{
    // What lies in one another counts more with every round in which it still does, and less when it no longer does.
    private const double LeastMore = 1.2,
        MostMore = 2,
        Less = 0.95;

    private readonly List<(Region Region, long X, long Y, bool IsEnd)> there;
    private readonly double[,] depth,
        weight;
    private readonly Tents one = new();
    private readonly NoFit noFit;

    /// <summary>Lays everything as it lies; what moves stands first.</summary>
    public OverlapTable(
        IReadOnlyList<(Region Region, long X, long Y)> moving,
        IEnumerable<(Region Region, long X, long Y, bool IsEnd)> fixedThere,
        NoFit noFit
    )
    {
        this.noFit = noFit;
        Moving = moving.Count;
        there = [.. moving.Select(each => (each.Region, each.X, each.Y, false)), .. fixedThere];
        (depth, weight) = (new double[there.Count, there.Count], new double[there.Count, there.Count]);
        Forget();
        for (var n = 0; n < Moving; n++)
            Measure(n);
    }

    /// <summary>How many move.</summary>
    public int Moving { get; }

    /// <summary>How many pairs of chains were looked at: what a search costs, on any machine.</summary>
    public long Looked { get; private set; }

    /// <summary>Where one lies.</summary>
    public (Region Region, long X, long Y) this[int n] => (there[n].Region, there[n].X, there[n].Y);

    /// <summary>How deep all lie in one another together, in whole counts; 0 where none does.</summary>
    public double Total { get; private set; }

    /// <summary>What its overlaps count.</summary>
    public double Cost(int n)
    {
        var sum = 0.0;
        for (var other = 0; other < there.Count; other++)
            sum += depth[n, other] * weight[n, other];
        return sum;
    }

    /// <summary>Whether one lies in anything.</summary>
    public bool IsClear(int n)
    {
        for (var other = 0; other < there.Count; other++)
            if (depth[n, other] > 0)
                return false;
        return true;
    }

    /// <summary>Moves one.</summary>
    public void Move(int n, Region region, long x, long y)
    {
        there[n] = (region, x, y, false);
        Measure(n);
    }

    /// <summary>Tells how deep a piece would lie in all others along a column at <paramref name="x"/>.</summary>
    public void Column(int n, Region region, long x, IWeighed into)
    {
        for (var other = 0; other < there.Count; other++)
        {
            var (its, left, bottom, _) = there[other];
            if (other == n || left >= x + region.Width || left + its.Width <= x)
                continue;
            Looked += Cost(region, its);
            into.Weight = weight[n, other];
            noFit.Column(region, x, its, left, bottom, into);
        }
    }

    /// <summary>The same along a row at <paramref name="y"/>; no where the end of a remnant lies across it.</summary>
    public bool Row(int n, Region region, long y, IWeighed into)
    {
        for (var other = 0; other < there.Count; other++)
        {
            var (its, left, bottom, isEnd) = there[other];
            if (other == n || bottom >= y + region.Height || bottom + its.Height <= y)
                continue;
            if (isEnd)
                return false;
            Looked += Cost(region, its);
            into.Weight = weight[n, other];
            noFit.Row(region, y, its, bottom, left, into);
        }
        return true;
    }

    /// <summary>What still lies in one another counts more from now on, the deeper the more.</summary>
    public void Weigh()
    {
        var deepest = 0.0;
        foreach (var pair in depth)
            deepest = Math.Max(deepest, pair);
        for (var a = 0; a < there.Count; a++)
        for (var b = 0; b < there.Count; b++)
            weight[a, b] =
                depth[a, b] > 0
                    ? weight[a, b] * (LeastMore + ((MostMore - LeastMore) * depth[a, b] / deepest))
                    : Math.Max(1, weight[a, b] * Less);
    }

    /// <summary>All count alike again.</summary>
    public void Forget()
    {
        for (var a = 0; a < there.Count; a++)
        for (var b = 0; b < there.Count; b++)
            weight[a, b] = 1;
    }

    private void Measure(int n)
    {
        for (var other = 0; other < there.Count; other++)
        {
            var between = other == n ? 0 : Between(n, other);
            Total += between - depth[n, other];
            depth[n, other] = depth[other, n] = between;
        }
    }

    // Outlines with a gap round them are many chains, and each is compared with each.
    private static long Cost(Region a, Region b) => (long)a.Upright.Chains.Length * b.Upright.Chains.Length;

    // As far as the nearer way out is, up or down, left or right.
    private double Between(int a, int b)
    {
        var (region, x, y, _) = there[a];
        var (its, left, bottom, isEnd) = there[b];
        if (
            left >= x + region.Width
            || left + its.Width <= x
            || bottom >= y + region.Height
            || (bottom + its.Height <= y && !isEnd)
            || (isEnd && bottom <= y)
        )
            return 0;
        Looked += Cost(region, its);
        one.Clear();
        noFit.Column(region, x, its, left, bottom, one);
        var upright = one.At(y);
        if (upright <= 0 || isEnd)
            return upright;
        one.Clear();
        noFit.Row(region, y, its, bottom, left, one);
        return Math.Min(upright, one.At(x));
    }

    /// <summary>What never moves on a cloth, for pieces up to <paramref name="most"/> up the roll.</summary>
    public static IEnumerable<(Region Region, long X, long Y, bool IsEnd)> FixedOn(LayCloth cloth, long most) =>
        cloth
            .Taken()
            .Select(taken => (taken.Region, taken.X, taken.Y, false))
            .Concat(
                cloth
                    .Ends(most)
                    .TakeWhile(end => end < most)
                    .Select(end => (Region.Rectangle(cloth.Usable.Ticks, 0), 0L, end, true))
            );
}
