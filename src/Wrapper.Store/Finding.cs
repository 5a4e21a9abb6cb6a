using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// What jobs are found by: the words of a document, kept beside it in the same transaction and found by any three
/// letters of them.
/// </summary>
public static class Finding
{
    // Fewer letters than the index knows are looked for in names alone.
    private const int Letters = 3;

    /// <summary>Writes what a job is found by anew.</summary>
    internal static void Keep(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        string name,
        string customer,
        JsonElement document
    )
    {
        var words = Words(name, customer, document);
        if (Scalar(connection, transaction, "SELECT found FROM jobs WHERE id = $id", ("$id", id)) is long row)
            Execute(
                connection,
                transaction,
                "UPDATE found SET words = $words WHERE rowid = $row",
                ("$words", words),
                ("$row", row)
            );
        else
            Execute(
                connection,
                transaction,
                """
                UPDATE jobs SET found = (SELECT coalesce(max(found), 0) + 1 FROM jobs) WHERE id = $id;
                INSERT INTO found (rowid, words) SELECT found, $words FROM jobs WHERE id = $id
                """,
                ("$words", words),
                ("$id", id)
            );
    }

    /// <summary>
    /// Writes it for jobs of before there was such a thing; returns how many. A job that cannot be read is found by its
    /// names.
    /// </summary>
    public static int Rebuild(Database database, CancellationToken stop = default)
    {
        List<(string Id, string Name, string Customer)> without = [];
        using var connection = database.Connect();
        using (var command = Command(connection, null, "SELECT id, name, customer FROM jobs WHERE found IS NULL"))
        using (var rows = command.ExecuteReader())
            while (rows.Read())
                without.Add((rows.GetString(0), rows.GetString(1), rows.GetString(2)));
        foreach (var (id, name, customer) in without.TakeWhile(_ => !stop.IsCancellationRequested))
        {
            using var transaction = connection.BeginTransaction(deferred: false);
            Keep(connection, transaction, id, name, customer, StoredJson.Parse(Document(connection, transaction, id)));
            transaction.Commit();
        }
        return without.Count;
    }

    /// <summary>
    /// The condition under which a job holds every word of <paramref name="search"/>, and what it is asked with.
    /// </summary>
    internal static (string Where, string Words) Query(string search)
    {
        var words = search.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        if (words.Length == 0)
            return ("TRUE", "");
        if (words.Any(word => word.EnumerateRunes().Count() < Letters))
            return ("instr(lower(name || ' ' || customer), $words) > 0", search.Trim().ToLowerInvariant());
        return (
            "found IN (SELECT rowid FROM found WHERE found MATCH $words)",
            string.Join(" AND ", words.Select(word => $"\"{word.Replace("\"", "\"\"")}\""))
        );
    }

    private static string Document(SqliteConnection connection, SqliteTransaction transaction, string id)
    {
        try
        {
            var shows = (long)
                Scalar(
                    connection,
                    transaction,
                    "SELECT shows FROM revisions JOIN jobs ON jobs.id = job_id AND jobs.revision = number WHERE job_id = $id",
                    ("$id", id)
                )!;
            return Revisions.Content(connection, transaction, id, shows).Document;
        }
        catch (Exception broken) when (broken is InvalidDataException or EndOfStreamException or NullReferenceException)
        {
            return "";
        }
    }

    private static string Words(string name, string customer, JsonElement document) =>
        string.Join(
            '\n',
            new[] { name, customer }
                .Concat(document.Rows("items").SelectMany(item => new[] { item.Text("name"), item.Text("notes") }))
                .Concat(document.Rows("cloths").Select(cloth => cloth.Text("name")))
                .Where(word => word.Length > 0)
        );
}
