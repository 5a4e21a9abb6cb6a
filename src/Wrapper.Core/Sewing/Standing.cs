using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>Turns a form so that it stands as it is used: its first piece on top, front towards the viewer.</summary>
internal static class Standing
{
    /// <summary>
    /// Turns all places so that the largest facet of <paramref name="sheet"/> lies upright to Z, its lower edge to the
    /// front; or, where it is an end, so that it stands at the right with its lower edge below.
    /// </summary>
    public static void Turn(Mesh mesh, Vec3[] places, int sheet, bool isEnd = false)
    {
        var top = mesh.Facets.Where(facet => facet.Sheet == sheet).MaxBy(facet => facet.Triangles.Count);
        if (top is null || top.Triangles.Count == 0)
            return;
        var (across, back) = Axes(mesh, places, top);
        var x = across.Unit();
        var y = (back - (back.Dot(x) * x)).Unit();
        var z = x.Cross(y);
        var (right, rear, up) = isEnd ? (z, x, y) : (x, y, z);
        for (var at = 0; at < places.Length; at++)
            places[at] = new Vec3(places[at].Dot(right), places[at].Dot(rear), places[at].Dot(up));
    }

    /// <summary>Moves all places so that the middle of the box that holds them is at nothing.</summary>
    public static void Centre(Vec3[] places)
    {
        var (low, high) = (new Vec3(1e12, 1e12, 1e12), new Vec3(-1e12, -1e12, -1e12));
        foreach (var place in places)
        {
            low = new(Math.Min(low.X, place.X), Math.Min(low.Y, place.Y), Math.Min(low.Z, place.Z));
            high = new(Math.Max(high.X, place.X), Math.Max(high.Y, place.Y), Math.Max(high.Z, place.Z));
        }
        var middle = 0.5 * (low + high);
        for (var at = 0; at < places.Length; at++)
            places[at] -= middle;
    }

    // How a step across and a step up the flat facet lie in space, on average; seen from the right side of the cloth.
    private static (Vec3 Across, Vec3 Up) Axes(Mesh mesh, Vec3[] places, Facet facet)
    {
        var all = facet.Points.Select(at => mesh.Points[at]).ToList();
        var flat = 1.0 / all.Count * all.Aggregate(new Vec(), (sum, point) => sum + point.Rest);
        var place = 1.0 / all.Count * all.Aggregate(new Vec3(), (sum, point) => sum + places[point.Node]);
        Vec3 across = new(),
            up = new();
        foreach (var point in all)
        {
            across += (point.Rest - flat).X * (places[point.Node] - place);
            up += (point.Rest - flat).Y * (places[point.Node] - place);
        }
        return (mesh.Surface.Sheets[facet.Sheet].TurnedOver ? -1 * across : across, up);
    }
}
