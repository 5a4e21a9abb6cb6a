using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>A price, and what it is for.</summary>
public sealed record UnitPrice(decimal Amount, PricedBy By);

/// <summary>A price book as read; what cannot be read counts as not told and is among the problems.</summary>
public sealed class BookReading
{
    /// <summary>The most taxes on one price.</summary>
    public const int MostTaxes = 4;

    /// <summary>The most prices in a book.</summary>
    public const int MostRows = 500;

    private readonly Dictionary<string, UnitPrice> prices = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>Reads <paramref name="book"/>.</summary>
    public BookReading(PriceBook book)
    {
        Book = book;
        if (Currency.Of(book.Currency) is not { } currency)
        {
            Problems.Add(new("currency", Amount.Shown(book.Currency), 0, "no currency that is known", "GBP"));
            currency = Currency.Usual;
        }
        Currency = currency;
        LabourRate = book.LabourRate.Trim().Length == 0 ? null : Read("labourRate", book.LabourRate);
        foreach (var row in book.Rows)
        {
            if (row.Thing.Trim().Length == 0)
                Problems.Add(new($"rows.{row.Id}.thing", "", 0, "what the price is for is needed", "zip chain"));
            else if (prices.ContainsKey(row.Thing.Trim()))
                Problems.Add(
                    new($"rows.{row.Id}.thing", Amount.Shown(row.Thing), 0, "this has a price already", "cord")
                );
            else if (row.Price.Trim().Length > 0 && Read($"rows.{row.Id}.price", row.Price) is { } price)
                prices[row.Thing.Trim()] = new(price, row.By);
        }
        Waste = Percent("waste", book.Waste, 100, "5");
        Sundries = Percent("sundries", book.Sundries, 100, "3");
        Margin = Percent("margin", book.Margin, 90, "20");
        Rush = Percent("rush", book.Rush, 300, "25");
        Deposit = Percent("deposit", book.Deposit, 100, "50");
        Tax = new([.. Taxes(book.Taxes)], book.TaxIncluded);
        ValidDays = Days("validDays", book.ValidDays, "30");
        PayDays = Days("payDays", book.PayDays, "14");
    }

    /// <summary>The book as entered.</summary>
    public PriceBook Book { get; }

    /// <summary>What could not be read.</summary>
    public List<Problem> Problems { get; } = [];

    /// <summary>The currency of every price in it.</summary>
    public Currency Currency { get; }

    /// <summary>The price of an hour; null while it is not told.</summary>
    public decimal? LabourRate { get; }

    /// <summary>Per cent added to what is bought beside cloth.</summary>
    public decimal Waste { get; }

    /// <summary>Per cent of all material.</summary>
    public decimal Sundries { get; }

    /// <summary>Per cent of the price before tax that stays.</summary>
    public decimal Margin { get; }

    /// <summary>Per cent added to the price where it is a rush.</summary>
    public decimal Rush { get; }

    /// <summary>Per cent of an order that is asked for as a deposit.</summary>
    public decimal Deposit { get; }

    /// <summary>Its taxes.</summary>
    public TaxRule Tax { get; }

    /// <summary>For how many days a quotation holds.</summary>
    public int ValidDays { get; }

    /// <summary>Within how many days an invoice is to be paid.</summary>
    public int PayDays { get; }

    /// <summary>The price of something on the shopping list; null while it has none.</summary>
    public UnitPrice? PriceOf(string thing) => prices.GetValueOrDefault(thing.Trim());

    private IEnumerable<Tax> Taxes(IReadOnlyList<TaxRow> rows)
    {
        foreach (var row in rows.Take(MostTaxes))
        {
            if (row.Name.Trim().Length == 0)
                Problems.Add(new($"taxes.{row.Id}.name", "", 0, "a tax needs the name that stands on papers", "VAT"));
            if (row.Percent.Trim().Length == 0)
                Problems.Add(new($"taxes.{row.Id}.percent", "", 0, "a rate in per cent is needed, 0 for none", "20"));
            yield return new(row.Name.Trim(), Percent($"taxes.{row.Id}.percent", row.Percent, 100, "20"));
        }
        if (rows.Count > MostTaxes)
            Problems.Add(new("taxes", $"{rows.Count}", 0, $"at most {MostTaxes} taxes", "VAT 20"));
    }

    private decimal? Read(string field, string typed)
    {
        var (value, problem) = Amount.Read(field, typed, Currency);
        if (problem is not null)
            Problems.Add(problem);
        return value;
    }

    private decimal Percent(string field, string typed, decimal most, string example)
    {
        var (value, problem) = Amount.Percent(field, typed, most, example);
        if (problem is not null)
            Problems.Add(problem);
        return value;
    }

    private int Days(string field, string typed, string example)
    {
        var (value, problem) = Amount.Days(field, typed, 0, 366, example);
        if (problem is not null)
            Problems.Add(problem);
        return value;
    }
}
