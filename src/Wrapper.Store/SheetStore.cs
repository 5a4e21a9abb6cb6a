using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>Something that is kept as JSON and changed as a whole; <paramref name="Revision"/> 0 before the first time.</summary>
public sealed record KeptSheet(long Revision, string Content);

/// <summary>What there is one of in the workroom.</summary>
public enum WorkroomSheet
{
    /// <summary>What prices are reckoned by.</summary>
    PriceBook,

    /// <summary>When it works.</summary>
    Calendar,
}

/// <summary>What there is one of for each job, beside its document.</summary>
public enum JobSheet
{
    /// <summary>What was said of its price.</summary>
    Price,

    /// <summary>When it is made.</summary>
    Schedule,
}

/// <summary>
/// Sheets of the workroom and of jobs. A change names the revision that it was made from, so that nobody writes over
/// somebody else.
/// </summary>
public sealed class SheetStore(Database database)
{
    /// <summary>A sheet of the workroom; null until there is one.</summary>
    public KeptSheet? Read(WorkroomSheet sheet)
    {
        using var connection = database.Connect();
        return Read(connection, $"SELECT revision, content FROM {Table(sheet)}");
    }

    /// <summary>Keeps a sheet of the workroom; false where another was kept since <paramref name="from"/>.</summary>
    public bool Keep(WorkroomSheet sheet, long from, string content)
    {
        using var connection = database.Connect();
        return Execute(
                connection,
                null,
                from == 0
                    ? $"INSERT OR IGNORE INTO {Table(sheet)} (only_one, revision, content) VALUES (1, 1, $content)"
                    : $"UPDATE {Table(sheet)} SET revision = revision + 1, content = $content WHERE revision = $from",
                ("$from", from),
                ("$content", content)
            ) > 0;
    }

    /// <summary>A sheet of a job; null until something was said.</summary>
    public KeptSheet? Read(JobSheet sheet, string job)
    {
        using var connection = database.Connect();
        return Read(connection, $"SELECT revision, content FROM {Table(sheet)} WHERE job_id = $job", ("$job", job));
    }

    /// <summary>
    /// Keeps a sheet of a job; false where another was kept since <paramref name="from"/>, or there is no such job.
    /// </summary>
    public bool Keep(JobSheet sheet, string job, long from, string content)
    {
        using var connection = database.Connect();
        return Execute(
                connection,
                null,
                from == 0
                    ? $"INSERT OR IGNORE INTO {Table(sheet)} (job_id, revision, content) SELECT id, 1, $content FROM jobs WHERE id = $job"
                    : $"UPDATE {Table(sheet)} SET revision = revision + 1, content = $content WHERE job_id = $job AND revision = $from",
                ("$job", job),
                ("$from", from),
                ("$content", content)
            ) > 0;
    }

    private static string Table(WorkroomSheet sheet) => sheet == WorkroomSheet.PriceBook ? "price_book" : "calendar";

    private static string Table(JobSheet sheet) => sheet == JobSheet.Price ? "price_sheets" : "schedules";

    private static KeptSheet? Read(SqliteConnection connection, string sql, params (string, object)[] values)
    {
        using var command = Command(connection, null, sql, values);
        using var rows = command.ExecuteReader();
        return rows.Read() ? new(rows.GetInt64(0), rows.GetString(1)) : null;
    }
}
