using System.Diagnostics;
using System.Globalization;
using CsCheck;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Tests;

namespace Wrapper.Bench;

/// <summary>
/// Every make-up sewn on screen at its usual sizes, and each answer that changes what comes out: how far seams are from
/// their flat sides, the stretch of 95 parts of 100 of the cloth, time and size.
/// </summary>
internal static class SewnBench
{
    private const int Random = 10,
        Pile = 40;

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
        RunRandom(drafting);
        RunPictures(drafting);
    }

    // Random sizes, outlines and answers, the same every time: how many of each make-up are vouched for.
    private static void RunRandom(Drafting drafting)
    {
        var (all, vouched) = (0, 0);
        Console.WriteLine();
        Console.WriteLine("| random items | vouched for |");
        Console.WriteLine("|---|---|");
        foreach (var makeUp in drafting.MakeUps)
        {
            var items = Variants.Of(makeUp.Key);
            var own = 0;
            for (var seed = 1; seed <= Random; seed++)
            {
                var item = items.Generate(new PCG(17, (ulong)seed), null, out _);
                var job = JobDocument.Empty("bench", JobUnit.Inch) with { Items = [item] };
                if (ItemForm.Sew(item, job, drafting, CancellationToken.None) is null or { Vouched: true })
                    own++;
            }
            Console.WriteLine($"| {makeUp.Key} | {own} of {Random} |");
            (all, vouched) = (all + Random, vouched + own);
        }
        Console.WriteLine($"| all | {vouched} of {all} |");
    }

    // Of a house full of covers a picture each, in as many threads as there are cores, and drafts meanwhile.
    private static void RunPictures(Drafting drafting)
    {
        var items = drafting.MakeUps.Select(makeUp => makeUp.UsualItem(makeUp.Key, makeUp.Name, JobUnit.Inch)).ToList();
        var job = JobDocument.Empty("bench", JobUnit.Inch) with
        {
            Items = [.. Enumerable.Range(0, Pile).Select(at => items[at % items.Count] with { Id = $"i{at}" })],
        };
        double Drafted()
        {
            var clock = Stopwatch.StartNew();
            _ = Plan.Of(job, drafting, lay: false);
            return clock.Elapsed.TotalMilliseconds;
        }
        double Median() => Enumerable.Range(0, 15).Select(_ => Drafted()).Order().ElementAt(7);
        var alone = Median();
        var clock = Stopwatch.StartNew();
        var pictures = Task.Run(() =>
            Parallel.ForEach(
                job.Items,
                new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
                item => ItemForm.Sew(item, job, drafting, CancellationToken.None, small: true)
            )
        );
        List<double> meanwhile = [];
        while (!pictures.IsCompleted)
            meanwhile.Add(Drafted());
        Console.WriteLine();
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{Pile} items sewn for small pictures: {clock.ElapsedMilliseconds} ms; a draft of all of them takes {alone:0.0} ms alone, {meanwhile.Order().ElementAt(meanwhile.Count / 2):0.0} ms meanwhile (without the server's lower priority for pictures)"
            )
        );
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
