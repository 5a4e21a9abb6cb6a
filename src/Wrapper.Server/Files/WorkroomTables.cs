using Wrapper.Core.Workroom.Customers;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Core.Workroom.Stock;
using Wrapper.Formats.Tables;
using Wrapper.Server.Hosting;

namespace Wrapper.Server.Files;

/// <summary>What the workroom keeps as tables, as it was typed; they are read back by the same heads.</summary>
internal static class WorkroomTables
{
    /// <summary>The heads of the table of customers.</summary>
    public static readonly string[] OfCustomers = ["Name", "Address", "To know", "Person", "Role", "Telephone", "Mail"];

    /// <summary>The heads of the table of stock.</summary>
    public static readonly string[] OfStock =
    [
        "What",
        "Kind",
        "Batch",
        "Place",
        "Length",
        "Width",
        "Unit",
        "How many",
        "Buy more below",
        "To know",
        "Counted on",
    ];

    /// <summary>The heads of the price book.</summary>
    public static readonly string[] OfPrices = ["What", "Price", "By"];

    /// <summary>A row for each person of a customer; one without a person where there is none.</summary>
    public static Table Customers(IEnumerable<Customer> customers) =>
        new(
            "Customers",
            OfCustomers,
            [
                .. from customer in customers
                from person in customer.People.DefaultIfEmpty(new Person("", "", "", "", ""))
                select (IReadOnlyList<Cell>)
                    [
                        customer.Name,
                        customer.Address,
                        customer.Notes,
                        person.Name,
                        person.Role,
                        person.Phone,
                        person.Email,
                    ],
            ]
        );

    /// <summary>A row for each thing on the shelves.</summary>
    public static Table Stock(IEnumerable<StockRow> rows) =>
        new(
            "Stock",
            OfStock,
            [
                .. rows.Select(row =>
                    (IReadOnlyList<Cell>)
                        [
                            row.Name,
                            KeptJson.Name(row.Kind),
                            row.Batch,
                            row.Place,
                            Cell.Typed(row.Length?.Typed ?? ""),
                            Cell.Typed(row.Width?.Typed ?? ""),
                            (row.Length ?? row.Width) is { } entry ? KeptJson.Name(entry.Unit) : "",
                            Cell.Typed(row.Count),
                            Cell.Typed(row.Mark),
                            row.Note,
                            row.CountedOn,
                        ]
                ),
            ]
        );

    /// <summary>A row for each price.</summary>
    public static Table Prices(PriceBook book) =>
        new(
            "Prices",
            OfPrices,
            [.. book.Rows.Select(row => (IReadOnlyList<Cell>)[row.Thing, Cell.Typed(row.Price), KeptJson.Name(row.By)])]
        );
}
