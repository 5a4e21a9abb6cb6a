using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Making;

/// <summary>The making of a job. Nothing here touches the store: what is done is logged in the job's document.</summary>
internal static class BenchEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/bench",
                (
                    JobDocument job,
                    string? at,
                    Drafting drafting,
                    DraftQueue queue,
                    TimeProvider clock,
                    Learnt learnt,
                    HttpContext context
                ) =>
                    Costly.Answer<BenchView>(
                        queue,
                        context,
                        JobLimits.Check(job),
                        cancel =>
                            TypedResults.Ok(
                                BenchView.Of(
                                    BenchPlan.Of(
                                        Plan.Of(job, drafting, lay: false, cancel: cancel).Items,
                                        job,
                                        learnt.Pace
                                    ),
                                    at,
                                    clock.GetUtcNow()
                                )
                            )
                    )
            )
            .ProducesProblem(422)
            .WithName("bench")
            .WithSummary(
                "The making of a job, turn by turn: by kinds of work over all covers or cover by cover, with the turn `at`, or the next one, in full: the edges that are sewn, marks, set-up, checks, cautions."
            );
}
