using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>The week over the wire: promises, what waits, what is fixed by hand, and hours as people type them.</summary>
public sealed class WeekTests(Host host) : IClassFixture<Host>
{
    private static string Day(int after) =>
        DateTime.Now.Date.AddDays(after).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private async Task<JsonNode> Get(string path) => (await host.Send(HttpMethod.Get, path)).Body;

    private async Task<(HttpStatusCode Status, JsonNode Body)> Schedule(string job, Action<JsonNode> change)
    {
        var view = await Get($"/api/jobs/{job}/schedule");
        var schedule = view["schedule"]!.DeepClone();
        change(schedule);
        return await host.Send(
            HttpMethod.Put,
            $"/api/jobs/{job}/schedule",
            new JsonObject { ["from"] = view["revision"]!.DeepClone(), ["schedule"] = schedule }
        );
    }

    private async Task<(HttpStatusCode Status, JsonNode Body)> Hours(Action<JsonNode> change)
    {
        var view = await Get("/api/calendar");
        var calendar = view["calendar"]!.DeepClone();
        change(calendar);
        return await host.Send(
            HttpMethod.Put,
            "/api/calendar",
            new JsonObject { ["from"] = view["revision"]!.DeepClone(), ["calendar"] = calendar }
        );
    }

    private static JsonNode? Of(JsonNode list, string job, string key = "id") =>
        list.AsArray().FirstOrDefault(each => each![key]!.GetValue<string>() == job);

    private const string Someone =
        """[{"id":"a","name":"Wren","hours":["5","5","5","5","5","5","5"],"skills":["cutting","sewing","fitting","finishing"],"pace":"","other":[]}]""";

    // Everything is put aside but what the test says: one maker, five hours every day.
    private async Task Clear()
    {
        foreach (
            var job in new[]
            {
                "demo-window-bench",
                "demo-marigold",
                "demo-lodge-seats",
                "demo-reading-room",
                "demo-bunks",
                "demo-tables",
            }
        )
            await Schedule(
                job,
                schedule =>
                {
                    (
                        schedule["promised"],
                        schedule["askedFor"],
                        schedule["cloth"],
                        schedule["foam"],
                        schedule["inWeek"]
                    ) = ("", "", "unsaid", "unsaid", "no");
                    (schedule["fixed"], schedule["fittingOn"]) = (new JsonArray(), "");
                }
            );
        await Hours(calendar => (calendar["people"], calendar["other"]) = (JsonNode.Parse(Someone), new JsonArray()));
    }

    [Fact]
    public async Task A_promise_that_cannot_be_kept_is_told_with_what_helps_and_that_helps()
    {
        await Clear();
        var when = await Get("/api/jobs/demo-marigold/when");
        var date = when["date"]!.GetValue<string>();
        Assert.Contains("of work", $"{when["why"]![0]}", StringComparison.Ordinal);
        await Schedule("demo-marigold", schedule => (schedule["promised"], schedule["inWeek"]) = (date, "usual"));
        var week = await Get("/api/week");
        Assert.Empty(week["late"]!.AsArray());
        Assert.Equal(date, $"{Of(week["jobs"]!, "demo-marigold")!["done"]}");

        // Cloth comes later than it can still be made: late at once, with the day to promise instead.
        await Schedule("demo-marigold", schedule => (schedule["cloth"], schedule["clothOn"]) = ("ordered", Day(30)));
        week = await Get("/api/week?days=60");
        var late = Assert.Single(week["late"]!.AsArray())!;
        var remedy = late["remedies"]!.AsArray().Last()!;
        Assert.Contains("Promise it for", $"{remedy["text"]}", StringComparison.Ordinal);
        Assert.All(
            week["strips"]!.AsArray().Where(strip => $"{strip!["job"]}" == "demo-marigold"),
            strip => Assert.True(strip!["day"]!.GetValue<int>() >= 30)
        );
        await Schedule("demo-marigold", schedule => schedule["promised"] = remedy["date"]!.DeepClone());
        Assert.Empty((await Get("/api/week"))["late"]!.AsArray());

        // Ordered without a day: it waits, and says what for.
        await Schedule("demo-marigold", schedule => schedule["clothOn"] = "");
        week = await Get("/api/week");
        Assert.Contains("say when", $"{Of(week["waiting"]!, "demo-marigold")!["why"]}", StringComparison.Ordinal);
        Assert.Null((await Get("/api/jobs/demo-marigold/when"))["date"]);
    }

    [Fact]
    public async Task What_is_fixed_by_hand_stays_and_the_rest_makes_room()
    {
        await Clear();
        foreach (var job in new[] { "demo-marigold", "demo-reading-room" })
            await Schedule(job, schedule => schedule["inWeek"] = "yes");
        await Schedule(
            "demo-reading-room",
            schedule =>
                schedule["fixed"] = JsonNode.Parse($$"""[{"work":"cutting","person":"a","date":"{{Day(0)}}"}]""")
        );
        host.KillAndRestart();
        var week = await Get("/api/week");
        var first = week["strips"]!.AsArray()[0]!;
        Assert.Equal(
            ("demo-reading-room", "cutting", 0, true),
            ($"{first["job"]}", $"{first["work"]}", first["day"]!.GetValue<int>(), first["isFixed"]!.GetValue<bool>())
        );
        // A day off for everybody: nothing is on it, what was fixed there is told.
        await Hours(calendar =>
            calendar["other"] = JsonNode.Parse(
                $$"""[{"id":"x","from":"{{Day(0)}}","until":"","hours":"","why":"closed"}]"""
            )
        );
        week = await Get("/api/week");
        Assert.DoesNotContain(week["strips"]!.AsArray(), strip => strip!["day"]!.GetValue<int>() == 0);
        Assert.Contains(
            "no time left",
            $"{Of(week["jobs"]!, "demo-reading-room")!["told"]![0]}",
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task What_cannot_be_read_is_kept_as_typed_and_told()
    {
        await Clear();
        var (status, view) = await Schedule("demo-bunks", schedule => schedule["promised"] = "next friday");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(
            ("next friday", "promised"),
            ($"{view["schedule"]!["promised"]}", $"{view["problems"]![0]!["field"]}")
        );
        (status, view) = await Hours(calendar => calendar["people"]![0]!["hours"]![2] = "all day");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("people.a.hours.2", $"{view["problems"]![0]!["field"]}");
        (status, _) = await host.Send(
            HttpMethod.Put,
            "/api/calendar",
            new JsonObject { ["from"] = 1, ["calendar"] = view["calendar"]!.DeepClone() }
        );
        Assert.Equal(HttpStatusCode.Conflict, status);
        (status, _) = await host.Send(
            HttpMethod.Put,
            "/api/jobs/demo-bunks/schedule",
            new JsonObject
            {
                ["from"] = 0,
                ["schedule"] = new JsonObject { ["promised"] = Day(3) },
            }
        );
        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await host.Send(HttpMethod.Get, "/api/week?days=9999")).Status
        );
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/jobs/nobody/when")).Status);
        await Schedule("demo-bunks", schedule => schedule["promised"] = "");
    }
}
