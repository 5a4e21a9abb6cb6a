using System.Globalization;
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
    private static readonly Change Undone = new("", "undo", "", ""),
        Redone = new("", "redo", "", "");

    /// <summary>A job as it is now, or null; one that was deleted too if <paramref name="deleted"/>.</summary>
    /// <exception cref="JobUnreadableException">Its document is damaged.</exception>
    public StoredJob? Find(string id, bool deleted = false)
    {
        using var connection = database.Connect();
        return Revisions.Current(connection, null, id, deleted)?.Job;
    }

    /// <summary>
    /// Makes a job; the same <paramref name="id"/> again gives the one that is there, a conflict if it carries another
    /// document under the same change id.
    /// </summary>
    public SaveResult Create(string id, Change change)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Revisions.Current(connection, transaction, id, deleted: true) is { } existing)
            return new SaveResult(
                existing.Job,
                Revisions.Done(connection, transaction, id, change.ChangeId) is { Digest: { } digest }
                    && !digest.SequenceEqual(Revisions.Digest(change))
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
        Revisions.Add(connection, transaction, id, 1, change, new Place(1, null, []), null, Now());
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
        var shown = Revisions.Find(connection, transaction, id, revision)!;
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
        Func<SqliteConnection, SqliteTransaction, Revision, long, (Change Change, Place Place, long? Folded)?> make
    )
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Revisions.Current(connection, transaction, id) is not { } current)
            return null;
        if (Revisions.Done(connection, transaction, id, asked.ChangeId) is { } done)
        {
            if (done.Digest is { } digest && !digest.SequenceEqual(Revisions.Digest(asked)))
                return new SaveResult(current.Job, true);
            // What was folded into a later edit of its step was this very document.
            return new SaveResult(
                done.Number == current.Job.Revision
                    ? current.Job
                    : Revisions.Find(connection, transaction, id, done.Number)?.Job
                        ?? new StoredJob(id, done.Number, asked.Document, true, false),
                false
            );
        }
        if (current.Job.Revision != baseRevision)
            return new SaveResult(current.Job, true);
        var next = baseRevision + 1;
        if (make(connection, transaction, current, next) is not var (change, place, folded))
            return new SaveResult(current.Job, false);
        Revisions.Add(connection, transaction, id, next, change, place, asked, Now());
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

    private string Now() => clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
}
