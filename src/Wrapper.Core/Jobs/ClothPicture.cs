namespace Wrapper.Core.Jobs;

/// <summary>
/// A photo of a cloth that is shown in place of a drawn one. <paramref name="Corners"/> are the four corners of a
/// piece of it, in pixels of the photo, x and y of each from the upper left corner: top left, top right, bottom right,
/// bottom left of the cloth as it hangs, up the roll on top. <paramref name="Across"/> and <paramref name="Along"/> are
/// how far the cloth reaches between them; null for one repeat.
/// </summary>
public sealed record ClothPicture(string Photo, IReadOnlyList<int> Corners, Entry? Across, Entry? Along)
{
    /// <summary>
    /// The ends of something of known length that lies on the cloth in the photo, x and y of each; empty for nothing.
    /// </summary>
    public IReadOnlyList<int> Ruler { get; init; } = [];

    /// <summary>How long that is; null for nothing.</summary>
    public Entry? RulerLength { get; init; }
}
