using Wrapper.Core.Jobs;
using Wrapper.Core.Words;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;

namespace Wrapper.Server.Money;

/// <summary>One cost, as it is bought, and how it comes about.</summary>
public sealed record CostView(CostKind Kind, string Name, string Amount, string Value, string Working);

/// <summary>A step from the cost to the price.</summary>
public sealed record PriceStepView(string Name, string Value, string Working);

/// <summary>Something without a price: what it is called here, and by what name the price book knows it.</summary>
public sealed record UnpricedView(string Thing, string Name, string Amount, IReadOnlyList<PricedBy> By);

/// <summary>A choice that could be offered otherwise: an item, a choice of it, and the answers that it does not have.</summary>
public sealed record CouldOffer(
    string Item,
    string ItemName,
    string Choice,
    string Name,
    IReadOnlyList<OtherAnswer> Answers
);

/// <summary>An answer by its key, and as it is told.</summary>
public sealed record OtherAnswer(string Key, string Text);

/// <summary>
/// The reckoning of a job: costs, steps to the price, lines as they stand on papers with their sum, what is offered
/// beside and what could be; what has no price yet, and what is wrong. <paramref name="Whole"/> says whether it can be
/// given out.
/// </summary>
public sealed record PricedView(
    IReadOnlyList<CostView> Costs,
    string Cost,
    IReadOnlyList<PriceStepView> Steps,
    IReadOnlyList<PaperLine> Lines,
    PaperSum Sum,
    IReadOnlyList<PaperOption> Options,
    IReadOnlyList<CouldOffer> Could,
    IReadOnlyList<UnpricedView> Unpriced,
    IReadOnlyList<Problem> Problems,
    bool Whole
)
{
    internal static PricedView Of(Offer offer, Currency currency, IReadOnlyList<CouldOffer> could, Vocabulary words) =>
        new(
            [
                .. offer.First.Costs.Select(cost => new CostView(
                    cost.Kind,
                    cost.Kind == CostKind.Thing ? words.Say(cost.Name) : cost.Name,
                    cost.Amount,
                    currency.Text(cost.Value),
                    cost.Working
                )),
            ],
            currency.Text(offer.First.Cost),
            [
                .. offer.First.Steps.Select(step => new PriceStepView(
                    step.Name,
                    currency.Text(step.Value),
                    step.Working
                )),
            ],
            offer.Lines,
            PaperSum.Of(offer.First.Totals, currency),
            offer.Options,
            could,
            [
                .. offer.First.Unpriced.Select(each => new UnpricedView(
                    each.Thing,
                    words.Say(each.Thing),
                    each.Amount,
                    each.By
                )),
            ],
            offer.Problems,
            offer is { Problems.Count: 0, First.Unpriced.Count: 0 }
        );
}
