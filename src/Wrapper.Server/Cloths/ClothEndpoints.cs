using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Plans;
using Wrapper.Store;

namespace Wrapper.Server.Cloths;

/// <summary>A job, and one cloth of it.</summary>
public sealed record WidthsRequest(JobDocument Job, string Cloth);

/// <summary>A job, one cloth of it, and how much of that is there.</summary>
public sealed record EnoughRequest(JobDocument Job, string Cloth, Entry Have);

/// <summary>
/// A cloth tried at one width; figures are null where <paramref name="Reason"/> says why it cannot be.
/// </summary>
public sealed record WidthView(
    LengthView Width,
    string Lying,
    bool Current,
    LengthView? Needed,
    LengthView? Bought,
    string? Cost,
    int Joins,
    int? Waste,
    string? Reason
)
{
    internal static WidthView Of(WidthTried tried, JobDocument job) =>
        new(
            LengthView.Finished(tried.Width, job.Unit),
            tried.Lying,
            tried.Current,
            tried.Needed is { } needed ? LengthView.Cloth(needed, job.Unit) : null,
            tried.Bought is { } bought ? LengthView.Bought(bought, job.Unit) : null,
            tried.Cost is { } cost ? BuyingView.Money(cost, job) : null,
            tried.Joins,
            tried.Waste,
            tried.Reason
        );
}

/// <summary>
/// Whether so much cloth will do; <paramref name="Difference"/> is what stays over or is missing,
/// <paramref name="Left"/> are the labels of pieces that find no room, with how many of each.
/// </summary>
public sealed record EnoughView(
    bool Fits,
    LengthView Have,
    LengthView Needed,
    LengthView Difference,
    IReadOnlyList<string> Left,
    IReadOnlyList<SavingView> Choices
)
{
    internal static EnoughView Of(Enough enough, JobDocument job) =>
        new(
            enough.Fits,
            LengthView.Cloth(enough.Have, job.Unit),
            LengthView.Cloth(enough.Needed, job.Unit),
            enough.Fits
                ? LengthView.Surplus(enough.Have - enough.Needed, job.Unit)
                : LengthView.Cloth(enough.Needed - enough.Have, job.Unit),
            Labels.Counted(enough.WithoutRoom),
            [.. enough.Choices.Select(saving => SavingView.Of(saving, job))]
        );
}

/// <summary>What another job has left of a cloth: to be entered as it stands in <paramref name="Remnant"/>.</summary>
public sealed record OfferView(string Job, JobRemnant Remnant, LengthView Along, LengthView Across);

/// <summary>Questions about one cloth of a job: which width, and whether what is there will do.</summary>
internal static class ClothEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
                "/remnants",
                (
                    WidthsRequest request,
                    string? except,
                    JobStore store,
                    JobList list,
                    Drafting drafting,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<List<OfferView>>(
                        queue,
                        context,
                        Refused(request.Job, request.Cloth),
                        cancel =>
                            TypedResults.Ok(
                                Offers(
                                        request,
                                        except,
                                        store,
                                        list,
                                        drafting,
                                        kept,
                                        json.Value.SerializerOptions,
                                        cancel
                                    )
                                    .ToList()
                            )
                    )
            )
            .ProducesProblem(422)
            .WithName("remnants")
            .WithSummary("What the latest other jobs have left of a cloth of the same name that has been cut.");

        api.MapPost(
                "/widths",
                (WidthsRequest request, Drafting drafting, LayCache kept, LayQueue queue, HttpContext context) =>
                    Costly.Answer<List<WidthView>>(
                        queue,
                        context,
                        Refused(request.Job, request.Cloth),
                        cancel =>
                            TypedResults.Ok(
                                Widths
                                    .Of(request.Job, request.Cloth, drafting, kept, cancel)
                                    .Select(tried => WidthView.Of(tried, request.Job))
                                    .ToList()
                            )
                    )
            )
            .ProducesProblem(422)
            .WithName("widths")
            .WithSummary(
                "One cloth of a job at every usual width, and with its panels lying either way: drafted and laid anew for each."
            );

        api.MapPost(
                "/enough",
                (EnoughRequest request, Drafting drafting, LayCache kept, LayQueue queue, HttpContext context) =>
                {
                    var (have, refusal) = Entry.Read(
                        request.Have,
                        request.Have.Unit,
                        LengthLimits.Cloth with
                        {
                            InchExample = "4 3/4 yd",
                            MetricExample = "4.3 m",
                        }
                    );
                    var refused = Refused(request.Job, request.Cloth);
                    if (refusal is not null)
                        refused.Add(
                            new Problem("have", refusal.Given, refusal.Position, refusal.Reason, refusal.Example)
                        );
                    return Costly.Closing<EnoughView>(
                        queue,
                        context,
                        refused,
                        turn =>
                            Enough.Of(
                                request.Job,
                                request.Cloth,
                                have!.Value,
                                drafting,
                                kept,
                                turn.Cancel,
                                turn.Closing
                            )
                                is { } enough
                                ? TypedResults.Ok(EnoughView.Of(enough, request.Job))
                                : Problems.Fields([
                                    new Problem(
                                        "cloth",
                                        request.Cloth,
                                        0,
                                        "this cloth is in doubt, or nothing is cut from it",
                                        ""
                                    ),
                                ])
                    );
                }
            )
            .ProducesProblem(422)
            .WithName("enough")
            .WithSummary(
                "Whether the cloth that is there will do: what fits, what does not, and which sizes made a little less would make it fit."
            );
    }

    // The latest jobs are looked through; more would keep a maker waiting.
    private const int LatestJobs = 40;

    // What was taken is known by its name, which says where it comes from.
    private static IEnumerable<OfferView> Offers(
        WidthsRequest request,
        string? except,
        JobStore store,
        JobList list,
        Drafting drafting,
        LayCache kept,
        JsonSerializerOptions json,
        CancellationToken cancel
    )
    {
        var name = request.Job.Cloths.First(cloth => cloth.Id == request.Cloth).Name;
        // A job that cannot be read offers nothing; it says so itself when it is opened.
        var others = list.Of(LatestJobs)
            .Where(job => job.Id != except)
            .Select(job => JobView.Readable(store, job.Id, json)?.Document)
            .OfType<JobDocument>()
            .Where(job => !JobLimits.Check(job).Any())
            .ToList();
        var taken = others
            .Append(request.Job)
            .SelectMany(job => job.Cloths)
            .SelectMany(cloth => cloth.Stock)
            .Select(remnant => remnant.Name)
            .ToHashSet();
        return from job in others
            from left in LeftOver.Of(job, name, drafting, kept, cancel)
            let size = $"{LengthPrinter.Finished(left.Along, request.Job.Unit).Text} x {LengthPrinter.Finished(left.Across, request.Job.Unit).Text} {LengthPrinter.Word(request.Job.Unit)}"
            let remnant = new JobRemnant(
                $"{job.Name}, {size}",
                Entry.Of(left.Along, request.Job.Unit),
                Entry.Of(left.Across, request.Job.Unit)
            )
            where !taken.Contains(remnant.Name)
            select new OfferView(
                job.Name,
                remnant,
                LengthView.Finished(left.Along, request.Job.Unit),
                LengthView.Finished(left.Across, request.Job.Unit)
            );
    }

    private static List<Problem> Refused(JobDocument job, string cloth) =>
        JobLimits.Check(job).ToList() is { Count: > 0 } refused ? refused
        : job.Cloths.Any(each => each.Id == cloth) ? []
        : [new Problem("cloth", cloth, 0, "this job has no such cloth", job.Cloths is [var first, ..] ? first.Id : "")];
}
