using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>The stages of a job, in working order.</summary>
[JsonConverter(typeof(ByName<Stage>))]
public enum Stage
{
    /// <summary>Sizes and how many.</summary>
    [JsonStringEnumMemberName("measure")]
    Measure,

    /// <summary>How it is to be sewn: choices and allowances.</summary>
    [JsonStringEnumMemberName("make-up")]
    MakeUp,

    /// <summary>The pieces and their seams.</summary>
    [JsonStringEnumMemberName("pieces")]
    Pieces,

    /// <summary>The cloth, and how the pieces lie on it.</summary>
    [JsonStringEnumMemberName("lay")]
    Lay,

    /// <summary>What is bought.</summary>
    [JsonStringEnumMemberName("buy")]
    Buy,

    /// <summary>The making, step by step.</summary>
    [JsonStringEnumMemberName("make")]
    Make,

    /// <summary>What goes out with the covers, and what is kept of them.</summary>
    [JsonStringEnumMemberName("hand-over")]
    HandOver,
}
