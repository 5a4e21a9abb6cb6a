using Wrapper.Core.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Photos;

/// <summary>A picture that is sent as the body of a request.</summary>
internal static class SentPicture
{
    private const int MostBytes = 12 * 1024 * 1024;

    /// <summary>So many bytes of a larger one are drained, so that the answer arrives.</summary>
    public const int MostRead = 16 * MostBytes;

    /// <summary>
    /// Develops what is sent into <paramref name="kept"/>, from its beginning: its media type then and the small picture;
    /// or why it is refused.
    /// </summary>
    public static async Task<(string? Type, byte[]? Small, Problem? Problem)> Take(
        HttpRequest request,
        Database database,
        Development development,
        Stream kept
    )
    {
        // Told before it is read.
        if (request.ContentLength is null or > MostBytes)
            return Refuse($"larger than {MostBytes / 1024 / 1024} MB, or of unknown length");
        // On the disk and not in memory, however many are sent at once; gone when it is closed.
        await using var picture = PhotoStore.Incoming(database.Folder);
        await request.Body.CopyToAsync(picture, request.HttpContext.RequestAborted);
        picture.Position = 0;
        var (type, reason) = Pictures.TypeOf(picture);
        if (type is null)
            return Refuse(reason!);
        var (keptAs, small) = await development.Develop(type, picture, kept, request.HttpContext.RequestAborted);
        kept.Position = 0;
        return (keptAs, small, null);
    }

    private static (string?, byte[]?, Problem?) Refuse(string reason) =>
        (null, null, new Problem("picture", "", 0, reason, "corner.jpg"));
}
