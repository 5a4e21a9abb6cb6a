using System.Text;
using System.Text.RegularExpressions;
using Wrapper.Formats.Tables;

namespace Wrapper.Formats.Contacts;

/// <summary>
/// Reads vCards of any version (RFC 6350 and those before it) into a table of customers, a row for each person: people
/// of an organisation are its people, others are customers of their own.
/// </summary>
public static partial class VCardFile
{
    private static readonly IReadOnlyList<string> Heads =
    [
        "Name",
        "Address",
        "To know",
        "Person",
        "Role",
        "Telephone",
        "Mail",
    ];

    /// <summary>Whether a text begins as a file of vCards does.</summary>
    public static bool Is(string text) =>
        text.TrimStart('\uFEFF', ' ', '\r', '\n').StartsWith("BEGIN:VCARD", StringComparison.OrdinalIgnoreCase);

    /// <summary>The table of a file; or why there is none in it.</summary>
    public static (TableFile? Table, string? Reason) Read(string text)
    {
        List<IReadOnlyList<string>> rows = [];
        Dictionary<string, List<string>>? card = null;
        // A line that begins with a space goes on with the one before it; so does one in the old encoding that ends in =.
        foreach (var line in Folded().Replace(text, "").Split('\n').Select(line => line.TrimEnd('\r')))
        {
            if (line.Equals("BEGIN:VCARD", StringComparison.OrdinalIgnoreCase))
                card = new(StringComparer.OrdinalIgnoreCase);
            else if (line.Equals("END:VCARD", StringComparison.OrdinalIgnoreCase) && card is not null)
            {
                rows.Add(Row(card));
                card = null;
            }
            else if (card is not null && Property().Match(line) is { Success: true } property)
            {
                var name = property.Groups["name"].Value;
                var value = property.Groups["value"].Value;
                if (property.Groups["with"].Value.Contains("QUOTED-PRINTABLE", StringComparison.OrdinalIgnoreCase))
                    value = Quoted(value);
                if (!card.TryGetValue(name, out var values))
                    card[name] = values = [];
                values.Add(value);
            }
            if (rows.Count > TableFile.MostRows)
                return (null, $"more than {TableFile.MostRows} cards: take them in parts");
        }
        if (card is not null)
            return (null, "it is broken off: its last card does not end");
        return rows.Count == 0 ? (null, "there is no card in it") : (new(Heads, rows, "cards"), null);
    }

    private static IReadOnlyList<string> Row(Dictionary<string, List<string>> card)
    {
        string First(string name) => card.TryGetValue(name, out var values) ? Plain(values[0]) : "";
        var family = card.TryGetValue("N", out var names) ? Parts(names[0]) : [];
        var name = First("FN") is { Length: > 0 } full
            ? full
            : string.Join(' ', family.Take(2).Reverse().Where(part => part.Length > 0));
        var organisation = card.TryGetValue("ORG", out var org) ? Parts(org[0])[0] : "";
        var isPerson = organisation.Length > 0 && organisation != name;
        var address = card.TryGetValue("ADR", out var addresses)
            ? string.Join('\n', Parts(addresses[0]).Where(part => part.Length > 0))
            : "";
        var (phone, mail) = (Tel().Replace(First("TEL"), ""), First("EMAIL"));
        var role = First("ROLE") is { Length: > 0 } said ? said : First("TITLE");
        // A card that is nobody's but its own has its telephone and mail under its own name.
        var person = isPerson || (organisation.Length == 0 && phone.Length + mail.Length > 0) ? name : "";
        return
        [
            isPerson ? organisation : name,
            isPerson ? "" : address,
            isPerson ? "" : First("NOTE"),
            person,
            role,
            phone,
            mail,
        ];
    }

    // Parts of one value stand apart by semicolons that are not written as letters.
    private static List<string> Parts(string value) => [.. Apart().Split(value).Select(part => Plain(part).Trim())];

    private static string Plain(string value) =>
        Escaped()
            .Replace(
                value,
                escaped => escaped.Groups["letter"].Value is "n" or "N" ? "\n" : escaped.Groups["letter"].Value
            )
            .Trim();

    private static string Quoted(string value)
    {
        List<byte> bytes = [];
        for (var at = 0; at < value.Length; at++)
            if (
                value[at] == '='
                && at + 2 < value.Length
                && byte.TryParse(
                    value.AsSpan(at + 1, 2),
                    System.Globalization.NumberStyles.HexNumber,
                    null,
                    out var octet
                )
            )
            {
                bytes.Add(octet);
                at += 2;
            }
            else
                bytes.AddRange(Encoding.UTF8.GetBytes(value[at].ToString()));
        return Encoding.UTF8.GetString([.. bytes]);
    }

    [GeneratedRegex(@"\r?\n[ \t]|=\r?\n(?=[^\r\n:]*(?:\r?\n|$))")]
    private static partial Regex Folded();

    [GeneratedRegex(@"^(?:[\w-]+\.)?(?<name>[\w-]+)(?<with>(?:;[^:""]*(?:""[^""]*""[^:""]*)*)?):(?<value>.*)$")]
    private static partial Regex Property();

    [GeneratedRegex(@"(?<!\\);")]
    private static partial Regex Apart();

    [GeneratedRegex(@"\\(?<letter>[nN\\,;:])")]
    private static partial Regex Escaped();

    [GeneratedRegex(@"^tel:", RegexOptions.IgnoreCase)]
    private static partial Regex Tel();
}
