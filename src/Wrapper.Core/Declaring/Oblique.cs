using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Declaring;

/// <summary>
/// How bodies are drawn on measuring sketches: an oblique projection, the front true to scale, depth going back to the
/// upper right and foreshortened.
/// </summary>
public static class Oblique
{
    private const decimal Across = 0.42m,
        Rise = 0.46m;

    /// <summary>Towards the eye along the ground: square to the direction in which depth recedes.</summary>
    internal static readonly Vec Eye = new((double)Across, -1);

    /// <summary>The direction in which depth recedes on the drawing.</summary>
    internal static readonly Vec Recedes = new((double)Across, (double)Rise);

    /// <summary>Where a point of a body is drawn: so far to the right, so far back, so high.</summary>
    internal static Point At(Length right, Length back, Length high) =>
        new(right + back.Scaled(Across), back.Scaled(Rise) + high);

    /// <summary>
    /// The same for a point of a form, in any unit: to the right and up on the drawing, and how near it is to who looks
    /// at it, only to be compared.
    /// </summary>
    public static (double X, double Y, double Near) Seen(double right, double back, double high) =>
        (
            right + ((double)Across * back),
            ((double)Rise * back) + high,
            ((double)Across * right) - back + ((double)Rise * high)
        );
}
