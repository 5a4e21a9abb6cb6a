using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Making;

/// <summary>The workroom's own way of making a cover; empty for the usual one.</summary>
public sealed record OwnWay(IReadOnlyList<WayStep> Steps);

/// <summary>The workroom's own ways, which new items begin with.</summary>
internal static class WayEndpoints
{
    private const int MostSteps = 80,
        LongestText = 4000;

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/ways/{makeUp}",
                Results<Ok<OwnWay>, ProblemHttpResult> (string makeUp, WayStore store, Drafting drafting) =>
                    drafting.Find(makeUp) is null
                        ? Problems.NotFound("there is no such make-up")
                        : TypedResults.Ok(new OwnWay(Of(store, makeUp)))
            )
            .ProducesProblem(404)
            .WithName("getWay")
            .WithSummary("The workroom's own way of a make-up, in steps; empty for the usual one.");

        api.MapPut(
                "/ways/{makeUp}",
                Results<Ok<OwnWay>, ProblemHttpResult> (string makeUp, OwnWay way, WayStore store, Drafting drafting) =>
                {
                    if (drafting.Find(makeUp) is null)
                        return Problems.NotFound("there is no such make-up");
                    if (
                        way.Steps.Count > MostSteps
                        || way.Steps.Any(step => step.Id.Length + step.Text.Length + step.Note.Length > LongestText)
                    )
                        return Problems.Fields([
                            new Problem(
                                "steps",
                                $"{way.Steps.Count}",
                                0,
                                $"at most {MostSteps} steps of {LongestText} characters",
                                "Press the seam over a sleeve roll."
                            ),
                        ]);
                    store.Keep(makeUp, way.Steps.Count == 0 ? null : JsonSerializer.Serialize(way.Steps, Json));
                    return TypedResults.Ok(way);
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("keepWay")
            .WithSummary(
                "Keeps a way as the workroom's own for a make-up: new items begin with it. No steps: the usual one."
            );
    }

    /// <summary>The workroom's own way of a make-up; empty where it has none, or it cannot be read.</summary>
    public static IReadOnlyList<WayStep> Of(WayStore store, string makeUp)
    {
        try
        {
            return store.Of(makeUp) is { } kept ? JsonSerializer.Deserialize<List<WayStep>>(kept, Json) ?? [] : [];
        }
        catch (JsonException)
        {
            return [];
        }
    }
}
