using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Formats.Drawings;

/// <summary>
/// The way from the end of the leg before to <paramref name="To"/>: straight, or an arc of <paramref name="Radius"/> that
/// <paramref name="TurnsLeft"/> on its way (its centre lies to the left) or right; at most a half circle unless
/// <paramref name="Large"/>.
/// </summary>
public readonly record struct Leg(Point To, Length? Radius = null, bool TurnsLeft = true, bool Large = false);

/// <summary>A line of a drawing, from a point along its legs; a closed one ends where it begins.</summary>
public sealed record Stroke(Layer Layer, Point From, IReadOnlyList<Leg> Legs)
{
    /// <summary>Whether it ends where it begins.</summary>
    public bool IsClosed => Legs.Count > 1 && Legs[^1].To == From;

    /// <summary>A straight line.</summary>
    public static Stroke Line(Layer layer, Point from, Point to) => new(layer, from, [new(to)]);

    /// <summary>
    /// An outline where <paramref name="place"/> puts its points; turned over where that is a mirror image.
    /// </summary>
    public static Stroke Of(Layer layer, Outline outline, Func<Point, Point> place, bool turnedOver)
    {
        var edges = outline.Edges;
        return new(
            layer,
            place(edges[0].Start),
            [
                .. edges.Select(
                    (edge, at) =>
                        new Leg(
                            place(edges[(at + 1) % edges.Count].Start),
                            edge.Radius,
                            edge.Outward != turnedOver,
                            edge.Large
                        )
                ),
            ]
        );
    }

    /// <summary>The stroke moved by a displacement.</summary>
    public Stroke Moved(Length dx, Length dy) =>
        this with
        {
            From = From.Moved(dx, dy),
            Legs = [.. Legs.Select(leg => leg with { To = leg.To.Moved(dx, dy) })],
        };

    /// <summary>Each leg with where it begins, in double millimetres, for those who draw it.</summary>
    internal IEnumerable<Curve> Curves()
    {
        var from = From;
        foreach (var leg in Legs)
        {
            yield return new Curve(from.Mm, leg.To.Mm, leg.Radius?.ToMillimetres(), leg.TurnsLeft, leg.Large);
            from = leg.To;
        }
    }
}
