using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// A body of one profile all along, its end towards the eye, going back to the upper right and foreshortened.
/// </summary>
internal static class ExtrudedSketch
{
    /// <summary>
    /// The profile <paramref name="end"/> drawn back over <paramref name="length"/>; <paramref name="lines"/> lie on
    /// the end, and the measure
    /// <c>Along</c> of the length starts at a corner of it.
    /// </summary>
    public static Sketch Of(
        Outline end,
        Length length,
        IEnumerable<DimensionLine> lines,
        (Measure Along, Point From) depth
    )
    {
        Point Behind(Point p) => Oblique.At(p.X, length, p.Y);
        // Sides that face the eye, those further left first: what stands to their right hides them.
        var sides = Enumerable
            .Range(0, end.Edges.Count)
            .Select(at => (A: end.Edges[at].Start, B: end.Edges[(at + 1) % end.Edges.Count].Start))
            .Where(side => (side.B.Mm - side.A.Mm).Right().Dot(Oblique.Recedes) > 0)
            .OrderBy(side => (side.A.X + side.B.X).Ticks)
            .Select(side => new Stroke("face", [side.A, side.B, Behind(side.B), Behind(side.A)]));
        return new Sketch(
            [.. sides, new Stroke("face", [.. end.Edges.Select(edge => edge.Start)])],
            [.. lines, new(depth.Along, depth.From, Behind(depth.From))]
        );
    }
}
