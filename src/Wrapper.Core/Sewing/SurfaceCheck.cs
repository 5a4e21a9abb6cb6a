using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// One connected cover as its seams make it: its pieces, its Euler number, how many openings it has, and
/// the seams of the pattern whose sides could not be laid on each other.
/// </summary>
public sealed record SewnCover(
    IReadOnlyList<string> Pieces,
    int EulerNumber,
    int Openings,
    IReadOnlyList<string> Unmatched
)
{
    /// <summary>
    /// Whether it is a surface that can lie right sides out round something: a ball, less a disc for each opening.
    /// </summary>
    public bool Holds => Unmatched.Count == 0 && EulerNumber == 2 - Openings;
}

/// <summary>
/// The part of the seam check that looks at the whole: what the seams make of the pieces must be a surface with its right
/// sides out, whose Euler number (corners less lines and faces) is that of a ball less its openings. A seam that is
/// walked the wrong way, or a piece that is not turned over, twists it.
/// </summary>
public static class SurfaceCheck
{
    /// <summary>The connected covers that the seams of <paramref name="pattern"/> make.</summary>
    public static IReadOnlyList<SewnCover> Of(Pattern pattern)
    {
        var surface = Surface.Of(pattern);
        if (surface.Sheets.Count == 0)
            return [];
        var (numbers, openings) = (surface.EulerNumbers(), surface.Openings());
        return
        [
            .. numbers.Select(
                (number, cover) =>
                    new SewnCover(
                        [
                            .. surface
                                .Sheets.Where((_, at) => surface.Covers[at] == cover)
                                .Select(sheet => $"{sheet.Piece.Name} {sheet.Instance}"),
                        ],
                        number,
                        openings[cover],
                        surface.Unmatched
                    )
            ),
        ];
    }
}
