using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Wrapper.Store;

/// <summary>
/// Brings back a backup. The copy is checked first; what was there, log included, is set aside and never thrown away.
/// With the server stopped the files are
/// exchanged; while it runs the copy is read into the live database in one transaction.
/// </summary>
public static class Restoring
{
    /// <summary>
    /// Restores <paramref name="file"/> (a path, or the name of a backup) into <paramref name="folder"/>; returns what
    /// was done, a line each.
    /// </summary>
    /// <exception cref="DatabaseRefusedException">There is no such file, or it cannot be used; nothing was
    /// changed.</exception>
    public static IReadOnlyList<string> Run(string file, string folder, DateTimeOffset at)
    {
        if (Find(file, folder) is not { } copy)
            throw new DatabaseRefusedException(
                $"There is no file {file}, nor a backup of that name in {Path.Combine(folder, "backups")}. Nothing was changed."
            );
        var (database, ready) = (Path.Combine(folder, "wrapper.db"), Path.Combine(folder, "restoring.db"));
        try
        {
            var jobs = Prepare(copy, ready);
            var aside = Path.Combine(
                folder,
                "set-aside",
                at.UtcDateTime.ToString("yyyyMMdd-HHmmss-fff", CultureInfo.InvariantCulture)
            );
            using var alone = DataLock.Take(folder);
            var set = alone is null ? ReadInto(folder, ready, aside) : Exchange(database, ready, aside);
            return
            [
                $"Checked {copy}: whole, {jobs} jobs.",
                set ? $"Set aside what was there: {aside}" : "There was no database to set aside.",
                alone is null
                    ? "Read it into the database of the server that runs; pages that are open show it when they are loaded anew."
                    : $"Put it in the place of {database}.",
            ];
        }
        catch (SqliteException fault)
        {
            throw new DatabaseRefusedException(
                $"{(StoreFault.IsDamage(fault) ? $"{copy} is damaged or no database." : StoreFault.Told(fault, database))} Nothing was changed."
            );
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
        {
            throw new DatabaseRefusedException($"{fault.Message} Nothing was changed.");
        }
        finally
        {
            foreach (var end in (string[])["", "-wal", "-shm"])
                File.Delete(ready + end);
        }
    }

    private static string? Find(string file, string folder) =>
        new[] { Path.GetFullPath(file), Path.Combine(folder, "backups", Path.GetFileName(file)) }.FirstOrDefault(
            File.Exists
        );

    // A copy of the copy, its own log carried over, so that what is put in place is one file.
    private static long Prepare(string copy, string ready)
    {
        PrivateFiles.MakeFolder(Path.GetDirectoryName(ready)!);
        foreach (var end in (string[])["", "-wal", "-shm"])
            File.Delete(ready + end);
        File.Copy(copy, ready);
        if (File.Exists(copy + "-wal"))
            File.Copy(copy + "-wal", ready + "-wal");
        PrivateFiles.Close(ready, ready + "-wal");
        var text = new SqliteConnectionStringBuilder
        {
            DataSource = ready,
            Pooling = false,
            Mode = SqliteOpenMode.ReadWrite,
        }.ToString();
        Database.Refuse(copy, text);
        using var connection = new SqliteConnection(text);
        connection.Open();
        if (Sql.Scalar(connection, null, "PRAGMA quick_check(1)") is not "ok")
            throw new DatabaseRefusedException($"{copy} is damaged. Nothing was changed.");
        if (
            Sql.Scalar(
                connection,
                null,
                "SELECT count(*) FROM sqlite_master WHERE name IN ('jobs', 'revisions', 'SchemaVersions')"
            )
            is not 3L
        )
            throw new DatabaseRefusedException($"{copy} is no database of Wrapper. Nothing was changed.");
        Sql.Execute(connection, null, "PRAGMA journal_mode = DELETE");
        return (long)Sql.Scalar(connection, null, "SELECT count(*) FROM jobs")!;
    }

    private static bool Exchange(string database, string ready, string aside)
    {
        var there = ((string[])["", "-wal", "-shm"]).Where(end => File.Exists(database + end)).ToList();
        if (there.Count > 0)
            PrivateFiles.MakeFolder(aside);
        foreach (var end in there)
            File.Move(database + end, Path.Combine(aside, "wrapper.db" + end));
        using (var written = new FileStream(ready, FileMode.Open, FileAccess.ReadWrite))
            written.Flush(flushToDisk: true);
        File.Move(ready, database);
        return there.Count > 0;
    }

    private static bool ReadInto(string folder, string ready, string aside)
    {
        // An older copy is brought up to date before the server that runs sees it.
        var brought = Path.Combine(folder, "restoring");
        PrivateFiles.MakeFolder(brought);
        try
        {
            File.Move(ready, Path.Combine(brought, "wrapper.db"));
            var source = Database.Open(brought);
            var live = Database.Open(folder);
            live.CopyTo(Path.Combine(aside, "wrapper.db"));
            using (var from = source.Connect())
            using (var into = live.Connect())
                from.BackupDatabase(into);
            SqliteConnection.ClearAllPools();
            return true;
        }
        finally
        {
            Directory.Delete(brought, recursive: true);
        }
    }
}
