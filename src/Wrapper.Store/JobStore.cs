using System.Globalization;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>A job in a list.</summary>
public sealed record JobSummary(string Id, string Name, string Customer, DateTimeOffset ChangedAt);

/// <summary>A job's document at one revision, as JSON text, and whether there is anything to undo or redo from it.</summary>
public sealed record StoredJob(string Id, long Revision, string Document, bool CanUndo, bool CanRedo);

/// <summary>What came of a save: the job as it is now, and whether the save was refused because another one came first.</summary>
public sealed record SaveResult(StoredJob Job, bool Conflict);

/// <summary>What goes into one save: the document with the columns to find it by, the client's change id, and the undo step it belongs to.</summary>
public sealed record Change(string ChangeId, string Document, string Name, string Customer, string Step = "");

/// <summary>
/// Jobs and their revisions. Each save names the revision it started from and a change id: a save from an older revision is a
/// conflict, a repeated change id gets its first result, so that a lost reply makes neither conflict nor duplicate.
/// </summary>
public sealed class JobStore(Database database, TimeProvider clock)
{
    /// <summary>Jobs, the latest change first.</summary>
    public IReadOnlyList<JobSummary> List(int limit = 200)
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, "SELECT id, name, customer, changed_at FROM jobs ORDER BY changed_at DESC, id LIMIT $limit", ("$limit", limit));
        using var rows = command.ExecuteReader();
        var jobs = new List<JobSummary>();
        while (rows.Read())
            jobs.Add(new JobSummary(rows.GetString(0), rows.GetString(1), rows.GetString(2), DateTimeOffset.Parse(rows.GetString(3), CultureInfo.InvariantCulture)));
        return jobs;
    }

    /// <summary>A job as it is now, or null.</summary>
    public StoredJob? Find(string id)
    {
        using var connection = database.Connect();
        return Current(connection, null, id)?.Job;
    }

    /// <summary>Makes a job; the same <paramref name="id"/> and change again gives the first result.</summary>
    public StoredJob Create(string id, Change change)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Current(connection, transaction, id) is { } existing) return existing.Job;
        Execute(connection, transaction, "INSERT INTO jobs (id, name, customer, revision, changed_at) VALUES ($id, $name, $customer, 1, $at)",
            ("$id", id), ("$name", change.Name), ("$customer", change.Customer), ("$at", Now()));
        AddRevision(connection, transaction, id, 1, change, new Place(1, null, []));
        transaction.Commit();
        return new StoredJob(id, 1, change.Document, false, false);
    }

    /// <summary>Saves an edit made from revision <paramref name="baseRevision"/>; null when there is no such job.</summary>
    public SaveResult? Save(string id, long baseRevision, Change change) => Advance(id, baseRevision, change.ChangeId, (current, next) =>
    {
        // Edits of one step fold into one: undo goes back to before the first of them.
        var sameStep = change.Step.Length > 0 && change.Step == current.Step && current.Place.Shows == current.Job.Revision;
        var before = sameStep ? current.Place.Before : current.Place.Shows;
        return (change, new Place(next, before, []));
    });

    /// <summary>Takes the last step back, as a new revision; null when there is no such job. With nothing to undo the job stays as it is.</summary>
    public SaveResult? Undo(string id, long baseRevision, string changeId) => Advance(id, baseRevision, changeId, (current, _) =>
        current.Place.Before is not { } before ? null : Show(id, changeId, before, [current.Place.Shows, .. current.Place.Redo]));

    /// <summary>Does the last undone step again, as a new revision; null when there is no such job.</summary>
    public SaveResult? Redo(string id, long baseRevision, string changeId) => Advance(id, baseRevision, changeId, (current, _) =>
        current.Place.Redo is not [var next, .. var rest] ? null : Show(id, changeId, next, rest));

    private (Change, Place) Show(string id, string changeId, long revision, long[] redo)
    {
        using var connection = database.Connect();
        var shown = Revision(connection, null, id, revision)!;
        var (name, customer) = Titles(shown.Job.Document);
        return (new Change(changeId, shown.Job.Document, name, customer), new Place(revision, shown.Place.Before, redo));
    }

    private SaveResult? Advance(string id, long baseRevision, string changeId, Func<Row, long, (Change Change, Place Place)?> make)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Current(connection, transaction, id) is not { } current) return null;
        if (Scalar(connection, transaction, "SELECT number FROM revisions WHERE job_id = $id AND change_id = $change", ("$id", id), ("$change", changeId)) is long done)
            return new SaveResult(done == current.Job.Revision ? current.Job : Revision(connection, transaction, id, done)!.Job, false);
        if (current.Job.Revision != baseRevision) return new SaveResult(current.Job, true);
        var next = baseRevision + 1;
        if (make(current, next) is not { } made) return new SaveResult(current.Job, false);
        AddRevision(connection, transaction, id, next, made.Change, made.Place);
        Execute(connection, transaction, "UPDATE jobs SET name = $name, customer = $customer, revision = $next, changed_at = $at WHERE id = $id",
            ("$id", id), ("$name", made.Change.Name), ("$customer", made.Change.Customer), ("$next", next), ("$at", Now()));
        transaction.Commit();
        return new SaveResult(new StoredJob(id, next, made.Change.Document, made.Place.Before is not null, made.Place.Redo.Length > 0), false);
    }

    private static (string, string) Titles(string document)
    {
        using var json = JsonDocument.Parse(document);
        return (json.RootElement.GetProperty("name").GetString() ?? "", json.RootElement.GetProperty("customer").GetString() ?? "");
    }

    // A revision's place in the line of undo: what it shows, where undo leads, what redo leads to.
    private sealed record Place(long Shows, long? Before, long[] Redo);

    private sealed record Row(StoredJob Job, Place Place, string Step);

    private static Row? Current(SqliteConnection connection, SqliteTransaction? transaction, string id) =>
        Scalar(connection, transaction, "SELECT revision FROM jobs WHERE id = $id", ("$id", id)) is long revision ? Revision(connection, transaction, id, revision) : null;

    private static Row? Revision(SqliteConnection connection, SqliteTransaction? transaction, string id, long number)
    {
        using var command = Command(connection, transaction, "SELECT document, shows, before, redo, step FROM revisions WHERE job_id = $id AND number = $number", ("$id", id), ("$number", number));
        using var rows = command.ExecuteReader();
        if (!rows.Read()) return null;
        var place = new Place(rows.GetInt64(1), rows.IsDBNull(2) ? null : rows.GetInt64(2), JsonSerializer.Deserialize<long[]>(rows.GetString(3))!);
        return new Row(new StoredJob(id, number, rows.GetString(0), place.Before is not null, place.Redo.Length > 0), place, rows.GetString(4));
    }

    private void AddRevision(SqliteConnection connection, SqliteTransaction transaction, string id, long number, Change change, Place place) =>
        Execute(connection, transaction,
            "INSERT INTO revisions (job_id, number, change_id, document, shows, before, redo, step, saved_at) VALUES ($id, $number, $change, $document, $shows, $before, $redo, $step, $at)",
            ("$id", id), ("$number", number), ("$change", change.ChangeId), ("$document", change.Document), ("$shows", place.Shows),
            ("$before", (object?)place.Before ?? DBNull.Value), ("$redo", JsonSerializer.Serialize(place.Redo)), ("$step", change.Step), ("$at", Now()));

    private string Now() => clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
}
