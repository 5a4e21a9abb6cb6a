using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Formats.Pages;
using Wrapper.Server.Drafts;

namespace Wrapper.Server.Sheets;

/// <summary>The steps of every item in order, with cautions, checks and boxes to tick.</summary>
internal static class MakingSheet
{
    /// <summary>The sheet of a job.</summary>
    public static Sheet Of(IReadOnlyList<ItemPlan> items, JobDocument job, Office office) =>
        office.Sheet(
            "Making sheet",
            job.Name,
            [
                .. items
                    .Where(item => item.Draft.Pattern is not null)
                    .SelectMany(item =>
                        new Block[]
                        {
                            new Heading(1, Office.Titled(item.Number, item.Item.Name, item.Item.Quantity)),
                            new Points(
                                [
                                    .. item.Draft.Pattern!.Steps.Select(step =>
                                        (IReadOnlyList<Block>)[.. OfStep(step, job, office)]
                                    ),
                                ],
                                HasBoxes: true
                            ),
                        }
                    ),
            ]
        );

    private static IEnumerable<Block> OfStep(Core.Patterns.Step step, JobDocument job, Office office)
    {
        yield return Text.Of(office.Say(step.Text));
        foreach (var caution in step.Cautions)
            yield return Text.Of(Run.Bold("Take care. "), office.Say(caution.Text)) with
            {
                IsMarked = true,
            };
        foreach (var check in step.Checks.Select(check => StepCheckView.Of(check, job.Unit)))
            yield return Text.Of(
                $"{office.Say(check.Text)} ",
                Run.Bold(check.Target is { } target ? $"{target.Text} ± {check.Tolerance}" : ""),
                check.Places.Any(place => place.Length > 0)
                    ? $" At {string.Join(", ", check.Places.Select(office.Say))}"
                    : ""
            );
    }
}
