using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// Lays what is tucked, pleats, inserts, flaps, linings, behind the pieces of a form. It shapes nothing, so the form is
/// sewn without it.
/// </summary>
internal static class Tucking
{
    // A layer is so far behind the next in millimetres, and is told by so many points each way.
    private const double Apart = 2.5;
    private const int Steps = 6;

    /// <summary><paramref name="form"/> with every layer that <paramref name="pattern"/> tucks behind its pieces.</summary>
    public static SewnForm Lay(SewnForm form, Pattern pattern)
    {
        if (form.LaidOut || pattern.Tucks.Count == 0)
            return form;
        List<float> places = [.. form.Places],
            flat = [.. form.Flat];
        List<FormSheet> sheets = [.. form.Sheets];
        List<FormLine> lines = [.. form.Lines];
        foreach (var tuck in pattern.Tucks)
        {
            var piece = pattern.Piece(tuck.Piece);
            var turned = piece.IsTurnedOver(tuck.Instance);
            var first = flat.Count / 2;
            List<int> triangles = [];
            foreach (var layer in tuck.Layers)
                if (form.Sheets.FirstOrDefault(sheet => IsOf(sheet, layer)) is { } front)
                    Add(layer, new Front(form, front));
            var (left, low, right, high) = piece.Stitch.Bounds();
            if (triangles.Count > 0)
                sheets.Add(
                    new FormSheet(tuck.Piece, tuck.Instance, turned, first, (flat.Count / 2) - first, triangles)
                    {
                        Tucked = true,
                        Reach = (Millimetres(left), Millimetres(low), Millimetres(right), Millimetres(high)),
                    }
                );

            void Add(TuckLayer layer, Front front)
            {
                var start = flat.Count / 2;
                if (layer.Flat.Count == 0)
                {
                    foreach (var at in Enumerable.Range(front.Sheet.FirstPoint, front.Sheet.PointCount))
                        Put(front.Flat(at), front.Flat(at), layer.Deep, front);
                    for (var at = 0; at < front.Sheet.Triangles.Count; at += 3)
                        Triangle(
                            start + front.Sheet.Triangles[at] - front.Sheet.FirstPoint,
                            start + front.Sheet.Triangles[at + 1] - front.Sheet.FirstPoint,
                            start + front.Sheet.Triangles[at + 2] - front.Sheet.FirstPoint
                        );
                    return;
                }
                Vec[] own = [.. layer.Flat.Select(Flatly)],
                    behind = [.. layer.Behind.Select(Flatly)];
                for (var up = 0; up <= Steps; up++)
                for (var along = 0; along <= Steps; along++)
                    Put(Between(own, along, up), Between(behind, along, up), layer.Deep, front);
                lines.Add(new(FormLineKind.Edge, "", [.. Around().Select(at => start + at)]));
                for (var up = 0; up < Steps; up++)
                for (var along = 0; along < Steps; along++)
                {
                    var at = start + (up * (Steps + 1)) + along;
                    Triangle(at, at + 1, at + Steps + 2);
                    Triangle(at, at + Steps + 2, at + Steps + 1);
                }
            }

            void Put(Vec at, Vec behind, int deep, Front front)
            {
                var place = front.Behind(behind, deep * Apart);
                places.AddRange([(float)place.X, (float)place.Y, (float)place.Z]);
                flat.AddRange([(float)at.X, (float)at.Y]);
            }

            // Anticlockwise seen from the right side of the cloth, whichever way its corners were told.
            void Triangle(int a, int b, int c)
            {
                Vec At(int at) => new(flat[2 * at], flat[(2 * at) + 1]);
                var area = (At(b) - At(a)).Cross(At(c) - At(a));
                if (Math.Abs(area) > 1e-6)
                    triangles.AddRange(area > 0 == turned ? [a, c, b] : [a, b, c]);
            }
        }
        return form.With(sheets, lines, [.. places], [.. flat]);
    }

    // The points round a layer, of those that it is told by.
    private static IEnumerable<int> Around()
    {
        const int Row = Steps + 1;
        for (var at = 0; at < Steps; at++)
            yield return at;
        for (var at = 0; at < Steps; at++)
            yield return (at * Row) + Steps;
        for (var at = Steps; at > 0; at--)
            yield return (Steps * Row) + at;
        for (var at = Steps; at >= 0; at--)
            yield return at * Row;
    }

    private static bool IsOf(FormSheet sheet, TuckLayer layer) =>
        sheet.Piece == layer.Front && sheet.Instance == layer.Instance;

    private static Vec Flatly(Point point) => new(point.X.ToMillimetres(), point.Y.ToMillimetres());

    private static float Millimetres(Length length) => (float)length.ToMillimetres();

    // The point of a quadrilateral at these shares of its sides.
    private static Vec Between(Vec[] corners, int along, int up)
    {
        var (x, y) = ((double)along / Steps, (double)up / Steps);
        return ((1 - y) * (((1 - x) * corners[0]) + (x * corners[1])))
            + (y * (((1 - x) * corners[3]) + (x * corners[2])));
    }

    /// <summary>The piece in front, to find the place behind any of its flat points.</summary>
    private sealed class Front(SewnForm form, FormSheet sheet)
    {
        public FormSheet Sheet => sheet;

        public Vec Flat(int at) => new(form.Flat[2 * at], form.Flat[(2 * at) + 1]);

        private Vec3 Place(int at) => new(form.Places[3 * at], form.Places[(3 * at) + 1], form.Places[(3 * at) + 2]);

        /// <summary>The place so many millimetres behind a flat point; beyond the rim the nearest facet goes on.</summary>
        public Vec3 Behind(Vec at, double deep)
        {
            var (best, outside) = (0, double.MaxValue);
            for (var n = 0; n < sheet.Triangles.Count && outside > 0; n += 3)
            {
                var (u, v, w) = Shares(n, at);
                var out0 = Math.Max(0, -Math.Min(u, Math.Min(v, w)));
                if (out0 < outside)
                    (best, outside) = (n, out0);
            }
            var (a, b, c) = Shares(best, at);
            var (p, q, r) = (
                Place(sheet.Triangles[best]),
                Place(sheet.Triangles[best + 1]),
                Place(sheet.Triangles[best + 2])
            );
            return (a * p) + (b * q) + (c * r) - (deep * (q - p).Cross(r - p).Unit());
        }

        // How near a flat point is to each corner of a triangle, shares of one.
        private (double, double, double) Shares(int triangle, Vec at)
        {
            var (a, b, c) = (
                Flat(sheet.Triangles[triangle]),
                Flat(sheet.Triangles[triangle + 1]),
                Flat(sheet.Triangles[triangle + 2])
            );
            var all = (b - a).Cross(c - a);
            if (Math.Abs(all) < 1e-9)
                return (-1e9, -1e9, -1e9);
            var u = (b - at).Cross(c - at) / all;
            var v = (c - at).Cross(a - at) / all;
            return (u, v, 1 - u - v);
        }
    }
}
