using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>A simple polygon, anticlockwise, with what folding and meshing ask of it.</summary>
internal sealed class Polygon(Vec[] points)
{
    private double round;

    public int Count => points.Length;

    /// <summary>The way round, in mm.</summary>
    public double Round => round > 0 ? round : round = Enumerable.Range(0, Count).Sum(at => (At(at + 1) - At(at)).Size);

    public Vec At(int at) => points[((at % Count) + Count) % Count];

    /// <summary>The direction in which the rim comes to a point.</summary>
    public Vec Into(int at) => (At(at) - At(at - 1)).Unit();

    /// <summary>The direction in which it goes on.</summary>
    public Vec OutOf(int at) => (At(at + 1) - At(at)).Unit();

    /// <summary>The turn to the left at a point, in radians; less than nothing at a hollow corner.</summary>
    public double Turn(int at)
    {
        var (into, outOf) = (Into(at), OutOf(at));
        return Math.Atan2(into.Cross(outOf), into.Dot(outOf));
    }

    public double Area => Enumerable.Range(0, Count).Sum(at => At(at).Cross(At(at + 1))) / 2;

    public bool Contains(Vec p)
    {
        var inside = false;
        for (var (i, j) = (0, Count - 1); i < Count; j = i++)
            if (
                points[i].Y > p.Y != points[j].Y > p.Y
                && p.X < ((points[j].X - points[i].X) * (p.Y - points[i].Y) / (points[j].Y - points[i].Y)) + points[i].X
            )
                inside = !inside;
        return inside;
    }

    /// <summary>How near the rim comes to a point.</summary>
    public double Near(Vec p) => Enumerable.Range(0, Count).Min(at => ToSegment(p, At(at), At(at + 1)));

    /// <summary>Whether the chord between two points lies within, touching the rim at its ends only.</summary>
    public bool HasInside(int from, int to)
    {
        if ((from + 1) % Count == to || (to + 1) % Count == from)
            return false;
        var (a, b) = (At(from), At(to));
        var length = (b - a).Size;
        for (var at = 0; at < Count; at++)
        {
            if (at != from && at != to && ToSegment(At(at), a, b) < 1e-3 * length)
                return false;
            var next = (at + 1) % Count;
            if (at == from || at == to || next == from || next == to)
                continue;
            if (Crosses(a, b, At(at), At(next)))
                return false;
        }
        return Contains(0.5 * (a + b));
    }

    /// <summary>Whether two chords cross between their ends.</summary>
    public bool Cross(int a, int b, int c, int d) =>
        a != c && a != d && b != c && b != d && Crosses(At(a), At(b), At(c), At(d));

    /// <summary>Whether one point is seen from another in a direction, to within so many radians.</summary>
    public bool Aims(int from, Vec direction, int to, double within)
    {
        var way = (At(to) - At(from)).Unit();
        return direction.Dot(way) > 0 && Math.Abs(direction.Cross(way)) < within;
    }

    /// <summary>The point of the rim that is nearest to where a ray leaves the polygon.</summary>
    public int? Across(int from, Vec direction) =>
        Leaves(from, direction) is { } hit
            ? Enumerable
                .Range(0, Count)
                .MinBy(at => (At(at) - (At(hit.Side) + (hit.Share * (At(hit.Side + 1) - At(hit.Side))))).Size)
            : null;

    /// <summary>
    /// Where a ray from a point of the rim leaves the polygon: on the side after which point, and how far along it; null
    /// where it leaves at once.
    /// </summary>
    public (int Side, double Share)? Leaves(int from, Vec direction)
    {
        var start = At(from);
        (double Way, int Side, double Share)? nearest = null;
        for (var at = 0; at < Count; at++)
        {
            var next = (at + 1) % Count;
            if (at == from || next == from)
                continue;
            var (a, side) = (At(at), At(next) - At(at));
            var denominator = direction.Cross(side);
            if (Math.Abs(denominator) < 1e-9)
                continue;
            var way = (a - start).Cross(side) / denominator;
            var share = (a - start).Cross(direction) / denominator;
            if (way > 1e-6 && share is > -1e-9 and < 1 + 1e-9 && !(way >= nearest?.Way))
                nearest = (way, at, Math.Clamp(share, 0, 1));
        }
        return nearest is { } far && Contains(start + (far.Way / 2 * direction)) ? (far.Side, far.Share) : null;
    }

    internal static double ToSegment(Vec p, Vec a, Vec b)
    {
        var side = b - a;
        var share = Math.Clamp((p - a).Dot(side) / Math.Max(side.Dot(side), 1e-12), 0, 1);
        return (p - (a + (share * side))).Size;
    }

    private static bool Crosses(Vec a, Vec b, Vec c, Vec d) =>
        (b - a).Cross(c - a) * (b - a).Cross(d - a) < 0 && (d - c).Cross(a - c) * (d - c).Cross(b - c) < 0;
}
