using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>Tables taken in over the wire: looked at first, all or nothing, whatever they are written in.</summary>
public sealed class ImportTests(Host host) : IClassFixture<Host>
{
    private async Task<(HttpStatusCode Status, JsonNode Body)> Send(string kind, byte[] file, string query = "")
    {
        using var content = new ByteArrayContent(file);
        using var reply = await host.Client.PostAsync(
            new Uri($"/api/tables/{kind}/rows{query}", UriKind.Relative),
            content
        );
        return (reply.StatusCode, JsonNode.Parse(await reply.Content.ReadAsStringAsync())!);
    }

    private Task<(HttpStatusCode Status, JsonNode Body)> Send(string kind, string text, string query = "") =>
        Send(kind, Encoding.UTF8.GetBytes(text), query);

    private async Task<JsonNode> Get(string path) => (await host.Send(HttpMethod.Get, path)).Body;

    private static (int All, int New, int Changed, int Wrong) Counts(JsonNode view) =>
        ((int)view["all"]!, (int)view["new"]!, (int)view["changed"]!, (int)view["wrong"]!);

    private static string Fields(JsonNode view) =>
        string.Join(
            ' ',
            view["columns"]!
                .AsArray()
                .Select(column => $"{column!["field"]}")
                .Select(field => field.Length == 0 ? "-" : field)
        );

    [Fact]
    public async Task A_merchants_stock_list_is_mapped_by_its_heads_and_put_right_by_hand()
    {
        const string list =
            "Article;Lot;Length (cm);Shelf;Remark\r\nMoss linen;ML 7;120,5;rack 2;sun-faded end\r\nMoss linen;ML 8;3 m;rack 2;\r\n";
        var (_, look) = await Send("stock", list);
        Assert.Equal(("semicolons", "cm", true), ($"{look["parted"]}", $"{look["unit"]}", (bool)look["commas"]!));
        Assert.Equal("name batch length place -", Fields(look));
        Assert.Equal((2, 2, 0, 0), Counts(look));
        Assert.Empty((await Get("/api/stock?q=moss"))["rows"]!.AsArray());
        // The remark is a note: said by hand. Then all of it.
        var (_, taken) = await Send("stock", list, "?map=name:0,batch:1,length:2,place:3,note:4&unit=cm&take=true");
        Assert.True((bool)taken["isTaken"]!);
        var rows = (await Get("/api/stock?q=moss"))["rows"]!.AsArray();
        Assert.Equal(2, rows.Count);
        var first = rows.Single(row => $"{row!["row"]!["batch"]}" == "ML 7")!;
        Assert.Equal(
            ("part-roll", "120,5", "sun-faded end"),
            ($"{first["row"]!["kind"]}", $"{first["row"]!["length"]!["typed"]}", $"{first["row"]!["note"]}")
        );
        // The same again is the same; another length of one of them changes that one.
        Assert.Equal(
            (2, 0, 0, 0),
            Counts((await Send("stock", list, "?map=name:0,batch:1,length:2,place:3,note:4&unit=cm")).Body)
        );
        var (_, again) = await Send(
            "stock",
            list.Replace("120,5", "99", StringComparison.Ordinal),
            "?map=name:0,batch:1,length:2,place:3,note:4&unit=cm&take=true"
        );
        Assert.Equal((2, 0, 1, 0), Counts(again));
        Assert.Equal(2, (await Get("/api/stock?q=moss"))["rows"]!.AsArray().Count);
    }

    [Fact]
    public async Task One_row_that_cannot_be_read_keeps_all_of_them_out()
    {
        const string list = "What,Kind,How many\nsnaps,other,40\nhooks,other,-3\nrings,jewel,4\n,other,1\n";
        var (status, told) = await Send("stock", list, "?take=true");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((4, 4, 0, 3), Counts(told));
        Assert.False((bool)told["isTaken"]!);
        var wrong = told["rows"]!.AsArray().Where(row => row!["problems"]!.AsArray().Count > 0).ToList();
        Assert.Equal([2, 3, 4], wrong.Select(row => (int)row!["row"]!));
        Assert.Contains("less than nothing", $"{wrong[0]!["problems"]}", StringComparison.Ordinal);
        Assert.Contains("part-roll", $"{wrong[1]!["problems"]}", StringComparison.Ordinal);
        Assert.Empty((await Get("/api/stock?q=snaps"))["rows"]!.AsArray());
    }

    [Fact]
    public async Task What_goes_out_comes_in_as_the_same()
    {
        foreach (var kind in new[] { "stock", "prices", "customers" })
        foreach (var format in new[] { "csv", "xlsx" })
        {
            var file = await host.Client.GetByteArrayAsync(new Uri($"/api/tables/{kind}.{format}", UriKind.Relative));
            var (status, look) = await Send(kind, file);
            Assert.True(status == HttpStatusCode.OK, $"{kind} {format} {look}");
            var (all, fresh, changed, wrong) = Counts(look);
            Assert.True(
                (fresh, changed, wrong) == (0, kind == "stock" ? changed : 0, 0),
                $"{kind} {format}: {look["rows"]}"
            );
            Assert.True(all > 2);
        }
    }

    [Fact]
    public async Task Prices_are_changed_by_name_and_people_of_one_customer_are_one_customer()
    {
        await Send("prices", "Item,Cost,Per\nZIP CHAIN,3.10,yd\nbrass eyelet,0.25,each\n", "?take=true");
        var rows = (await Get("/api/price-book"))["book"]!["rows"]!.AsArray();
        Assert.Equal("3.10", $"{rows.Single(row => $"{row!["thing"]}" == "ZIP CHAIN")!["price"]}");
        Assert.DoesNotContain(rows, row => $"{row!["thing"]}" == "zip chain");
        Assert.Equal("each", $"{rows.Single(row => $"{row!["thing"]}" == "brass eyelet")!["by"]}");
        var (_, wrong) = await Send("prices", "What,Price\nhook,free\n", "?take=true");
        Assert.Equal((1, 1), (Counts(wrong).All, Counts(wrong).Wrong));
        await Send(
            "customers",
            "Name\tContact\tPhone\nSallow Inn\tIda Fenn\t01632 960 140\nSallow Inn\tRuth Fenn\t01632 960 141\n",
            "?take=true"
        );
        var inn = Assert.Single((await Get("/api/customers?q=sallow%20inn")).AsArray())!;
        Assert.Equal(
            ["Ida Fenn", "Ruth Fenn"],
            inn["customer"]!["people"]!.AsArray().Select(person => $"{person!["name"]}")
        );
        // Entered already: passed over.
        Assert.Equal((1, 0, 0, 0), Counts((await Send("customers", "Name\nsallow inn\n", "?take=true")).Body));
    }

    [Fact]
    public async Task Hostile_tables_are_refused_with_the_reason()
    {
        byte[] Workbook(params (string Path, byte[] Bytes)[] files)
        {
            using var bytes = new MemoryStream();
            using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
                foreach (var (path, content) in files)
                    using (var entry = zip.CreateEntry(path).Open())
                        entry.Write(content);
            return bytes.ToArray();
        }
        var entities = Encoding.UTF8.GetBytes(
            """<?xml version="1.0"?><!DOCTYPE w [<!ENTITY a SYSTEM "file:///etc/passwd">]><workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheets><sheet name="&a;" sheetId="1" r:id="rId1" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"/></sheets></workbook>"""
        );
        var real = await host.Client.GetByteArrayAsync(new Uri("/api/tables/stock.xlsx", UriKind.Relative));
        (byte[] File, string Reason)[] hostile =
        [
            ([], "nothing in it"),
            ("\r\n\r\n"u8.ToArray(), "nothing in it"),
            ([0xC3, 0x28, 0x41], "UTF-8"),
            ([0x41, 0x00, 0x42], "no text"),
            (new byte[9 * 1024 * 1024], "larger than 8 MB"),
            (Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat("a\n", 5100))), "more than 5000 rows"),
            (Encoding.UTF8.GetBytes(new string(',', 300)), "nothing in it"),
            (Encoding.UTF8.GetBytes(string.Join(',', Enumerable.Range(0, 90))), "more than 60 columns"),
            (Encoding.UTF8.GetBytes($"What\n{new string('x', 9000)}"), "9000"),
            (real[..(real.Length / 2)], "no table"),
            (Workbook(("x.xml", "<x/>"u8.ToArray())), "no table"),
            (Workbook(("xl/workbook.xml", entities)), "no table"),
            (Workbook(("xl/bomb.xml", new byte[80 * 1024 * 1024])), "no table"),
        ];
        foreach (var (file, reason) in hostile)
        {
            var (status, told) = await Send("stock", file, "?take=true");
            Assert.True(status == HttpStatusCode.UnprocessableEntity, $"{reason}: {status} {told}");
            if (reason != "9000")
                Assert.Contains(reason, $"{told["detail"]}", StringComparison.Ordinal);
        }
        Assert.Equal(HttpStatusCode.NotFound, (await Send("secrets", "a\nb")).Status);
        // A formula is words, and stays words when it goes out again.
        await Send("stock", "What,How many\n=1+1,3\n", "?take=true");
        Assert.Contains(
            "'=1+1",
            await host.Client.GetStringAsync(new Uri("/api/tables/stock.csv", UriKind.Relative)),
            StringComparison.Ordinal
        );
    }

    // 20 x 18 and 5 in wide strips: what is listed is laid, nothing is added to it.
    [Fact]
    public async Task A_pasted_cut_list_becomes_pieces_of_that_size_and_one_line_without_a_size_keeps_all_out()
    {
        var (_, wrong) = await Send("measurements", "2 panels 20 x 18\nsome cord\n", "?take=true");
        Assert.Equal((2, 2, 0, 1), Counts(wrong));
        Assert.False((bool)wrong["isTaken"]!);
        Assert.Empty(wrong["items"]!.AsArray());
        Assert.Equal("it has no size", (string)Assert.Single(wrong["rows"]![0]!["problems"]!.AsArray())!["reason"]!);

        var (_, taken) = await Send(
            "measurements",
            "2 panels 20 x 18\n\nstrips, 4 @ 5 in by 74 in\n",
            "?take=true&unit=in"
        );
        var items = taken["items"]!.AsArray();
        Assert.Equal(["panels", "strips"], items.Select(item => $"{item!["name"]}"));
        var (_, job) = await host.Send(HttpMethod.Get, "/api/jobs/demo-window-bench");
        var document = job["document"]!.DeepClone();
        document["items"] = new JsonArray([.. items.Select(item => item!.DeepClone())]);
        foreach (var item in document["items"]!.AsArray())
            item!["cloth"] = "slate";
        var (status, plan) = await host.Post("/api/plan?lay=instant", document);
        Assert.Equal(HttpStatusCode.OK, status);
        var cut = plan["items"]!.AsArray().Select(item => item!["draft"]!["pattern"]!["pieces"]![0]!).ToList();
        Assert.Equal([2, 4], cut.Select(piece => (int)piece["quantity"]!));
        Assert.Equal(
            ["20 in", "18 in", "5 in", "74 in"],
            cut.SelectMany(piece =>
                piece["sizes"]!
                    .AsArray()
                    .Where(size => $"{size!["kind"]}" == "cut")
                    .Select(size => $"{size!["length"]!["text"]}")
            )
        );
    }

    [Fact]
    public async Task A_table_of_measurements_is_read_by_letters_names_and_kind()
    {
        const string table =
            "Item;Kind;How many;W;length;T\nBay seat;Cushion or seat pad;2;60;50,5;8\nRunner;runner;;36;120;\nPost;lamp;;1;2;\n";
        var (_, look) = await Send("measurements", table, "?unit=cm");
        Assert.Equal((3, 3, 0, 1), Counts(look));
        Assert.Contains("no kind of thing", (string)look["rows"]![0]!["problems"]![0]!["reason"]!);
        var (_, taken) = await Send("measurements", table.Replace("Post;lamp;;1;2;\n", ""), "?unit=cm&take=true");
        var seat = taken["items"]![0]!;
        Assert.Equal(("Bay seat", "2"), ($"{seat["name"]}", $"{seat["quantity"]}"));
        Assert.Equal(["60", "50,5", "8"], new[] { "W", "L", "T" }.Select(key => $"{seat["measures"]![key]!["typed"]}"));
        Assert.Equal("runner", $"{taken["items"]![1]!["makeUp"]}");
    }

    [Fact]
    public async Task Cards_of_a_telephone_are_customers()
    {
        const string cards =
            "BEGIN:VCARD\nVERSION:3.0\nFN:Ines Marrow\nORG:Tallow Boatyard\nTEL:01632 960 5\nEND:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:Bo Marrow\nORG:Tallow Boatyard\nEND:VCARD\n";
        var (_, taken) = await Send("customers", cards, "?take=true");
        Assert.Equal(("cards", true), ($"{taken["parted"]}", (bool)taken["isTaken"]!));
        var customer = (await Get("/api/customers?q=tallow")).AsArray().Single()!["customer"]!;
        Assert.Equal(
            ["Ines Marrow", "Bo Marrow"],
            customer["people"]!.AsArray().Select(person => $"{person!["name"]}")
        );
    }
}
