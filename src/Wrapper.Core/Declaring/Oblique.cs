using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Declaring;

/// <summary>
/// How bodies are drawn on measuring sketches: an oblique projection, the front true to scale, depth going back to the
/// upper right and foreshortened.
/// </summary>
internal static class Oblique
{
    private const decimal Across = 0.42m,
        Rise = 0.46m;

    /// <summary>Towards the eye along the ground: square to the direction in which depth recedes.</summary>
    public static readonly Vec Eye = new((double)Across, -1);

    /// <summary>The direction in which depth recedes on the drawing.</summary>
    public static readonly Vec Recedes = new((double)Across, (double)Rise);

    /// <summary>Where a point of a body is drawn: so far to the right, so far back, so high.</summary>
    public static Point At(Length right, Length back, Length high) =>
        new(right + back.Scaled(Across), back.Scaled(Rise) + high);
}
