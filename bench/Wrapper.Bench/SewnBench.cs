using System.Diagnostics;
using System.Globalization;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Bench;

/// <summary>
/// Every make-up sewn on screen at its usual sizes, and each answer that changes what comes out: how far seams are from
/// their flat sides, the stretch of 95 parts of 100 of the cloth, time and size.
/// </summary>
internal static class SewnBench
{
    public static void Run()
    {
        var drafting = Drafting.Standard();
        Console.WriteLine();
        Console.WriteLine("| sewn | seams to | strain p95 | time | points | vouched for |");
        Console.WriteLine("|---|---|---|---|---|---|");
        foreach (var makeUp in drafting.MakeUps)
        {
            var seen = new HashSet<string>();
            foreach (var (choice, answer) in Answers(makeUp))
                if (Sewn(makeUp, choice, answer, drafting) is { } row && seen.Add(row.Told))
                    Console.WriteLine(
                        $"| {makeUp.Key}{(choice.Length > 0 ? $", {choice}={answer}" : "")} | {row.Told} | {row.Time} |"
                    );
        }
    }

    private static IEnumerable<(string Choice, string Answer)> Answers(MakeUp makeUp) =>
        makeUp
            .Choices.Where(choice => choice.Kind == ChoiceKind.Option)
            .SelectMany(choice => choice.Options.Select(option => (choice.Key, option.Key)))
            .Prepend(("", ""));

    private static (string Told, string Time)? Sewn(MakeUp makeUp, string choice, string answer, Drafting drafting)
    {
        var item = makeUp.UsualItem("a", "a", JobUnit.Inch);
        if (choice.Length > 0)
            item = item with
            {
                Choices = item.Choices.ToDictionary(
                    pair => pair.Key,
                    pair => pair.Key == choice ? new Entry(answer, JobUnit.Inch) : pair.Value
                ),
            };
        var job = JobDocument.Empty("bench", JobUnit.Inch) with { Items = [item] };
        if (drafting.Draft(item, JobUnit.Inch).Pattern is null)
            return null;
        var clock = Stopwatch.StartNew();
        if (ItemForm.Sew(item, job, drafting, CancellationToken.None) is not { } form)
            return null;
        var time = clock.ElapsedMilliseconds;
        return (
            string.Create(
                CultureInfo.InvariantCulture,
                $"{form.Quality.SeamDifference:0.00} mm | {100 * form.Quality.Strain:0.00} %"
            ),
            string.Create(
                CultureInfo.InvariantCulture,
                $"{time} ms | {form.Places.Count / 3} | {(form.Vouched ? "yes" : "no")}"
            )
        );
    }
}
