using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>The sizes that every piece lists first: cut width and length, then finished width and length.</summary>
internal static class Extents
{
    // So many counts may be lost by rounding slants and arcs; a larger difference means that size and allowances do not
    // add up to what is drawn.
    private const long Rounding = 4;

    /// <summary>
    /// The piece with its extents listed from its finished <paramref name="width"/> and <paramref name="length"/>: each
    /// cut size is the finished
    /// one plus the allowances of the edges that reach out furthest, or is read off the drawing where a slant's mitre
    /// reaches further.
    /// </summary>
    public static Piece Measured(
        this Piece piece,
        Working width,
        Working length,
        string across = "width",
        string up = "length",
        params IEnumerable<Size> more
    )
    {
        var (left, bottom, right, top) = piece.Stitch.Bounds();
        var cut = piece.Cut.Bounds();
        var cutWidth = Sum(piece, width, cut.Right - cut.Left, p => p.X, left, right);
        var cutLength = Sum(piece, length, cut.Top - cut.Bottom, p => p.Y, bottom, top);
        return piece with
        {
            Corners = [.. piece.Stitch.Edges.Skip(1).Select(edge => (edge.Name, piece.Stitch.FromFirst(edge.Name)))],
            Sizes =
            [
                new($"cut {across}", SizeKind.Cut, cutWidth, new(cut.Left, cut.Bottom), new(cut.Right, cut.Bottom)),
                new($"cut {up}", SizeKind.Cut, cutLength, new(cut.Left, cut.Bottom), new(cut.Left, cut.Top)),
                new($"finished {across}", SizeKind.Finished, width, new(left, bottom), new(right, bottom)),
                new($"finished {up}", SizeKind.Finished, length, new(left, bottom), new(left, top)),
                .. more,
            ],
        };
    }

    private static Working Sum(
        Piece piece,
        Working finished,
        Length drawn,
        Func<Point, Length> along,
        Length low,
        Length high
    )
    {
        var outline = piece.IsRough ? piece.Stitch.Box() : piece.Stitch;
        Working Furthest(Length extreme) => Extents.Furthest(piece, outline, along, extreme);
        var sum = finished + Furthest(low) + Furthest(high);
        return (sum.Value - drawn).Abs().Ticks <= Rounding
            ? sum
            : Working.Of("as drawn", "extent of the cut line as drawn", drawn);
    }

    // The widest allowance among the edges that reach the outermost line.
    private static Working Furthest(Piece piece, Outline outline, Func<Point, Length> along, Length extreme)
    {
        var reaching = Enumerable
            .Range(0, outline.Edges.Count)
            .Where(at =>
                outline
                    .Curve(at)
                    .Extremes()
                    .Any(v => (along(new(Length.Snap(v.X), Length.Snap(v.Y))) - extreme).Abs().Ticks <= Rounding)
            )
            .Where(at => Reaches(outline, at, along, extreme))
            .Select(at => piece.Allowances.GetValueOrDefault(outline.Edges[at].Name))
            .OfType<Working>();
        return reaching.MaxBy(own => own.Value) ?? Lengths.Workings.Sum.Of();
    }

    // An edge square to the outermost line touches it with one end only; its neighbour is the one that lies on it.
    private static bool Reaches(Outline outline, int at, Func<Point, Length> along, Length extreme)
    {
        var (start, end) = (outline.Edges[at].Start, outline.Edges[(at + 1) % outline.Edges.Count].Start);
        bool Touches(Point p) => (along(p) - extreme).Abs().Ticks <= Rounding;
        // An arc lies on it where it turns back there, not where it merely ends there.
        return outline.Edges[at].Radius is null
            ? Touches(start) && Touches(end)
            : outline.Curve(at).Extremes().Skip(2).Any(v => Touches(new(Length.Snap(v.X), Length.Snap(v.Y))));
    }
}
