using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using MimeKit;

namespace Wrapper.Server.Tests;

/// <summary>The printer, the mail room and the merchant over the wire: what they take, what they refuse, what outlives the server.</summary>
public sealed class OutsideTests(Host host) : IClassFixture<Host>
{
    private const long Yard = 36L * 97536;

    private async Task<JsonNode> Get(string path) => (await host.Send(HttpMethod.Get, $"/api/{path}")).Body;

    private async Task<(HttpStatusCode Status, JsonNode Body)> Print(byte[] file, string name = "sheet")
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/pdf");
        using var reply = await host.Client.PostAsync(
            new Uri($"/api/devices/printer/files?name={name}", UriKind.Relative),
            content
        );
        return (reply.StatusCode, JsonNode.Parse(await reply.Content.ReadAsStringAsync())!);
    }

    private Task<byte[]> File(string path) => host.Client.GetByteArrayAsync(new Uri($"/api/{path}", UriKind.Relative));

    private Task<(HttpStatusCode Status, JsonNode Body)> Merchant(
        string how,
        string next = "whole",
        bool soldOut = false
    ) =>
        host.Send(
            HttpMethod.Put,
            "/api/devices/merchant",
            new JsonObject
            {
                ["is"] = how,
                ["next"] = next,
                ["isSoldOut"] = soldOut,
            }
        );

    private Task<(HttpStatusCode Status, JsonNode Body)> Order(
        string id,
        long length,
        string article,
        bool reserve = false
    ) =>
        host.Post(
            "/api/merchant/orders",
            new JsonObject
            {
                ["id"] = id,
                ["article"] = article,
                ["length"] = length,
                ["job"] = "demo-window-bench",
                ["cloth"] = "slate",
                ["reserve"] = reserve,
            }
        );

    [Fact]
    public async Task The_printer_prints_what_there_is_paper_for_and_refuses_what_is_no_sheet()
    {
        var sheet = await File("jobs/demo-window-bench/sheets/making-sheet.pdf");
        var label = await File("jobs/demo-window-bench/sheets/label.pdf?paper=label");
        Assert.Equal(HttpStatusCode.Conflict, (await Print(sheet)).Status);
        await host.Send(HttpMethod.Put, "/api/devices/printer", new JsonObject { ["isOn"] = true });
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Print(Encoding.ASCII.GetBytes("<html>"))).Status);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Print([])).Status);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await Print(Encoding.ASCII.GetBytes("%PDF-1.7\nno pages"))).Status
        );

        await host.Send(HttpMethod.Put, "/api/devices/printer/paper", new JsonObject { ["isFull"] = true });
        var before = await Get("devices/printer");
        var (_, after) = await Print(label, "four labels");
        Assert.Equal((int)before["labels"]! - 4, (int)after["labels"]!);
        Assert.Equal((int)before["sheets"]!, (int)after["sheets"]!);
        await host.Send(HttpMethod.Put, "/api/devices/printer/paper", new JsonObject { ["isFull"] = false });
        (_, after) = await Print(sheet, "steps");
        var waits = after["files"]![0]!;
        Assert.Equal(
            ("paper", 0, false),
            ((string)waits["waitsFor"]!, (int)waits["printed"]!, (bool)waits["onLabels"]!)
        );
        (_, after) = await host.Send(
            HttpMethod.Put,
            "/api/devices/printer/paper",
            new JsonObject { ["isFull"] = true }
        );
        Assert.Equal((string)waits["id"]!, (string)after["files"]![0]!["id"]!);
        Assert.Equal("", (string)after["files"]![0]!["waitsFor"]!);
        Assert.Equal(100 - (int)waits["pages"]!, (int)after["sheets"]!);
        Assert.Equal(sheet, await File($"devices/printer/tray/{waits["id"]}.pdf"));
        (_, after) = await host.Send(HttpMethod.Delete, "/api/devices/printer/tray");
        Assert.Empty(after["files"]!.AsArray());
        await host.Send(HttpMethod.Put, "/api/devices/printer", new JsonObject { ["isOn"] = false });
    }

    [Fact]
    public async Task A_letter_lies_in_the_tray_as_any_mail_program_opens_it_and_outlives_the_server()
    {
        JsonObject Letter(string to, string subject = "Drawings", string sheet = "lay-plan") =>
            new()
            {
                ["to"] = to,
                ["subject"] = subject,
                ["text"] = "Both are enclosed.\n\nHeron Loft",
                ["with"] = new JsonArray(
                    new JsonObject
                    {
                        ["paper"] = null,
                        ["job"] = "demo-window-bench",
                        ["sheet"] = sheet,
                        ["item"] = null,
                    }
                ),
            };
        foreach (
            var (letter, field) in new[]
            {
                (Letter("nobody"), "to"),
                (Letter(""), "to"),
                (Letter("a@example.org\r\nBcc: b@example.org"), "to"),
                (Letter("ada@example.org", "one\r\nBcc: b@example.org"), "subject"),
            }
        )
        {
            var (status, why) = await host.Post("/api/devices/mail", letter);
            Assert.Equal((HttpStatusCode.UnprocessableEntity, field), (status, (string)why["errors"]![0]!["field"]!));
        }
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await host.Post("/api/devices/mail", Letter("ada@example.org", sheet: "none"))).Status
        );
        Assert.Empty((await Get("devices/mail")).AsArray());

        var (written, tray) = await host.Post(
            "/api/devices/mail",
            Letter("Ada Penrose <ada@example.org>, foam@example.org", "Plänchen für Ada £5")
        );
        Assert.Equal(HttpStatusCode.OK, written);
        host.KillAndRestart();
        Assert.True(JsonNode.DeepEquals(tray, await Get("devices/mail")));
        var id = $"{tray[0]!["id"]}";
        using var message = await MimeMessage.LoadAsync(new MemoryStream(await File($"devices/mail/{id}.eml")));
        Assert.Equal(["ada@example.org", "foam@example.org"], message.To.Mailboxes.Select(to => to.Address));
        Assert.Equal("Plänchen für Ada £5", message.Subject);
        Assert.Equal("Heron Loft", message.From[0].Name);
        Assert.Empty(message.Bcc);
        Assert.Equal("Both are enclosed.\n\nHeron Loft", message.TextBody!.ReplaceLineEndings("\n").Trim());
        var enclosed = Assert.IsType<MimePart>(Assert.Single(message.Attachments));
        Assert.Equal("Lay plan, Window bench, east bay.pdf", enclosed.FileName);
        using var pdf = new MemoryStream();
        await enclosed.Content!.DecodeToAsync(pdf);
        Assert.Equal(await File("jobs/demo-window-bench/sheets/lay-plan.pdf"), pdf.ToArray());
        Assert.Empty((await host.Send(HttpMethod.Delete, $"/api/devices/mail/{id}")).Body.AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Delete, $"/api/devices/mail/{id}")).Status);

        // Whoever of a recall has an address gets a letter with her own covers alone; the others are named.
        var (_, recalled) = await host.Post(
            "/api/recall/mail",
            new JsonObject { ["batch"] = "H 2207", ["text"] = "Please do not wash them." }
        );
        Assert.Equal(1, (int)recalled["written"]! + recalled["withoutAddress"]!.AsArray().Count);
    }

    // 24 in steps of an eighth of a yard; the batches of the catalogue hold 22 and 9 yd of heather twill.
    [Fact]
    public async Task The_merchant_cuts_up_to_a_step_from_one_batch_and_what_it_sold_is_gone()
    {
        await Merchant("off");
        Assert.Equal(
            HttpStatusCode.ServiceUnavailable,
            (await host.Send(HttpMethod.Get, "/api/merchant/articles")).Status
        );
        await Merchant("down");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, (await Order("o1", Yard, "heather-twill")).Status);
        await Merchant("open");
        var check = await Get($"merchant/articles/heather-twill/check?length={Yard + 1}");
        // A thread more than a yard is a yard and an eighth, 1.125 x 38.50 = 43.3125; the smaller batch is cut first.
        Assert.StartsWith("1 1/8 yd are there in one length of batch HT 207: £43.31", (string)check["told"]!);
        Assert.StartsWith(
            "12 yd are there in one length of batch HT 204",
            (string)(await Get($"merchant/articles/heather-twill/check?length={12 * Yard}"))["told"]!
        );
        Assert.Contains(
            "22.00 yd at the most",
            (string)(await Get($"merchant/articles/heather-twill/check?length={23 * Yard}"))["told"]!
        );
        foreach (var length in new[] { 0, -Yard, 5000 * Yard })
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await host.Send(HttpMethod.Get, $"/api/merchant/articles/heather-twill/check?length={length}")).Status
            );
        Assert.Equal(HttpStatusCode.NotFound, (await Order("o1", Yard, "none")).Status);

        // 8 of the 9 yd are put aside; then the large batch is cut, until what was put aside is given back.
        var (_, aside) = await Order("a1", 8 * Yard, "heather-twill", reserve: true);
        Assert.Equal("HT 207", (string)aside["order"]!["batch"]!);
        Assert.Equal("HT 204", (string)(await Order("o1", 2 * Yard, "heather-twill")).Body["order"]!["batch"]!);
        // The same order once more is the same order.
        await Order("o1", 2 * Yard, "heather-twill");
        Assert.Equal(2, (await Get("merchant/orders?job=demo-window-bench")).AsArray().Count);
        Assert.Equal(HttpStatusCode.NoContent, (await host.Send(HttpMethod.Delete, "/api/merchant/orders/a1")).Status);
        Assert.Equal(HttpStatusCode.Conflict, (await host.Send(HttpMethod.Delete, "/api/merchant/orders/o1")).Status);
        await Merchant("open", soldOut: true);
        Assert.Equal(HttpStatusCode.Conflict, (await Order("o2", Yard, "moss-velvet")).Status);

        // Half of it, to the step, then the rest from another batch and too narrow: what must be known is told once.
        await Merchant("open", "part");
        host.KillAndRestart();
        await Merchant("open", "part");
        await host.Post("/api/devices/merchant/van", new JsonObject());
        var half = (await Get("merchant/orders")).AsArray().Single()!;
        Assert.Equal(("1.00 yd", false), ((string)half["missing"]!, (bool)half["isWhole"]!));
        Assert.Empty(half["warnings"]!.AsArray());
        await Merchant("open", "wrong-width");
        await host.Post("/api/devices/merchant/van", new JsonObject());
        var whole = (await Get("merchant/orders")).AsArray().Single()!;
        Assert.True((bool)whole["isWhole"]!);
        Assert.Equal(2, whole["came"]!.AsArray().Count);
        var warnings = whole["warnings"]!.AsArray().Select(each => (string)each!).ToList();
        Assert.Contains(warnings, each => each.StartsWith("It is 50 in wide, and not 54 in", StringComparison.Ordinal));
        Assert.Contains(
            warnings,
            each => each.StartsWith("It came in 2 lengths: 1.00 yd, 1.00 yd", StringComparison.Ordinal)
        );
        await Merchant("off");
    }
}
