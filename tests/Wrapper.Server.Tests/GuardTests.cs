using System.Net;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>What every answer carries, and who is not answered.</summary>
public sealed class GuardTests(Host host) : IClassFixture<Host>
{
    private async Task<HttpResponseMessage> Ask(string path, params (string Name, string Value)[] headers)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, new Uri(path, UriKind.Relative));
        foreach (var (name, value) in headers)
            request.Headers.TryAddWithoutValidation(name, value);
        return await host.Client.SendAsync(request);
    }

    private static string Header(HttpResponseMessage answer, string name) =>
        answer.Headers.TryGetValues(name, out var values) ? string.Join(", ", values) : "";

    [Theory]
    [InlineData("/")]
    [InlineData("/index.html")]
    [InlineData("/jobs/any/measure")]
    [InlineData("/api/jobs")]
    [InlineData("/api/nothing")]
    [InlineData("/api/photos/none")]
    [InlineData("/openapi/v1.json")]
    public async Task Every_answer_is_for_this_page_alone_and_is_not_stored(string path)
    {
        using var answer = await Ask(path);
        Assert.Equal(
            ("nosniff", "same-origin", "DENY", "no-store"),
            (
                Header(answer, "X-Content-Type-Options"),
                Header(answer, "Cross-Origin-Resource-Policy"),
                Header(answer, "X-Frame-Options"),
                Header(answer, "Cache-Control")
            )
        );
        Assert.StartsWith("default-src 'none'", Header(answer, "Content-Security-Policy"), StringComparison.Ordinal);
        if (path is "/" or "/index.html")
        {
            var nonce = (await answer.Content.ReadAsStringAsync())["<meta name=csp-nonce content=".Length..^1];
            Assert.NotEqual("__NONCE__", nonce);
            Assert.Contains($"'nonce-{nonce}'", Header(answer, "Content-Security-Policy"), StringComparison.Ordinal);
        }
    }

    [Fact]
    public async Task A_file_named_by_its_content_is_kept_for_good_and_answers_are_compressed()
    {
        using var file = await Ask("/assets/page-3f2a.js", ("Accept-Encoding", "br"));
        Assert.Equal(
            ("public, max-age=31536000, immutable", "br"),
            (Header(file, "Cache-Control"), string.Join(',', file.Content.Headers.ContentEncoding))
        );
        using var plan = await Ask("/api/make-ups", ("Accept-Encoding", "gzip"));
        Assert.Equal("gzip", string.Join(',', plan.Content.Headers.ContentEncoding));
    }

    [Theory]
    [InlineData("/api/jobs", "cross-site", "cors", 403)]
    [InlineData("/api/jobs", "cross-site", "navigate", 403)]
    [InlineData("/api/photos/none", "cross-site", "no-cors", 403)]
    [InlineData("/", "cross-site", "no-cors", 403)]
    [InlineData("/", "cross-site", "navigate", 200)]
    [InlineData("/api/jobs", "same-origin", "cors", 200)]
    public async Task Other_sites_are_refused_but_for_a_link_to_a_page(
        string path,
        string site,
        string mode,
        int status
    )
    {
        using var answer = await Ask(path, ("Sec-Fetch-Site", site), ("Sec-Fetch-Mode", mode));
        Assert.Equal(status, (int)answer.StatusCode);
    }

    [Theory]
    [InlineData("GET /api/health HTTP/1.0\r\n\r\n")]
    [InlineData("GET /api/health HTTP/1.1\r\nHost:\r\n\r\n")]
    [InlineData("GET /api/health HTTP/1.1\r\nHost: elsewhere.example\r\n\r\n")]
    public async Task A_request_to_no_host_or_another_is_refused(string request)
    {
        using var client = new TcpClient();
        await client.ConnectAsync(IPAddress.Loopback, host.Port);
        await client.GetStream().WriteAsync(Encoding.ASCII.GetBytes(request));
        var answer = new byte[2000];
        var read = await client.GetStream().ReadAsync(answer);
        var told = Encoding.ASCII.GetString(answer, 0, read);
        Assert.Contains(" 400 ", told, StringComparison.Ordinal);
        Assert.Contains("Content-Security-Policy: default-src 'none'", told, StringComparison.Ordinal);
    }

    // It is described once; every time after it is the same text.
    [Fact]
    public async Task The_description_of_the_api_is_made_once()
    {
        var first = await host.Client.GetStringAsync(new Uri("/openapi/v1.json", UriKind.Relative));
        Assert.Equal(first, await host.Client.GetStringAsync(new Uri("/openapi/v1.json", UriKind.Relative)));
        Assert.NotNull(JsonNode.Parse(first)!["paths"]!["/api/plan"]);
    }
}
