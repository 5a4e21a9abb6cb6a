using CsCheck;
using Wrapper.Core.Geometry;

namespace Wrapper.Core.Tests;

/// <summary>Edges on a grid of dots: by counting, and by distance.</summary>
public sealed class EdgeTraceProperties
{
    private static long TwiceArea(IReadOnlyList<(int X, int Y)> ring) =>
        ring.Select(
                (at, n) => ((long)at.X * ring[(n + 1) % ring.Count].Y) - ((long)ring[(n + 1) % ring.Count].X * at.Y)
            )
            .Sum();

    [Fact]
    public void A_patch_is_followed_corner_by_corner_and_a_hole_is_left_out()
    {
        // Two dots wide, three high, with a dot more to the right of the middle one.
        string[] drawn = ["......", ".##...", ".###..", ".##...", "....#."];
        var marked = string.Concat(drawn).Select(dot => dot == '#').ToArray();
        Assert.Equal(
            [(1, 1), (3, 1), (3, 2), (4, 2), (4, 3), (3, 3), (3, 4), (1, 4)],
            EdgeTrace.Around(marked, 6, 1, 2)!
        );
        // Touching by a corner alone is not one patch; a dot that is not marked has none.
        Assert.Equal([(4, 4), (5, 4), (5, 5), (4, 5)], EdgeTrace.Around(marked, 6, 4, 4)!);
        Assert.Null(EdgeTrace.Around(marked, 6, 0, 0));
        Assert.Null(EdgeTrace.Around(marked, 6, 9, 0));
        string[] ring = ["###", "#.#", "###"];
        Assert.Equal(
            [(0, 0), (3, 0), (3, 3), (0, 3)],
            EdgeTrace.Around([.. string.Concat(ring).Select(dot => dot == '#')], 3, 0, 0)!
        );
    }

    // What lies within the edge is the patch and its holes, counted by filling from outside.
    [Fact]
    public void The_edge_goes_round_just_the_patch_and_its_holes()
    {
        const int wide = 9,
            high = 7;
        Gen.Bool.Array[wide * high]
            .Sample(marked =>
            {
                var first = Array.IndexOf(marked, true);
                if (first < 0)
                    return;
                var edge = EdgeTrace.Around(marked, wide, first % wide, first / wide)!;
                var patch = Filled(wide, high, first, dot => marked[dot], corners: false);
                // Outside: reached from the rim over dots of no patch, by their corners too.
                var padded = (wide + 2) * (high + 2);
                bool IsPatch(int dot)
                {
                    var (x, y) = ((dot % (wide + 2)) - 1, (dot / (wide + 2)) - 1);
                    return x >= 0 && y >= 0 && x < wide && y < high && patch.Contains((y * wide) + x);
                }
                var outside = Filled(wide + 2, high + 2, 0, dot => !IsPatch(dot), corners: true);
                Assert.Equal(2 * (padded - outside.Count), TwiceArea(edge));
            });
    }

    private static HashSet<int> Filled(int wide, int high, int from, Func<int, bool> free, bool corners)
    {
        HashSet<int> filled = [from];
        var open = new Queue<int>([from]);
        while (open.TryDequeue(out var dot))
            for (var dx = -1; dx <= 1; dx++)
            for (var dy = -1; dy <= 1; dy++)
            {
                var (x, y) = ((dot % wide) + dx, (dot / wide) + dy);
                if ((!corners && dx != 0 && dy != 0) || x < 0 || y < 0 || x >= wide || y >= high)
                    continue;
                if (free((y * wide) + x) && filled.Add((y * wide) + x))
                    open.Enqueue((y * wide) + x);
            }
        return filled;
    }

    [Fact]
    public void No_point_that_is_left_out_lies_further_off_than_it_may()
    {
        Gen.Select(Gen.Double[-100, 100], Gen.Double[-100, 100])
            .Array[4, 60]
            .Select(Gen.Double[0.5, 30])
            .Sample(
                (ring, tolerance) =>
                {
                    var few = EdgeTrace.Fewest(ring, tolerance);
                    Assert.All(few, point => Assert.Contains(point, ring));
                    foreach (var (x, y) in ring)
                        Assert.True(
                            few.Select((from, at) => (from, to: few[(at + 1) % few.Count]))
                                .Min(side => OffLine(x, y, side.from, side.to))
                                <= tolerance + 1e-9
                        );
                }
            );
    }

    // From the line through both ends, which is what may be left out by.
    private static double OffLine(double x, double y, (double X, double Y) from, (double X, double Y) to)
    {
        var (dx, dy) = (to.X - from.X, to.Y - from.Y);
        var size = Math.Sqrt((dx * dx) + (dy * dy));
        return size < 1e-12
            ? Math.Sqrt(Math.Pow(x - from.X, 2) + Math.Pow(y - from.Y, 2))
            : Math.Abs((dx * (y - from.Y)) - (dy * (x - from.X))) / size;
    }
}
