using Wrapper.Core.Lay;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>A piece to cut with what it comes from: the nth of its kind, turned over or not.</summary>
internal sealed record CutPiece(LayPiece Lay, ItemPlan Item, Piece Piece, int Instance, bool Mirrored)
{
    /// <summary>Which of the item's covers it belongs to, from 0.</summary>
    public int Cover => (Instance - 1) / Piece.Quantity;

    /// <summary>
    /// Everything that is cut for <paramref name="item"/>. Of pieces that are turned over every second one is the
    /// mirror image; in pairs, every second cover is too.
    /// </summary>
    public static IEnumerable<CutPiece> Of(ItemPlan item) =>
        from piece in item.Draft.Pattern?.Pieces ?? []
        let mirrored = piece.Cut.Mirrored()
        from instance in Enumerable.Range(1, piece.Quantity * item.Quantity)
        let turned = piece.IsTurnedOver(instance)
            != (item.Draft.Pattern!.InPairs && (instance - 1) / piece.Quantity % 2 == 1)
        select new CutPiece(
            new LayPiece(
                $"{item.Item.Id}/{piece.Key}/{instance}",
                item.Item.Id,
                piece.Key,
                item.Label(piece.Key),
                turned ? mirrored : piece.Cut,
                piece.Grain,
                piece.Role
            )
            {
                IsTurnedOver = turned,
            },
            item,
            piece,
            instance,
            turned
        );
}
