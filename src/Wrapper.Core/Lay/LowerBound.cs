using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// A length that no lay can be under. The area spread over the width; the tallest piece; and for rectangles dual feasible functions: widths are changed by a
/// function under which whatever lies side by side still fits side by side, so that the changed area, spread over the width, is a bound too. They
/// see that two wide pieces cannot share a width, and that three a little over a third cannot.
/// </summary>
internal static class LowerBound
{
    /// <summary>The bound for pieces of these kinds on <paramref name="cloth"/>, its gap included in both.</summary>
    public static long Of(IReadOnlyList<Kind> kinds, LayCloth cloth)
    {
        if (kinds.Count == 0) return 0;
        var usable = cloth.Usable.Ticks;
        var bound = Math.Max((long)Math.Floor(kinds.Sum(kind => kind.Area) / usable), kinds.Max(kind => kind.Ways.Min(way => way.Region.Height)));
        // A notched piece may let another reach into its cut-outs: only plain rectangles count.
        var boxes = kinds.Where(kind => kind.IsRectangle).Select(kind => kind.Ways.Select(way => (way.Region.Width, way.Region.Height)).ToArray()).ToList();
        if (boxes.Count == 0) return bound;
        var widths = boxes.SelectMany(box => box.Select(way => way.Width)).Distinct().Where(width => 2 * width <= usable).Append(0).Distinct().Order().ToList();
        foreach (var small in widths) bound = Math.Max(bound, Spread(boxes, usable, width => Trimmed(width, usable, small)));
        for (var parts = 1; parts <= 6; parts++)
        {
            var k = parts;
            bound = Math.Max(bound, Spread(boxes, usable, width => Shared(width, usable, k)));
        }
        return bound;
    }

    private static long Spread(List<(long Width, long Height)[]> boxes, long usable, Func<long, double> changed) =>
        (long)Math.Floor((boxes.Sum(box => box.Min(way => changed(way.Width) * way.Height)) / usable) * (1 - 1e-12));

    // Pieces under a size count nothing, those that leave less than it beside them count as the whole width.
    private static double Trimmed(long width, long usable, long small) => width < small ? 0 : width > usable - small ? usable : width;

    // Of shares of 1 / (k + 1) of the width a piece takes whole ones only; k of those are the width.
    private static double Shared(long width, long usable, int k) => (k + 1) * width % usable == 0 ? width : Math.Floor((double)(k + 1) * width / usable) * usable / k;
}
