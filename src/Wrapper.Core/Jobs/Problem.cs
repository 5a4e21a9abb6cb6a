namespace Wrapper.Core.Jobs;

/// <summary>
/// What is wrong with a field: its key, what was given, where in the text, the reason, and an example that would do.
/// </summary>
public sealed record Problem(string Field, string Given, int Position, string Reason, string Example)
{
    /// <summary>Whether it is only a size that is not entered yet: left to do, and nothing that anybody got wrong.</summary>
    public bool Missing => Field.StartsWith("measures.", StringComparison.Ordinal) && string.IsNullOrWhiteSpace(Given);

    /// <summary>The stage at which it is mended; of an item's own fields, the one that they are entered at.</summary>
    public Stage Stage { get; init; } =
        Field.StartsWith("choices.", StringComparison.Ordinal)
        || Field.StartsWith("allowances.", StringComparison.Ordinal)
        || Field == "makeUp"
            ? Stage.MakeUp
            : Stage.Measure;
}
