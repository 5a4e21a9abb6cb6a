using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>The making over the wire: the bench, what is learnt from the log, what was handed over.</summary>
public sealed class MakingTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Entry(string typed) => new() { ["typed"] = typed, ["unit"] = "in" };

    private async Task<JsonNode> NewItem(string makeUp)
    {
        var (_, item) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = "i1",
                ["name"] = "Bunk sheet",
                ["makeUp"] = makeUp,
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        return item;
    }

    private async Task<JsonNode> Sheet()
    {
        var item = await NewItem("fitted-sheet");
        (item["measures"]!["W"], item["measures"]!["L"], item["measures"]!["T"]) = (
            Entry("31 1/2"),
            Entry("74"),
            Entry("7")
        );
        var (_, cloth) = await host.Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = "c1",
                ["name"] = "Cot linen",
                ["unit"] = "in",
            }
        );
        (cloth["width"], cloth["batch"], cloth["care"]) = (Entry("90"), "CL 7", new JsonArray("wash-60", "iron-hot"));
        return new JsonObject
        {
            ["version"] = 1,
            ["name"] = "Bunks",
            ["customer"] = "Ferncliff Lodge",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = new JsonArray(item),
            ["cloths"] = new JsonArray(cloth),
        };
    }

    private async Task<JsonNode> Keep(string id, JsonNode job)
    {
        var (status, kept) = await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = id,
                ["changeId"] = $"{id}-0",
                ["name"] = "job",
                ["unit"] = "in",
                ["document"] = job.DeepClone(),
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        return kept;
    }

    private static JsonObject Fit(string id, string found) =>
        new()
        {
            ["id"] = id,
            ["item"] = "i1",
            ["where"] = "all round",
            ["change"] = "let-out",
            ["by"] = Entry("1/2"),
            ["why"] = "came off at night",
            ["makeUp"] = "fitted-sheet",
            ["cloth"] = "Cot linen",
            ["subject"] = "choices.tuck",
            ["found"] = Entry(found),
            ["date"] = "2026-11-26",
        };

    private static JsonNode With(JsonNode job, string list, params JsonNode[] rows)
    {
        var making = job["making"]?.DeepClone() ?? new JsonObject();
        making[list] = new JsonArray([.. rows.Select(row => row.DeepClone())]);
        var with = job.DeepClone();
        with["making"] = making;
        return with;
    }

    private async Task<JsonArray> Proposals(JsonNode job)
    {
        var (status, learnt) = await host.Post(
            "/api/learnt",
            new JsonObject { ["job"] = job.DeepClone(), ["item"] = "i1" }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains(learnt["subjects"]!.AsArray(), subject => (string)subject!["field"]! == "choices.tuck");
        return learnt["proposals"]!.AsArray();
    }

    private async Task Answer(string answer, int from, string? entry = null)
    {
        var (status, _) = await host.Send(
            HttpMethod.Put,
            "/api/learnt/fitted-sheet",
            new JsonObject
            {
                ["field"] = "choices.tuck",
                ["cloth"] = "Cot linen",
                ["from"] = from,
                ["answer"] = answer,
                ["entry"] = entry is null ? null : Entry(entry),
            }
        );
        Assert.Equal(HttpStatusCode.NoContent, status);
    }

    [Fact]
    public async Task Three_fits_propose_are_refused_and_a_fourth_asks_again()
    {
        var job = await Sheet();
        await Keep("f1", With(job, "fits", Fit("a", "4"), Fit("b", "3 3/4")));
        Assert.Empty(await Proposals(job));
        await Keep("f2", With(job, "fits", Fit("a", "4"), Fit("none", "thick")));
        var proposal = Assert.Single(await Proposals(job))!;
        Assert.Equal("4", (string)proposal["proposed"]!["typed"]!);
        Assert.Equal(3, (int)proposal["from"]!);
        await Answer("Refuse", 3);
        Assert.Empty(await Proposals(job));
        await Keep("f3", With(job, "fits", Fit("a", "4")));
        Assert.Equal(4, (int)Assert.Single(await Proposals(job))!["from"]!);
        await Answer("Begin", 4, "4");
        Assert.Equal("4", (string)(await NewItem("fitted-sheet"))["choices"]!["tuck"]!["typed"]!);
        await Answer("Usual", 4);
        Assert.Equal("3", (string)(await NewItem("fitted-sheet"))["choices"]!["tuck"]!["typed"]!);
        var (none, _) = await host.Send(
            HttpMethod.Put,
            "/api/learnt/none",
            new JsonObject
            {
                ["field"] = "x",
                ["cloth"] = "",
                ["from"] = 1,
                ["answer"] = "Usual",
                ["entry"] = null,
            }
        );
        Assert.Equal(HttpStatusCode.NotFound, none);
    }

    // Hemming took twice as long three times: from then on it is reckoned so.
    [Fact]
    public async Task What_was_timed_scales_what_is_reckoned()
    {
        async Task<int> Hem(JsonNode job)
        {
            var (_, first) = await host.Post("/api/bench", job);
            var hem = first["turns"]!.AsArray().First(turn => (string)turn!["kind"]! == "holding")!;
            var (_, at) = await host.Post($"/api/bench?at={Uri.EscapeDataString((string)hem["id"]!)}", job);
            return (int)at["at"]!["reckonedSeconds"]!;
        }
        var job = await Sheet();
        var before = await Hem(job);
        Assert.True(before > 0);
        JsonObject Timed(int n) =>
            new()
            {
                ["id"] = $"i1/holding {n}",
                ["done"] = 1,
                ["seconds"] = n == 2 ? 0 : 1200,
                ["took"] = n == 2 ? "0:20" : "",
                ["kind"] = "holding",
                ["reckoned"] = 600,
            };
        await Keep("t1", With(job, "steps", Timed(1), Timed(2), Timed(3)));
        Assert.InRange(await Hem(job), (2 * before) - 1, (2 * before) + 1);
    }

    [Fact]
    public async Task The_bench_tells_what_cannot_be_read_and_keeps_the_rest()
    {
        var job = await Sheet();
        job = With(
            job,
            "steps",
            new JsonObject
            {
                ["id"] = "i1/cutting",
                ["done"] = 1,
                ["took"] = "a while",
                ["began"] = "2026-11-26T09:00:00Z",
            }
        );
        var (status, bench) = await host.Post("/api/bench?at=i1/cutting", job);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("steps.i1/cutting.took", (string)bench["at"]!["problems"]![0]!["field"]!);
        Assert.True((bool)bench["turns"]![0]!["done"]!);
        foreach (
            var (list, row) in new (string, JsonObject)[]
            {
                (
                    "steps",
                    new JsonObject
                    {
                        ["id"] = "i1/cutting",
                        ["done"] = 1,
                        ["began"] = "this morning",
                    }
                ),
                ("steps", new JsonObject { ["id"] = "i1/cutting", ["done"] = -1 }),
                (
                    "steps",
                    new JsonObject
                    {
                        ["id"] = "i1/cutting",
                        ["done"] = 1,
                        ["seconds"] = 99_999_999,
                    }
                ),
                (
                    "steps",
                    new JsonObject
                    {
                        ["id"] = "i1/cutting",
                        ["done"] = 1,
                        ["note"] = new string('x', 5000),
                    }
                ),
            }
        )
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await host.Post("/api/bench", With(await Sheet(), list, row))).Status
            );
    }

    [Fact]
    public async Task A_way_is_kept_and_new_items_begin_with_it()
    {
        var way = new JsonObject
        {
            ["steps"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "cutting",
                    ["text"] = "",
                    ["note"] = "Selvedge to the wall.",
                },
                new JsonObject
                {
                    ["id"] = "own-1",
                    ["text"] = "Press the corners.",
                    ["note"] = "",
                }
            ),
        };
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Put, "/api/ways/runner", way)).Status);
        var item = await NewItem("runner");
        Assert.Equal("own-1", (string)item["way"]![1]!["id"]!);
        Assert.Empty((await NewItem("round-table-draped"))["way"]!.AsArray());
        Assert.Equal(
            HttpStatusCode.OK,
            (await host.Send(HttpMethod.Put, "/api/ways/runner", new JsonObject { ["steps"] = new JsonArray() })).Status
        );
        Assert.Empty((await NewItem("runner"))["way"]!.AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Put, "/api/ways/none", way)).Status);
    }

    // What is said of a cover is missing until it is entered; given, it stays word for word, and is found by its batch.
    [Fact]
    public async Task What_was_handed_over_stays_as_it_was_said()
    {
        var states = new JsonObject
        {
            ["postcode"] = "FB2 7QX",
            ["statements"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "s",
                    ["name"] = "Ours",
                    ["text"] = "As [the rule] asks.",
                }
            ),
        };
        await host.Send(
            HttpMethod.Put,
            "/api/workroom",
            new JsonObject
            {
                ["name"] = "Heron Loft",
                ["unit"] = "in",
                ["words"] = new JsonObject(),
            }
        );
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Put, "/api/workroom/hand-over", states)).Status);
        var job = await Sheet();
        var cover = new JsonObject
        {
            ["id"] = "i1",
            ["flammability"] = "As [the rule] asks.",
            ["opens"] = "nowhere",
        };
        job["handOver"] = new JsonObject { ["place"] = "North bunk", ["covers"] = new JsonArray(cover) };
        var (_, over) = await host.Post("/api/hand-over", job);
        var view = over["covers"]![0]!;
        Assert.Contains(
            view["missing"]!.AsArray(),
            missing => ((string)missing!).Contains("[the rule]", StringComparison.Ordinal)
        );
        Assert.Equal("FB2 7QX", (string)view["given"]!["postcode"]!);
        Assert.Equal(["wash-60", "iron-hot"], view["given"]!["care"]!.AsArray().Select(key => (string)key!));
        cover["given"] = view["given"]!.DeepClone();
        var kept = await Keep("over", job);
        var (_, found) = await host.Send(HttpMethod.Get, "/api/records?q=cl%207%20north");
        var record = Assert.Single(found.AsArray())!;
        Assert.Equal(("over", "Bunks"), ((string)record["job"]!, (string)record["jobName"]!));
        // Snug, by square = drop: a top of twice the seam allowance less each way.
        Assert.StartsWith("30 1/2 x 73 x ", (string)record["given"]!["size"]!, StringComparison.Ordinal);
        // The cloth gets another batch, in a word that no day is written with: what was said does not change.
        var later = kept["document"]!.DeepClone();
        later["cloths"]![0]!["batch"] = "violet";
        var (status, _) = await host.Send(
            HttpMethod.Put,
            "/api/jobs/over",
            new JsonObject
            {
                ["base"] = 1,
                ["changeId"] = "later",
                ["step"] = "",
                ["document"] = later,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Single((await host.Send(HttpMethod.Get, "/api/records?q=cl%207%20bunk")).Body.AsArray());
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/records?q=violet%20bunk")).Body.AsArray());
        // Deleted with its job, and back with it.
        await host.Send(HttpMethod.Delete, "/api/jobs/over");
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/records?q=cl%207%20bunk")).Body.AsArray());
    }

    [Theory]
    [InlineData("care", "\"boil\"", "no such care mark")]
    [InlineData("batch", null, "longer than")]
    public async Task A_ticket_that_cannot_be_is_refused(string field, string? value, string reason)
    {
        var job = await Sheet();
        job["cloths"]![0]![field] = value is null
            ? JsonValue.Create(new string('x', 300))
            : new JsonArray(JsonNode.Parse(value));
        var (status, told) = await host.Post("/api/hand-over", job);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains(reason, told.ToJsonString(), StringComparison.Ordinal);
    }
}
