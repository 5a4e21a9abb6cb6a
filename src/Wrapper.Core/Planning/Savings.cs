using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>
/// A size that could be a little less, and what that would save: field <paramref name="Field"/> of item
/// <paramref name="Item"/>, <paramref name="From"/> now.
/// <paramref name="Saves"/> is off the lays as they lie, <paramref name="BuysLess"/> off what the shop cuts.
/// </summary>
public sealed record Saving(
    string Item,
    string Field,
    string Name,
    Length From,
    Length To,
    Length Saves,
    Length BuysLess,
    decimal? CostsLess
)
{
    /// <summary>What each cloth of the item would need then, by its id, one repeat to start included.</summary>
    public IReadOnlyDictionary<string, Length> Needs { get; init; } = new Dictionary<string, Length>();
}

/// <summary>Savings, the largest first, among so many of the sizes that may be spared.</summary>
public sealed record FoundSavings(IReadOnlyList<Saving> Savings, int Looked, int Sizes)
{
    /// <summary>Whether every size was looked at.</summary>
    public bool IsWhole => Looked == Sizes;
}

/// <summary>
/// Finds sizes that take more cloth than they are worth: every measure, choice and allowance that its make-up declares
/// adjustable is made a
/// little less, and the item drafted and its cloths laid anew. No rule for any cover stands here.
/// </summary>
public static class Savings
{
    /// <summary>
    /// What would let the shop cut less, the largest saving first. Of each field half of what may be spared is tried
    /// and all of it; the
    /// smaller change is told where it saves as much. Once <paramref name="closing"/> no further field is tried; what
    /// is <paramref name="kept"/> makes the next time quicker.
    /// </summary>
    public static FoundSavings Of(
        JobDocument job,
        Drafting drafting,
        LayCache? kept = null,
        CancellationToken cancel = default,
        CancellationToken closing = default
    )
    {
        var plan = Plan.Of(job, drafting, lay: true, kept, cancel);
        var fields = (
            from item in plan.Items
            where item.Draft.Pattern is not null
            from field in Adjustable(item.Draft.Reading!, drafting.Find(item.Item.MakeUp)!)
            select (Item: item, field.Field, field.Name, field.By)
        ).ToList();
        List<Saving> found = [];
        var looked = 0;
        foreach (var (item, field, name, by) in fields.TakeWhile(_ => !closing.IsCancellationRequested))
        {
            var tried = new[] { by.Over(2), by }
                .Select(less => Try(job, drafting, plan, item, field, name, less, kept, cancel))
                .OfType<Saving>()
                .ToList();
            if (tried.MaxBy(saving => saving.BuysLess) is { } best)
                found.Add(best);
            looked++;
        }
        return new FoundSavings(
            [.. found.OrderByDescending(saving => saving.BuysLess).ThenBy(saving => saving.From - saving.To)],
            looked,
            fields.Count
        );
    }

    private static IEnumerable<(string Field, string Name, Length By)> Adjustable(Reading reading, MakeUp makeUp) =>
        [
            .. makeUp
                .Measures.Where(measure => measure.Adjustable.IsPositive && reading.Asks(measure))
                .Select(measure => ($"measures.{measure.Key}", measure.Name, measure.Adjustable)),
            .. makeUp
                .Choices.Where(choice => choice.Adjustable.IsPositive && reading.Shows(choice))
                .Select(choice => ($"choices.{choice.Key}", choice.Name, choice.Adjustable)),
            .. makeUp
                .Allowances.Where(allowance => allowance.Adjustable.IsPositive)
                .Select(allowance => ($"allowances.{allowance.Symbol}", allowance.Name, allowance.Adjustable)),
        ];

    private static Saving? Try(
        JobDocument job,
        Drafting drafting,
        Plan plan,
        ItemPlan item,
        string field,
        string name,
        Length less,
        LayCache? kept,
        CancellationToken cancel
    )
    {
        cancel.ThrowIfCancellationRequested();
        if (!item.Draft.Reading!.Lengths.TryGetValue(field, out var now) || now <= less)
            return null;
        var changed = ItemPlan.Of(With(item.Item, field, Entry.Of(now - less, job.Unit)), item.Number, drafting, job);
        if (changed.Draft.Pattern is null)
            return null;
        List<ItemPlan> items = [.. plan.Items.Select(each => each == item ? changed : each)];
        var touched = item.Draft.Pattern!.Roles.Select(role => job.ClothOf(item.Item, role)).ToHashSet();
        var (saves, buysLess) = (Length.Zero, Length.Zero);
        decimal? costsLess = 0;
        var needs = new Dictionary<string, Length>();
        foreach (var cloth in plan.Cloths.Where(cloth => touched.Contains(cloth.Reading.Cloth.Id)))
        {
            if (
                cloth.Buying is not { } before
                || ClothPlan.Of(cloth.Reading.Cloth, items, job, lay: true, kept, cancel).Buying is not { } after
            )
                return null;
            needs[cloth.Reading.Cloth.Id] = after.Needed + after.ToStart + after.ForSkew;
            saves += before.Needed - after.Needed;
            buysLess += before.Bought - after.Bought;
            costsLess = before.Cost - after.Cost is { } cost ? costsLess + cost : null;
        }
        return buysLess.IsPositive
            ? new Saving(item.Item.Id, field, name, now, now - less, saves, buysLess, costsLess) { Needs = needs }
            : null;
    }

    private static Item With(Item item, string field, Entry entry)
    {
        var dot = field.IndexOf('.', StringComparison.Ordinal);
        var key = field[(dot + 1)..];
        // A second reading was of the old size and would contradict the new one.
        Dictionary<string, Entry> Set(IReadOnlyDictionary<string, Entry> entries) =>
            new(entries.Where(pair => pair.Key != key + Reading.SecondReading)) { [key] = entry };
        return field[..dot] switch
        {
            "measures" => item with { Measures = Set(item.Measures) },
            "choices" => item with { Choices = Set(item.Choices) },
            _ => item with { Allowances = Set(item.Allowances) },
        };
    }
}
