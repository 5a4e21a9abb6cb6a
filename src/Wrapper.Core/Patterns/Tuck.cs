using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// Cloth that lies behind other pieces and does not shape the cover: a pleat, an insert, a flap, a lining.
/// </summary>
/// <param name="Piece">The piece that lies there.</param>
/// <param name="Instance">Which of them, from 1 on.</param>
/// <param name="Layers">Its layers between folds; together all of the piece that lies so.</param>
public sealed record Tuck(string Piece, int Instance, IReadOnlyList<TuckLayer> Layers)
{
    /// <summary>A piece that lies behind another, point on point.</summary>
    public static Tuck Behind(string piece, int instance, string other, int otherInstance) =>
        new(piece, instance, [new(other, otherInstance, [], [], 1)]);

    /// <summary>
    /// A rectangle of this width and height that lies behind the corner at which the right end of one piece meets the
    /// left end of the next, its middle at the corner and its upper edge level with theirs. Where
    /// <paramref name="folded"/>, each half is folded back on itself, so that its ends come to the corner too.
    /// </summary>
    public static Tuck BehindCorner(
        string piece,
        int instance,
        (string Piece, int Instance, Length Width) one,
        (string Piece, int Instance) next,
        Length width,
        Length height,
        bool folded
    )
    {
        var half = width.Over(2);
        var quarter = width.Over(4);
        return new(
            piece,
            instance,
            folded
                ?
                [
                    Layer(one.Piece, one.Instance, Length.Zero, quarter, one.Width, one.Width - quarter, 1),
                    Layer(one.Piece, one.Instance, quarter, half, one.Width - quarter, one.Width, 2),
                    Layer(next.Piece, next.Instance, half, width - quarter, Length.Zero, quarter, 2),
                    Layer(next.Piece, next.Instance, width - quarter, width, quarter, Length.Zero, 1),
                ]
                :
                [
                    Layer(one.Piece, one.Instance, Length.Zero, half, one.Width - half, one.Width, 1),
                    Layer(next.Piece, next.Instance, half, width, Length.Zero, half, 1),
                ]
        );

        TuckLayer Layer(string behind, int at, Length from, Length to, Length start, Length end, int deep) =>
            new(behind, at, Box(from, to), Box(start, end), deep);

        Point[] Box(Length from, Length to) =>
            [new(from, Length.Zero), new(to, Length.Zero), new(to, height), new(from, height)];
    }

    /// <summary>
    /// Two facing pleats of a sheet that is turned down by <paramref name="fall"/> round a rectangle, at each of its
    /// corners (craft §5.2): both run out at the corner, and between them swallow all that is turned down there. The
    /// corners of the rectangle are at nothing and at <paramref name="width"/> and <paramref name="length"/>.
    /// </summary>
    public static Tuck FacingPleats(string piece, Length width, Length length, Length fall)
    {
        var zero = Length.Zero;
        // Cut off at 45°, fall from the corner: so far along each side, and so far both ways in the middle.
        var along = fall.Scaled(0.41421356237309504880m);
        var middle = fall.Scaled(0.70710678118654752440m);
        List<TuckLayer> layers = [];
        // Both sides of a corner, as steps outward: of the one that comes first anticlockwise, and of the next.
        foreach (
            var (corner, one, next) in new[]
            {
                (new Point(width, zero), (0, -1), (1, 0)),
                (new Point(width, length), (1, 0), (0, 1)),
                (new Point(zero, length), (0, 1), (-1, 0)),
                (new Point(zero, zero), (-1, 0), (0, -1)),
            }
        )
        {
            Point At(Length outward, Length beside) =>
                new(
                    corner.X + (one.Item1 * outward) + (next.Item1 * beside),
                    corner.Y + (one.Item2 * outward) + (next.Item2 * beside)
                );
            var (end, start) = (At(fall, zero), At(zero, fall));
            var (first, second) = (At(fall, along), At(along, fall));
            var (behindOne, behindNext) = (At(fall, -along), At(-along, fall));
            var fold = At(middle, middle);
            layers.Add(new(piece, 1, [corner, corner, end, first], [corner, corner, end, behindOne], 1));
            layers.Add(new(piece, 1, [corner, corner, first, fold], [corner, corner, behindOne, end], 2));
            layers.Add(new(piece, 1, [corner, corner, fold, second], [corner, corner, start, behindNext], 2));
            layers.Add(new(piece, 1, [corner, corner, second, start], [corner, corner, behindNext, start], 1));
        }
        return new(piece, 1, layers);
    }
}

/// <summary>
/// A flat layer of what is tucked: corners on its own piece, anticlockwise or a triangle with its first corner twice, and
/// the points of the piece in front that they lie behind. Without corners it lies behind all of that piece.
/// </summary>
/// <param name="Front">The piece in front.</param>
/// <param name="Instance">Which of them.</param>
/// <param name="Flat">Its corners as drawn; none or four.</param>
/// <param name="Behind">Where they lie, as the piece in front is drawn.</param>
/// <param name="Deep">Which layer it is behind that piece, from 1 on.</param>
public sealed record TuckLayer(
    string Front,
    int Instance,
    IReadOnlyList<Point> Flat,
    IReadOnlyList<Point> Behind,
    int Deep
);
