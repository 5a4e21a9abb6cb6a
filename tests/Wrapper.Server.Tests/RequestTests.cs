using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace Wrapper.Server.Tests;

/// <summary>
/// Requests that stopped the server once, or were kept and never planned again. What is kept can be planned, or says
/// why not.
/// </summary>
public sealed class RequestTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Entry(string typed) => new() { ["typed"] = typed, ["unit"] = "in" };

    private async Task<JsonNode> Job(Action<JsonNode>? change = null)
    {
        var (_, item) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = "i1",
                ["name"] = "cushion",
                ["makeUp"] = "box-cushion-strip",
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        (item["measures"]!["W"], item["measures"]!["L"], item["measures"]!["T"]) = (
            Entry("20"),
            Entry("20"),
            Entry("4")
        );
        var (_, cloth) = await host.Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = "c1",
                ["name"] = "cloth",
                ["unit"] = "in",
            }
        );
        var job = new JsonObject
        {
            ["version"] = 1,
            ["name"] = "job",
            ["customer"] = "",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = new JsonArray(item),
            ["cloths"] = new JsonArray(cloth),
        };
        change?.Invoke(job);
        return job;
    }

    private async Task<HttpStatusCode> Keep(string id, JsonNode job) =>
        (
            await host.Post(
                "/api/jobs",
                new JsonObject
                {
                    ["id"] = id,
                    ["changeId"] = "c0",
                    ["name"] = "job",
                    ["unit"] = "in",
                    ["document"] = job.DeepClone(),
                }
            )
        ).Status;

    [Theory]
    [InlineData("W", "٤٦")]
    [InlineData("W", "１２")]
    [InlineData("W", "٣/٤")]
    [InlineData("price", "١٢")]
    [InlineData("shrinksAlong", "٥")]
    public async Task Digits_that_no_tape_has_are_refused_and_the_job_goes_on(string field, string typed)
    {
        var job = await Job(each =>
        {
            if (field == "W")
                each["items"]![0]!["measures"]!["W"] = Entry(typed);
            else
                each["cloths"]![0]![field] = typed;
        });
        Assert.Equal(HttpStatusCode.OK, await Keep($"digits-{Guid.NewGuid():N}", job));
        var (status, plan) = await host.Post("/api/plan", job);
        Assert.Equal(HttpStatusCode.OK, status);
        var problems = plan["items"]![0]!["draft"]!["problems"]!
            .AsArray()
            .Concat(plan["cloths"]![0]!["problems"]!.AsArray());
        Assert.Equal(typed, (string)Assert.Single(problems)!["given"]!);
    }

    // Of every list and map, and of every member that cannot be null.
    [Theory]
    [InlineData("items.0")]
    [InlineData("cloths.0")]
    [InlineData("items.0.measures.W")]
    [InlineData("items.0.choices.ease")]
    [InlineData("items.0.allowances.s")]
    [InlineData("items.0.otherCloths")]
    [InlineData("items.0.notes")]
    [InlineData("cloths.0.flaws.0")]
    [InlineData("cloths.0.pins.0")]
    [InlineData("cloths.0.cut.0")]
    [InlineData("cloths.0.stock.0")]
    [InlineData("cloths.0.prices.0")]
    [InlineData("cloths.0.otherWidths.0")]
    [InlineData("cloths.0.width")]
    [InlineData("removed")]
    public async Task Null_where_none_can_be_is_refused_with_its_place(string path)
    {
        var job = await Job();
        JsonNode at = job;
        var keys = path.Split('.');
        foreach (var key in keys[..^1])
            at = at is JsonArray list
                ? list[int.Parse(key, System.Globalization.CultureInfo.InvariantCulture)]!
                : at[key] ??= new JsonArray();
        if (at is JsonArray into)
        {
            into.Clear();
            into.Add(null);
        }
        else
            at[keys[^1]] = null;
        foreach (
            var (way, body) in new[]
            {
                ("/api/plan", job),
                (
                    "/api/jobs",
                    new JsonObject
                    {
                        ["id"] = "null",
                        ["changeId"] = "c",
                        ["name"] = "n",
                        ["unit"] = "in",
                        ["document"] = job.DeepClone(),
                    }
                ),
            }
        )
        {
            var (status, problem) = await host.Post(way, body);
            Assert.True(status is HttpStatusCode.UnprocessableEntity or HttpStatusCode.BadRequest, $"{status}");
            var told = (string)problem["detail"]!;
            Assert.Contains(keys.Last(key => !char.IsDigit(key[0])), told, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("unit", "0")]
    [InlineData("cloths.0.spread", "1")]
    [InlineData("items.0.matches", """{"panel": 1}""")]
    [InlineData("items.0.otherCloths", """{"1": "c1"}""")]
    [InlineData("items.0.measures.W", """{"typed": "20", "unit": 2}""")]
    public async Task A_number_in_place_of_a_name_is_refused(string path, string json)
    {
        var job = await Job();
        JsonNode at = job;
        var keys = path.Split('.');
        foreach (var key in keys[..^1])
            at = at is JsonArray list
                ? list[int.Parse(key, System.Globalization.CultureInfo.InvariantCulture)]!
                : at[key]!;
        at[keys[^1]] = JsonNode.Parse(json);
        var (status, problem) = await host.Post("/api/plan", job);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(keys[0], (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(long.MaxValue)]
    [InlineData(long.MinValue)]
    [InlineData(4_000_000_000_000L)]
    public async Task The_ends_of_the_number_range_are_refused_and_named(long far)
    {
        async Task Refused(string field, string path, JsonNode body)
        {
            var (status, problem) = await host.Post(path, body);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
            Assert.Contains(field, (string)problem["errors"]![0]!["field"]!, StringComparison.Ordinal);
        }
        var job = await Job();
        await Refused("before", $"/api/plan?before={far}", job.DeepClone());
        await Refused(
            "along",
            "/api/moves",
            new JsonObject
            {
                ["job"] = job.DeepClone(),
                ["cloth"] = "c1",
                ["piece"] = "i1/panel/1",
                ["turns"] = 0,
                ["along"] = far,
                ["across"] = 0,
            }
        );
        await Refused(
            "across",
            "/api/moves",
            new JsonObject
            {
                ["job"] = job.DeepClone(),
                ["cloth"] = "c1",
                ["piece"] = "i1/panel/1",
                ["turns"] = 0,
                ["along"] = 0,
                ["across"] = far,
            }
        );
        await Refused(
            "pins",
            "/api/plan",
            await Job(each =>
                each["cloths"]![0]!["pins"] = new JsonArray(
                    new JsonObject
                    {
                        ["piece"] = "i1/panel/1",
                        ["turns"] = 0,
                        ["x"] = 0,
                        ["y"] = far,
                    }
                )
            )
        );
        await Refused(
            "cut",
            "/api/plan",
            await Job(each =>
                each["cloths"]![0]!["cut"] = new JsonArray(
                    new JsonObject
                    {
                        ["piece"] = "i1/panel/1",
                        ["across"] = far,
                        ["along"] = 1,
                    }
                )
            )
        );
        var (moved, _) = await host.Post(
            "/api/moves",
            new JsonObject
            {
                ["job"] = job.DeepClone(),
                ["cloth"] = "c1",
                ["piece"] = "i1/panel/1",
                ["turns"] = int.MinValue,
                ["along"] = 0,
                ["across"] = 0,
            }
        );
        Assert.Equal(HttpStatusCode.OK, moved);
    }

    [Fact]
    public async Task An_article_no_longer_than_its_cut_edges_and_savings_without_cloths_are_answered()
    {
        var (status, plan) = await host.Post(
            "/api/plan",
            await Job(each =>
                (each["cloths"]![0]!["articleLength"], each["cloths"]![0]!["selvedge"]) = (Entry("2"), Entry("1"))
            )
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.NotEmpty(plan["cloths"]![0]!["problems"]!.AsArray());
        var (without, savings) = await host.Post("/api/savings", await Job(each => each["cloths"] = new JsonArray()));
        Assert.Equal((HttpStatusCode.OK, 0), (without, savings.AsArray().Count));
    }

    // By hand: the least that a shop cuts is bought, not laid.
    [Theory]
    [InlineData("leastCut", "many", "buy")]
    [InlineData("step", "0", "buy")]
    [InlineData("width", "2", "lay")]
    [InlineData("repeatAlong", "x", "lay")]
    public async Task A_problem_names_the_stage_that_mends_it(string field, string typed, string stage)
    {
        var plan = await host.Told("/api/plan", await Job(each => each["cloths"]![0]![field] = Entry(typed)));
        Assert.Equal(stage, (string)Assert.Single(plan["cloths"]![0]!["problems"]!.AsArray())!["stage"]!);
    }

    [Fact]
    public async Task An_entry_that_is_too_long_names_its_own_field()
    {
        var (status, problem) = await host.Post(
            "/api/plan",
            await Job(each => each["cloths"]![0]!["leastCut"] = Entry(new string('1', 5000)))
        );
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, "cloths.c1.leastCut"),
            (status, (string)problem["errors"]![0]!["field"]!)
        );
    }

    [Fact]
    public async Task More_pieces_or_widths_than_anybody_makes_are_refused_with_the_field()
    {
        var (_, many) = await host.Post(
            "/api/plan",
            await Job(each =>
            {
                each["items"]![0]!["quantity"] = "500";
                for (var n = 2; n < 5; n++)
                {
                    var more = each["items"]![0]!.DeepClone();
                    more["id"] = $"i{n}";
                    each["items"]!.AsArray().Add(more);
                }
            })
        );
        Assert.Contains(
            many["cloths"]![0]!["problems"]!.AsArray(),
            problem => (string)problem!["field"]! == "cloths.c1.pieces"
        );
        var (_, duvet) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = "d",
                ["name"] = "duvet",
                ["makeUp"] = "duvet-cover",
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        (duvet["measures"]!["W"], duvet["measures"]!["L"], duvet["allowances"]!["s"]) = (
            Entry("600"),
            Entry("600"),
            Entry("1 7/8")
        );
        var (status, tape) = await host.Post(
            "/api/plan",
            await Job(each =>
            {
                each["items"] = new JsonArray(duvet.DeepClone());
                (each["cloths"]![0]!["width"], each["cloths"]![0]!["selvedge"]) = (Entry("4"), Entry("0"));
            })
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains(
            tape["cloths"]![0]!["problems"]!.AsArray(),
            problem => (string)problem!["field"]! == "cloths.c1.width"
        );
    }

    [Fact]
    public async Task A_change_id_with_another_document_is_a_conflict_and_a_job_can_be_found_taken_away_and_brought_back()
    {
        var job = await Job();
        Assert.Equal(HttpStatusCode.OK, await Keep("ids", job));
        JsonObject Save(long from, string id, string name)
        {
            var document = job.DeepClone();
            document["name"] = name;
            return new JsonObject
            {
                ["base"] = from,
                ["changeId"] = id,
                ["step"] = "",
                ["document"] = document,
            };
        }
        Assert.Equal(
            HttpStatusCode.OK,
            (await host.Send(HttpMethod.Put, "/api/jobs/ids", Save(1, "x", "bosun"))).Status
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (await host.Send(HttpMethod.Put, "/api/jobs/ids", Save(1, "x", "bosun"))).Status
        );
        var (status, conflict) = await host.Send(HttpMethod.Put, "/api/jobs/ids", Save(1, "x", "another"));
        Assert.Equal((HttpStatusCode.Conflict, "bosun"), (status, (string)conflict["current"]!["document"]!["name"]!));
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await host.Post("/api/jobs/ids/undo", new JsonObject { ["base"] = 2, ["changeId"] = "x" })).Status
        );

        Assert.Equal(
            "ids",
            (string)Assert.Single((await host.Send(HttpMethod.Get, "/api/jobs?q=BOSUN&limit=5")).Body.AsArray())!["id"]!
        );
        using (var gone = await host.Client.DeleteAsync(new Uri("/api/jobs/ids", UriKind.Relative)))
            Assert.Equal(HttpStatusCode.NoContent, gone.StatusCode);
        Assert.Contains(
            "was deleted",
            (string)(await host.Send(HttpMethod.Get, "/api/jobs/ids")).Body["detail"]!,
            StringComparison.Ordinal
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await host.Send(HttpMethod.Put, "/api/jobs/ids", Save(2, "y", "late"))).Status
        );
        using (var back = await host.Client.PostAsync(new Uri("/api/jobs/ids/bring-back", UriKind.Relative), null))
            Assert.Equal(HttpStatusCode.NoContent, back.StatusCode);
        Assert.Equal(2, (int)(await host.Send(HttpMethod.Get, "/api/jobs/ids")).Body["revision"]!);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await host.Send(HttpMethod.Get, "/api/jobs?limit=0")).Status);
        using (var away = await host.Client.PostAsync(new Uri("/api/jobs/ids/put-away", UriKind.Relative), null))
            Assert.Equal(HttpStatusCode.NoContent, away.StatusCode);
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/jobs?q=bosun")).Body.AsArray());
        Assert.Single((await host.Send(HttpMethod.Get, "/api/jobs?q=bosun&kept=Away&order=Name")).Body.AsArray());
    }

    // The same job in another one, once however often it is asked for; what was cut of the one is whole in the other.
    [Fact]
    public async Task A_copy_is_made_once_and_nothing_of_it_is_cut()
    {
        var job = await Job();
        job["cloths"]![0]!["cut"] = new JsonArray(
            new JsonObject
            {
                ["piece"] = "i1/cover/1",
                ["across"] = 3840,
                ["along"] = 3840,
            }
        );
        Assert.Equal(HttpStatusCode.OK, await Keep("first", job));
        var ask = new JsonObject
        {
            ["id"] = "second",
            ["changeId"] = "copied",
            ["name"] = "Again",
        };
        var (status, copy) = await host.Post("/api/jobs/first/copy", ask.DeepClone());
        Assert.Equal((HttpStatusCode.OK, "Again"), (status, (string)copy["document"]!["name"]!));
        Assert.Empty(copy["document"]!["cloths"]![0]!["cut"]!.AsArray());
        Assert.Equal(job["items"]!.ToJsonString(), copy["document"]!["items"]!.ToJsonString());
        var (again, same) = await host.Post("/api/jobs/first/copy", ask);
        Assert.Equal((HttpStatusCode.OK, 1), (again, (int)same["revision"]!));
        Assert.Equal(HttpStatusCode.NotFound, (await host.Post("/api/jobs/none/copy", ask)).Status);
        var (_, progress) = await host.Send(HttpMethod.Get, "/api/jobs/second/progress?at=1");
        Assert.Equal(7, progress["stages"]!.AsArray().Count);
        Assert.Equal("done", (string)progress["stages"]![0]!["state"]!);
    }

    // One bad row: it says so itself, and nothing else fails with it. A kept lay that is broken is laid anew.
    [Fact]
    public async Task A_document_or_lay_that_cannot_be_read_is_told_and_harms_nothing_else()
    {
        var job = await Job();
        foreach (var id in (string[])["sound", "broken"])
            Assert.Equal(HttpStatusCode.OK, await Keep(id, job));
        using (
            var connection = new SqliteConnection($"Data Source={Path.Combine(host.Data, "wrapper.db")};Pooling=False")
        )
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText =
                "UPDATE revisions SET content = CAST('{\"name\": ' AS BLOB), onto = NULL WHERE job_id = 'broken'";
            Assert.Equal(1, command.ExecuteNonQuery());
        }
        var (status, told) = await host.Send(HttpMethod.Get, "/api/jobs/broken");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains("cannot be read", (string)told["detail"]!, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Get, "/api/jobs/sound")).Status);
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Get, "/api/jobs")).Status);
        Assert.Equal(
            HttpStatusCode.OK,
            (await host.Post("/api/remnants", new JsonObject { ["job"] = job.DeepClone(), ["cloth"] = "c1" })).Status
        );
    }

    // Nine at once on a few threads: the last one waits, knows its place, moves up, and everything else is answered
    // meanwhile.
    [Fact]
    public async Task Costly_calls_wait_in_line_and_know_their_place()
    {
        var job = await Job(each =>
        {
            for (var n = 2; n < 5; n++)
            {
                var more = each["items"]![0]!.DeepClone();
                (more["id"], more["measures"]!["W"], more["measures"]!["r"]) = (
                    $"i{n}",
                    Entry($"{20 + n}"),
                    Entry("2")
                );
                each["items"]!.AsArray().Add(more);
            }
        });
        using var enough = new CancellationTokenSource();
        var calls = Enumerable
            .Range(0, 9)
            .Select(async n =>
            {
                // Another size each, so that none finds the lay of another.
                var own = job.DeepClone();
                own["items"]![0]!["measures"]!["W"] = Entry($"{30 + n}");
                using var request = new HttpRequestMessage(HttpMethod.Post, "/api/savings")
                {
                    Content = System.Net.Http.Json.JsonContent.Create(own),
                    Headers = { { "X-Call", $"call{n}" } },
                };
                try
                {
                    using var answer = await host.Client.SendAsync(request, enough.Token);
                    // On a machine that is busy one may run out of its time, which it is told.
                    return (await answer.Content.ReadAsStringAsync(enough.Token)).Contains(
                        "this takes longer than",
                        StringComparison.Ordinal
                    )
                        ? 200
                        : (int)answer.StatusCode;
                }
                catch (OperationCanceledException)
                {
                    return 0;
                }
            })
            .ToList();
        var places = new List<int>();
        for (var tries = 0; tries < 400 && !calls.All(call => call.IsCompleted); tries++)
        {
            places.Add(
                Enumerable
                    .Range(0, 9)
                    .Max(n =>
                        (int)host.Send(HttpMethod.Get, $"/api/waiting/call{n}").GetAwaiter().GetResult().Body["place"]!
                    )
            );
            if (places[^1] > 0 && places[^1] < places.Max())
                break;
            await Task.Delay(10);
        }
        Assert.True(places.Max() > 0, "nothing ever waited");
        await enough.CancelAsync();
        Assert.All(await Task.WhenAll(calls), status => Assert.Contains(status, (int[])[0, 200]));
        // The server hears of a caller that went away a little later.
        async Task<int> Place() => (int)(await host.Send(HttpMethod.Get, "/api/waiting/call8")).Body["place"]!;
        for (var tries = 0; tries < 400 && await Place() > 0; tries++)
            await Task.Delay(10);
        Assert.Equal(0, await Place());
    }
}
