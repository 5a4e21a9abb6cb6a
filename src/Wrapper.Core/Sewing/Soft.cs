namespace Wrapper.Core.Sewing;

/// <summary>
/// A closed cover without depth of its own, over a soft filling: blown up from flat, its cloth giving along no edge,
/// until it is as thick as its filling.
/// </summary>
internal static class Soft
{
    private const int Rounds = 240,
        Passes = 8;

    // Cloth that is pushed together buckles long before it gives.
    private const double Pushed = 0.35;

    /// <summary>Blows the cover up to <paramref name="thickness"/> mm across its flat lie, which is upright to Z.</summary>
    public static void Fill(Mesh mesh, Vec3[] places, double step, double thickness, CancellationToken stop)
    {
        var edges = Edges(mesh);
        var triangles = Solver.Outward(mesh).ToArray();
        var force = new Vec3[places.Length];
        for (var round = 0; round < Rounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            var thick = places.Max(place => place.Z) - places.Min(place => place.Z);
            var by = Math.Clamp((thickness - thick) / thickness, -0.3, 1) * 0.08 * step;
            if (round < Rounds - 40)
                Solver.Press(triangles, places, force, by);
            for (var pass = 0; pass < Passes; pass++)
            for (var n = 0; n < edges.Length; n++)
            {
                var (a, b, length) = edges[pass % 2 == 0 ? n : edges.Length - 1 - n];
                var way = places[b] - places[a];
                var size = way.Size;
                if (size < 1e-9)
                    continue;
                var share = size > length ? 0.5 : 0.5 * Pushed;
                var move = share * (size - length) / size * way;
                places[a] += move;
                places[b] -= move;
            }
        }
    }

    private static (int A, int B, double Length)[] Edges(Mesh mesh)
    {
        Dictionary<(int, int), double> edges = [];
        foreach (var facet in mesh.Facets)
        foreach (var t in facet.Triangles)
            for (var n = 0; n < 3; n++)
            {
                var (p, q) = (mesh.Points[t[n]], mesh.Points[t[(n + 1) % 3]]);
                var key = p.Node < q.Node ? (p.Node, q.Node) : (q.Node, p.Node);
                edges[key] = (p.Rest - q.Rest).Size;
            }
        return [.. edges.Select(edge => (edge.Key.Item1, edge.Key.Item2, edge.Value))];
    }
}
