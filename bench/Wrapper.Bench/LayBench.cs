using System.Diagnostics;
using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Demo;

namespace Wrapper.Bench;

/// <summary>How much longer lays are than the shortest, and how long they take; printed as tables.</summary>
internal static class LayBench
{
    public static void Run(bool search)
    {
        Console.WriteLine();
        Console.WriteLine(
            "| rectangles cut from a full cloth | hand sum, mean gap | at once, mean gap | worst | median time |"
                + (search ? " search of 20 s, mean gap | worst |" : "")
        );
        Console.WriteLine("|---|---|---|---|---|" + (search ? "---|---|" : ""));
        // Seeds that nothing was tuned on.
        foreach (var count in new[] { 12, 20, 40, 60, 100, 150, 200 })
            Row($"{count} pieces", search, seed => Instances.Guillotine(count, seed));
        foreach (var count in new[] { 21, 61, 101 })
            Row($"{count} pieces, cut in pinwheels", search, seed => Instances.Pinwheels(count, seed));
        Console.WriteLine();
        Console.WriteLine(
            "| against the bound | hand sum, mean gap | at once, mean gap | worst | median time |"
                + (search ? " search of 20 s, mean gap | worst |" : "")
        );
        Console.WriteLine("|---|---|---|---|---|" + (search ? "---|---|" : ""));
        foreach (var waste in new[] { 0.05, 0.15 })
            Row(
                string.Create(CultureInfo.InvariantCulture, $"60 pieces, {waste:P0} of them left out"),
                search,
                seed => Instances.Guillotine(60, seed, waste) is var (pieces, _) ? (pieces, Bound(pieces)) : default
            );
        Row(
            "60 pieces of any size",
            search,
            seed => Instances.Any(60, seed) is var pieces ? (pieces, Bound(pieces)) : default
        );
        Row(
            "60 pieces, a third of them round",
            search,
            seed => Instances.Any(60, seed, round: true) is var pieces ? (pieces, Bound(pieces)) : default
        );
        Workrooms();
        Demos(search);
    }

    // Pieces of box cushions, grain fixed: beside rows by hand and a general packer no lay may be longer.
    private static void Workrooms()
    {
        Console.WriteLine();
        Console.WriteLine(
            "| pieces of box cushions, over the bound | in rows | maximal rectangles | at once | worst | longer than either |"
        );
        Console.WriteLine("|---|---|---|---|---|---|");
        var cloth = new LayCloth(Instances.Usable, OneWay: true);
        foreach (var cushions in new[] { 10, 20, 33 })
        {
            List<(double Rows, double Packed, double AtOnce)> over = [];
            foreach (var seed in Enumerable.Range(1001, 8))
            {
                var pieces = Instances.Cushions(cushions, seed);
                var lay = LayTable.Of(pieces, cloth);
                double Over(Length length) => (100.0 * length.Ticks / lay.ShortestPossible.Ticks) - 100;
                over.Add(
                    (Over(lay.Hand.Length), Over(MaximalRectangles.Of(pieces, cloth.Usable)), Over(lay.Best.Length))
                );
            }
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"| {6 * cushions} pieces | {over.Average(each => each.Rows):0.0} % | {over.Average(each => each.Packed):0.0} % | {over.Average(each => each.AtOnce):0.0} % | {over.Max(each => each.AtOnce):0.0} % | {over.Count(each => each.AtOnce > Math.Min(each.Rows, each.Packed))} of {over.Count} |"
                )
            );
        }
    }

    /// <summary>The demo's own cloths, with all their demands; those with a repeat searched too.</summary>
    public static void Demos(bool search)
    {
        Console.WriteLine();
        Console.WriteLine(
            "| demo cloth | pieces | yards, cord included | hand sum over the bound | at once over the bound | time |"
                + (search ? " length at once, in | after 20 s | bound |" : "")
        );
        Console.WriteLine("|---|---|---|---|---|---|" + (search ? "---|---|---|" : ""));
        foreach (var (name, job) in DemoJobs.Jobs())
            Demo(name, job, search);
    }

    // Every cloth of a demo job, all its demands included; no limit is reached where remnants hold everything.
    private static void Demo(string name, JobDocument job, bool search)
    {
        foreach (
            var cloth in Plan.Of(job, Drafting.Standard(), lay: false).Cloths.Where(cloth => cloth.Pieces.Count > 0)
        )
        {
            ClothLay Lay() =>
                CordStrips
                    .After(
                        LayTable.Of(cloth.Pieces, cloth.ForLay, cloth.Strips),
                        cloth.Pieces,
                        cloth.ForLay,
                        cloth.Strips
                    )
                    .Lay;
            Lay();
            var clock = Stopwatch.StartNew();
            var lay = Lay();
            var time = clock.Elapsed.TotalMilliseconds;
            string Over(Length length) =>
                lay.ShortestPossible.IsPositive
                    ? string.Create(
                        CultureInfo.InvariantCulture,
                        $"{(100.0 * length.Ticks / lay.ShortestPossible.Ticks) - 100:0.0} %"
                    )
                    : "-";
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"| {name}: {cloth.Reading.Cloth.Name} | {cloth.Pieces.Count} | {lay.Length.Ticks / 36m / Length.TicksPerInch:0.00} | {Over(lay.Hand.Length)} | {Over(lay.Best.Length)} | {time:0} ms |"
                ) + (search && cloth.ForLay.Repeat is not null ? Searched(cloth.Pieces, cloth.ForLay, lay) : "")
            );
        }
    }

    private static string Searched(IReadOnlyList<LayPiece> pieces, LayCloth cloth, ClothLay lay)
    {
        using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        var found = LaySearch.Run(pieces, cloth, seed: 1, _ => { }, stop.Token);
        decimal Inches(Length length) => length.Ticks / (decimal)Length.TicksPerInch;
        return string.Create(
            CultureInfo.InvariantCulture,
            $" {Inches(lay.Best.Length):0.0} | {Inches(found.Best.Length):0.0} | {Inches(found.ShortestPossible):0.0} |"
        );
    }

    private static Length Bound(IReadOnlyList<LayPiece> pieces) =>
        LayTable.Of(pieces, new LayCloth(Instances.Usable, OneWay: true)).ShortestPossible;

    private static void Row(string what, bool search, Func<int, (IReadOnlyList<LayPiece> Pieces, Length Shortest)> make)
    {
        var (hands, gaps, times, long_) = (
            new List<double>(),
            new List<double>(),
            new List<double>(),
            new List<double>()
        );
        var cloth = new LayCloth(Instances.Usable, OneWay: true);
        foreach (var seed in Enumerable.Range(1001, 8))
        {
            var (pieces, shortest) = make(seed);
            if (seed == 1001)
                LayTable.Of(pieces, cloth);
            double Gap(Length length) => (100.0 * length.Ticks / shortest.Ticks) - 100;
            var clock = Stopwatch.StartNew();
            var lay = LayTable.Of(pieces, cloth);
            times.Add(clock.Elapsed.TotalMilliseconds);
            gaps.Add(Gap(lay.Best.Length));
            hands.Add(Gap(lay.Hand.Length));
            if (!search || seed > 1003)
                continue;
            using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(20));
            long_.Add(Gap(LaySearch.Run(pieces, cloth, seed: 1, _ => { }, stop.Token).Best.Length));
        }
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"| {what} | {hands.Average():0.0} % | {gaps.Average():0.0} % | {gaps.Max():0.0} % | {times.Order().ElementAt(times.Count / 2):0} ms |"
            )
                + (
                    long_.Count > 0
                        ? string.Create(
                            CultureInfo.InvariantCulture,
                            $" {long_.Average():0.0} % | {long_.Max():0.0} % |"
                        )
                        : ""
                )
        );
    }
}
