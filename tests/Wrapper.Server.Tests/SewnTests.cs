using System.Buffers.Binary;
using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Xml.Linq;

namespace Wrapper.Server.Tests;

/// <summary>A cover sewn on screen: as data, as a still picture and as a model that any reader takes.</summary>
public sealed class SewnTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Entry(string typed) => new() { ["typed"] = typed, ["unit"] = "in" };

    // A cushion of 22 x 20 x 4, snug, in a job that is kept under this id.
    private async Task<JsonNode> Kept(string id)
    {
        var (_, item) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = "i1",
                ["name"] = "Seat & pad",
                ["makeUp"] = "box-cushion-strip",
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        (item["measures"]!["W"], item["measures"]!["L"], item["measures"]!["T"]) = (
            Entry("22"),
            Entry("20"),
            Entry("4")
        );
        var (_, cloth) = await host.Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = "c1",
                ["name"] = "cloth",
                ["unit"] = "in",
            }
        );
        var job = new JsonObject
        {
            ["version"] = 1,
            ["name"] = "job",
            ["customer"] = "",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = new JsonArray(item.DeepClone()),
            ["cloths"] = new JsonArray(cloth.DeepClone()),
        };
        await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = id,
                ["changeId"] = "c1",
                ["name"] = "job",
                ["unit"] = "in",
                ["document"] = job.DeepClone(),
            }
        );
        return job;
    }

    [Fact]
    public async Task Faces_lines_print_and_words_are_told()
    {
        var job = await Kept("sewn-data");
        var (status, sewn) = await host.Post("/api/sewn", new JsonObject { ["job"] = job, ["item"] = "i1" });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.True((bool)sewn["vouched"]!);
        Assert.Contains("closed by a zip", (string)sewn["description"]!, StringComparison.Ordinal);
        // Sewn in making order: the zip before the panels, and everything is joined at the end.
        var steps = sewn["steps"]!.AsArray().Select(step => step!["joins"]!.AsArray()).ToList();
        var zip = steps.FindIndex(joins => joins.Any(join => (string)join!["seam"]! == "zip"));
        var top = steps.FindIndex(joins =>
            joins.Any(join => ((string)join!["seam"]!).EndsWith("top panel", StringComparison.Ordinal))
        );
        Assert.True(zip >= 0 && zip < top, $"zip in step {zip}, top panel in step {top}");
        Assert.True((bool)sewn["filled"]!);
        var sheets = sewn["sheets"]!.AsArray();
        Assert.Equal(
            sheets.Count,
            steps
                .SelectMany(joins => joins)
                .SelectMany(join => join!["sheets"]!.AsArray())
                .Select(at => (int)at!)
                .Distinct()
                .Count()
        );
        Assert.Equal(6, sheets.Count); // two panels, two halves of the zip strip, 57 in of boxing in two lengths
        var places = sheets.SelectMany(sheet => sheet!["places"]!.AsArray().Select(each => (int)each!)).ToList();
        // 22 x 20 x 3 3/4 in, in hundredths of a millimetre.
        foreach (var (axis, inches) in new[] { (0, 22.0), (1, 20.0), (2, 3.75) })
        {
            var along = places.Where((_, at) => at % 3 == axis).ToList();
            Assert.Equal(2540 * inches, along.Max() - along.Min(), 100.0);
        }
        Assert.Contains(sewn["lines"]!.AsArray(), line => (string)line!["kind"]! == "zip");
        Assert.Contains(sewn["lines"]!.AsArray(), line => (string)line!["kind"]! == "corded");
        // Both halves of the zip strip turn two back corners, the boxing one of those at the front: at the other it is joined.
        Assert.Equal(5, sewn["lines"]!.AsArray().Count(line => (string)line!["kind"]! == "fold"));
        Assert.Equal(sheets.Count, sewn["print"]!.AsArray().Count);
        Assert.All(sewn["print"]!.AsArray(), part => Assert.Equal("c1", (string)part!["cloth"]!));
    }

    [Fact]
    public async Task A_still_is_a_picture_that_names_its_item()
    {
        await Kept("sewn-still");
        using var reply = await host.Client.GetAsync(
            new Uri("/api/jobs/sewn-still/items/i1/sewn.svg", UriKind.Relative)
        );
        Assert.Equal("image/svg+xml", reply.Content.Headers.ContentType!.MediaType);
        var picture = XDocument.Parse(await reply.Content.ReadAsStringAsync()).Root!;
        Assert.Equal("Seat & pad", picture.Elements().First().Value);
        Assert.True(picture.Elements().Count() > 1000);
    }

    // Read back by the words of the format: header, two chunks, and every accessor within its buffer.
    [Fact]
    public async Task A_model_can_be_read_back()
    {
        await Kept("sewn-model");
        var file = await host.Client.GetByteArrayAsync(
            new Uri("/api/jobs/sewn-model/items/i1/sewn.glb", UriKind.Relative)
        );
        uint Word(int at) => BinaryPrimitives.ReadUInt32LittleEndian(file.AsSpan(at));
        Assert.Equal((0x46546C67u, 2u, (uint)file.Length), (Word(0), Word(4), Word(8)));
        var text = (int)Word(12);
        Assert.Equal((0x4E4F534Au, 0x004E4942u), (Word(16), Word(24 + text)));
        var data = 28 + text;
        using var told = JsonDocument.Parse(file.AsMemory(20, text));
        var root = told.RootElement;
        var (views, accessors) = (root.GetProperty("bufferViews"), root.GetProperty("accessors"));
        int Of(JsonElement element, string name) => element.GetProperty(name).GetInt32();
        Assert.Equal(6, root.GetProperty("meshes").GetArrayLength());
        var (least, most) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var mesh in root.GetProperty("meshes").EnumerateArray())
        {
            var part = mesh.GetProperty("primitives")[0];
            var places = accessors[Of(part.GetProperty("attributes"), "POSITION")];
            var view = views[Of(places, "bufferView")];
            Assert.Equal(12 * Of(places, "count"), Of(view, "byteLength"));
            for (var at = 0; at < Of(places, "count"); at++)
            {
                var x = BitConverter.UInt32BitsToSingle(Word(data + Of(view, "byteOffset") + (12 * at)));
                (least, most) = (Math.Min(least, x), Math.Max(most, x));
            }
            var indices = accessors[Of(part, "indices")];
            var start = data + Of(views[Of(indices, "bufferView")], "byteOffset");
            for (var at = 0; at < Of(indices, "count"); at++)
                Assert.InRange(Word(start + (4 * at)), 0u, (uint)Of(places, "count") - 1);
        }
        Assert.Equal(22 * 0.0254, most - least, 0.001); // metres
        // One cloth, one picture of it, and every piece wears that.
        var image = views[Of(root.GetProperty("images")[0], "bufferView")];
        var png = file.AsSpan(data + Of(image, "byteOffset"), Of(image, "byteLength"));
        Assert.Equal("89504E470D0A1A0A", Convert.ToHexString(png[..8]));
        Assert.Equal(1, root.GetProperty("materials").GetArrayLength());
    }

    // Panels of the usual cushion take the print of the cloth; slid half a repeat along, the words say where and what it costs.
    [Fact]
    public async Task The_print_is_slid_and_its_cost_told()
    {
        var job = await Kept("sewn-slid");
        JsonObject Slide(string piece, long along) =>
            new()
            {
                ["job"] = job.DeepClone(),
                ["item"] = "i1",
                ["piece"] = piece,
                ["across"] = 0,
                ["along"] = along,
            };
        var (plain, why) = await host.Post("/api/slides", Slide("panel", 2540));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, plain);
        Assert.Contains("repeat", (string)why["errors"]![0]!["reason"]!, StringComparison.Ordinal);
        (job["cloths"]![0]!["repeatAlong"], job["cloths"]![0]!["repeatAcross"]) = (Entry("12"), Entry("9"));
        var (status, slide) = await host.Post("/api/slides", Slide("panel", 15240));
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(("panel", "placed"), ((string)slide["piece"]!, (string)slide["match"]!));
        Assert.Contains("from the lower edge of the panel", (string)slide["told"]!, StringComparison.Ordinal);
        Assert.Matches("It takes .* cloth", (string)slide["told"]!);
        var (far, too) = await host.Post("/api/slides", Slide("panel", 99_000_000_000));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, far);
        Assert.Equal("along", (string)too["errors"]![0]!["field"]!);
    }

    [Fact]
    public async Task What_is_not_there_or_in_doubt_is_told()
    {
        var job = await Kept("sewn-doubt");
        var (missing, none) = await host.Post(
            "/api/sewn",
            new JsonObject { ["job"] = job.DeepClone(), ["item"] = "i9" }
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, missing);
        Assert.Equal("item", (string)none["errors"]![0]!["field"]!);
        job["items"]![0]!["measures"]!["T"] = Entry("soft");
        var (doubt, problem) = await host.Post("/api/sewn", new JsonObject { ["job"] = job, ["item"] = "i1" });
        Assert.Equal(HttpStatusCode.UnprocessableEntity, doubt);
        Assert.Equal("measures.T", (string)problem["errors"]![0]!["field"]!);
        using var lost = await host.Client.GetAsync(new Uri("/api/jobs/nowhere/items/i1/sewn.svg", UriKind.Relative));
        Assert.Equal(HttpStatusCode.NotFound, lost.StatusCode);
    }
}
