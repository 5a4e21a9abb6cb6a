using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Formats.Contacts;
using Wrapper.Formats.Tables;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Money;
using Wrapper.Server.Stock;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>Tables for spreadsheets.</summary>
internal static class TableEndpoints
{
    private const string Csv = "text/csv",
        Xlsx = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
        VCard = "text/vcard";
    private const int AtOnce = 500;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/jobs/{id}/tables/{table}.{format}",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
                    string id,
                    string table,
                    string format,
                    JobStore jobs,
                    Drafting drafting,
                    LayCache kept,
                    Wording wording,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                {
                    if (format is not ("csv" or "xlsx") || table is not ("cut-list" or "shopping-list" or "time-log"))
                        return Problems.NotFound(
                            "of a job there are cut-list, shopping-list and time-log, each as csv and xlsx"
                        );
                    if (jobs.Find(id) is not { } stored)
                        return Problems.NotFound($"There is no job {id}.");
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    return await queue.Run<Results<FileContentHttpResult, ProblemHttpResult>>(
                        context,
                        turn =>
                            File(
                                table switch
                                {
                                    "time-log" => JobTables.TimeLog(job),
                                    "cut-list" => JobTables.CutList(
                                        Plan.Of(job, drafting, lay: false, kept, turn.Cancel),
                                        job,
                                        wording.Vocabulary
                                    ),
                                    _ => JobTables.ShoppingList(
                                        Plan.Of(job, drafting, lay: true, kept, turn.Cancel),
                                        job,
                                        wording.Vocabulary
                                    ),
                                },
                                format,
                                job.Name
                            )
                    );
                }
            )
            .Produces<byte[]>(200, Csv, Xlsx)
            .ProducesProblem(404)
            .WithName("jobTable")
            .WithSummary("The cut list, shopping list or time log of a job as csv or xlsx.");

        api.MapGet(
                "/tables/{table}.{format}",
                Results<FileContentHttpResult, ProblemHttpResult> (
                    string table,
                    string format,
                    CustomerStore customers,
                    StockStore stock,
                    SheetStore sheets
                ) =>
                    (table, format) switch
                    {
                        ("customers", "vcf") => Downloads.File(
                            System.Text.Encoding.UTF8.GetBytes(VCards.Write(All(customers))),
                            VCard,
                            "vcf",
                            "Customers"
                        ),
                        ("customers", "csv" or "xlsx") => File(
                            WorkroomTables.Customers(All(customers).Select(each => each.Customer)),
                            format,
                            ""
                        ),
                        ("stock", "csv" or "xlsx") => File(
                            WorkroomTables.Stock(stock.List().Select(StockEndpoints.RowOf)),
                            format,
                            ""
                        ),
                        ("prices", "csv" or "xlsx") => File(
                            WorkroomTables.Prices(PriceBookEndpoints.BookOf(sheets)),
                            format,
                            ""
                        ),
                        _ => Problems.NotFound(
                            "there are customers, stock and prices, each as csv and xlsx; customers as vcf too"
                        ),
                    }
            )
            .Produces<byte[]>(200, Csv, Xlsx, VCard)
            .ProducesProblem(404)
            .WithName("workroomTable")
            .WithSummary("Customers, stock or prices as csv or xlsx; customers as vcf too.");
    }

    private static FileContentHttpResult File(Table table, string format, string job) =>
        format == "csv"
            ? Downloads.File(CsvTable.Write(table), Csv, "csv", job, table.Name)
            : Downloads.File(XlsxTable.Write(table), Xlsx, "xlsx", job, table.Name);

    private static IEnumerable<(string Id, Customer Customer)> All(CustomerStore store)
    {
        string? after = null;
        while (true)
        {
            var page = store.List("", after, AtOnce);
            foreach (var kept in page)
                yield return (kept.Id, KeptJson.Read<Customer>(kept.Content) ?? new Customer(kept.Name));
            if (page.Count < AtOnce)
                yield break;
            after = page[^1].Mark;
        }
    }
}
