using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>What a job costs, line by line, and what of it has no price.</summary>
internal sealed class Costing(Plan plan, JobDocument job, BookReading book, Pace pace)
{
    private static readonly decimal LitresInCubicFoot = 28.316846592m,
        KilogramsInPound = 0.45359237m;

    private readonly Currency currency = book.Currency;

    public List<Problem> Problems { get; } = [.. book.Problems];

    public List<Unpriced> Unpriced { get; } = [];

    public IReadOnlyList<Cost> All()
    {
        Problems.AddRange(Doubts());
        List<Cost> cloth = [.. Cloths()],
            things = [.. Things()];
        var beside = things.Sum(thing => thing.Value);
        if (book.Waste > 0 && beside > 0)
            things.Add(Share(CostKind.Waste, "waste", book.Waste, beside, "what is bought beside cloth", things));
        List<Cost> material = [.. cloth, .. things];
        var all = material.Sum(each => each.Value);
        if (book.Sundries > 0 && all > 0)
            material.Add(Share(CostKind.Sundries, "sundries", book.Sundries, all, "all material", material));
        return [.. material, .. Labour()];
    }

    // What is left out of the plan would be left out of the price.
    private IEnumerable<Problem> Doubts()
    {
        foreach (var item in plan.Items.Where(item => item.Draft.Pattern is null))
            yield return new(
                $"items.{item.Item.Id}",
                item.Item.Name,
                0,
                $"{item.Item.Name} is in doubt, so that its price is not known: see Measure",
                ""
            );
        foreach (var cloth in plan.Cloths.Where(cloth => cloth.Problems.Count > 0))
            yield return new(
                $"cloths.{cloth.Reading.Cloth.Id}",
                cloth.Reading.Cloth.Name,
                0,
                $"{cloth.Reading.Cloth.Name} is in doubt, so that what is bought of it is not known: see Lay",
                ""
            );
        if (plan.Items.All(item => item.Quantity == 0))
            yield return new("items", "", 0, "nothing is measured yet, so that there is nothing to price", "");
        if (job.Cloths.Count > 0 && Currency.Signed(job.Currency).Code != currency.Code)
            yield return new(
                "currency",
                job.Currency,
                0,
                $"the cloths of this job are priced in {job.Currency}, the workroom keeps its books in {currency.Code}",
                currency.Symbol.Trim()
            );
    }

    private IEnumerable<Cost> Cloths()
    {
        foreach (
            var cloth in plan.Cloths.Where(cloth =>
                cloth.Buying is { } buying && (buying.Bought.IsPositive || buying.Articles > 0)
            )
        )
        {
            var (buying, entered) = (cloth.Buying!, cloth.Reading.Cloth);
            var amount = buying.Articles is { } count ? $"{count}" : LengthPrinter.ShopLength(buying.Bought, job.Unit);
            if (buying.Cost is not { } value)
            {
                Problems.Add(
                    new($"cloths.{entered.Id}.price", entered.Price, 0, $"{entered.Name} has no price yet", "24.50")
                );
                continue;
            }
            var price = cloth.Reading.PriceFor(buying.Bought)!.Value;
            yield return new(
                CostKind.Cloth,
                entered.Name,
                amount,
                value,
                $"{amount} at {currency.Text(price)} {(buying.Articles is null ? $"a {entered.PricedBy}" : "each")}",
                ByArea(cloth)
            );
        }
    }

    private IEnumerable<Cost> Things()
    {
        // Whatever its colour or shape, what has one name has one price.
        foreach (var named in Shopping.Asked(plan, job).GroupBy(thing => thing.Name))
        {
            List<SoldAmount> amounts = [.. named.Select(thing => thing.Numbers(job.Unit))];
            decimal? Sum(Func<SoldAmount, decimal?> of) =>
                amounts.TrueForAll(each => of(each) is not null) ? amounts.Sum(each => of(each)) : null;
            decimal? Metres(decimal lengthOfOne) =>
                Sum(each => each.Length is { } length ? length.Ticks / lengthOfOne : null);
            Dictionary<PricedBy, decimal?> by = new()
            {
                [PricedBy.Each] = Sum(each => each.Pieces),
                [PricedBy.Yard] = Metres(Length.Inches(36).Ticks),
                [PricedBy.Metre] = Metres(Length.Millimetres(1000).Ticks),
                [PricedBy.Litre] = Sum(each => each.Litres),
                [PricedBy.CubicFoot] = Sum(each => each.Litres / LitresInCubicFoot),
                [PricedBy.Kilogram] = Sum(each => each.Kilograms),
                [PricedBy.Pound] = Sum(each => each.Kilograms / KilogramsInPound),
            };
            var told = string.Join(", ", named.Select(thing => thing.Amount(job.Unit)));
            if (book.PriceOf(named.Key) is not { } price || by[price.By] is not { } count)
            {
                Unpriced.Add(
                    new(named.Key, told, [.. by.Where(each => each.Value is not null).Select(each => each.Key)])
                );
                continue;
            }
            yield return new(
                CostKind.Thing,
                named.Key,
                told,
                currency.Round(price.Amount * count),
                $"{count.ToString("0.###", CultureInfo.InvariantCulture)} {Word(price.By)} at {currency.Text(price.Amount)}".Replace(
                    "  ",
                    " ",
                    StringComparison.Ordinal
                ),
                [
                    .. plan.Items.Select(item =>
                        named.Sum(thing =>
                            thing
                                .Like.Where(each => each.Item.Item.Id == item.Item.Id)
                                .Sum(each =>
                                    each.Count
                                    * (each.Notion.Length is { } length ? length.Value.Ticks : each.Notion.Litres ?? 1m)
                                )
                        )
                    ),
                ]
            );
        }
    }

    private IEnumerable<Cost> Labour()
    {
        if (book.LabourRate is not { } rate)
        {
            Problems.Add(new("labourRate", "", 0, "what an hour of making costs is not told yet: see Prices", "28"));
            yield break;
        }
        foreach (var (at, item) in plan.Items.Index().Where(each => each.Item.Quantity > 0))
        {
            var minutes = (long)Minutes.Of(item.Draft.Pattern!, pace) * item.Quantity;
            yield return new(
                CostKind.Labour,
                $"making {item.Item.Name}",
                Minutes.Text(minutes),
                currency.Round(rate * minutes / 60),
                $"{Minutes.Text(minutes)} at {currency.Text(rate)} an hour",
                [.. plan.Items.Select((_, n) => n == at ? 1m : 0m)]
            );
        }
    }

    private Cost Share(CostKind kind, string name, decimal percent, decimal of, string what, List<Cost> costs) =>
        new(
            kind,
            name,
            "",
            currency.Round(of * percent / 100),
            $"{percent:0.###} % of {currency.Text(of)}, {what}",
            [
                .. plan.Items.Select(
                    (_, at) =>
                        costs.Sum(each =>
                            each.Weights.Sum() is var all && all > 0 ? each.Value * each.Weights[at] / all : 0
                        )
                ),
            ]
        );

    // By the boxes of what is cut from it, cord strips included.
    private List<decimal> ByArea(ClothPlan cloth)
    {
        var areas = cloth
            .Pieces.GroupBy(piece => piece.Item)
            .ToDictionary(
                pieces => pieces.Key,
                pieces => pieces.Sum(piece => piece.Across(0).Ticks / 3840m * (piece.Along(0).Ticks / 3840m))
            );
        return [.. plan.Items.Select(item => areas.GetValueOrDefault(item.Item.Id))];
    }

    private static string Word(PricedBy by) =>
        by switch
        {
            PricedBy.Each => "",
            PricedBy.Yard => "yd",
            PricedBy.Metre => "m",
            PricedBy.Litre => "litres",
            PricedBy.CubicFoot => "cu ft",
            PricedBy.Kilogram => "kg",
            _ => "lb",
        };
}
