using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A box cushion seen from the front, a little from above and the right, to scale: front face true, depth going back at an
/// angle and foreshortened.
/// </summary>
internal static class BoxSketch
{
    private const decimal Back = 0.42m, Rise = 0.46m;

    public static Sketch Of(Length w, Length l, Length t, Length r)
    {
        r = Length.Min(r, Length.Min(w, l).Over(2));
        var top = Plan(w, l, r).Select(p => Project(p, t)).ToList();
        var silhouette = Silhouette(w, l, t, r);
        Point On(Length x, Length y, Length z) => Project(new Point(x, y), z);
        var strokes = new List<Stroke> { new("face", silhouette), new("face", top) };
        foreach (var at in (Length[])[r, w - r])
            if (r == Length.Zero || at == r || at == w - r)
                strokes.Add(new("edge", [On(at, Length.Zero, Length.Zero), On(at, Length.Zero, t)]));
        return new Sketch(strokes,
        [
            new("W", On(Length.Zero, Length.Zero, Length.Zero), On(w, Length.Zero, Length.Zero)),
            new("L", On(w, Length.Zero, Length.Zero), On(w, l, Length.Zero)),
            new("T", On(Length.Zero, Length.Zero, Length.Zero), On(Length.Zero, Length.Zero, t)),
            new("r", On(Length.Zero, l, t), On(Length.Max(r, w.Over(8)), l, t)),
        ]);
    }

    // The outline of the whole body: the bottom seen from the front and right, the top behind.
    private static List<Point> Silhouette(Length w, Length l, Length t, Length r)
    {
        var bottom = Plan(w, l, r).Select(p => Project(p, Length.Zero));
        var top = Plan(w, l, r).Select(p => Project(p, t));
        return ConvexHull([.. bottom, .. top]);
    }

    private static Point Project(Point plan, Length height) =>
        new(plan.X + plan.Y.Scaled(Back), plan.Y.Scaled(Rise) + height);

    private static IEnumerable<Point> Plan(Length w, Length l, Length r)
    {
        if (r == Length.Zero) return Outline.Rectangle(w, l).Edges.Select(edge => edge.Start);
        var outline = RoundedRectangle.Of(w, l, r);
        return Enumerable.Range(0, outline.Edges.Count)
            .SelectMany(at => outline.Curve(at).FlattenedOutward(2))
            .Select(v => new Point(Length.Snap(v.X), Length.Snap(v.Y)));
    }

    // Andrew's monotone chain: sort by x, keep the turns that go left, along the bottom and back along the top.
    private static List<Point> ConvexHull(List<Point> points)
    {
        List<Point> Half(IEnumerable<Point> sorted)
        {
            var chain = new List<Point>();
            foreach (var p in sorted)
            {
                while (chain.Count > 1 && (chain[^1].Mm - chain[^2].Mm).Cross(p.Mm - chain[^1].Mm) <= 0) chain.RemoveAt(chain.Count - 1);
                chain.Add(p);
            }
            chain.RemoveAt(chain.Count - 1);
            return chain;
        }

        var order = points.Distinct().OrderBy(p => p.X).ThenBy(p => p.Y).ToList();
        return [.. Half(order), .. Half(Enumerable.Reverse(order))];
    }
}
