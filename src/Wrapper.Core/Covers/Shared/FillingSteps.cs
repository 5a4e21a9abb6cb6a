using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>The last step of a filled cover: the inner goes in and the cover is closed (craft §4.8).</summary>
internal static class FillingSteps
{
    /// <summary>An inner that goes in through a zip.</summary>
    public static Step ThroughZip { get; } =
        Step.Filling(
            "Fill it: the cover inside out over your hands, take the inner by its far corners and roll the cover over it, or fold foam in two. Ease it into every corner, then close the zip."
        );

    /// <summary>A round inner that goes in through a zip, or through the gap left in the seam.</summary>
    public static Step Bolster(bool zipped) =>
        Step.Filling(
            zipped
                ? "Try the cover on the inner before it is stuffed tight: the ends lie flat, the seam straight. Fill it and close the zip."
                : "Try the cover on the inner before it is stuffed tight: the ends lie flat, the seam straight. Fill it and close the gap with ladder stitch."
        ) with
        {
            Does = Doing.Fitting | Doing.Filling,
            How = zipped ? [] : [Technique.LadderStitch],
        };
}
