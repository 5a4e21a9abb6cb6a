using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Jobs;

/// <summary>
/// An earlier state of a job: when it was saved, its name if it has one, and what had changed by then since the state
/// before it.
/// </summary>
public sealed record StateView(long Number, DateTimeOffset At, string Name, IReadOnlyList<string> Told);

/// <summary>The states of a job, the latest first, and those that have a name; <paramref name="More"/> if there are earlier ones.</summary>
public sealed record StatesView(IReadOnlyList<StateView> States, IReadOnlyList<StateView> Named, bool More);

/// <summary>A state's name; empty to take it away.</summary>
public sealed record NameState(string Name);

/// <summary>What is other between two states, and how much more or less is bought of each cloth.</summary>
public sealed record ComparedStates(IReadOnlyList<string> Told, IReadOnlyList<string> Cloth);

/// <summary>Earlier states of jobs, in the maker's words.</summary>
internal static class RevisionEndpoints
{
    private const int AtOnce = 30,
        LongestName = 80;

    public static void Map(RouteGroupBuilder api)
    {
        var states = api.MapGroup("/jobs/{id}/states");
        states
            .MapGet(
                "/",
                async Task<Results<Ok<StatesView>, ProblemHttpResult>> (
                    string id,
                    long? before,
                    JobStore jobs,
                    JobList list,
                    RevisionStore store,
                    Drafting drafting,
                    Wording wording,
                    IOptions<JsonOptions> json,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    jobs.Find(id) is null
                        ? JobEndpoints.NoJob(id, list)
                        : await queue.Run<Results<Ok<StatesView>, ProblemHttpResult>>(
                            context,
                            _ =>
                                TypedResults.Ok(
                                    Told(id, before, store, drafting, wording, json.Value.SerializerOptions)
                                )
                        )
            )
            .ProducesProblem(404)
            .WithName("listStates")
            .WithSummary(
                "The states that edits led to, the latest first, each with what had changed; those before number `before`."
            );

        states
            .MapGet(
                "/{number}",
                Results<Ok<JobDocument>, ProblemHttpResult> (
                    string id,
                    long number,
                    RevisionStore store,
                    IOptions<JsonOptions> json
                ) =>
                    store.Find(id, number) is { } state
                        ? TypedResults.Ok(Read(id, state, json.Value.SerializerOptions))
                        : Gone()
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("getState")
            .WithSummary("The document of an earlier state, to go back to by saving it.");

        states
            .MapGet(
                "/{number}/now",
                async Task<Results<Ok<ComparedStates>, ProblemHttpResult>> (
                    string id,
                    long number,
                    JobStore jobs,
                    RevisionStore store,
                    Drafting drafting,
                    Wording wording,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                {
                    if (store.Find(id, number) is not { } state || jobs.Find(id) is not { } now)
                        return Gone();
                    return await queue.Run<Results<Ok<ComparedStates>, ProblemHttpResult>>(
                        context,
                        turn =>
                        {
                            var then = Read(id, state, json.Value.SerializerOptions);
                            var today = JobView.Of(now, json.Value.SerializerOptions).Document;
                            return TypedResults.Ok(
                                new ComparedStates(
                                    Differences.Of(then, today, drafting, wording.Vocabulary),
                                    Differences.InCloth(
                                        Plan.Of(then, drafting, lay: true, kept, turn.Cancel),
                                        Plan.Of(today, drafting, lay: true, kept, turn.Cancel),
                                        today.Unit
                                    )
                                )
                            );
                        }
                    );
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("compareState")
            .WithSummary("What is other now than in that state, and how much more or less is bought of each cloth.");

        states
            .MapPut(
                "/{number}/name",
                Results<NoContent, ProblemHttpResult> (string id, long number, NameState name, RevisionStore store) =>
                    name.Name.Length > LongestName
                        ? Problems.Fields([
                            new Problem(
                                "name",
                                name.Name[..40],
                                LongestName,
                                $"longer than {LongestName} characters",
                                "as quoted"
                            ),
                        ])
                    : store.Name(id, number, name.Name.Trim()) ? TypedResults.NoContent()
                    : Gone()
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("nameState")
            .WithSummary($"Names a state; up to {RevisionStore.MostNamed} of a job stay for good.");
    }

    private static ProblemHttpResult Gone() =>
        Problems.NotFound(
            $"this state is not kept any more, or {RevisionStore.MostNamed} have a name already: older ones are thinned to one a day"
        );

    private static StatesView Told(
        string id,
        long? before,
        RevisionStore store,
        Drafting drafting,
        Wording wording,
        JsonSerializerOptions json
    )
    {
        // One more than is shown, so that the last of them can be told against the one before it.
        var kept = store.Of(id, before ?? long.MaxValue, AtOnce + 1);
        var read = kept.Select(state => (state, Document: Read(id, state, json))).ToList();
        return new(
            [
                .. read.Take(AtOnce)
                    .Select(
                        (each, at) =>
                            new StateView(
                                each.state.Number,
                                each.state.At,
                                each.state.Name,
                                at + 1 < read.Count
                                    ? Differences.Of(read[at + 1].Document, each.Document, drafting, wording.Vocabulary)
                                    : ["begun"]
                            )
                    ),
            ],
            [.. store.Named(id).Select(state => new StateView(state.Number, state.At, state.Name, []))],
            kept.Count > AtOnce
        );
    }

    private static JobDocument Read(string id, KeptState state, JsonSerializerOptions json) =>
        JobView.Of(new StoredJob(id, state.Number, state.Document, false, false), json).Document;
}
