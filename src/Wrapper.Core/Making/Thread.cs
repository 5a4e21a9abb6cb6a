using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// Sewing thread, read off the stitched lines (craft §10): lockstitch takes three times the way, needle and bobbin,
/// zigzag four times, plus 10 %.
/// </summary>
public static class Thread
{
    /// <summary>The thread that one cover of <paramref name="pattern"/> takes.</summary>
    public static Notion Of(Pattern pattern)
    {
        var sewn = Stitching.Run(pattern, zigzagged: false).As("stitched", "length of all stitched lines");
        var thread = 3 * sewn;
        var edges = Stitching.Run(pattern, zigzagged: true);
        if (edges.Value.IsPositive)
            thread += 4 * edges.As("zigzagged", "length of all zigzagged edges");
        return new Notion("thread", "thread", new Percentage(110, thread), Note: pattern.ThreadNote)
        {
            OffTheRoll = true,
        };
    }
}
