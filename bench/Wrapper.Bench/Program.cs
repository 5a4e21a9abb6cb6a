using System.Diagnostics;
using System.Globalization;
using Wrapper.Core.Covers.Cushions;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

if (args.Contains("--jobs"))
{
    Wrapper.Bench.JobsBench.Run();
    return 0;
}
if (args.Contains("--workroom"))
{
    await Wrapper.Bench.WorkroomBench.Run();
    return 0;
}
if (args.Contains("--sewn"))
{
    Wrapper.Bench.SewnBench.Run();
    return 0;
}
if (args.Contains("--curved"))
{
    Wrapper.Bench.CurvedBench.Run(search: args.Contains("--search"));
    return 0;
}
if (args.Contains("--demos"))
{
    Wrapper.Bench.LayBench.Demos(search: true);
    return 0;
}
if (args.Contains("--reliability"))
    return await Wrapper.Bench.Reliability.ReliabilityBench.Run(args);

// Measures against the budgets and prints a table. Median of many runs after a warm-up, so that one hiccup tells
// nothing.
var drafting = Drafting.Standard();
Console.WriteLine("| what | median | budget |");
Console.WriteLine("|---|---|---|");
Report("plan of 40 box cushions, lay apart", "20 ms", 200, Job(40), lay: false);
Report("plan of 40 seats of every make-up, lay apart", "20 ms", 100, Seats(40), lay: false);
foreach (var one in Seats(drafting.MakeUps.Count).Items)
    Report(
        $"draft: {one.MakeUp}",
        "10 ms",
        200,
        JobDocument.Empty("bench", JobUnit.Inch) with
        {
            Items = [one],
        },
        lay: false
    );
Report("plan and lay of 10 box cushions, 60 pieces", "100 ms", 20, Job(10), lay: true);
Report("plan and lay of 33 box cushions, 198 pieces", "400 ms", 5, Job(33), lay: true);

Wrapper.Bench.LayBench.Run(search: args.Contains("--search"));
return 0;

void Report(string what, string budget, int runs, JobDocument job, bool lay)
{
    if (Plan.Of(job, drafting, lay: false).Items.FirstOrDefault(item => item.Draft.Pattern is null) is { } doubt)
        throw new InvalidOperationException(
            $"{what}: {doubt.Item.MakeUp} is in doubt, so its draft would not be measured: {doubt.Draft.Problems[0]}"
        );

    double Once()
    {
        var clock = Stopwatch.StartNew();
        Plan.Of(job, drafting, lay);
        return clock.Elapsed.TotalMilliseconds;
    }

    for (var warm = 0; warm < Math.Max(3, runs / 2); warm++)
        Once();
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
        var measures = new Dictionary<string, Entry>
        {
            ["W"] = In(18 + (n * 7 % 30)),
            ["L"] = In(16 + (n * 5 % 9)),
            ["T"] = In(3 + (n % 3)),
        };
        if (n % 3 == 0)
            measures["r"] = In(2);
        return makeUp.NewItem($"i{n}", $"cushion {n}", JobUnit.Inch) with { Measures = measures };
    }

    return JobDocument.Empty("bench", JobUnit.Inch) with
    {
        Items = [.. Enumerable.Range(0, cushions).Select(Cushion)],
        Cloths = [JobCloth.Usual("c", "cloth", JobUnit.Inch)],
    };
}

// Every make-up in turn, its measures near what its drawing starts with; outlines change from item to item where there
// is a choice.
JobDocument Seats(int count)
{
    return JobDocument.Empty("bench", JobUnit.Inch) with
    {
        Items =
        [
            .. Enumerable
                .Range(0, count)
                .Select(n =>
                {
                    var makeUp = drafting.MakeUps[n % drafting.MakeUps.Count];
                    var item = makeUp.UsualItem($"i{n}", makeUp.Name, JobUnit.Inch);
                    var choices = new Dictionary<string, Entry>(item.Choices);
                    if (choices.ContainsKey("shape") && makeUp.Key is "box-cushion-strip" or "knife-edge-pad")
                        choices["shape"] = new(n % 2 == 0 ? "tapered" : "traced", JobUnit.Inch);
                    if (choices.ContainsKey("obstacles"))
                        choices["obstacles"] = new("1", JobUnit.Inch);
                    return item with { Choices = choices };
                }),
        ],
        Cloths = [JobCloth.Usual("c", "cloth", JobUnit.Inch)],
    };
}
