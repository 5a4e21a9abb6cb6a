using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Merchants;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Money;
using Wrapper.Server.Stock;
using Wrapper.Store;

namespace Wrapper.Server.Devices;

/// <summary>How the stand-in of the merchant answers, how its next delivery comes, and whether its shelves are empty.</summary>
public sealed record MerchantState(MerchantIs Is, NextDelivery Next, bool IsSoldOut);

/// <summary>
/// A cloth in the catalogue: its width, its repeat where it has one, its price, in what steps it is cut, after how many
/// days it comes, and what is left of each batch.
/// </summary>
public sealed record ArticleView(
    string Key,
    string Name,
    string Width,
    string Repeat,
    string Price,
    string Step,
    int Days,
    string Picture,
    IReadOnlyList<string> Batches
);

/// <summary>
/// What the merchant says to a length: how much is cut for it, from which batch, what it costs and when it comes; why it
/// cannot be had otherwise.
/// </summary>
public sealed record AvailabilityView(bool IsThere, string Told);

/// <summary>An order as it stands: what was asked for, what came and what is missing, and what must be known before it is cut.</summary>
public sealed record OrderView(
    ClothOrder Order,
    string Asked,
    string Missing,
    bool IsWhole,
    IReadOnlyList<DeliveryView> Came,
    IReadOnlyList<string> Warnings
);

/// <summary>What came: how long and wide, as it is typed on the shelf, from which batch, when.</summary>
public sealed record DeliveryView(
    string Id,
    string Length,
    string LengthTyped,
    string Width,
    string Batch,
    string CameOn,
    bool IsOfWidth
);

/// <summary>An order to be placed for a cloth of a job: so many counts of 1/3840 mm of an article, or put aside only.</summary>
public sealed record PlaceOrder(string Id, string Article, long Length, string Job, string Cloth, bool Reserve);

/// <summary>The cloth merchant: its catalogue, what is there, orders and what comes of them.</summary>
internal static class MerchantEndpoints
{
    private static readonly TimeSpan Slow = TimeSpan.FromSeconds(20);
    private static readonly Length Most = 1000 * Length.Inches(36);
    private const int LongestKey = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/devices/merchant", (Merchant merchant) => StateOf(merchant))
            .WithName("getMerchant")
            .WithSummary("How the stand-in of the merchant answers.");

        api.MapPut(
                "/devices/merchant",
                (MerchantState set, Merchant merchant) =>
                {
                    merchant.Set(set.Is, set.Next, set.IsSoldOut);
                    return StateOf(merchant);
                }
            )
            .WithName("setMerchant")
            .WithSummary("Says how it answers (off, open, slow, down) and how its next delivery comes.");

        api.MapPost(
                "/devices/merchant/van",
                (Merchant merchant, WorkroomStore workroom) =>
                {
                    merchant.Deliver();
                    return Views(merchant, StockEndpoints.UnitOf(workroom));
                }
            )
            .WithName("deliver")
            .WithSummary("The van comes: every open order gets its next delivery.");

        var shop = api.MapGroup("/merchant");
        shop.MapGet(
                "/articles",
                async Task<Results<Ok<List<ArticleView>>, ProblemHttpResult>> (
                    Merchant merchant,
                    WorkroomStore workroom,
                    SheetStore sheets,
                    HttpContext context
                ) =>
                    await Refuses(merchant, context)
                    ?? (Results<Ok<List<ArticleView>>, ProblemHttpResult>)
                        TypedResults.Ok(
                            merchant
                                .Catalogue.Select(article =>
                                    View(article, merchant, StockEndpoints.UnitOf(workroom), CurrencyOf(sheets))
                                )
                                .ToList()
                        )
            )
            .ProducesProblem(503)
            .WithName("listArticles")
            .WithSummary("What the merchant has.");

        shop.MapGet(
                "/articles/{key}/check",
                async Task<Results<Ok<AvailabilityView>, ProblemHttpResult>> (
                    string key,
                    long length,
                    Merchant merchant,
                    WorkroomStore workroom,
                    SheetStore sheets,
                    HttpContext context
                ) =>
                    await Refuses(merchant, context) is { } refused ? refused
                    : Find(merchant, key) is not { } article ? NoArticle()
                    : Check(length) is { } problem ? Problems.Fields([problem])
                    : TypedResults.Ok(
                        Told(article, new Length(length), merchant, StockEndpoints.UnitOf(workroom), CurrencyOf(sheets))
                    )
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .ProducesProblem(503)
            .WithName("checkArticle")
            .WithSummary(
                "Whether so much of an article is there in one length of one batch, when it comes, what it costs."
            );

        shop.MapGet(
                "/orders",
                (string? job, Merchant merchant, WorkroomStore workroom) =>
                    Views(merchant, StockEndpoints.UnitOf(workroom))
                        .Where(view => job is null || view.Order.Job == job)
                        .ToList()
            )
            .WithName("listOrders")
            .WithSummary(
                "What was ordered or put aside, of one `job` or of all, and what came of it. Known here, whether the merchant answers or not."
            );

        shop.MapPost(
                "/orders",
                async Task<Results<Ok<OrderView>, ProblemHttpResult>> (
                    PlaceOrder place,
                    Merchant merchant,
                    WorkroomStore workroom,
                    SheetStore sheets,
                    HttpContext context
                ) =>
                {
                    if (await Refuses(merchant, context) is { } refused)
                        return refused;
                    if (Find(merchant, place.Article) is not { } article)
                        return NoArticle();
                    if (Check(place.Length) is { } problem)
                        return Problems.Fields([problem]);
                    if (new[] { place.Id, place.Job, place.Cloth }.Any(key => key.Length is 0 or > LongestKey))
                        return Problems.Fields([
                            new Problem("id", "", 0, "an order, its job and its cloth have ids", "o1"),
                        ]);
                    var unit = StockEndpoints.UnitOf(workroom);
                    var length = new Length(place.Length);
                    return merchant.Place(place.Id, article, length, place.Job, place.Cloth, place.Reserve) is { } order
                        ? TypedResults.Ok(View(order, unit))
                        : Problems.Meanwhile(Told(article, length, merchant, unit, CurrencyOf(sheets)).Told);
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .ProducesProblem(503)
            .WithName("placeOrder")
            .WithSummary("Orders cloth or has it put aside. A repeated id gets its first result.");

        shop.MapPost(
                "/orders/{id}/send",
                async Task<Results<Ok<OrderView>, ProblemHttpResult>> (
                    string id,
                    Merchant merchant,
                    WorkroomStore workroom,
                    HttpContext context
                ) =>
                    await Refuses(merchant, context)
                    ?? (
                        merchant.Send(id) is { } order
                            ? (Results<Ok<OrderView>, ProblemHttpResult>)
                                TypedResults.Ok(View(order, StockEndpoints.UnitOf(workroom)))
                            : Problems.NotFound("nothing is put aside under this id")
                    )
            )
            .ProducesProblem(404)
            .ProducesProblem(503)
            .WithName("sendOrder")
            .WithSummary("Has what was put aside sent.");

        shop.MapDelete(
                "/orders/{id}",
                async Task<Results<NoContent, ProblemHttpResult>> (string id, Merchant merchant, HttpContext context) =>
                    await Refuses(merchant, context)
                    ?? (
                        merchant.GiveBack(id)
                            ? (Results<NoContent, ProblemHttpResult>)TypedResults.NoContent()
                            : Problems.Meanwhile("It was ordered already, or is not known: call the merchant.")
                    )
            )
            .ProducesProblem(409)
            .ProducesProblem(503)
            .WithName("giveBackOrder")
            .WithSummary("Gives back what was put aside.");
    }

    private static MerchantState StateOf(Merchant merchant) => new(merchant.Is, merchant.Next, merchant.IsSoldOut);

    private static Article? Find(Merchant merchant, string key) =>
        merchant.Catalogue.FirstOrDefault(article => article.Key == key);

    private static Currency CurrencyOf(SheetStore sheets) =>
        new BookReading(PriceBookEndpoints.BookOf(sheets)).Currency;

    private static ProblemHttpResult NoArticle() => Problems.NotFound("the merchant has no such cloth");

    private static Problem? Check(long length) =>
        length <= 0 || length > Most.Ticks
            ? new(
                "length",
                $"{length}",
                0,
                "more than nothing and at most 1000 yd, in counts of 1/3840 mm, is needed",
                "7022592"
            )
            : null;

    // As it answers when it answers; a caller that gives up while it is slow is not kept.
    private static async Task<ProblemHttpResult?> Refuses(Merchant merchant, HttpContext context)
    {
        if (merchant.Is == MerchantIs.Slow)
            await Task.Delay(Slow, context.RequestAborted);
        return merchant.Is switch
        {
            MerchantIs.Off => NotNow("The merchant is switched off: switch it on under Workshop devices."),
            MerchantIs.Down => NotNow(
                "The merchant does not answer. Try again later, or call; the list goes on without it."
            ),
            _ => null,
        };
    }

    private static ProblemHttpResult NotNow(string detail) =>
        TypedResults.Problem(detail, statusCode: StatusCodes.Status503ServiceUnavailable);

    private static AvailabilityView Told(
        Article article,
        Length length,
        Merchant merchant,
        JobUnit unit,
        Currency currency
    )
    {
        var there = merchant.Check(article, length);
        var cut = LengthPrinter.ShopLength(there.Length, unit);
        if (there.Batch is not { } batch)
            return new(
                false,
                there.Most.IsPositive
                    ? $"There are not {cut} of {article.Name} in one batch: {LengthPrinter.ClothLength(there.Most, unit, down: true)} at the most."
                    : $"{article.Name} is sold out."
            );
        var price = Price(article, there.Length, currency);
        return new(
            true,
            $"{cut} are there in one length of batch {batch}: {currency.Text(price)}, in {article.Days} days."
        );
    }

    private static decimal Price(Article article, Length length, Currency currency) =>
        currency.Round(currency.OfUnits(article.PriceAYard) * length.Ticks / Length.Inches(36).Ticks);

    private static ArticleView View(Article article, Merchant merchant, JobUnit unit, Currency currency)
    {
        string Say(Length length) => LengthView.Finished(length, unit).Text;
        var aMetre = article.PriceAYard * Length.Millimetres(1000).Ticks / (decimal)Length.Inches(36).Ticks;
        return new(
            article.Key,
            article.Name,
            Say(article.Width),
            string.Join(
                ", ",
                new[]
                {
                    article.RepeatAlong.IsPositive ? $"{Say(article.RepeatAlong)} along" : "",
                    article.RepeatAcross.IsPositive ? $"{Say(article.RepeatAcross)} across" : "",
                }.Where(text => text.Length > 0)
            ),
            unit.IsInches()
                ? $"{currency.Text(currency.OfUnits(article.PriceAYard))} a yard"
                : $"{currency.Text(currency.Round(aMetre * currency.OfUnits(1)))} a metre",
            LengthPrinter.ShopLength(article.Step, unit),
            article.Days,
            $"/api/cloth-tile?tone={article.Tone[1..]}&second={(article.Second.Length > 0 ? article.Second[1..] : "fffaf0")}&print={article.Print.ToString().ToLowerInvariant()}&across={Hundredths(article.RepeatAcross)}&along={Hundredths(article.RepeatAlong)}&motifAcross={Hundredths(article.RepeatAcross) / 2}&motifAlong={Hundredths(article.RepeatAlong) / 2}",
            [
                .. merchant
                    .Left(article)
                    .Select(batch => $"{batch.Name}: {LengthPrinter.ClothLength(batch.Length, unit, down: true)}"),
            ]
        );
    }

    // Cloth without a repeat is shown two inches large.
    private static long Hundredths(Length length) => Drawing.Hundredths(length.IsPositive ? length : Length.Inches(2));

    private static List<OrderView> Views(Merchant merchant, JobUnit unit) =>
        [.. merchant.Orders().Select(order => View(order, unit))];

    private static OrderView View(ClothOrder order, JobUnit unit) =>
        new(
            order,
            LengthPrinter.ShopLength(new Length(order.Length), unit),
            LengthPrinter.ClothLength(order.Missing, unit),
            order.IsWhole,
            [
                .. order.Came.Select(came => new DeliveryView(
                    came.Id,
                    LengthPrinter.ClothLength(new Length(came.Length), unit),
                    LengthPrinter.Finished(new Length(came.Length), unit).Text,
                    LengthPrinter.Finished(new Length(came.Width), unit).Text,
                    came.Batch,
                    came.CameOn,
                    came.Width == order.Width
                )),
            ],
            [.. order.Warnings(unit)]
        );
}
