using System.Globalization;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A paper as it was given out: <paramref name="Total"/> in smallest units of its currency, <paramref name="Content"/>
/// as JSON, <paramref name="Events"/> what became of it since. <paramref name="Mark"/> asks for the next page.
/// </summary>
public sealed record KeptPaper(
    string Id,
    string Job,
    string CustomerId,
    string Kind,
    int Number,
    string Date,
    string? BasedOn,
    string Currency,
    long Total,
    string Content,
    IReadOnlyList<PaperEvent> Events,
    IReadOnlyList<string> Drawings,
    string Mark
);

/// <summary>Something that became of a paper, when, and why.</summary>
public sealed record PaperEvent(string Event, string Note, string At);

/// <summary>
/// A paper to be given out. <paramref name="Asked"/> is what was asked for: the same id with the same request gets its
/// first result.
/// </summary>
public sealed record NewPaper(
    string Id,
    string Job,
    long JobRevision,
    string CustomerId,
    string Kind,
    string Date,
    string? BasedOn,
    string Currency,
    long Total,
    string Words,
    string Asked,
    IReadOnlyDictionary<string, byte[]> Drawings
);

/// <summary>
/// Papers: written once, numbered by kind without gaps, and never changed. The database itself refuses the rest.
/// </summary>
public sealed class PaperStore(Database database, TimeProvider clock)
{
    // What a trigger or a missing row answers.
    private const int Constraint = 19;

    private const string Columns =
        "id, job_id, customer_id, kind, number, date, based_on, currency, total, content, issued_at";

    /// <summary>
    /// Gives a paper out; <paramref name="content"/> writes it when its number is known, and <paramref name="allowed"/>
    /// looks, with no other writer between, at the papers that the job has. A repeated id gives the paper that it made.
    /// Null where it is refused, or the id was used for another paper.
    /// </summary>
    public KeptPaper? Issue(NewPaper paper, Func<int, string> content, Func<IReadOnlyList<KeptPaper>, bool> allowed)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (
            Scalar(connection, transaction, "SELECT asked FROM papers WHERE id = $id", ("$id", paper.Id))
            is string asked
        )
            return asked == paper.Asked ? Of(connection, transaction, "id = $of", paper.Id).Single() : null;
        if (!allowed(Of(connection, transaction, "job_id = $of", paper.Job)))
            return null;
        var number =
            1
            + (int)
                (long)
                    Scalar(
                        connection,
                        transaction,
                        "SELECT coalesce(max(number), 0) FROM papers WHERE kind = $kind",
                        ("$kind", paper.Kind)
                    )!;
        Insert(
            connection,
            transaction,
            new(
                paper.Id,
                paper.Job,
                paper.JobRevision,
                paper.CustomerId,
                paper.Kind,
                number,
                paper.Date,
                paper.BasedOn,
                paper.Currency,
                paper.Total,
                content(number),
                paper.Words.ToLowerInvariant(),
                paper.Asked,
                Now()
            ),
            paper.Drawings
        );
        transaction.Commit();
        return Of(connection, null, "id = $of", paper.Id).Single();
    }

    private static void Insert(
        SqliteConnection connection,
        SqliteTransaction transaction,
        WholePaper paper,
        IReadOnlyDictionary<string, byte[]> drawings
    )
    {
        Execute(
            connection,
            transaction,
            """
            INSERT INTO papers (id, job_id, job_revision, customer_id, kind, number, date, based_on, currency, total, content, words, asked, issued_at)
            VALUES ($id, $job, $revision, $customer, $kind, $number, $date, $on, $currency, $total, $content, $words, $asked, $at)
            """,
            ("$id", paper.Id),
            ("$job", paper.Job),
            ("$revision", paper.JobRevision),
            ("$customer", paper.CustomerId),
            ("$kind", paper.Kind),
            ("$number", paper.Number),
            ("$date", paper.Date),
            ("$on", (object?)paper.BasedOn ?? DBNull.Value),
            ("$currency", paper.Currency),
            ("$total", paper.Total),
            ("$content", paper.Content),
            ("$words", paper.Words),
            ("$asked", paper.Asked),
            ("$at", paper.IssuedAt)
        );
        foreach (var (item, png) in drawings)
            Execute(
                connection,
                transaction,
                "INSERT INTO paper_drawings (paper_id, item, png) VALUES ($paper, $item, $png)",
                ("$paper", paper.Id),
                ("$item", item),
                ("$png", png)
            );
    }

    /// <summary>The last number of a kind that was given; 0 before the first.</summary>
    public long Last(string kind)
    {
        using var connection = database.Connect();
        return (long)
            Scalar(
                connection,
                null,
                "SELECT coalesce(max(number), 0) FROM papers WHERE kind = $kind",
                ("$kind", kind)
            )!;
    }

    /// <summary>
    /// Takes in a paper that was given out elsewhere, as it is, with its drawings and what became of it; one that is
    /// there already stays. False where its number is not the next of its kind here, or what it rests on is missing: no
    /// number is given twice.
    /// </summary>
    public bool TakeIn(WholePaper paper, IReadOnlyDictionary<string, byte[]> drawings, IReadOnlyList<PaperEvent> events)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (
            Scalar(connection, transaction, "SELECT content FROM papers WHERE id = $id", ("$id", paper.Id))
            is string there
        )
            return there == paper.Content;
        try
        {
            Insert(connection, transaction, paper, drawings);
            foreach (var each in events)
                Execute(
                    connection,
                    transaction,
                    "INSERT INTO paper_events (paper_id, event, note, at) VALUES ($paper, $event, $note, $at)",
                    ("$paper", paper.Id),
                    ("$event", each.Event),
                    ("$note", each.Note),
                    ("$at", each.At)
                );
        }
        catch (SqliteException refused) when (refused.SqliteErrorCode == Constraint)
        {
            return false;
        }
        transaction.Commit();
        return true;
    }

    /// <summary>The papers of a job, the first given out first.</summary>
    public IReadOnlyList<KeptPaper> OfJob(string job)
    {
        using var connection = database.Connect();
        return Of(connection, null, "job_id = $of", job);
    }

    /// <summary>The papers of a customer, the first given out first.</summary>
    public IReadOnlyList<KeptPaper> OfCustomer(string customer)
    {
        using var connection = database.Connect();
        return Of(connection, null, "customer_id = $of", customer);
    }

    /// <summary>A paper; null where there is none.</summary>
    public KeptPaper? Find(string id)
    {
        using var connection = database.Connect();
        return Of(connection, null, "id = $of", id).FirstOrDefault();
    }

    /// <summary>
    /// Papers that hold every word of <paramref name="search"/>, of this <paramref name="kind"/> where one is given, the
    /// latest first, after the one whose mark is <paramref name="after"/>.
    /// </summary>
    public IReadOnlyList<KeptPaper> List(string search, string? kind, string? after, int limit)
    {
        using var connection = database.Connect();
        var words = search.ToLowerInvariant().Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        var has = string.Concat(words.Select((_, n) => $" AND instr(words, $w{n}) > 0"));
        using var command = Command(
            connection,
            null,
            $"""
            SELECT {Columns} FROM papers
            WHERE ($kind = '' OR kind = $kind) AND ($after = '' OR issued_at || '|' || id < $after){has}
            ORDER BY issued_at DESC, id DESC LIMIT $limit
            """,
            [
                .. words.Select((word, n) => ($"$w{n}", (object)word)),
                ("$kind", kind ?? ""),
                ("$after", after ?? ""),
                ("$limit", limit),
            ]
        );
        return Read(connection, null, command);
    }

    /// <summary>The drawing of an item on a paper; null where it has none.</summary>
    public byte[]? Drawing(string paper, string item)
    {
        using var connection = database.Connect();
        return Scalar(
                connection,
                null,
                "SELECT png FROM paper_drawings WHERE paper_id = $paper AND item = $item",
                ("$paper", paper),
                ("$item", item)
            ) as byte[];
    }

    /// <summary>Notes what became of a paper; false where there is no such paper or it was noted before.</summary>
    public bool Note(string paper, string what, string why)
    {
        using var connection = database.Connect();
        return Execute(
                connection,
                null,
                """
                INSERT INTO paper_events (paper_id, event, note, at)
                SELECT id, $event, $note, $at FROM papers
                WHERE id = $paper AND NOT EXISTS (SELECT 1 FROM paper_events WHERE paper_id = $paper AND event = $event)
                """,
                ("$paper", paper),
                ("$event", what),
                ("$note", why),
                ("$at", Now())
            ) > 0;
    }

    private static List<KeptPaper> Of(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string where,
        string of
    )
    {
        using var command = Command(
            connection,
            transaction,
            $"SELECT {Columns} FROM papers WHERE {where} ORDER BY issued_at, rowid",
            ("$of", of)
        );
        return Read(connection, transaction, command);
    }

    private static List<KeptPaper> Read(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        SqliteCommand command
    )
    {
        List<KeptPaper> papers = [];
        using (var rows = command.ExecuteReader())
            while (rows.Read())
                papers.Add(
                    new(
                        rows.GetString(0),
                        rows.GetString(1),
                        rows.GetString(2),
                        rows.GetString(3),
                        rows.GetInt32(4),
                        rows.GetString(5),
                        rows.IsDBNull(6) ? null : rows.GetString(6),
                        rows.GetString(7),
                        rows.GetInt64(8),
                        rows.GetString(9),
                        [],
                        [],
                        $"{rows.GetString(10)}|{rows.GetString(0)}"
                    )
                );
        return
        [
            .. papers.Select(paper =>
                paper with
                {
                    Events = Events(connection, transaction, paper.Id),
                    Drawings = Drawn(connection, transaction, paper.Id),
                }
            ),
        ];
    }

    private static List<PaperEvent> Events(SqliteConnection connection, SqliteTransaction? transaction, string paper)
    {
        using var command = Command(
            connection,
            transaction,
            "SELECT event, note, at FROM paper_events WHERE paper_id = $paper ORDER BY id",
            ("$paper", paper)
        );
        using var rows = command.ExecuteReader();
        List<PaperEvent> events = [];
        while (rows.Read())
            events.Add(new(rows.GetString(0), rows.GetString(1), rows.GetString(2)));
        return events;
    }

    private static List<string> Drawn(SqliteConnection connection, SqliteTransaction? transaction, string paper)
    {
        using var command = Command(
            connection,
            transaction,
            "SELECT item FROM paper_drawings WHERE paper_id = $paper",
            ("$paper", paper)
        );
        using var rows = command.ExecuteReader();
        List<string> items = [];
        while (rows.Read())
            items.Add(rows.GetString(0));
        return items;
    }

    private string Now() => clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
}
