using System.Net;
using System.Text.Json.Nodes;
using Wrapper.Store.Tests;

namespace Wrapper.Server.Tests;

/// <summary>A store that cannot take a save, or lost the end of its log: what the maker hears.</summary>
public class StoreFaultTests
{
    private static async Task<long> Begin(Host host)
    {
        var (status, job) = await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = "j",
                ["changeId"] = "c0",
                ["name"] = "n",
                ["unit"] = "in",
                ["document"] = null,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        return (long)job["revision"]!;
    }

    private static Task<(HttpStatusCode Status, JsonNode Body)> Save(Host host, long from, string customer) =>
        host.Send(
            HttpMethod.Put,
            "/api/jobs/j",
            new JsonObject
            {
                ["base"] = from,
                ["changeId"] = $"c{customer.GetHashCode(StringComparison.Ordinal)}",
                ["step"] = "",
                ["document"] = new JsonObject
                {
                    ["version"] = 1,
                    ["name"] = "n",
                    ["customer"] = customer,
                    ["unit"] = "in",
                    ["currency"] = "£",
                    ["items"] = new JsonArray(),
                    ["cloths"] = new JsonArray(),
                },
            }
        );

    [Fact]
    public async Task A_full_disk_is_said_to_be_full_and_saving_goes_on_when_there_is_room()
    {
        using var disk = new Disk(8000);
        using var host = Host.On(Directory.CreateDirectory(Path.Combine(disk.Folder, "data")).FullName);
        var revision = await Begin(host);
        var answer = await Save(host, revision, "first");
        revision = (long)answer.Body["revision"]!;
        var fill = disk.Fill();
        for (var n = 0; n < 600; n++)
        {
            // Names that share nothing, so that each save takes room.
            answer = await Save(
                host,
                revision,
                string.Concat(Enumerable.Range(0, 6).Select(_ => Guid.NewGuid().ToString("N")))
            );
            if (answer.Status != HttpStatusCode.OK)
                break;
            revision = (long)answer.Body["revision"]!;
        }
        Assert.Equal(HttpStatusCode.InsufficientStorage, answer.Status);
        Assert.Contains("is full: make room", (string)answer.Body["detail"]!, StringComparison.Ordinal);
        Assert.Equal(revision, (long)(await host.Send(HttpMethod.Get, "/api/jobs/j")).Body["revision"]!);
        File.Delete(fill);
        Assert.Equal(HttpStatusCode.OK, (await Save(host, revision, "room again")).Status);
    }

    [Fact]
    public async Task A_log_whose_end_is_gone_is_told_on_the_page()
    {
        using var host = new Host();
        var revision = await Begin(host);
        for (var n = 0; n < 6; n++)
            revision = (long)(await Save(host, revision, $"Lodge {n}")).Body["revision"]!;
        Assert.Empty((await host.Send(HttpMethod.Get, "/api/health")).Body["notes"]!.AsArray());
        host.KillAndRestart(() =>
        {
            var log = Path.Combine(host.Data, "wrapper.db-wal");
            var bytes = File.ReadAllBytes(log);
            bytes[LastFrame(bytes) + 1000] ^= 0xFF;
            File.WriteAllBytes(log, bytes);
        });
        var (_, health) = await host.Send(HttpMethod.Get, "/api/health");
        Assert.Contains(
            "could not be read",
            (string)Assert.Single(health["notes"]!.AsArray())!,
            StringComparison.Ordinal
        );
    }

    // Where the last frame of the log begins that is of its present round (SQLite's file format, §4.1): those after it
    // are of an earlier one, and nobody reads them.
    private static int LastFrame(byte[] log)
    {
        const int header = 32,
            frame = 24 + 4096;
        var last = header;
        for (var at = header; at + frame <= log.Length; at += frame)
            if (log.AsSpan(at + 8, 8).SequenceEqual(log.AsSpan(16, 8)))
                last = at;
        return last;
    }
}
