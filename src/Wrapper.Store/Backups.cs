using System.Globalization;

namespace Wrapper.Store;

/// <summary>
/// Copies of the database in the folder <c>backups</c> beside it: on demand, which stay until somebody removes them,
/// and one a day, of which the last 14 stay and
/// the first of each month for a year.
/// </summary>
public sealed class Backups(Database database)
{
    private const int DaysKept = 14;
    private const string Daily = "daily-";

    private string Folder => Path.Combine(database.Folder, "backups");

    /// <summary>Makes a copy named by <paramref name="at"/>; returns where.</summary>
    public string Make(DateTimeOffset at) =>
        Make("wrapper-" + at.UtcDateTime.ToString("yyyyMMdd-HHmmss-fff", CultureInfo.InvariantCulture));

    /// <summary>
    /// Makes today's copy unless there is one, and removes those that are no longer kept; returns where, or null.
    /// </summary>
    public string? MakeDaily(DateTimeOffset now)
    {
        var name = Daily + now.UtcDateTime.ToString("yyyyMMdd", CultureInfo.InvariantCulture);
        var made = File.Exists(Path.Combine(Folder, name + ".db")) ? null : Make(name);
        foreach (var old in Surplus(now))
            File.Delete(old);
        return made;
    }

    // Two at the same moment: the second gets a number, and no copy takes the place of another.
    private string Make(string name)
    {
        for (var n = 1; ; n++)
        {
            var target = Path.Combine(Folder, n == 1 ? name + ".db" : $"{name}-{n}.db");
            if (File.Exists(target))
                continue;
            try
            {
                database.CopyTo(target);
                return target;
            }
            catch (IOException) when (File.Exists(target))
            {
                // Somebody took the name meanwhile.
            }
        }
    }

    private IEnumerable<string> Surplus(DateTimeOffset now)
    {
        var days = (
            from path in Directory.EnumerateFiles(Folder, Daily + "*.db")
            let text = Path.GetFileNameWithoutExtension(path)[Daily.Length..]
            where DateOnly.TryParseExact(text, "yyyyMMdd", CultureInfo.InvariantCulture, DateTimeStyles.None, out _)
            let day = DateOnly.ParseExact(text, "yyyyMMdd", CultureInfo.InvariantCulture)
            orderby day descending
            select (Path: path, Day: day)
        ).ToList();
        var firsts = days.GroupBy(each => (each.Day.Year, each.Day.Month))
            .Select(month => month.Min(each => each.Day))
            .ToHashSet();
        var yearAgo = DateOnly.FromDateTime(now.UtcDateTime).AddYears(-1);
        return days.Skip(DaysKept)
            .Where(each => !firsts.Contains(each.Day) || each.Day < yearAgo)
            .Select(each => each.Path);
    }
}
