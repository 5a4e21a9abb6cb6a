using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Drafts;

/// <summary>
/// The figures by which a piece's cut line is chalked: corners from the squared lower edge of its box, sides, curves,
/// diagonals to check, marks along the cut edge. All to the nearest mark of the tape. Of a piece that is cut as a rough
/// rectangle (<c>expected</c>) they are those of the line to expect, as it lies on that rectangle. <c>working</c> tells
/// how each comes about.
/// </summary>
public sealed record SettingOutView(
    IReadOnlyList<SetPointView> Corners,
    IReadOnlyList<SetSideView> Sides,
    IReadOnlyList<SetDiagonalView> Diagonals,
    IReadOnlyList<SetMarkView> Marks,
    IReadOnlyList<SetLineView> Lines,
    bool Expected,
    IReadOnlyList<string> Working
)
{
    internal static SettingOutView Of(Piece piece, JobUnit unit)
    {
        var set = SettingOut.Of(piece);
        var (left, bottom, _, _) = piece.Cut.Bounds();
        LengthView At(Length length) => LengthView.Finished(length, unit);
        SetPointView Point(SetPoint point)
        {
            var (x, y) = Drawing.Upright(new(left + point.Along, bottom + point.Across));
            return new(point.Name, At(point.Along), At(point.Across), x, y);
        }
        return new(
            [.. set.Corners.Select(Point)],
            [
                .. set.Sides.Select(side => new SetSideView(
                    side.Name,
                    side.From,
                    side.To,
                    At(side.Length),
                    side.Curve is { } curve
                        ? new(
                            At(curve.Radius),
                            At(curve.Chord),
                            At(curve.Rise),
                            curve.Outward,
                            [.. curve.On.Select(Point)]
                        )
                        : null
                )),
            ],
            [.. set.Diagonals.Select(line => new SetDiagonalView(line.From, line.To, At(line.Length)))],
            [.. set.Marks.Select(mark => new SetMarkView(mark.What, mark.From, mark.Side, At(mark.Along)))],
            [.. set.Lines.Select(line => new SetLineView(line.Kind, Point(line.From), Point(line.To)))],
            set.Expected,
            SettingOutWorking.Of(piece, set, unit)
        );
    }
}

/// <summary>
/// A point of the cut line: along the squared edge from its left end, then across from it; and its place on the
/// drawing, in whole hundredths of a millimetre, y down.
/// </summary>
public sealed record SetPointView(string Name, LengthView Along, LengthView Across, long X, long Y);

/// <summary>A curved side: radius, chord, rise over the chord, and points on it at even steps.</summary>
public sealed record SetCurveView(
    LengthView Radius,
    LengthView Chord,
    LengthView Rise,
    bool Outward,
    IReadOnlyList<SetPointView> On
);

/// <summary>A side of the cut line between two corners.</summary>
public sealed record SetSideView(string Name, string From, string To, LengthView Length, SetCurveView? Curve);

/// <summary>The straight way between two corners.</summary>
public sealed record SetDiagonalView(string From, string To, LengthView Length);

/// <summary>A mark: what it is, the corner that it is measured from, along which side, and how far.</summary>
public sealed record SetMarkView(string What, string From, string Side, LengthView Along);

/// <summary>A line inside the piece.</summary>
public sealed record SetLineView(string Kind, SetPointView From, SetPointView To);
