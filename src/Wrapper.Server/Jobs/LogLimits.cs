using System.Globalization;
using Wrapper.Core.Jobs;

namespace Wrapper.Server.Jobs;

/// <summary>What may be logged of the making and the handing over of a job: bounds that no real job meets.</summary>
internal static class LogLimits
{
    private const int MostSteps = 20_000,
        MostChecks = 50_000,
        MostFits = 2000,
        MostWay = 80,
        MostReadings = 12,
        MostCovers = 500,
        MostLines = 200,
        LongestStep = 400;

    // Four weeks, day and night: a timer that was forgotten for longer is set by hand.
    private const long MostSeconds = 28L * 24 * 3600;

    public static IEnumerable<Problem> Check(JobDocument job)
    {
        Problem Wrong(string field, string given, string reason, string example) =>
            new(field, given.Length > 40 ? given[..40] : given, 0, reason, example) { Stage = Stage.Make };
        foreach (
            var (field, count, most) in new[]
            {
                ("making.steps", job.Making.Steps.Count, MostSteps),
                ("making.checks", job.Making.Checks.Count, MostChecks),
                ("making.fits", job.Making.Fits.Count, MostFits),
                ("handOver.covers", job.HandOver.Covers.Count, MostCovers),
            }
        )
            if (count > most)
                yield return Wrong(
                    field,
                    $"{count}",
                    $"at most {most} of these are kept: make several jobs of it",
                    $"{most}"
                );
        foreach (var log in job.Making.Steps)
        {
            if (log.Seconds is < 0 or > MostSeconds)
                yield return Wrong(
                    $"steps.{log.Id}.seconds",
                    $"{log.Seconds}",
                    "from nothing to four weeks of seconds: say how long it took",
                    "2700"
                );
            if (log.Done is < 0 or > MostCovers)
                yield return Wrong($"steps.{log.Id}.done", $"{log.Done}", $"from 0 to {MostCovers} covers", "2");
            if (log.Began.Length > 0 && !IsTime(log.Began))
                yield return Wrong(
                    $"steps.{log.Id}.began",
                    log.Began,
                    "a time as ISO 8601 is needed",
                    "2026-11-26T09:30:00+00:00"
                );
        }
        foreach (var log in job.Making.Checks.Where(log => log.Readings.Count > MostReadings))
            yield return Wrong(
                $"checks.{log.Id}",
                $"{log.Readings.Count}",
                $"at most {MostReadings} readings of one check",
                "4"
            );
        foreach (var item in job.Items.Where(item => item.Way.Count > MostWay))
            yield return Wrong(
                $"items.{item.Id}.way",
                $"{item.Way.Count}",
                $"at most {MostWay} steps of one cover",
                $"{MostWay}"
            );
        foreach (var cover in job.HandOver.Covers)
            if (cover.Given is { } given)
            {
                if (!IsDate(given.Date))
                    yield return Wrong($"handOver.{cover.Id}.date", given.Date, "a date is needed", "2026-11-26") with
                    {
                        Stage = Stage.HandOver,
                    };
                if (given.Cloths.Count + given.Stated.Count + given.Cautions.Count + given.Parts.Count > MostLines)
                    yield return Wrong(
                        $"handOver.{cover.Id}",
                        given.Name,
                        $"at most {MostLines} lines of a record",
                        ""
                    );
            }
        foreach (var (field, text, longest) in Texts(job))
            if (text.Length > longest)
                yield return Wrong(field, text, $"longer than {longest} characters", "");
    }

    private static IEnumerable<string> Said(GivenRecord? given) =>
        given is null
            ? []
            :
            [
                given.Name,
                given.Kind,
                given.Size,
                given.Maker,
                given.Postcode,
                given.Customer,
                given.Place,
                .. given.Cloths.SelectMany(cloth => cloth.Care.Append(cloth.Name).Append(cloth.Batch)),
                .. given.Care,
                .. given.Stated.SelectMany(line => new[] { line.Name, line.Text }),
                .. given.Cautions,
                .. given.Parts,
            ];

    private static bool IsTime(string text) =>
        DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.None, out _);

    private static bool IsDate(string text) =>
        DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out _);

    private static IEnumerable<(string Field, string Text, int Longest)> Texts(JobDocument job) =>
        [
            .. job.Making.Steps.SelectMany(log =>
                new[]
                {
                    ($"steps.{log.Id}.note", log.Note, JobLimits.LongestNotes),
                    ($"steps.{log.Id}.took", log.Took, JobLimits.LongestName),
                    ("steps", log.Id, LongestStep),
                    ("steps", log.Kind, LongestStep),
                }
            ),
            .. job.Making.Checks.SelectMany(log =>
                log.Readings.Select(reading => ($"checks.{log.Id}", reading.Typed, JobLimits.LongestName))
                    .Append(($"checks.{log.Id}.note", log.Note, JobLimits.LongestNotes))
                    .Append(("checks", log.Id, LongestStep))
            ),
            .. job.Making.Fits.SelectMany(fit =>
                new[]
                {
                    fit.Id,
                    fit.Item,
                    fit.Where,
                    fit.By.Typed,
                    fit.Why,
                    fit.MakeUp,
                    fit.Cloth,
                    fit.Subject,
                    fit.Found?.Typed ?? "",
                    fit.Date,
                }.Select(text => ($"fits.{fit.Item}", text, JobLimits.LongestNotes))
            ),
            .. job.Items.SelectMany(item =>
                item.Way.SelectMany(row =>
                    new[]
                    {
                        ($"items.{item.Id}.way", row.Id, LongestStep),
                        ($"items.{item.Id}.way", row.Text, JobLimits.LongestNotes),
                        ($"items.{item.Id}.way", row.Note, JobLimits.LongestNotes),
                    }
                )
            ),
            .. job.HandOver.Covers.SelectMany(cover =>
                Said(cover.Given)
                    .Concat([cover.Id, cover.Filling, cover.Cleaning, cover.Flammability, cover.Opens, cover.Notes])
                    .Select(text => ($"handOver.{cover.Id}", text, JobLimits.LongestNotes))
            ),
            ("handOver.place", job.HandOver.Place, JobLimits.LongestName),
            ("handOver.labelWidth", job.HandOver.LabelWidth?.Typed ?? "", JobLimits.LongestName),
            ("handOver.labelHeight", job.HandOver.LabelHeight?.Typed ?? "", JobLimits.LongestName),
        ];
}
