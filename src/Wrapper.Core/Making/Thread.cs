using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// Sewing thread, read off the stitched lines (craft §10): lockstitch takes three times the way, needle and bobbin,
/// plus 10 %.
/// </summary>
public static class Thread
{
    /// <summary>The thread that one cover of <paramref name="pattern"/> takes.</summary>
    public static Notion Of(Pattern pattern)
    {
        var sewn = Stitching.Run(pattern).As("stitched", "length of all stitched lines");
        return new Notion("thread", "thread", new Percentage(110, 3 * sewn)) { OffTheRoll = true };
    }
}
