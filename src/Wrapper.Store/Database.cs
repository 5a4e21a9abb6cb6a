using DbUp;
using DbUp.Engine;
using Microsoft.Data.Sqlite;

namespace Wrapper.Store;

/// <summary>The database cannot be used as it is; the message says what to do.</summary>
public sealed class DatabaseRefusedException(string message) : Exception(message);

/// <summary>
/// The workroom's one SQLite file: write-ahead log, every commit synced to disk, forward-only numbered migrations. A damaged file
/// or one written by a newer program is refused before anything touches it.
/// </summary>
public sealed class Database
{
    private readonly string connectionString;

    private Database(string path)
    {
        Path = path;
        connectionString = new SqliteConnectionStringBuilder { DataSource = path, ForeignKeys = true, DefaultTimeout = 10 }.ToString();
    }

    /// <summary>Where the file is.</summary>
    public string Path { get; }

    /// <summary>Opens or makes the database in <paramref name="folder"/> and brings it up to date.</summary>
    /// <exception cref="DatabaseRefusedException">The file is damaged or newer than this program.</exception>
    public static Database Open(string folder)
    {
        Directory.CreateDirectory(folder);
        var database = new Database(System.IO.Path.Combine(folder, "wrapper.db"));
        if (File.Exists(database.Path)) database.RefuseDamagedOrNewer();
        database.Migrate();
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA journal_mode = WAL";
        command.ExecuteNonQuery();
        return database;
    }

    /// <summary>An open connection with full sync; the caller disposes it.</summary>
    public SqliteConnection Connect()
    {
        var connection = new SqliteConnection(connectionString);
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA synchronous = FULL";
        command.ExecuteNonQuery();
        return connection;
    }

    /// <summary>
    /// Copies the live database, consistent as of one moment, into the folder <c>backups</c> beside it, named by <paramref name="at"/>;
    /// returns where. To restore, put the copy in the place of <c>wrapper.db</c> while the server is stopped.
    /// </summary>
    public string BackUp(DateTimeOffset at)
    {
        var folder = Directory.CreateDirectory(System.IO.Path.Combine(System.IO.Path.GetDirectoryName(Path)!, "backups")).FullName;
        var target = System.IO.Path.Combine(folder, string.Create(System.Globalization.CultureInfo.InvariantCulture, $"wrapper-{at.UtcDateTime:yyyyMMdd-HHmmss-fff}.db"));
        using var connection = Connect();
        using var command = connection.CreateCommand();
        command.CommandText = "VACUUM INTO $target";
        command.Parameters.AddWithValue("$target", target);
        command.ExecuteNonQuery();
        return target;
    }

    private static IEnumerable<string> KnownMigrations() =>
        typeof(Database).Assembly.GetManifestResourceNames().Where(name => name.EndsWith(".sql", StringComparison.Ordinal));

    private void RefuseDamagedOrNewer()
    {
        try
        {
            using var connection = new SqliteConnection(new SqliteConnectionStringBuilder(connectionString) { Mode = SqliteOpenMode.ReadOnly, Pooling = false }.ToString());
            connection.Open();
            if ((string)Ask(connection, "PRAGMA quick_check(1)")! != "ok") throw Damaged();
            if (Ask(connection, "SELECT 1 FROM sqlite_master WHERE name = 'SchemaVersions'") is null) return;
            using var command = connection.CreateCommand();
            command.CommandText = "SELECT ScriptName FROM SchemaVersions";
            using var rows = command.ExecuteReader();
            var known = KnownMigrations().ToHashSet();
            while (rows.Read())
                if (!known.Contains(rows.GetString(0)))
                    throw new DatabaseRefusedException($"{Path} was written by a newer Wrapper ({rows.GetString(0)}). Start that one, or start this one with another data folder.");
        }
        catch (SqliteException)
        {
            throw Damaged();
        }
    }

    private DatabaseRefusedException Damaged() =>
        new($"{Path} is damaged. It was left as it is: move it away and put the newest backup in its place, or start with another data folder.");

    private static object? Ask(SqliteConnection connection, string question)
    {
        using var command = connection.CreateCommand();
        command.CommandText = question;
        return command.ExecuteScalar();
    }

    private void Migrate()
    {
        var upgrade = DeployChanges.To.SqliteDatabase(connectionString)
            .WithScripts(KnownMigrations().Order(StringComparer.Ordinal).Select(name =>
                SqlScript.FromStream(name, typeof(Database).Assembly.GetManifestResourceStream(name)!)))
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!upgrade.Successful) throw upgrade.Error;
    }
}
