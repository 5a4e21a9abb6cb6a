using System.Text.RegularExpressions;

namespace Wrapper.Formats.Tables;

/// <summary>
/// A cut list as people write it, a piece a line: how many, what, and a size (<c>2 panels 47 1/2 x 20 1/4</c>,
/// <c>boxing, 4 @ 5 in by 74 in</c>, <c>Schild 60 x 45,5 cm (3)</c>). It becomes a table of the same; a line without a
/// size keeps its words and has none.
/// </summary>
public static partial class CutListText
{
    /// <summary>The heads of the table that it becomes.</summary>
    public static readonly IReadOnlyList<string> Heads = ["What", "How many", "Cut width", "Cut length"];

    private const string Usual = "piece";

    /// <summary>The table of a list; empty lines and rules are left out.</summary>
    public static TableFile Read(string text) =>
        new(
            Heads,
            [
                .. text.Split('\n')
                    .Select(line => Bullet().Replace(line.Trim(), ""))
                    .Where(line => line.Any(char.IsLetterOrDigit))
                    .Take(TableFile.MostRows)
                    .Select(Line),
            ],
            "lines"
        );

    /// <summary>Whether a size such as <c>20 x 18</c> stands in a line.</summary>
    public static bool HasSize(string line) => Size().IsMatch(line.Replace('\u00d7', 'x'));

    private static IReadOnlyList<string> Line(string line)
    {
        line = line.Replace('\u00d7', 'x').Replace('\t', ' ');
        // A number before everything is how many, where a size still follows it; else it belongs to the size.
        if (
            Before().Match(line) is { Success: true } before
            && Size().Match(line[before.Length..]) is { Success: true }
        )
            return Row(line[before.Length..], before.Groups["n"].Value);
        if (!Size().IsMatch(line))
            return [line, "", "", ""];
        return Row(line, "");
    }

    private static IReadOnlyList<string> Row(string line, string count)
    {
        var size = Size().Matches(line)[^1];
        var unit = size.Groups["unit"].Value;
        var (first, second) = (size.Groups["first"].Value.Trim(), size.Groups["second"].Value.Trim());
        // "60 x 45 cm": the unit at the end is that of both.
        if (unit.Length > 0 && !Unit().IsMatch(first))
            first = $"{first} {unit}";
        var rest = line.Remove(size.Index, size.Length);
        if (count.Length == 0 && After().Match(rest) is { Success: true } after)
            (count, rest) = (after.Groups["n"].Value, rest.Remove(after.Index, after.Length));
        var what = string.Join(' ', rest.Split(' ', StringSplitOptions.RemoveEmptyEntries))
            .Trim(' ', ',', ':', ';', '-', '@', '=', '.');
        return [what.Length > 0 ? what : Usual, count.Length > 0 ? count : "1", first, second];
    }

    [GeneratedRegex(@"^[-*•·\u2013]\s+")]
    private static partial Regex Bullet();

    [GeneratedRegex(
        @"^(?<n>\d{1,4})(?!\s*\d*/|[.,]\d|-\d)\s*(?:x|@|off|of|no\.?|pcs?\.?|:)?\s+",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Before();

    [GeneratedRegex(
        @"(?<first>(?:\d+[ -]\d+/\d+|\d+/\d+|\d+[.,]\d+|\d+[\u00bc-\u00be\u2153\u2154\u215b-\u215e]?)\s*(?:in\b|cm\b|mm\b|m\b|yd\b|""|')?)\s*(?:x|by)\s*(?<second>(?:\d+[ -]\d+/\d+|\d+/\d+|\d+[.,]\d+|\d+[\u00bc-\u00be\u2153\u2154\u215b-\u215e]?)\s*(?<unit>in\b|cm\b|mm\b|m\b|yd\b|""|')?)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Size();

    [GeneratedRegex(@"(?:in|cm|mm|m|yd|""|')\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Unit();

    // "(2)", "x 2", "cut 2", "2 off", ", 2".
    [GeneratedRegex(
        @"\((?<n>\d{1,4})\)|\b(?:x|cut|qty:?)\s*(?<n>\d{1,4})\b|\b(?<n>\d{1,4})\s*(?:off|pcs?\.?|@)|[,;]\s*(?<n>\d{1,4})\s*(?=[,;]|$)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex After();
}
