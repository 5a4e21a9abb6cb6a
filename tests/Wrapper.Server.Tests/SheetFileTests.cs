using System.Net;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Wrapper.Server.Tests;

/// <summary>Sheets over the wire: each is a tagged PDF, read back by another program, and says what was worked out by hand.</summary>
public sealed class SheetFileTests(Host host) : IClassFixture<Host>
{
    private const string Bench = "/api/jobs/demo-window-bench/sheets";

    private async Task<byte[]> Pdf(string path)
    {
        using var reply = await host.Client.GetAsync(new Uri(path, UriKind.Relative));
        Assert.Equal(HttpStatusCode.OK, reply.StatusCode);
        Assert.Equal("application/pdf", reply.Content.Headers.ContentType?.MediaType);
        return await reply.Content.ReadAsByteArrayAsync();
    }

    // 46 1/2 by 19 1/4 and half an inch of seam on either side are 47 1/2 by 20 1/4: figures of the bench's first cushion.
    [Theory]
    [InlineData("measuring-sheet", "1 Middle cushion", "46 1/2")]
    [InlineData("pieces", "1a panel: cut 2", "20 1/4 in")]
    [InlineData("cutting-sheet", "Slate wool twill, right side up", "From the selvedge")]
    [InlineData("lay-plan", "Slate wool twill, right side up", "Usable width 53 in")]
    [InlineData("making-sheet", "1 Middle cushion", "Take care. Shears and rotary cutters")]
    [InlineData("shopping-list", "Where cloth is cut", "3 3/4 yd")]
    [InlineData("label", "Middle cushion 46 1/2 x 19 1/4 x 3 3/4 in", "batch SW 4411")]
    [InlineData("care-card", "Caring for your Middle cushion", "Wash gently at 30 °C at the most")]
    [InlineData("hand-over-sheet", "Handed over", "Received, as described")]
    public async Task Each_sheet_of_a_job_is_read_by_its_parts(string sheet, string heading, string said)
    {
        var pdf = await Pdf($"{Bench}/{sheet}.pdf");
        var tree = Poppler.Text("pdfinfo", pdf, "-struct-text");
        var words = Regex.Replace(
            string.Concat(
                Regex.Matches(tree, "\"([^\"]*)\"", RegexOptions.Singleline).Select(match => match.Groups[1].Value)
            ),
            @"\s+",
            " "
        );
        Assert.StartsWith("Document", tree);
        Assert.Contains(heading, words);
        Assert.Contains(said, words);
        // Nothing is drawn that is not read: what pdftotext finds on the pages, without heads and numbers, is in the tree.
        Assert.Matches(@"Tagged:\s+yes", Poppler.Text("pdfinfo", pdf));
        var fonts = Poppler.Text("pdffonts", pdf).Split('\n').Skip(2).Where(line => line.Length > 0).ToList();
        Assert.NotEmpty(fonts);
        Assert.All(fonts, font => Assert.Matches(@"^\S*AtkinsonHyperlegible\S*.*\syes yes yes\s", font));
        // What is shown is what is printed: the same pages, and every line of theirs among the words.
        var (_, job) = await host.Send(HttpMethod.Get, "/api/jobs/demo-window-bench");
        var (status, shown) = await host.Post($"/api/sheets/{sheet}", job["document"]!.DeepClone());
        Assert.Equal(HttpStatusCode.OK, status);
        var pages = shown["pages"]!.AsArray();
        Assert.Equal(
            Math.Min(12, int.Parse(Regex.Match(Poppler.Text("pdfinfo", pdf), @"Pages:\s+(\d+)").Groups[1].Value)),
            pages.Count
        );
        Assert.All(pages.Take(2), page => Assert.StartsWith("data:image/png;base64,", (string)page!["picture"]!));
        foreach (
            var line in pages[0]!["said"]!.AsArray().Select(line => (string)line!).Where(line => line.StartsWith('1'))
        )
            Assert.Contains(Regex.Replace(line, @"\s+", " "), words + Poppler.Text("pdfinfo", pdf, "-struct"));
    }

    [Fact]
    public async Task Paper_and_labels_have_their_size_and_what_is_no_sheet_is_told()
    {
        Assert.Matches(
            @"Page size:\s+595\S* x 841\S*",
            Poppler.Text("pdfinfo", await Pdf($"{Bench}/making-sheet.pdf?paper=a4"))
        );
        Assert.Matches(
            @"Page size:\s+61[12]\S* x 79[12]",
            Poppler.Text("pdfinfo", await Pdf($"{Bench}/making-sheet.pdf?paper=letter"))
        );
        // 2 3/4 in are 198 points; four covers, a label each.
        var labels = Poppler.Text("pdfinfo", await Pdf($"{Bench}/label.pdf?paper=label"));
        Assert.Matches(@"Page size:\s+198\S* x", labels);
        Assert.Matches(@"Pages:\s+4", labels);
        var (wrong, why) = await host.Send(HttpMethod.Get, $"{Bench}/label.pdf?paper=a9");
        Assert.Equal((HttpStatusCode.UnprocessableEntity, "paper"), (wrong, (string)why["errors"]![0]!["field"]!));
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, $"{Bench}/none.pdf")).Status);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await host.Send(HttpMethod.Get, "/api/jobs/none/sheets/label.pdf")).Status
        );
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/papers/none/paper.pdf")).Status);
    }

    [Fact]
    public async Task Sheets_are_in_the_words_of_the_workroom_and_on_its_paper()
    {
        using var other = Host.Empty();
        var american = new JsonObject
        {
            ["cord"] = "welt",
            ["zip"] = "zipper",
            ["selvedge"] = "selvage",
            ["duvet"] = "comforter",
            ["cot"] = "crib",
        };
        await other.Send(
            HttpMethod.Put,
            "/api/workroom",
            new JsonObject
            {
                ["name"] = "Pier Loft",
                ["unit"] = "in",
                ["words"] = american,
            }
        );
        var (_, makeUps) = await other.Send(HttpMethod.Get, "/api/make-ups");
        var key = makeUps.AsArray().Select(each => each!).First(each => $"{each["family"]}" == "Comforter")["key"];
        using var sheet = await other.Client.GetAsync(
            new Uri($"/api/make-ups/{key}/measuring-sheet.pdf?unit=cm", UriKind.Relative)
        );
        var pdf = await sheet.Content.ReadAsByteArrayAsync();
        Assert.Matches(@"Page size:\s+61[12]\S* x 79[12]", Poppler.Text("pdfinfo", pdf));
        var text = Poppler.Text("pdftotext", pdf, "-layout");
        Assert.Contains("Pier Loft", text);
        Assert.Contains("Read, cm", text);
        Assert.Contains("Comforter", text);
        Assert.Equal("inline", sheet.Content.Headers.ContentDisposition?.DispositionType);
        Assert.Equal("Measuring sheet, Comforter.pdf", sheet.Content.Headers.ContentDisposition?.FileNameStar);
    }
}
