using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace Wrapper.Formats.Dates;

/// <summary>
/// Something on a day: known by <paramref name="Id"/> for ever, so that a calendar that takes it again changes it and
/// makes no second one. A day that is due can be told apart from work.
/// </summary>
public sealed record DayEvent(string Id, DateOnly Day, string Name, string Told, bool IsDue);

/// <summary>Days as an iCalendar file (RFC 5545), each of them a whole day.</summary>
public static class CalendarFile
{
    /// <summary>The text of the file; <paramref name="made"/> is when it was made.</summary>
    public static string Write(string name, IEnumerable<DayEvent> days, DateTimeOffset made)
    {
        var calendar = new Calendar { ProductId = "-//Wrapper//Workroom//EN", Method = "PUBLISH" };
        calendar.AddProperty("X-WR-CALNAME", name);
        foreach (var day in days)
        {
            var next = day.Day.AddDays(1);
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = day.Id,
                    DtStamp = new CalDateTime(made.UtcDateTime, "UTC"),
                    Start = new CalDateTime(day.Day.Year, day.Day.Month, day.Day.Day),
                    End = new CalDateTime(next.Year, next.Month, next.Day),
                    Summary = day.Name,
                    Description = day.Told.Length > 0 ? day.Told : null,
                    Categories = [day.IsDue ? "Due" : "Bench"],
                    // A day on which something is due does not keep anybody from other things.
                    Transparency = day.IsDue ? TransparencyType.Transparent : TransparencyType.Opaque,
                }
            );
        }
        return new CalendarSerializer(calendar).SerializeToString() ?? "";
    }
}
