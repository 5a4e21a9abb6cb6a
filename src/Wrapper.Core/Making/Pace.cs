using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// How long the maker takes for each kind of work beside the table of rates: the median of what was timed over what was
/// reckoned (craft §11). One wild entry changes nothing.
/// </summary>
public sealed class Pace(IReadOnlyDictionary<StepKind, decimal> ratios)
{
    /// <summary>So many timed steps of a kind are needed before it counts.</summary>
    public const int Least = 3;

    // Farther off than this something else was timed.
    private const decimal Slowest = 4,
        Quickest = 0.25m;

    /// <summary>The table of rates as it is.</summary>
    public static Pace Usual { get; } = new(new Dictionary<StepKind, decimal>());

    /// <summary>By what the minutes of a kind are multiplied; 1 while too little was timed.</summary>
    public decimal Of(StepKind kind) => ratios.GetValueOrDefault(kind, 1);

    /// <summary>The pace of steps that were timed: kind, seconds reckoned, seconds taken.</summary>
    public static Pace From(IEnumerable<(StepKind Kind, long Reckoned, long Taken)> timed) =>
        new(
            timed
                .Where(each => each.Reckoned > 0 && each.Taken > 0)
                .GroupBy(each => each.Kind, each => each.Taken / (decimal)each.Reckoned)
                .Where(ratios => ratios.Count() >= Least)
                .ToDictionary(
                    ratios => ratios.Key,
                    ratios => Math.Clamp(decimal.Round(Median([.. ratios.Order()]), 2), Quickest, Slowest)
                )
        );

    /// <summary>The middle one of <paramref name="sorted"/>, or half-way between the two in the middle.</summary>
    public static decimal Median(IReadOnlyList<decimal> sorted) =>
        sorted.Count % 2 == 1
            ? sorted[sorted.Count / 2]
            : (sorted[(sorted.Count / 2) - 1] + sorted[sorted.Count / 2]) / 2;
}
