using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// Where a flat sheet is folded once it is sewn, read off the seams: between the apexes of darts, from an apex in line
/// with one of its sides, and across a strip wherever the sheet that it is sewn to has a corner or goes round an arc.
/// </summary>
internal static class Folds
{
    // So much of a turn, in radians, is a corner; less along an arc is still a fold.
    private const double CornerTurn = 0.4,
        ArcTurn = 0.04,
        ApexTurn = 0.35,
        InLine = 0.03;

    /// <summary>
    /// The folds of one sheet as chords between points of its rim; none crosses another or leaves the sheet.
    /// </summary>
    public static IReadOnlyList<(int From, int To)> Of(Surface surface, Rims rims, Polygon[] polygons, int sheet)
    {
        var (rim, polygon) = (rims.Sheets[sheet], polygons[sheet]);
        List<(int From, int To)> folds = [];
        void Take(int from, int to)
        {
            if (
                from != to
                && !folds.Contains((from, to))
                && !folds.Contains((to, from))
                && polygon.HasInside(from, to)
                && folds.All(other => !polygon.Cross(from, to, other.From, other.To))
            )
                folds.Add((from, to));
        }
        List<int> apexes =
        [
            .. Enumerable
                .Range(0, rim.Count)
                .Where(at =>
                    rim[at].IsStop
                    && polygon.Turn(at) < -ApexTurn
                    && surface.SewnTo(rim[at].Part) is not null
                    && surface.SewnTo(rim[(at + rim.Count - 1) % rim.Count].Part) is not null
                ),
        ];
        for (var n = 0; n < apexes.Count; n++)
            Take(apexes[n], apexes[(n + 1) % apexes.Count]);
        foreach (var apex in apexes)
        foreach (var along in new[] { polygon.Into(apex), -1 * polygon.OutOf(apex) })
        {
            // Onward from either side of the dart: to another apex, or straight to the rim.
            var aim = apexes.Where(other => other != apex && polygon.Aims(apex, along, other, InLine)).ToList();
            if (aim.Count > 0)
                Take(apex, aim.MinBy(other => (polygon.At(other) - polygon.At(apex)).Size));
        }
        foreach (var apex in apexes.Where(apex => !folds.Any(fold => fold.From == apex || fold.To == apex)))
        foreach (var along in new[] { polygon.Into(apex), -1 * polygon.OutOf(apex) })
            if (polygon.Across(apex, along) is { } hit)
                Take(apex, hit);
        foreach (var at in Enumerable.Range(0, rim.Count))
            if (Math.Abs(polygon.Turn(at)) < ArcTurn && TurnsBeyond(surface, rims, polygons, sheet, at) is not null)
                if (polygon.Across(at, -1 * polygon.OutOf(at).Right()) is { } hit)
                    Take(at, hit);
        return folds;
    }

    /// <summary>
    /// Where folds across a sheet meet its rim between its stops, so that both sides of a seam get one there: for each
    /// sheet, how far along its rim.
    /// </summary>
    public static IReadOnlyList<(int Sheet, double Along)> Stops(Surface surface)
    {
        var rims = Rims.Of(surface, double.PositiveInfinity);
        var polygons = rims.Sheets.Select(rim => new Polygon([.. rim.Select(point => point.Flat)])).ToArray();
        List<(int, double)> stops = [];
        for (var sheet = 0; sheet < polygons.Length; sheet++)
        {
            var (rim, polygon) = (rims.Sheets[sheet], polygons[sheet]);
            for (var at = 0; at < rim.Count; at++)
                if (
                    Math.Abs(polygon.Turn(at)) < ArcTurn
                    && TurnsBeyond(surface, rims, polygons, sheet, at) > CornerTurn
                    && polygon.Leaves(at, -1 * polygon.OutOf(at).Right()) is { } hit
                )
                    stops.Add((sheet, rims.Along(surface, sheet, hit.Side, hit.Share)));
        }
        return stops;
    }

    // How far the sheet on the other side of the seam turns at this point, where it is sewn to this one on both sides of
    // it: else two pieces merely go on in line. Null where nothing turns.
    private static double? TurnsBeyond(Surface surface, Rims rims, Polygon[] polygons, int sheet, int at)
    {
        var rim = rims.Sheets[sheet];
        foreach (var mine in new[] { rim[at].Part, rim[(at + rim.Count - 1) % rim.Count].Part }.Distinct())
        {
            if (surface.SewnTo(mine) is not { } theirs)
                continue;
            var far = surface.Parts[theirs].Sheet;
            var beyond = rims.Sheets[far];
            for (var n = 0; n < beyond.Count; n++)
            {
                if (beyond[n].Node != rim[at].Node)
                    continue;
                var (next, before) = (beyond[n].Part, beyond[(n + beyond.Count - 1) % beyond.Count].Part);
                // Below a dart the corner goes on.
                if (
                    far != sheet
                    && ((IsSewnTo(next, sheet) && IsDart(before)) || (IsDart(next) && IsSewnTo(before, sheet)))
                )
                    return Math.PI / 2;
                if (
                    IsSewnTo(next, sheet)
                    && IsSewnTo(before, sheet)
                    && Math.Abs(polygons[far].Turn(n)) is > ArcTurn and var turn
                )
                    return turn;
            }
        }
        return null;

        bool IsDart(int part) => surface.Parts[part].Seam?.Kind == SeamKind.Dart;

        bool IsSewnTo(int part, int other) =>
            surface.SewnTo(part) is { } partner && surface.Parts[partner].Sheet == other;
    }
}
