using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// Which larger piece a piece is sewn to without being turned, read off the seams, so that its print can run on from
/// there (craft §10).
/// </summary>
internal static class Following
{
    private const double Straight = 0.999;

    /// <summary>
    /// The larger piece of which a straight edge is sewn to one of <paramref name="piece"/> that runs the other way
    /// (the panel's front to the boxing's upper edge, one width's right side to the next one's left), along
    /// the longest such seam, with its instance and one point of that seam on either; null where there is none. Laid as
    /// they are drawn, the print runs over the seam when those two points lie at the same
    /// place of the repeat.
    /// </summary>
    public static (Piece Leader, int Instance, Point Own, Point Theirs)? Of(Pattern pattern, Piece piece)
    {
        (Piece, int, Point, Point)? found = null;
        var longest = Length.Zero;
        var area = piece.Cut.AreaSquareMetres();
        foreach (var seam in pattern.Seams.Where(seam => seam.Kind is SeamKind.Join or SeamKind.Zip))
        foreach (var (mine, others) in new[] { (seam.OneSide, seam.OtherSide), (seam.OtherSide, seam.OneSide) })
        foreach (
            var (own, ownStart, ownEnd) in Stretches(pattern, mine)
                .Where(run => run.Run.Piece == piece.Key && run.Run.Instance == 1)
        )
        foreach (var (run, start, end) in Stretches(pattern, others).Where(run => run.Run.Piece != piece.Key))
        {
            var leader = pattern.Piece(run.Piece);
            var (from, to) = (Length.Max(ownStart, start), Length.Min(ownEnd, end));
            if (
                to - from <= longest
                || leader.Cut.AreaSquareMetres() <= area
                || !Opposite(piece.Stitch.Curve(own.Edge), leader.Stitch.Curve(run.Edge))
            )
                continue;
            longest = to - from;
            // Sewn edges run against each other: what is first on one is last on the other.
            var along = (own.From ?? Length.Zero) + (ownEnd - from);
            found = (
                leader,
                run.Instance,
                piece.Stitch.Mark(own.Edge, along, Length.Zero).On,
                leader.Stitch.Mark(run.Edge, (run.From ?? Length.Zero) + (from - start), Length.Zero).On
            );
        }
        return found;
    }

    private static IEnumerable<(Run Run, Length Start, Length End)> Stretches(Pattern pattern, IReadOnlyList<Run> runs)
    {
        var at = Length.Zero;
        foreach (var run in runs)
            yield return (run, at, at += pattern.LengthOf(run));
    }

    private static bool Opposite(Curve own, Curve other) =>
        own.Radius is null && other.Radius is null && own.Direction(0).Dot(other.Direction(0)) < -Straight;
}
