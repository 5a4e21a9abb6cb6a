using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// A seat that tapers: front and back width, depth, and widths at stations between them (craft §1.7). The sides mirror
/// each other
/// and run through all stations, straight or as a smooth curve of arcs.
/// </summary>
internal sealed class TaperedShape : SeatShape
{
    public override SeatShapeKind Kind => SeatShapeKind.Tapered;

    public override string Name => "Tapered";

    public override string Suits => "A chair seat: wider in front than at the back, straight or curved at the sides.";

    public override Measure Main => OutlineShapes.B;

    public override IEnumerable<Problem> Check(Reading reading)
    {
        var reached = Length.Zero;
        var depth = reading[OutlineShapes.L].Value;
        for (var n = 1; n <= Stations.Most; n++)
        {
            if (reading.Known(Stations.From(n)) is not { } from)
                continue;
            if (from <= reached)
                yield return Refuse(
                    reading,
                    Stations.From(n),
                    $"stations are out of order: this one does not lie behind {reading.Say(reached)}",
                    "9",
                    "23"
                );
            if (from >= depth)
                yield return Refuse(
                    reading,
                    Stations.From(n),
                    $"this station lies behind the back edge ({reading.Say(depth)})",
                    "9",
                    "23"
                );
            reached = from;
        }
        if (reading.Chosen(OutlineShapes.Sides) is SideLine.Smooth && !Stations.Measured(reading).Any())
            yield return reading.Refuse(
                Stations.Count,
                "a smooth curve needs one width between front and back at least",
                "1"
            );
    }

    public override SeatOutline Draw(Reading reading)
    {
        var stations = Stations.Measured(reading).ToList();
        var (w, b, l) = (reading[OutlineShapes.W], reading[OutlineShapes.B], reading[OutlineShapes.L]);
        var dimensions = Named(("front", w), ("back", b), ("length", l));
        foreach (var n in stations)
        {
            dimensions[$"from {n}"] = reading[Stations.From(n)];
            dimensions[$"width {n}"] = reading[Stations.WidthAt(n)];
        }
        var smooth = reading.Chosen(OutlineShapes.Sides) is SideLine.Smooth;
        Outline Shape(Dimensions d) =>
            Of(
                d["front"],
                d["back"],
                d["length"],
                [.. stations.Select(n => (d[$"from {n}"], d[$"width {n}"]))],
                smooth
            );
        var drawn = Shape(new Dimensions(dimensions));
        var (left, _, right, _) = drawn.Bounds();
        // Without a curve that bulges further the widest of all widths is the width.
        var widest = stations
            .Select(n => reading[Stations.WidthAt(n)])
            .Append(b)
            .Append(w)
            .MaxBy(width => width.Value)!;
        var width =
            ((right - left) - widest.Value).Abs().Ticks <= 4
                ? widest
                : Working.Of("overall width", "as drawn", right - left);
        return new SeatOutline(
            dimensions,
            Shape,
            smooth ? SeatOutline.DrawnLengths(drawn) : Slants(drawn, reading, stations),
            width,
            l
        );
    }

    // Straight sides: each stretch slants across half the difference of its widths.
    private static Dictionary<string, Working> Slants(Outline drawn, Reading reading, List<int> stations)
    {
        var (w, b, l) = (reading[OutlineShapes.W], reading[OutlineShapes.B], reading[OutlineShapes.L]);
        List<(Working From, Working Width)> at =
        [
            (Sum.Of(), w),
            .. stations.Select(n => (reading[Stations.From(n)], reading[Stations.WidthAt(n)])),
            (l, b),
        ];
        var lengths = Named(("front", w), ("back", b));
        for (var n = 0; n + 1 < at.Count; n++)
        {
            var (wide, narrow) =
                at[n].Width.Value >= at[n + 1].Width.Value
                    ? (at[n].Width, at[n + 1].Width)
                    : (at[n + 1].Width, at[n].Width);
            var along = n == 0 ? at[1].From : at[n + 1].From - at[n].From;
            var slant = wide.Value == narrow.Value ? along : Working.Slant((wide - narrow) / 2, along);
            foreach (var side in (string[])["right", "left"])
                lengths[Stretch(side, n, at.Count == 2)] = slant;
        }
        return lengths;
    }

    private static string Stretch(string side, int at, bool only) => only ? side : $"{side} {at + 1}";

    /// <summary>
    /// Front, stations and back of these widths; the sides straight from one to the next, or one smooth curve.
    /// </summary>
    public static Outline Of(
        Length front,
        Length back,
        Length length,
        IReadOnlyList<(Length From, Length Width)> stations,
        bool smooth
    )
    {
        var middle = front.Over(2);
        List<Point> side =
        [
            At(front, Length.Zero),
            .. stations.Select(s => At(middle + s.Width.Over(2), s.From)),
            At(middle + back.Over(2), length),
        ];
        List<Edge> right = smooth
            ? [.. SmoothCurve.Through(side).Select((edge, at) => edge with { Name = $"right {at + 1}" })]
            : [.. side.SkipLast(1).Select((p, at) => new Edge(Stretch("right", at, side.Count == 2), p))];
        // The left side is the right one walked back, mirrored about the middle.
        Point Other(Point p) => At(front - p.X, p.Y);
        var left = right
            .Select(
                (edge, at) =>
                    edge with
                    {
                        Name = OtherSide(edge.Name),
                        Start = Other(at + 1 < right.Count ? right[at + 1].Start : side[^1]),
                    }
            )
            .Reverse();
        return new Outline([new("front", At(Length.Zero, Length.Zero)), .. right, new("back", side[^1]), .. left]);
    }

    public override PlanDrawing Drawing(Reading reading)
    {
        var (w, b, l, o) = (
            reading.Drawn(OutlineShapes.W),
            reading.Drawn(OutlineShapes.B),
            reading.Drawn(OutlineShapes.L),
            Length.Zero
        );
        List<(Length From, Length Width)> stations = [];
        foreach (var n in Stations.Measured(reading))
            if (reading.Known(Stations.From(n))!.Value is var from && from < l && from > stations.LastOrDefault().From)
                stations.Add((from, reading.Known(Stations.WidthAt(n))!.Value));
        var outline = Of(
            w,
            b,
            l,
            stations,
            reading.Chosen(OutlineShapes.Sides) is SideLine.Smooth && stations.Count > 0
        );
        var middle = w.Over(2);
        List<PlanLine> lines =
        [
            new(OutlineShapes.W, At(o, o), At(w, o)),
            new(OutlineShapes.B, At(middle - b.Over(2), l), At(middle + b.Over(2), l)),
            new(OutlineShapes.L, At(Length.Min(o, middle - b.Over(2)), o), At(Length.Min(o, middle - b.Over(2)), l)),
        ];
        for (var n = 1; n <= reading[Stations.Count]; n++)
        {
            var from = reading.Known(Stations.From(n)) ?? (n * l).Over(reading[Stations.Count] + 1);
            var width = reading.Known(Stations.WidthAt(n)) ?? (w + b).Over(2);
            lines.Add(
                new(
                    Stations.From(n),
                    At(Length.Max(w, middle + b.Over(2)), o),
                    At(Length.Max(w, middle + b.Over(2)), from)
                )
            );
            lines.Add(new(Stations.WidthAt(n), At(middle - width.Over(2), from), At(middle + width.Over(2), from)));
        }
        return new PlanDrawing(outline, lines);
    }
}
