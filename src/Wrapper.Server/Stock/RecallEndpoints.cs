using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Stock;

/// <summary>
/// Covers of one item that a batch is in: whose, where, and when they were handed over, empty for not yet.
/// </summary>
public sealed record RecalledCover(
    string Job,
    string JobName,
    string Item,
    string Name,
    string Quantity,
    string Cloth,
    string Place,
    string HandedOver
);

/// <summary>Somebody who has, or will have, covers of a batch, how they are reached, and their addresses for mail.</summary>
public sealed record RecalledCustomer(
    string Name,
    string Address,
    IReadOnlyList<string> Reached,
    IReadOnlyList<string> Mails,
    IReadOnlyList<RecalledCover> Covers
);

/// <summary>Every cover of a batch by customer, and what of it still lies on the shelves.</summary>
public sealed record RecallView(
    string Batch,
    IReadOnlyList<RecalledCustomer> Customers,
    IReadOnlyList<StockView> Shelves
);

/// <summary>Where a batch of cloth went.</summary>
internal static class RecallEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapGet(
                "/recall",
                Results<Ok<RecallView>, ProblemHttpResult> (string? batch, Recalls recalls) =>
                    recalls.Of(batch, out var problem) is { } found
                        ? TypedResults.Ok(found)
                        : Problems.Fields([problem!])
            )
            .ProducesProblem(422)
            .WithName("recall")
            .WithSummary(
                "Every cover that a batch is in, by customer, handed over or not, and what of it lies on the shelves."
            );
}

/// <summary>Finds where a batch went: in records of what was handed over, and in jobs as they stand.</summary>
internal sealed class Recalls(
    StockStore stock,
    JobStore jobs,
    CustomerStore customers,
    WorkroomStore workroom,
    IOptions<JsonOptions> json
)
{
    private const int LongestBatch = 200;

    /// <summary>Where <paramref name="batch"/> went; null, and what is wrong with it, where it is none.</summary>
    public RecallView? Of(string? batch, out Problem? problem)
    {
        var sought = batch?.Trim() ?? "";
        problem = sought.Length is 0 or > LongestBatch
            ? new("batch", sought[..Math.Min(40, sought.Length)], 0, "a batch is needed, as its ticket says", "SW 4411")
            : null;
        if (problem is not null)
            return null;
        var covers =
            from id in stock.JobsOf(sought)
            let view = JobView.Readable(jobs, id, json.Value.SerializerOptions)
            where view is not null
            from cover in Of(view, sought)
            select (Who: Who(view.Document, customers), Cover: cover);
        var unit = StockEndpoints.UnitOf(workroom);
        return new(
            sought,
            [
                .. covers
                    .GroupBy(each => (each.Who.Name, each.Who.Address))
                    .Select(same => same.First().Who with { Covers = [.. same.Select(each => each.Cover)] })
                    .OrderBy(each => each.Name, StringComparer.OrdinalIgnoreCase),
            ],
            [.. stock.OfBatch(sought).Select(kept => StockEndpoints.View(kept, unit))]
        );
    }

    private static IEnumerable<RecalledCover> Of(JobView view, string batch)
    {
        var job = view.Document;
        bool Is(string other) => string.Equals(other.Trim(), batch, StringComparison.OrdinalIgnoreCase);
        foreach (var item in job.Items)
        {
            var given = job.HandOver.Covers.FirstOrDefault(cover => cover.Id == item.Id)?.Given;
            // What was handed over is as it was recorded; the rest as it stands.
            var cloth = given is not null
                ? given.Cloths.FirstOrDefault(each => Is(each.Batch))?.Name
                : job.ClothsOf(item)
                    .Select(id => job.Cloths.FirstOrDefault(each => each.Id == id))
                    .FirstOrDefault(each => each is not null && Is(each.Batch))
                    ?.Name;
            if (cloth is not null)
                yield return new(
                    view.Id,
                    job.Name,
                    item.Id,
                    given?.Name ?? item.Name,
                    given is null ? item.Quantity : $"{given.Quantity}",
                    cloth,
                    given?.Place ?? job.HandOver.Place,
                    given?.Date ?? ""
                );
        }
    }

    private static RecalledCustomer Who(JobDocument job, CustomerStore customers)
    {
        var known = job.CustomerId.Length > 0 ? customers.Find(job.CustomerId) : null;
        var customer = KeptJson.Read<Customer>(known?.Content) ?? new Customer(job.Customer.Trim());
        return new(
            customer.Name.Length > 0 ? customer.Name : "nobody is named",
            customer.Address,
            [
                .. customer
                    .People.Select(person =>
                        string.Join(
                            ", ",
                            new[] { person.Name, person.Phone, person.Email }.Where(text => text.Length > 0)
                        )
                    )
                    .Where(text => text.Length > 0),
            ],
            [.. customer.People.Select(person => person.Email.Trim()).Where(mail => mail.Length > 0)],
            []
        );
    }
}
