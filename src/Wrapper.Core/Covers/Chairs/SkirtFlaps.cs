using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>The flaps of a slipcover's skirt, which hang behind its corners.</summary>
internal static class SkirtFlaps
{
    /// <summary>A flap of the skirt behind each corner, from the right one of the front on.</summary>
    public static IEnumerable<Tuck> Of(IReadOnlyList<Piece> pieces)
    {
        if (pieces.FirstOrDefault(piece => piece.Key == "skirt-flap") is not { } flap)
            return [];
        (string Piece, int At)[] round = [("skirt-front", 1), ("skirt-side", 1), ("skirt-front", 2), ("skirt-side", 2)];
        return round.Select(
            (face, at) =>
                Tuck.BehindCorner(
                    flap.Key,
                    at + 1,
                    (face.Piece, face.At, pieces.First(piece => piece.Key == face.Piece).Stitch.LengthOf("upper")),
                    round[(at + 1) % 4],
                    flap.Stitch.LengthOf("upper"),
                    flap.Stitch.LengthOf("left"),
                    folded: false
                )
        );
    }
}
