using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drawings;

/// <summary>Which part of which cloth the faces of a form show.</summary>
internal static class FormCloth
{
    /// <summary>
    /// As the lay has it: <paramref name="print"/>; what is not laid is of unknown cloth.
    /// </summary>
    public static Func<FormSheet, float, Func<float, float, OnTile>> Laid(
        IReadOnlyList<PrintedPart> print,
        IReadOnlyDictionary<string, ClothTile> tiles
    ) =>
        (sheet, x) =>
        {
            var part = print.FirstOrDefault(each =>
                each.FormPiece == sheet.Piece
                && each.Instance == sheet.Instance
                && (each.From is not { } from || 100 * x >= Drawing.Hundredths(from))
                && (each.To is not { } to || 100 * x <= Drawing.Hundredths(to))
            );
            if (part is null)
                return (across, along) => new(ClothTile.Plain, 100 * across, 100 * along);
            var tile = tiles.GetValueOrDefault(part.Cloth, ClothTile.Plain);
            var (right, up) = (Drawing.Hundredths(part.X), Drawing.Hundredths(part.Y));
            return (across, along) =>
                new(
                    tile,
                    (100 * ((part.XX * across) + (part.XY * along))) + right,
                    (100 * ((part.YX * across) + (part.YY * along))) + up
                );
        };

    /// <summary>
    /// Before it is laid: each piece with a motif in its middle, its grain along the roll where it has one.
    /// </summary>
    public static Func<FormSheet, float, Func<float, float, OnTile>> Unlaid(
        ItemPlan item,
        JobDocument job,
        IReadOnlyDictionary<string, ClothTile> tiles
    )
    {
        var pieces = item.Draft.Pattern!.Pieces;
        Piece? Cut(string key) =>
            pieces.FirstOrDefault(piece => piece.Key == key)
            ?? pieces.FirstOrDefault(piece => piece.Key.StartsWith($"{key}-", StringComparison.Ordinal));
        return (sheet, _) =>
        {
            var piece = Cut(sheet.Piece);
            var tile = tiles.GetValueOrDefault(
                piece is null ? "" : job.ClothOf(item.Item, piece.Role) ?? "",
                ClothTile.Plain
            );
            var (left, low, right, high) = sheet.Reach;
            var (middleX, middleY) = ((left + right) / 2, (low + high) / 2);
            return (x, y) =>
            {
                var (across, along) = ((sheet.TurnedOver ? -1 : 1) * (x - middleX), y - middleY);
                if (piece?.Grain == Grain.Across)
                    (across, along) = (-along, across);
                return new(tile, (100 * across) + tile.MotifAcross, (100 * along) + tile.MotifAlong + tile.From);
            };
        };
    }

    /// <summary>The tiles of a job's cloths by their ids, their repeats as read.</summary>
    public static IReadOnlyDictionary<string, ClothTile> Tiles(JobDocument job) =>
        job.Cloths.ToDictionary(
            cloth => cloth.Id,
            cloth =>
            {
                var reading = new ClothReading(cloth, job.Unit);
                return ClothTile.Of(reading, reading.ForLay.Repeat);
            }
        );

    /// <summary>The same with their repeats where the lay begins them.</summary>
    public static IReadOnlyDictionary<string, ClothTile> Tiles(Plan plan) =>
        plan.Cloths.ToDictionary(
            cloth => cloth.Reading.Cloth.Id,
            cloth => ClothTile.Of(cloth.Reading, cloth.ForLay.Repeat)
        );
}
