namespace Wrapper.Core.Sewing;

/// <summary>
/// A first shape for a cover that is gathered or pleated to a top: the top lies flat, all else hangs straight down from
/// the nearest point of its rim.
/// </summary>
internal static class Hanging
{
    /// <summary>Whether something is drawn in to a top that is not.</summary>
    public static bool IsCalledFor(Mesh mesh) => mesh.Surface.Sheets.Skip(1).Any(sheet => sheet.Left != (1, 1));

    /// <summary>Places every node; false where the first piece is drawn in itself.</summary>
    public static bool Place(Mesh mesh, Vec3[] places)
    {
        var sheets = mesh.Surface.Sheets;
        if (sheets[0].Left != (1, 1))
            return false;
        var ways = Embedding.Ways(mesh);
        var (far, from) = (new double[mesh.Nodes], new int[mesh.Nodes]);
        Array.Fill(far, double.PositiveInfinity);
        var queue = new PriorityQueue<int, double>();
        foreach (var point in mesh.Points.Where(point => point.Sheet == 0))
        {
            places[point.Node] = new Vec3(sheets[0].TurnedOver ? -point.Rest.X : point.Rest.X, point.Rest.Y, 0);
            (far[point.Node], from[point.Node]) = (0, point.Node);
            queue.Enqueue(point.Node, 0);
        }
        while (queue.TryDequeue(out var node, out var way))
        {
            if (way > far[node])
                continue;
            foreach (var (to, length) in ways[node])
                if (way + length < far[to])
                {
                    (far[to], from[to]) = (way + length, from[node]);
                    queue.Enqueue(to, far[to]);
                }
        }
        for (var node = 0; node < places.Length; node++)
            if (far[node] is > 0 and < double.PositiveInfinity)
                places[node] = places[from[node]] with { Z = -far[node] };
        return true;
    }
}
