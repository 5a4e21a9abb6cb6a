using Wrapper.Core.Jobs;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;

namespace Wrapper.Core.Workroom.Figures;

/// <summary>
/// What a job really cost beside what was ordered, before tax: material as it was paid, or as it is reckoned where
/// nothing was entered; the hours that were timed, and those of the table of rates for the rest.
/// </summary>
public sealed record RealCost(
    decimal Ordered,
    decimal Material,
    bool IsMaterialPaid,
    long ReckonedSeconds,
    long TimedSeconds,
    long Seconds,
    decimal? LabourRate,
    Currency Currency
)
{
    /// <summary>What the hours cost at the workroom's rate; nothing while that is not told.</summary>
    public decimal Labour => Currency.Round((LabourRate ?? 0) * Seconds / 3600);

    /// <summary>What is left of the order once material and hours are paid; less than nothing where it did not pay.</summary>
    public decimal Left => Ordered - Material - Labour;

    /// <summary>What an hour of it earned, material paid; null before there are any.</summary>
    public decimal? AnHour => Seconds == 0 ? null : Currency.Round((Ordered - Material) * 3600 / Seconds);

    /// <summary>
    /// The real cost of a job whose order came to <paramref name="ordered"/> before tax, as <paramref name="estimate"/>
    /// reckons it and its log has it; and what of the amounts paid cannot be read.
    /// </summary>
    public static (RealCost Cost, IReadOnlyList<Problem> Problems) Of(
        decimal ordered,
        Estimate estimate,
        BenchPlan bench,
        PriceSheet sheet,
        BookReading book
    )
    {
        List<Problem> problems = [];
        var paid = 0m;
        foreach (var row in sheet.Bought)
        {
            var (value, problem) = Amount.Read($"bought.{row.Id}.amount", row.Amount, book.Currency, -Amount.Most);
            if (problem is not null)
                problems.Add(problem);
            paid += value ?? 0;
        }
        var timed = bench.Steps.Select(step => (Taken: TakenBy(step.Log), Step: step)).ToList();
        long Rated(BenchStep step) => (long)decimal.Round(step.Minutes * 60) * step.Item.Quantity;
        var reckoned = timed.Sum(each => Rated(each.Step));
        var taken = timed.Where(each => each.Taken > 0).Sum(each => each.Taken);
        return (
            new(
                ordered,
                sheet.Bought.Count > 0
                    ? paid
                    : estimate.Costs.Where(cost => cost.Kind != CostKind.Labour).Sum(cost => cost.Value),
                sheet.Bought.Count > 0,
                reckoned,
                taken,
                taken + timed.Where(each => each.Taken == 0).Sum(each => Rated(each.Step)),
                book.LabourRate,
                book.Currency
            ),
            problems
        );
    }

    /// <summary>The seconds that a step took: as typed, else by its timer; 0 where nothing was timed.</summary>
    public static long TakenBy(StepLog? log) =>
        log is null ? 0
        : log.Took.Trim().Length > 0 ? TimeTaken.Read(log.Took).Seconds ?? 0
        : log.Seconds;
}
