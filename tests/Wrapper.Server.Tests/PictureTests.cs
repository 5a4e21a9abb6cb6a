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
            "/api/cloth-tile?tone=204060&print=sprig&across=10000&along=12000&motifAcross=3000&motifAlong=9000"
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
            "/api/cloth-tile?tone=204060&print=sprig&across=20000&along=10000&halfDrop=1&motifAcross=5000&motifAlong=5000"
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
        using var stripes = await Picture("/api/cloth-tile?tone=204060&print=stripe&across=8000&along=8000");
        var row = Enumerable.Range(0, stripes.Width).Select(x => stripes.GetPixel(x, 0)).ToList();
        Assert.True(row.Distinct().Count() >= 3);
        Assert.Equal(row, Enumerable.Range(0, stripes.Width).Select(x => stripes.GetPixel(x, stripes.Height - 1)));
        // A check: light where two bands cross, the tone where none runs, between the two elsewhere.
        using var check = await Picture("/api/cloth-tile?tone=204060&print=check&across=8000&along=8000");
        byte At(double x, double y) => check.GetPixel((int)(x * check.Width), (int)(y * check.Height)).Red;
        Assert.Equal(0x20, At(0.6, 0.1));
        Assert.True(At(0.1, 0.9) > At(0.1, 0.1) && At(0.1, 0.1) > At(0.6, 0.1));
        Assert.Equal(At(0.1, 0.1), At(0.6, 0.9));
    }

    [Theory]
    [InlineData("tone=red&across=1&along=1", "tone")]
    [InlineData("tone=204060&across=0&along=1", "across")]
    [InlineData("tone=204060&across=1&along=99999999999", "along")]
    [InlineData("tone=204060&across=9&along=9&second=20406", "second")]
    [InlineData("tone=204060&across=9&along=9&print=lace", "print")]
    [InlineData("tone=204060&across=9&along=9&print=3", "print")]
    [InlineData("tone=204060&across=9&along=9&photo=p&corners=0-0-9-0-9-9", "corners")]
    public async Task A_tile_of_nothing_is_refused(string query, string field)
    {
        var (status, told) = await host.Send(HttpMethod.Get, $"/api/cloth-tile?{query}", null);
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

    // A photo taken aslant: the cloth in it is a parallelogram, its quarters red, green, blue and white. Straightened each
    // quarter is a quarter of the tile, and the wall behind it is gone.
    [Fact]
    public async Task A_photo_is_straightened_by_its_corners()
    {
        SKPoint At(float u, float v) => new(40 + (100 * u) + (30 * v), 20 + (20 * u) + (80 * v));
        using var photo = new SKBitmap(200, 160);
        using (var canvas = new SKCanvas(photo))
        {
            canvas.Clear(SKColors.Black);
            foreach (
                var (colour, u, v) in new[]
                {
                    (SKColors.Red, 0f, 0f),
                    (SKColors.Lime, 0.5f, 0f),
                    (SKColors.Blue, 0f, 0.5f),
                    (SKColors.White, 0.5f, 0.5f),
                }
            )
            {
                using var quarter = new SKPathBuilder();
                quarter.AddPoly([At(u, v), At(u + 0.5f, v), At(u + 0.5f, v + 0.5f), At(u, v + 0.5f)]);
                using var path = quarter.Detach();
                using var paint = new SKPaint { Color = colour };
                canvas.DrawPath(path, paint);
            }
        }
        using var png = photo.Encode(SKEncodedImageFormat.Png, 100);
        using var content = new ByteArrayContent(png.ToArray());
        using var kept = await host.Client.PutAsync(
            new Uri("/api/jobs/demo-window-bench/photos/cloth-photo?item=ticking", UriKind.Relative),
            content
        );
        Assert.Equal(HttpStatusCode.OK, kept.StatusCode);
        using var tile = await Picture(
            "/api/cloth-tile?tone=204060&across=10000&along=8000&photo=cloth-photo&corners=40-20-140-40-170-120-70-100"
        );
        SKColor Seen(double u, double v) => tile.GetPixel((int)(u * tile.Width), (int)(v * tile.Height));
        Assert.Equal(
            [SKColors.Red, SKColors.Lime, SKColors.Blue, SKColors.White],
            new[] { Seen(0.1, 0.1), Seen(0.9, 0.1), Seen(0.1, 0.9), Seen(0.9, 0.9) }
        );
        Assert.Equal(10 / 8.0, tile.Width / (double)tile.Height, 0.01);
        // A photo that is gone: the cloth as it is drawn.
        using var gone = await Picture(
            "/api/cloth-tile?tone=204060&print=stripe&across=8000&along=8000&photo=none&corners=0-0-9-0-9-9-0-9"
        );
        Assert.True(Enumerable.Range(0, gone.Width).Select(x => gone.GetPixel(x, 0)).Distinct().Count() >= 3);
    }

    // As telephones keep them: the picture lies on its side, and a note in it says how to hold it. The browser shows it
    // upright, so its corners are those of the upright picture.
    [Fact]
    public async Task A_photo_that_lies_on_its_side_is_held_as_the_camera_was()
    {
        // Upright: red above, blue below, 120 wide and 160 high. Stored a quarter turn to the left of that: red at the left.
        using var stored = new SKBitmap(160, 120);
        using (var canvas = new SKCanvas(stored))
        {
            canvas.Clear(SKColors.Blue);
            using var red = new SKPaint { Color = SKColors.Red };
            canvas.DrawRect(0, 0, 80, 120, red);
        }
        using var plain = stored.Encode(SKEncodedImageFormat.Jpeg, 100);
        // The note: one entry, orientation 6, "row 0 is the right side, column 0 the top".
        byte[] note =
        [
            0xFF,
            0xE1,
            0,
            34,
            .. "Exif"u8,
            0,
            0,
            .. "MM"u8,
            0,
            42,
            0,
            0,
            0,
            8,
            0,
            1,
            0x01,
            0x12,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            6,
            0,
            0,
            0,
            0,
            0,
            0,
        ];
        var bytes = plain.ToArray();
        using var content = new ByteArrayContent([.. bytes[..2], .. note, .. bytes[2..]]);
        using var kept = await host.Client.PutAsync(
            new Uri("/api/jobs/demo-window-bench/photos/held-photo?item=ticking", UriKind.Relative),
            content
        );
        Assert.Equal(HttpStatusCode.OK, kept.StatusCode);
        using var tile = await Picture(
            "/api/cloth-tile?tone=204060&across=12000&along=16000&photo=held-photo&corners=0-0-120-0-120-160-0-160"
        );
        foreach (var (v, red) in new[] { (0.1, true), (0.4, true), (0.6, false), (0.9, false) })
        foreach (var u in new[] { 0.1, 0.9 })
        {
            var seen = tile.GetPixel((int)(u * tile.Width), (int)(v * tile.Height));
            Assert.True(red ? seen.Red > 200 && seen.Blue < 60 : seen.Blue > 200 && seen.Red < 60, $"{u}, {v}: {seen}");
        }
    }

    // Six thousand pixels square are 144 MB once they are read: such a PNG is not.
    [Fact]
    public async Task A_picture_that_would_take_the_servers_memory_is_not_read()
    {
        using var huge = new SKBitmap(new SKImageInfo(6000, 6000, SKColorType.Gray8));
        using var png = huge.Encode(SKEncodedImageFormat.Png, 1);
        using var content = new ByteArrayContent(png.ToArray());
        using var kept = await host.Client.PutAsync(
            new Uri("/api/jobs/demo-window-bench/photos/huge-photo?item=ticking", UriKind.Relative),
            content
        );
        Assert.Equal(HttpStatusCode.OK, kept.StatusCode);
        using var tile = await Picture(
            "/api/cloth-tile?tone=204060&print=stripe&across=8000&along=8000&photo=huge-photo&corners=0-0-6000-0-6000-6000-0-6000"
        );
        Assert.True(Enumerable.Range(0, tile.Width).Select(x => tile.GetPixel(x, 0)).Distinct().Count() >= 3);
    }

    // What takes the tile to the piece and what takes it to the lay differ by how the piece was laid: so the one, undone,
    // and the other bring the piece as it is drawn into its box on the cloth, whichever way it was turned.
    [Theory]
    [InlineData("demo-lodge-seats")]
    [InlineData("demo-window-bench")]
    [InlineData("demo-marigold")]
    public async Task The_print_on_a_piece_is_the_print_where_it_lies(string id)
    {
        var job = await Job(host, id);
        var plan = await host.Told("/api/plan?lay=instant", job.DeepClone());
        var pieces = plan["items"]!
            .AsArray()
            .SelectMany(item =>
                item!["draft"]!["pattern"]!["pieces"]!
                    .AsArray()
                    .Select(piece => (Id: $"{item["id"]}/{piece!["key"]}/1", Box: piece["box"]!))
            )
            .ToDictionary(each => each.Id, each => each.Box);
        var turns = new HashSet<int>();
        foreach (var cloth in plan["cloths"]!.AsArray())
        foreach (var placed in cloth!["lay"]!["placed"]!.AsArray())
        {
            if (!pieces.TryGetValue((string)placed!["id"]!, out var box))
                continue;
            turns.Add((int)placed["turns"]!);
            var onto = Matrix((string)placed["tile"]!).Invert().PostConcat(Matrix((string)cloth["lay"]!["tile"]!));
            var seen = onto.MapRect(Rect(box));
            var lies = Rect(placed["box"]!);
            foreach (
                var (one, other) in new[]
                {
                    (seen.Left, lies.Left),
                    (seen.Top, lies.Top),
                    (seen.Right, lies.Right),
                    (seen.Bottom, lies.Bottom),
                }
            )
                Assert.Equal(other, one, 4f);
        }
        Assert.NotEmpty(turns);
    }

    private static SKMatrix Matrix(string text)
    {
        var n = text["matrix(".Length..^1]
            .Split(' ')
            .Select(part => float.Parse(part, System.Globalization.CultureInfo.InvariantCulture))
            .ToArray();
        return new SKMatrix(n[0], n[2], n[4], n[1], n[3], n[5], 0, 0, 1);
    }

    private static SKRect Rect(JsonNode box) =>
        SKRect.Create((float)box["x"]!, (float)box["y"]!, (float)box["width"]!, (float)box["height"]!);

    // Of a herringbone the second column slants the other way: what is seen at the left is seen mirrored at the right.
    [Fact]
    public async Task A_herringbone_is_its_own_mirror_image()
    {
        using var tile = await Picture("/api/cloth-tile?tone=204060&print=herringbone&across=2540&along=2540");
        var differ = 0;
        for (var x = 4; x < (tile.Width / 2) - 4; x += 3)
        for (var y = 0; y < tile.Height; y += 3)
            if (Math.Abs(tile.GetPixel(x, y).Red - tile.GetPixel(tile.Width - 1 - x, y).Red) > 60)
                differ++;
        Assert.InRange(differ, 0, tile.Width * tile.Height / 9 / 2 / 12);
        var column = Enumerable.Range(0, tile.Height).Select(y => tile.GetPixel(tile.Width / 4, y).Red).ToList();
        Assert.True(column.Max() - column.Min() > 150);
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
