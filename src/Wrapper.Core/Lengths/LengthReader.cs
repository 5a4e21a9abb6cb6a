using System.Globalization;
using System.Text.RegularExpressions;

namespace Wrapper.Core.Lengths;

/// <summary>
/// Why a text is no length: what was given, where it goes wrong (0-based), the reason, and one that would do.
/// </summary>
public sealed record Refusal(string Given, int Position, string Reason, string Example);

/// <summary>What one field takes: its limits, both included, and an example to show with a refusal.</summary>
public sealed record LengthLimits(Length Min, Length Max, string? InchExample = null, string? MetricExample = null)
{
    /// <summary>The limits of an item measurement: from one count over zero to 50 ft (craft §1.11).</summary>
    public static readonly LengthLimits Item = new(new Length(1), Length.Inches(600));

    /// <summary>The limits of an ease or allowance: zero to 24 in.</summary>
    public static readonly LengthLimits Allowance = new(Length.Zero, Length.Inches(24), "1/2", "1.5");

    /// <summary>Longer than any field takes: 500 m, the longest cloth.</summary>
    public static readonly Length Most = Length.Millimetres(500_000);

    /// <summary>The limits of a cloth length: up to 500 m.</summary>
    public static readonly LengthLimits Cloth = new(Length.Zero, Most, "54", "137");

    /// <summary>Limits from one count (or zero) to so many inches, with an example in each unit.</summary>
    public static LengthLimits UpTo(int inches, string inchExample, string metricExample, bool zero = false) =>
        new(zero ? Length.Zero : new Length(1), Length.Inches(inches), inchExample, metricExample);

    internal string Example(JobUnit unit) => unit.IsInches() ? InchExample ?? "19 1/4" : MetricExample ?? "48.9";
}

/// <summary>Reads what people write on a tape-measure pad (craft §1.11) and refuses the rest with a reason.</summary>
public static partial class LengthReader
{
    private const int LongestText = 40;

    /// <summary>
    /// Reads <paramref name="text"/>; a bare number takes <paramref name="unit"/>. Exactly one of the two results is
    /// set.
    /// Accepted: <c>19 1/4</c>, <c>19-1/4</c>, <c>19¼</c>, <c>19.25</c>, <c>19 1/4"</c>, <c>1' 7 1/4"</c>,
    /// <c>48.9cm</c>, <c>489mm</c>,
    /// <c>0.489 m</c>, <c>1,5 cm</c>, <c>2 yd</c>.
    /// </summary>
    public static (Length? Length, Refusal? Refusal) Read(string? text, JobUnit unit, LengthLimits limits)
    {
        var given = text ?? "";
        Refusal Refuse(int at, string reason) => new(given, at, reason, limits.Example(unit));

        if (given.Trim().Length == 0)
            return (null, Refuse(0, "nothing is entered"));
        if (given.Length > LongestText)
            return (null, Refuse(LongestText, "too long to be a length"));
        if (given.TrimStart()[0] is '-' or '−')
            return (null, Refuse(given.Length - given.TrimStart().Length, "a length cannot be negative"));

        var total = 0m;
        var at = 0;
        var terms = 0;
        var lastScale = decimal.MaxValue;
        while (at < given.Length)
        {
            var term = Term().Match(given, at);
            if (!term.Success || term.Index != at)
                return (null, Refuse(SkipSpace(given, at), NotANumber(given, SkipSpace(given, at))));
            var word = term.Groups["unit"].Value;
            var end = term.Index + term.Length;
            var scale = Scale(word, unit);
            if (scale is null)
                return (
                    null,
                    Refuse(term.Groups["unit"].Index, $"\"{word}\" is no unit known here; use in, ft, yd, mm, cm or m")
                );
            if (terms > 0 && scale >= lastScale)
                return (null, Refuse(at, "two lengths in one field"));
            if (end < given.Length && word.Length == 0)
                return (null, Refuse(end, NotANumber(given, end)));
            var (value, reason, place) = Value(term, scale.Value);
            if (reason is not null)
                return (null, Refuse(place, reason));
            total += value * scale.Value;
            lastScale = scale.Value;
            terms++;
            at = SkipSpace(given, end);
        }

        return Within(
            limits,
            total > limits.Max.Ticks
                ? limits.Max + new Length(1)
                : new Length((long)decimal.Round(total, MidpointRounding.AwayFromZero)),
            given,
            unit
        );
    }

    /// <summary>
    /// A length that is known exactly, as <paramref name="given"/>, held against the limits of its field. Exactly one
    /// of the two results is set.
    /// </summary>
    public static (Length? Length, Refusal? Refusal) Within(
        LengthLimits limits,
        Length length,
        string given,
        JobUnit unit
    )
    {
        var reason =
            length > limits.Max ? $"over {Limit(limits.Max, unit)}, the most this takes"
            : length == Length.Zero && limits.Min > Length.Zero ? "a size is needed here, not zero"
            : length < limits.Min ? $"under {Limit(limits.Min, unit)}, the least this takes"
            : null;
        return reason is null ? (length, null) : (null, new Refusal(given, 0, reason, limits.Example(unit)));
    }

    private static (decimal Value, string? Reason, int Place) Value(Match term, decimal ticksPerUnit)
    {
        var number = term.Groups["num"];
        var whole = 0m;
        if (number.Success)
        {
            if (Thousands().IsMatch(number.Value))
                return (
                    0,
                    $"{number.Value} could mean {number.Value.Replace(",", "", StringComparison.Ordinal)} or {number.Value.Replace(',', '.')}",
                    number.Index
                );
            if (
                !decimal.TryParse(
                    number.Value.Replace(',', '.'),
                    NumberStyles.AllowDecimalPoint,
                    CultureInfo.InvariantCulture,
                    out whole
                )
                || whole > 1_000_000
            )
                return (0, "far too large", number.Index);
            var metricCounts = whole * ticksPerUnit;
            if (IsMetric(ticksPerUnit) && metricCounts % (Length.TicksPerMillimetre / 10) != 0)
                return (0, "finer than 0.1 mm: no tape reads that", number.Index);
        }

        var (top, bottom, place) = Fraction(term);
        if (bottom is null)
            return (whole, null, 0);
        if (bottom == 0)
            return (0, "a fraction cannot have 0 below the line", place);
        if (number.Success && number.Value.AsSpan().IndexOfAny('.', ',') >= 0)
            return (0, "a decimal and a fraction together", place);
        if (number.Success && top >= bottom)
            return (0, $"{top}/{bottom} is one or more: write the whole inches apart", place);
        if (bottom > 64)
            return (0, "finer than 1/64 in: no tape reads that", place);
        var counts = ticksPerUnit * top!.Value;
        if (counts % bottom.Value != 0)
            return (0, $"a tape has no {bottom} parts to the unit", place);
        if (IsMetric(ticksPerUnit) && counts / bottom.Value % (Length.TicksPerMillimetre / 10) != 0)
            return (0, "finer than 0.1 mm: no tape reads that", place);
        return (whole + ((decimal)top.Value / bottom.Value), null, 0);
    }

    private static (long? Top, long? Bottom, int Place) Fraction(Match term)
    {
        if (term.Groups["glyph"] is { Success: true } glyph)
        {
            var (top, bottom) = Glyphs[glyph.Value[0]];
            return (top, bottom, glyph.Index);
        }
        if (term.Groups["top"] is not { Success: true } group)
            return (null, null, 0);
        return (
            long.Parse(group.Value, CultureInfo.InvariantCulture),
            long.Parse(term.Groups["bottom"].Value, CultureInfo.InvariantCulture),
            group.Index
        );
    }

    private static readonly Dictionary<char, (long, long)> Glyphs = new()
    {
        ['¼'] = (1, 4),
        ['½'] = (1, 2),
        ['¾'] = (3, 4),
        ['⅓'] = (1, 3),
        ['⅔'] = (2, 3),
        ['⅛'] = (1, 8),
        ['⅜'] = (3, 8),
        ['⅝'] = (5, 8),
        ['⅞'] = (7, 8),
        ['⅙'] = (1, 6),
        ['⅚'] = (5, 6),
    };

    private static decimal? Scale(string word, JobUnit unit) =>
        word.ToUpperInvariant() switch
        {
            "" => unit.IsInches() ? Length.TicksPerInch : 10 * Length.TicksPerMillimetre,
            "\"" or "”" or "″" or "''" or "IN" or "INCH" or "INCHES" => Length.TicksPerInch,
            "'" or "’" or "′" or "FT" or "FOOT" or "FEET" => 12 * Length.TicksPerInch,
            "YD" or "YDS" or "YARD" or "YARDS" => 36 * Length.TicksPerInch,
            "MM" => Length.TicksPerMillimetre,
            "CM" => 10 * Length.TicksPerMillimetre,
            "M" or "METRE" or "METRES" or "METER" or "METERS" => 1000 * Length.TicksPerMillimetre,
            _ => null,
        };

    private static bool IsMetric(decimal ticksPerUnit) => ticksPerUnit % Length.TicksPerInch != 0;

    private static string Limit(Length limit, JobUnit unit) =>
        limit >= Length.Inches(600) && unit.IsInches() && limit.Ticks % (12 * Length.TicksPerInch) == 0
            ? $"{limit.Ticks / (12 * Length.TicksPerInch)} ft"
            : $"{LengthPrinter.Exact(limit, unit)} {LengthPrinter.Word(unit)}";

    private static string NotANumber(string given, int at) =>
        at < given.Length ? $"\"{given[at..]}\" is no number" : "the length breaks off";

    private static int SkipSpace(string text, int at)
    {
        while (at < text.Length && char.IsWhiteSpace(text[at]))
            at++;
        return at;
    }

    // One number with its unit: a whole or decimal part, a fraction after a space or hyphen or as one glyph, a unit
    // word or mark.
    [GeneratedRegex(
        """\s*(?:(?<num>[0-9]+(?:[.,][0-9]+)?|[.,][0-9]+)(?![0-9]*/)(?:\s*(?<glyph>[¼½¾⅓⅔⅛⅜⅝⅞⅙⅚])|(?:\s+|\s*-\s*)(?<top>[0-9]{1,6})/(?<bottom>[0-9]{1,6}))?|(?<glyph>[¼½¾⅓⅔⅛⅜⅝⅞⅙⅚])|(?<top>[0-9]{1,6})/(?<bottom>[0-9]{1,6}))\s*(?<unit>''|["”″'’′]|[A-Za-z]+)?"""
    )]
    private static partial Regex Term();

    [GeneratedRegex(@"^[1-9][0-9]{0,2},[0-9]{3}$")]
    private static partial Regex Thousands();
}
