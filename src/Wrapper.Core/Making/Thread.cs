using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// Sewing thread, read off the stitched lines (craft §10), colour by colour: lockstitch takes three times the way,
/// needle and bobbin, zigzag four times, serging with three threads twelve times, plus 10 %.
/// </summary>
public static class Thread
{
    /// <summary>The key of thread for the machine that sews.</summary>
    public const string Key = "thread";

    /// <summary>The key of thread on the three cones of a serger.</summary>
    public const string SergingKey = "serging-thread";

    /// <summary>The threads that one cover of <paramref name="pattern"/> takes; that of its seams first.</summary>
    public static IReadOnlyList<Notion> Of(Pattern pattern) =>
        [
            .. Stitching
                .Of(pattern)
                .GroupBy(line =>
                    (
                        Colour: line.Colour.Length > 0 ? line.Colour : pattern.Colour,
                        Serged: line.Kind == StitchKind.Serging
                    )
                )
                .Select(lines =>
                {
                    var (key, name) = lines.Key.Serged ? (SergingKey, "serging thread") : (Key, "thread");
                    return new Notion(key, name, Way([.. lines]), Note: Note(lines.Key.Colour, pattern))
                    {
                        OffTheRoll = true,
                    };
                }),
        ];

    private static Percentage Way(IReadOnlyList<StitchedLine> lines)
    {
        Working? Run(StitchKind kind, string symbol, string words, int times)
        {
            var those = lines.Where(line => Kind(line) == kind).Select(line => line.Run).ToList();
            return those.Count == 0 ? null : times * Sum.Of(those).As(symbol, words);
        }
        return new Percentage(
            110,
            new[]
            {
                Run(StitchKind.Seam, "stitched", "length of all stitched lines", 3),
                Run(StitchKind.Zigzag, "zigzagged", "length of all zigzagged edges", 4),
                Run(StitchKind.Serging, "serged", "length of all serged edges", 12),
            }
                .OfType<Working>()
                .Aggregate((sum, way) => sum + way)
        );
    }

    private static StitchKind Kind(StitchedLine line) =>
        line.Kind is StitchKind.Zigzag or StitchKind.Serging ? line.Kind : StitchKind.Seam;

    private static string Note(string colour, Pattern pattern) =>
        string.Join(
            ", ",
            new[] { colour.Length > 0 ? $"to match {colour}" : "", pattern.ThreadNote }.Where(part => part.Length > 0)
        );
}
