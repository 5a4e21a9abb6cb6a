using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>What the store reads off documents: records, fits, times; always as the document has them now.</summary>
public sealed class RecordStoreTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-records-").FullName;
    private readonly Database database;
    private readonly JobStore jobs;
    private readonly RecordStore records;
    private readonly LearningStore learning;

    public RecordStoreTests()
    {
        database = Database.Open(folder);
        jobs = new JobStore(database, TimeProvider.System);
        records = new RecordStore(database);
        learning = new LearningStore(database);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private static string Given(string item, string date, string place, string batch) =>
        $$$"""{"id":"{{{item}}}","given":{"date":"{{{date}}}","name":"Stool","customer":"Mill Lane","place":"{{{place}}}","cloths":[{"name":"Rust","batch":"{{{batch}}}","care":["wash-30"]}]}}""";

    private static string Document(params string[] covers) =>
        $$$"""{"name":"a","customer":"Mill Lane","handOver":{"covers":[{{{string.Join(",", covers)}}}]}}""";

    private void Begin(string id, string document) => jobs.Create(id, new Change($"c-{id}", document, id, "Mill Lane"));

    private string[] Found(string search) => [.. records.Of(search).Select(each => $"{each.Job}/{each.Item}")];

    [Fact]
    public void A_record_is_found_by_every_word_of_customer_place_and_batch()
    {
        Begin(
            "a",
            Document(Given("i1", "2026-03-01", "North bay", "H 22"), Given("i2", "2026-03-01", "South bay", "H 23"))
        );
        Begin("b", Document(Given("i1", "2026-04-01", "North bay", "K 9")));
        Assert.Equal(["b/i1", "a/i2", "a/i1"], Found(""));
        Assert.Equal(["b/i1", "a/i1"], Found("NORTH bay"));
        Assert.Equal(["a/i2"], Found("mill h 23"));
        Assert.Equal(["a/i1"], Found("north 22"));
        Assert.Empty(Found("north 23"));
        // What a search is made of is no pattern and no command.
        Assert.Empty(Found("%"));
        Assert.Empty(Found("x' OR '1'='1"));
    }

    [Fact]
    public void Each_record_is_on_one_page()
    {
        for (var n = 0; n < 12; n++)
            Begin(
                $"j{n:00}",
                Document(Given("i1", $"2026-01-{1 + (n / 3):00}", "bay", "x"), Given("i2", "2026-02-01", "bay", "x"))
            );
        List<string> seen = [];
        string? after = null;
        while (records.Of("bay", after, 5) is { Count: > 0 } page)
        {
            seen.AddRange(page.Select(each => $"{each.Job}/{each.Item}"));
            after = page[^1].Mark;
        }
        Assert.Equal(24, seen.Count);
        Assert.Equal(24, seen.Distinct().Count());
    }

    // Undone, it is gone; done again, it is back: the tables are never ahead of the document.
    [Fact]
    public void Records_follow_undo_and_redo()
    {
        Begin("a", Document());
        var given = Document(Given("i1", "2026-03-01", "bay", "H 22"));
        Assert.False(jobs.Save("a", 1, new Change("s1", given, "a", "", "give"))!.Conflict);
        Assert.Single(Found("22"));
        jobs.Undo("a", 2, "u1");
        Assert.Empty(Found("22"));
        jobs.Redo("a", 3, "r1");
        Assert.Single(Found("22"));
    }

    [Theory]
    [InlineData("not json")]
    [InlineData("[]")]
    [InlineData("""{"handOver":null,"making":7}""")]
    [InlineData("""{"handOver":{"covers":[7,{"id":"x"},{"id":"y","given":null}]},"making":{"fits":[1],"steps":"x"}}""")]
    public void A_document_that_is_none_of_ours_has_no_records_and_is_kept(string document)
    {
        Begin("a", document);
        Assert.Empty(Found(""));
        Assert.Empty(learning.Times());
        Assert.Equal(document, jobs.Find("a")!.Document);
    }

    [Fact]
    public void Fits_and_times_come_from_every_job_that_is_there()
    {
        static string Making(string cloth, string found) =>
            $$$"""
                {"making":{"fits":[
                  {"id":"f","makeUp":"fitted-sheet","cloth":"{{{cloth}}}","subject":"choices.tuck","found":{"typed":"{{{found}}}","unit":"in"},"date":"2026-01-0{{{found}}}"},
                  {"id":"g","makeUp":"fitted-sheet","cloth":"{{{cloth}}}","subject":"","found":null,"date":""}],
                 "steps":[{"id":"i/zips","kind":"zips","reckoned":60,"seconds":90,"took":""},{"id":"i/cutting","kind":"","reckoned":0,"seconds":5}]}}
                """;
        Begin("a", Making("Plum", "3"));
        Begin("b", Making("Moss", "4"));
        Assert.Equal(["Moss", "Plum"], learning.Fits("fitted-sheet").Select(fit => fit.Cloth));
        Assert.Empty(learning.Fits("runner"));
        Assert.Equal(
            [("zips", 60L, 90L), ("zips", 60L, 90L)],
            learning.Times().Select(t => (t.Kind, t.Reckoned, t.Seconds))
        );
        new JobList(database, TimeProvider.System).Put("b", Kept.Deleted);
        Assert.Equal("Plum", Assert.Single(learning.Fits("fitted-sheet")).Cloth);
        Assert.Single(learning.Times());
    }

    [Fact]
    public void What_was_answered_is_kept_field_by_field()
    {
        Assert.Equal(0, learning.Refused("runner", "choices.x", ""));
        learning.Refuse("runner", "choices.x", "", 3);
        learning.Refuse("runner", "choices.x", "", 5);
        learning.Refuse("runner", "choices.x", "Moss", 4);
        Assert.Equal(
            (5L, 4L),
            (learning.Refused("runner", "choices.x", ""), learning.Refused("runner", "choices.x", "Moss"))
        );
        learning.Begin("runner", "choices.x", "1");
        learning.Begin("runner", "choices.x", "2");
        learning.Begin("runner", "choices.y", "3");
        learning.Begin("runner", "choices.y", null);
        Assert.Equal("2", Assert.Single(learning.OwnValues("runner")).Value);
        var ways = new WayStore(database);
        ways.Keep("runner", "[1]");
        ways.Keep("runner", "[2]");
        Assert.Equal("[2]", ways.Of("runner"));
        ways.Keep("runner", null);
        Assert.Null(ways.Of("runner"));
    }

    // A deleted job takes all of it along when it goes for good.
    [Fact]
    public void Nothing_stays_of_a_job_that_is_gone()
    {
        Begin("a", Document(Given("i1", "2026-03-01", "bay", "H 22")));
        var later = new Later();
        var list = new JobList(database, later);
        list.Put("a", Kept.Deleted);
        later.Now += TimeSpan.FromDays(JobList.DaysKept + 1);
        Assert.Equal(1, list.Clear());
        Assert.Empty(Found(""));
    }

    private sealed class Later : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = DateTimeOffset.UtcNow;

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
