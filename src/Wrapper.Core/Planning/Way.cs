using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// The maker's own way of making a cover: its steps in another order, and steps of the maker's own between them. An order
/// that the seams do not allow is not taken up.
/// </summary>
public static class Way
{
    // What may go before or after its neighbours where no seam says otherwise; the rest stays in its place.
    private static readonly HashSet<StepKind> Free =
    [
        StepKind.Piecing,
        StepKind.Cording,
        StepKind.Zips,
        StepKind.Sewing,
        StepKind.Hemming,
        StepKind.Fastening,
    ];

    /// <summary>
    /// The steps of <paramref name="pattern"/> in the order of <paramref name="way"/>. Steps that it does not name keep
    /// their place after the one before them; where its order is not allowed the steps stay in their own, and the maker's
    /// own steps after those that they followed.
    /// </summary>
    public static IReadOnlyList<Step> Of(Pattern pattern, IReadOnlyList<WayStep> way)
    {
        if (way.Count == 0)
            return pattern.Steps;
        var ordered = Ordered(pattern, way);
        return Broken(pattern, ordered) is null ? ordered : Ordered(pattern, InOrder(pattern, way));
    }

    /// <summary>Why the order of <paramref name="way"/> is not taken up; null where it is.</summary>
    public static string? Refused(Pattern pattern, IReadOnlyList<WayStep> way) =>
        way.Count == 0 ? null : Broken(pattern, Ordered(pattern, way));

    /// <summary>Why <paramref name="steps"/> cannot be made in this order; null where they can.</summary>
    public static string? Broken(Pattern pattern, IReadOnlyList<Step> steps)
    {
        var at = steps.Select((step, n) => (step.Key, n)).ToDictionary(pair => pair.Key, pair => pair.n);
        var own = pattern.Steps.Where(step => at.ContainsKey(step.Key)).ToList();
        for (var first = 0; first < own.Count; first++)
        for (var second = first + 1; second < own.Count; second++)
            if (at[own[first].Key] > at[own[second].Key] && Why(pattern, own[first], own[second]) is { } why)
                return why;
        return null;
    }

    // Why one step has to come before another; null where they may change places.
    private static string? Why(Pattern pattern, Step before, Step after)
    {
        if (!Free.Contains(before.Kind) || !Free.Contains(after.Kind))
        {
            var fixedOne = Free.Contains(before.Kind) ? after : before;
            return $"“{Short(fixedOne)}” has its place: what stands before it is done before, what stands after it, after";
        }
        if (
            Crossings
                .Of(pattern)
                .Any(pair => before.Seams.Contains(pair.Ends.Name) && after.Seams.Contains(pair.Crossing.Name))
        )
            return $"“{Short(after)}” crosses the end of a seam that is sewn in “{Short(before)}”, so it comes after it";
        if (before.Kind == StepKind.Cording && Seams(pattern, after).Any(seam => seam.CordLine is not null))
            return $"the cord is sewn on before “{Short(after)}”";
        // The one that closes the cover comes last, or its zip is shut in.
        if (after == pattern.Steps.LastOrDefault(step => step.Seams.Count > 0))
            return $"“{Short(after)}” closes the cover";
        if (before.Kind == StepKind.Piecing && Shared(pattern, before, after))
            return $"the widths are joined before “{Short(after)}”";
        return null;
    }

    private static bool Shared(Pattern pattern, Step one, Step other) =>
        Pieces(pattern, one).Intersect(Pieces(pattern, other)).Any();

    private static IEnumerable<string> Pieces(Pattern pattern, Step step) =>
        Seams(pattern, step).SelectMany(seam => seam.OneSide.Concat(seam.OtherSide)).Select(run => run.Piece);

    private static IEnumerable<Seam> Seams(Pattern pattern, Step step) =>
        pattern.Seams.Where(seam => step.Seams.Contains(seam.Name));

    private static string Short(Step step) => step.Text.Split(['.', ';', ','])[0];

    private static List<Step> Ordered(Pattern pattern, IReadOnlyList<WayStep> way)
    {
        var known = pattern.Steps.ToDictionary(step => step.Key);
        List<Step> steps = [];
        foreach (var row in way)
            if (known.TryGetValue(row.Id, out var step))
                steps.Add(step);
            else if (row.Text.Trim().Length > 0)
                steps.Add(Step.Of(StepKind.Own, row.Text.Trim()) with { Key = row.Id });
        var named = way.Select(row => row.Id).ToHashSet();
        foreach (var (step, n) in pattern.Steps.Select((step, n) => (step, n)))
            if (!named.Contains(step.Key))
            {
                var before = n == 0 ? -1 : steps.FindIndex(each => each.Key == pattern.Steps[n - 1].Key);
                steps.Insert(before + 1, step);
            }
        return steps;
    }

    // The same rows with the pattern's steps in their own order, each followed by the own steps that followed it.
    private static List<WayStep> InOrder(Pattern pattern, IReadOnlyList<WayStep> way)
    {
        var known = pattern.Steps.Select(step => step.Key).ToHashSet();
        var after = "";
        Dictionary<string, List<WayStep>> following = new() { [""] = [] };
        foreach (var row in way)
            if (known.Contains(row.Id))
                following.TryAdd(after = row.Id, []);
            else
                following[after].Add(row);
        return
        [
            .. following[""],
            .. pattern.Steps.SelectMany(step =>
                following.GetValueOrDefault(step.Key, []).Prepend(new WayStep(step.Key, ""))
            ),
        ];
    }
}
