using CsCheck;
using Wrapper.Core.Workroom.Week;

namespace Wrapper.Core.Tests;

/// <summary>
/// The planner held against random workrooms, and against a plain one of its own here that goes minute by minute
/// through every order.
/// </summary>
public class PlannerProperties
{
    private static readonly HashSet<Skill> All = [.. Enum.GetValues<Skill>()];

    private static Gen<Worker> Workers(string id, int days, int hours) =>
        Gen.Select(
            Gen.Int[0, hours].Array[days],
            Gen.Bool.Array[4],
            Gen.OneOfConst(100, 100, 75, 150),
            (minutes, can, pace) =>
                new Worker(
                    id,
                    minutes,
                    Enum.GetValues<Skill>().Where((_, n) => can[n] || (id == "w0" && n < 2)).ToHashSet(),
                    pace
                )
        );

    private static Gen<PlannedJob> Jobs(string id, int most, int minutes, int days) =>
        Gen.Select(
            Gen.Select(Gen.Enum<Skill>(), Gen.Int[1, minutes], Gen.Int[0, days / 3]).Array[1, most],
            Gen.Int[-1, days - 1],
            (works, promised) =>
                new PlannedJob(
                    id,
                    [.. works.Select((work, n) => new PlannedWork($"{n}", work.Item1, work.Item2, work.Item3))],
                    promised < 0 ? null : promised
                )
        );

    private static Gen<(PlannedJob[] Jobs, Worker[] Workers)> Rooms(int jobs, int works, int workers, int days) =>
        Gen.Select(
            Gen.Int[1, jobs].SelectMany(count => Each(count, n => Jobs($"j{n}", works, 240, days))),
            Gen.Int[1, workers].SelectMany(count => Each(count, n => Workers($"w{n}", days, 420)))
        );

    private static Gen<T[]> Each<T>(int count, Func<int, Gen<T>> of) =>
        Enumerable
            .Range(0, count)
            .Aggregate(
                Gen.Const(Array.Empty<T>()),
                (all, n) => Gen.Select(all, of(n), (before, one) => (T[])[.. before, one])
            );

    // Some works are put somewhere by hand, sensibly or not.
    private static Gen<PlannedJob[]> Pinned(PlannedJob[] jobs, Worker[] workers, int days) =>
        Gen.Select(
                Gen.Int[0, 3].Array[jobs.Length],
                Gen.Int[0, workers.Length - 1].Array[jobs.Length],
                Gen.Int[0, days - 1].Array[jobs.Length]
            )
            .Select(
                (whether, who, when) =>
                    jobs.Select(
                            (job, n) =>
                                whether[n] > 0
                                    ? job
                                    : job with
                                    {
                                        Works =
                                        [
                                            job.Works[0] with
                                            {
                                                Fixed = new(workers[who[n]].Id, when[n]),
                                            },
                                            .. job.Works.Skip(1),
                                        ],
                                    }
                        )
                        .ToArray()
            );

    [Fact]
    public void Nobody_is_over_their_hours_order_and_waits_are_kept_and_fixed_works_stay() =>
        Rooms(12, 4, 3, 20)
            .SelectMany(room => Pinned(room.Jobs, room.Workers, 20).Select(jobs => (Jobs: jobs, room.Workers)))
            .Sample(
                room =>
                {
                    var plan = Planner.Of(room.Jobs, room.Workers);
                    foreach (var worker in room.Workers)
                        for (var day = 0; day < 20; day++)
                        {
                            var parts = plan
                                .Stretches.Where(part => part.Person == worker.Id && part.Day == day)
                                .OrderBy(part => part.From)
                                .ToList();
                            Assert.All(parts, part => Assert.InRange(part.From + part.Minutes, 1, worker.Minutes[day]));
                            Assert.All(
                                parts.Zip(parts.Skip(1)),
                                two => Assert.True(two.First.From + two.First.Minutes <= two.Second.From)
                            );
                        }
                    foreach (var job in room.Jobs)
                    {
                        var clashes = plan.Clashes.Where(clash => clash.Job == job.Id).ToList();
                        (int, int) end = (0, 0);
                        foreach (var work in job.Works)
                        {
                            var parts = plan
                                .Stretches.Where(part => part.Job == job.Id && part.Work == work.Id)
                                .OrderBy(part => part.Day)
                                .ThenBy(part => part.From)
                                .ToList();
                            if (parts.Count == 0)
                            {
                                // What is not placed is told, and nothing after it is placed as if it were.
                                Assert.NotEmpty(clashes);
                                continue;
                            }
                            var worker = room.Workers.Single(each =>
                                each.Id == Assert.Single(parts.Select(part => part.Person).Distinct())
                            );
                            Assert.Equal(worker.Takes(work.Minutes), parts.Sum(part => part.Minutes));
                            if (work.Fixed is { } put)
                            {
                                Assert.Equal(put.Person, worker.Id);
                                Assert.True(parts[0].Day == put.Day || clashes.Count > 0);
                            }
                            if (clashes.Count == 0)
                            {
                                Assert.Contains(work.Skill, worker.Skills);
                                Assert.True(parts[0].Day >= work.NotBefore);
                                Assert.True((parts[0].Day, parts[0].From).CompareTo(end) >= 0);
                            }
                            end = (parts[^1].Day, parts[^1].From + parts[^1].Minutes);
                        }
                        var finish = plan.Finishes.Single(each => each.Job == job.Id);
                        if (clashes.Count == 0)
                            Assert.Equal(end.Item1, finish.Day);
                        if (job.Promised is { } promised)
                            Assert.Equal(
                                finish.Day is { } day ? Math.Max(0, day - promised) : 20 - promised,
                                finish.Late
                            );
                        else
                            Assert.Equal(0, finish.Late);
                    }
                    // The same room, the same plan.
                    Assert.Equal(plan.Stretches, Planner.Of(room.Jobs, room.Workers).Stretches);
                },
                iter: 400
            );

    // Days of six minutes, so that every order can be gone through minute by minute.
    private static Gen<(PlannedJob[] Jobs, Worker[] Workers)> Small(int jobs, int works, int workers) =>
        Gen.Select(
            Gen.Int[2, jobs].SelectMany(count => Each(count, n => Jobs($"j{n}", works, 5, 6))),
            Each(workers, n => Workers($"w{n}", 6, 6).Select(worker => worker with { Pace = 100 }))
        );

    [Fact]
    public void Eight_jobs_of_one_person_are_in_time_whenever_any_order_keeps_them() =>
        Small(8, 1, 1)
            .Select(room => (room.Jobs, Workers: new[] { room.Workers[0] with { Skills = All } }))
            .Sample(Keeps, iter: 150);

    [Fact]
    public void Jobs_of_two_people_are_in_time_whenever_any_order_and_anybody_keeps_them() =>
        Small(4, 2, 2).Sample(Keeps, iter: 250);

    private static void Keeps((PlannedJob[] Jobs, Worker[] Workers) room)
    {
        var jobs = room.Jobs.Where(job => job.Promised is not null).ToArray();
        var plan = Planner.Of(room.Jobs, room.Workers);
        Assert.Equal(Any(jobs, room.Workers), !plan.Late.Any());
    }

    // Goes through every order of the works and every person for each, with a plain table of minutes.
    private static bool Any(PlannedJob[] jobs, Worker[] workers)
    {
        var busy = workers.Select(_ => new bool[6 * 6]).ToArray();
        var at = new int[jobs.Length];
        var from = new int[jobs.Length];
        return Go();

        bool Go()
        {
            var open = Enumerable.Range(0, jobs.Length).Where(job => at[job] < jobs[job].Works.Count).ToList();
            if (open.Count == 0)
                return true;
            foreach (var job in open)
            {
                var (work, before) = (jobs[job].Works[at[job]], from[job]);
                foreach (var (n, worker) in workers.Index().Where(each => each.Item.Skills.Contains(work.Skill)))
                {
                    List<int> minutes = [];
                    for (
                        var minute = Math.Max(before, work.NotBefore * 6);
                        minute < 36 && minutes.Count < work.Minutes;
                        minute++
                    )
                        if (minute % 6 < worker.Minutes[minute / 6] && !busy[n][minute])
                            minutes.Add(minute);
                    if (minutes.Count < work.Minutes || minutes[^1] / 6 > jobs[job].Promised)
                        continue;
                    minutes.ForEach(minute => busy[n][minute] = true);
                    (at[job], from[job]) = (at[job] + 1, minutes[^1] + 1);
                    if (Go())
                        return true;
                    (at[job], from[job]) = (at[job] - 1, before);
                    minutes.ForEach(minute => busy[n][minute] = false);
                }
            }
            return false;
        }
    }

    // What is filled last is done by whoever has the day for it, not by whoever can do less: w1 has day 4 full with j2.
    [Fact]
    public void The_last_work_of_a_job_is_held_against_its_promise_too()
    {
        PlannedWork Work(string id, Skill skill, int minutes, int from) => new(id, skill, minutes, from);
        PlannedJob[] jobs =
        [
            new("j0", [Work("0", Skill.Sewing, 5, 1), Work("1", Skill.Cutting, 3, 1)], 4),
            new("j2", [Work("0", Skill.Finishing, 5, 2)], 4),
            new("j3", [Work("0", Skill.Sewing, 3, 1), Work("1", Skill.Finishing, 4, 0)], 4),
        ];
        Worker[] workers =
        [
            new("w0", [1, 1, 5, 6, 4, 6], All),
            new("w1", [3, 3, 0, 3, 5, 5], new HashSet<Skill> { Skill.Cutting, Skill.Finishing }),
        ];
        Assert.Empty(Planner.Of(jobs, workers).Late);
    }

    // Two jobs of three hours, one day of six: the one that was promised sooner goes first, though it came later.
    [Fact]
    public void By_hand()
    {
        Worker[] alone = [new("m", [360, 360, 0, 360], All)];
        PlannedJob Job(string id, int? promised, params PlannedWork[] works) => new(id, works, promised);
        var plan = Planner.Of(
            [
                Job("stools", 1, new PlannedWork("cut", Skill.Cutting, 60), new PlannedWork("sew", Skill.Sewing, 240)),
                Job("bench", 0, new PlannedWork("cut", Skill.Cutting, 90), new PlannedWork("sew", Skill.Sewing, 150)),
                Job("pads", null, new PlannedWork("sew", Skill.Sewing, 300, NotBefore: 1)),
            ],
            alone
        );
        Assert.Equal(
            [
                new("bench", "cut", "m", 0, 0, 90),
                new("bench", "sew", "m", 0, 90, 150),
                new("stools", "cut", "m", 0, 240, 60),
                new("stools", "sew", "m", 0, 300, 60),
                new("stools", "sew", "m", 1, 0, 180),
                new("pads", "sew", "m", 1, 180, 180),
                new Stretch("pads", "sew", "m", 3, 0, 120),
            ],
            plan.Stretches
        );
        Assert.Equal(
            [("stools", 1, 0), ("bench", 0, 0), ("pads", 3, 0)],
            plan.Finishes.Select(each => (each.Job, each.Day!.Value, each.Late))
        );
        // A day less, and the one that cannot be is late by so much.
        plan = Planner.Of([Job("bench", 0, new PlannedWork("sew", Skill.Sewing, 600))], [new("m", [300, 0, 300], All)]);
        Assert.Equal((2, 2), (plan.Finishes[0].Day, plan.Finishes[0].Late));
        plan = Planner.Of(
            [Job("bench", 0, new PlannedWork("fit", Skill.Fitting, 10))],
            [new("m", [300], new HashSet<Skill> { Skill.Sewing })]
        );
        Assert.Equal("nobody in the workroom can do it", Assert.Single(plan.Clashes).Reason);
        Assert.Null(plan.Finishes[0].Day);
    }
}
