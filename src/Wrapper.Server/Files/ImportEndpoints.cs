using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Tables;
using Wrapper.Server.Hosting;
using Wrapper.Server.Stock;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>A column of a table: its head, some of what it holds, and the field that it fills; empty for none.</summary>
public sealed record ImportColumn(string Name, IReadOnlyList<string> Some, string Field);

/// <summary>A field that can be filled.</summary>
public sealed record ImportFieldView(string Key, string Name);

/// <summary>A row with what becomes of it, and what is wrong with it.</summary>
public sealed record ImportRowView(int Row, string Name, string Becomes, IReadOnlyList<Problem> Problems);

/// <summary>
/// A table as it would be taken in: how it is parted, the unit of its sizes, whether decimals have commas; its columns,
/// the rows that are wrong or the first of them, and counts. <paramref name="Items"/> are what measurements become, for
/// whoever asks to put into a job; none of other tables.
/// </summary>
public sealed record ImportView(
    string Parted,
    JobUnit Unit,
    bool Commas,
    IReadOnlyList<ImportFieldView> Fields,
    IReadOnlyList<ImportColumn> Columns,
    IReadOnlyList<ImportRowView> Rows,
    int All,
    int New,
    int Changed,
    int Wrong,
    bool IsTaken,
    IReadOnlyList<Item> Items
);

/// <summary>Tables from outside: looked at first, then taken in whole or not at all.</summary>
internal static class ImportEndpoints
{
    private const string Measurements = "measurements";
    private const int Shown = 60,
        Some = 3,
        LongestMap = 2000;
    private const long MostRead = 128L * 1024 * 1024;

    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/tables/{kind}/rows",
                async Task<Results<Ok<ImportView>, ProblemHttpResult>> (
                    string kind,
                    string? map,
                    string? unit,
                    bool? take,
                    HttpRequest request,
                    TableImports imports,
                    MeasureImports measures,
                    WorkroomStore workroom
                ) =>
                {
                    if ((kind == Measurements ? measures.Fields : TableImports.FieldsOf(kind)) is not { } fields)
                        return Problems.NotFound("customers, stock, prices and measurements can be taken in");
                    if (map?.Length > LongestMap)
                        return Refuse("map", $"longer than {LongestMap} characters", "name:0");
                    if (request.ContentLength is null or > TableFile.MostBytes)
                        return Refuse(
                            "file",
                            $"larger than {TableFile.MostBytes / 1024 / 1024} MB: take it in parts",
                            "Stock.csv"
                        );
                    using var body = new MemoryStream();
                    await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
                    var (table, reason) = TableFile.Read(body.ToArray());
                    if (table is null)
                        return Refuse("file", reason!, "Stock.csv");
                    if (kind == Measurements && IsList(table, fields))
                        table = CutListText.Read(TableFile.Decoded(body.ToArray()).Text ?? "");
                    var columns = new ColumnMap(table, fields, map);
                    if (unit is not null && UnitNamed(unit) is null)
                        return Refuse("unit", "in, in8 or cm is needed", "cm");
                    var sizes =
                        (unit is null ? null : UnitNamed(unit))
                        ?? ColumnMap.UnitOf(table, StockEndpoints.UnitOf(workroom));
                    var items = kind == Measurements ? measures.Rows(table, columns, sizes) : [];
                    var rows =
                        kind == Measurements
                            ? [.. items.Select(each => each.Row)]
                            : imports.Rows(kind, table, columns, sizes);
                    var wrong = rows.Count(row => row.Problems.Count > 0);
                    // All or nothing: one row that is wrong keeps the rest out.
                    var isTaken = take == true && wrong == 0;
                    if (isTaken)
                        foreach (var row in rows)
                            row.Put();
                    return TypedResults.Ok(
                        View(
                            table,
                            fields,
                            columns,
                            sizes,
                            [.. rows.Where(row => row.Name.Length + row.Problems.Count > 0)],
                            wrong,
                            isTaken,
                            isTaken ? [.. items.Select(each => each.Item)] : []
                        )
                    );
                }
            )
            .Accepts<Stream>("*/*")
            .WithMetadata(new RequestSizeLimitAttribute(MostRead))
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("takeTable")
            .WithSummary(
                "Looks at a CSV or XLSX of customers, stock or prices: columns by name or as `map` says (`name:0,batch:3`), sizes in `unit`; with `take=true`, and nothing wrong, takes all of it in."
            );

    private static ImportView View(
        TableFile table,
        IReadOnlyList<ImportField> fields,
        ColumnMap columns,
        JobUnit unit,
        IReadOnlyList<ImportRow> rows,
        int wrong,
        bool isTaken,
        IReadOnlyList<Item> items
    ) =>
        new(
            table.Parted,
            unit,
            ColumnMap.HasCommas(table),
            [.. fields.Select(field => new ImportFieldView(field.Key, field.Name))],
            [
                .. table.Head.Select(
                    (name, at) =>
                        new ImportColumn(
                            name,
                            [.. table.Rows.Select(row => row[at]).Where(cell => cell.Length > 0).Distinct().Take(Some)],
                            fields.FirstOrDefault(field => columns.Of(field.Key) == at)?.Key ?? ""
                        )
                ),
            ],
            [
                .. rows.Select((row, at) => new ImportRowView(at + 1, row.Name, row.Becomes, row.Problems))
                    .OrderByDescending(row => row.Problems.Count > 0)
                    .ThenBy(row => row.Row)
                    .Take(Shown),
            ],
            rows.Count,
            rows.Count(row => row.Becomes == TableImports.New),
            rows.Count(row => row.Becomes == TableImports.Changed),
            wrong,
            isTaken,
            items
        );

    // A size stands in the head, or no head says what it is the head of: a list as it was written down.
    private static bool IsList(TableFile table, IReadOnlyList<ImportField> fields) =>
        CutListText.HasSize(string.Join(' ', table.Head))
        || new ColumnMap(table, fields, null) is var guessed && fields.All(field => guessed.Of(field.Key) is null);

    // By the names that units have in files.
    private static JobUnit? UnitNamed(string name) =>
        Enum.GetValues<JobUnit>()
            .Where(unit => KeptJson.Name(unit) == name)
            .Select(unit => (JobUnit?)unit)
            .FirstOrDefault();

    private static ProblemHttpResult Refuse(string field, string reason, string example) =>
        Problems.Fields([new Problem(field, "", 0, reason, example)]);
}
