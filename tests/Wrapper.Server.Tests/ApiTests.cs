using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

public sealed class ApiTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Entry(string typed, string unit = "in") => new() { ["typed"] = typed, ["unit"] = unit };

    private async Task<JsonNode> Item(string makeUp, params (string Map, string Key, string Typed)[] entries)
    {
        var (status, item) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = "i1",
                ["name"] = "cushion",
                ["makeUp"] = makeUp,
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        if (makeUp.StartsWith("box", StringComparison.Ordinal))
        {
            (item["measures"]!["W"], item["measures"]!["L"], item["measures"]!["T"]) = (
                Entry("46 1/2"),
                Entry("19 1/4"),
                Entry("4")
            );
            item["choices"]!["zipTurn"] = Entry("3");
        }
        foreach (var (map, key, typed) in entries)
            item[map]![key] = Entry(typed);
        return item;
    }

    private async Task<JsonNode> Job(params JsonNode[] items)
    {
        var (_, cloth) = await host.Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = "c1",
                ["name"] = "cloth",
                ["unit"] = "in",
            }
        );
        return new JsonObject
        {
            ["version"] = 1,
            ["name"] = "job",
            ["customer"] = "",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = new JsonArray([.. items.Select(item => item.DeepClone())]),
            ["cloths"] = new JsonArray(cloth.DeepClone()),
        };
    }

    private static long Counts(double inches) => (long)Math.Round(inches * 97536);

    // The handbook's examples, through the front door.
    [Theory]
    [InlineData("box-cushion-strip", "panel", "cut width", 47.5, "47 1/2 in")]
    [InlineData("box-cushion-strip", "boxing", "cut length", 81.5, "81 1/2 in")]
    [InlineData("box-cushion-strip", "zip-strip", "cut height", 3.125, "3 1/8 in")]
    [InlineData("box-cushion-folded", "cover", "cut width", 51.25, "51 1/4 in")]
    [InlineData("box-cushion-folded", "cover", "corner cut-out, in from the zip edge", 2.125, "2 1/8 in")]
    [InlineData("box-cushion-folded", "cover", "fold notch, across the fold", 2.75, "2 3/4 in")]
    public async Task Drafts_the_handbooks_examples(
        string makeUp,
        string piece,
        string size,
        double inches,
        string text
    )
    {
        var (status, draft) = await host.Post(
            "/api/draft",
            new JsonObject { ["item"] = await Item(makeUp), ["unit"] = "in" }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var pattern = draft["pattern"]!;
        Assert.True((bool)pattern["seamsHold"]!);
        var found = pattern["pieces"]!.AsArray().Single(p => (string)p!["key"]! == piece)!["sizes"]!
            .AsArray()
            .Single(s => (string)s!["name"]! == size)!;
        Assert.Equal((Counts(inches), text), ((long)found["length"]!["ticks"]!, (string)found["length"]!["text"]!));
        Assert.EndsWith($"= {text[..^3]}", (string)found["working"]!.AsArray()[^1]!, StringComparison.Ordinal);
    }

    // Items that are not asked for count all the same: only their drafts are left out.
    [Fact]
    public async Task A_plan_tells_the_drafts_that_are_asked_for_and_counts_all()
    {
        JsonNode first = await Item("box-cushion-folded"),
            second = await Item("box-cushion-folded");
        second["id"] = "i2";
        var job = await Job(first, second);
        var all = await host.Told("/api/plan", job);
        foreach (var (of, ids) in new[] { ("i2", "i2"), ("", ""), ("i1,i2", "i1,i2"), ("gone", "") })
        {
            var (status, plan) = await host.Post($"/api/plan?of={of}", job.DeepClone());
            Assert.Equal(HttpStatusCode.OK, status);
            Assert.Equal(ids, string.Join(',', plan["items"]!.AsArray().Select(item => (string)item!["id"]!)));
            Assert.Equal(all["totals"]!.ToJsonString(), plan["totals"]!.ToJsonString());
            Assert.Equal(all["stages"]!.ToJsonString(), plan["stages"]!.ToJsonString());
        }
    }

    // A station is asked for while there are that many of them, and none of them where the outline has no stations at
    // all.
    [Theory]
    [InlineData("tapered", "2", "f1 w1 f2 w2")]
    [InlineData("tapered", "0", "")]
    [InlineData("rectangle", "2", "")]
    public async Task A_draft_says_which_fields_are_asked(string shape, string stations, string asked)
    {
        var item = await Item("box-cushion-strip", ("choices", "shape", shape), ("choices", "stations", stations));
        var plan = await host.Told("/api/plan?lay=none", await Job(item));
        var fields = plan["items"]![0]!["draft"]!["asked"]!.AsArray().Select(field => (string)field!).ToList();
        Assert.Equal(
            asked,
            string.Join(
                ' ',
                fields.Where(field => field[9..].Length == 2 && field[9] is 'f' or 'w').Select(f => f[9..])
            )
        );
        Assert.Equal(shape == "tapered", fields.Contains("choices.stations"));
    }

    // What each role is cut from is the server's to say, in doubt or not; a cloth that nothing falls back on is not
    // used.
    [Fact]
    public async Task A_draft_says_what_it_is_cut_from()
    {
        var job = await Job(await Item("ottoman-boxed", ("measures", "H", "x"), ("choices", "cord", "both")));
        var spare = job["cloths"]![0]!.DeepClone();
        spare["id"] = "spare";
        job["cloths"]!.AsArray().Add(spare);
        async Task<(string Roles, string Used)> Said()
        {
            var plan = await host.Told("/api/plan?lay=none", job.DeepClone());
            return (
                string.Join(
                    "; ",
                    plan["items"]![0]!["draft"]!["cutFrom"]!
                        .AsArray()
                        .Select(role => $"{role!["role"]} {role["cloth"]}")
                ),
                string.Join(
                    ' ',
                    plan["cloths"]!.AsArray().Where(cloth => (bool)cloth!["used"]!).Select(c => $"{c!["id"]}")
                )
            );
        }
        var first = (string)job["cloths"]![0]!["id"]!;
        Assert.Equal(($"face {first}", first), await Said());
        job["items"]![0]!["otherCloths"] = new JsonObject { ["cord covering"] = "spare" };
        Assert.Equal(($"face {first}; cord covering spare", $"{first} spare"), await Said());
    }

    // Schools that can follow a T come first; those that cannot carry the reason at the outline.
    [Fact]
    public async Task Schools_that_fit_are_compared_first()
    {
        var item = await Item(
            "box-cushion-folded",
            ("choices", "shape", "tee"),
            ("measures", "N", "36"),
            ("measures", "E", "5")
        );
        var (status, schools) = await host.Post(
            "/api/compare",
            new JsonObject { ["job"] = await Job(item), ["item"] = "i1" }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var fits = schools.AsArray().Select(school => school!["problems"]!.AsArray().Count == 0).ToList();
        Assert.Equal([true, true, true, false, false], fits);
        Assert.All(
            schools.AsArray().Skip(3),
            school => Assert.Equal("choices.shape", (string)school!["problems"]![0]!["field"]!)
        );
        Assert.All(
            schools.AsArray().Take(3),
            school => Assert.True((int)school!["minutes"]! > 0 && (long)school["cloth"]!["ticks"]! > 0)
        );
    }

    [Fact]
    public async Task Every_make_up_declares_what_it_asks_and_takes_its_own_defaults()
    {
        var (_, makeUps) = await host.Send(HttpMethod.Get, "/api/make-ups");
        foreach (var makeUp in makeUps.AsArray())
        {
            var (status, item) = await host.Post(
                "/api/items",
                new JsonObject
                {
                    ["id"] = "i1",
                    ["name"] = "a",
                    ["makeUp"] = (string)makeUp!["key"]!,
                    ["unit"] = "cm",
                    ["from"] = null,
                }
            );
            Assert.Equal(HttpStatusCode.OK, status);
            // Nothing is measured yet: every problem is an empty measure, none a default that cannot be read.
            var (_, refused) = await host.Post(
                "/api/draft",
                new JsonObject { ["item"] = item.DeepClone(), ["unit"] = "cm" }
            );
            Assert.All(
                refused["errors"]!.AsArray(),
                error => Assert.Equal("nothing is entered", (string)error!["reason"]!)
            );
            Assert.Equal(
                makeUp["choices"]!.AsArray().Select(choice => (string)choice!["key"]!).Order(),
                item["choices"]!.AsObject().Select(choice => choice.Key).Order()
            );
        }
    }

    [Theory]
    [InlineData(4000, HttpStatusCode.OK)]
    [InlineData(4001, HttpStatusCode.UnprocessableEntity)]
    public async Task Notes_have_a_length_that_no_maker_meets(int length, HttpStatusCode expected)
    {
        var item = await Item("box-cushion-strip");
        item["notes"] = new string('n', length);
        var (status, _) = await host.Post("/api/draft", new JsonObject { ["item"] = item, ["unit"] = "in" });
        Assert.Equal(expected, status);
    }

    // A traced outline and a note come back as they were saved; an older item without notes is taken too.
    [Fact]
    public async Task A_traced_seat_is_stored_as_typed()
    {
        const string traced = "0, 0; 24, 0; 24, 18; 16, 18; 8, 18 hollow 6; 0, 18";
        var item = await Item("box-cushion-strip", ("choices", "shape", "traced"), ("measures", "O", traced));
        item["notes"] = "Leg pads numbered 1 to 4";
        var older = await Item("box-cushion-folded");
        older["id"] = "i2";
        older.AsObject().Remove("notes");
        var job = await Job(item, older);
        var (created, _) = await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "traced-seat",
                ["changeId"] = "c1",
                ["name"] = "job",
                ["unit"] = "in",
                ["document"] = job,
            }
        );
        Assert.Equal(HttpStatusCode.OK, created);
        var (_, kept) = await host.Send(HttpMethod.Get, "/api/jobs/traced-seat");
        var items = kept["document"]!["items"]!.AsArray();
        Assert.Equal(
            (traced, "Leg pads numbered 1 to 4", ""),
            ((string)items[0]!["measures"]!["O"]!["typed"]!, (string)items[0]!["notes"]!, (string)items[1]!["notes"]!)
        );
    }

    // A drawing gives its first path and nothing else: entities are not resolved, other files not fetched.
    [Theory]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg'><g><path d='M0 0 H18 V-14 H0 Z'/></g></svg>",
        "M0 0 H18 V-14 H0 Z"
    )]
    [InlineData("<svg><rect width='3' height='4'/></svg>", null)]
    [InlineData("not a drawing", null)]
    [InlineData("<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><svg><path d='&x;'/></svg>", null)]
    public async Task The_outline_of_a_drawing_is_found(string svg, string? path)
    {
        var (status, found) = await host.Post("/api/outlines", new JsonObject { ["svg"] = svg });
        Assert.Equal(path is null ? HttpStatusCode.UnprocessableEntity : HttpStatusCode.OK, status);
        if (path is not null)
            Assert.Equal(path, (string)found["path"]!);
        else
            Assert.Equal("svg", (string)found["errors"]!.AsArray().Single()!["field"]!);
    }

    [Theory]
    [InlineData("measures", "W", "abc", "no number", "box-cushion-strip")]
    [InlineData("measures", "W", "-3", "negative", "box-cushion-strip")]
    [InlineData("measures", "L", "19 1/0", "0 below the line", "box-cushion-strip")]
    [InlineData("measures", "L", "900 ft", "over 50 ft", "box-cushion-folded")]
    [InlineData("measures", "T", "1/128", "finer than 1/64", "box-cushion-strip")]
    [InlineData("measures", "T", "1", "not over two seam allowances", "box-cushion-folded")]
    [InlineData("measures", "T", "1 1/4", "not over two seam allowances", "box-cushion-strip")]
    [InlineData("measures", "r", "10", "half the shorter side", "box-cushion-strip")]
    [InlineData("measures", "r", "1", "cannot be cut out first", "box-cushion-folded")]
    [InlineData("choices", "zipTurn", "20", "past the side", "box-cushion-strip")]
    [InlineData("choices", "lengths", "4", "at the most", "box-cushion-strip")]
    [InlineData("choices", "lengths", "two", "whole number", "box-cushion-strip")]
    [InlineData("choices", "ease", "tight", "no such option", "box-cushion-folded")]
    [InlineData("allowances", "panel/front", "40", "over 24 in", "box-cushion-strip")]
    public async Task Wrong_input_gets_the_field_the_reason_and_an_example(
        string map,
        string key,
        string typed,
        string reason,
        string makeUp
    )
    {
        var (status, problem) = await host.Post(
            "/api/draft",
            new JsonObject { ["item"] = await Item(makeUp, (map, key, typed)), ["unit"] = "in" }
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        var error = Assert.Single(problem["errors"]!.AsArray())!;
        Assert.Equal(($"{map}.{key}", typed), ((string)error["field"]!, (string)error["given"]!));
        Assert.Contains(reason, (string)error["reason"]!, StringComparison.Ordinal);
        Assert.NotEmpty((string)error["example"]!);
    }

    [Fact]
    public async Task A_cloth_narrower_than_the_widest_piece_is_told_and_nothing_is_bought()
    {
        var job = await Job(await Item("box-cushion-folded"));
        job["cloths"]![0]!["width"] = Entry("36");
        var plan = await host.Told("/api/plan", job);
        var problem = Assert.Single(plan["cloths"]![0]!["problems"]!.AsArray())!;
        Assert.Equal(
            ("cloths.c1.width", "36", "52 1/4"),
            ((string)problem["field"]!, (string)problem["given"]!, (string)problem["example"]!)
        );
        Assert.Null(plan["cloths"]![0]!["buying"]);
        job["cloths"]![0]!["width"] = Entry((string)problem["example"]!);
        plan = await host.Told("/api/plan", job);
        Assert.NotNull(plan["cloths"]![0]!["buying"]);
    }

    [Fact]
    public async Task An_item_in_doubt_leaves_the_rest_planned()
    {
        var (good, bad) = (await Item("box-cushion-strip"), await Item("box-cushion-strip", ("measures", "W", "abc")));
        bad["id"] = "i2";
        var (status, plan) = await host.Post("/api/plan", await Job(good, bad));
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.NotNull(plan["items"]![0]!["draft"]!["pattern"]);
        Assert.Equal("measures.W", (string)plan["items"]![1]!["draft"]!["problems"]![0]!["field"]!);
        Assert.Equal("1 in doubt, not counted", (string)plan["totals"]!["doubt"]!);
    }

    // By hand: the folded cover is 51 1/4 x 47 1/2; on 54 in cloth with 1/2 in selvedges it lies across as it is, or
    // turned, and
    // the shorter way is 47 1/2 in = 1.32 yd, bought in eighths: 1 3/8 yd.
    [Fact]
    public async Task Plans_lays_and_buys_and_tells_the_difference()
    {
        var job = await Job(await Item("box-cushion-folded"));
        var plan = await host.Told("/api/plan", job);
        Assert.Equal("1.32 yd", (string)plan["cloths"]![0]!["lay"]!["length"]!["text"]!);
        Assert.Equal(
            (Counts(49.5), "1 3/8 yd"),
            (
                (long)plan["totals"]!["cloths"]![0]!["bought"]!["ticks"]!,
                (string)plan["totals"]!["cloths"]![0]!["bought"]!["text"]!
            )
        );
        job["items"]![0]!["measures"]!["T"] = Entry("5 1/4"); // 1 1/4 deeper, so 2 1/2 longer: 50 in, and 1 1/2 yd
        var deeper = await host.Told($"/api/plan?before={plan["totals"]!["ticks"]}", job);
        Assert.Equal("+1/8 yd", (string)deeper["totals"]!["change"]!);
        var drafts = await host.Told("/api/plan?lay=none", job);
        Assert.Null(drafts["cloths"]![0]!["lay"]);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await host.Post("/api/plan?lay=slow", job)).Status);
    }

    [Fact]
    public async Task Compares_the_make_ups_of_a_family()
    {
        var (_, schools) = await host.Post(
            "/api/compare",
            new JsonObject { ["job"] = await Job(await Item("box-cushion-strip")), ["item"] = "i1" }
        );
        var byKey = schools.AsArray().ToDictionary(school => (string)school!["makeUp"]!, school => school!);
        // Two panels, boxing in three and both halves of the zip strip in three, joined at corners on 53 in.
        Assert.Equal(
            (11, 1),
            ((int)byKey["box-cushion-strip"]["pieces"]!, (int)byKey["box-cushion-folded"]["pieces"]!)
        );
        Assert.Equal("1.32 yd", (string)byKey["box-cushion-folded"]["cloth"]!["text"]!);
        Assert.True((int)byKey["box-cushion-folded"]["minutes"]! < (int)byKey["box-cushion-strip"]["minutes"]!);
        Assert.DoesNotContain("runner-mat", byKey.Keys);
    }

    [Fact]
    public async Task A_killed_server_loses_nothing_acknowledged()
    {
        var job = await Job();
        await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "killed",
                ["changeId"] = "c0",
                ["name"] = "job",
                ["unit"] = "in",
                ["document"] = job.DeepClone(),
            }
        );
        for (var at = 1; at <= 4; at++)
        {
            job["name"] = $"save {at}";
            var (status, saved) = await host.Send(
                HttpMethod.Put,
                "/api/jobs/killed",
                new JsonObject
                {
                    ["base"] = at,
                    ["changeId"] = $"c{at}",
                    ["step"] = "",
                    ["document"] = job.DeepClone(),
                }
            );
            Assert.Equal((HttpStatusCode.OK, at + 1), (status, (int)saved["revision"]!));
            host.KillAndRestart();
            Assert.Equal(
                $"save {at}",
                (string)(await host.Send(HttpMethod.Get, "/api/jobs/killed")).Body["document"]!["name"]!
            );
        }
    }

    [Fact]
    public async Task A_server_killed_between_commit_and_reply_makes_neither_conflict_nor_duplicate()
    {
        var job = await Job();
        await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "lost",
                ["changeId"] = "c0",
                ["name"] = "job",
                ["unit"] = "in",
                ["document"] = job.DeepClone(),
            }
        );
        job["name"] = "saved, reply lost";
        var save = new JsonObject
        {
            ["base"] = 1,
            ["changeId"] = "c1",
            ["step"] = "",
            ["document"] = job.DeepClone(),
        };
        using (
            var request = new HttpRequestMessage(HttpMethod.Put, "/api/jobs/lost")
            {
                Content = JsonContent.Create(save),
            }
        )
        {
            request.Headers.Add("X-Die-Before-Reply", "yes");
            await Assert.ThrowsAnyAsync<HttpRequestException>(() => host.Client.SendAsync(request));
        }
        host.Restart();
        Assert.Equal(2, (int)(await host.Send(HttpMethod.Get, "/api/jobs/lost")).Body["revision"]!); // it was committed
        var (status, again) = await host.Send(HttpMethod.Put, "/api/jobs/lost", save);
        Assert.Equal((HttpStatusCode.OK, 2), (status, (int)again["revision"]!));
        var (_, conflict) = await host.Send(
            HttpMethod.Put,
            "/api/jobs/lost",
            new JsonObject
            {
                ["base"] = 1,
                ["changeId"] = "other",
                ["step"] = "",
                ["document"] = job.DeepClone(),
            }
        );
        Assert.Equal(
            (409, "saved, reply lost"),
            ((int)conflict["status"]!, (string)conflict["current"]!["document"]!["name"]!)
        );
    }

    [Fact]
    public async Task A_document_out_of_bounds_is_refused_at_the_door()
    {
        var job = await Job(await Item("box-cushion-strip"), await Item("box-cushion-strip"));
        job["version"] = 99;
        job["name"] = "";
        var (status, problem) = await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "x",
                ["changeId"] = "c",
                ["name"] = "",
                ["unit"] = "in",
                ["document"] = job,
            }
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Equal(["version", "name", "id"], problem["errors"]!.AsArray().Select(error => (string)error!["field"]!));
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/jobs/none")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/nothing")).Status);
    }

    [Fact]
    public async Task Other_sites_and_other_hosts_are_kept_out()
    {
        using var foreign = new HttpRequestMessage(HttpMethod.Post, "/api/plan")
        {
            Content = JsonContent.Create(await Job()),
        };
        foreign.Headers.Add("Origin", "http://elsewhere.example");
        Assert.Equal(HttpStatusCode.Forbidden, (await host.Client.SendAsync(foreign)).StatusCode);
        using var other = new HttpRequestMessage(HttpMethod.Get, "/api/jobs");
        other.Headers.Host = "elsewhere.example";
        Assert.Equal(HttpStatusCode.BadRequest, (await host.Client.SendAsync(other)).StatusCode);
    }

    [Fact]
    public async Task Malformed_json_is_a_problem_not_a_crash()
    {
        using var content = new StringContent("{\"item\":", System.Text.Encoding.UTF8, "application/json");
        using var response = await host.Client.PostAsync(new Uri("/api/draft", UriKind.Relative), content);
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
    }

    [Fact]
    public async Task Missing_members_and_nulls_are_refused_not_a_crash()
    {
        var item = await Item("box-cushion-strip");
        item.AsObject().Remove("measures");
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await host.Post("/api/draft", new JsonObject { ["item"] = item, ["unit"] = "in" })).Status
        );
        item = await Item("box-cushion-strip");
        item["measures"]!["W"] = null;
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await host.Post("/api/draft", new JsonObject { ["item"] = item, ["unit"] = "in" })).Status
        );
        var job = await Job();
        job["items"] = new JsonArray((JsonNode?)null);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await host.Post("/api/plan", job)).Status);
    }

    // A bed begun in one step: three items that share their measurements; what is missing is told by field.
    [Fact]
    public async Task A_set_is_begun_in_one_step()
    {
        static JsonObject Asked(params (string Key, string Typed)[] entries) =>
            new()
            {
                ["set"] = "bed",
                ["id"] = "b",
                ["name"] = "Bunk",
                ["unit"] = "cm",
                ["entries"] = new JsonObject([
                    .. entries.Select(entry =>
                        KeyValuePair.Create<string, JsonNode?>(
                            entry.Key,
                            new JsonObject { ["typed"] = entry.Typed, ["unit"] = "cm" }
                        )
                    ),
                ]),
            };
        var (_, sets) = await host.Send(HttpMethod.Get, "/api/sets");
        var bed = sets.AsArray().Single(set => (string)set!["key"]! == "bed")!;
        var entries = bed["measures"]!
            .AsArray()
            .Select(measure => ((string)measure!["key"]!, (string)measure["centimetreExample"]!))
            .Append(("pillows", "2"))
            .ToArray();
        var (status, items) = await host.Post("/api/sets", Asked(entries));
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(
            ["Bunk: duvet cover", "Bunk: sheet", "Bunk: pillowcases"],
            items.AsArray().Select(item => (string)item!["name"]!)
        );
        var (refused, problem) = await host.Post("/api/sets", Asked([.. entries.Skip(1)]));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused);
        Assert.Equal("W", (string)Assert.Single(problem["errors"]!.AsArray())!["field"]!);
    }

    // A cloth that is washable and frays: its steps and cautions are those of the draft.
    [Fact]
    public async Task How_a_cloth_behaves_stands_in_the_steps()
    {
        var job = await Job(await Item("box-cushion-strip"));
        job["cloths"]![0]!["behaves"] = new JsonArray("washable", "frays");
        var (status, plan) = await host.Post("/api/plan", job);
        Assert.Equal(HttpStatusCode.OK, status);
        var steps = plan["items"]![0]!["draft"]!["pattern"]!["steps"]!.AsArray();
        Assert.StartsWith(
            "Wash, dry and press cloth before cutting",
            (string)steps[0]!["text"]!,
            StringComparison.Ordinal
        );
        Assert.Contains(steps, step => ((string)step!["text"]!).EndsWith(": zigzag cloth.", StringComparison.Ordinal));
        Assert.Contains(
            steps,
            step =>
                step!["cautions"]!
                    .AsArray()
                    .Any(caution => ((string)caution!).StartsWith("Shears", StringComparison.Ordinal))
        );
    }

    // A pad 18 in front, 14 behind, 16 deep, seams 1/2: its back corners lie 2 1/8 and 17 in, and every figure says how.
    [Fact]
    public async Task Setting_out_tells_how_its_figures_come_about()
    {
        var item = await Item("box-cushion-strip", ("choices", "shape", "tapered"), ("choices", "stations", "0"));
        (item["measures"]!["W"], item["measures"]!["B"], item["measures"]!["L"]) = (
            Entry("18"),
            Entry("14"),
            Entry("16")
        );
        item["choices"]!["ease"] = Entry("exact");
        var (status, draft) = await host.Post("/api/draft", new JsonObject { ["item"] = item, ["unit"] = "in" });
        Assert.Equal(HttpStatusCode.OK, status);
        var working = draft["pattern"]!["pieces"]![0]!["settingOut"]!["working"]!
            .AsArray()
            .Select(line => (string)line!)
            .ToList();
        Assert.Contains(
            "3 = stitch corner at 16 9/16, 16 1/2, 1/2 out from right, 1/2 out from back = 17 along, 17 across",
            working
        );
        Assert.Contains(
            working,
            line => line.StartsWith("1 to 3 straight across = root of (17² + 17²) = 24 1/16", StringComparison.Ordinal)
        );
        // A mark along a straight edge: the zip goes 3 in round each corner, and half an inch of allowance.
        var strip = draft["pattern"]!["pieces"]!
            .AsArray()
            .First(piece => (string)piece!["name"]! == "zip strip, half")!;
        Assert.Equal(
            new[] { "3", "4" }.Select(corner =>
                $"clip on outer = 3 along the stitch line + 1/2 that the cut line's corner lies further out = 3 1/2 from {corner}"
            ),
            strip["settingOut"]!["working"]!.AsArray().Select(line => (string)line!)
        );
        var works = draft["pattern"]!["works"]!.AsArray();
        Assert.Equal("1 time", (string)works.Single(work => (string)work!["name"]! == "filling")!["over"]!);
    }

    [Fact]
    public async Task The_workroom_is_told_once_and_can_be_told_again()
    {
        async Task<(HttpStatusCode, JsonNode)> Tell(string name, string unit, string zip = "zip")
        {
            var body = new JsonObject
            {
                ["name"] = name,
                ["unit"] = unit,
                ["words"] = new JsonObject { ["zip"] = zip },
            };
            using var reply = await host.Client.PutAsJsonAsync("/api/workroom", body);
            return (reply.StatusCode, JsonNode.Parse(await reply.Content.ReadAsStringAsync())!);
        }
        var before = JsonNode.Parse(await host.Client.GetStringAsync("/api/workroom"))!;
        Assert.Equal(("Heron Loft", true), ((string)before["name"]!, (bool)before["told"]!)); // the demo's
        foreach (
            var (name, reason) in new[]
            {
                ("  ", "it has no name"),
                (new string('x', 121), "longer than 120 characters"),
            }
        )
        {
            var (status, refused) = await Tell(name, "cm");
            Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
            Assert.Equal(reason, (string)refused["errors"]![0]!["reason"]!);
        }
        await Tell("Attic", "in");
        var (_, told) = await Tell(" The Attic ", "cm");
        Assert.Equal(("The Attic", "cm", true), ((string)told["name"]!, (string)told["unit"]!, (bool)told["told"]!));
        Assert.Equal(
            told.ToJsonString(),
            JsonNode.Parse(await host.Client.GetStringAsync("/api/workroom"))!.ToJsonString()
        );
        // Its words are those of every answer, of nothing that was typed, and outlive the server.
        var (unknown, why) = await Tell("The Attic", "cm", "teeth");
        Assert.Equal((HttpStatusCode.UnprocessableEntity, "words"), (unknown, (string)why["errors"]![0]!["field"]!));
        await Tell("The Attic", "cm", "zipper");
        host.KillAndRestart();
        var job = JsonNode.Parse(await host.Client.GetStringAsync("/api/jobs/demo-window-bench"))!["document"]!;
        job["items"]![0]!["name"] = "zip bag";
        job["cloths"]![0]!["name"] = "zip cloth";
        var plan = await host.Told("/api/plan?lay=instant", job);
        var shopping = plan["totals"]!["shopping"]!.AsArray().Select(line => (string)line!["name"]!).ToList();
        Assert.Contains(shopping, name => name.Contains("zipper", StringComparison.Ordinal));
        Assert.Contains("zip cloth", shopping);
        Assert.Equal("zip bag", (string)plan["totals"]!["shopping"]![0]!["for"]![0]!);
        var pieces = plan["items"]![0]!["draft"]!["pattern"]!["pieces"]!.AsArray();
        Assert.Contains(
            pieces,
            piece =>
                ((string)piece!["name"]!).StartsWith("zipper strip", StringComparison.Ordinal)
                && ((string)piece["key"]!).StartsWith("zip-strip", StringComparison.Ordinal)
        );
        await Tell("Heron Loft", "in");
    }

    // A property that was renamed would be told in other words no more, and nobody would know.
    [Fact]
    public void Every_text_that_is_told_in_the_words_of_the_workroom_is_there()
    {
        foreach (var (type, names) in Wrapper.Server.Workrooms.Wording.Told)
        foreach (var name in names)
            Assert.True(
                type.GetProperties()
                    .Any(property => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(property.Name) == name),
                $"{type.Name}.{name}"
            );
    }
}
