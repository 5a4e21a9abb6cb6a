using DbUp;
using DbUp.Engine;
using Microsoft.Data.Sqlite;

namespace Wrapper.Store;

/// <summary>The database cannot be used as it is; the message says what to do.</summary>
public sealed class DatabaseRefusedException(string message) : Exception(message);

/// <summary>
/// The workroom's one SQLite file: write-ahead log, every commit synced to disk, forward-only numbered migrations. A
/// damaged file
/// or one written by a newer program is refused before anything touches it.
/// </summary>
public sealed class Database
{
    private readonly string connectionString;

    private Database(string path)
    {
        Path = path;
        connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = path,
            ForeignKeys = true,
            DefaultTimeout = 5,
        }.ToString();
    }

    /// <summary>Where the file is.</summary>
    public string Path { get; }

    /// <summary>The folder that it lies in, with its backups.</summary>
    public string Folder => System.IO.Path.GetDirectoryName(Path)!;

    /// <summary>How many commits at the end of the log could not be read when it was opened, and are gone.</summary>
    public int DroppedCommits { get; private init; }

    /// <summary>
    /// Opens or makes the database in <paramref name="folder"/> and brings it up to date. What is new is for its owner
    /// alone (0600, in a folder 0700).
    /// Only the beginning is looked at; <see cref="Damage"/> reads all of it.
    /// </summary>
    /// <exception cref="DatabaseRefusedException">The file is damaged, newer than this program, locked, or cannot be
    /// written.</exception>
    public static Database Open(string folder)
    {
        var path = System.IO.Path.Combine(folder, "wrapper.db");
        try
        {
            PrivateFiles.MakeFolder(folder);
            var database = new Database(path) { DroppedCommits = WriteAheadLog.DroppedCommits(path + "-wal") };
            if (File.Exists(path))
                database.RefuseDamagedOrNewer();
            else
                PrivateFiles.Make(path);
            PrivateFiles.Close(path, path + "-wal", path + "-shm");
            database.Migrate();
            using var connection = database.Connect();
            Sql.Execute(connection, null, "PRAGMA journal_mode = WAL");
            // Asks for the lock that every save needs, so that a read-only or locked file is told now and not at the
            // first save.
            Sql.Execute(connection, null, "BEGIN IMMEDIATE; ROLLBACK");
            return database;
        }
        catch (SqliteException fault)
        {
            throw new DatabaseRefusedException(StoreFault.Told(fault, path));
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
        {
            throw new DatabaseRefusedException(
                $"{folder} cannot be used for data: {fault.Message} Give another folder with --data, or mend its rights."
            );
        }
    }

    /// <summary>An open connection with full sync; the caller disposes it.</summary>
    public SqliteConnection Connect()
    {
        var connection = new SqliteConnection(connectionString);
        connection.Open();
        // The log is carried over early and cut short again, so that it stays small beside the file.
        Sql.Execute(
            connection,
            null,
            "PRAGMA synchronous = FULL; PRAGMA wal_autocheckpoint = 200; PRAGMA journal_size_limit = 1000000"
        );
        return connection;
    }

    /// <summary>
    /// Copies the live database, consistent as of one moment, to <paramref name="target"/>: under another name until it
    /// is whole and on the disk.
    /// </summary>
    /// <exception cref="IOException">There is no room for it, or a file of that name is there.</exception>
    public void CopyTo(string target)
    {
        var unfinished = $"{target}.{Guid.NewGuid():N}.part";
        PrivateFiles.MakeFolder(System.IO.Path.GetDirectoryName(target)!);
        // A copy that fills the disk would stop every save meanwhile.
        var (size, free) = (
            new FileInfo(Path).Length,
            new DriveInfo(System.IO.Path.GetDirectoryName(target)!).AvailableFreeSpace
        );
        if (free < size + (size / 10))
            throw new IOException(
                $"there is no room for a copy: it takes {size / 1_000_000 + 1} MB, and {free / 1_000_000} MB are free on its disk"
            );
        PrivateFiles.Make(unfinished);
        try
        {
            using (var connection = Connect())
                Sql.Execute(connection, null, "VACUUM INTO $target", ("$target", unfinished));
            using (var copy = new FileStream(unfinished, FileMode.Open, FileAccess.ReadWrite))
                copy.Flush(flushToDisk: true);
            File.Move(unfinished, target);
        }
        finally
        {
            File.Delete(unfinished);
        }
    }

    /// <summary>
    /// Reads all of it and says what is damaged; null where nothing is. Takes long on a large file; others go on
    /// meanwhile.
    /// </summary>
    public string? Damage()
    {
        try
        {
            using var connection = Connect();
            return Sql.Scalar(connection, null, "PRAGMA quick_check(1)") is string and not "ok" and var found
                ? found
                : null;
        }
        catch (SqliteException fault) when (StoreFault.IsDamage(fault))
        {
            return fault.Message;
        }
    }

    /// <summary>Refuses a file that is no database of this program, or a newer one's, without touching it.</summary>
    /// <exception cref="DatabaseRefusedException">It is damaged, or newer.</exception>
    internal static void Refuse(string path, string connectionString)
    {
        using var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder(connectionString)
            {
                Mode = SqliteOpenMode.ReadOnly,
                Pooling = false,
                DefaultTimeout = 5,
            }.ToString()
        );
        connection.Open();
        if (Sql.Scalar(connection, null, "SELECT 1 FROM sqlite_master WHERE name = 'SchemaVersions'") is null)
            return;
        using var command = Sql.Command(connection, null, "SELECT ScriptName FROM SchemaVersions");
        using var rows = command.ExecuteReader();
        var known = KnownMigrations().ToHashSet();
        while (rows.Read())
            if (!known.Contains(rows.GetString(0)))
                throw new DatabaseRefusedException(
                    $"{path} was written by a newer Wrapper ({rows.GetString(0)}). Start that one, or start this one with another data folder."
                );
    }

    private static IEnumerable<string> KnownMigrations() =>
        typeof(Database)
            .Assembly.GetManifestResourceNames()
            .Where(name => name.EndsWith(".sql", StringComparison.Ordinal));

    private void RefuseDamagedOrNewer() => Refuse(Path, connectionString);

    private void Migrate()
    {
        var upgrade = DeployChanges
            .To.SqliteDatabase(connectionString)
            .WithScripts(
                KnownMigrations()
                    .Order(StringComparer.Ordinal)
                    .Select(name =>
                        SqlScript.FromStream(name, typeof(Database).Assembly.GetManifestResourceStream(name)!)
                    )
            )
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!upgrade.Successful)
            throw upgrade.Error;
    }
}
