using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>
/// What somebody entered in one field, kept as typed with the unit of that moment, so that switching the job's unit
/// changes
/// no size. Lengths, choices and counts are all entries; an entry that cannot be read is kept too.
/// </summary>
public sealed record Entry(string Typed, JobUnit Unit)
{
    /// <summary>
    /// The exact count of a length that the program wrote, which its text may round. It counts only while the text
    /// still says so: what is typed over it holds.
    /// </summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public long? Ticks { get; init; }

    /// <summary>
    /// An entry of an exact length, as a default, a saving or an offer writes it; it reads back to the same count.
    /// </summary>
    public static Entry Of(Length length, JobUnit unit) =>
        new(LengthPrinter.Exact(length, unit), unit) { Ticks = length.Ticks };

    /// <summary>
    /// The length that <paramref name="entry"/> says within <paramref name="limits"/>, or why it says none; nothing
    /// entered is in <paramref name="unit"/>. Exactly one of the two results is set.
    /// </summary>
    public static (Length? Length, Refusal? Refusal) Read(Entry? entry, JobUnit unit, LengthLimits limits) =>
        entry is { Ticks: >= 0 and var ticks }
        && ticks <= LengthLimits.Most.Ticks
        && LengthPrinter.Exact(new Length(ticks), entry.Unit) == entry.Typed
            ? LengthReader.Within(limits, new Length(ticks), entry.Typed, entry.Unit)
            : LengthReader.Read(entry?.Typed, entry?.Unit ?? unit, limits);
}
