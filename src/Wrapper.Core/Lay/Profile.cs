using System.Runtime.Intrinsics;

namespace Wrapper.Core.Lay;

/// <summary>
/// A stretch of an outline between two corners, in counts: upright sides at <paramref name="Left"/> and
/// <paramref name="Right"/>, a straight bottom and a straight top between them.
/// </summary>
internal readonly record struct Slab(
    long Left,
    long Right,
    double BottomLeft,
    double BottomRise,
    double TopLeft,
    double TopRise
)
{
    /// <summary>How far up its bottom lies at <paramref name="x"/>.</summary>
    public double Bottom(long x) => BottomLeft + (BottomRise * (x - Left));

    /// <summary>How far up its top lies at <paramref name="x"/>.</summary>
    public double Top(long x) => TopLeft + (TopRise * (x - Left));
}

/// <summary>
/// An outline as chains of slabs from left to right, each of one piece at every x. What two chains forbid each other is
/// one open stretch, found by walking along both once: bottoms and tops are straight between corners, so they come
/// nearest at a corner of either. It is the no-fit polygon of the two, sliced at one x.
/// </summary>
internal sealed class Profile
{
    // Slants may share this little of the cloth at either side, 0.0005 mm, so that what fits by measure is not kept out by
    // rounding. What is level and upright is exact.
    private const long Slop = 2;

    private readonly bool isLevel;
    private readonly Walk[] walks;

    private Profile(Slab[][] chains)
    {
        Chains = chains;
        walks = [.. chains.Select(chain => new Walk(chain))];
        isLevel = chains.All(chain => chain.All(slab => slab is { BottomRise: 0, TopRise: 0 }));
    }

    /// <summary>From left to right each, and never one above itself.</summary>
    public Slab[][] Chains { get; }

    /// <summary>The profile of a polygon; sideways it is that of the polygon with x and y exchanged.</summary>
    public static Profile Of(IReadOnlyList<(long X, long Y)> polygon, bool sideways = false)
    {
        (long X, long Y)[] points = [.. sideways ? polygon.Select(p => (p.Y, p.X)) : polygon];
        var sides = points
            .Select((p, at) => (A: p, B: points[(at + 1) % points.Length]))
            .Where(side => side.A.X != side.B.X)
            .Select(side => side.A.X < side.B.X ? side : (A: side.B, B: side.A))
            .OrderBy(side => side.A.X)
            .ToArray();
        long[] stops = [.. points.Select(p => p.X).Distinct().Order()];
        List<((long X, long Y) A, (long X, long Y) B)> crossing = [];
        List<List<Slab>> open = [],
            chains = [];
        for (int at = 0, side = 0; at + 1 < stops.Length; at++)
        {
            crossing.RemoveAll(gone => gone.B.X <= stops[at]);
            for (; side < sides.Length && sides[side].A.X <= stops[at]; side++)
                crossing.Add(sides[side]);
            var slabs = Between(crossing, stops[at], stops[at + 1]);
            // A chain goes on while none parts, ends or begins beside it.
            if (slabs.Count != open.Count || slabs.Zip(open).Any(pair => !Touch(pair.Second[^1], pair.First)))
            {
                open = [.. slabs.Select(_ => new List<Slab>())];
                chains.AddRange(open);
            }
            foreach (var (slab, chain) in slabs.Zip(open))
                chain.Add(slab);
        }
        return new([.. chains.Select(chain => chain.ToArray())]);
    }

    /// <summary>The profile of upright rectangles, each for itself.</summary>
    public static Profile Of(IReadOnlyList<Cell> cells, bool sideways) =>
        new([
            .. cells.Select(cell =>
                sideways
                    ? new[] { new Slab(cell.Bottom, cell.Top, cell.Left, 0, cell.Right, 0) }
                    : [new Slab(cell.Left, cell.Right, cell.Bottom, 0, cell.Top, 0)]
            ),
        ]);

    /// <summary>
    /// The same with a square of <paramref name="gap"/> counts swept along it, so much more to the right and upward: what
    /// it may not come nearer than to another that is widened too. Chains may lie in one another then.
    /// </summary>
    public Profile Widened(long gap) => new([.. Chains.Select(chain => Swept(chain, gap))]);

    // At each place the top is the highest within a gap to its left, the bottom the lowest: that of the chain, of the
    // chain a gap further right, or of a corner between the two.
    private static Slab[] Swept(Slab[] chain, long gap)
    {
        var corners = chain
            .SelectMany(slab =>
                new[]
                {
                    (At: slab.Left, Bottom: slab.BottomLeft, Top: slab.TopLeft),
                    (At: slab.Right, Bottom: slab.Bottom(slab.Right), Top: slab.Top(slab.Right)),
                }
            )
            .ToArray();
        long[] stops = [.. corners.SelectMany(corner => new[] { corner.At, corner.At + gap }).Distinct().Order()];
        List<Slab> swept = [];
        for (var n = 0; n + 1 < stops.Length; n++)
        {
            var (from, to) = (stops[n], stops[n + 1]);
            Line[] tops =

                [
                    .. Under(chain, from, 0).Select(slab => new Line(slab.Top(from), slab.Top(to))),
                    .. Under(chain, from - gap, gap).Select(slab => new Line(slab.Top(from), slab.Top(to))),
                ],
                bottoms =

                [
                    .. Under(chain, from, 0).Select(slab => new Line(slab.Bottom(from), slab.Bottom(to))),
                    .. Under(chain, from - gap, gap).Select(slab => new Line(slab.Bottom(from), slab.Bottom(to))),
                ];
            var between = corners.Where(corner => corner.At <= from && corner.At >= to - gap).ToArray();
            if (between.Length > 0)
            {
                var (low, high) = (between.Min(corner => corner.Bottom), between.Max(corner => corner.Top));
                tops = [.. tops, new Line(high, high)];
                bottoms = [.. bottoms, new Line(low, low)];
            }
            double High(double share) => tops.Max(line => line.At(share)) + gap;
            double Low(double share) => bottoms.Min(line => line.At(share));
            // Parted where one line comes to lie above another.
            long[] parts =
            [
                .. Crossings(tops)
                    .Concat(Crossings(bottoms))
                    .Select(share => from + (long)Math.Round((to - from) * share))
                    .Append(from)
                    .Append(to)
                    .Distinct()
                    .Order(),
            ];
            foreach (var (left, right) in parts.Zip(parts.Skip(1)))
            {
                var (begin, end) = ((double)(left - from) / (to - from), (double)(right - from) / (to - from));
                swept.Add(
                    new(
                        left,
                        right,
                        Low(begin),
                        (Low(end) - Low(begin)) / (right - left),
                        High(begin),
                        (High(end) - High(begin)) / (right - left)
                    )
                );
            }
        }
        return [.. swept];
    }

    // A straight line over one stretch, from its beginning to its end.
    private readonly record struct Line(double From, double To)
    {
        public double At(double share) => From + ((To - From) * share);
    }

    // The slab of a chain that lies above a stretch which begins there; moved as far to the right.
    private static IEnumerable<Slab> Under(Slab[] chain, long from, long moved) =>
        chain
            .Where(slab => slab.Left <= from && from < slab.Right)
            .Select(slab => slab with { Left = slab.Left + moved, Right = slab.Right + moved });

    private static IEnumerable<double> Crossings(Line[] lines) =>
        from one in lines
        from other in lines
        let apart = other.From - one.From
        let closing = one.To - one.From - (other.To - other.From)
        where closing > 0 && apart > 0 && apart < closing
        select apart / closing;

    /// <summary>
    /// Where the bottom of this, lying at <paramref name="x"/>, may not come between, for each pair of chains that share
    /// a stretch of width: <paramref name="other"/> lies at <paramref name="left"/>, <paramref name="bottom"/> up.
    /// </summary>
    public void Forbidden(long x, Profile other, long left, IForbidden into, long bottom)
    {
        var slop = isLevel && other.isLevel ? 0 : Slop;
        foreach (var own in walks)
        foreach (var there in other.walks)
        {
            var from = Math.Max(own.Left + x, there.Left + left) + slop;
            var to = Math.Min(own.Right + x, there.Right + left) - slop;
            if (from >= to)
                continue;
            var (low, high) = Forbidden(own, x, there, left, from, to);
            into.Add((long)Math.Round(low) + bottom, (long)Math.Round(high) + bottom, to - from);
        }
    }

    // Of what they share of the width, between these two places. Between two corners how far the bottom of one is above
    // the top of the other is straight, both ways at once: least at its beginning, or at its end where it falls.
    private static (double Low, double High) Forbidden(Walk own, long x, Walk there, long left, long start, long end)
    {
        var nearest = Vector128.Create(double.MaxValue);
        var (a, b) = (own.First(start - x), there.First(start - left));
        for (var from = start; ; )
        {
            ref readonly var mine = ref own.Steps[a];
            ref readonly var its = ref there.Steps[b];
            var to = Math.Min(Math.Min(mine.Right + x, its.Right + left), end);
            var apart = its.At(from - left) + Exchanged(mine.At(from - x));
            var more = (its.Rise + Exchanged(mine.Rise)) * Vector128.Create((double)(to - from));
            nearest = Vector128.MinNative(nearest, apart + Vector128.MinNative(more, Vector128<double>.Zero));
            if (to == end)
                return (nearest[0], -nearest[1]);
            // Where both have a corner both go on: what ends there does not meet what begins there.
            if (mine.Right + x == to)
                a++;
            if (its.Right + left == to)
                b++;
            from = to;
        }
    }

    private static Vector128<double> Exchanged(Vector128<double> pair) =>
        Vector128.Shuffle(pair, Vector128.Create(1L, 0L));

    // A slab as it is walked along: how far up its bottom is and how far down its top, side by side.
    private readonly struct Step(Slab slab)
    {
        public readonly long Left = slab.Left,
            Right = slab.Right;
        public readonly Vector128<double> Rise = Vector128.Create(slab.BottomRise, -slab.TopRise);
        private readonly Vector128<double> begin = Vector128.Create(slab.BottomLeft, -slab.TopLeft);

        public Vector128<double> At(long x) => begin + (Rise * Vector128.Create((double)(x - Left)));
    }

    private sealed class Walk(Slab[] chain)
    {
        public readonly Step[] Steps = [.. chain.Select(slab => new Step(slab))];
        public readonly long Left = chain[0].Left,
            Right = chain[^1].Right;

        // The first that reaches beyond x.
        public int First(long x)
        {
            // One of two chains is always met where it begins.
            var (low, high) = (0, Steps[0].Right > x ? 0 : Steps.Length);
            while (low < high)
            {
                var middle = (low + high) / 2;
                if (Steps[middle].Right <= x)
                    low = middle + 1;
                else
                    high = middle;
            }
            return low;
        }
    }

    // Every side that is there spans the stretch: no corner lies in it.
    private static List<Slab> Between(List<((long X, long Y) A, (long X, long Y) B)> sides, long left, long right)
    {
        var crossing = sides
            .Select(side =>
                (At: At(side, left), Rise: (double)(side.B.Y - side.A.Y) / (side.B.X - side.A.X), To: At(side, right))
            )
            .OrderBy(side => side.At + side.To)
            .ToArray();
        List<Slab> slabs = [];
        for (var pair = 0; pair + 1 < crossing.Length; pair += 2)
            slabs.Add(
                new(left, right, crossing[pair].At, crossing[pair].Rise, crossing[pair + 1].At, crossing[pair + 1].Rise)
            );
        return slabs;
    }

    private static double At(((long X, long Y) A, (long X, long Y) B) side, long x) =>
        side.A.Y + ((double)(side.B.Y - side.A.Y) * (x - side.A.X) / (side.B.X - side.A.X));

    private static bool Touch(Slab before, Slab after) =>
        before.Bottom(before.Right) <= after.TopLeft && after.BottomLeft <= before.Top(before.Right);
}

/// <summary>Takes open stretches of a line, in counts, in which something may not begin.</summary>
internal interface IForbidden
{
    /// <summary>One more, and how much of the width is shared there.</summary>
    void Add(long low, long high, long shared);
}
