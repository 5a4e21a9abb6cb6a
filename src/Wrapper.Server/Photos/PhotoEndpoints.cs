using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Net.Http.Headers;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Photos;

/// <summary>What a photo shows, and whether it is taken away; null leaves either as it is.</summary>
public sealed record PhotoChange(string? Caption = null, bool? Away = null);

/// <summary>
/// Photos of items as they were found (craft §1.9). A file is what its first bytes say, whatever it is called.
/// </summary>
internal static class PhotoEndpoints
{
    private const int MostBytes = 12 * 1024 * 1024,
        MostRead = 16 * MostBytes,
        MostPhotos = 300,
        LongestCaption = 300,
        LongestId = 64;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/jobs/{id}/photos", (string id, PhotoStore photos) => photos.Of(id))
            .WithName("listPhotos")
            .WithSummary("The photos of a job, the oldest first.");

        api.MapPut(
                "/jobs/{id}/photos/{photo}",
                async Task<Results<Ok<Photo>, ProblemHttpResult>> (
                    string id,
                    string photo,
                    string item,
                    HttpRequest request,
                    PhotoStore photos,
                    Database database
                ) =>
                {
                    // Told before it is read; up to MostRead the rest is drained, so that the answer arrives.
                    if (request.ContentLength is null or > MostBytes)
                        return Refuse(
                            "picture",
                            $"larger than {MostBytes / 1024 / 1024} MB, or of unknown length",
                            "corner.jpg"
                        );
                    if (photo.Length > LongestId || item.Length > LongestId)
                        return Refuse("id", $"longer than {LongestId} characters", "5f0c2a");
                    // On the disk and not in memory, however many are sent at once; gone when it is closed.
                    await using var picture = PhotoStore.Incoming(database.Folder);
                    await request.Body.CopyToAsync(picture, request.HttpContext.RequestAborted);
                    picture.Position = 0;
                    var (type, reason) = Pictures.TypeOf(picture);
                    if (type is null)
                        return Refuse("picture", reason!, "corner.jpg");
                    if (photos.Of(id).Count >= MostPhotos)
                        return Refuse("picture", $"a job holds at most {MostPhotos} photos", $"{MostPhotos}");
                    picture.Position = 0;
                    return photos.Add(id, new Photo(photo, item, "", type, false), picture) switch
                    {
                        null => Problems.NotFound("there is no such job"),
                        { } kept when kept.Item == item && kept.Job == id => TypedResults.Ok(kept.Photo),
                        _ => TypedResults.Problem(
                            "this id is that of a photo of another job or item: send it under an id of its own",
                            statusCode: StatusCodes.Status409Conflict
                        ),
                    };
                }
            )
            .Accepts<Stream>("*/*")
            .WithMetadata(new RequestSizeLimitAttribute(MostRead))
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("addPhoto")
            .WithSummary("Keeps a picture of an item; the same id again is kept once.");

        api.MapGet(
                "/photos/{photo}",
                Results<FileStreamHttpResult, ProblemHttpResult> (
                    string photo,
                    PhotoStore photos,
                    HttpResponse response
                ) =>
                {
                    if (photos.Picture(photo) is not { } picture)
                        return Problems.NotFound("there is no such photo");
                    response.RegisterForDispose(picture);
                    // A picture never changes under its id: whoever has it is told so.
                    return TypedResults.Stream(
                        picture.Bytes,
                        picture.Type,
                        entityTag: new EntityTagHeaderValue($"\"{Uri.EscapeDataString(photo)}\""),
                        enableRangeProcessing: true
                    );
                }
            )
            .Produces(200, contentType: "image/jpeg")
            .Produces(304)
            .ProducesProblem(404)
            .WithName("getPhoto")
            .WithSummary("A picture.");

        api.MapPut(
                "/photos/{photo}",
                Results<Ok<Photo>, ProblemHttpResult> (string photo, PhotoChange change, PhotoStore photos) =>
                {
                    if (change.Caption?.Length > LongestCaption)
                        return Refuse("caption", $"longer than {LongestCaption} characters", "left arm, pleats");
                    return photos.Change(photo, change.Caption, change.Away) is { } changed
                        ? TypedResults.Ok(changed)
                        : Problems.NotFound("there is no such photo");
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("changePhoto")
            .WithSummary("Says what a photo shows, takes it away or puts it back; what is left out stays as it is.");
    }

    private static ProblemHttpResult Refuse(string field, string reason, string example) =>
        Problems.Fields([new Problem(field, "", 0, reason, example)]);
}
