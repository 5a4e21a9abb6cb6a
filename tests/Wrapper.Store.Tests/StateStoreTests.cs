using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>Earlier states of jobs, templates, and everything as of one moment.</summary>
public sealed class StateStoreTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-states-").FullName;
    private readonly Database database;
    private readonly JobStore jobs;
    private readonly RevisionStore states;

    public StateStoreTests()
    {
        database = Database.Open(folder);
        jobs = new JobStore(database, TimeProvider.System);
        states = new RevisionStore(database, TimeProvider.System);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private void Save(string job, string content, string step = "")
    {
        var change = new Change(
            Guid.NewGuid().ToString("N"),
            $$"""{"name":"{{content}}","customer":""}""",
            content,
            "",
            step
        );
        if (jobs.Find(job) is { } there)
            jobs.Save(job, there.Revision, change);
        else
            jobs.Create(job, change);
    }

    private string[] Told(string job, long before = long.MaxValue, int limit = 100) =>
        [.. states.Of(job, before, limit).Select(state => state.Document.Split('"')[3])];

    [Fact]
    public void States_are_those_that_edits_led_to_one_an_edit_the_latest_first()
    {
        foreach (var content in new[] { "one", "two", "three" })
            Save("a", content);
        Save("b", "other");
        Assert.Equal(["three", "two", "one"], Told("a"));
        Assert.Equal(["three", "two"], Told("a", limit: 2));
        var second = states.Of("a", long.MaxValue, 2)[1].Number;
        Assert.Equal(["one"], Told("a", before: second));
        // Gone back to by undo it is no new state; what was undone is still among them.
        jobs.Undo("a", jobs.Find("a")!.Revision, "u");
        Assert.Equal(["three", "two", "one"], Told("a"));
        Assert.Empty(Told("none"));
    }

    [Fact]
    public void A_named_state_stays_whatever_becomes_of_the_job()
    {
        Save("a", "as measured");
        var number = states.Of("a", long.MaxValue, 1)[0].Number;
        Assert.True(states.Name("a", number, "first"));
        Save("a", "changed");
        Assert.Equal("first", states.Of("a", long.MaxValue, 10)[1].Name);
        // A name is one state's; a state has one name.
        var later = states.Of("a", long.MaxValue, 1)[0].Number;
        Assert.True(states.Name("a", later, "first"));
        var named = Assert.Single(states.Named("a"));
        Assert.Equal((later, "first"), (named.Number, named.Name));
        Assert.True(states.Name("a", later, "as quoted"));
        Assert.Equal(["as quoted"], states.Named("a").Select(state => state.Name));
        Assert.False(states.Name("a", 999, "never"));
        Assert.Null(states.Find("a", 999));
        using (var connection = database.Connect())
        using (var command = connection.CreateCommand())
        {
            command.CommandText = "DELETE FROM revisions WHERE number < (SELECT max(number) FROM revisions)";
            command.ExecuteNonQuery();
        }
        Assert.Contains("changed", states.Find("a", later)!.Document, StringComparison.Ordinal);
        Assert.True(states.Name("a", later, ""));
        Assert.Empty(states.Named("a"));
    }

    [Fact]
    public void So_many_states_have_a_name_and_no_more()
    {
        for (var n = 0; n <= RevisionStore.MostNamed; n++)
            Save("a", $"s{n}");
        var numbers = states.Of("a", long.MaxValue, 100).Select(state => state.Number).ToList();
        for (var n = 0; n < RevisionStore.MostNamed; n++)
            Assert.True(states.Name("a", numbers[n], $"n{n}"));
        Assert.False(states.Name("a", numbers[^1], "one more"));
        // In the place of another it is not one more.
        Assert.True(states.Name("a", numbers[^1], "n0"));
        Assert.Equal(RevisionStore.MostNamed, states.Named("a").Count);
    }

    [Fact]
    public void Templates_are_kept_by_id_and_listed_by_name()
    {
        var templates = new TemplateStore(database, TimeProvider.System);
        Assert.True(templates.Keep(new("1", "window bench", "{}")));
        Assert.True(templates.Keep(new("2", "Berth", "{}")));
        Assert.True(templates.Keep(new("1", "Window bench", """{"n":2}""")));
        Assert.Equal(["Berth", "Window bench"], templates.All().Select(template => template.Name));
        Assert.Equal("""{"n":2}""", templates.All()[1].Content);
        for (var n = 0; n < TemplateStore.Most - 2; n++)
            Assert.True(templates.Keep(new($"m{n}", "many", "{}")));
        Assert.False(templates.Keep(new("more", "one more", "{}")));
        // One that is there is changed all the same.
        Assert.True(templates.Keep(new("2", "Berths", "{}")));
        Assert.True(templates.Remove("2"));
        Assert.False(templates.Remove("2"));
        Assert.True(templates.Keep(new("more", "one more", "{}")));
    }

    // Whoever reads everything sees one moment, while others write.
    [Fact]
    public void Everything_is_seen_as_of_one_moment()
    {
        var (customers, list) = (
            new CustomerStore(database, TimeProvider.System),
            new JobList(database, TimeProvider.System)
        );
        Save("a", "first");
        Save("gone", "deleted");
        list.Put("gone", Kept.Deleted);
        Save("away", "put away");
        list.Put("away", Kept.Away);
        customers.Keep("c", 0, new("Mill Lane", "{}", "mill", []));
        using (var all = new Everything(database))
        {
            var before = all.Contents(KeptTable.Customers).Count();
            Save("a", "second");
            Save("new", "later");
            customers.Keep("d", 0, new("Ferncliff", "{}", "fern", []));
            Assert.Equal(1, before);
            Assert.Equal(
                [
                    ("a", """{"name":"first","customer":""}""", false),
                    ("away", """{"name":"put away","customer":""}""", true),
                ],
                all.Jobs()
            );
            Assert.Single(all.Contents(KeptTable.Customers));
            Assert.Empty(all.Papers());
            Assert.Empty(all.Photos());
        }
        using var now = new Everything(database);
        Assert.Equal(3, now.Jobs().Count());
        Assert.Equal(2, now.Contents(KeptTable.Customers).Count());
    }

    [Fact]
    public void A_paper_from_elsewhere_is_taken_in_as_it_is_where_its_number_follows_on()
    {
        var papers = new PaperStore(database, TimeProvider.System);
        WholePaper Paper(string id, long number, string? on = null, string content = "{}") =>
            new(
                id,
                "a",
                1,
                "c",
                "Invoice",
                number,
                "2026-03-02",
                on,
                "GBP",
                1000,
                content,
                "mill",
                "asked",
                "2026-03-02T09:00:00Z"
            );
        bool TakeIn(WholePaper paper) =>
            papers.TakeIn(
                paper,
                new Dictionary<string, byte[]> { ["i"] = [1, 2] },
                [new PaperEvent("cancelled", "why", "2026-03-03")]
            );
        Assert.Equal(0, papers.Last("Invoice"));
        Assert.False(TakeIn(Paper("two", 2)));
        Assert.True(TakeIn(Paper("one", 1)));
        Assert.True(TakeIn(Paper("two", 2, on: "one")));
        // Again it is there already; another paper under its id is not taken for it, nor another of its number.
        Assert.True(TakeIn(Paper("one", 1)));
        Assert.False(TakeIn(Paper("one", 1, content: """{"total":2}""")));
        Assert.False(TakeIn(Paper("other", 2)));
        // What it rests on must be here.
        Assert.False(TakeIn(Paper("three", 3, on: "none")));
        Assert.Equal(2, papers.Last("Invoice"));
        var kept = papers.Find("two")!;
        Assert.Equal(("one", "2026-03-02", 1000L), (kept.BasedOn, kept.Date, kept.Total));
        Assert.Equal(["cancelled"], kept.Events.Select(each => each.Event));
        Assert.Equal(["i"], kept.Drawings);
        using var all = new Everything(database);
        Assert.Equal(["one", "two"], all.Papers().Select(paper => paper.Id));
        Assert.Equal([("i", 2)], all.DrawingsOf("two").Select(each => (each.Item, each.Png.Length)));
    }
}
