using System.Globalization;
using Wrapper.Core.Geometry;

namespace Wrapper.Formats.Drawings;

/// <summary>
/// Finds the outline in an ASCII DXF drawing: lines, arcs, circles and polylines that join end to end to a closed ring.
/// Of several the one on a layer of the stitch line is taken, else the largest.
/// </summary>
public static class DxfOutline
{
    private const int LongestDrawing = 4_000_000,
        MostEntities = 5000;

    // Ends that lie so near, in millimetres, are one point.
    private const double Near = 0.05;

    private sealed record Stretch(Vec From, Vec To, double? Radius, bool Left, bool Large, string Layer)
    {
        public Stretch Backwards() => this with { From = To, To = From, Left = !Left };
    }

    /// <summary>
    /// The outline as the data of an SVG path with arcs, y down, in units so many millimetres long; or why there is none.
    /// </summary>
    public static (string? Path, string? Reason) Read(string dxf, double millimetresAUnit)
    {
        if (dxf.Length > LongestDrawing)
            return (null, $"larger than {LongestDrawing / 1_000_000} MB: save the outline alone");
        if (Pairs(dxf) is not { } pairs)
            return (null, "this is no DXF drawing in ASCII: save it as DXF of release 12, as text");
        var scale = Scale(pairs);
        List<Stretch> stretches = [];
        var reason = Entities(pairs, scale, stretches);
        if (reason is not null)
            return (null, reason);
        // What is drawn on one layer belongs together; only where nothing closes there, layers are joined.
        var rings = stretches.GroupBy(each => each.Layer).SelectMany(Rings).ToList();
        if (rings.Count == 0)
            rings = Rings(stretches);
        var ring =
            rings.Find(each => each[0].Layer.Contains("stitch", StringComparison.OrdinalIgnoreCase))
            ?? rings.MaxBy(each => Math.Abs(Area(each)));
        return ring is null
            ? (null, "no lines and arcs join to a closed outline: close its gaps, and turn splines into arcs")
            : (Path(ring, millimetresAUnit), null);
    }

    private static List<(int Code, string Value)>? Pairs(string dxf)
    {
        var lines = dxf.Split('\n');
        List<(int, string)> pairs = [];
        for (var at = 0; at + 1 < lines.Length; at += 2)
        {
            if (
                !int.TryParse(
                    lines[at].Trim(),
                    NumberStyles.AllowLeadingSign,
                    CultureInfo.InvariantCulture,
                    out var code
                )
            )
                return null;
            pairs.Add((code, lines[at + 1].Trim()));
        }
        return pairs.Any(pair => pair is (2, "ENTITIES")) ? pairs : null;
    }

    // Millimetres a unit of the drawing, as its head says; millimetres where it says nothing.
    private static double Scale(List<(int Code, string Value)> pairs)
    {
        var at = pairs.FindIndex(pair => pair is (9, "$INSUNITS"));
        return at < 0 || at + 1 >= pairs.Count
            ? 1
            : pairs[at + 1].Value switch
            {
                "1" => 25.4,
                "2" => 304.8,
                "5" => 10,
                "6" => 1000,
                _ => 1,
            };
    }

    private static string? Entities(List<(int Code, string Value)> pairs, double scale, List<Stretch> stretches)
    {
        var at = pairs.FindIndex(pair => pair is (2, "ENTITIES")) + 1;
        List<(Vec At, double Bulge)> corners = [];
        var (isClosed, layer, count) = (false, "", 0);
        while (at < pairs.Count && pairs[at] is not (0, "ENDSEC"))
        {
            var kind = pairs[at].Value;
            var end = pairs.FindIndex(at + 1, pair => pair.Code == 0);
            if (end < 0)
                return "it is broken off: its entities do not end";
            if (++count > MostEntities)
                return $"more than {MostEntities} lines: save the outline alone";
            var own = pairs[(at + 1)..end];
            double Value(int code, double usual = 0) =>
                own.FindIndex(pair => pair.Code == code) is >= 0 and var found
                && double.TryParse(own[found].Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
                && double.IsFinite(value)
                    ? value
                    : usual;
            string On() => own.Find(pair => pair.Code == 8).Value ?? "";
            Vec Point(int x) => new(Value(x) * scale, Value(x + 10) * scale);
            switch (kind)
            {
                case "LINE":
                    stretches.Add(new(Point(10), Point(11), null, false, false, On()));
                    break;
                case "ARC":
                    Arc(Point(10), Value(40) * scale, Value(50), Value(51, 360), On());
                    break;
                case "CIRCLE":
                    Arc(Point(10), Value(40) * scale, 0, 180, On());
                    Arc(Point(10), Value(40) * scale, 180, 360, On());
                    break;
                case "POLYLINE":
                    (corners, isClosed, layer) = ([], ((int)Value(70) & 1) == 1, On());
                    break;
                case "VERTEX":
                    corners.Add((Point(10), Value(42)));
                    break;
                case "SEQEND":
                    Polyline();
                    break;
                case "LWPOLYLINE":
                    (corners, isClosed, layer) = ([], ((int)Value(70) & 1) == 1, On());
                    foreach (var pair in own)
                        if (
                            !double.TryParse(
                                pair.Value,
                                NumberStyles.Float,
                                CultureInfo.InvariantCulture,
                                out var number
                            )
                        )
                            continue;
                        else if (pair.Code == 10)
                            corners.Add((new(number * scale, 0), 0));
                        else if (pair.Code == 20 && corners.Count > 0)
                            corners[^1] = (new(corners[^1].At.X, number * scale), 0);
                        else if (pair.Code == 42 && corners.Count > 0)
                            corners[^1] = (corners[^1].At, number);
                    Polyline();
                    break;
                case "SPLINE" or "ELLIPSE":
                    return "it has curves that are no arcs of circles: turn them into arcs, or trace points";
            }
            at = end;
        }
        return null;

        void Arc(Vec centre, double radius, double from, double to, string on)
        {
            Vec At(double degrees) =>
                new(
                    centre.X + (radius * Math.Cos(degrees * Math.PI / 180)),
                    centre.Y + (radius * Math.Sin(degrees * Math.PI / 180))
                );
            var through = ((to - from) % 360 + 360) % 360;
            if (radius > 0)
                stretches.Add(new(At(from), At(to), radius, true, through > 180, on));
        }

        void Polyline()
        {
            for (var n = 0; n < corners.Count - (isClosed ? 0 : 1); n++)
            {
                var (from, bulge) = corners[n];
                var to = corners[(n + 1) % corners.Count].At;
                var chord = (to - from).Size;
                // The bulge is the tangent of a quarter of the angle turned through; positive turns left.
                double? radius = Math.Abs(bulge) < 1e-9 ? null : chord * (1 + (bulge * bulge)) / (4 * Math.Abs(bulge));
                stretches.Add(new(from, to, radius, bulge > 0, Math.Abs(bulge) > 1, layer));
            }
        }
    }

    private static List<List<Stretch>> Rings(IEnumerable<Stretch> stretches)
    {
        var left = stretches.Where(each => (each.From - each.To).Size > Near).ToList();
        List<List<Stretch>> rings = [];
        while (left.Count > 0)
        {
            List<Stretch> ring = [left[0]];
            left.RemoveAt(0);
            while ((ring[^1].To - ring[0].From).Size > Near)
            {
                var next = left.FindIndex(each =>
                    (each.From - ring[^1].To).Size <= Near || (each.To - ring[^1].To).Size <= Near
                );
                if (next < 0)
                    break;
                ring.Add((left[next].From - ring[^1].To).Size <= Near ? left[next] : left[next].Backwards());
                left.RemoveAt(next);
            }
            if (ring.Count > 1 && (ring[^1].To - ring[0].From).Size <= Near)
                rings.Add(ring);
        }
        return rings;
    }

    // By its chords: enough to tell the largest.
    private static double Area(List<Stretch> ring) =>
        ring.Sum(each => (each.From.X * each.To.Y) - (each.To.X * each.From.Y)) / 2;

    private static string Path(List<Stretch> ring, double unit)
    {
        string At(Vec at) => FormattableString.Invariant($"{at.X / unit:0.#####} {-at.Y / unit:0.#####}");
        return string.Concat(
            $"M{At(ring[0].From)}",
            string.Concat(
                ring.Select(each =>
                    each.Radius is { } radius
                        // y runs down: what turned left turns against the clock still.
                        ? FormattableString.Invariant(
                            $" A{radius / unit:0.#####} {radius / unit:0.#####} 0 {(each.Large ? 1 : 0)} {(each.Left ? 0 : 1)} "
                        ) + At(each.To)
                        : $" L{At(each.To)}"
                )
            ),
            " Z"
        );
    }
}
