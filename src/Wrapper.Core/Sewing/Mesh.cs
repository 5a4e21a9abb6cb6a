using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A corner of the mesh as it lies on its flat sheet, which node of the cover it is, and where it would lie on a sheet
/// whose gathers are drawn in.
/// </summary>
internal readonly record struct MeshPoint(int Sheet, Vec Flat, int Node, Vec Rest);

/// <summary>
/// A stretch of cloth that stays flat, between seams and folds: its triangles, of points, and its points.
/// </summary>
internal sealed record Facet(int Sheet, IReadOnlyList<int[]> Triangles, IReadOnlyList<int> Points);

/// <summary>
/// The sheets of a surface in triangles. What is sewn shares its nodes, so no seam can gape; flat coordinates are those of
/// the pieces themselves.
/// </summary>
internal sealed class Mesh
{
    // Points nearer to each other than this are one, in millimetres.
    private const double Same = 0.01;

    private Mesh(Surface surface, Rims rims) => (Surface, Rims) = (surface, rims);

    public Surface Surface { get; }

    public Rims Rims { get; }

    public IReadOnlyList<MeshPoint> Points { get; private set; } = [];

    public IReadOnlyList<Facet> Facets { get; private set; } = [];

    public int Nodes { get; private set; }

    /// <summary>The folds, as points along each.</summary>
    public IReadOnlyList<IReadOnlyList<int>> FoldLines { get; private set; } = [];

    /// <summary>The points of each sheet's rim, in the order of <see cref="Rims"/>.</summary>
    public IReadOnlyList<int> FirstOfRim { get; private set; } = [];

    /// <summary>The length of an edge at which the whole comes to about so many nodes.</summary>
    public static double StepFor(Surface surface, int nodes) => Math.Sqrt(surface.Area / (nodes * Math.Sqrt(0.75)));

    /// <summary>The mesh of <paramref name="surface"/> with edges about <paramref name="step"/> mm long.</summary>
    public static Mesh Of(Surface surface, double step, CancellationToken stop)
    {
        var rims = Rims.Of(surface, step);
        var polygons = rims.Sheets.Select(rim => new Polygon([.. rim.Select(point => point.Flat)])).ToArray();
        List<MeshPoint> points = [];
        List<Facet> facets = [];
        List<IReadOnlyList<int>> lines = [];
        List<int> first = [];
        var nodes = rims.Nodes;
        for (var sheet = 0; sheet < rims.Sheets.Count; sheet++)
        {
            stop.ThrowIfCancellationRequested();
            first.Add(points.Count);
            var start = points.Count;
            points.AddRange(rims.Sheets[sheet].Select(point => At(sheet, point.Flat, point.Node)));
            List<List<int>> faces =
            [
                [.. Enumerable.Range(start, points.Count - start)],
            ];
            if (Wrapped.Of(surface) is { } wraps)
                faces[0] = Wrap(wraps, sheet, faces[0]);
            foreach (var (from, to) in Folds.Of(surface, rims, polygons, sheet))
            {
                var line = Line(start + from, start + to);
                lines.Add(line);
                Split(faces, line);
            }
            foreach (var face in faces)
            {
                var (inside, triangles) = Triangulation.Of([.. face.Select(at => points[at].Flat)], step);
                List<int> all = [.. face];
                foreach (var point in inside)
                {
                    all.Add(points.Count);
                    points.Add(At(sheet, point, nodes++));
                }
                facets.Add(new Facet(sheet, [.. triangles.Select(t => t.Select(at => all[at]).ToArray())], all));
            }
        }
        return new Mesh(surface, rims)
        {
            Points = points,
            Facets = facets,
            Nodes = nodes,
            FoldLines = lines,
            FirstOfRim = first,
        };

        MeshPoint At(int sheet, Vec flat, int node) => new(sheet, flat, node, surface.Sheets[sheet].DrawnIn(flat));

        // The strips between the rim and the board's edge; what is left is the ring of the board.
        List<int> Wrap(Wrapping wraps, int sheet, List<int> rim)
        {
            List<(int Edge, int Turn)> rings = [];
            foreach (var (edge, turn) in Wrapped.Inward(wraps, rim.Select(at => points[at].Flat)).ToList())
                rings.Add(
                    (Ringed(edge, rings.Select(each => each.Edge)), Ringed(turn, rings.Select(each => each.Turn)))
                );
            List<int[]> triangles = [];
            for (var at = 0; at < rim.Count; at++)
            {
                var next = (at + 1) % rim.Count;
                Quad(rim[at], rim[next], rings[next].Turn, rings[at].Turn);
                Quad(rings[at].Turn, rings[next].Turn, rings[next].Edge, rings[at].Edge);
            }
            facets.Add(new Facet(sheet, triangles, [.. triangles.SelectMany(each => each).Distinct()]));
            return [.. rings.Select(each => each.Edge).Distinct()];

            // Round a corner many points of the rim have one point of the board.
            int Ringed(Vec at, IEnumerable<int> before)
            {
                foreach (var same in before.TakeLast(1).Concat(before.Take(1)))
                    if ((points[same].Flat - at).Size < Same)
                        return same;
                points.Add(At(sheet, at, nodes++));
                return points.Count - 1;
            }

            void Quad(int a, int b, int c, int d)
            {
                foreach (var corners in new[] { new[] { a, b, c }, [a, c, d] })
                    if (corners.Distinct().Count() == 3)
                        triangles.Add(corners);
            }
        }

        List<int> Line(int from, int to)
        {
            var (a, b) = (points[from].Flat, points[to].Flat);
            var steps = Math.Max(1, (int)Math.Ceiling(((b - a).Size / step) - 0.2));
            List<int> line = [from];
            for (var n = 1; n < steps; n++)
            {
                line.Add(points.Count);
                points.Add(At(points[from].Sheet, a + ((double)n / steps * (b - a)), nodes++));
            }
            line.Add(to);
            return line;
        }
    }

    // The face that has both ends on its rim becomes two.
    private static void Split(List<List<int>> faces, List<int> line)
    {
        var face = faces.Find(each => each.Contains(line[0]) && each.Contains(line[^1]));
        if (face is null)
            return;
        var (from, to) = (face.IndexOf(line[0]), face.IndexOf(line[^1]));
        List<int> Round(int start, int end, IEnumerable<int> back)
        {
            List<int> ring = [];
            for (var at = start; at != end; at = (at + 1) % face.Count)
                ring.Add(face[at]);
            ring.Add(face[end]);
            ring.AddRange(back);
            return ring;
        }
        var between = line.Skip(1).SkipLast(1).ToList();
        faces.Remove(face);
        faces.Add(Round(from, to, Enumerable.Reverse(between)));
        faces.Add(Round(to, from, between));
    }
}
