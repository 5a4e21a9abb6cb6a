using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Drawings;
using Wrapper.Server.Drafts;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.MakeUps;
using Wrapper.Server.Making;

namespace Wrapper.Server.Plans;

/// <summary>An item to draft, and the unit to read bare numbers and print sizes in.</summary>
public sealed record DraftRequest(Item Item, JobUnit Unit)
{
    /// <summary>
    /// The cloths that it may be cut from, for covers that are drafted to their width; a usual one if none.
    /// </summary>
    public IReadOnlyList<JobCloth> Cloths { get; init; } = [];
}

/// <summary>A job, and the item of it to try the make-ups of its family on.</summary>
public sealed record CompareRequest(JobDocument Job, string Item);

/// <summary>A drawing as text: SVG, or else <see cref="Dxf"/>.</summary>
public sealed record OutlineDrawing(string? Svg)
{
    /// <summary>ASCII DXF.</summary>
    public string? Dxf { get; init; }

    /// <summary>The unit in which the outline of a DXF drawing is wanted.</summary>
    public JobUnit Unit { get; init; }
}

/// <summary>The path of a drawing.</summary>
public sealed record TracedPath(string Path);

/// <summary>Drafting and planning. Nothing here touches the store: what comes in is all that counts.</summary>
internal static class PlanEndpoints
{
    private const long MostBought = 1_000_000_000_000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
                "/draft",
                (DraftRequest request, Drafting drafting, DraftQueue queue, HttpContext context) =>
                {
                    var job = JobDocument.Empty("draft", request.Unit) with
                    {
                        Items = [request.Item],
                        Cloths = request.Cloths,
                    };
                    return Costly.Answer<DraftView>(
                        queue,
                        context,
                        JobLimits.Check(job),
                        _ =>
                        {
                            var plan = ItemPlan.Of(request.Item, 1, drafting, job);
                            return plan.Draft.Problems.Count > 0
                                ? Problems.Fields(plan.Draft.Problems)
                                : TypedResults.Ok(DraftView.Of(plan, drafting, job));
                        }
                    );
                }
            )
            .ProducesProblem(422)
            .WithName("draft")
            .WithSummary("An item drafted: pattern, workings, seam check, notions and steps.");

        api.MapPost(
                "/outlines",
                Results<Ok<TracedPath>, ProblemHttpResult> (OutlineDrawing drawing) =>
                {
                    var unit = drawing.Unit.IsInches() ? 25.4 : 10;
                    var (path, reason) = drawing.Dxf is { } dxf
                        ? DxfOutline.Read(dxf, unit)
                        : SvgOutline.Read(drawing.Svg ?? "");
                    return path is not null
                        ? TypedResults.Ok(new TracedPath(path))
                        : Problems.Fields([
                            new Problem(
                                drawing.Dxf is null ? "svg" : "dxf",
                                (drawing.Dxf ?? drawing.Svg ?? "") is var text && text.Length > 60 ? text[..60] : text,
                                0,
                                reason!,
                                drawing.Dxf is null
                                    ? "<svg><path d=\"M0 0 H18 V14 H0 Z\"/></svg>"
                                    : "a closed polyline with its arcs as bulges"
                            ),
                        ]);
                }
            )
            .ProducesProblem(422)
            .WithName("readOutline")
            .WithSummary(
                "The first path of an SVG drawing, or the closed outline of a DXF drawing, to be entered as a traced outline."
            );

        api.MapPost(
                "/plan",
                (
                    JobDocument job,
                    Drafting drafting,
                    LayCache kept,
                    LayQueue lays,
                    DraftQueue drafts,
                    Learnt learnt,
                    string? lay,
                    string? side,
                    string? of,
                    long? before,
                    HttpContext context
                ) =>
                {
                    List<Problem> refused = [.. JobLimits.Check(job)];
                    if (lay is not (null or "none" or "instant"))
                        refused.Add(new Problem("lay", lay, 0, "none or instant is needed", "instant"));
                    if (side is not (null or "right" or "wrong"))
                        refused.Add(
                            new Problem(
                                "side",
                                side,
                                0,
                                "right or wrong is needed: which side of the cloth lies up",
                                "right"
                            )
                        );
                    if (before is < 0 or > MostBought)
                        refused.Add(
                            new Problem(
                                "before",
                                $"{before}",
                                0,
                                "what was bought before is a count of 1/3840 mm from 0 to 10^12",
                                "3511296"
                            )
                        );
                    return Costly.Answer<PlanView>(
                        lay is "none" ? drafts : lays,
                        context,
                        refused,
                        cancel =>
                            TypedResults.Ok(
                                PlanView.Of(
                                    Plan.Of(job, drafting, lay is not "none", kept, cancel),
                                    job,
                                    drafting,
                                    of?.Split(',').ToHashSet(),
                                    before,
                                    learnt.Pace,
                                    side is "wrong",
                                    cancel
                                )
                            )
                    );
                }
            )
            .ProducesProblem(422)
            .WithName("plan")
            .WithSummary(
                "A whole job: drafts, lays, purchases and totals. Items in doubt carry their problems; the rest is planned. With `of` only the items of these ids, parted by commas, are told; all of them count."
            );

        api.MapPost(
                "/savings",
                (JobDocument job, Drafting drafting, LayCache kept, LayQueue queue, HttpContext context) =>
                    Costly.Closing<List<SavingView>>(
                        queue,
                        context,
                        JobLimits.Check(job),
                        turn =>
                        {
                            var found = Savings.Of(job, drafting, kept, turn.Cancel, turn.Closing);
                            // Asked again it goes on where it ended, since what was laid is kept.
                            if (!found.IsWhole)
                                context.Response.Headers["X-Looked-At"] = $"{found.Looked} of {found.Sizes}";
                            return TypedResults.Ok(found.Savings.Select(saving => SavingView.Of(saving, job)).ToList());
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("savings")
            .WithSummary(
                "Sizes that could be a little less and so take less cloth, found by drafting and laying anew. Where that takes too long, the header X-Looked-At says how many were looked at; asked again it goes on."
            );

        api.MapPost(
                "/compare",
                (CompareRequest request, Drafting drafting, Learnt learnt, LayQueue queue, HttpContext context) =>
                    Costly.Answer<List<ComparisonView>>(
                        queue,
                        context,
                        JobLimits.Check(request.Job),
                        cancel =>
                        {
                            var item = request.Job.Items.FirstOrDefault(i => i.Id == request.Item);
                            if (item is null || drafting.Find(item.MakeUp) is not { } current)
                                return Problems.Fields([
                                    new Problem(
                                        "item",
                                        request.Item,
                                        0,
                                        "this job has no such item",
                                        request.Job.Items is [var first, ..] ? first.Id : ""
                                    ),
                                ]);
                            var schools = drafting
                                .MakeUps.Where(makeUp => makeUp.Family == current.Family)
                                .Select(Tried)
                                .ToList();
                            // Schools that fit the item come first; the others say why they do not.
                            return TypedResults.Ok(
                                ComparisonView
                                    .AgainstCurrent(schools, request.Job.Unit)
                                    .OrderBy(school => school.Problems.Count > 0)
                                    .ToList()
                            );

                            (ComparisonView, Length?) Tried(MakeUp makeUp)
                            {
                                cancel.ThrowIfCancellationRequested();
                                var own = makeUp.Key == current.Key;
                                var plan = ItemPlan.Of(
                                    own ? item : makeUp.NewItem(item.Id, item.Name, request.Job.Unit, item),
                                    1,
                                    drafting,
                                    request.Job
                                );
                                var cloth = plan.Alone(request.Job, cancel);
                                return (
                                    ComparisonView.Of(makeUp, own, plan, cloth, request.Job.Unit, learnt.Pace),
                                    cloth
                                );
                            }
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("compare")
            .WithSummary("The make-ups of an item's family side by side, each drafted and laid alone.");
    }
}
