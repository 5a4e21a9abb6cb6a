using System.Net;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>
/// Every importer, given its own file broken off, with bytes changed, in another encoding, of 50 MB, and what is made to
/// hurt a reader: told in words or read, never a fault, nothing changed, memory bounded.
/// </summary>
public sealed class DamagedFileTests(Host host) : IClassFixture<Host>
{
    private const int Large = 50 * 1024 * 1024;
    private const long MostMemory = 768L * 1024 * 1024;

    private static readonly byte[] Picture = Convert.FromBase64String(
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg=="
    );

    private const string Photo = "/api/outlines/photo?square=0,0,90,0,90,90,0,90&side=4&unit=in&at=50,50";

    public static TheoryData<string, string> Importers =>
        new()
        {
            { "/api/outlines dxf", "/api/jobs/demo-window-bench/items/bench-middle/drawing.dxf" },
            { "/api/outlines svg", "/api/jobs/demo-window-bench/items/bench-middle/drawing.svg" },
            { Photo, "" },
            { "/api/tables/customers/rows", "/api/tables/customers.vcf" },
            { "/api/tables/stock/rows", "/api/tables/stock.xlsx" },
            { "/api/tables/prices/rows", "/api/tables/prices.csv" },
            { "/api/tables/measurements/rows", "/api/tables/stock.csv" },
            { "/api/workroom-files", "/api/workroom.zip" },
        };

    // What is made to hurt: nested ever deeper, entities that unfold, a drawing that names a file, endless lines and
    // numbers, pictures that claim to be enormous.
    private static IEnumerable<byte[]> Made()
    {
        foreach (
            var text in new[]
            {
                new string('[', 200_000),
                string.Concat(Enumerable.Repeat("<g>", 100_000)),
                """<?xml version="1.0"?><!DOCTYPE s [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;"><!ENTITY c "&b;&b;&b;&b;">]><svg><path d="&c;"/></svg>""",
                """<?xml version="1.0"?><!DOCTYPE s [<!ENTITY a SYSTEM "file:///etc/passwd">]><svg><path d="&a;"/></svg>""",
                $"<svg><path d=\"M0 0 {string.Concat(Enumerable.Repeat("A1e308 1e308 0 0 1 9 9 ", 5000))}Z\"/></svg>",
                $"0\nSECTION\n2\nENTITIES\n{string.Concat(Enumerable.Repeat("0\nLINE\n10\n1e308\n20\nNaN\n11\n-1e308\n21\n0\n", 20_000))}0\nENDSEC\n0\nEOF\n",
                $"BEGIN:VCARD\nFN:{new string('x', 2_000_000)}\nEND:VCARD\n",
                string.Concat(Enumerable.Repeat("BEGIN:VCARD\n", 50_000)),
                new string('"', 300_001),
            }
        )
            yield return Encoding.UTF8.GetBytes(text);
        yield return [.. Picture[..16], 0x7F, 0xFF, 0xFF, 0xFF, 0x7F, 0xFF, 0xFF, 0xFF, .. Picture[24..]];
        yield return [0xFF, 0xD8, 0xFF, 0xC0, 0, 17, 8, 0xFF, 0xFF, 0xFF, 0xFF, 3, 1, 0x11, 0, 2, 0x11, 1, 3, 0x11, 1];
    }

    private static IEnumerable<byte[]> Damaged(byte[] whole, Random dice)
    {
        for (var n = 0; n < 12; n++)
            yield return whole[..dice.Next(whole.Length)];
        for (var n = 0; n < 12; n++)
        {
            var changed = whole.ToArray();
            for (var spot = 0; spot < 1 + (n * 4); spot++)
                changed[dice.Next(changed.Length)] = (byte)dice.Next(256);
            yield return changed;
        }
        yield return Encoding.Convert(Encoding.UTF8, Encoding.BigEndianUnicode, whole[..Math.Min(whole.Length, 9000)]);
        var noise = new byte[5000];
        dice.NextBytes(noise);
        yield return noise;
        var large = new byte[Large];
        for (var at = 0; at < Large; at += whole.Length)
            whole.AsSpan(0, Math.Min(whole.Length, Large - at)).CopyTo(large.AsSpan(at));
        yield return large;
    }

    private async Task<(HttpStatusCode Status, string Told)> Send(string importer, byte[] file)
    {
        if (importer.Split(' ') is [var path, var kind])
        {
            using var drawing = new StringContent(
                new JsonObject { [kind] = Encoding.Latin1.GetString(file), ["unit"] = "in" }.ToJsonString(),
                Encoding.UTF8,
                "application/json"
            );
            try
            {
                using var answer = await host.Client.PostAsync(new Uri(path, UriKind.Relative), drawing);
                return (answer.StatusCode, await answer.Content.ReadAsStringAsync());
            }
            // Far more than a request may hold is not read to its end.
            catch (HttpRequestException) when (file.Length == Large)
            {
                return (HttpStatusCode.RequestEntityTooLarge, """{"detail":"The request is cut off."}""");
            }
        }
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new(importer == Photo ? "image/png" : "application/octet-stream");
        using var reply = await host.Client.PostAsync(new Uri(importer, UriKind.Relative), content);
        return (reply.StatusCode, await reply.Content.ReadAsStringAsync());
    }

    private async Task<string> Everything()
    {
        var zip = await host.Client.GetByteArrayAsync(new Uri("/api/workroom.zip", UriKind.Relative));
        using var archive = new System.IO.Compression.ZipArchive(new MemoryStream(zip));
        using var all = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        foreach (var entry in archive.Entries.Where(each => each.FullName != "manifest.json"))
        {
            using var bytes = new MemoryStream();
            using var packed = entry.Open();
            packed.CopyTo(bytes);
            all.AppendData(Encoding.UTF8.GetBytes(entry.FullName));
            all.AppendData(bytes.ToArray());
        }
        return Convert.ToHexString(all.GetHashAndReset());
    }

    [Theory]
    [MemberData(nameof(Importers))]
    public async Task Damaged_files_are_told_or_read_and_nothing_is_changed(string importer, string own)
    {
        var whole = own == "" ? Picture : await host.Client.GetByteArrayAsync(new Uri(own, UriKind.Relative));
        var before = await Everything();
        var refused = 0;
        foreach (
            var (file, at) in Damaged(whole, new Random(own.Length)).Concat(Made()).Select((each, at) => (each, at))
        )
        {
            var (status, told) = await Send(importer, file);
            Assert.True((int)status < 500, $"{at}: {status} {told}");
            if (status == HttpStatusCode.OK)
                continue;
            refused++;
            Assert.True(((string?)JsonNode.Parse(told)!["detail"])?.Length is > 10 and < 600, $"{at}: {told}");
        }
        Assert.True(refused > 5, $"{refused}");
        Assert.Equal(before, await Everything());
        Assert.Equal(HttpStatusCode.OK, (await host.Send(HttpMethod.Get, "/api/health")).Status);
        Assert.InRange(host.MostMemory, 0, MostMemory);
    }
}
