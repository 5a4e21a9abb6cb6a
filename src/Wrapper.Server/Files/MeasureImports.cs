using Wrapper.Core.Covers.Tables;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Tables;

namespace Wrapper.Server.Files;

/// <summary>
/// Items from a table of measurements: a row each, by the letters or names of what is measured. A row that says no kind is
/// a piece cut to size.
/// </summary>
internal sealed class MeasureImports(Drafting drafting)
{
    private static readonly string CutToSize = new CutToSize().Key;

    /// <summary>What is read of a row, and every letter under which something is measured.</summary>
    public IReadOnlyList<ImportField> Fields { get; } =
    [
        new("name", "What", "name", "item", "piece", "description"),
        new("kind", "Kind", "make up", "type"),
        new("count", "How many", "count", "quantity", "qty", "pieces", "number"),
        .. drafting
            .MakeUps.SelectMany(makeUp => makeUp.Measures)
            .Where(measure => measure.Kind == MeasureKind.Length)
            .GroupBy(measure => measure.Key)
            .OrderBy(same => same.Key is "W" or "L" ? 0 : 1)
            .Select(same => new ImportField(
                same.Key,
                $"{same.Key}: {string.Join(", ", same.Select(measure => measure.Name).Distinct().Take(3))}",
                [same.Key, .. same.Select(measure => measure.Name).Distinct()]
            )),
    ];

    /// <summary>The rows of a table, each with the item that it becomes.</summary>
    public IReadOnlyList<(ImportRow Row, Item Item)> Rows(TableFile table, ColumnMap map, JobUnit unit) =>
        [.. table.Rows.Select((row, at) => Row(row, at, map, unit))];

    private (ImportRow Row, Item Item) Row(IReadOnlyList<string> row, int at, ColumnMap map, JobUnit unit)
    {
        List<Problem> problems = [];
        var name = map.In(row, "name").Trim();
        var kind = map.In(row, "kind").Trim();
        var makeUp = MakeUpOf(kind);
        if (makeUp is null)
        {
            problems.Add(new("kind", Short(kind), 0, "no kind of thing is called so", "Cushion or seat pad"));
            makeUp = drafting.Find(CutToSize)!;
        }
        var item = makeUp.NewItem($"row{at + 1}", name.Length > 0 ? name : makeUp.Family, unit) with
        {
            Quantity = map.In(row, "count").Trim() is { Length: > 0 } count ? count : "1",
        };
        var measures = item.Measures.ToDictionary();
        foreach (var measure in makeUp.Measures.Where(measure => measure.Kind == MeasureKind.Length))
            if (map.In(row, measure.Key).Trim() is { Length: > 0 } typed)
                measures[measure.Key] = new Entry(typed, unit);
        item = item with { Measures = measures };
        // Read as it will be: what cannot be is told here, and nothing is taken in before it can.
        var wrong = drafting.Draft(item, unit).Problems;
        if (makeUp.Key == CutToSize && wrong.Count > 0 && wrong.All(problem => problem.Missing))
            problems.Add(new("size", Short(name), 0, "it has no size", "2 panels 20 x 18"));
        else
            problems.AddRange(wrong);
        return (new(item.Name, TableImports.New, problems, () => { }), item);
    }

    private MakeUp? MakeUpOf(string kind)
    {
        if (kind.Length == 0)
            return drafting.Find(CutToSize);
        bool Is(string name) => string.Equals(name, kind, StringComparison.OrdinalIgnoreCase);
        return drafting.MakeUps.FirstOrDefault(each =>
                Is(each.Key) || Is(each.Name) || Is($"{each.Family}: {each.Name}")
            ) ?? drafting.MakeUps.OrderBy(each => each.Rank).FirstOrDefault(each => Is(each.Family));
    }

    private static string Short(string text) => text.Length > 40 ? text[..40] : text;
}
