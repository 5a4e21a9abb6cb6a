using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>A way in which cloth goes on over furniture.</summary>
public enum Going
{
    /// <summary>Upward.</summary>
    Up,

    /// <summary>Downward.</summary>
    Down,

    /// <summary>Away from the viewer.</summary>
    Back,

    /// <summary>Towards the middle of the furniture, from either side.</summary>
    Inward,
}

/// <summary>
/// How a sheet that is sewn to nothing lies on furniture: its lower left corner so far to the right of the furniture's
/// middle, behind its front and above its foot, its lower edge going to the right (or back, where it lies over a side),
/// and its height going on in these stretches, bent straight across between them. A second one of a pair lies on the left.
/// </summary>
public sealed record Lying(
    Length Right,
    Length Behind,
    Length Above,
    bool OverSide,
    IReadOnlyList<(Length Along, Going Way)> Stretches
)
{
    /// <summary>How far up the sheet each bend lies.</summary>
    public IEnumerable<Length> Bends
    {
        get
        {
            var at = Length.Zero;
            foreach (var (along, _) in Stretches.SkipLast(1))
                yield return at += along;
        }
    }
}
