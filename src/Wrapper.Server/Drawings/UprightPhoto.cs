using SkiaSharp;

namespace Wrapper.Server.Drawings;

/// <summary>
/// A photo as a browser shows it: turned upright as the camera was held, <paramref name="Width"/> by
/// <paramref name="Height"/> pixels, of which <paramref name="Image"/> may have fewer. Its reader disposes it.
/// </summary>
internal sealed record UprightPhoto(SKImage Image, int Width, int Height)
{
    // More cannot be read without taking the memory of the whole server.
    private const long MostPixels = 16_000_000;

    /// <summary>
    /// Reads a photo no finer than <paramref name="enough"/> pixels along its longer side, where its format can be read
    /// coarsely; null for what is no picture, or would take too much memory.
    /// </summary>
    public static UprightPhoto? Read(Stream bytes, int enough)
    {
        // The codec closes what it reads from, unless it is told not to.
        using var held = new SKManagedStream(bytes, disposeManagedStream: false);
        using var codec = SKCodec.Create(held);
        if (codec is null)
            return null;
        var whole = codec.Info;
        var size = codec.GetScaledDimensions(Math.Min(1f, (float)enough / Math.Max(whole.Width, whole.Height)));
        if ((long)size.Width * size.Height > MostPixels)
            return null;
        using var read = new SKBitmap(new SKImageInfo(size.Width, size.Height));
        if (
            codec.GetPixels(read.Info, read.GetPixels()) is not (SKCodecResult.Success or SKCodecResult.IncompleteInput)
        )
            return null;
        var lies = codec.EncodedOrigin >= SKEncodedOrigin.LeftTop;
        var (width, height) = lies ? (size.Height, size.Width) : (size.Width, size.Height);
        using var surface = SKSurface.Create(new SKImageInfo(width, height));
        surface.Canvas.SetMatrix(Turned(codec.EncodedOrigin, width, height));
        surface.Canvas.DrawBitmap(read, 0, 0, SKSamplingOptions.Default);
        return new(surface.Snapshot(), lies ? whole.Height : whole.Width, lies ? whole.Width : whole.Height);
    }

    // The eight ways in which a camera can be held, as EXIF counts them: what is stored first, seen upright.
    private static SKMatrix Turned(SKEncodedOrigin origin, float width, float height) =>
        origin switch
        {
            SKEncodedOrigin.TopRight => new(-1, 0, width, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new(-1, 0, width, 0, -1, height, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new(1, 0, 0, 0, -1, height, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new(0, -1, width, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new(0, -1, width, -1, 0, height, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new(0, 1, 0, -1, 0, height, 0, 0, 1),
            _ => SKMatrix.Identity,
        };
}
