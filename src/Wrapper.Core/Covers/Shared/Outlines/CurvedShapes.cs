using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>Arcs by chord and rise.</summary>
internal static class Bows
{
    /// <summary>
    /// The radius of the arc over <paramref name="chord"/> with <paramref name="rise"/>: (c²/4 + h²) / 2h.
    /// </summary>
    public static Length Radius(Length chord, Length rise)
    {
        var (c, h) = (chord.ToMillimetres(), rise.ToMillimetres());
        return Length.Snap(((c * c / 4) + (h * h)) / (2 * h));
    }
}

/// <summary>A straight back and sides, the front an arc.</summary>
internal sealed class BowShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Bow;

    public override string Name => "Bow front";

    public override string Suits => "The front edge bows outward between square sides.";

    public override Measure Main => OutlineShapes.Bow;

    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (2 * reading[OutlineShapes.Bow].Value > reading[OutlineShapes.W].Value)
            yield return Refuse(
                reading,
                OutlineShapes.Bow,
                $"a bow of more than half the width ({reading.Say(reading[OutlineShapes.W].Value.Over(2))}) turns back on itself",
                "2",
                "5"
            );
    }

    public override SeatOutline Draw(Reading reading)
    {
        var (w, l, b) = (reading[OutlineShapes.W], reading[OutlineShapes.L], reading[OutlineShapes.Bow]);
        return new SeatOutline(
            Named(("width", w), ("side", l), ("bow", b)),
            d => Shape(d["width"], d["side"], d["bow"]),
            Named(("front", Working.ArcOver(w, b)), ("right", l), ("back", w), ("left", l)),
            w,
            l + b
        );
    }

    private static Outline Shape(Length w, Length l, Length b)
    {
        var o = Length.Zero;
        return new Outline([
            new("front", At(o, o), Bows.Radius(w, b)),
            new("right", At(w, o)),
            new("back", At(w, l)),
            new("left", At(o, l)),
        ]);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var (w, l, o) = (reading.Drawn(OutlineShapes.W), reading.Drawn(OutlineShapes.L), Length.Zero);
        var b = reading.Known(OutlineShapes.Bow) is { } bow && 2 * bow <= w ? bow : w.Over(8);
        return new PlanDrawing(
            Shape(w, l, b),
            [
                new(OutlineShapes.W, At(o, l), At(w, l)),
                new(OutlineShapes.L, At(w, o), At(w, l)),
                new(OutlineShapes.Bow, At(w.Over(2), o), At(w.Over(2), -b)),
            ]
        );
    }
}

/// <summary>A sofa cushion whose one end is an arc, drawn on the right.</summary>
internal sealed class CurvedEndShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.CurvedEnd;

    public override string Name => "Curved end";

    public override string Suits => "One end is curved, left or right: the end cushion of a rounded sofa.";

    public override Measure Main => OutlineShapes.Bow;

    public override bool HasHand => true;

    public override IEnumerable<Problem> Check(Reading reading)
    {
        var (w, l, b) = (
            reading[OutlineShapes.W].Value,
            reading[OutlineShapes.L].Value,
            reading[OutlineShapes.Bow].Value
        );
        if (2 * b > l)
            yield return Refuse(
                reading,
                OutlineShapes.Bow,
                $"the curve stands out more than half of the length ({reading.Say(l.Over(2))}): it turns back on itself",
                "4",
                "10"
            );
        if (b >= w)
            yield return Refuse(
                reading,
                OutlineShapes.Bow,
                "the curve takes the whole width: nothing straight is left",
                "4",
                "10"
            );
    }

    public override SeatOutline Draw(Reading reading)
    {
        var (w, l, b) = (reading[OutlineShapes.W], reading[OutlineShapes.L], reading[OutlineShapes.Bow]);
        var straight = w - b;
        return new SeatOutline(
            Named(("straight", straight), ("length", l), ("bow", b)),
            d => Shape(d["straight"], d["length"], d["bow"]),
            Named(("front", straight), ("right", Working.ArcOver(l, b)), ("back", straight), ("left", l)),
            w,
            l
        );
    }

    private static Outline Shape(Length straight, Length l, Length b)
    {
        var o = Length.Zero;
        return new Outline([
            new("front", At(o, o)),
            new("right", At(straight, o), Bows.Radius(l, b)),
            new("back", At(straight, l)),
            new("left", At(o, l)),
        ]);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var (w, l, o) = (reading.Drawn(OutlineShapes.W), reading.Drawn(OutlineShapes.L), Length.Zero);
        var b = reading.Known(OutlineShapes.Bow) is { } bow && 2 * bow <= l && bow < w ? bow : Length.Min(w, l).Over(4);
        var left = reading.Chosen(OutlineShapes.Hand) is HandSide.Left;
        var outline = Shape(w - b, l, b);
        Point Side(Length x, Length y) => left ? At(-x, y) : At(x, y);
        return new PlanDrawing(
            left ? Mirror(outline) : outline,
            [
                new(OutlineShapes.W, Side(o, o), Side(w, o)),
                new(OutlineShapes.L, Side(o, o), Side(o, l)),
                new(OutlineShapes.Bow, Side(w - b, l.Over(2)), Side(w, l.Over(2))),
            ]
        );
    }
}

/// <summary>An outline traced from a template: points and arcs.</summary>
internal sealed class TracedShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Traced;

    public override string Name => "Traced";

    public override string Suits => "Any other shape: points and arcs off a template, or an SVG path.";

    public override Measure Main => OutlineShapes.O;

    public override bool HasHand => true;

    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (reading[OutlineShapes.BackEdge] > reading.Traced(OutlineShapes.O)!.Edges.Count)
            yield return reading.Refuse(
                OutlineShapes.BackEdge,
                $"the outline has only {reading.Traced(OutlineShapes.O)!.Edges.Count} edges",
                "0"
            );
    }

    public override SeatOutline Draw(Reading reading) =>
        Of(reading.Traced(OutlineShapes.O)!, reading[OutlineShapes.BackEdge]);

    /// <summary>The outline as traced; <paramref name="backEdge"/> 0 for the edge that lies furthest back.</summary>
    public static SeatOutline Of(Outline traced, int backEdge)
    {
        var dimensions = new Dictionary<string, Working>();
        foreach (var edge in traced.Edges)
        {
            dimensions[$"{edge.Name} x"] = Working.Of(
                $"{edge.Name} x",
                $"start of {edge.Name}, from the left",
                edge.Start.X
            );
            dimensions[$"{edge.Name} y"] = Working.Of(
                $"{edge.Name} y",
                $"start of {edge.Name}, from the front",
                edge.Start.Y
            );
        }
        Outline Shape(Dimensions d) =>
            new([.. traced.Edges.Select(edge => edge with { Start = At(d[$"{edge.Name} x"], d[$"{edge.Name} y"]) })]);
        var (left, bottom, right, top) = traced.Bounds();
        var (front, back) = Ends(traced, backEdge);
        return new SeatOutline(
            dimensions,
            Shape,
            SeatOutline.DrawnLengths(traced),
            Working.Of("overall width", "as traced", right - left),
            Working.Of("overall length", "as traced", top - bottom)
        )
        {
            Front = front,
            Back = back,
        };
    }

    // Back is the edge that was named, or whose middle lies highest; front the one whose middle lies furthest in from
    // it.
    private static (string Front, string Back) Ends(Outline traced, int chosen)
    {
        var middles = traced
            .Edges.Select(
                (edge, at) => (edge.Name, At: traced.Curve(at).At(0.5), Out: traced.Curve(at).Direction(0.5).Right())
            )
            .ToList();
        var back = chosen > 0 ? middles[chosen - 1] : middles.MaxBy(edge => edge.At.Y);
        return (middles.MaxBy(edge => (back.At - edge.At).Dot(back.Out)).Name, back.Name);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var l = Length.Inches(18);
        var outline =
            reading.Traced(OutlineShapes.O)
            ?? new Outline([
                new("e1", At(Length.Zero, Length.Zero)),
                new("e2", At(l, Length.Zero)),
                new("e3", At(l, l)),
                new("e4", At(Length.Zero, l)),
            ]);
        return new PlanDrawing(outline, []);
    }
}
