using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

public sealed class PhotoTests(Host host) : IClassFixture<Host>
{
    private static readonly byte[] Png = [0x89, (byte)'P', (byte)'N', (byte)'G',  0x0D, 0x0A, 0x1A, 0x0A, 0, 0, 0, 13, (byte)'I', (byte)'H', (byte)'D', (byte)'R', 0, 0, 0, 2, 0, 0, 0, 3, 8, 0, 0, 0, 0];

    private async Task<HttpStatusCode> Put(string job, string photo, byte[] bytes, string type = "image/png")
    {
        using var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        using var response = await host.Client.PutAsync(new Uri($"/api/jobs/{job}/photos/{photo}?item=stool", UriKind.Relative), content);
        return response.StatusCode;
    }

    private async Task Begin(string job) =>
        Assert.Equal(HttpStatusCode.OK, (await host.Post("/api/jobs", new JsonObject { ["id"] = job, ["changeId"] = "c", ["name"] = "Stools", ["unit"] = "in", ["document"] = null })).Status);

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
        Assert.Equal(("stool", "pleats, left", "image/png", true), ((string)photo["item"]!, (string)photo["caption"]!, (string)photo["type"]!, (bool)photo["away"]!));
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
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("photos2", new string('p', 65), Png));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Put("photos2", "p4", [.. Png, .. new byte[12 * 1024 * 1024]]));
        Assert.Equal(HttpStatusCode.NotFound, await Put("none", "p5", Png));
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Put, "/api/photos/none", new JsonObject { ["caption"] = "", ["away"] = false })).Status);
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/jobs/photos2/photos")).Body.AsArray());
    }
}
