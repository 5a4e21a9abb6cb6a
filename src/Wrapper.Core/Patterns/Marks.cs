using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// The marks that seams ask for: where a seam begins or stops within an edge, where a joint of one side meets the
/// other, and clips wherever
/// an edge has to open to go round a corner or a curve. Marks that a make-up sets itself stay.
/// </summary>
internal static class Marks
{
    // Marks nearer than this are one mark, and one this near to an edge's end is its corner.
    private static readonly Length Near = Length.Inches(0, 1, 16);

    private const string ZipEnd = "zip end";

    /// <summary>The pattern with every mark that its seams ask for.</summary>
    public static Pattern Apply(Pattern pattern)
    {
        var asked = pattern.Seams.SelectMany(seam => Of(pattern, seam)).ToLookup(mark => mark.Piece);
        return pattern with { Pieces = [.. pattern.Pieces.Select(piece => Marked(piece, asked[piece.Key]))] };
    }

    private static Piece Marked(Piece piece, IEnumerable<(string Piece, Notch Notch)> asked)
    {
        List<Notch> marks = [.. piece.Notches];
        // A clip serves as a mark too, so clips come first.
        foreach (
            var (_, notch) in asked
                .OrderByDescending(mark => mark.Notch.What.Length)
                .ThenByDescending(mark => mark.Notch.Clip)
        )
            if (
                !marks.Any(other =>
                    (other.What == notch.What || other.What == ZipEnd)
                    && other.Edge == notch.Edge
                    && (other.At - notch.At).Abs() <= Near
                )
            )
                marks.Add(notch);
        var order = piece.Stitch.Edges.Select(edge => edge.Name).ToList();
        return marks.Count == piece.Notches.Count
            ? piece
            : piece with
            {
                Notches = [.. marks.OrderBy(mark => order.IndexOf(mark.Edge)).ThenBy(mark => mark.At)],
            };
    }

    private static IEnumerable<(string Piece, Notch Notch)> Of(Pattern pattern, Seam seam)
    {
        // A tuck is folded along its lines.
        if (seam.Kind == SeamKind.Lap)
            yield break;
        var line = new SeamLine(pattern, seam);
        foreach (var (run, _, _, _) in line.OneSide.Runs.Concat(line.OtherSide.Runs))
        foreach (var end in new[] { run.From, run.To }.OfType<Length>())
            if (
                !pattern.IsTucked(run, end)
                && end > Near
                && pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge) - end > Near
            )
                yield return (run.Piece, new Notch(run.Edge, end) { What = seam.Kind == SeamKind.Zip ? ZipEnd : "" });
        // A seam that starts in the middle of a curve starts nowhere that can be seen.
        foreach (var side in new[] { seam.OneSide, seam.OtherSide })
            if (side[0] is { From: null } first && pattern.Piece(first.Piece).Stitch.IsSmoothAt(first.Edge))
                yield return (first.Piece, new Notch(first.Edge, Length.Zero));
        // What is gathered, eased or pleated does not lie point on point.
        if (seam.Swallowed != Length.Zero)
            yield break;
        foreach (var joint in line.Joints)
        {
            var turn = TurnAt(pattern, joint);
            yield return (joint.Meets.Piece, new Notch(joint.Meets.Edge, joint.Meets.At, Clip: turn == Turn.Outward));
            if (turn is Turn.None or Turn.Inward)
                yield return (
                    joint.Starts.Piece,
                    new Notch(joint.Starts.Edge, joint.Starts.At, Clip: turn == Turn.Inward)
                );
        }
        foreach (var (side, other) in new[] { (line.OneSide, line.OtherSide), (line.OtherSide, line.OneSide) })
        foreach (var mark in Round(pattern, side, other))
            yield return mark;
    }

    // Along a curve: what is sewn straight round an outward one is clipped, of an inward one the curve itself.
    private static IEnumerable<(string Piece, Notch Notch)> Round(
        Pattern pattern,
        SeamLine.Side side,
        SeamLine.Side other
    )
    {
        foreach (var (run, start, end, with) in side.Runs)
        {
            var edge = pattern.Piece(run.Piece).Stitch.Edges.First(each => each.Name == run.Edge);
            if (edge.Radius is not { } radius)
                continue;
            foreach (var clip in Clips.Along(end - start, radius))
                if (!edge.Outward)
                    yield return (
                        run.Piece,
                        new Notch(run.Edge, (run.From ?? Length.Zero) + (with ? clip : end - start - clip), Clip: true)
                    );
                else if (
                    other.At(start + clip) is { } meets
                    && pattern.Piece(meets.Piece).Stitch.Edges.First(each => each.Name == meets.Edge).Radius is null
                )
                    yield return (meets.Piece, new Notch(meets.Edge, meets.At, Clip: true));
        }
    }

    private enum Turn
    {
        // One piece ends and another begins: their ends are seen.
        EndToEnd,
        None,
        Outward,
        Inward,
    }

    // How the outline turns where two of its edges meet.
    private static Turn TurnAt(Pattern pattern, Joint joint)
    {
        if ((joint.Ends.Piece, joint.Ends.Instance) != (joint.Starts.Piece, joint.Starts.Instance))
            return Turn.EndToEnd;
        if (joint.Ends.Edge == joint.Starts.Edge)
            return Turn.None;
        var outline = pattern.Piece(joint.Ends.Piece).Stitch;
        return outline.EdgeAfter(joint.Ends.Edge) == joint.Starts.Edge
            ? TurnOf(outline.Curve(joint.Ends.Edge), outline.Curve(joint.Starts.Edge))
            : TurnOf(outline.Curve(joint.Starts.Edge), outline.Curve(joint.Ends.Edge));
    }

    private static Turn TurnOf(Curve before, Curve after) =>
        Offset.IsSmooth(before, after) ? Turn.None
        : before.Direction(1).Cross(after.Direction(0)) > 0 ? Turn.Outward
        : Turn.Inward;
}
