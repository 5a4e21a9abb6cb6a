using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>
/// The true offset of an outline, each edge by its own allowance, with mitred corners; arcs stay arcs. A boxed corner's
/// cut-out comes out of this as craft §3 has it: <c>c = G − s + a</c>, since the sides of the notch move in by
/// <c>s</c>. A round corner between straight sides goes over from the allowance of the one to that of the other, its own
/// in its middle, without a step.
/// </summary>
internal static class Offset
{
    // Two edges that meet straighter than this (about 0.01 degrees) are taken as one smooth line.
    private const double Smooth = 2e-4;

    /// <summary>Whether two curves run into each other without a corner.</summary>
    public static bool IsSmooth(Curve a, Curve b) =>
        Math.Abs(a.Direction(1).Cross(b.Direction(0))) < Smooth && a.Direction(1).Dot(b.Direction(0)) > 0;

    /// <summary>
    /// The outline at <paramref name="allowance"/> (by edge name, zero or more) outside <paramref name="outline"/>.
    /// </summary>
    public static Outline Outward(Outline outline, Func<string, Length> allowance)
    {
        var edges = new List<Edge>();
        var count = outline.Edges.Count;
        for (var at = 0; at < count; at++)
        {
            var before = (at + count - 1) % count;
            var edge = outline.Edges[at];
            var (own, previous) = (allowance(edge.Name), allowance(outline.Edges[before].Name));
            if (Blended(outline, at, allowance) is { } blended)
            {
                edges.Add(
                    edge with
                    {
                        Start = blended.Start,
                        Radius = blended.Radius,
                        Outward = blended.Outward,
                        Large = blended.Large,
                    }
                );
                continue;
            }
            var (end, start) = Corner(
                outline.Curve(before),
                // Beside a round corner that goes over into it, a straight side ends and starts at its own allowance.
                (Blended(outline, before, allowance) is null ? previous : own).ToMillimetres(),
                outline.Curve(at),
                own.ToMillimetres()
            );
            // Smooth neighbours with unequal allowances: the raw edge steps straight out from the one to the other.
            if (end != start)
                edges.Add(new Edge(Unused($"step to {edge.Name}", outline), end));
            var radius = edge.Radius is { } r ? (edge.Outward ? r + own : r - own) : (Length?)null;
            edges.Add(edge with { Start = start, Radius = radius });
        }
        return new Outline(edges);
    }

    // An outline that is offset again has steps already: each gets a name of its own.
    private static string Unused(string step, Outline outline) =>
        outline.Has(step) ? Unused($"another {step}", outline) : step;

    // The raw edge of a round corner whose straight neighbours and itself have unequal allowances: the circle through its
    // start at the one's allowance, its middle at its own and its end at the other's. Null for any other edge.
    private static Edge? Blended(Outline outline, int at, Func<string, Length> allowance)
    {
        var count = outline.Edges.Count;
        var (curve, before, after) = (
            outline.Curve(at),
            outline.Curve((at + count - 1) % count),
            outline.Curve((at + 1) % count)
        );
        if (
            curve.Radius is null
            || before.Radius is not null
            || after.Radius is not null
            || !IsSmooth(before, curve)
            || !IsSmooth(curve, after)
        )
            return null;
        var own = allowance(outline.Edges[at].Name);
        var (first, last) = (
            allowance(outline.Edges[(at + count - 1) % count].Name),
            allowance(outline.Edges[(at + 1) % count].Name)
        );
        if (first == own && last == own)
            return null;
        Vec Out(double share, Length by) => curve.At(share) + (by.ToMillimetres() * curve.Direction(share).Right());
        var (a, m, b) = (Out(0, first), Out(0.5, own), Out(1, last));
        var twice = (m - a).Cross(b - a);
        if (Math.Abs(twice) < 1e-6)
            return null; // as good as straight
        var radius = (m - a).Size * (b - m).Size * (b - a).Size / (2 * Math.Abs(twice));
        return outline.Edges[at] with
        {
            Start = Snap(a),
            Radius = Length.Snap(radius),
            Outward = twice > 0,
            // Its ends are seen from its middle at an acute angle where it is over half a circle (Thales).
            Large = (a - m).Dot(b - m) > 0,
        };
    }

    // Where the offset of a ends and that of b starts: one point, or two when they meet smoothly at unequal distances.
    private static (Point End, Point Start) Corner(Curve a, double byA, Curve b, double byB)
    {
        var (into, from) = (a.Direction(1), b.Direction(0));
        var endOfA = b.A + (byA * into.Right());
        if (IsSmooth(a, b))
            return byA == byB ? (Snap(endOfA), Snap(endOfA)) : (Snap(endOfA), Snap(b.A + (byB * from.Right())));
        var startOfB = b.A + (byB * from.Right());
        var meet = (a.Radius, b.Radius) switch
        {
            (null, null) => Lines(endOfA, into, startOfB, from),
            (null, { } r) => LineCircle(endOfA, into, b.Centre(), r + (b.Turn * byB), b.At(0.5), -b.Turn),
            ({ } r, null) => LineCircle(startOfB, from, a.Centre(), r + (a.Turn * byA), a.At(0.5), a.Turn),
            ({ } r, { } q) => Circles(a.Centre(), r + (a.Turn * byA), b.Centre(), q + (b.Turn * byB), b.A),
        };
        if (meet is { } point)
            return (Snap(point), Snap(point));
        // The arc bends away before it reaches the other edge: from its own end the raw edge goes on straight to the
        // other's.
        return (Snap(endOfA), Snap(startOfB));
    }

    private static Point Snap(Vec v) => new(Length.Snap(v.X), Length.Snap(v.Y));

    private static Vec? Lines(Vec p, Vec along, Vec q, Vec other) =>
        Math.Abs(along.Cross(other)) < Smooth ? null : p + ((q - p).Cross(other) / along.Cross(other) * along);

    private static Vec? LineCircle(Vec p, Vec along, Vec centre, double radius, Vec middle, int turn)
    {
        var foot = p + ((centre - p).Dot(along) * along);
        var square = (radius * radius) - Math.Pow((foot - centre).Size, 2);
        if (square < 0)
            return null;
        // A line can cross the circle twice: the arc ends at the crossing that it comes to first, turning away from its
        // middle.
        var spoke = middle - centre;
        double Round(Vec at)
        {
            var angle = turn * Math.Atan2(spoke.Cross(at - centre), spoke.Dot(at - centre));
            return angle < 0 ? angle + (2 * Math.PI) : angle;
        }
        var (one, other) = (foot + (Math.Sqrt(square) * along), foot - (Math.Sqrt(square) * along));
        return Round(one) <= Round(other) ? one : other;
    }

    private static Vec? Circles(Vec c, double r, Vec d, double q, Vec near)
    {
        var between = d - c;
        var reach = ((r * r) - (q * q) + between.Dot(between)) / (2 * between.Size);
        var square = (r * r) - (reach * reach);
        if (!(square >= 0))
            return null; // concentric ones have no distance to divide by
        var foot = c + (reach * between.Unit());
        return Nearest(
            near,
            foot + (Math.Sqrt(square) * between.Unit().Right()),
            foot - (Math.Sqrt(square) * between.Unit().Right())
        );
    }

    private static Vec Nearest(Vec to, Vec a, Vec b) => (a - to).Size <= (b - to).Size ? a : b;
}
