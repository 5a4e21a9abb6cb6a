using System.Globalization;

namespace Wrapper.Core.Workroom.Money;

/// <summary>
/// A currency by its ISO 4217 code, what stands before an amount of it, and how many decimals its smallest coin or unit
/// of account has.
/// </summary>
public sealed record Currency(string Code, string Symbol, int Decimals)
{
    /// <summary>The currencies that a workroom can keep its books in.</summary>
    public static IReadOnlyList<Currency> All { get; } =
    [
        new("AUD", "A$", 2),
        new("BHD", "BHD ", 3),
        new("CAD", "C$", 2),
        new("CHF", "CHF ", 2),
        new("CLP", "CLP ", 0),
        new("CZK", "CZK ", 2),
        new("DKK", "DKK ", 2),
        new("EUR", "€", 2),
        new("GBP", "£", 2),
        new("HUF", "HUF ", 2),
        new("INR", "INR ", 2),
        new("ISK", "ISK ", 0),
        new("JOD", "JOD ", 3),
        new("JPY", "¥", 0),
        new("KRW", "KRW ", 0),
        new("KWD", "KWD ", 3),
        new("NOK", "NOK ", 2),
        new("NZD", "NZ$", 2),
        new("OMR", "OMR ", 3),
        new("PLN", "PLN ", 2),
        new("SEK", "SEK ", 2),
        new("TND", "TND ", 3),
        new("USD", "$", 2),
        new("ZAR", "R ", 2),
    ];

    /// <summary>The one that new workrooms begin with.</summary>
    public static Currency Usual { get; } = All.First(each => each.Code == "GBP");

    /// <summary>The currency of this code; null where there is none.</summary>
    public static Currency? Of(string code) => All.FirstOrDefault(each => each.Code == code);

    /// <summary>
    /// The currency that a job names by its sign; one of two decimals for a sign that is none of ours.
    /// </summary>
    public static Currency Signed(string sign) =>
        All.FirstOrDefault(each => each.Symbol.Trim() == sign.Trim()) ?? new("", sign, 2);

    /// <summary>
    /// To the smallest unit, half away from zero: the one rounding of money, so that every print says the same.
    /// </summary>
    public decimal Round(decimal amount) => decimal.Round(amount, Decimals, MidpointRounding.AwayFromZero);

    /// <summary>An amount in smallest units.</summary>
    /// <exception cref="OverflowException">It is more than can be counted.</exception>
    public long Units(decimal amount) => (long)(Round(amount) * Scale);

    /// <summary>The amount that so many smallest units are.</summary>
    public decimal OfUnits(long units) => units / Scale;

    /// <summary>As it is printed: <c>£1,234.50</c>, <c>-£3.00</c>, <c>¥1,200</c>, <c>KWD 4.250</c>.</summary>
    public string Text(decimal amount)
    {
        var rounded = Round(amount);
        var figure = Math.Abs(rounded).ToString($"N{Decimals}", CultureInfo.InvariantCulture);
        return $"{(rounded < 0 ? "-" : "")}{Symbol}{figure}";
    }

    private decimal Scale =>
        Decimals switch
        {
            0 => 1,
            2 => 100,
            _ => 1000,
        };
}
