using System.Diagnostics;
using System.Text.Json;
using Wrapper.Store;

namespace Wrapper.Bench;

/// <summary>Finding among twenty thousand stored jobs: each search at its slowest of twenty, in milliseconds.</summary>
internal static class JobsBench
{
    private const int Jobs = 20_000,
        Times = 20,
        Budget = 50;

    private static readonly string[] Things = ["bench", "bunk", "chair", "ottoman", "duvet", "table", "berth", "stool"],
        Places = ["east bay", "library", "saloon", "stove corner", "dormitory", "map room"],
        Cloths = ["ticking", "plum linen", "deck stripe", "bottle-green baize", "herringbone"];

    public static void Run()
    {
        var folder = Directory.CreateTempSubdirectory("wrapper-jobs-").FullName;
        try
        {
            var database = Database.Open(folder);
            Fill(new JobStore(database, TimeProvider.System));
            var list = new JobList(database, TimeProvider.System);
            Console.WriteLine($"| of {Jobs} jobs | found | ms (budget {Budget}) |");
            Console.WriteLine("|---|---|---|");
            foreach (var order in Enum.GetValues<JobOrder>())
            foreach (var search in new[] { "", "be", "bench", "bench library plum", "note 19999", "nothing like it" })
            {
                var (slowest, found) = (0.0, 0);
                for (var time = 0; time < Times; time++)
                {
                    var watch = Stopwatch.StartNew();
                    found = list.Of(50, search, order: order).Count;
                    slowest = Math.Max(slowest, watch.Elapsed.TotalMilliseconds);
                }
                Console.WriteLine($"| \"{search}\" by {order} | {found} | {slowest:0.0} |");
            }
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    internal static void Fill(JobStore store)
    {
        var random = new Random(1);
        string One(string[] of) => of[random.Next(of.Length)];
        for (var n = 0; n < Jobs; n++)
        {
            var document = JsonSerializer.Serialize(
                new
                {
                    items = Enumerable
                        .Range(0, 6)
                        .Select(item => new { name = $"{One(Things)} {item}, {One(Places)}", notes = $"note {n}" }),
                    cloths = new[] { new { name = One(Cloths) }, new { name = One(Cloths) } },
                }
            );
            store.Create(
                $"j{n}",
                new Change($"c{n}", document, $"{One(Things)}, {One(Places)} {n}", $"House {n % 900}")
            );
        }
    }
}
