using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Making;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Money;

/// <summary>A job to be priced by the price book, and what was said of its price.</summary>
public sealed record OfferRequest(JobDocument Job, PriceSheet Sheet);

/// <summary>What a job costs and what is asked for it.</summary>
internal static class OfferEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/offer",
                (
                    OfferRequest request,
                    Drafting drafting,
                    LayCache kept,
                    LayQueue queue,
                    SheetStore sheets,
                    Learnt learnt,
                    Wording wording,
                    HttpContext context
                ) =>
                    Costly.Answer<PricedView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job).Concat(SheetLimits.Check(request.Sheet)),
                        cancel =>
                        {
                            var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
                            var offer = Offer.Of(
                                request.Job,
                                drafting,
                                book,
                                request.Sheet,
                                learnt.Pace,
                                wording.Vocabulary,
                                kept,
                                cancel
                            );
                            return TypedResults.Ok(
                                PricedView.Of(
                                    offer,
                                    book.Currency,
                                    Could(request.Job, drafting, wording.Vocabulary),
                                    wording.Vocabulary
                                )
                            );
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("offer")
            .WithSummary(
                "What a job costs by the price book and what is asked for it, line by line, with how each figure comes about; the same for each option, drafted and laid anew."
            );

    private static List<CouldOffer> Could(JobDocument job, Drafting drafting, Vocabulary words) =>
        [
            .. from item in job.Items
            let makeUp = drafting.Find(item.MakeUp)
            where makeUp is not null
            let reading = drafting.Draft(item, job.Unit).Reading
            from choice in makeUp.Choices
            where choice.ForCustomer && reading?.Shows(choice) != false
            let now = Telling.AnswerOf(item, choice)
            let others = choice.Options.Where(option => option.Key != now.Key).ToList()
            where others.Count > 0
            select new CouldOffer(
                item.Id,
                item.Name,
                choice.Key,
                words.Say(choice.Name),
                [.. others.Select(option => new OtherAnswer(option.Key, words.Say(Telling.Said(choice, option))))]
            ),
        ];
}
