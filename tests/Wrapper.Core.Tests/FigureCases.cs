using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Figures;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;

namespace Wrapper.Core.Tests;

/// <summary>What the workroom did, added up by hand.</summary>
public class FigureCases
{
    private static readonly TimedStep[] Steps =
    [
        new("a", "Bench", "sewing", 3600, 5400),
        new("b", "Stool", "sewing", 1800, 1800),
        new("a", "Bench", "cutting", 1800, 900),
    ];

    // Sewing 2 h at 30 is 60, cutting a quarter of an hour 7.50.
    [Fact]
    public void Hours_are_added_up_by_kind_with_their_rows()
    {
        var kinds = Tally.ByKind(Steps, 30, Currency.Usual);
        Assert.Equal(
            [("sewing", 7200L, 5400L, 60m), ("cutting", 900, 1800, 7.50m)],
            kinds.Select(kind => (kind.Kind, kind.Taken, kind.Reckoned, kind.Earned))
        );
        Assert.Equal(["Bench", "Stool"], kinds[0].Rows.Select(row => row.JobName));
        Assert.All(kinds, kind => Assert.Equal(kind.Taken, kind.Rows.Sum(row => row.Taken)));
    }

    // 6300 for 5400: 17 % longer.
    [Fact]
    public void Jobs_are_told_by_how_far_off_they_were() =>
        Assert.Equal([("Bench", 17m), ("Stool", 0m)], Tally.ByJob(Steps).Select(job => (job.JobName, job.Off)));

    [Fact]
    public void Offers_are_counted_by_what_became_of_them()
    {
        Offered Of(decimal total, Fate fate) => new("p", "Q-0001", "j", "Mill Lane", total, fate);
        var fates = Tally.ByFate([Of(100, Fate.Won), Of(250, Fate.Won), Of(80, Fate.Lost)]);
        Assert.Equal(
            [(Fate.Open, 0, 0m), (Fate.Won, 2, 350m), (Fate.Lost, 1, 80m)],
            fates.Select(each => (each.Fate, each.Count, each.Total))
        );
    }

    // Ordered 500. Paid 120.50 less 20.50 given back: 100 of material. One step took an hour more than reckoned; at 60 an hour.
    [Fact]
    public void A_job_paid_or_not_by_what_was_paid_and_timed()
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Items.Example("box-cushion-strip")],
            Cloths = [JobCloth.Usual("c", "Twill", JobUnit.Inch) with { Price = "30" }],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: true);
        var book = new BookReading(new PriceBook { LabourRate = "60" });
        (RealCost Cost, IReadOnlyList<Problem> Problems) Of(JobDocument made, PriceSheet sheet) =>
            RealCost.Of(
                500,
                Estimate.Of(plan, made, book, sheet, Pace.Usual),
                BenchPlan.Of(plan.Items, made),
                sheet,
                book
            );

        var before = Of(job, new()).Cost;
        Assert.Equal(plan.Cloths[0].Buying!.Cost, before.Material);
        Assert.Equal((before.ReckonedSeconds, 0L), (before.Seconds, before.TimedSeconds));
        var step = BenchPlan.Of(plan.Items, job).Steps[0];
        var rated = (long)decimal.Round(step.Minutes * 60);
        var made = job with { Making = new() { Steps = [new StepLog(step.Id, 1) { Seconds = rated + 3600 }] } };
        var (after, problems) = Of(made, new() { Bought = [new("a", "cloth", "120.50"), new("b", "back", "-20.50")] });
        Assert.Empty(problems);
        Assert.Equal((100m, before.Seconds + 3600), (after.Material, after.Seconds));
        Assert.Equal(before.Labour + 60, after.Labour);
        Assert.Equal(400 - after.Labour, after.Left);
        Assert.Equal(decimal.Round(400m * 3600 / after.Seconds, 2, MidpointRounding.AwayFromZero), after.AnHour);
        Assert.Equal(
            "bought.a.amount",
            Assert.Single(Of(made, new() { Bought = [new("a", "cloth", "much")] }).Problems).Field
        );
    }
}
