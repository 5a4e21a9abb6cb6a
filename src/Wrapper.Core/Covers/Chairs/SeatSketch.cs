using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// An upholstered seat as blocks: width between the arms, seat depth, front height, arm height above the seat, arm
/// width, back height above the seat.
/// </summary>
internal sealed record SeatBody(Length Width, Length Seat, Length Front, Length Arm, Length ArmWidth, Length Back);

/// <summary>The lines that are measured on a seat.</summary>
internal enum SeatLine
{
    Width,
    Seat,
    Front,
    ArmHeight,
    ArmBase,
    ArmTop,
    Lean,
    InsideBack,
    BackThickness,
    Crevice,
    Tuck,
    TuckAtArms,
    Wing,
    OverArm,
    Arm,
}

/// <summary>A chair or sofa seen from the front, a little from above and the right, to scale.</summary>
internal static class SeatSketch
{
    public static Sketch Of(SeatBody body, Dictionary<Measure, SeatLine> measured)
    {
        var (w, s, f, a, u, h) = (body.Width, body.Seat, body.Front, body.Arm, body.ArmWidth, body.Back);
        var thick = u;
        var o = Length.Zero;
        List<Stroke> strokes =
        [
            .. Block(-u, s, o, w + (2 * u), thick, f + h),
            .. Block(-u, o, o, u, s, f + a),
            .. Block(o, o, o, w, s, f),
            .. Block(w, o, o, u, s, f + a),
        ];
        (Point, Point) Line(SeatLine line) =>
            line switch
            {
                SeatLine.Width => (At(o, o, f), At(w, o, f)),
                SeatLine.Seat => (At(w.Over(5), o, f), At(w.Over(5), s, f)),
                SeatLine.Front => (At((4 * w).Over(5), o, o), At((4 * w).Over(5), o, f)),
                SeatLine.ArmHeight => (At(w, o, f), At(w, o, f + a)),
                SeatLine.ArmBase => (At(w, o, o), At(w + u, o, o)),
                SeatLine.ArmTop => (At(w, o, f + a), At(w + u, o, f + a)),
                SeatLine.Lean => (At(-u, o, f + a), At(o, o, f + a)),
                SeatLine.InsideBack => (At(w.Over(3), s, f), At(w.Over(3), s, f + h)),
                SeatLine.BackThickness => (At(w + u, s, f + h), At(w + u, s + thick, f + h)),
                SeatLine.Crevice => (At(w.Over(2), s, f), At((5 * w).Over(6), s, f)),
                SeatLine.Tuck => (At(o, s.Over(2), f), At(o, s, f)),
                SeatLine.TuckAtArms => (At(o, o, f), At(o, s.Over(2), f)),
                SeatLine.Wing => (At(-u, s - s.Over(4), f + h - h.Over(6)), At(-u, s, f + h - h.Over(6))),
                SeatLine.OverArm => (At(w + u, o, o), At(w + u, o, f + a)),
                _ => (At(w + u, o, f + a), At(w + u, s, f + a)),
            };
        return new Sketch(
            strokes,
            [.. measured.Select(pair => new DimensionLine(pair.Key, Line(pair.Value).Item1, Line(pair.Value).Item2))]
        );
    }

    private static Point At(Length x, Length y, Length z) => Oblique.At(x, y, z);

    // Front, right side and top of a block; blocks further back are drawn first.
    private static IEnumerable<Stroke> Block(Length x, Length y, Length z, Length wide, Length deep, Length high)
    {
        var (right, back, top) = (x + wide, y + deep, z + high);
        yield return new("face", [At(right, y, z), At(right, back, z), At(right, back, top), At(right, y, top)]);
        yield return new("face", [At(x, y, z), At(right, y, z), At(right, y, top), At(x, y, top)]);
        yield return new("face", [At(x, y, top), At(right, y, top), At(right, back, top), At(x, back, top)]);
    }
}
