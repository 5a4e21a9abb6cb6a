using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>The shelves: what jobs count on, read off their documents; photos; and the secret of the calendar.</summary>
public sealed class ShelfStoreTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-shelves-").FullName;
    private readonly Database database;
    private readonly JobStore jobs;
    private readonly JobList list;
    private readonly StockStore stock;
    private readonly StockPhotoStore photos;

    public ShelfStoreTests()
    {
        database = Database.Open(folder);
        jobs = new JobStore(database, TimeProvider.System);
        list = new JobList(database, TimeProvider.System);
        stock = new StockStore(database);
        photos = new StockPhotoStore(database);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private KeptStock? Keep(string id, long from = 0, string name = "zip", string batch = "") =>
        stock.Keep(id, from, name, batch, $$"""{"n":"{{name}}{{from}}"}""", $"{name} {batch}");

    private static string Document(string taken = "", string laid = "") =>
        $$"""{"name":"Bench","customer":"","cloths":[{"name":"Twill","batch":"B 1","stock":[{{laid}}]}],"fromShelves":[{{taken}}]}""";

    private static string Taken(string row, string of, string typed, bool isOut = false) =>
        $$"""{"id":"{{row}}","thing":"zip","stock":"{{of}}","amount":{"typed":"{{typed}}","unit":"in"},"isOut":{{(isOut ? "true" : "false")}}}""";

    private void Save(string job, string document)
    {
        var change = new Change(Guid.NewGuid().ToString("N"), document, "Bench", "");
        if (jobs.Find(job) is { } there)
            Assert.False(jobs.Save(job, there.Revision, change)!.Conflict);
        else
            jobs.Create(job, change);
    }

    private string[] Reserved(string id) =>
        [.. stock.Find(id)!.Reserved.Select(each => $"{each.Job} {each.Amount}".Trim()).Order()];

    [Fact]
    public void What_a_job_takes_is_reserved_as_its_document_says_at_that_moment()
    {
        Keep("zips");
        Keep("roll");
        Save("a", Document(Taken("1", "zips", "4"), """{"id":"shelf-roll"}"""));
        Save("b", Document($"{Taken("1", "zips", "2")},{Taken("2", "zips", "1")}"));
        Assert.Equal(
            ["""a {"typed":"4","unit":"in"}""", """b {"typed":"1","unit":"in"}""", """b {"typed":"2","unit":"in"}"""],
            Reserved("zips")
        );
        // A roll is counted on whole.
        Assert.Equal(["a"], Reserved("roll"));
        Assert.Equal(Taking.Reserved, stock.Remove("zips"));
        // Taken out, and left there: neither is reserved any more.
        Save("a", Document(Taken("1", "zips", "4", isOut: true)));
        Save("b", Document());
        Assert.Empty(Reserved("zips"));
        Assert.Empty(Reserved("roll"));
        Assert.Equal(Taking.Done, stock.Remove("zips"));
        Assert.Equal(Taking.Unknown, stock.Remove("zips"));
    }

    [Fact]
    public void A_job_that_is_put_away_or_deleted_counts_on_nothing_and_does_again_when_it_is_back()
    {
        Keep("zips");
        Save("a", Document(Taken("1", "zips", "4")));
        foreach (var away in new[] { Kept.Away, Kept.Deleted })
        {
            list.Put("a", away);
            Assert.Empty(Reserved("zips"));
            list.Put("a", Kept.Here);
            Assert.Single(Reserved("zips"));
        }
        // An undo is a change like any other.
        Save("a", Document());
        Assert.Empty(Reserved("zips"));
        jobs.Undo("a", jobs.Find("a")!.Revision, "u");
        Assert.Single(Reserved("zips"));
    }

    [Fact]
    public void A_row_is_changed_from_its_latest_revision_only_and_found_by_every_word()
    {
        Assert.Equal(1, Keep("r", name: "Slate twill", batch: "SW 1")!.Revision);
        Assert.Equal(1, Keep("r", name: "Slate twill", batch: "SW 1")!.Revision);
        Assert.Equal(2, Keep("r", from: 1, name: "Slate twill", batch: "SW 2")!.Revision);
        Assert.Null(Keep("r", from: 1, name: "Rust", batch: ""));
        Assert.Null(Keep("none", from: 3));
        Assert.Single(stock.List("TWILL sw"));
        Assert.Empty(stock.List("twill rust"));
        Assert.Single(stock.Named(" slate TWILL "));
        Assert.Single(stock.OfBatch("sw 2"));
        Assert.Empty(stock.OfBatch(""));
    }

    // What is no row of ours in a document is passed over: it may come from anywhere.
    [Theory]
    [InlineData("""{"fromShelves":3}""")]
    [InlineData("""{"fromShelves":[3,null,{}]}""")]
    [InlineData("""{"fromShelves":[{"id":"1","stock":"zips"}]}""")]
    [InlineData("""{"fromShelves":[{"id":"1","stock":"zips","amount":"4"}]}""")]
    public void A_document_that_says_it_otherwise_reserves_all_or_nothing(string document)
    {
        Keep("zips");
        Save("a", document);
        Assert.All(Reserved("zips"), each => Assert.Equal("a", each));
    }

    [Fact]
    public void A_photo_is_put_in_the_place_of_the_one_before_and_goes_with_its_row()
    {
        Keep("left");
        byte[] Kept()
        {
            using var picture = photos.Picture("left")!;
            using var bytes = new MemoryStream();
            picture.Bytes.CopyTo(bytes);
            return bytes.ToArray();
        }
        Assert.False(stock.Find("left")!.HasPhoto);
        Assert.False(photos.Keep("nowhere", "image/png", new MemoryStream([1]), null));
        Assert.True(photos.Keep("left", "image/png", new MemoryStream([1, 2, 3]), [9]));
        Assert.True(photos.Keep("left", "image/jpeg", new MemoryStream([4, 5]), null));
        Assert.True(stock.Find("left")!.HasPhoto);
        Assert.Equal([4, 5], Kept());
        Assert.Null(photos.Small("left"));
        stock.Remove("left");
        Assert.Null(photos.Picture("left"));
        Assert.False(photos.Remove("left"));
    }

    [Fact]
    public void There_is_one_secret_at_a_time()
    {
        var feeds = new FeedStore(database);
        Assert.Null(feeds.Secret());
        Assert.Equal("one", feeds.Keep("one"));
        feeds.Keep("two");
        Assert.Equal("two", new FeedStore(Database.Open(folder)).Secret());
        feeds.Revoke();
        feeds.Revoke();
        Assert.Null(feeds.Secret());
    }

    [Fact]
    public void Letters_lie_in_the_tray_all_or_none_the_latest_first()
    {
        var tray = new LetterStore(database);
        KeptLetter Letter(string id, string at) => new(id, at, "ada@example.org", "About", ["one.pdf", "two.pdf"]);
        tray.Put([(Letter("a", "2026-11-02T09:00"), [1, 2]), (Letter("b", "2026-11-02T10:00"), [3])]);
        Assert.Equal(["b", "a"], tray.List().Select(letter => letter.Id));
        Assert.Equal(["one.pdf", "two.pdf"], tray.List()[0].Enclosures);
        Assert.Equal([1, 2], tray.Mail("a"));
        // One that is there already: none of them is put.
        Assert.Throws<SqliteException>(() =>
            tray.Put([(Letter("c", "2026-11-02T11:00"), [4]), (Letter("a", "2026-11-02T12:00"), [5])])
        );
        Assert.Equal(["b", "a"], tray.List().Select(letter => letter.Id));
        Assert.True(tray.Remove("a"));
        Assert.False(tray.Remove("a"));
        Assert.Null(tray.Mail("a"));
    }

    [Fact]
    public void An_order_is_kept_in_the_place_of_what_was_known_of_it()
    {
        var orders = new OrderStore(database);
        orders.Keep("a", "2026-11-02", "first");
        orders.Keep("b", "2026-11-03", "other");
        orders.Keep("a", "2026-11-09", "later");
        Assert.Equal(["other", "later"], orders.List());
        Assert.True(orders.Remove("b"));
        Assert.False(orders.Remove("b"));
        Assert.Equal(["later"], orders.List());
    }
}
