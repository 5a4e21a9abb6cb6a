using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>The making of a job: which step is next, what holds it up, what a reading means.</summary>
public class BenchCases
{
    private static JobDocument Job(MakingLog log, params Item[] items) =>
        JobDocument.Empty("Window bench", JobUnit.Inch) with
        {
            Cloths = [JobCloth.Usual("c1", "Moss linen", JobUnit.Inch)],
            Items = items,
            Making = log,
        };

    private static BenchPlan Bench(JobDocument job) =>
        BenchPlan.Of(Plan.Of(job, Items.Drafting, lay: false).Items, job);

    private static Item Cushion(string id, string quantity = "1") =>
        Items.Read("box-cushion-strip", JobUnit.Inch, "W=14 | L=12 | T=4 | lengths=1") with
        {
            Id = id,
            Quantity = quantity,
        };

    private static Item Ottoman(string id) =>
        Items.Read("ottoman-boxed", JobUnit.Inch, "W=20 | L=18 | H=16") with
        {
            Id = id,
        };

    private static CheckLog Read(string id, params string[] typed) =>
        new(id, Verdict.Open) { Readings = [.. typed.Select(each => new Entry(each, JobUnit.Inch))] };

    // Two corded cushions and an ottoman: everything is cut, then corded, then the cushions' zips are in, and so on.
    [Fact]
    public void Together_one_kind_of_work_is_done_on_all_that_are_ready_for_it()
    {
        var bench = Bench(Job(new(), Cushion("a"), Ottoman("o"), Cushion("b")));
        var first = bench.Turns.Take(8).Select(turn => $"{turn.Step.Step.Kind} {turn.Step.Item.Item.Id}");
        Assert.Equal(
            ["Cutting a", "Cutting o", "Cutting b", "Cording a", "Cording o", "Cording b", "Zips a", "Zips b"],
            first
        );
        Assert.Equal(StepKind.Filling, bench.Turns[^1].Step.Step.Kind);
    }

    [Fact]
    public void Cover_by_cover_one_is_finished_before_the_next_is_begun()
    {
        var bench = Bench(Job(new() { Order = MakingOrder.Cover }, Cushion("a", "2"), Ottoman("o")));
        var order = bench.Turns.Select(turn => $"{turn.Step.Item.Item.Id}{turn.First}").Distinct();
        Assert.Equal(["a1", "a2", "o1"], order);
        Assert.Equal(
            2 * Bench(Job(new(), Cushion("a"))).Turns.Count,
            bench.Turns.Count(turn => turn.Step.Item.Number == 1)
        );
    }

    [Fact]
    public void Whatever_the_order_each_cover_is_made_once_and_in_its_own_order() =>
        Gen.Select(Variants.Makeable, Variants.Makeable, Gen.Int[1, 3], Gen.Bool)
            .Sample(
                (one, other, quantity, covers) =>
                {
                    var job = Job(
                        new() { Order = covers ? MakingOrder.Cover : MakingOrder.Batch },
                        one with
                        {
                            Id = "a",
                            Quantity = $"{quantity}",
                        },
                        other with
                        {
                            Id = "b",
                        }
                    );
                    foreach (var item in Bench(job).Turns.GroupBy(turn => turn.Step.Item))
                        for (var cover = 1; cover <= item.Key.Quantity; cover++)
                            Assert.Equal(
                                item.Key.Draft.Pattern!.Steps.Select(step => step.Key),
                                item.Where(turn => turn.First <= cover && cover <= turn.Last)
                                    .Select(turn => turn.Step.Step.Key)
                            );
                },
                iter: 60
            );

    [Fact]
    public void What_makes_a_cloth_comes_before_what_is_cut_from_it()
    {
        var strips = Items.Read("cloth-of-strips", JobUnit.Inch, "W=40 | L=60") with { Id = "m" };
        var job = Job(new(), Cushion("a"), strips);
        job = job with { Cloths = [.. job.Cloths, JobCloth.Usual("c2", "Strips", JobUnit.Inch) with { MadeBy = "m" }] };
        Assert.Equal("m", Bench(job).Turns[0].Step.Item.Item.Id);
        Assert.Equal(
            "a",
            Bench(job)
                .Turns.SkipWhile(turn => turn.Step.Item.Item.Id == "m")
                .Select(turn => turn.Step.Item.Item.Id)
                .Distinct()
                .Single()
        );
    }

    // A tape marked in sixteenths: 3 3/4 within an eighth is 3 5/8 to 3 7/8.
    [Theory]
    [InlineData("3 3/4 | 3 5/8 | 3 7/8 | 3 3/4", Verdict.Holds, "")]
    [InlineData("3 3/4 | 3 15/16 | 3 3/4 | 3 1/2", Verdict.Off, "right: 3/16 in too much; left: 1/4 in too little")]
    [InlineData("3 3/4 | 3 3/4", Verdict.Open, "")]
    [InlineData("3 3/4 | 9.9 cm", Verdict.Off, "right: 1/8 in too much")]
    public void A_reading_holds_within_its_tolerance(string typed, Verdict verdict, string told)
    {
        var state = LevelOf(Read("a/x/cord-level/1", typed.Split(" | ")));
        Assert.Equal((verdict, told), (state.Verdict, state.Told));
        Assert.Empty(state.Problems);
    }

    [Fact]
    public void A_figure_that_is_no_length_is_told_with_an_example_and_the_rest_still_counts()
    {
        var state = LevelOf(Read("a/x/cord-level/1", "3 3/4", "level", "4 1/4", ""));
        var problem = Assert.Single(state.Problems);
        Assert.Equal(("checks.a/x/cord-level/1.1", "level", "3 3/4"), (problem.Field, problem.Given, problem.Example));
        Assert.Equal((Verdict.Off, "back: 1/2 in too much"), (state.Verdict, state.Told));
    }

    // A figure that is off is not talked away; it is accepted, or done again.
    [Theory]
    [InlineData(Verdict.Holds, Verdict.Off, false)]
    [InlineData(Verdict.Accepted, Verdict.Accepted, true)]
    [InlineData(Verdict.Redo, Verdict.Redo, false)]
    public void What_is_off_is_decided(Verdict answer, Verdict verdict, bool settled)
    {
        var state = LevelOf(Read("a/x/cord-level/1", "4", "4", "4", "4") with { Answer = answer });
        Assert.Equal((verdict, settled), (state.Verdict, state.IsSettled));
    }

    private static CheckState LevelOf(CheckLog log)
    {
        var pattern = Items.Pattern(Cushion("a"));
        var check = pattern.Steps.SelectMany(step => step.Checks).Single(check => check.Key == "cord-level");
        // Snug on a 4 in inner: 3 3/4 from cord to cord.
        Assert.Equal(3.75m, Items.Inches(check.Target!.Value));
        return CheckState.Of(log.Id, check, 1, log, JobUnit.Inch);
    }

    [Fact]
    public void Nothing_is_trimmed_before_it_was_tried_on()
    {
        var item = Items.Read("box-cushion-folded", JobUnit.Inch, "W=22 | L=20 | T=4 | corners=stitch-off") with
        {
            Id = "a",
            Quantity = "2",
        };
        var bench = Bench(Job(new(), item));
        var trims = bench.Turns.Single(turn => turn.Step.Step.Kind == StepKind.Trimming);
        var tries = bench.HeldBy(trims);
        Assert.Equal(StepKind.Fitting, tries!.Step.Kind);
        CheckLog Said(int cover, Verdict answer) => new($"{tries.Id}/tried-on/{cover}", answer);
        BenchStep? Held(params CheckLog[] logs) => Bench(Job(new() { Checks = logs }, item)).HeldBy(trims);
        Assert.NotNull(Held(Said(1, Verdict.Holds)));
        Assert.NotNull(Held(Said(1, Verdict.Holds), Said(2, Verdict.Redo)));
        Assert.Null(Held(Said(1, Verdict.Holds), Said(2, Verdict.Accepted)));
    }

    [Fact]
    public void A_stage_counts_what_is_left_to_make_and_what_is_undecided()
    {
        var item = Cushion("a", "2");
        var step = Bench(Job(new(), item)).Steps[^2];
        StageProgress Made(MakingLog log)
        {
            var job = Job(log, item);
            return Progress.Of(Plan.Of(job, Items.Drafting, lay: true), job).Single(stage => stage.Stage == Stage.Make);
        }
        var all = Bench(Job(new(), item)).Steps;
        Assert.Equal((StageState.Empty, 0), (Made(new()).State, Made(new()).Left));
        Assert.Equal(all.Count, Made(new() { Steps = [new(all[0].Id, 1)] }).Left);
        Assert.Equal(all.Count - 1, Made(new() { Steps = [new(all[0].Id, 2)] }).Left);
        Assert.Equal(StageState.Done, Made(new() { Steps = [.. all.Select(each => new StepLog(each.Id, 2))] }).State);
        var width = step.Step.Checks.Single(check => check.Key == "width");
        var off = Made(new() { Steps = [new(all[0].Id, 2)], Checks = [Read($"{step.Id}/{width.Key}/2", "19")] });
        Assert.Equal((StageState.Doubt, 1), (off.State, off.InDoubt));
    }

    [Theory]
    [InlineData("42", 42)]
    [InlineData(" 42 min", 42)]
    [InlineData("1:10", 70)]
    [InlineData("1 h 10", 70)]
    [InlineData("2h", 120)]
    [InlineData("1 hour 5 minutes", 65)]
    [InlineData("", null)]
    [InlineData("half an hour", null)]
    [InlineData("1:70", null)]
    [InlineData("-5", null)]
    [InlineData("9999:00", null)]
    [InlineData("99999999999999999999", null)]
    public void Time_taken_is_read_as_people_write_it(string typed, int? minutes)
    {
        var (seconds, reason) = TimeTaken.Read(typed);
        Assert.Equal(minutes * 60L, seconds);
        Assert.Equal(minutes is null, reason is not null);
    }

    // What was measured counts for other jobs, and not what the lay says; a row that is not whole is left out.
    [Fact]
    public void What_is_left_is_what_was_measured()
    {
        Entry In(string typed) => new(typed, JobUnit.Inch);
        var cloth = JobCloth.Usual("c1", "Moss linen", JobUnit.Inch) with
        {
            Cut = [new JobCut("a/panel/1", 1, 1)],
            Left =
            [
                new JobRemnant("shelf 2", In("18 1/2"), In("24")) { Id = "r1" },
                new JobRemnant("", In("30"), In("")) { Id = "r2" },
                new JobRemnant("", In("some"), In("10")) { Id = "r3" },
            ],
        };
        var job = Job(new(), Cushion("a")) with { Cloths = [cloth] };
        var left = Assert.Single(LeftOver.Of(job, " moss LINEN ", Items.Drafting));
        Assert.Equal((18.5m, 24m), (Items.Inches(left.Along), Items.Inches(left.Across)));
        Assert.Equal("cloths.c1.left.r3.length", Assert.Single(LeftOver.Measured(cloth, JobUnit.Inch).Problems).Field);
    }

    // A hem of 211 in drawn in to 158 1/4: three quarters of it. Longer than the edge it draws nothing in.
    [Theory]
    [InlineData("158 1/4", 75.0, Verdict.Holds)]
    [InlineData("4 m", 74.5, Verdict.Holds)]
    [InlineData("220", 104.5, Verdict.Off)]
    [InlineData("", null, Verdict.Open)]
    [InlineData("until it held", null, Verdict.Open)]
    public void Elastic_found_by_pull_is_told_as_a_share_of_the_edge(string typed, double? share, Verdict verdict)
    {
        // True to size: 2 x (31 1/2 + 74) = 211.
        var sheet = Items.Pattern(
            Items.Read("fitted-sheet", JobUnit.Inch, "W=31 1/2 | L=74 | T=7 | elastic=pull | corners=cut")
        );
        var check = sheet.Steps.SelectMany(step => step.Checks).Single(check => check.Key == "elastic");
        Assert.Equal(211m, Items.Inches(check.ShareOf!.Value));
        var state = CheckState.Of("a/x/elastic/1", check, 1, Read("a/x/elastic/1", typed), JobUnit.Inch);
        Assert.Equal(((decimal?)share, verdict), (state.Share, state.Verdict));
    }

    // Twenty-five alike are made together, whichever order is asked for; twenty-four one by one.
    [Theory]
    [InlineData("24", 24)]
    [InlineData("25", 1)]
    public void So_many_alike_are_not_made_one_by_one(string quantity, int rounds)
    {
        var bench = Bench(Job(new() { Order = MakingOrder.Cover }, Cushion("a", quantity)));
        Assert.Equal(rounds * bench.Steps.Count, bench.Turns.Count);
    }

    // Of four covers three are cut: cover by cover the fourth is still to be cut, and together all of it is.
    [Fact]
    public void A_step_is_done_on_so_many_covers()
    {
        var cut = Bench(Job(new(), Cushion("a", "4"))).Steps[0].Id;
        var log = new MakingLog { Steps = [new(cut, 3)] };
        Assert.False(Bench(Job(log, Cushion("a", "4"))).Turns[0].IsDone);
        var one = Bench(Job(log with { Order = MakingOrder.Cover }, Cushion("a", "4"))).Turns;
        Assert.Equal([true, true, true, false], one.Where(turn => turn.Step.Id == cut).Select(turn => turn.IsDone));
        // Fewer are wanted now than were made.
        Assert.True(Bench(Job(log, Cushion("a", "2"))).Turns[0].IsDone);
    }
}
