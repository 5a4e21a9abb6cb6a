namespace Wrapper.Core.Sewing;

/// <summary>
/// A first shape in space for a sewn cover: points are set apart as far as the way over the cloth between them, by
/// classical scaling of the ways to some landmarks. Of the axes after the first two the one that holds most volume is
/// taken.
/// </summary>
internal sealed class Embedding
{
    private const int MostLandmarks = 48;

    private readonly List<(int To, double Length)>[] ways;
    private readonly IReadOnlyList<int> nodes;

    private Embedding(List<(int, double)>[] ways, IReadOnlyList<int> nodes) => (this.ways, this.nodes) = (ways, nodes);

    /// <summary>Places the nodes of each connected cover in <paramref name="places"/>, around its own middle.</summary>
    public static void Place(Mesh mesh, Vec3[] places)
    {
        var ways = Ways(mesh);
        foreach (
            var cover in mesh
                .Points.GroupBy(point => mesh.Surface.Covers[point.Sheet], point => point.Node)
                .Select(group => group.Distinct().ToList())
        )
            new Embedding(ways, cover).Scale(mesh, places);
    }

    /// <summary>From each node the edges to its neighbours, as long as they lie on their sheets.</summary>
    public static List<(int To, double Length)>[] Ways(Mesh mesh)
    {
        var ways = new List<(int To, double Length)>[mesh.Nodes];
        for (var at = 0; at < ways.Length; at++)
            ways[at] = [];
        foreach (var facet in mesh.Facets)
        foreach (var triangle in facet.Triangles)
            for (var n = 0; n < 3; n++)
            {
                var (a, b) = (mesh.Points[triangle[n]], mesh.Points[triangle[(n + 1) % 3]]);
                var length = (a.Rest - b.Rest).Size;
                ways[a.Node].Add((b.Node, length));
                ways[b.Node].Add((a.Node, length));
            }
        return ways;
    }

    private void Scale(Mesh mesh, Vec3[] places)
    {
        var (landmarks, far) = Landmarks();
        var count = landmarks.Count;
        var squares = new double[count, count];
        for (var i = 0; i < count; i++)
        for (var j = 0; j < count; j++)
            squares[i, j] = far[i][landmarks[j]] * far[i][landmarks[j]];
        var means = new double[count];
        for (var i = 0; i < count; i++)
        for (var j = 0; j < count; j++)
            means[i] += squares[i, j] / count;
        var mean = means.Average();
        var centred = new double[count, count];
        for (var i = 0; i < count; i++)
        for (var j = 0; j < count; j++)
            centred[i, j] = -0.5 * (squares[i, j] - means[i] - means[j] + mean);
        var axes = Eigen.Of(centred).Where(axis => axis.Value > 1e-6).Take(6).ToList();
        double Along(int axis, int node)
        {
            if (axis >= axes.Count)
                return 0;
            var (value, vector) = axes[axis];
            var sum = 0.0;
            for (var i = 0; i < count; i++)
                sum += vector[i] * (means[i] - (far[i][node] * far[i][node]));
            return sum / 2 / Math.Sqrt(value);
        }
        var own = nodes.ToHashSet();
        double Volume(int third)
        {
            foreach (var node in nodes)
                places[node] = new Vec3(Along(0, node), Along(1, node), Along(third, node));
            return Solver.Volume(mesh, places, own);
        }
        var best = Enumerable.Range(2, 3).MaxBy(third => Math.Abs(Volume(third)));
        var sign = Math.Sign(Volume(best)) < 0 ? -1 : 1;
        foreach (var node in nodes)
            places[node] = places[node] with { Z = sign * places[node].Z };
    }

    // Each as far from those before it as can be.
    private (List<int> Landmarks, List<double[]> Ways) Landmarks()
    {
        List<int> landmarks = [nodes[0]];
        List<double[]> far = [From(nodes[0])];
        var nearest = far[0].ToArray();
        while (landmarks.Count < Math.Min(MostLandmarks, nodes.Count))
        {
            var next = nodes.MaxBy(node => nearest[node]);
            landmarks.Add(next);
            far.Add(From(next));
            foreach (var node in nodes)
                nearest[node] = Math.Min(nearest[node], far[^1][node]);
        }
        return (landmarks, far);
    }

    private double[] From(int start)
    {
        var far = new double[ways.Length];
        Array.Fill(far, double.PositiveInfinity);
        var queue = new PriorityQueue<int, double>();
        far[start] = 0;
        queue.Enqueue(start, 0);
        while (queue.TryDequeue(out var node, out var way))
        {
            if (way > far[node])
                continue;
            foreach (var (to, length) in ways[node])
                if (way + length < far[to])
                {
                    far[to] = way + length;
                    queue.Enqueue(to, far[to]);
                }
        }
        return far;
    }
}
