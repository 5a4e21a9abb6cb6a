using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>An upright rectangle in counts: x across the cloth, y up the roll.</summary>
internal readonly record struct Cell(long Left, long Bottom, long Right, long Top);

/// <summary>
/// The cloth that a cut outline takes, as upright rectangles that cover it: sliced at every corner, so that straight
/// cut-outs
/// are exact, and finely along slants and arcs, which are covered from outside. Lower left of its box is (0, 0).
/// </summary>
internal sealed class Region
{
    // Arcs and slants are covered by rectangles to this closeness, in mm, and arcs by slants.
    private const double ArcTolerance = 1,
        SlantTolerance = 0.4,
        ChordTolerance = 0.008;

    /// <summary>So much further out than the outline itself lie the slants that stand for its arcs, at the most.</summary>
    public const long Outside = Length.TicksPerMillimetre / 2;

    private const long SlantSlice = 8 * Length.TicksPerMillimetre;

    private readonly Lazy<Profile> upright,
        sideways;

    private Region(Cell[] cells, bool straight = true, IReadOnlyList<(long X, long Y)>? polygon = null, long gap = 0)
    {
        (IsStraight, IsWidened) = (straight, gap > 0);
        // With a gap the cells of straight ones are as exact, and fewer.
        if (straight && gap > 0)
            polygon = null;
        Cells = cells;
        Width = cells.Max(cell => cell.Right);
        Height = cells.Max(cell => cell.Top);
        upright = new(() => Profiled(sideways: false));
        sideways = new(() => Profiled(sideways: true));

        Profile Profiled(bool sideways)
        {
            var profile = polygon is null ? Profile.Of(cells, sideways) : Profile.Of(polygon, sideways);
            return polygon is null || gap == 0 ? profile : profile.Widened(gap);
        }
    }

    public Cell[] Cells { get; }

    /// <summary>
    /// Whether every edge runs along or across: then the cells are the outline itself, and not a little more.
    /// </summary>
    public bool IsStraight { get; }

    /// <summary>Whether a gap belongs to it: its parts may lie in one another then.</summary>
    public bool IsWidened { get; }

    /// <summary>Whether it is one upright rectangle; a slant of a few millimetres is none.</summary>
    public bool IsRectangle => IsStraight && Cells.Length == 1;

    /// <summary>From below and above: slants as they are, arcs a little from outside.</summary>
    public Profile Upright => upright.Value;

    /// <summary>The same from the left and the right.</summary>
    public Profile Sideways => sideways.Value;

    public long Width { get; }

    public long Height { get; }

    /// <summary>
    /// The region of <paramref name="cut"/> after quarter turns to the left, with <paramref name="gap"/> counts more to
    /// the right and upward.
    /// </summary>
    public static Region Of(Outline cut, int turns, long gap = 0)
    {
        var points = Turned(cut, turns, ArcTolerance);
        return new Region(
            [.. Merge(Slices(points)).Select(cell => cell with { Right = cell.Right + gap, Top = cell.Top + gap })],
            points
                .Zip(points.Skip(1).Append(points[0]))
                .All(side => side.First.X == side.Second.X || side.First.Y == side.Second.Y),
            Turned(cut, turns, SlantTolerance),
            gap
        );
    }

    /// <summary>
    /// The same with arcs as chords that lie within 0.008 mm of them: a bulge fits its own hollow. Only for outlines
    /// without a gap; many corners, so for few comparisons.
    /// </summary>
    public Region Close(Outline cut, int turns)
    {
        if (cut.Edges.All(edge => edge.Radius is null))
            return this;
        var outside = Polygon(cut, SlantTolerance).Select(p => Turn(p, turns)).ToArray();
        var (left, bottom) = (outside.Min(p => p.X), outside.Min(p => p.Y));
        return new Region(
            Cells,
            straight: false,
            [
                .. Enumerable
                    .Range(0, cut.Edges.Count)
                    .SelectMany(at => cut.Curve(at).Chords(ChordTolerance))
                    .Select(v => Turn((Length.Snap(v.X).Ticks, Length.Snap(v.Y).Ticks), turns))
                    .Select(p => (p.X - left, p.Y - bottom)),
            ]
        );
    }

    // Its corners after quarter turns, the lower left of its box at (0, 0).
    private static (long X, long Y)[] Turned(Outline cut, int turns, double tolerance)
    {
        var points = Polygon(cut, tolerance).Select(p => Turn(p, turns)).ToArray();
        var (left, bottom) = (points.Min(p => p.X), points.Min(p => p.Y));
        return [.. points.Select(p => (p.X - left, p.Y - bottom))];
    }

    /// <summary>A plain rectangle.</summary>
    public static Region Rectangle(long width, long height) => new([new Cell(0, 0, width, height)]);

    /// <summary>Whether the other region is this one, but for the rounding of slants.</summary>
    public bool SameAs(Region other) =>
        Cells.Length == other.Cells.Length && Cells.Zip(other.Cells).All(pair => Near(pair.First, pair.Second));

    private static bool Near(Cell a, Cell b)
    {
        const long rounding = 4;
        return Math.Abs(a.Left - b.Left) <= rounding
            && Math.Abs(a.Right - b.Right) <= rounding
            && Math.Abs(a.Bottom - b.Bottom) <= rounding
            && Math.Abs(a.Top - b.Top) <= rounding;
    }

    private static IEnumerable<(long X, long Y)> Polygon(Outline cut, double tolerance) =>
        Enumerable
            .Range(0, cut.Edges.Count)
            .SelectMany(at => cut.Curve(at).FlattenedOutward(tolerance))
            .Select(v => (Length.Snap(v.X).Ticks, Length.Snap(v.Y).Ticks));

    private static (long X, long Y) Turn((long X, long Y) p, int turns) =>
        (turns & 3) switch
        {
            1 => (-p.Y, p.X),
            2 => (-p.X, -p.Y),
            3 => (p.Y, -p.X),
            _ => p,
        };

    private static IEnumerable<Cell> Slices((long X, long Y)[] points)
    {
        var sides = points
            .Select((p, at) => (A: p, B: points[(at + 1) % points.Length]))
            .Where(side => side.A.Y != side.B.Y)
            .Select(side => side.A.Y < side.B.Y ? side : (A: side.B, B: side.A))
            .ToArray();
        var levels = Levels(points, sides);
        for (var at = 0; at + 1 < levels.Count; at++)
        {
            var (low, high) = (levels[at], levels[at + 1]);
            // Every side that reaches into the slice spans it: no corner lies between two levels.
            var crossing = sides
                .Where(side => side.A.Y <= low && side.B.Y >= high)
                .Select(side => (Low: At(side, low), High: At(side, high)))
                .OrderBy(side => side.Low + side.High)
                .ToArray();
            for (var pair = 0; pair + 1 < crossing.Length; pair += 2)
            {
                var (from, to) = (crossing[pair], crossing[pair + 1]);
                yield return new Cell(
                    (long)Math.Floor(Math.Min(from.Low, from.High)),
                    low,
                    (long)Math.Ceiling(Math.Max(to.Low, to.High)),
                    high
                );
            }
        }
    }

    private static List<long> Levels((long X, long Y)[] points, ((long X, long Y) A, (long X, long Y) B)[] sides)
    {
        var levels = new SortedSet<long>(points.Select(p => p.Y));
        // A slice of a slant loses a triangle: as many slices as keep it small in its narrow direction.
        foreach (var (a, b) in sides)
        {
            var parts = Math.Min(Math.Abs(a.X - b.X), b.Y - a.Y) / SlantSlice;
            for (var i = 1L; i < parts; i++)
                levels.Add(a.Y + ((b.Y - a.Y) * i / parts));
        }
        return [.. levels];
    }

    private static double At(((long X, long Y) A, (long X, long Y) B) side, long y) =>
        side.A.X + ((double)(side.B.X - side.A.X) * (y - side.A.Y) / (side.B.Y - side.A.Y));

    // Stacked cells of one width become one.
    private static List<Cell> Merge(IEnumerable<Cell> cells)
    {
        var merged = new List<Cell>();
        foreach (var cell in cells)
        {
            var below = merged.FindIndex(m => m.Top == cell.Bottom && m.Left == cell.Left && m.Right == cell.Right);
            if (below < 0)
                merged.Add(cell);
            else
                merged[below] = merged[below] with { Top = cell.Top };
        }
        return merged;
    }
}
