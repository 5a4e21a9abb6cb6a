using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>
/// Papers are numbered without gaps and never changed, whoever tries: the store, two at once, or somebody with a
/// database tool.
/// </summary>
public sealed class PaperStoreTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-papers-").FullName;
    private readonly Database database;
    private readonly PaperStore papers;

    public PaperStoreTests()
    {
        database = Database.Open(folder);
        papers = new PaperStore(database, TimeProvider.System);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private KeptPaper? Issue(string id, string kind = "Invoice", string asked = "a", bool allowed = true) =>
        papers.Issue(
            new(
                id,
                "j",
                1,
                "",
                kind,
                "2026-03-02",
                null,
                "GBP",
                1000,
                "Mill Lane",
                asked,
                new Dictionary<string, byte[]> { ["i"] = [1] }
            ),
            number => $$"""{"number":{{number}}}""",
            _ => allowed
        );

    [Fact]
    public void Each_kind_is_numbered_from_one_and_a_refusal_takes_no_number()
    {
        Assert.Equal(1, Issue("a")!.Number);
        Assert.Null(Issue("b", allowed: false));
        Assert.Equal(1, Issue("c", "Receipt")!.Number);
        Assert.Equal(2, Issue("d")!.Number);
        // A lost reply: the same again gives the first result, another under its id nothing.
        Assert.Equal(2, Issue("d")!.Number);
        Assert.Null(Issue("d", asked: "other"));
        Assert.Equal("""{"number":2}""", papers.Find("d")!.Content);
        Assert.Equal(["a", "c", "d"], papers.OfJob("j").Select(paper => paper.Id));
        Assert.Equal(["d", "a"], papers.List("mill", "Invoice", null, 10).Select(paper => paper.Id));
        Assert.Equal(["a"], papers.List("", "Invoice", papers.Find("d")!.Mark, 10).Select(paper => paper.Id));
        Assert.Empty(papers.List("ferncliff", null, null, 10));
    }

    [Fact]
    public void Many_at_once_get_numbers_of_their_own()
    {
        Parallel.For(0, 24, new ParallelOptions { MaxDegreeOfParallelism = 8 }, n => Issue($"p{n}"));
        Assert.Equal(Enumerable.Range(1, 24), papers.OfJob("j").Select(paper => paper.Number).Order());
    }

    [Theory]
    [InlineData("UPDATE papers SET total = 1 WHERE id = 'a'")]
    [InlineData("UPDATE papers SET number = 9")]
    [InlineData("DELETE FROM papers WHERE id = 'b'")]
    [InlineData("DELETE FROM papers")]
    [InlineData("REPLACE INTO papers SELECT * FROM papers WHERE id = 'a'")]
    [InlineData(
        "INSERT INTO papers SELECT 'z', job_id, 1, '', kind, 4, date, NULL, currency, 1, '{}', '', '', '' FROM papers WHERE id = 'a'"
    )]
    [InlineData(
        "INSERT INTO papers SELECT 'z', job_id, 1, '', kind, 2, date, NULL, currency, 1, '{}', '', '', '' FROM papers WHERE id = 'a'"
    )]
    [InlineData(
        "INSERT OR REPLACE INTO papers SELECT 'a', job_id, 1, '', kind, 3, date, NULL, currency, 1, '{}', '', '', '' FROM papers WHERE id = 'a'"
    )]
    [InlineData("UPDATE paper_drawings SET png = x'00'")]
    [InlineData("DELETE FROM paper_drawings")]
    [InlineData("REPLACE INTO paper_drawings VALUES ('a', 'i', x'00')")]
    [InlineData("UPDATE paper_events SET event = 'never'")]
    [InlineData("DELETE FROM paper_events")]
    public void The_database_itself_refuses_to_change_what_was_given_out(string attempt)
    {
        Issue("a");
        Issue("b");
        Assert.True(papers.Note("a", "cancelled", "ordered twice"));
        Assert.False(papers.Note("a", "cancelled", "again"));
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText = attempt;
        Assert.Throws<SqliteException>(() => command.ExecuteNonQuery());
        Assert.Equal([1, 2], papers.OfJob("j").Select(paper => paper.Number));
        Assert.Equal([(byte)1], papers.Drawing("a", "i")!);
        Assert.Equal("ordered twice", Assert.Single(papers.Find("a")!.Events).Note);
    }

    [Fact]
    public void Papers_outlive_their_job()
    {
        var jobs = new JobStore(database, TimeProvider.System);
        jobs.Create("j", new Change("c", """{"name":"a","customer":"b"}""", "a", "b"));
        var sheets = new SheetStore(database);
        Assert.True(sheets.Keep(JobSheet.Price, "j", 0, "{}"));
        Issue("a");
        var later = new JobList(database, new Later());
        Assert.True(new JobList(database, TimeProvider.System).Put("j", Kept.Deleted));
        Assert.Equal(1, later.Clear());
        Assert.NotNull(papers.Find("a"));
        Assert.Null(sheets.Read(JobSheet.Price, "j"));
    }

    [Fact]
    public void A_price_sheet_is_kept_only_by_who_saw_the_latest()
    {
        new JobStore(database, TimeProvider.System).Create("j", new Change("c", "{}", "a", "b"));
        var sheets = new SheetStore(database);
        Assert.True(sheets.Keep(JobSheet.Price, "j", 0, "1"));
        Assert.False(sheets.Keep(JobSheet.Price, "j", 0, "2"));
        Assert.True(sheets.Keep(JobSheet.Price, "j", 1, "3"));
        Assert.False(sheets.Keep(JobSheet.Price, "j", 1, "4"));
        Assert.Equal(new KeptSheet(2, "3"), sheets.Read(JobSheet.Price, "j"));
        Assert.False(sheets.Keep(JobSheet.Price, "gone", 0, "1"));
        Assert.True(sheets.Keep(WorkroomSheet.PriceBook, 0, "1"));
        Assert.False(sheets.Keep(WorkroomSheet.PriceBook, 0, "2"));
        Assert.True(sheets.Keep(WorkroomSheet.PriceBook, 1, "3"));
        Assert.Equal(new KeptSheet(2, "3"), sheets.Read(WorkroomSheet.PriceBook));
    }

    private sealed class Later : TimeProvider
    {
        public override DateTimeOffset GetUtcNow() => DateTimeOffset.UtcNow.AddDays(JobList.DaysKept + 1);
    }
}
