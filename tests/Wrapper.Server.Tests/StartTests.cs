using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Runtime.InteropServices;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Wrapper.Store;

namespace Wrapper.Server.Tests;

/// <summary>
/// The program as it is started by hand: what cannot be is said in one line with what to do, and the command line alone
/// says where it listens.
/// </summary>
public sealed class StartTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-start-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private static Process Begin(IEnumerable<string> arguments, params (string Name, string Value)[] environment)
    {
        var here = AppContext.BaseDirectory;
        var program = Path.GetFullPath(
            Path.Combine(
                here,
                "../../../../../src/Wrapper.Server/bin",
                new DirectoryInfo(here).Parent!.Name,
                "net10.0/Wrapper.Server.dll"
            )
        );
        var start = new ProcessStartInfo("dotnet", [program, .. arguments])
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
        };
        foreach (var (name, value) in environment)
            start.Environment[name] = value;
        return Process.Start(start)!;
    }

    private static string Refused(params string[] arguments)
    {
        using var process = Begin(arguments);
        var said = process.StandardError.ReadToEndAsync();
        var beside = process.StandardOutput.ReadToEndAsync();
        Assert.True(process.WaitForExit(60_000), "it goes on instead of refusing");
        Assert.Equal(1, process.ExitCode);
        var line = said.GetAwaiter().GetResult().TrimEnd();
        Assert.DoesNotContain('\n', line);
        Assert.DoesNotContain("   at ", line + beside.GetAwaiter().GetResult(), StringComparison.Ordinal);
        return line;
    }

    [Theory]
    [InlineData("--prot 5199", "--prot")]
    [InlineData("--port", "--port")]
    [InlineData("--port high", "high")]
    [InlineData("--port 70000", "0 to 65535")]
    [InlineData("--longest 0", "1 to 300 seconds")]
    [InlineData("--data", "--data")]
    [InlineData("--data /nowhere/at/all", "there is no folder /nowhere/at")]
    [InlineData("restore", "restore")]
    [InlineData("restore none.db --data {0}", "There is no file none.db")]
    public void What_cannot_be_asked_is_told_in_a_line(string arguments, string told) =>
        Assert.Contains(
            told,
            Refused([.. arguments.Split(' ').Select(each => each.Replace("{0}", folder, StringComparison.Ordinal))]),
            StringComparison.Ordinal
        );

    [Fact]
    public void A_taken_port_a_folder_in_use_and_damage_are_told_each_in_a_line()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        var port = ((IPEndPoint)listener.LocalEndpoint).Port;
        Assert.Contains("port is taken", Refused("--port", $"{port}", "--data", folder), StringComparison.Ordinal);
        using (DataLock.Take(folder))
            Assert.Contains(
                "Another Wrapper works on",
                Refused("--port", "0", "--data", folder),
                StringComparison.Ordinal
            );
        File.WriteAllText(Path.Combine(folder, "wrapper.db"), new string('7', 9000));
        foreach (var end in (string[])["-wal", "-shm"])
            File.Delete(Path.Combine(folder, "wrapper.db" + end));
        Assert.Contains("restore FILE", Refused("--port", "0", "--data", folder), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_environment_moves_nothing_and_stopping_takes_a_moment()
    {
        var (own, other, third) = (FreePort(), FreePort(), FreePort());
        using var process = Begin(
            ["--port", $"{own}", "--data", folder],
            ("ASPNETCORE_URLS", $"http://127.0.0.1:{other}"),
            ("ASPNETCORE_HTTP_PORTS", $"{other}"),
            ("URLS", $"http://127.0.0.1:{other}"),
            ("Kestrel__Endpoints__More__Url", $"http://127.0.0.1:{third}"),
            ("AllowedHosts", "*")
        );
        using var client = new HttpClient();
        for (var tries = 0; tries < 1200 && !await Answers(own); tries++)
            await Task.Delay(50);
        Assert.Equal((true, false, false), (await Answers(own), await Answers(other), await Answers(third)));
        using var foreign = new HttpRequestMessage(HttpMethod.Get, $"http://127.0.0.1:{own}/api/health")
        {
            Headers = { Host = "elsewhere.example" },
        };
        using (var answer = await client.SendAsync(foreign))
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var clock = Stopwatch.StartNew();
        Assert.Equal(0, Kill(process.Id, 15));
        await process.WaitForExitAsync();
        Assert.InRange(clock.Elapsed.TotalSeconds, 0, 20);

        async Task<bool> Answers(int port)
        {
            try
            {
                using var answer = await client.GetAsync(new Uri($"http://127.0.0.1:{port}/api/health"));
                return answer.IsSuccessStatusCode;
            }
            catch (HttpRequestException)
            {
                return false;
            }
        }
    }

    // As the README says it: with the server running, and after it was killed.
    [Fact]
    public async Task A_backup_is_restored_while_the_server_runs_and_after_it_was_killed()
    {
        var port = FreePort();
        var address = new Uri($"http://127.0.0.1:{port}");
        using var client = new HttpClient { BaseAddress = address };
        async Task Create(string id)
        {
            using var answer = await client.PostAsJsonAsync(
                "/api/jobs",
                new
                {
                    id,
                    changeId = "c",
                    name = id,
                    unit = "in",
                    document = (object?)null,
                }
            );
            answer.EnsureSuccessStatusCode();
        }
        async Task<string> Jobs() =>
            string.Join(
                ' ',
                JsonNode
                    .Parse(await client.GetStringAsync("/api/jobs"))!
                    .AsArray()
                    .Select(job => (string)job!["id"]!)
                    .Order()
            );
        async Task<Process> Serve()
        {
            var process = Begin(["--port", $"{port}", "--data", folder]);
            for (var tries = 0; tries < 1200; tries++)
            {
                try
                {
                    (await client.GetAsync("/api/health")).Dispose();
                    break;
                }
                catch (HttpRequestException)
                {
                    await Task.Delay(50);
                }
            }
            return process;
        }
        async Task<string> Restore(string file)
        {
            using var process = Begin(["restore", file, "--data", folder]);
            var said = await process.StandardOutput.ReadToEndAsync();
            await process.WaitForExitAsync();
            Assert.Equal(0, process.ExitCode);
            return said;
        }

        string backup;
        using (var running = await Serve())
        {
            await Create("before");
            using var made = await client.PostAsync("/api/backups", null);
            backup = (string)JsonNode.Parse(await made.Content.ReadAsStringAsync())!["file"]!;
            await Create("after");
            Assert.Equal("after before", await Jobs());
            Assert.Contains("server that runs", await Restore(backup), StringComparison.Ordinal);
            Assert.Equal("before", await Jobs());
            await Create("again");
            running.Kill();
            await running.WaitForExitAsync();
        }
        Assert.Contains("Set aside", await Restore(backup), StringComparison.Ordinal);
        using (var later = await Serve())
        {
            Assert.Equal("before", await Jobs());
            later.Kill();
            await later.WaitForExitAsync();
        }
        Assert.Equal(2, Directory.EnumerateDirectories(Path.Combine(folder, "set-aside")).Count());
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    [DllImport("libc", EntryPoint = "kill")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static extern int Kill(int process, int signal);
}
