using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Wrapper.Bench.Reliability;

/// <summary>
/// The most costly bodies that the server takes, one by one, given up half-way, and sixty at once while others list and
/// save.
/// </summary>
public sealed class Costly(ServerProcess server, bool watch = false)
{
    private const int AtOnce = 60;

    private sealed record Body(string Name, string Path, JsonNode Json);

    /// <summary>Prints a row each; returns how many limits were broken.</summary>
    public async Task<int> Run()
    {
        var bodies = await Bodies();
        var broken = 0;
        void Told(string what, double reached, double most, string unit = "ms")
        {
            if (reached > most)
                broken++;
            ReliabilityBench.Report(what, $"{reached:0} {unit}", $"{most:0} {unit}");
        }

        var small = ServerProcess.Job(
            [
                await server.Item(
                    "s",
                    "box-cushion-strip",
                    new Dictionary<string, string>
                    {
                        ["W"] = "20",
                        ["L"] = "20",
                        ["T"] = "4",
                    }
                ),
            ],
            await server.Cloth("c")
        );
        foreach (var body in bodies)
        {
            // Bodies that are refused or in doubt would cost nothing.
            if (
                body.Path == "/api/plan"
                && (await server.Post("/api/plan?lay=none", body.Json))["items"]
                    ?.AsArray()
                    .Count(item => item!["draft"]!["problems"]!.AsArray().Count > 0)
                    is not 0
            )
                throw new InvalidOperationException(
                    $"{body.Name} is in doubt, so it would cost nothing: {(await server.Post("/api/plan?lay=none", body.Json))["items"]![0]!["draft"]!["problems"]}"
                );
            var (status, took) = await Asked(body.Path, body.Json);
            Told($"{body.Name}, {body.Json.ToJsonString().Length / 1000} kB: answered {status}", took, 10_000);
            var freed = await GivenUp(body, small);
            Told($"{body.Name}: the next one's turn once it is given up", freed, 150);
            if (watch)
                Console.WriteLine($"(memory {server.Megabytes:0} MB, at its most {server.PeakMegabytes:0} MB)");
        }

        var job = await server.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "busy",
                ["changeId"] = "c0",
                ["name"] = "busy",
                ["unit"] = "in",
                ["document"] = small.DeepClone(),
            }
        );
        using var end = new CancellationTokenSource();
        var costly = Enumerable
            .Range(0, AtOnce)
            .Select(n => Asked(bodies[n % bodies.Count].Path, bodies[n % bodies.Count].Json, end.Token))
            .ToList();
        var (listing, saving) = (new List<double>(), new List<double>());
        for (var n = 1; n <= 150; n++)
        {
            listing.Add(await Timed(() => server.Get("/api/jobs")));
            small["name"] = string.Create(CultureInfo.InvariantCulture, $"busy {n}");
            using var save = JsonContent.Create(
                new JsonObject
                {
                    ["base"] = n,
                    ["changeId"] = $"s{n}",
                    ["step"] = "",
                    ["document"] = small.DeepClone(),
                }
            );
            saving.Add(
                await Timed(async () =>
                {
                    using var reply = await server.Client.PutAsync(new Uri("/api/jobs/busy", UriKind.Relative), save);
                    if (!reply.IsSuccessStatusCode)
                        throw new InvalidOperationException($"not saved: {await reply.Content.ReadAsStringAsync()}");
                    return 0;
                })
            );
            await Task.Delay(20);
        }
        var still = costly.Count(each => !each.IsCompleted);
        ReliabilityBench.Report(
            $"{AtOnce} of them at once, still worked on or waiting when the last save was done",
            $"{still}",
            ""
        );
        Told($"{AtOnce} of them at once: listing, p95", P95(listing), 200);
        Told($"{AtOnce} of them at once: saving, p95", P95(saving), 200);
        await end.CancelAsync();
        await Task.WhenAll(costly.Select(each => each.ContinueWith(_ => { }, TaskScheduler.Default)));
        Told("the next one's turn once all are given up", await Timed(() => server.Post("/api/plan", small)), 300);
        Told("server memory at its most, after all this", server.PeakMegabytes, 250, "MB");
        var last = Enumerable.Range(0, 8).Select(n => Asked(bodies[n].Path, bodies[n].Json)).ToList();
        await Task.Delay(700);
        Told("stopped while it works on eight of them", server.StopGently(), 2000);
        await Task.WhenAll(last.Select(each => each.ContinueWith(_ => { }, TaskScheduler.Default)));
        return broken;
    }

    private async Task<(string Status, double Took)> Asked(string path, JsonNode body, CancellationToken end = default)
    {
        using var content = JsonContent.Create(body);
        var clock = Stopwatch.StartNew();
        using var reply = await server.Client.PostAsync(new Uri(path, UriKind.Relative), content, end);
        var said = reply.IsSuccessStatusCode
            ? ""
            : $" ({(string?)JsonNode.Parse(await reply.Content.ReadAsStringAsync(end))?["detail"]})";
        return ($"{(int)reply.StatusCode}{(said.Length > 120 ? said[..120] : said)}", clock.Elapsed.TotalMilliseconds);
    }

    // As many as there are threads, so that the next one has to wait for one of them; most give up at another moment.
    private async Task<double> GivenUp(Body body, JsonNode small)
    {
        var worst = 0.0;
        foreach (var after in (int[])[150, 700, 1900])
        {
            using var stop = new CancellationTokenSource();
            var heavy = Enumerable
                .Range(0, Environment.ProcessorCount)
                .Select(_ => Asked(body.Path, body.Json, stop.Token))
                .ToList();
            await Task.Delay(after, CancellationToken.None);
            if (heavy.All(each => each.IsCompleted))
                break;
            await stop.CancelAsync();
            worst = Math.Max(worst, await Timed(() => server.Post("/api/plan", small)));
            await Task.WhenAll(heavy.Select(each => each.ContinueWith(_ => { }, TaskScheduler.Default)));
        }
        return worst;
    }

    private static async Task<double> Timed<T>(Func<Task<T>> call)
    {
        var clock = Stopwatch.StartNew();
        await call();
        return clock.Elapsed.TotalMilliseconds;
    }

    private static double P95(List<double> times) => times.Order().ElementAt((int)(times.Count * 0.95));

    private async Task<List<Body>> Bodies()
    {
        // Sixty points, no two seats alike.
        static string Traced(int n) =>
            string.Join(
                "; ",
                Enumerable
                    .Range(0, 60)
                    .Select(at =>
                    {
                        var (angle, radius) = (2 * Math.PI * at / 60, (at % 2 == 0 ? 12.5 : 12) + (n * 0.0625));
                        return string.Create(
                            CultureInfo.InvariantCulture,
                            $"{Math.Round(16 * (20 + (radius * Math.Cos(angle)))) / 16}, {Math.Round(16 * (20 + (radius * Math.Sin(angle)))) / 16}"
                        );
                    })
            );

        async Task<JsonNode> Cushion(int n, int quantity, string radius = "2")
        {
            var item = await server.Item(
                $"i{n}",
                "box-cushion-strip",
                new Dictionary<string, string>
                {
                    ["W"] = $"{18 + (n * 7 % 30)}",
                    ["L"] = $"{16 + (n * 5 % 9)}",
                    ["T"] = $"{3 + (n % 3)}",
                    ["r"] = radius,
                }
            );
            item["quantity"] = $"{quantity}";
            return item;
        }

        async Task<JsonNode> Pad(int n, int quantity)
        {
            var item = await server.Item(
                $"i{n}",
                "knife-edge-pad",
                new Dictionary<string, string> { ["O"] = Traced(n), ["T"] = "2" }
            );
            (item["choices"]!["shape"], item["quantity"]) = (ServerProcess.Entry("traced"), $"{quantity}");
            return item;
        }

        async Task<JsonNode> Demanding(params (string Key, JsonNode Value)[] demands)
        {
            var cloth = await server.Cloth("c1");
            foreach (var (key, value) in demands)
                cloth[key] = value;
            return cloth;
        }

        JsonArray Flaws() =>
            new([
                .. Enumerable
                    .Range(0, 60)
                    .Select(n => new JsonObject
                    {
                        ["fromEnd"] = ServerProcess.Entry($"{(n * 13) + 1}"),
                        ["fromSelvedge"] = ServerProcess.Entry($"{n * 7 % 50}"),
                        ["along"] = ServerProcess.Entry("1/2"),
                        ["across"] = ServerProcess.Entry("1/2"),
                    }),
            ]);

        async Task<List<JsonNode>> Many(int count, Func<int, Task<JsonNode>> make)
        {
            List<JsonNode> items = [];
            for (var n = 0; n < count; n++)
                items.Add(await make(n));
            return items;
        }

        var plain = await Demanding();
        var cushions = await Many(40, n => Cushion(n, 4));
        var narrow = await Demanding(("width", ServerProcess.Entry("4")), ("selvedge", ServerProcess.Entry("0")));
        async Task<JsonNode> Wide(string makeUp, string seam, string quantity = "500")
        {
            var measures = new Dictionary<string, string>
            {
                ["W"] = "600",
                ["L"] = "600",
                ["d"] = "400",
                ["D"] = "20",
                ["T"] = "12",
                ["H"] = "30",
                ["drop"] = "30",
            };
            var item = await server.Item("w", makeUp, measures);
            item["allowances"]!["s"] = ServerProcess.Entry(seam);
            item["quantity"] = quantity;
            return item;
        }
        JsonArray Pins(string item, int count) =>
            new([
                .. Enumerable
                    .Range(1, count)
                    .Select(n => new JsonObject
                    {
                        ["piece"] = $"{item}/panel/{n}",
                        ["turns"] = 0,
                        ["x"] = (long)n * 97536,
                        ["y"] = (long)n * 40 * 97536,
                    }),
            ]);
        var onePad = await Pad(1, 300);
        return
        [
            new(
                "600 traced pads of sixty points, no two alike",
                "/api/plan",
                ServerProcess.Job(await Many(30, n => Pad(n, 10)), plain)
            ),
            new("thousands of boxes", "/api/plan", ServerProcess.Job(await Many(20, n => Cushion(n, 20, "")), plain)),
            new("hundreds of rounded boxes", "/api/plan", ServerProcess.Job(await Many(40, n => Cushion(n, 6)), plain)),
            new(
                "a repeat, flaws and rounded boxes",
                "/api/plan",
                ServerProcess.Job(
                    await Many(30, n => Cushion(n, 3)),
                    await Demanding(
                        ("repeatAlong", ServerProcess.Entry("1/4")),
                        ("repeatAcross", ServerProcess.Entry("1/4")),
                        ("flaws", Flaws())
                    )
                )
            ),
            new(
                "a duvet on tape, joined a thousand times",
                "/api/plan",
                ServerProcess.Job([await Wide("duvet-cover", "1 7/8")], narrow)
            ),
            new(
                "hundreds of skirts of forty widths",
                "/api/plan",
                ServerProcess.Job([await Wide("round-table-skirted", "1/2", "100")], plain)
            ),
            new(
                "torn strips",
                "/api/plan",
                ServerProcess.Job(
                    await Many(40, n => Cushion(n, 3)),
                    await Demanding(("spread", "torn"), ("flaws", Flaws()))
                )
            ),
            new(
                "folded cloth and curves",
                "/api/plan",
                ServerProcess.Job(await Many(30, n => Pad(n, 10)), await Demanding(("spread", "folded")))
            ),
            new(
                "six hundred pins",
                "/api/plan",
                ServerProcess.Job([onePad], await Demanding(("pins", Pins("i1", 600))))
            ),
            new("savings of forty items", "/api/savings", ServerProcess.Job(cushions, plain)),
            new(
                "widths compared for forty items",
                "/api/widths",
                new JsonObject { ["job"] = ServerProcess.Job(cushions, plain), ["cloth"] = "c1" }
            ),
            new(
                "enough for forty items",
                "/api/enough",
                new JsonObject
                {
                    ["job"] = ServerProcess.Job(cushions, plain),
                    ["cloth"] = "c1",
                    ["have"] = ServerProcess.Entry("20 yd"),
                }
            ),
            new(
                "schools compared on sixty points",
                "/api/compare",
                new JsonObject { ["job"] = ServerProcess.Job([onePad], plain), ["item"] = "i1" }
            ),
            new(
                "a piece moved among hundreds",
                "/api/moves",
                new JsonObject
                {
                    ["job"] = ServerProcess.Job(await Many(30, n => Pad(n, 10)), plain),
                    ["cloth"] = "c1",
                    ["piece"] = "i1/panel/1",
                    ["turns"] = 0,
                    ["along"] = 100,
                    ["across"] = 100,
                }
            ),
        ];
    }
}
