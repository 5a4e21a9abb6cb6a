using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Lays;

/// <summary>A job, and the cloth of it whose lay shall be shortened.</summary>
public sealed record SearchRequest(JobDocument Job, string Cloth);

/// <summary>
/// A search as it stands: whether it goes on, the best length so far, how often it was shortened, and whether nothing
/// shorter is possible.
/// </summary>
public sealed record SearchView(string Id, bool Runs, LengthView? Length, int Shortened, bool Proven, string? Fault)
{
    internal static SearchView Of(Search search) =>
        new(
            search.Id,
            search.Runs,
            search.Best is { } best ? LengthView.Cloth(best.Length, search.Unit) : null,
            search.Shortened,
            search.Best?.IsProven == true,
            search.Fault
        );
}

/// <summary>The longer search for a shorter lay. What it finds is in every later plan of the same pieces.</summary>
internal static class SearchEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
                "/searches",
                (
                    SearchRequest request,
                    Drafting drafting,
                    RunningSearch searches,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<SearchView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job),
                        cancel =>
                        {
                            var cloth = Plan.Of(request.Job, drafting, lay: false, cancel: cancel)
                                .Cloths.FirstOrDefault(cloth => cloth.Reading.Cloth.Id == request.Cloth);
                            if (cloth is null)
                                return Problems.Cloth(request.Job, request.Cloth, "this job has no such cloth");
                            if (cloth.Problems.Count > 0)
                                return Problems.Fields(cloth.Problems);
                            return TypedResults.Ok(
                                SearchView.Of(
                                    searches.Start(cloth.Panels, cloth.ForLay, cloth.Strips, request.Job.Unit)
                                )
                            );
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("startSearch")
            .WithSummary("Starts a longer search for a shorter lay of one cloth; one that runs is stopped.");

        api.MapGet(
                "/searches/{id}",
                Results<Ok<SearchView>, ProblemHttpResult> (string id, RunningSearch searches) =>
                    searches.Current is { } search && search.Id == id
                        ? TypedResults.Ok(SearchView.Of(search))
                        : Problems.NotFound("another search has been started since, or none was")
            )
            .ProducesProblem(404)
            .WithName("search")
            .WithSummary("How a search stands.");

        api.MapDelete(
                "/searches/{id}",
                (string id, RunningSearch searches) =>
                {
                    searches.Stop(id);
                    return TypedResults.NoContent();
                }
            )
            .WithName("stopSearch")
            .WithSummary("Stops a search; what it has found is kept.");
    }
}
