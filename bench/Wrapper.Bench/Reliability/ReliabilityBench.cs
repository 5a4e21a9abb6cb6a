namespace Wrapper.Bench.Reliability;

/// <summary>
/// What docs/reliability.md tells: faults looked for, and what was found. <c>./wrapper bench --reliability [part]</c>.
/// </summary>
public static class ReliabilityBench
{
    public static async Task<int> Run(string[] args)
    {
        string Argument(string name, string usual) =>
            Array.IndexOf(args, name) is var at and >= 0 && at + 1 < args.Length ? args[at + 1] : usual;
        var part = Argument("--reliability", "all");
        var failed = 0;
        Console.WriteLine("| what | reached | asked |");
        Console.WriteLine("|---|---|---|");
        if (part is "fuzz" or "all")
            failed += await Fuzzed(
                int.Parse(Argument("--count", "50000"), System.Globalization.CultureInfo.InvariantCulture),
                int.Parse(Argument("--seed", "1"), System.Globalization.CultureInfo.InvariantCulture)
            );
        if (part is "costly" or "all")
        {
            using var server = new ServerProcess();
            failed += await new Costly(server, args.Contains("--memory")).Run();
        }
        if (part is "kills" or "all")
        {
            using var server = new ServerProcess();
            var (saves, lost, twice) = await new Kills(server).Run(
                kills: int.Parse(Argument("--kills", "130"), System.Globalization.CultureInfo.InvariantCulture)
            );
            Report(
                $"kill -9 under six writers: of {saves} saves acknowledged, jobs that lost one, or have one twice",
                $"{lost}, {twice}",
                "0, 0"
            );
            failed += lost + twice;
        }
        if (part is "saves" or "all")
            foreach (
                var (id, aStep, how) in new[] { ("h", 4, "four saves a step"), ("s", 1, "each save a step of its own") }
            )
            {
                using var server = new ServerProcess();
                var (kilobytes, each) = await new Saves(server).Run(id, aStep);
                Report(
                    $"an hour of editing ten items, 3600 saves, {how}: the data grew by, log included",
                    $"{kilobytes:0} kB ({each:0} bytes a save)",
                    "2000 kB"
                );
                failed += kilobytes > 2000 ? 1 : 0;
            }
        if (part is "start" or "all")
        {
            using var server = new ServerProcess();
            var took = await new Starts(server).Run();
            Report("start to first answer, 3 GB of data not in memory", $"{took:0} ms", "2000 ms");
            failed += took > 2000 ? 1 : 0;
        }
        return failed;
    }

    private static async Task<int> Fuzzed(int count, int seed)
    {
        using var server = new ServerProcess();
        var (asked, statuses, failures) = await new Fuzz(server, seed).Run(count);
        Report($"{asked} fuzzed requests (seed {seed}): server errors", $"{failures.Count}", "0");
        Report(
            "answers by status",
            string.Join(", ", statuses.OrderBy(each => each.Key).Select(each => $"{each.Key}: {each.Value}")),
            ""
        );
        Report(
            "server memory at its most, after it",
            $"{server.PeakMegabytes:0} MB, {server.Megabytes:0} MB",
            "250 MB"
        );
        foreach (var failure in failures.Take(12))
            Console.WriteLine(
                $"{failure.Status} {failure.Method} {failure.Path}\n    {(failure.Body.Length > 3000 ? failure.Body[..3000] : failure.Body)}"
            );
        return failures.Count == 0 ? 0 : 1;
    }

    internal static void Report(string what, string reached, string asked) =>
        Console.WriteLine($"| {what} | {reached} | {asked} |");
}
