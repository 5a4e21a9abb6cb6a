using Wrapper.Core.Geometry;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A stretch of the rim of one sheet between two of its stops, walked with the outline; <paramref name="Seam"/> is
/// what it is sewn in, null along an edge that is in no seam.
/// </summary>
internal sealed record RimPart(int Sheet, int From, int To, string Edge, double Start, double End, Seam? Seam)
{
    /// <summary>In millimetres, as walked.</summary>
    public double Length => End - Start;
}

/// <summary>Two parts of rims that are one line once sewn, walked against each other.</summary>
internal sealed record Sewn(int One, int Other, Seam Seam);

/// <summary>
/// One piece instance laid flat: its stops along the stitch line, anticlockwise, and what lies between them.
/// <paramref name="TurnedOver"/> where it is the mirror image of its piece, so that its outline is walked clockwise
/// seen from the right side of the cloth.
/// </summary>
internal sealed record Sheet(Piece Piece, int Instance, bool TurnedOver)
{
    /// <summary>Stops along the stitch line, in order: the point, and how far from the start of the first edge.</summary>
    public IReadOnlyList<(Vec At, double Along)> Stops { get; init; } = [];

    /// <summary>What is left of its width and of its height once gathers, pleats and ease are drawn in.</summary>
    public (double Across, double Up) Left { get; init; } = (1, 1);

    /// <summary>Where a point lies on the sheet drawn in.</summary>
    public Vec DrawnIn(Vec flat) => new(Left.Across * flat.X, Left.Up * flat.Y);

    /// <summary>The first of its parts among those of the surface; one begins at each stop.</summary>
    public int FirstPart { get; init; }
}
