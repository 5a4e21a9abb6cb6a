namespace Wrapper.Core.Patterns;

/// <summary>One making step and the seams sewn in it.</summary>
public sealed record Step(string Text, IReadOnlyList<string> Seams);

/// <summary>
/// Something the maker should know; <paramref name="Caution"/> where somebody or the cloth can come to harm.
/// </summary>
public sealed record Remark(string Text, bool Caution = false)
{
    /// <summary>Whether it is about the measurements, and so is shown beside them too.</summary>
    public bool OnMeasure { get; init; }

    /// <summary>Whether it stands on every print and cannot be hidden.</summary>
    public bool Always { get; init; }
}
