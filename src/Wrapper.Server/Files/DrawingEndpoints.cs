using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Prints;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>Pieces and lays of a job as drawings at their true size.</summary>
internal static class DrawingEndpoints
{
    private const string Svg = "image/svg+xml",
        Dxf = "image/vnd.dxf",
        Pdf = "application/pdf";

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/jobs/{id}/items/{item}/drawing.{format}",
                (
                    string id,
                    string item,
                    string format,
                    string? piece,
                    string? paper,
                    string? roll,
                    JobStore jobs,
                    Drafting drafting,
                    IOptions<JsonOptions> json,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    Answer(
                        queue,
                        context,
                        jobs,
                        id,
                        format,
                        paper,
                        roll,
                        json,
                        (job, _) => OfItem(job, item, piece, drafting)
                    )
            )
            .Produces<byte[]>(200, Pdf, Svg, Dxf)
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("itemDrawing")
            .WithSummary(
                "The pieces of an item, or one `piece`, at true size as svg, dxf or pdf; pdf on `paper` a4, letter, a3 or on a roll so wide (`paper=roll&roll=36 in`)."
            );

        api.MapGet(
                "/jobs/{id}/cloths/{cloth}/lay.{format}",
                (
                    string id,
                    string cloth,
                    string format,
                    string? paper,
                    string? roll,
                    JobStore jobs,
                    Drafting drafting,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                    Answer(
                        queue,
                        context,
                        jobs,
                        id,
                        format,
                        paper,
                        roll,
                        json,
                        (job, cancel) =>
                        {
                            var plan = Plan.Of(job, drafting, lay: true, kept, cancel);
                            var planned = plan.Cloths.FirstOrDefault(each => each.Reading.Cloth.Id == cloth);
                            return planned is null ? null : LayDrawing.Of(planned, plan);
                        }
                    )
            )
            .Produces<byte[]>(200, Pdf, Svg, Dxf)
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("layDrawing")
            .WithSummary("The lay of a cloth at true size, right side up, in the same formats and on the same papers.");
    }

    private static Drawing? OfItem(JobDocument job, string id, string? piece, Drafting drafting)
    {
        var at = job.Items.ToList().FindIndex(each => each.Id == id);
        if (at < 0)
            return null;
        var plan = ItemPlan.Of(job.Items[at], at + 1, drafting, job);
        if (plan.Draft.Pattern is not { } pattern)
            return null;
        return piece is null ? PieceDrawing.Of(plan)
            : pattern.Pieces.FirstOrDefault(each => each.Key == piece) is { } one ? PieceDrawing.Of(plan, one)
            : null;
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Answer(
        WorkQueue queue,
        HttpContext context,
        JobStore jobs,
        string id,
        string format,
        string? paper,
        string? roll,
        IOptions<JsonOptions> json,
        Func<JobDocument, CancellationToken, Drawing?> draw
    )
    {
        if (format is not ("svg" or "dxf" or "pdf"))
            return Problems.NotFound($"drawings are to be had as svg, dxf and pdf, not as {format}");
        if (jobs.Find(id) is not { } stored)
            return Problems.NotFound($"There is no job {id}.");
        var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
        var (sheet, width, problem) = PaperOf(paper, roll, job.Unit);
        if (problem is not null)
            return Problems.Fields([problem]);
        return await queue.Run<Results<FileContentHttpResult, ProblemHttpResult>>(
            context,
            turn =>
            {
                if (draw(job, turn.Cancel) is not { } drawing)
                    return Problems.NotFound(
                        "there is nothing to draw: no such item, piece or cloth, or its sizes are in doubt"
                    );
                return format switch
                {
                    "svg" => File(SvgWriter.Write(drawing), Svg),
                    "dxf" => File(DxfWriter.Write(drawing), Dxf),
                    _ => Printed(drawing, sheet, width, turn.Cancel),
                };

                FileContentHttpResult File(string text, string type) =>
                    Downloads.File(System.Text.Encoding.UTF8.GetBytes(text), type, format, job.Name, drawing.Name);
            }
        );

        Results<FileContentHttpResult, ProblemHttpResult> Printed(
            Drawing drawing,
            Paper? sheet,
            Length width,
            CancellationToken cancel
        )
        {
            var (left, bottom, right, top) = drawing.Bounds();
            // A roll is cut off behind what is drawn, and never shorter than its first page.
            var on =
                sheet ?? Paper.Roll(width, Length.Max(top - bottom, Length.Millimetres(277)) + (2 * Tiling.Margin));
            var tiles = new Tiling(drawing.AtOrigin(), on).Tiles.Count;
            if (tiles > TiledPdf.MostPages)
                return Problems.Fields([
                    new Problem(
                        "paper",
                        on.Name,
                        0,
                        $"that is {tiles} pages, and at most {TiledPdf.MostPages} are printed: take larger paper or a roll",
                        "roll"
                    ),
                ]);
            using var pdf = new MemoryStream();
            TiledPdf.Write(drawing, on, TileWords.Usual($"{job.Name}: {drawing.Name}"), pdf, cancel);
            return Downloads.File(pdf.ToArray(), Pdf, "pdf", job.Name, drawing.Name, on.Name);
        }
    }

    private static (Paper? Sheet, Length Width, Problem? Problem) PaperOf(string? key, string? roll, JobUnit unit)
    {
        if (Paper.Find(key ?? "a4") is { } sheet)
            return (sheet, Length.Zero, null);
        if (key != Paper.RollKey)
            return (null, Length.Zero, new Problem("paper", key!, 0, "a4, letter, a3 or roll is needed", "a4"));
        var limits = new LengthLimits(Paper.Narrowest, Paper.Widest, "36", "91");
        var (width, refusal) = LengthReader.Read(roll, unit, limits);
        return width is { } wide
            ? (null, wide, null)
            : (
                null,
                Length.Zero,
                new Problem("roll", refusal!.Given, refusal.Position, refusal.Reason, refusal.Example)
            );
    }
}
