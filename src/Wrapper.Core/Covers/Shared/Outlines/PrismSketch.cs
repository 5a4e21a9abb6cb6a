using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// A seat of any outline seen from the front, a little from above and the right, to scale: the front true, depth going
/// back at an
/// angle and foreshortened. Walls that face the eye are drawn from the back to the front, the top last.
/// </summary>
internal static class PrismSketch
{
    public static Sketch Of(PlanDrawing plan, Measure? up, Length thickness)
    {
        var walls = Enumerable
            .Range(0, plan.Outline.Edges.Count)
            .SelectMany(at => Walls(plan.Outline.Curve(at), thickness))
            .OrderByDescending(wall => wall.Distance)
            .Select(wall => wall.Face);
        var top = new Stroke(
            "face",
            [
                .. Enumerable
                    .Range(0, plan.Outline.Edges.Count)
                    .SelectMany(at => Flat(plan.Outline.Curve(at)).SkipLast(1))
                    .Select(p => Project(p, thickness)),
            ]
        );
        // Lines along the front and the right lie on the ground, the others on the top where they can be seen.
        var (_, bottom, right, _) = plan.Outline.Bounds();
        Point Seen(Point p, bool low) => Project(p, low ? Length.Zero : thickness);
        var lines = plan.Lines.Select(line =>
        {
            var low = Low(line.From) && Low(line.To);
            return new DimensionLine(line.Measure, Seen(line.From, low), Seen(line.To, low));
        });
        // The thickness is shown where the body ends on the left.
        var corner = Enumerable
            .Range(0, plan.Outline.Edges.Count)
            .SelectMany(at => Flat(plan.Outline.Curve(at)))
            .MinBy(p => Project(p, Length.Zero).X);
        return new Sketch(
            [.. walls, top],
            [
                .. lines,
                .. up is not null && thickness.IsPositive
                    ? [new DimensionLine(up, Project(corner, Length.Zero), Project(corner, thickness))]
                    : Array.Empty<DimensionLine>(),
            ]
        );

        bool Low(Point p) => p.Y == bottom || p.X == right || p.Y < Length.Zero;
    }

    /// <summary>A plain box; nothing is said of its height where <paramref name="up"/> is null.</summary>
    public static Sketch Box(Reading reading, Measure width, Measure length, Measure? up)
    {
        var (w, l) = (reading.Drawn(width), reading.Drawn(length));
        var plan = new PlanDrawing(
            Outline.Rectangle(w, l),
            [
                new(width, new(Length.Zero, Length.Zero), new(w, Length.Zero)),
                new(length, new(w, Length.Zero), new(w, l)),
            ]
        );
        return Of(plan, up, up is null ? Length.Inches(2) : reading.Drawn(up));
    }

    private static Point Project(Point plan, Length height) => Oblique.At(plan.X, plan.Y, height);

    private static IReadOnlyList<Point> Flat(Curve curve)
    {
        var steps = curve.Radius is null ? 1 : Math.Max(6, (int)(curve.Sweep() * 12));
        return
        [
            .. Enumerable
                .Range(0, steps + 1)
                .Select(i => curve.At((double)i / steps))
                .Select(v => new Point(Length.Snap(v.X), Length.Snap(v.Y))),
        ];
    }

    // The stretches of an edge that face the eye, each as one wall.
    private static IEnumerable<(double Distance, Stroke Face)> Walls(Curve curve, Length thickness)
    {
        var points = Flat(curve);
        var run = new List<Point>();
        for (var at = 0; at + 1 < points.Count; at++)
        {
            if ((points[at + 1].Mm - points[at].Mm).Right().Dot(Oblique.Eye) > 0)
            {
                if (run.Count == 0)
                    run.Add(points[at]);
                run.Add(points[at + 1]);
            }
            else if (run.Count > 0)
            {
                yield return Wall(run, thickness);
                run = [];
            }
        }
        if (run.Count > 0)
            yield return Wall(run, thickness);
    }

    private static (double, Stroke) Wall(List<Point> foot, Length thickness) =>
        (
            foot.Average(p => -p.Mm.Dot(Oblique.Eye)),
            new Stroke(
                "face",
                [
                    .. foot.Select(p => Project(p, Length.Zero)),
                    .. Enumerable.Reverse(foot).Select(p => Project(p, thickness)),
                ]
            )
        );
}
