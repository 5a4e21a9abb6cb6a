using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>A letter in the tray: when it was written, to whom, about what, and the names of what goes with it.</summary>
public sealed record KeptLetter(string Id, string At, string To, string Subject, IReadOnlyList<string> Enclosures);

/// <summary>Letters that wait in the tray to be sent by hand.</summary>
public sealed class LetterStore(Database database)
{
    /// <summary>What <see cref="Read"/> reads, in its order.</summary>
    internal const string Columns = "id, written_at, addressed, subject, enclosures";

    private const char Apart = '\n';

    /// <summary>Puts letters into the tray, all or none.</summary>
    public void Put(IReadOnlyList<(KeptLetter Letter, byte[] Mail)> letters)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        foreach (var (letter, mail) in letters)
            Execute(
                connection,
                transaction,
                "INSERT INTO letters (id, written_at, addressed, subject, enclosures, mail) VALUES ($id, $at, $to, $subject, $enclosures, $mail)",
                ("$id", letter.Id),
                ("$at", letter.At),
                ("$to", letter.To),
                ("$subject", letter.Subject),
                ("$enclosures", string.Join(Apart, letter.Enclosures)),
                ("$mail", mail)
            );
        transaction.Commit();
    }

    /// <summary>What lies in the tray, the latest first.</summary>
    public IReadOnlyList<KeptLetter> List()
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            $"SELECT {Columns} FROM letters ORDER BY written_at DESC, id DESC"
        );
        using var reader = command.ExecuteReader();
        List<KeptLetter> letters = [];
        while (reader.Read())
            letters.Add(Read(reader));
        return letters;
    }

    /// <summary>A letter as a mail program takes it up; null where there is none.</summary>
    public byte[]? Mail(string id)
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT mail FROM letters WHERE id = $id", ("$id", id)) as byte[];
    }

    /// <summary>The letter of a row that begins with <see cref="Columns"/>.</summary>
    internal static KeptLetter Read(SqliteDataReader row) =>
        new(
            row.GetString(0),
            row.GetString(1),
            row.GetString(2),
            row.GetString(3),
            row.GetString(4).Split(Apart, StringSplitOptions.RemoveEmptyEntries)
        );

    /// <summary>Takes a letter out of the tray; false when there was none.</summary>
    public bool Remove(string id)
    {
        using var connection = database.Connect();
        return Execute(connection, null, "DELETE FROM letters WHERE id = $id", ("$id", id)) > 0;
    }
}
