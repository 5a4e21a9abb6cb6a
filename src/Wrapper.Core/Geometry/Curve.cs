using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>A vector in double millimetres. Lives only inside geometry functions.</summary>
internal readonly record struct Vec(double X, double Y)
{
    public static Vec operator +(Vec a, Vec b) => new(a.X + b.X, a.Y + b.Y);

    public static Vec operator -(Vec a, Vec b) => new(a.X - b.X, a.Y - b.Y);

    public static Vec operator *(double k, Vec a) => new(k * a.X, k * a.Y);

    public double Size => Math.Sqrt((X * X) + (Y * Y));

    public double Cross(Vec b) => (X * b.Y) - (Y * b.X);

    public double Dot(Vec b) => (X * b.X) + (Y * b.Y);

    public Vec Unit() => 1 / Size * this;

    /// <summary>A quarter turn to the right: outward of an anticlockwise ring.</summary>
    public Vec Right() => new(Y, -X);
}

/// <summary>
/// A straight stretch or an arc between two points, with what drawing, measuring and offsetting need of it.
/// </summary>
internal readonly record struct Curve(Vec A, Vec B, double? Radius, bool Outward, bool Large)
{
    /// <summary>+1 when the arc turns left (its centre is on the left), -1 when it turns right.</summary>
    public int Turn => Outward ? 1 : -1;

    /// <summary>
    /// The centre of the arc's circle: on the inner side of the bulge, at the foot's distance from the chord.
    /// </summary>
    public Vec Centre()
    {
        var chord = B - A;
        var half = chord.Size / 2;
        var foot = Math.Sqrt(Math.Max(0, (Radius!.Value * Radius.Value) - (half * half)));
        var side = Turn * (Large ? 1 : -1);
        return A + (0.5 * chord) + (side * foot * chord.Unit().Right());
    }

    /// <summary>The angle swept, in radians, always positive.</summary>
    public double Sweep()
    {
        var small = 2 * Math.Asin(Math.Min(1, (B - A).Size / 2 / Radius!.Value));
        return Large ? (2 * Math.PI) - small : small;
    }

    public Length Length() => Lengths.Length.Snap(Radius is { } r ? r * Sweep() : (B - A).Size);

    /// <summary>The point at a fraction 0..1 of the way.</summary>
    public Vec At(double share)
    {
        if (Radius is null)
            return A + (share * (B - A));
        var centre = Centre();
        var from = A - centre;
        var angle = Turn * Sweep() * share;
        var (sin, cos) = Math.SinCos(angle);
        return centre + new Vec((from.X * cos) - (from.Y * sin), (from.X * sin) + (from.Y * cos));
    }

    /// <summary>The direction of travel at a fraction 0..1 of the way.</summary>
    public Vec Direction(double share)
    {
        if (Radius is null)
            return (B - A).Unit();
        var spoke = (At(share) - Centre()).Unit();
        return Turn * new Vec(-spoke.Y, spoke.X);
    }

    public double TwiceAreaUnder()
    {
        var chord = A.Cross(B);
        if (Radius is not { } r)
            return chord;
        var sweep = Sweep();
        return chord + (Turn * r * r * (sweep - Math.Sin(sweep)));
    }

    /// <summary>Both ends, and for an arc the points where it is furthest left, right, down or up.</summary>
    public IEnumerable<Vec> Extremes()
    {
        yield return A;
        yield return B;
        foreach (var share in Turnings())
            yield return At(share);
    }

    /// <summary>
    /// Points along the curve that lie outside it by at most <paramref name="tolerance"/> mm where it bulges outward,
    /// and on it
    /// where it bulges inward: a polygon through them always covers the cloth, and reaches no further than the curve
    /// itself in
    /// the four directions of the grain. The last point is left to the next curve.
    /// </summary>
    public IEnumerable<Vec> FlattenedOutward(double tolerance)
    {
        yield return A;
        if (Radius is not { } r)
            yield break;
        double[] stops = [0, .. Turnings().Where(share => share is > 1e-9 and < 1 - 1e-9).Order(), 1];
        var centre = Centre();
        for (var part = 0; part + 1 < stops.Length; part++)
        {
            var (from, share) = (stops[part], stops[part + 1] - stops[part]);
            var steps = Math.Max(
                1,
                (int)Math.Ceiling(Sweep() * share / (2 * Math.Acos(Math.Max(0.5, 1 - (tolerance / r)))))
            );
            // Tangent corners: midway between two touching points, pushed out to where their tangents meet.
            var push = 1 / Math.Cos(Sweep() * share / steps / 2);
            for (var i = 0; i < steps; i++)
                if (Outward)
                    yield return centre + (push * (At(from + (share * (i + 0.5) / steps)) - centre));
                else if (part + i > 0)
                    yield return At(from + (share * i / steps));
        }
    }

    /// <summary>
    /// Points on the curve whose chords lie within <paramref name="tolerance"/> mm of it: an arc that bulges into one of
    /// the same radius has the same chords. The last point is left to the next curve.
    /// </summary>
    public IEnumerable<Vec> Chords(double tolerance)
    {
        var steps = Radius is { } r
            ? Math.Max(1, (int)Math.Ceiling(Sweep() / (2 * Math.Acos(Math.Max(0.5, 1 - (tolerance / r))))))
            : 1;
        for (var i = 0; i < steps; i++)
            yield return At((double)i / steps);
    }

    // Where along the arc, 0..1, its circle is furthest right, up, left or down.
    private IEnumerable<double> Turnings()
    {
        if (Radius is not { } r)
            yield break;
        var from = A - Centre();
        foreach (var spoke in (Vec[])[new(r, 0), new(0, r), new(-r, 0), new(0, -r)])
        {
            var angle = Turn * Math.Atan2(from.Cross(spoke), from.Dot(spoke));
            if (angle < -1e-12)
                angle += 2 * Math.PI;
            if (angle <= Sweep())
                yield return angle / Sweep();
        }
    }
}
