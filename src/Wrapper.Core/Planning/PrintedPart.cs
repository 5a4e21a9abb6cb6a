using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>
/// Where a piece of a form, or the part of it between two lines that a joined piece is cut in, lies on its cloth: a point
/// (x, y) of the piece as drawn lies <c>(XX x + XY y, YX x + YY y)</c> and <paramref name="X"/> across from the first
/// selvedge, <paramref name="Y"/> up the roll.
/// </summary>
public sealed record PrintedPart(
    string FormPiece,
    int Instance,
    string Piece,
    string Cloth,
    Length? From,
    Length? To,
    int XX,
    int XY,
    int YX,
    int YY,
    Length X,
    Length Y
)
{
    /// <summary>Where a point of the piece as drawn lies on the cloth.</summary>
    public Point OnCloth(Point drawn)
    {
        return new((XX * drawn.X) + (XY * drawn.Y) + X, (YX * drawn.X) + (YY * drawn.Y) + Y);
    }

    /// <summary>
    /// The point of the piece as drawn that lies at <paramref name="cloth"/>.
    /// </summary>
    public Point Drawn(Point cloth)
    {
        var (x, y) = (cloth.X - X, cloth.Y - Y);
        return new((XX * x) + (YX * y), (XY * x) + (YY * y));
    }

    /// <summary>
    /// A piece cut by <paramref name="cut"/>, <paramref name="turned"/> over or not, that lies as
    /// <paramref name="at"/> says.
    /// </summary>
    public static PrintedPart Of(Outline cut, bool turned, Placement at)
    {
        // Mirrored, then turned to the left, then moved so that its box begins where it is placed.
        var (xx, xy, yx, yy) = (turned ? -1 : 1, 0, 0, 1);
        for (var turn = 0; turn < at.Turns % 4; turn++)
            (xx, xy, yx, yy) = (-yx, -yy, xx, xy);
        var (left, bottom, right, top) = cut.Bounds();
        Length Least(int a, int b) => Length.Min(a * left, a * right) + Length.Min(b * bottom, b * top);
        return new("", 0, "", "", null, null, xx, xy, yx, yy, at.X - Least(xx, xy), at.Y - Least(yx, yy));
    }
}
