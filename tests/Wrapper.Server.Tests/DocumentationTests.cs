using System.Diagnostics;
using System.Net;
using System.Text.RegularExpressions;
using Wrapper.Core.Planning;

namespace Wrapper.Server.Tests;

/// <summary>What must have the machine to itself: an answer that ends by the clock has less in it beside other tests.</summary>
[CollectionDefinition(nameof(Alone), DisableParallelization = true)]
public sealed class Alone;

/// <summary>Every example of docs/API.md runs as it stands there, against a real server.</summary>
[Collection(nameof(Alone))]
public sealed partial class DocumentationTests(Host host) : IClassFixture<Host>
{
    private static string Document()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Wrapper.slnx")))
            root = root.Parent!;
        return File.ReadAllText(Path.Combine(root.FullName, "docs/API.md"));
    }

    // The worked examples of the handbook; the rest is seen to run.
    private static readonly (string Of, string Prints)[] Worked =
    [
        ("\"makeUp\":\"box-cushion-strip\"", "cut width = W + 2 × s = 46 1/2 + 2 × 1/2 = 47 1/2"),
        ("draft bolster", "1b body cut 1 ['cut width 23 in', 'cut length 31 in']"),
        ("draft cube-banded", "1d corner band cut 4 ['cut width 4 1/2 in', 'cut height 16 in']"),
        (
            "draft fitted-sheet",
            "['cut width 52 1/2 in', 'cut length 95 in', 'corner cut-out, in from the front 10 1/2 in'"
        ),
        ("draft duvet-cover", "'cut length 87 5/8 in'"),
        ("draft box-cushion-two-panels", "zip chain 92.5 cm"), // 89.5 + 2 x 1.5
    ];

    [Fact]
    public async Task Every_example_runs()
    {
        var blocks = Shell().Matches(Document()).Select(match => match.Groups[1].Value).ToList();
        var setup = blocks
            .Single(block => block.StartsWith("api=", StringComparison.Ordinal))
            .Replace("5199", $"{host.Port}", StringComparison.Ordinal);
        var printed = new Dictionary<string, string>();
        foreach (var example in blocks.Where(block => !block.StartsWith("api=", StringComparison.Ordinal)))
        {
            var (code, output) = await Run(setup + example);
            Assert.True(code == 0 && output.Length > 0, $"{example} printed: {output}");
            Assert.DoesNotContain("do not match", output, StringComparison.Ordinal);
            printed[example] = output;
        }
        foreach (var (of, prints) in Worked)
            Assert.Contains(
                prints,
                printed.Single(each => each.Key.Contains(of, StringComparison.Ordinal)).Value,
                StringComparison.Ordinal
            );
        // One example drafts every make-up that there is, those of other assemblies too.
        var all = printed.Single(each => each.Key.Contains("while read", StringComparison.Ordinal)).Value;
        Assert.All(
            Drafting.Standard().MakeUps,
            makeUp => Assert.Contains($"{makeUp.Key}: seams match", all, StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task The_description_is_served()
    {
        var (status, description) = await host.Send(HttpMethod.Get, "/openapi/v1.json");
        Assert.Equal(HttpStatusCode.OK, status);
        foreach (var path in new[] { "/api/draft", "/api/plan", "/api/compare", "/api/jobs/{id}" })
            Assert.NotNull(description["paths"]![path]);
    }

    private static async Task<(int Code, string Output)> Run(string script)
    {
        using var shell = Process.Start(
            new ProcessStartInfo("bash", ["-euo", "pipefail", "-c", script]) { RedirectStandardOutput = true }
        )!;
        var output = await shell.StandardOutput.ReadToEndAsync();
        await shell.WaitForExitAsync();
        return (shell.ExitCode, output);
    }

    [GeneratedRegex(@"```sh\n(.*?)```", RegexOptions.Singleline)]
    private static partial Regex Shell();
}
