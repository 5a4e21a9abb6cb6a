using Wrapper.Core.Lengths;

namespace Wrapper.Core.Cloth;

/// <summary>
/// What is bought of one cloth: the need, the margin, rounded up to what the shop cuts, and what is left over (handbook §10). Of ready-made
/// articles so many as the lay reaches into, and lengths are those of their usable cloth.
/// </summary>
public sealed record Buying(Length Needed, Length Margin, Length Bought, Length LeftOver, decimal? Cost)
{
    /// <summary>One repeat more, since the shop's cut may begin anywhere in it (handbook §10); zero for cloth without one.</summary>
    public Length ToStart { get; private init; }

    /// <summary>How many ready-made articles; null for cloth off the roll.</summary>
    public int? Articles { get; private init; }

    private static readonly Length Yard = Length.Inches(36);
    private static readonly Length Metre = Length.Millimetres(1000);

    /// <summary>The purchase for a lay of length <paramref name="washed"/>: as long as it must be before washing, rounded up to the shop's step, never down.</summary>
    public static Buying Of(Length washed, ClothReading cloth)
    {
        if (cloth.Article?.Value is { } article)
        {
            var count = (int)((washed.Ticks + article.Ticks - 1) / article.Ticks);
            return new Buying(washed, Length.Zero, count * article, (count * article) - washed, cloth.Price * count) { Articles = count };
        }
        var needed = cloth.BeforeWashing(washed);
        var toStart = needed.IsPositive && cloth.ForLay.Repeat is { } repeat ? cloth.BeforeWashing(repeat.Along) : Length.Zero;
        var bought = (needed + toStart + cloth.Margin).UpTo(cloth.BuyingStep);
        decimal? cost = cloth.Price is { } price
            ? decimal.Round(price * bought.Ticks / (cloth.Cloth.PricedBy == "m" ? Metre : Yard).Ticks, 2, MidpointRounding.AwayFromZero)
            : null;
        return new Buying(needed, cloth.Margin, bought, bought - needed - toStart - cloth.Margin, cost) { ToStart = toStart };
    }
}
