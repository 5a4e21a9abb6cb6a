using System.Globalization;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A customer as JSON. <paramref name="OpenJobs"/> are those on the bench; <paramref name="Mark"/> asks for the next
/// page.
/// </summary>
public sealed record KeptCustomer(string Id, long Revision, string Name, string Content, long OpenJobs, string Mark);

/// <summary>What goes into an entry of a customer: the JSON, and what it is found and known by.</summary>
public sealed record CustomerEntry(string Name, string Content, string Words, IEnumerable<string> Marks);

/// <summary>What came of deleting a customer.</summary>
public enum Removal
{
    /// <summary>It is gone from the list.</summary>
    Done,

    /// <summary>There is no such customer.</summary>
    Unknown,

    /// <summary>Jobs on the bench are theirs.</summary>
    HasJobs,
}

/// <summary>The customers of the workroom. What two entries were joined into stands for both in every job.</summary>
public sealed class CustomerStore(Database database, TimeProvider clock)
{
    // The condition on the id says nothing new, and lets the index be used.
    private const string OpenJobs =
        "(SELECT count(*) FROM jobs WHERE customer_id = customers.id AND customer_id <> '' AND deleted_at IS NULL AND put_away_at IS NULL)";

    /// <summary>A customer, or the one that it was joined into; null where there is none.</summary>
    public KeptCustomer? Find(string id)
    {
        using var connection = database.Connect();
        return Standing(connection, null, id) is { } now ? Read(connection, null, now) : null;
    }

    /// <summary>
    /// Makes a customer, or changes the one of <paramref name="id"/> from revision <paramref name="from"/>, 0 for a new
    /// one; null where it was changed since, or is not there. The same entry again under its id changes nothing.
    /// </summary>
    public KeptCustomer? Keep(string id, long from, CustomerEntry entry)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Read(connection, transaction, id) is { } there)
        {
            if (there.Content == entry.Content && from <= there.Revision)
                return there;
            if (there.Revision != from)
                return null;
        }
        else if (from != 0)
            return null;
        Execute(
            connection,
            transaction,
            """
            INSERT INTO customers (id, revision, name, content, words, changed_at) VALUES ($id, 1, $name, $content, $words, $at)
            ON CONFLICT (id) DO UPDATE SET
                revision = revision + 1, name = excluded.name, content = excluded.content, words = excluded.words,
                changed_at = excluded.changed_at, deleted_at = NULL
            """,
            ("$id", id),
            ("$name", entry.Name),
            ("$content", entry.Content),
            ("$words", entry.Words.ToLowerInvariant()),
            ("$at", Now())
        );
        KeepMarks(connection, transaction, id, entry.Marks);
        transaction.Commit();
        return Read(connection, null, id);
    }

    /// <summary>
    /// Customers that hold every word of <paramref name="search"/>, by name, after the one whose mark is
    /// <paramref name="after"/>.
    /// </summary>
    public IReadOnlyList<KeptCustomer> List(string search, string? after, int limit)
    {
        using var connection = database.Connect();
        var words = search.ToLowerInvariant().Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        var has = string.Concat(words.Select((_, n) => $" AND instr(words, $w{n}) > 0"));
        var (id, name) = after?.Split('\n', 2) is [var markId, var markName] ? (markId, markName) : ("", "");
        using var command = Command(
            connection,
            null,
            $"""
            SELECT id, revision, name, content, {OpenJobs}
            FROM (
                SELECT id, revision, name, content FROM customers
                WHERE deleted_at IS NULL AND merged_into IS NULL{has}
                    AND ($id = '' OR name COLLATE NOCASE > $name OR (name COLLATE NOCASE = $name AND id > $id))
                ORDER BY name COLLATE NOCASE, id LIMIT $limit
            ) AS customers
            ORDER BY name COLLATE NOCASE, id
            """,
            [.. words.Select((word, n) => ($"$w{n}", (object)word)), ("$id", id), ("$name", name), ("$limit", limit)]
        );
        return Read(command);
    }

    /// <summary>Other entries that may be this customer too: the same name, telephone or mail.</summary>
    public IReadOnlyList<KeptCustomer> Alike(string id)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            $"""
            SELECT id, revision, name, content, {OpenJobs}
            FROM customers
            WHERE deleted_at IS NULL AND merged_into IS NULL AND id <> $id AND id IN (
                SELECT other.customer_id FROM customer_marks own JOIN customer_marks other ON other.mark = own.mark
                WHERE own.customer_id = $id)
            ORDER BY name COLLATE NOCASE, id
            """,
            ("$id", id)
        );
        return Read(command);
    }

    /// <summary>
    /// Joins one entry into another, which is then what <paramref name="joined"/> makes of both; false where either is
    /// not there or they are the same.
    /// </summary>
    public bool Join(string id, string into, Func<KeptCustomer, KeptCustomer, CustomerEntry> joined)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (
            Standing(connection, transaction, into) is not { } kept
            || kept == id
            || Read(connection, transaction, id) is not { } gone
            || Read(connection, transaction, kept) is not { } stays
        )
            return false;
        var entry = joined(stays, gone);
        Execute(
            connection,
            transaction,
            """
            UPDATE customers SET revision = revision + 1, name = $name, content = $content, words = $words, changed_at = $at WHERE id = $kept;
            UPDATE customers SET merged_into = $kept WHERE id = $id OR merged_into = $id;
            UPDATE jobs SET customer_id = $kept WHERE customer_id = $id;
            DELETE FROM customer_marks WHERE customer_id = $id
            """,
            ("$id", id),
            ("$kept", kept),
            ("$name", entry.Name),
            ("$content", entry.Content),
            ("$words", entry.Words.ToLowerInvariant()),
            ("$at", Now())
        );
        KeepMarks(connection, transaction, kept, entry.Marks);
        transaction.Commit();
        return true;
    }

    /// <summary>Takes a customer off the list who has no job on the bench; nothing that jobs or papers say changes.</summary>
    public Removal Remove(string id)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Read(connection, transaction, id) is not { } there)
            return Removal.Unknown;
        if (there.OpenJobs > 0)
            return Removal.HasJobs;
        Execute(
            connection,
            transaction,
            "UPDATE customers SET deleted_at = $at WHERE id = $id; DELETE FROM customer_marks WHERE customer_id = $id",
            ("$id", id),
            ("$at", Now())
        );
        transaction.Commit();
        return Removal.Done;
    }

    /// <summary>The entry that stands for <paramref name="id"/> now; the id itself where there is none.</summary>
    internal static string StandingFor(SqliteConnection connection, SqliteTransaction transaction, string id) =>
        id.Length == 0 ? "" : Standing(connection, transaction, id) ?? id;

    private static string? Standing(SqliteConnection connection, SqliteTransaction? transaction, string id) =>
        Scalar(connection, transaction, "SELECT coalesce(merged_into, id) FROM customers WHERE id = $id", ("$id", id))
        as string;

    private static KeptCustomer? Read(SqliteConnection connection, SqliteTransaction? transaction, string id)
    {
        using var command = Command(
            connection,
            transaction,
            $"""
            SELECT id, revision, name, content, {OpenJobs}
            FROM customers WHERE id = $id AND deleted_at IS NULL AND merged_into IS NULL
            """,
            ("$id", id)
        );
        return Read(command).FirstOrDefault();
    }

    private static List<KeptCustomer> Read(SqliteCommand command)
    {
        using var rows = command.ExecuteReader();
        List<KeptCustomer> customers = [];
        while (rows.Read())
            customers.Add(
                new(
                    rows.GetString(0),
                    rows.GetInt64(1),
                    rows.GetString(2),
                    rows.GetString(3),
                    rows.GetInt64(4),
                    $"{rows.GetString(0)}\n{rows.GetString(2)}"
                )
            );
        return customers;
    }

    private static void KeepMarks(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        IEnumerable<string> marks
    )
    {
        Execute(connection, transaction, "DELETE FROM customer_marks WHERE customer_id = $id", ("$id", id));
        foreach (var mark in marks.Distinct())
            Execute(
                connection,
                transaction,
                "INSERT INTO customer_marks (mark, customer_id) VALUES ($mark, $id)",
                ("$mark", mark),
                ("$id", id)
            );
    }

    private string Now() => clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
}
