using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>Sewing thread, read off the seams (handbook §10): lockstitch takes three times the seam, needle and bobbin, plus 10 %.</summary>
public static class Thread
{
    /// <summary>The thread that <paramref name="seams"/> take; laps and openings are not sewn along.</summary>
    public static Notion Of(IEnumerable<Seam> seams)
    {
        var sewn = Stitched(seams).As("stitched seam", "length of all stitched seams");
        return new Notion("thread", "thread", new Percentage(110, 3 * sewn));
    }

    /// <summary>The length of all seams that are stitched; a zip is stitched down on both sides.</summary>
    public static Working Stitched(IEnumerable<Seam> seams) =>
        Sum.Of(
            seams
                .Where(seam => seam.Kind is not (SeamKind.Lap or SeamKind.Opening))
                .Select(seam => seam.Kind == SeamKind.Zip ? 2 * seam.Drafted : seam.Drafted)
        );
}
