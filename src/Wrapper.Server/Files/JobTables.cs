using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;
using Wrapper.Core.Workroom.Figures;
using Wrapper.Formats.Tables;

namespace Wrapper.Server.Files;

/// <summary>What is known of a job as tables: sizes as the tape says them and in millimetres.</summary>
internal static class JobTables
{
    /// <summary>Every piece to cut, with its largest cut sizes.</summary>
    public static Table CutList(Plan plan, JobDocument job, Vocabulary words)
    {
        var cloths = job.Cloths.ToDictionary(cloth => cloth.Id, cloth => cloth.Name);
        return new(
            "Cut list",
            [
                "Item",
                "Piece",
                "Name",
                "How many",
                "Cut from",
                "Width",
                "Length",
                "Unit",
                "Width, mm",
                "Length, mm",
                "To know",
            ],
            [
                .. from item in plan.Items
                where item.Quantity > 0
                from piece in item.Draft.Pattern!.Pieces
                let sizes = SizesOf(piece)
                select (IReadOnlyList<Cell>)
                    [
                        item.Item.Name,
                        item.Label(piece.Key),
                        words.Say(piece.Name),
                        Cell.Of(piece.Quantity * item.Quantity),
                        job.ClothOf(item.Item, piece.Role) is { } cloth ? cloths.GetValueOrDefault(cloth, "") : "",
                        Text(sizes.Width),
                        Text(sizes.Length),
                        LengthPrinter.Word(job.Unit),
                        Millimetres(sizes.Width),
                        Millimetres(sizes.Length),
                        words.Say(piece.Note),
                    ],
            ]
        );

        Cell Text(Length length) => Cell.Typed(LengthPrinter.Cut(length, job.Unit).Text);
    }

    /// <summary>What is bought, line by line.</summary>
    public static Table ShoppingList(Plan plan, JobDocument job, Vocabulary words) =>
        new(
            "Shopping list",
            ["Where", "What", "Which", "How much", "Still to buy", "For"],
            [
                .. Shopping
                    .Of(plan, job)
                    .Select(line =>
                        (IReadOnlyList<Cell>)
                            [
                                line.At switch
                                {
                                    Counter.Cloth => "cloth",
                                    Counter.Haberdashery => "haberdashery",
                                    _ => "fillings",
                                },
                                line.At == Counter.Cloth ? line.Name : words.Say(line.Name),
                                line.At == Counter.Cloth ? line.Note : words.Say(line.Note),
                                line.Amount,
                                line.StillToBuy ?? line.Amount,
                                string.Join(", ", line.For),
                            ]
                    ),
            ]
        );

    /// <summary>What was timed and done, step by step.</summary>
    public static Table TimeLog(JobDocument job)
    {
        var names = job.Items.Concat(job.Removed).ToDictionary(item => item.Id, item => item.Name);
        return new(
            "Time log",
            ["Item", "Step", "Kind", "Done on", "Minutes taken", "Minutes reckoned", "Note"],
            [
                .. job.Making.Steps.Select(log =>
                {
                    var (item, step) = log.Id.Split('/', 2) is [var first, var rest] ? (first, rest) : ("", log.Id);
                    return (IReadOnlyList<Cell>)
                        [
                            names.GetValueOrDefault(item, ""),
                            step,
                            log.Kind,
                            Cell.Of(log.Done),
                            Minutes(RealCost.TakenBy(log)),
                            Minutes(log.Reckoned),
                            log.Note,
                        ];
                }),
            ]
        );
    }

    // The sizes that a maker chalks: those of the box of the cut line.
    private static (Length Width, Length Length) SizesOf(Piece piece)
    {
        var (left, bottom, right, top) = piece.Cut.Bounds();
        return (right - left, top - bottom);
    }

    private static Cell Millimetres(Length length) =>
        Cell.Of(decimal.Round(length.Ticks / (decimal)Length.TicksPerMillimetre, 1, MidpointRounding.AwayFromZero));

    private static Cell Minutes(long seconds) =>
        Cell.Of(decimal.Round(seconds / 60m, 1, MidpointRounding.AwayFromZero));
}
