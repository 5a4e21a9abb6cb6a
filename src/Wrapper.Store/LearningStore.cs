using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>What a fitting of a job found, its entry as JSON.</summary>
public sealed record KeptFit(string Job, string MakeUp, string Cloth, string Subject, string Found);

/// <summary>How long a step took: by the timer, or as typed where that is not empty.</summary>
public sealed record KeptTime(string Kind, long Reckoned, long Seconds, string Took);

/// <summary>
/// What the workroom learns from: fittings and times of every job, read off the documents, which hold them; and what it
/// answered to what was proposed.
/// </summary>
public sealed class LearningStore(Database database)
{
    private const int Latest = 2000;

    /// <summary>What fittings found on covers of a make-up, and on any cloth, the latest first.</summary>
    public IReadOnlyList<KeptFit> Fits(string makeUp)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            """
            SELECT fits.job_id, fits.make_up, fits.cloth, fits.subject, fits.found FROM fits JOIN jobs ON jobs.id = job_id
            WHERE deleted_at IS NULL AND (fits.make_up = $makeUp OR fits.subject LIKE 'cloth.%')
            ORDER BY fits.date DESC, fits.job_id DESC, fits.id DESC LIMIT $latest
            """,
            ("$makeUp", makeUp),
            ("$latest", Latest)
        );
        using var rows = command.ExecuteReader();
        List<KeptFit> fits = [];
        while (rows.Read())
            fits.Add(
                new(rows.GetString(0), rows.GetString(1), rows.GetString(2), rows.GetString(3), rows.GetString(4))
            );
        return fits;
    }

    /// <summary>How long steps took, those of the jobs that were changed last.</summary>
    public IReadOnlyList<KeptTime> Times()
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT kind, reckoned, seconds, took FROM jobs JOIN times ON times.job_id = jobs.id WHERE deleted_at IS NULL ORDER BY changed_at DESC LIMIT $latest",
            ("$latest", Latest)
        );
        using var rows = command.ExecuteReader();
        List<KeptTime> times = [];
        while (rows.Read())
            times.Add(new(rows.GetString(0), rows.GetInt64(1), rows.GetInt64(2), rows.GetString(3)));
        return times;
    }

    /// <summary>The same with the jobs that they are of.</summary>
    public IReadOnlyList<(string Job, string Name, KeptTime Time)> TimesByJob()
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT kind, reckoned, seconds, took, jobs.id, jobs.name FROM jobs JOIN times ON times.job_id = jobs.id WHERE deleted_at IS NULL ORDER BY changed_at DESC LIMIT $latest",
            ("$latest", 10 * Latest)
        );
        using var rows = command.ExecuteReader();
        List<(string, string, KeptTime)> times = [];
        while (rows.Read())
            times.Add(
                (
                    rows.GetString(4),
                    rows.GetString(5),
                    new(rows.GetString(0), rows.GetInt64(1), rows.GetInt64(2), rows.GetString(3))
                )
            );
        return times;
    }

    /// <summary>What new items of a make-up begin with: entries as JSON, by field.</summary>
    public IReadOnlyDictionary<string, string> OwnValues(string makeUp)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT field, entry FROM own_values WHERE make_up = $makeUp",
            ("$makeUp", makeUp)
        );
        using var rows = command.ExecuteReader();
        Dictionary<string, string> values = [];
        while (rows.Read())
            values[rows.GetString(0)] = rows.GetString(1);
        return values;
    }

    /// <summary>Has new items of a make-up begin with an entry; null for the usual one.</summary>
    public void Begin(string makeUp, string field, string? entry)
    {
        using var connection = database.Connect();
        if (entry is null)
            Execute(
                connection,
                null,
                "DELETE FROM own_values WHERE make_up = $makeUp AND field = $field",
                ("$makeUp", makeUp),
                ("$field", field)
            );
        else
            Execute(
                connection,
                null,
                "INSERT OR REPLACE INTO own_values (make_up, field, entry) VALUES ($makeUp, $field, $entry)",
                ("$makeUp", makeUp),
                ("$field", field),
                ("$entry", entry)
            );
    }

    /// <summary>How many fittings spoke for a proposal when it was refused; 0 where it never was.</summary>
    public long Refused(string makeUp, string field, string cloth)
    {
        using var connection = database.Connect();
        return
            Scalar(
                connection,
                null,
                "SELECT fits FROM refusals WHERE make_up = $makeUp AND field = $field AND cloth = $cloth",
                ("$makeUp", makeUp),
                ("$field", field),
                ("$cloth", cloth)
            )
                is long fits
            ? fits
            : 0;
    }

    /// <summary>Keeps that a proposal for which so many fittings spoke was refused.</summary>
    public void Refuse(string makeUp, string field, string cloth, int fits)
    {
        using var connection = database.Connect();
        Execute(
            connection,
            null,
            "INSERT OR REPLACE INTO refusals (make_up, field, cloth, fits) VALUES ($makeUp, $field, $cloth, $fits)",
            ("$makeUp", makeUp),
            ("$field", field),
            ("$cloth", cloth),
            ("$fits", fits)
        );
    }

    /// <summary>Writes what is learnt from a job anew, as its <paramref name="document"/> has it.</summary>
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
            "DELETE FROM fits WHERE job_id = $id; DELETE FROM times WHERE job_id = $id",
            ("$id", id)
        );
        foreach (var fit in document.Rows("making", "fits"))
            if (fit.Text("subject") is { Length: > 0 } subject && fit.Object("found") is { } found)
                Execute(
                    connection,
                    transaction,
                    "INSERT OR REPLACE INTO fits (job_id, id, make_up, cloth, subject, found, date) VALUES ($id, $row, $makeUp, $cloth, $subject, $found, $date)",
                    ("$id", id),
                    ("$row", fit.Text("id")),
                    ("$makeUp", fit.Text("makeUp")),
                    ("$cloth", fit.Text("cloth")),
                    ("$subject", subject),
                    ("$found", found.GetRawText()),
                    ("$date", fit.Text("date"))
                );
        foreach (var step in document.Rows("making", "steps"))
            if (step.Text("kind") is { Length: > 0 } kind && step.Number("reckoned") is > 0 and var reckoned)
                Execute(
                    connection,
                    transaction,
                    "INSERT OR REPLACE INTO times (job_id, id, kind, reckoned, seconds, took) VALUES ($id, $row, $kind, $reckoned, $seconds, $took)",
                    ("$id", id),
                    ("$row", step.Text("id")),
                    ("$kind", kind),
                    ("$reckoned", reckoned),
                    ("$seconds", step.Number("seconds")),
                    ("$took", step.Text("took"))
                );
    }
}
