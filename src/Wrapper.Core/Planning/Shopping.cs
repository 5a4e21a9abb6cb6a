using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>Where something is bought.</summary>
[JsonConverter(typeof(ByName<Counter>))]
public enum Counter
{
    /// <summary>Where cloth is cut.</summary>
    [JsonStringEnumMemberName("cloth")]
    Cloth,

    /// <summary>Thread, zips, cord, elastic, buttons.</summary>
    [JsonStringEnumMemberName("haberdashery")]
    Haberdashery,

    /// <summary>Foam, wadding, loose filling.</summary>
    [JsonStringEnumMemberName("fillings")]
    Fillings,
}

/// <summary>
/// One line to take to the shop: where it is bought, what, which, how much as it is sold, and the items that it is for.
/// </summary>
public sealed record ShoppingLine(Counter At, string Name, string Note, string Amount, IReadOnlyList<string> For)
{
    /// <summary>What it is known by, whatever is asked of it; empty for cloth.</summary>
    public string Key { get; init; } = "";

    /// <summary>All of it as it would be taken from a shelf: a length, or how many; empty for cloth.</summary>
    public string Whole { get; init; } = "";

    /// <summary>What is still to be bought beside what is taken from the shelves; null where nothing is.</summary>
    public string? StillToBuy { get; init; }
}

/// <summary>
/// What items ask for beside cloth and buy as one thing: <paramref name="Like"/> with how many of each and for which
/// item; by the yard or metre where it is one <paramref name="Stretch"/>.
/// </summary>
public sealed record AskedThing(
    Counter At,
    string Name,
    string Note,
    bool Stretch,
    IReadOnlyList<(Notion Notion, long Count, ItemPlan Item)> Like
)
{
    /// <summary>What it is known by, whatever is asked of it.</summary>
    public string Key => Note.Length > 0 ? $"{Name}/{Note}" : Name;

    /// <summary>How much of it, as it is sold.</summary>
    public string Amount(JobUnit unit) => Sold.Amount(Counted, Stretch, unit);

    /// <summary>The same as numbers, whichever a price may be for.</summary>
    public SoldAmount Numbers(JobUnit unit) => Sold.Numbers(Counted, Stretch, unit);

    private List<(Notion, long)> Counted => [.. Like.Select(each => (each.Notion, each.Count))];
}

/// <summary>
/// One list for the whole job (craft §10): cloths as the shop cuts them, then everything beside the cloth added up over
/// items and quantities, in the form in which it is sold.
/// </summary>
public static class Shopping
{
    /// <summary>What squaring the end of a cloth usually takes.</summary>
    public static readonly Length Squaring = Length.Inches(2);

    /// <summary>The list of a plan whose cloths are laid; what is in doubt is left out.</summary>
    public static IReadOnlyList<ShoppingLine> Of(Plan plan, JobDocument job) =>
        [
            .. plan.Cloths.SelectMany(cloth => Cloths(cloth, plan, job)),
            .. Asked(plan, job)
                .Select(thing => new ShoppingLine(
                    thing.At,
                    thing.Name,
                    thing.Note,
                    thing.Amount(job.Unit),
                    For(thing.Like.Select(each => each.Item).Distinct())
                )
                {
                    Key = thing.Key,
                    Whole = TakenFromShelves.Whole(thing, job.Unit),
                    StillToBuy = TakenFromShelves.StillToBuy(thing, job),
                }),
        ];

    /// <summary>What is bought beside cloth; what is in doubt is left out.</summary>
    public static IEnumerable<AskedThing> Asked(Plan plan, JobDocument job) =>
        from item in plan.Items
        where item.Quantity > 0
        from notion in Blocks(item.Draft.Pattern!.Notions, job.Unit)
        // What is cut from a cloth of its own is bought with that.
        where notion.Role is not { } role || job.ClothOf(item.Item, role) is null
        let isSoldAs = notion.SoldAs.Length > 0
        // What is sold as one thing is added up, whatever it is for.
        group (Notion: notion, Count: (long)item.Quantity * notion.Count, Item: item) by (
            Key: isSoldAs ? "" : notion.Key,
            Name: isSoldAs ? notion.SoldAs : notion.Name,
            Note: isSoldAs ? "" : notion.Note,
            Stretch: notion.OffTheRoll || isSoldAs
        ) into like
        let at = like.All(each => IsFilling(each.Notion)) ? Counter.Fillings : Counter.Haberdashery
        orderby at
        select new AskedThing(at, like.Key.Name, like.Key.Note, like.Key.Stretch, [.. like]);

    private static IEnumerable<ShoppingLine> Cloths(ClothPlan cloth, Plan plan, JobDocument job)
    {
        if (cloth.Buying is not { } buying || !(buying.Bought.IsPositive || buying.Articles > 0))
            yield break;
        var name = cloth.Reading.Cloth.Name;
        var items = For(
            plan.Items.Where(item =>
                item.Quantity > 0
                && item.Draft.Pattern!.Roles.Any(role => job.ClothOf(item.Item, role) == cloth.Reading.Cloth.Id)
            )
        );
        yield return new(
            Counter.Cloth,
            name,
            "",
            buying.Articles is { } articles ? $"{articles}" : LengthPrinter.ShopLength(buying.Bought, job.Unit),
            items
        );
        // A cloth that is on the table is squared already.
        if (buying.Articles is not null || cloth.Reading.RollEnd is not null)
            yield break;
        var room = buying.LeftOver + buying.Margin;
        yield return new(
            Counter.Cloth,
            $"squaring the end of {name}",
            room >= Squaring
                ? "within what stays over"
                : $"not within what stays over: buy {LengthPrinter.ShopLength(cloth.Reading.BuyingStep, job.Unit)} more unless the shop tears or cuts it square",
            $"{LengthPrinter.Finished(Squaring, job.Unit).Text} {LengthPrinter.Word(job.Unit)}",
            []
        );
    }

    private static bool IsFilling(Notion notion) =>
        notion.Role?.IsFilling() == true || notion.Key is "filling" or "foam";

    // The sides of a block of foam are one thing to buy.
    private static IEnumerable<Notion> Blocks(IReadOnlyList<Notion> notions, JobUnit unit)
    {
        var sides = notions.Where(notion => notion.Key.StartsWith("foam", StringComparison.Ordinal)).ToList();
        if (sides.Count == 0)
            return notions;
        var block = string.Join(" x ", sides.Select(side => LengthPrinter.Cut(side.Length!.Value, unit).Text));
        return
        [
            .. notions.Except(sides),
            new Notion("foam", "foam", null, Note: sides[0].Note)
            {
                Amount = $"{block} {LengthPrinter.Word(unit)}",
                Litres = Litres(sides),
            },
        ];
    }

    // The block that it is cut from, exactly; null where a side of it is not told.
    private static decimal? Litres(List<Notion> sides) =>
        sides.Count == 3
            ? sides.Aggregate(
                1m,
                (volume, side) => volume * side.Length!.Value.Ticks / (decimal)Length.Millimetres(100).Ticks
            )
            : null;

    private static IReadOnlyList<string> For(IEnumerable<ItemPlan> items) =>
        [.. items.Select(item => item.Quantity == 1 ? item.Item.Name : $"{item.Item.Name} x {item.Quantity}")];
}
