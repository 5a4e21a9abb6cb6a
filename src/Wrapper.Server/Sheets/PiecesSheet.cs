using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Pages;
using Wrapper.Server.Drafts;
using Run = Wrapper.Formats.Pages.Run;

namespace Wrapper.Server.Sheets;

/// <summary>Every piece with all that is needed to cut it: its drawing, its sizes, the figures by which it is chalked.</summary>
internal static class PiecesSheet
{
    private const float MostHigh = 70;

    /// <summary>The pieces of all items, or of the one called <paramref name="only"/>.</summary>
    public static Sheet Of(IReadOnlyList<ItemPlan> items, JobDocument job, string? only, Office office) =>
        office.Sheet(
            "Pieces",
            job.Name,
            [
                .. items
                    .Where(item => (only is null || item.Item.Id == only) && item.Draft.Pattern is not null)
                    .SelectMany(item => OfItem(item, job, office)),
            ]
        );

    private static IEnumerable<Block> OfItem(ItemPlan item, JobDocument job, Office office) =>
        item
            .Draft.Pattern!.Pieces.SelectMany(piece => OfPiece(piece, item, job, office))
            .Prepend(new Heading(1, Office.Titled(item.Number, item.Item.Name, item.Item.Quantity)));

    private static IEnumerable<Block> OfPiece(Piece piece, ItemPlan item, JobDocument job, Office office)
    {
        var view = PieceView.Of(piece, item, job.Unit);
        yield return new Heading(
            2,
            $"{view.Label} {office.Say(view.Name)}: cut {view.Quantity}{(view.TurnedOver ? ", every second one turned over" : "")}, {Source(piece, item, job)}"
        );
        yield return new Beside([
            (
                5,
                [
                    new Figure(
                        new ScaledDrawing(Numbered(piece, item)),
                        $"{office.Say(view.Name)}: cut line solid, stitch line dashed",
                        MostHigh
                    ),
                ]
            ),
            (
                4,
                [
                    .. view.Sizes.Select(size =>
                        Text.Of(
                            $"{office.Say(size.Name)} ",
                            Run.Bold(size.Length.Text),
                            size.Length.Residue.Length > 0 ? $" {size.Length.Residue}" : ""
                        )
                    ),
                    .. view.Note.Length > 0 ? new Block[] { Text.Of(office.Say(view.Note)) } : [],
                ]
            ),
        ]);
        foreach (var block in SettingOut(view.SettingOut, office))
            yield return block;
    }

    private static string Source(Piece piece, ItemPlan item, JobDocument job) =>
        job.Cloths.FirstOrDefault(cloth => cloth.Id == job.ClothOf(item.Item, piece.Role)) is { } cloth
            ? $"from {cloth.Name}"
        : piece.Role.IsFilling() ? "bought by size"
        : "from no cloth";

    // The corners by which it is set out, a little inward so that the line can be seen.
    private static Drawing Numbered(Piece piece, ItemPlan item)
    {
        var (left, bottom, right, top) = piece.Cut.Bounds();
        var (width, height) = (right - left, top - bottom);
        return PieceDrawing.Of(item, piece) with
        {
            Captions =
            [
                .. Core
                    .Patterns.SettingOut.Of(piece)
                    .Corners.Select(corner => new Caption(
                        new Point(Inward(corner.Along, width), Inward(corner.Across, height)),
                        corner.Name,
                        Length.Millimetres(7)
                    )),
            ],
        };

        static Length Inward(Length at, Length of) => at + (of.Over(2) - at).Over(10);
    }

    private static IEnumerable<Block> SettingOut(SettingOutView set, Office office)
    {
        if (set.Corners.Count + set.Marks.Count + set.Lines.Count == 0)
            yield break;
        yield return new Heading(
            3,
            set.Expected
                ? "To chalk the line to expect: on the rough rectangle, from its squared edge; opened on the furniture, never cut beforehand"
                : "To draw it on cloth: cut line, from the squared edge"
        );
        if (set.Corners.Count > 0)
            yield return new Grid(
                [new("Corner", 1), new("Along", 1.4f), new("Across", 1.4f), new("To", 0.8f), new("Side", 1.4f)],
                [
                    .. set.Corners.Select(
                        (corner, at) =>
                            Grid.Plain(
                                corner.Name,
                                corner.Along.Text,
                                corner.Across.Text,
                                set.Sides[at].To,
                                set.Sides[at].Length.Text
                            )
                    ),
                ]
            );
        foreach (var side in set.Sides.Where(side => side.Curve is not null))
            yield return Text.Of(
                Run.Bold($"{side.From} to {side.To} "),
                $"{(side.Curve!.Outward ? "bulges out" : "is hollow")}: radius {side.Curve.Radius.Text}, chord {side.Curve.Chord.Text}, rise {side.Curve.Rise.Text}. Points on it, along and across: {string.Join("; ", side.Curve.On.Select(point => $"{point.Along.Text}, {point.Across.Text}"))}."
            );
        foreach (var line in set.Diagonals)
            yield return Text.Of(
                Run.Bold($"{line.From} to {line.To} "),
                $"straight across, to check: {line.Length.Text}"
            );
        if (set.Marks.Count > 0)
            yield return new Grid(
                [
                    new(set.Expected ? "Mark, along the line to expect" : "Mark, along the cut edge", 3),
                    new("How far", 1.4f),
                    new("From", 3),
                ],
                [
                    .. set.Marks.Select(mark =>
                        Grid.Plain(
                            office.Say(mark.What),
                            mark.Along.Ticks > 0 ? mark.Along.Text : "there",
                            $"{(mark.Along.Ticks > 0 ? "from" : "at")} corner {mark.From}, {office.Say(mark.Side)}"
                        )
                    ),
                ]
            );
        if (set.Lines.Count > 0)
            yield return new Grid(
                [new("Line inside", 2), new("From: along, across", 2.6f), new("To: along, across", 2.6f)],
                [
                    .. set.Lines.Select(line =>
                        Grid.Plain(
                            office.Say(line.Kind),
                            $"{line.From.Along.Text}, {line.From.Across.Text}",
                            $"{line.To.Along.Text}, {line.To.Across.Text}"
                        )
                    ),
                ]
            );
    }
}
