using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// A point of the cut line as a maker chalks it: so far along the squared lower edge of the piece's box from its left
/// end, then so far across, square to that edge.
/// </summary>
public sealed record SetPoint(string Name, Length Along, Length Across);

/// <summary>
/// A curved side: radius, chord and rise over the chord, whether it bulges outward, and points on it at even steps.
/// </summary>
public sealed record SetCurve(Length Radius, Length Chord, Length Rise, bool Outward, IReadOnlyList<SetPoint> On);

/// <summary>A side of the cut line between two corners, as long as the tape lies along it.</summary>
public sealed record SetSide(string Name, string From, string To, Length Length, SetCurve? Curve);

/// <summary>The straight way between two corners, to check the drawing by.</summary>
public sealed record SetDiagonal(string From, string To, Length Length);

/// <summary>
/// A mark on the cut line: what it is, and how far it lies along the cut edge from the nearer corner.
/// </summary>
public sealed record SetMark(string What, string From, string Side, Length Along);

/// <summary>A line inside the piece (fold, centre, dart, mark), from one point to another.</summary>
public sealed record SetLine(string Kind, SetPoint From, SetPoint To);

/// <summary>
/// All that one needs to draw a piece's cut line on cloth without any other aid: every corner from the squared edge,
/// every side, its curves, diagonals to check, and every mark from a named corner (craft §1.7, §11). Figures are read
/// off the drawn cut line; of a rough piece, which is cut as a rectangle, off the line to expect
/// (<paramref name="Expected"/>), as it lies on that rectangle. Of a plain rectangle width and length say it all: it has
/// marks and lines only.
/// </summary>
public sealed record SettingOut(
    IReadOnlyList<SetPoint> Corners,
    IReadOnlyList<SetSide> Sides,
    IReadOnlyList<SetDiagonal> Diagonals,
    IReadOnlyList<SetMark> Marks,
    IReadOnlyList<SetLine> Lines,
    bool Expected = false
)
{
    // A curve is chalked through points no further apart than this, and through no more than so many of them.
    private static readonly Length Step = Length.Inches(3);
    private const int MostSteps = 12;

    /// <summary>The figures of <paramref name="piece"/>.</summary>
    public static SettingOut Of(Piece piece)
    {
        var line = piece.Line;
        var (left, bottom, _, _) = piece.Cut.Bounds();
        SetPoint Set(string name, Vec at) => new(name, Length.Snap(at.X) - left, Length.Snap(at.Y) - bottom);
        var marks = piece.Notches.Select(notch => Mark(piece, notch)).OfType<SetMark>().ToList();
        List<SetLine> lines =
        [
            .. piece.Lines.Select(inner => new SetLine(inner.Kind, Set("", inner.From.Mm), Set("", inner.To.Mm))),
        ];
        if (IsPlain(line))
            return new([], [], [], marks, lines);
        List<SetPoint> corners = [.. line.Edges.Select((edge, at) => Set(Corner(at), edge.Start.Mm))];
        return new(
            corners,
            [.. line.Edges.Select((_, at) => Side(line, at, Set))],
            Diagonal(line),
            marks,
            lines,
            piece.IsRough
        );
    }

    /// <summary>
    /// The name of the corner where the edge at this place of the ring starts: 1, 2, 3 round the piece. Letters are those
    /// of measures and of points where three pieces meet.
    /// </summary>
    public static string Corner(int at) => $"{at + 1}";

    private static SetSide Side(Outline cut, int at, Func<string, Vec, SetPoint> set)
    {
        var (edge, curve) = (cut.Edges[at], cut.Curve(at));
        var (from, to) = (Corner(at), Corner((at + 1) % cut.Edges.Count));
        var length = curve.Length();
        if (edge.Radius is not { } radius)
            return new(edge.Name, from, to, length, null);
        var steps = (int)Math.Clamp((length.Ticks + Step.Ticks - 1) / Step.Ticks, 2, MostSteps);
        var chord = (curve.B - curve.A).Size;
        var foot = Math.Sqrt(Math.Max(0, Math.Pow(radius.ToMillimetres(), 2) - (chord * chord / 4)));
        return new(
            edge.Name,
            from,
            to,
            length,
            new(
                radius,
                Length.Snap(chord),
                radius + (edge.Large ? 1 : -1) * Length.Snap(foot),
                edge.Outward,
                [.. Enumerable.Range(1, steps - 1).Select(n => set($"{from}.{n}", curve.At((double)n / steps)))]
            )
        );
    }

    // The corners nearest to the corners of the box, crosswise.
    private static IReadOnlyList<SetDiagonal> Diagonal(Outline cut)
    {
        var (left, bottom, right, top) = cut.Bounds();
        int Nearest(Length x, Length y) =>
            Enumerable.Range(0, cut.Edges.Count).MinBy(at => (cut.Edges[at].Start.Mm - new Point(x, y).Mm).Size);
        var (a, b, c, d) = (Nearest(left, bottom), Nearest(right, bottom), Nearest(right, top), Nearest(left, top));
        return
        [
            .. from pair in new[] { (From: a, To: c), (From: b, To: d) }
            where pair.From != pair.To
            select new SetDiagonal(
                Corner(pair.From),
                Corner(pair.To),
                Length.Snap((cut.Edges[pair.From].Start.Mm - cut.Edges[pair.To].Start.Mm).Size)
            ),
        ];
    }

    // Where the mark, square across the allowance, meets the cut line; measured from the nearer corner. A corner that
    // is stitched off has stitched edges that no cut edge goes along: marks on those are made once the corner is sewn.
    private static SetMark? Mark(Piece piece, Notch notch)
    {
        if (!piece.Line.Has(notch.Edge))
            return null;
        var at = piece.Line.Edges.Select(edge => edge.Name).ToList().IndexOf(notch.Edge);
        var along = Foot(piece.Line.Curve(at), piece.Stitch.Mark(notch.Edge, notch.At, Length.Zero).On.Mm);
        var rest = piece.Line.LengthOf(notch.Edge) - along;
        var what =
            notch.What.Length > 0 ? notch.What
            : notch.Clip ? "clip"
            : "notch";
        return rest < along
            ? new(what, Corner((at + 1) % piece.Line.Edges.Count), notch.Edge, rest)
            : new(what, Corner(at), notch.Edge, along);
    }

    // How far along the curve its point lies that is nearest to p.
    private static Length Foot(Curve curve, Vec p)
    {
        var length = curve.Length();
        double share;
        if (curve.Radius is null)
            share = (p - curve.A).Dot(curve.Direction(0)) / (curve.B - curve.A).Size;
        else
        {
            var (from, to) = (curve.A - curve.Centre(), p - curve.Centre());
            var angle = curve.Turn * Math.Atan2(from.Cross(to), from.Dot(to));
            share = (angle < -1e-6 ? angle + (2 * Math.PI) : angle) / curve.Sweep();
        }
        return Length.Min(length, Length.Max(Length.Zero, Length.Snap(share * length.ToMillimetres())));
    }

    private static bool IsPlain(Outline cut) =>
        cut.Edges.Count == 4
        && cut.Edges.All(edge => edge.Radius is null)
        && Enumerable
            .Range(0, 4)
            .All(at =>
                cut.Edges[at].Start is var a && cut.Edges[(at + 1) % 4].Start is var b && (a.X == b.X || a.Y == b.Y)
            );
}
