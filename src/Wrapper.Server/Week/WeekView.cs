using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Week;

namespace Wrapper.Server.Week;

/// <summary>Somebody who works: the minutes of each day.</summary>
public sealed record HandView(string Id, string Name, IReadOnlyList<int> Minutes);

/// <summary>
/// A strip of work on one day of one person: where in the day it begins and how long it is, in minutes.
/// <paramref name="Part"/> counts the strips of one work from 0; <paramref name="IsFixed"/> says that it was put there
/// by hand.
/// </summary>
public sealed record StripView(
    string Job,
    string Work,
    Skill Skill,
    string Person,
    int Day,
    int From,
    int Minutes,
    int Part,
    bool IsFixed
);

/// <summary>
/// A job in the week: what was said of it, when it begins and is done, the last day on which it can be begun to be in
/// time with nothing else in the way, how many days late, and what is wrong; dates empty where there is none.
/// </summary>
public sealed record WeekJobView(
    string Id,
    string Name,
    string Customer,
    string Tone,
    long Revision,
    JobSchedule Schedule,
    string Hours,
    string Begins,
    string Done,
    string BeginBy,
    int Late,
    IReadOnlyList<string> Told,
    IReadOnlyList<Problem> Problems
);

/// <summary>
/// One thing that would bring a late job in time, told with what it costs others, and what to change for it: a job to be
/// promised for a day, a person to work on one, or a helper to come.
/// </summary>
public sealed record RemedyView(
    string Text,
    IReadOnlyList<string> Others,
    string? Job,
    string? Person,
    string Date,
    string Hours
)
{
    /// <summary>Of a helper: the days on which somebody comes.</summary>
    public IReadOnlyList<HelperDay> Helper { get; init; } = [];
}

/// <summary>A day on which a helper comes, and for how long, both as the calendar has them.</summary>
public sealed record HelperDay(string Date, string Hours);

/// <summary>A job that will be late, in words, and what helps.</summary>
public sealed record LateView(string Job, string Text, IReadOnlyList<RemedyView> Remedies);

/// <summary>A job that is not in the week, or waits.</summary>
public sealed record OutsideView(string Id, string Name, string Customer, string Why);

/// <summary>
/// The days from <paramref name="First"/> on, who works, every strip of work, the jobs, what is late, what waits for
/// something without a date and what is not in the week.
/// </summary>
public sealed record WeekView(
    string First,
    int Days,
    IReadOnlyList<HandView> People,
    IReadOnlyList<StripView> Strips,
    IReadOnlyList<WeekJobView> Jobs,
    IReadOnlyList<LateView> Late,
    IReadOnlyList<OutsideView> Waiting,
    IReadOnlyList<OutsideView> Outside,
    IReadOnlyList<Problem> Problems
);

/// <summary>When something can be had, and why not sooner.</summary>
public sealed record WhenView(string? Date, string Text, IReadOnlyList<string> Why);

/// <summary>How days are told.</summary>
internal static class Days
{
    public static string Written(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    /// <summary><c>Fri 4 December</c>.</summary>
    public static string Told(DateOnly day) => day.ToString("ddd d MMMM", CultureInfo.InvariantCulture);
}
