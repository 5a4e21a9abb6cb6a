using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Lays;

/// <summary>A change in words, what the lay takes then, and how much less that is.</summary>
public sealed record ShorteningView(LayChange Change, string Told, LengthView Length, LengthView Saves)
{
    internal static ShorteningView Of(Shortening shortening, JobUnit unit) =>
        new(
            shortening.Change,
            shortening.Told(unit),
            LengthView.Cloth(shortening.Length, unit),
            LengthView.Cut(shortening.Saves, unit)
        );
}

/// <summary>
/// Changes that would shorten the lay, what saves most first; <paramref name="Looked"/> of <paramref name="All"/> were
/// tried.
/// </summary>
public sealed record ShorteningsView(IReadOnlyList<ShorteningView> Changes, int Looked, int All);

/// <summary>Which one change would shorten a lay most.</summary>
internal static class ShorteningEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/shortenings",
                (SearchRequest request, Drafting drafting, LayCache kept, LayQueue queue, HttpContext context) =>
                    Costly.Closing<ShorteningsView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job),
                        turn =>
                        {
                            var plan = Plan.Of(request.Job, drafting, lay: true, kept, turn.Cancel)
                                .Cloths.FirstOrDefault(each => each.Reading.Cloth.Id == request.Cloth);
                            if (plan?.Lay is null)
                                return Problems.Cloth(request.Job, request.Cloth, "no lay of such a cloth");
                            var found = Shortenings.Of(plan, request.Job.Unit, kept, turn.Cancel, turn.Closing);
                            return TypedResults.Ok(
                                new ShorteningsView(
                                    [.. found.Shortenings.Select(each => ShorteningView.Of(each, request.Job.Unit))],
                                    found.Looked,
                                    found.All
                                )
                            );
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("shortenings")
            .WithSummary(
                "Which one change of a cloth or its pieces would shorten its lay most, each found by laying anew. Where that takes too long, `looked` is less than `all`; asked again it goes on."
            );
}
