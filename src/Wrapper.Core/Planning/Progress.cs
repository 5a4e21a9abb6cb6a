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

    /// <summary>Something that is mended at it cannot be right.</summary>
    [JsonStringEnumMemberName("doubt")]
    Doubt,

    /// <summary>Nothing is left to do.</summary>
    [JsonStringEnumMemberName("done")]
    Done,
}

/// <summary>
/// How far one stage of a job has come; <paramref name="InDoubt"/> counts the items, cloths and problems of the job
/// that are mended at it.
/// </summary>
public sealed record StageProgress(Stage Stage, StageState State, int InDoubt);

/// <summary>How far each stage of a job has come, read off its plan.</summary>
public static class Progress
{
    /// <summary>Every stage in working order.</summary>
    public static IReadOnlyList<StageProgress> Of(Plan plan) =>
        [.. Enum.GetValues<Stage>().Select(stage => Of(stage, plan))];

    private static StageProgress Of(Stage stage, Plan plan)
    {
        if (plan.Items.Count == 0)
            return new(stage, StageState.Empty, 0);
        var count =
            stage == Stage.Pieces
                ? plan.Items.Count(item => item.Draft.Seams is { Holds: false })
                : plan.Items.Count(item => Here(item.Draft.Problems))
                    + plan.Cloths.Count(cloth => Here(cloth.Problems))
                    + plan.Problems.Count(problem => problem.Stage == stage);
        var done = stage switch
        {
            Stage.Pieces => plan.Items.Any(item => item.Draft.Pattern is not null),
            Stage.Lay => plan.Cloths.Any(cloth => cloth.Lay is not null),
            Stage.Buy => plan.Cloths.Any(cloth => cloth.Buying is not null),
            _ => true,
        };
        return new(
            stage,
            count > 0 ? StageState.Doubt
                : done ? StageState.Done
                : StageState.Empty,
            count
        );

        bool Here(IEnumerable<Problem> problems) => problems.Any(problem => problem.Stage == stage);
    }
}
