using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Jobs;

/// <summary>A job to begin others from: what it is called, and how many items it has.</summary>
public sealed record TemplateView(string Id, string Name, int Items);

/// <summary>Keeps a job as a template under an id that the client chose.</summary>
public sealed record MakeTemplate(string Id, string Job, string Name);

/// <summary>A job begun from a template.</summary>
public sealed record BeginFrom(string Id, string ChangeId, string Name);

/// <summary>Jobs to begin others from: the same bench in another cloth.</summary>
internal static class TemplateEndpoints
{
    private const int LongestId = 64;

    public static void Map(RouteGroupBuilder api)
    {
        var templates = api.MapGroup("/templates");
        templates
            .MapGet(
                "/",
                (TemplateStore store) =>
                    store
                        .All()
                        .Select(kept => (kept, Job: KeptJson.Read<JobDocument>(kept.Content)))
                        .Where(each => each.Job is not null)
                        .Select(each => new TemplateView(each.kept.Id, each.kept.Name, each.Job!.Items.Count))
                        .ToList()
            )
            .WithName("listTemplates")
            .WithSummary("Jobs to begin others from, by name.");

        templates
            .MapPost(
                "/",
                Results<Ok<TemplateView>, ProblemHttpResult> (
                    MakeTemplate make,
                    TemplateStore store,
                    JobStore jobs,
                    JobList list,
                    IOptions<JsonOptions> json
                ) =>
                {
                    if (make.Id.Length is 0 or > LongestId)
                        return Problems.Fields([
                            new Problem("id", "", 0, $"from 1 to {LongestId} characters are needed", "5f0c2a"),
                        ]);
                    if (make.Name.Trim().Length is 0 or > JobLimits.LongestName)
                        return Problems.Fields([
                            new Problem(
                                "name",
                                "",
                                0,
                                $"a name of 1 to {JobLimits.LongestName} characters is needed",
                                "Bay bench"
                            ),
                        ]);
                    if (jobs.Find(make.Job) is not { } stored)
                        return JobEndpoints.NoJob(make.Job, list);
                    var bare = Bare(JobView.Of(stored, json.Value.SerializerOptions).Document) with
                    {
                        Name = make.Name.Trim(),
                    };
                    return store.Keep(new(make.Id, make.Name.Trim(), KeptJson.Write(bare)))
                        ? TypedResults.Ok(new TemplateView(make.Id, make.Name.Trim(), bare.Items.Count))
                        : Problems.Meanwhile($"There are {TemplateStore.Most} templates already: take one away first.");
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("makeTemplate")
            .WithSummary(
                "Keeps a job as a template: its items and cloths, and nothing of its customer, making or batches."
            );

        templates
            .MapPost(
                "/{template}/begin",
                Results<Ok<JobView>, ProblemHttpResult> (
                    string template,
                    BeginFrom begin,
                    TemplateStore store,
                    JobStore jobs,
                    IOptions<JsonOptions> json
                ) =>
                {
                    if (
                        KeptJson.Read<JobDocument>(store.All().FirstOrDefault(each => each.Id == template)?.Content)
                        is not { } kept
                    )
                        return Problems.NotFound("there is no such template");
                    var document = kept with { Name = begin.Name };
                    return JobEndpoints.Checked(
                        document,
                        [begin.Id, begin.ChangeId],
                        () =>
                            JobEndpoints.Answer(
                                jobs.Create(begin.Id, JobEndpoints.Change(begin.ChangeId, document, "", json)),
                                json
                            )
                    );
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("beginFromTemplate")
            .WithSummary("Begins a job from a template.");

        templates
            .MapDelete(
                "/{template}",
                Results<NoContent, ProblemHttpResult> (string template, TemplateStore store) =>
                    store.Remove(template) ? TypedResults.NoContent() : Problems.NotFound("there is no such template")
            )
            .ProducesProblem(404)
            .WithName("removeTemplate")
            .WithSummary("Takes a template away; jobs that were begun from it stay.");
    }

    /// <summary>What another job can take over: nothing that was true of this one alone.</summary>
    private static JobDocument Bare(JobDocument job) =>
        job with
        {
            Customer = "",
            CustomerId = "",
            PlaceId = "",
            Removed = [],
            Making = new() { Order = job.Making.Order },
            HandOver = new(),
            FromShelves = [],
            Items = [.. job.Items.Select(item => item with { Room = "", Notes = "" })],
            Cloths =
            [
                .. job.Cloths.Select(cloth =>
                    cloth with
                    {
                        Batch = "",
                        Stock = [],
                        Left = [],
                        Cut = [],
                        Pins = [],
                        Flaws = [],
                        MeasuredLength = null,
                        MeasuredWidth = null,
                        Squaring = null,
                    }
                ),
            ],
        };
}
