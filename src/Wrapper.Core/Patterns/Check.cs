using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>What of a check goes into the log of fits.</summary>
[JsonConverter(typeof(ByName<CheckLogs>))]
public enum CheckLogs
{
    /// <summary>Nothing.</summary>
    [JsonStringEnumMemberName("nothing")]
    Nothing,

    /// <summary>The length of elastic that was found by pull.</summary>
    [JsonStringEnumMemberName("elastic")]
    Elastic,

    /// <summary>What washing took.</summary>
    [JsonStringEnumMemberName("shrinkage")]
    Shrinkage,
}

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

    /// <summary>Where it is read, one reading each; one without a name where it is read once.</summary>
    public IReadOnlyList<string> Places { get; init; } = [""];

    /// <summary>
    /// Whether nothing goes on before it is answered: what is trimmed cannot be let out (craft §11).
    /// </summary>
    public bool IsGate { get; init; }

    /// <summary>What of it is logged.</summary>
    public CheckLogs Logs { get; init; }

    /// <summary>Whether a figure is read; else it is answered.</summary>
    public bool IsRead => Target is not null;
}
