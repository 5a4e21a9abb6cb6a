using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wrapper.Server.Hosting;
using Wrapper.Server.Photos;
using Wrapper.Store;

namespace Wrapper.Server.Stock;

/// <summary>How things on the shelves look.</summary>
internal static class StockPhotoEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        var photo = api.MapGroup("/stock/{id}/photo");
        photo
            .MapPut(
                "/",
                async Task<Results<NoContent, ProblemHttpResult>> (
                    string id,
                    HttpRequest request,
                    StockPhotoStore photos,
                    Database database,
                    Development development
                ) =>
                {
                    await using var kept = PhotoStore.Incoming(database.Folder);
                    var (type, small, problem) = await SentPicture.Take(request, database, development, kept);
                    return problem is not null ? Problems.Fields([problem])
                        : photos.Keep(id, type!, kept, small) ? TypedResults.NoContent()
                        : Missing();
                }
            )
            .Accepts<Stream>("*/*")
            .WithMetadata(new RequestSizeLimitAttribute(SentPicture.MostRead))
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("keepStockPhoto")
            .WithSummary("Keeps how something on a shelf looks, in the place of the picture before.");

        photo
            .MapGet(
                "/",
                Results<FileStreamHttpResult, FileContentHttpResult, ProblemHttpResult> (
                    string id,
                    bool? small,
                    StockPhotoStore photos,
                    HttpResponse response
                ) =>
                {
                    if (small == true && photos.Small(id) is { } little)
                        return TypedResults.File(little, "image/jpeg");
                    if (photos.Picture(id) is not { } picture)
                        return Missing();
                    response.RegisterForDispose(picture);
                    return TypedResults.Stream(picture.Bytes, picture.Type);
                }
            )
            .Produces(200, contentType: "image/jpeg")
            .ProducesProblem(404)
            .WithName("getStockPhoto")
            .WithSummary("How something on a shelf looks, or that in little.");

        photo
            .MapDelete(
                "/",
                Results<NoContent, ProblemHttpResult> (string id, StockPhotoStore photos) =>
                    photos.Remove(id) ? TypedResults.NoContent() : Missing()
            )
            .ProducesProblem(404)
            .WithName("removeStockPhoto")
            .WithSummary("Takes the picture of something on a shelf away.");
    }

    private static ProblemHttpResult Missing() =>
        Problems.NotFound("there is no such thing on the shelves, or no photo of it");
}
