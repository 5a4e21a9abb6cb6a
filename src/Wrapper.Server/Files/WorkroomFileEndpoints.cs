using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Server.Making;
using Wrapper.Store;
using JsonOptions = Microsoft.AspNetCore.Http.Json.JsonOptions;

namespace Wrapper.Server.Files;

/// <summary>How many of a kind are in a file, and how many of them are not here yet.</summary>
public sealed record KindCount(string Kind, int All, int New);

/// <summary>
/// What is in a workroom's file: counts by kind; what is otherwise here, each to be decided; what cannot be taken in; and
/// whether it was taken in.
/// </summary>
public sealed record WorkroomFileView(
    IReadOnlyList<KindCount> Kinds,
    IReadOnlyList<TakenIn> Other,
    IReadOnlyList<TakenIn> Refused,
    bool IsTaken
);

/// <summary>The whole workroom as one file: given out while it is in use, and taken in.</summary>
internal static class WorkroomFileEndpoints
{
    private const string Zip = "application/zip";
    private const long MostBytes = 4L * 1024 * 1024 * 1024;
    private const int MostDecided = 2000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/workroom.zip", Export)
            .Produces<byte[]>(200, Zip)
            .WithName("workroomFile")
            .WithSummary("Everything of the workroom as one zip, as of this moment, while it is in use.");

        api.MapPost("/workroom-files", Import)
            .Accepts<Stream>("*/*")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes))
            .ProducesProblem(422)
            .WithName("takeWorkroomFile")
            .WithSummary(
                "Looks at a workroom's zip; with `take=true` takes in what is new, and of what is otherwise here that which `replace` names (`jobs:ID,customers:ID`)."
            );
    }

    private static async Task<FileStreamHttpResult> Export(
        Database database,
        SheetStore sheets,
        WorkroomStore workroom,
        PhotoStore photos,
        StockPhotoStore stockPhotos,
        IOptions<JsonOptions> json,
        TimeProvider clock,
        HttpContext context
    )
    {
        var file = PhotoStore.Incoming(database.Folder);
        context.Response.RegisterForDispose(file);
        await Task.Run(() =>
        {
            using var all = new Everything(database);
            WorkroomZip.Write(
                file,
                all,
                sheets,
                workroom,
                photos,
                stockPhotos,
                json.Value.SerializerOptions,
                clock.GetUtcNow(),
                context.RequestAborted
            );
        });
        file.Position = 0;
        return TypedResults.Stream(
            file,
            Zip,
            Downloads.Name("zip", "Workroom", clock.GetLocalNow().ToString("yyyy-MM-dd"))
        );
    }

    private static async Task<Results<Ok<WorkroomFileView>, ProblemHttpResult>> Import(
        bool? take,
        string? replace,
        TakingIn taking,
        Database database,
        Learnt learnt,
        HttpContext context
    )
    {
        var decided = (replace ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries);
        if (decided.Length > MostDecided)
            return Problems.Fields([
                new Problem(
                    "replace",
                    $"{decided.Length}",
                    0,
                    $"at most {MostDecided} are decided at once",
                    "jobs:5f0c2a"
                ),
            ]);
        await using var file = PhotoStore.Incoming(database.Folder);
        await context.Request.Body.CopyToAsync(file, context.RequestAborted);
        file.Position = 0;
        try
        {
            using var zip = new ZipContents(file);
            // All is looked at before anything is written.
            var taken = await Task.Run(() =>
                taking.Take(zip, write: false, new HashSet<string>(), context.RequestAborted)
            );
            if (take == true)
            {
                taken = await Task.Run(() =>
                    taking.Take(zip, write: true, decided.ToHashSet(), context.RequestAborted)
                );
                learnt.Forget();
            }
            return TypedResults.Ok(
                new WorkroomFileView(
                    [
                        .. taken
                            .GroupBy(each => each.Kind)
                            .Select(kind => new KindCount(
                                kind.Key,
                                kind.Count(),
                                kind.Count(each => each.Standing == Standing.New)
                            )),
                    ],
                    [.. taken.Where(each => each.Standing == Standing.Other)],
                    [.. taken.Where(each => each.Standing == Standing.Refused)],
                    take == true
                )
            );
        }
        catch (FileRefusedException refused)
        {
            return Problems.Fields([
                new Problem(
                    "file",
                    refused.Path,
                    0,
                    $"{refused.Path} {refused.Message}".Trim(),
                    "Workroom 2026-11-27.zip"
                ),
            ]);
        }
    }
}
