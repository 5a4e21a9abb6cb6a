using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>
/// Brings a cover into shape by positions alone: every facet is drawn towards its own rigid flat shape, where it lies;
/// a little pressure from within keeps it open meanwhile.
/// </summary>
internal sealed class Solver
{
    private const int Rounds = 400,
        MostRounds = 2400;

    private const float Settled = 0.001f;

    private readonly Mesh mesh;
    private readonly Vec3[] places;
    private readonly Rigid[] facets;
    private readonly (int A, int B, int C)[] triangles;
    private readonly double step;
    private readonly Vec3[] goals;
    private readonly double[] weights;

    private Solver(Mesh mesh, Vec3[] places, double step)
    {
        (this.mesh, this.places, this.step) = (mesh, places, step);
        facets = [.. mesh.Facets.Where(facet => facet.Triangles.Count > 0).Select(facet => new Rigid(mesh, facet))];
        triangles = [.. Outward(mesh)];
        (goals, weights) = (new Vec3[mesh.Nodes], new double[mesh.Nodes]);
    }

    /// <summary>
    /// A firm cover: flat between its seams and folds. What <paramref name="stands"/> already needs no pressure to open.
    /// </summary>
    public static void Firm(Mesh mesh, Vec3[] places, double step, bool stands, CancellationToken stop)
    {
        var solver = new Solver(mesh, places, step);
        for (var round = 0; round < MostRounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            if (round >= Rounds && round % 100 == 0 && Strains.Of(mesh, places).Strain < Settled)
                return;
            var rigidity = 0.03 + (0.54 * Math.Min(1, round / 100.0));
            var pressure = round < 100 ? 1 : Math.Max(0, 1 - ((round - 100) / 40.0));
            if (pressure > 0 && !stands)
                Press(solver.triangles, places, solver.goals, 0.02 * pressure * step);
            solver.Draw(round < 240 ? rigidity : 1);
        }
    }

    /// <summary>The volume within, signed by which side is out; openings count as closed towards the middle.</summary>
    public static double Volume(Mesh mesh, Vec3[] places, HashSet<int>? only = null)
    {
        var middle = new Vec3();
        var count = 0;
        foreach (var point in mesh.Points)
            if (only is null || only.Contains(point.Node))
                (middle, count) = (middle + places[point.Node], count + 1);
        middle = 1.0 / Math.Max(1, count) * middle;
        var sum = 0.0;
        foreach (var (a, b, c) in Outward(mesh))
            if (only is null || only.Contains(a))
                sum += (places[a] - middle).Dot((places[b] - middle).Cross(places[c] - middle));
        return sum / 6;
    }

    /// <summary>Every triangle by its nodes, anticlockwise seen from the right side of the cloth.</summary>
    public static IEnumerable<(int A, int B, int C)> Outward(Mesh mesh) =>
        from facet in mesh.Facets
        let turned = mesh.Surface.Sheets[facet.Sheet].TurnedOver
        from t in facet.Triangles
        let nodes = t.Select(at => mesh.Points[at].Node).ToArray()
        select turned ? (nodes[0], nodes[2], nodes[1]) : (nodes[0], nodes[1], nodes[2]);

    /// <summary>Moves every node outward by so much; <paramref name="force"/> is room to reckon in.</summary>
    public static void Press((int A, int B, int C)[] triangles, Vec3[] places, Vec3[] force, double by)
    {
        Array.Clear(force);
        foreach (var (a, b, c) in triangles)
        {
            var normal = (places[b] - places[a]).Cross(places[c] - places[a]);
            force[a] += normal;
            force[b] += normal;
            force[c] += normal;
        }
        for (var at = 0; at < places.Length; at++)
            if (force[at].Size > 1e-9)
                places[at] += by * force[at].Unit();
    }

    private void Draw(double share)
    {
        Array.Clear(goals);
        Array.Clear(weights);
        foreach (var facet in facets)
            facet.Ask(places, goals, weights);
        for (var at = 0; at < places.Length; at++)
            if (weights[at] > 0)
                places[at] += share * ((1 / weights[at] * goals[at]) - places[at]);
    }

    // One facet with its flat shape about its middle.
    private sealed class Rigid
    {
        private readonly int[] nodes;
        private readonly Vec[] flat;

        public Rigid(Mesh mesh, Facet facet)
        {
            nodes = [.. facet.Points.Select(at => mesh.Points[at].Node)];
            var turned = mesh.Surface.Sheets[facet.Sheet].TurnedOver;
            var all = facet.Points.Select(at => mesh.Points[at].Rest).ToList();
            var middle = 1.0 / all.Count * all.Aggregate((sum, point) => sum + point);
            flat =
            [
                .. all.Select(point => point - middle).Select(point => turned ? new Vec(-point.X, point.Y) : point),
            ];
        }

        public void Ask(Vec3[] places, Vec3[] goals, double[] weights)
        {
            var middle = new Vec3();
            foreach (var node in nodes)
                middle += places[node];
            middle = 1.0 / nodes.Length * middle;
            Vec3 u = new(),
                v = new();
            for (var at = 0; at < nodes.Length; at++)
            {
                var place = places[nodes[at]] - middle;
                u += flat[at].X * place;
                v += flat[at].Y * place;
            }
            // The nearest turn: A (AᵀA)^(-1/2), of two columns.
            double a = u.Dot(u),
                b = u.Dot(v),
                c = v.Dot(v);
            var root = Math.Sqrt(Math.Max(0, (a * c) - (b * b)));
            if (root < 1e-9 * (a + c))
                return;
            var size = Math.Sqrt(a + c + (2 * root));
            // The inverse of (S + root I) / size, where its determinant is root.
            double p = (c + root) / size / root,
                q = -b / size / root,
                r = (a + root) / size / root;
            var (x, y) = ((p * u) + (q * v), (q * u) + (r * v));
            for (var at = 0; at < nodes.Length; at++)
            {
                goals[nodes[at]] += middle + (flat[at].X * x) + (flat[at].Y * y);
                weights[nodes[at]] += 1;
            }
        }
    }
}
