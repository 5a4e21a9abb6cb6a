using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Workroom.Week;

/// <summary>What somebody in the workroom can do.</summary>
[JsonConverter(typeof(ByName<Skill>))]
public enum Skill
{
    /// <summary>Washing, laying, cutting and marking.</summary>
    [JsonStringEnumMemberName("cutting")]
    Cutting,

    /// <summary>Everything at the machine.</summary>
    [JsonStringEnumMemberName("sewing")]
    Sewing,

    /// <summary>Pinning on the furniture, trying on, trimming.</summary>
    [JsonStringEnumMemberName("fitting")]
    Fitting,

    /// <summary>Turning and filling.</summary>
    [JsonStringEnumMemberName("finishing")]
    Finishing,
}

/// <summary>Which skill a kind of step asks for.</summary>
public static class Skills
{
    /// <summary>The skill for steps of this kind; what the maker added is done at the machine.</summary>
    public static Skill Of(StepKind kind) =>
        kind switch
        {
            StepKind.Preparing or StepKind.Cutting => Skill.Cutting,
            StepKind.Pinning or StepKind.Fitting or StepKind.Trimming => Skill.Fitting,
            StepKind.Turning or StepKind.Filling => Skill.Finishing,
            _ => Skill.Sewing,
        };
}
