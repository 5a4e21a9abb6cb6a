using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;
using JsonOptions = Microsoft.AspNetCore.Http.Json.JsonOptions;

namespace Wrapper.Server.Files;

/// <summary>Jobs as files: given out, and taken in.</summary>
internal static class JobFileEndpoints
{
    private const string Json = "application/json";

    // Of what is larger so much is drained, so that the answer arrives.
    private const long MostRead = 64L * 1024 * 1024;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/jobs/{id}/file.json",
                Results<FileContentHttpResult, ProblemHttpResult> (
                    string id,
                    JobStore jobs,
                    JobList list,
                    IOptions<JsonOptions> json
                ) =>
                {
                    if (jobs.Find(id) is not { } stored)
                        return JobEndpoints.NoJob(id, list);
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    return Downloads.File(JobFile.Write(job, json.Value.SerializerOptions), Json, "json", job.Name);
                }
            )
            .Produces<byte[]>(200, Json)
            .ProducesProblem(404)
            .WithName("jobFile")
            .WithSummary("A job as a file; formats/job.schema.json says what is in it.");

        api.MapPost(
                "/job-files",
                async Task<Results<Ok<JobView>, ProblemHttpResult>> (
                    string id,
                    HttpRequest request,
                    JobStore jobs,
                    IOptions<JsonOptions> json
                ) =>
                {
                    if (request.ContentLength is null or > JobFile.MostBytes)
                        return Problems.Fields([
                            new Problem(
                                "file",
                                "",
                                0,
                                $"no job file is larger than {JobFile.MostBytes / 1024 / 1024} MB",
                                "Window bench.json"
                            ),
                        ]);
                    using var file = new MemoryStream();
                    await request.Body.CopyToAsync(file, request.HttpContext.RequestAborted);
                    var (job, problems) = JobFile.Read(file.ToArray(), json.Value.SerializerOptions);
                    return job is null
                        ? Problems.Fields(problems)
                        : JobEndpoints.Checked(
                            job,
                            [id],
                            () =>
                                JobEndpoints.Answer(
                                    jobs.Create(id, JobEndpoints.Change($"file-{id}", job, "", json)),
                                    json
                                )
                        );
                }
            )
            .Accepts<Stream>("*/*")
            .WithMetadata(new RequestSizeLimitAttribute(MostRead))
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("takeJobFile")
            .WithSummary(
                "Makes a job of a job file under an id that the client chose; the same again makes no second one."
            );

        api.MapGet(
                $"/formats/{JobFile.Schema}",
                (IOptions<JsonOptions> json) =>
                    TypedResults.Text(JobFile.SchemaOf(json.Value.SerializerOptions), "application/schema+json")
            )
            .Produces<string>(200, "application/schema+json")
            .WithName("jobSchema")
            .WithSummary("What belongs into a job file, as a JSON Schema.");
    }
}
