using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>
/// A smooth curve through points, made of arcs that touch: at each point the direction of the circle through it and its
/// neighbours,
/// and between two points two arcs of equal tangent length (a biarc). Arcs can be offset and measured exactly.
/// </summary>
internal static class SmoothCurve
{
    // Flatter than this, in mm of rise over a stretch, an arc is drawn straight.
    private const double Flat = 0.01;

    /// <summary>
    /// The edges from the first point to the last, three points or more; the last point itself starts no edge.
    /// </summary>
    public static IEnumerable<Edge> Through(IReadOnlyList<Point> points)
    {
        var at = points.Select(p => p.Mm).ToArray();
        var headings = at.Select((_, n) => Heading(at, n)).ToArray();
        for (var n = 0; n + 1 < at.Length; n++)
        {
            var joint = Joint(at[n], headings[n], at[n + 1], headings[n + 1]);
            var middle = new Point(Length.Snap(joint.X), Length.Snap(joint.Y));
            yield return Arc(points[n], at[n], headings[n], joint);
            // Reckoned from its far end and walked the other way.
            var second = Arc(middle, at[n + 1], -1 * headings[n + 1], joint);
            yield return second with
            {
                Outward = !second.Outward,
            };
        }
    }

    private static Vec Heading(Vec[] at, int n)
    {
        var middle = Math.Clamp(n, 1, at.Length - 2);
        var (a, b, c) = (at[middle - 1], at[middle], at[middle + 1]);
        var chord = (c - a).Unit();
        var (ab, bc) = (b - a, c - b);
        // On a circle the tangent in b turns from ab as far as bc turns from the tangent, weighted by the other's
        // length.
        var inMiddle = ((bc.Size * ab.Unit()) + (ab.Size * bc.Unit())).Unit();
        // The ends are reflected: a chord makes the same angle with the tangents at both its ends.
        return n == middle ? inMiddle
            : n < middle ? Reflect(inMiddle, ab.Unit())
            : Reflect(inMiddle, bc.Unit());
    }

    private static Vec Reflect(Vec heading, Vec chord) => (2 * heading.Dot(chord) * chord) - heading;

    private static Vec Joint(Vec from, Vec heading, Vec to, Vec arriving)
    {
        var way = to - from;
        var both = heading + arriving;
        var flat = 1 - heading.Dot(arriving);
        var along = way.Dot(both);
        var reach =
            flat < 1e-9
                ? way.Dot(way) / (2 * along)
                : (-along + Math.Sqrt((along * along) + (2 * flat * way.Dot(way)))) / (2 * flat);
        return 0.5 * (from + (reach * heading) + to - (reach * arriving));
    }

    private static Edge Arc(Point start, Vec from, Vec heading, Vec to)
    {
        var way = to - from;
        var off = heading.Cross(way); // to the left where positive
        if (Math.Abs(off) / 4 < Flat)
            return new Edge("", start); // the rise of so flat an arc
        return new Edge(
            "",
            start,
            Length.Snap(way.Dot(way) / (2 * Math.Abs(off))),
            Outward: off > 0,
            Large: heading.Dot(way) < 0
        );
    }
}
