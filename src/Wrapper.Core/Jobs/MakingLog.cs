using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>In which order several covers are made.</summary>
[JsonConverter(typeof(ByName<MakingOrder>))]
public enum MakingOrder
{
    /// <summary>One kind of work after the other, over all covers: all are cut, then all corded.</summary>
    [JsonStringEnumMemberName("batch")]
    Batch,

    /// <summary>One cover after the other.</summary>
    [JsonStringEnumMemberName("cover")]
    Cover,
}

/// <summary>How a job is being made: what is done, how long it took, what was measured, how it fitted.</summary>
public sealed record MakingLog
{
    /// <summary>In which order.</summary>
    public MakingOrder Order { get; init; }

    /// <summary>What is known of steps, each under <c>item/step</c>.</summary>
    public IReadOnlyList<StepLog> Steps { get; init; } = [];

    /// <summary>What fittings found, the oldest first.</summary>
    public IReadOnlyList<FitLog> Fits { get; init; } = [];

    /// <summary>What was answered and measured, each under <c>item/step/check/cover</c>.</summary>
    public IReadOnlyList<CheckLog> Checks { get; init; } = [];
}

/// <summary>
/// What is known of one step of one item: <paramref name="Done"/> counts the covers that it is done on, which are made in
/// turn, the first first.
/// </summary>
public sealed record StepLog(string Id, int Done)
{
    /// <summary>Seconds that the timer ran, all covers together, as far as it was stopped.</summary>
    public long Seconds { get; init; }

    /// <summary>When the timer was started, by the server's clock, as ISO 8601; empty while it stands.</summary>
    public string Began { get; init; } = "";

    /// <summary>How long it took, as typed, where the timer is wrong; empty where it is right.</summary>
    public string Took { get; init; } = "";

    /// <summary>What kind of work it is, by its name; empty until it was done.</summary>
    public string Kind { get; init; } = "";

    /// <summary>The seconds that the table of rates gave for all its covers when it was done.</summary>
    public long Reckoned { get; init; }

    /// <summary>What the maker noted at it.</summary>
    public string Note { get; init; } = "";
}

/// <summary>How a check stands, and what is answered to it.</summary>
[JsonConverter(typeof(ByName<Verdict>))]
public enum Verdict
{
    /// <summary>Nothing yet; a figure says by itself whether it holds.</summary>
    [JsonStringEnumMemberName("open")]
    Open,

    /// <summary>It holds.</summary>
    [JsonStringEnumMemberName("holds")]
    Holds,

    /// <summary>It does not, and nothing is decided.</summary>
    [JsonStringEnumMemberName("off")]
    Off,

    /// <summary>It does not, and is done again.</summary>
    [JsonStringEnumMemberName("redo")]
    Redo,

    /// <summary>It does not, and stays so: the note says why.</summary>
    [JsonStringEnumMemberName("accepted")]
    Accepted,
}

/// <summary>One check of one cover.</summary>
public sealed record CheckLog(string Id, Verdict Answer)
{
    /// <summary>What was read, place by place, as typed; a place that is not read yet is empty.</summary>
    public IReadOnlyList<Entry> Readings { get; init; } = [];

    /// <summary>Why it was accepted, or what was changed.</summary>
    public string Note { get; init; } = "";
}

/// <summary>Which way a cover was changed when it was tried on.</summary>
[JsonConverter(typeof(ByName<FitChange>))]
public enum FitChange
{
    /// <summary>Let out.</summary>
    [JsonStringEnumMemberName("let-out")]
    LetOut,

    /// <summary>Taken in.</summary>
    [JsonStringEnumMemberName("taken-in")]
    TakenIn,

    /// <summary>Neither: something was found out.</summary>
    [JsonStringEnumMemberName("found")]
    Found,
}

/// <summary>
/// What a fitting found on an item: <paramref name="Where"/> it was changed, which way, by how much and why, as typed.
/// </summary>
public sealed record FitLog(string Id, string Item, string Where, FitChange Change, Entry By, string Why)
{
    /// <summary>The make-up of the item then.</summary>
    public string MakeUp { get; init; } = "";

    /// <summary>The name of its cloth then.</summary>
    public string Cloth { get; init; } = "";

    /// <summary>The field that should have been otherwise (<c>choices.tuck</c>); empty where it teaches nothing.</summary>
    public string Subject { get; init; } = "";

    /// <summary>What that field should have been; null where it teaches nothing.</summary>
    public Entry? Found { get; init; }

    /// <summary>When it was logged, <c>2026-11-26</c>.</summary>
    public string Date { get; init; } = "";
}
