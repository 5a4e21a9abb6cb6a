using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// A point of an edge of one piece instance, <paramref name="At"/> along the stitch line from where the edge starts.
/// </summary>
public sealed record EdgePoint(string Piece, int Instance, string Edge, Length At);

/// <summary>
/// The marks of a seam that are matched when it is sewn, in order from one end to the other: notches of either side, and
/// where one piece or edge ends and the next begins (craft §4.1). Clips along a curve are no marks.
/// </summary>
public static class MatchMarks
{
    // Marks nearer to each other than this are one.
    private static readonly Length Near = Length.Inches(0, 1, 8);

    /// <summary>
    /// Each mark as the two points that come together; none where a side is gathered, eased or pleated, since nothing
    /// lies point on point there.
    /// </summary>
    public static IReadOnlyList<(EdgePoint One, EdgePoint Other)> Of(Pattern pattern, Seam seam)
    {
        if (seam.Swallowed != Length.Zero || seam.Kind is SeamKind.Lap or SeamKind.Opening)
            return [];
        var line = new SeamLine(pattern, seam);
        var end = Length.Min(line.OneSide.Runs[^1].End, line.OtherSide.Runs[^1].End);
        List<Length> places = [];
        foreach (var at in Places(pattern, line.OneSide).Concat(Places(pattern, line.OtherSide)).Order())
            if (at > Near && end - at > Near && (places.Count == 0 || at - places[^1] > Near))
                places.Add(at);
        return [.. places.Select(at => (PointAt(pattern, line.OneSide, at), PointAt(pattern, line.OtherSide, at)))];
    }

    private static IEnumerable<Length> Places(Pattern pattern, SeamLine.Side side)
    {
        foreach (var (run, start, end, with) in side.Runs)
        {
            if (end != side.Runs[^1].End)
                yield return end;
            var from = run.From ?? Length.Zero;
            foreach (var mark in pattern.Piece(run.Piece).Notches.Where(mark => mark.Edge == run.Edge && !mark.Clip))
                if (mark.At >= from && mark.At - from <= end - start)
                    yield return with ? start + (mark.At - from) : end - (mark.At - from);
        }
    }

    private static EdgePoint PointAt(Pattern pattern, SeamLine.Side side, Length along)
    {
        var (run, start, _, with) = side.Runs.First(run => along <= run.End || run == side.Runs[^1]);
        var from = run.From ?? Length.Zero;
        var to = run.To ?? pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge);
        return new(run.Piece, run.Instance, run.Edge, with ? from + (along - start) : to - (along - start));
    }
}
