using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using Wrapper.Bench.Reliability;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Tests;
using Wrapper.Core.Workroom.Week;
using Wrapper.Store;

namespace Wrapper.Bench;

/// <summary>
/// A workroom of many years: 200 jobs planned anew, and its lists and its week asked over the wire among 20,000 jobs and
/// 5,000 customers.
/// </summary>
internal static class WorkroomBench
{
    private const int InWeek = 200,
        Customers = 5_000,
        Papers = 4_000,
        Times = 40;

    public static async Task Run()
    {
        Console.WriteLine("| what | reached | budget |");
        Console.WriteLine("|---|---|---|");
        Plans();
        await Calls();
    }

    // From a workroom that keeps every promise to one that can keep few.
    private static void Plans()
    {
        foreach (var (load, days) in new[] { ("at ease", 400), ("full", 150), ("far too much", 40) })
        {
            var random = new Random(7);
            List<PlannedJob> jobs =
            [
                .. Enumerable
                    .Range(0, InWeek)
                    .Select(n => new PlannedJob(
                        $"j{n}",
                        [
                            .. Enum.GetValues<Skill>()
                                .Select(skill => new PlannedWork(
                                    $"{skill}",
                                    skill,
                                    random.Next(20, 300),
                                    random.Next(0, 20)
                                )),
                        ],
                        random.Next(5, days)
                    )),
            ];
            List<Worker> workers =
            [
                .. Enumerable
                    .Range(0, 3)
                    .Select(n => new Worker(
                        $"w{n}",
                        [.. Enumerable.Range(0, 366).Select(day => day % 7 < 5 ? 420 : 0)],
                        n == 2
                            ? new HashSet<Skill> { Skill.Cutting, Skill.Sewing }
                            : Enum.GetValues<Skill>().ToHashSet(),
                        100 + (n * 10)
                    )),
            ];
            List<double> times = [];
            var late = 0;
            for (var time = 0; time < 25; time++)
            {
                var clock = Stopwatch.StartNew();
                late = Planner.Of(jobs, workers).Late.Count();
                times.Add(clock.Elapsed.TotalMilliseconds);
            }
            Report($"{InWeek} jobs replanned, {load}: {late} late", times.Order().ElementAt(12), "100 ms");
        }
    }

    private static async Task Calls()
    {
        using var server = new ServerProcess();
        server.Kill();
        Fill(server.Data);
        server.Restart();
        foreach (
            var path in new[]
            {
                "/api/jobs?limit=50",
                "/api/jobs?limit=50&q=bench%20library",
                "/api/customers?limit=50",
                "/api/customers?limit=50&q=4999",
                "/api/customers/k77",
                "/api/papers?limit=50",
                "/api/papers?limit=50&q=house%204999",
                "/api/week?days=42",
                "/api/jobs/w17/money",
            }
        )
        {
            await server.Client.GetStringAsync(new Uri(path, UriKind.Relative));
            List<double> times = [];
            for (var time = 0; time < Times; time++)
            {
                var clock = Stopwatch.StartNew();
                await server.Client.GetStringAsync(new Uri(path, UriKind.Relative));
                times.Add(clock.Elapsed.TotalMilliseconds);
            }
            Report($"GET {path}, 95 of 100", times.Order().ElementAt(Times * 95 / 100), "50 ms");
        }
    }

    private static void Fill(string folder)
    {
        var database = Database.Open(folder);
        var jobs = new JobStore(database, TimeProvider.System);
        JobsBench.Fill(jobs);
        var customers = new CustomerStore(database, TimeProvider.System);
        for (var n = 0; n < Customers; n++)
            customers.Keep(
                $"k{n}",
                0,
                new(
                    $"House {n}",
                    $$"""{"name":"House {{n}}"}""",
                    $"House {n}\nLower Basin {n}\n0163296{n:0000}",
                    [$"name house{n}"]
                )
            );
        var sheets = new SheetStore(database);
        var today = DateOnly.FromDateTime(DateTime.Now);
        for (var n = 0; n < InWeek; n++)
        {
            var job = JobDocument.Empty($"Bench {n}", JobUnit.Inch) with
            {
                Items = [Items.Example("box-cushion-strip"), Items.Example("box-cushion-folded") with { Id = "i2" }],
            };
            jobs.Create(
                $"w{n}",
                new Change($"w{n}", JsonSerializer.Serialize(job, JsonSerializerOptions.Web), job.Name, $"House {n}")
            );
            sheets.Keep(
                JobSheet.Schedule,
                $"w{n}",
                0,
                $$"""{"promised":"{{today.AddDays(10 + (n * 2)):yyyy-MM-dd}}"}"""
            );
        }
        var papers = new PaperStore(database, TimeProvider.System);
        for (var n = 0; n < Papers; n++)
            papers.Issue(
                new(
                    $"p{n}",
                    $"j{n}",
                    1,
                    "",
                    "Quotation",
                    "2026-03-02",
                    null,
                    "GBP",
                    1000,
                    $"House {n}",
                    "",
                    new Dictionary<string, byte[]>()
                ),
                number =>
                    $$"""{"kind":"quotation","number":{{number}},"date":"2026-03-02","currency":"GBP","maker":{"name":"a","address":""},"customer":{"name":"House {{n}}","address":""},"job":"j","basedOn":"","lines":[],"sum":{"net":{"units":0,"text":""},"taxes":[],"total":{"units":0,"text":""} } }""",
                _ => true
            );
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
    }

    private static void Report(string what, double reached, string budget) =>
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"| {what} | {reached:0.0} ms | {budget} |"));
}
