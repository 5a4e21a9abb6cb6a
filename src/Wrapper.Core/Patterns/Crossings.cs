using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// Which seam crosses the end of which, read off the pattern: where one side of a seam goes on from a piece, or an edge,
/// to another, the seam that joins those two ends there and is sewn before (craft §11).
/// </summary>
public static class Crossings
{
    private static readonly Length Near = Length.Inches(0, 1, 16);

    /// <summary>Pairs of seams: the one that ends, and the one that crosses its end.</summary>
    public static IReadOnlyList<(Seam Ends, Seam Crossing)> Of(Pattern pattern)
    {
        List<(Seam Seam, SeamLine Line)> sewn =
        [
            .. pattern
                .Seams.Where(seam => seam.Kind is not (SeamKind.Lap or SeamKind.Opening))
                .Select(seam => (seam, new SeamLine(pattern, seam))),
        ];
        var ending = (from each in sewn from pair in Ends(pattern, each.Line) select (pair, each.Seam)).ToLookup(
            each => each.pair,
            each => each.Seam
        );
        return
        [
            .. (
                from crossing in sewn
                from pair in Joints(pattern, crossing.Line)
                from ends in ending[pair].Concat(ending[(pair.Other, pair.One)])
                where ends != crossing.Seam
                select (ends, crossing.Seam)
            ).Distinct(),
        ];
    }

    // A corner of a piece, by the edge that starts there.
    private sealed record Corner(string Piece, int Instance, string Edge);

    // The two corners that a seam brings together at either of its ends.
    private static IEnumerable<(Corner One, Corner Other)> Ends(Pattern pattern, SeamLine line)
    {
        var (one, other) = (line.OneSide.Runs, line.OtherSide.Runs);
        if (Start(pattern, one[0]) is { } a && Start(pattern, other[0]) is { } b)
            yield return (a, b);
        if (End(pattern, one[^1]) is { } c && End(pattern, other[^1]) is { } d)
            yield return (c, d);
    }

    // Where a side goes on from one corner to another that is not the same.
    private static IEnumerable<(Corner One, Corner Other)> Joints(Pattern pattern, SeamLine line) =>
        from side in new[] { line.OneSide, line.OtherSide }
        from pair in side.Runs.Zip(side.Runs.Skip(1))
        let one = End(pattern, pair.First)
        let other = Start(pattern, pair.Second)
        where one is not null && other is not null && one != other
        select (one, other);

    private static Corner? Start(Pattern pattern, (Run Run, Length Start, Length End, bool With) walked) =>
        At(pattern, walked.Run, atEnd: !walked.With);

    private static Corner? End(Pattern pattern, (Run Run, Length Start, Length End, bool With) walked) =>
        At(pattern, walked.Run, atEnd: walked.With);

    // Null where the run stops within its edge.
    private static Corner? At(Pattern pattern, Run run, bool atEnd)
    {
        var outline = pattern.Piece(run.Piece).Stitch;
        if (atEnd)
            return run.To is { } to && outline.LengthOf(run.Edge) - to > Near
                ? null
                : new Corner(run.Piece, run.Instance, outline.EdgeAfter(run.Edge));
        return run.From is { } from && from > Near ? null : new Corner(run.Piece, run.Instance, run.Edge);
    }
}
