using System.Diagnostics;
using System.Net;
using System.Text.RegularExpressions;

namespace Wrapper.Server.Tests;

/// <summary>Every example of docs/API.md runs as it stands there, against a real server.</summary>
public sealed partial class DocumentationTests(Host host) : IClassFixture<Host>
{
    private static string Document()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Wrapper.slnx")))
            root = root.Parent!;
        return File.ReadAllText(Path.Combine(root.FullName, "docs/API.md"));
    }

    [Theory]
    [InlineData(
        "\"makeUp\":\"box-cushion-strip\"",
        "1a panel cut 2 ['cut width = W + 2 × s = 46 1/2 + 2 × 1/2 = 47 1/2'"
    )]
    [InlineData("box-cushion-folded", "\"zip, teeth\"")]
    [InlineData("[\"totals\"]", "'text': '")]
    [InlineData("[\"matches\"]", "Compass panel panel centred")]
    [InlineData("curl -s \"$api/savings\"", "Guest duvet measures.L 82 in 1/4 yd")]
    [InlineData("draft box-cushion-two-panels", "zip chain 92.5 cm")] // 89.5 + 2 x 1.5
    [InlineData("draft pillowcase-cushion", "['cut width 30 in', 'cut length 33 3/4 in']")]
    [InlineData("draft knife-edge-pad", "tie tape 56 in")]
    [InlineData("draft bolster", "1b body cut 1 ['cut width 23 in', 'cut length 31 in']")]
    [InlineData("draft ottoman-boxed", "1a top cut 1 ['cut width 49 cm', 'cut length 49 cm']")]
    [InlineData("draft ottoman-cap", "1a cap cut 1 ['cut width 29 in', 'cut length 25 1/4 in'")]
    [InlineData("draft cube-banded", "1d corner band cut 4 ['cut width 4 1/2 in', 'cut height 16 in']")]
    [InlineData("draft chair-back-slip-over", "1b lining face cut 2")]
    [InlineData("draft chair-slipcover", "seams match")]
    [InlineData("draft sofa-base", "['cut width 161.4 cm', 'cut length 110.2 cm']")]
    [InlineData(
        "draft fitted-sheet",
        "['cut width 52 1/2 in', 'cut length 95 in', 'corner cut-out, in from the front 10 1/2 in'"
    )]
    [InlineData("draft mattress-gusset", "panel, centre cut 2 ['cut width 53 in', 'cut length 76 1/2 in']")]
    [InlineData("draft mattress-stitched-off", "1a panel cut 2 ['cut width 84.5 cm', 'cut length 155 cm'")]
    [InlineData("draft duvet-cover", "front, centre cut 1 ['cut width 53 in', 'cut length 87 5/8 in']")]
    [InlineData("draft contoured-pad", "1b wrap cut 1 ['cut width 77.2 cm', 'cut length 83 cm'")]
    [InlineData("draft table-five-pieces", "pleat insert cut 4 ['cut width 12 3/4 in', 'cut height 29 7/8 in']")]
    [InlineData(
        "draft table-one-piece",
        "1a sheet cut 1 ['cut width 107 cm', 'cut length 77 cm', 'corner cut-out, in from the front 22.5 cm'"
    )]
    [InlineData("draft round-table-draped", "circle, left cut 1 ['cut width 2 3/4 in'")]
    [InlineData("draft round-table-skirted", "skirt width cut 4 ['cut width 127.7 cm', 'cut height 72.2 cm']")]
    [InlineData(
        "draft centre-panel",
        "1b facing cut 1 ['cut diameter 20 3/4 in', 'cut diameter the other way 20 3/4 in']"
    )]
    [InlineData("draft elastic-cap", "straps of elastic, across underneath 20 in")]
    [InlineData("draft traced-board", "cord 386.5 cm")]
    [InlineData(
        "draft box-cushion-strip in shape=traced",
        "boxing cut 1 ['cut length 74 1/4 in', 'cut depth 4 3/4 in']"
    )] // 74.2567
    public async Task Examples_run(string of, string prints)
    {
        var blocks = Shell().Matches(Document()).Select(match => match.Groups[1].Value).ToList();
        var setup = blocks
            .Single(block => block.StartsWith("api=", StringComparison.Ordinal))
            .Replace("5199", $"{host.Port}", StringComparison.Ordinal);
        var example = blocks.Single(block => block.Contains(of, StringComparison.Ordinal));
        using var shell = Process.Start(
            new ProcessStartInfo("bash", ["-euo", "pipefail", "-c", setup + example]) { RedirectStandardOutput = true }
        )!;
        var output = await shell.StandardOutput.ReadToEndAsync();
        await shell.WaitForExitAsync();
        Assert.Equal(0, shell.ExitCode);
        Assert.Contains(prints, output, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Every_make_up_has_an_example_and_the_description_is_served()
    {
        var document = Document();
        Assert.All(
            Core.Planning.Drafting.Standard().MakeUps,
            makeUp => Assert.Contains($"### {makeUp.Key}", document, StringComparison.Ordinal)
        );
        var (status, description) = await host.Send(HttpMethod.Get, "/openapi/v1.json");
        Assert.Equal(HttpStatusCode.OK, status);
        foreach (var path in new[] { "/api/draft", "/api/plan", "/api/compare", "/api/jobs/{id}" })
            Assert.NotNull(description["paths"]![path]);
    }

    [GeneratedRegex(@"```sh\n(.*?)```", RegexOptions.Singleline)]
    private static partial Regex Shell();
}
