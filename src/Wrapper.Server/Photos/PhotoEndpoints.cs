using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Net.Http.Headers;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Photos;

/// <summary>
/// What a photo shows, whether it is taken away, whether it is of before or after, and what is drawn on it; null leaves
/// each as it is.
/// </summary>
public sealed record PhotoChange(
    string? Caption = null,
    bool? Away = null,
    string? Moment = null,
    IReadOnlyList<PhotoMark>? Marks = null
);

/// <summary>
/// Photos of items as they were found (craft §1.9). A file is what its first bytes say, whatever it is called.
/// </summary>
internal static class PhotoEndpoints
{
    private const int MostPhotos = 300,
        LongestCaption = 300,
        MostMarks = 60,
        Whole = 10_000,
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
                    string? moment,
                    PhotoStore photos,
                    Database database,
                    Development development
                ) =>
                {
                    if (photo.Length > LongestId || item.Length > LongestId)
                        return Refuse("id", $"longer than {LongestId} characters", "5f0c2a");
                    if (photos.Of(id).Count >= MostPhotos)
                        return Refuse("picture", $"a job holds at most {MostPhotos} photos", $"{MostPhotos}");
                    if (!IsMoment(moment ?? ""))
                        return Refuse("moment", "before, after or nothing is needed", "before");
                    await using var kept = PhotoStore.Incoming(database.Folder);
                    var (keptAs, small, problem) = await SentPicture.Take(request, database, development, kept);
                    if (problem is not null)
                        return Problems.Fields([problem]);
                    return photos.Add(
                        id,
                        new Photo(photo, item, "", keptAs!, false) { Moment = moment ?? "" },
                        kept,
                        small
                    ) switch
                    {
                        null => Problems.NotFound("there is no such job"),
                        { } added when added.Item == item && added.Job == id => TypedResults.Ok(added.Photo),
                        _ => TypedResults.Problem(
                            "this id is that of a photo of another job or item: send it under an id of its own",
                            statusCode: StatusCodes.Status409Conflict
                        ),
                    };
                }
            )
            .Accepts<Stream>("*/*")
            .WithMetadata(new RequestSizeLimitAttribute(SentPicture.MostRead))
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("addPhoto")
            .WithSummary(
                "Keeps a picture of an item, turned upright, without where and by what it was taken; the same id again is kept once."
            );

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

        api.MapGet(
                "/photos/{photo}/small",
                Results<FileContentHttpResult, ProblemHttpResult, RedirectHttpResult> (
                    string photo,
                    PhotoStore photos
                ) =>
                    photos.Small(photo) is { } small
                        ? TypedResults.File(
                            small,
                            "image/jpeg",
                            entityTag: new EntityTagHeaderValue($"\"{Uri.EscapeDataString(photo)}-small\"")
                        )
                        : TypedResults.Redirect($"/api/photos/{Uri.EscapeDataString(photo)}")
            )
            .Produces(200, contentType: "image/jpeg")
            .Produces(302)
            .WithName("getSmallPhoto")
            .WithSummary("A picture in little; one that has none leads to the whole.");

        api.MapPut(
                "/photos/{photo}",
                Results<Ok<Photo>, ProblemHttpResult> (string photo, PhotoChange change, PhotoStore photos) =>
                {
                    if (change.Caption?.Length > LongestCaption)
                        return Refuse("caption", $"longer than {LongestCaption} characters", "left arm, pleats");
                    if (change.Moment is { } moment && !IsMoment(moment))
                        return Refuse("moment", "before, after or nothing is needed", "before");
                    if (
                        change.Marks is { } marks
                        && (
                            marks.Count > MostMarks
                            || marks.Any(mark =>
                                new[] { mark.X1, mark.Y1, mark.X2, mark.Y2 }.Any(at => at is < 0 or > Whole)
                                || mark.Number is < 0 or > 999
                            )
                        )
                    )
                        return Refuse(
                            "marks",
                            $"at most {MostMarks} marks, each within the photo, in ten-thousandths of its width and height",
                            "5000"
                        );
                    return photos.Change(photo, change.Caption, change.Away, change.Moment, change.Marks) is { } changed
                        ? TypedResults.Ok(changed)
                        : Problems.NotFound("there is no such photo");
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("changePhoto")
            .WithSummary("Says what a photo shows, takes it away or puts it back; what is left out stays as it is.");
    }

    private static bool IsMoment(string moment) => moment is "" or "before" or "after";

    private static ProblemHttpResult Refuse(string field, string reason, string example) =>
        Problems.Fields([new Problem(field, "", 0, reason, example)]);
}
