using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>A solved mesh as it is told: points by sheet, triangles, lines.</summary>
internal static class Told
{
    /// <summary>
    /// The form of <paramref name="mesh"/>; <paramref name="laid"/> gives the place of a point where the pieces are laid
    /// out instead of sewn.
    /// </summary>
    public static SewnForm Of(Mesh mesh, Pattern pattern, Vec3[] places, Func<int, Vec3>? laid)
    {
        List<FormSheet> sheets = [];
        List<float> told = [],
            flat = [];
        var order = mesh
            .Points.Select((point, at) => (point, at))
            .GroupBy(pair => pair.point.Sheet)
            .OrderBy(group => group.Key);
        var index = new int[mesh.Points.Count];
        foreach (var own in order)
        {
            var first = told.Count / 3;
            foreach (var (point, at) in own)
            {
                index[at] = told.Count / 3;
                var place = laid is null ? places[point.Node] : laid(at);
                told.AddRange([(float)place.X, (float)place.Y, (float)place.Z]);
                flat.AddRange([(float)point.Flat.X, (float)point.Flat.Y]);
            }
            var sheet = mesh.Surface.Sheets[own.Key];
            sheets.Add(
                new FormSheet(
                    sheet.Piece.Key,
                    sheet.Instance,
                    sheet.TurnedOver,
                    first,
                    (told.Count / 3) - first,
                    [
                        .. from facet in mesh.Facets
                        where facet.Sheet == own.Key
                        from triangle in facet.Triangles
                        from corner in sheet.TurnedOver ? [triangle[0], triangle[2], triangle[1]] : triangle
                        select index[corner],
                    ]
                )
                {
                    Strain = Strains.Of(mesh, places, own.Key),
                    Reach = (
                        (float)own.Min(pair => pair.point.Flat.X),
                        (float)own.Min(pair => pair.point.Flat.Y),
                        (float)own.Max(pair => pair.point.Flat.X),
                        (float)own.Max(pair => pair.point.Flat.Y)
                    ),
                }
            );
        }
        FormLine[] lines = [.. LinesOf(mesh, pattern, index)];
        return new SewnForm(sheets, lines, [.. told], [.. flat], Strains.Of(mesh, places))
        {
            LaidOut = laid is not null,
            Marks = [.. FormMarks.Of(mesh, at => laid is null ? places[mesh.Points[at].Node] : laid(at))],
            SeamPlaces = SeamPlaces.Of(lines, told),
        };
    }

    private static IEnumerable<FormLine> LinesOf(Mesh mesh, Pattern pattern, int[] index)
    {
        var held = pattern
            .Uses.Where(use => use.Kind is EdgeUse.Elastic or EdgeUse.Casing)
            .Select(use => (use.Run.Piece, use.Run.Instance, use.Run.Edge))
            .ToHashSet();
        foreach (var fold in mesh.FoldLines)
            yield return new FormLine(FormLineKind.Fold, "", [.. fold.Select(at => index[at])]);
        var second = mesh.Surface.Seams.Select(seam => seam.Other).ToHashSet();
        for (var sheet = 0; sheet < mesh.Rims.Sheets.Count; sheet++)
        {
            var (rim, first) = (mesh.Rims.Sheets[sheet], mesh.FirstOfRim[sheet]);
            foreach (var part in rim.Select(point => point.Part).Distinct().Where(part => !second.Contains(part)))
            {
                var from = Enumerable.Range(0, rim.Count).First(at => rim[at].Part == part);
                var count = rim.Count(point => point.Part == part);
                var seam = mesh.Surface.Parts[part].Seam;
                yield return new FormLine(
                    seam is null && held.Contains(KeyOf(part)) ? FormLineKind.Elastic
                        : seam is null ? FormLineKind.Edge
                        : seam.Kind == SeamKind.Zip ? FormLineKind.Zip
                        : seam.CordLine is null ? FormLineKind.Seam
                        : FormLineKind.Corded,
                    seam?.Name ?? "",
                    [.. Enumerable.Range(from, count + 1).Select(at => index[first + (at % rim.Count)])]
                );
            }
        }

        (string, int, string) KeyOf(int part) =>
            mesh.Surface.Parts[part] is var own && mesh.Surface.Sheets[own.Sheet] is var sheet
                ? (sheet.Piece.Key, sheet.Instance, own.Edge)
                : default;
    }
}
