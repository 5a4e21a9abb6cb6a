using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>A rectangle, its corners square or rounded.</summary>
internal sealed class RectangleShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Rectangle;

    public override string Name => "Rectangle";

    public override string Suits => "Square corners, or all four rounded alike.";

    public override IEnumerable<Problem> Check(Reading reading)
    {
        var shorter = Length.Min(reading[OutlineShapes.W].Value, reading[OutlineShapes.L].Value);
        if (2 * reading.OrZero(OutlineShapes.CornerRadius).Value > shorter)
            yield return Refuse(
                reading,
                OutlineShapes.CornerRadius,
                $"larger than half the shorter side ({reading.Say(shorter.Over(2))})",
                "3",
                "8"
            );
    }

    public override SeatOutline Draw(Reading reading) =>
        Of(reading[OutlineShapes.W], reading[OutlineShapes.L], reading.OrZero(OutlineShapes.CornerRadius));

    /// <summary>The rectangle of these finished sizes.</summary>
    public static SeatOutline Of(Working w, Working l, Working r)
    {
        Outline Shape(Dimensions d) => RoundedRectangle.Of(d["width"], d["length"], d["radius"]);
        var dimensions = Named(("width", w), ("length", l), ("radius", r));
        if (!r.Value.IsPositive)
            return new SeatOutline(dimensions, Shape, Named(("front", w), ("right", l), ("back", w), ("left", l)), w, l)
            {
                WholeWay = 2 * (w + l),
            };
        // A quarter circle is π r ÷ 2 long where the square corner was 2 r.
        var quarter = (r.TimesPi() / 2).As("q", "quarter of the corner circle");
        var lengths = Named(
            ("front", w - (2 * r)),
            ("right", l - (2 * r)),
            ("back", w - (2 * r)),
            ("left", l - (2 * r))
        );
        foreach (
            var corner in (string[])["front right corner", "back right corner", "back left corner", "front left corner"]
        )
            lengths[corner] = quarter;
        return new SeatOutline(dimensions, Shape, lengths, w, l)
        {
            RoundCorners = true,
            WholeWay = (2 * (w - (2 * r))) + (2 * (l - (2 * r))) + (4 * quarter),
        };
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var (w, l, o) = (reading.Drawn(OutlineShapes.W), reading.Drawn(OutlineShapes.L), Length.Zero);
        var r = Length.Min(reading.Known(OutlineShapes.CornerRadius) ?? o, Length.Min(w, l).Over(2));
        var mark = Length.Max(r, w.Over(8));
        return new PlanDrawing(
            RoundedRectangle.Of(w, l, r),
            [
                new(OutlineShapes.W, At(o, o), At(w, o)),
                new(OutlineShapes.L, At(w, o), At(w, l)),
                new(OutlineShapes.CornerRadius, At(o, l), At(mark, l)),
                new(OutlineShapes.V, At(mark, l), At(w, l)),
                new(OutlineShapes.M, At(o, o), At(o, l)),
                new(OutlineShapes.X1, At(o, o), At(w, l)),
                new(OutlineShapes.X2, At(w, o), At(o, l)),
            ]
        );
    }
}

/// <summary>Four straight sides out of square, by their lengths and one diagonal (craft §1.2).</summary>
internal sealed class FourSidedShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.FourSided;

    public override string Name => "Four sides, out of square";

    public override string Suits => "A window seat or niche whose corners are not square: four sides and one diagonal.";

    public override Measure Main => OutlineShapes.X;

    public override bool HasHand => true;

    public override IEnumerable<Problem> Check(Reading reading)
    {
        var (w, r, b, l, x) = (
            reading[OutlineShapes.W].Value,
            reading[OutlineShapes.R].Value,
            reading[OutlineShapes.B].Value,
            reading[OutlineShapes.L].Value,
            reading[OutlineShapes.X].Value
        );
        var longest = Length.Min(w + r, b + l);
        var shortest = Length.Max((w - r).Abs(), (b - l).Abs());
        if (x >= longest || x <= shortest)
            yield return Refuse(
                reading,
                OutlineShapes.X,
                $"these sides do not meet: the diagonal lies between {reading.Say(shortest)} and {reading.Say(longest)}",
                "30",
                "75"
            );
        else if (Corners(w, r, b, l, x) is var at && (at[3].X.Ticks >= at[1].X.Ticks || !Convex(at)))
            yield return Refuse(
                reading,
                OutlineShapes.X,
                "a corner of such an outline turns inward: measure the diagonal again, or trace the outline",
                "30",
                "75"
            );
    }

    public override SeatOutline Draw(Reading reading)
    {
        var (w, r, b, l) = (
            reading[OutlineShapes.W],
            reading[OutlineShapes.R],
            reading[OutlineShapes.B],
            reading[OutlineShapes.L]
        );
        var dimensions = Named(
            ("front", w),
            ("right", r),
            ("back", b),
            ("left", l),
            ("diagonal", reading[OutlineShapes.X])
        );
        static Outline Shape(Dimensions d)
        {
            var at = Corners(d["front"], d["right"], d["back"], d["left"], d["diagonal"]);
            return new Outline([new("front", at[0]), new("right", at[1]), new("back", at[2]), new("left", at[3])]);
        }
        var drawn = Shape(new Dimensions(dimensions)).Bounds();
        return new SeatOutline(
            dimensions,
            Shape,
            Named(("front", w), ("right", r), ("back", b), ("left", l)),
            Working.Of("overall width", "as drawn", drawn.Right - drawn.Left),
            Working.Of("overall length", "as drawn", drawn.Top - drawn.Bottom)
        );
    }

    // Both back corners where circles about the front corners and about each other meet.
    private static Point[] Corners(Length front, Length right, Length back, Length left, Length diagonal)
    {
        var (w, r, b, l, x) = (
            front.ToMillimetres(),
            right.ToMillimetres(),
            back.ToMillimetres(),
            left.ToMillimetres(),
            diagonal.ToMillimetres()
        );
        var (a, c) = (new Vec(0, 0), new Vec(w, 0));
        var backRight = Meet(a, x, c, r);
        var backLeft = Meet(a, l, backRight, b);
        return [new(Length.Zero, Length.Zero), new(front, Length.Zero), Snap(backRight), Snap(backLeft)];
    }

    // The point at these distances from p and q, on the left of the way from p to q.
    private static Vec Meet(Vec p, double fromP, Vec q, double fromQ)
    {
        var way = q - p;
        var along = ((fromP * fromP) - (fromQ * fromQ) + way.Dot(way)) / (2 * way.Size);
        var off = Math.Sqrt(Math.Max(0, (fromP * fromP) - (along * along)));
        return p + (along * way.Unit()) - (off * way.Unit().Right());
    }

    private static Point Snap(Vec v) => new(Length.Snap(v.X), Length.Snap(v.Y));

    private static bool Convex(Point[] at) =>
        Enumerable
            .Range(0, 4)
            .All(n => (at[(n + 1) % 4].Mm - at[n].Mm).Cross(at[(n + 2) % 4].Mm - at[(n + 1) % 4].Mm) > 0);

    public override PlanDrawing Drawing(Reading reading)
    {
        var known =
            new[] { OutlineShapes.W, OutlineShapes.R, OutlineShapes.B, OutlineShapes.L, OutlineShapes.X }.All(each =>
                reading.Known(each) is not null
            ) && !Check(reading).Any();
        var at = known
            ? Corners(
                reading.Known(OutlineShapes.W)!.Value,
                reading.Known(OutlineShapes.R)!.Value,
                reading.Known(OutlineShapes.B)!.Value,
                reading.Known(OutlineShapes.L)!.Value,
                reading.Known(OutlineShapes.X)!.Value
            )
            : Corners(Length.Inches(24), Length.Inches(19), Length.Inches(21), Length.Inches(18), Length.Inches(29));
        return new PlanDrawing(
            new Outline([.. at.Select((p, n) => new Edge($"{n}", p))]),
            [
                new(OutlineShapes.W, at[0], at[1]),
                new(OutlineShapes.R, at[1], at[2]),
                new(OutlineShapes.B, at[2], at[3]),
                new(OutlineShapes.L, at[3], at[0]),
                new(OutlineShapes.X, at[0], at[2]),
            ]
        );
    }
}

/// <summary>A full round.</summary>
internal sealed class RoundShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Round;

    public override string Name => "Round";

    public override string Suits => "A full circle: stools, round seats.";

    public override Measure Main => OutlineShapes.Diameter;

    public override SeatOutline Draw(Reading reading)
    {
        var d = reading[OutlineShapes.Diameter];
        var quarter = (d.TimesPi() / 4).As("q", "quarter of the circle");
        return new SeatOutline(
            Named(("diameter", d)),
            size => Circle(size["diameter"]),
            Named(("front", quarter), ("right", quarter), ("back", quarter), ("left", quarter)),
            d,
            d
        )
        {
            WholeWay = 4 * quarter,
        };
    }

    /// <summary>A circle in four quarters, each named for the side in its middle.</summary>
    public static Outline Circle(Length diameter)
    {
        var r = diameter.Over(2);
        var diagonal = r.Scaled(0.70710678118654752440m);
        var (low, high) = (r - diagonal, r + diagonal);
        return new Outline([
            new("front", At(low, low), r),
            new("right", At(high, low), r),
            new("back", At(high, high), r),
            new("left", At(low, high), r),
        ]);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var d = reading.Drawn(OutlineShapes.Diameter);
        return new PlanDrawing(Circle(d), [new(OutlineShapes.Diameter, At(Length.Zero, d.Over(2)), At(d, d.Over(2)))]);
    }
}
