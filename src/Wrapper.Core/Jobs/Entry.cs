using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>
/// What somebody entered in one field, kept as typed with the unit of that moment, so that switching the job's unit changes
/// no size. Lengths, choices and counts are all entries; an entry that cannot be read is kept too.
/// </summary>
public sealed record Entry(string Typed, JobUnit Unit)
{
    /// <summary>An entry of an exact length, as a default writes it.</summary>
    public static Entry Of(Length length, JobUnit unit) => new(LengthPrinter.Exact(length, unit), unit);
}

/// <summary>What is wrong with a field: its key, what was given, where in the text, the reason, and an example that would do.</summary>
public sealed record Problem(string Field, string Given, int Position, string Reason, string Example);
