using Wrapper.Core.Lengths;

namespace Wrapper.Core.Cloth;

/// <summary>
/// What is bought of one cloth: the need, the margin, rounded up to what the shop cuts, and what is left over (craft
/// §10). Of ready-made
/// articles so many as the lay reaches into, and lengths are those of their usable cloth.
/// </summary>
public sealed record Buying(Length Needed, Length Margin, Length Bought, Length LeftOver, decimal? Cost)
{
    /// <summary>
    /// One repeat more, since the shop's cut may begin anywhere in it (craft §10); zero for cloth without one.
    /// </summary>
    public Length ToStart { get; private init; }

    /// <summary>How many ready-made articles; null for cloth off the roll.</summary>
    public int? Articles { get; private init; }

    /// <summary>What squaring a skewed print to its lines takes; zero where it is square.</summary>
    public Length ForSkew { get; private init; }

    /// <summary>Whether the shop cuts no less than what is bought.</summary>
    public bool IsLeastCut { get; private init; }

    /// <summary>
    /// Whether less than an inch stays over, the margin included, so that a crooked end would leave it short.
    /// </summary>
    public bool IsTight => Articles is null && Bought.IsPositive && LeftOver + Margin < Length.Inches(1);

    /// <summary>
    /// A longer length that costs less, because another price holds from there on; null where there is none.
    /// </summary>
    public (Length Bought, decimal Cost)? Cheaper { get; private init; }

    private static readonly Length Yard = Length.Inches(36);
    private static readonly Length Metre = Length.Millimetres(1000);

    /// <summary>
    /// The purchase for a lay of length <paramref name="washed"/>: as long as it must be before washing, rounded up to
    /// the shop's step, never down; its cost to <paramref name="decimals"/>.
    /// </summary>
    public static Buying Of(Length washed, ClothReading cloth, int decimals = 2)
    {
        if (cloth.Article?.Value is { } article)
        {
            var count = (int)((washed.Ticks + article.Ticks - 1) / article.Ticks);
            var bought = count * article;
            return new Buying(
                washed,
                Length.Zero,
                bought,
                bought - washed,
                Rounded(cloth.PriceFor(bought) * count, decimals)
            )
            {
                Articles = count,
            };
        }
        var needed = cloth.BeforeWashing(washed);
        var toStart =
            needed.IsPositive && cloth.ForLay.Repeat is { IsStripes: false } repeat
                ? cloth.BeforeWashing(repeat.Along)
                : Length.Zero;
        var forSkew = needed.IsPositive ? cloth.Skew : Length.Zero;
        // Where remnants hold everything nothing is bought.
        var whole = needed.IsPositive ? needed + toStart + forSkew + cloth.Margin : Length.Zero;
        var stepped = whole.UpTo(cloth.BuyingStep);
        var least = needed.IsPositive && stepped < cloth.LeastCut;
        return Priced(
            new Buying(needed, needed.IsPositive ? cloth.Margin : Length.Zero, Length.Zero, Length.Zero, null)
            {
                ToStart = toStart,
                ForSkew = forSkew,
                IsLeastCut = least,
            },
            least ? cloth.LeastCut.UpTo(cloth.BuyingStep) : stepped,
            whole,
            cloth,
            decimals
        );
    }

    private static Buying Priced(Buying buying, Length bought, Length whole, ClothReading cloth, int decimals)
    {
        var cost = CostOf(bought, cloth, decimals);
        (Length, decimal)? cheaper = (
            from step in cloth.PriceSteps
            let more = step.UpTo(cloth.BuyingStep)
            where bought.IsPositive && more > bought && CostOf(more, cloth, decimals) < cost
            select (more, CostOf(more, cloth, decimals)!.Value)
        )
            .Select(each => ((Length, decimal)?)each)
            .FirstOrDefault();
        return buying with { Bought = bought, LeftOver = bought - whole, Cost = cost, Cheaper = cheaper };
    }

    private static decimal? CostOf(Length bought, ClothReading cloth, int decimals) =>
        Rounded(cloth.PriceFor(bought) * bought.Ticks / (cloth.Cloth.PricedBy == "m" ? Metre : Yard).Ticks, decimals);

    private static decimal? Rounded(decimal? cost, int decimals) =>
        cost is { } amount ? decimal.Round(amount, decimals, MidpointRounding.AwayFromZero) : null;
}
