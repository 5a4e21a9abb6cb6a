namespace Wrapper.Core.Declaring;

/// <summary>
/// An answer to a choice that a sewn cover is shaped with as if it were another, and what to say of it; null where
/// nothing is to be seen of it.
/// </summary>
public sealed record ShownAs(string Choice, string Answer, string As, string? Note = null)
{
    /// <summary>A measure that is left out then; where it was not entered, nothing is shown otherwise.</summary>
    public string? Without { get; init; }
}
