using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>What the bench shows of a step: edges lit on their pieces, marks in pairs, what is changed at the machine.</summary>
public sealed class BenchViewTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Entry(string typed) => new() { ["typed"] = typed, ["unit"] = "in" };

    private async Task<JsonNode> Cushion(string id, string quantity = "1", string corded = "both")
    {
        var (_, item) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = id,
                ["name"] = $"Cushion {id}",
                ["makeUp"] = "box-cushion-strip",
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        (item["quantity"], item["measures"]!["W"], item["measures"]!["L"], item["measures"]!["T"]) = (
            quantity,
            Entry("14"),
            Entry("12"),
            Entry("4")
        );
        item["choices"]!["cord"] = Entry(corded);
        return item;
    }

    private static JsonObject Job(params JsonNode[] items) =>
        new()
        {
            ["version"] = 1,
            ["name"] = "Bay",
            ["customer"] = "",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = new JsonArray([.. items.Select(item => item.DeepClone())]),
            ["cloths"] = new JsonArray(),
        };

    private async Task<JsonNode> Bench(JsonNode job, string at = "")
    {
        var (status, bench) = await host.Post($"/api/bench?at={Uri.EscapeDataString(at)}", job);
        Assert.Equal(HttpStatusCode.OK, status);
        return bench;
    }

    private static string IdOf(JsonNode bench, string kind, int nth = 0) =>
        (string)bench["turns"]!.AsArray().Where(turn => (string)turn!["kind"]! == kind).ElementAt(nth)!["id"]!;

    private static IEnumerable<(double X, double Y)> Points(JsonNode edge) =>
        ((string)edge["points"]!)
            .Split(' ')
            .Select(point => point.Split(','))
            .Select(point =>
                (
                    double.Parse(point[0], CultureInfo.InvariantCulture),
                    double.Parse(point[1], CultureInfo.InvariantCulture)
                )
            );

    // The ring on the second panel: both panels' outline is lit all round, 2 x (14 + 12) in, and the strips along one edge.
    [Fact]
    public async Task The_edges_that_are_sewn_are_lit_to_their_length()
    {
        var bench = await Bench(Job(await Cushion("a")));
        var last = (string)bench["turns"]!.AsArray().Last(turn => (string)turn!["kind"]! == "sewing")!["id"]!;
        var at = (await Bench(Job(await Cushion("a")), last))["at"]!;
        Assert.Equal("right-sides-together", (string)at["lies"]!);
        var lit = at["seams"]!
            .AsArray()
            .SelectMany(seam => seam!["edges"]!.AsArray())
            .GroupBy(edge => (string)edge!["piece"]!)
            .ToDictionary(
                edges => edges.Key,
                edges =>
                    edges.Sum(edge =>
                    {
                        var points = Points(edge!).ToList();
                        return points
                            .Zip(points.Skip(1))
                            .Sum(pair => double.Hypot(pair.Second.X - pair.First.X, pair.Second.Y - pair.First.Y));
                    }) / 2540
            );
        Assert.InRange(lit["panel"], 51.95, 52.05);
        Assert.InRange(lit.Where(piece => piece.Key != "panel").Sum(piece => piece.Value), 51.9, 52.1);
    }

    // Each number stands twice, on what comes together; corners of the panel and the notches of the strip.
    [Fact]
    public async Task Marks_that_come_together_have_one_number()
    {
        var bench = await Bench(Job(await Cushion("a")));
        var last = (string)bench["turns"]!.AsArray().Last(turn => (string)turn!["kind"]! == "sewing")!["id"]!;
        var seams = (await Bench(Job(await Cushion("a")), last))["at"]!["seams"]!.AsArray();
        var marks = seams.SelectMany(seam => seam!["marks"]!.AsArray()).GroupBy(mark => (int)mark!["number"]!).ToList();
        Assert.True(marks.Count >= 4);
        Assert.Equal(Enumerable.Range(1, marks.Count), marks.Select(mark => mark.Key));
        Assert.All(
            marks,
            mark =>
            {
                Assert.Equal(2, mark.Count());
                Assert.Equal(2, mark.Select(each => (string)each!["piece"]!).Distinct().Count());
            }
        );
    }

    [Fact]
    public async Task The_machine_is_told_where_it_changes()
    {
        var job = Job(await Cushion("a"), await Cushion("b"));
        var bench = await Bench(job);
        Assert.Equal(
            ["foot", "stitch", "thread", "needle"],
            (await Bench(job, IdOf(bench, "cording")))["at"]!["changed"]!.AsArray().Select(part => (string)part!)
        );
        Assert.Empty((await Bench(job, IdOf(bench, "cording", 1)))["at"]!["changed"]!.AsArray());
        Assert.Equal(
            ["foot"],
            (await Bench(job, IdOf(bench, "zips")))["at"]!["changed"]!.AsArray().Select(part => (string)part!)
        );
        Assert.Null((await Bench(job, IdOf(bench, "cutting")))["at"]!["setUp"]);
    }

    // Panels of 15 x 13 in make the stack; what fits in a foot is bundled: the halves of the zip strip are longer.
    [Fact]
    public async Task What_is_cut_is_stacked_by_cover()
    {
        var job = Job(await Cushion("a", "3"));
        var stacks = (await Bench(job))["at"]!["stacks"]!.AsArray().Select(each => (string)each!).ToList();
        Assert.StartsWith("3 stacks, one a cover: 1a × 2", stacks[0], StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_turn_that_is_timed_stands_on_the_bench_whoever_asks()
    {
        var job = Job(await Cushion("a"), await Cushion("b"));
        var zips = IdOf(await Bench(job), "zips", 1);
        job["making"] = new JsonObject
        {
            ["steps"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = zips,
                    ["done"] = 0,
                    ["seconds"] = 61,
                    ["began"] = "2026-11-26T09:00:00Z",
                }
            ),
        };
        var bench = await Bench(job);
        Assert.Equal(zips, (string)bench["at"]!["turn"]!);
        Assert.Equal((61, "2026-11-26T09:00:00Z"), ((int)bench["at"]!["seconds"]!, (string)bench["at"]!["began"]!));
        Assert.True(DateTimeOffset.TryParse((string)bench["now"]!, CultureInfo.InvariantCulture, out _));
        // A turn that is there no more is passed over for the next one.
        job["making"] = new JsonObject();
        Assert.Equal(IdOf(bench, "cutting"), (string)(await Bench(job, "a/none"))["at"]!["turn"]!);
    }

    [Fact]
    public async Task Where_nothing_is_measured_nothing_stands_on_the_bench()
    {
        var item = await Cushion("a");
        item["measures"] = new JsonObject();
        var bench = await Bench(Job(item));
        Assert.Empty(bench["turns"]!.AsArray());
        Assert.Null(bench["at"]);
    }

    // Read in the job's unit: the level of the cord is 3 3/4 in, 9.5 cm.
    [Theory]
    [InlineData("in", "3 3/4 in", "1/8 in")]
    [InlineData("cm", "9.5 cm", "0.3 cm")]
    public async Task Targets_are_told_in_the_jobs_unit(string unit, string target, string tolerance)
    {
        var job = Job(await Cushion("a"));
        job["unit"] = unit;
        var bench = await Bench(job);
        var last = (string)bench["turns"]!.AsArray().Last(turn => (string)turn!["kind"]! == "sewing")!["id"]!;
        var level = (await Bench(job, last))["at"]!["checks"]!
            .AsArray()
            .Single(check => ((string)check!["id"]!).Contains("/cord-level/", StringComparison.Ordinal))!;
        Assert.Equal((target, tolerance), ((string)level["target"]!["text"]!, (string)level["tolerance"]!));
        Assert.Equal(["front", "right", "back", "left"], level["places"]!.AsArray().Select(place => (string)place!));
    }
}
