using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Plotting;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>Lays for cutting plotters.</summary>
internal static class PlotEndpoints
{
    private const string Hpgl = "application/vnd.hp-hpgl",
        GCode = "text/x-gcode";

    public static void Map(RouteGroupBuilder api) =>
        api.MapGet(
                "/jobs/{id}/cloths/{cloth}/plot.{format}",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
                    string id,
                    string cloth,
                    string format,
                    string? across,
                    string? along,
                    string? overCut,
                    string? tool,
                    JobStore jobs,
                    Drafting drafting,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                {
                    if (format is not ("plt" or "nc"))
                        return Problems.NotFound("plotter files are to be had as plt (HPGL/2) and nc (G-code)");
                    if (jobs.Find(id) is not { } stored)
                        return Problems.NotFound($"There is no job {id}.");
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    var (bed, problem) = BedOf(across, along, overCut, tool, job.Unit);
                    if (bed is null)
                        return Problems.Fields([problem!]);
                    return await queue.Run<Results<FileContentHttpResult, ProblemHttpResult>>(
                        context,
                        turn =>
                        {
                            var plan = Plan.Of(job, drafting, lay: true, kept, turn.Cancel);
                            var planned = plan.Cloths.FirstOrDefault(each => each.Reading.Cloth.Id == cloth);
                            if (planned is null || LayDrawing.Of(planned, plan) is not { } drawing)
                                return Problems.NotFound("there is no lay of this cloth, or it is in doubt");
                            if (TooWide(drawing, bed, job.Unit) is { } wide)
                                return Problems.Fields([wide]);
                            var plot = ToolPaths.Of(drawing, bed);
                            return Downloads.File(
                                Encoding.ASCII.GetBytes(
                                    format == "plt" ? PlotterFiles.Hpgl(plot) : PlotterFiles.GCode(plot)
                                ),
                                format == "plt" ? Hpgl : GCode,
                                format,
                                job.Name,
                                drawing.Name
                            );
                        }
                    );
                }
            )
            .Produces<byte[]>(200, Hpgl, GCode)
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("plotFile")
            .WithSummary(
                "The lay of a cloth for a plotter: plt (HPGL/2) or nc (G-code), on a bed so far `across` and `along`, with a knife that goes `overCut` past corners, or `tool=pen`."
            );

    /// <summary>Why a lay does not go on a bed; null where it does.</summary>
    internal static Problem? TooWide(Drawing drawing, PlotterBed bed, JobUnit unit)
    {
        var (left, _, right, _) = drawing.Bounds();
        return right - left > bed.Across
            ? new Problem(
                "across",
                LengthPrinter.Finished(bed.Across, unit).Text,
                0,
                "the bed is narrower than the lay",
                LengthPrinter.Cut(right - left, unit).Text
            )
            : null;
    }

    /// <summary>A bed as typed; what is not said is as usual.</summary>
    internal static (PlotterBed? Bed, Problem? Problem) BedOf(
        string? across,
        string? along,
        string? overCut,
        string? tool,
        JobUnit unit
    )
    {
        var usual = PlotterBed.Usual;
        if (tool is not (null or "knife" or "pen"))
            return (null, new Problem("tool", tool, 0, "knife or pen is needed", "knife"));
        var bed = new LengthLimits(PlotterBed.Least, PlotterBed.Most, "70", "180");
        var past = new LengthLimits(Length.Zero, Length.Millimetres(10), "1/16", "0.1");
        Problem? problem = null;
        Length Read(string field, string? typed, Length else_, LengthLimits limits)
        {
            if (typed is null)
                return else_;
            var (length, refusal) = LengthReader.Read(typed, unit, limits);
            if (refusal is not null)
                problem ??= new Problem(field, refusal.Given, refusal.Position, refusal.Reason, refusal.Example);
            return length ?? else_;
        }
        var read = new PlotterBed(
            Read("across", across, usual.Across, bed),
            Read("along", along, usual.Along, bed),
            tool == "pen" ? Tool.Pen : Tool.Knife,
            Read("overCut", overCut, usual.OverCut, past)
        );
        return problem is null ? (read, null) : (null, problem);
    }
}
