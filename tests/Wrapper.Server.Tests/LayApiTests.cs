using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>The longer search, savings and ready-made articles over the API.</summary>
public sealed class LayApiTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Entry(string typed) => new() { ["typed"] = typed, ["unit"] = "in" };

    // Cushions of several sizes on one cloth.
    private async Task<JsonObject> Job(int cushions, Action<JsonNode>? cloth = null)
    {
        var items = new JsonArray();
        for (var n = 0; n < cushions; n++)
        {
            var (_, item) = await host.Post(
                "/api/items",
                new JsonObject
                {
                    ["id"] = $"i{n}",
                    ["name"] = "cushion",
                    ["makeUp"] = "box-cushion-strip",
                    ["unit"] = "in",
                    ["from"] = null,
                }
            );
            (item["measures"]!["W"], item["measures"]!["L"], item["measures"]!["T"]) = (
                Entry($"{17 + (7 * n % 23)}"),
                Entry($"{15 + (5 * n % 9)}"),
                Entry("3 1/4")
            );
            items.Add(item.DeepClone());
        }
        var (_, made) = await host.Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = "c1",
                ["name"] = "cloth",
                ["unit"] = "in",
            }
        );
        cloth?.Invoke(made);
        return new JsonObject
        {
            ["version"] = 1,
            ["name"] = "job",
            ["customer"] = "",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = items,
            ["cloths"] = new JsonArray(made.DeepClone()),
        };
    }

    [Fact]
    public async Task A_search_runs_in_the_background_and_its_lay_is_in_the_next_plan()
    {
        var job = await Job(9);
        long Laid(JsonNode plan) => plan["cloths"]![0]!["lay"]!["length"]!["ticks"]!.GetValue<long>();
        var before = await host.Told("/api/plan", job.DeepClone());
        var (status, search) = await host.Post(
            "/api/searches",
            new JsonObject { ["job"] = job.DeepClone(), ["cloth"] = "c1" }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var id = search["id"]!.GetValue<string>();
        JsonNode now = search;
        for (var tries = 0; tries < 60 && now["length"] is null; tries++)
        {
            await Task.Delay(100);
            (_, now) = await host.Send(HttpMethod.Get, $"/api/searches/{id}");
        }
        await Task.Delay(1500);
        using (var stopped = await host.Client.DeleteAsync($"/api/searches/{id}"))
            Assert.Equal(HttpStatusCode.NoContent, stopped.StatusCode);
        for (var tries = 0; tries < 100 && now["runs"]!.GetValue<bool>(); tries++)
        {
            await Task.Delay(100);
            (_, now) = await host.Send(HttpMethod.Get, $"/api/searches/{id}");
        }
        Assert.False(now["runs"]!.GetValue<bool>());
        Assert.Null(now["fault"]);
        var after = await host.Told("/api/plan", job.DeepClone());
        Assert.Equal(now["length"]!["ticks"]!.GetValue<long>(), Laid(after));
        Assert.True(
            Laid(after) <= Laid(before) && (now["shortened"]!.GetValue<int>() > 0) == (Laid(after) < Laid(before))
        );
    }

    // A gap of 3/4 in between all pieces: without it they take less, told in inches or centimetres.
    [Theory]
    [InlineData("in", "Without the gap of 3/4 in between pieces")]
    [InlineData("cm", "Without the gap of 1.9 cm between pieces")]
    public async Task The_one_change_that_shortens_a_lay_is_told(string unit, string gap)
    {
        var job = await Job(2, cloth => cloth["gap"] = Entry("3/4"));
        job["unit"] = unit;
        var plan = await host.Told("/api/plan", job.DeepClone());
        var now = plan["cloths"]![0]!["lay"]!["length"]!["ticks"]!.GetValue<long>();
        var (tried, all, changes) = (0, 1, new JsonArray());
        // Where its time runs out it says how far it came; asked again it goes on.
        for (var times = 0; times < 10 && tried < all; times++)
        {
            var (status, found) = await host.Post(
                "/api/shortenings",
                new JsonObject { ["job"] = job.DeepClone(), ["cloth"] = "c1" }
            );
            Assert.Equal(HttpStatusCode.OK, status);
            Assert.True(found["looked"]!.GetValue<int>() > tried);
            (tried, all, changes) = (
                found["looked"]!.GetValue<int>(),
                found["all"]!.GetValue<int>(),
                found["changes"]!.AsArray()
            );
        }
        Assert.Equal(all, tried);
        Assert.Contains(changes, each => each!["told"]!.GetValue<string>() == gap);
        var saved = changes.Select(each => each!["saves"]!["ticks"]!.GetValue<long>()).ToList();
        Assert.Equal(saved.OrderDescending(), saved);
        Assert.All(
            changes.Zip(saved),
            each => Assert.Equal(now, each.First!["length"]!["ticks"]!.GetValue<long>() + each.Second)
        );
        var (refused, body) = await host.Post(
            "/api/shortenings",
            new JsonObject { ["job"] = job.DeepClone(), ["cloth"] = "other" }
        );
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, "c1"),
            (refused, body["errors"]![0]!["example"]!.GetValue<string>())
        );
    }

    [Fact]
    public async Task A_search_that_was_never_started_is_not_found_and_a_cloth_must_be_of_the_job()
    {
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/searches/none")).Status);
        var (status, body) = await host.Post(
            "/api/searches",
            new JsonObject { ["job"] = await Job(1), ["cloth"] = "other" }
        );
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, "c1"),
            (status, body["errors"]![0]!["example"]!.GetValue<string>())
        );
    }

    [Fact]
    public async Task Demands_of_the_cloth_are_read_drawn_and_bounded()
    {
        var flaw = new JsonObject
        {
            ["fromEnd"] = Entry("10"),
            ["fromSelvedge"] = Entry("5"),
            ["along"] = Entry("2"),
            ["across"] = Entry("3"),
        };
        var (status, plan) = await host.Post(
            "/api/plan",
            await Job(
                2,
                cloth =>
                    (cloth["gap"], cloth["repeatAlong"], cloth["flaws"]) = (
                        Entry("1/4"),
                        Entry("12"),
                        new JsonArray(flaw.DeepClone())
                    )
            )
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var lay = plan["cloths"]![0]!["lay"]!;
        // In hundredths of a millimetre: 10 in is 25400 along, 5 in 12700 from the selvedge.
        Assert.Equal(
            (25400, 12700, 5080, 7620),
            (
                lay["flaws"]![0]!["x"]!.GetValue<int>(),
                lay["flaws"]![0]!["y"]!.GetValue<int>(),
                lay["flaws"]![0]!["width"]!.GetValue<int>(),
                lay["flaws"]![0]!["height"]!.GetValue<int>()
            )
        );
        Assert.Equal(30480, lay["repeat"]!["along"]!.GetValue<int>());
        var (refused, body) = await host.Post(
            "/api/plan",
            await Job(
                1,
                cloth => cloth["flaws"] = new JsonArray([.. Enumerable.Range(0, 61).Select(_ => flaw.DeepClone())])
            )
        );
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, "cloths.c1.flaws"),
            (refused, body["errors"]![0]!["field"]!.GetValue<string>())
        );
    }

    private static (long X, long Y, long Wide, long High) Box(JsonNode placed) =>
        (
            placed["box"]!["x"]!.GetValue<long>(),
            placed["box"]!["y"]!.GetValue<long>(),
            placed["box"]!["width"]!.GetValue<long>(),
            placed["box"]!["height"]!.GetValue<long>()
        );

    // Moved half a metre along it comes to rest there and is kept as a pin; over the edge, or on a pinned piece, it is
    // refused.
    [Fact]
    public async Task A_piece_is_moved_by_hand_pinned_and_refused()
    {
        var job = await Job(2);
        JsonNode Laid(JsonNode plan, string id) =>
            plan["cloths"]![0]!["lay"]!["placed"]!.AsArray().Single(placed => placed!["id"]!.GetValue<string>() == id)!;
        var plan = await host.Told("/api/plan", job.DeepClone());
        var box = Box(Laid(plan, "i0/panel/1"));
        JsonObject Move(string piece, int turns, long along, long across) =>
            new()
            {
                ["job"] = job.DeepClone(),
                ["cloth"] = "c1",
                ["piece"] = piece,
                ["turns"] = turns,
                ["along"] = along,
                ["across"] = across,
            };
        var (status, moved) = await host.Post("/api/moves", Move("i0/panel/1", 0, 250_000, box.Y));
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Null(moved["refused"]);
        job["cloths"]![0]!["pins"] = new JsonArray(moved["pin"]!.DeepClone());
        var pinned = await host.Told("/api/plan", job.DeepClone());
        var there = Laid(pinned, "i0/panel/1");
        Assert.True(there["pinned"]!.GetValue<bool>());
        Assert.Equal(250_000, Box(there).X);
        var (_, over) = await host.Post("/api/moves", Move("i0/panel/1", 0, 250_000, -20_000));
        Assert.Contains("over the edge", over["refused"]!.GetValue<string>(), StringComparison.Ordinal);
        var (_, upon) = await host.Post("/api/moves", Move("i0/panel/2", 0, 255_000, box.Y + 5_000));
        Assert.Contains("1a, which is pinned", upon["refused"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await host.Post("/api/moves", Move("i9/panel/1", 0, 0, 0))).Status
        );
        Assert.NotNull((await host.Post("/api/moves", Move("i0/panel/1", 9, 0, 0))).Body["refused"]);
    }

    // From the other side every box lies as far from the selvedge as it ended from the far one; along the roll nothing
    // changes.
    [Fact]
    public async Task The_wrong_side_is_asked_for_by_name()
    {
        var job = await Job(3);
        var right = await host.Told("/api/plan?side=right", job.DeepClone());
        var wrong = await host.Told("/api/plan?side=wrong", job.DeepClone());
        Dictionary<string, (long X, long Y, long Wide, long High)> Boxes(JsonNode plan) =>
            plan["cloths"]![0]!["lay"]!["placed"]!
                .AsArray()
                .ToDictionary(placed => placed!["id"]!.GetValue<string>(), placed => Box(placed!));
        var over = Boxes(wrong);
        foreach (var (id, box) in Boxes(right))
        {
            Assert.Equal((box.X, box.Wide, box.High), (over[id].X, over[id].Wide, over[id].High));
            Assert.InRange(over[id].Y - (134_620 - box.Y - box.High), -2, 2); // 53 in usable
        }
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await host.Post("/api/plan?side=left", job.DeepClone())).Status
        );
    }

    [Theory]
    [InlineData("widths", "none", "", "cloth")]
    [InlineData("enough", "none", "5 yd", "cloth")]
    [InlineData("enough", "c1", "plenty", "have")]
    [InlineData("enough", "c1", "-1", "have")]
    public async Task Questions_about_a_cloth_refuse_what_cannot_be_answered(
        string question,
        string cloth,
        string have,
        string field
    )
    {
        var (status, body) = await host.Post(
            $"/api/{question}",
            new JsonObject
            {
                ["job"] = await Job(1),
                ["cloth"] = cloth,
                ["have"] = Entry(have),
            }
        );
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, field),
            (status, body["errors"]![0]!["field"]!.GetValue<string>())
        );
        Assert.NotEmpty(body["errors"]![0]!["example"]!.GetValue<string>());
    }

    [Fact]
    public async Task Widths_and_what_is_there_agree_with_the_plan()
    {
        var job = await Job(3);
        var plan = await host.Told("/api/plan", job.DeepClone());
        var needed = plan["cloths"]![0]!["buying"]!["needed"]!["ticks"]!.GetValue<long>();
        var (_, widths) = await host.Post(
            "/api/widths",
            new JsonObject { ["job"] = job.DeepClone(), ["cloth"] = "c1" }
        );
        Assert.Equal(
            needed,
            widths.AsArray().Single(row => row!["current"]!.GetValue<bool>())!["needed"]!["ticks"]!.GetValue<long>()
        );
        Assert.Equal(11, widths.AsArray().Count); // nine widths, and the cloth's own lying either way
        var (_, enough) = await host.Post(
            "/api/enough",
            new JsonObject
            {
                ["job"] = job.DeepClone(),
                ["cloth"] = "c1",
                ["have"] = Entry("20 yd"),
            }
        );
        Assert.True(enough["fits"]!.GetValue<bool>());
        Assert.Equal((20 * 36 * 97536L) - needed, enough["difference"]!["ticks"]!.GetValue<long>());
    }

    // Marks are taken from the squared end of the remnant, and on the roll from its own; what is bought has nothing of
    // the remnant.
    [Fact]
    public async Task Each_remnant_is_measured_from_its_own_end()
    {
        var job = await Job(
            3,
            cloth =>
                cloth["stock"] = new JsonArray(
                    new JsonObject
                    {
                        ["name"] = "blue bin",
                        ["length"] = Entry("24"),
                        ["width"] = null,
                    }
                )
        );
        var plan = await host.Told("/api/plan", job.DeepClone());
        var lay = plan["cloths"]![0]!["lay"]!;
        var placed = lay["placed"]!.AsArray();
        Assert.Contains(placed, piece => piece!["on"]!.GetValue<string>() == "blue bin");
        // 24 in are 60960 hundredths of a millimetre.
        Assert.All(placed, piece => Assert.Equal(piece!["on"]!.GetValue<string>() == "", Box(piece!).X >= 60_960));
        Assert.All(
            placed,
            piece =>
                Assert.InRange(
                    (piece!["alongRoll"]!["ticks"]!.GetValue<long>() / 38.4)
                        - Box(piece!).X
                        + (Box(piece!).X >= 60_960 ? 60_960 : 0),
                    -1,
                    1
                )
        );
        Assert.Equal(60_960, lay["ends"]![0]!["at"]!.GetValue<long>());
        var without = await host.Told("/api/plan", await Job(3));
        Assert.True(
            lay["length"]!["ticks"]!.GetValue<long>()
                < without["cloths"]![0]!["lay"]!["length"]!["ticks"]!.GetValue<long>()
        );
        Assert.Equal(
            lay["length"]!["ticks"]!.GetValue<long>(),
            plan["cloths"]![0]!["buying"]!["needed"]!["ticks"]!.GetValue<long>()
        );
    }

    // A job whose cloth is cut offers what it left, once: the other that takes it says so by the remnant's name.
    [Fact]
    public async Task Remnants_of_other_jobs_are_offered_once()
    {
        var first = await Job(1, cloth => cloth["name"] = "Heron tweed");
        var plan = await host.Told("/api/plan", first.DeepClone());
        first["cloths"]![0]!["cut"] = new JsonArray([
            .. plan["cloths"]![0]!["lay"]!["placed"]!.AsArray().Select(piece => piece!["size"]!.DeepClone()),
        ]);
        var id = Guid.NewGuid().ToString("N");
        await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = id,
                ["changeId"] = "a",
                ["name"] = "Heron bench",
                ["unit"] = "in",
                ["document"] = first.DeepClone(),
            }
        );
        var asking = new JsonObject
        {
            ["job"] = await Job(1, cloth => cloth["name"] = "heron tweed"),
            ["cloth"] = "c1",
        };
        var (status, offers) = await host.Post("/api/remnants", asking.DeepClone());
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.NotEmpty(offers.AsArray());
        Assert.Empty((await host.Post($"/api/remnants?except={id}", asking.DeepClone())).Body.AsArray());
        var taken = offers[0]!["remnant"]!;
        asking["job"]!["cloths"]![0]!["stock"] = new JsonArray(taken.DeepClone());
        var (_, rest) = await host.Post("/api/remnants", asking.DeepClone());
        Assert.Equal(offers.AsArray().Count - 1, rest.AsArray().Count);
        var laid = await host.Told("/api/plan", asking["job"]!.DeepClone());
        Assert.Equal(
            taken["name"]!.GetValue<string>(),
            laid["cloths"]![0]!["lay"]!["ends"]![0]!["name"]!.GetValue<string>()
        );
    }

    [Fact]
    public async Task How_pieces_match_is_told_and_chosen()
    {
        var job = await Job(1, cloth => (cloth["repeatAlong"], cloth["repeatAcross"]) = (Entry("12"), Entry("10")));
        job["items"]![0]!["choices"]!["stripGrain"] = Entry("along");
        JsonNode Boxing(JsonNode plan) =>
            plan["cloths"]![0]!["matches"]!.AsArray().Single(match => match!["piece"]!.GetValue<string>() == "boxing")!;
        var plan = await host.Told("/api/plan", job.DeepClone());
        Assert.Equal(
            ("follows", "panel", false),
            (
                Boxing(plan)["match"]!.GetValue<string>(),
                Boxing(plan)["follows"]!.GetValue<string>(),
                Boxing(plan)["chosen"]!.GetValue<bool>()
            )
        );
        job["items"]![0]!["matches"] = new JsonObject { ["boxing"] = "free", ["panel"] = "centred" };
        plan = await host.Told("/api/plan", job.DeepClone());
        Assert.Equal(
            ("free", true),
            (Boxing(plan)["match"]!.GetValue<string>(), Boxing(plan)["chosen"]!.GetValue<bool>())
        );
        Assert.Equal(12_700, plan["cloths"]![0]!["lay"]!["repeat"]!["motifAcross"]!.GetValue<long>());
        job["items"]![0]!["matches"] = new JsonObject { ["boxing"] = "somehow" };
        Assert.Equal(HttpStatusCode.BadRequest, (await host.Post("/api/plan", job)).Status);
    }

    [Theory]
    [InlineData("stock")]
    [InlineData("prices")]
    [InlineData("otherWidths")]
    public async Task What_is_there_of_a_cloth_is_bounded(string list)
    {
        JsonNode One() =>
            list switch
            {
                "stock" => new JsonObject
                {
                    ["name"] = "",
                    ["length"] = Entry("20"),
                    ["width"] = null,
                },
                "prices" => new JsonObject { ["from"] = Entry("3 yd"), ["price"] = "10" },
                _ => Entry("66"),
            };
        var (status, body) = await host.Post(
            "/api/plan",
            await Job(1, cloth => cloth[list] = new JsonArray([.. Enumerable.Range(0, 21).Select(_ => One())]))
        );
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, $"cloths.c1.{list}"),
            (status, body["errors"]![0]!["field"]!.GetValue<string>())
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await host.Post(
                    "/api/plan",
                    await Job(1, cloth => cloth[list] = new JsonArray([.. Enumerable.Range(0, 20).Select(_ => One())]))
                )
            ).Status
        );
    }

    // An older job file knows nothing of gaps, repeats, flaws and articles.
    [Fact]
    public async Task A_cloth_from_before_these_demands_is_laid_as_ever()
    {
        var job = await Job(1);
        var cloth = (JsonObject)job["cloths"]![0]!;
        foreach (
            var later in new[]
            {
                "articleLength",
                "gap",
                "repeatAlong",
                "repeatAcross",
                "halfDrop",
                "flaws",
                "shrinksAcross",
                "shrinksAlong",
                "motifAcross",
                "motifAlong",
                "skew",
                "spread",
                "stock",
                "leastCut",
                "prices",
                "measuredWidth",
                "measuredLength",
                "squaring",
                "otherWidths",
            }
        )
            cloth.Remove(later);
        foreach (var later in new[] { "matches", "inLine" })
            ((JsonObject)job["items"]![0]!).Remove(later);
        var (status, plan) = await host.Post("/api/plan", job);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.NotNull(plan["cloths"]![0]!["lay"]);
    }
}
