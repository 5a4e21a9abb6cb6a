using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>The whole workroom as a zip: into an empty workroom, into a filled one, and hostile ones into none.</summary>
public sealed class WorkroomFileTests : IDisposable
{
    private readonly Host full = new();
    private readonly Host empty = Host.Empty();

    public void Dispose()
    {
        full.Dispose();
        empty.Dispose();
    }

    private static readonly byte[] Dot = Convert.FromBase64String(
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg=="
    );

    private static Task<byte[]> Export(Host host) =>
        host.Client.GetByteArrayAsync(new Uri("/api/workroom.zip", UriKind.Relative));

    private static async Task<(HttpStatusCode Status, JsonNode Body)> Take(Host host, byte[] zip, string query = "")
    {
        using var content = new ByteArrayContent(zip);
        using var reply = await host.Client.PostAsync(
            new Uri($"/api/workroom-files{query}", UriKind.Relative),
            content
        );
        return (reply.StatusCode, JsonNode.Parse(await reply.Content.ReadAsStringAsync())!);
    }

    private static async Task Put(Host host, string path, byte[] bytes)
    {
        using var content = new ByteArrayContent(bytes);
        using var reply = await host.Client.PutAsync(new Uri(path, UriKind.Relative), content);
        Assert.True(reply.IsSuccessStatusCode);
    }

    private static Dictionary<string, string> Files(byte[] zip)
    {
        using var archive = new ZipArchive(new MemoryStream(zip));
        return archive.Entries.ToDictionary(
            entry => entry.FullName,
            entry =>
            {
                using var bytes = new MemoryStream();
                using (var packed = entry.Open())
                    packed.CopyTo(bytes);
                return Convert.ToBase64String(bytes.ToArray());
            }
        );
    }

    private static byte[] Zip(params (string Path, byte[] Bytes)[] files)
    {
        using var bytes = new MemoryStream();
        using (var archive = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (path, content) in files)
                using (var entry = archive.CreateEntry(path).Open())
                    entry.Write(content);
        return bytes.ToArray();
    }

    private static (string, byte[]) Manifest(int version = 1) =>
        (
            "manifest.json",
            Encoding.UTF8.GetBytes(
                $$"""{"format":"wrapper workroom","version":{{version}},"madeAt":"2026-01-01","away":[]}"""
            )
        );

    private static async Task<string> Name(Host host, string job) =>
        $"{(await host.Send(HttpMethod.Get, $"/api/jobs/{job}")).Body["document"]?["name"]}";

    private static async Task Rename(Host host, string job, string name)
    {
        var view = (await host.Send(HttpMethod.Get, $"/api/jobs/{job}")).Body;
        var document = view["document"]!.DeepClone();
        document["name"] = name;
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

    private async Task Fill()
    {
        await Put(full, "/api/jobs/demo-marigold/photos/p1?item=berth-port&moment=before", Dot);
        await Put(full, "/api/stock/fern-left/photo", Dot);
        foreach (var kind in new[] { "quotation", "order" })
        {
            var (status, body) = await full.Post(
                "/api/jobs/demo-marigold/papers",
                JsonNode.Parse(
                    $$"""{"id":"{{kind}}1","kind":"{{kind}}","basedOn":"{{(kind == "order" ? "quotation1" : "")}}","option":"","total":null,"amount":"","note":"","date":""}"""
                )!
            );
            Assert.True(status == HttpStatusCode.OK, $"{body}");
        }
        await full.Send(HttpMethod.Post, "/api/jobs/demo-bunks/put-away");
        // The last that was done to a job is an undo: it shows what an earlier state holds.
        await Rename(full, "demo-tables", "Not so");
        await Undo("demo-tables");
        await Said("/api/templates", """{"id":"bay","name":"Bay bench","job":"demo-window-bench"}""");
        await Said(
            "/api/devices/mail",
            """{"to":"ada@example.org","subject":"Zoë’s order","text":"a\n=b","with":[]}"""
        );
        await full.Send(
            HttpMethod.Put,
            "/api/devices/merchant",
            JsonNode.Parse("""{"is":"open","next":"part","isSoldOut":false}""")!
        );
        await Said(
            "/api/merchant/orders",
            """{"id":"o1","article":"moss-velvet","length":7022592,"job":"demo-tables","cloth":"top","reserve":false}"""
        );
        await full.Send(HttpMethod.Post, "/api/devices/merchant/van");
        await full.Send(
            HttpMethod.Put,
            "/api/workroom",
            JsonNode.Parse("""{"name":"Attic","unit":"cm","words":{"zip":"zipper"}}""")!
        );
    }

    private async Task Said(string path, string body)
    {
        var (status, why) = await full.Post(path, JsonNode.Parse(body)!);
        Assert.True(status == HttpStatusCode.OK, $"{path}: {why}");
    }

    private async Task Undo(string job)
    {
        var now = (await full.Send(HttpMethod.Get, $"/api/jobs/{job}")).Body;
        await full.Post(
            $"/api/jobs/{job}/undo",
            new JsonObject { ["base"] = now["revision"]!.DeepClone(), ["changeId"] = "back" }
        );
    }

    [Fact]
    public async Task Into_an_empty_workroom_everything_comes_and_goes_out_again_the_same()
    {
        await Fill();
        var zip = await Export(full);
        var (status, look) = await Take(empty, zip);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(6, look["kinds"]!.AsArray().Single(kind => $"{kind!["kind"]}" == "jobs")!["new"]!.GetValue<int>());
        // Looked at only: nothing is there.
        Assert.Equal(HttpStatusCode.NotFound, (await empty.Send(HttpMethod.Get, "/api/jobs/demo-marigold")).Status);
        var (_, taken) = await Take(empty, zip, "?take=true");
        Assert.Empty(taken["refused"]!.AsArray());
        empty.KillAndRestart();
        var (before, after) = (Files(zip), Files(await Export(empty)));
        Assert.Equal(before.Keys.Order(), after.Keys.Order());
        Assert.All(
            before.Where(file => file.Key != "manifest.json"),
            file => Assert.True(file.Value == after[file.Key], file.Key)
        );
        // Again: everything is there and the same.
        var (_, again) = await Take(empty, zip);
        Assert.All(again["kinds"]!.AsArray(), kind => Assert.Equal(0, kind!["new"]!.GetValue<int>()));
        Assert.Empty(again["other"]!.AsArray());
        Assert.Empty(again["refused"]!.AsArray());
    }

    [Fact]
    public async Task What_is_otherwise_here_is_asked_thing_by_thing()
    {
        var zip = await Export(full);
        await Rename(full, "demo-marigold", "Mine");
        await Rename(full, "demo-tables", "Mine too");
        await full.Send(HttpMethod.Delete, "/api/jobs/demo-bunks");
        var (_, look) = await Take(full, zip);
        Assert.Equal(
            ["demo-bunks", "demo-marigold", "demo-tables"],
            look["other"]!.AsArray().Select(each => $"{each!["id"]}").Order()
        );
        // Nothing decided: mine stay.
        await Take(full, zip, "?take=true");
        Assert.Equal("Mine", await Name(full, "demo-marigold"));
        var (_, taken) = await Take(full, zip, "?take=true&replace=jobs:demo-marigold,jobs:demo-bunks");
        Assert.Equal(["demo-tables"], taken["other"]!.AsArray().Select(each => $"{each!["id"]}"));
        Assert.Equal(
            ("Saloon berths", "Mine too"),
            (await Name(full, "demo-marigold"), await Name(full, "demo-tables"))
        );
        Assert.NotEqual("", await Name(full, "demo-bunks"));
        // It is a change like any other: there is a way back.
        await Undo("demo-marigold");
        Assert.Equal("Mine", await Name(full, "demo-marigold"));
    }

    [Fact]
    public async Task No_number_of_a_paper_is_given_twice()
    {
        await Fill();
        var zip = await Export(full);
        using var other = new Host();
        var (status, _) = await other.Post(
            "/api/jobs/demo-marigold/papers",
            JsonNode.Parse(
                """{"id":"own","kind":"quotation","basedOn":"","option":"","total":null,"amount":"","note":"","date":""}"""
            )!
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var (_, taken) = await Take(other, zip, "?take=true");
        // Its quotation has the number that the file's has; the order rests on that one.
        Assert.Equal(
            ["Order 1", "Quotation 1"],
            taken["refused"]!.AsArray().Select(each => $"{each!["name"]}").Order()
        );
    }

    [Fact]
    public async Task Hostile_files_are_refused_with_the_reason_and_nothing_is_changed()
    {
        var zip = await Export(full);
        var huge = new byte[100 * 1024 * 1024];
        byte[] enormous = [.. Dot[..16], 0x00, 0x00, 0xEA, 0x60, 0x00, 0x00, 0xEA, 0x60, .. Dot[24..]];
        var photo = Encoding.UTF8.GetBytes(
            """{"job":"demo-marigold","photo":{"id":"big","item":"x","caption":"","type":"image/png","away":false,"moment":"","marks":[]}}"""
        );
        var letter = """{"id":"a","at":"","to":"a@b.c","subject":"","enclosures":[]}"""u8.ToArray();
        static (string, byte[]) Order(string id, long length) =>
            (
                "orders/a.json",
                Encoding.UTF8.GetBytes(
                    $$"""{"id":"{{id}}","article":"x","name":"x","job":"j","cloth":"c","length":{{length}},"width":9,"batch":"","placedOn":"","dueOn":"","isReserved":false,"came":[]}"""
                )
            );
        (byte[] File, string Reason)[] hostile =
        [
            ([], "no zip"),
            ("no zip at all"u8.ToArray(), "no zip"),
            (zip[..(zip.Length / 2)], "no zip"),
            (Zip(("jobs/a.json", "{}"u8.ToArray())), "no file of a workroom"),
            (Zip(Manifest(9)), "newer program (version 9"),
            (Zip(Manifest(), ("jobs/a.json", "{\"version\":1"u8.ToArray())), "jobs/a.json"),
            (Zip(Manifest(), ("jobs/bomb.json", huge)), "larger than 4 MB unpacked"),
            (Zip(Manifest(), ("customers/a.json", [0xFF, 0xFE, 0x00])), "customers/a.json cannot be read"),
            (
                Zip(Manifest(), ("customers/a.json", Encoding.UTF8.GetBytes(new string('[', 100_000)))),
                "customers/a.json"
            ),
            (
                Zip(
                    Manifest(),
                    (
                        "stock/..%2F..%2F..%2Fetc%2Fpasswd%00aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa.json",
                        """{"kind":"zip","name":"x"}"""u8.ToArray()
                    )
                ),
                "stock/"
            ),
            (Zip(Manifest(), ("templates/a.json", "{}"u8.ToArray())), "templates/a.json it is no job"),
            (Zip(Manifest(), ("orders/a.json", """{"id":"a","came":null}"""u8.ToArray())), "orders/a.json cannot be"),
            (Zip(Manifest(), ("customers/a.json", """{"name":"a","people":null}"""u8.ToArray())), "customers/a.json"),
            (Zip(Manifest(), Order("a", -5)), "is an order of no cloth"),
            (Zip(Manifest(), Order("b", 5)), "is an order of another id"),
            (Zip(Manifest(), ("letters/a.json", letter)), "lacks its letter"),
            (Zip(Manifest(), ("letters/a.json", letter), ("letters/a.eml", [0, 0xFF, 10])), "no letter that can be"),
            (Zip(Manifest(), ("letters/a.json", letter), ("letters/a.eml", huge)), "larger than 32 MB unpacked"),
            (
                Zip(
                    Manifest(),
                    (
                        "workroom.json",
                        """{"told":{"name":"A","unit":"in","words":{"zip":"so"}},"states":{"postcode":"","statements":[]}}"""u8.ToArray()
                    )
                ),
                "no word that is known"
            ),
            (Zip(Manifest(), ("photos/a.json", photo)), "lacks its picture"),
            (Zip(Manifest(), ("photos/a.json", photo), ("photos/a.picture", "MZ"u8.ToArray())), "neither a JPEG"),
        ];
        foreach (var (file, reason) in hostile)
        {
            var (status, told) = await Take(full, file, "?take=true");
            Assert.True(status == HttpStatusCode.UnprocessableEntity, $"{reason}: {status}");
            Assert.Contains(reason, $"{told["detail"]}", StringComparison.Ordinal);
        }
        Assert.Equal(Files(zip).Keys.Order(), Files(await Export(full)).Keys.Order());
        // Paths that lead elsewhere are names of nothing; a picture that claims to be enormous is never unfolded.
        var (passed, _) = await Take(
            full,
            Zip(
                Manifest(),
                ("../../../../tmp/wrapper-slip.json", "{}"u8.ToArray()),
                ("photos/big.json", photo),
                ("photos/big.picture", enormous)
            ),
            "?take=true"
        );
        Assert.Equal(HttpStatusCode.OK, passed);
        Assert.False(File.Exists("/tmp/wrapper-slip.json"));
        Assert.Equal(HttpStatusCode.OK, (await full.Send(HttpMethod.Get, "/api/health")).Status);
    }

    // Whatever is in a workroom: words of any script, sizes that cannot be read, items of any kind, things without a name.
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public async Task Any_workroom_comes_back_file_by_file(int seed)
    {
        var dice = new Random(seed);
        using var room = Host.Empty();
        var (_, makeUps) = await room.Send(HttpMethod.Get, "/api/make-ups");
        var customers = Enumerable.Range(0, dice.Next(1, 5)).Select(n => $"c{seed}{n}").ToList();
        foreach (var id in customers)
            await Kept(
                room,
                $"/api/customers/{id}",
                new JsonObject
                {
                    ["from"] = 0,
                    ["customer"] = new JsonObject
                    {
                        ["name"] = $"{id} {Words(dice)}",
                        ["address"] = Words(dice),
                        ["notes"] = Words(dice),
                        ["people"] = new JsonArray([
                            .. Enumerable
                                .Range(0, dice.Next(3))
                                .Select(n => new JsonObject
                                {
                                    ["id"] = $"p{n}",
                                    ["name"] = Words(dice),
                                    ["role"] = "",
                                    ["phone"] = Words(dice),
                                    ["email"] = "",
                                }),
                        ]),
                        ["places"] = new JsonArray(),
                    },
                }
            );
        for (var n = dice.Next(1, 6); n > 0; n--)
            await Kept(
                room,
                $"/api/stock/s{seed}{n}",
                new JsonObject
                {
                    ["from"] = 0,
                    ["row"] = new JsonObject
                    {
                        ["kind"] = "part-roll",
                        ["name"] = Words(dice),
                        ["batch"] = Words(dice),
                        ["length"] = new JsonObject { ["typed"] = Size(dice), ["unit"] = "cm" },
                    },
                }
            );
        for (var job = dice.Next(1, 5); job > 0; job--)
        {
            var id = $"j{seed}{job}";
            var (_, begun) = await room.Post(
                "/api/jobs",
                new JsonObject
                {
                    ["id"] = id,
                    ["changeId"] = $"{id}-0",
                    ["name"] = Words(dice),
                    ["unit"] = dice.Next(2) == 0 ? "in" : "cm",
                    ["document"] = null,
                    ["customerId"] = dice.Next(2) == 0 ? customers[dice.Next(customers.Count)] : "",
                }
            );
            var document = begun["document"]!.DeepClone();
            for (var n = dice.Next(4); n > 0; n--)
            {
                var (_, item) = await room.Post(
                    "/api/items",
                    new JsonObject
                    {
                        ["id"] = $"i{n}",
                        ["name"] = Words(dice),
                        ["makeUp"] = makeUps[dice.Next(makeUps.AsArray().Count)]!["key"]!.DeepClone(),
                        ["unit"] = "in",
                        ["from"] = null,
                    }
                );
                item["quantity"] = $"{dice.Next(9)}";
                item["notes"] = Words(dice);
                foreach (var key in new[] { "W", "L", "T" })
                    item["measures"]![key] = new JsonObject { ["typed"] = Size(dice), ["unit"] = "in" };
                document["items"]!.AsArray().Add(item.DeepClone());
            }
            await Kept(
                room,
                $"/api/jobs/{id}",
                new JsonObject
                {
                    ["base"] = 1,
                    ["changeId"] = $"{id}-1",
                    ["step"] = "",
                    ["document"] = document,
                }
            );
            if (dice.Next(2) == 0)
                await Put(room, $"/api/jobs/{id}/photos/ph{id}?item=&moment=before", Dot);
        }
        var zip = await Export(room);
        var (_, taken) = await Take(empty, zip, "?take=true");
        Assert.Empty(taken["refused"]!.AsArray());
        var (before, after) = (Files(zip), Files(await Export(empty)));
        Assert.Equal(before.Keys.Order(), after.Keys.Order());
        Assert.All(
            before.Where(file => file.Key != "manifest.json"),
            file => Assert.True(file.Value == after[file.Key], file.Key)
        );
    }

    private static async Task Kept(Host host, string path, JsonNode body)
    {
        var (status, why) = await host.Send(HttpMethod.Put, path, body);
        Assert.True(status == HttpStatusCode.OK, $"{path}: {why}");
    }

    private static string Words(Random dice)
    {
        string[] some =
        [
            "Zoë",
            "9½",
            "北の家",
            "a\nb",
            "\"so\"",
            "=1+1",
            "\u0301e",
            "👩‍🔧",
            "  ",
            "plain",
            "<b>",
            "\\",
        ];
        return string.Join(' ', Enumerable.Range(0, dice.Next(1, 5)).Select(_ => some[dice.Next(some.Length)]));
    }

    private static string Size(Random dice) =>
        dice.Next(5) switch
        {
            0 => "about so",
            1 => "",
            2 => $"{dice.Next(200)},{dice.Next(10)}",
            3 => $"{dice.Next(90)} {dice.Next(1, 8)}/8",
            _ => $"{dice.Next(300)}",
        };
}
