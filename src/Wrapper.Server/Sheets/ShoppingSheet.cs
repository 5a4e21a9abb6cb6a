using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Formats.Pages;
using Wrapper.Server.Plans;

namespace Wrapper.Server.Sheets;

/// <summary>One list of all that is bought, cloths first, with boxes to tick at the counter.</summary>
internal static class ShoppingSheet
{
    private static readonly (Counter At, string Name)[] Counters =
    [
        (Counter.Cloth, "Where cloth is cut"),
        (Counter.Haberdashery, "Haberdashery"),
        (Counter.Fillings, "Foam and fillings"),
    ];

    /// <summary>The list of a job whose cloths are laid.</summary>
    public static Sheet Of(Plan plan, JobDocument job, Office office)
    {
        var lines = Shopping.Of(plan, job).ToLookup(line => line.At);
        return office.Sheet(
            "Shopping list",
            job.Name,
            [
                new Heading(1, "Shopping list"),
                .. Counters
                    .Where(counter => lines[counter.At].Any())
                    .SelectMany(counter =>
                        new Block[]
                        {
                            new Heading(2, counter.Name),
                            new Grid(
                                [new("What", 4), new("How much", 2), new("For", 3), new("Cost", 1.4f, IsRight: true)],
                                [.. lines[counter.At].Select(line => Line(line, plan, job, office))]
                            ),
                        }
                    ),
                .. lines.Count == 0 ? new Block[] { Text.Of("Nothing is to be bought yet.") } : [],
            ]
        );
    }

    private static Row Line(ShoppingLine line, Plan plan, JobDocument job, Office office)
    {
        // A cloth is called as its maker calls it.
        string Say(string text) => line.At == Counter.Cloth ? text : office.Say(text);
        var cost = plan
            .Cloths.Where(cloth => line.At == Counter.Cloth && cloth.Reading.Cloth.Name == line.Name)
            .Select(cloth => cloth.Buying is { } buying ? BuyingView.Of(buying, cloth.Reading, job).Cost : null)
            .FirstOrDefault();
        return new([
            [Text.Of(Run.Bold(Say(line.Name)), line.Note.Length > 0 ? $" {Say(line.Note)}" : "")],
            [Text.Of(Run.Bold(line.Amount), line.StillToBuy is { } still ? $"\nto buy: {still}" : "")],
            Grid.Cell(string.Join(", ", line.For)),
            Grid.Cell(cost ?? ""),
        ]);
    }
}
