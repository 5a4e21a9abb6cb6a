using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// One line to take to the shop: what, which, how much as it is sold, and the items that it is for.
/// </summary>
public sealed record ShoppingLine(string Name, string Note, string Amount, IReadOnlyList<string> For);

/// <summary>
/// One list for the whole job (craft §10): cloths as the shop cuts them, then everything beside the cloth added up over
/// items and quantities.
/// </summary>
public static class Shopping
{
    /// <summary>What a usual reel of thread holds.</summary>
    public static readonly Length Reel = Length.Millimetres(100_000);

    /// <summary>The list of a plan whose cloths are laid; what is in doubt is left out.</summary>
    public static IReadOnlyList<ShoppingLine> Of(Plan plan, JobDocument job)
    {
        var unit = job.Unit;
        var notions =
            from item in plan.Items
            where item.Quantity > 0
            from notion in Asked(item.Draft.Pattern!.Notions, unit)
            // What is cut from a cloth of its own is bought with that.
            where notion.Role is not { } role || job.ClothOf(item.Item, role) is null
            group (Item: item, Notion: notion) by (notion.Key, notion.Name, notion.Note, notion.OffTheRoll);
        return
        [
            .. from cloth in plan.Cloths
            where cloth.Buying is { } buying && (buying.Bought.IsPositive || buying.Articles > 0)
            select new ShoppingLine(
                cloth.Reading.Cloth.Name,
                "",
                cloth.Buying!.Articles is { } articles
                    ? $"{articles}"
                    : LengthPrinter.ShopLength(cloth.Buying.Bought, unit),
                For(
                    plan.Items.Where(item =>
                        item.Quantity > 0
                        && item.Draft.Pattern!.Roles.Any(role => job.ClothOf(item.Item, role) == cloth.Reading.Cloth.Id)
                    )
                )
            ),
            .. notions.Select(like => new ShoppingLine(
                like.Key.Name,
                like.Key.Note,
                Amount([.. like], unit),
                For(like.Select(each => each.Item).Distinct())
            )),
        ];
    }

    // The sides of a block of foam are one thing to buy.
    private static IEnumerable<Notion> Asked(IReadOnlyList<Notion> notions, JobUnit unit)
    {
        var sides = notions.Where(notion => notion.Key.StartsWith("foam", StringComparison.Ordinal)).ToList();
        if (sides.Count == 0)
            return notions;
        var block = string.Join(" x ", sides.Select(side => LengthPrinter.Cut(side.Length!.Value, unit).Text));
        return
        [
            .. notions.Except(sides),
            new Notion("foam", "foam", null) { Amount = $"{block} {LengthPrinter.Word(unit)}" },
        ];
    }

    private static IReadOnlyList<string> For(IEnumerable<ItemPlan> items) =>
        [.. items.Select(item => item.Quantity == 1 ? item.Item.Name : $"{item.Item.Name} x {item.Quantity}")];

    private static string Amount(IReadOnlyList<(ItemPlan Item, Notion Notion)> like, JobUnit unit)
    {
        if (like[0].Notion.OffTheRoll)
        {
            var total = like.Aggregate(
                Length.Zero,
                (sum, each) =>
                    sum + (each.Item.Quantity * each.Notion.Count * (each.Notion.Length?.Value ?? Length.Zero))
            );
            if (like[0].Notion.Key != "thread")
                return LengthPrinter.ShopLength(
                    total.UpTo(unit.IsInches() ? Length.Inches(9) : Length.Millimetres(100)),
                    unit
                );
            var reels = (total.Ticks + Reel.Ticks - 1) / Reel.Ticks;
            return $"{reels} {(reels == 1 ? "reel" : "reels")} of 100 m";
        }
        // Each size by itself, the longest first; what has words for it is counted by those.
        return string.Join(
            ", ",
            like.GroupBy(each => (Size: each.Notion.Length?.Value ?? Length.Zero, each.Notion.Amount))
                .OrderByDescending(same => same.Key.Size)
                .Select(same =>
                {
                    var count = same.Sum(each => (long)each.Item.Quantity * each.Notion.Count);
                    return same.Key.Amount.Length > 0 ? $"{count} x {same.Key.Amount}"
                        : same.Key.Size.IsPositive
                            ? $"{count} x {LengthPrinter.Cut(same.Key.Size, unit).Text} {LengthPrinter.Word(unit)}"
                        : $"{count}";
                })
        );
    }
}
