using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;

namespace Wrapper.Bench.Reliability;

/// <summary>The real server as a process of its own, on a free port and a data folder that is removed.</summary>
public sealed class ServerProcess : IDisposable
{
    private readonly string data = Directory.CreateTempSubdirectory("wrapper-bench-").FullName;
    private Process process;

    public ServerProcess()
    {
        using (var listener = new TcpListener(IPAddress.Loopback, 0))
        {
            listener.Start();
            Port = ((IPEndPoint)listener.LocalEndpoint).Port;
        }
        Client = new HttpClient(new SocketsHttpHandler { MaxConnectionsPerServer = 200 })
        {
            BaseAddress = new Uri($"http://127.0.0.1:{Port}"),
            Timeout = TimeSpan.FromMinutes(10),
        };
        process = Start();
    }

    public int Port { get; }

    public HttpClient Client { get; }

    public string Data => data;

    /// <summary>The most memory that it has held, in megabytes.</summary>
    public double PeakMegabytes => Memory("VmHWM");

    /// <summary>What it holds now, in megabytes.</summary>
    public double Megabytes => Memory("VmRSS");

    public void KillAndRestart()
    {
        Kill();
        process = Start();
    }

    /// <summary>Stops it as Ctrl C does; how long that took, in milliseconds.</summary>
    public double StopGently()
    {
        var clock = Stopwatch.StartNew();
        using (var signal = Process.Start("kill", ["-TERM", $"{process.Id}"]))
            signal.WaitForExit();
        process.WaitForExit();
        return clock.Elapsed.TotalMilliseconds;
    }

    public void Restart() => process = Start();

    public void Kill()
    {
        process.Kill();
        process.WaitForExit();
    }

    public async Task<JsonNode> Get(string path) =>
        JsonNode.Parse(await Client.GetStringAsync(new Uri(path, UriKind.Relative)))!;

    public async Task<JsonNode> Post(string path, JsonNode body)
    {
        using var content = JsonContent.Create(body);
        using var reply = await Client.PostAsync(new Uri(path, UriKind.Relative), content);
        return JsonNode.Parse(await reply.Content.ReadAsStringAsync())!;
    }

    /// <summary>A cloth with usual values.</summary>
    public Task<JsonNode> Cloth(string id) =>
        Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = id,
                ["name"] = id,
                ["unit"] = "in",
            }
        );

    /// <summary>An item of a make-up, measured with what its measures usually are.</summary>
    public async Task<JsonNode> Item(string id, string makeUp, IReadOnlyDictionary<string, string> measures)
    {
        var item = await Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = id,
                ["name"] = id,
                ["makeUp"] = makeUp,
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        foreach (var (key, size) in measures)
            item["measures"]![key] = Entry(size);
        return item;
    }

    public static JsonObject Entry(string typed) => new() { ["typed"] = typed, ["unit"] = "in" };

    public static JsonObject Job(IEnumerable<JsonNode> items, params IEnumerable<JsonNode> cloths) =>
        new()
        {
            ["version"] = 1,
            ["name"] = "bench",
            ["customer"] = "",
            ["unit"] = "in",
            ["currency"] = "£",
            ["items"] = new JsonArray([.. items.Select(item => item.DeepClone())]),
            ["cloths"] = new JsonArray([.. cloths.Select(cloth => cloth.DeepClone())]),
        };

    public void Dispose()
    {
        Kill();
        Client.Dispose();
        Directory.Delete(data, recursive: true);
    }

    private double Memory(string line)
    {
        var found = File.ReadLines($"/proc/{process.Id}/status")
            .First(each => each.StartsWith(line, StringComparison.Ordinal));
        return double.Parse(
                found.Split(' ', StringSplitOptions.RemoveEmptyEntries)[^2],
                System.Globalization.CultureInfo.InvariantCulture
            ) / 1024;
    }

    private Process Start()
    {
        var host = Path.GetFullPath(
            Path.Combine(
                AppContext.BaseDirectory,
                "../../../../../src/Wrapper.Server/bin/Release/net10.0/Wrapper.Server.dll"
            )
        );
        var started = Process.Start(new ProcessStartInfo("dotnet", [host, "--port", $"{Port}", "--data", data]))!;
        for (var tries = 0; tries < 600; tries++)
        {
            try
            {
                if (
                    Client
                        .GetAsync(new Uri("/api/health", UriKind.Relative))
                        .GetAwaiter()
                        .GetResult()
                        .IsSuccessStatusCode
                )
                    return started;
            }
            catch (HttpRequestException)
            {
                // Not listening yet.
            }
            Thread.Sleep(20);
        }
        throw new InvalidOperationException("the server does not answer");
    }
}
