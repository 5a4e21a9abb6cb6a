using System.Collections.Concurrent;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Wrapper.Bench.Reliability;

/// <summary>
/// Writers that never stop, and a server that is killed under them as by kill -9: whatever was acknowledged must be
/// there, and no change twice.
/// </summary>
public sealed class Kills(ServerProcess server)
{
    private const int Writers = 6;

    private sealed record Acknowledged(string Job, long Revision, string Name);

    public async Task<(int Saves, int Lost, int Twice)> Run(int kills)
    {
        var small = ServerProcess.Job([], await server.Cloth("c"));
        for (var n = 0; n < Writers; n++)
            await server.Post(
                "/api/jobs",
                new JsonObject
                {
                    ["id"] = $"w{n}",
                    ["changeId"] = "c0",
                    ["name"] = "start",
                    ["unit"] = "in",
                    ["document"] = small.DeepClone(),
                }
            );
        var known = new ConcurrentBag<Acknowledged>();
        var sent = new ConcurrentDictionary<string, int>();
        using var stop = new CancellationTokenSource();
        var writers = Enumerable
            .Range(0, Writers)
            .Select(n => Task.Run(() => Write($"w{n}", (JsonObject)small.DeepClone(), known, sent, stop.Token)))
            .ToList();
        var random = new Random(1);
        for (var n = 0; n < kills; n++)
        {
            await Task.Delay(random.Next(80, 400));
            server.KillAndRestart();
        }
        await stop.CancelAsync();
        await Task.WhenAll(writers);
        server.KillAndRestart();
        var (lost, twice) = (0, 0);
        foreach (var job in known.GroupBy(each => each.Job))
        {
            var now = await server.Get($"/api/jobs/{job.Key}");
            var last = job.MaxBy(each => each.Revision)!;
            // The last acknowledged one is there, or one that came after it and whose reply was lost.
            if (
                (long)now["revision"]! < last.Revision
                || ((long)now["revision"]! == last.Revision && (string)now["document"]!["name"]! != last.Name)
            )
                lost++;
            if (job.Select(each => each.Revision).Distinct().Count() != job.Count())
                twice++;
            // Each change is one revision: as many as were made, none twice.
            if ((long)now["revision"]! > sent[job.Key] + 1)
                twice++;
        }
        return (known.Count, lost, twice);
    }

    // Each change is sent under its id until it is acknowledged.
    private async Task Write(
        string job,
        JsonObject document,
        ConcurrentBag<Acknowledged> known,
        ConcurrentDictionary<string, int> sent,
        CancellationToken stop
    )
    {
        var revision = 1L;
        for (var n = 1; !stop.IsCancellationRequested; n++)
        {
            document["name"] = string.Create(CultureInfo.InvariantCulture, $"change {n}");
            sent[job] = n;
            var body = new JsonObject
            {
                ["base"] = revision,
                ["changeId"] = $"{job}-{n}",
                ["step"] = n % 4 == 0 ? "" : $"s{n / 4}",
                ["document"] = document.DeepClone(),
            };
            while (true)
            {
                try
                {
                    using var reply = await server.Client.PutAsync(
                        new Uri($"/api/jobs/{job}", UriKind.Relative),
                        JsonContent.Create(body),
                        CancellationToken.None
                    );
                    if (!reply.IsSuccessStatusCode)
                        throw new InvalidOperationException(
                            $"{job} {n}: {(int)reply.StatusCode} {await reply.Content.ReadAsStringAsync(CancellationToken.None)}"
                        );
                    revision = (long)
                        JsonNode.Parse(await reply.Content.ReadAsStringAsync(CancellationToken.None))!["revision"]!;
                    known.Add(new Acknowledged(job, revision, $"change {n}"));
                    break;
                }
                catch (Exception gone) when (gone is HttpRequestException or IOException)
                {
                    await Task.Delay(20, CancellationToken.None);
                }
            }
        }
    }
}
