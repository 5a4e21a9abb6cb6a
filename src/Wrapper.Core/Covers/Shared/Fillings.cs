using System.Globalization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// What lies under a cover, as pieces: each is listed with its size and area too, for whoever buys it so (craft §4.8,
/// §9.3).
/// </summary>
internal static class Fillings
{
    /// <summary>The pattern with these fillings: none is sewn, so every edge of theirs is raw.</summary>
    public static Pattern AddTo(Pattern pattern, IEnumerable<Piece> fillings, JobUnit unit)
    {
        List<Piece> pieces = [.. fillings];
        return pieces.Count == 0
            ? pattern
            : pattern with
            {
                Pieces = [.. pattern.Pieces, .. pieces],
                Uses =
                [
                    .. pattern.Uses,
                    .. pieces.SelectMany(piece =>
                        Plain.Unsewn(
                            EdgeUse.Raw,
                            piece.Key,
                            piece.Quantity,
                            piece.Stitch.Edges.Select(edge => edge.Name)
                        )
                    ),
                ],
                Notions = [.. pattern.Notions, .. pieces.Select(piece => Listed(piece, unit))],
            };
    }

    // The longer side is the one that takes reckoning.
    private static Notion Listed(Piece piece, JobUnit unit)
    {
        var (width, height) = (piece.Sizes[0].Working, piece.Sizes[1].Working);
        string Say(Working size) => LengthPrinter.Cut(size.Value, unit).Text;
        return new Notion(
            piece.Key,
            piece.Name,
            width.Value > height.Value ? width : height,
            piece.Quantity,
            piece.Note
        )
        {
            Role = piece.Role,
            Amount =
                $"{(piece.Quantity > 1 ? $"{piece.Quantity} of " : "")}{Say(width)} x {Say(height)} {LengthPrinter.Word(unit)}: {Area(piece, unit)}",
        };
    }

    // To a hundredth of a square foot or of a square metre.
    private static string Area(Piece piece, JobUnit unit)
    {
        const double squareFoot = 0.3048 * 0.3048;
        var area = piece.Quantity * piece.Cut.AreaSquareMetres() / (unit.IsInches() ? squareFoot : 1);
        return $"{area.ToString("0.00", CultureInfo.InvariantCulture)} {(unit.IsInches() ? "sq ft" : "sq m")}";
    }
}
