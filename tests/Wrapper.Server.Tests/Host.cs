using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>
/// The test host as a process of its own, on a free port, with a data folder of its own; killed when done.
/// </summary>
public sealed class Host : IDisposable
{
    private readonly string data;
    private readonly bool demo;
    private readonly string[] more;
    private Process process;

    public Host()
        : this(Directory.CreateTempSubdirectory("wrapper-server-").FullName) { }

    private Host(string data, bool demo = true, params string[] more)
    {
        this.more = more;
        this.data = data;
        this.demo = demo;
        Port = FreePort();
        Client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };
        process = Start();
    }

    public int Port { get; }

    public HttpClient Client { get; }

    /// <summary>Its data folder.</summary>
    public string Data => data;

    /// <summary>The most memory that the server took so far, in bytes.</summary>
    public long MostMemory
    {
        get
        {
            process.Refresh();
            return process.PeakWorkingSet64;
        }
    }

    /// <summary>A host whose data lies in this folder, which it removes.</summary>
    public static Host On(string data) => new(data);

    /// <summary>A host that serves phones at this port too.</summary>
    public static Host WithPhones(int port) =>
        new(Directory.CreateTempSubdirectory("wrapper-server-").FullName, demo: false, "--phone", $"{port}");

    /// <summary>A host without demo data.</summary>
    public static Host Empty() => new(Directory.CreateTempSubdirectory("wrapper-server-").FullName, demo: false);

    /// <summary>
    /// Kills the server as by kill -9 and starts it again on the same data, after something was done to that.
    /// </summary>
    public void KillAndRestart(Action? between = null)
    {
        process.Kill();
        process.WaitForExit();
        between?.Invoke();
        process = Start();
    }

    /// <summary>Waits for a server that killed itself and starts it again.</summary>
    public void Restart()
    {
        Assert.True(process.WaitForExit(60_000));
        process = Start();
    }

    public async Task<(HttpStatusCode Status, JsonNode Body)> Send(
        HttpMethod method,
        string path,
        JsonNode? body = null
    )
    {
        using var request = new HttpRequestMessage(method, path)
        {
            Content = body is null ? null : JsonContent.Create(body),
        };
        using var response = await Client.SendAsync(request);
        var text = await response.Content.ReadAsStringAsync();
        return (response.StatusCode, text.Length == 0 ? new JsonObject() : JsonNode.Parse(text)!);
    }

    public Task<(HttpStatusCode Status, JsonNode Body)> Post(string path, JsonNode body) =>
        Send(HttpMethod.Post, path, body);

    /// <summary>What is answered where nothing is wrong; anything else fails the test in the server's own words.</summary>
    public async Task<JsonNode> Told(string path, JsonNode body)
    {
        var (status, told) = await Post(path, body);
        Assert.True(status == HttpStatusCode.OK, $"{path}: {(int)status} {told.ToJsonString()}");
        return told;
    }

    public void Dispose()
    {
        process.Kill();
        process.WaitForExit();
        Client.Dispose();
        Directory.Delete(data, recursive: true);
    }

    private Process Start()
    {
        var here = AppContext.BaseDirectory;
        var configuration = new DirectoryInfo(here).Parent!.Name;
        var host = Path.GetFullPath(
            Path.Combine(here, "../../../../Wrapper.TestHost/bin", configuration, "net10.0/Wrapper.TestHost.dll")
        );
        var started = Process.Start(
            new ProcessStartInfo(
                "dotnet",
                [
                    host,
                    "--port",
                    $"{Port}",
                    "--data",
                    data,
                    "--web",
                    Web(),
                    // The machine may be busy with others: no test but one of its own hangs on how soon a call is answered.
                    "--longest",
                    "120",
                    .. demo ? (string[])["--demo"] : [],
                    .. more,
                ]
            )
        )!;
        for (var tries = 0; tries < 1200; tries++)
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
            Thread.Sleep(50);
        }
        throw new InvalidOperationException("the test host does not answer");
    }

    // A page and a file of a built front end, as far as the server serves them differently.
    private string Web()
    {
        var assets = Directory.CreateDirectory(Path.Combine(data, "web", "assets")).FullName;
        File.WriteAllText(Path.Combine(data, "web", "index.html"), "<meta name=csp-nonce content=__NONCE__>");
        File.WriteAllText(Path.Combine(assets, "page-3f2a.js"), new string('/', 5000));
        return Path.Combine(data, "web");
    }

    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
