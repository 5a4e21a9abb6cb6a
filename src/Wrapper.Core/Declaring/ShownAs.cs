namespace Wrapper.Core.Declaring;

/// <summary>
/// An answer to a choice that a sewn cover is shown with as if it were another, and what to say of it.
/// </summary>
public sealed record ShownAs(string Choice, string Answer, string As, string Note);
