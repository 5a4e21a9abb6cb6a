using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// How hard a cover is to fill, read off its zip: how much longer or shorter the opening is than the inner is wide
/// (craft §4.8).
/// </summary>
public static class Filling
{
    /// <summary>A plain word for the opening of <paramref name="pattern"/>; null when it has no zip.</summary>
    public static string? Of(Pattern pattern)
    {
        var opening = pattern
            .Seams.Where(seam => seam.Kind == SeamKind.Zip)
            .Select(seam => seam.Drafted.Value)
            .DefaultIfEmpty()
            .Max();
        var width = pattern
            .Finished.Where(size => size.Name == "finished width")
            .Select(size => size.Working.Value)
            .FirstOrDefault();
        if (opening == Length.Zero || width == Length.Zero)
            return null;
        var slack = opening - width;
        return slack > Length.Inches(2) ? "easy: the opening turns the corners"
            : slack >= Length.Zero ? "fair: opens the whole back"
            : "tight: fold the inner in two";
    }
}
