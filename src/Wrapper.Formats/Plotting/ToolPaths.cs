using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Drawings;

namespace Wrapper.Formats.Plotting;

/// <summary>
/// Turns a drawing into what a plotter does: lines straightened to a fiftieth of a millimetre, inner ones before the ones
/// round them, the next always the nearest (craft of every cutting table: what is cut free moves, so it is cut last).
/// </summary>
public static class ToolPaths
{
    private const double Tolerance = 0.02;

    // A corner turns by more than this; less is a curve that was straightened.
    private const double Corner = Math.PI / 6;
    private const double Cross = 5;

    /// <summary>The paths of <paramref name="drawing"/> on <paramref name="bed"/>.</summary>
    /// <exception cref="ArgumentException">It is wider than the bed.</exception>
    public static PlotJob Of(Drawing drawing, PlotterBed bed)
    {
        var (left, _, right, _) = drawing.Bounds();
        if (right - left > bed.Across)
            throw new ArgumentException("the lay is wider than the bed", nameof(bed));
        var over = bed.OverCut.ToMillimetres();
        // What is cut past a corner or a window's end lies on the bed too.
        var step = bed.Along.ToMillimetres() - (2 * over) - (4 * Cross);
        var lines = drawing
            .Strokes.Where(stroke => bed.Tool == Tool.Pen || stroke.Layer == Layer.Cut)
            .Select(stroke => new Line(Straightened(stroke), stroke.IsClosed, stroke.Layer != Layer.Cut))
            .ToList();
        if (lines.Count == 0)
            return new(bed, []);
        var (bottom, top) = (
            lines.Min(line => line.Points.Min(at => at.Y)),
            lines.Max(line => line.Points.Max(at => at.Y))
        );
        var count = Math.Max(1, (int)Math.Ceiling((top - bottom - 1e-6) / step));
        List<BedWindow> windows = [];
        for (var n = 0; n < count; n++)
        {
            // The bed begins so far before the window that everything past its end still lies on it.
            var from = bottom + (n * step) - over - (2 * Cross);
            var (low, high) = (bottom + (n * step) - over, bottom + ((n + 1) * step) + over);
            var parts = Ordered(lines.SelectMany(line => line.Between(low, high)).ToList());
            windows.Add(
                new(
                    Length.Snap(from),
                    [
                        .. parts
                            .SelectMany(part =>
                                bed.Tool == Tool.Knife ? PastCorners(part, over, bed, left, from) : [part.Points]
                            )
                            .Select(points => new ToolPath([.. points.Select(at => On(at, left, from))]))
                            .Where(path => path.Spots.Distinct().Count() > 1),
                    ],
                    [
                        .. new[] { (n > 0, bottom + (n * step)), (n < count - 1, bottom + ((n + 1) * step)) }
                            .Where(end => end.Item1)
                            .SelectMany(end =>
                                new[] { left.ToMillimetres() + Cross, right.ToMillimetres() - Cross }.Select(x =>
                                    On(new Vec(x, end.Item2), left, from)
                                )
                            ),
                    ]
                )
            );
        }
        return new(bed, windows);
    }

    private static Spot On(Vec at, Length left, double from) =>
        new(
            (int)Math.Round((at.X - left.ToMillimetres()) * Spot.PerMillimetre, MidpointRounding.AwayFromZero),
            (int)Math.Round((at.Y - from) * Spot.PerMillimetre, MidpointRounding.AwayFromZero)
        );

    private static List<Vec> Straightened(Stroke stroke)
    {
        List<Vec> points = [stroke.From.Mm];
        foreach (var curve in stroke.Curves())
        {
            var steps = curve.Radius is not { } radius
                ? 1
                : Math.Max(
                    1,
                    (int)Math.Ceiling(curve.Sweep() / (2 * Math.Acos(Math.Max(0.5, 1 - (Tolerance / radius)))))
                );
            for (var n = 1; n < steps; n++)
                points.Add(curve.At((double)n / steps));
            points.Add(curve.B);
        }
        return points;
    }

    // The deepest first, marks before the line round them; then always what begins nearest.
    private static IEnumerable<Part> Ordered(List<Part> parts)
    {
        var at = new Vec(0, parts.Count == 0 ? 0 : parts.Min(part => part.Points.Min(point => point.Y)));
        foreach (
            var level in parts
                .GroupBy(part => part.IsMark ? int.MaxValue : Depth(part, parts))
                .OrderByDescending(level => level.Key)
        )
        {
            var left = level.ToList();
            while (left.Count > 0)
            {
                var from = at;
                var next = left.MinBy(part => part.Nearest(from).Distance)!;
                left.Remove(next);
                var begun = next.Begun(from);
                yield return begun;
                at = begun.Points[^1];
            }
        }
    }

    private static int Depth(Part part, List<Part> parts) =>
        parts.Count(other => other.IsClosed && other != part && other.Holds(part.Points[0]) && other.Area > part.Area);

    // Each side of a knife's path goes on past a corner that turns outward; one that turns inward would cut into the piece.
    private static IEnumerable<List<Vec>> PastCorners(Part part, double over, PlotterBed bed, Length left, double from)
    {
        bool IsOnBed(Vec at) =>
            On(at, left, from) is var spot
            && spot.Across >= 0
            && spot.Along >= 0
            && spot.Across <= bed.Across.ToMillimetres() * Spot.PerMillimetre
            && spot.Along <= bed.Along.ToMillimetres() * Spot.PerMillimetre;
        List<Vec> path = [part.Points[0]];
        for (var n = 1; n < part.Points.Count; n++)
        {
            var (before, here) = (part.Points[n - 1], part.Points[n]);
            path.Add(here);
            var next =
                n + 1 < part.Points.Count ? part.Points[n + 1]
                : part.IsClosed ? part.Points[1]
                : (Vec?)null;
            if (next is not { } to || over <= 0)
                continue;
            var (arriving, leaving) = ((here - before).Unit(), (to - here).Unit());
            var turn = Math.Atan2(arriving.Cross(leaving), arriving.Dot(leaving)) * (part.IsLeftward ? 1 : -1);
            var past = here + (over * arriving);
            if (turn <= Corner || !IsOnBed(past))
                continue;
            path.Add(past);
            yield return path;
            path = [here];
        }
        // A ring is closed past its beginning.
        if (part.IsClosed && over > 0 && path.Count > 1)
            path.Add(
                path[^1] + (Math.Min(over, (part.Points[1] - path[^1]).Size) * (part.Points[1] - path[^1]).Unit())
            );
        if (path.Count > 1)
            yield return path;
    }

    private sealed record Line(List<Vec> Points, bool IsClosed, bool IsMark)
    {
        // The parts of it that lie between two heights; whole where all of it does.
        public IEnumerable<Part> Between(double low, double high)
        {
            if (Points.All(at => at.Y >= low && at.Y <= high))
            {
                yield return new(Points, IsClosed, IsMark, IsLeftward);
                yield break;
            }
            List<Vec> part = [];
            for (var n = 1; n < Points.Count; n++)
            {
                var (a, b) = (Points[n - 1], Points[n]);
                if (Clipped(a, b, low, high) is not var (from, to))
                {
                    if (part.Count > 1)
                        yield return new(part, false, IsMark, IsLeftward);
                    part = [];
                    continue;
                }
                if (part.Count == 0 || part[^1] != from)
                {
                    if (part.Count > 1)
                        yield return new(part, false, IsMark, IsLeftward);
                    part = [from];
                }
                part.Add(to);
            }
            if (part.Count > 1)
                yield return new(part, false, IsMark, IsLeftward);
        }

        private bool IsLeftward => Points.Zip(Points.Skip(1), (a, b) => a.Cross(b)).Sum() > 0;

        private static (Vec From, Vec To)? Clipped(Vec a, Vec b, double low, double high)
        {
            if (Math.Max(a.Y, b.Y) < low || Math.Min(a.Y, b.Y) > high)
                return null;
            Vec At(double y) => a + ((y - a.Y) / (b.Y - a.Y) * (b - a));
            Vec Within(Vec at) =>
                at.Y < low ? At(low)
                : at.Y > high ? At(high)
                : at;
            return (Within(a), Within(b));
        }
    }

    private sealed record Part(List<Vec> Points, bool IsClosed, bool IsMark, bool IsLeftward)
    {
        public double Area => IsClosed ? Math.Abs(Points.Zip(Points.Skip(1), (a, b) => a.Cross(b)).Sum()) / 2 : 0;

        public (double Distance, int Index) Nearest(Vec from)
        {
            if (!IsClosed)
            {
                var (first, last) = ((Points[0] - from).Size, (Points[^1] - from).Size);
                return first <= last ? (first, 0) : (last, Points.Count - 1);
            }
            var best = Enumerable.Range(0, Points.Count - 1).MinBy(n => (Points[n] - from).Size);
            return ((Points[best] - from).Size, best);
        }

        // A ring begins at its nearest corner, a line at its nearer end.
        public Part Begun(Vec from)
        {
            var (_, at) = Nearest(from);
            if (at == 0)
                return this;
            return IsClosed
                ? this with
                {
                    Points = [.. Points.Skip(at), .. Points.Skip(1).Take(at)],
                }
                : this with
                {
                    Points = [.. Points.AsEnumerable().Reverse()],
                    IsLeftward = !IsLeftward,
                };
        }

        // Whether a point lies within the ring: a ray to the right crosses it an odd number of times.
        public bool Holds(Vec at)
        {
            var within = false;
            for (var n = 1; n < Points.Count; n++)
            {
                var (a, b) = (Points[n - 1], Points[n]);
                if (a.Y > at.Y != b.Y > at.Y && at.X < a.X + ((at.Y - a.Y) / (b.Y - a.Y) * (b.X - a.X)))
                    within = !within;
            }
            return within;
        }
    }
}
