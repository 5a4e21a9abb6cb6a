using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

public sealed class JobStoreTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-store-").FullName;
    private readonly Database database;
    private readonly JobStore store;

    public JobStoreTests()
    {
        database = Database.Open(folder);
        store = new JobStore(database, TimeProvider.System);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private static Change Say(string name, string changeId, string step = "") =>
        new(changeId, $$"""{"name":"{{name}}","customer":"Mill Lane"}""", name, "Mill Lane", step);

    private long Save(long from, string name, string changeId, string step = "") =>
        store.Save("j", from, Say(name, changeId, step))!.Job.Revision;

    private string Name() => store.Find("j")!.Document.Split('"')[3];

    [Fact]
    public void What_is_saved_is_there_after_opening_again()
    {
        store.Create("j", Say("one", "c1"));
        Save(1, "two", "c2");
        var again = new JobStore(Database.Open(folder), TimeProvider.System);
        Assert.Equal(
            (2, true),
            (again.Find("j")!.Revision, again.Find("j")!.Document.Contains("two", StringComparison.Ordinal))
        );
        var listed = Assert.Single(new JobList(database, TimeProvider.System).Of());
        Assert.Equal(("j", "two", 2), (listed.Id, listed.Name, listed.Revision));
        Assert.Null(again.Find("other"));
        Assert.Null(again.Save("other", 1, Say("x", "c")));
    }

    [Fact]
    public void Two_writers_from_one_revision_are_a_conflict_and_neither_is_lost()
    {
        store.Create("j", Say("one", "c1"));
        Save(1, "mine", "c2");
        var second = store.Save("j", 1, Say("theirs", "c3"))!;
        Assert.True(second.Conflict);
        Assert.Contains("mine", second.Job.Document, StringComparison.Ordinal);
        Assert.Equal("mine", Name());
        Assert.False(store.Save("j", second.Job.Revision, Say("theirs", "c4"))!.Conflict);
    }

    [Fact]
    public void Many_writers_at_once_leave_one_line_of_revisions()
    {
        store.Create("j", Say("start", "c0"));
        Parallel.For(
            0,
            24,
            n =>
            {
                while (store.Save("j", store.Find("j")!.Revision, Say($"n{n}", $"w{n}"))!.Conflict) { }
            }
        );
        Assert.Equal(25, store.Find("j")!.Revision);
    }

    [Fact]
    public void A_change_id_sent_again_gets_its_first_result()
    {
        store.Create("j", Say("one", "c1"));
        Assert.Equal("one", store.Create("j", Say("again", "c2")).Job.Document.Split('"')[3]);
        Assert.Equal(2, Save(1, "two", "c2"));
        Save(2, "three", "c3");
        var repeated = store.Save("j", 1, Say("two", "c2"))!;
        Assert.False(repeated.Conflict);
        Assert.Equal(2, repeated.Job.Revision);
        Assert.Equal((3, "three"), (store.Find("j")!.Revision, Name()));
    }

    [Fact]
    public void Undo_and_redo_walk_the_steps_and_an_edit_cuts_redo_off()
    {
        store.Create("j", Say("a", "c1"));
        Save(1, "b", "c2");
        Save(2, "c", "c3");
        var names = new List<string>();
        foreach (var way in "uuurrr")
        {
            var at = store.Find("j")!.Revision;
            if (way == 'u')
                store.Undo("j", at, $"m{names.Count}");
            else
                store.Redo("j", at, $"m{names.Count}");
            names.Add(Name());
        }
        Assert.Equal(["b", "a", "a", "b", "c", "c"], names);
        store.Undo("j", store.Find("j")!.Revision, "u");
        var branch = store.Save("j", store.Find("j")!.Revision, Say("d", "c9"))!.Job;
        Assert.False(branch.CanRedo);
        Assert.Equal("b", Back("v"));
        Assert.Equal("a", Back("x"));

        string Back(string change)
        {
            store.Undo("j", store.Find("j")!.Revision, change);
            return Name();
        }
    }

    [Fact]
    public void Typing_in_one_field_is_one_step_of_undo()
    {
        store.Create("j", Say("a", "c1"));
        Save(1, "4", "c2", "T#1");
        Save(2, "46", "c3", "T#1");
        Save(3, "46 1/2", "c4", "T#1");
        Save(4, "other", "c5", "W#1");
        store.Undo("j", 5, "u1");
        Assert.Equal("46 1/2", Name());
        store.Undo("j", 6, "u2");
        Assert.Equal("a", Name());
        Assert.True(store.Undo("j", 6, "u3")!.Conflict);
    }

    [Fact]
    public void A_copy_made_while_open_can_be_opened_by_itself()
    {
        store.Create("j", Say("kept", "c1"));
        var other = Directory.CreateDirectory(Path.Combine(folder, "copy")).FullName;
        var copy = new Backups(database).Make(new DateTimeOffset(2026, 3, 1, 9, 30, 0, TimeSpan.Zero));
        Assert.Equal(Path.Combine(folder, "backups", "wrapper-20260301-093000-000.db"), copy);
        Save(1, "later", "c2");
        File.Move(copy, Path.Combine(other, "wrapper.db"));
        Assert.Contains(
            "kept",
            new JobStore(Database.Open(other), TimeProvider.System).Find("j")!.Document,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_damaged_file_is_refused_and_left_as_it_is()
    {
        var other = Directory.CreateDirectory(Path.Combine(folder, "bad")).FullName;
        var path = Path.Combine(other, "wrapper.db");
        File.WriteAllBytes(path, [.. Enumerable.Repeat((byte)7, 5000)]);
        var refusal = Assert.Throws<DatabaseRefusedException>(() => Database.Open(other));
        Assert.Contains("damaged", refusal.Message, StringComparison.Ordinal);
        Assert.Equal(5000, new FileInfo(path).Length);
    }

    [Fact]
    public void A_file_of_a_newer_program_is_refused()
    {
        using (var connection = database.Connect())
        {
            using var command = connection.CreateCommand();
            command.CommandText = string.Create(
                CultureInfo.InvariantCulture,
                $"INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Wrapper.Store.Migrations.9999_later.sql', '2030-01-01')"
            );
            command.ExecuteNonQuery();
        }
        Assert.Contains(
            "newer",
            Assert.Throws<DatabaseRefusedException>(() => Database.Open(folder)).Message,
            StringComparison.Ordinal
        );
    }

    // As the first version left it: jobs and no photos.
    [Fact]
    public void A_file_of_the_first_version_is_brought_up_to_date_with_its_jobs()
    {
        store.Create("j", Say("Stools", "c1"));
        using (var connection = database.Connect())
        {
            using var command = connection.CreateCommand();
            command.CommandText = """
                DROP TABLE paper_drawings; DROP TABLE paper_events; DROP TABLE papers; DROP TABLE price_book; DROP TABLE calendar; DROP TABLE stock; DROP TABLE reservations; DROP TABLE taken; DROP TABLE stock_photos; DROP TABLE feed; DROP TABLE letters; DROP TABLE orders; DROP TABLE batches; DROP TABLE named_states; DROP TABLE templates; DROP TABLE schedules; DROP TABLE price_sheets; DROP TABLE customer_marks; DROP TABLE customers; DROP INDEX jobs_customer_id; ALTER TABLE jobs DROP COLUMN customer_id;
                DROP TABLE records; DROP TABLE ways; DROP TABLE fits; DROP TABLE times; DROP TABLE own_values; DROP TABLE refusals; DROP TABLE photos; DROP TABLE lays; DROP TABLE workroom; DROP TABLE found; DROP INDEX jobs_found; DROP INDEX jobs_name; DROP INDEX jobs_customer;
                CREATE TABLE first (job_id TEXT NOT NULL, number INTEGER NOT NULL, change_id TEXT NOT NULL, document TEXT NOT NULL, shows INTEGER NOT NULL, before INTEGER, redo TEXT NOT NULL, step TEXT NOT NULL, saved_at TEXT NOT NULL);
                INSERT INTO first VALUES ('j', 1, 'c1', '{"name":"Stools","customer":"Mill Lane"}', 1, NULL, '[]', '', '2026-01-01'), ('j', 2, 'c2', '{"name":"Sto","customer":""}', 2, 1, '[]', 'name#1', '2026-01-01'),
                    ('j', 3, 'c3', '{"name":"Stool","customer":""}', 3, 1, '[]', 'name#1', '2026-01-01'), ('j', 4, 'c4', '{"name":"Stools","customer":"Mill Lane"}', 1, NULL, '[3]', '', '2026-01-01');
                DROP TABLE revisions; DROP TABLE changes; ALTER TABLE first RENAME TO revisions;
                ALTER TABLE jobs DROP COLUMN deleted_at; ALTER TABLE jobs DROP COLUMN found; ALTER TABLE jobs DROP COLUMN put_away_at; UPDATE jobs SET revision = 4;
                DELETE FROM SchemaVersions WHERE ScriptName NOT LIKE '%0001_jobs.sql'
                """;
            command.ExecuteNonQuery();
        }
        var photos = new PhotoStore(Database.Open(folder), TimeProvider.System);
        Assert.True(
            photos.Add("j", new Photo("p", "stool", "", "image/png", false), new MemoryStream([1, 2])) is not null
        );
        Assert.Equal("p", Assert.Single(photos.Of("j")).Id);
        Assert.Equal("Stools", Name());
    }

    // "It stays, and can be brought back" was what a maker was told: so it does, for longer than thirty days.
    [Fact]
    public void What_was_taken_away_before_jobs_were_deleted_for_good_is_put_away()
    {
        store.Create("j", Say("Stools", "c1"));
        store.Create("k", Say("Bench", "c2"));
        using (var connection = database.Connect())
        {
            using var command = connection.CreateCommand();
            command.CommandText = """
                UPDATE jobs SET deleted_at = '2025-01-01T00:00:00.0000000+00:00' WHERE id = 'j';
                DROP TABLE found; DROP INDEX jobs_found; DROP INDEX jobs_name; DROP INDEX jobs_customer;
                ALTER TABLE jobs DROP COLUMN found; ALTER TABLE jobs DROP COLUMN put_away_at; ALTER TABLE jobs ADD COLUMN search TEXT;
                DELETE FROM SchemaVersions WHERE ScriptName LIKE '%0006_finding.sql'
                """;
            command.ExecuteNonQuery();
        }
        var list = new JobList(Database.Open(folder), TimeProvider.System);
        Assert.Equal(0, list.Clear());
        Assert.Equal("j", Assert.Single(list.Of(kept: Kept.Away)).Id);
        Assert.Equal("k", Assert.Single(list.Of()).Id);
        Assert.Equal("Stools", Name());
    }

    [Fact]
    public void Found_lays_outlive_the_program_and_the_oldest_make_room()
    {
        var clock = new Ticking();
        var lays = new FoundLays(database, clock, most: 2);
        lays.Keep("a", "first");
        lays.Keep("b", "second");
        lays.Keep("a", "better");
        lays.Keep("c", "third");
        var again = new FoundLays(Database.Open(folder), clock);
        Assert.Equal(
            ("better", null, "third", null),
            (again.Find("a"), again.Find("b"), again.Find("c"), again.Find("d"))
        );
    }

    // Every look at it is a second later.
    private sealed class Ticking : TimeProvider
    {
        private DateTimeOffset now = new(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => now += TimeSpan.FromSeconds(1);
    }

    [Fact]
    public void Every_commit_is_synced_to_disk_through_a_write_ahead_log()
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText =
            "SELECT (SELECT journal_mode FROM pragma_journal_mode) || (SELECT synchronous FROM pragma_synchronous)";
        Assert.Equal("wal2", command.ExecuteScalar());
    }
}
