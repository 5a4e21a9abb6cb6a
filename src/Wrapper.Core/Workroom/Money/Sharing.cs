namespace Wrapper.Core.Workroom.Money;

/// <summary>Parts an amount so that the parts add up to it again, to the smallest unit.</summary>
public static class Sharing
{
    /// <summary>
    /// Parts <paramref name="amount"/> by <paramref name="weights"/>: each part is rounded down to the smallest unit,
    /// and what is left goes, unit by unit, where the most was cut off (Hamilton's largest remainders), the first among
    /// equals. Without any weight the parts are as equal as can be.
    /// </summary>
    public static IReadOnlyList<decimal> Of(decimal amount, IReadOnlyList<decimal> weights, Currency currency)
    {
        if (weights.Count == 0)
            return [];
        var all = weights.Sum();
        var shares = weights.Select(weight => all == 0 ? 1m / weights.Count : weight / all).ToList();
        var units = currency.Units(Math.Abs(amount));
        var exact = shares.Select(share => units * share).ToList();
        var parts = exact.Select(part => (long)decimal.Floor(part)).ToList();
        var left = units - parts.Sum();
        foreach (
            var at in Enumerable.Range(0, parts.Count).OrderByDescending(at => exact[at] - parts[at]).Take((int)left)
        )
            parts[at]++;
        return [.. parts.Select(part => Math.Sign(amount) * currency.OfUnits(part))];
    }
}
