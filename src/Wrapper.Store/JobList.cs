using System.Globalization;
using System.Text.Json.Serialization;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A job in a list; <paramref name="Mark"/> is what the next page of that list is asked for with.
/// <paramref name="GoesAt"/> is when a deleted one goes for good.
/// </summary>
public sealed record JobSummary(
    string Id,
    string Name,
    string Customer,
    long Revision,
    DateTimeOffset ChangedAt,
    DateTimeOffset? GoesAt,
    string Mark
);

/// <summary>Where a job is kept: on the bench, put away, or deleted and still to be had.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Kept>))]
public enum Kept
{
    /// <summary>On the bench.</summary>
    Here,

    /// <summary>Put away: out of the list, and nothing of it goes.</summary>
    Away,

    /// <summary>Deleted: it goes after <see cref="JobList.DaysKept"/> days.</summary>
    Deleted,
}

/// <summary>What jobs are listed by.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<JobOrder>))]
public enum JobOrder
{
    /// <summary>The latest change first.</summary>
    Changed,

    /// <summary>Their names, whatever their capitals.</summary>
    Name,

    /// <summary>Their customers' names, whatever their capitals.</summary>
    Customer,
}

/// <summary>The list of jobs: found, sorted, page by page; put away, deleted and brought back.</summary>
public sealed class JobList(Database database, TimeProvider clock)
{
    /// <summary>A deleted job can be brought back for so many days.</summary>
    public const int DaysKept = 30;

    /// <summary>
    /// Jobs that hold every word of <paramref name="search"/> in their names, or those of customer, items and cloths, or
    /// in their notes; after the one whose mark in this order is <paramref name="after"/>.
    /// </summary>
    public IReadOnlyList<JobSummary> Of(
        int limit = 200,
        string search = "",
        string? after = null,
        Kept kept = Kept.Here,
        JobOrder order = JobOrder.Changed
    )
    {
        var (where, words) = Finding.Query(search);
        var column = order switch
        {
            JobOrder.Name => "name COLLATE NOCASE",
            JobOrder.Customer => "customer COLLATE NOCASE",
            _ => "changed_at",
        };
        var (before, direction) = order == JobOrder.Changed ? ("<", "DESC") : (">", "ASC");
        var (value, id) = after?.Split('\n', 2) is [var markId, var markValue] ? (markValue, markId) : ("", "");
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            $"""
            SELECT id, name, customer, revision, changed_at, deleted_at FROM jobs
            WHERE {Where(kept)} AND {where}
                AND ($id = '' OR {column} {before} $value OR ({column} = $value AND id > $id))
            ORDER BY {column} {direction}, id LIMIT $limit
            """,
            ("$limit", limit),
            ("$value", value),
            ("$id", id)
        );
        if (words.Length > 0)
            command.Parameters.AddWithValue("$words", words);
        using var rows = command.ExecuteReader();
        var jobs = new List<JobSummary>();
        while (rows.Read())
            jobs.Add(Read(rows, order));
        return jobs;
    }

    /// <summary>Every job of a customer and where it is kept, the latest change first.</summary>
    public IReadOnlyList<(JobSummary Job, Kept Kept)> OfCustomer(string customer)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            """
            SELECT id, name, customer, revision, changed_at, deleted_at, put_away_at FROM jobs
            WHERE customer_id = $customer AND customer_id <> '' ORDER BY changed_at DESC, id
            """,
            ("$customer", customer)
        );
        using var rows = command.ExecuteReader();
        List<(JobSummary, Kept)> jobs = [];
        while (rows.Read())
            jobs.Add(
                (
                    Read(rows, JobOrder.Changed),
                    !rows.IsDBNull(5) ? Kept.Deleted
                    : !rows.IsDBNull(6) ? Kept.Away
                    : Kept.Here
                )
            );
        return jobs;
    }

    private static JobSummary Read(SqliteDataReader row, JobOrder order)
    {
        var (id, name, customer, changed) = (row.GetString(0), row.GetString(1), row.GetString(2), row.GetString(4));
        return new(
            id,
            name,
            customer,
            row.GetInt64(3),
            At(changed),
            row.IsDBNull(5) ? null : At(row.GetString(5)).AddDays(DaysKept),
            $"{id}\n{order switch { JobOrder.Name => name, JobOrder.Customer => customer, _ => changed }}"
        );
    }

    private static DateTimeOffset At(string kept) => DateTimeOffset.Parse(kept, CultureInfo.InvariantCulture);

    private static string Where(Kept kept) =>
        kept switch
        {
            Kept.Away => "deleted_at IS NULL AND put_away_at IS NOT NULL",
            Kept.Deleted => "deleted_at IS NOT NULL",
            _ => "deleted_at IS NULL AND put_away_at IS NULL",
        };

    /// <summary>Whether a job of this id was deleted.</summary>
    public bool IsDeleted(string id)
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT 1 FROM jobs WHERE id = $id AND deleted_at IS NOT NULL", ("$id", id))
            is not null;
    }

    /// <summary>Puts a job elsewhere, from wherever it is; false when there is none.</summary>
    public bool Put(string id, Kept where)
    {
        using var connection = database.Connect();
        object now = clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
        return Execute(
                connection,
                null,
                "UPDATE jobs SET deleted_at = $deleted, put_away_at = $away WHERE id = $id",
                ("$id", id),
                ("$deleted", where == Kept.Deleted ? now : DBNull.Value),
                ("$away", where == Kept.Away ? now : DBNull.Value)
            ) > 0;
    }

    /// <summary>
    /// Takes what was deleted more than <see cref="DaysKept"/> days ago out of the file, with its photos; returns how
    /// many jobs went.
    /// </summary>
    public int Clear()
    {
        var limit = clock.GetUtcNow().AddDays(-DaysKept).ToString("O", CultureInfo.InvariantCulture);
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        const string gone = "SELECT id FROM jobs WHERE deleted_at < $limit";
        foreach (
            var part in new[]
            {
                $"DELETE FROM photos WHERE job_id IN ({gone})",
                $"DELETE FROM records WHERE job_id IN ({gone})",
                $"DELETE FROM reservations WHERE job_id IN ({gone})",
                $"DELETE FROM taken WHERE job_id IN ({gone})",
                $"DELETE FROM batches WHERE job_id IN ({gone})",
                $"DELETE FROM named_states WHERE job_id IN ({gone})",
                $"DELETE FROM schedules WHERE job_id IN ({gone})",
                $"DELETE FROM price_sheets WHERE job_id IN ({gone})",
                $"DELETE FROM fits WHERE job_id IN ({gone})",
                $"DELETE FROM times WHERE job_id IN ({gone})",
                $"DELETE FROM changes WHERE job_id IN ({gone})",
                $"DELETE FROM revisions WHERE job_id IN ({gone})",
                "DELETE FROM found WHERE rowid IN (SELECT found FROM jobs WHERE deleted_at < $limit)",
            }
        )
            Execute(connection, transaction, part, ("$limit", limit));
        var count = Execute(connection, transaction, "DELETE FROM jobs WHERE deleted_at < $limit", ("$limit", limit));
        transaction.Commit();
        return count;
    }
}
