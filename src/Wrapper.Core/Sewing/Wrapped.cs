using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// Sheets that are wrapped round a board or a mattress and drawn in beneath it. What the elastic gathers lies there, so
/// it is laid after the form is sewn, and does not count as strain.
/// </summary>
internal static class Wrapped
{
    // How near chords of an arc keep to it, in millimetres.
    private const double Smooth = 0.5;

    /// <summary>What a surface of one sheet without seams is wrapped round; null for any other.</summary>
    public static Wrapping? Of(Surface surface) =>
        surface is { Sheets: [{ Piece.Wraps: { } wraps }], Seams.Count: 0 } ? wraps : null;

    /// <summary>
    /// For each point of the rim, straight in from it: where it meets the board's edge, and where it turns beneath.
    /// </summary>
    public static IEnumerable<(Vec Edge, Vec Turn)> Inward(Wrapping wraps, IEnumerable<Vec> rim)
    {
        var board = Ring(wraps.Board);
        foreach (var point in rim)
        {
            var edge = Nearest(board, point);
            var over = point - edge;
            var down = Math.Min(over.Size, wraps.Height.ToMillimetres());
            yield return (edge, edge + (down / Math.Max(1e-9, over.Size) * over));
        }
    }

    /// <summary>
    /// Places every node of a sheet without seams: on the board, down its edge straight out from it, and back beneath;
    /// false for any other.
    /// </summary>
    public static bool Place(Mesh mesh, Vec3[] places)
    {
        if (Of(mesh.Surface) is not { } wraps)
            return false;
        var height = wraps.Height.ToMillimetres();
        var board = Ring(wraps.Board);
        var polygon = new Polygon(board);
        foreach (var point in mesh.Points)
        {
            var edge = polygon.Contains(point.Flat) ? point.Flat : Nearest(board, point.Flat);
            var over = point.Flat - edge;
            var beneath = Math.Max(0, over.Size - height) / Math.Max(1e-9, over.Size);
            var at = edge - (beneath * over);
            places[point.Node] = new(at.X, at.Y, -Math.Min(height, over.Size));
        }
        return true;
    }

    /// <summary>The form of a sheet with seams, what reaches below its board drawn in towards the middle.</summary>
    public static SewnForm DrawnIn(SewnForm form, Pattern pattern)
    {
        if (
            form.LaidOut
            || pattern.Pieces.Select(piece => piece.Wraps).OfType<Wrapping>().FirstOrDefault() is not { } wraps
        )
            return form;
        float Reach(int axis) => Enumerable.Range(0, form.Places.Count / 3).Max(at => form.Places[(3 * at) + axis]);
        var (half, deep) = (Reach(0), Reach(1));
        var under = Reach(2) - (float)wraps.Height.ToMillimetres();
        float[] places = [.. form.Places];
        for (var at = 0; at < places.Length; at += 3)
        {
            var beneath = under - places[at + 2];
            if (beneath <= 0)
                continue;
            places[at] *= 1 - Math.Min(1, beneath / half);
            places[at + 1] *= 1 - Math.Min(1, beneath / deep);
            places[at + 2] = under;
        }
        return form.With(form.Sheets, form.Lines, places, [.. form.Flat]);
    }

    private static Vec[] Ring(Outline outline) =>
        [.. outline.Edges.SelectMany(edge => outline.Curve(edge.Name).FlattenedOutward(Smooth))];

    private static Vec Nearest(Vec[] ring, Vec at)
    {
        var (best, nearest) = (ring[0], double.MaxValue);
        for (var n = 0; n < ring.Length; n++)
        {
            var (a, way) = (ring[n], ring[(n + 1) % ring.Length] - ring[n]);
            var share = Math.Clamp((at - a).Dot(way) / Math.Max(1e-9, way.Dot(way)), 0, 1);
            var on = a + (share * way);
            if ((at - on).Size < nearest)
                (best, nearest) = (on, (at - on).Size);
        }
        return best;
    }
}
