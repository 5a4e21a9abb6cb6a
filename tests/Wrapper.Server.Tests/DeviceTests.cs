using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>The stand-ins of the workshop: off until they are used, and refusing what the real ones would.</summary>
public sealed class DeviceTests(Host host) : IClassFixture<Host>
{
    private async Task<JsonNode> Get(string path) => (await host.Send(HttpMethod.Get, $"/api/devices/{path}")).Body;

    private Task<(HttpStatusCode Status, JsonNode Body)> Tape(bool on, int battery = 80, bool inReach = true) =>
        host.Send(
            HttpMethod.Put,
            "/api/devices/tape",
            new JsonObject
            {
                ["isOn"] = on,
                ["battery"] = battery,
                ["isInReach"] = inReach,
            }
        );

    private Task<(HttpStatusCode Status, JsonNode Body)> Read(string typed, string unit = "in", string within = "") =>
        host.Post(
            "/api/devices/tape/readings",
            new JsonObject
            {
                ["typed"] = typed,
                ["unit"] = unit,
                ["within"] = within,
            }
        );

    private async Task<StreamReader> Listen()
    {
        var reply = await host.Client.GetAsync(
            new Uri("/api/devices/tape/events", UriKind.Relative),
            HttpCompletionOption.ResponseHeadersRead
        );
        Assert.Equal("text/event-stream", reply.Content.Headers.ContentType?.MediaType);
        return new StreamReader(await reply.Content.ReadAsStreamAsync());
    }

    // The next event, as any reader of such streams takes it.
    private static async Task<JsonNode?> Next(StreamReader events)
    {
        string? data = null;
        while (await events.ReadLineAsync().WaitAsync(TimeSpan.FromSeconds(60)) is { } line)
        {
            if (line.Length == 0 && data is not null)
                return JsonNode.Parse(data);
            if (line.StartsWith("data: ", StringComparison.Ordinal))
                data = line["data: ".Length..];
        }
        return null;
    }

    [Fact]
    public async Task Readings_of_the_tape_go_to_whoever_listens_until_it_is_switched_off()
    {
        await Tape(on: false);
        Assert.Equal(HttpStatusCode.Conflict, (await Read("46 1/2")).Status);
        Assert.Equal(HttpStatusCode.Conflict, (await host.Send(HttpMethod.Get, "/api/devices/tape/events")).Status);
        await Tape(on: true);
        using var one = await Listen();
        using var other = await Listen();
        Assert.Equal(80, (int)(await Next(one))!["battery"]!);
        await Next(other);
        Assert.Equal(HttpStatusCode.NoContent, (await Read("46.5")).Status);
        Assert.Equal("46 1/2 in", $"{(await Next(one))!["reading"]}");
        Assert.Equal("46 1/2 in", $"{(await Next(other))!["reading"]}");
        await Read("118,1", "cm");
        Assert.Equal("118.1 cm", $"{(await Next(one))!["reading"]}");
        // Out of reach it reads nothing, and says so; its battery is told with it.
        await Tape(on: true, battery: 9, inReach: false);
        await Read("12");
        var said = await Next(one);
        Assert.Equal(("", 9), ($"{said!["reading"]}", (int)said["battery"]!));
        Assert.Contains("out of reach", $"{said["trouble"]}", StringComparison.Ordinal);
        Assert.Equal("", $"{(await Next(one))!["reading"]}");
        await Tape(on: false);
        Assert.Null(await Next(one));
    }

    [Theory]
    [InlineData("long", "in", "", "typed")]
    [InlineData("9999", "in", "", "typed")]
    [InlineData("12", "in", "9", "within")]
    [InlineData("12", "cm", "much", "within")]
    public async Task What_no_tape_reads_is_refused(string typed, string unit, string within, string field)
    {
        await Tape(on: true);
        var (status, told) = await Read(typed, unit, within);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Equal(field, $"{told["errors"]![0]!["field"]}");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Tape(on: true, battery: 101)).Status);
    }

    // To the sixteenth, a quarter of an inch off at the most; and not always the same.
    [Fact]
    public async Task A_reading_is_off_as_a_hand_is()
    {
        await Tape(on: true);
        using var events = await Listen();
        await Next(events);
        HashSet<string> found = [];
        for (var n = 0; n < 30; n++)
        {
            await Read("20", "in", "1/4");
            found.Add($"{(await Next(events))!["reading"]}");
        }
        string[] marks = ["19 3/4", "19 13/16", "19 7/8", "19 15/16", "20", "20 1/16", "20 1/8", "20 3/16", "20 1/4"];
        Assert.Subset(marks.Select(mark => $"{mark} in").ToHashSet(), found);
        Assert.True(found.Count > 2);
    }

    private Task<(HttpStatusCode Status, JsonNode Body)> Plotter(bool on, string along = "100", int faster = 1000) =>
        host.Send(
            HttpMethod.Put,
            "/api/devices/plotter",
            new JsonObject
            {
                ["isOn"] = on,
                ["across"] = "72",
                ["along"] = along,
                ["unit"] = "in",
                ["faster"] = faster,
            }
        );

    private async Task<(HttpStatusCode Status, JsonNode Body)> Send(string hpgl)
    {
        using var content = new StringContent(hpgl, Encoding.ASCII);
        using var reply = await host.Client.PostAsync(
            new Uri("/api/devices/plotter/files?name=lay", UriKind.Relative),
            content
        );
        return (reply.StatusCode, JsonNode.Parse(await reply.Content.ReadAsStringAsync())!);
    }

    private async Task<JsonNode> Until(params string[] states)
    {
        for (var tries = 0; tries < 1200; tries++)
        {
            var state = await Get("plotter");
            if (states.Contains($"{state["is"]}"))
                return state;
            await Task.Delay(50);
        }
        throw new InvalidOperationException($"the plotter is {(await Get("plotter"))["is"]}");
    }

    // 72 x 100 in are 1828 x 2540 mm: 73152 by 101600 counts.
    [Theory]
    [InlineData("PU0,0;", "does not begin with IN")]
    [InlineData("IN;SP1;PU0,0;PD73160,0;", "command 4 (PD73160,0): that lies off the bed")]
    [InlineData("IN;SP1;PU0,0;PD-1,0;", "off the bed")]
    [InlineData("IN;SP1;PU0,101601;", "off the bed")]
    [InlineData("IN;SP7;", "pens 0 to 2")]
    [InlineData("IN;SP1;PD10;", "two numbers")]
    [InlineData("IN;SP1;PDa,b;", "whole numbers")]
    [InlineData("IN;SP1;AA0,0,90;", "does not know it")]
    public async Task A_file_that_it_cannot_do_is_refused_with_the_command(string hpgl, string reason)
    {
        await Plotter(on: false);
        Assert.Equal(HttpStatusCode.Conflict, (await Send(hpgl)).Status);
        await Plotter(on: true);
        var (status, told) = await Send(hpgl);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains(reason, $"{told["detail"]}", StringComparison.Ordinal);
        Assert.Equal("ready", $"{(await Get("plotter"))["is"]}");
    }

    // A square of 100 mm after 50 mm lifted: 400 mm down. Its time by hand: 400 / 250 + 50 / 600 = 1.7 s.
    [Fact]
    public async Task It_cuts_what_the_file_says_and_counts_how_far_it_went()
    {
        await Plotter(on: true);
        Assert.Equal(
            HttpStatusCode.OK,
            (await Send("IN;CO\"a; b\";SP1;PU2000,0;PD6000,0,6000,4000,2000,4000,2000,0;SP0;")).Status
        );
        var done = await Until("done");
        Assert.Equal(("400", "50", "2"), ($"{done["down"]}", $"{done["lifted"]}", $"{done["seconds"]}"));
        Assert.Equal("M2000 0L6000 0L6000 4000L2000 4000L2000 0", $"{done["cut"]}");
    }

    [Fact]
    public async Task A_jam_stands_still_until_the_cloth_is_free_and_windows_wait_for_it()
    {
        // At its own speed, so that there is time to jam it.
        await Plotter(on: true, along: "60", faster: 1);
        var (status, sent) = await host.Send(HttpMethod.Post, "/api/jobs/demo-window-bench/cloths/slate/plot");
        Assert.True(status == HttpStatusCode.OK, $"{sent}");
        Assert.True((int)sent["windows"]! > 1);
        Assert.Equal("jammed", $"{(await host.Send(HttpMethod.Post, "/api/devices/plotter/jam")).Body["is"]}");
        var jammed = await Get("plotter");
        await Task.Delay(1200);
        Assert.Equal($"{jammed["cut"]}", $"{(await Get("plotter"))["cut"]}");
        // It takes nothing else meanwhile.
        Assert.Equal(HttpStatusCode.Conflict, (await Send("IN;SP1;PU0,0;PD400,0;")).Status);
        // Faster once it is free.
        await Plotter(on: true, along: "60");
        Assert.Equal("jammed", $"{(await Get("plotter"))["is"]}");
        await host.Send(HttpMethod.Post, "/api/devices/plotter/go-on");
        for (var window = 1; window < (int)sent["windows"]!; window++)
        {
            var waiting = await Until("waiting");
            Assert.Equal(window, (int)waiting["window"]!);
            await host.Send(HttpMethod.Post, "/api/devices/plotter/go-on");
        }
        var done = await Until("done");
        Assert.Equal($"{done["secondsInAll"]}", $"{done["seconds"]}");
        await Plotter(on: false);
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await host.Send(HttpMethod.Post, "/api/jobs/demo-window-bench/cloths/slate/plot")).Status
        );
    }

    // What a phone can do: say a reading at its own address; nothing else is served there, to whomever.
    [Fact]
    public async Task A_phone_of_the_local_network_is_the_tape_and_gets_nothing_else()
    {
        Assert.Empty((await Get("tape/phone")).AsArray());
        var port = Host.FreePort();
        using var room = Host.WithPhones(port);
        var told = (await room.Send(HttpMethod.Get, "/api/devices/tape/phone")).Body.AsArray();
        var key = new Uri($"{Assert.Single(told.Take(1))}").AbsolutePath;
        Assert.Matches("^/[0-9a-f]{16}$", key);
        using var phone = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        foreach (var path in new[] { "/", "/api/health", "/api/jobs", $"{key}0", $"{key}/", "/index.html" })
            Assert.Equal(HttpStatusCode.NotFound, (await phone.GetAsync(new Uri(path, UriKind.Relative))).StatusCode);
        async Task<(HttpStatusCode Status, string Page)> Say(string typed)
        {
            using var form = new FormUrlEncodedContent([new("typed", typed)]);
            using var reply = await phone.PostAsync(new Uri(key, UriKind.Relative), form);
            return (reply.StatusCode, await reply.Content.ReadAsStringAsync());
        }
        Assert.Contains("switched off", (await Say("46 1/2")).Page, StringComparison.Ordinal);
        await room.Send(
            HttpMethod.Put,
            "/api/devices/tape",
            JsonNode.Parse("""{"isOn":true,"battery":80,"isInReach":true}""")
        );
        using var stream = await room.Client.GetStreamAsync(new Uri("/api/devices/tape/events", UriKind.Relative));
        using var events = new StreamReader(stream);
        await Next(events);
        Assert.Contains("46 1/2 in is passed on", (await Say("46.5")).Page, StringComparison.Ordinal);
        Assert.Equal("46 1/2 in", $"{(await Next(events))!["reading"]}");
        // What cannot be read stays in the field, and is never more than words.
        var (status, page) = await Say("<script>9");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains("value=\"&lt;script&gt;9\"", page, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Say(new string('9', 100_000))).Status);
        Assert.Contains("For example", (await Say("")).Page, StringComparison.Ordinal);
    }
}
