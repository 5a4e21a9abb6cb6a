using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A job's document at one revision, as JSON text, and whether there is anything to undo or redo from it.
/// </summary>
public sealed record StoredJob(string Id, long Revision, string Document, bool CanUndo, bool CanRedo);

/// <summary>
/// What came of a save: the job as it is now, and whether the save was refused because another one came first or its
/// change id was used for another change.
/// </summary>
public sealed record SaveResult(StoredJob Job, bool Conflict);

/// <summary>
/// What goes into one save: the document with the columns to find it by, the client's change id, and the undo step it
/// belongs to.
/// </summary>
public sealed record Change(string ChangeId, string Document, string Name, string Customer, string Step = "");

/// <summary>What is kept of a job cannot be read.</summary>
public sealed class JobUnreadableException(string id, Exception why)
    : Exception($"what is kept of the job {id} cannot be read: {why.Message}", why);

/// <summary>
/// Jobs and their revisions. Each save names the revision it started from and a change id: a save from an older
/// revision is a
/// conflict, a repeated change id gets its first result, so that a lost reply makes neither conflict nor duplicate.
/// </summary>
public sealed class JobStore(Database database, TimeProvider clock)
{
    // Reading a revision looks up so many others at the most.
    private const int MostDifferences = 24;

    private static readonly Change Undone = new("", "undo", "", ""),
        Redone = new("", "redo", "", "");

    /// <summary>A job as it is now, or null; one that was deleted too if <paramref name="deleted"/>.</summary>
    /// <exception cref="JobUnreadableException">Its document is damaged.</exception>
    public StoredJob? Find(string id, bool deleted = false)
    {
        using var connection = database.Connect();
        return Current(connection, null, id, deleted)?.Job;
    }

    /// <summary>
    /// Makes a job; the same <paramref name="id"/> again gives the one that is there, a conflict if it carries another
    /// document under the same change id.
    /// </summary>
    public SaveResult Create(string id, Change change)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Current(connection, transaction, id, deleted: true) is { } existing)
            return new SaveResult(
                existing.Job,
                Done(connection, transaction, id, change.ChangeId) is { Digest: { } digest }
                    && !digest.SequenceEqual(Digest(change))
            );
        Execute(
            connection,
            transaction,
            "INSERT INTO jobs (id, name, customer, revision, changed_at) VALUES ($id, $name, $customer, 1, $at)",
            ("$id", id),
            ("$name", change.Name),
            ("$customer", change.Customer),
            ("$at", Now())
        );
        AddRevision(connection, transaction, id, 1, change, new Place(1, null, []), null);
        ReadOff(connection, transaction, id, change);
        transaction.Commit();
        return new SaveResult(new StoredJob(id, 1, change.Document, false, false), false);
    }

    /// <summary>
    /// Saves an edit made from revision <paramref name="baseRevision"/>; null when there is no such job.
    /// </summary>
    public SaveResult? Save(string id, long baseRevision, Change change) =>
        Advance(
            id,
            baseRevision,
            change,
            (_, _, current, next) =>
            {
                // Edits of one step fold into one: undo goes back to before the first of them.
                var sameStep =
                    change.Step.Length > 0
                    && change.Step == current.Step
                    && current.Place.Shows == current.Job.Revision;
                var before = sameStep ? current.Place.Before : current.Place.Shows;
                return (change, new Place(next, before, []), sameStep ? current.Job.Revision : null);
            }
        );

    /// <summary>
    /// Takes the last step back, as a new revision; null when there is no such job. With nothing to undo the job stays
    /// as it is.
    /// </summary>
    public SaveResult? Undo(string id, long baseRevision, string changeId) =>
        Advance(
            id,
            baseRevision,
            Undone with
            {
                ChangeId = changeId,
            },
            (connection, transaction, current, _) =>
                current.Place.Before is not { } before
                    ? null
                    : Show(connection, transaction, id, changeId, before, [current.Place.Shows, .. current.Place.Redo])
        );

    /// <summary>Does the last undone step again, as a new revision; null when there is no such job.</summary>
    public SaveResult? Redo(string id, long baseRevision, string changeId) =>
        Advance(
            id,
            baseRevision,
            Redone with
            {
                ChangeId = changeId,
            },
            (connection, transaction, current, _) =>
                current.Place.Redo is not [var next, .. var rest]
                    ? null
                    : Show(connection, transaction, id, changeId, next, rest)
        );

    private static (Change, Place, long?) Show(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        string changeId,
        long revision,
        long[] redo
    )
    {
        var shown = Revision(connection, transaction, id, revision)!;
        var (name, customer) = Titles(id, shown.Job.Document);
        return (
            new Change(changeId, shown.Job.Document, name, customer),
            new Place(revision, shown.Place.Before, redo),
            null
        );
    }

    private SaveResult? Advance(
        string id,
        long baseRevision,
        Change asked,
        Func<SqliteConnection, SqliteTransaction, Row, long, (Change Change, Place Place, long? Folded)?> make
    )
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Current(connection, transaction, id) is not { } current)
            return null;
        if (Done(connection, transaction, id, asked.ChangeId) is { } done)
        {
            if (done.Digest is { } digest && !digest.SequenceEqual(Digest(asked)))
                return new SaveResult(current.Job, true);
            // What was folded into a later edit of its step was this very document.
            return new SaveResult(
                done.Number == current.Job.Revision
                    ? current.Job
                    : Revision(connection, transaction, id, done.Number)?.Job
                        ?? new StoredJob(id, done.Number, asked.Document, true, false),
                false
            );
        }
        if (current.Job.Revision != baseRevision)
            return new SaveResult(current.Job, true);
        var next = baseRevision + 1;
        if (make(connection, transaction, current, next) is not var (change, place, folded))
            return new SaveResult(current.Job, false);
        AddRevision(connection, transaction, id, next, change, place, asked);
        if (folded is { } number)
            Execute(
                connection,
                transaction,
                "DELETE FROM revisions WHERE job_id = $id AND number = $number",
                ("$id", id),
                ("$number", number)
            );
        Execute(
            connection,
            transaction,
            "UPDATE jobs SET name = $name, customer = $customer, revision = $next, changed_at = $at WHERE id = $id",
            ("$id", id),
            ("$name", change.Name),
            ("$customer", change.Customer),
            ("$next", next),
            ("$at", Now())
        );
        ReadOff(connection, transaction, id, change);
        transaction.Commit();
        return new SaveResult(
            new StoredJob(id, next, change.Document, place.Before is not null, place.Redo.Length > 0),
            false
        );
    }

    // What is found, recorded and learnt of a job is read off its document, in the transaction that keeps it.
    private static void ReadOff(SqliteConnection connection, SqliteTransaction transaction, string id, Change change)
    {
        var root = StoredJson.Parse(change.Document);
        Finding.Keep(connection, transaction, id, change.Name, change.Customer, root);
        RecordStore.Keep(connection, transaction, id, root);
        LearningStore.Keep(connection, transaction, id, root);
        StockStore.Keep(connection, transaction, id, root);
        Execute(
            connection,
            transaction,
            "UPDATE jobs SET customer_id = $customer WHERE id = $id",
            ("$customer", CustomerStore.StandingFor(connection, transaction, root.Text("customerId"))),
            ("$id", id)
        );
    }

    private static (string, string) Titles(string id, string document)
    {
        try
        {
            using var json = JsonDocument.Parse(document);
            return (
                json.RootElement.GetProperty("name").GetString() ?? "",
                json.RootElement.GetProperty("customer").GetString() ?? ""
            );
        }
        catch (Exception broken) when (broken is JsonException or KeyNotFoundException or InvalidOperationException)
        {
            throw new JobUnreadableException(id, broken);
        }
    }

    private static byte[] Digest(Change change) => SHA256.HashData(Encoding.UTF8.GetBytes(change.Document))[..16];

    private static (long Number, byte[]? Digest)? Done(
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

    // A revision's place in the line of undo: what it shows, where undo leads, what redo leads to.
    private sealed record Place(long Shows, long? Before, long[] Redo);

    private sealed record Row(StoredJob Job, Place Place, string Step);

    private static Row? Current(
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
            ? Revision(connection, transaction, id, revision)
                ?? throw new JobUnreadableException(id, new InvalidDataException("its last revision is gone"))
            : null;

    private static Row? Revision(SqliteConnection connection, SqliteTransaction? transaction, string id, long number)
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
            return new Row(
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
    internal static (string Document, long Depth) Content(
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

    private void AddRevision(
        SqliteConnection connection,
        SqliteTransaction transaction,
        string id,
        long number,
        Change change,
        Place place,
        Change? asked
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
            ("$at", Now())
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

    private string Now() => clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
}
