using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>What T and L have in common: a body with ears that stand out in front of the arms.</summary>
internal abstract class EaredShape : SeatShape
{
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var (w, n, l, e) = (
            reading[OutlineShapes.W].Value,
            reading[OutlineShapes.N].Value,
            reading[OutlineShapes.L].Value,
            reading[OutlineShapes.E].Value
        );
        if (n >= w)
            yield return Refuse(
                reading,
                OutlineShapes.N,
                $"the body is not narrower than the front ({reading.Say(w)}): nothing stands out",
                "20",
                "50"
            );
        if (e >= l)
            yield return Refuse(
                reading,
                OutlineShapes.E,
                $"the ear is as deep as the whole cushion ({reading.Say(l)})",
                "5",
                "12"
            );
    }

    protected static (Length W, Length L, Length N, Length E) Sizes(Reading reading)
    {
        var (w, l) = (reading.Drawn(OutlineShapes.W), reading.Drawn(OutlineShapes.L));
        return (
            w,
            l,
            reading.Known(OutlineShapes.N) is { } n && n < w ? n : w - w.Over(4),
            reading.Known(OutlineShapes.E) is { } e && e < l ? e : l.Over(4)
        );
    }
}

/// <summary>A T: an ear at both ends of the front.</summary>
internal sealed class TeeShape : EaredShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Tee;

    public override string Name => "T";

    public override string Suits => "Goes round both arms: an ear on each side of the front.";

    public override SeatOutline Draw(Reading reading)
    {
        var (w, n, l, e) = (
            reading[OutlineShapes.W],
            reading[OutlineShapes.N],
            reading[OutlineShapes.L],
            reading[OutlineShapes.E]
        );
        var step = (w - n) / 2;
        return new SeatOutline(
            Named(("width", w), ("behind", n), ("length", l), ("ear", e)),
            d => Shape(d["width"], d["behind"], d["length"], d["ear"]),
            Named(
                ("front", w),
                ("right ear", e),
                ("right ear back", step),
                ("right", l - e),
                ("back", n),
                ("left", l - e),
                ("left ear back", step),
                ("left ear", e)
            ),
            w,
            l
        );
    }

    private static Outline Shape(Length w, Length n, Length l, Length e)
    {
        var (o, inner) = (Length.Zero, (w - n).Over(2));
        return new Outline([
            new("front", At(o, o)),
            new("right ear", At(w, o)),
            new("right ear back", At(w, e)),
            new("right", At(w - inner, e)),
            new("back", At(w - inner, l)),
            new("left", At(inner, l)),
            new("left ear back", At(inner, e)),
            new("left ear", At(o, e)),
        ]);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var (w, l, n, e) = Sizes(reading);
        var (o, inner) = (Length.Zero, (w - n).Over(2));
        return new PlanDrawing(
            Shape(w, n, l, e),
            [
                new(OutlineShapes.W, At(o, o), At(w, o)),
                new(OutlineShapes.L, At(w, o), At(w, l)),
                new(OutlineShapes.N, At(inner, l), At(w - inner, l)),
                new(OutlineShapes.E, At(o, o), At(o, e)),
            ]
        );
    }
}

/// <summary>An L: one ear, drawn on the right.</summary>
internal sealed class EllShape : EaredShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Ell;

    public override string Name => "L";

    public override string Suits => "Goes round one arm: an ear on one side, left or right.";

    public override bool HasHand => true;

    public override SeatOutline Draw(Reading reading)
    {
        var (w, n, l, e) = (
            reading[OutlineShapes.W],
            reading[OutlineShapes.N],
            reading[OutlineShapes.L],
            reading[OutlineShapes.E]
        );
        return new SeatOutline(
            Named(("width", w), ("behind", n), ("length", l), ("ear", e)),
            d => Shape(d["width"], d["behind"], d["length"], d["ear"]),
            Named(
                ("front", w),
                ("right ear", e),
                ("right ear back", w - n),
                ("right", l - e),
                ("back", n),
                ("left", l)
            ),
            w,
            l
        );
    }

    private static Outline Shape(Length w, Length n, Length l, Length e)
    {
        var o = Length.Zero;
        return new Outline([
            new("front", At(o, o)),
            new("right ear", At(w, o)),
            new("right ear back", At(w, e)),
            new("right", At(n, e)),
            new("back", At(n, l)),
            new("left", At(o, l)),
        ]);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var (w, l, n, e) = Sizes(reading);
        var o = Length.Zero;
        Point[] ends = [At(o, o), At(w, o), At(o, l), At(n, l), At(w, e)];
        var outline = Shape(w, n, l, e);
        if (reading.Chosen(OutlineShapes.Hand) is HandSide.Left)
        {
            outline = Mirror(outline);
            ends = [At(-w, o), At(o, o), At(-n, l), At(o, l), At(-w, e)];
            return new PlanDrawing(
                outline,
                [
                    new(OutlineShapes.W, ends[0], ends[1]),
                    new(OutlineShapes.L, At(o, o), At(o, l)),
                    new(OutlineShapes.N, ends[2], ends[3]),
                    new(OutlineShapes.E, ends[0], ends[4]),
                ]
            );
        }
        return new PlanDrawing(
            outline,
            [
                new(OutlineShapes.W, ends[0], ends[1]),
                new(OutlineShapes.L, At(o, o), At(o, l)),
                new(OutlineShapes.N, ends[2], ends[3]),
                new(OutlineShapes.E, ends[1], ends[4]),
            ]
        );
    }
}
