using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>What fittings and timed steps teach, worked by hand.</summary>
public class LearningCases
{
    private static Entry In(string typed) => new(typed, JobUnit.Inch);

    // Sorted 1/2, 3/4, 3/4, 1: half-way between the two in the middle. A wild one at either end changes nothing.
    [Theory]
    [InlineData("3/4 | 1/2 | 1 | 3/4", "3/4")]
    [InlineData("3/4 | 1/2 | 40 | 3/4", "3/4")]
    [InlineData("1/2 | 3/4 | 0", "1/2")]
    [InlineData("1/2 | 5/8", null)]
    [InlineData("1/2 | 5/8 | much | ", null)]
    [InlineData("1/2 | 19 mm | 2 cm", "3/4")]
    [InlineData("1/2 | 1/2 | 5/8 | 5/8", "9/16")]
    public void The_middle_of_what_was_found(string found, string? median) =>
        Assert.Equal(
            median,
            Learning.Median([.. found.Split('|').Select(each => In(each.Trim()))], isCount: false, JobUnit.Inch)?.Typed
        );

    [Theory]
    [InlineData("75 | 70 | 71", "71")]
    [InlineData("2,5 | 3 % | 2 | 90", "3")]
    [InlineData("2.5 | 3 | 2 | 2.5", "2.5")]
    public void Per_cents_are_taken_to_half_of_one(string found, string median) =>
        Assert.Equal(
            median,
            Learning.Median([.. found.Split('|').Select(each => In(each.Trim()))], isCount: true, JobUnit.Inch)!.Typed
        );

    private static IReadOnlyList<Proposal> Of(string tuck, params (string Cloth, string Found)[] logged)
    {
        var item = Items.Read("fitted-sheet", JobUnit.Inch, $"W=31 1/2 | L=74 | T=7 | tuck={tuck}");
        var job = JobDocument.Empty("Bunks", JobUnit.Inch) with
        {
            Items = [item],
            Cloths = [JobCloth.Usual("c1", "Moss linen", JobUnit.Inch)],
        };
        return Learning.Of(
            ItemPlan.Of(item, 1, Items.Drafting, job),
            Items.Drafting.Find("fitted-sheet")!,
            job,
            [.. logged.Select(fit => new Fit("fitted-sheet", fit.Cloth, "choices.tuck", In(fit.Found)))]
        );
    }

    [Fact]
    public void Three_fits_on_its_cloth_come_before_those_on_any_cloth()
    {
        var proposal = Assert.Single(
            Of("3", ("Moss linen", "4"), ("Plum", "2"), ("Moss linen", "3 1/2"), ("Plum", "2"), ("Moss linen", "4"))
        );
        Assert.Equal(
            ("choices.tuck", "4", 3, "Moss linen"),
            (proposal.Field, proposal.Proposed.Typed, proposal.From, proposal.Cloth)
        );
        // Two on its own cloth are too few: all count.
        var all = Assert.Single(Of("3", ("Moss linen", "4"), ("Plum", "5"), ("Moss linen", "4"), ("Plum", "5")));
        Assert.Equal(("", 4, "4 1/2"), (all.Cloth, all.From, all.Proposed.Typed));
        // It has it already, to the mark of the tape.
        Assert.Empty(Of("3 15/16", ("Moss linen", "4"), ("Moss linen", "4"), ("Moss linen", "4")));
        Assert.Empty(Of("3", ("Moss linen", "4"), ("Moss linen", "4")));
    }

    [Fact]
    public void Only_the_latest_fits_count()
    {
        var logged = Enumerable.Repeat(("Moss linen", "4"), 8).Concat(Enumerable.Repeat(("Moss linen", "2"), 30));
        var proposal = Assert.Single(Of("3", [.. logged]));
        Assert.Equal(("4", 15), (proposal.Proposed.Typed, proposal.From));
    }

    // 60 reckoned, 90, 120 and 3600 taken: 1.5, 2 and 60, of which the middle one counts.
    [Fact]
    public void The_makers_pace_is_the_middle_of_what_was_timed()
    {
        var pace = Pace.From([
            (StepKind.Zips, 60, 90),
            (StepKind.Zips, 60, 3600),
            (StepKind.Zips, 60, 120),
            (StepKind.Cutting, 60, 120),
            (StepKind.Cutting, 60, 0),
            (StepKind.Filling, 60, 6000),
            (StepKind.Filling, 60, 6000),
            (StepKind.Filling, 60, 6000),
        ]);
        Assert.Equal((2m, 1m, 4m), (pace.Of(StepKind.Zips), pace.Of(StepKind.Cutting), pace.Of(StepKind.Filling)));
        var cushion = Items.Pattern(Items.Example("box-cushion-strip"));
        var steps = cushion.Steps.Zip(StepMinutes.Of(cushion));
        var zips = steps.Where(pair => pair.First.Kind == StepKind.Zips).Sum(pair => pair.Second);
        var filling = steps.Where(pair => pair.First.Kind == StepKind.Filling).Sum(pair => pair.Second);
        Assert.InRange(Minutes.Of(cushion, pace) - (Minutes.Of(cushion) + zips + (3 * filling)), -1, 1);
        Assert.Equal(Minutes.Of(cushion), Minutes.Of(cushion, Pace.Usual));
    }
}
