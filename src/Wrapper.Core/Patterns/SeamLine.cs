using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// A joint of two runs on one side of a seam: the run that ends there and the one that starts, and the point of the
/// other side that it meets.
/// </summary>
internal sealed record Joint(EdgePoint Ends, EdgePoint Starts, EdgePoint Meets);

/// <summary>
/// A seam walked from one end to the other, both sides at once. The runs of a side are listed in the order in which
/// they are sewn; whether each is walked with its
/// outline or against it is read off the pattern: where a side has neighbouring edges of one piece their order tells
/// it, and the other side goes the other way, as
/// two faces of a cover always do that lie right sides together. Where no side tells, the one side is listed with its
/// outlines, seen from the right side of the cloth. A piece that is turned over is walked the other way again.
/// </summary>
internal sealed class SeamLine
{
    // Ends nearer to each other than this are the same place.
    private static readonly Length Near = Length.Inches(0, 1, 16);

    private readonly Pattern pattern;

    public SeamLine(Pattern pattern, Seam seam)
    {
        this.pattern = pattern;
        var (left, right) = (Told(seam.OneSide), Told(seam.OtherSide));
        IsOnward = left ?? !right ?? true;
        OneSide = new Side(pattern, seam.OneSide, IsOnward);
        OtherSide = new Side(pattern, seam.OtherSide, right ?? !IsOnward);
    }

    /// <summary>Whether the one side is walked with its outlines, seen from the right side of the cloth.</summary>
    public bool IsOnward { get; }

    public Side OneSide { get; }

    public Side OtherSide { get; }

    /// <summary>
    /// Where runs of one side meet, with the point of the other side there; none where both sides have a joint.
    /// </summary>
    public IEnumerable<Joint> Joints => OneSide.JointsAgainst(OtherSide).Concat(OtherSide.JointsAgainst(OneSide));

    // True where the side runs in the direction of its outlines, seen from the right side of the cloth; null where it
    // has no two neighbouring edges to tell it by.
    private bool? Told(IReadOnlyList<Run> runs)
    {
        foreach (var (first, next) in runs.Zip(runs.Skip(1)))
        {
            if (first.Piece != next.Piece || first.Instance != next.Instance)
                continue;
            if (Follows(first, next))
                return !pattern.IsTurnedOver(first);
            if (Follows(next, first))
                return pattern.IsTurnedOver(first);
        }
        return null;
    }

    // Whether next starts where first ends, with the outline.
    private bool Follows(Run first, Run next)
    {
        var outline = pattern.Piece(first.Piece).Stitch;
        var (ends, starts) = (first.To ?? outline.LengthOf(first.Edge), next.From ?? Length.Zero);
        if (first.Edge == next.Edge)
            return (ends - starts).Abs() <= Near;
        return outline.EdgeAfter(first.Edge) == next.Edge
            && outline.LengthOf(first.Edge) - ends <= Near
            && starts <= Near;
    }

    /// <summary>One side of a seam, each run with where it begins along the seam.</summary>
    internal sealed class Side
    {
        private readonly List<(Run Run, Length Start, Length End, bool With)> runs = [];

        public Side(Pattern pattern, IEnumerable<Run> listed, bool onward)
        {
            var at = Length.Zero;
            foreach (var run in listed)
            {
                var end = at + pattern.LengthOf(run);
                runs.Add((run, at, end, onward != pattern.IsTurnedOver(run)));
                at = end;
            }
            this.pattern = pattern;
        }

        private readonly Pattern pattern;

        /// <summary>
        /// The runs in order, each with where it lies along the seam and whether it is walked with its outline.
        /// </summary>
        public IReadOnlyList<(Run Run, Length Start, Length End, bool With)> Runs => runs;

        public IEnumerable<Joint> JointsAgainst(Side other)
        {
            foreach (var (first, next) in runs.Zip(runs.Skip(1)))
                if (other.At(first.End) is { } meets)
                    yield return new Joint(PointOf(first, first.End), PointOf(next, next.Start), meets);
        }

        /// <summary>The point at a distance along the seam; null at the ends of runs, and beyond the seam.</summary>
        public EdgePoint? At(Length along) =>
            runs.Where(run => along - run.Start > Near && run.End - along > Near)
                .Select(run => PointOf(run, along))
                .FirstOrDefault();

        private EdgePoint PointOf((Run Run, Length Start, Length End, bool With) at, Length along)
        {
            var (run, start, _, with) = at;
            var from = run.From ?? Length.Zero;
            var to = run.To ?? pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge);
            return new EdgePoint(
                run.Piece,
                run.Instance,
                run.Edge,
                with ? from + (along - start) : to - (along - start)
            );
        }
    }
}
