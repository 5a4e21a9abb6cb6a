using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Making;

/// <summary>A job, and the item of it that is asked about.</summary>
public sealed record LearnRequest(JobDocument Job, string Item)
{
    /// <summary>The job's id, where it is kept: what it logged counts as it stands here.</summary>
    public string Id { get; init; } = "";
}

/// <summary>Something that a fitting can be about, and what it is now, as it reads.</summary>
public sealed record SubjectView(string Field, string Name, Entry Now);

/// <summary>
/// What the workroom's own fittings propose for a field of an item, from how many of them; <paramref name="Cloth"/> is
/// empty where fittings on every cloth were counted.
/// </summary>
public sealed record ProposalView(string Field, string Name, string Now, Entry Proposed, int From, string Cloth);

/// <summary>What fittings of an item can be about, and what those that were logged propose for it.</summary>
public sealed record LearntView(IReadOnlyList<SubjectView> Subjects, IReadOnlyList<ProposalView> Proposals);

/// <summary>What is answered to a proposal.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ProposalAnswer>))]
public enum ProposalAnswer
{
    /// <summary>New items begin with it.</summary>
    Begin,

    /// <summary>New items begin with the usual again.</summary>
    Usual,

    /// <summary>Not until more fittings speak for it.</summary>
    Refuse,
}

/// <summary>An answer to a proposal for a field of a make-up, for which <paramref name="From"/> fittings spoke.</summary>
public sealed record AnswerProposal(string Field, string Cloth, int From, ProposalAnswer Answer, Entry? Entry);

/// <summary>What the workroom learns from its fit log.</summary>
internal static class LearningEndpoints
{
    private const int LongestText = 400;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
                "/learnt",
                (
                    LearnRequest request,
                    Drafting drafting,
                    Learnt learnt,
                    LearningStore store,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<LearntView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job),
                        _ =>
                        {
                            if (
                                request.Job.Items.FirstOrDefault(item => item.Id == request.Item) is not { } item
                                || drafting.Find(item.MakeUp) is not { } makeUp
                            )
                                return Problems.Fields([
                                    new Problem(
                                        "item",
                                        request.Item.Length > 40 ? request.Item[..40] : request.Item,
                                        0,
                                        "this job has no such item",
                                        request.Job.Items is [var first, ..] ? first.Id : ""
                                    ),
                                ]);
                            var plan = ItemPlan.Of(item, 1, drafting, request.Job);
                            return TypedResults.Ok(
                                new LearntView(
                                    [
                                        .. Learning
                                            .Subjects(plan, makeUp, request.Job)
                                            .Select(subject => new SubjectView(
                                                subject.Field,
                                                subject.Name,
                                                subject.Now
                                            )),
                                    ],
                                    [
                                        .. Learning
                                            .Of(
                                                plan,
                                                makeUp,
                                                request.Job,
                                                learnt.Fits(makeUp.Key, request.Id, request.Job)
                                            )
                                            .Where(each =>
                                                each.From > store.Refused(makeUp.Key, each.Field, each.Cloth)
                                            )
                                            .Select(each => new ProposalView(
                                                each.Field,
                                                each.Name,
                                                each.Now.Typed.Length == 0 ? "nothing" : Said(each.Now),
                                                each.Proposed,
                                                each.From,
                                                each.Cloth
                                            )),
                                    ]
                                )
                            );
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("learnt")
            .WithSummary(
                "What fittings of an item can be about, and what those that were logged on such covers propose for it: the median of three or more."
            );

        api.MapPut(
                "/learnt/{makeUp}",
                Results<NoContent, ProblemHttpResult> (
                    string makeUp,
                    AnswerProposal answer,
                    LearningStore store,
                    Drafting drafting,
                    IOptions<JsonOptions> json
                ) =>
                {
                    if (drafting.Find(makeUp) is null)
                        return Problems.NotFound("there is no such make-up");
                    if (
                        answer.Field.Length + answer.Cloth.Length + (answer.Entry?.Typed.Length ?? 0) > LongestText
                        || answer.From < 0
                        || (answer.Answer == ProposalAnswer.Begin && answer.Entry is null)
                    )
                        return Problems.Fields([
                            new Problem(
                                "answer",
                                answer.Field[..Math.Min(40, answer.Field.Length)],
                                0,
                                "a field of the make-up, and what new items begin with",
                                "choices.tuck"
                            ),
                        ]);
                    if (answer.Answer == ProposalAnswer.Refuse)
                        store.Refuse(makeUp, answer.Field, answer.Cloth, answer.From);
                    else
                        store.Begin(
                            makeUp,
                            answer.Field,
                            answer.Answer == ProposalAnswer.Begin
                                ? JsonSerializer.Serialize(answer.Entry, json.Value.SerializerOptions)
                                : null
                        );
                    return TypedResults.NoContent();
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("answerProposal")
            .WithSummary(
                "Has new items of a make-up begin with what was proposed, or with the usual again, or refuses it."
            );
    }

    private static string Said(Entry entry) => $"{entry.Typed} {LengthPrinter.Word(entry.Unit)}";
}
