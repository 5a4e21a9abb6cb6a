using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>
/// Something that is looked at or measured at its step (craft §11). <paramref name="Key"/> is its name among the checks
/// of the step, <paramref name="Text"/> what has to hold, <paramref name="Otherwise"/> what it means for the cover where
/// it does not.
/// </summary>
public sealed record Check(string Key, string Text, string Otherwise)
{
    /// <summary>What is to be read off the tape; null where it is looked at.</summary>
    public Working? Target { get; init; }

    /// <summary>How far a reading may be off.</summary>
    public Length Tolerance { get; init; }

    /// <summary>What a reading is a share of, where that share is logged: the edge that elastic draws in.</summary>
    public Length? ShareOf { get; init; }

    /// <summary>The field that such a share is logged for; empty for the rest.</summary>
    public string ShareField { get; init; } = "";

    /// <summary>Where it is read, one reading each; one without a name where it is read once.</summary>
    public IReadOnlyList<string> Places { get; init; } = [""];

    /// <summary>
    /// Whether nothing goes on before it is answered: what is trimmed cannot be let out (craft §11).
    /// </summary>
    public bool IsGate { get; init; }

    /// <summary>Whether a figure is read; else it is answered.</summary>
    public bool IsRead => Target is not null || ShareOf is not null;
}
