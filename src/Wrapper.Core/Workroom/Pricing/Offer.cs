using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;
using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>
/// The estimate of a job and, beside it, of the same job with one choice answered otherwise, each drafted, laid and
/// reckoned anew.
/// </summary>
public sealed record Offer(Estimate First, IReadOnlyList<PaperLine> Lines, IReadOnlyList<PaperOption> Options)
{
    /// <summary>The most options of one offer.</summary>
    public const int MostOptions = 6;

    /// <summary>What cannot be offered as it stands: of the job itself, and of its options.</summary>
    public IReadOnlyList<Problem> Problems { get; init; } = [];

    /// <summary>Reckons <paramref name="job"/> and what <paramref name="sheet"/> offers beside.</summary>
    public static Offer Of(
        JobDocument job,
        Drafting drafting,
        BookReading book,
        PriceSheet sheet,
        Pace pace,
        Vocabulary words,
        Lay.LayCache? kept = null,
        CancellationToken cancel = default
    )
    {
        (Estimate Estimate, IReadOnlyList<PaperLine> Lines) Reckon(JobDocument of)
        {
            var plan = Plan.Of(of, drafting, lay: true, kept, cancel);
            var estimate = Estimate.Of(plan, of, book, sheet, pace);
            var items = plan.Items.ToDictionary(item => item.Item.Id);
            return (
                estimate,
                [
                    .. estimate.Lines.Select(line => new PaperLine(
                        line.Item,
                        line.Text,
                        line.Item.Length == 0 ? [] : Told(items[line.Item], of, drafting, words),
                        line.Quantity,
                        Sum.Of(line.Amount, book.Currency)
                    )),
                ]
            );
        }
        var (first, lines) = Reckon(job);
        List<Problem> problems = [.. first.Problems];
        if (Deposit(book, sheet).Problem is { } unread)
            problems.Add(unread);
        List<PaperOption> options = [];
        foreach (var offered in sheet.Options.Take(MostOptions))
        {
            if (Changed(job, drafting, offered, words) is not var (changed, text))
            {
                problems.Add(
                    new(
                        $"options.{offered.Id}",
                        offered.Answer,
                        0,
                        "this job has no such item, choice or answer any more: take the option away",
                        ""
                    )
                );
                continue;
            }
            var (estimate, otherwise) = Reckon(changed);
            problems.AddRange(
                estimate
                    .Problems.Except(first.Problems)
                    .Select(problem =>
                        problem with
                        {
                            Field = $"options.{offered.Id}",
                            Reason = $"{text}: {problem.Reason}",
                        }
                    )
            );
            var more = estimate.Totals.Total - first.Totals.Total;
            options.Add(
                new(
                    offered.Id,
                    text,
                    otherwise,
                    PaperSum.Of(estimate.Totals, book.Currency),
                    more == 0 ? "the same"
                        : more > 0 ? $"{book.Currency.Text(more)} more"
                        : $"{book.Currency.Text(-more)} less"
                )
            );
        }
        return new(first, lines, options) { Problems = problems };
    }

    /// <summary>
    /// The job with one choice answered otherwise, and that in words; null where item, choice or answer is not there.
    /// </summary>
    public static (JobDocument Job, string Text)? Changed(
        JobDocument job,
        Drafting drafting,
        OfferedOption offered,
        Vocabulary words
    )
    {
        if (
            job.Items.FirstOrDefault(item => item.Id == offered.Item) is not { } item
            || drafting.Find(item.MakeUp)?.Choices.FirstOrDefault(choice => choice.Key == offered.Choice)
                is not { } choice
            || choice.Options.FirstOrDefault(option => option.Key == offered.Answer) is not { } answer
        )
            return null;
        var changed = item with
        {
            Choices = new Dictionary<string, Entry>(item.Choices) { [choice.Key] = new(answer.Key, job.Unit) },
        };
        return (
            job with
            {
                Items = [.. job.Items.Select(each => each.Id == item.Id ? changed : each)],
            },
            $"{item.Name}: {words.Say(Telling.Said(choice, answer))}"
        );
    }

    /// <summary>
    /// The paper of this offer, an estimate or a quotation, of <paramref name="date"/>; the store numbers it.
    /// </summary>
    public Paper ToPaper(PaperKind kind, PaperHead head, BookReading book, PriceSheet sheet, DateOnly date)
    {
        var percent = Deposit(book, sheet).Percent;
        var deposit = book.Currency.Round(First.Totals.Total * percent / 100);
        return head.Paper(kind, date, book, "", Lines, PaperSum.Of(First.Totals, book.Currency)) with
        {
            Options = Options,
            Deposit = deposit > 0 ? Sum.Of(deposit, book.Currency) : null,
            Until = kind == PaperKind.Quotation ? PaperHead.Written(date.AddDays(book.ValidDays)) : "",
        };
    }

    // This job's own, else the workroom's usual one.
    private static (decimal Percent, Problem? Problem) Deposit(BookReading book, PriceSheet sheet) =>
        sheet.Deposit.Trim().Length == 0 ? (book.Deposit, null) : Amount.Percent("deposit", sheet.Deposit, 100, "50");

    private static IReadOnlyList<string> Told(ItemPlan item, JobDocument job, Drafting drafting, Vocabulary words) =>
        drafting.Find(item.Item.MakeUp) is { } makeUp ? Telling.Of(item, job, makeUp, words) : [];
}

/// <summary>Who a paper is from, whom it is for, and what for.</summary>
public sealed record PaperHead(string Maker, Named Customer, string Job)
{
    /// <summary>A paper under this head, not numbered yet.</summary>
    public Paper Paper(
        PaperKind kind,
        DateOnly date,
        BookReading book,
        string basedOn,
        IReadOnlyList<PaperLine> lines,
        PaperSum sum
    ) =>
        new(
            kind,
            0,
            Written(date),
            book.Currency.Code,
            new(Maker, book.Book.Address.Trim()),
            Customer,
            Job,
            basedOn,
            lines,
            sum
        )
        {
            TaxIncluded = book.Tax.Included,
            TaxNumber = book.Book.TaxNumber.Trim(),
            Rounding = book.Tax.Rounding(book.Currency),
            Terms = book.Book.Terms.Trim(),
            PayTo = book.Book.PayTo.Trim(),
        };

    /// <summary>A date as it is kept.</summary>
    public static string Written(DateOnly date) => date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}
