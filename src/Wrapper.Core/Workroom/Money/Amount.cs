using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Jobs;

namespace Wrapper.Core.Workroom.Money;

/// <summary>
/// Reads amounts and percentages as people write them: with a point or a comma, thousands parted or not, the currency's
/// sign before or after.
/// </summary>
public static partial class Amount
{
    /// <summary>No amount is believed beyond this.</summary>
    public const decimal Most = 99_999_999;

    /// <summary>
    /// The amount that <paramref name="typed"/> says, or why it says none; exactly one of the two is set. One below
    /// <paramref name="least"/> or above <paramref name="most"/> is refused.
    /// </summary>
    public static (decimal? Value, Problem? Problem) Read(
        string field,
        string typed,
        Currency currency,
        decimal least = 0,
        decimal most = Most
    )
    {
        (decimal?, Problem?) No(string reason) =>
            (null, new Problem(field, Shown(typed), 0, reason, Example(currency)));

        var given = typed.Trim();
        if (given.Length == 0)
            return No("an amount is needed");
        foreach (var sign in new[] { currency.Symbol.Trim(), currency.Code })
            if (sign.Length > 0)
                given =
                    given.StartsWith(sign, StringComparison.OrdinalIgnoreCase) ? given[sign.Length..].Trim()
                    : given.EndsWith(sign, StringComparison.OrdinalIgnoreCase) ? given[..^sign.Length].Trim()
                    : given;
        var isLess = given.StartsWith('-') || given.StartsWith('\u2212');
        var (digits, part, reason) = Parted(isLess ? given[1..].Trim() : given, currency);
        if (reason is not null)
            return No(reason);
        if (part.Length > currency.Decimals)
            return No(
                currency.Decimals == 0
                    ? $"{Name(currency)} has no decimals"
                    : $"more than {currency.Decimals} decimals, which {Name(currency)} does not have"
            );
        if (digits.Length > 12)
            return No($"more than {currency.Text(most)}");
        var value = (isLess ? -1 : 1) * decimal.Parse($"0{digits}.{part}0", CultureInfo.InvariantCulture);
        return value < least ? No(least == 0 ? "less than nothing" : $"less than {currency.Text(least)}")
            : value > most ? No($"more than {currency.Text(most)}")
            : (value, null);
    }

    /// <summary>The same for what may be left empty, which is nothing.</summary>
    public static (decimal Value, Problem? Problem) OrNothing(
        string field,
        string typed,
        Currency currency,
        decimal least = 0
    )
    {
        if (typed.Trim().Length == 0)
            return (0, null);
        var (value, problem) = Read(field, typed, currency, least);
        return (value ?? 0, problem);
    }

    /// <summary>
    /// A percentage from 0 to <paramref name="most"/>, with up to three decimals, the sign or not; empty is 0.
    /// </summary>
    public static (decimal Value, Problem? Problem) Percent(string field, string typed, decimal most, string example)
    {
        var given = typed.Trim().TrimEnd('%').Trim();
        if (given.Length == 0)
            return (0, null);
        if (
            Percentage().IsMatch(given)
            && decimal.Parse(given.Replace(',', '.'), CultureInfo.InvariantCulture) is var read
            && read <= most
        )
            return (read, null);
        return (0, new Problem(field, Shown(typed), 0, $"a number of per cent from 0 to {most:0} is needed", example));
    }

    /// <summary>A whole number of days from <paramref name="least"/> to <paramref name="most"/>; empty is that least.</summary>
    public static (int Value, Problem? Problem) Days(string field, string typed, int least, int most, string example)
    {
        var given = typed.Trim();
        if (given.Length == 0)
            return (least, null);
        return
            int.TryParse(given, NumberStyles.None, CultureInfo.InvariantCulture, out var days)
            && days >= least
            && days <= most
            ? (days, null)
            : (
                least,
                new Problem(field, Shown(typed), 0, $"a number of days from {least} to {most} is needed", example)
            );
    }

    internal static string Shown(string typed) => typed.Length > 40 ? typed[..40] : typed;

    // The digits before the decimals and the decimals, or why it cannot be told which are which. The last mark stands
    // before the decimals where it is the only one of its kind; every other parts thousands.
    private static (string Whole, string Part, string? Reason) Parted(string given, Currency currency)
    {
        (string, string, string?) No(string reason) => ("", "", reason);

        const string none = "this is no amount";
        var marks = given.Where(each => !char.IsAsciiDigit(each)).ToList();
        if (marks.Count == given.Length || marks.Exists(each => !Marks.Contains(each)))
            return No(none);
        var groups = given.Split(Marks.ToCharArray());
        if (marks.Count == 0)
            return (given, "", null);
        var last = marks[^1];
        var isSole = marks.Count(each => each == last) == 1;
        var isDecimal = isSole && (last is '.' or ',');
        // One mark before three digits may part thousands or decimals, and a thousand times is no slip to make.
        if (isDecimal && marks.Count == 1 && groups is [{ Length: >= 1 and <= 3 } head, { Length: 3 }] && head != "0")
        {
            if (last == (currency.Decimals == 3 ? ',' : '.'))
                return No(
                    $"this could be {head}{groups[1]} or {head}.{groups[1]}: write it with no mark or all decimals"
                );
            isDecimal = currency.Decimals == 3;
        }
        string[] whole = isDecimal ? groups[..^1] : groups;
        var isParted =
            whole.Length == 1 || (whole[0].Length is >= 1 and <= 3 && whole.Skip(1).All(group => group.Length == 3));
        var thousands = isDecimal ? marks[..^1] : marks;
        return isParted && thousands.Distinct().Count() <= 1 && (!isDecimal || groups[^1].Length > 0)
            ? (string.Concat(whole), isDecimal ? groups[^1] : "", null)
            : No(none);
    }

    private const string Marks = " ,.'\u00a0\u202f";

    private static string Name(Currency currency) => currency.Code.Length > 0 ? currency.Code : currency.Symbol;

    private static string Example(Currency currency) =>
        12.5m.ToString($"F{currency.Decimals}", CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^\d{1,3}([.,]\d{1,3})?$")]
    private static partial Regex Percentage();
}
