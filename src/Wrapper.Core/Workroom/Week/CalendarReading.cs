using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Making;

namespace Wrapper.Core.Workroom.Week;

/// <summary>A calendar as read over the days of a plan; what cannot be read counts as no hours and is told.</summary>
public sealed class CalendarReading
{
    /// <summary>The most people in a workroom.</summary>
    public const int MostPeople = 12;

    private const int MostOtherDays = 200,
        MostHours = 16;

    /// <summary>Reads <paramref name="calendar"/> over <paramref name="days"/> days from <paramref name="first"/> on.</summary>
    public CalendarReading(Calendar calendar, DateOnly first, int days)
    {
        var closed = Other(calendar.Other, "other");
        Workers =
        [
            .. calendar
                .People.Take(MostPeople)
                .Select(hand =>
                {
                    var field = $"people.{hand.Id}";
                    if (hand.Name.Trim().Length == 0)
                        Problems.Add(new($"{field}.name", "", 0, "somebody who works here needs a name", "Odile"));
                    if (hand.Skills.Count == 0)
                        Problems.Add(
                            new(
                                $"{field}.skills",
                                "",
                                0,
                                "they can do nothing, so that nothing is planned for them",
                                "sewing"
                            )
                        );
                    var week = Enumerable
                        .Range(0, 7)
                        .Select(n => Hours($"{field}.hours.{n}", n < hand.Hours.Count ? hand.Hours[n] : ""))
                        .ToList();
                    var (pace, problem) = Percent($"{field}.pace", hand.Pace);
                    if (problem is not null)
                        Problems.Add(problem);
                    var own = Other(hand.Other, $"{field}.other");
                    return new Worker(
                        hand.Id,
                        [
                            .. Enumerable
                                .Range(0, days)
                                .Select(n => first.AddDays(n))
                                .Select(day => On(own, day) ?? On(closed, day) ?? week[((int)day.DayOfWeek + 6) % 7]),
                        ],
                        hand.Skills.ToHashSet(),
                        pace
                    );
                }),
        ];
        if (calendar.People.Count > MostPeople)
            Problems.Add(new("people", $"{calendar.People.Count}", 0, $"at most {MostPeople} people are planned", ""));
    }

    /// <summary>Who works, with the minutes of every day.</summary>
    public IReadOnlyList<Worker> Workers { get; }

    /// <summary>What could not be read.</summary>
    public List<Problem> Problems { get; } = [];

    /// <summary>A date as it is kept, or why it is none.</summary>
    public static (DateOnly? Date, Problem? Problem) Date(string field, string typed) =>
        DateOnly.TryParseExact(
            typed.Trim(),
            "yyyy-MM-dd",
            CultureInfo.InvariantCulture,
            DateTimeStyles.None,
            out var date
        )
            ? (date, null)
            : (
                null,
                new(field, typed.Length > 40 ? typed[..40] : typed, 0, "a date is year, month and day", "2026-12-04")
            );

    private static int? On(List<(DateOnly From, DateOnly Until, int Minutes)> other, DateOnly day) =>
        other.Where(each => each.From <= day && day <= each.Until).Select(each => (int?)each.Minutes).LastOrDefault();

    private List<(DateOnly From, DateOnly Until, int Minutes)> Other(IReadOnlyList<OtherDays> rows, string field)
    {
        List<(DateOnly, DateOnly, int)> read = [];
        foreach (var row in rows.Take(MostOtherDays))
        {
            var (from, problem) = Date($"{field}.{row.Id}.from", row.From);
            var (until, other) =
                row.Until.Trim().Length == 0 ? (from, null) : Date($"{field}.{row.Id}.until", row.Until);
            if (problem is null && until < from)
                other = new($"{field}.{row.Id}.until", row.Until, 0, "it ends before it begins", row.From);
            var hours = Hours($"{field}.{row.Id}.hours", row.Hours);
            Problems.AddRange(new[] { problem, other }.OfType<Problem>());
            if (from is { } begins && until is { } ends && other is null)
                read.Add((begins, ends, hours));
        }
        return read;
    }

    // "7", "7.5", "7:30" or "7 h 30": minutes.
    private int Hours(string field, string typed)
    {
        var given = typed.Trim().Replace(',', '.');
        if (given.Length == 0)
            return 0;
        var minutes =
            decimal.TryParse(given, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var hours)
            && hours <= 100
                ? decimal.Round(hours * 60)
                : TimeTaken.Read(given).Seconds / 60m;
        if (minutes is { } read && read <= MostHours * 60)
            return (int)read;
        Problems.Add(
            new(
                field,
                typed.Length > 40 ? typed[..40] : typed,
                0,
                $"hours of a day are needed, up to {MostHours}, or nothing",
                "7:30"
            )
        );
        return 0;
    }

    private static (int Pace, Problem? Problem) Percent(string field, string typed)
    {
        var given = typed.Trim().TrimEnd('%').Trim();
        if (given.Length == 0)
            return (100, null);
        return
            int.TryParse(given, NumberStyles.None, CultureInfo.InvariantCulture, out var pace)
            && pace is >= 20 and <= 500
            ? (pace, null)
            : (
                100,
                new(
                    field,
                    typed.Length > 40 ? typed[..40] : typed,
                    0,
                    "how long they take for what takes others 100: from 20 to 500",
                    "120"
                )
            );
    }
}
