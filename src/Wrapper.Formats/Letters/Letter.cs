using MimeKit;

namespace Wrapper.Formats.Letters;

/// <summary>A file that goes with a letter.</summary>
public sealed record Enclosure(string Name, string Type, byte[] Bytes);

/// <summary>
/// A letter by mail: from whom, to which addresses (<c>Ada Penrose &lt;ada@example.org&gt;</c>, several apart by commas),
/// about what, what it says, and what goes with it.
/// </summary>
public sealed record Letter(string From, string To, string Subject, string Text, IReadOnlyList<Enclosure> Enclosures)
{
    // Who writes is known to whoever sends it; the workroom's own address is not known here.
    private const string NoAddress = "workroom@localhost";

    /// <summary>Whether these are addresses that a letter can go to.</summary>
    public static bool AreAddresses(string to) =>
        !to.Any(char.IsControl)
        && InternetAddressList.TryParse(to, out var read)
        && read.Count > 0
        && read.Mailboxes.Any()
        && read.Mailboxes.All(each =>
            each.Address.IndexOf('@', StringComparison.Ordinal) is > 0 and var at && at < each.Address.Length - 1
        );

    /// <summary>Whether <paramref name="mail"/> is a letter to somebody that a mail program can open.</summary>
    public static bool CanBeRead(byte[] mail)
    {
        try
        {
            using var message = MimeMessage.Load(new MemoryStream(mail));
            return message.To.Mailboxes.Any();
        }
        catch (FormatException)
        {
            return false;
        }
    }

    /// <summary>
    /// The letter as a mail program takes it up, not sent yet (RFC 5322, MIME); written at <paramref name="at"/> under
    /// <paramref name="id"/>.
    /// </summary>
    /// <exception cref="ParseException">There are no addresses in <see cref="To"/>.</exception>
    public byte[] Eml(string id, DateTimeOffset at)
    {
        using var message = new MimeMessage
        {
            Subject = Subject,
            Date = at,
            MessageId = $"{id}@wrapper.localhost",
        };
        message.From.Add(new MailboxAddress(From, NoAddress));
        message.To.AddRange(InternetAddressList.Parse(To));
        // Asks the program that opens it to let it be read over and sent.
        message.Headers.Add("X-Unsent", "1");
        var body = new BodyBuilder { TextBody = Text.ReplaceLineEndings("\r\n") };
        foreach (var enclosed in Enclosures)
            body.Attachments.Add(enclosed.Name, enclosed.Bytes, ContentType.Parse(enclosed.Type));
        message.Body = body.ToMessageBody();
        using var written = new MemoryStream();
        message.WriteTo(new FormatOptions { NewLineFormat = NewLineFormat.Dos }, written);
        return written.ToArray();
    }
}
