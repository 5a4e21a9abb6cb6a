using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>Marks of the pieces, buttons and loops among them, as they come to lie on the cover.</summary>
internal static class FormMarks
{
    /// <summary>The marks with a name of their own; <paramref name="place"/> gives the place of a point.</summary>
    public static IEnumerable<FormMark> Of(Mesh mesh, Func<int, Vec3> place)
    {
        for (var n = 0; n < mesh.Surface.Sheets.Count; n++)
        {
            var (sheet, rim, first) = (mesh.Surface.Sheets[n], mesh.Rims.Sheets[n], mesh.FirstOfRim[n]);
            foreach (
                var notch in sheet.Piece.Notches.Where(notch => notch.What.Length > 0).Concat(sheet.Piece.Attached)
            )
            {
                var stitch = sheet.Piece.Stitch;
                var at = stitch.Edges.ToList().FindIndex(edge => edge.Name == notch.Edge);
                var share = notch.At.ToMillimetres() / Math.Max(1e-9, stitch.LengthOf(notch.Edge).ToMillimetres());
                var flat = stitch.Curve(at).At(Math.Clamp(share, 0, 1));
                var there = On(rim.Count, side => rim[side].Flat, side => place(first + side), flat);
                yield return new FormMark(notch.What, (float)there.X, (float)there.Y, (float)there.Z);
            }
        }
    }

    // The nearest point of the rim, on the flat piece, and where that lies in space.
    private static Vec3 On(int sides, Func<int, Vec> flat, Func<int, Vec3> place, Vec point)
    {
        var (nearest, found) = (double.PositiveInfinity, new Vec3());
        for (var side = 0; side < sides; side++)
        {
            var (from, to) = (flat(side), flat((side + 1) % sides));
            var way = to - from;
            var share = Math.Clamp((point - from).Dot(way) / Math.Max(1e-12, way.Dot(way)), 0, 1);
            var off = (point - (from + (share * way))).Size;
            if (off < nearest)
                (nearest, found) = (off, place(side) + (share * (place((side + 1) % sides) - place(side))));
        }
        return found;
    }
}
