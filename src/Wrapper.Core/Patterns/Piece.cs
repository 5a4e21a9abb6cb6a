using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>
/// A piece of the pattern: finished dimensions by name, and how they are drawn. Stitch and cut line are drawn from the
/// same dimensions; the cut line is the offset of the stitch line, or of <see cref="UncutShape"/> where corners are
/// only trimmed after fitting.
/// </summary>
public sealed record Piece
{
    private Drawing? drawing;

    /// <summary>A piece drawn by <paramref name="shape"/> from <paramref name="dimensions"/>.</summary>
    public Piece(
        string key,
        string name,
        int quantity,
        IReadOnlyDictionary<string, Working> dimensions,
        Func<Dimensions, Outline> shape
    ) => (Key, Name, Quantity, Dimensions, Shape) = (key, name, quantity, dimensions, shape);

    /// <summary>Stable within the make-up; part of an instance's identity.</summary>
    public string Key { get; }

    /// <summary>The trade's name of the piece.</summary>
    public string Name { get; init; }

    /// <summary>How many are cut.</summary>
    public int Quantity { get; init; }

    /// <summary>Finished dimensions by name; what <see cref="Shape"/> draws from.</summary>
    public IReadOnlyDictionary<string, Working> Dimensions { get; init; }

    /// <summary>Draws the stitch line.</summary>
    public Func<Dimensions, Outline> Shape { get; init; }

    /// <summary>Draws the line that the raw edge is offset from, where that is not the stitch line.</summary>
    public Func<Dimensions, Outline>? UncutShape { get; init; }

    /// <summary>
    /// Whether it is cut as the rectangle that holds its stitch line, which is the line to expect: hollows and slants
    /// are opened on the furniture, never cut beforehand (craft §6.2). Its allowances are then those of the rectangle's
    /// sides: lower, right, upper and left.
    /// </summary>
    public bool IsRough { get; init; }

    /// <summary>The line that is drawn on cloth: the raw edge, or the line to expect of a rough piece.</summary>
    public Outline Line => IsRough ? Stitch : Cut;

    /// <summary>The allowance of each edge by its name; an edge without one is cut on its line.</summary>
    public IReadOnlyDictionary<string, Working> Allowances { get; init; } = new Dictionary<string, Working>();

    /// <summary>Marks on the edges.</summary>
    public IReadOnlyList<Notch> Notches { get; init; } = [];

    /// <summary>What is sewn in at an edge without a mark of its own: ties, held to where they go.</summary>
    public IReadOnlyList<Notch> Attached { get; init; } = [];

    /// <summary>Lines inside the piece.</summary>
    public IReadOnlyList<InnerLine> Lines { get; init; } = [];

    /// <summary>Sizes to read off, each with its working.</summary>
    public IReadOnlyList<Size> Sizes { get; init; } = [];

    /// <summary>How it may lie.</summary>
    public Grain Grain { get; init; } = Grain.Along;

    /// <summary>Which of the item's cloths it is cut from.</summary>
    public ClothRole Role { get; init; }

    /// <summary>
    /// Points where three pieces or more meet, by name, each so far from the start of an edge: to be matched when the
    /// seams are sewn.
    /// </summary>
    public IReadOnlyList<(string Name, string Edge, Length At)> Meeting { get; init; } = [];

    /// <summary>Whether it may be joined of several widths where the cloth is narrower.</summary>
    public bool MayBeJoined { get; init; }

    /// <summary>
    /// Where a strip is joined first, from its left end along the stitch line, if it is joined: at corners, where a join
    /// does not show. Null for what is no strip.
    /// </summary>
    public IReadOnlyList<Working>? JoinedFirstAt { get; init; }

    /// <summary>Whether every second one is turned over (left and right).</summary>
    public bool TurnedOver { get; init; }

    /// <summary>
    /// Whether it is drawn as seen from its wrong side, lying as the piece that it faces does: the first of them is then
    /// cut turned over.
    /// </summary>
    public bool Faces { get; init; }

    /// <summary>How it stands as it is worn; most follow what they are sewn to.</summary>
    public Facing Facing { get; init; }

    /// <summary>
    /// How far it hangs over the edge of what it covers, all round; null for what lies flat or is sewn to shape.
    /// </summary>
    public Length? Drop { get; init; }

    /// <summary>What it is wrapped round and held beneath; null for most.</summary>
    public Wrapping? Wraps { get; init; }

    /// <summary>How it lies on furniture where it is sewn to nothing; null for most.</summary>
    public Lying? Lies { get; init; }

    /// <summary>Whether this one of them, from 1 on, is the mirror image of what is drawn.</summary>
    public bool IsTurnedOver(int instance) => Faces != (TurnedOver && instance % 2 == 0);

    /// <summary>What to know before cutting; empty for most.</summary>
    public string Note { get; init; } = "";

    /// <summary>
    /// How far each corner lies from the first one across the grain and up it, by the edge that starts there, as
    /// drafted. Edges of the
    /// right length can still make a wrong shape; the seam check measures these again on what is drawn.
    /// </summary>
    public IReadOnlyList<(string Edge, Point Offset)> Corners { get; init; } = [];

    /// <summary>The stitch line: everything along it is finished size.</summary>
    public Outline Stitch => Drawn.Stitch;

    /// <summary>The raw edge.</summary>
    public Outline Cut => Drawn.Cut;

    /// <summary>A mark as it is drawn: from the stitch line square across the allowance; a short stroke where there is none.</summary>
    public (Point On, Point Outward) Reach(Notch notch) =>
        Stitch.Mark(
            notch.Edge,
            notch.At,
            Allowances.TryGetValue(notch.Edge, out var allowance) ? allowance.Value : Length.Millimetres(6)
        );

    /// <summary>The piece with one finished dimension changed and drawn anew; all else stays as drafted.</summary>
    public Piece Redrawn(string dimension, Length value)
    {
        var changed = Dimensions.ToDictionary(pair => pair.Key, pair => pair.Value);
        changed[dimension] = Working.Of(dimension, dimension, value);
        return this with { Dimensions = changed };
    }

    /// <summary>
    /// An edge of the stitch line that its allowances turn round or swallow, so that the piece cannot be cut; null when
    /// there is none.
    /// </summary>
    internal string? SwallowedEdge()
    {
        for (var at = 0; at < Stitch.Edges.Count; at++)
        {
            var name = Stitch.Edges[at].Name;
            if (!Cut.Has(name))
                continue;
            var (stitch, cut) = (Stitch.Curve(at), Cut.Curve(name));
            if ((stitch.B - stitch.A).Dot(cut.B - cut.A) <= 0 || cut.Radius is <= 0)
                return name;
        }
        return null;
    }

    // A copy keeps the drawing of its original until something that is drawn from has changed.
    private Drawing Drawn => drawing is { } known && known.IsOf(this) ? known : drawing = new Drawing(this);

    private sealed class Drawing
    {
        private readonly (object, object, object?, object, bool) from;

        public Drawing(Piece piece)
        {
            from = From(piece);
            var dimensions = new Dimensions(piece.Dimensions);
            Stitch = piece.Shape(dimensions);
            Cut = Offset.Outward(
                piece.IsRough ? Stitch.Box()
                    : piece.UncutShape is null ? Stitch
                    : piece.UncutShape(dimensions),
                edge => piece.Allowances.TryGetValue(edge, out var allowance) ? allowance.Value : Length.Zero
            );
        }

        public Outline Stitch { get; }

        public Outline Cut { get; }

        public bool IsOf(Piece piece) => from == From(piece);

        private static (object, object, object?, object, bool) From(Piece piece) =>
            (piece.Dimensions, piece.Shape, piece.UncutShape, piece.Allowances, piece.IsRough);
    }
}

/// <summary>The finished dimensions that a shape is drawn from, by name.</summary>
public sealed class Dimensions(IReadOnlyDictionary<string, Working> workings)
{
    /// <summary>The value of one dimension.</summary>
    public Length this[string name] => workings[name].Value;
}
