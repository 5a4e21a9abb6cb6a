using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// A job on the bench with what was said of when it is made, as JSON, null for nothing; and whether an order of it
/// stands.
/// </summary>
public sealed record BenchJob(
    string Id,
    string Name,
    string Customer,
    long Revision,
    KeptSheet? Schedule,
    bool IsOrdered
);

/// <summary>The jobs on the bench, as the week looks at them.</summary>
public sealed class WeekStore(Database database)
{
    // An order that was not cancelled since.
    private const string Ordered = """
        EXISTS (SELECT 1 FROM papers WHERE papers.job_id = jobs.id AND kind = 'Order'
            AND NOT EXISTS (SELECT 1 FROM paper_events WHERE paper_id = papers.id AND event = 'cancelled'))
        """;

    private const string Here = "deleted_at IS NULL AND put_away_at IS NULL";

    /// <summary>Those that something was said of, or that were ordered, the oldest first.</summary>
    public IReadOnlyList<BenchJob> Scheduled() =>
        Read(
            $"""
            SELECT id, name, customer, jobs.revision, schedules.revision, content, {Ordered}
            FROM jobs LEFT JOIN schedules ON job_id = id
            WHERE {Here} AND (content IS NOT NULL OR id IN (SELECT job_id FROM papers WHERE kind = 'Order'))
            ORDER BY jobs.rowid
            """
        );

    /// <summary>The others, the latest change first.</summary>
    public IReadOnlyList<BenchJob> Unscheduled(int limit) =>
        Read(
            $"""
            SELECT id, name, customer, jobs.revision, NULL, NULL, FALSE FROM jobs
            WHERE {Here} AND id NOT IN (SELECT job_id FROM schedules)
                AND id NOT IN (SELECT job_id FROM papers WHERE kind = 'Order')
            ORDER BY changed_at DESC LIMIT $limit
            """,
            ("$limit", limit)
        );

    /// <summary>One job on the bench; null where it is not there.</summary>
    public BenchJob? Find(string id) =>
        Read(
                $"""
                SELECT id, name, customer, jobs.revision, schedules.revision, content, {Ordered}
                FROM jobs LEFT JOIN schedules ON job_id = id WHERE {Here} AND id = $id
                """,
                ("$id", id)
            )
            .FirstOrDefault();

    private List<BenchJob> Read(string sql, params (string, object)[] values)
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, sql, values);
        using var rows = command.ExecuteReader();
        List<BenchJob> jobs = [];
        while (rows.Read())
            jobs.Add(
                new(
                    rows.GetString(0),
                    rows.GetString(1),
                    rows.GetString(2),
                    rows.GetInt64(3),
                    rows.IsDBNull(4) ? null : new(rows.GetInt64(4), rows.GetString(5)),
                    rows.GetInt64(6) != 0
                )
            );
        return jobs;
    }
}
