using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>A point of a piece, in exact lengths: x to the right across the cloth, y up the roll.</summary>
public readonly record struct Point(Length X, Length Y)
{
    internal Vec Mm => new(X.ToMillimetres(), Y.ToMillimetres());

    /// <summary>The point moved by a displacement.</summary>
    public Point Moved(Length dx, Length dy) => new(X + dx, Y + dy);
}
