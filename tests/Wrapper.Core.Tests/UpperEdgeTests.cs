using CsCheck;
using Wrapper.Core.Lay;

namespace Wrapper.Core.Tests;

/// <summary>The upper edge of a lay beside the same edge told inch by inch, as heights that are simply set.</summary>
public sealed class UpperEdgeTests
{
    private static readonly Gen<(int[] Heights, int At, int Width, int Height, bool ToLeft)> Any =
        from heights in Gen.Int[0, 4].Array[2, 12]
        from at in Gen.Int[0, 11]
        from width in Gen.Int[1, 12]
        from height in Gen.Int[1, 5]
        from toLeft in Gen.Bool
        select (heights, at, width, height, toLeft);

    // Each stretch from its first inch on, as wide as heights stay the same.
    private static (long X, long Y, long Width)[] Edge(int[] heights)
    {
        List<(long X, long Y, long Width)> edge = [];
        for (var x = 0; x < heights.Length; x++)
            if (edge.Count > 0 && edge[^1].Y == heights[x])
                edge[^1] = edge[^1] with { Width = edge[^1].Width + 1 };
            else
                edge.Add((x, heights[x], 1));
        return [.. edge];
    }

    private static int Steps(int[] heights) => heights.Zip(heights.Skip(1), (a, b) => Math.Abs(a - b)).Sum();

    [Fact]
    public void What_is_laid_raises_the_edge_as_heights_set_inch_by_inch() =>
        Any.Sample(each =>
        {
            var edge = Edge(each.Heights);
            var at = each.At % edge.Length;
            var (x, y, hollow) = edge[at];
            var width = Math.Min(each.Width, hollow);
            var after = (int[])each.Heights.Clone();
            var from = each.ToLeft ? x : x + hollow - width;
            for (var inch = from; inch < from + width; inch++)
                after[inch] = (int)y + each.Height;
            var expected = Edge(after);

            Assert.Equal(expected, UpperEdge.Raised(edge, at, width, each.Height, each.ToLeft));
            Assert.Equal(Steps(each.Heights), UpperEdge.Rise(edge));
            Assert.Equal(
                (expected.Length - edge.Length, (long)(Steps(after) - Steps(each.Heights))),
                UpperEdge.RiseBy(edge, at, width, each.Height, each.ToLeft)
            );
        });
}
