using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using SkiaSharp;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Server.Tests;

/// <summary>A template in a photo: drawn here as a camera sees it from aslant, and found again at its true size.</summary>
public sealed class TracingTests(Host host) : IClassFixture<Host>
{
    // The table in millimetres: a square of 100 at (40, 400), and a tapered pad 400 wide in front, 300 behind, 350 deep.
    private static readonly SKPoint[] Square = [new(40, 400), new(140, 400), new(140, 500), new(40, 500)],
        Pad = [new(200, 480), new(600, 480), new(550, 130), new(250, 130)];

    // As a camera looks on it from the front: what is further away is smaller.
    private static readonly SKMatrix Camera = new()
    {
        ScaleX = 3.2f,
        SkewX = 0.5f,
        TransX = 120,
        SkewY = 0.06f,
        ScaleY = 3f,
        TransY = 80,
        Persp0 = 0.0001f,
        Persp1 = 0.0004f,
        Persp2 = 1,
    };

    private static byte[] Photo(SKColor ground, SKColor pad, SKMatrix camera)
    {
        using var bitmap = new SKBitmap(2400, 1800);
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(ground);
            canvas.SetMatrix(camera);
            Fill(Square, SKColors.Black);
            Fill(Pad, pad);

            void Fill(SKPoint[] points, SKColor colour)
            {
                using var builder = new SKPathBuilder();
                builder.MoveTo(points[0]);
                foreach (var point in points.Skip(1))
                    builder.LineTo(point);
                builder.Close();
                using var path = builder.Detach();
                using var ink = new SKPaint { Color = colour, IsAntialias = true };
                canvas.DrawPath(path, ink);
            }
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Jpeg, 92);
        return data.ToArray();
    }

    private static string Seen(params SKPoint[] points) =>
        string.Join(',', points.Select(Camera.MapPoint).SelectMany(at => new[] { at.X, at.Y }).Select(n => $"{n:0}"));

    private async Task<(HttpStatusCode Status, JsonNode Body)> Trace(
        byte[] photo,
        string square,
        string side,
        string at,
        string unit = "cm"
    )
    {
        using var content = new ByteArrayContent(photo);
        content.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        using var reply = await host.Client.PostAsync(
            new Uri(
                $"/api/outlines/photo?square={square}&side={Uri.EscapeDataString(side)}&unit={unit}&at={at}",
                UriKind.Relative
            ),
            content
        );
        return (reply.StatusCode, JsonNode.Parse(await reply.Content.ReadAsStringAsync())!);
    }

    [Theory]
    [InlineData("cm", "10", 10)]
    [InlineData("in", "3 15/16", 25.4)]
    public async Task A_template_is_found_at_its_true_size_however_the_camera_was_held(
        string unit,
        string side,
        double length
    )
    {
        var photo = Photo(new SKColor(0xE8, 0xE0, 0xD0), new SKColor(0x60, 0x30, 0x28), Camera);
        // The corners as a finger sets them: some dots off, each another way.
        var set = Seen(Square).Split(',').Select((n, at) => $"{int.Parse(n) + (((at * 7) % 11) - 5)}");
        var (status, edge) = await Trace(photo, string.Join(',', set), side, Seen(new SKPoint(400, 300)), unit);
        Assert.Equal(HttpStatusCode.OK, status);
        var (outline, refusal) = OutlineReader.Read(
            $"{edge["points"]}",
            length == 10 ? JobUnit.Centimetre : JobUnit.Inch
        );
        Assert.Null(refusal);
        var (left, bottom, right, top) = outline!.Bounds();
        Assert.Equal(400, (right - left).Ticks / 3840.0, 3.0);
        Assert.Equal(350, (top - bottom).Ticks / 3840.0, 3.0);
        // Half of 400 and 300, times 350 deep.
        Assert.Equal(0.1225, outline.AreaSquareMetres(), 0.0015);
        // Straight sides need no more than their corners, and a few where dots are parted.
        Assert.InRange(outline.Edges.Count, 4, 12);
        // Said beside it, to be held against the tape.
        Assert.EndsWith(unit, $"{edge["across"]}");
        Assert.StartsWith(unit == "cm" ? "40." : "15 ", $"{edge["across"]}".Replace("39.", "40."));
        // What is drawn over the photo goes round the place that was tapped.
        var corners = edge["corners"]!.AsArray().Select(each => (int)each!).ToList();
        Assert.True(corners.Count >= 8);
    }

    [Fact]
    public async Task What_cannot_be_followed_says_why_and_takes_nothing()
    {
        var photo = Photo(new SKColor(0xE8, 0xE0, 0xD0), new SKColor(0x60, 0x30, 0x28), Camera);
        var on = Seen(new SKPoint(400, 300));
        async Task Refused(byte[] sent, string square, string side, string at, string field, string reason)
        {
            var (status, why) = await Trace(sent, square, side, at);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
            Assert.Equal(field, $"{why["errors"]![0]!["field"]}");
            Assert.Contains(reason, $"{why["errors"]![0]!["reason"]}");
        }
        await Refused(photo, Seen(Square), "wide", on, "side", "");
        await Refused(photo, "1,2,3", "10", on, "square", "eight numbers");
        await Refused(photo, "0,0,100,0,0,100,100,100", "10", on, "picture", "round no square");
        await Refused(photo, Seen(Square), "10", "5", "at", "two numbers");
        await Refused(photo, Seen(Square), "10", "5000,5000", "picture", "tap the middle");
        // The ground runs to the rim of the picture.
        await Refused(photo, Seen(Square), "10", Seen(new SKPoint(20, 20)), "picture", "runs out of the picture");
        await Refused([0xFF, 0xD8, 0xFF, 1, 2, 3], Seen(Square), "10", on, "picture", "");
    }
}
