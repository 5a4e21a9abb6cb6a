using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>
/// A closed ring of named edges, anticlockwise, so that outside lies to the right of every edge. Vertices and radii are
/// exact; angles and lengths of slants are reckoned in double millimetres here and snapped once.
/// </summary>
public sealed class Outline
{
    private readonly Dictionary<string, int> index;

    /// <summary>An outline of three edges or more (two when one is an arc), each name used once.</summary>
    public Outline(IReadOnlyList<Edge> edges)
    {
        Edges = edges;
        index = edges
            .Select((edge, at) => (edge.Name, at))
            .ToDictionary(pair => pair.Name, pair => pair.at, StringComparer.Ordinal);
    }

    /// <summary>The edges in order round the ring.</summary>
    public IReadOnlyList<Edge> Edges { get; }

    /// <summary>A rectangle from (0, 0), with edges named bottom, right, top and left.</summary>
    public static Outline Rectangle(
        Length width,
        Length height,
        string bottom = "bottom",
        string right = "right",
        string top = "top",
        string left = "left"
    ) =>
        new([
            new(bottom, new(Length.Zero, Length.Zero)),
            new(right, new(width, Length.Zero)),
            new(top, new(width, height)),
            new(left, new(Length.Zero, height)),
        ]);

    /// <summary>The rectangle that holds it, its sides lower, right, upper and left.</summary>
    public Outline Box()
    {
        var (left, bottom, right, top) = Bounds();
        return new([
            new("lower", new(left, bottom)),
            new("right", new(right, bottom)),
            new("upper", new(right, top)),
            new("left", new(left, top)),
        ]);
    }

    /// <summary>
    /// The outline turned over about the upright, edges still anticlockwise: the other one of a pair.
    /// </summary>
    public Outline Mirrored()
    {
        // Walked backwards: each edge now starts where it ended.
        var count = Edges.Count;
        return new Outline([
            .. Enumerable
                .Range(0, count)
                .Select(n => count - 1 - n)
                .Select(at =>
                {
                    var end = Edges[(at + 1) % count].Start;
                    return Edges[at] with { Start = new Point(-end.X, end.Y) };
                }),
        ]);
    }

    /// <summary>Whether there is an edge of this name.</summary>
    public bool Has(string name) => index.ContainsKey(name);

    /// <summary>The name of the edge that starts where this one ends.</summary>
    public string EdgeAfter(string name) => Edges[(index[name] + 1) % Edges.Count].Name;

    /// <summary>The name of the edge that ends where this one starts.</summary>
    public string EdgeBefore(string name) => Edges[(index[name] + Edges.Count - 1) % Edges.Count].Name;

    /// <summary>Whether the line goes on without a corner where this edge starts.</summary>
    public bool IsSmoothAt(string name) => Offset.IsSmooth(Curve(EdgeBefore(name)), Curve(name));

    /// <summary>The length of one edge along the line, rounded once.</summary>
    public Length LengthOf(string name) => Curve(index[name]).Length();

    /// <summary>The straight way between the starts of two edges.</summary>
    public Length Between(string from, string to) =>
        Length.Snap((Edges[index[to]].Start.Mm - Edges[index[from]].Start.Mm).Size);

    /// <summary>How far an edge's start lies from the first corner, across and up.</summary>
    public Point FromFirst(string name) => Edges[index[name]].Start.Moved(-Edges[0].Start.X, -Edges[0].Start.Y);

    /// <summary>The integer sum of all edges.</summary>
    public Length Perimeter() => Edges.Aggregate(Length.Zero, (sum, edge) => sum + LengthOf(edge.Name));

    /// <summary>The area in square metres, arcs included.</summary>
    public double AreaSquareMetres()
    {
        var twice = 0.0;
        for (var at = 0; at < Edges.Count; at++)
            twice += Curve(at).TwiceAreaUnder();
        return twice / 2 / 1e6;
    }

    /// <summary>The smallest upright box: lowest x, lowest y, highest x, highest y; arcs included.</summary>
    public (Length Left, Length Bottom, Length Right, Length Top) Bounds()
    {
        var points = Enumerable.Range(0, Edges.Count).SelectMany(at => Curve(at).Extremes()).ToList();
        return (
            Length.Snap(points.Min(p => p.X)),
            Length.Snap(points.Min(p => p.Y)),
            Length.Snap(points.Max(p => p.X)),
            Length.Snap(points.Max(p => p.Y))
        );
    }

    /// <summary>
    /// The point <paramref name="along"/> an edge from its start, and the one <paramref name="outward"/> of it, square
    /// to the line.
    /// </summary>
    public (Point On, Point Outward) Mark(string name, Length along, Length outward)
    {
        var curve = Curve(name);
        var share = along.Ticks / (double)Math.Max(1, LengthOf(name).Ticks);
        var on = curve.At(share);
        var off = on + (outward.ToMillimetres() * curve.Direction(share).Right());
        return (new(Length.Snap(on.X), Length.Snap(on.Y)), new(Length.Snap(off.X), Length.Snap(off.Y)));
    }

    /// <summary>The curve of one edge in double millimetres, for geometry functions only.</summary>
    internal Curve Curve(int at)
    {
        var edge = Edges[at];
        return new Curve(
            edge.Start.Mm,
            Edges[(at + 1) % Edges.Count].Start.Mm,
            edge.Radius?.ToMillimetres(),
            edge.Outward,
            edge.Large
        );
    }

    internal Curve Curve(string name) => Curve(index[name]);
}
