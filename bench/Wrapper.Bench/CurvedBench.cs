using System.Diagnostics;
using System.Globalization;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Bench;

/// <summary>
/// Slants, curves and many pieces: how much longer lays are than the known one, or else than the bound, and how long they
/// take. Seeds that nothing was tuned on.
/// </summary>
internal static class CurvedBench
{
    private static readonly LayCloth Cloth = new(CurvedSets.Usable, OneWay: false);

    public static void Run(bool search)
    {
        Console.WriteLine(
            "| slanted and curved pieces | over | at once, median | worst | median time |"
                + (search ? " search of 20 s, first set |" : "")
        );
        Console.WriteLine("|---|---|---|---|---|" + (search ? "---|" : ""));
        foreach (var count in new[] { 12, 36 })
            Row($"{count} tapered seats", "known lay", search, [CurvedSets.Seats(count)]);
        foreach (var count in new[] { 14, 36 })
            Row($"{count} bias pieces", "known lay", search, [CurvedSets.Bias(count)]);
        foreach (var count in new[] { 16, 60 })
            Row($"{count} discs", "known lay", search, [CurvedSets.Discs(count)]);
        foreach (var count in new[] { 16, 60 })
            Row(
                $"{count} trapezoids",
                "known lay",
                search,
                [.. Seeds.Select(seed => CurvedSets.Trapezoids(count, seed))]
            );
        foreach (var count in new[] { 16, 60 })
            Row(
                $"{count} pieces cut along arcs",
                "known lay",
                search,
                [.. Seeds.Select(seed => CurvedSets.Arcs(count, seed))]
            );
        foreach (var count in new[] { 12, 24, 48, 96 })
            Row(
                $"{count} pads, bows, tapers, Ts",
                "bound",
                search,
                [.. Seeds.Select(seed => Bounded(CurvedSets.Pads(count, seed)))]
            );
        Console.WriteLine();
        Console.WriteLine("| many pieces | bound | at once, over | time |");
        Console.WriteLine("|---|---|---|---|");
        foreach (var count in new[] { 60, 200, 600, 2000, 5000 })
        {
            Many($"{count} pads, bows, tapers, Ts", CurvedSets.Pads(count, 2001), Cloth);
            Many($"{count} rectangles", Instances.Any(count, 2001), new(Instances.Usable, OneWay: true));
            Many(
                $"{count} rectangles on a repeat",
                [.. Instances.Any(count, 2001).Select((piece, n) => n % 3 == 0 ? piece : piece.AtSamePlace())],
                new(Instances.Usable, OneWay: true) { Repeat = new(Length.Inches(12), Length.Inches(13), true) }
            );
        }
    }

    private static IEnumerable<int> Seeds => Enumerable.Range(3001, 5);

    private static (IReadOnlyList<LayPiece>, Length) Bounded(IReadOnlyList<LayPiece> pieces) =>
        (pieces, LayTable.Of(pieces, Cloth).ShortestPossible);

    private static double Over(Length length, Length shortest) => (100.0 * length.Ticks / shortest.Ticks) - 100;

    private static void Row(
        string what,
        string over,
        bool search,
        IReadOnlyList<(IReadOnlyList<LayPiece> Pieces, Length Shortest)> sets
    )
    {
        LayTable.Of(sets[0].Pieces, Cloth);
        List<double> gaps = [],
            times = [],
            found = [];
        foreach (var (pieces, shortest) in sets)
        {
            gaps.Add(Over(LayTable.Of(pieces, Cloth).Best.Length, shortest));
            for (var run = 0; run < 3; run++)
            {
                var clock = Stopwatch.StartNew();
                LayTable.Of(pieces, Cloth);
                times.Add(clock.Elapsed.TotalMilliseconds);
            }
            if (!search || found.Count >= 1)
                continue;
            using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(20));
            found.Add(Over(LaySearch.Run(pieces, Cloth, seed: 1, _ => { }, stop.Token).Best.Length, shortest));
        }
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"| {what} | {over} | {Median(gaps):0.0} % | {gaps.Max():0.0} % | {Median(times):0} ms |{(found.Count > 0 ? $" {Median(found):0.0} % |" : "")}"
            )
        );
    }

    private static void Many(string what, IReadOnlyList<LayPiece> pieces, LayCloth cloth)
    {
        var clock = Stopwatch.StartNew();
        var lay = LayTable.Of(pieces, cloth);
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"| {what} | {lay.ShortestPossible.Ticks / 36m / Length.TicksPerInch:0.0} yd | {Over(lay.Best.Length, lay.ShortestPossible):0.0} % | {clock.Elapsed.TotalMilliseconds:0} ms |"
            )
        );
    }

    private static double Median(List<double> of) => of.Order().ElementAt(of.Count / 2);
}
