using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>Earlier states of a job told in words, and templates, over the wire.</summary>
public sealed class StateTests(Host host) : IClassFixture<Host>
{
    private async Task<JsonNode> Get(string path) => (await host.Send(HttpMethod.Get, path)).Body;

    private async Task Begin(string id)
    {
        var (status, _) = await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = id,
                ["changeId"] = "begun",
                ["name"] = "Bench",
                ["unit"] = "in",
                ["document"] = null,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var (_, item) = await host.Post(
            "/api/items",
            JsonNode.Parse("""{"id":"a","name":"Seat","makeUp":"box-cushion-strip","unit":"in","from":null}""")!
        );
        await Save(
            id,
            job =>
            {
                item["measures"] = JsonNode.Parse(
                    """{"W":{"typed":"40","unit":"in"},"L":{"typed":"18","unit":"in"},"T":{"typed":"3","unit":"in"}}"""
                );
                job["items"] = new JsonArray(item.DeepClone());
                job["customer"] = "Mill Lane";
            }
        );
    }

    private async Task Save(string id, Action<JsonNode> change)
    {
        var view = await Get($"/api/jobs/{id}");
        var document = view["document"]!.DeepClone();
        change(document);
        var (status, body) = await host.Send(
            HttpMethod.Put,
            $"/api/jobs/{id}",
            new JsonObject
            {
                ["base"] = view["revision"]!.DeepClone(),
                ["changeId"] = Guid.NewGuid().ToString("N")[..12],
                ["step"] = "",
                ["document"] = document,
            }
        );
        Assert.True(status == HttpStatusCode.OK, $"{body}");
    }

    private Task Length(string id, string typed) =>
        Save(id, job => job["items"]![0]!["measures"]!["L"]!["typed"] = typed);

    [Fact]
    public async Task Each_state_says_what_had_changed_and_a_named_one_can_be_gone_back_to()
    {
        await Begin("told");
        await Length("told", "19 1/4");
        await Length("told", "19 1/2");
        var states = (await Get("/api/jobs/told/states"))["states"]!.AsArray();
        Assert.Contains("19 1/4, now 19 1/2", $"{states[0]!["told"]}", StringComparison.Ordinal);
        Assert.Contains("18, now 19 1/4", $"{states[1]!["told"]}", StringComparison.Ordinal);
        Assert.Equal("begun", $"{states[^1]!["told"]![0]}");
        var number = states[1]!["number"]!.GetValue<long>();
        Task<(HttpStatusCode Status, JsonNode Body)> Name(long of, string name) =>
            host.Send(HttpMethod.Put, $"/api/jobs/told/states/{of}/name", new JsonObject { ["name"] = name });
        Assert.Equal(HttpStatusCode.NoContent, (await Name(number, "as quoted")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await Name(9999, "never")).Status);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Name(number, new string('x', 81))).Status);
        host.KillAndRestart();
        var named = Assert.Single((await Get("/api/jobs/told/states"))["named"]!.AsArray())!;
        Assert.Equal(("as quoted", number), ($"{named["name"]}", named["number"]!.GetValue<long>()));
        var then = await Get($"/api/jobs/told/states/{number}");
        Assert.Equal("19 1/4", $"{then["items"]![0]!["measures"]!["L"]!["typed"]}");
        // Since then: a quarter of an inch.
        Assert.Contains(
            "19 1/4, now 19 1/2",
            $"{(await Get($"/api/jobs/told/states/{number}/now"))["told"]}",
            StringComparison.Ordinal
        );
        // Back to it by saving it; what was since stays among the states.
        await Save("told", job => job["items"] = then["items"]!.DeepClone());
        Assert.Empty((await Get($"/api/jobs/told/states/{number}/now"))["told"]!.AsArray());
        Assert.True((await Get("/api/jobs/told/states"))["states"]!.AsArray().Count > states.Count);
        Assert.Equal(HttpStatusCode.NoContent, (await Name(number, "")).Status);
        Assert.Empty((await Get("/api/jobs/told/states"))["named"]!.AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/jobs/none/states")).Status);
    }

    [Fact]
    public async Task States_are_told_page_by_page()
    {
        await Begin("pages");
        for (var n = 20; n < 60; n++)
            await Length("pages", $"{n}");
        var first = await Get("/api/jobs/pages/states");
        Assert.True(first["more"]!.GetValue<bool>());
        var oldest = first["states"]!.AsArray()[^1]!["number"]!.GetValue<long>();
        var second = await Get($"/api/jobs/pages/states?before={oldest}");
        Assert.False(second["more"]!.GetValue<bool>());
        var numbers = first["states"]!
            .AsArray()
            .Concat(second["states"]!.AsArray())
            .Select(state => state!["number"]!.GetValue<long>())
            .ToList();
        // Every edit once, the latest first, none between two pages left out.
        Assert.Equal(42, numbers.Count);
        Assert.Equal(numbers.OrderDescending(), numbers);
        Assert.Equal(numbers.Distinct(), numbers);
    }

    [Fact]
    public async Task A_template_has_the_covers_and_nothing_of_whose_they_were()
    {
        await Begin("bench");
        await Save(
            "bench",
            job =>
            {
                job["items"]![0]!["notes"] = "Cat sleeps here.";
                job["fromShelves"] = JsonNode.Parse(
                    """[{"id":"t","thing":"foam","stock":"foam","amount":{"typed":"1","unit":"in"},"isOut":false}]"""
                );
            }
        );
        Task<(HttpStatusCode Status, JsonNode Body)> Keep(string name) =>
            host.Post(
                "/api/templates",
                new JsonObject
                {
                    ["id"] = "t1",
                    ["job"] = "bench",
                    ["name"] = name,
                }
            );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Keep("  ")).Status);
        Assert.Equal(1, (await Keep("Bay bench")).Body["items"]!.GetValue<int>());
        // Kept twice, as when a reply was lost, it is there once.
        await Keep("Bay bench");
        host.KillAndRestart();
        Assert.Single((await host.Send(HttpMethod.Get, "/api/templates")).Body.AsArray());
        var (status, _) = await host.Post(
            "/api/templates/t1/begin",
            new JsonObject
            {
                ["id"] = "again",
                ["changeId"] = "c",
                ["name"] = "The same in plum",
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var begun = (await Get("/api/jobs/again"))["document"]!;
        Assert.Equal(("The same in plum", ""), ($"{begun["name"]}", $"{begun["customer"]}"));
        Assert.Equal("40", $"{begun["items"]![0]!["measures"]!["W"]!["typed"]}");
        Assert.Equal("", $"{begun["items"]![0]!["notes"]}");
        Assert.Empty(begun["fromShelves"]!.AsArray());
        Assert.Equal(HttpStatusCode.NoContent, (await host.Send(HttpMethod.Delete, "/api/templates/t1")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Delete, "/api/templates/t1")).Status);
        // A job that was begun from it stays.
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Get, "/api/jobs/again")).Status);
    }
}
