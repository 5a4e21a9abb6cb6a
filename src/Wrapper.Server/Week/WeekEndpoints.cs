using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Week;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Week;

/// <summary>What is said of when a job is made, made from revision <paramref name="From"/>.</summary>
public sealed record KeepSchedule(long From, JobSchedule Schedule);

/// <summary>What was said of when a job is made, and what of it cannot be read.</summary>
public sealed record ScheduleView(long Revision, JobSchedule Schedule, IReadOnlyList<Problem> Problems);

/// <summary>The week: works in days, what is late, when something can be had.</summary>
internal static class WeekEndpoints
{
    private const int LongestWord = 64,
        MostFixed = 40;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/week",
                (
                    int? days,
                    SheetStore sheets,
                    WeekStore store,
                    Workloads loads,
                    TimeProvider clock,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<WeekView>(
                        queue,
                        context,
                        days is < 1 or > WeekTable.Days
                            ? [new Problem("days", $"{days}", 0, $"from 1 to {WeekTable.Days} days are shown", "7")]
                            : [],
                        cancel =>
                            TypedResults.Ok(
                                new WeekTable(sheets, store, loads, Today(clock), cancel).View(days ?? 42, cancel)
                            )
                    )
            )
            .ProducesProblem(422)
            .WithName("getWeek")
            .WithSummary(
                "The works of every job on the bench in days, from today on; what will be late and what would help; what waits."
            );

        api.MapGet(
                "/jobs/{id}/schedule",
                Results<Ok<ScheduleView>, ProblemHttpResult> (
                    string id,
                    SheetStore sheets,
                    JobStore jobs,
                    JobList list,
                    TimeProvider clock
                ) => jobs.Find(id) is null ? JobEndpoints.NoJob(id, list) : TypedResults.Ok(Of(id, sheets, clock))
            )
            .ProducesProblem(404)
            .WithName("getSchedule")
            .WithSummary("What was said of when a job is made.");

        api.MapPut(
                "/jobs/{id}/schedule",
                Results<Ok<ScheduleView>, ProblemHttpResult> (
                    string id,
                    KeepSchedule keep,
                    SheetStore sheets,
                    JobStore jobs,
                    JobList list,
                    TimeProvider clock
                ) =>
                    Limits(keep.Schedule) is { } problem ? Problems.Fields([problem])
                    : jobs.Find(id) is null ? JobEndpoints.NoJob(id, list)
                    : sheets.Keep(JobSheet.Schedule, id, keep.From, KeptJson.Write(keep.Schedule))
                        ? TypedResults.Ok(Of(id, sheets, clock))
                    : Problems.Meanwhile(
                        "This job was moved elsewhere in the meantime: look at the week and say it again."
                    )
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("keepSchedule")
            .WithSummary("Says when a job is made. What cannot be read is kept as typed, and told.");

        api.MapGet(
                "/jobs/{id}/when",
                (
                    string id,
                    SheetStore sheets,
                    WeekStore store,
                    Workloads loads,
                    TimeProvider clock,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<WhenView>(
                        queue,
                        context,
                        [],
                        cancel =>
                            store.Find(id) is not { } job
                                ? Problems.NotFound("there is no such job on the bench")
                                : TypedResults.Ok(
                                    new WeekTable(sheets, store, loads, Today(clock), cancel, job).When(id)
                                )
                    )
            )
            .ProducesProblem(404)
            .WithName("when")
            .WithSummary("When a job can be had without making any other late, and why not sooner.");
    }

    /// <summary>The day that it is here.</summary>
    public static DateOnly Today(TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);

    private static ScheduleView Of(string id, SheetStore sheets, TimeProvider clock)
    {
        var kept = sheets.Read(JobSheet.Schedule, id);
        var schedule = WeekTable.ScheduleOf(kept);
        var reading = new WeekReading(
            [new(id, "", schedule with { InWeek = InWeek.Yes }, [new("sewing", Skill.Sewing, 1)], IsOrdered: false)],
            Today(clock),
            WeekTable.Days
        );
        return new(kept?.Revision ?? 0, schedule, [.. reading.Problems.Select(each => each.Problem)]);
    }

    internal static Problem? Limits(JobSchedule schedule)
    {
        if (schedule.Fixed.Count > MostFixed)
            return new("fixed", $"{schedule.Fixed.Count}", 0, $"at most {MostFixed} works are fixed", "");
        var words = schedule
            .Fixed.SelectMany(each => new[] { each.Work, each.Person, each.Date })
            .Concat([schedule.AskedFor, schedule.Promised, schedule.ClothOn, schedule.FoamOn, schedule.FittingOn]);
        return words.FirstOrDefault(word => word.Length > LongestWord) is { } word
            ? new("promised", word[..40], LongestWord, $"longer than {LongestWord} characters", "2026-12-04")
            : null;
    }
}
