using System.Net;
using System.Text.Json.Nodes;

namespace Wrapper.Server.Tests;

/// <summary>Customers, prices and papers over the wire, from the first call to the last payment.</summary>
public sealed class MoneyTests(Host host) : IClassFixture<Host>
{
    private static JsonObject Customer(string name, string phone = "") =>
        new()
        {
            ["name"] = name,
            ["address"] = "Lower Basin",
            ["notes"] = "latex allergy",
            ["people"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "p",
                    ["name"] = "Ines",
                    ["role"] = "skipper",
                    ["phone"] = phone,
                    ["email"] = "",
                }
            ),
            ["places"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "s",
                    ["name"] = "Saloon deck",
                    ["address"] = "berth 9",
                    ["rooms"] = new JsonArray("Saloon"),
                    ["notes"] = "",
                }
            ),
        };

    private Task<(HttpStatusCode Status, JsonNode Body)> KeepCustomer(string id, JsonNode customer, int from = 0) =>
        host.Send(HttpMethod.Put, $"/api/customers/{id}", new JsonObject { ["from"] = from, ["customer"] = customer });

    private async Task<JsonNode> KeepBook(Action<JsonNode> change)
    {
        var (_, view) = await host.Send(HttpMethod.Get, "/api/price-book");
        var book = view["book"]!.DeepClone();
        change(book);
        var (status, kept) = await host.Send(
            HttpMethod.Put,
            "/api/price-book",
            new JsonObject { ["from"] = view["revision"]!.DeepClone(), ["book"] = book }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        return kept;
    }

    // A pad that asks for cloth and thread alone, for a customer of the list.
    private async Task<JsonNode> Begin(string id, string customer)
    {
        var (_, item) = await host.Post(
            "/api/items",
            new JsonObject
            {
                ["id"] = "i1",
                ["name"] = "Bunk sheet",
                ["makeUp"] = "runner",
                ["unit"] = "in",
                ["from"] = null,
            }
        );
        (item["measures"]!["W"], item["measures"]!["L"]) = (
            new JsonObject { ["typed"] = "14", ["unit"] = "in" },
            new JsonObject { ["typed"] = "60", ["unit"] = "in" }
        );
        var (_, cloth) = await host.Post(
            "/api/cloths",
            new JsonObject
            {
                ["id"] = "c1",
                ["name"] = "Linen",
                ["unit"] = "in",
            }
        );
        cloth["price"] = "30";
        var (status, job) = await host.Post(
            "/api/jobs",
            new JsonObject
            {
                ["id"] = id,
                ["changeId"] = $"{id}-0",
                ["name"] = "Berths",
                ["unit"] = "in",
                ["document"] = null,
                ["customerId"] = customer,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        var document = job["document"]!.DeepClone();
        (document["items"], document["cloths"]) = (new JsonArray(item.DeepClone()), new JsonArray(cloth.DeepClone()));
        (status, job) = await host.Send(
            HttpMethod.Put,
            $"/api/jobs/{id}",
            new JsonObject
            {
                ["base"] = 1,
                ["changeId"] = $"{id}-1",
                ["step"] = "",
                ["document"] = document,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        return job["document"]!;
    }

    private Task<(HttpStatusCode Status, JsonNode Body)> Give(
        string job,
        string id,
        string kind,
        string on = "",
        string amount = "",
        string note = "",
        long? total = null,
        string date = "",
        string option = ""
    ) =>
        host.Post(
            $"/api/jobs/{job}/papers",
            new JsonObject
            {
                ["id"] = id,
                ["kind"] = kind,
                ["basedOn"] = on,
                ["option"] = option,
                ["total"] = total,
                ["amount"] = amount,
                ["note"] = note,
                ["date"] = date,
            }
        );

    private static string Text(JsonNode of, params string[] path) => $"{path.Aggregate(of, (at, name) => at[name]!)}";

    [Fact]
    public async Task From_the_first_call_to_the_last_payment()
    {
        await KeepCustomer("m1", Customer("Barge Marigold", "01632 960 799"));
        var job = await Begin("money-1", "m1");
        Assert.Equal(
            ("Barge Marigold", "m1", "s"),
            (Text(job, "customer"), Text(job, "customerId"), Text(job, "placeId"))
        );
        var sheet = JsonNode.Parse(
            """{"isRush":false,"extras":[{"id":"e","text":"Delivery","amount":"10.00"}],"options":[{"id":"o","item":"i1","choice":"ends","answer":"raw"}],"deposit":"25"}"""
        )!;

        await KeepBook(book => (book["rows"], book["margin"], book["sundries"]) = (new JsonArray(), "", ""));

        // Nothing is offered while something in it has no price.
        var (status, offer) = await host.Post(
            "/api/offer",
            new JsonObject { ["job"] = job.DeepClone(), ["sheet"] = sheet.DeepClone() }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("thread", Text(offer["unpriced"]![0]!, "thing"));
        Assert.False(offer["whole"]!.GetValue<bool>());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Give("money-1", "q0", "quotation")).Status);

        var kept = await KeepBook(book =>
        {
            book["labourRate"] = "30";
            book["rows"] = JsonNode.Parse(
                """[{"id":"t","thing":"thread","price":"2","by":"each"},{"id":"x","thing":"odd","price":"much","by":"each"}]"""
            );
            book["taxes"] = JsonNode.Parse("""[{"id":"v","name":"VAT","percent":"20"}]""");
        });
        // What cannot be read is kept as typed, and told.
        Assert.Equal("rows.x.price", Text(kept["problems"]![0]!, "field"));
        await KeepBook(book =>
            book["rows"] = JsonNode.Parse("""[{"id":"t","thing":"thread","price":"2","by":"each"}]""")
        );
        (status, _) = await host.Send(
            HttpMethod.Put,
            "/api/jobs/money-1/money",
            new JsonObject { ["from"] = 0, ["sheet"] = sheet.DeepClone() }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(
            HttpStatusCode.Conflict,
            (
                await host.Send(
                    HttpMethod.Put,
                    "/api/jobs/money-1/money",
                    new JsonObject { ["from"] = 0, ["sheet"] = sheet.DeepClone() }
                )
            ).Status
        );
        (_, offer) = await host.Post(
            "/api/offer",
            new JsonObject { ["job"] = job.DeepClone(), ["sheet"] = sheet.DeepClone() }
        );
        Assert.True(offer["whole"]!.GetValue<bool>());
        var seen = offer["sum"]!["total"]!["units"]!.GetValue<long>();

        // A price that she did not see is not given out.
        Assert.Equal(HttpStatusCode.Conflict, (await Give("money-1", "q1", "quotation", total: seen - 1)).Status);
        (status, var quotation) = await Give("money-1", "q1", "quotation", total: seen);
        Assert.Equal(HttpStatusCode.OK, status);
        var paper = quotation["paper"]!;
        Assert.Equal("Barge Marigold", Text(paper, "customer", "name"));
        Assert.Equal("Berths, Saloon deck", Text(paper, "job"));
        Assert.Equal(["Bunk sheet", "Delivery"], paper["lines"]!.AsArray().Select(line => Text(line!, "text")));
        Assert.Single(paper["options"]!.AsArray());
        Assert.Equal((seen + 2) / 4, paper["deposit"]!["units"]!.GetValue<long>());
        // The same request once more gives the same paper; its drawing stays with it.
        Assert.Equal(
            Text(paper, "called"),
            Text((await Give("money-1", "q1", "quotation", total: seen)).Body, "paper", "called")
        );
        using var drawing = await host.Client.GetAsync(new Uri("/api/papers/q1/drawings/i1", UriKind.Relative));
        Assert.Equal([0x89, (byte)'P', (byte)'N', (byte)'G'], (await drawing.Content.ReadAsByteArrayAsync())[..4]);

        // As it is printed: read by its parts, each amount as it was given out.
        var printed = await host.Client.GetByteArrayAsync(new Uri("/api/papers/q1/paper.pdf", UriKind.Relative));
        var read = Poppler.Text("pdfinfo", printed, "-struct-text");
        foreach (
            var said in new[] { $"Quotation {paper["called"]}", "Barge Marigold", "Bunk sheet", "Delivery" }.Append(
                Text(paper, "sum", "total", "text")
            )
        )
            Assert.Contains(said, read);
        Assert.Contains("Table", read);
        var (_, pages) = await host.Send(HttpMethod.Get, "/api/papers/q1/pages");
        Assert.Contains(
            Text(paper, "sum", "total", "text"),
            pages["pages"]![0]!["said"]!.AsArray().Select(line => (string)line!)
        );

        // Later prices, another name, a killed server: the paper stands.
        await KeepBook(book => book["labourRate"] = "90");
        await KeepCustomer("m1", Customer("The Marigold", "01632 960 799"), from: 1);
        host.KillAndRestart();
        var (_, again) = await host.Send(HttpMethod.Get, "/api/papers/q1");
        Assert.True(JsonNode.DeepEquals(paper, again["paper"]));
        Assert.Equal(
            printed,
            await host.Client.GetByteArrayAsync(new Uri("/api/papers/q1/paper.pdf", UriKind.Relative))
        );

        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Give("money-1", "i0", "invoice", "q1")).Status);
        (_, var order) = await Give("money-1", "o1", "order", "q1", option: "o");
        var ordered = order["paper"]!["sum"]!["total"]!["units"]!.GetValue<long>();
        Assert.Equal(paper["options"]![0]!["sum"]!["total"]!["units"]!.GetValue<long>(), ordered);
        var (_, money) = await host.Send(HttpMethod.Get, "/api/jobs/money-1/money");
        var deposit = Text(money, "standing", "deposit");
        Assert.Equal(
            HttpStatusCode.OK,
            (await Give("money-1", "r1", "receipt", "o1", amount: deposit, note: "card")).Status
        );
        (_, var invoice) = await Give("money-1", "v1", "invoice", "o1");
        Assert.Equal(
            ordered - invoice["paper"]!["paid"]![0]!["amount"]!["units"]!.GetValue<long>(),
            invoice["paper"]!["due"]!["units"]!.GetValue<long>()
        );
        // Whether it paid, and what of the quotations was won.
        var (found, real) = await host.Send(HttpMethod.Get, "/api/jobs/money-1/real-cost");
        Assert.Equal(HttpStatusCode.OK, found);
        Assert.Equal(Text(order, "paper", "sum", "net", "text"), Text(real, "ordered"));
        Assert.False(real["materialPaid"]!.GetValue<bool>());
        var (_, figures) = await host.Send(HttpMethod.Get, "/api/figures");
        var won = figures["offers"]!.AsArray().Single(each => Text(each!, "name") == "Ordered")!;
        Assert.Contains(won["rows"]!.AsArray(), row => Text(row!, "job") == "money-1");
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await host.Post("/api/papers/o1/events", new JsonObject { ["event"] = "cancelled", ["note"] = "" })).Status
        );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await Give("money-1", "c0", "credit-note", "v1", amount: "1")).Status
        );
        (_, var credit) = await Give("money-1", "c1", "credit-note", "v1", amount: "1.20", note: "a spot");
        Assert.Equal(
            ("£1.00", "£0.20"),
            (
                Text(credit, "paper", "sum", "net", "text"),
                Text(credit["paper"]!["sum"]!["taxes"]![0]!, "amount", "text")
            )
        );
        (_, money) = await host.Send(HttpMethod.Get, "/api/jobs/money-1/money");
        var (over, refusal) = await Give("money-1", "r2", "receipt", "v1", amount: "999", note: "cash");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, over);
        Assert.Contains("is left to pay", Text(refusal, "detail"), StringComparison.Ordinal);
        await Give("money-1", "r3", "receipt", "v1", amount: Text(money, "standing", "toPay"), note: "cash");
        (_, money) = await host.Send(HttpMethod.Get, "/api/jobs/money-1/money");
        Assert.True(money["standing"]!["isSettled"]!.GetValue<bool>());
        Assert.Equal("£0.00", Text(money, "standing", "balance"));
        var (_, listed) = await host.Send(HttpMethod.Get, "/api/papers?q=berths&kind=receipt");
        Assert.Equal(2, listed.AsArray().Count);
    }

    [Theory]
    [InlineData("2026-13-01", "year, month and day")]
    [InlineData("yesterday", "year, month and day")]
    [InlineData("2999-01-01", "still to come")]
    [InlineData("2001-01-01", "two years")]
    public async Task A_date_that_cannot_be_is_told(string date, string reason)
    {
        var (status, body) = await Give("money-2", "x", "receipt", date: date);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains(reason, Text(body, "detail"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_customer_entered_twice_becomes_one_and_one_with_a_job_stays()
    {
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await KeepCustomer("t0", Customer(" "))).Status);
        await KeepCustomer("t1", Customer("Ferncliff Lodge", "01632 960774"));
        await KeepCustomer("t2", Customer("Lodge at Ferncliff", "+44 1632 960774"));
        Assert.Equal(HttpStatusCode.Conflict, (await KeepCustomer("t2", Customer("Other"))).Status);
        await Begin("money-3", "t2");
        var (_, page) = await host.Send(HttpMethod.Get, "/api/customers/t1");
        Assert.Equal("t2", Text(page["alike"]![0]!, "id"));
        var (status, joined) = await host.Post("/api/customers/t2/join", new JsonObject { ["into"] = "t1" });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains("also: Lodge at Ferncliff", Text(joined, "customer", "notes"), StringComparison.Ordinal);
        // The same person and place twice are one; another telephone is another entry.
        Assert.Equal(2, joined["customer"]!["people"]!.AsArray().Count);
        Assert.Single(joined["customer"]!["places"]!.AsArray());
        (_, page) = await host.Send(HttpMethod.Get, "/api/customers/t2");
        Assert.Equal(("t1", "money-3"), (Text(page, "customer", "id"), Text(page["jobs"]![0]!, "id")));
        (status, var refused) = await host.Send(HttpMethod.Delete, "/api/customers/t1");
        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Contains("Berths", Text(refused, "detail"), StringComparison.Ordinal);
        await host.Post("/api/jobs/money-3/put-away", new JsonObject());
        Assert.Equal(HttpStatusCode.NoContent, (await host.Send(HttpMethod.Delete, "/api/customers/t1")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Send(HttpMethod.Get, "/api/customers/t1")).Status);
    }
}
