using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// One piece of a sewn form: its points from <paramref name="FirstPoint"/> on, and its triangles by those points,
/// anticlockwise seen from the right side of the cloth.
/// </summary>
public sealed record FormSheet(
    string Piece,
    int Instance,
    bool TurnedOver,
    int FirstPoint,
    int PointCount,
    IReadOnlyList<int> Triangles
);

/// <summary>What a line of a form is.</summary>
[JsonConverter(typeof(ByName<FormLineKind>))]
public enum FormLineKind
{
    /// <summary>A plain seam.</summary>
    [JsonStringEnumMemberName("seam")]
    Seam,

    /// <summary>A seam with cord in it.</summary>
    [JsonStringEnumMemberName("corded")]
    Corded,

    /// <summary>A zip.</summary>
    [JsonStringEnumMemberName("zip")]
    Zip,

    /// <summary>An edge that is sewn to nothing.</summary>
    [JsonStringEnumMemberName("edge")]
    Edge,
}

/// <summary>A line of a form along its points; the name is that of its seam, empty for an open edge.</summary>
public sealed record FormLine(FormLineKind Kind, string Seam, IReadOnlyList<int> Points);

/// <summary>
/// How well a form is sewn: the greatest difference between a seam and either of its flat sides, the stretch that 95
/// parts of 100 of the cloth stay under, and the greatest; shares of one.
/// </summary>
public sealed record FormQuality(float SeamDifference, float Strain, float MostStrain);

/// <summary>
/// A cover sewn from its pattern: every point with its place in space and its exact place on the flat piece, both in
/// millimetres. The same pattern gives the same form.
/// </summary>
public sealed class SewnForm
{
    private const int Nodes = 2200;

    private const float MostStrain = 0.05f;

    private const double MostOpen = 2.5,
        Loft = 0.06,
        Layers = 3;

    private SewnForm(
        IReadOnlyList<FormSheet> sheets,
        IReadOnlyList<FormLine> lines,
        float[] places,
        float[] flat,
        FormQuality quality
    ) => (Sheets, Lines, Places, Flat, Quality) = (sheets, lines, places, flat, quality);

    /// <summary>The pieces.</summary>
    public IReadOnlyList<FormSheet> Sheets { get; }

    /// <summary>Seams, each once, and open edges.</summary>
    public IReadOnlyList<FormLine> Lines { get; }

    /// <summary>Three numbers for each point: across, back and up.</summary>
    public IReadOnlyList<float> Places { get; }

    /// <summary>Two numbers for each point: where it lies on its piece as drawn.</summary>
    public IReadOnlyList<float> Flat { get; }

    /// <summary>How well it is sewn.</summary>
    public FormQuality Quality { get; }

    /// <summary>Whether the cloth lies as its pieces are cut, or as nearly as cloth gives.</summary>
    public bool Vouched => Quality.Strain <= MostStrain;

    /// <summary>
    /// Sews <paramref name="pattern"/>, its linings left out; null where it has nothing to be sewn.
    /// </summary>
    public static SewnForm? Of(Pattern pattern, CancellationToken stop = default)
    {
        var surface = Surface.Folded(Unlined(pattern));
        if (surface.Sheets.Count == 0)
            return null;
        var step = Mesh.StepFor(surface, Nodes);
        var mesh = Mesh.Of(surface, step, stop);
        var places = new Vec3[mesh.Nodes];
        Embedding.Place(mesh, places);
        Solver.Firm(mesh, places, step, stop);
        Standing.Turn(mesh, places, 0);
        if (IsFlat(mesh, places, step))
            Soft.Fill(mesh, places, step, ThicknessOf(pattern), stop);
        return Told(mesh, places);
    }

    private static Pattern Unlined(Pattern pattern)
    {
        var linings = pattern
            .Pieces.Where(piece => piece.Role == ClothRole.Lining)
            .Select(piece => piece.Key)
            .ToHashSet();
        return linings.Count == 0
            ? pattern
            : pattern with
            {
                Pieces = [.. pattern.Pieces.Where(piece => !linings.Contains(piece.Key))],
                Seams =
                [
                    .. pattern.Seams.Where(seam =>
                        !seam.OneSide.Concat(seam.OtherSide).Any(run => linings.Contains(run.Piece))
                    ),
                ],
            };
    }

    // Closed all round, or nearly, and yet without room inside.
    private static bool IsFlat(Mesh mesh, Vec3[] places, double step)
    {
        var surface = mesh.Surface;
        var open = surface.Parts.Where((_, at) => surface.SewnTo(at) is null).Sum(part => part.Length);
        return open < MostOpen * Math.Sqrt(surface.Area)
            && Math.Abs(Solver.Volume(mesh, places)) < step * surface.Area / 2;
    }

    // As thick as its inner; a duvet has none of its own, and what is only turned through a slit is not filled.
    private static double ThicknessOf(Pattern pattern)
    {
        double? Finished(string name) =>
            pattern
                .Finished.Where(size => size.Name == name)
                .Select(size => (double?)size.Working.Value.ToMillimetres())
                .FirstOrDefault();
        return Finished("finished depth")
            ?? (
                pattern.Seams.Any(seam => seam.Kind is SeamKind.Zip or SeamKind.Opening)
                    ? (Finished("finished width") ?? 1000) * Loft
                    : Layers
            );
    }

    private static SewnForm Told(Mesh mesh, Vec3[] places)
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
                var place = places[point.Node];
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
            );
        }
        return new SewnForm(sheets, [.. LinesOf(mesh, index)], [.. told], [.. flat], Strains.Of(mesh, places));
    }

    private static IEnumerable<FormLine> LinesOf(Mesh mesh, int[] index)
    {
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
                    seam is null ? FormLineKind.Edge
                        : seam.Kind == SeamKind.Zip ? FormLineKind.Zip
                        : seam.CordLine is null ? FormLineKind.Seam
                        : FormLineKind.Corded,
                    seam?.Name ?? "",
                    [.. Enumerable.Range(from, count + 1).Select(at => index[first + (at % rim.Count)])]
                );
            }
        }
    }
}
