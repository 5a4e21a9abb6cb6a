using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>Files of jobs and of the workroom over the wire: what they are, what they are called, what is refused.</summary>
public sealed class ExportTests(Host host) : IClassFixture<Host>
{
    private async Task<(HttpStatusCode Status, HttpContentHeaders Headers, byte[] Bytes)> Get(string path)
    {
        using var reply = await host.Client.GetAsync(new Uri($"/api/{path}", UriKind.Relative));
        return (reply.StatusCode, reply.Content.Headers, await reply.Content.ReadAsByteArrayAsync());
    }

    [Theory]
    [InlineData(
        "jobs/demo-window-bench/cloths/slate/lay.dxf",
        "image/vnd.dxf",
        "Window bench, east bay - Slate wool twill.dxf"
    )]
    [InlineData(
        "jobs/demo-window-bench/cloths/slate/lay.svg",
        "image/svg+xml",
        "Window bench, east bay - Slate wool twill.svg"
    )]
    [InlineData(
        "jobs/demo-window-bench/items/bench-middle/drawing.svg",
        "image/svg+xml",
        "Window bench, east bay - Middle cushion.svg"
    )]
    [InlineData(
        "jobs/demo-window-bench/items/bench-middle/drawing.pdf?paper=a3",
        "application/pdf",
        "Window bench, east bay - Middle cushion - A3.pdf"
    )]
    [InlineData("jobs/demo-window-bench/tables/cut-list.csv", "text/csv", "Window bench, east bay - Cut list.csv")]
    [InlineData("jobs/demo-window-bench/tables/time-log.csv", "text/csv", "Window bench, east bay - Time log.csv")]
    [InlineData(
        "jobs/demo-window-bench/cloths/slate/plot.plt",
        "application/vnd.hp-hpgl",
        "Window bench, east bay - Slate wool twill.plt"
    )]
    [InlineData(
        "jobs/demo-window-bench/cloths/slate/plot.nc?tool=pen&along=1%20m",
        "text/x-gcode",
        "Window bench, east bay - Slate wool twill.nc"
    )]
    [InlineData("tables/customers.vcf", "text/vcard", "Customers.vcf")]
    [InlineData("tables/prices.csv", "text/csv", "Prices.csv")]
    [InlineData("week.ics", "text/calendar", "Workroom.ics")]
    public async Task Each_file_has_its_type_and_a_name_that_a_person_would_choose(
        string path,
        string type,
        string name
    )
    {
        var (status, headers, bytes) = await Get(path);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(type, headers.ContentType?.MediaType);
        Assert.Equal("attachment", headers.ContentDisposition?.DispositionType);
        Assert.Equal(name, headers.ContentDisposition?.FileNameStar);
        Assert.NotEmpty(bytes);
    }

    [Theory]
    [InlineData("jobs/none/cloths/slate/lay.dxf", HttpStatusCode.NotFound)]
    [InlineData("jobs/demo-window-bench/cloths/none/lay.dxf", HttpStatusCode.NotFound)]
    [InlineData("jobs/demo-window-bench/items/none/drawing.svg", HttpStatusCode.NotFound)]
    [InlineData("jobs/demo-window-bench/items/bench-middle/drawing.svg?piece=none", HttpStatusCode.NotFound)]
    [InlineData("jobs/demo-window-bench/items/bench-middle/drawing.bmp", HttpStatusCode.NotFound)]
    [InlineData(
        "jobs/demo-window-bench/items/bench-middle/drawing.pdf?paper=napkin",
        HttpStatusCode.UnprocessableEntity
    )]
    [InlineData(
        "jobs/demo-window-bench/items/bench-middle/drawing.pdf?paper=roll&roll=wide",
        HttpStatusCode.UnprocessableEntity
    )]
    [InlineData(
        "jobs/demo-window-bench/items/bench-middle/drawing.pdf?paper=roll&roll=9999",
        HttpStatusCode.UnprocessableEntity
    )]
    [InlineData("jobs/demo-window-bench/cloths/slate/plot.plt?across=1%20m", HttpStatusCode.UnprocessableEntity)]
    [InlineData("jobs/demo-window-bench/cloths/slate/plot.plt?along=little", HttpStatusCode.UnprocessableEntity)]
    [InlineData("jobs/demo-window-bench/cloths/slate/plot.plt?tool=axe", HttpStatusCode.UnprocessableEntity)]
    [InlineData("jobs/demo-window-bench/cloths/slate/plot.exe", HttpStatusCode.NotFound)]
    [InlineData("jobs/demo-window-bench/tables/wishes.csv", HttpStatusCode.NotFound)]
    [InlineData("tables/secrets.csv", HttpStatusCode.NotFound)]
    [InlineData("feed/0000.ics", HttpStatusCode.NotFound)]
    public async Task What_is_not_there_is_told(string path, HttpStatusCode expected) =>
        Assert.Equal(expected, (await Get(path)).Status);

    // 46 1/2 + 2 x 1/2 by 19 1/4 + 1 of the middle cushion; the bench's two end cushions are four panels.
    [Fact]
    public async Task A_cut_list_says_what_the_tape_says_and_millimetres()
    {
        var text = Encoding.UTF8.GetString((await Get("jobs/demo-window-bench/tables/cut-list.csv")).Bytes);
        Assert.Contains(
            "Middle cushion,1a,panel,2,Slate wool twill,47 1/2,20 1/4,in,1206.5,514.4,",
            text,
            StringComparison.Ordinal
        );
        Assert.Matches("End cushion,2a,[^,]+,4,Slate wool twill,", text);
    }

    [Fact]
    public async Task A_roll_is_one_page_and_as_wide_as_it_is_said_to_be()
    {
        var (status, _, pdf) = await Get("jobs/demo-window-bench/cloths/slate/lay.pdf?paper=roll&roll=60%20in");
        Assert.Equal(HttpStatusCode.OK, status);
        // 60 in are 4320 points; the first page and the lay.
        Assert.Equal(2, Encoding.Latin1.GetString(pdf).Split("/MediaBox [0 0 4320").Length - 1);
    }

    [Fact]
    public async Task The_calendar_is_read_at_its_secret_address_until_it_is_revoked()
    {
        Assert.Equal("", $"{(await host.Send(HttpMethod.Get, "/api/feed")).Body["address"]}");
        var first = $"{(await host.Send(HttpMethod.Post, "/api/feed")).Body["address"]}";
        Assert.Matches("^/api/feed/[0-9a-f]{40}\\.ics$", first);
        host.KillAndRestart();
        var (status, _, bytes) = await Get(first["/api/".Length..]);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains("SUMMARY:Due: Saloon berths", Encoding.UTF8.GetString(bytes), StringComparison.Ordinal);
        // Another address: the one before answers no more.
        var second = $"{(await host.Send(HttpMethod.Post, "/api/feed")).Body["address"]}";
        Assert.NotEqual(first, second);
        Assert.Equal(HttpStatusCode.NotFound, (await Get(first["/api/".Length..])).Status);
        Assert.Equal(HttpStatusCode.OK, (await Get(second["/api/".Length..])).Status);
        Assert.Equal(HttpStatusCode.NoContent, (await host.Send(HttpMethod.Delete, "/api/feed")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await Get(second["/api/".Length..])).Status);
    }

    [Fact]
    public async Task Names_of_files_hold_nothing_that_a_disk_refuses()
    {
        await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "odd",
                ["changeId"] = "c",
                ["name"] = "../Bay: \"east\" <1/2>?",
                ["unit"] = "in",
                ["document"] = null,
            }
        );
        var (_, headers, _) = await Get("jobs/odd/tables/time-log.csv");
        Assert.Equal("Bay east 12 - Time log.csv", headers.ContentDisposition?.FileNameStar);
    }
}
