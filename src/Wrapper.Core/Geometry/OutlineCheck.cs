namespace Wrapper.Core.Geometry;

/// <summary>Whether an outline can be cut: it must not touch or cross itself.</summary>
internal static class OutlineCheck
{
    private const double Flatness = 0.5,
        Least = 0.05, // mm
        FoldsBack = 3; // so much of a half turn to the right: the next edge starts beyond the one before it

    /// <summary>What is wrong with an outline ("crosses itself between …"); null when it is sound.</summary>
    public static string? Fault(Outline outline)
    {
        for (var at = 0; at < outline.Edges.Count; at++)
            if (outline.Curve(at) is var curve && (curve.B - curve.A).Size < Least)
                return $"leaves nothing of {outline.Edges[at].Name}";
        if (IsConvex(outline))
            return null;
        for (var at = 0; at < outline.Edges.Count; at++)
        {
            var next = (at + 1) % outline.Edges.Count;
            // Two arcs that meet in a cusp, as at a corner stitched off over a rounded inner, do not cross.
            var (curve, after) = (outline.Curve(at), outline.Curve(next));
            if ((curve.Radius is null || after.Radius is null) && Turn(curve, after) < -FoldsBack)
                return $"crosses itself between {outline.Edges[at].Name} and {outline.Edges[next].Name}";
        }
        var sides = Enumerable
            .Range(0, outline.Edges.Count)
            .SelectMany(at =>
            {
                var curve = outline.Curve(at);
                List<Vec> points = [.. Inside(curve), curve.B];
                return points.Zip(points.Skip(1), (a, b) => (Edge: outline.Edges[at].Name, A: a, B: b));
            })
            .Where(side => (side.B - side.A).Size > 1e-9)
            .ToArray();
        for (var i = 0; i < sides.Length; i++)
        for (var j = i + 2; j < sides.Length; j++)
            if ((i > 0 || j < sides.Length - 1) && Cross(sides[i].A, sides[i].B, sides[j].A, sides[j].B))
                return $"crosses itself between {sides[i].Edge} and {sides[j].Edge}";
        return null;
    }

    // Points on the curve itself; the tangent corners of an outward arc would make neighbours of one circle cross.
    private static IEnumerable<Vec> Inside(Curve curve)
    {
        if (curve.Radius is not { } r)
            return [curve.A];
        var steps = Math.Max(2, (int)Math.Ceiling(curve.Sweep() / (2 * Math.Acos(Math.Max(0.5, 1 - (Flatness / r))))));
        return Enumerable.Range(0, steps).Select(i => curve.At((double)i / steps));
    }

    // Every turn to the left and no hollow arc, less than one and a half times round: it cannot meet itself.
    private static bool IsConvex(Outline outline)
    {
        var turned = 0.0;
        for (var at = 0; at < outline.Edges.Count; at++)
        {
            var (curve, next) = (outline.Curve(at), outline.Curve((at + 1) % outline.Edges.Count));
            if (curve.Radius is not null && !curve.Outward)
                return false;
            var turn = Turn(curve, next);
            if (turn < -1e-3)
                return false;
            turned += turn + (curve.Radius is null ? 0 : curve.Sweep());
        }
        return turned < 3 * Math.PI;
    }

    // The turn to the left from the end of one edge into the next.
    private static double Turn(Curve curve, Curve next)
    {
        var (into, from) = (curve.Direction(1), next.Direction(0));
        return Math.Atan2(into.Cross(from), into.Dot(from));
    }

    private static bool Cross(Vec a, Vec b, Vec c, Vec d)
    {
        double Side(Vec p, Vec q, Vec r) => (q - p).Cross(r - p);
        var (ab, cd) = ((b - a).Size, (d - c).Size);
        if (
            Math.Max(a.X, b.X) < Math.Min(c.X, d.X) - 1e-6
            || Math.Max(c.X, d.X) < Math.Min(a.X, b.X) - 1e-6
            || Math.Max(a.Y, b.Y) < Math.Min(c.Y, d.Y) - 1e-6
            || Math.Max(c.Y, d.Y) < Math.Min(a.Y, b.Y) - 1e-6
        )
            return false;
        // Touching counts, to a hundredth of a millimetre.
        var (p, q, r, s) = (Side(a, b, c) / ab, Side(a, b, d) / ab, Side(c, d, a) / cd, Side(c, d, b) / cd);
        const double touch = 0.01;
        return Math.Min(p, q) <= touch
            && Math.Max(p, q) >= -touch
            && Math.Min(r, s) <= touch
            && Math.Max(r, s) >= -touch;
    }
}
