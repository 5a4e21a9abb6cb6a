using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A polygon in triangles about as large as its steps are long: cut into ears, then points are put inside one by one and
/// diagonals flipped until every triangle's circle is empty.
/// </summary>
internal sealed class Triangulation
{
    private readonly List<Vec> points;
    private readonly List<int[]> triangles = [];
    private readonly Dictionary<(int, int), int> owner = []; // which triangle lies to the left of a side

    private Triangulation(List<Vec> points) => this.points = points;

    /// <summary>
    /// Triangles, anticlockwise, over <paramref name="rim"/> and the points inside, which are returned after those of
    /// the rim.
    /// </summary>
    public static (IReadOnlyList<Vec> Inside, IReadOnlyList<int[]> Triangles) Of(IReadOnlyList<Vec> rim, double step)
    {
        var made = new Triangulation([.. rim]);
        made.CutEars();
        foreach (var side in made.owner.Keys.ToList())
            made.Settle(side.Item1, side.Item2);
        foreach (var point in Grid(new Polygon([.. rim]), step))
            made.Insert(point);
        return ([.. made.points.Skip(rim.Count)], [.. made.triangles.Where(triangle => triangle.Length == 3)]);
    }

    // A grid of equal triangles, kept off the rim.
    private static IEnumerable<Vec> Grid(Polygon polygon, double step)
    {
        var all = Enumerable.Range(0, polygon.Count).Select(polygon.At).ToList();
        var (left, right) = (all.Min(p => p.X), all.Max(p => p.X));
        var (low, high) = (all.Min(p => p.Y), all.Max(p => p.Y));
        var rise = step * Math.Sqrt(0.75);
        for (var row = 1; low + (row * rise) < high; row++)
        for (var x = left + (row % 2 == 0 ? step : step / 2); x < right; x += step)
        {
            var point = new Vec(x, low + (row * rise));
            if (polygon.Contains(point) && polygon.Near(point) > 0.55 * step)
                yield return point;
        }
    }

    private void CutEars()
    {
        List<int> left = [.. Enumerable.Range(0, points.Count)];
        while (left.Count > 3)
        {
            var ear = -1;
            var best = double.NegativeInfinity;
            for (var at = 0; at < left.Count; at++)
            {
                var (a, b, c) = (left[(at + left.Count - 1) % left.Count], left[at], left[(at + 1) % left.Count]);
                var quality = Quality(points[a], points[b], points[c]);
                if (quality <= best || quality <= 1e-9 || !IsEmpty(left, a, b, c))
                    continue;
                (ear, best) = (at, quality);
            }
            // What is left has no area to speak of.
            if (ear < 0)
                return;
            Add(left[(ear + left.Count - 1) % left.Count], left[ear], left[(ear + 1) % left.Count]);
            left.RemoveAt(ear);
        }
        if (Quality(points[left[0]], points[left[1]], points[left[2]]) > 1e-9)
            Add(left[0], left[1], left[2]);
    }

    private bool IsEmpty(List<int> left, int a, int b, int c) =>
        left.All(at => at == a || at == b || at == c || !IsIn(points[at], points[a], points[b], points[c]));

    // Twice the area over the longest side squared: 0.87 for equal sides, 0 for a line.
    private static double Quality(Vec a, Vec b, Vec c)
    {
        var longest = Math.Max((b - a).Size, Math.Max((c - b).Size, (a - c).Size));
        return (b - a).Cross(c - a) / (longest * longest);
    }

    private static bool IsIn(Vec p, Vec a, Vec b, Vec c) =>
        (b - a).Cross(p - a) >= -1e-9 && (c - b).Cross(p - b) >= -1e-9 && (a - c).Cross(p - c) >= -1e-9;

    private void Add(int a, int b, int c)
    {
        triangles.Add([a, b, c]);
        Own(triangles.Count - 1);
    }

    private void Own(int triangle)
    {
        var t = triangles[triangle];
        for (var n = 0; n < 3; n++)
            owner[(t[n], t[(n + 1) % 3])] = triangle;
    }

    private void Insert(Vec point)
    {
        var at = triangles.FindIndex(t => IsIn(point, points[t[0]], points[t[1]], points[t[2]]));
        if (at < 0)
            return;
        points.Add(point);
        var (p, t) = (points.Count - 1, triangles[at]);
        triangles[at] = [t[0], t[1], p];
        Own(at);
        Add(t[1], t[2], p);
        Add(t[2], t[0], p);
        Settle(t[0], t[1]);
        Settle(t[1], t[2]);
        Settle(t[2], t[0]);
    }

    // Flips the side where the far corner of its other triangle lies within the circle of this one.
    private void Settle(int a, int b)
    {
        if (!owner.TryGetValue((a, b), out var here) || !owner.TryGetValue((b, a), out var there))
            return;
        var (c, d) = (Third(here, a, b), Third(there, b, a));
        if (
            !InCircle(points[a], points[b], points[c], points[d])
            || (points[d] - points[a]).Cross(points[c] - points[a]) <= 1e-9
            || (points[c] - points[b]).Cross(points[d] - points[b]) <= 1e-9
        )
            return;
        owner.Remove((a, b));
        owner.Remove((b, a));
        triangles[here] = [a, d, c];
        triangles[there] = [d, b, c];
        Own(here);
        Own(there);
        Settle(a, d);
        Settle(d, b);
        Settle(b, c);
        Settle(c, a);
    }

    private int Third(int triangle, int a, int b) => triangles[triangle].First(at => at != a && at != b);

    private static bool InCircle(Vec a, Vec b, Vec c, Vec d)
    {
        var (u, v, w) = (a - d, b - d, c - d);
        return (u.Dot(u) * v.Cross(w)) - (v.Dot(v) * u.Cross(w)) + (w.Dot(w) * u.Cross(v))
            > 1e-6 * Math.Max(1, u.Dot(u));
    }
}
