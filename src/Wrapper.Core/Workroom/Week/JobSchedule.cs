using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Week;

/// <summary>Whether something that a job waits for is there.</summary>
[JsonConverter(typeof(ByName<Supply>))]
public enum Supply
{
    /// <summary>Nothing was said: it is not waited for.</summary>
    [JsonStringEnumMemberName("unsaid")]
    Unsaid,

    /// <summary>It is ordered, and waited for.</summary>
    [JsonStringEnumMemberName("ordered")]
    Ordered,

    /// <summary>It is here.</summary>
    [JsonStringEnumMemberName("here")]
    Here,
}

/// <summary>Whether a job is in the week.</summary>
[JsonConverter(typeof(ByName<InWeek>))]
public enum InWeek
{
    /// <summary>Once it is ordered or a day was promised.</summary>
    [JsonStringEnumMemberName("usual")]
    Usual,

    /// <summary>From now on.</summary>
    [JsonStringEnumMemberName("yes")]
    Yes,

    /// <summary>Not for now.</summary>
    [JsonStringEnumMemberName("no")]
    No,
}

/// <summary>A work of a job that was put somewhere by hand.</summary>
public sealed record FixedWork(string Work, string Person, string Date);

/// <summary>
/// What was said of when a job is made, dates <c>yyyy-MM-dd</c> and empty where nothing was said.
/// </summary>
public sealed record JobSchedule
{
    /// <summary>The day that the customer asked for.</summary>
    public string AskedFor { get; init; } = "";

    /// <summary>The day that was promised.</summary>
    public string Promised { get; init; } = "";

    /// <summary>Whether its cloth is there; nothing is cut before.</summary>
    public Supply Cloth { get; init; }

    /// <summary>When its cloth is expected.</summary>
    public string ClothOn { get; init; } = "";

    /// <summary>Whether its foam and fillings are there; nothing is filled before.</summary>
    public Supply Foam { get; init; }

    /// <summary>When they are expected.</summary>
    public string FoamOn { get; init; } = "";

    /// <summary>When it is fitted at the customer's; nothing is tried on before.</summary>
    public string FittingOn { get; init; } = "";

    /// <summary>Whether it is in the week.</summary>
    public InWeek InWeek { get; init; }

    /// <summary>What was put somewhere by hand.</summary>
    public IReadOnlyList<FixedWork> Fixed { get; init; } = [];
}
