using System.Globalization;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>A state of a job: the revision's number, when it was saved, its name if it has one, and the document as JSON.</summary>
public sealed record KeptState(long Number, DateTimeOffset At, string Name, string Document);

/// <summary>Earlier states of jobs, and those that were given a name, which stay whatever becomes of the rest.</summary>
public sealed class RevisionStore(Database database, TimeProvider clock)
{
    /// <summary>The most states of one job that may have a name.</summary>
    public const int MostNamed = 60;

    /// <summary>
    /// The states that edits led to, the latest first, before number <paramref name="before"/>; with the name of those
    /// that have one.
    /// </summary>
    public IReadOnlyList<KeptState> Of(string job, long before, int limit)
    {
        using var connection = database.Connect();
        List<(long Number, string At, string Name)> found = [];
        using (
            var command = Command(
                connection,
                null,
                """
                SELECT revisions.number, saved_at, coalesce(name, '') FROM revisions
                LEFT JOIN named_states ON named_states.job_id = revisions.job_id AND named_states.number = revisions.number
                WHERE revisions.job_id = $job AND shows = revisions.number AND revisions.number < $before
                ORDER BY revisions.number DESC LIMIT $limit
                """,
                ("$job", job),
                ("$before", before),
                ("$limit", limit)
            )
        )
        using (var rows = command.ExecuteReader())
            while (rows.Read())
                found.Add((rows.GetInt64(0), rows.GetString(1), rows.GetString(2)));
        return
        [
            .. found.Select(each => new KeptState(
                each.Number,
                At(each.At),
                each.Name,
                Document(connection, job, each.Number)
            )),
        ];
    }

    /// <summary>The states of a job that have a name, the latest first.</summary>
    public IReadOnlyList<KeptState> Named(string job)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT number, at, name, content FROM named_states WHERE job_id = $job ORDER BY at DESC",
            ("$job", job)
        );
        using var rows = command.ExecuteReader();
        List<KeptState> states = [];
        while (rows.Read())
            states.Add(
                new(
                    rows.GetInt64(0),
                    At(rows.GetString(1)),
                    rows.GetString(2),
                    Contents.Unpack(rows.GetFieldValue<byte[]>(3), null)
                )
            );
        return states;
    }

    /// <summary>The state of this number; null where there is none any more.</summary>
    public KeptState? Find(string job, long number)
    {
        if (Named(job).FirstOrDefault(state => state.Number == number) is { } named)
            return named;
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT saved_at, shows FROM revisions WHERE job_id = $job AND number = $number",
            ("$job", job),
            ("$number", number)
        );
        using var rows = command.ExecuteReader();
        return rows.Read() ? new(number, At(rows.GetString(0)), "", Document(connection, job, rows.GetInt64(1))) : null;
    }

    /// <summary>
    /// Gives a state a name, in the place of the state that had it; an empty name takes it away. False where there is no
    /// such state, or too many have one.
    /// </summary>
    public bool Name(string job, long number, string name)
    {
        if (Find(job, number) is not { } state)
            return false;
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        Execute(
            connection,
            transaction,
            "DELETE FROM named_states WHERE job_id = $job AND (number = $number OR name = $name)",
            ("$job", job),
            ("$number", number),
            ("$name", name)
        );
        if (
            name.Length > 0
            && Execute(
                connection,
                transaction,
                """
                INSERT INTO named_states (job_id, name, number, content, at)
                SELECT $job, $name, $number, $content, $at
                WHERE (SELECT count(*) FROM named_states WHERE job_id = $job) < $most
                """,
                ("$job", job),
                ("$name", name),
                ("$number", number),
                ("$content", Contents.Pack(state.Document)),
                ("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture)),
                ("$most", MostNamed)
            ) == 0
        )
            return false;
        transaction.Commit();
        return true;
    }

    private static string Document(SqliteConnection connection, string job, long number)
    {
        try
        {
            return Revisions.Content(connection, null, job, number).Document;
        }
        catch (Exception broken) when (broken is InvalidDataException or EndOfStreamException)
        {
            throw new JobUnreadableException(job, broken);
        }
    }

    private static DateTimeOffset At(string kept) => DateTimeOffset.Parse(kept, CultureInfo.InvariantCulture);
}
