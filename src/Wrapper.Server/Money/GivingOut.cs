using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Making;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Money;

/// <summary>Writes a paper from what it follows from, has the store number it, and keeps its drawings with it.</summary>
internal sealed class GivingOut(
    JobStore jobs,
    JobList list,
    SheetStore sheets,
    PaperStore papers,
    CustomerStore customers,
    RevisionStore states,
    WorkroomStore workroom,
    Drafting drafting,
    LayCache lays,
    ItemPictures pictures,
    Learnt learnt,
    Wording wording,
    LayQueue queue,
    TimeProvider clock,
    IOptions<JsonOptions> json
)
{
    private const int LongestId = 64,
        LongestNote = 400;

    public async Task<Results<Ok<PaperView>, ProblemHttpResult>> Give(string id, GiveOut give, HttpContext context)
    {
        var (date, problem) = PaperEndpoints.Dated(give.Date, DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        List<Problem> refused = [.. Limits(give)];
        if (problem is not null)
            refused.Add(problem);
        if (refused.Count > 0)
            return Problems.Fields(refused);
        if (jobs.Find(id) is not { } stored)
            return JobEndpoints.NoJob(id, list);
        var job = JobView.Of(stored, json.Value.SerializerOptions);
        return give.Kind is PaperKind.Estimate or PaperKind.Quotation
            ? await queue.Run<Results<Ok<PaperView>, ProblemHttpResult>>(
                context,
                turn => OfOffer(job, give, date, turn.Cancel)
            )
            : Next(job, give, date);
    }

    private Results<Ok<PaperView>, ProblemHttpResult> OfOffer(
        JobView job,
        GiveOut give,
        DateOnly date,
        CancellationToken cancel
    )
    {
        var sheet = KeptJson.Read<PriceSheet>(sheets.Read(JobSheet.Price, job.Id)?.Content) ?? new PriceSheet();
        var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
        var head = Head(job.Document);
        if (head.Problem is { } nobody)
            return Problems.Fields([nobody]);
        var offer = Offer.Of(job.Document, drafting, book, sheet, learnt.Pace, wording.Vocabulary, lays, cancel);
        if (offer.Problems.Count > 0)
            return Problems.Fields(offer.Problems);
        if (offer.First.Unpriced is [var unpriced, ..])
            return Problems.Fields([new Problem("prices", unpriced.Thing, 0, "it has no price yet", "2.40")]);
        if (give.Total is { } seen && seen != book.Currency.Units(offer.First.Totals.Total))
            return Problems.Meanwhile(
                $"The price has changed meanwhile: it is {book.Currency.Text(offer.First.Totals.Total)} now. Look at it and give it out again."
            );
        var drawings = job
            .Document.Items.Where(item => offer.Lines.Any(line => line.Item == item.Id))
            .Select(item => (item.Id, Png: pictures.Of(item, job.Document, cancel, large: true)))
            .Where(each => each.Png is not null)
            .ToDictionary(each => each.Id, each => each.Png!);
        return Issue(job, give, offer.ToPaper(give.Kind, head.Head, book, sheet, date), 0, book.Currency, drawings);
    }

    private Results<Ok<PaperView>, ProblemHttpResult> Next(JobView job, GiveOut give, DateOnly date)
    {
        var given = papers.OfJob(job.Id);
        var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
        var currency = JobPapers.CurrencyOf(given, book.Currency);
        decimal amount = 0;
        if (give.Kind is PaperKind.Receipt or PaperKind.CreditNote)
        {
            var (read, problem) = Amount.Read(
                "amount",
                give.Amount,
                currency,
                least: give.Kind == PaperKind.Receipt ? -Amount.Most : 0
            );
            if (problem is not null)
                return Problems.Fields([problem]);
            amount = read!.Value;
        }
        if (give.Kind == PaperKind.CreditNote && give.Note.Trim().Length == 0)
            return Problems.Fields([
                new Problem("note", "", 0, "why it is taken back is needed", "One cushion was cut too short"),
            ]);
        var on = given.FirstOrDefault(paper => paper.Id == give.BasedOn);
        var dealings = JobPapers.Dealings(given, currency);
        var isRepeated = given.Any(paper => paper.Id == give.Id);
        if (!isRepeated && dealings.Refusal(give.Kind, give.BasedOn, amount) is { } reason)
            return Refused(give, reason);
        if (JobPapers.Read(on) is not { } basis)
            return Problems.NotFound("the paper that it follows from cannot be read");
        if (give.Option.Length > 0 && basis.Options.All(option => option.Id != give.Option))
            return Problems.Fields([
                new Problem(
                    "option",
                    give.Option,
                    0,
                    $"{basis.Called} has no such option",
                    basis.Options is [var first, ..] ? first.Id : ""
                ),
            ]);
        var paid = given
            .Where(paper => paper.Kind == nameof(PaperKind.Receipt))
            .Select(JobPapers.Read)
            .OfType<Paper>()
            .Select(receipt => new PaperPaid(receipt.Called, receipt.Date, receipt.Sum.Total))
            .ToList();
        var paper = give.Kind switch
        {
            PaperKind.Order => FollowUp.Order(basis, give.Option, date),
            PaperKind.Invoice => FollowUp.Invoice(basis, paid, date, book.PayDays),
            PaperKind.Receipt => FollowUp.Receipt(basis, amount, dealings.ToPay - amount, give.Note.Trim(), date),
            _ => FollowUp.CreditNote(basis, amount, dealings.Account.Balance - amount, give.Note.Trim(), date),
        };
        var drawings = on!
            .Drawings.Where(item => paper.Lines.Any(line => line.Item == item))
            .Select(item => (item, Png: papers.Drawing(on.Id, item)))
            .Where(each => each.Png is not null)
            .ToDictionary(each => each.item, each => each.Png!);
        return Issue(job, give, paper, amount, currency, drawings);
    }

    private Results<Ok<PaperView>, ProblemHttpResult> Issue(
        JobView job,
        GiveOut give,
        Paper paper,
        decimal amount,
        Currency currency,
        Dictionary<string, byte[]> drawings
    )
    {
        var reason = "";
        var kept = papers.Issue(
            new(
                give.Id,
                job.Id,
                job.Revision,
                job.Document.CustomerId,
                $"{give.Kind}",
                paper.Date,
                give.BasedOn.Length > 0 ? give.BasedOn : null,
                paper.Currency,
                paper.Sum.Total.Units,
                $"{paper.Customer.Name}\n{paper.Job}",
                KeptJson.Write(give),
                drawings
            ),
            number => KeptJson.Write(paper with { Number = number }),
            // Looked at once more where nobody else can write: two may take the same payment at once.
            given =>
                (
                    reason =
                        given.Count > 0 && given[0].Currency != paper.Currency
                            ? $"the papers of this job are in {given[0].Currency}, the price book is in {paper.Currency} now: begin a job of its own"
                            : JobPapers.Dealings(given, currency).Refusal(give.Kind, give.BasedOn, amount)
                )
                    is null
        );
        // What the price was reckoned from stays to be looked at, whatever becomes of the job.
        if (kept is not null && give.Kind == PaperKind.Quotation)
            states.Name(job.Id, job.Revision, $"as quoted, {Paper.Name(give.Kind, kept.Number)}");
        return kept is null
            ? Refused(give, reason is { Length: > 0 } ? reason : "another paper was given out under this id")
            : TypedResults.Ok(PaperView.Of(kept)!);
    }

    private static ProblemHttpResult Refused(GiveOut give, string reason) =>
        Problems.Fields([
            new Problem(
                give.Kind is PaperKind.Receipt or PaperKind.CreditNote ? "amount" : "basedOn",
                give.Kind is PaperKind.Receipt or PaperKind.CreditNote ? give.Amount : give.BasedOn,
                0,
                reason,
                ""
            ),
        ]);

    private (PaperHead Head, Problem? Problem) Head(JobDocument job)
    {
        var known = job.CustomerId.Length > 0 ? customers.Find(job.CustomerId) : null;
        var customer = KeptJson.Read<Customer>(known?.Content) ?? new Customer(job.Customer.Trim());
        var place = customer.Places.FirstOrDefault(each => each.Id == job.PlaceId)?.Name ?? job.HandOver.Place.Trim();
        var head = new PaperHead(
            workroom.Read()?.Name ?? "",
            new(customer.Name, customer.Address),
            place.Length > 0 ? $"{job.Name}, {place}" : job.Name
        );
        return (
            head,
            customer.Name.Trim().Length == 0
                ? new Problem(
                    "customer",
                    "",
                    0,
                    "a paper needs somebody to go to: enter the customer of this job",
                    "Ferncliff Lodge"
                )
                : null
        );
    }

    private static IEnumerable<Problem> Limits(GiveOut give)
    {
        if (give.Id.Length is 0 or > LongestId)
            yield return new(
                "id",
                give.Id[..Math.Min(40, give.Id.Length)],
                0,
                $"from 1 to {LongestId} characters are needed",
                "5f0c2a"
            );
        if (give.Note.Length > LongestNote)
            yield return new("note", give.Note[..40], LongestNote, $"longer than {LongestNote} characters", "card");
        if (give.Amount.Length > LongestId || give.BasedOn.Length > LongestId || give.Option.Length > LongestId)
            yield return new("amount", "", 0, $"longer than {LongestId} characters", "120.00");
    }
}
