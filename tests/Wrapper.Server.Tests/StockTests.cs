using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>The shelves over the wire: reserved by jobs, counted, low; and where a batch went.</summary>
public sealed class StockTests(Host host) : IClassFixture<Host>
{
    private async Task<JsonNode> Get(string path) => (await host.Send(HttpMethod.Get, path)).Body;

    private Task<(HttpStatusCode Status, JsonNode Body)> Keep(string id, int from, string row) =>
        host.Send(
            HttpMethod.Put,
            $"/api/stock/{id}",
            new JsonObject { ["from"] = from, ["row"] = JsonNode.Parse(row) }
        );

    private static JsonNode? Row(JsonNode shelves, string id) =>
        shelves["rows"]!.AsArray().FirstOrDefault(each => $"{each!["id"]}" == id);

    private async Task Change(string job, Action<JsonNode> change)
    {
        var view = await Get($"/api/jobs/{job}");
        var document = view["document"]!.DeepClone();
        change(document);
        var (status, _) = await host.Send(
            HttpMethod.Put,
            $"/api/jobs/{job}",
            new JsonObject
            {
                ["base"] = view["revision"]!.DeepClone(),
                ["changeId"] = Guid.NewGuid().ToString("N")[..12],
                ["step"] = "",
                ["document"] = document,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
    }

    [Fact]
    public async Task What_a_job_lays_under_its_pieces_is_reserved_until_it_is_taken_out()
    {
        await Keep(
            "r1",
            0,
            """{"kind":"part-roll","name":"slate WOOL twill","batch":"SW 1","place":"rack","length":{"typed":"3 yd","unit":"in"}}"""
        );
        var offered = Row(await Get("/api/stock?cloth=Slate%20wool%20twill"), "r1")!;
        Assert.Equal(("3 yd", 0), ($"{offered["amount"]}", offered["reserved"]!.AsArray().Count));
        var before = await Get("/api/jobs/demo-window-bench");
        var bought = await Bought(before["document"]!);
        await Change(
            "demo-window-bench",
            job =>
                job["cloths"]![0]!["stock"] = JsonNode.Parse(
                    """[{"id":"shelf-r1","name":"rack","length":{"typed":"3 yd","unit":"in"},"width":null}]"""
                )
        );
        // Used first: less is bought, and the row knows for whom it is.
        Assert.True(await Bought((await Get("/api/jobs/demo-window-bench"))["document"]!) < bought);
        host.KillAndRestart();
        Assert.Equal("demo-window-bench", $"{Row(await Get("/api/stock"), "r1")!["reserved"]![0]!["job"]}");
        var (status, refused) = await host.Send(HttpMethod.Delete, "/api/stock/r1");
        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Contains("Window bench", $"{refused["detail"]}", StringComparison.Ordinal);
        await Change("demo-window-bench", job => job["cloths"]![0]!["stock"] = new JsonArray());
        Assert.Equal(HttpStatusCode.NoContent, (await host.Send(HttpMethod.Delete, "/api/stock/r1")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Delete, "/api/stock/r1")).Status);
    }

    [Fact]
    public async Task Zips_that_a_job_takes_are_reserved_and_taken_out_once()
    {
        await Keep("z9", 0, """{"kind":"zip","name":"zip, 24 in","count":"9","mark":"6"}""");
        JsonNode Taken(string count, bool isOut = false) =>
            JsonNode.Parse(
                $$$"""[{"id":"t1","thing":"zip","stock":"z9","amount":{"typed":"{{{count}}}","unit":"in"},"isOut":{{{(isOut ? "true" : "false")}}}}]"""
            )!;
        await Change("demo-marigold", job => job["fromShelves"] = Taken("4"));
        host.KillAndRestart();
        var shelves = await Get("/api/stock");
        var row = Row(shelves, "z9")!;
        Assert.Equal(("9", "5"), ($"{row["amount"]}", $"{row["free"]}"));
        Assert.Equal(("demo-marigold", "4"), ($"{row["reserved"]![0]!["job"]}", $"{row["reserved"]![0]!["amount"]}"));
        Assert.Contains(shelves["low"]!.AsArray(), low => $"{low!["name"]}" == "zip, 24 in");
        Assert.Equal(HttpStatusCode.Conflict, (await host.Send(HttpMethod.Delete, "/api/stock/z9")).Status);
        await Change("demo-marigold", job => job["fromShelves"] = Taken("40"));
        Assert.Contains(
            "reserved 40, and 9 is there",
            $"{Row(await Get("/api/stock"), "z9")!["problems"]}",
            StringComparison.Ordinal
        );

        // Taken out with one hand, tapped twice: it counts once.
        Task<(HttpStatusCode Status, JsonNode Body)> Out(int from, string count) =>
            host.Post(
                "/api/stock/z9/out",
                new JsonObject
                {
                    ["from"] = from,
                    ["amount"] = new JsonObject { ["typed"] = count, ["unit"] = "in" },
                }
            );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Out(1, "40")).Status);
        Assert.Equal("5", $"{(await Out(1, "4")).Body["row"]!["count"]}");
        Assert.Equal(HttpStatusCode.Conflict, (await Out(1, "4")).Status);
        await Change("demo-marigold", job => job["fromShelves"] = Taken("4", isOut: true));
        row = Row(await Get("/api/stock"), "z9")!;
        Assert.Equal(("5", 0), ($"{row["free"]}", row["reserved"]!.AsArray().Count));
        Assert.Equal(HttpStatusCode.NotFound, (await host.Post("/api/stock/none/out", TakeNothing())).Status);
        await Change("demo-marigold", job => job["fromShelves"] = new JsonArray());
    }

    private static JsonObject TakeNothing() =>
        new()
        {
            ["from"] = 1,
            ["amount"] = new JsonObject { ["typed"] = "1", ["unit"] = "in" },
        };

    [Fact]
    public async Task A_remnant_has_one_photo_that_goes_with_it()
    {
        await Keep("left", 0, """{"kind":"remnant","name":"Plum","length":{"typed":"20","unit":"in"}}""");
        byte[] png = [.. Convert.FromBase64String(Dot)];
        async Task<HttpStatusCode> Put(string id, byte[] bytes)
        {
            using var content = new ByteArrayContent(bytes);
            using var reply = await host.Client.PutAsync(new Uri($"/api/stock/{id}/photo", UriKind.Relative), content);
            return reply.StatusCode;
        }
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("left", "no picture"u8.ToArray()));
        Assert.Equal(HttpStatusCode.NotFound, await Put("nowhere", png));
        Assert.False(Row(await Get("/api/stock"), "left")!["hasPhoto"]!.GetValue<bool>());
        Assert.Equal(HttpStatusCode.NoContent, await Put("left", png));
        Assert.Equal(HttpStatusCode.NoContent, await Put("left", png));
        host.KillAndRestart();
        Assert.True(Row(await Get("/api/stock"), "left")!["hasPhoto"]!.GetValue<bool>());
        using (var shown = await host.Client.GetAsync(new Uri("/api/stock/left/photo", UriKind.Relative)))
            Assert.Equal("image/png", shown.Content.Headers.ContentType?.MediaType);
        using (var small = await host.Client.GetAsync(new Uri("/api/stock/left/photo?small=true", UriKind.Relative)))
            Assert.Equal("image/jpeg", small.Content.Headers.ContentType?.MediaType);
        // Gone with the row: the next of this id has none.
        await host.Send(HttpMethod.Delete, "/api/stock/left");
        await Keep("left", 0, """{"kind":"remnant","name":"Rust","length":{"typed":"9","unit":"in"}}""");
        Assert.False(Row(await Get("/api/stock"), "left")!["hasPhoto"]!.GetValue<bool>());
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Delete, "/api/stock/left/photo")).Status);
    }

    // One white pixel.
    private const string Dot =
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==";

    private async Task<long> Bought(JsonNode job)
    {
        var plan = await host.Told("/api/plan?lay=instant", job.DeepClone());
        return plan["cloths"]![0]!["buying"]!["bought"]!["ticks"]!.GetValue<long>();
    }

    [Fact]
    public async Task What_is_counted_below_its_mark_is_to_be_bought_and_less_than_nothing_is_refused()
    {
        await Keep("z1", 0, """{"kind":"zip","name":"zip, 22 in","count":"9","mark":"8"}""");
        Assert.DoesNotContain((await Get("/api/stock"))["low"]!.AsArray(), low => $"{low!["name"]}" == "zip, 22 in");
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await Keep("z1", 1, """{"kind":"zip","name":"zip, 22 in","count":"-1","mark":"8"}""")).Status
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await Keep(
                    "z1",
                    1,
                    """{"kind":"zip","name":"zip, 22 in","count":"7","mark":"8","countedOn":"2026-03-02"}"""
                )
            ).Status
        );
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await Keep("z1", 1, """{"kind":"zip","name":"zip, 22 in","count":"6"}""")).Status
        );
        Assert.Equal(
            "7",
            $"{(await Get("/api/stock"))["low"]!.AsArray().Single(low => $"{low!["name"]}" == "zip, 22 in")!["there"]}"
        );
        var (_, kept) = await Keep("z2", 0, """{"kind":"zip","name":"","count":"many"}""");
        Assert.Equal(["name", "count"], kept["problems"]!.AsArray().Select(each => $"{each!["field"]}"));
        Assert.Equal("many", $"{kept["row"]!["count"]}");
        Assert.NotNull(Row(await Get("/api/stock?q=22%20ZIP"), "z1"));
        Assert.Null(Row(await Get("/api/stock?q=23%20zip"), "z1"));
    }

    [Fact]
    public async Task A_batch_is_followed_to_every_cover_and_its_customer()
    {
        // The stools of the reading room are handed over from this batch; the rest of the job is not.
        var recall = await Get("/api/recall?batch=h%202207");
        var customer = Assert.Single(recall["customers"]!.AsArray())!;
        Assert.Equal("Mill Lane Reading Room", $"{customer["name"]}");
        Assert.Contains("01632 960 131", $"{customer["reached"]![0]}", StringComparison.Ordinal);
        var covers = customer["covers"]!.AsArray();
        Assert.Equal("2026-03-14", $"{covers.Single(each => $"{each!["item"]}" == "stool")!["handedOver"]}");
        Assert.All(
            covers.Where(each => $"{each!["item"]}" != "stool"),
            each => Assert.Equal("", $"{each!["handedOver"]}")
        );
        // Another batch for what is still to be cut: the stools keep theirs.
        await Change(
            "demo-reading-room",
            job => job["cloths"]!.AsArray().Single(each => $"{each!["id"]}" == "rust")!["batch"] = "H 9"
        );
        Assert.Empty((await Get("/api/recall?batch=none%20such"))["customers"]!.AsArray());
        Assert.DoesNotContain(
            (await Get("/api/recall?batch=H%209"))["customers"]![0]!["covers"]!.AsArray(),
            each => $"{each!["item"]}" == "stool"
        );
        Assert.Equal(
            "stool",
            $"{Assert.Single((await Get("/api/recall?batch=H%202207"))["customers"]![0]!["covers"]!.AsArray())!["item"]}"
        );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await host.Send(HttpMethod.Get, "/api/recall?batch=%20")).Status
        );
        Assert.Equal("slate-roll", $"{(await Get("/api/recall?batch=SW%204411"))["shelves"]![0]!["id"]}");
    }
}
