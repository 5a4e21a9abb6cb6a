using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using SkiaSharp;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Plans;

/// <summary>
/// An item of a job to be pictured as it will be sewn; with <paramref name="MakeUp"/> as it would be, made up that way;
/// <paramref name="Measuring"/> as its measuring sketch is drawn, the picture no larger than the cover.
/// </summary>
public sealed record PictureRequest(JobDocument Job, string Item, string? MakeUp, bool Measuring = false);

/// <summary>Small still pictures of sewn covers on their cloth, for lists; a tile of a cloth.</summary>
internal static class PictureEndpoints
{
    private const string Png = "image/png";
    private const long Farthest = 10_000_000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/cloth-tile", Tile)
            .Produces<byte[]>(200, Png)
            .ProducesProblem(422)
            .WithName("clothTile")
            .WithSummary("The look of a cloth, one repeat large; a plan gives the address for each of its cloths.");

        api.MapPost(
                "/pictures",
                (
                    PictureRequest request,
                    Drafting drafting,
                    ItemPictures pictures,
                    PictureQueue queue,
                    HttpContext context
                ) =>
                    Answer(
                        queue,
                        context,
                        JobLimits.Check(request.Job),
                        turn => Picture(request, drafting, pictures, turn.Cancel)
                    )
            )
            .Produces<byte[]>(200, Png)
            .ProducesProblem(422)
            .WithName("picture")
            .WithSummary(
                "A small picture of an item as it will be sewn, on its cloth, before it is laid; nothing (204) while sizes are missing or in doubt."
            );

        api.MapGet(
                "/make-ups/{key}/sewn.png",
                (string key, Drafting drafting, ItemPictures pictures, PictureQueue queue, HttpContext context) =>
                {
                    context.Response.Headers.CacheControl = "max-age=86400";
                    return Answer(
                        queue,
                        context,
                        [],
                        turn =>
                        {
                            if (drafting.Find(key) is not { } makeUp)
                                return Problems.NotFound($"There is no make-up {key}.");
                            var usual = makeUp.UsualItem("usual", makeUp.Name, JobUnit.Inch);
                            var job = JobDocument.Empty(makeUp.Name, JobUnit.Inch) with { Items = [usual] };
                            return Picture(new PictureRequest(job, usual.Id, null), drafting, pictures, turn.Cancel);
                        }
                    );
                }
            )
            .Produces<byte[]>(200, Png)
            .ProducesProblem(404)
            .WithName("makeUpPicture")
            .WithSummary("A make-up at usual sizes, sewn.");

        api.MapGet(
                "/jobs/{id}/picture.png",
                (
                    string id,
                    string? at,
                    JobStore store,
                    IOptions<JsonOptions> json,
                    ItemPictures pictures,
                    PictureQueue queue,
                    HttpContext context
                ) =>
                {
                    // The same revision looks the same.
                    if (at is not null)
                        context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
                    return Answer(
                        queue,
                        context,
                        [],
                        turn =>
                            store.Find(id) is { } stored
                                ? TypedResults.File(
                                    pictures.InARow(
                                        JobView.Of(stored, json.Value.SerializerOptions).Document,
                                        turn.Cancel
                                    ),
                                    Png
                                )
                                : Problems.NotFound($"There is no job {id}.")
                    );
                }
            )
            .Produces<byte[]>(200, Png)
            .ProducesProblem(404)
            .WithName("jobPicture")
            .WithSummary(
                "The first items of a job side by side, sewn, on their cloths; with `at`, the mark of its revision, it may be kept."
            );
    }

    private static async Task<Results<FileContentHttpResult, NoContent, ProblemHttpResult>> Answer(
        PictureQueue queue,
        HttpContext context,
        IEnumerable<Problem> refused,
        Func<Turn, Results<FileContentHttpResult, NoContent, ProblemHttpResult>> work
    ) => refused.ToList() is { Count: > 0 } problems ? Problems.Fields(problems) : await queue.Run(context, work);

    private static Results<FileContentHttpResult, NoContent, ProblemHttpResult> Picture(
        PictureRequest request,
        Drafting drafting,
        ItemPictures pictures,
        CancellationToken cancel
    )
    {
        var (job, id) = (request.Job, request.Item);
        if (job.Items.FirstOrDefault(each => each.Id == id) is not { } item)
            return Problems.Fields([
                new Problem("item", id, 0, "this job has no such item", job.Items is [var first, ..] ? first.Id : ""),
            ]);
        if (request.MakeUp is { } key && key != item.MakeUp)
        {
            if (drafting.Find(key) is not { } other)
                return Problems.Fields([
                    new Problem("makeUp", key, 0, "there is no such make-up", "box-cushion-strip"),
                ]);
            item = other.NewItem(item.Id, item.Name, job.Unit, item);
        }
        return pictures.Of(item, job, cancel, request.Measuring ? Standpoint.Measuring : Standpoint.Round) is { } drawn
            ? TypedResults.File(drawn, Png)
            : TypedResults.NoContent();
    }

    private static Results<FileContentHttpResult, ProblemHttpResult> Tile(
        HttpContext context,
        TileDrawing drawing,
        string tone,
        long across,
        long along,
        string second = "fffaf0",
        string print = "plain",
        int halfDrop = 0,
        long motifAcross = 0,
        long motifAlong = 0,
        string photo = "",
        string corners = ""
    )
    {
        foreach (var (field, given) in new[] { ("across", across), ("along", along) })
            if (given is < 1 or > Farthest)
                return Refuse(field, $"{given}", "a repeat is 1 to 10^7 hundredths of a millimetre", "15240");
        foreach (var (field, given) in new[] { ("tone", tone), ("second", second) })
            if (!ClothTile.IsTone($"#{given}"))
                return Refuse(field, given, "six hexadecimal digits are needed", "b88a3e");
        if (!Enum.TryParse<ClothPrint>(print, ignoreCase: true, out var shows) || int.TryParse(print, out _))
            return Refuse("print", print, "nothing that a cloth shows", "stripe");
        var tile = new ClothTile(
            $"#{tone}",
            $"#{second}",
            shows,
            across,
            along,
            halfDrop != 0,
            Math.Clamp(motifAcross, 0, across),
            Math.Clamp(motifAlong, 0, along),
            0,
            photo,
            corners
        );
        if (photo.Length > 0 && tile.Straightened is null)
            return Refuse(
                "corners",
                corners,
                "four corners that go round a field are needed",
                "0-0-400-0-400-300-0-300"
            );
        using var bitmap = drawing.Draw(tile);
        using var png = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        context.Response.Headers.CacheControl = "max-age=86400";
        return TypedResults.File(png.ToArray(), Png);

        static ProblemHttpResult Refuse(string field, string given, string reason, string example) =>
            Problems.Fields([new Problem(field, given, 0, reason, example)]);
    }
}
