using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A first shape for a cover of furniture: pieces stand the way that they face, each where its seams meet those that
/// stand already; a piece that faces nowhere goes on in the plane of what it is sewn to.
/// </summary>
internal static class Facings
{
    /// <summary>Places every node; false where no piece faces anywhere.</summary>
    public static bool Place(Mesh mesh, Vec3[] places)
    {
        var sheets = mesh.Surface.Sheets;
        if (sheets.All(sheet => sheet.Piece.Facing == Facing.Anywhere))
            return false;
        var axes = sheets.Select(Axes).ToArray();
        var points = Enumerable.Range(0, mesh.Points.Count).ToLookup(at => mesh.Points[at].Sheet);
        var known = new bool[places.Length];
        var waiting = Enumerable.Range(0, sheets.Count).ToList();
        var root = waiting.First(at => axes[at] is not null);
        Stand(root, new Vec3());
        while (waiting.Count > 0)
        {
            // The one that has most of its nodes standing already.
            var next = waiting.MaxBy(at =>
                (axes[at] is not null, points[at].Count(point => known[mesh.Points[point].Node]))
            );
            var shared = points[next].Where(point => known[mesh.Points[point].Node]).ToList();
            axes[next] ??= shared.Count < 2 ? Onto(Facing.Front, turned: false) : GoingOn(next, shared);
            var (x, y) = axes[next]!.Value;
            var at = shared.Aggregate(
                new Vec3(),
                (sum, point) =>
                    sum
                    + (
                        places[mesh.Points[point].Node]
                        - (mesh.Points[point].Rest.X * x)
                        - (mesh.Points[point].Rest.Y * y)
                    )
            );
            Stand(next, 1.0 / Math.Max(1, shared.Count) * at);
        }
        return true;

        void Stand(int sheet, Vec3 at)
        {
            waiting.Remove(sheet);
            var (x, y) = axes[sheet]!.Value;
            foreach (var point in points[sheet])
            {
                var (flat, node) = (mesh.Points[point].Rest, mesh.Points[point].Node);
                if (!known[node])
                    places[node] = at + (flat.X * x) + (flat.Y * y);
                known[node] = true;
            }
        }

        (Vec3, Vec3) GoingOn(int sheet, List<int> shared)
        {
            // Along the edge that is sewn already, and on downward from it.
            var (a, b) = (
                shared[0],
                shared.MaxBy(point => (mesh.Points[point].Rest - mesh.Points[shared[0]].Rest).Size)
            );
            var flat = (mesh.Points[b].Rest - mesh.Points[a].Rest).Unit();
            var along = (places[mesh.Points[b].Node] - places[mesh.Points[a].Node]).Unit();
            var middle = points[sheet].Aggregate(new Vec(), (sum, point) => sum + mesh.Points[point].Rest);
            var inward = (1.0 / points[sheet].Count() * middle) - mesh.Points[a].Rest;
            var side = flat.Cross(inward) > 0 ? 1 : -1;
            var down = new Vec3(0, 0, -1);
            var on = (down - (down.Dot(along) * along)).Unit();
            // A step across and up the flat, by its shares along the edge and away from it.
            var away = side * new Vec(-flat.Y, flat.X);
            return ((flat.X * along) + (away.X * on), (flat.Y * along) + (away.Y * on));
        }
    }

    private static (Vec3, Vec3)? Axes(Sheet sheet) =>
        sheet.Piece.Facing == Facing.Anywhere
            ? null
            : Onto(sheet.Piece.Facing, sheet.Piece.TurnedOver && sheet.Instance % 2 == 0);

    // The other one of a pair is its mirror image across.
    private static (Vec3, Vec3) Onto(Facing facing, bool turned)
    {
        var across = new Vec3(turned ? -1 : 1, 0, 0);
        var (back, up) = (new Vec3(0, 1, 0), new Vec3(0, 0, 1));
        return facing switch
        {
            Facing.Top => (across, back),
            Facing.Side => (-1 * back, up),
            Facing.FrontOnEnd => (up, across),
            _ => (across, up),
        };
    }
}
