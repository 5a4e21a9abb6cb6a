using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// Making time from one table of rates over the stitched lines (craft §11): so many minutes a metre of each kind of
/// line, for each piece cut, and for each seam matched.
/// </summary>
public static class Minutes
{
    private const decimal CutAPiece = 4,
        ZipToSet = 8,
        SeamToMatch = 1;

    /// <summary>Whole minutes for one cover, cutting included.</summary>
    public static int Of(Pattern pattern)
    {
        var minutes =
            (CutAPiece * (pattern.Pieces.Sum(piece => piece.Quantity) + (pattern.Covering is null ? 0 : 1)))
            + (SeamToMatch * pattern.Seams.Count);
        foreach (var line in Stitching.Of(pattern))
            minutes +=
                (PerMetre(line.Kind) * line.Length.Value.Ticks / 3_840_000m)
                + (line.Kind == StitchKind.Zip ? ZipToSet : 0);
        return (int)decimal.Round(minutes, MidpointRounding.AwayFromZero);
    }

    private static decimal PerMetre(StitchKind kind) =>
        kind switch
        {
            StitchKind.Corded => 13,
            StitchKind.Zip => 14,
            StitchKind.Hem => 6,
            StitchKind.EdgeFinish => 1,
            _ => 4,
        };
}
