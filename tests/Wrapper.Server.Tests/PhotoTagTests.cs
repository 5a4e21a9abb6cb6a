using System.Buffers.Binary;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Wrapper.Server.Tests;

/// <summary>What is kept of a photo: upright, without where and by what it was taken, and in little.</summary>
public sealed class PhotoTagTests(Host host) : IClassFixture<Host>
{
    private const string Place = "51.5 N 0.1 W";

    // Twice as wide as high, its left half red.
    private static byte[] Encoded(SKEncodedImageFormat format)
    {
        using var bitmap = new SKBitmap(400, 200);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.Blue);
        canvas.DrawRect(0, 0, 200, 200, new SKPaint { Color = SKColors.Red });
        using var data = SKImage.FromBitmap(bitmap).Encode(format, 95);
        return data.ToArray();
    }

    // A directory with one entry, how the camera was held, and a place behind it.
    private static byte[] Exif(byte held) =>
        [
            .. "Exif\0\0II*\0\b\0\0\0\u0001\0\u0012\u0001\u0003\0\u0001\0\0\0"u8,
            held,
            0,
            0,
            0,
            0,
            0,
            0,
            0,
            .. Encoding.ASCII.GetBytes(Place),
        ];

    private static byte[] Segment(byte kind, byte[] content) =>
        [0xFF, kind, (byte)((content.Length + 2) >> 8), (byte)(content.Length + 2), .. content];

    private async Task<byte[]> Kept(string job, string photo, byte[] sent, string type, string asked = "")
    {
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
        );
        using var content = new ByteArrayContent(sent);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        using var put = await host.Client.PutAsync(
            new Uri($"/api/jobs/{job}/photos/{photo}?item=stool{asked}", UriKind.Relative),
            content
        );
        Assert.Equal(HttpStatusCode.OK, put.StatusCode);
        return await host.Client.GetByteArrayAsync(new Uri($"/api/photos/{photo}", UriKind.Relative));
    }

    private static SKColor[] Corners(byte[] picture)
    {
        using var bitmap = SKBitmap.Decode(picture);
        var (w, h) = (bitmap.Width - 5, bitmap.Height - 5);
        return [bitmap.GetPixel(5, 5), bitmap.GetPixel(w, 5), bitmap.GetPixel(5, h), bitmap.GetPixel(w, h)];
    }

    private static bool IsRed(SKColor color) => color.Red > 200 && color.Blue < 60;

    // Held on its right side, red stood at the left of the film: it is on top.
    [Fact]
    public async Task A_photo_that_lay_on_its_side_stands_and_tells_no_place()
    {
        var plain = Encoded(SKEncodedImageFormat.Jpeg);
        byte[] lying = [.. plain[..2], .. Segment(0xE1, Exif(6)), .. plain[2..]];
        var kept = await Kept("tags1", "t1", lying, "image/jpeg");
        using var upright = SKBitmap.Decode(kept);
        Assert.Equal((200, 400), (upright.Width, upright.Height));
        Assert.Equal([true, true, false, false], Corners(kept).Select(IsRed));
        Assert.DoesNotContain(Place, Encoding.Latin1.GetString(kept), StringComparison.Ordinal);
        using var small = SKBitmap.Decode(
            await host.Client.GetByteArrayAsync(new Uri("/api/photos/t1/small", UriKind.Relative))
        );
        Assert.Equal((160, 320), (small.Width, small.Height));
    }

    [Fact]
    public async Task What_stands_already_loses_its_tags_and_nothing_else()
    {
        var jpeg = Encoded(SKEncodedImageFormat.Jpeg);
        Assert.Equal(
            jpeg,
            await Kept(
                "tags2",
                "j",
                [.. jpeg[..2], .. Segment(0xE1, Exif(1)), .. Segment(0xFE, "by hand"u8.ToArray()), .. jpeg[2..]],
                "image/jpeg"
            )
        );
        var png = Encoded(SKEncodedImageFormat.Png);
        byte[] tag = [0, 0, 0, 12, .. "tEXt"u8, .. Encoding.ASCII.GetBytes(Place), 1, 2, 3, 4];
        Assert.Equal(png, await Kept("tags2", "p", [.. png[..33], .. tag, .. png[33..]], "image/png"));
        // A WebP says in its first chunk which others there are.
        var webp = Encoded(SKEncodedImageFormat.Webp);
        byte[] Riff(byte flags, params byte[][] chunks)
        {
            byte[] all =
            [
                .. "WEBPVP8X\n\0\0\0"u8,
                flags,
                0,
                0,
                0,
                143,
                1,
                0,
                199,
                0,
                0,
                .. chunks.SelectMany(chunk => chunk),
            ];
            var size = new byte[4];
            BinaryPrimitives.WriteUInt32LittleEndian(size, (uint)all.Length);
            return [.. "RIFF"u8, .. size, .. all];
        }
        byte[] place = [.. "EXIF"u8, 12, 0, 0, 0, .. Encoding.ASCII.GetBytes(Place)];
        var picture = webp[12..];
        Assert.Equal(Riff(0, picture), await Kept("tags2", "w", Riff(0b1000, picture, place), "image/webp"));
    }

    [Fact]
    public async Task What_is_drawn_on_it_and_when_it_was_taken_are_kept_with_it()
    {
        await Kept("tags3", "m", Encoded(SKEncodedImageFormat.Jpeg), "image/jpeg", "&moment=before");
        JsonObject Mark(int x) =>
            new()
            {
                ["kind"] = "Arrow",
                ["x1"] = 0,
                ["y1"] = 0,
                ["x2"] = x,
                ["y2"] = 5000,
                ["number"] = 0,
            };
        async Task<HttpStatusCode> Change(string name, JsonNode value) =>
            (await host.Send(HttpMethod.Put, "/api/photos/m", new JsonObject { [name] = value })).Status;
        Assert.Equal(HttpStatusCode.OK, await Change("marks", new JsonArray(Mark(10_000))));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Change("marks", new JsonArray(Mark(10_001))));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Change("moment", "meanwhile"));
        host.KillAndRestart();
        var photo = Assert.Single((await host.Send(HttpMethod.Get, "/api/jobs/tags3/photos")).Body.AsArray())!;
        Assert.Equal(
            ("before", 10_000),
            ((string)photo["moment"]!, (int)Assert.Single(photo["marks"]!.AsArray())!["x2"]!)
        );
        Assert.Equal(HttpStatusCode.OK, await Change("moment", "after"));
    }
}
