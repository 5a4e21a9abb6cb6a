using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// One kind of work on a cover: how many minutes, over how long a line, and how often something is done.
/// </summary>
public sealed record Work(string Name, decimal Minutes, Length Along, string AlongOf, int Times, string TimesOf);

/// <summary>
/// Making time from one table of rates (craft §10): cutting by the length of the cut line, sewing by the stitched
/// lines, pressing by the seams, marking by the marks, fitting and filling by the steps in which that is done.
/// </summary>
public static class Minutes
{
    internal const decimal SeamToMatch = 1,
        ZipToSet = 8,
        PressAMetre = 2,
        TryOn = 8,
        Fill = 10;

    private const decimal CutAMetre = 2,
        LayAPiece = 2,
        AMark = 0.25m,
        // Pinned on the furniture, hollows opened, the line marked, taken off and trimmed (craft §6.2).
        PinAPiece = 48;

    /// <summary>Whole minutes for one cover, cutting included.</summary>
    public static int Of(Pattern pattern) =>
        (int)decimal.Round(Works(pattern).Sum(work => work.Minutes), MidpointRounding.AwayFromZero);

    /// <summary>The same at the maker's <paramref name="pace"/>.</summary>
    public static int Of(Pattern pattern, Pace pace) =>
        pattern.Steps.Count == 0
            ? Of(pattern)
            : (int)decimal.Round(StepMinutes.Of(pattern, pace).Sum(), MidpointRounding.AwayFromZero);

    /// <summary>The kinds of work that one cover asks for, in the order in which they are done.</summary>
    public static IReadOnlyList<Work> Works(Pattern pattern)
    {
        var pieces = pattern.Pieces.Sum(piece => piece.Quantity) + (pattern.Covering is null ? 0 : 1);
        var cut = Sum(pattern.Pieces.Select(piece => piece.Quantity * piece.Cut.Perimeter()));
        var marks = pattern.Pieces.Sum(piece => piece.Quantity * (piece.Notches.Count + piece.Lines.Count));
        var rough = pattern.Pieces.Where(piece => piece.IsRough).Sum(piece => piece.Quantity);
        var lines = Stitching.Of(pattern);
        var zips = lines.Count(line => line.Kind == StitchKind.Zip);
        var pressed = Sum(
            lines
                .Where(line => line.Kind is not (StitchKind.Zigzag or StitchKind.Serging))
                .Select(line => line.Length.Value)
        );
        int Steps(Doing doing) => pattern.Steps.Count(step => step.Does.HasFlag(doing));
        Work[] works =
        [
            new("cutting", (CutAMetre * Metres(cut)) + (LayAPiece * pieces), cut, "cut line", pieces, "piece"),
            new("marking", AMark * marks, Length.Zero, "", marks, "mark"),
            new(
                "sewing",
                lines.Sum(line => SewAMetre(line.Kind) * Metres(line.Length.Value))
                    + (SeamToMatch * pattern.Seams.Count)
                    + (ZipToSet * zips),
                Sum(lines.Select(line => line.Length.Value)),
                "stitch line",
                lines.Count,
                "line"
            ),
            new("pressing", PressAMetre * Metres(pressed), pressed, "seams and hems", 0, ""),
            new("pinning on the furniture", PinAPiece * rough, Length.Zero, "", rough, "piece"),
            new("trying on", TryOn * Steps(Doing.Fitting), Length.Zero, "", Steps(Doing.Fitting), "time"),
            new("filling", Fill * Steps(Doing.Filling), Length.Zero, "", Steps(Doing.Filling), "time"),
        ];
        return [.. works.Where(work => work.Minutes > 0)];
    }

    /// <summary>So many minutes in words: <c>42 min</c>, <c>2 h 05 min</c>.</summary>
    public static string Text(long minutes) =>
        minutes < 60 ? $"{minutes} min" : $"{minutes / 60} h {minutes % 60:00} min";

    // Once along a line, matched and pinned; with cord its covering and both sides of it too.
    internal static decimal SewAMetre(StitchKind kind) =>
        kind switch
        {
            StitchKind.Corded => 13,
            StitchKind.Zip => 14,
            StitchKind.Hem => 6,
            StitchKind.Zigzag or StitchKind.Serging => 1,
            _ => 4,
        };

    private static Length Sum(IEnumerable<Length> lengths) =>
        lengths.Aggregate(Length.Zero, (sum, length) => sum + length);

    internal static decimal Metres(Length length) => length.Ticks / 3_840_000m;
}
