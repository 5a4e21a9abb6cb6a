using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>
/// Sees that the example of a problem is one: entered, nothing is left of that problem. Where the make-up's own does not
/// go with the other sizes, a share of what was entered is looked for that does.
/// </summary>
internal static class Examples
{
    // First a little less or more, then much.
    private static readonly (int Times, int Over)[] Shares =
    [
        (3, 4),
        (1, 2),
        (5, 4),
        (3, 2),
        (1, 4),
        (2, 1),
        (3, 1),
        (1, 8),
        (4, 1),
        (6, 1),
        (1, 16),
        (10, 1),
    ];

    /// <summary>
    /// The problem with an example that works by <paramref name="problemsOf"/>, which drafts an item and tells what is
    /// wrong; with its own where none was found.
    /// </summary>
    public static Problem Tried(Problem problem, Item item, JobUnit unit, Func<Item, IReadOnlyList<Problem>> problemsOf)
    {
        if (problem.Field.Split('.', 2) is not [var place, var key] || Entries(item, place) is not { } entries)
            return problem;
        bool Works(string example) =>
            problemsOf(With(item, place, key, new Entry(example, unit))).All(left => left.Field != problem.Field);
        if (Works(problem.Example))
            return problem;
        if (
            Entry.Read(entries.GetValueOrDefault(key), unit, LengthLimits.Cloth).Length
            is not { IsPositive: true } given
        )
            return problem;
        var found = Shares
            .Select(share => LengthPrinter.Finished((share.Times * given).Over(share.Over), unit).Text)
            .FirstOrDefault(Works);
        return found is null ? problem : problem with { Example = found };
    }

    private static IReadOnlyDictionary<string, Entry>? Entries(Item item, string place) =>
        place switch
        {
            "measures" => item.Measures,
            "choices" => item.Choices,
            "allowances" => item.Allowances,
            _ => null,
        };

    private static Item With(Item item, string place, string key, Entry entry)
    {
        var entries = new Dictionary<string, Entry>(Entries(item, place)!) { [key] = entry };
        return place switch
        {
            "measures" => item with { Measures = entries },
            "choices" => item with { Choices = entries },
            _ => item with { Allowances = entries },
        };
    }
}
