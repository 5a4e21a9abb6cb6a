using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>How far a stage has come.</summary>
[JsonConverter(typeof(ByName<StageState>))]
public enum StageState
{
    /// <summary>Nothing is there yet.</summary>
    [JsonStringEnumMemberName("empty")]
    Empty,

    /// <summary>Something is left to do, at it or before it.</summary>
    [JsonStringEnumMemberName("todo")]
    ToDo,

    /// <summary>Something that is mended at it cannot be right.</summary>
    [JsonStringEnumMemberName("doubt")]
    Doubt,

    /// <summary>Nothing is left to do.</summary>
    [JsonStringEnumMemberName("done")]
    Done,
}

/// <summary>
/// How far one stage of a job has come; <paramref name="InDoubt"/> counts the items, cloths and problems of the job
/// that are mended at it, and checks that do not hold while nothing is decided; <paramref name="Left"/> what is left to do
/// there: sizes to enter, items to draft, cloths to lay or to buy, steps to make, items to hand over.
/// </summary>
public sealed record StageProgress(Stage Stage, StageState State, int InDoubt, int Left);

/// <summary>How far each stage of a job has come, read off its plan and what was logged.</summary>
public static class Progress
{
    /// <summary>Every stage in working order; none is done before those that it rests on.</summary>
    public static IReadOnlyList<StageProgress> Of(Plan plan, JobDocument job)
    {
        List<StageProgress> stages = [];
        var bench = BenchPlan.Of(plan.Items, job);
        foreach (var stage in Enum.GetValues<Stage>())
            stages.Add(Of(stage, plan, bench, stages.All(before => before.State == StageState.Done)));
        return stages;
    }

    private static StageProgress Of(Stage stage, Plan plan, BenchPlan bench, bool ready)
    {
        if (plan.Items.Count == 0)
            return new(stage, StageState.Empty, 0, 0);
        var doubt =
            stage == Stage.Pieces ? plan.Items.Count(item => item.Draft.Seams is { Holds: false })
            : stage == Stage.Make ? bench.Undecided
            : plan.Items.Count(item => Here(item.Draft.Problems))
                + plan.Cloths.Count(cloth => Here(cloth.Problems))
                + plan.Problems.Count(problem => problem.Stage == stage);
        var drafted = plan.Items.Count(item => item.Draft.Pattern is not null);
        var (done, left) = stage switch
        {
            Stage.Measure => (1, plan.Items.Sum(item => item.Draft.Problems.Count(problem => problem.Missing))),
            Stage.MakeUp or Stage.Pieces => (drafted, plan.Items.Count - drafted),
            Stage.Lay => Of(cloth => cloth.Lay is not null),
            Stage.Buy => Of(cloth => cloth.Buying is not null),
            Stage.Make => (
                bench.Steps.Count(step => step.Done > 0),
                bench.Steps.Count(step => step.Done < step.Item.Quantity)
            ),
            _ => (plan.Items.Count(IsGone), plan.Items.Count(item => !IsGone(item))),
        };
        return new(
            stage,
            doubt > 0 ? StageState.Doubt
                : done == 0 ? StageState.Empty
                : left == 0 && ready ? StageState.Done
                : StageState.ToDo,
            doubt,
            done == 0 ? 0 : left
        );

        bool IsGone(ItemPlan item) =>
            bench.Job.HandOver.Covers.Any(of => of.Id == item.Item.Id && of.Given is not null);

        bool Here(IEnumerable<Problem> problems) => problems.Any(problem => problem.Stage == stage && !problem.Missing);

        (int, int) Of(Func<ClothPlan, bool> isDone)
        {
            var used = plan.Cloths.Where(cloth => cloth.Pieces.Count > 0).ToList();
            return (used.Count(isDone), used.Count(cloth => !isDone(cloth)));
        }
    }
}
