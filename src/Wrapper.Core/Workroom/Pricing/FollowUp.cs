using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>
/// The papers that follow from one another: each takes over what stands on the one before, word for word, and not what
/// prices and names are by now.
/// </summary>
public static class FollowUp
{
    /// <summary>What the customer ordered of a quotation or estimate: the first offer, or one of its options.</summary>
    /// <exception cref="ArgumentException">It has no such option.</exception>
    public static Paper Order(Paper offer, string option, DateOnly date)
    {
        if (option.Length == 0)
            return Next(offer, PaperKind.Order, date) with { Until = "", Options = [] };
        var chosen =
            offer.Options.FirstOrDefault(each => each.Id == option)
            ?? throw new ArgumentException($"{offer.Called} offers no option {option}", nameof(option));
        var currency = Of(offer);
        return Next(offer, PaperKind.Order, date) with
        {
            Until = "",
            Options = [],
            Lines = chosen.Lines,
            Sum = chosen.Sum,
            Chosen = chosen.Text,
            // The same share of what is ordered.
            Deposit = offer.Deposit is { } asked
                ? Sum.Of(
                    offer.Sum.Total.Units == 0
                        ? 0
                        : currency.OfUnits(asked.Units) * chosen.Sum.Total.Units / offer.Sum.Total.Units,
                    currency
                )
                : null,
        };
    }

    /// <summary>The invoice for an order, with what was paid before.</summary>
    public static Paper Invoice(Paper order, IReadOnlyList<PaperPaid> paid, DateOnly date, int payDays)
    {
        var due = order.Sum.Total.Units - paid.Sum(each => each.Amount.Units);
        return Next(order, PaperKind.Invoice, date) with
        {
            Deposit = null,
            Options = [],
            Paid = paid,
            Due = Sum.Of(Of(order).OfUnits(due), Of(order)),
            Until = PaperHead.Written(date.AddDays(payDays)),
        };
    }

    /// <summary>
    /// What was paid towards <paramref name="of"/>, or paid back where <paramref name="amount"/> is less than nothing;
    /// <paramref name="balance"/> is what is still to be paid after it.
    /// </summary>
    public static Paper Receipt(Paper of, decimal amount, decimal balance, string how, DateOnly date)
    {
        var currency = Of(of);
        return Next(of, PaperKind.Receipt, date) with
        {
            Lines =
            [
                new(
                    "",
                    amount < 0 ? $"Paid back on {of.Called}"
                        : of.Kind == PaperKind.Order ? $"Deposit on {of.Called}"
                        : $"Paid on {of.Called}",
                    [],
                    1,
                    Sum.Of(amount, currency)
                ),
            ],
            Sum = new(Sum.Of(amount, currency), [], Sum.Of(amount, currency)),
            Rounding = "",
            Deposit = null,
            Options = [],
            Paid = [],
            Until = "",
            Due = balance >= 0 ? Sum.Of(balance, currency) : null,
            Note = how,
        };
    }

    /// <summary>What is taken back from an invoice, each tax in its share, and why.</summary>
    public static Paper CreditNote(Paper invoice, decimal amount, decimal balance, string why, DateOnly date)
    {
        var currency = Of(invoice);
        var sum = PaperSum.Of(invoice.Sum.Amounts(currency).Share(amount, currency), currency);
        return Next(invoice, PaperKind.CreditNote, date) with
        {
            Lines =
            [
                new("", $"Taken back from {invoice.Called}: {why}", [], 1, invoice.TaxIncluded ? sum.Total : sum.Net),
            ],
            Sum = sum,
            Paid = [],
            Until = "",
            Due = balance >= 0 ? Sum.Of(balance, currency) : null,
            Note = why,
        };
    }

    private static Paper Next(Paper of, PaperKind kind, DateOnly date) =>
        of with
        {
            Kind = kind,
            Number = 0,
            Date = PaperHead.Written(date),
            BasedOn = of.Called,
            Note = "",
        };

    private static Currency Of(Paper paper) => Currency.Of(paper.Currency) ?? Currency.Usual;
}
