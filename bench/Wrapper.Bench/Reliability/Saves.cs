using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Wrapper.Bench.Reliability;

/// <summary>
/// An hour of editing a job of ten items: a save a second, by <c>typing</c> four to a step or each a step of its own;
/// and how much the data folder grew.
/// </summary>
public sealed class Saves(ServerProcess server)
{
    private const int AnHour = 3600;

    public async Task<(double Kilobytes, double Each)> Run(string id, int aStep)
    {
        List<JsonNode> items = [];
        for (var n = 0; n < 10; n++)
            items.Add(
                await server.Item(
                    $"{id}{n}",
                    "box-cushion-strip",
                    new Dictionary<string, string>
                    {
                        ["W"] = $"{20 + n}",
                        ["L"] = "20",
                        ["T"] = "4",
                    }
                )
            );
        var job = ServerProcess.Job(items, await server.Cloth($"{id}c"));
        await server.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = id,
                ["changeId"] = "c0",
                ["name"] = "hour",
                ["unit"] = "in",
                ["document"] = job.DeepClone(),
            }
        );
        var before = Size();
        for (var n = 1; n <= AnHour; n++)
        {
            var step = n / aStep;
            var measures = job["items"]![step % 10]!["measures"]!;
            measures[
                step % 3 == 0 ? "W"
                : step % 3 == 1 ? "L"
                : "T"
            ] = ServerProcess.Entry(string.Create(CultureInfo.InvariantCulture, $"{10 + (step * 7 % 23)} {n % 8}/8"));
            using var body = JsonContent.Create(
                new JsonObject
                {
                    ["base"] = n,
                    ["changeId"] = $"{id}{n:x12}",
                    ["step"] = aStep == 1 ? "" : $"measures.W#{step}",
                    ["document"] = job.DeepClone(),
                }
            );
            using var reply = await server.Client.PutAsync(new Uri($"/api/jobs/{id}", UriKind.Relative), body);
            if (!reply.IsSuccessStatusCode)
                throw new InvalidOperationException($"not saved: {(int)reply.StatusCode}");
        }
        var grown = (Size() - before) / 1000.0;
        return (grown, grown * 1000 / AnHour);
    }

    // Everything there is, the log included.
    private long Size() => new DirectoryInfo(server.Data).EnumerateFiles("wrapper.db*").Sum(file => file.Length);
}
