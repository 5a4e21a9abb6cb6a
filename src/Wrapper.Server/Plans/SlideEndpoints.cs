using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Plans;

/// <summary>
/// The print of the cloth slid on a piece of an item, by so many hundredths of a millimetre to the right and up on the
/// piece as drawn.
/// </summary>
public sealed record SlideRequest(JobDocument Job, string Item, string Piece, long Across, long Along);

/// <summary>
/// The match to be entered, for <paramref name="Piece"/> of <paramref name="Item"/>, that the others run on from; <paramref name="Told"/> says
/// where the motif lies then and what it costs in cloth. Where it cannot be cut so, nothing is to be entered and
/// <paramref name="Refused"/> says why.
/// </summary>
public sealed record SlideView(string Item, string Piece, Match Match, MotifPlace Place, string Told, string? Refused);

/// <summary>Sliding the print on a cover.</summary>
internal static class SlideEndpoints
{
    // A hundred metres, in hundredths of a millimetre.
    private const long Farthest = 10_000_000;

    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/slides",
                (SlideRequest request, Drafting drafting, LayCache kept, LayQueue queue, HttpContext context) =>
                    Costly.Answer<SlideView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job).Concat(TooFar(request)),
                        cancel =>
                        {
                            var plan = Plan.Of(request.Job, drafting, lay: true, kept, cancel);
                            return
                                PrintSlide.Of(
                                    plan,
                                    request.Item,
                                    request.Piece,
                                    Length.Millimetres(request.Across / 100m),
                                    Length.Millimetres(request.Along / 100m),
                                    request.Job.Unit
                                )
                                    is not { } slide
                                ? Problems.Fields([
                                    new Problem(
                                        "piece",
                                        request.Piece,
                                        0,
                                        "no such piece of this item lies on cloth with a repeat: enter the repeat on Lay first",
                                        ""
                                    ),
                                ])
                                : TypedResults.Ok(Entered(slide, plan, request.Job, drafting, kept, cancel));
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("slide")
            .WithSummary("The print slid on a piece: how it is matched then, and what that costs in cloth.");

    private static IEnumerable<Problem> TooFar(SlideRequest request)
    {
        foreach (var (field, by) in new[] { ("across", request.Across), ("along", request.Along) })
            if (by is < -Farthest or > Farthest)
                yield return new Problem(field, $"{by}", 0, "farther than any cloth reaches", "2540");
    }

    private static SlideView Entered(
        PrintSlide slide,
        Plan before,
        JobDocument job,
        Drafting drafting,
        LayCache kept,
        CancellationToken cancel
    )
    {
        var entered = slide.Enter(job);
        var after = Plan.Of(
            job with
            {
                Items = [.. job.Items.Select(item => item.Id == entered.Id ? entered : item)],
            },
            drafting,
            lay: true,
            kept,
            cancel
        );
        var refused = after
            .Cloths.SelectMany(cloth => cloth.Problems)
            .Except(before.Cloths.SelectMany(cloth => cloth.Problems))
            .Select(problem => problem.Reason)
            .FirstOrDefault();
        return new SlideView(
            entered.Id,
            slide.Piece.Key,
            slide.Match,
            entered.Motifs[slide.Piece.Key],
            $"{Place(slide, job.Unit)} {Cost(before, after, job.Unit)}",
            refused
        );
    }

    private static string Place(PrintSlide slide, JobUnit unit)
    {
        string Say(Length length) => $"{LengthPrinter.Finished(length, unit).Text} {LengthPrinter.Word(unit)}";
        var name = slide.Piece.Name;
        var (across, along) = ($"{Say(slide.Across)} from the left", $"{Say(slide.Along)} from the lower edge");
        var what = slide.Repeat.IsStripes ? "A stripe" : "A motif";
        var where =
            slide.Match == Match.Centred ? $"in the middle of the {name}"
            : slide.Repeat.IsStripes ? $"{across} of the {name}"
            : slide.Repeat.Across.IsPositive ? $"{across} and {along} of the {name}"
            : $"{along} of the {name}";
        var followers = slide.Followers.Select(piece => piece.Name).Distinct().ToList();
        return followers.Count == 0
            ? $"{what} lies {where}."
            : $"{what} lies {where}; it runs on over the {string.Join(", ", followers)}.";
    }

    private static string Cost(Plan before, Plan after, JobUnit unit)
    {
        Length Needed(Plan plan) =>
            plan.Cloths.Aggregate(Length.Zero, (sum, cloth) => sum + (cloth.Lay?.Length ?? Length.Zero));
        var more = Needed(after) - Needed(before);
        return more.Ticks == 0
            ? "It takes as much cloth as before."
            : $"It takes {LengthPrinter.ClothLength(more.Abs(), unit)} {(more.IsPositive ? "more" : "less")} cloth.";
    }
}
