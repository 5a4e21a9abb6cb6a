namespace Wrapper.Core.Workroom.Money;

/// <summary>
/// A paper of a job among the others: what it follows from, and whether it was declined or cancelled since.
/// </summary>
public sealed record Dealing(string Id, PaperKind Kind, int Number, string? BasedOn, decimal Total, bool IsOff)
{
    /// <summary>Its number as it is printed.</summary>
    public string Called => Paper.Name(Kind, Number);
}

/// <summary>
/// How a job stands with its customer, read off its papers: what is offered, ordered, invoiced and paid, and which
/// paper may follow.
/// </summary>
public sealed class Dealings(IReadOnlyList<Dealing> papers, Currency currency)
{
    /// <summary>What was invoiced, taken back and paid.</summary>
    public Account Account { get; } = Account.Of(papers.Select(paper => new Entered(paper.Kind, paper.Total)));

    /// <summary>The order that stands; null for none.</summary>
    public Dealing? Order => papers.LastOrDefault(paper => paper is { Kind: PaperKind.Order, IsOff: false });

    /// <summary>The invoice that stands: the latest that was not wholly taken back; null for none.</summary>
    public Dealing? Invoice =>
        papers.LastOrDefault(paper => paper.Kind == PaperKind.Invoice && CreditedOn(paper) < paper.Total);

    /// <summary>The offer that was given out last and neither ordered nor declined; null for none.</summary>
    public Dealing? Offered =>
        papers.LastOrDefault(paper =>
            paper is { Kind: PaperKind.Quotation or PaperKind.Estimate, IsOff: false }
            && papers.All(each => each.Kind != PaperKind.Order || each.BasedOn != paper.Id)
        );

    /// <summary>What the customer may still pay now.</summary>
    public decimal ToPay =>
        Invoice is not null ? Account.Balance
        : Order is { } order ? order.Total - Account.Paid
        : 0;

    /// <summary>
    /// Why this paper cannot be given out now, in one sentence with what to do; null where it can.
    /// </summary>
    public string? Refusal(PaperKind kind, string? basis, decimal amount)
    {
        var on = papers.FirstOrDefault(paper => paper.Id == basis);
        return kind switch
        {
            PaperKind.Estimate or PaperKind.Quotation => null,
            PaperKind.Order when on is not { Kind: PaperKind.Quotation or PaperKind.Estimate } =>
                "an order follows from a quotation or an estimate of this job: give one out first",
            PaperKind.Order when on.IsOff => $"{on.Called} was declined: give out a new one",
            PaperKind.Order when Order is { } order =>
                $"{order.Called} is ordered already: cancel it first if this is in its place",
            PaperKind.Invoice when on is not { Kind: PaperKind.Order, IsOff: false } =>
                "an invoice follows from an order that stands: enter the order first",
            PaperKind.Invoice when Invoice is { } invoice =>
                $"{invoice.Called} is invoiced already: take it back with a credit note first if it is wrong",
            PaperKind.Receipt => OfReceipt(on, amount),
            PaperKind.CreditNote when on is not { Kind: PaperKind.Invoice } =>
                "a credit note takes back from an invoice of this job",
            PaperKind.CreditNote when amount <= 0 => "a credit note takes something back: an amount over nothing",
            PaperKind.CreditNote when amount > on.Total - CreditedOn(on) =>
                $"{currency.Text(on.Total - CreditedOn(on))} of {on.Called} is left to take back",
            _ => null,
        };
    }

    private string? OfReceipt(Dealing? on, decimal amount) =>
        on is not { Kind: PaperKind.Order or PaperKind.Invoice }
            ? "a payment is for an order or an invoice of this job: give that out first"
        : amount == 0 ? "nothing was paid: an amount is needed, less than nothing for money paid back"
        : amount < 0
            ? -amount > Account.Paid
                    ? $"{currency.Text(Account.Paid)} was paid on this job, and no more can be paid back"
                : null
        : amount > ToPay
            ? ToPay <= 0 ? "nothing is left to pay on this job"
                : $"{currency.Text(ToPay)} is left to pay on this job: enter that, and give back what is over"
        : null;

    private decimal CreditedOn(Dealing invoice) =>
        papers
            .Where(paper => paper.Kind == PaperKind.CreditNote && paper.BasedOn == invoice.Id)
            .Sum(paper => paper.Total);
}
