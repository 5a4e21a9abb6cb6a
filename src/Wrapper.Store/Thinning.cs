using System.Globalization;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// Of revisions older than 30 days keeps the last of each day, and whatever a later one leads back to.
/// </summary>
public static class Thinning
{
    private const int DaysWhole = 30;

    private sealed record Old(
        long Number,
        string Day,
        bool IsOld,
        bool HasContent,
        long? Onto,
        long Shows,
        long? Before,
        long[] Redo
    );

    /// <summary>Thins every job; returns how many revisions went.</summary>
    public static int Run(Database database, DateTimeOffset now, CancellationToken stop = default)
    {
        var limit = now.UtcDateTime.AddDays(-DaysWhole).ToString("O", CultureInfo.InvariantCulture);
        List<string> ids = [];
        using (var connection = database.Connect())
        {
            // Jobs with a day that holds several old ones.
            using var command = Command(
                connection,
                null,
                "SELECT DISTINCT job_id FROM revisions WHERE saved_at < $limit GROUP BY job_id, substr(saved_at, 1, 10) HAVING count(*) > 1",
                ("$limit", limit)
            );
            using var rows = command.ExecuteReader();
            while (rows.Read())
                ids.Add(rows.GetString(0));
        }
        return ids.TakeWhile(_ => !stop.IsCancellationRequested).Sum(id => Thin(database, id, limit));
    }

    private static int Thin(Database database, string id, string limit)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        var all = Read(connection, transaction, id, limit);
        var current = (long)Scalar(connection, transaction, "SELECT revision FROM jobs WHERE id = $id", ("$id", id))!;
        var kept = all.Where(each => each.IsOld)
            .GroupBy(each => each.Day)
            .Select(day => day.Max(each => each.Number))
            .ToHashSet();
        foreach (var recent in all.Where(each => !each.IsOld || each.Number == current))
            kept.UnionWith([recent.Number, recent.Shows, recent.Before ?? recent.Number, .. recent.Redo]);
        var gone = all.Where(each => !kept.Contains(each.Number)).ToList();
        if (gone.Count == 0)
            return 0;
        foreach (var each in all.Where(each => kept.Contains(each.Number)))
        {
            // What it shows becomes its own, and what leads nowhere leads to the nearest before it.
            var own = each.HasContent || !kept.Contains(each.Shows);
            if (own && (!each.HasContent || (each.Onto is { } onto && !kept.Contains(onto))))
                Execute(
                    connection,
                    transaction,
                    "UPDATE revisions SET content = $content, onto = NULL, depth = 0, shows = number WHERE job_id = $id AND number = $number",
                    ("$content", Contents.Pack(Revisions.Content(connection, transaction, id, each.Shows).Document)),
                    ("$id", id),
                    ("$number", each.Number)
                );
            if (each.Before is { } before && !kept.Contains(before))
                Execute(
                    connection,
                    transaction,
                    "UPDATE revisions SET before = $before WHERE job_id = $id AND number = $number",
                    (
                        "$before",
                        (object?)all.LastOrDefault(other => other.Number < before && kept.Contains(other.Number))
                            is Old nearest
                            ? kept.Contains(nearest.Shows)
                                ? nearest.Shows
                                : nearest.Number
                            : DBNull.Value
                    ),
                    ("$id", id),
                    ("$number", each.Number)
                );
            if (each.Redo.Any(number => !kept.Contains(number)))
                Execute(
                    connection,
                    transaction,
                    "UPDATE revisions SET redo = '[]' WHERE job_id = $id AND number = $number",
                    ("$id", id),
                    ("$number", each.Number)
                );
        }
        foreach (var each in gone)
            Execute(
                connection,
                transaction,
                "DELETE FROM revisions WHERE job_id = $id AND number = $number",
                ("$id", id),
                ("$number", each.Number)
            );
        transaction.Commit();
        return gone.Count;
    }

    private static List<Old> Read(SqliteConnection connection, SqliteTransaction transaction, string id, string limit)
    {
        using var command = Command(
            connection,
            transaction,
            "SELECT number, saved_at, content IS NOT NULL, onto, shows, before, redo FROM revisions WHERE job_id = $id ORDER BY number",
            ("$id", id)
        );
        using var rows = command.ExecuteReader();
        List<Old> all = [];
        while (rows.Read())
            all.Add(
                new Old(
                    rows.GetInt64(0),
                    rows.GetString(1)[..10],
                    string.CompareOrdinal(rows.GetString(1), limit) < 0,
                    rows.GetBoolean(2),
                    rows.IsDBNull(3) ? null : rows.GetInt64(3),
                    rows.GetInt64(4),
                    rows.IsDBNull(5) ? null : rows.GetInt64(5),
                    JsonSerializer.Deserialize<long[]>(rows.GetString(6))!
                )
            );
        return all;
    }
}
