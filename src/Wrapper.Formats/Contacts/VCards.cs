using System.Text;
using Wrapper.Core.Workroom.Customers;

namespace Wrapper.Formats.Contacts;

/// <summary>
/// Customers as vCard 4.0 (RFC 6350): one for each customer, and one for each of its people, who are of that
/// organisation.
/// </summary>
public static class VCards
{
    // A line of the format is so many octets at most; the rest follows on lines that begin with a space.
    private const int LongestLine = 75;

    /// <summary>The text of the file; each customer under the id that it keeps.</summary>
    public static string Write(IEnumerable<(string Id, Customer Customer)> customers)
    {
        var file = new StringBuilder();
        foreach (var (id, customer) in customers)
        {
            Begin(file, $"urn:wrapper:{id}", customer.Name);
            Line(file, "KIND:org");
            Line(file, $"ORG:{Plain(customer.Name)}");
            Address(file, customer.Address, "work");
            foreach (var place in customer.Places)
                Address(file, $"{place.Name}\n{place.Address}", "");
            if (customer.Notes.Trim().Length > 0)
                Line(file, $"NOTE:{Plain(customer.Notes.Trim())}");
            Line(file, "END:VCARD");
            foreach (var person in customer.People.Where(person => person.Name.Trim().Length > 0))
            {
                Begin(file, $"urn:wrapper:{id}:{person.Id}", person.Name);
                Line(file, "KIND:individual");
                Line(file, $"ORG:{Plain(customer.Name)}");
                if (person.Role.Trim().Length > 0)
                    Line(file, $"ROLE:{Plain(person.Role.Trim())}");
                if (person.Phone.Trim().Length > 0)
                    Line(file, $"TEL:{Plain(person.Phone.Trim())}");
                if (person.Email.Trim().Length > 0)
                    Line(file, $"EMAIL:{Plain(person.Email.Trim())}");
                Line(file, "END:VCARD");
            }
        }
        return file.ToString();
    }

    private static void Begin(StringBuilder file, string uid, string name)
    {
        Line(file, "BEGIN:VCARD");
        Line(file, "VERSION:4.0");
        Line(file, $"UID:{Plain(uid)}");
        Line(file, $"FN:{Plain(name.Trim().Length > 0 ? name.Trim() : "no name yet")}");
    }

    // What was typed is one text; it stands whole in the street, where every reader shows it.
    private static void Address(StringBuilder file, string typed, string kind)
    {
        if (typed.Trim().Length > 0)
            Line(file, $"ADR{(kind.Length > 0 ? $";TYPE={kind}" : "")}:;;{Plain(typed.Trim())};;;;");
    }

    private static string Plain(string text) =>
        text.Replace("\\", "\\\\", StringComparison.Ordinal)
            .Replace("\r\n", "\n", StringComparison.Ordinal)
            .Replace("\n", "\\n", StringComparison.Ordinal)
            .Replace(",", "\\,", StringComparison.Ordinal)
            .Replace(";", "\\;", StringComparison.Ordinal)
            .Replace("\r", "", StringComparison.Ordinal);

    private static void Line(StringBuilder file, string line)
    {
        var (octets, limit) = (0, LongestLine);
        foreach (var letter in line.EnumerateRunes())
        {
            if (octets + letter.Utf8SequenceLength > limit)
            {
                file.Append("\r\n ");
                (octets, limit) = (0, LongestLine - 1);
            }
            file.Append(letter.ToString());
            octets += letter.Utf8SequenceLength;
        }
        file.Append("\r\n");
    }
}
