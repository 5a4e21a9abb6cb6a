using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>Items for tests, written as a maker would type them.</summary>
internal static class Items
{
    public static readonly Drafting Drafting = Drafting.Standard();

    /// <summary>The handbook's inner: 46 1/2 x 19 1/4 x 4, snug 1/4, s 1/2, z 3/4.</summary>
    public static Item Example(string makeUp, params (string Key, string Typed)[] changes) =>
        Of(makeUp, JobUnit.Inch, [("W", "46 1/2"), ("L", "19 1/4"), ("T", "4"), ("zipTurn", "3"), .. changes]);

    /// <summary>An item with defaults; a change goes to the measure, choice or allowance that has its key.</summary>
    public static Item Of(string makeUp, JobUnit unit, params (string Key, string Typed)[] changes)
    {
        var declared = Drafting.Find(makeUp)!;
        var item = declared.NewItem("i1", "cushion", unit);
        var (measures, choices, allowances) = (
            new Dictionary<string, Entry>(item.Measures),
            new Dictionary<string, Entry>(item.Choices),
            new Dictionary<string, Entry>(item.Allowances)
        );
        foreach (var (key, typed) in changes)
        {
            var map =
                declared.Measures.Any(m => m.Key == key.Replace(Reading.SecondReading, "", StringComparison.Ordinal))
                    ? measures
                : declared.Choices.Any(c => c.Key == key) ? choices
                : allowances;
            map[key] = new Entry(typed, unit);
        }
        return item with { Measures = measures, Choices = choices, Allowances = allowances };
    }

    public static Draft Draft(Item item, JobUnit unit = JobUnit.Inch) => Drafting.Draft(item, unit);

    public static Pattern Pattern(Item item, JobUnit unit = JobUnit.Inch)
    {
        var draft = Draft(item, unit);
        if (draft.Problems.Count > 0)
            throw new InvalidOperationException(string.Join("; ", draft.Problems.Select(problem => problem.Reason)));
        return draft.Pattern!;
    }

    /// <summary>An item from <c>W=30 | L=20</c>.</summary>
    public static Item Read(string makeUp, JobUnit unit, string changes) =>
        Of(
            makeUp,
            unit,
            [
                .. changes
                    .Split('|', StringSplitOptions.RemoveEmptyEntries)
                    .Select(change => change.Split('=', 2))
                    .Select(pair => (pair[0].Trim(), pair[1].Trim())),
            ]
        );

    /// <summary>The value of one listed size, in inches.</summary>
    public static decimal Size(this Pattern pattern, string piece, string size) =>
        Inches(pattern.Piece(piece).Sizes.Single(s => s.Name == size).Working.Value);

    public static decimal Inches(Length length) => decimal.Round(length.Ticks / (decimal)Length.TicksPerInch, 4);
}
