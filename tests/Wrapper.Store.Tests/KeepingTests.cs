using System.Globalization;
using System.Text;
using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>
/// These look at the log of a database as it lies on the disk. Every other class ends by closing all connections that rest,
/// those of other classes too, and the last one to close takes the log away.
/// </summary>
[CollectionDefinition(nameof(Alone), DisableParallelization = true)]
public sealed class Alone;

/// <summary>What becomes of a database that is full, locked, damaged, cut off or old, and of its backups.</summary>
[Collection(nameof(Alone))]
public sealed class KeepingTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-keep-").FullName;

    private string DatabasePath => Path.Combine(folder, "wrapper.db");

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private static Change Say(string name, string changeId, string step = "") =>
        new(changeId, $$"""{"name":"{{name}}","customer":"","items":["{{new string('x', 3000)}}"]}""", name, "", step);

    private static string Name(StoredJob? job) => job!.Document.Split('"')[3];

    private static JobStore Store(string folder, TimeProvider? clock = null) =>
        new(Database.Open(folder), clock ?? TimeProvider.System);

    private void Run(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={DatabasePath};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    // A copy of the files as a killed server leaves them: the log not carried over.
    private string AsKilled()
    {
        var copy = Directory.CreateTempSubdirectory("wrapper-killed-").FullName;
        foreach (var end in (string[])["", "-wal"])
            File.Copy(DatabasePath + end, Path.Combine(copy, "wrapper.db" + end));
        return copy;
    }

    [Fact]
    public void A_full_disk_is_told_as_that_and_nothing_is_lost()
    {
        using var disk = new Disk(1500);
        var store = Store(disk.Folder);
        store.Create("j", Say("one", "c1"));
        var fill = disk.Fill();
        var revision = 1L;
        var fault = Assert.Throws<SqliteException>(() =>
        {
            for (var n = 0; n < 400; n++)
                revision = store.Save("j", revision, Say($"n{n}", $"n{n}"))!.Job.Revision;
        });
        Assert.Contains("full", StoreFault.Told(fault, "wrapper.db"), StringComparison.Ordinal);
        Assert.False(StoreFault.IsDamage(fault));
        Assert.Equal(revision, store.Find("j")!.Revision);
        Assert.Contains(
            "no room for a copy",
            Assert
                .Throws<IOException>(() => new Backups(Database.Open(disk.Folder)).Make(DateTimeOffset.UnixEpoch))
                .Message,
            StringComparison.Ordinal
        );
        File.Delete(fill);
        Assert.Equal(revision + 1, store.Save("j", revision, Say("room", "r"))!.Job.Revision);
        Assert.Null(Database.Open(disk.Folder).Damage());
        SqliteConnection.ClearAllPools();
    }

    [Fact]
    public void A_read_only_disk_and_a_locked_file_are_told_as_such()
    {
        using var disk = new Disk(3000);
        Store(disk.Folder).Create("j", Say("one", "c1"));
        SqliteConnection.ClearAllPools();
        using (
            var locking = new SqliteConnection($"Data Source={Path.Combine(disk.Folder, "wrapper.db")};Pooling=False")
        )
        {
            locking.Open();
            using var command = locking.CreateCommand();
            command.CommandText =
                "PRAGMA locking_mode = EXCLUSIVE; BEGIN IMMEDIATE; UPDATE jobs SET name = name; COMMIT";
            command.ExecuteNonQuery();
            Assert.Contains(
                "locked by another program",
                Assert.Throws<DatabaseRefusedException>(() => Database.Open(disk.Folder)).Message,
                StringComparison.Ordinal
            );
        }
        SqliteConnection.ClearAllPools();
        DataLock.Take(disk.Folder)!.Dispose();
        disk.MakeReadOnly();
        Assert.Contains(
            "cannot be used for data",
            Assert.Throws<DatabaseRefusedException>(() => DataLock.Take(disk.Folder)).Message,
            StringComparison.Ordinal
        );
        var refused = Assert.Throws<DatabaseRefusedException>(() => Database.Open(disk.Folder)).Message;
        Assert.DoesNotContain("damaged", refused, StringComparison.Ordinal);
        Assert.Matches("read-only|Read-only|cannot be opened", refused);
        SqliteConnection.ClearAllPools();
    }

    [Fact]
    public void A_log_whose_end_cannot_be_read_is_told_and_one_that_was_only_cut_short_is_not()
    {
        var store = Store(folder);
        store.Create("j", Say("one", "c1"));
        for (var n = 1; n <= 8; n++)
            store.Save("j", n, Say($"n{n}", $"n{n}"));
        var (whole, broken) = (AsKilled(), AsKilled());
        Assert.Equal((0, "n8"), (Database.Open(whole).DroppedCommits, Name(Store(whole).Find("j"))));
        // A byte in the last third of the log is turned over: all commits behind it are gone.
        var log = Path.Combine(broken, "wrapper.db-wal");
        var bytes = File.ReadAllBytes(log);
        bytes[bytes.Length * 2 / 3] ^= 0xFF;
        File.WriteAllBytes(log, bytes);
        Assert.InRange(Database.Open(broken).DroppedCommits, 1, 6);
        SqliteConnection.ClearAllPools();
        foreach (var copy in (string[])[whole, broken])
            Directory.Delete(copy, recursive: true);
    }

    [Fact]
    public void A_backup_comes_back_after_a_kill_with_the_server_stopped_or_running()
    {
        var database = Database.Open(folder);
        var store = new JobStore(database, TimeProvider.System);
        store.Create("j", Say("kept", "c1"));
        var copy = new Backups(database).Make(DateTimeOffset.UnixEpoch);
        store.Save("j", 1, Say("after the backup", "c2"));
        var killed = AsKilled();

        var stopped = Restoring.Run(copy, killed, DateTimeOffset.UnixEpoch);
        Assert.Equal(3, stopped.Count);
        Assert.Equal("kept", Name(Store(killed).Find("j")));
        var aside = Path.Combine(killed, "set-aside", "19700101-000000-000");
        Assert.True(File.Exists(Path.Combine(aside, "wrapper.db-wal")));
        Assert.Equal("after the backup", Name(Store(aside).Find("j")));

        using (var running = DataLock.Take(folder))
        {
            Assert.Contains(
                "server that runs",
                Restoring.Run(Path.GetFileName(copy), folder, DateTimeOffset.UnixEpoch)[2],
                StringComparison.Ordinal
            );
            Assert.Equal("kept", Name(store.Find("j")));
            Assert.Equal(2, store.Save("j", 1, Say("and on", "c3"))!.Job.Revision);
            Assert.Equal(
                "after the backup",
                Name(Store(Path.Combine(folder, "set-aside", "19700101-000000-000")).Find("j"))
            );
        }
        SqliteConnection.ClearAllPools();
        Directory.Delete(killed, recursive: true);
    }

    [Fact]
    public void What_is_no_backup_changes_nothing()
    {
        Store(folder).Create("j", Say("kept", "c1"));
        var bad = Path.Combine(folder, "bad.db");
        File.WriteAllText(bad, new string('7', 5000));
        Assert.Contains(
            "damaged or no database",
            Assert.Throws<DatabaseRefusedException>(() => Restoring.Run(bad, folder, DateTimeOffset.UnixEpoch)).Message,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "There is no file",
            Assert
                .Throws<DatabaseRefusedException>(() => Restoring.Run("none.db", folder, DateTimeOffset.UnixEpoch))
                .Message,
            StringComparison.Ordinal
        );
        Assert.Equal("kept", Name(Store(folder).Find("j")));
        Assert.False(Directory.Exists(Path.Combine(folder, "set-aside")));
    }

    // 400 days: the last 14, and the first of each month of the year before.
    [Fact]
    public void Daily_backups_are_kept_for_two_weeks_and_firsts_of_months_for_a_year()
    {
        var backups = new Backups(Database.Open(folder));
        Directory.CreateDirectory(Path.Combine(folder, "backups"));
        var last = new DateTimeOffset(2026, 3, 20, 9, 0, 0, TimeSpan.Zero);
        for (var day = 400; day > 0; day--)
            File.WriteAllText(
                Path.Combine(
                    folder,
                    "backups",
                    $"daily-{last.AddDays(-day).ToString("yyyyMMdd", CultureInfo.InvariantCulture)}.db"
                ),
                ""
            );
        var onDemand = new[] { backups.Make(last), backups.Make(last) };
        Assert.NotEqual(onDemand[0], onDemand[1]);
        Assert.NotNull(backups.MakeDaily(last));
        Assert.Null(backups.MakeDaily(last));
        var kept = Directory
            .EnumerateFiles(Path.Combine(folder, "backups"), "daily-*")
            .Select(path => Path.GetFileNameWithoutExtension(path)[6..])
            .Order()
            .ToList();
        Assert.Equal(
            [
                "20250401",
                "20250501",
                "20250601",
                "20250701",
                "20250801",
                "20250901",
                "20251001",
                "20251101",
                "20251201",
                "20260101",
                "20260201",
                "20260301",
            ],
            kept.Where(day => day.EndsWith("01", StringComparison.Ordinal))
        );
        Assert.Equal(12 + 14, kept.Count);
        Assert.Equal("20260307", kept.First(day => day.CompareTo("20260301") > 0));
        Assert.All(onDemand, copy => Assert.True(new FileInfo(copy).Length > 0));
        Assert.Empty(Directory.EnumerateFiles(Path.Combine(folder, "backups"), "*.part"));
    }

    [Fact]
    [System.Runtime.Versioning.UnsupportedOSPlatform("windows")]
    public void Files_are_for_their_owner_alone()
    {
        var fresh = Path.Combine(folder, "workroom");
        var database = Database.Open(fresh);
        using var open = database.Connect();
        var copy = new Backups(database).Make(DateTimeOffset.UnixEpoch);
        const UnixFileMode File600 = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        Assert.All(
            [database.Path, database.Path + "-wal", database.Path + "-shm", copy],
            path => Assert.Equal(File600, File.GetUnixFileMode(path))
        );
        Assert.All(
            [fresh, Path.GetDirectoryName(copy)!],
            path => Assert.Equal(File600 | UnixFileMode.UserExecute, File.GetUnixFileMode(path))
        );
    }

    // Typing in one field leaves one revision, and what is asked again gets its answer though it is folded away.
    [Fact]
    public void Edits_of_a_step_fold_and_their_change_ids_stay()
    {
        var store = Store(folder);
        store.Create("j", Say("a", "c1"));
        for (var n = 1; n <= 30; n++)
            store.Save("j", n, Say($"typed {n}", $"t{n}", "W#1"));
        Run("CREATE TABLE counted AS SELECT count(*) AS n FROM revisions");
        Run("CREATE TABLE only_two (n INTEGER CHECK (n = 2)); INSERT INTO only_two SELECT n FROM counted");
        var again = store.Save("j", 3, Say("typed 3", "t3", "W#1"))!;
        Assert.Equal((false, 4L, "typed 3"), (again.Conflict, again.Job.Revision, Name(again.Job)));
        var other = store.Save("j", 3, Say("another document", "t3", "W#1"))!;
        Assert.Equal((true, 31L), (other.Conflict, other.Job.Revision));
        store.Undo("j", 31, "u");
        Assert.Equal("a", Name(store.Find("j")));
    }

    // Random edits, undos and redos, some ten a day over two months: of each old day the last is left (three at most,
    // where a later one leads back to others), the job is
    // what it was, and what is left can be walked through.
    [Fact]
    public void Old_revisions_are_thinned_to_one_a_day_and_the_job_stays()
    {
        for (var seed = 1; seed <= 6; seed++)
        {
            var random = new Random(seed * 7919);
            var clock = new Days();
            var job = $"j{seed}";
            var store = Store(folder, clock);
            store.Create(job, Say("start", "c"));
            for (var n = 1L; n <= 600; n++)
            {
                if (random.Next(10) == 0)
                    clock.Now += TimeSpan.FromDays(1);
                var done = random.Next(5) switch
                {
                    0 => store.Undo(job, n, $"m{n}"),
                    1 => store.Redo(job, n, $"m{n}"),
                    _ => store.Save(job, n, Say($"n{n}", $"m{n}", random.Next(2) == 0 ? "" : $"s{n / 5}")),
                };
                n = done!.Job.Revision - 1;
            }
            var before = store.Find(job)!;
            Assert.True(Thinning.Run(Database.Open(folder), clock.Now) >= 50);
            Assert.Equal(
                (before.Revision, before.Document, before.CanUndo, before.CanRedo),
                (
                    store.Find(job)!.Revision,
                    store.Find(job)!.Document,
                    store.Find(job)!.CanUndo,
                    store.Find(job)!.CanRedo
                )
            );
            var steps = 0;
            for (var now = before; now.CanUndo && steps < 400; steps++)
                now = store.Undo(job, now.Revision, $"w{steps}")!.Job;
            Assert.True(steps < 400);
            Run(
                $"CREATE TABLE days{seed} (n INTEGER CHECK (n <= 3)); INSERT INTO days{seed} SELECT count(*) FROM revisions WHERE job_id = '{job}' AND saved_at < '{clock.Now.UtcDateTime.AddDays(-31).ToString("O", CultureInfo.InvariantCulture)}' GROUP BY substr(saved_at, 1, 10)"
            );
        }
    }

    private sealed class Days : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }

    [Fact]
    public void Documents_come_out_of_their_packing_as_they_went_in()
    {
        var random = new Random(5);
        for (var n = 0; n < 400; n++)
        {
            string Text() =>
                string.Concat(
                    Enumerable
                        .Range(0, random.Next(40))
                        .Select(_ =>
                            (string[])["é", "a", "b", "١", "😀", "\"", "xyz"] is var parts
                                ? parts[random.Next(parts.Length)]
                                : ""
                        )
                );
            var (under, text) = (Text(), Text());
            if (random.Next(2) == 0)
                text = under.Length > 4 ? string.Concat(under.AsSpan(0, 2), text, under.AsSpan(2)) : text;
            // Halves of a pair are no text; a document never holds one.
            if (!Encoding.UTF8.GetString(Encoding.UTF8.GetBytes(text)).Equals(text, StringComparison.Ordinal))
                continue;
            Assert.Equal(text, Contents.Unpack(Contents.Pack(text), null));
            Assert.Equal(
                Encoding.UTF8.GetString(Encoding.UTF8.GetBytes(text)),
                Contents.Unpack(Contents.Pack(text, under), under)
            );
        }
        Assert.Throws<InvalidDataException>(() => Contents.Unpack(Contents.Pack("b", "a"), null));
    }
}
