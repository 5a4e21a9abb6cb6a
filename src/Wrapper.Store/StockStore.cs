using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A job on the bench that counts on something of a shelf: on so much as the entry <paramref name="Amount"/> says as
/// JSON, empty for all of it.
/// </summary>
public sealed record Reservation(string Job, string Name, string Amount);

/// <summary>Something on a shelf as JSON, the jobs on the bench that it is reserved by, and whether there is a photo.</summary>
public sealed record KeptStock(
    string Id,
    long Revision,
    string Content,
    IReadOnlyList<Reservation> Reserved,
    bool HasPhoto
);

/// <summary>What came of taking something off the shelves.</summary>
public enum Taking
{
    /// <summary>It is gone.</summary>
    Done,

    /// <summary>There is no such thing.</summary>
    Unknown,

    /// <summary>A job on the bench counts on it.</summary>
    Reserved,
}

/// <summary>The shelves of the workroom, and which batch went where.</summary>
public sealed class StockStore(Database database)
{
    /// <summary>The most rows.</summary>
    public const int Most = 5000;

    /// <summary>By this a row of a job's cloth says that it is one of the shelves.</summary>
    public const string OfShelf = "shelf-";

    private const string Here = "deleted_at IS NULL AND put_away_at IS NULL";

    /// <summary>Rows that hold every word of <paramref name="search"/>, by name.</summary>
    public IReadOnlyList<KeptStock> List(string search = "")
    {
        var words = search.ToLowerInvariant().Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        var has = string.Concat(words.Select((_, n) => $" AND instr(words, $w{n}) > 0"));
        return Read($"TRUE{has}", [.. words.Select((word, n) => ($"$w{n}", (object)word))]);
    }

    /// <summary>Rows of this name, whatever its capitals.</summary>
    public IReadOnlyList<KeptStock> Named(string name) => Read("name = $name COLLATE NOCASE", ("$name", name.Trim()));

    /// <summary>Rows of this batch, whatever its capitals.</summary>
    public IReadOnlyList<KeptStock> OfBatch(string batch) =>
        Read("batch = $batch COLLATE NOCASE AND batch <> ''", ("$batch", batch.Trim()));

    /// <summary>A row; null where there is none.</summary>
    public KeptStock? Find(string id) => Read("id = $id", ("$id", id)).FirstOrDefault();

    /// <summary>
    /// Keeps a row made from revision <paramref name="from"/>, 0 for a new one; null where it was changed since, or there
    /// are too many.
    /// </summary>
    public KeptStock? Keep(string id, long from, string name, string batch, string content, string words)
    {
        using (var connection = database.Connect())
        {
            var changed = Execute(
                connection,
                null,
                from == 0
                    ? $"INSERT OR IGNORE INTO stock (id, revision, name, batch, content, words) SELECT $id, 1, $name, $batch, $content, $words WHERE (SELECT count(*) FROM stock) < {Most}"
                    : "UPDATE stock SET revision = revision + 1, name = $name, batch = $batch, content = $content, words = $words WHERE id = $id AND revision = $from",
                ("$id", id),
                ("$from", from),
                ("$name", name),
                ("$batch", batch),
                ("$content", content),
                ("$words", words.ToLowerInvariant())
            );
            // The same once more, as when a reply was lost, is no change.
            if (changed == 0)
                return Find(id) is { } there && there.Content == content ? there : null;
        }
        return Find(id);
    }

    /// <summary>Takes a row off the shelves that no job on the bench counts on.</summary>
    public Taking Remove(string id)
    {
        if (Find(id) is not { } there)
            return Taking.Unknown;
        if (there.Reserved.Count > 0)
            return Taking.Reserved;
        using var connection = database.Connect();
        Execute(
            connection,
            null,
            "DELETE FROM stock_photos WHERE stock_id = $id; DELETE FROM stock WHERE id = $id",
            ("$id", id)
        );
        return Taking.Done;
    }

    /// <summary>The jobs that cut from this batch, wherever they are kept, deleted ones apart.</summary>
    public IReadOnlyList<string> JobsOf(string batch)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT job_id FROM batches JOIN jobs ON id = job_id WHERE batch = $batch AND deleted_at IS NULL ORDER BY jobs.rowid",
            ("$batch", batch.Trim())
        );
        using var rows = command.ExecuteReader();
        List<string> jobs = [];
        while (rows.Read())
            jobs.Add(rows.GetString(0));
        return jobs;
    }

    /// <summary>Writes what a job takes from the shelves and its batches anew, as its <paramref name="document"/> has them.</summary>
    internal static void Keep(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        JsonElement document
    )
    {
        Execute(
            connection,
            transaction,
            "DELETE FROM reservations WHERE job_id = $id; DELETE FROM batches WHERE job_id = $id; DELETE FROM taken WHERE job_id = $id",
            ("$id", id)
        );
        foreach (var row in document.Rows("fromShelves").Where(row => !row.Is("isOut")))
            Execute(
                connection,
                transaction,
                "INSERT OR IGNORE INTO taken (job_id, row_id, stock_id, amount) VALUES ($id, $row, $stock, $amount)",
                ("$id", id),
                ("$row", row.Text("id")),
                ("$stock", row.Text("stock")),
                ("$amount", row.Object("amount")?.GetRawText() ?? "")
            );
        foreach (var cloth in document.Rows("cloths"))
        {
            foreach (var row in cloth.Rows("stock"))
                if (row.Text("id") is { } shelf && shelf.StartsWith(OfShelf, StringComparison.Ordinal))
                    Execute(
                        connection,
                        transaction,
                        "INSERT OR IGNORE INTO reservations (stock_id, job_id) VALUES ($stock, $id)",
                        ("$stock", shelf[OfShelf.Length..]),
                        ("$id", id)
                    );
        }
        // Those of covers that went out too: the job's cloth may be of another batch since.
        var given = document
            .Rows("handOver", "covers")
            .SelectMany(cover => cover.Object("given")?.Rows("cloths") ?? []);
        foreach (var cloth in document.Rows("cloths").Concat(given))
            if (cloth.Text("batch").Trim() is { Length: > 0 } batch)
                Execute(
                    connection,
                    transaction,
                    "INSERT OR IGNORE INTO batches (batch, job_id) VALUES ($batch, $id)",
                    ("$batch", batch),
                    ("$id", id)
                );
    }

    private List<KeptStock> Read(string where, params (string, object)[] values)
    {
        using var connection = database.Connect();
        Dictionary<string, List<Reservation>> reserved = [];
        using (
            var command = Command(
                connection,
                null,
                $"""
                SELECT stock_id, job_id, name, '' FROM reservations JOIN jobs ON id = job_id WHERE {Here}
                UNION ALL SELECT stock_id, job_id, name, amount FROM taken JOIN jobs ON id = job_id WHERE {Here}
                """
            )
        )
        using (var rows = command.ExecuteReader())
            while (rows.Read())
                (reserved.TryGetValue(rows.GetString(0), out var jobs) ? jobs : reserved[rows.GetString(0)] = []).Add(
                    new(rows.GetString(1), rows.GetString(2), rows.GetString(3))
                );
        using var list = Command(
            connection,
            null,
            $"SELECT id, revision, content, EXISTS (SELECT 1 FROM stock_photos WHERE stock_id = id) FROM stock WHERE {where} ORDER BY name COLLATE NOCASE, id",
            values
        );
        using var found = list.ExecuteReader();
        List<KeptStock> all = [];
        while (found.Read())
            all.Add(
                new(
                    found.GetString(0),
                    found.GetInt64(1),
                    found.GetString(2),
                    reserved.GetValueOrDefault(found.GetString(0)) ?? [],
                    found.GetInt64(3) != 0
                )
            );
        return all;
    }
}
