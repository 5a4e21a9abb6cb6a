using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Pages;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Money;
using Wrapper.Server.Stock;
using Wrapper.Store;

namespace Wrapper.Server.Sheets;

/// <summary>A page of a sheet as it is printed, as PNG in a data address, and what it says, a line each.</summary>
public sealed record PageView(string Picture, IReadOnlyList<string> Said);

/// <summary>A sheet as it is printed.</summary>
public sealed record SheetView(string Title, IReadOnlyList<PageView> Pages)
{
    private const int MostShown = 12,
        Dpi = 144;

    internal static SheetView Of(Sheet sheet)
    {
        var file = new SheetFile(sheet);
        return new(
            sheet.Title,
            [
                .. Enumerable
                    .Range(1, Math.Min(file.Pages, MostShown))
                    .Select(page => new PageView(
                        $"data:image/png;base64,{Convert.ToBase64String(file.Picture(page, Dpi))}",
                        file.Said(page)
                    )),
            ]
        );
    }
}

/// <summary>Asks for letters about a batch that all say this.</summary>
public sealed record LettersAbout(string Batch, string Text);

/// <summary>Sheets to print: each is described once, and is the same from here, from the browser and from a printer.</summary>
internal static class SheetEndpoints
{
    private const string Pdf = "application/pdf";
    private const int LongestLetter = 4000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/jobs/{id}/sheets/{sheet}.pdf",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
                    string id,
                    string sheet,
                    [AsParameters] SheetOf of,
                    JobStore jobs,
                    JobSheets sheets,
                    IOptions<JsonOptions> json,
                    LayQueue lays,
                    DraftQueue drafts,
                    HttpContext context
                ) =>
                {
                    if (!JobSheets.Keys.TryGetValue(sheet, out var isLaid))
                        return NoSheet();
                    if (JobSheets.Check(of).ToList() is { Count: > 0 } problems)
                        return Problems.Fields(problems);
                    if (jobs.Find(id) is not { } stored)
                        return Problems.NotFound($"There is no job {id}.");
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    WorkQueue queue = isLaid ? lays : drafts;
                    return await queue.Run<Results<FileContentHttpResult, ProblemHttpResult>>(
                        context,
                        turn => Inline(context, sheets.Of(sheet, job, of, turn.Cancel))
                    );
                }
            )
            .Produces<byte[]>(200, Pdf)
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("jobSheet")
            .WithSummary(
                "A sheet of a job to print: measuring-sheet, pieces, cutting-sheet, lay-plan, making-sheet, shopping-list, label, care-card or hand-over-sheet, on `paper` a4 or letter, labels on label too; of one `item` or `cloth` where the sheet has them apart."
            );

        api.MapPost(
                "/sheets/{sheet}",
                async Task<Results<Ok<SheetView>, ProblemHttpResult>> (
                    string sheet,
                    JobDocument job,
                    [AsParameters] SheetOf of,
                    JobSheets sheets,
                    LayQueue lays,
                    DraftQueue drafts,
                    HttpContext context
                ) =>
                    !JobSheets.Keys.TryGetValue(sheet, out var isLaid)
                        ? NoSheet()
                        : await Costly.Answer<SheetView>(
                            isLaid ? lays : drafts,
                            context,
                            JobLimits.Check(job).Concat(JobSheets.Check(of)),
                            cancel => TypedResults.Ok(SheetView.Of(sheets.Of(sheet, job, of, cancel)))
                        )
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("showSheet")
            .WithSummary("The first pages of a sheet as they would be printed now, whether the job is saved or not.");

        api.MapGet(
                "/make-ups/{key}/measuring-sheet.pdf",
                Results<FileContentHttpResult, ProblemHttpResult> (
                    string key,
                    string? unit,
                    string? paper,
                    Drafting drafting,
                    JobSheets sheets,
                    HttpContext context
                ) =>
                    drafting.Find(key) is not { } makeUp ? Problems.NotFound("there is no such make-up")
                    : JobSheets.Check(new(Paper: paper)).ToList() is { Count: > 0 } problems ? Problems.Fields(problems)
                    : Inline(
                        context,
                        MeasuringSheet.OfKind(
                            makeUp,
                            unit == "cm" ? JobUnit.Centimetre : JobUnit.Inch,
                            sheets.OfficeOn(paper)
                        )
                    )
            )
            .Produces<byte[]>(200, Pdf)
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("kindSheet")
            .WithSummary("A blank measuring sheet for a kind of thing, in `unit` in or cm.");

        api.MapGet(
                "/papers/{paper}/paper.pdf",
                Results<FileContentHttpResult, ProblemHttpResult> (
                    string paper,
                    PaperStore papers,
                    JobSheets sheets,
                    HttpContext context
                ) =>
                    SheetOfPaper(paper, papers, sheets) is { } sheet
                        ? Inline(context, sheet)
                        : Problems.NotFound("there is no such paper")
            )
            .Produces<byte[]>(200, Pdf)
            .ProducesProblem(404)
            .WithName("paperFile")
            .WithSummary("A quotation, invoice or other paper as it was given out, to print or send.");

        api.MapGet(
                "/papers/{paper}/pages",
                Results<Ok<SheetView>, ProblemHttpResult> (string paper, PaperStore papers, JobSheets sheets) =>
                    SheetOfPaper(paper, papers, sheets) is { } sheet
                        ? TypedResults.Ok(SheetView.Of(sheet))
                        : Problems.NotFound("there is no such paper")
            )
            .ProducesProblem(404)
            .WithName("paperPages")
            .WithSummary("The same as pictures of its pages.");

        api.MapPost(
                "/recall/letters.pdf",
                Results<FileContentHttpResult, ProblemHttpResult> (
                    LettersAbout about,
                    Recalls recalls,
                    JobSheets sheets,
                    HttpContext context
                ) =>
                {
                    if (about.Text.Length > LongestLetter)
                        return Problems.Fields([
                            new Problem(
                                "text",
                                about.Text[..40],
                                LongestLetter,
                                $"longer than {LongestLetter} characters",
                                "Please do not wash these covers until we have looked at them."
                            ),
                        ]);
                    return recalls.Of(about.Batch, out var problem) is { } found
                        ? Inline(context, RecallLetters.Of(found, about.Text, sheets.OfficeOn(null)))
                        : Problems.Fields([problem!]);
                }
            )
            .Produces<byte[]>(200, Pdf)
            .ProducesProblem(422)
            .WithName("recallLetters")
            .WithSummary("Letters to all who have covers of a batch, a page each.");
    }

    /// <summary>The sheet of a paper that was given out; null where there is none.</summary>
    internal static Sheet? SheetOfPaper(string id, PaperStore papers, JobSheets sheets) =>
        papers.Find(id) is { } kept && PaperView.Of(kept) is { } view
            ? PaperSheets.Of(
                view.Paper,
                item => view.Drawings.Contains(item) ? papers.Drawing(id, item) : null,
                sheets.OfficeOn(null).Size
            )
            : null;

    private static ProblemHttpResult NoSheet() =>
        Problems.NotFound($"the sheets of a job are {string.Join(", ", JobSheets.Keys.Keys)}");

    // It opens where it is printed, and is called so where it is kept.
    private static FileContentHttpResult Inline(HttpContext context, Sheet sheet)
    {
        context.Response.Headers.ContentDisposition = Downloads.Shown("pdf", sheet.Title);
        return TypedResults.File(new SheetFile(sheet).Pdf(), Pdf);
    }
}
