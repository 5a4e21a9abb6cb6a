using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A revision's place in the line of undo: what it shows, where undo leads, what redo leads to.
/// </summary>
internal sealed record Place(long Shows, long? Before, long[] Redo);

/// <summary>A job at one revision, its place in the line of undo, and the step that its edit belongs to.</summary>
internal sealed record Revision(StoredJob Job, Place Place, string Step);

/// <summary>
/// Revisions as they are written and read: whole, or as the difference from an earlier one; after an undo without a
/// content of their own, only with what they show.
/// </summary>
internal static class Revisions
{
    // Reading a revision looks up so many others at the most.
    private const int MostDifferences = 24;

    /// <summary>By what a change is known again: a digest of its document.</summary>
    public static byte[] Digest(Change change) => SHA256.HashData(Encoding.UTF8.GetBytes(change.Document))[..16];

    /// <summary>The revision that a change id has made already, and the digest of what it carried; null for a new one.</summary>
    public static (long Number, byte[]? Digest)? Done(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        string changeId
    )
    {
        using var command = Command(
            connection,
            transaction,
            "SELECT number, digest FROM changes WHERE job_id = $id AND change_id = $change",
            ("$id", id),
            ("$change", changeId)
        );
        using var rows = command.ExecuteReader();
        return rows.Read() ? (rows.GetInt64(0), rows.IsDBNull(1) ? null : rows.GetFieldValue<byte[]>(1)) : null;
    }

    /// <summary>A job's last revision, or null; of one that was deleted too if <paramref name="deleted"/>.</summary>
    /// <exception cref="JobUnreadableException">It is damaged.</exception>
    public static Revision? Current(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string id,
        bool deleted = false
    ) =>
        Scalar(
            connection,
            transaction,
            $"SELECT revision FROM jobs WHERE id = $id{(deleted ? "" : " AND deleted_at IS NULL")}",
            ("$id", id)
        )
            is long revision
            ? Find(connection, transaction, id, revision)
                ?? throw new JobUnreadableException(id, new InvalidDataException("its last revision is gone"))
            : null;

    /// <summary>One revision of a job, or null.</summary>
    /// <exception cref="JobUnreadableException">It is damaged.</exception>
    public static Revision? Find(SqliteConnection connection, SqliteTransaction? transaction, string id, long number)
    {
        using var command = Command(
            connection,
            transaction,
            "SELECT shows, before, redo, step FROM revisions WHERE job_id = $id AND number = $number",
            ("$id", id),
            ("$number", number)
        );
        using var rows = command.ExecuteReader();
        if (!rows.Read())
            return null;
        try
        {
            var place = new Place(
                rows.GetInt64(0),
                rows.IsDBNull(1) ? null : rows.GetInt64(1),
                JsonSerializer.Deserialize<long[]>(rows.GetString(2))!
            );
            return new Revision(
                new StoredJob(
                    id,
                    number,
                    Content(connection, transaction, id, place.Shows).Document,
                    place.Before is not null,
                    place.Redo.Length > 0
                ),
                place,
                rows.GetString(3)
            );
        }
        catch (Exception broken)
            when (broken is InvalidDataException or JsonException or EndOfStreamException or FormatException)
        {
            throw new JobUnreadableException(id, broken);
        }
    }

    /// <summary>The document of a revision that has one of its own, and how many differences it is told by.</summary>
    public static (string Document, long Depth) Content(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string id,
        long number
    )
    {
        var layers = new Stack<byte[]>();
        var depth = 0L;
        for (long? at = number; at is { } each; )
        {
            using var command = Command(
                connection,
                transaction,
                "SELECT content, onto, depth FROM revisions WHERE job_id = $id AND number = $number",
                ("$id", id),
                ("$number", each)
            );
            using var rows = command.ExecuteReader();
            if (!rows.Read() || rows.IsDBNull(0))
                throw new InvalidDataException($"revision {each} is gone");
            layers.Push(rows.GetFieldValue<byte[]>(0));
            if (each == number)
                depth = rows.GetInt64(2);
            at = rows.IsDBNull(1) ? null : rows.GetInt64(1);
            if (at >= each)
                throw new InvalidDataException($"revision {each} differs from a later one");
        }
        return (layers.Aggregate((string?)null, (onto, layer) => Contents.Unpack(layer, onto))!, depth);
    }

    /// <summary>
    /// Writes the next revision, saved <paramref name="at"/>, as a difference from the one before it where there is one;
    /// and that <paramref name="asked"/>, or the change itself, has made it.
    /// </summary>
    public static void Add(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        long number,
        Change change,
        Place place,
        Change? asked,
        string at
    )
    {
        object content = DBNull.Value,
            onto = DBNull.Value;
        var depth = 0L;
        if (place.Shows == number)
        {
            var under = place.Before is { } before ? Content(connection, transaction, id, before) : default;
            var differs = under.Document is not null && under.Depth < MostDifferences;
            content = differs ? Contents.Pack(change.Document, under.Document!) : Contents.Pack(change.Document);
            if (differs)
                (onto, depth) = (place.Before!.Value, under.Depth + 1);
        }
        Execute(
            connection,
            transaction,
            "INSERT INTO revisions (job_id, number, content, onto, depth, shows, before, redo, step, saved_at) VALUES ($id, $number, $content, $onto, $depth, $shows, $before, $redo, $step, $at)",
            ("$id", id),
            ("$number", number),
            ("$content", content),
            ("$onto", onto),
            ("$depth", depth),
            ("$shows", place.Shows),
            ("$before", (object?)place.Before ?? DBNull.Value),
            ("$redo", JsonSerializer.Serialize(place.Redo)),
            ("$step", change.Step),
            ("$at", at)
        );
        Execute(
            connection,
            transaction,
            "INSERT INTO changes (job_id, change_id, number, digest) VALUES ($id, $change, $number, $digest)",
            ("$id", id),
            ("$change", change.ChangeId),
            ("$number", number),
            ("$digest", Digest(asked ?? change))
        );
    }
}
