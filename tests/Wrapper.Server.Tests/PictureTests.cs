using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Wrapper.Server.Tests;

/// <summary>Pictures of covers and of cloth, read back pixel by pixel.</summary>
public sealed class PictureTests(Host host) : IClassFixture<Host>
{
    private async Task<SKBitmap> Picture(string path)
    {
        using var answer = await host.Client.GetAsync(new Uri(path, UriKind.Relative));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        Assert.Equal("image/png", answer.Content.Headers.ContentType!.MediaType);
        return SKBitmap.Decode(await answer.Content.ReadAsByteArrayAsync());
    }

    private static async Task<JsonNode> Job(Host host, string job) =>
        JsonNode.Parse(await host.Client.GetStringAsync(new Uri($"/api/jobs/{job}", UriKind.Relative)))!["document"]!;

    private static int Inked(SKBitmap picture, SKRectI within, SKColor ground) =>
        (
            from x in Enumerable.Range(within.Left, within.Width)
            from y in Enumerable.Range(within.Top, within.Height)
            where picture.GetPixel(x, y) is var pixel && Math.Abs(pixel.Red - ground.Red) > 40
            select 1
        ).Count();

    // One repeat of 10 x 12 cm, the motif 3 cm across and 9 up: its flower is above that, a leaf to its right.
    [Fact]
    public async Task A_motif_stands_upright_where_it_is_said_to_be()
    {
        using var tile = await Picture(
            "/api/cloth-tile?tone=204060&across=10000&along=12000&stripes=0&check=0&halfDrop=0&motifAcross=3000&motifAlong=9000"
        );
        var ground = SKColor.Parse("#204060");
        Assert.Equal(12 / 10.0, tile.Height / (double)tile.Width, 0.01);
        var (x, y, size) = (tile.Width * 3 / 10, tile.Height / 4, tile.Width / 5);
        Assert.True(Inked(tile, SKRectI.Create(x - size, y - size, 2 * size, 2 * size), ground) > 500);
        Assert.Equal(0, Inked(tile, SKRectI.Create(tile.Width * 7 / 10, 0, size, tile.Height), ground));
        // The upper quarter of the sprig is its flower, wider than the stem that is its foot.
        Assert.True(
            Inked(tile, SKRectI.Create(x - size, y - (size * 3 / 2), 2 * size, size), ground)
                > Inked(tile, SKRectI.Create(x - size, y + (size * 5 / 4), 2 * size, size), ground)
        );
    }

    // Half-dropped there are two columns, the second half a repeat higher: what is at (x, y) in the one is at
    // (x + half, y - half) in the other. Stripes are the same all the way up.
    [Fact]
    public async Task A_half_drop_and_stripes_are_what_they_are()
    {
        using var half = await Picture(
            "/api/cloth-tile?tone=204060&across=20000&along=10000&stripes=0&check=0&halfDrop=1&motifAcross=5000&motifAlong=5000"
        );
        for (var x = 8; x < half.Width / 2; x += 16)
        for (var y = 8; y < half.Height; y += 16)
        {
            var (one, other) = (
                half.GetPixel(x, y),
                half.GetPixel(x + (half.Width / 2), (y + (half.Height / 2)) % half.Height)
            );
            Assert.InRange(Math.Abs(one.Red - other.Red), 0, 60);
        }
        using var stripes = await Picture(
            "/api/cloth-tile?tone=204060&across=8000&along=8000&stripes=1&check=0&halfDrop=0&motifAcross=0&motifAlong=0"
        );
        var row = Enumerable.Range(0, stripes.Width).Select(x => stripes.GetPixel(x, 0)).ToList();
        Assert.True(row.Distinct().Count() >= 3);
        Assert.Equal(row, Enumerable.Range(0, stripes.Width).Select(x => stripes.GetPixel(x, stripes.Height - 1)));
        // A check: light where two bands cross, the tone where none runs, between the two elsewhere.
        using var check = await Picture(
            "/api/cloth-tile?tone=204060&across=8000&along=8000&stripes=0&check=1&halfDrop=0&motifAcross=0&motifAlong=0"
        );
        byte At(double x, double y) => check.GetPixel((int)(x * check.Width), (int)(y * check.Height)).Red;
        Assert.Equal(0x20, At(0.6, 0.1));
        Assert.True(At(0.1, 0.9) > At(0.1, 0.1) && At(0.1, 0.1) > At(0.6, 0.1));
        Assert.Equal(At(0.1, 0.1), At(0.6, 0.9));
    }

    [Theory]
    [InlineData("tone=red&across=1&along=1", "tone")]
    [InlineData("tone=204060&across=0&along=1", "across")]
    [InlineData("tone=204060&across=1&along=99999999999", "along")]
    public async Task A_tile_of_nothing_is_refused(string query, string field)
    {
        var (status, told) = await host.Send(
            HttpMethod.Get,
            $"/api/cloth-tile?{query}&stripes=0&check=0&halfDrop=0&motifAcross=0&motifAlong=0",
            null
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Equal(field, (string)told["errors"]![0]!["field"]!);
    }

    // Nothing in the corners, cloth of its own tone in the middle: shaded, so no lighter than that.
    [Fact]
    public async Task An_item_is_pictured_on_its_cloth()
    {
        var job = await Job(host, "demo-window-bench");
        var item = (string)job["items"]![0]!["id"]!;
        using var answer = await host.Client.PostAsJsonAsync(
            new Uri("/api/pictures", UriKind.Relative),
            new JsonObject
            {
                ["job"] = job.DeepClone(),
                ["item"] = item,
                ["makeUp"] = null,
            }
        );
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        using var picture = SKBitmap.Decode(await answer.Content.ReadAsByteArrayAsync());
        Assert.Equal((300, 200), (picture.Width, picture.Height));
        Assert.Equal(0, picture.GetPixel(2, 2).Alpha);
        var (cloth, seen) = (
            SKColor.Parse((string)job["cloths"]![0]!["tone"]!),
            picture.GetPixel(picture.Width / 2, picture.Height / 2)
        );
        Assert.Equal(255, seen.Alpha);
        Assert.InRange(seen.Red / (double)cloth.Red, 0.5, 1.1);
        Assert.InRange(seen.Blue / (double)cloth.Blue, 0.5, 1.1);
    }

    // In doubt there is no picture yet; a make-up or an item that is not there is told.
    [Fact]
    public async Task What_cannot_be_pictured_is_told()
    {
        var job = await Job(host, "demo-window-bench");
        var item = (string)job["items"]![0]!["id"]!;
        JsonObject Ask(string of, string? makeUp) =>
            new()
            {
                ["job"] = job.DeepClone(),
                ["item"] = of,
                ["makeUp"] = makeUp,
            };
        var (missing, _) = await host.Post("/api/pictures", Ask("i99", null));
        var (other, why) = await host.Post("/api/pictures", Ask(item, "tent"));
        Assert.Equal(
            (HttpStatusCode.UnprocessableEntity, HttpStatusCode.UnprocessableEntity, "makeUp"),
            (missing, other, (string)why["errors"]![0]!["field"]!)
        );
        job["items"]![0]!["measures"] = new JsonObject();
        using var doubt = await host.Client.PostAsJsonAsync(
            new Uri("/api/pictures", UriKind.Relative),
            Ask(item, null)
        );
        Assert.Equal(HttpStatusCode.NoContent, doubt.StatusCode);
        using var none = await host.Client.GetAsync(new Uri("/api/make-ups/tent/sewn.png", UriKind.Relative));
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
    }

    [Theory]
    [InlineData("/api/make-ups/ottoman-cap/sewn.png", 300)]
    [InlineData("/api/jobs/demo-window-bench/picture.png", 900)]
    [InlineData("/api/jobs/demo-window-bench/items/bench-middle/sewn.png", 900)]
    public async Task Pictures_for_lists_are_as_wide_as_they_hold(string path, int width)
    {
        using var picture = await Picture(path);
        Assert.Equal(width, picture.Width);
        Assert.Equal(255, picture.GetPixel(width == 300 ? 150 : width / 2, picture.Height / 2).Alpha);
    }
}
