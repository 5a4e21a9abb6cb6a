using Microsoft.AspNetCore.Mvc;
using Wrapper.Core.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Api;

/// <summary>What a photo shows, and whether it is taken away.</summary>
public sealed record PhotoChange(string Caption, bool Away);

/// <summary>Photos of items as they were found (handbook §1.9). A file is what its first bytes say, whatever it is called.</summary>
internal static class PhotoEndpoints
{
    private const int MostBytes = 12 * 1024 * 1024, MostRead = 16 * MostBytes, MostPhotos = 300, LongestCaption = 300, LongestId = 64;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/jobs/{id}/photos", (string id, PhotoStore photos) => photos.Of(id))
            .Produces<IEnumerable<Photo>>().WithName("listPhotos").WithSummary("The photos of a job, the oldest first.");

        api.MapPut("/jobs/{id}/photos/{photo}", async (string id, string photo, string item, HttpRequest request, PhotoStore photos) =>
            {
                // Told before it is read; up to MostRead the rest is drained, so that the answer arrives.
                if (request.ContentLength is null or > MostBytes) return Refuse("picture", $"larger than {MostBytes / 1024 / 1024} MB, or of unknown length", "corner.jpg");
                using var buffer = new MemoryStream();
                await request.Body.CopyToAsync(buffer);
                var picture = buffer.ToArray();
                if (TypeOf(picture) is not { } type) return Refuse("picture", "neither a JPEG, PNG nor WebP picture", "corner.jpg");
                if (photo.Length > LongestId || item.Length > LongestId) return Refuse("id", $"longer than {LongestId} characters", "5f0c2a");
                if (photos.Of(id).Count >= MostPhotos) return Refuse("picture", $"a job holds at most {MostPhotos} photos", $"{MostPhotos}");
                var kept = new Photo(photo, item, "", type, false);
                return photos.Add(id, kept, picture) ? Results.Ok(kept) : Problems.NotFound("there is no such job");
            })
            .Accepts<Stream>("image/jpeg", "image/png", "image/webp").WithMetadata(new RequestSizeLimitAttribute(MostRead))
            .Produces<Photo>().ProducesProblem(404).ProducesProblem(422).WithName("addPhoto").WithSummary("Keeps a picture of an item; the same id again is kept once.");

        api.MapGet("/photos/{photo}", (string photo, PhotoStore photos) =>
                photos.Picture(photo) is var (type, picture) ? Results.Bytes(picture, type) : Problems.NotFound("there is no such photo"))
            .Produces(200, contentType: "image/jpeg").ProducesProblem(404).WithName("getPhoto").WithSummary("A picture.");

        api.MapPut("/photos/{photo}", (string photo, PhotoChange change, PhotoStore photos) =>
            {
                if (change.Caption.Length > LongestCaption) return Refuse("caption", $"longer than {LongestCaption} characters", "left arm, pleats");
                return photos.Change(photo, change.Caption, change.Away) ? Results.Ok(change) : Problems.NotFound("there is no such photo");
            })
            .Produces<PhotoChange>().ProducesProblem(404).ProducesProblem(422).WithName("changePhoto").WithSummary("Says what a photo shows, takes it away or puts it back.");
    }

    private static string? TypeOf(ReadOnlySpan<byte> bytes) => bytes switch
    {
        [0xFF, 0xD8, 0xFF, ..] => "image/jpeg",
        [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A, ..] => "image/png",
        [(byte)'R', (byte)'I', (byte)'F', (byte)'F', _, _, _, _, (byte)'W', (byte)'E', (byte)'B', (byte)'P', ..] => "image/webp",
        _ => null,
    };

    private static IResult Refuse(string field, string reason, string example) => Problems.Fields([new Problem(field, "", 0, reason, example)]);
}
