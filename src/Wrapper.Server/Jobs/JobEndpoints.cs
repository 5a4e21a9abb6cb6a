using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Customers;
using Wrapper.Server.Hosting;
using Wrapper.Server.Making;
using Wrapper.Server.Money;
using Wrapper.Store;

namespace Wrapper.Server.Jobs;

/// <summary>
/// A new job under an id that the client chose, so that a repeated request makes no second one: an empty one in
/// <paramref name="Unit"/>, for a customer where one is named, or <paramref name="Document"/> taken in whole.
/// </summary>
public sealed record CreateJob(
    string Id,
    string ChangeId,
    string Name,
    JobUnit Unit,
    JobDocument? Document,
    string? CustomerId = null
);

/// <summary>
/// A save made from revision <paramref name="Base"/>. Saves of one <paramref name="Step"/> are undone together; empty
/// for a step of its own.
/// </summary>
public sealed record SaveJob(long Base, string ChangeId, string Step, JobDocument Document);

/// <summary>An undo or redo from revision <paramref name="Base"/>.</summary>
public sealed record MoveJob(long Base, string ChangeId);

/// <summary>Stored jobs.</summary>
internal static class JobEndpoints
{
    private const int LongestId = 64,
        LongestStep = 300;

    public static void Map(RouteGroupBuilder api)
    {
        var jobs = api.MapGroup("/jobs");
        // What is timed in a job tells how long the maker takes everywhere.
        jobs.AddEndpointFilter(
            async (context, next) =>
            {
                var answer = await next(context);
                if (context.Arguments.OfType<SaveJob>().FirstOrDefault() is { } save ? IsTimed(save) : IsMoved(context))
                    context.HttpContext.RequestServices.GetRequiredService<Learnt>().Forget();
                return answer;
            }
        );

        jobs.MapPost(
                "/",
                Results<Ok<JobView>, ProblemHttpResult> (
                    CreateJob create,
                    JobStore store,
                    CustomerStore customers,
                    SheetStore sheets,
                    IOptions<JsonOptions> json
                ) =>
                {
                    var document = create.Document ?? Begun(create, customers, sheets);
                    return Checked(
                        document,
                        [create.Id, create.ChangeId],
                        () => Answer(store.Create(create.Id, Change(create.ChangeId, document, "", json)), json)
                    );
                }
            )
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("createJob")
            .WithSummary("Makes a job; the same id again gives the one that is there.");

        jobs.MapGet(
                "/{id}",
                Results<Ok<JobView>, ProblemHttpResult> (
                    string id,
                    JobStore store,
                    JobList list,
                    IOptions<JsonOptions> json
                ) =>
                    store.Find(id) is { } job
                        ? TypedResults.Ok(JobView.Of(job, json.Value.SerializerOptions))
                        : NoJob(id, list)
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("getJob")
            .WithSummary("A job as it is now.");

        jobs.MapPut(
                "/{id}",
                Results<Ok<JobView>, ProblemHttpResult> (
                    string id,
                    SaveJob save,
                    JobStore store,
                    JobList list,
                    IOptions<JsonOptions> json
                ) =>
                    save.Step.Length > LongestStep
                        ? Problems.Fields([
                            new Problem(
                                "step",
                                save.Step[..40],
                                LongestStep,
                                $"longer than {LongestStep} characters",
                                "measures.W"
                            ),
                        ])
                        : Checked(
                            save.Document,
                            [save.ChangeId],
                            () =>
                                Answer(
                                    store.Save(id, save.Base, Change(save.ChangeId, save.Document, save.Step, json)),
                                    json,
                                    id,
                                    list
                                )
                        )
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("saveJob")
            .WithSummary(
                "Saves a job. From an older revision, or with a change id that another change had: 409 with the job as it is. A repeated change gets its first result."
            );

        jobs.MapPost(
                "/{id}/undo",
                (string id, MoveJob move, JobStore store, JobList list, IOptions<JsonOptions> json) =>
                    Answer(store.Undo(id, move.Base, move.ChangeId), json, id, list)
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .WithName("undoJob")
            .WithSummary("Takes the last step back, as a new revision.");

        jobs.MapPost(
                "/{id}/redo",
                (string id, MoveJob move, JobStore store, JobList list, IOptions<JsonOptions> json) =>
                    Answer(store.Redo(id, move.Base, move.ChangeId), json, id, list)
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .WithName("redoJob")
            .WithSummary("Does the last undone step again, as a new revision.");
    }

    private static bool IsTimed(SaveJob save) => save.Document.Making.Steps.Any(step => step.Kind.Length > 0);

    private static bool IsMoved(EndpointFilterInvocationContext context) =>
        context.Arguments.OfType<MoveJob>().Any() || context.Arguments.OfType<CreateJob>().Any();

    // An empty job in the workroom's currency; a customer's own where they are known.
    private static JobDocument Begun(CreateJob create, CustomerStore customers, SheetStore sheets)
    {
        var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
        var empty = JobDocument.Empty(create.Name, create.Unit) with { Currency = book.Currency.Symbol.Trim() };
        return create.CustomerId is { } id && customers.Find(id) is { } kept
            ? empty with
            {
                Customer = kept.Name,
                CustomerId = kept.Id,
                PlaceId = CustomerView.Of(kept).Customer.Places is [var first, ..] ? first.Id : "",
            }
            : empty;
    }

    internal static Results<Ok<JobView>, ProblemHttpResult> Checked(
        JobDocument document,
        string[] ids,
        Func<Results<Ok<JobView>, ProblemHttpResult>> then
    )
    {
        var refused = JobLimits.Check(document).ToList();
        refused.AddRange(
            ids.Where(id => id.Length is 0 or > LongestId)
                .Select(id => new Problem(
                    "id",
                    id.Length > 40 ? id[..40] : id,
                    0,
                    $"from 1 to {LongestId} characters are needed",
                    "5f0c2a"
                ))
        );
        return refused.Count > 0 ? Problems.Fields(refused) : then();
    }

    internal static Change Change(string changeId, JobDocument document, string step, IOptions<JsonOptions> json) =>
        new(
            changeId,
            JsonSerializer.Serialize(document, json.Value.SerializerOptions),
            document.Name,
            document.Customer,
            step
        );

    internal static Results<Ok<JobView>, ProblemHttpResult> Answer(
        SaveResult? result,
        IOptions<JsonOptions> json,
        string id = "",
        JobList? list = null
    ) =>
        result switch
        {
            null => NoJob(id, list!),
            { Conflict: true } => Problems.Conflict(JobView.Of(result.Job, json.Value.SerializerOptions)),
            _ => TypedResults.Ok(JobView.Of(result.Job, json.Value.SerializerOptions)),
        };

    internal static ProblemHttpResult NoJob(string id, JobList list) =>
        Problems.NotFound(
            list.IsDeleted(id) ? "this job was deleted: bring it back from the list of jobs" : "there is no such job"
        );
}
