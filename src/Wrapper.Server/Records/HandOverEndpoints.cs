using System.Globalization;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Records;

/// <summary>A record that was put away, with the job that has it; <paramref name="Mark"/> asks for the next page.</summary>
public sealed record RecordView(string Job, string JobName, string Item, GivenRecord Given, string Mark);

/// <summary>What goes out with the covers, what is kept of them, and what the workroom states.</summary>
internal static class HandOverEndpoints
{
    private const int LongestSearch = 200,
        MostListed = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
                "/hand-over",
                (
                    JobDocument job,
                    Drafting drafting,
                    DraftQueue queue,
                    WorkroomStore workroom,
                    TimeProvider clock,
                    HttpContext context
                ) =>
                    Costly.Answer<HandOverView>(
                        queue,
                        context,
                        JobLimits.Check(job),
                        cancel =>
                            TypedResults.Ok(
                                HandOverView.Of(
                                    Plan.Of(job, drafting, lay: false, cancel: cancel).Items,
                                    job,
                                    new(workroom.Read()?.Name ?? "", States.Read(workroom).Postcode),
                                    clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)
                                )
                            )
                    )
            )
            .ProducesProblem(422)
            .WithName("handOver")
            .WithSummary(
                "What can be said today of the covers of a job, what is missing from it, and how large a label is."
            );

        api.MapGet("/care-marks", () => CareMark.All.Select(CareMarkView.Of))
            .WithName("listCareMarks")
            .WithSummary("The marks of a care code, of each group from what stands most to what stands least.");

        api.MapGet("/workroom/hand-over", (WorkroomStore store) => States.Read(store))
            .WithName("getStates")
            .WithSummary("What the workroom states when it hands over: its postcode, and statements to begin from.");

        api.MapPut(
                "/workroom/hand-over",
                Results<Ok<WorkroomStates>, ProblemHttpResult> (WorkroomStates states, WorkroomStore store) =>
                {
                    if (States.TooLong(states) is { } problem)
                        return Problems.Fields([problem]);
                    return States.Keep(store, states)
                        ? TypedResults.Ok(states)
                        : Problems.NotFound("the workroom has no name yet: give it one first");
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("tellStates")
            .WithSummary("Says what the workroom states when it hands over.");

        api.MapGet(
                "/records",
                Results<Ok<List<RecordView>>, ProblemHttpResult> (
                    RecordStore store,
                    IOptions<JsonOptions> json,
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
                                $"from 1 to {MostListed} records are listed at once",
                                $"{MostListed}"
                            ),
                        ])
                    : TypedResults.Ok(
                        store
                            .Of(q ?? "", after, limit ?? MostListed)
                            .Select(kept => Of(kept, json.Value.SerializerOptions))
                            .OfType<RecordView>()
                            .ToList()
                    )
            )
            .ProducesProblem(422)
            .WithName("listRecords")
            .WithSummary(
                "What was handed over, the latest first: with every word of `q` in customer, place, batch, cloth or whatever else was said; up to `limit`, after the one whose `mark` is `after`."
            );
    }

    // A record that cannot be read is left out of the list; its job says what is wrong with it.
    private static RecordView? Of(KeptRecord kept, JsonSerializerOptions json)
    {
        try
        {
            return JsonSerializer.Deserialize<GivenRecord>(kept.Given, json) is { } given
                ? new(kept.Job, kept.JobName, kept.Item, given, kept.Mark)
                : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
