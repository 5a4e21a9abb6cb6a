using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// Making time from one table of rates over the seam graph (handbook §11): so many minutes a metre of each kind of seam, for
/// each piece cut, and for each end of a seam matched.
/// </summary>
public static class Minutes
{
    private const decimal CutAPiece = 4,
        SewAMetre = 4,
        ZipAMetre = 14,
        ZipToSet = 8,
        CordAMetre = 9,
        EndToMatch = 1;

    /// <summary>Whole minutes for one cover, cutting included.</summary>
    public static int Of(Pattern pattern)
    {
        var minutes = pattern.Pieces.Sum(piece => CutAPiece * piece.Quantity);
        foreach (var seam in pattern.Seams)
        {
            var metres = seam.Drafted.Value.Ticks / 3_840_000m;
            minutes +=
                EndToMatch
                + seam.Kind switch
                {
                    SeamKind.Zip => ZipToSet + (ZipAMetre * metres),
                    SeamKind.Opening => 0,
                    _ => SewAMetre * metres,
                };
            if (seam.Corded)
                minutes += CordAMetre * metres;
        }
        return (int)decimal.Round(minutes, MidpointRounding.AwayFromZero);
    }
}
