using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Customers;

/// <summary>
/// A customer at one revision; <paramref name="OpenJobs"/> are those on the bench, <paramref name="Mark"/> asks for the
/// next page.
/// </summary>
public sealed record CustomerView(string Id, long Revision, Customer Customer, long OpenJobs, string Mark)
{
    /// <summary>The view of a customer; with its name alone where the rest cannot be read.</summary>
    internal static CustomerView Of(KeptCustomer kept) =>
        new(
            kept.Id,
            kept.Revision,
            KeptJson.Read<Customer>(kept.Content) ?? new Customer(kept.Name),
            kept.OpenJobs,
            kept.Mark
        );
}

/// <summary>
/// A customer with the jobs that are or were theirs, wherever those are kept, and other entries that may be the same
/// customer.
/// </summary>
public sealed record CustomerPage(
    CustomerView Customer,
    IReadOnlyList<CustomerJob> Jobs,
    IReadOnlyList<CustomerView> Alike
);

/// <summary>A job of a customer, and where it is kept.</summary>
public sealed record CustomerJob(string Id, string Name, long Revision, DateTimeOffset ChangedAt, Kept Kept);

/// <summary>A customer as it is to be, made from revision <paramref name="From"/>, 0 for a new one.</summary>
public sealed record KeepCustomer(long From, Customer Customer);

/// <summary>The entry that another is joined into.</summary>
public sealed record JoinCustomer(string Into);

/// <summary>Customers and their places.</summary>
internal static class CustomerEndpoints
{
    private const int LongestId = 64,
        LongestName = 200,
        LongestText = 4000,
        LongestSearch = 200,
        MostRows = 60,
        MostListed = 200;

    public static void Map(RouteGroupBuilder api)
    {
        var customers = api.MapGroup("/customers");
        customers
            .MapGet(
                "/",
                Results<Ok<List<CustomerView>>, ProblemHttpResult> (
                    CustomerStore store,
                    string? q,
                    string? after,
                    int? limit
                ) =>
                    q?.Length > LongestSearch
                        ? Problems.Fields([
                            new Problem(
                                "q",
                                q[..40],
                                LongestSearch,
                                $"longer than {LongestSearch} characters",
                                "Ferncliff"
                            ),
                        ])
                    : limit is < 1 or > MostListed
                        ? Problems.Fields([
                            new Problem(
                                "limit",
                                $"{limit}",
                                0,
                                $"from 1 to {MostListed} customers are listed at once",
                                $"{MostListed}"
                            ),
                        ])
                    : TypedResults.Ok(store.List(q ?? "", after, limit ?? MostListed).Select(CustomerView.Of).ToList())
            )
            .ProducesProblem(422)
            .WithName("listCustomers")
            .WithSummary(
                "Customers by name: with every word of `q` in names, addresses, people, rooms or notes; up to `limit`, after the one whose `mark` is `after`."
            );

        customers
            .MapGet(
                "/{id}",
                Results<Ok<CustomerPage>, ProblemHttpResult> (string id, CustomerStore store, JobList jobs) =>
                    store.Find(id) is { } kept
                        ? TypedResults.Ok(
                            new CustomerPage(
                                CustomerView.Of(kept),
                                [
                                    .. jobs.OfCustomer(kept.Id)
                                        .Select(job => new CustomerJob(
                                            job.Job.Id,
                                            job.Job.Name,
                                            job.Job.Revision,
                                            job.Job.ChangedAt,
                                            job.Kept
                                        )),
                                ],
                                [.. store.Alike(kept.Id).Select(CustomerView.Of)]
                            )
                        )
                        : Unknown()
            )
            .ProducesProblem(404)
            .WithName("getCustomer")
            .WithSummary(
                "A customer with their jobs and other entries that may be them; an entry that was joined gives the one that it was joined into."
            );

        customers
            .MapPut(
                "/{id}",
                Results<Ok<CustomerView>, ProblemHttpResult> (string id, KeepCustomer keep, CustomerStore store) =>
                    Wrong(id, keep.Customer).ToList() is { Count: > 0 } refused ? Problems.Fields(refused)
                    : store.Keep(id, keep.From, Entry(keep.Customer)) is { } kept
                        ? TypedResults.Ok(CustomerView.Of(kept))
                    : Problems.Meanwhile(
                        "This customer was changed elsewhere in the meantime: look at it and say it again."
                    )
            )
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("keepCustomer")
            .WithSummary("Makes or changes a customer under an id that the client chose.");

        customers
            .MapPost(
                "/{id}/join",
                Results<Ok<CustomerView>, ProblemHttpResult> (string id, JoinCustomer join, CustomerStore store) =>
                    store.Join(
                        id,
                        join.Into,
                        (stays, gone) => Entry(CustomerView.Of(stays).Customer.With(CustomerView.Of(gone).Customer))
                    )
                        ? TypedResults.Ok(CustomerView.Of(store.Find(join.Into)!))
                        : Problems.NotFound("two different customers of the list are needed to make one of them")
            )
            .ProducesProblem(404)
            .WithName("joinCustomer")
            .WithSummary("Joins one entry into another: nothing that was said of either is lost, and jobs go with it.");

        customers
            .MapDelete(
                "/{id}",
                Results<NoContent, ProblemHttpResult> (string id, CustomerStore store, JobList jobs) =>
                    store.Remove(id) switch
                    {
                        Removal.Done => TypedResults.NoContent(),
                        Removal.HasJobs => Problems.Meanwhile(
                            $"Jobs of theirs are on the bench: {string.Join(", ", jobs.OfCustomer(id).Where(job => job.Kept == Kept.Here).Select(job => job.Job.Name).Take(5))}. Put those away first, or give them to another customer."
                        ),
                        _ => Unknown(),
                    }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .WithName("removeCustomer")
            .WithSummary("Takes a customer off the list who has no job on the bench.");
    }

    private static ProblemHttpResult Unknown() => Problems.NotFound("there is no such customer");

    internal static CustomerEntry Entry(Customer customer) =>
        new(
            customer.Name.Trim(),
            KeptJson.Write(customer),
            string.Join(
                '\n',
                new[] { customer.Name, customer.Address, customer.Notes }
                    .Concat(customer.People.SelectMany(each => new[] { each.Name, each.Role, each.Phone, each.Email }))
                    .Concat(
                        customer.Places.SelectMany(each => each.Rooms.Concat([each.Name, each.Address, each.Notes]))
                    )
            ),
            customer.Marks()
        );

    internal static IEnumerable<Problem> Wrong(string id, Customer customer)
    {
        if (id.Length is 0 or > LongestId)
            yield return new(
                "id",
                id[..Math.Min(40, id.Length)],
                0,
                $"from 1 to {LongestId} characters are needed",
                "5f0c2a"
            );
        if (customer.Name.Trim().Length == 0)
            yield return new("name", "", 0, "a customer needs a name", "Ferncliff Observatory Lodge");
        if (
            customer.People.Count > MostRows
            || customer.Places.Count > MostRows
            || customer.Places.Any(place => place.Rooms.Count > MostRows)
        )
            yield return new("people", "", 0, $"at most {MostRows} people, places, and rooms of a place", "");
        var names = customer
            .People.SelectMany(each => new[] { each.Id, each.Name, each.Role, each.Phone, each.Email })
            .Concat(customer.Places.SelectMany(each => each.Rooms.Concat([each.Id, each.Name])))
            .Append(customer.Name);
        foreach (var name in names.Where(name => name.Length > LongestName))
            yield return new(
                "name",
                name[..40],
                LongestName,
                $"longer than {LongestName} characters",
                "Ferncliff Lodge"
            );
        var texts = customer
            .Places.SelectMany(each => new[] { each.Address, each.Notes })
            .Concat([customer.Address, customer.Notes]);
        foreach (var text in texts.Where(text => text.Length > LongestText))
            yield return new(
                "notes",
                text[..40],
                LongestText,
                $"longer than {LongestText} characters",
                "Latex allergy"
            );
        foreach (
            var person in customer.People.Where(person =>
                person.Email.Trim().Length > 0 && !person.Email.Contains('@', StringComparison.Ordinal)
            )
        )
            yield return new(
                $"people.{person.Id}.email",
                Shown(person.Email),
                0,
                "this is no mail address",
                "keys@ferncliff.example"
            );
    }

    private static string Shown(string text) => text.Length > 40 ? text[..40] : text;
}
