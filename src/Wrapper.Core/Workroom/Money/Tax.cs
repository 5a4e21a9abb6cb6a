namespace Wrapper.Core.Workroom.Money;

/// <summary>A tax by the name that stands on papers, in per cent of what is taxed.</summary>
public sealed record Tax(string Name, decimal Percent);

/// <summary>
/// The taxes of a workroom, all on the same amount, and whether the prices that customers see include them. Which
/// apply is for the maker and the law of the place to say.
/// </summary>
public sealed record TaxRule(IReadOnlyList<Tax> Taxes, bool Included)
{
    /// <summary>No tax.</summary>
    public static TaxRule None { get; } = new([], Included: false);

    /// <summary>All of them together, in per cent.</summary>
    public decimal Percent => Taxes.Sum(tax => tax.Percent);

    /// <summary>How the rounding is stated on every paper.</summary>
    public string Rounding(Currency currency) =>
        Taxes.Count == 0
            ? ""
            : $"Tax is reckoned once on the sum of the lines and rounded to {(currency.Decimals == 0 ? "the whole" : $"{currency.Decimals} decimals")}, halves up.";
}

/// <summary>One tax and what it comes to.</summary>
public sealed record TaxAmount(string Name, decimal Percent, decimal Amount);

/// <summary>
/// What a list of amounts comes to: <paramref name="Net"/> without tax, each tax, and <paramref name="Total"/>, which
/// is exactly their sum.
/// </summary>
public sealed record Totals(decimal Net, IReadOnlyList<TaxAmount> Taxes, decimal Total)
{
    /// <summary>
    /// The totals of <paramref name="lines"/>, which are rounded already: each tax once on their sum. Where prices
    /// include tax, their sum is the total and a tax of p per cent among P in all is p / (100 + P) of it; else p / 100
    /// comes on top.
    /// </summary>
    public static Totals Of(IEnumerable<decimal> lines, TaxRule rule, Currency currency)
    {
        var sum = lines.Sum();
        var over = rule.Included ? 100 + rule.Percent : 100;
        var taxes = rule
            .Taxes.Select(tax => new TaxAmount(tax.Name, tax.Percent, currency.Round(sum * tax.Percent / over)))
            .ToList();
        var taxed = taxes.Sum(tax => tax.Amount);
        return rule.Included ? new(sum - taxed, taxes, sum) : new(sum, taxes, sum + taxed);
    }

    /// <summary>
    /// The part of these totals that <paramref name="amount"/> of the total is, each tax in its share: what a credit
    /// note takes back.
    /// </summary>
    public Totals Share(decimal amount, Currency currency)
    {
        var taxes = Taxes
            .Select(tax => tax with { Amount = Total == 0 ? 0 : currency.Round(tax.Amount * amount / Total) })
            .ToList();
        return new(amount - taxes.Sum(tax => tax.Amount), taxes, amount);
    }
}
