using SkiaSharp;

namespace Wrapper.Formats.Prints;

/// <summary>The type that pages are set in: the same files as on screen, so that print and screen look alike.</summary>
internal static class Faces
{
    public static readonly SKTypeface Regular = Read("Regular");
    public static readonly SKTypeface Bold = Read("Bold");

    /// <summary>A font of this size in millimetres, spaced as it is drawn and not by the dots of a screen.</summary>
    public static SKFont Of(SKTypeface face, float size) =>
        new(face, size)
        {
            Subpixel = true,
            LinearMetrics = true,
            Hinting = SKFontHinting.None,
        };

    private static SKTypeface Read(string weight)
    {
        using var file = typeof(Faces).Assembly.GetManifestResourceStream($"AtkinsonHyperlegibleNext-{weight}.ttf")!;
        return SKTypeface.FromStream(file);
    }
}
