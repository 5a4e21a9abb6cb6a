using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Pages;

namespace Wrapper.Server.Sheets;

/// <summary>A sheet to measure by: the drawing with its letters, where to hold the tape, room for two readings.</summary>
internal static class MeasuringSheet
{
    private const float MostHigh = 88;

    /// <summary>A page for every item, with what is read of it already.</summary>
    public static Sheet Of(JobDocument job, Drafting drafting, Office office) =>
        office.Sheet(
            "Measuring sheet",
            job.Name,
            [
                .. job
                    .Items.Select((item, at) => (item, number: at + 1))
                    .SelectMany(each => OfItem(each.item, each.number, job, drafting, office)),
            ]
        );

    /// <summary>A blank page for a kind of thing, in inches or centimetres.</summary>
    public static Sheet OfKind(MakeUp makeUp, JobUnit unit, Office office)
    {
        var reading = new Reading(makeUp, makeUp.NewItem("kind", "", unit), unit);
        var sketch = makeUp.Sketch(reading);
        var drawn = sketch.Dimensions.Select(line => line.Measure).ToHashSet();
        return office.Sheet(
            "Measuring sheet",
            office.Say(makeUp.Family),
            Page(
                office.Say(makeUp.Family),
                sketch,
                [
                    .. makeUp.Measures.Where(measure =>
                        measure.Kind == MeasureKind.Length && (drawn.Contains(measure) || measure.ShownWhen is null)
                    ),
                ],
                _ => "",
                unit,
                "",
                "",
                office
            )
        );
    }

    private static IEnumerable<Block> OfItem(Item item, int number, JobDocument job, Drafting drafting, Office office)
    {
        if (
            drafting.Find(item.MakeUp) is not { } makeUp
            || ItemPlan.Of(item, number, drafting, job).Draft.Reading is not { } reading
        )
            yield break;
        var sketch = makeUp.Sketch(reading);
        if (number > 1)
            yield return new NewPage();
        foreach (
            var block in Page(
                Office.Titled(number, item.Name, item.Quantity),
                sketch with
                {
                    Dimensions = [.. sketch.Dimensions.Where(line => reading.Asks(line.Measure))],
                },
                [.. makeUp.Measures.Where(measure => measure.Kind == MeasureKind.Length && reading.Asks(measure))],
                key => item.Measures.GetValueOrDefault(key)?.Typed ?? "",
                job.Unit,
                item.Notes,
                string.Join("; ", item.PartsOff.Select((part, at) => $"{at + 1} {part.Name}")),
                office
            )
        )
            yield return block;
    }

    private static IReadOnlyList<Block> Page(
        string title,
        Sketch sketch,
        IReadOnlyList<Measure> measures,
        Func<string, string> read,
        JobUnit unit,
        string notes,
        string parts,
        Office office
    ) =>
        [
            new Heading(1, title),
            new Figure(
                new SketchPicture(sketch),
                $"Measuring drawing with {string.Join(", ", sketch.Dimensions.Select(line => $"{line.Measure.Key}: {office.Say(line.Measure.Name)}"))}",
                MostHigh
            ),
            new Gap(3),
            new Grid(
                [new("", 0.7f), new("Hold the tape", 5), new($"Read, {Office.UnitOf(unit)}", 1.6f), new("Again", 1.6f)],
                [
                    .. measures.Select(measure => new Row([
                        [Text.Of(Run.Bold(measure.Key))],
                        [
                            Text.Of(
                                Run.Bold(office.Say(measure.Name)),
                                $"{(measure.Optional ? ", if there is one" : "")}. {office.Say(measure.HoldTape)}"
                            ),
                        ],
                        Grid.Cell(read(measure.Key)),
                        Grid.Cell(read($"{measure.Key} again")),
                    ])),
                ]
            ),
            notes.Length > 0 ? Text.Of(Run.Bold("In the way, or kept: "), notes) : new WriteIn("In the way, or kept"),
            parts.Length > 0 ? Text.Of(Run.Bold("Comes off, numbered: "), parts) : new WriteIn("Comes off, numbered"),
        ];
}
