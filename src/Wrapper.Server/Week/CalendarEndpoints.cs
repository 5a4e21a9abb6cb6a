using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Week;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Week;

/// <summary>When the workroom works, at one revision, and what in it cannot be read.</summary>
public sealed record CalendarView(long Revision, Calendar Calendar, IReadOnlyList<Problem> Problems);

/// <summary>The calendar as it is to be, made from revision <paramref name="From"/>.</summary>
public sealed record KeepCalendar(long From, Calendar Calendar);

/// <summary>When the workroom works.</summary>
internal static class CalendarEndpoints
{
    private const int MostRows = 200,
        LongestWord = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/calendar", Read)
            .WithName("getCalendar")
            .WithSummary("Who works when, and on which days otherwise.");

        api.MapPut(
                "/calendar",
                Results<Ok<CalendarView>, ProblemHttpResult> (
                    KeepCalendar keep,
                    SheetStore store,
                    TimeProvider clock
                ) =>
                    Limits(keep.Calendar) is { } problem ? Problems.Fields([problem])
                    : store.Keep(WorkroomSheet.Calendar, keep.From, KeptJson.Write(keep.Calendar))
                        ? TypedResults.Ok(Read(store, clock))
                    : Problems.Meanwhile(
                        "The calendar was changed elsewhere in the meantime: look at it and say it again."
                    )
            )
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("keepCalendar")
            .WithSummary("Keeps the calendar. What cannot be read in it is kept as typed, and told.");
    }

    /// <summary>The calendar as it is kept; the usual one before there is any.</summary>
    public static Calendar Of(SheetStore store) =>
        KeptJson.Read<Calendar>(store.Read(WorkroomSheet.Calendar)?.Content) ?? Calendar.Usual;

    private static CalendarView Read(SheetStore store, TimeProvider clock)
    {
        var calendar = Of(store);
        return new(
            store.Read(WorkroomSheet.Calendar)?.Revision ?? 0,
            calendar,
            new CalendarReading(calendar, WeekEndpoints.Today(clock), 1).Problems
        );
    }

    internal static Problem? Limits(Calendar calendar)
    {
        var other = calendar.Other.Concat(calendar.People.SelectMany(hand => hand.Other)).ToList();
        if (calendar.People.Count > CalendarReading.MostPeople || other.Count > MostRows)
            return new(
                "people",
                $"{calendar.People.Count}",
                0,
                $"at most {CalendarReading.MostPeople} people and {MostRows} other days",
                ""
            );
        if (calendar.People.Any(hand => hand.Hours.Count > 7 || hand.Skills.Count > 8))
            return new("people", "", 0, "a week has seven days", "7");
        return
            calendar
                .People.SelectMany(hand => hand.Hours.Concat([hand.Id, hand.Name, hand.Pace]))
                .Concat(other.SelectMany(each => new[] { each.Id, each.From, each.Until, each.Hours, each.Why }))
                .FirstOrDefault(text => text.Length > LongestWord)
                is { } word
            ? new("people", word[..40], LongestWord, $"longer than {LongestWord} characters", "Odile")
            : null;
    }
}
