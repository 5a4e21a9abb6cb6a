namespace Wrapper.Core.Lay;

/// <summary>An upright rectangle within a piece, from the lower left of its box, in counts.</summary>
internal readonly record struct Inner(long Left, long Bottom, long Width, long Height);

/// <summary>
/// Upright rectangles that lie wholly within an outline and beside or above one another, as much of it as so many can
/// take: what no other piece can reach into.
/// </summary>
internal static class InnerRectangles
{
    // A slant is stepped this often between two corners; where rounding may have moved a straight side, it is this much.
    private const int Steps = 6,
        Rounding = 4;

    /// <summary>
    /// The ways to part a piece, into one rectangle, two, and so on; of each rectangle where it is for every way in which
    /// the piece may lie. None where a way leaves no room for any.
    /// </summary>
    public static List<List<Inner[]>> Of(PieceKind kind, int most)
    {
        var ways = kind.Ways;
        if (kind.IsRectangle)
            return
            [
                [
                    [.. ways.Select(way => new Inner(0, 0, way.Region.Width, way.Region.Height))],
                ],
            ];
        // Turned by a quarter it has other rectangles: then the largest one of each way stands for it.
        if (ways.Any(way => (way.Turns - ways[0].Turns) % 2 != 0))
        {
            var largest = ways.Select(way => Parted(way.Region, 1)).ToList();
            return largest.All(one => one.Count > 0)
                ?
                [
                    [
                        [.. largest.Select(one => one[0])],
                    ],
                ]
                : [];
        }
        var (wide, high) = (ways[0].Region.Width, ways[0].Region.Height);
        return
        [
            .. Enumerable
                .Range(1, most)
                .Select(parts =>
                    Parted(ways[0].Region, parts)
                        .Select(inner =>
                            ways.Select(way =>
                                    way.Turns == ways[0].Turns
                                        ? inner
                                        : inner with
                                        {
                                            Left = wide - inner.Left - inner.Width,
                                            Bottom = high - inner.Bottom - inner.Height,
                                        }
                                )
                                .ToArray()
                        )
                        .ToList()
                )
                .Where(parting => parting.Count > 0),
        ];
    }

    // The largest in area of every stretch of the outline, which is stacked for itself; with a gap stretches lie in one
    // another, and one alone counts.
    private static List<Inner> Parted(Region region, int parts)
    {
        var stacks = region.Sideways.Chains.Select(chain => Stacked(region, chain, parts)).ToList();
        return region.IsWidened
            ? stacks.MaxBy(stack => stack.Sum(Area)) ?? []
            : [.. stacks.SelectMany(stack => stack).OrderByDescending(Area).Take(parts)];
    }

    private static double Area(Inner inner) => (double)inner.Width * inner.Height;

    private static List<Inner> Stacked(Region region, Slab[] chain, int parts)
    {
        var bands = chain.SelectMany(Stepped).ToArray();
        var off = region.IsStraight ? Rounding : Region.Outside;
        // best[n][to]: the most that so many rectangles take of the first bands, and the last one of them.
        var best = new (double Area, int From, Inner Last)[parts + 1, bands.Length + 1];
        for (var n = 1; n <= parts; n++)
        for (var to = 1; to <= bands.Length; to++)
        {
            best[n, to] = best[n, to - 1] with { From = -1 };
            var (left, right) = (double.MinValue, double.MaxValue);
            for (var from = to - 1; from >= 0; from--)
            {
                left = Math.Max(left, bands[from].Left);
                right = Math.Min(right, bands[from].Right);
                // Between two of a stack nothing is lost: what is left off at a seam could hold a level.
                var (bottom, top) = (
                    bands[from].Bottom + (from == 0 ? off : 0),
                    bands[to - 1].Top - (to == bands.Length ? off : 0)
                );
                var inner = new Inner(
                    (long)Math.Ceiling(left) + off,
                    bottom,
                    (long)Math.Floor(right) - (long)Math.Ceiling(left) - (2 * off),
                    top - bottom
                );
                if (
                    inner is { Width: > 0, Height: > 0 }
                    && best[n - 1, from].Area + Area(inner) is var area
                    && area > best[n, to].Area
                )
                    best[n, to] = (area, from, inner);
            }
        }
        List<Inner> found = [];
        for (var (n, to) = (parts, bands.Length); n > 0 && to > 0; )
            if (best[n, to].Area <= 0)
                break;
            else if (best[n, to].From < 0)
                to--;
            else
            {
                found.Add(best[n, to].Last);
                (n, to) = (n - 1, best[n, to].From);
            }
        return found;
    }

    // The profile is sideways: up the piece from stop to stop, and its sides there.
    private static IEnumerable<(long Bottom, long Top, double Left, double Right)> Stepped(Slab slab)
    {
        var steps = slab is { BottomRise: 0, TopRise: 0 } ? 1 : Steps;
        for (var n = 0; n < steps; n++)
        {
            var (bottom, top) = (
                slab.Left + ((slab.Right - slab.Left) * n / steps),
                slab.Left + ((slab.Right - slab.Left) * (n + 1) / steps)
            );
            yield return (
                bottom,
                top,
                Math.Max(slab.Bottom(bottom), slab.Bottom(top)),
                Math.Min(slab.Top(bottom), slab.Top(top))
            );
        }
    }
}
