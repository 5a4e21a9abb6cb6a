using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>One side of a seam: where each of its runs lies on its rim.</summary>
internal sealed class SeamWalk
{
    private readonly List<(int Rim, double From, double To, double Start, double End)> runs = [];

    public SeamWalk(SeamLine.Side side, Dictionary<(string, int), (SheetRim Rim, int At)> byKey)
    {
        foreach (var (run, start, end, with) in side.Runs)
        {
            var (rim, at) = byKey[(run.Piece, run.Instance)];
            var (from, to) = rim.Ends(run);
            runs.Add((at, with ? from : to, with ? to : from, start.ToMillimetres(), end.ToMillimetres()));
        }
        Total = runs[^1].End;
    }

    /// <summary>The length of the side, in mm.</summary>
    public double Total { get; }

    /// <summary>The shares at which a stop of a rim lies on this side.</summary>
    public IEnumerable<double> At((int Rim, double Along) stop) =>
        from run in runs
        where run.Rim == stop.Rim
        let share = (stop.Along - run.From) / (run.To - run.From)
        where share is > 0 and < 1
        select (run.Start + (share * (run.End - run.Start))) / Total;

    /// <summary>The shares at which its runs begin.</summary>
    public IEnumerable<double> Shares => runs.Select(run => run.Start / Total);

    /// <summary>A pair for each stretch between two shares: where it begins and where it ends.</summary>
    public List<(int Rim, double At)> Points(List<double> shares)
    {
        List<(int, double)> points = [];
        for (var n = 0; n + 1 < shares.Count; n++)
        {
            var middle = (shares[n] + shares[n + 1]) / 2 * Total;
            var run = runs.First(each => middle <= each.End || each == runs[^1]);
            points.Add((run.Rim, At(run, shares[n] * Total)));
            points.Add((run.Rim, At(run, shares[n + 1] * Total)));
        }
        return points;
    }

    private static double At((int Rim, double From, double To, double Start, double End) run, double along)
    {
        var share = Math.Clamp((along - run.Start) / (run.End - run.Start), 0, 1);
        return run.From + (share * (run.To - run.From));
    }
}
