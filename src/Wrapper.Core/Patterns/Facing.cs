namespace Wrapper.Core.Patterns;

/// <summary>
/// How a piece of a furniture cover stands as it is worn: which way its drawing's right and upper edges point.
/// </summary>
public enum Facing
{
    /// <summary>It follows what it is sewn to.</summary>
    Anywhere,

    /// <summary>Upright across the front or the back, drawn as seen from the front.</summary>
    Front,

    /// <summary>Upright across the front, its length going up, its upper edge outward.</summary>
    FrontOnEnd,

    /// <summary>Lying, its upper edge to the back.</summary>
    Top,

    /// <summary>Upright along a side, its left edge to the rear.</summary>
    Side,
}
