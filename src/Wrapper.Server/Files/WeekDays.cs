using System.Globalization;
using Wrapper.Core.Making;
using Wrapper.Formats.Dates;
using Wrapper.Server.Week;

namespace Wrapper.Server.Files;

/// <summary>The week as days of a calendar: what each person does on a day, and what is due.</summary>
internal static class WeekDays
{
    public static IEnumerable<DayEvent> Of(WeekView week)
    {
        var first = Read(week.First)!.Value;
        var jobs = week.Jobs.ToDictionary(job => job.Id);
        var people = week.People.ToDictionary(person => person.Id, person => person.Name);
        foreach (var job in week.Jobs)
            if (Read(job.Schedule.Promised) is { } due)
                yield return new(
                    $"due-{job.Id}@wrapper",
                    due,
                    $"Due: {job.Name}",
                    string.Join(
                        '\n',
                        new[] { job.Customer, job.Late > 0 ? $"{job.Late} days late as planned" : "" }.Where(line =>
                            line.Length > 0
                        )
                    ),
                    IsDue: true
                );
        // All that one person does for one job on one day is one entry.
        foreach (var strips in week.Strips.GroupBy(strip => (strip.Job, strip.Person, strip.Day)))
        {
            var (job, person, day) = strips.Key;
            if (jobs.TryGetValue(job, out var of))
                yield return new(
                    $"bench-{job}-{person}-{day + first.DayNumber}@wrapper",
                    first.AddDays(day),
                    $"{of.Name}, {Minutes.Text(strips.Sum(strip => strip.Minutes))}",
                    string.Join(
                        '\n',
                        strips
                            .Select(strip =>
                                $"{strip.Skill.ToString().ToLowerInvariant()}: {Minutes.Text(strip.Minutes)}"
                            )
                            .Prepend(people.GetValueOrDefault(person, ""))
                            .Where(line => line.Length > 0)
                    ),
                    IsDue: false
                );
        }
    }

    private static DateOnly? Read(string written) =>
        DateOnly.TryParseExact(written, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day
            : null;
}
