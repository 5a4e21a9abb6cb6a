using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// The stitch line of one piece instance as a rim to be walked, in millimetres from the start of its first edge, and the
/// stops on it. What is tucked away in a lap is one stop.
/// </summary>
internal sealed class SheetRim
{
    // Stops nearer than the one are the same; what reaches less beyond a tuck than the other goes with it.
    private const double Same = 0.02,
        Near = 1.6;

    private readonly List<(string Edge, double Start, double Length)> edges = [];
    private readonly List<(double From, double To, double At)> tucks = [];
    private readonly SortedSet<double> stops = [];
    private List<double>? settled;

    public SheetRim(Pattern pattern, Piece piece, int instance)
    {
        (Piece, Instance) = (piece, instance);
        TurnedOver = piece.IsTurnedOver(instance);
        foreach (var (edge, at) in piece.Stitch.Edges.Select((edge, at) => (edge, at)))
        {
            var curve = piece.Stitch.Curve(at);
            var length = curve.Length().ToMillimetres();
            edges.Add((edge.Name, Round, length));
            Round += length;
        }
        foreach (var lap in pattern.Seams.Where(seam => seam.Kind == SeamKind.Lap))
        {
            var runs = lap
                .OneSide.Concat(lap.OtherSide)
                .Where(run => run.Piece == piece.Key && run.Instance == instance);
            var ends = runs.Select(Ends).ToList();
            if (ends.Count == 0)
                continue;
            var (from, to) = (ends.Min(end => end.From), ends.Max(end => end.To));
            var edge = edges.Last(each => each.Start <= from + 1e-6);
            // The end of the tuck that lies within the edge is where the piece goes on.
            tucks.Add((from, to, from - edge.Start > 1e-6 ? from : to));
        }
        foreach (var (_, start, _) in edges)
            Add(start);
    }

    public Piece Piece { get; }

    public int Instance { get; }

    public bool TurnedOver { get; }

    /// <summary>The whole way round.</summary>
    public double Round { get; }

    /// <summary>Where a run begins and ends, walked with the outline.</summary>
    public (double From, double To) Ends(Run run)
    {
        var edge = edges.First(each => each.Edge == run.Edge);
        return (
            edge.Start + (run.From?.ToMillimetres() ?? 0),
            edge.Start + Math.Min(edge.Length, run.To?.ToMillimetres() ?? edge.Length)
        );
    }

    public void Add(double at) => stops.Add(Settled(at));

    /// <summary>The stops in order; those of edges stay, others give way to them.</summary>
    public IReadOnlyList<double> Stops()
    {
        if (settled is not null)
            return settled;
        var corners = edges.Select(edge => Settled(edge.Start)).ToHashSet();
        List<double> kept = [];
        foreach (var stop in stops)
            if (corners.Contains(stop) || corners.All(corner => Apart(corner, stop) > Same))
                if (kept.Count == 0 || Apart(kept[^1], stop) > Same || corners.Contains(stop))
                    kept.Add(stop);
        return settled = kept;
    }

    /// <summary>Which of the stops lies at <paramref name="at"/>.</summary>
    public int StopAt(double at)
    {
        var settledAt = Settled(at);
        var all = Stops();
        return Enumerable.Range(0, all.Count).MinBy(n => Apart(all[n], settledAt));
    }

    /// <summary>The edge on which a stretch that begins there lies.</summary>
    public string EdgeAt(double at) =>
        edges.Last(edge => edge.Start <= at + 1e-6 && (edge.Start + edge.Length > at + 1e-6 || edge == edges[^1])).Edge;

    /// <summary>The point at a distance, on the flat piece.</summary>
    public Vec Point(double along)
    {
        var at = along % Round;
        var n = edges.FindLastIndex(edge => edge.Start <= at + 1e-6);
        var (_, start, length) = edges[n];
        if (!IsBesideTuck(n))
            return Drawn(at);
        // It has moved to where the tucks end.
        var (a, b) = (Drawn(Settled(start)), Drawn(Settled((start + length) % Round)));
        return a + (Math.Clamp((at - start) / length, 0, 1) * (b - a));
    }

    // Whether the tucks of its neighbours take an edge with them.
    private bool IsBesideTuck(int n)
    {
        var (_, start, length) = edges[n];
        var end = start + length;
        return !tucks.Any(tuck => tuck.From < end - Near && tuck.To > start + Near)
            && (Apart(Settled(start), start) > Near || Apart(Settled(end % Round), end) > Near);
    }

    private Vec Drawn(double at)
    {
        var n = edges.FindLastIndex(edge => edge.Start <= at + 1e-6);
        var (_, start, length) = edges[n];
        return Piece.Stitch.Curve(n).At(Math.Clamp((at - start) / length, 0, 1));
    }

    /// <summary>The curve that a stretch lies on; null where it jumps over a tuck.</summary>
    public Curve? CurveOf(double from, double to)
    {
        var n = edges.FindLastIndex(edge => edge.Start <= from + 1e-6);
        var (_, start, length) = edges[n];
        return to > start + length + 1e-6 || IsBesideTuck(n) ? null : Piece.Stitch.Curve(n);
    }

    private double Apart(double a, double b)
    {
        var apart = Math.Abs(a - b);
        return Math.Min(apart, Round - apart);
    }

    private double Settled(double at)
    {
        at = at >= Round - 1e-6 ? at - Round : at;
        at = Math.Max(0, at);
        foreach (var (from, to, into) in tucks)
            if (at >= from - 1e-6 && at <= to + 1e-6)
                return into >= Round - 1e-6 ? 0 : into;
        // The tuck at the end of the last edge ends where the first begins.
        foreach (var (_, to, into) in tucks)
            if (to >= Round - 1e-6 && at <= 1e-6)
                return into;
        return at;
    }
}
