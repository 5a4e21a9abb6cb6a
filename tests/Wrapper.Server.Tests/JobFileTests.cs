using System.Diagnostics;
using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Tests;

namespace Wrapper.Server.Tests;

/// <summary>Jobs as files: lossless, described by a schema that another program checks, and hostile ones refused.</summary>
public sealed class JobFileTests(Host host) : IClassFixture<Host>
{
    public static readonly TheoryData<string> Jobs =
    [
        "demo-window-bench",
        "demo-marigold",
        "demo-lodge-seats",
        "demo-reading-room",
        "demo-bunks",
        "demo-tables",
    ];

    private Task<byte[]> File(string job) =>
        host.Client.GetByteArrayAsync(new Uri($"/api/jobs/{job}/file.json", UriKind.Relative));

    private async Task<(HttpStatusCode Status, string Told)> Take(string id, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        using var reply = await host.Client.PostAsync(new Uri($"/api/job-files?id={id}", UriKind.Relative), content);
        return (reply.StatusCode, await reply.Content.ReadAsStringAsync());
    }

    // What a program of another language and author says of a document under our schema: its first faults.
    private static string[] Faults(string schema, byte[] document)
    {
        var path = Path.GetTempFileName();
        System.IO.File.WriteAllBytes(path, document);
        try
        {
            const string script =
                "import json,sys,jsonschema as j\ns=json.load(open(sys.argv[1]))\nj.Draft202012Validator.check_schema(s)\nfor e in list(j.Draft202012Validator(s).iter_errors(json.load(open(sys.argv[2]))))[:5]: print(e.message[:200])";
            using var checker = Process.Start(
                new ProcessStartInfo("/usr/bin/python3", ["-c", script, schema, path]) { RedirectStandardOutput = true }
            )!;
            var told = checker.StandardOutput.ReadToEnd();
            checker.WaitForExit();
            Assert.Equal(0, checker.ExitCode);
            return told.Split('\n', StringSplitOptions.RemoveEmptyEntries);
        }
        finally
        {
            System.IO.File.Delete(path);
        }
    }

    private static string Schema =>
        Path.GetFullPath(Path.Combine(AppContext.BaseDirectory, "../../../../../docs/formats/job.schema.json"));

    [Fact]
    public async Task The_schema_that_is_published_is_that_of_this_program() =>
        Assert.Equal(
            (await System.IO.File.ReadAllTextAsync(Schema)).Trim(),
            (await host.Client.GetStringAsync(new Uri("/api/formats/job.schema.json", UriKind.Relative))).Trim()
        );

    [Theory]
    [MemberData(nameof(Jobs))]
    public async Task A_job_file_holds_to_its_schema_and_comes_back_to_the_byte(string job)
    {
        var file = await File(job);
        Assert.Empty(Faults(Schema, file));
        var (status, told) = await Take($"again-{job}", file);
        Assert.True(status == HttpStatusCode.OK, told);
        Assert.Equal(Encoding.UTF8.GetString(file), Encoding.UTF8.GetString(await File($"again-{job}")));
        // Sent twice, as when a reply was lost, it is one job.
        Assert.Equal(HttpStatusCode.OK, (await Take($"again-{job}", file)).Status);
    }

    // Random covers of every make-up, as they would be typed: out, in, out again, the same to the byte.
    [Fact]
    public async Task Random_jobs_hold_to_the_schema_and_come_back_to_the_byte()
    {
        var items = Variants.Makeable.Array[24].Single(each => each.Length == 24, seed: "0000KOIkZKF7");
        for (var n = 0; n < 4; n++)
        {
            var job = JobDocument.Empty($"Bench {n} \"é\" <&>", n % 2 == 0 ? JobUnit.Inch : JobUnit.Centimetre) with
            {
                Items = [.. items.Skip(6 * n).Take(6).Select((item, at) => item with { Id = $"i{at}" })],
                FromShelves = [new("r", "zip/closed", "z", new("4", JobUnit.Inch)) { IsOut = n == 1 }],
            };
            var sent = JsonSerializer.SerializeToUtf8Bytes(job, Web);
            var (status, told) = await Take($"random-{n}", sent);
            Assert.True(status == HttpStatusCode.OK, told);
            var file = await File($"random-{n}");
            Assert.Empty(Faults(Schema, file));
            await Take($"random-{n}-again", file);
            Assert.Equal(Encoding.UTF8.GetString(file), Encoding.UTF8.GetString(await File($"random-{n}-again")));
            // Nothing was lost on the way in either: what was sent, as it is.
            Assert.True(JsonNode.DeepEquals(JsonNode.Parse(sent), JsonNode.Parse(file)));
        }
    }

    private static readonly JsonSerializerOptions Web = new(JsonSerializerDefaults.Web);

    [Fact]
    public async Task What_is_no_job_fails_the_schema_too()
    {
        var job = JsonNode.Parse(await File("demo-marigold"))!;
        job["unit"] = "furlong";
        job["items"]![0]!.AsObject().Remove("measures");
        job["items"]![0]!["quantity"] = 2;
        Assert.True(Faults(Schema, Encoding.UTF8.GetBytes(job.ToJsonString())).Length >= 2);
    }

    [Fact]
    public async Task Whatever_is_no_job_file_is_told_and_changes_nothing()
    {
        var file = await File("demo-marigold");
        var text = Encoding.UTF8.GetString(file);
        var named = text.Replace("\"Saloon berths\"", "\"Salon é\"", StringComparison.Ordinal);
        (byte[] File, string Reason)[] hostile =
        [
            (file[..(file.Length / 2)], "broken off"),
            ([], "file"),
            ("null"u8.ToArray(), "says its version"),
            ("[1,2]"u8.ToArray(), "says its version"),
            ("{\"version\":\"1\"}"u8.ToArray(), "says its version"),
            (
                Encoding.UTF8.GetBytes(text.Replace("\"version\": 1", "\"version\": 7", StringComparison.Ordinal)),
                "newer program (version 7"
            ),
            (
                Encoding.UTF8.GetBytes(text.Replace("\"items\": [", "\"items\": [null,", StringComparison.Ordinal)),
                "null"
            ),
            (Encoding.Latin1.GetBytes(named), "UTF-8"),
            (Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat("{\"version\":", 100_000))), "broken off"),
            (Encoding.UTF8.GetBytes($"{{\"version\":1,\"items\":{new string('[', 50_000)}"), "broken off"),
            (new byte[5 * 1024 * 1024], "larger than 4 MB"),
            ([0x50, 0x4B, 3, 4, 0, 0, 0xFF], "UTF-8"),
            (
                Encoding.UTF8.GetBytes(
                    text.Replace("\"name\": \"Saloon berths\"", "\"name\": \"  \"", StringComparison.Ordinal)
                ),
                "needs a name"
            ),
        ];
        foreach (var (bytes, reason) in hostile)
        {
            var (status, told) = await Take("hostile", bytes);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
            Assert.Contains(reason, told, StringComparison.Ordinal);
        }
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/jobs/hostile")).Status);
        // In another encoding that says so it is read.
        Assert.Equal(HttpStatusCode.OK, (await Take("wide", [0xFF, 0xFE, .. Encoding.Unicode.GetBytes(named)])).Status);
        Assert.Equal("Salon é", $"{(await host.Send(HttpMethod.Get, "/api/jobs/wide")).Body["document"]!["name"]}");
    }
}
