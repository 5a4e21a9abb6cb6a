using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// The true offset of an outline, each edge by its own allowance, with mitred corners; arcs stay arcs. A boxed corner's
/// cut-out comes out of this as handbook §3 has it: <c>c = G − s + a</c>, since the sides of the notch move in by <c>s</c>.
/// </summary>
internal static class Offset
{
    // Two edges that meet straighter than this (about 0.01 degrees) are taken as one smooth line.
    private const double Smooth = 2e-4;

    /// <summary>Whether two curves run into each other without a corner.</summary>
    public static bool IsSmooth(Curve a, Curve b) => Math.Abs(a.Direction(1).Cross(b.Direction(0))) < Smooth && a.Direction(1).Dot(b.Direction(0)) > 0;

    /// <summary>The outline at <paramref name="allowance"/> (by edge name, zero or more) outside <paramref name="outline"/>.</summary>
    public static Outline Outward(Outline outline, Func<string, Length> allowance)
    {
        var edges = new List<Edge>();
        var count = outline.Edges.Count;
        for (var at = 0; at < count; at++)
        {
            var before = (at + count - 1) % count;
            var edge = outline.Edges[at];
            var (own, previous) = (allowance(edge.Name), allowance(outline.Edges[before].Name));
            var (end, start) = Corner(outline.Curve(before), previous.ToMillimetres(), outline.Curve(at), own.ToMillimetres());
            // Smooth neighbours with unequal allowances: the raw edge steps straight out from the one to the other.
            if (end != start) edges.Add(new Edge($"step to {edge.Name}", end));
            var radius = edge.Radius is { } r ? (edge.Outward ? r + own : r - own) : (Length?)null;
            edges.Add(edge with { Start = start, Radius = radius });
        }
        return new Outline(edges);
    }

    // Where the offset of a ends and that of b starts: one point, or two when they meet smoothly at unequal distances.
    private static (Point End, Point Start) Corner(Curve a, double byA, Curve b, double byB)
    {
        var (into, from) = (a.Direction(1), b.Direction(0));
        var endOfA = b.A + (byA * into.Right());
        if (IsSmooth(a, b))
            return byA == byB ? (Snap(endOfA), Snap(endOfA)) : (Snap(endOfA), Snap(b.A + (byB * from.Right())));
        var meet = (a.Radius, b.Radius) switch
        {
            (null, null) => Lines(endOfA, into, b.A + (byB * from.Right()), from),
            (null, { } r) => LineCircle(endOfA, into, b.Centre(), r + (b.Turn * byB), b.A),
            ({ } r, null) => LineCircle(b.A + (byB * from.Right()), from, a.Centre(), r + (a.Turn * byA), b.A),
            ({ } r, { } q) => Circles(a.Centre(), r + (a.Turn * byA), b.Centre(), q + (b.Turn * byB), b.A),
        };
        return (Snap(meet), Snap(meet));
    }

    private static Point Snap(Vec v) => new(Length.Snap(v.X), Length.Snap(v.Y));

    private static Vec Lines(Vec p, Vec along, Vec q, Vec other) => p + ((q - p).Cross(other) / along.Cross(other) * along);

    private static Vec LineCircle(Vec p, Vec along, Vec centre, double radius, Vec near)
    {
        var foot = p + ((centre - p).Dot(along) * along);
        var half = Math.Sqrt(Math.Max(0, (radius * radius) - Math.Pow((foot - centre).Size, 2)));
        return Nearest(near, foot + (half * along), foot - (half * along));
    }

    private static Vec Circles(Vec c, double r, Vec d, double q, Vec near)
    {
        var between = d - c;
        var reach = ((r * r) - (q * q) + between.Dot(between)) / (2 * between.Size);
        var half = Math.Sqrt(Math.Max(0, (r * r) - (reach * reach)));
        var foot = c + (reach * between.Unit());
        return Nearest(near, foot + (half * between.Unit().Right()), foot - (half * between.Unit().Right()));
    }

    private static Vec Nearest(Vec to, Vec a, Vec b) => (a - to).Size <= (b - to).Size ? a : b;
}
