using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A first shape for a cover of furniture: pieces stand the way that they face, each where its seams meet those that
/// stand already; a piece that faces nowhere hangs from what it is sewn to.
/// </summary>
internal sealed class Facings
{
    private readonly Mesh mesh;
    private readonly Vec3[] places;
    private readonly bool[] known;
    private readonly ILookup<int, int> points;

    private Facings(Mesh mesh, Vec3[] places)
    {
        (this.mesh, this.places, known) = (mesh, places, new bool[places.Length]);
        points = Enumerable.Range(0, mesh.Points.Count).ToLookup(at => mesh.Points[at].Sheet);
    }

    /// <summary>Places every node; false where no piece faces anywhere.</summary>
    public static bool Place(Mesh mesh, Vec3[] places)
    {
        var waiting = Enumerable.Range(0, mesh.Surface.Sheets.Count).ToList();
        if (waiting.All(sheet => !Faces(mesh, sheet)))
            return false;
        var facings = new Facings(mesh, places);
        while (waiting.Count > 0)
        {
            // What faces somewhere first; of those the one that has most of its nodes standing already.
            var next = waiting.MaxBy(sheet => (Faces(mesh, sheet), facings.Shared(sheet).Count()));
            waiting.Remove(next);
            facings.Stand(next);
        }
        return true;
    }

    /// <summary>
    /// Lets what faces nowhere hang down again, once the rest has found its shape: nothing else holds it upright.
    /// </summary>
    public static void Hang(Mesh mesh, Vec3[] places)
    {
        var facings = new Facings(mesh, places);
        var hanging = Enumerable.Range(0, mesh.Surface.Sheets.Count).ToLookup(sheet => !Faces(mesh, sheet));
        foreach (var point in hanging[false].SelectMany(sheet => facings.points[sheet]))
            facings.known[mesh.Points[point].Node] = true;
        foreach (var sheet in hanging[true])
            facings.Stand(sheet);
    }

    private static bool Faces(Mesh mesh, int sheet) => mesh.Surface.Sheets[sheet].Piece.Facing != Facing.Anywhere;

    private IEnumerable<int> Shared(int sheet) => points[sheet].Where(point => known[mesh.Points[point].Node]);

    private void Stand(int sheet)
    {
        var shared = Shared(sheet).ToList();
        var (x, y) =
            Faces(mesh, sheet) ? Axes(mesh.Surface.Sheets[sheet])
            : shared.Count < 2 ? Onto(Facing.Front, turned: false)
            : Hanging(sheet, shared);
        var at = shared.Aggregate(
            new Vec3(),
            (sum, point) =>
                sum
                + (places[mesh.Points[point].Node] - (mesh.Points[point].Rest.X * x) - (mesh.Points[point].Rest.Y * y))
        );
        at = 1.0 / Math.Max(1, shared.Count) * at;
        foreach (var point in points[sheet])
        {
            var (flat, node) = (mesh.Points[point].Rest, mesh.Points[point].Node);
            if (!known[node])
                places[node] = at + (flat.X * x) + (flat.Y * y);
            known[node] = true;
        }
    }

    // Along the edge that is sewn already, and downward from it.
    private (Vec3, Vec3) Hanging(int sheet, List<int> shared)
    {
        Vec Rest(int point) => mesh.Points[point].Rest;
        var (a, b) = (shared[0], shared.MaxBy(point => (Rest(point) - Rest(shared[0])).Size));
        var flat = (Rest(b) - Rest(a)).Unit();
        var along = (places[mesh.Points[b].Node] - places[mesh.Points[a].Node]).Unit();
        var middle = points[sheet].Aggregate(new Vec(), (sum, point) => sum + Rest(point));
        var inward = (1.0 / points[sheet].Count() * middle) - Rest(a);
        var side = flat.Cross(inward) > 0 ? 1 : -1;
        var down = new Vec3(0, 0, -1);
        var on = (down - (down.Dot(along) * along)).Unit();
        // A step across and up the flat, by its shares along the edge and away from it.
        var away = side * new Vec(-flat.Y, flat.X);
        return ((flat.X * along) + (away.X * on), (flat.Y * along) + (away.Y * on));
    }

    private static (Vec3, Vec3) Axes(Sheet sheet) =>
        Onto(sheet.Piece.Facing, sheet.Piece.TurnedOver && sheet.Instance % 2 == 0);

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
