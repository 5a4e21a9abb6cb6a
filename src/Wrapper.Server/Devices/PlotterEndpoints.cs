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
using Wrapper.Server.Files;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Devices;

/// <summary>How the stand-in of the plotter is set: its bed as typed, and how many times faster it runs.</summary>
public sealed record SetPlotter(bool IsOn, string Across, string Along, JobUnit Unit, int Faster);

/// <summary>The cutting plotter: what it is at, and what it is sent.</summary>
internal static class PlotterEndpoints
{
    private const int MostFaster = 1000,
        MostBytes = 8 * 1024 * 1024;

    public static void Map(RouteGroupBuilder api)
    {
        var plotter = api.MapGroup("/devices/plotter");
        plotter
            .MapGet("/", (Plotter device) => device.State())
            .WithName("getPlotter")
            .WithSummary("What the plotter is at, and what it has cut so far.");

        plotter
            .MapPut(
                "/",
                Results<Ok<PlotterState>, ProblemHttpResult> (SetPlotter set, Plotter device) =>
                {
                    if (set.Faster is < 1 or > MostFaster)
                        return Problems.Fields([
                            new Problem("faster", $"{set.Faster}", 0, $"from 1 to {MostFaster} times", "20"),
                        ]);
                    var (bed, problem) = PlotEndpoints.BedOf(set.Across, set.Along, null, null, set.Unit);
                    if (bed is null)
                        return Problems.Fields([problem!]);
                    device.Set(set.IsOn, bed, set.Faster);
                    return TypedResults.Ok(device.State());
                }
            )
            .ProducesProblem(422)
            .WithName("setPlotter")
            .WithSummary("Switches the stand-in of the plotter on or off, and says how large its bed is.");

        plotter
            .MapPost(
                "/files",
                async Task<Results<Ok<PlotterState>, ProblemHttpResult>> (
                    string name,
                    HttpRequest request,
                    Plotter device
                ) =>
                {
                    if (request.ContentLength is null or > MostBytes || name.Length > JobLimits.LongestName)
                        return Problems.Fields([
                            new Problem("file", name, 0, $"larger than {MostBytes / 1024 / 1024} MB", "lay.plt"),
                        ]);
                    using var reader = new StreamReader(request.Body, Encoding.ASCII);
                    return Answer(device, name, await reader.ReadToEndAsync());
                }
            )
            .Accepts<Stream>("*/*")
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("sendToPlotter")
            .WithSummary("Sends a plotter file in HPGL/2; what leads off its bed is refused.");

        plotter
            .MapPost(
                "/jam",
                (Plotter device) =>
                {
                    device.Jam();
                    return device.State();
                }
            )
            .WithName("jamPlotter")
            .WithSummary("Jams the stand-in of the plotter, as cloth does.");

        plotter
            .MapPost(
                "/go-on",
                (Plotter device) =>
                {
                    device.GoOn();
                    return device.State();
                }
            )
            .WithName("goOnPlotter")
            .WithSummary("The cloth was freed or moved on: the plotter goes on where it stood.");

        api.MapPost(
                "/jobs/{id}/cloths/{cloth}/plot",
                async Task<Results<Ok<PlotterState>, ProblemHttpResult>> (
                    string id,
                    string cloth,
                    Plotter device,
                    JobStore jobs,
                    Drafting drafting,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                {
                    if (device.Bed is not { } bed)
                        return Problems.Meanwhile(
                            "The plotter is switched off: switch it on under Workshop devices, or save its file."
                        );
                    if (jobs.Find(id) is not { } stored)
                        return Problems.NotFound($"There is no job {id}.");
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    return await queue.Run<Results<Ok<PlotterState>, ProblemHttpResult>>(
                        context,
                        turn =>
                        {
                            var plan = Plan.Of(job, drafting, lay: true, kept, turn.Cancel);
                            var planned = plan.Cloths.FirstOrDefault(each => each.Reading.Cloth.Id == cloth);
                            if (planned is null || LayDrawing.Of(planned, plan) is not { } drawing)
                                return Problems.NotFound("there is no lay of this cloth, or it is in doubt");
                            if (PlotEndpoints.TooWide(drawing, bed, job.Unit) is { } problem)
                                return Problems.Fields([problem]);
                            return Answer(
                                device,
                                $"{job.Name}: {drawing.Name}",
                                PlotterFiles.Hpgl(ToolPaths.Of(drawing, bed))
                            );
                        }
                    );
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("cutLay")
            .WithSummary("Sends the lay of a cloth to the plotter, in windows of its bed.");
    }

    private static Results<Ok<PlotterState>, ProblemHttpResult> Answer(Plotter device, string name, string hpgl) =>
        device.Take(name, hpgl) is not { } refuses ? TypedResults.Ok(device.State())
        : refuses.ForNow ? Problems.Meanwhile(refuses.Reason)
        : Problems.Fields([new Problem("file", name, 0, refuses.Reason, "IN;SP1;PU0,0;PD400,0;")]);
}
