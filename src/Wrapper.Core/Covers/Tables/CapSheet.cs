using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// An obstacle under an edge: on which side (0 front, then anticlockwise), where it begins from that side's left end,
/// how wide it is, and the drop that is left there.
/// </summary>
internal sealed record Obstacle(int Number, int Side, Working From, Working Width, Working Drop);

/// <summary>
/// One sheet over a rectangular board with a drop of its own on each side (craft §9.3). Corners are sewn by the corner
/// rule, where unequal drops
/// meet the longer side slopes down to the smaller, or they are rounded in one curve; over an obstacle the drop is
/// shorter.
/// </summary>
internal sealed class CapSheet
{
    public static readonly string[] Sides = ["front", "right", "back", "left"];

    private readonly IReadOnlyList<Working> drops;
    private readonly IReadOnlyList<Obstacle> obstacles;
    private readonly bool rounded;

    public CapSheet(
        Working width,
        Working length,
        IReadOnlyList<Working> drops,
        IReadOnlyList<Obstacle> obstacles,
        bool rounded
    )
    {
        (this.drops, this.obstacles, this.rounded) = (drops, obstacles, rounded);
        (Width, Depth) = (width, length);
        Dimensions = new Dictionary<string, Working> { ["width"] = width, ["length"] = length };
        for (var side = 0; side < 4; side++)
            Dimensions[$"{Sides[side]} drop"] = drops[side];
        foreach (var obstacle in obstacles)
            (
                Dimensions[$"obstacle {obstacle.Number} from"],
                Dimensions[$"obstacle {obstacle.Number} width"],
                Dimensions[$"obstacle {obstacle.Number} drop"]
            ) = (obstacle.From, obstacle.Width, obstacle.Drop);
    }

    public Dictionary<string, Working> Dimensions { get; }

    /// <summary>The top as it finishes, side to side.</summary>
    public Working Width { get; }

    /// <summary>The top as it finishes, front to back.</summary>
    public Working Depth { get; }

    /// <summary>The drop of each side, in the order of <see cref="Sides"/>.</summary>
    public IReadOnlyList<Working> Drops => drops;

    /// <summary>Sewn corners: the end of one flap on the start of the next, as long as the smaller drop.</summary>
    public IEnumerable<Seam> CornerSeams(string key) =>
        rounded
            ? []
            : Enumerable
                .Range(0, 4)
                .Select(side => new Seam(
                    $"{Sides[side]} to {Sides[(side + 1) % 4]} corner",
                    SeamKind.Dart,
                    [new Run(key, 1, $"{Sides[side]} end")],
                    [new Run(key, 1, $"{Sides[(side + 1) % 4]} start")],
                    Smaller(drops[side], drops[(side + 1) % 4])
                ));

    /// <summary>How far the slope at an end of a side runs along it: as far as the drop changes.</summary>
    public Length Slope(int side, bool end)
    {
        var other = drops[(side + (end ? 1 : 3)) % 4].Value;
        return rounded || drops[side].Value <= other ? Length.Zero : drops[side].Value - other;
    }

    public static bool IsSeam(string edge) =>
        edge.EndsWith(" start", StringComparison.Ordinal) || edge.EndsWith(" end", StringComparison.Ordinal);

    public Outline Shape(Dimensions d)
    {
        var edges = new List<Edge>();
        Length[] drop = [.. Sides.Select(side => d[$"{side} drop"])];
        for (var side = 0; side < 4; side++)
        {
            var (name, own, before, after, reach) = (
                Sides[side],
                drop[side],
                drop[(side + 3) % 4],
                drop[(side + 1) % 4],
                side % 2 == 0 ? d["width"] : d["length"]
            );
            Point At(Length along, Length down) => Placed(side, d["width"], d["length"], along, down);
            if (rounded)
                edges.Add(new(name, At(Length.Min(Length.Zero, own - before), own)));
            else
            {
                edges.Add(new($"{name} start", At(Length.Zero, Length.Zero)));
                if (own > before)
                    edges.Add(new($"{name} slope in", At(Length.Zero, before)));
                edges.Add(new(name, At(Length.Max(Length.Zero, own - before), own)));
            }
            foreach (var obstacle in obstacles.Where(each => each.Side == side).OrderBy(each => each.From.Value))
            {
                var n = obstacle.Number;
                var (from, to, left) = (
                    d[$"obstacle {n} from"],
                    d[$"obstacle {n} from"] + d[$"obstacle {n} width"],
                    d[$"obstacle {n} drop"]
                );
                edges.Add(new($"obstacle {n}, up", At(from, own)));
                edges.Add(new($"obstacle {n}", At(from, left)));
                edges.Add(new($"obstacle {n}, down", At(to, left)));
                edges.Add(new($"{name} after obstacle {n}", At(to, own)));
            }
            if (rounded)
            {
                // The curve takes the smaller drop as its radius and touches both hems.
                var radius = Length.Min(own, after);
                edges.Add(new($"{name} corner", At(reach + (after > own ? after - own : Length.Zero), own), radius));
            }
            else
            {
                if (own > after)
                    edges.Add(new($"{name} slope out", At(reach - (own - after), own)));
                edges.Add(new($"{name} end", At(reach, Length.Min(own, after))));
            }
        }
        return new Outline(edges);
    }

    // A point so far along a side from its left end, and so far down from the top's edge.
    private static Point Placed(int side, Length width, Length length, Length along, Length down) =>
        side switch
        {
            0 => new(along, -down),
            1 => new(width + down, along),
            2 => new(width - along, length + down),
            _ => new(-down, length - along),
        };

    private static Working Smaller(Working a, Working b) => a.Value == b.Value ? a : new Extreme(Larger: false, a, b);
}
