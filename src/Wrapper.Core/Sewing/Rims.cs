using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>
/// The rims of a surface sampled for a mesh: each part in equal steps, both sides of a seam in the same number, so that
/// what is sewn shares its nodes.
/// </summary>
internal sealed class Rims
{
    // An arc is followed in steps of so much of a turn.
    private const double ArcStep = 0.3;

    private readonly ILookup<int, (int Sheet, int Point)> byNode;

    private Rims(IReadOnlyList<IReadOnlyList<RimPoint>> sheets, int nodes)
    {
        (Sheets, Nodes) = (sheets, nodes);
        byNode = sheets
            .SelectMany((rim, sheet) => rim.Select((point, at) => (point.Node, At: (sheet, at))))
            .ToLookup(pair => pair.Node, pair => pair.At);
    }

    /// <summary>Every point of a rim that is this node.</summary>
    public IEnumerable<(int Sheet, int Point)> At(int node) => byNode[node];

    /// <summary>For each sheet the points of its rim, walked with its outline.</summary>
    public IReadOnlyList<IReadOnlyList<RimPoint>> Sheets { get; }

    /// <summary>How many nodes of the sewn cover lie on rims.</summary>
    public int Nodes { get; }

    /// <summary>Samples with edges about <paramref name="step"/> mm long.</summary>
    public static Rims Of(Surface surface, double step)
    {
        var steps = surface.Parts.Select(part => Steps(surface, part, step)).ToArray();
        foreach (var (one, other, _) in surface.Seams)
            steps[one] = steps[other] = Math.Max(steps[one], steps[other]);
        var first = new int[surface.Parts.Count + 1];
        for (var at = 0; at < surface.Parts.Count; at++)
            first[at + 1] = first[at] + steps[at];
        // One node for each corner of the cover, then those within the parts, shared where they are sewn.
        var union = new Union(first[^1]);
        var begun = new Dictionary<int, int>();
        for (var at = 0; at < surface.Parts.Count; at++)
            if (!begun.TryAdd(surface.Corners[at], at))
                union.Join(first[begun[surface.Corners[at]]], first[at]);
        foreach (var (one, other, _) in surface.Seams)
        {
            var same = surface.IsTurned(one) != surface.IsTurned(other);
            for (var n = 1; n < steps[one]; n++)
                union.Join(first[one] + n, first[other] + (same ? n : steps[other] - n));
        }
        var (nodes, count) = union.Numbered();
        List<List<RimPoint>> sheets = [.. surface.Sheets.Select(_ => new List<RimPoint>())];
        for (var at = 0; at < surface.Parts.Count; at++)
        {
            var part = surface.Parts[at];
            for (var n = 0; n < steps[at]; n++)
                sheets[part.Sheet]
                    .Add(
                        new RimPoint(
                            surface.PointOn(at, (double)n / steps[at]),
                            nodes[first[at] + n],
                            at,
                            (double)n / steps[at]
                        )
                    );
        }
        return new Rims(sheets, count);
    }

    /// <summary>How far along a sheet's rim a share of the way from one of its points to the next lies.</summary>
    public double Along(Surface surface, int sheet, int point, double share)
    {
        var rim = Sheets[sheet];
        double Of(RimPoint at) => surface.Parts[at.Part].Start + (at.Share * surface.Parts[at.Part].Length);
        var (from, next) = (rim[point % rim.Count], rim[(point + 1) % rim.Count]);
        var end = next.IsStop ? surface.Parts[from.Part].End : Of(next);
        return Of(from) + (share * (end - Of(from)));
    }

    private static int Steps(Surface surface, RimPart part, double step)
    {
        var curve = surface.CurveOf(part);
        var straight = double.IsInfinity(step) ? 1 : (int)Math.Ceiling((part.Length / step) - 0.2);
        var turn = curve is { Radius: { } radius } ? (int)Math.Ceiling(part.Length / radius / ArcStep) : 1;
        return Math.Max(1, Math.Max(straight, turn));
    }
}

/// <summary>
/// A point of a sheet's rim: on the flat piece, which node of the cover it is, the part that it lies on or begins.
/// </summary>
internal readonly record struct RimPoint(Vec Flat, int Node, int Part, double Share)
{
    /// <summary>Whether a part begins there.</summary>
    public bool IsStop => Share <= 0;
}
