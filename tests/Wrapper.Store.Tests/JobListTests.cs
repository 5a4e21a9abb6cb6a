using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>Jobs found, sorted, paged, put away, deleted, brought back, and gone.</summary>
public sealed class JobListTests : IDisposable
{
    private sealed class Days : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2026, 1, 5, 8, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }

    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-list-").FullName;
    private readonly Days clock = new();
    private readonly Database database;
    private readonly JobStore store;
    private readonly JobList list;

    public JobListTests()
    {
        database = Database.Open(folder);
        store = new JobStore(database, clock);
        list = new JobList(database, clock);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private void Begin(string id, string name, string customer = "Lodge", string document = "{}") =>
        store.Create(id, new Change($"c-{id}", document, name, customer));

    private string[] Found(string search, Kept kept = Kept.Here) =>
        [.. list.Of(search: search, kept: kept).Select(job => job.Id).Order()];

    private long Count(string table)
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText = $"SELECT count(*) FROM {table}";
        return (long)command.ExecuteScalar()!;
    }

    [Theory]
    [InlineData(JobOrder.Changed)]
    [InlineData(JobOrder.Name)]
    [InlineData(JobOrder.Customer)]
    public void Each_job_is_on_one_page_whatever_the_order(JobOrder order)
    {
        for (var n = 0; n < 25; n++)
        {
            // Some at the same moment, of the same name, for the same customer.
            if (n % 3 == 0)
                clock.Now += TimeSpan.FromMinutes(1);
            Begin($"j{n:00}", n % 4 == 0 ? "Bench" : $"bench {n % 7}", n % 5 == 0 ? "mill" : $"Lodge {n % 3}");
        }
        var seen = new List<JobSummary>();
        for (string? mark = null; list.Of(7, after: mark, order: order) is { Count: > 0 } page; mark = page[^1].Mark)
            seen.AddRange(page);
        Assert.Equal(25, seen.Select(job => job.Id).Distinct().Count());
        Assert.Equal(25, seen.Count);
        var expected = order switch
        {
            JobOrder.Changed => seen.OrderByDescending(job => job.ChangedAt),
            JobOrder.Name => seen.OrderBy(job => job.Name, StringComparer.OrdinalIgnoreCase),
            _ => seen.OrderBy(job => job.Customer, StringComparer.OrdinalIgnoreCase),
        };
        Assert.Equal(expected.Select(job => job.Id), seen.Select(job => job.Id));
    }

    private const string Document = """
        {"name":"Stools","customer":"Lodge","items":[{"name":"Footstool \"low\"","notes":"hinges at the back"}],
         "cloths":[{"name":"Écru linen"}],"removed":[{"name":"Old settle"}]}
        """;

    [Fact]
    public void A_job_is_found_by_its_items_cloths_and_notes_and_by_every_word()
    {
        Begin("stools", "Stools", "Mill Lane", Document);
        Begin("bench", "Window bench", "Lodge");
        foreach (
            var words in new[] { "stool", "ÉCRU", "hinge", "lane foot", "\"low\"", "l", "ool", "mill", "linen BACK" }
        )
            Assert.Contains("stools", Found(words));
        foreach (var words in new[] { "settle", "linen bench", "ecruu", "\" OR \"", "*", "NEAR(" })
            Assert.Empty(Found(words));
        Assert.Equal(["bench", "stools"], Found("  "));
        // What is saved anew is found anew, and undone again.
        store.Save("stools", 1, new Change("c2", "{\"items\":[{\"name\":\"Ottoman\"}]}", "Stools", ""));
        Assert.Empty(Found("footstool"));
        Assert.Equal(["stools"], Found("ottoman"));
    }

    [Fact]
    public void What_was_stored_before_there_was_an_index_is_found_once_it_is_rebuilt()
    {
        Begin("stools", "Stools", "Mill Lane", Document);
        using (var connection = database.Connect())
        {
            using var command = connection.CreateCommand();
            command.CommandText = "DELETE FROM found; UPDATE jobs SET found = NULL";
            command.ExecuteNonQuery();
        }
        Assert.Empty(Found("hinges"));
        Assert.Equal(1, Finding.Rebuild(database));
        Assert.Equal(["stools"], Found("hinges"));
        Assert.Equal(0, Finding.Rebuild(database));
    }

    [Fact]
    public void What_is_put_away_stays_and_what_is_deleted_goes_after_thirty_days()
    {
        Begin("a", "Armchair");
        Begin("b", "Bench");
        new PhotoStore(database, clock).Add("a", new Photo("p", "item", "", "image/png", false), new MemoryStream([1]));
        Assert.True(list.Put("b", Kept.Away));
        Assert.True(list.Put("a", Kept.Deleted));
        Assert.False(list.Put("none", Kept.Deleted));
        Assert.Empty(Found(""));
        Assert.Equal(["b"], Found("", Kept.Away));
        Assert.Equal(["a"], Found("", Kept.Deleted));
        // One that was deleted is not to be opened or changed; one that was put away is.
        Assert.Null(store.Find("a"));
        Assert.Null(store.Save("a", 1, new Change("x", "{}", "x", "")));
        Assert.NotNull(store.Find("b"));
        Assert.Equal(clock.Now.AddDays(30), Assert.Single(list.Of(kept: Kept.Deleted)).GoesAt);
        clock.Now = clock.Now.AddDays(29);
        Assert.Equal(0, list.Clear());
        Assert.True(list.Put("a", Kept.Here));
        Assert.True(list.Put("a", Kept.Deleted));
        clock.Now = clock.Now.AddDays(29);
        Assert.Equal(0, list.Clear());
        clock.Now = clock.Now.AddDays(2);
        Assert.Equal(1, list.Clear());
        Assert.Equal((0L, 1L, 1L, 1L), (Count("photos"), Count("jobs"), Count("revisions"), Count("found")));
        Assert.Equal(["b"], Found("", Kept.Away));
    }
}
