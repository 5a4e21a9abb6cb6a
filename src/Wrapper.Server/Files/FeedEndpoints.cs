using System.Security.Cryptography;
using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Formats.Dates;
using Wrapper.Server.Hosting;
using Wrapper.Server.Week;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>The address of the calendar that may be subscribed to; empty while there is none.</summary>
public sealed record FeedView(string Address);

/// <summary>Due dates and days at the bench as a calendar: a file, and an address to subscribe to.</summary>
internal static class FeedEndpoints
{
    private const string ICalendar = "text/calendar";

    // So many days from today on are told.
    private const int Days = 180;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet(
                "/week.ics",
                (
                    SheetStore sheets,
                    WeekStore store,
                    Workloads loads,
                    TimeProvider clock,
                    DraftQueue queue,
                    HttpContext context
                ) => Answer(sheets, store, loads, clock, queue, context)
            )
            .Produces<byte[]>(200, ICalendar)
            .WithName("calendarFile")
            .WithSummary("Due dates and days at the bench as an iCalendar file.");

        api.MapGet("/feed", (FeedStore feeds) => View(feeds.Secret()))
            .WithName("getFeed")
            .WithSummary("The address of the calendar that may be subscribed to; empty while there is none.");

        api.MapPost(
                "/feed",
                (FeedStore feeds) => View(feeds.Keep(Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(20))))
            )
            .WithName("makeFeed")
            .WithSummary("Makes a secret address to subscribe to; the one before answers no more.");

        api.MapDelete(
                "/feed",
                (FeedStore feeds) =>
                {
                    feeds.Revoke();
                    return TypedResults.NoContent();
                }
            )
            .WithName("revokeFeed")
            .WithSummary("Whoever has the address of the calendar gets nothing there any more.");

        api.MapGet(
                "/feed/{secret}.ics",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
                    string secret,
                    FeedStore feeds,
                    SheetStore sheets,
                    WeekStore store,
                    Workloads loads,
                    TimeProvider clock,
                    DraftQueue queue,
                    HttpContext context
                ) =>
                    feeds.Secret() is { Length: > 0 } kept
                    && CryptographicOperations.FixedTimeEquals(
                        Encoding.UTF8.GetBytes(kept),
                        Encoding.UTF8.GetBytes(secret)
                    )
                        ? await Answer(sheets, store, loads, clock, queue, context)
                        : Problems.NotFound("there is no calendar at this address, or no longer")
            )
            .Produces<byte[]>(200, ICalendar)
            .ProducesProblem(404)
            .WithName("feed")
            .WithSummary("The same calendar for whoever knows the address.");
    }

    private static FeedView View(string? secret) => new(secret is { Length: > 0 } ? $"/api/feed/{secret}.ics" : "");

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Answer(
        SheetStore sheets,
        WeekStore store,
        Workloads loads,
        TimeProvider clock,
        DraftQueue queue,
        HttpContext context
    ) =>
        await queue.Run<Results<FileContentHttpResult, ProblemHttpResult>>(
            context,
            turn =>
            {
                var week = new WeekTable(sheets, store, loads, WeekEndpoints.Today(clock), turn.Cancel).View(
                    Days,
                    turn.Cancel
                );
                return Downloads.File(
                    Encoding.UTF8.GetBytes(CalendarFile.Write("Workroom", WeekDays.Of(week), clock.GetUtcNow())),
                    ICalendar,
                    "ics",
                    "Workroom"
                );
            }
        );
}
