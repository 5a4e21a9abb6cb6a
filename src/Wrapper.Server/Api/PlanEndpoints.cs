using Wrapper.Core.Cloth;
using Wrapper.Core.Covers;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Server.Views;

namespace Wrapper.Server.Api;

/// <summary>An item to draft, and the unit to read bare numbers and print sizes in.</summary>
public sealed record DraftRequest(Item Item, JobUnit Unit);

/// <summary>A job, and the item of it to try the make-ups of its family on.</summary>
public sealed record CompareRequest(JobDocument Job, string Item);

/// <summary>An SVG drawing as text.</summary>
public sealed record SvgDrawing(string Svg);

/// <summary>The path of a drawing.</summary>
public sealed record TracedPath(string Path);

/// <summary>Drafting and planning. Nothing here touches the store: what comes in is all that counts.</summary>
internal static class PlanEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/draft", (DraftRequest request, Drafting drafting) =>
            {
                if (JobLimits.Check(request.Item).ToList() is { Count: > 0 } refused) return Problems.Fields(refused);
                var plan = Planning.Item(request.Item, 1, drafting, request.Unit);
                return plan.Draft.Problems.Count > 0 ? Problems.Fields(plan.Draft.Problems) : Results.Ok(DraftView.Of(plan, drafting, request.Unit));
            })
            .Produces<DraftView>().ProducesProblem(422).WithName("draft").WithSummary("An item drafted: pattern, workings, seam check, notions and steps.");

        api.MapPost("/outlines", (SvgDrawing drawing) =>
            {
                var (path, reason) = SvgOutline.Read(drawing.Svg);
                return path is not null
                    ? Results.Ok(new TracedPath(path))
                    : Problems.Fields([new Problem("svg", drawing.Svg.Length > 60 ? drawing.Svg[..60] : drawing.Svg, 0, reason!, "<svg><path d=\"M0 0 H18 V14 H0 Z\"/></svg>")]);
            })
            .Produces<TracedPath>().ProducesProblem(422).WithName("readOutline").WithSummary("The first path of an SVG drawing, to be entered as a traced outline.");

        api.MapPost("/plan", (JobDocument job, Drafting drafting, string? lay, long? before, CancellationToken superseded) =>
            {
                if (lay is not (null or "none" or "instant"))
                    return Problems.Fields([new Problem("lay", lay, 0, "none or instant is needed", "instant")]);
                var refused = JobLimits.Check(job).ToList();
                if (refused.Count > 0) return Problems.Fields(refused);
                return Results.Ok(PlanView.Of(Planning.Of(job, drafting, lay is not "none", superseded), job, drafting, before));
            })
            .Produces<PlanView>().ProducesProblem(422).WithName("plan").WithSummary("A whole job: drafts, lays, purchases and totals. Items in doubt carry their problems; the rest is planned.");

        api.MapPost("/compare", (CompareRequest request, Drafting drafting, CancellationToken superseded) =>
            {
                if (JobLimits.Check(request.Job).ToList() is { Count: > 0 } refused) return Problems.Fields(refused);
                var item = request.Job.Items.FirstOrDefault(i => i.Id == request.Item);
                if (item is null || drafting.Find(item.MakeUp) is not { } current)
                    return Problems.Fields([new Problem("item", request.Item, 0, "this job has no such item", request.Job.Items is [var first, ..] ? first.Id : "")]);
                var cloth = request.Job.Cloths.FirstOrDefault(c => c.Id == item.Cloth) ?? (request.Job.Cloths is [var only, ..] ? only : null);
                var reading = cloth is null ? null : new ClothReading(cloth, request.Job.Unit);
                // Schools that fit the item come first; the others say why they do not.
                return Results.Ok(drafting.MakeUps.Where(makeUp => makeUp.Family == current.Family).Select(makeUp =>
                {
                    var tried = makeUp.Key == current.Key ? item : makeUp.NewItem(item.Id, item.Name, request.Job.Unit, item);
                    var plan = Planning.Item(tried, 1, drafting, request.Job.Unit);
                    return ComparisonView.Of(makeUp, makeUp.Key == current.Key, plan, reading is null ? null : Planning.Alone(plan, reading, superseded), request.Job.Unit);
                }).OrderBy(school => school.Problems.Count > 0).ToList());
            })
            .Produces<IEnumerable<ComparisonView>>().ProducesProblem(422).WithName("compare").WithSummary("The make-ups of an item's family side by side, each drafted and laid alone.");
    }
}
