using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>What a cost is for.</summary>
[JsonConverter(typeof(ByName<CostKind>))]
public enum CostKind
{
    /// <summary>Cloth, as it is bought.</summary>
    [JsonStringEnumMemberName("cloth")]
    Cloth,

    /// <summary>What is bought beside it.</summary>
    [JsonStringEnumMemberName("thing")]
    Thing,

    /// <summary>What is spoilt of that.</summary>
    [JsonStringEnumMemberName("waste")]
    Waste,

    /// <summary>Needles, chalk, pins.</summary>
    [JsonStringEnumMemberName("sundries")]
    Sundries,

    /// <summary>Making.</summary>
    [JsonStringEnumMemberName("labour")]
    Labour,
}

/// <summary>
/// One cost of a job: <paramref name="Working"/> says how it comes about, <paramref name="Weights"/> how it falls on
/// the items, in their order.
/// </summary>
public sealed record Cost(
    CostKind Kind,
    string Name,
    string Amount,
    decimal Value,
    string Working,
    IReadOnlyList<decimal> Weights
);

/// <summary>Something on the shopping list that has no price yet, and what a price could be for.</summary>
public sealed record Unpriced(string Thing, string Amount, IReadOnlyList<PricedBy> By);

/// <summary>A step from the cost to the price, with its working.</summary>
public sealed record PriceStep(string Name, decimal Value, string Working);

/// <summary>The price of the covers of one item, or of something charged beside them.</summary>
public sealed record PriceLine(string Item, string Text, int Quantity, decimal Amount);

/// <summary>
/// The reckoning of a job: every cost as it is bought, then what makes it a price, parted among its covers so that the
/// lines add up to it. Every figure is rounded where it stands.
/// </summary>
public sealed record Estimate(
    IReadOnlyList<Cost> Costs,
    IReadOnlyList<PriceStep> Steps,
    IReadOnlyList<PriceLine> Lines,
    Totals Totals,
    IReadOnlyList<Unpriced> Unpriced,
    IReadOnlyList<Problem> Problems
)
{
    /// <summary>What it costs the workroom, its own hours included.</summary>
    public decimal Cost => Costs.Sum(cost => cost.Value);

    /// <summary>Whether everything in it has a price, so that it may be offered.</summary>
    public bool IsWhole => Unpriced.Count == 0 && Problems.Count == 0;

    /// <summary>
    /// Reckons <paramref name="plan"/>, which is that of <paramref name="job"/>, laid, by the <paramref name="book"/>
    /// and what was said of this job.
    /// </summary>
    public static Estimate Of(Plan plan, JobDocument job, BookReading book, PriceSheet sheet, Pace pace)
    {
        var reckoned = new Costing(plan, job, book, pace);
        var costs = reckoned.All();
        var currency = book.Currency;
        var cost = costs.Sum(each => each.Value);
        List<PriceStep> steps = [];
        var price = cost;
        void Step(string name, decimal to, string working)
        {
            if (to == price)
                return;
            steps.Add(new(name, to - price, working));
            price = to;
        }
        string Text(decimal amount) => currency.Text(amount);
        if (book.Margin > 0)
            Step(
                "margin",
                currency.Round(price * 100 / (100 - book.Margin)),
                $"{book.Margin:0.###} % of the price: {Text(price)} x 100 / {100 - book.Margin:0.###} = {Text(price * 100 / (100 - book.Margin))}"
            );
        if (sheet.IsRush && book.Rush > 0)
            Step("rush", currency.Round(price * (100 + book.Rush) / 100), $"{book.Rush:0.###} % on {Text(price)}");
        if (book.Tax is { Included: true, Percent: > 0 })
            Step(
                string.Join(" and ", book.Tax.Taxes.Select(tax => tax.Name)),
                currency.Round(price * (100 + book.Tax.Percent) / 100),
                $"{book.Tax.Percent:0.###} % on {Text(price)}, included in the prices below"
            );
        var weights = plan
            .Items.Select(
                (_, at) =>
                    costs.Sum(each =>
                        each.Weights.Sum() is var all && all > 0 ? each.Value * each.Weights[at] / all : 0
                    )
            )
            .ToList();
        var covers = plan.Items.Zip(weights).Where(each => each.First.Quantity > 0).ToList();
        var amounts = Sharing.Of(price, [.. covers.Select(each => each.Second)], currency);
        List<PriceLine> lines =
        [
            .. covers.Select(
                (each, at) => new PriceLine(each.First.Item.Id, each.First.Item.Name, each.First.Quantity, amounts[at])
            ),
        ];
        foreach (var extra in sheet.Extras)
        {
            var (value, problem) = Amount.Read(
                $"extras.{extra.Id}.amount",
                extra.Amount,
                currency,
                least: -Amount.Most
            );
            if (problem is not null)
                reckoned.Problems.Add(problem);
            if (extra.Text.Trim().Length == 0)
                reckoned.Problems.Add(
                    new($"extras.{extra.Id}.text", "", 0, "what it is for is needed", "Delivery and fitting")
                );
            lines.Add(new("", extra.Text.Trim(), 1, value ?? 0));
        }
        var totals = Totals.Of(lines.Select(line => line.Amount), book.Tax, currency);
        if (totals.Total < 0)
            reckoned.Problems.Add(
                new("extras", Text(totals.Total), 0, "more is taken off than everything comes to", Text(-price))
            );
        return new(costs, steps, lines, totals, reckoned.Unpriced, reckoned.Problems);
    }
}
