using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>
/// A stretch of an outline's edge that lies within one slab, from and to along that edge; <paramref name="Name"/> is
/// what it is called there.
/// </summary>
internal sealed record SlabRun(string Edge, string Name, int Slab, Length From, Length To);

/// <summary>
/// An outline cut by upright lines into slabs, from left to right; each slab is closed by edges <c>left join</c> and
/// <c>right join</c>.
/// </summary>
internal sealed class Slabs
{
    private sealed record Atom(Edge Edge, Point End, SlabRun Run);

    private Slabs(IReadOnlyList<Outline> parts, IReadOnlyList<SlabRun> runs) => (Parts, Runs) = (parts, runs);

    /// <summary>The slabs.</summary>
    public IReadOnlyList<Outline> Parts { get; }

    /// <summary>Where every stretch of the whole outline went, in order round the ring.</summary>
    public IReadOnlyList<SlabRun> Runs { get; }

    /// <summary>
    /// Cuts <paramref name="outline"/> at the lines <paramref name="at"/>, left to right; null where a line meets it
    /// more than twice.
    /// </summary>
    public static Slabs? Of(Outline outline, IReadOnlyList<Length> at)
    {
        var atoms = Atoms(outline, at);
        var parts = new List<Outline>();
        for (var slab = 0; slab <= at.Count; slab++)
        {
            var own = atoms.Where(atom => atom.Run.Slab == slab).ToList();
            if (
                own.Count == 0
                || Closed(own, slab == 0 ? null : at[slab - 1]) is not { } edges
                || edges.Count(edge => edge.Name == "left join") > 1
                || edges.Count(edge => edge.Name == "right join") > 1
            )
                return null;
            parts.Add(new Outline(edges));
        }
        return new Slabs(parts, [.. atoms.Select(atom => atom.Run)]);
    }

    // Every edge in the pieces that the lines cut it into.
    private static List<Atom> Atoms(Outline outline, IReadOnlyList<Length> at)
    {
        var atoms = new List<Atom>();
        for (var n = 0; n < outline.Edges.Count; n++)
        {
            var (edge, curve, length) = (outline.Edges[n], outline.Curve(n), outline.LengthOf(outline.Edges[n].Name));
            double[] shares = [0, .. at.SelectMany(line => Crossings(curve, line.ToMillimetres())).Order(), 1];
            for (var part = 0; part + 1 < shares.Length; part++)
            {
                var (from, to) = (shares[part], shares[part + 1]);
                var middle = Length.Snap(curve.At((from + to) / 2).X);
                var slab = at.Count(line => line < middle);
                var large = edge.Large && curve.Sweep() * (to - from) > Math.PI;
                // A rounded side can leave a slab and come back.
                var before = atoms.Count(atom => atom.Run.Slab == slab && atom.Run.Edge == edge.Name);
                var name = before == 0 ? edge.Name : $"{edge.Name}, part {before + 1}";
                atoms.Add(
                    new Atom(
                        edge with
                        {
                            Name = name,
                            Start = Place(curve, from, at),
                            Large = large,
                        },
                        Place(curve, to, at),
                        new SlabRun(edge.Name, name, slab, length.Scaled((decimal)from), length.Scaled((decimal)to))
                    )
                );
            }
        }
        return atoms;
    }

    // A point on a line lies exactly on it.
    private static Point Place(Curve curve, double share, IReadOnlyList<Length> at)
    {
        var v = share >= 1 ? curve.B : curve.At(share);
        var x = Length.Snap(v.X);
        return new Point(at.FirstOrDefault(line => (line - x).Abs().Ticks <= 2, x), Length.Snap(v.Y));
    }

    private static IEnumerable<double> Crossings(Curve curve, double x)
    {
        const double end = 1e-9;
        if (curve.Radius is null)
        {
            var share = (x - curve.A.X) / (curve.B.X - curve.A.X);
            return share is > end and < 1 - end ? [share] : [];
        }
        // Between neighbouring turnings of its circle an arc runs one way; there the crossing is found by halving.
        var steps = Math.Max(8, (int)(curve.Sweep() * 16));
        return Enumerable
            .Range(0, steps)
            .Select(n => (From: (double)n / steps, To: (n + 1.0) / steps))
            .Where(step => (curve.At(step.From).X < x) != (curve.At(step.To).X < x))
            .Select(step =>
            {
                var (from, to) = step;
                var rises = curve.At(from).X < x;
                for (var n = 0; n < 60; n++)
                {
                    var middle = (from + to) / 2;
                    if ((curve.At(middle).X < x) == rises)
                        from = middle;
                    else
                        to = middle;
                }
                return from;
            })
            .Where(share => share is > end and < 1 - end);
    }

    // Walks the runs of one slab; where they part, a join runs straight to the next.
    private static List<Edge>? Closed(List<Atom> own, Length? left)
    {
        var edges = new List<Edge>();
        for (var n = 0; n < own.Count; n++)
        {
            var (atom, next) = (own[n], own[(n + 1) % own.Count]);
            edges.Add(atom.Edge);
            if (atom.End == next.Edge.Start)
                continue;
            if (atom.End.X != next.Edge.Start.X)
                return null;
            edges.Add(new Edge(atom.End.X == left ? "left join" : "right join", atom.End));
        }
        return edges;
    }
}
