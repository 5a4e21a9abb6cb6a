using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Wrapper.Bench.Reliability;

/// <summary>
/// Asks everything that the OpenAPI document describes, with bodies made up from its schemas and with real ones in
/// which something was changed. No answer
/// may be a server error. The same seed asks the same.
/// </summary>
public sealed class Fuzz(ServerProcess server, int seed)
{
    private static readonly string[] Texts =
    [
        "",
        " ",
        "٤٦",
        "１２",
        "٣/٤",
        "-1",
        "0",
        "1/0",
        "1 1/2",
        "46 1/2",
        "1e9",
        "999999999999",
        "0.00001",
        "1,000",
        "50 ft",
        "NaN",
        "\0",
        "in",
        "cm",
        "none",
        "../../etc/passwd",
        "=1+1",
        "😀",
        "a/b.c",
        "0, 0; 18, 0; 18, 14 arc 12; 0, 14",
        "M0 0 H18 V14 H0 Z",
        "0,0;1,1;0,0",
        "tapered",
        "traced",
        "along",
        "1/8 yd",
        "2",
        "500",
        "5",
        new('9', 39),
        new('x', 5000),
    ];

    private static readonly long[] Numbers =
    [
        0,
        1,
        -1,
        2,
        3,
        100,
        int.MaxValue,
        int.MinValue,
        1L << 40,
        1L << 53,
        long.MaxValue,
        long.MinValue,
    ];

    private JsonNode document = new JsonObject();
    private List<JsonNode> seeds = [];

    public sealed record Failure(int Status, string Method, string Path, string Body);

    public async Task<(int Asked, IReadOnlyDictionary<int, int> Statuses, IReadOnlyList<Failure> Failures)> Run(
        int count
    )
    {
        document = await server.Get("/openapi/v1.json");
        seeds = await Seeds();
        var operations = (
            from path in document["paths"]!.AsObject()
            from method in path.Value!.AsObject()
            where path.Key.StartsWith("/api", StringComparison.Ordinal) && path.Key != "/api/backups"
            select (Path: path.Key, Method: method.Key.ToUpperInvariant(), Operation: method.Value!)
        ).ToList();
        var statuses = new System.Collections.Concurrent.ConcurrentDictionary<int, int>();
        var failures = new System.Collections.Concurrent.ConcurrentBag<Failure>();
        await Parallel.ForEachAsync(
            Enumerable.Range(0, count),
            new ParallelOptions { MaxDegreeOfParallelism = 8 },
            async (n, stop) =>
            {
                // Neighbouring seeds begin alike: spread.
                var random = new Random(unchecked((seed * 486187739) + (n * 16777619)));
                var (path, method, operation) = operations[random.Next(operations.Count)];
                var address = Address(path, operation, random);
                var text = operation["requestBody"] is { } body ? Body(path, body, random) : null;
                using var request = new HttpRequestMessage(new HttpMethod(method), new Uri(address, UriKind.Relative));
                if (text is not null)
                    request.Content = new StringContent(
                        text,
                        Encoding.UTF8,
                        path.Contains("photos/", StringComparison.Ordinal)
                        && path.StartsWith("/api/jobs", StringComparison.Ordinal)
                            ? "image/png"
                            : "application/json"
                    );
                using var reply = await server.Client.SendAsync(request, stop);
                var status = (int)reply.StatusCode;
                statuses.AddOrUpdate(status, 1, (_, known) => known + 1);
                if (status >= 500)
                    failures.Add(new(status, method, address, text ?? ""));
            }
        );
        return (count, statuses, [.. failures]);
    }

    // One job of each make-up, and the cloths with every demand.
    private async Task<List<JsonNode>> Seeds()
    {
        var jobs = new List<JsonNode>();
        foreach (var makeUp in (await server.Get("/api/make-ups")).AsArray())
        {
            var measures = makeUp!["measures"]!
                .AsArray()
                .ToDictionary(
                    measure => (string)measure!["key"]!,
                    measure => (string)measure!["key"]! is "W" or "L" ? "20" : "4"
                );
            var (cloth, item) = (await server.Cloth("c1"), await server.Item("i1", (string)makeUp["key"]!, measures));
            foreach (
                var (key, size) in new[]
                {
                    ("repeatAlong", "9"),
                    ("repeatAcross", "7"),
                    ("articleLength", "30"),
                    ("measuredLength", "60"),
                    ("leastCut", "20"),
                }
            )
                if (
                    jobs.Count % 5
                    == Array.IndexOf(
                        ["repeatAlong", "repeatAcross", "articleLength", "measuredLength", "leastCut"],
                        key
                    )
                )
                    cloth[key] = ServerProcess.Entry(size);
            cloth["flaws"] = new JsonArray(
                new JsonObject
                {
                    ["fromEnd"] = ServerProcess.Entry("5"),
                    ["fromSelvedge"] = ServerProcess.Entry("3"),
                    ["along"] = ServerProcess.Entry("2"),
                    ["across"] = ServerProcess.Entry("2"),
                }
            );
            jobs.Add(ServerProcess.Job([item], cloth));
        }
        return jobs;
    }

    private static string Address(string path, JsonNode operation, Random random)
    {
        var query = new List<string>();
        foreach (var parameter in operation["parameters"]?.AsArray() ?? [])
        {
            var name = (string)parameter!["name"]!;
            var value = Uri.EscapeDataString(
                random.Next(4) switch
                {
                    0 => "j1",
                    1 => $"{Numbers[random.Next(Numbers.Length)]}",
                    2 => "instant",
                    _ => Text(random),
                }
            );
            if ((string)parameter["in"]! == "path")
                path = path.Replace($"{{{name}}}", value.Length == 0 ? "j1" : value, StringComparison.Ordinal);
            else if (random.Next(3) > 0)
                query.Add($"{name}={value}");
        }
        return query.Count > 0 ? $"{path}?{string.Join('&', query)}" : path;
    }

    private string Body(string path, JsonNode body, Random random)
    {
        if (random.Next(60) == 0)
            return random.Next(2) == 0 ? "{" : new string('[', 200);
        var schema = body["content"]!.AsObject().First().Value!["schema"];
        var job = seeds[random.Next(seeds.Count)].DeepClone();
        var item = job["items"]![0]!.DeepClone();
        JsonNode? made =
            random.Next(3) == 0
                ? Made(schema, random, 0)
                : path switch
                {
                    "/api/plan" or "/api/savings" => job,
                    "/api/draft" => new JsonObject
                    {
                        ["item"] = item,
                        ["unit"] = "in",
                        ["cloths"] = job["cloths"]!.DeepClone(),
                    },
                    "/api/compare" => new JsonObject { ["job"] = job, ["item"] = "i1" },
                    "/api/widths" or "/api/remnants" or "/api/searches" => new JsonObject
                    {
                        ["job"] = job,
                        ["cloth"] = "c1",
                    },
                    "/api/enough" => new JsonObject
                    {
                        ["job"] = job,
                        ["cloth"] = "c1",
                        ["have"] = ServerProcess.Entry("2 yd"),
                    },
                    "/api/moves" => new JsonObject
                    {
                        ["job"] = job,
                        ["cloth"] = "c1",
                        ["piece"] = "i1/panel/1",
                        ["turns"] = 0,
                        ["along"] = 100,
                        ["across"] = 100,
                    },
                    "/api/jobs" => new JsonObject
                    {
                        ["id"] = $"j{random.Next(30)}",
                        ["changeId"] = $"c{random.Next(1000)}",
                        ["name"] = "n",
                        ["unit"] = "in",
                        ["document"] = job,
                    },
                    "/api/jobs/{id}" => new JsonObject
                    {
                        ["base"] = random.Next(1, 5),
                        ["changeId"] = $"c{random.Next(100000)}",
                        ["step"] = $"s{random.Next(3)}",
                        ["document"] = job,
                    },
                    _ => Made(schema, random, 0),
                };
        for (var changes = random.Next(4); changes > 0 && made is not null; changes--)
            made = Changed(made, random);
        return made?.ToJsonString() ?? "null";
    }

    // Something anywhere in it is put otherwise: an odd value, nothing, or the same twice.
    private static JsonNode? Changed(JsonNode whole, Random random)
    {
        var node = whole;
        for (var depth = random.Next(1, 7); depth > 0; depth--)
        {
            var inner = node switch
            {
                JsonObject map when map.Count > 0 => map.ElementAt(random.Next(map.Count)).Value,
                JsonArray list when list.Count > 0 => list[random.Next(list.Count)],
                _ => null,
            };
            if (inner is null)
                break;
            node = inner;
        }
        // Mostly of its own kind, so that it is read and goes on to where it matters.
        var odd =
            random.Next(5) == 0
                ? Odd(random)
                : node.GetValueKind() switch
                {
                    JsonValueKind.Number => JsonValue.Create(Numbers[random.Next(Numbers.Length)]),
                    JsonValueKind.True or JsonValueKind.False => JsonValue.Create(random.Next(2) == 0),
                    JsonValueKind.String => JsonValue.Create(Text(random)),
                    _ => node.DeepClone(),
                };
        switch (node.Parent)
        {
            case JsonObject map when random.Next(6) == 0:
                map.Remove(node.GetPropertyName());
                break;
            case JsonObject map:
                map[node.GetPropertyName()] = odd;
                break;
            case JsonArray list when random.Next(3) == 0:
                list.Add(node.DeepClone());
                break;
            case JsonArray list:
                list[node.GetElementIndex()] = odd;
                break;
            default:
                return odd ?? whole;
        }
        return whole;
    }

    private static JsonNode? Odd(Random random) =>
        random.Next(10) switch
        {
            0 => null,
            1 or 2 => JsonValue.Create(Numbers[random.Next(Numbers.Length)]),
            3 => JsonValue.Create(random.Next(2) == 0),
            4 => new JsonArray([null]),
            5 => new JsonObject(),
            6 => JsonValue.Create(1.5),
            _ => JsonValue.Create(Text(random)),
        };

    private static string Text(Random random) => Texts[random.Next(Texts.Length)];

    private JsonNode? Made(JsonNode? schema, Random random, int depth)
    {
        if (schema?["$ref"] is { } reference)
            return Made(document["components"]!["schemas"]![((string)reference!).Split('/')[^1]], random, depth);
        if (schema is null || depth > 6 || random.Next(40) == 0)
            return Odd(random);
        if (schema["oneOf"]?.AsArray() is { } any)
            return Made(any[random.Next(any.Count)], random, depth);
        if (schema["enum"]?.AsArray() is { } names)
            return names[random.Next(names.Count)]?.DeepClone();
        var type = schema["type"] is JsonArray several
            ? (string?)several[random.Next(several.Count)]
            : (string?)schema["type"];
        switch (type)
        {
            case "object" when schema["properties"] is JsonObject members:
                return new JsonObject(
                    members.Select(member => KeyValuePair.Create(member.Key, Made(member.Value, random, depth + 1)))
                );
            case "object":
                return new JsonObject(
                    Enumerable
                        .Range(0, random.Next(3))
                        .Select(n =>
                            KeyValuePair.Create($"k{n}", Made(schema["additionalProperties"], random, depth + 1))
                        )
                );
            case "array":
                return new JsonArray([
                    .. Enumerable.Range(0, random.Next(3)).Select(_ => Made(schema["items"], random, depth + 1)),
                ]);
            case "integer" or "number":
                return JsonValue.Create(Numbers[random.Next(Numbers.Length)]);
            case "boolean":
                return JsonValue.Create(random.Next(2) == 0);
            case "null":
                return null;
            default:
                return JsonValue.Create(Text(random));
        }
    }
}
