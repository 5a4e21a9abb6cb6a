using Microsoft.Data.Sqlite;

namespace Wrapper.Store.Tests;

/// <summary>Customers: found, entered twice and joined, taken off the list; jobs know whose they are all along.</summary>
public sealed class CustomerStoreTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-customers-").FullName;
    private readonly JobStore jobs;
    private readonly JobList list;
    private readonly CustomerStore customers;

    public CustomerStoreTests()
    {
        var database = Database.Open(folder);
        jobs = new JobStore(database, TimeProvider.System);
        list = new JobList(database, TimeProvider.System);
        customers = new CustomerStore(database, TimeProvider.System);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private KeptCustomer? Keep(string id, string name, long from = 0, string words = "", params string[] marks) =>
        customers.Keep(id, from, new(name, $"\"{name} {words}\"", $"{name}\n{words}", marks));

    private void Job(string id, string customer) =>
        jobs.Create(
            id,
            new Change($"c-{id}", $$"""{"name":"{{id}}","customer":"x","customerId":"{{customer}}"}""", id, "x")
        );

    private string[] Of(string customer) => [.. list.OfCustomer(customer).Select(job => job.Job.Id).Order()];

    [Fact]
    public void Customers_are_listed_by_name_page_by_page_and_found_by_any_word()
    {
        Keep("1", "mill lane", words: "gallery 01632 960131");
        Keep("2", "Ferncliff", words: "cat, east bay");
        Keep("3", "Marigold", words: "latex");
        Assert.Equal(["Ferncliff", "Marigold", "mill lane"], customers.List("", null, 10).Select(each => each.Name));
        var first = customers.List("", null, 2);
        Assert.Equal(["mill lane"], customers.List("", first[1].Mark, 2).Select(each => each.Name));
        Assert.Equal(["2"], customers.List("BAY cat", null, 10).Select(each => each.Id));
        Assert.Empty(customers.List("bay latex", null, 10));
    }

    [Fact]
    public void A_change_that_was_not_made_from_the_latest_is_refused()
    {
        Assert.Equal(1, Keep("1", "Mill Lane")!.Revision);
        // The same once more, as when a reply was lost.
        Assert.Equal(1, Keep("1", "Mill Lane")!.Revision);
        Assert.Equal(2, Keep("1", "Mill Lane Room", from: 1)!.Revision);
        Assert.Null(Keep("1", "Mill", from: 1));
        Assert.Null(Keep("new", "Nobody", from: 3));
        Assert.Equal("Mill Lane Room", customers.Find("1")!.Name);
    }

    [Fact]
    public void Two_entries_of_one_customer_become_one_and_jobs_go_with_them()
    {
        Keep("1", "Mill Lane", marks: ["phone 960131", "name milllane"]);
        Keep("2", "Mill Ln", marks: ["phone 960131"]);
        Keep("3", "Marigold", marks: ["name marigold"]);
        Job("a", "1");
        Job("b", "2");
        Assert.Equal(["2"], customers.Alike("1").Select(each => each.Id));
        CustomerEntry Both(KeptCustomer stays, KeptCustomer gone) =>
            new(stays.Name, $"{stays.Content}{gone.Content}", "both", ["phone 960131"]);
        Assert.True(customers.Join("2", "1", Both));
        Assert.Equal("\"Mill Lane \"\"Mill Ln \"", customers.Find("2")!.Content);
        Assert.Equal("1", customers.Find("2")!.Id);
        Assert.Equal(["a", "b"], Of("1"));
        // A job that still says the old one is saved again, and a third entry is joined on.
        jobs.Save("b", 1, new Change("c2", """{"name":"b","customer":"x","customerId":"2"}""", "b", "x"));
        Assert.Equal(["a", "b"], Of("1"));
        Assert.True(customers.Join("1", "3", Both));
        Assert.Equal("3", customers.Find("2")!.Id);
        Assert.Equal(["a", "b"], Of("3"));
        Assert.False(customers.Join("3", "1", Both));
        Assert.False(customers.Join("nobody", "3", Both));
        Assert.Equal(["3"], customers.List("", null, 10).Select(each => each.Id));
    }

    [Fact]
    public void A_customer_with_a_job_on_the_bench_stays_until_that_is_put_away()
    {
        Keep("1", "Mill Lane");
        Job("a", "1");
        Assert.Equal(1, customers.Find("1")!.OpenJobs);
        Assert.Equal(Removal.HasJobs, customers.Remove("1"));
        Assert.True(list.Put("a", Kept.Away));
        Assert.Equal(Removal.Done, customers.Remove("1"));
        Assert.Equal(Removal.Unknown, customers.Remove("1"));
        Assert.Null(customers.Find("1"));
        Assert.Empty(customers.List("", null, 10));
        Assert.NotNull(jobs.Find("a"));
    }
}
