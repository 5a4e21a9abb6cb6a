using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// Everything that a workroom keeps, as of one moment, however much is written meanwhile. Closed by its reader; rows
/// pass through one at a time.
/// </summary>
public sealed class Everything : IDisposable
{
    private readonly SqliteConnection connection;
    private readonly SqliteTransaction moment;

    /// <summary>Opens the view of <paramref name="database"/>.</summary>
    public Everything(Database database)
    {
        connection = database.Connect();
        moment = connection.BeginTransaction(deferred: true);
    }

    /// <summary>Jobs that were not deleted: their documents, and whether they are put away.</summary>
    /// <exception cref="JobUnreadableException">One is damaged on the disk.</exception>
    public IEnumerable<(string Id, string Document, bool IsAway)> Jobs()
    {
        // What is read of a job is more than its row: ids first.
        List<(string, bool)> ids =
        [
            .. Rows(
                "SELECT id, put_away_at IS NOT NULL FROM jobs WHERE deleted_at IS NULL ORDER BY rowid",
                row => (row.GetString(0), row.GetInt64(1) != 0)
            ),
        ];
        foreach (var (id, away) in ids)
        {
            // After an undo the last revision shows what an earlier one holds.
            var shown = Scalar(
                connection,
                moment,
                "SELECT shows FROM jobs JOIN revisions ON job_id = id AND number = revision WHERE id = $id",
                ("$id", id)
            );
            yield return (id, Document(id, shown is long number ? number : 0), away);
        }
    }

    private string Document(string id, long shown)
    {
        try
        {
            return Revisions.Content(connection, moment, id, shown).Document;
        }
        catch (Exception broken) when (broken is InvalidDataException or EndOfStreamException)
        {
            throw new JobUnreadableException(id, broken);
        }
    }

    /// <summary>Rows of a table of JSON by their ids.</summary>
    public IEnumerable<(string Id, string Content)> Contents(KeptTable table) =>
        Rows(
            table switch
            {
                KeptTable.Customers =>
                    "SELECT id, content FROM customers WHERE deleted_at IS NULL AND merged_into IS NULL ORDER BY id",
                KeptTable.Stock => "SELECT id, content FROM stock ORDER BY id",
                KeptTable.Schedules =>
                    "SELECT job_id, schedules.content FROM schedules JOIN jobs ON id = job_id WHERE deleted_at IS NULL ORDER BY job_id",
                KeptTable.PriceSheets =>
                    "SELECT job_id, price_sheets.content FROM price_sheets JOIN jobs ON id = job_id WHERE deleted_at IS NULL ORDER BY job_id",
                KeptTable.Templates => "SELECT id, content FROM templates ORDER BY id",
                KeptTable.Orders => "SELECT id, content FROM orders ORDER BY id",
                _ => throw new ArgumentOutOfRangeException(nameof(table)),
            },
            row => (row.GetString(0), row.GetString(1))
        );

    /// <summary>Papers as they were given out, the first first, with their drawings.</summary>
    public IEnumerable<WholePaper> Papers() =>
        Rows(
            "SELECT id, job_id, job_revision, customer_id, kind, number, date, based_on, currency, total, content, words, asked, issued_at FROM papers ORDER BY issued_at, kind, number",
            row => new WholePaper(
                row.GetString(0),
                row.GetString(1),
                row.GetInt64(2),
                row.GetString(3),
                row.GetString(4),
                row.GetInt64(5),
                row.GetString(6),
                row.IsDBNull(7) ? null : row.GetString(7),
                row.GetString(8),
                row.GetInt64(9),
                row.GetString(10),
                row.GetString(11),
                row.GetString(12),
                row.GetString(13)
            )
        );

    /// <summary>The drawings of a paper.</summary>
    public IEnumerable<(string Item, byte[] Png)> DrawingsOf(string paper) =>
        Rows(
            "SELECT item, png FROM paper_drawings WHERE paper_id = $paper ORDER BY item",
            row => (row.GetString(0), (byte[])row.GetValue(1)),
            ("$paper", paper)
        );

    /// <summary>What became of a paper since.</summary>
    public IEnumerable<PaperEvent> EventsOf(string paper) =>
        Rows(
            "SELECT event, note, at FROM paper_events WHERE paper_id = $paper ORDER BY id",
            row => new PaperEvent(row.GetString(0), row.GetString(1), row.GetString(2)),
            ("$paper", paper)
        );

    /// <summary>Photos of jobs that were not deleted.</summary>
    public IEnumerable<(string Job, Photo Photo)> Photos() =>
        Rows(
            $"SELECT {PhotoStore.Columns}, job_id FROM photos JOIN (SELECT id AS job, deleted_at FROM jobs) ON job = job_id WHERE deleted_at IS NULL ORDER BY added_at, id",
            row => (row.GetString(7), PhotoStore.Read(row))
        );

    /// <summary>Letters in the tray, each with what a mail program opens.</summary>
    public IEnumerable<(KeptLetter Letter, byte[] Mail)> Letters() =>
        Rows(
            $"SELECT {LetterStore.Columns}, mail FROM letters ORDER BY written_at, id",
            row => (LetterStore.Read(row), (byte[])row.GetValue(5))
        );

    /// <inheritdoc/>
    public void Dispose()
    {
        moment.Dispose();
        connection.Dispose();
    }

    private IEnumerable<T> Rows<T>(string sql, Func<SqliteDataReader, T> read, params (string, object)[] values)
    {
        using var command = Command(connection, moment, sql, values);
        using var rows = command.ExecuteReader();
        while (rows.Read())
            yield return read(rows);
    }
}

/// <summary>Tables that keep JSON by an id.</summary>
public enum KeptTable
{
    /// <summary>Customers on the list.</summary>
    Customers,

    /// <summary>What lies on the shelves.</summary>
    Stock,

    /// <summary>When jobs are made, by their ids.</summary>
    Schedules,

    /// <summary>What was said of prices of jobs, by their ids.</summary>
    PriceSheets,

    /// <summary>Jobs to begin others from.</summary>
    Templates,

    /// <summary>What was ordered from the merchant.</summary>
    Orders,
}

/// <summary>A paper with all that is kept of it; members as in the table of papers.</summary>
public sealed record WholePaper(
    string Id,
    string Job,
    long JobRevision,
    string CustomerId,
    string Kind,
    long Number,
    string Date,
    string? BasedOn,
    string Currency,
    long Total,
    string Content,
    string Words,
    string Asked,
    string IssuedAt
);
