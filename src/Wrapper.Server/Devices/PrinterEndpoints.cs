using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Devices;

/// <summary>Switches the printer on or off.</summary>
public sealed record SetPrinter(bool IsOn);

/// <summary>Puts paper into the printer, or takes all of it out.</summary>
public sealed record FillPrinter(bool IsFull);

/// <summary>The printer of sheets and labels: what it is sent, and its out-tray.</summary>
internal static class PrinterEndpoints
{
    private const string Pdf = "application/pdf";
    private const int MostBytes = 16 * 1024 * 1024;

    public static void Map(RouteGroupBuilder api)
    {
        var printer = api.MapGroup("/devices/printer");
        printer
            .MapGet("/", (Printer device) => device.State())
            .WithName("getPrinter")
            .WithSummary("How the printer stands, and what lies in its out-tray.");

        printer
            .MapPut(
                "/",
                (SetPrinter set, Printer device) =>
                {
                    device.Set(set.IsOn);
                    return device.State();
                }
            )
            .WithName("setPrinter")
            .WithSummary("Switches the stand-in of the printer on or off.");

        printer
            .MapPut(
                "/paper",
                (FillPrinter fill, Printer device) =>
                {
                    device.Fill(fill.IsFull);
                    return device.State();
                }
            )
            .WithName("fillPrinter")
            .WithSummary("Puts paper and labels in, or takes them out; what waits for them is printed then.");

        printer
            .MapPost(
                "/files",
                async Task<Results<Ok<PrinterState>, ProblemHttpResult>> (
                    string name,
                    HttpRequest request,
                    Printer device
                ) =>
                {
                    if (request.ContentLength is null or > MostBytes || name.Length > JobLimits.LongestName)
                        return Problems.Fields([
                            new Problem(
                                "file",
                                name.Length > 40 ? name[..40] : name,
                                0,
                                $"larger than {MostBytes / 1024 / 1024} MB, or its name is too long",
                                "Cutting sheet"
                            ),
                        ]);
                    using var bytes = new MemoryStream();
                    await request.Body.CopyToAsync(bytes);
                    return device.Take(name, bytes.ToArray()) switch
                    {
                        { ForNow: true } refuses => Problems.Meanwhile(refuses.Reason),
                        { } refuses => Problems.Fields([
                            new Problem("file", name, 0, refuses.Reason, "a sheet as PDF"),
                        ]),
                        null => TypedResults.Ok(device.State()),
                    };
                }
            )
            .Accepts<Stream>(Pdf)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("sendToPrinter")
            .WithSummary("Sends a PDF to the printer. Pages narrower than 140 mm are printed on labels.");

        printer
            .MapGet(
                "/tray/{id}.pdf",
                Results<FileContentHttpResult, ProblemHttpResult> (string id, Printer device, HttpContext context) =>
                {
                    if (device.Printed(id) is not { } printed)
                        return Problems.NotFound("nothing of this lies in the tray");
                    context.Response.Headers.ContentDisposition = Downloads.Shown("pdf", printed.Name);
                    return TypedResults.File(printed.Pdf, Pdf);
                }
            )
            .Produces<byte[]>(200, Pdf)
            .ProducesProblem(404)
            .WithName("printedFile")
            .WithSummary("What lies in the out-tray, as it was sent.");

        printer
            .MapDelete(
                "/tray",
                (Printer device) =>
                {
                    device.Empty();
                    return device.State();
                }
            )
            .WithName("emptyTray")
            .WithSummary("Empties the out-tray.");
    }
}
