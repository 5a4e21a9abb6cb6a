using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Formats.Drawings;

/// <summary>A lay as it lies on the table, right side up: x from the first selvedge, y up the roll.</summary>
public static class LayDrawing
{
    private static readonly Length Letter = Length.Millimetres(7);

    /// <summary>The lay of a cloth; null where it has none.</summary>
    public static Drawing? Of(ClothPlan cloth, Plan plan)
    {
        if (cloth.Lay is not { } lay)
            return null;
        var placed = cloth.Pieces.ToDictionary(piece => piece.Id);
        var items = plan.Items.ToDictionary(item => item.Item.Id);
        var usable = cloth.Reading.Usable.Value;
        List<Drawing> drawings =
        [
            new(
                "",
                [
                    Stroke.Of(Layer.Cloth, Outline.Rectangle(usable, cloth.OnTable), at => at, turnedOver: false),
                    .. cloth.ForLay.Flaws.Select(Flaw),
                ],
                []
            ),
        ];
        foreach (var at in lay.Best.Placements)
        {
            var piece = placed[at.Id];
            // A strip for cord is of no item's pattern: it is its outline.
            drawings.Add(
                items.TryGetValue(piece.Item, out var item)
                && item.Draft.Pattern!.Pieces.FirstOrDefault(each => each.Key == piece.Piece) is { } drafted
                    ? PieceDrawing.OnCloth(drafted, piece.Label, piece.IsTurnedOver, at)
                    : Strip(piece, at)
            );
        }
        return PieceDrawing.Joined(cloth.Reading.Cloth.Name, drawings);
    }

    private static Stroke Flaw(Patch patch) =>
        Stroke.Of(
            Layer.Cloth,
            Outline.Rectangle(patch.Across, patch.Along),
            at => at.Moved(patch.FromSelvedge, patch.FromEnd),
            turnedOver: false
        );

    private static Drawing Strip(LayPiece piece, Placement at)
    {
        var part = PrintedPart.Of(piece.Cut, false, at);
        var (left, bottom, right, top) = piece.Cut.Bounds();
        var middle = new Point(left + (right - left).Over(2), bottom + (top - bottom).Over(2));
        return new(
            "",
            [Stroke.Of(Layer.Cut, piece.Cut, part.OnCloth, turnedOver: false)],
            [new(part.OnCloth(middle), piece.Label, Letter)]
        );
    }
}
