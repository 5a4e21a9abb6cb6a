using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// Where a flat sheet is folded once it is sewn, read off the seams: between the apexes of darts, from an apex in line
/// with one of its sides, and across a strip wherever the sheet that it is sewn to has a corner or goes round an arc; and
/// where a sheet is bent over furniture, or turned beneath what it is wrapped round.
/// </summary>
internal static class Folds
{
    // So much of a turn, in radians, is a corner; less along an arc is still a fold.
    private const double CornerTurn = 0.4,
        ArcTurn = 0.004,
        ApexTurn = 0.35,
        InLine = 0.03;

    // In millimetres: a stop was set at that height.
    private const double Level = 0.1;

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
        foreach (var bend in LyingSheets.Bends(surface.Sheets[sheet]))
        {
            var ends = Enumerable.Range(0, rim.Count).Where(at => Math.Abs(polygon.At(at).Y - bend) < Level).ToList();
            if (ends.Count >= 2)
                Take(ends[0], ends[^1]);
        }
        if (surface.Sheets[sheet].Piece.Wraps is { } wraps)
            for (var n = 0; n < apexes.Count; n++)
                if (Below(apexes[n], 1) is { } from && Below(apexes[(n + 1) % apexes.Count], -1) is { } to)
                    Take(from, to);
        return folds;

        // Down a corner from its apex, where the flap turns beneath.
        int? Below(int apex, int way)
        {
            var down = wraps.Height.ToMillimetres();
            for (var steps = 1; steps < rim.Count; steps++)
            {
                var at = (apex + (way * steps) + rim.Count) % rim.Count;
                var far = (polygon.At(at) - polygon.At(apex)).Size;
                if (far > down - Level)
                    return far < down + Level ? at : null;
            }
            return null;
        }
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
            foreach (var bend in LyingSheets.Bends(surface.Sheets[sheet]))
                for (var at = 0; at < rim.Count; at++)
                {
                    var (from, to) = (polygon.At(at).Y, polygon.At((at + 1) % rim.Count).Y);
                    if ((from - bend) * (to - bend) < 0)
                        stops.Add((sheet, rims.Along(surface, sheet, at, (bend - from) / (to - from))));
                }
            if (surface.Sheets[sheet].Piece.Wraps is { } wraps)
                stops.AddRange(Turned(surface, rims, polygon, sheet, wraps).Select(along => (sheet, along)));
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

    // Where the corners of a wrapped sheet turn beneath, along its rim.
    private static IEnumerable<double> Turned(Surface surface, Rims rims, Polygon polygon, int sheet, Wrapping wraps)
    {
        var (rim, down) = (rims.Sheets[sheet], wraps.Height.ToMillimetres());
        for (var at = 0; at < rim.Count; at++)
        {
            if (polygon.Turn(at) > -ApexTurn || surface.SewnTo(rim[at].Part) is null)
                continue;
            var before = (at + rim.Count - 1) % rim.Count;
            var (next, last) = ((polygon.At(at + 1) - polygon.At(at)).Size, (polygon.At(at) - polygon.At(before)).Size);
            if (down < next)
                yield return rims.Along(surface, sheet, at, down / next);
            if (down < last)
                yield return rims.Along(surface, sheet, before, 1 - (down / last));
        }
    }

    // How far what this rim is sewn to turns at a point, laid flat: half a turn less the corners of all other sheets that
    // meet there. Two pieces that merely go on in line come to nothing. Null where nothing turns.
    private static double? TurnsBeyond(Surface surface, Rims rims, Polygon[] polygons, int sheet, int at)
    {
        var rim = rims.Sheets[sheet];
        var parts = new[] { rim[at].Part, rim[(at + rim.Count - 1) % rim.Count].Part };
        if (parts.Any(part => surface.SewnTo(part) is null))
            return null;
        var beyond = 0.0;
        foreach (var (far, n) in rims.At(rim[at].Node))
        {
            if (far == sheet && n == at)
                continue;
            var others = rims.Sheets[far];
            var (next, before) = (others[n].Part, others[(n + others.Count - 1) % others.Count].Part);
            // Below a dart the corner goes on.
            if (far != sheet && ((IsSewnTo(next) && IsDart(before)) || (IsDart(next) && IsSewnTo(before))))
                return Math.PI / 2;
            beyond += Math.PI - polygons[far].Turn(n);
        }
        return Math.Abs(Math.PI - beyond) is > ArcTurn and var turn ? turn : null;

        bool IsDart(int part) => surface.Parts[part].Seam?.Kind == SeamKind.Dart;

        bool IsSewnTo(int part) => surface.SewnTo(part) is { } partner && surface.Parts[partner].Sheet == sheet;
    }
}
