using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// The minutes of each step of a cover: the same works as <see cref="Minutes"/>, each at the step in which it is done, so
/// that all steps together take as long as the cover.
/// </summary>
public static class StepMinutes
{
    /// <summary>
    /// One figure a step at the maker's <paramref name="pace"/>, in the order of the steps; empty for a pattern without
    /// steps.
    /// </summary>
    public static IReadOnlyList<decimal> Of(Pattern pattern, Pace pace) =>
        [.. pattern.Steps.Zip(Of(pattern), (step, minutes) => minutes * pace.Of(step.Kind))];

    /// <summary>The same by the table of rates as it is.</summary>
    public static IReadOnlyList<decimal> Of(Pattern pattern)
    {
        var steps = pattern.Steps;
        if (steps.Count == 0)
            return [];
        var minutes = new decimal[steps.Count];
        foreach (var work in Minutes.Works(pattern))
            switch (work.Name)
            {
                case "cutting" or "marking":
                    minutes[First(StepKind.Cutting) ?? First(StepKind.Piecing) ?? 0] += work.Minutes;
                    break;
                case "pinning on the furniture":
                    Share(work.Minutes, step => step.Kind == StepKind.Pinning);
                    break;
                case "trying on":
                    Share(work.Minutes, step => step.Does.HasFlag(Doing.Fitting));
                    break;
                case "filling":
                    Share(work.Minutes, step => step.Does.HasFlag(Doing.Filling));
                    break;
            }
        var sewnAt = steps
            .SelectMany((step, at) => step.Seams.Select(seam => (seam, at)))
            .DistinctBy(pair => pair.seam)
            .ToDictionary(pair => pair.seam, pair => pair.at, StringComparer.Ordinal);
        var lastSewn = steps.ToList().FindLastIndex(step => step.Seams.Count > 0);
        var rest = lastSewn < 0 ? steps.Count - 1 : lastSewn;
        var cording = First(StepKind.Cording);
        foreach (var line in Stitching.Of(pattern))
        {
            var metres = Minutes.Metres(line.Length.Value);
            var sewn = Minutes.SewAMetre(line.Kind) * metres;
            var at = Where(line, rest);
            // What a corded seam takes more than a plain one is its cord, which is sewn on first.
            if (line.Kind == StitchKind.Corded && cording is { } cord)
            {
                var plain = Minutes.SewAMetre(StitchKind.Seam) * metres;
                minutes[cord] += sewn - plain;
                sewn = plain;
            }
            minutes[at] += sewn;
            if (line.Kind is not (StitchKind.Zigzag or StitchKind.Serging))
                minutes[at] += Minutes.PressAMetre * metres;
            if (line.Kind == StitchKind.Zip)
                minutes[at] += Minutes.ZipToSet;
        }
        foreach (var seam in pattern.Seams)
            minutes[sewnAt.GetValueOrDefault(seam.Name, rest)] += Minutes.SeamToMatch;
        return minutes;

        int Where(StitchedLine line, int otherwise) =>
            line.Kind switch
            {
                StitchKind.Hem => First(StepKind.Hemming)
                    ?? First(StepKind.Holding)
                    ?? First(StepKind.Fastening)
                    ?? otherwise,
                StitchKind.Applied => First(StepKind.Fastening) ?? First(StepKind.Hemming) ?? otherwise,
                StitchKind.Zigzag or StitchKind.Serging => First(StepKind.Edges) ?? otherwise,
                _ => sewnAt.GetValueOrDefault(line.Name, otherwise),
            };

        int? First(StepKind kind)
        {
            for (var at = 0; at < steps.Count; at++)
                if (steps[at].Kind == kind)
                    return at;
            return null;
        }

        void Share(decimal all, Func<Step, bool> among)
        {
            var those = Enumerable.Range(0, steps.Count).Where(at => among(steps[at])).ToList();
            if (those.Count == 0)
                those = [steps.Count - 1];
            foreach (var at in those)
                minutes[at] += all / those.Count;
        }
    }
}
