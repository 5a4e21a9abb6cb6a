using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// What was said of the covers of an item when they went out, as JSON, with the job that has it.
/// <paramref name="Mark"/> is what the next page is asked for with.
/// </summary>
public sealed record KeptRecord(string Job, string JobName, string Item, string Given, string Mark);

/// <summary>
/// Records of what was handed over, found by customer, place, batch and whatever else was said. They are read off the job
/// documents, which hold them.
/// </summary>
public sealed class RecordStore(Database database)
{
    /// <summary>
    /// Records that hold every word of <paramref name="search"/>, the latest first, after the one whose mark is
    /// <paramref name="after"/>; those of deleted jobs left out.
    /// </summary>
    public IReadOnlyList<KeptRecord> Of(string search = "", string? after = null, int limit = 100)
    {
        using var connection = database.Connect();
        var words = search.ToLowerInvariant().Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        var has = string.Concat(words.Select((_, n) => $" AND instr(records.words, $w{n}) > 0"));
        using var command = Command(
            connection,
            null,
            $"""
            SELECT records.job_id, jobs.name, records.item_id, records.given, records.date
            FROM records JOIN jobs ON jobs.id = records.job_id
            WHERE jobs.deleted_at IS NULL
                AND ($after = '' OR records.date || '|' || records.job_id || '|' || records.item_id < $after){has}
            ORDER BY records.date DESC, records.job_id DESC, records.item_id DESC LIMIT $limit
            """,
            [.. words.Select((word, n) => ($"$w{n}", (object)word)), ("$after", after ?? ""), ("$limit", limit)]
        );
        using var rows = command.ExecuteReader();
        List<KeptRecord> records = [];
        while (rows.Read())
            records.Add(
                new(
                    rows.GetString(0),
                    rows.GetString(1),
                    rows.GetString(2),
                    rows.GetString(3),
                    $"{rows.GetString(4)}|{rows.GetString(0)}|{rows.GetString(2)}"
                )
            );
        return records;
    }

    /// <summary>Writes the records of a job anew, as its <paramref name="document"/> has them.</summary>
    internal static void Keep(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        JsonElement document
    )
    {
        Execute(connection, transaction, "DELETE FROM records WHERE job_id = $id", ("$id", id));
        foreach (var cover in document.Rows("handOver", "covers"))
            if (cover.Object("given") is { } given)
                Execute(
                    connection,
                    transaction,
                    "INSERT OR REPLACE INTO records (job_id, item_id, date, given, words) VALUES ($id, $item, $date, $given, $words)",
                    ("$id", id),
                    ("$item", cover.Text("id")),
                    ("$date", given.Text("date")),
                    ("$given", given.GetRawText()),
                    ("$words", string.Join('\n', Texts(given)).ToLowerInvariant())
                );
    }

    private static IEnumerable<string> Texts(JsonElement of) =>
        of.ValueKind switch
        {
            JsonValueKind.String => [of.GetString() ?? ""],
            JsonValueKind.Array => of.EnumerateArray().SelectMany(Texts),
            JsonValueKind.Object => of.EnumerateObject().SelectMany(property => Texts(property.Value)),
            _ => [],
        };
}
