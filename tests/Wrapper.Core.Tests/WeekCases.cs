using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Week;

namespace Wrapper.Core.Tests;

/// <summary>Calendars and schedules as people type them, what waits, what helps a late job; by hand.</summary>
public class WeekCases
{
    // A Friday.
    private static readonly DateOnly First = new(2026, 11, 27);
    private static readonly HashSet<Skill> All = [.. Enum.GetValues<Skill>()];

    private static Hand Hand(string id, params string[] hours) => new(id, id, hours, [.. All], "");

    [Fact]
    public void Hours_are_read_day_by_day_and_closer_days_go_before_wider_ones()
    {
        var calendar = new Calendar
        {
            People =
            [
                Hand("a", "7", "7.5", "7:30", "7 h 15", "6,5", "", "0") with
                {
                    Other =
                    [
                        new("x", "2026-11-28", "", "3", "a rush"),
                        new("y", "2026-12-02", "2026-12-03", "", "away"),
                    ],
                },
            ],
            Other = [new("z", "2026-11-30", "2026-12-02", "2", "half days")],
        };
        var reading = new CalendarReading(calendar, First, 8);
        Assert.Empty(reading.Problems);
        // Fri 6 1/2 h, Sat 3 of their own, Sun none, Mon and Tue 2 as all, Wed and Thu away, Fri again.
        Assert.Equal([390, 180, 0, 120, 120, 0, 0, 390], reading.Workers[0].Minutes);
        Assert.Equal(
            [0, 435, 390],
            new CalendarReading(calendar, new(2026, 12, 9), 3).Workers[0].Minutes.Select((m, n) => n == 0 ? 0 : m)
        );
    }

    [Fact]
    public void What_cannot_be_read_in_a_calendar_is_told_field_by_field()
    {
        var reading = new CalendarReading(
            new Calendar
            {
                People =
                [
                    new("a", "", ["seven", "25"], [], "10")
                    {
                        Other = [new("x", "tomorrow", "", "", ""), new("y", "2026-12-03", "2026-12-01", "", "")],
                    },
                ],
            },
            First,
            3
        );
        Assert.Equal(
            [
                "people.a.name",
                "people.a.skills",
                "people.a.hours.0",
                "people.a.hours.1",
                "people.a.pace",
                "people.a.other.x.from",
                "people.a.other.y.until",
            ],
            reading.Problems.Select(problem => problem.Field)
        );
    }

    private static WeekJob Job(string id, JobSchedule schedule, bool ordered = false) =>
        new(
            id,
            id,
            schedule,
            [
                new("cutting", Skill.Cutting, 60),
                new("sewing", Skill.Sewing, 120),
                new("fitting", Skill.Fitting, 30),
                new("finishing", Skill.Finishing, 30),
            ],
            ordered
        );

    [Fact]
    public void Works_wait_for_cloth_foam_and_the_fitting_and_a_job_without_a_date_waits_aside()
    {
        var reading = new WeekReading(
            [
                Job(
                    "a",
                    new()
                    {
                        Promised = "2026-12-04",
                        Cloth = Supply.Ordered,
                        ClothOn = "2026-11-30",
                        Foam = Supply.Ordered,
                        FoamOn = "2026-12-03",
                        FittingOn = "2026-12-02",
                    }
                ),
                Job("b", new() { InWeek = InWeek.Yes, Cloth = Supply.Ordered }),
                Job("c", new()),
                Job("d", new(), ordered: true),
                Job("e", new() { InWeek = InWeek.No, Promised = "2026-12-04" }),
                Job(
                    "f",
                    new()
                    {
                        Promised = "friday",
                        Foam = Supply.Ordered,
                        FoamOn = "2026-11-20",
                        Fixed = [new("sewing", "m", "2026-11-25")],
                    }
                ),
            ],
            First,
            60
        );
        Assert.Equal(["a", "d", "f"], reading.Planned.Select(job => job.Id));
        Assert.Equal([3, 3, 5, 6], reading.Planned[0].Works.Select(work => work.NotBefore));
        Assert.Equal(7, reading.Planned[0].Promised);
        Assert.Equal("b", Assert.Single(reading.Waiting).Job);
        Assert.Equal(["c", "e"], reading.Outside);
        Assert.Equal(("f", "promised"), (reading.Problems[0].Job, reading.Problems[0].Problem.Field));
        Assert.Contains("is it here?", Assert.Single(reading.ToAsk).Text, StringComparison.Ordinal);
        // What was fixed to a day that is past goes on today.
        Assert.Equal(new Fixed("m", 0), reading.Planned[2].Works[1].Fixed);
    }

    // Four hours, then two, due on day 2 of days of five: two on day 2, and four end on it after... three and one before.
    [Fact]
    public void The_last_day_to_begin_is_counted_back_from_the_promise()
    {
        Worker[] workers = [new("m", [300, 300, 300], All)];
        PlannedJob Due(params int[] minutes) =>
            new("j", [.. minutes.Select((each, n) => new PlannedWork($"{n}", Skill.Sewing, each))], 2);
        Assert.Equal(2, Backward.BeginBy(Due(180, 120), 2, workers));
        Assert.Equal(1, Backward.BeginBy(Due(240, 120), 2, workers));
        Assert.Equal(0, Backward.BeginBy(Due(240, 300, 120), 2, workers));
        Assert.Null(Backward.BeginBy(Due(400, 300, 240), 2, workers));
        Assert.Null(Backward.BeginBy(Due(10), -1, workers));
    }

    // Two jobs of five hours for one day of five. The other one promised for later helps, a day that is off, a helper of a day.
    [Fact]
    public void What_helps_a_late_job_is_tried_and_told_with_what_it_costs_others()
    {
        Worker[] workers = [new("m", [0, 300, 0, 300, 300], All)];
        PlannedJob[] jobs =
        [
            new("bench", [new("s", Skill.Sewing, 300)], 1),
            new("stool", [new("s", Skill.Sewing, 300)], 2),
            new("pads", [new("s", Skill.Sewing, 300)], null),
        ];
        var plan = Planner.Of(jobs, workers);
        var late = Assert.Single(plan.Late);
        Assert.Equal(("stool", 1), (late.Job, late.Late));
        var remedies = Remedies.For(late, plan, jobs, workers).ToDictionary(remedy => remedy.Kind);
        Assert.Equal(
            ("bench", 3, 2),
            (remedies[RemedyKind.Move].About, remedies[RemedyKind.Move].Day, remedies[RemedyKind.Move].Amount)
        );
        Assert.Equal([("bench", 2)], remedies[RemedyKind.Move].Others);
        Assert.Equal(
            ("m", 2, 300),
            (remedies[RemedyKind.Day].About, remedies[RemedyKind.Day].Day, remedies[RemedyKind.Day].Amount)
        );
        Assert.Empty(remedies[RemedyKind.Day].Others);
        Assert.Equal((1, 1), (remedies[RemedyKind.Helper].Day, remedies[RemedyKind.Helper].Amount));
        Assert.Equal([(1, 300)], remedies[RemedyKind.Helper].Helped);
        Assert.Equal((3, 1), (remedies[RemedyKind.Promise].Day, remedies[RemedyKind.Promise].Amount));
    }

    // What the bench says of the minutes is what the week plans: all of it, in its order, less what is done.
    [Fact]
    public void The_work_of_a_job_is_that_of_its_bench()
    {
        var job = JobDocument.Empty("job", Lengths.JobUnit.Inch) with
        {
            Items = [Items.Example("box-cushion-strip") with { Quantity = "3" }],
        };
        IReadOnlyList<LoadedWork> Of(JobDocument of) =>
            Workload.Of(BenchPlan.Of(Plan.Of(of, Items.Drafting, lay: false).Items, of));
        var bench = BenchPlan.Of(Plan.Of(job, Items.Drafting, lay: false).Items, job);
        var works = Of(job);
        var minutes = bench.Steps.Sum(step => step.Minutes * 3);
        Assert.InRange(works.Sum(work => work.Minutes), minutes, minutes + works.Count);
        Assert.Equal(Skill.Cutting, works[0].Skill);
        Assert.Equal(works.Count, works.Select(work => work.Id).Distinct().Count());
        // Cut on two of three, sewn on none.
        var cut = bench.Steps.Where(step => Skills.Of(step.Step.Kind) == Skill.Cutting).ToList();
        var begun = Of(
            job with
            {
                Making = job.Making with { Steps = [.. cut.Select(step => new StepLog(step.Id, 2))] },
            }
        );
        Assert.InRange(begun[0].Minutes, cut.Sum(step => step.Minutes), cut.Sum(step => step.Minutes) + 1);
        Assert.Equal(works.Skip(1), begun.Skip(1));
        Assert.Equal(
            works.Skip(1),
            Of(job with { Making = job.Making with { Steps = [.. cut.Select(step => new StepLog(step.Id, 3))] } })
        );
    }
}
