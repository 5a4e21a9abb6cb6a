using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>
/// A size that could be a little less, and what that would save: field <paramref name="Field"/> of item
/// <paramref name="Item"/>, <paramref name="From"/> now.
/// Or another answer to a choice, or another cloth for the cord: <see cref="InsteadOf"/> tells which it takes the place of.
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
    /// <summary>The answer, or the cloth by its id, that there is now; null where a size is changed.</summary>
    public Option? InsteadOf { get; init; }

    /// <summary>The answer, or the cloth, that there would be.</summary>
    public Option? Answer { get; init; }

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
/// little less, every choice that may save is answered otherwise, and the item drafted and its cloths laid anew. No rule for any cover stands here.
/// </summary>
public static class Savings
{
    /// <summary>The field by which the cloth that covers an item's cord is changed.</summary>
    public const string CordCloth = "otherCloths.cord covering";

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
        var trials = plan
            .Items.Where(item => item.Draft.Pattern is not null)
            .SelectMany(item =>
                Sizes(item, drafting, job).Concat(Answers(item, drafting, job)).Concat(CordCloths(item, job))
            )
            .ToList();
        List<Saving> found = [];
        var looked = 0;
        foreach (var trial in trials.TakeWhile(_ => !closing.IsCancellationRequested))
        {
            var tried = trial.Select(each => Try(job, drafting, plan, each, kept, cancel)).OfType<Saving>().ToList();
            if (tried.MaxBy(saving => saving.BuysLess) is { } best)
                found.Add(best);
            looked++;
        }
        return new FoundSavings(
            [.. found.OrderByDescending(saving => saving.BuysLess).ThenBy(saving => saving.From - saving.To)],
            looked,
            trials.Count
        );
    }

    // An item as it would be, and the saving as far as it is known before anything is laid.
    private sealed record Trial(ItemPlan Item, Item Changed, Saving Told);

    private static readonly Saving Nothing = new("", "", "", Length.Zero, Length.Zero, Length.Zero, Length.Zero, null);

    // Of each size half of what may be spared, and all of it.
    private static IEnumerable<List<Trial>> Sizes(ItemPlan item, Drafting drafting, JobDocument job) =>
        Adjustable(item.Draft.Reading!, drafting.Find(item.Item.MakeUp)!)
            .Select(one =>
                new[] { one.By.Over(2), one.By }
                    .Where(less => item.Draft.Reading!.Lengths.TryGetValue(one.Field, out var read) && read > less)
                    .Select(less =>
                    {
                        var now = item.Draft.Reading!.Lengths[one.Field];
                        return new Trial(
                            item,
                            With(item.Item, one.Field, Entry.Of(now - less, job.Unit)),
                            Nothing with
                            {
                                Field = one.Field,
                                Name = one.Name,
                                From = now,
                                To = now - less,
                            }
                        );
                    })
                    .ToList()
            );

    private static IEnumerable<List<Trial>> Answers(ItemPlan item, Drafting drafting, JobDocument job) =>
        drafting
            .Find(item.Item.MakeUp)!
            .Choices.Where(choice => choice.MaySave && item.Draft.Reading!.Shows(choice))
            .Select(choice =>
            {
                var now = choice.Options.First(option => option.Key == item.Draft.Reading!.Answer(choice));
                var field = $"choices.{choice.Key}";
                return choice
                    .Options.Where(option => option != now)
                    .Select(option => new Trial(
                        item,
                        With(item.Item, field, new Entry(option.Key, job.Unit)),
                        Nothing with
                        {
                            Field = field,
                            Name = choice.Name,
                            InsteadOf = now,
                            Answer = option,
                        }
                    ))
                    .ToList();
            });

    private static IEnumerable<List<Trial>> CordCloths(ItemPlan item, JobDocument job)
    {
        if (
            item.Draft.Pattern!.Covering is null
            || job.Cloths.FirstOrDefault(cloth => cloth.Id == job.ClothOf(item.Item, ClothRole.CordCovering))
                is not { } now
        )
            yield break;
        yield return
        [
            .. job
                .Cloths.Where(cloth => cloth != now)
                .Select(cloth => new Trial(
                    item,
                    item.Item with
                    {
                        OtherCloths = new Dictionary<ClothRole, string>(item.Item.OtherCloths)
                        {
                            [ClothRole.CordCovering] = cloth.Id,
                        },
                    },
                    Nothing with
                    {
                        Field = CordCloth,
                        Name = "cloth for the cord",
                        InsteadOf = new Option(now.Id, now.Name, ""),
                        Answer = new Option(cloth.Id, cloth.Name, ""),
                    }
                )),
        ];
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
        Trial trial,
        LayCache? kept,
        CancellationToken cancel
    )
    {
        cancel.ThrowIfCancellationRequested();
        var (item, changedItem, told) = trial;
        var changed = ItemPlan.Of(changedItem, item.Number, drafting, job);
        if (changed.Draft.Pattern is null)
            return null;
        List<ItemPlan> items = [.. plan.Items.Select(each => each == item ? changed : each)];
        var touched = new[] { item, changed }
            .SelectMany(each => each.Draft.Pattern!.Roles.Select(role => job.ClothOf(each.Item, role)))
            .ToHashSet();
        // A cloth is asked for with the job's items: which of them it is cut for stands in these.
        var asked = job with
        {
            Items = [.. items.Select(each => each.Item)],
        };
        var (saves, buysLess) = (Length.Zero, Length.Zero);
        decimal? costsLess = 0;
        var needs = new Dictionary<string, Length>();
        foreach (var cloth in plan.Cloths.Where(cloth => touched.Contains(cloth.Reading.Cloth.Id)))
        {
            var after = ClothPlan.Of(cloth.Reading.Cloth, items, asked, lay: true, kept, cancel);
            if (after.Problems.Count > 0 || cloth.Problems.Count > 0)
                return null;
            var (now, then) = (Sum(cloth.Buying), Sum(after.Buying));
            needs[cloth.Reading.Cloth.Id] = then;
            saves += (cloth.Buying?.Needed ?? Length.Zero) - (after.Buying?.Needed ?? Length.Zero);
            buysLess += (cloth.Buying?.Bought ?? Length.Zero) - (after.Buying?.Bought ?? Length.Zero);
            costsLess = (cloth.Buying is null ? 0 : cloth.Buying.Cost) - (after.Buying is null ? 0 : after.Buying.Cost)
                is { } cost
                ? costsLess + cost
                : null;
        }
        return buysLess.IsPositive
            ? told with
            {
                Item = item.Item.Id,
                Saves = saves,
                BuysLess = buysLess,
                CostsLess = costsLess,
                Needs = needs,
            }
            : null;

        static Length Sum(Cloth.Buying? buying) =>
            buying is null ? Length.Zero : buying.Needed + buying.ToStart + buying.ForSkew;
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
