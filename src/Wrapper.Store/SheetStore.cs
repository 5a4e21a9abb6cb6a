using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>Something that is kept as JSON and changed as a whole; <paramref name="Revision"/> 0 before the first time.</summary>
public sealed record KeptSheet(long Revision, string Content);

/// <summary>
/// The price book of the workroom, and the price sheet of each job. A change names the revision that it was made from,
/// so that nobody writes over somebody else.
/// </summary>
public sealed class SheetStore(Database database)
{
    /// <summary>The price book; null until there is one.</summary>
    public KeptSheet? Book()
    {
        using var connection = database.Connect();
        return Read(connection, null, "SELECT revision, content FROM price_book");
    }

    /// <summary>Keeps the price book; false where another was kept since <paramref name="from"/>.</summary>
    public bool KeepBook(long from, string content)
    {
        using var connection = database.Connect();
        return Execute(
                connection,
                null,
                from == 0
                    ? "INSERT OR IGNORE INTO price_book (only_one, revision, content) VALUES (1, 1, $content)"
                    : "UPDATE price_book SET revision = revision + 1, content = $content WHERE revision = $from",
                ("$from", from),
                ("$content", content)
            ) > 0;
    }

    /// <summary>The price sheet of a job; null until something was said.</summary>
    public KeptSheet? Of(string job)
    {
        using var connection = database.Connect();
        return Read(connection, null, "SELECT revision, content FROM price_sheets WHERE job_id = $job", ("$job", job));
    }

    /// <summary>
    /// Keeps the price sheet of a job; false where another was kept since <paramref name="from"/>, or there is no such
    /// job.
    /// </summary>
    public bool Keep(string job, long from, string content)
    {
        using var connection = database.Connect();
        return Execute(
                connection,
                null,
                from == 0
                    ? "INSERT OR IGNORE INTO price_sheets (job_id, revision, content) SELECT id, 1, $content FROM jobs WHERE id = $job"
                    : "UPDATE price_sheets SET revision = revision + 1, content = $content WHERE job_id = $job AND revision = $from",
                ("$job", job),
                ("$from", from),
                ("$content", content)
            ) > 0;
    }

    private static KeptSheet? Read(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string sql,
        params (string, object)[] values
    )
    {
        using var command = Command(connection, transaction, sql, values);
        using var rows = command.ExecuteReader();
        return rows.Read() ? new(rows.GetInt64(0), rows.GetString(1)) : null;
    }
}
