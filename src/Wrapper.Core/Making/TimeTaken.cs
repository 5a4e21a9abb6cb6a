using System.Globalization;
using System.Text.RegularExpressions;

namespace Wrapper.Core.Making;

/// <summary>Reads how long something took as people write it: <c>42</c>, <c>42 min</c>, <c>1:10</c>, <c>1 h 10</c>.</summary>
public static partial class TimeTaken
{
    /// <summary>The longest that one step of one job is believed to take: four weeks of eight hours a day.</summary>
    public const int MostMinutes = 28 * 8 * 60;

    /// <summary>Seconds, or why <paramref name="typed"/> says none; exactly one of the two is set.</summary>
    public static (long? Seconds, string? Reason) Read(string typed)
    {
        var match = Written().Match(typed.Trim().ToLowerInvariant());
        if (!match.Success)
            return (null, "this is no time: minutes, or hours and minutes, are needed");
        long Of(string name) =>
            match.Groups[name] is { Success: true } group
                ? long.Parse(group.ValueSpan, NumberStyles.None, CultureInfo.InvariantCulture)
                : 0;
        var (hours, minutes) = (Of("hours"), Of("minutes"));
        if (match.Groups["hours"].Success && minutes > 59)
            return (null, "an hour has 60 minutes");
        var all = (hours * 60) + minutes;
        return all > MostMinutes
            ? (null, $"longer than {MostMinutes / 60} hours: give the time that was worked on it")
            : (all * 60, null);
    }

    [GeneratedRegex(
        @"^(?:(?<hours>\d{1,4})\s*(?:h|hours?|:)\s*)?(?:(?<minutes>\d{1,5})\s*(?:m|min|minutes?)?)?$(?<!^)"
    )]
    private static partial Regex Written();
}
