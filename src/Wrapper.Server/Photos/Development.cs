using SkiaSharp;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Photos;

/// <summary>
/// What becomes of a picture that comes in: upright, without private tags, with a small one of it. One at a time, since a
/// large one takes much memory.
/// </summary>
internal sealed class Development : IDisposable
{
    private const int Small = 320,
        Quality = 92;

    // Whatever a phone takes first, then half of it, where that is too much to be turned.
    private static readonly int[] Sizes = [4200, 2400];

    private readonly SemaphoreSlim darkroom = new(1, 1);

    /// <summary>
    /// Writes what is kept of <paramref name="picture"/> into <paramref name="into"/>; its media type then, and the small
    /// picture, null for what cannot be read.
    /// </summary>
    public async Task<(string Type, byte[]? Small)> Develop(
        string type,
        Stream picture,
        Stream into,
        CancellationToken cancel
    )
    {
        await darkroom.WaitAsync(cancel);
        try
        {
            var kept = Turned(picture, into) ? "image/jpeg" : type;
            if (kept != type || into.Length > 0)
                return (kept, InLittle(into));
            WithoutTags.Copy(type, picture, into);
            return (type, InLittle(into));
        }
        finally
        {
            darkroom.Release();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => darkroom.Dispose();

    // Whether it lay on its side or its head; then it is written upright.
    private static bool Turned(Stream picture, Stream into)
    {
        picture.Position = 0;
        using (var held = new SKManagedStream(picture, disposeManagedStream: false))
        using (var codec = SKCodec.Create(held))
            if (codec is null || codec.EncodedOrigin == SKEncodedOrigin.TopLeft)
                return false;
        foreach (var size in Sizes)
        {
            picture.Position = 0;
            if (UprightPhoto.Read(picture, size) is not { } photo)
                continue;
            using (photo.Image)
            using (var encoded = photo.Image.Encode(SKEncodedImageFormat.Jpeg, Quality))
                encoded.SaveTo(into);
            return true;
        }
        return false;
    }

    private static byte[]? InLittle(Stream kept)
    {
        kept.Position = 0;
        if (UprightPhoto.Read(kept, 2 * Small) is not { } photo)
            return null;
        using (photo.Image)
        {
            var scale = Math.Min(1f, (float)Small / Math.Max(photo.Image.Width, photo.Image.Height));
            var (width, height) = (
                Math.Max(1, (int)(photo.Image.Width * scale)),
                Math.Max(1, (int)(photo.Image.Height * scale))
            );
            using var surface = SKSurface.Create(new SKImageInfo(width, height));
            surface.Canvas.Clear(SKColors.White);
            surface.Canvas.DrawImage(
                photo.Image,
                new SKRect(0, 0, width, height),
                new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
            );
            using var image = surface.Snapshot();
            using var encoded = image.Encode(SKEncodedImageFormat.Jpeg, 80);
            return encoded.ToArray();
        }
    }
}
