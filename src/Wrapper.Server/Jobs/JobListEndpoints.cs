using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Jobs;

/// <summary>A copy of a job, under an id that the client chose, so that a repeated request makes no second one.</summary>
public sealed record CopyJob(string Id, string ChangeId, string Name);

/// <summary>How far a stored job has come.</summary>
public sealed record ProgressView(IReadOnlyList<StageProgress> Stages);

/// <summary>The list of jobs, and where each is kept.</summary>
internal static class JobListEndpoints
{
    private const int LongestSearch = 200,
        MostListed = 200;

    public static void Map(RouteGroupBuilder api)
    {
        var jobs = api.MapGroup("/jobs");

        jobs.MapGet(
                "/",
                Results<Ok<IReadOnlyList<JobSummary>>, ProblemHttpResult> (
                    JobList list,
                    string? q,
                    string? after,
                    int? limit,
                    Kept? kept,
                    JobOrder? order
                ) =>
                    limit is < 1 or > MostListed
                        ? Problems.Fields([
                            new Problem(
                                "limit",
                                $"{limit}",
                                0,
                                $"from 1 to {MostListed} jobs are listed at once",
                                $"{MostListed}"
                            ),
                        ])
                    : q?.Length > LongestSearch
                        ? Problems.Fields([
                            new Problem(
                                "q",
                                q[..40],
                                LongestSearch,
                                $"longer than {LongestSearch} characters",
                                "bench"
                            ),
                        ])
                    : TypedResults.Ok(
                        list.Of(limit ?? MostListed, q ?? "", after, kept ?? Kept.Here, order ?? JobOrder.Changed)
                    )
            )
            .ProducesProblem(422)
            .WithName("listJobs")
            .WithSummary(
                "Jobs with every word of `q` in their names, those of customer, items and cloths, or their notes; up to `limit`, after the one whose `mark` is `after`; by `order`; of those that are `kept` here, put away or deleted."
            );

        jobs.MapPost(
                "/{id}/copy",
                Results<Ok<JobView>, ProblemHttpResult> (
                    string id,
                    CopyJob copy,
                    JobStore store,
                    JobList list,
                    IOptions<JsonOptions> json
                ) =>
                {
                    if (store.Find(id) is not { } stored)
                        return JobEndpoints.NoJob(id, list);
                    var document = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    // Nothing of the copy is cut yet, made or handed over.
                    document = document with
                    {
                        Name = copy.Name,
                        Making = new() { Order = document.Making.Order },
                        FromShelves = [],
                        HandOver = document.HandOver with { Covers = [] },
                        Cloths = [.. document.Cloths.Select(cloth => cloth with { Cut = [], Pins = [] })],
                    };
                    return JobEndpoints.Checked(
                        document,
                        [copy.Id, copy.ChangeId],
                        () =>
                            JobEndpoints.Answer(
                                store.Create(copy.Id, JobEndpoints.Change(copy.ChangeId, document, "", json)),
                                json
                            )
                    );
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("copyJob")
            .WithSummary(
                "Makes a job like this one, of which nothing is cut or pinned yet; its photos stay with this one."
            );

        jobs.MapGet(
                "/{id}/progress",
                async Task<Results<Ok<ProgressView>, ProblemHttpResult>> (
                    string id,
                    long? at,
                    JobStore store,
                    JobList list,
                    IOptions<JsonOptions> json,
                    Drafting drafting,
                    LayCache kept,
                    PictureQueue queue,
                    HttpContext context
                ) =>
                {
                    if (store.Find(id) is not { } stored)
                        return JobEndpoints.NoJob(id, list);
                    // Whoever edits goes before the list. The same revision has come as far.
                    if (at == stored.Revision)
                        context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    return await queue.Run<Results<Ok<ProgressView>, ProblemHttpResult>>(
                        context,
                        turn =>
                            TypedResults.Ok(
                                new ProgressView(Progress.Of(Plan.Of(job, drafting, lay: true, kept, turn.Cancel), job))
                            )
                    );
                }
            )
            .ProducesProblem(404)
            .WithName("jobProgress")
            .WithSummary(
                "How far each stage of a job has come; with `at`, the number of its revision, it may be kept."
            );

        jobs.MapDelete(
                "/{id}",
                Results<NoContent, ProblemHttpResult> (string id, JobList list) => Put(id, Kept.Deleted, list)
            )
            .ProducesProblem(404)
            .WithName("deleteJob")
            .WithSummary($"Deletes a job; for {JobList.DaysKept} days it can be brought back.");

        jobs.MapPost(
                "/{id}/put-away",
                Results<NoContent, ProblemHttpResult> (string id, JobList list) => Put(id, Kept.Away, list)
            )
            .ProducesProblem(404)
            .WithName("putAwayJob")
            .WithSummary("Puts a job away: out of the list, and nothing of it goes.");

        jobs.MapPost(
                "/{id}/bring-back",
                Results<NoContent, ProblemHttpResult> (string id, JobList list) => Put(id, Kept.Here, list)
            )
            .ProducesProblem(404)
            .WithName("bringBackJob")
            .WithSummary("Brings a job back that was put away or deleted.");
    }

    private static Results<NoContent, ProblemHttpResult> Put(string id, Kept where, JobList list) =>
        list.Put(id, where) ? TypedResults.NoContent() : JobEndpoints.NoJob(id, list);
}
