using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// From a pattern to a form: surface, mesh, a first shape in space, the solver for it; and where that cannot vouch for
/// itself, the flat pieces laid out.
/// </summary>
internal static class Sewer
{
    private const double MostOpen = 2.5,
        Loft = 0.06,
        Layers = 3;

    public static SewnForm? Sew(Pattern pattern, int nodes, CancellationToken stop)
    {
        var surface = Surface.Folded(Unlined(pattern));
        if (surface.Sheets.Count == 0)
            return null;
        var step = Mesh.StepFor(surface, nodes);
        var mesh = Mesh.Of(surface, step, stop);
        if (Laid(mesh, step, stop) is { } lies)
        {
            Standing.Centre(lies);
            if (Told.Of(mesh, pattern, lies, null) is { Vouched: true } told)
                return told;
        }
        // A start that suits most comes first; where it does not lead to what was cut, another is tried.
        SewnForm? best = null;
        foreach (var start in Starts)
        {
            var places = new Vec3[mesh.Nodes];
            if (start(mesh, places) is not { } stands)
                continue;
            Solver.Firm(mesh, places, step, stands, stop);
            if (surface.Sheets.Any(sheet => sheet.Piece.Facing != Facing.Anywhere))
                Facings.Hang(mesh, places);
            if (!stands)
                Standing.Turn(mesh, places, 0, pattern.EndFirst);
            if (!stands && IsFlat(mesh, places, step))
                Soft.Fill(mesh, places, step, ThicknessOf(pattern), stop);
            Standing.Centre(places);
            var form = Told.Of(mesh, pattern, places, null);
            if (form.Vouched)
                return Wrapped.DrawnIn(form, pattern);
            if (best is null || form.Quality.Strain < best.Quality.Strain)
                best = form;
        }
        var laid = Told.Of(mesh, pattern, new Vec3[mesh.Nodes], LaidOut.Of(mesh));
        return laid with
        {
            Quality = best!.Quality,
            SeamPlaces = best.SeamPlaces,
            Sheets = [.. laid.Sheets.Zip(best.Sheets, (sheet, sewn) => sheet with { Strain = sewn.Strain })],
        };
    }

    // What hangs or lies by itself, sewn to nothing.
    private static Vec3[]? Laid(Mesh mesh, double step, CancellationToken stop)
    {
        var places = new Vec3[mesh.Nodes];
        if (Draping.IsCalledFor(mesh))
            Draping.Drape(mesh, places, step, stop);
        else if (LyingSheets.AreCalledFor(mesh))
            LyingSheets.Place(mesh, places);
        else if (!Wrapped.Place(mesh, places))
            return null;
        return places;
    }

    // Each tells whether the cover stands already, and so needs no pressure to open; null where it cannot begin like that.
    private static readonly Func<Mesh, Vec3[], bool?>[] Starts =
    [
        (mesh, places) => Facings.Place(mesh, places) ? true : null,
        (mesh, places) => Hanging.IsCalledFor(mesh) && Hanging.Place(mesh, places) ? true : null,
        (mesh, places) =>
        {
            Embedding.Place(mesh, places);
            return false;
        },
        (mesh, places) => !Hanging.IsCalledFor(mesh) && Hanging.Place(mesh, places) ? true : null,
    ];

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
}
