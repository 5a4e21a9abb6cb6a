using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Workroom.Figures;

/// <summary>A step that was timed: of which job, the kind of work, seconds reckoned and taken.</summary>
public sealed record TimedStep(string Job, string JobName, string Kind, long Reckoned, long Taken);

/// <summary>An offer and what became of it.</summary>
public sealed record Offered(string Paper, string Called, string Job, string Customer, decimal Total, Fate Fate);

/// <summary>What became of an offer.</summary>
public enum Fate
{
    /// <summary>Nobody answered yet.</summary>
    Open,

    /// <summary>It was ordered.</summary>
    Won,

    /// <summary>It was declined.</summary>
    Lost,
}

/// <summary>A kind of work: how long it took and was reckoned, what it earned at the workroom's rate, and its rows.</summary>
public sealed record KindFigure(string Kind, long Taken, long Reckoned, decimal Earned, IReadOnlyList<TimedStep> Rows);

/// <summary>A job: how long what was timed of it took beside what was reckoned for that.</summary>
public sealed record JobFigure(string Job, string JobName, long Taken, long Reckoned)
{
    /// <summary>How far off it was, in per cent of what was reckoned; more than nothing took longer.</summary>
    public decimal Off => Reckoned == 0 ? 0 : decimal.Round((Taken - Reckoned) * 100m / Reckoned);
}

/// <summary>Offers by what became of them, with their sums.</summary>
public sealed record OfferFigure(Fate Fate, int Count, decimal Total, IReadOnlyList<Offered> Rows);

/// <summary>Adds up what the workroom did; every sum has the rows that it is the sum of.</summary>
public static class Tally
{
    /// <summary>By kind of work, the longest first.</summary>
    public static IReadOnlyList<KindFigure> ByKind(IEnumerable<TimedStep> steps, decimal rate, Currency currency) =>
        [
            .. steps
                .GroupBy(step => step.Kind)
                .Select(kind => new KindFigure(
                    kind.Key,
                    kind.Sum(step => step.Taken),
                    kind.Sum(step => step.Reckoned),
                    currency.Round(rate * kind.Sum(step => step.Taken) / 3600),
                    [.. kind.OrderByDescending(step => step.Taken)]
                ))
                .OrderByDescending(kind => kind.Taken)
                .ThenBy(kind => kind.Kind, StringComparer.Ordinal),
        ];

    /// <summary>By job, those that were furthest off first.</summary>
    public static IReadOnlyList<JobFigure> ByJob(IEnumerable<TimedStep> steps) =>
        [
            .. steps
                .GroupBy(step => (step.Job, step.JobName))
                .Select(job => new JobFigure(
                    job.Key.Job,
                    job.Key.JobName,
                    job.Sum(step => step.Taken),
                    job.Sum(step => step.Reckoned)
                ))
                .OrderByDescending(job => Math.Abs(job.Off))
                .ThenBy(job => job.Job, StringComparer.Ordinal),
        ];

    /// <summary>By what became of them.</summary>
    public static IReadOnlyList<OfferFigure> ByFate(IEnumerable<Offered> offers)
    {
        var by = offers.ToLookup(offer => offer.Fate);
        return
        [
            .. Enum.GetValues<Fate>()
                .Select(fate => new OfferFigure(
                    fate,
                    by[fate].Count(),
                    by[fate].Sum(offer => offer.Total),
                    [.. by[fate].OrderByDescending(offer => offer.Total)]
                )),
        ];
    }
}
