using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>How a line is sewn, which decides how long it takes.</summary>
public enum StitchKind
{
    /// <summary>A plain seam.</summary>
    Seam,

    /// <summary>A seam with cord in it: its covering, then one side, then the other.</summary>
    Corded,

    /// <summary>A zip, down both sides.</summary>
    Zip,

    /// <summary>A hem, a casing, or elastic sewn on.</summary>
    Hem,

    /// <summary>A tuck that is sewn down.</summary>
    Lap,

    /// <summary>Topstitching or tape, on the finished cover.</summary>
    Applied,

    /// <summary>A raw edge that is zigzagged so that it does not ravel.</summary>
    Zigzag,

    /// <summary>A raw edge that is serged with three threads.</summary>
    Serging,
}

/// <summary>One line that is stitched, and how often the machine runs along it.</summary>
public sealed record StitchedLine(string Name, StitchKind Kind, Working Length, int Times)
{
    /// <summary>The cloth whose colour its thread has; empty while there is none.</summary>
    public string Colour { get; init; } = "";

    /// <summary>The way that the machine runs.</summary>
    public Working Run => Times == 1 ? Length : Times * Length;
}

/// <summary>
/// Every line that is stitched, read off the seam graph (craft §10); thread and minutes come from these lines.
/// </summary>
public static class Stitching
{
    /// <summary>The lines of <paramref name="pattern"/>; what is left open is not stitched.</summary>
    public static IReadOnlyList<StitchedLine> Of(Pattern pattern) =>
        [
            .. pattern.Seams.Where(seam => seam.Kind != SeamKind.Opening).Select(OfSeam),
            .. pattern
                .Uses.Where(use => use.Kind is EdgeUse.Hem or EdgeUse.Casing or EdgeUse.Elastic)
                .GroupBy(use => use.Kind)
                .Select(uses => OfEdges(pattern, uses)),
            .. pattern.Applied.Select(OfApplied),
        ];

    /// <summary>The way that the machine runs along all of them.</summary>
    public static Working Run(Pattern pattern) => Sum.Of(Of(pattern).Select(line => line.Run));

    private static StitchedLine OfApplied(Applied applied) =>
        new(
            applied.Name,
            applied.Kind switch
            {
                AppliedKind.Zigzag => StitchKind.Zigzag,
                AppliedKind.Serging => StitchKind.Serging,
                _ => StitchKind.Applied,
            },
            applied.Length,
            applied.Kind == AppliedKind.Tape ? 2 : 1
        )
        {
            Colour = applied.Colour,
        };

    private static StitchedLine OfSeam(Seam seam) =>
        seam.Kind switch
        {
            // With cord its covering is sewn too, and then the cord on to one side.
            SeamKind.Zip => new(seam.Name, StitchKind.Zip, seam.Drafted, seam.CordLine is null ? 2 : 4),
            SeamKind.Lap => new(seam.Name, StitchKind.Lap, seam.Drafted, 1),
            _ => seam.CordLine is null
                ? new(seam.Name, StitchKind.Seam, seam.Drafted, 1)
                : new(seam.Name, StitchKind.Corded, seam.Drafted, 3),
        };

    private static StitchedLine OfEdges(Pattern pattern, IGrouping<EdgeUse, Use> uses)
    {
        var name = uses.Key switch
        {
            EdgeUse.Casing => "casings",
            EdgeUse.Elastic => "elastic sewn on",
            _ => "hems",
        };
        var length = uses.Aggregate(Length.Zero, (sum, use) => sum + (use.Run.Drafted ?? pattern.LengthOf(use.Run)));
        return new(name, StitchKind.Hem, Working.Of(name, name, length), 1);
    }
}
