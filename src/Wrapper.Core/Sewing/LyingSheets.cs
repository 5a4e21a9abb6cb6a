using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>Sheets that are sewn to nothing, laid over the furniture's own shape.</summary>
internal static class LyingSheets
{
    /// <summary>Whether every sheet says how it lies.</summary>
    public static bool AreCalledFor(Mesh mesh) => mesh.Surface.Sheets.All(sheet => sheet.Piece.Lies is not null);

    /// <summary>Places every node.</summary>
    public static void Place(Mesh mesh, Vec3[] places)
    {
        foreach (var point in mesh.Points)
        {
            var sheet = mesh.Surface.Sheets[point.Sheet];
            var (left, bottom, _, _) = sheet.Piece.Stitch.Bounds();
            var flat = point.Flat - new Vec(left.ToMillimetres(), bottom.ToMillimetres());
            places[point.Node] = At(sheet.Piece.Lies!, flat, sheet.Instance % 2 == 0);
        }
    }

    /// <summary>How far up its drawing each bend of a sheet lies, in millimetres.</summary>
    public static IEnumerable<double> Bends(Sheet sheet) =>
        sheet.Piece.Lies is { } lies
            ? lies.Bends.Select(bend => (bend + sheet.Piece.Stitch.Bounds().Bottom).ToMillimetres())
            : [];

    private static Vec3 At(Lying lies, Vec flat, bool onLeft)
    {
        var side = onLeft ? -1 : 1;
        var place = new Vec3(
            side * lies.Right.ToMillimetres(),
            lies.Behind.ToMillimetres(),
            lies.Above.ToMillimetres()
        );
        place += flat.X * (lies.OverSide ? new Vec3(0, 1, 0) : new Vec3(1, 0, 0));
        var left = flat.Y;
        for (var n = 0; n < lies.Stretches.Count; n++)
        {
            var (along, way) = lies.Stretches[n];
            // The last one goes on as far as the sheet does.
            var go = n == lies.Stretches.Count - 1 ? left : Math.Min(left, along.ToMillimetres());
            place += go * Way(way, side);
            left -= go;
        }
        return place;
    }

    private static Vec3 Way(Going going, int side) =>
        going switch
        {
            Going.Up => new(0, 0, 1),
            Going.Down => new(0, 0, -1),
            Going.Back => new(0, 1, 0),
            _ => new(-side, 0, 0),
        };
}
