using System.Globalization;
using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Money;

/// <summary>What kind of paper: each kind is numbered in a series of its own.</summary>
[JsonConverter(typeof(ByName<PaperKind>))]
public enum PaperKind
{
    /// <summary>What it is thought to cost, binding nobody.</summary>
    [JsonStringEnumMemberName("estimate")]
    Estimate,

    /// <summary>An offer at a price, for so many days.</summary>
    [JsonStringEnumMemberName("quotation")]
    Quotation,

    /// <summary>What the customer ordered, confirmed.</summary>
    [JsonStringEnumMemberName("order")]
    Order,

    /// <summary>What is to be paid.</summary>
    [JsonStringEnumMemberName("invoice")]
    Invoice,

    /// <summary>What was paid, or paid back.</summary>
    [JsonStringEnumMemberName("receipt")]
    Receipt,

    /// <summary>What is taken back from an invoice.</summary>
    [JsonStringEnumMemberName("credit-note")]
    CreditNote,
}

/// <summary>An amount, exact in smallest units, and as it is printed.</summary>
public sealed record Sum(long Units, string Text)
{
    /// <summary>The amount in this currency.</summary>
    public static Sum Of(decimal amount, Currency currency) => new(currency.Units(amount), currency.Text(amount));
}

/// <summary>Who is named on a paper, and where they are to be found.</summary>
public sealed record Named(string Name, string Address);

/// <summary>
/// A line of a paper: what, told in words the customer understands, how many, and the price of all of them.
/// <paramref name="Item"/> is the item that it is for, empty for none; it has a drawing then.
/// </summary>
public sealed record PaperLine(string Item, string Text, IReadOnlyList<string> Told, int Quantity, Sum Amount);

/// <summary>A tax on a paper.</summary>
public sealed record PaperTax(string Name, string Percent, Sum Amount);

/// <summary>What lines come to, as printed.</summary>
public sealed record PaperSum(Sum Net, IReadOnlyList<PaperTax> Taxes, Sum Total)
{
    /// <summary>These totals in this currency.</summary>
    public static PaperSum Of(Totals totals, Currency currency) =>
        new(
            Sum.Of(totals.Net, currency),
            [
                .. totals.Taxes.Select(tax => new PaperTax(
                    tax.Name,
                    tax.Percent.ToString("0.###", CultureInfo.InvariantCulture),
                    Sum.Of(tax.Amount, currency)
                )),
            ],
            Sum.Of(totals.Total, currency)
        );

    /// <summary>Back to amounts that can be reckoned with.</summary>
    public Totals Amounts(Currency currency) =>
        new(
            currency.OfUnits(Net.Units),
            [
                .. Taxes.Select(tax => new TaxAmount(
                    tax.Name,
                    decimal.Parse(tax.Percent, CultureInfo.InvariantCulture),
                    currency.OfUnits(tax.Amount.Units)
                )),
            ],
            currency.OfUnits(Total.Units)
        );
}

/// <summary>
/// The same covers made otherwise: what is other, what they come to then, and by how much that is more or less.
/// </summary>
public sealed record PaperOption(
    string Id,
    string Text,
    IReadOnlyList<PaperLine> Lines,
    PaperSum Sum,
    string Difference
);

/// <summary>What was paid before, and by which receipt.</summary>
public sealed record PaperPaid(string Receipt, string Date, Sum Amount);

/// <summary>
/// A paper as it was given out, whole: no later price, name or drawing changes it. <paramref name="Number"/> is its
/// place in its series, from 1 without gaps; dates are <c>yyyy-MM-dd</c>.
/// </summary>
public sealed record Paper(
    PaperKind Kind,
    int Number,
    string Date,
    string Currency,
    Named Maker,
    Named Customer,
    string Job,
    string BasedOn,
    IReadOnlyList<PaperLine> Lines,
    PaperSum Sum
)
{
    /// <summary>Its number as it is printed: a letter for the kind, then at least four digits.</summary>
    public string Called => Name(Kind, Number);

    /// <summary>Whether the prices of its lines include tax.</summary>
    public bool TaxIncluded { get; init; }

    /// <summary>The option that was ordered, in words; empty for the first offer.</summary>
    public string Chosen { get; init; } = "";

    /// <summary>The workroom's own number for tax; empty where it has none.</summary>
    public string TaxNumber { get; init; } = "";

    /// <summary>How it was rounded.</summary>
    public string Rounding { get; init; } = "";

    /// <summary>What else was offered.</summary>
    public IReadOnlyList<PaperOption> Options { get; init; } = [];

    /// <summary>The deposit asked for; null for none.</summary>
    public Sum? Deposit { get; init; }

    /// <summary>Until when it holds, of a quotation; by when it is to be paid, of an invoice; empty for the rest.</summary>
    public string Until { get; init; } = "";

    /// <summary>What was paid before an invoice.</summary>
    public IReadOnlyList<PaperPaid> Paid { get; init; } = [];

    /// <summary>What is still to be paid after this paper; null on one that asks for nothing.</summary>
    public Sum? Due { get; init; }

    /// <summary>By what was paid, of a receipt; why, of a credit note.</summary>
    public string Note { get; init; } = "";

    /// <summary>The workroom's terms as they were on that day.</summary>
    public string Terms { get; init; } = "";

    /// <summary>How to pay the workroom.</summary>
    public string PayTo { get; init; } = "";

    /// <summary>The number of a paper as it is printed.</summary>
    public static string Name(PaperKind kind, int number) =>
        $"{kind switch { PaperKind.CreditNote => 'C', PaperKind.Receipt => 'R', _ => $"{kind}"[0] }}-{number:0000}";
}
