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
public sealed record ShoppingLine(Counter At, string Name, string Note, string Amount, IReadOnlyList<string> For);

/// <summary>
/// One list for the whole job (craft §10): cloths as the shop cuts them, then everything beside the cloth added up over
/// items and quantities, in the form in which it is sold.
/// </summary>
public static class Shopping
{
    /// <summary>What squaring the end of a cloth usually takes.</summary>
    public static readonly Length Squaring = Length.Inches(2);

    /// <summary>The list of a plan whose cloths are laid; what is in doubt is left out.</summary>
    public static IReadOnlyList<ShoppingLine> Of(Plan plan, JobDocument job)
    {
        var unit = job.Unit;
        var asked =
            from item in plan.Items
            where item.Quantity > 0
            from notion in Blocks(item.Draft.Pattern!.Notions, unit)
            // What is cut from a cloth of its own is bought with that.
            where notion.Role is not { } role || job.ClothOf(item.Item, role) is null
            let stretch = notion.OffTheRoll || notion.SoldAs.Length > 0
            select (
                Item: item,
                Notion: notion,
                Name: notion.SoldAs.Length > 0 ? notion.SoldAs : notion.Name,
                Note: notion.SoldAs.Length > 0 ? "" : notion.Note,
                Stretch: stretch
            );
        return
        [
            .. plan.Cloths.SelectMany(cloth => Cloths(cloth, plan, job)),
            .. from each in asked
            // What is sold as one thing is added up, whatever it is for.
            group each by (
                Key: each.Notion.SoldAs.Length > 0 ? "" : each.Notion.Key,
                each.Name,
                each.Note,
                each.Stretch
            ) into like
            let at = like.All(each => IsFilling(each.Notion)) ? Counter.Fillings : Counter.Haberdashery
            orderby at
            select new ShoppingLine(
                at,
                like.Key.Name,
                like.Key.Note,
                Sold.Amount(
                    [.. like.Select(each => (each.Notion, (long)each.Item.Quantity * each.Notion.Count))],
                    like.Key.Stretch,
                    unit
                ),
                For(like.Select(each => each.Item).Distinct())
            ),
        ];
    }

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
            new Notion("foam", "foam", null, Note: sides[0].Note) { Amount = $"{block} {LengthPrinter.Word(unit)}" },
        ];
    }

    private static IReadOnlyList<string> For(IEnumerable<ItemPlan> items) =>
        [.. items.Select(item => item.Quantity == 1 ? item.Item.Name : $"{item.Item.Name} x {item.Quantity}")];
}
