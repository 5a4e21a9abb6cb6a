using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// The outline of a seat along the stitch line: how it is drawn, the length of each edge by formula, its extents, and
/// the four runs
/// that a boxing follows: back, left, front and right, anticlockwise from <see cref="BackStart"/>.
/// </summary>
internal sealed record SeatOutline
{
    private (
        IReadOnlyDictionary<string, Working> Dimensions,
        Func<Dimensions, Outline> Shape,
        Outline Outline,
        Ring Ring
    )? drawn;

    public SeatOutline(
        IReadOnlyDictionary<string, Working> dimensions,
        Func<Dimensions, Outline> shape,
        IReadOnlyDictionary<string, Working> lengths,
        Working width,
        Working depth
    ) => (Dimensions, Shape, Lengths, Width, Depth) = (dimensions, shape, lengths, width, depth);

    // A copy keeps the drawing of its original until it is drawn otherwise.
    private (Outline Outline, Ring Ring) Drawn()
    {
        if (drawn is { } known && known.Dimensions == Dimensions && known.Shape == Shape)
            return (known.Outline, known.Ring);
        var outline = Shape(new Dimensions(Dimensions));
        var ring = new Ring(outline);
        drawn = (Dimensions, Shape, outline, ring);
        return (outline, ring);
    }

    public IReadOnlyDictionary<string, Working> Dimensions { get; init; }

    public Func<Dimensions, Outline> Shape { get; init; }

    /// <summary>The length of each edge by formula.</summary>
    public IReadOnlyDictionary<string, Working> Lengths { get; init; }

    /// <summary>Overall, side to side.</summary>
    public Working Width { get; init; }

    /// <summary>Overall, front to back.</summary>
    public Working Depth { get; init; }

    /// <summary>The edge that the zip or the opening is centred on.</summary>
    public string Back { get; init; } = "back";

    /// <summary>The edge that is seen first and never joined.</summary>
    public string Front { get; init; } = "front";

    /// <summary>
    /// Half of the arc beside the back counts with it: a rounded corner has no mark of its own to turn at.
    /// </summary>
    public bool RoundCorners { get; init; }

    /// <summary>The perimeter by a formula of its own; else it is the sum of the edges.</summary>
    public Working? WholeWay { get; init; }

    /// <summary>Drawn from its dimensions.</summary>
    public Outline Outline => Drawn().Outline;

    /// <summary>The drawn outline to be walked.</summary>
    public Ring Ring => Drawn().Ring;

    public Working Perimeter =>
        (WholeWay ?? Sum.Of(Outline.Edges.Select(edge => Lengths[edge.Name]))).As(
            "P",
            "perimeter along the stitch line"
        );

    /// <summary>Along the back, from the middle of its corner where corners are round.</summary>
    public Working BackRun =>
        RoundCorners
            ? Sum.Of([.. Edge(Back), Corner("back right corner") / 2, Corner("back left corner") / 2])
            : Lengths[Back];

    public Working FrontRun => Sum.Of(Edge(Front));

    public Working LeftRun => Sum.Of([.. Halved("back left corner"), .. Between(Back, Front)]);

    public Working RightRun => Sum.Of([.. Between(Front, Back), .. Halved("back right corner")]);

    /// <summary>Where the back run starts, along the ring.</summary>
    public Length BackStart =>
        RoundCorners
            ? Ring.StartOf("back right corner")!.Value + Outline.LengthOf("back right corner").Over(2)
            : Ring.StartOf(Back)!.Value;

    /// <summary>
    /// The same outline moved out by <paramref name="by"/> on every side, or in: arcs stay arcs, corners are mitred.
    /// </summary>
    public SeatOutline Grown(Working by, bool inward = false)
    {
        if (by.Value == Length.Zero)
            return this;
        var dimensions = Dimensions.ToDictionary(pair => pair.Key, pair => pair.Value);
        // Grown twice, by the ease and by a corner school, each amount has a name of its own.
        var name = dimensions.ContainsKey("grown") ? "grown again" : "grown";
        dimensions[name] = by;
        var inner = Shape;
        Outline Shaped(Dimensions d) => Offset.Outward(inner(d), _ => inward ? -d[name] : d[name]);
        var drawn = Shaped(new Dimensions(dimensions));
        var (left, bottom, right, top) = drawn.Bounds();
        Working Extent(Working size, Length reached)
        {
            var sum = inward ? size - (2 * by) : size + (2 * by);
            return (sum.Value - reached).Abs().Ticks <= 4 ? sum : Working.Of("as drawn", "extent as drawn", reached);
        }
        return this with
        {
            Dimensions = dimensions,
            Shape = Shaped,
            Lengths = DrawnLengths(drawn),
            Width = Extent(Width, right - left),
            Depth = Extent(Depth, top - bottom),
            WholeWay = null,
        };
    }

    /// <summary>Every edge's length as it is drawn, for outlines that no formula describes.</summary>
    public static IReadOnlyDictionary<string, Working> DrawnLengths(Outline outline) =>
        outline.Edges.ToDictionary(
            edge => edge.Name,
            edge => Working.Of(edge.Name, $"{edge.Name} edge as drawn", outline.LengthOf(edge.Name))
        );

    /// <summary>
    /// Both diagonals of an outline with four straight sides, as drawn on a piece: its sides alone would not hold it
    /// square. <paramref name="edge"/> names
    /// the piece's edge that starts in the corner where a side of the outline starts.
    /// </summary>
    public IEnumerable<Size> Diagonals(Outline drawn, Func<string, string>? edge = null)
    {
        if (Outline.Edges.Count != 4 || !IsStraight)
            yield break;
        var at = Outline.Edges.Select(side => edge?.Invoke(side.Name) ?? side.Name).ToArray();
        foreach (var (from, to, name) in new[] { (at[0], at[2], "diagonal"), (at[1], at[3], "other diagonal") })
            yield return new Size(
                $"finished {name}",
                SizeKind.Finished,
                Working.Of(name, "as drawn", drawn.Between(from, to)),
                drawn.Edges.First(e => e.Name == from).Start,
                drawn.Edges.First(e => e.Name == to).Start
            );
    }

    /// <summary>Whether every edge is straight.</summary>
    public bool IsStraight => Outline.Edges.All(edge => edge.Radius is null);

    /// <summary>Whether no corner turns inward and no arc is hollow.</summary>
    public bool IsConvex =>
        Enumerable
            .Range(0, Outline.Edges.Count)
            .All(at =>
            {
                var (curve, next) = (Outline.Curve(at), Outline.Curve((at + 1) % Outline.Edges.Count));
                return (curve.Radius is null || curve.Outward)
                    && (Offset.IsSmooth(curve, next) || curve.Direction(1).Cross(next.Direction(0)) > 0);
            });

    /// <summary>
    /// Two neighbouring sides between which the outline turns by less than 30°; null where every corner is sharper.
    /// </summary>
    public (string From, string To)? FlatCorner() =>
        Enumerable
            .Range(0, Outline.Edges.Count)
            .Select(at => (At: at, Next: (at + 1) % Outline.Edges.Count))
            .Where(pair =>
                Outline.Curve(pair.At).Direction(1).Dot(Outline.Curve(pair.Next).Direction(0)) > Math.Sqrt(0.75)
            )
            .Select(pair => ((string, string)?)(Outline.Edges[pair.At].Name, Outline.Edges[pair.Next].Name))
            .FirstOrDefault();

    // A large radius leaves no straight edge.
    private IEnumerable<Working> Edge(string name) =>
        Lengths.TryGetValue(name, out var length) && Outline.Has(name) ? [length] : [];

    private Working Corner(string name) => Lengths[name];

    private IEnumerable<Working> Halved(string name) => RoundCorners ? [Lengths[name] / 2] : [];

    // Edges after one and before the other, anticlockwise; of round corners those at the back are shared out.
    private IEnumerable<Working> Between(string after, string before)
    {
        var names = Outline.Edges.Select(edge => edge.Name).ToList();
        if (RoundCorners)
            return (after == Back ? new[] { "left", "front left corner" } : ["front right corner", "right"])
                .Where(Outline.Has)
                .Select(name => Lengths[name]);
        var (from, to) = (names.IndexOf(after), names.IndexOf(before));
        return Enumerable
            .Range(1, names.Count)
            .Select(n => (from + n) % names.Count)
            .TakeWhile(at => at != to)
            .Select(at => Lengths[names[at]]);
    }
}
