using Wrapper.Core.Planning;

namespace Wrapper.Core.Workroom.Week;

/// <summary>
/// What of a job is still to be done without changing tools: <paramref name="Id"/> is the skill, with its number where
/// it comes again; <paramref name="Minutes"/> at the workroom's pace.
/// </summary>
public sealed record LoadedWork(string Id, Skill Skill, int Minutes);

/// <summary>The work that a job still is.</summary>
public static class Workload
{
    /// <summary>
    /// Works in the order of the bench, the turns of one skill that follow each other as one; what is done on some
    /// covers counts, what is done on all of them is left out.
    /// </summary>
    public static IReadOnlyList<LoadedWork> Of(BenchPlan bench)
    {
        List<(Skill Skill, decimal Minutes)> runs = [];
        foreach (var turn in bench.Turns)
        {
            var skill = Skills.Of(turn.Step.Step.Kind);
            var left = Math.Max(0, turn.Last - Math.Max(turn.First - 1, turn.Step.Done));
            var minutes = turn.Step.Minutes * left;
            if (runs.Count > 0 && runs[^1].Skill == skill)
                runs[^1] = (skill, runs[^1].Minutes + minutes);
            else
                runs.Add((skill, minutes));
        }
        Dictionary<Skill, int> times = [];
        List<LoadedWork> works = [];
        foreach (var (skill, minutes) in runs)
        {
            var time = times[skill] = times.GetValueOrDefault(skill) + 1;
            var name = $"{skill}".ToLowerInvariant();
            if (minutes > 0)
                works.Add(new(time == 1 ? name : $"{name}-{time}", skill, (int)decimal.Ceiling(minutes)));
        }
        return works;
    }
}
