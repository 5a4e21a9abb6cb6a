using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// How close an allowance is clipped along a curve, so that it lies within 1/16 in of the line (craft §4.5).
/// </summary>
internal static class Clips
{
    /// <summary>The spacing on a curve of <paramref name="radius"/>: the root of 8 r x 1/16 in.</summary>
    public static Length Spacing(Length radius) =>
        Length.Snap(Math.Sqrt(8 * radius.ToMillimetres() * Length.Inches(0, 1, 16).ToMillimetres()));

    /// <summary>Clips evenly along a curve, no further apart than its radius allows; none at its ends.</summary>
    public static IEnumerable<Length> Along(Length curve, Length radius)
    {
        var spacing = Spacing(radius);
        var parts = (int)((curve.Ticks + spacing.Ticks - 1) / Math.Max(1, spacing.Ticks));
        return Enumerable.Range(1, Math.Max(0, parts - 1)).Select(n => (n * curve).Over(parts));
    }
}
