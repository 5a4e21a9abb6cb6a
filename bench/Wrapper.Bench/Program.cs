using System.Diagnostics;
using System.Globalization;
using Wrapper.Core.Covers;
using Wrapper.Core.Covers.Cushions;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

// Measures against the budgets and prints a table. Median of many runs after a warm-up, so that one hiccup tells nothing.
var drafting = Drafting.Standard();
Console.WriteLine("| what | median | budget |");
Console.WriteLine("|---|---|---|");
Report("plan of 40 box cushions, lay apart", "20 ms", 200, Job(40), lay: false);
Report("plan and lay of 10 box cushions, 60 pieces", "100 ms", 20, Job(10), lay: true);
Report("plan and lay of 33 box cushions, 198 pieces", "400 ms", 5, Job(33), lay: true);

void Report(string what, string budget, int runs, JobDocument job, bool lay)
{
    double Once()
    {
        var clock = Stopwatch.StartNew();
        Planning.Of(job, drafting, lay);
        return clock.Elapsed.TotalMilliseconds;
    }

    for (var warm = 0; warm < Math.Max(3, runs / 2); warm++) Once();
    var times = Enumerable.Range(0, runs).Select(_ => Once()).Order().ToList();
    Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"| {what} | {times[runs / 2]:0.0} ms | {budget} |"));
}

// Cushions of different sizes, every third with rounded corners.
static JobDocument Job(int cushions)
{
    var makeUp = new BoxCushionStrip();
    Item Cushion(int n)
    {
        Entry In(int whole) => new($"{whole}", JobUnit.Inch);
        var measures = new Dictionary<string, Entry> { ["W"] = In(18 + (n * 7 % 30)), ["L"] = In(16 + (n * 5 % 9)), ["T"] = In(3 + (n % 3)) };
        if (n % 3 == 0) measures["r"] = In(2);
        return makeUp.NewItem($"i{n}", $"cushion {n}", JobUnit.Inch) with { Measures = measures };
    }

    return JobDocument.Empty("bench", JobUnit.Inch) with
    {
        Items = [.. Enumerable.Range(0, cushions).Select(Cushion)],
        Cloths = [JobCloth.Usual("c", "cloth", JobUnit.Inch)],
    };
}
