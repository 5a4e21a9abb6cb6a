using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

public sealed class PhotoTests(Host host) : IClassFixture<Host>
{
    private static readonly byte[] Png =
    [
        0x89,
        (byte)'P',
        (byte)'N',
        (byte)'G',
        0x0D,
        0x0A,
        0x1A,
        0x0A,
        0,
        0,
        0,
        13,
        (byte)'I',
        (byte)'H',
        (byte)'D',
        (byte)'R',
        0,
        0,
        0,
        2,
        0,
        0,
        0,
        3,
        8,
        0,
        0,
        0,
        0,
    ];

    private async Task<HttpStatusCode> Put(string job, string photo, byte[] bytes, string type = "image/png")
    {
        using var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        using var response = await host.Client.PutAsync(
            new Uri($"/api/jobs/{job}/photos/{photo}?item=stool", UriKind.Relative),
            content
        );
        return response.StatusCode;
    }

    private async Task Begin(string job) =>
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await host.Post(
                    "/api/jobs",
                    new JsonObject
                    {
                        ["id"] = job,
                        ["changeId"] = "c",
                        ["name"] = "Stools",
                        ["unit"] = "in",
                        ["document"] = null,
                    }
                )
            ).Status
        );

    [Fact]
    public async Task A_photo_outlives_a_killed_server_is_kept_once_and_comes_back_when_taken_away()
    {
        await Begin("photos");
        Assert.Equal(HttpStatusCode.OK, await Put("photos", "p1", Png));
        Assert.Equal(HttpStatusCode.OK, await Put("photos", "p1", Png));
        var change = new JsonObject { ["caption"] = "pleats, left", ["away"] = true };
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Put, "/api/photos/p1", change)).Status);
        host.KillAndRestart();
        var (_, photos) = await host.Send(HttpMethod.Get, "/api/jobs/photos/photos");
        var photo = Assert.Single(photos.AsArray())!;
        Assert.Equal(
            ("stool", "pleats, left", "image/png", true),
            ((string)photo["item"]!, (string)photo["caption"]!, (string)photo["type"]!, (bool)photo["away"]!)
        );
        using var picture = await host.Client.GetAsync(new Uri("/api/photos/p1", UriKind.Relative));
        Assert.Equal("image/png", picture.Content.Headers.ContentType!.MediaType);
        Assert.Equal(Png, await picture.Content.ReadAsByteArrayAsync());
    }

    [Fact]
    public async Task What_is_no_picture_or_has_no_job_is_refused()
    {
        await Begin("photos2");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("photos2", "p2", "<svg onload='x'/>"u8.ToArray()));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("photos2", "p3", []));
        foreach (
            var cut in (byte[][])
                [
                    [0xFF, 0xD8, 0xFF],
                    Png[..8],
                    Png[..20],
                    "RIFF\u0001\u0000\u0000\u0000WEBP"u8.ToArray(),
                ]
        )
            Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("photos2", "p3", cut));
        using (
            var heic = new ByteArrayContent([0, 0, 0, 24, .. "ftypheic"u8, 0, 0, 0, 0, .. "mif1heic"u8])
            {
                Headers = { ContentType = new MediaTypeHeaderValue("image/heic") },
            }
        )
        using (
            var answer = await host.Client.PutAsync(
                new Uri("/api/jobs/photos2/photos/p9?item=stool", UriKind.Relative),
                heic
            )
        )
            Assert.Contains(
                "HEIC",
                (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["detail"]!,
                StringComparison.Ordinal
            );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("photos2", new string('p', 65), Png));
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            await Put("photos2", "p4", [.. Png, .. new byte[12 * 1024 * 1024]])
        );
        Assert.Equal(HttpStatusCode.NotFound, await Put("none", "p5", Png));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (
                await host.Send(
                    HttpMethod.Put,
                    "/api/photos/none",
                    new JsonObject { ["caption"] = "", ["away"] = false }
                )
            ).Status
        );
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/jobs/photos2/photos")).Body.AsArray());
    }

    // What another page wrote meanwhile stays, and an id is that of one photo of one job.
    [Fact]
    public async Task Only_what_is_sent_changes_and_an_id_belongs_to_one_job()
    {
        await Begin("photos3");
        await Begin("photos4");
        Assert.Equal(HttpStatusCode.OK, await Put("photos3", "q1", Png));
        Assert.Equal(
            HttpStatusCode.OK,
            (await host.Send(HttpMethod.Put, "/api/photos/q1", new JsonObject { ["caption"] = "left arm" })).Status
        );
        var (_, changed) = await host.Send(HttpMethod.Put, "/api/photos/q1", new JsonObject { ["away"] = true });
        Assert.Equal(("left arm", true), ((string)changed["caption"]!, (bool)changed["away"]!));
        Assert.Equal(HttpStatusCode.Conflict, await Put("photos4", "q1", Png));
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/jobs/photos4/photos")).Body.AsArray());
    }

    [Fact]
    public async Task A_picture_says_what_it_is_and_is_sent_once_and_in_parts()
    {
        await Begin("photos5");
        Assert.Equal(HttpStatusCode.OK, await Put("photos5", "r1", Png));
        using var first = await host.Client.GetAsync(new Uri("/api/photos/r1", UriKind.Relative));
        using var again = new HttpRequestMessage(HttpMethod.Get, new Uri("/api/photos/r1", UriKind.Relative))
        {
            Headers = { IfNoneMatch = { first.Headers.ETag! } },
        };
        using (var known = await host.Client.SendAsync(again))
            Assert.Equal(HttpStatusCode.NotModified, known.StatusCode);
        using var part = new HttpRequestMessage(HttpMethod.Get, new Uri("/api/photos/r1", UriKind.Relative))
        {
            Headers = { Range = new RangeHeaderValue(8, 15) },
        };
        using var some = await host.Client.SendAsync(part);
        Assert.Equal(Png[8..16], await some.Content.ReadAsByteArrayAsync());
    }
}
