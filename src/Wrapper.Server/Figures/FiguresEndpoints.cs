using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Figures;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Making;
using Wrapper.Server.Money;
using Wrapper.Store;

namespace Wrapper.Server.Figures;

/// <summary>A row behind a figure: what it is of, where that is to be seen, and the figure of it alone.</summary>
public sealed record FigureRow(string Text, string Figure, string Job);

/// <summary>A figure with the rows that it is the sum of.</summary>
public sealed record FigureView(string Name, string Figure, string Beside, IReadOnlyList<FigureRow> Rows);

/// <summary>What the workroom did: hours by kind of work, cloth saved, offers, what estimates were off.</summary>
public sealed record FiguresView(
    IReadOnlyList<FigureView> Hours,
    IReadOnlyList<FigureView> Cloth,
    IReadOnlyList<FigureView> Offers,
    IReadOnlyList<FigureView> Off
);

/// <summary>What a job really cost: each figure as it is printed; what of the amounts paid cannot be read.</summary>
public sealed record RealCostView(
    string Ordered,
    string Material,
    bool MaterialPaid,
    string Hours,
    string Timed,
    string Reckoned,
    string Labour,
    string Left,
    bool Paid,
    string? AnHour,
    IReadOnlyList<Problem> Problems
);

/// <summary>Figures for the maker.</summary>
internal static class FiguresEndpoints
{
    // Cloth is told of so many jobs, those that were changed last: each is laid again.
    private const int MostLaid = 60,
        MostPapers = 5000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/figures",
                (
                    LearningStore learning,
                    PaperStore papers,
                    SheetStore sheets,
                    JobStore jobs,
                    JobList list,
                    WorkroomStore workroom,
                    Drafting drafting,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<FiguresView>(
                        queue,
                        context,
                        [],
                        cancel =>
                        {
                            var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
                            var steps = Steps(learning);
                            var unit = Stock.StockEndpoints.UnitOf(workroom);
                            return TypedResults.Ok(
                                new FiguresView(
                                    Hours(Tally.ByKind(steps, book.LabourRate ?? 0, book.Currency), book),
                                    Cloth(jobs, list, drafting, kept, unit, json.Value.SerializerOptions, cancel),
                                    Offers(Tally.ByFate(Offered(papers)), book.Currency),
                                    Off(Tally.ByJob(steps))
                                )
                            );
                        }
                    )
            )
            .WithName("getFigures")
            .WithSummary(
                "Hours and earnings by kind of work, cloth saved against the hand sum, offers won and lost, what estimates were off; each with its rows."
            );

        api.MapGet(
                "/jobs/{id}/real-cost",
                async Task<Results<Ok<RealCostView>, ProblemHttpResult>> (
                    string id,
                    JobStore jobs,
                    JobList list,
                    SheetStore sheets,
                    PaperStore papers,
                    Drafting drafting,
                    Learnt learnt,
                    LayCache kept,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                {
                    if (jobs.Find(id) is not { } stored)
                        return JobEndpoints.NoJob(id, list);
                    var given = papers.OfJob(id);
                    var book = new BookReading(PriceBookEndpoints.BookOf(sheets));
                    var order = JobPapers.Dealings(given, book.Currency).Order;
                    if (JobPapers.Read(given.FirstOrDefault(paper => paper.Id == order?.Id)) is not { } paper)
                        return Problems.NotFound("nothing is ordered yet, so that there is nothing to hold it against");
                    var job = JobView.Of(stored, json.Value.SerializerOptions).Document;
                    var sheet = KeptJson.Read<PriceSheet>(sheets.Read(JobSheet.Price, id)?.Content) ?? new PriceSheet();
                    return await queue.Run<Results<Ok<RealCostView>, ProblemHttpResult>>(
                        context,
                        turn =>
                        {
                            var plan = Plan.Of(job, drafting, lay: true, kept, turn.Cancel);
                            var currency = Currency.Of(paper.Currency) ?? book.Currency;
                            var (cost, problems) = RealCost.Of(
                                currency.OfUnits(paper.Sum.Net.Units),
                                Estimate.Of(plan, job, book, sheet, learnt.Pace),
                                BenchPlan.Of(plan.Items, job, learnt.Pace),
                                sheet,
                                book
                            );
                            return TypedResults.Ok(Told(cost, problems, currency));
                        }
                    );
                }
            )
            .ProducesProblem(404)
            .WithName("realCost")
            .WithSummary(
                "What an ordered job really cost: material as paid, hours as timed, and what is left of the order."
            );
    }

    private static RealCostView Told(RealCost cost, IReadOnlyList<Problem> problems, Currency currency) =>
        new(
            currency.Text(cost.Ordered),
            currency.Text(cost.Material),
            cost.IsMaterialPaid,
            Minutes.Text(cost.Seconds / 60),
            Minutes.Text(cost.TimedSeconds / 60),
            Minutes.Text(cost.ReckonedSeconds / 60),
            currency.Text(cost.Labour),
            currency.Text(cost.Left),
            cost.Left >= 0,
            cost.AnHour is { } hour ? currency.Text(hour) : null,
            problems
        );

    private static List<TimedStep> Steps(LearningStore learning) =>
        [
            .. learning
                .TimesByJob()
                .Select(kept => new TimedStep(
                    kept.Job,
                    kept.Name,
                    kept.Time.Kind,
                    kept.Time.Reckoned,
                    kept.Time.Took.Trim().Length > 0 ? TimeTaken.Read(kept.Time.Took).Seconds ?? 0 : kept.Time.Seconds
                ))
                .Where(step => step.Taken > 0),
        ];

    private static List<FigureView> Hours(IReadOnlyList<KindFigure> kinds, BookReading book) =>
        [
            .. kinds.Select(kind => new FigureView(
                Enum.TryParse<StepKind>(kind.Kind, ignoreCase: true, out var known) ? known.Name() : kind.Kind,
                Minutes.Text(kind.Taken / 60),
                book.LabourRate is null
                    ? $"reckoned {Minutes.Text(kind.Reckoned / 60)}"
                    : $"{book.Currency.Text(kind.Earned)}, reckoned {Minutes.Text(kind.Reckoned / 60)}",
                [.. kind.Rows.Select(row => new FigureRow(row.JobName, Minutes.Text(row.Taken / 60), row.Job))]
            )),
        ];

    private static List<FigureView> Off(IReadOnlyList<JobFigure> jobs) =>
        [
            .. jobs.Select(job => new FigureView(
                job.JobName,
                job.Off == 0 ? "as reckoned" : $"{Math.Abs(job.Off)} % {(job.Off > 0 ? "longer" : "quicker")}",
                $"{Minutes.Text(job.Taken / 60)} for what was reckoned at {Minutes.Text(job.Reckoned / 60)}",
                [new FigureRow(job.JobName, Minutes.Text(job.Taken / 60), job.Job)]
            )),
        ];

    private static IEnumerable<Offered> Offered(PaperStore papers)
    {
        var all = papers.List("", null, null, MostPapers);
        var ordered = all.Where(paper => paper.Kind == nameof(PaperKind.Order))
            .Select(paper => paper.BasedOn)
            .OfType<string>()
            .ToHashSet();
        foreach (var paper in all.Where(paper => paper.Kind == nameof(PaperKind.Quotation)))
            if (JobPapers.Read(paper) is { } read)
                yield return new(
                    paper.Id,
                    read.Called,
                    paper.Job,
                    read.Customer.Name,
                    (Currency.Of(read.Currency) ?? Currency.Usual).OfUnits(paper.Total),
                    ordered.Contains(paper.Id) ? Fate.Won
                        : paper.Events.Any(each => each.Event == JobPapers.Declined) ? Fate.Lost
                        : Fate.Open
                );
    }

    private static List<FigureView> Offers(IReadOnlyList<OfferFigure> fates, Currency currency) =>
        [
            .. fates
                .Where(fate => fate.Count > 0)
                .Select(fate => new FigureView(
                    fate.Fate switch
                    {
                        Fate.Won => "Ordered",
                        Fate.Lost => "Declined",
                        _ => "Not answered yet",
                    },
                    $"{fate.Count}",
                    currency.Text(fate.Total),
                    [
                        .. fate.Rows.Select(row => new FigureRow(
                            $"{row.Called}, {row.Customer}",
                            currency.Text(row.Total),
                            row.Job
                        )),
                    ]
                )),
        ];

    // What counting rows by hand would have taken, less what the lay took, of cloths that something was cut from.
    private static List<FigureView> Cloth(
        JobStore jobs,
        JobList list,
        Drafting drafting,
        LayCache kept,
        JobUnit unit,
        System.Text.Json.JsonSerializerOptions json,
        CancellationToken cancel
    )
    {
        List<(string Job, string Name, string Cloth, Length Saved)> all = [];
        foreach (var summary in list.Of(MostLaid))
        {
            if (
                JobView.Readable(jobs, summary.Id, json)?.Document is not { } job
                || job.Cloths.All(cloth => cloth.Cut.Count == 0)
            )
                continue;
            all.AddRange(
                from cloth in Plan.Of(job, drafting, lay: true, kept, cancel).Cloths
                where cloth.Reading.Cloth.Cut.Count > 0
                let saved = Less(cloth)
                where saved.IsPositive
                select (summary.Id, summary.Name, cloth.Reading.Cloth.Name, saved)
            );
        }
        if (all.Count == 0)
            return [];
        var sum = all.Aggregate(Length.Zero, (total, each) => total + each.Saved);
        return
        [
            new(
                "Less cloth than in rows by hand",
                LengthPrinter.ShopLength(sum, unit),
                $"over {all.Select(each => each.Job).Distinct().Count()} jobs",
                [
                    .. all.Select(each => new FigureRow(
                        $"{each.Name}, {each.Cloth}",
                        LengthPrinter.ShopLength(each.Saved, unit),
                        each.Job
                    )),
                ]
            ),
        ];
    }

    private static Length Less(ClothPlan cloth)
    {
        if (cloth.Lay is not { } lay)
            return Length.Zero;
        var hand = cloth.ByWidths is { } widths && widths > lay.Hand.Length ? widths : lay.Hand.Length;
        return hand - lay.Length;
    }
}
