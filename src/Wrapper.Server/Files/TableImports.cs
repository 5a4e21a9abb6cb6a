using System.Security.Cryptography;
using System.Text;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Core.Workroom.Stock;
using Wrapper.Formats.Tables;
using Wrapper.Server.Customers;
using Wrapper.Server.Hosting;
using Wrapper.Server.Money;
using Wrapper.Server.Stock;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>A row that is taken in: what it is called, what becomes of it, and what is wrong with it.</summary>
internal sealed record ImportRow(string Name, string Becomes, IReadOnlyList<Problem> Problems, Action Put);

/// <summary>What tables can be taken in: customers, stock and prices, by the heads under which they are given out.</summary>
internal sealed class TableImports(CustomerStore customers, StockStore stock, SheetStore sheets)
{
    /// <summary>What becomes of a row.</summary>
    public const string New = "new",
        Changed = "changed",
        Here = "is here already";

    /// <summary>The fields of a kind of table; null where there is no such kind.</summary>
    public static IReadOnlyList<ImportField>? FieldsOf(string kind) =>
        kind switch
        {
            "customers" =>
            [
                new("name", "Name", "customer", "company", "organisation"),
                new("address", "Address", "street"),
                new("notes", "To know", "notes", "note", "remarks"),
                new("person", "Person", "contact"),
                new("role", "Role", "position"),
                new("phone", "Telephone", "phone", "tel", "mobile"),
                new("email", "Mail", "email", "e mail"),
            ],
            "stock" =>
            [
                new("name", "What", "name", "cloth", "item", "article", "description"),
                new("kind", "Kind", "type"),
                new("batch", "Batch", "dye lot", "lot"),
                new("place", "Place", "shelf", "where", "location"),
                new("length", "Length"),
                new("width", "Width"),
                new("unit", "Unit"),
                new("count", "How many", "count", "quantity", "qty", "pieces"),
                new("mark", "Buy more below", "minimum", "reorder"),
                new("note", "To know", "note", "notes"),
            ],
            "prices" =>
            [
                new("thing", "What", "name", "item", "article", "description"),
                new("price", "Price", "cost", "amount"),
                new("by", "By", "per", "unit"),
            ],
            _ => null,
        };

    /// <summary>The rows of a table of a kind, each with what becomes of it; nothing is written yet.</summary>
    public IReadOnlyList<ImportRow> Rows(string kind, TableFile table, ColumnMap map, JobUnit unit) =>
        kind switch
        {
            "customers" => Customers(table, map),
            "stock" => [.. table.Rows.Select(row => Stock(row, map, unit))],
            _ => Prices(table, map),
        };

    // A row for each person: rows of one name are one customer.
    private List<ImportRow> Customers(TableFile table, ColumnMap map)
    {
        List<ImportRow> rows = [];
        foreach (var same in table.Rows.GroupBy(row => map.In(row, "name").Trim(), StringComparer.OrdinalIgnoreCase))
        {
            var customer = new Customer(same.Key)
            {
                Address = First(same, map, "address"),
                Notes = First(same, map, "notes"),
                People =
                [
                    .. same.Select(row => new Person(
                            "",
                            map.In(row, "person"),
                            map.In(row, "role"),
                            map.In(row, "phone"),
                            map.In(row, "email")
                        ))
                        .Where(person => person with { Id = "" } != new Person("", "", "", "", ""))
                        .Select((person, at) => person with { Id = $"p{at + 1}" }),
                ],
            };
            var id = IdOf("customer", same.Key);
            var known = customers.List(same.Key, null, 20).Any(kept => IsNamed(kept.Name, same.Key));
            List<Problem> problems =
            [
                .. CustomerEndpoints.Wrong(id, customer),
                .. same.Key.Length == 0 ? Missing("name", "Ferncliff Observatory Lodge") : [],
            ];
            rows.Add(
                new(
                    same.Key,
                    known ? Here : New,
                    problems,
                    () =>
                    {
                        if (!known)
                            customers.Keep(id, 0, CustomerEndpoints.Entry(customer));
                    }
                )
            );
        }
        return rows;
    }

    private ImportRow Stock(IReadOnlyList<string> row, ColumnMap map, JobUnit usual)
    {
        List<Problem> problems = [];
        var typed = map.In(row, "kind");
        var kinds = Enum.GetValues<StockKind>();
        var (length, count) = (map.In(row, "length"), map.In(row, "count"));
        // What is not said is told by what is given: a length is a part roll, a number something that is counted.
        var kind = kinds
            .Where(each => IsNamed(KeptJson.Name(each), typed))
            .Select(each => (StockKind?)each)
            .FirstOrDefault();
        if (typed.Length > 0 && kind is null)
            problems.Add(
                new("kind", typed, 0, $"one of {string.Join(", ", kinds.Select(KeptJson.Name))} is needed", "part-roll")
            );
        var unit = map.In(row, "unit") switch
        {
            "" => usual,
            "in8" => JobUnit.InchEighths,
            "cm" => JobUnit.Centimetre,
            "in" => JobUnit.Inch,
            var other => Unknown(other),
        };
        var width = map.In(row, "width");
        var read = new StockRow(kind ?? (length.Length > 0 ? StockKind.PartRoll : StockKind.Other), map.In(row, "name"))
        {
            Batch = map.In(row, "batch"),
            Place = map.In(row, "place"),
            Length = length.Length > 0 ? new Entry(length, unit) : null,
            Width = width.Length > 0 ? new Entry(width, unit) : null,
            Count = count,
            Mark = map.In(row, "mark"),
            Note = map.In(row, "note"),
        };
        problems.AddRange(new StockReading(read, unit).Problems);
        var id = IdOf("stock", read.Name, read.Batch, read.Place);
        var there =
            stock.Find(id)
            ?? stock
                .Named(read.Name)
                .FirstOrDefault(kept =>
                    StockEndpoints.RowOf(kept) is var old
                    && IsNamed(old.Batch, read.Batch)
                    && IsNamed(old.Place, read.Place)
                );
        problems.AddRange(StockEndpoints.TooLong(id, read));
        return new(
            read.Name,
            there is null ? New
                : there.Content == KeptJson.Write(read) ? Here
                : Changed,
            problems,
            () => StockEndpoints.Keep(stock, there?.Id ?? id, there?.Revision ?? 0, read)
        );

        JobUnit Unknown(string given)
        {
            problems.Add(new("unit", given, 0, "in, in8 or cm is needed", "cm"));
            return usual;
        }
    }

    // All prices are one sheet: it is kept once, when the last row is put.
    private List<ImportRow> Prices(TableFile table, ColumnMap map)
    {
        var kept = sheets.Read(WorkroomSheet.PriceBook);
        var book = PriceBookEndpoints.BookOf(sheets);
        var currency = new BookReading(book).Currency;
        var prices = book.Rows.ToList();
        List<ImportRow> rows = [];
        foreach (var row in table.Rows)
        {
            var (thing, price, by) = (map.In(row, "thing"), map.In(row, "price"), map.In(row, "by"));
            List<Problem> problems = [.. thing.Length == 0 ? Missing("thing", "zip chain") : []];
            if (Amount.Read("price", price, currency).Problem is { } wrong)
                problems.Add(wrong);
            var sold = Enum.GetValues<PricedBy>();
            var pricedBy = sold.Where(each => IsNamed(KeptJson.Name(each), by))
                .Select(each => (PricedBy?)each)
                .FirstOrDefault();
            if (by.Length > 0 && pricedBy is null)
                problems.Add(
                    new("by", by, 0, $"one of {string.Join(", ", sold.Select(KeptJson.Name))} is needed", "each")
                );
            var at = prices.FindIndex(each => IsNamed(each.Thing, thing));
            var read = new PriceRow(
                at < 0 ? IdOf("price", thing) : prices[at].Id,
                thing,
                price,
                pricedBy ?? (at < 0 ? PricedBy.Each : prices[at].By)
            );
            // A workbook says 2.2 for what was typed as 2.20.
            var isSame =
                at >= 0
                && prices[at].By == read.By
                && IsNamed(prices[at].Thing, thing)
                && Amount.Read("price", prices[at].Price, currency).Value is { } was
                && was == Amount.Read("price", price, currency).Value;
            var becomes =
                at < 0 ? New
                : isSame ? Here
                : Changed;
            if (at < 0)
                prices.Add(read);
            else if (!isSame)
                prices[at] = read;
            rows.Add(new(thing, becomes, problems, () => { }));
        }
        var after = book with { Rows = prices };
        if (PriceBookEndpoints.TooLong(after) is { } problem)
            rows.Add(new("", Changed, [problem], () => { }));
        rows.Add(
            new("", Here, [], () => sheets.Keep(WorkroomSheet.PriceBook, kept?.Revision ?? 0, KeptJson.Write(after)))
        );
        return rows;
    }

    private static string First(IEnumerable<IReadOnlyList<string>> rows, ColumnMap map, string field) =>
        rows.Select(row => map.In(row, field)).FirstOrDefault(text => text.Length > 0) ?? "";

    private static Problem[] Missing(string field, string example) => [new(field, "", 0, "it has no name", example)];

    private static bool IsNamed(string one, string other) =>
        string.Equals(one.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);

    // The same row again is the same thing.
    private static string IdOf(params string[] words) =>
        Convert.ToHexStringLower(
            SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n', words).Trim().ToLowerInvariant()))
        )[..16];
}
