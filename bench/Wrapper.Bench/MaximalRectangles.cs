using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Bench;

/// <summary>
/// A general packer to measure against: all largest free rectangles are kept, each piece goes where its upper edge comes
/// lowest, in the best of four orders. Source: Jylänki, a thousand ways to pack the bin (2010).
/// </summary>
internal static class MaximalRectangles
{
    private const long Endless = long.MaxValue / 4;

    private readonly record struct Free(long Left, long Bottom, long Right, long Top);

    /// <summary>The shortest of four orders; pieces lie as they are drawn.</summary>
    public static Length Of(IReadOnlyList<LayPiece> pieces, Length usable)
    {
        var sizes = pieces.Select(piece => (W: piece.Across(0).Ticks, H: piece.Along(0).Ticks)).ToList();
        Func<(long W, long H), double>[] orders =
        [
            size => size.H,
            size => size.W,
            size => (double)size.W * size.H,
            size => size.W + size.H,
        ];
        return new Length(orders.Min(order => Packed([.. sizes.OrderByDescending(order)], usable.Ticks)));
    }

    private static long Packed(List<(long W, long H)> sizes, long usable)
    {
        List<Free> free = [new(0, 0, usable, Endless)];
        var reached = 0L;
        foreach (var (w, h) in sizes)
        {
            var at = free.Where(each => each.Right - each.Left >= w && each.Top - each.Bottom >= h)
                .MinBy(each => (each.Bottom, each.Left));
            var taken = new Free(at.Left, at.Bottom, at.Left + w, at.Bottom + h);
            reached = Math.Max(reached, taken.Top);
            var parted = free.SelectMany(each => Without(each, taken)).Distinct().ToList();
            free = [.. parted.Where(each => !parted.Any(other => other != each && Holds(other, each)))];
        }
        return reached;
    }

    // What is left of a free rectangle: up to four that overlap one another.
    private static IEnumerable<Free> Without(Free free, Free taken)
    {
        if (
            taken.Left >= free.Right
            || taken.Right <= free.Left
            || taken.Bottom >= free.Top
            || taken.Top <= free.Bottom
        )
        {
            yield return free;
            yield break;
        }
        if (taken.Left > free.Left)
            yield return free with
            {
                Right = taken.Left,
            };
        if (taken.Right < free.Right)
            yield return free with
            {
                Left = taken.Right,
            };
        if (taken.Bottom > free.Bottom)
            yield return free with
            {
                Top = taken.Bottom,
            };
        if (taken.Top < free.Top)
            yield return free with
            {
                Bottom = taken.Top,
            };
    }

    private static bool Holds(Free outer, Free inner) =>
        outer.Left <= inner.Left
        && outer.Bottom <= inner.Bottom
        && outer.Right >= inner.Right
        && outer.Top >= inner.Top;
}
