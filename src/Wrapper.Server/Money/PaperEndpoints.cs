using System.Globalization;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Money;

/// <summary>The price sheet of a job as it is to be, made from revision <paramref name="From"/>.</summary>
public sealed record KeepPriceSheet(long From, PriceSheet Sheet);

/// <summary>
/// A paper to be given out under an id that the client chose, so that a repeated request makes no second one.
/// <paramref name="BasedOn"/> is the paper that it follows from, empty for an estimate or quotation;
/// <paramref name="Option"/> what was ordered of it, empty for the first offer; <paramref name="Total"/> what the
/// client saw it come to, in smallest units, so that nothing is given out unseen; <paramref name="Amount"/> as typed,
/// of a receipt or credit note; <paramref name="Note"/> how it was paid, or why it is taken back;
/// <paramref name="Date"/> <c>yyyy-MM-dd</c>, empty for today.
/// </summary>
public sealed record GiveOut(
    string Id,
    PaperKind Kind,
    string BasedOn,
    string Option,
    long? Total,
    string Amount,
    string Note,
    string Date
);

/// <summary>What became of a paper: <c>declined</c> of an offer, <c>cancelled</c> of an order; and why.</summary>
public sealed record PaperNote(string Event, string Note);

/// <summary>Papers: given out once, numbered without gaps, never changed.</summary>
internal static class PaperEndpoints
{
    private const int LongestSearch = 200,
        LongestNote = 400,
        MostListed = 200;

    // By the names that they have in job files.
    private static readonly Dictionary<string, PaperKind> Kinds = Enum.GetValues<PaperKind>()
        .ToDictionary(kind => JsonNamingPolicy.KebabCaseLower.ConvertName($"{kind}"));

    public static void Map(RouteGroupBuilder api)
    {
        var money = api.MapGroup("/jobs/{id}");
        money
            .MapGet(
                "/money",
                Results<Ok<JobMoneyView>, ProblemHttpResult> (
                    string id,
                    JobStore jobs,
                    JobList list,
                    SheetStore sheets,
                    PaperStore papers
                ) => jobs.Find(id) is null ? JobEndpoints.NoJob(id, list) : TypedResults.Ok(MoneyOf(id, sheets, papers))
            )
            .ProducesProblem(404)
            .WithName("jobMoney")
            .WithSummary("What was said of a job's price, its papers, and how it stands with its customer.");

        money
            .MapPut(
                "/money",
                Results<Ok<JobMoneyView>, ProblemHttpResult> (
                    string id,
                    KeepPriceSheet keep,
                    JobStore jobs,
                    JobList list,
                    SheetStore sheets,
                    PaperStore papers
                ) =>
                    jobs.Find(id) is null ? JobEndpoints.NoJob(id, list)
                    : SheetLimits.Check(keep.Sheet).ToList() is { Count: > 0 } refused ? Problems.Fields(refused)
                    : sheets.Keep(JobSheet.Price, id, keep.From, KeptJson.Write(keep.Sheet))
                        ? TypedResults.Ok(MoneyOf(id, sheets, papers))
                    : Problems.Meanwhile(
                        "The price of this job was changed elsewhere in the meantime: look at it and say it again."
                    )
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("keepPriceSheet")
            .WithSummary("Keeps what was said of a job's price.");

        money
            .MapPost(
                "/papers",
                (string id, GiveOut give, GivingOut giving, HttpContext context) => giving.Give(id, give, context)
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("giveOut")
            .WithSummary(
                "Gives out a paper: an offer as the job stands, an order, invoice, receipt or credit note from the paper before it. A repeated id gets its first result."
            );

        api.MapGet(
                "/papers",
                Results<Ok<List<PaperView>>, ProblemHttpResult> (
                    PaperStore store,
                    string? q,
                    string? kind,
                    string? after,
                    int? limit
                ) =>
                    q?.Length > LongestSearch
                        ? Problems.Fields([
                            new Problem(
                                "q",
                                q[..40],
                                LongestSearch,
                                $"longer than {LongestSearch} characters",
                                "Q-0007"
                            ),
                        ])
                    : limit is < 1 or > MostListed
                        ? Problems.Fields([
                            new Problem(
                                "limit",
                                $"{limit}",
                                0,
                                $"from 1 to {MostListed} papers are listed at once",
                                "50"
                            ),
                        ])
                    : kind is { Length: > 0 } && !Kinds.ContainsKey(kind)
                        ? Problems.Fields([
                            new Problem("kind", kind[..Math.Min(40, kind.Length)], 0, "no kind of paper", "quotation"),
                        ])
                    : TypedResults.Ok(
                        store
                            .List(
                                q ?? "",
                                kind is { Length: > 0 } ? $"{Kinds[kind]}" : null,
                                after,
                                limit ?? MostListed
                            )
                            .Select(PaperView.Of)
                            .OfType<PaperView>()
                            .ToList()
                    )
            )
            .ProducesProblem(422)
            .WithName("listPapers")
            .WithSummary(
                "Papers, the latest first: with every word of `q` in number, customer or job, of one `kind` where it is given; up to `limit`, after the one whose `mark` is `after`."
            );

        api.MapGet(
                "/papers/{paper}",
                Results<Ok<PaperView>, ProblemHttpResult> (string paper, PaperStore store) =>
                    store.Find(paper) is { } kept && PaperView.Of(kept) is { } view
                        ? TypedResults.Ok(view)
                        : Problems.NotFound("there is no such paper")
            )
            .ProducesProblem(404)
            .WithName("getPaper")
            .WithSummary("A paper as it was given out.");

        api.MapGet(
                "/papers/{paper}/drawings/{item}",
                Results<FileContentHttpResult, ProblemHttpResult> (
                    string paper,
                    string item,
                    PaperStore store,
                    HttpContext context
                ) =>
                {
                    if (store.Drawing(paper, item) is not { } png)
                        return Problems.NotFound("this paper has no such drawing");
                    context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
                    return TypedResults.File(png, "image/png");
                }
            )
            .Produces<byte[]>(200, "image/png")
            .ProducesProblem(404)
            .WithName("paperDrawing")
            .WithSummary("The drawing of an item on a paper, as it was given out.");

        api.MapPost(
                "/papers/{paper}/events",
                Results<Ok<PaperView>, ProblemHttpResult> (string paper, PaperNote note, PaperStore store) =>
                {
                    if (store.Find(paper) is not { } kept)
                        return Problems.NotFound("there is no such paper");
                    var fits = note.Event switch
                    {
                        JobPapers.Declined => kept.Kind is nameof(PaperKind.Quotation) or nameof(PaperKind.Estimate),
                        JobPapers.Cancelled => kept.Kind is nameof(PaperKind.Order),
                        _ => false,
                    };
                    if (!fits || note.Note.Length > LongestNote)
                        return Problems.Fields([
                            new Problem(
                                "event",
                                note.Event.Length > 40 ? note.Event[..40] : note.Event,
                                0,
                                $"an offer can be declined and an order cancelled, with a note of up to {LongestNote} characters",
                                JobPapers.Declined
                            ),
                        ]);
                    if (
                        note.Event == JobPapers.Cancelled
                        && store
                            .OfJob(kept.Job)
                            .Any(other => other.BasedOn == paper && other.Kind == nameof(PaperKind.Invoice))
                        && JobPapers.Dealings(store.OfJob(kept.Job), Currency.Usual).Invoice is { } invoice
                    )
                        return Problems.Meanwhile(
                            $"{invoice.Called} was invoiced on it: take that back with a credit note first."
                        );
                    store.Note(paper, note.Event, note.Note.Trim());
                    return TypedResults.Ok(PaperView.Of(store.Find(paper)!)!);
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("notePaper")
            .WithSummary("Notes that an offer was declined or an order cancelled. The paper itself stays as it is.");
    }

    internal static JobMoneyView MoneyOf(string id, SheetStore sheets, PaperStore papers)
    {
        var (sheet, given) = (sheets.Read(JobSheet.Price, id), papers.OfJob(id));
        var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
        return new(
            sheet?.Revision ?? 0,
            KeptJson.Read<PriceSheet>(sheet?.Content) ?? new PriceSheet(),
            [.. given.Select(PaperView.Of).OfType<PaperView>()],
            JobPapers.Standing(given, book.Currency)
        );
    }

    /// <summary>The date that was typed, today for none; or why it cannot be.</summary>
    internal static (DateOnly Date, Problem? Problem) Dated(string typed, DateOnly today)
    {
        if (typed.Trim().Length == 0)
            return (today, null);
        var example = PaperHead.Written(today);
        if (
            !DateOnly.TryParseExact(
                typed.Trim(),
                "yyyy-MM-dd",
                CultureInfo.InvariantCulture,
                DateTimeStyles.None,
                out var date
            )
        )
            return (
                today,
                new("date", typed.Length > 40 ? typed[..40] : typed, 0, "a date is year, month and day", example)
            );
        return date > today ? (today, new("date", typed, 0, "this day is still to come", example))
            : date < today.AddYears(-2) ? (today, new("date", typed, 0, "more than two years ago", example))
            : (date, null);
    }
}
