using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// What is read off a pattern for each of its steps: what kind of work it is, what it is known by, what a learner may
/// have to be shown, how the machine is set up.
/// </summary>
internal static class Bench
{
    /// <summary>The pattern with its steps ready to be made by.</summary>
    public static Pattern Apply(Pattern pattern, Reading reading, Length tolerance)
    {
        pattern = pattern with { Steps = [.. pattern.Steps.Select(step => Zipped(pattern, step))] };
        var setUps = new SetUps(pattern, reading);
        pattern = pattern with
        {
            Steps =
            [
                .. Keyed(pattern.Steps)
                    .Select(step => step with { How = Shown(pattern, step), SetUp = setUps.Of(step) }),
            ],
        };
        return Checks.Apply(pattern, reading, tolerance);
    }

    private static Step Zipped(Pattern pattern, Step step) =>
        !step.IsKindSaid && step.Kind == StepKind.Sewing && Seams(pattern, step).Any(seam => seam.Kind == SeamKind.Zip)
            ? step with
            {
                Kind = StepKind.Zips,
            }
            : step;

    private static IEnumerable<Step> Keyed(IEnumerable<Step> steps)
    {
        Dictionary<string, int> seen = [];
        foreach (var step in steps)
        {
            var name = step.Kind.ToString().ToLowerInvariant();
            var key = step.Seams.Count > 0 ? $"{name}:{step.Seams[0]}" : name;
            var times = seen[key] = seen.GetValueOrDefault(key) + 1;
            yield return step with
            {
                Key = times == 1 ? key : $"{key} {times}",
            };
        }
    }

    private static IReadOnlyList<Technique> Shown(Pattern pattern, Step step)
    {
        var shown = step.How.ToHashSet();
        if (step.Kind == StepKind.Cutting && step.Does == Doing.Cutting && step.Key == "cutting")
            shown.Add(Technique.DrawAThread);
        if (step.Kind == StepKind.Cording)
            shown.Add(Technique.JoinCord);
        var seams = Seams(pattern, step).Where(seam => seam.Kind is not (SeamKind.Lap or SeamKind.Opening)).ToList();
        if (seams.Any(seam => seam.Zip is { IsChain: true }))
            shown.Add(Technique.ThreadASlider);
        foreach (var seam in seams)
        {
            var edges = seam
                .OneSide.Concat(seam.OtherSide)
                .Select(run => (Piece: pattern.Piece(run.Piece), run.Edge))
                .ToList();
            // What is sewn straight round a curve is clipped all along it; what turns a corner, there.
            if (edges.Any(edge => edge.Piece.Notches.Any(mark => mark.Clip && mark.Edge == edge.Edge)))
                shown.Add(
                    edges.Any(edge => edge.Piece.Stitch.Edges.First(each => each.Name == edge.Edge).Radius is not null)
                        ? Technique.ClipACurve
                        : Technique.Pivot
                );
        }
        return [.. shown.Order()];
    }

    private static IEnumerable<Seam> Seams(Pattern pattern, Step step) =>
        pattern.Seams.Where(seam => step.Seams.Contains(seam.Name));
}
