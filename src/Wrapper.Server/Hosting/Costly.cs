using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;

namespace Wrapper.Server.Hosting;

/// <summary>How long a call has to wait: its place in line, 0 while it is worked on or is not here.</summary>
public sealed record WaitingView(int Place);

/// <summary>Requests that take work: bad ones are refused at once, the others wait for their turn.</summary>
internal static class Costly
{
    /// <summary>
    /// The answer of <paramref name="work"/> when its turn in the <paramref name="queue"/> comes, or what is
    /// <paramref name="refused"/>.
    /// </summary>
    public static Task<Results<Ok<T>, ProblemHttpResult>> Answer<T>(
        WorkQueue queue,
        HttpContext context,
        IEnumerable<Problem> refused,
        Func<CancellationToken, Results<Ok<T>, ProblemHttpResult>> work
    ) => Closing(queue, context, refused, turn => work(turn.Cancel));

    /// <summary>The same for work that can tell what it has found when its time runs out.</summary>
    public static async Task<Results<Ok<T>, ProblemHttpResult>> Closing<T>(
        WorkQueue queue,
        HttpContext context,
        IEnumerable<Problem> refused,
        Func<Turn, Results<Ok<T>, ProblemHttpResult>> work
    ) => refused.ToList() is { Count: > 0 } problems ? Problems.Fields(problems) : await queue.Run(context, work);

    public static void Map(RouteGroupBuilder api) =>
        api.MapGet(
                "/waiting/{call}",
                (string call, LayQueue lays, DraftQueue drafts) =>
                    new WaitingView(Math.Max(lays.Place(call), drafts.Place(call)))
            )
            .WithName("waiting")
            .WithSummary("The place in line of a call that carries this in its header X-Call.");
}
