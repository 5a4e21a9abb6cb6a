using Wrapper.Core.Lengths;

namespace Wrapper.Core.Cloth;

/// <summary>What is bought of one cloth: the need, the margin, rounded up to what the shop cuts, and what is left over (handbook §10).</summary>
public sealed record Buying(Length Needed, Length Margin, Length Bought, Length LeftOver, decimal? Cost)
{
    private static readonly Length Yard = Length.Inches(36);
    private static readonly Length Metre = Length.Millimetres(1000);

    /// <summary>The purchase for a lay of length <paramref name="needed"/>; rounds up to the shop's step, never down.</summary>
    public static Buying Of(Length needed, ClothReading cloth)
    {
        var bought = (needed + cloth.Margin).UpTo(cloth.BuyingStep);
        decimal? cost = cloth.Price is { } price
            ? decimal.Round(price * bought.Ticks / (cloth.Cloth.PricedBy == "m" ? Metre : Yard).Ticks, 2, MidpointRounding.AwayFromZero)
            : null;
        return new Buying(needed, cloth.Margin, bought, bought - needed - cloth.Margin, cost);
    }
}
