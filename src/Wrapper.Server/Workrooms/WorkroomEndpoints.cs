using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Workrooms;

/// <summary>
/// What the workroom is called and the unit that new jobs begin in; <paramref name="Told"/> is false until somebody said so.
/// </summary>
public sealed record WorkroomView(string Name, JobUnit Unit, bool Told);

/// <summary>What the workroom is to be called, and the unit that new jobs begin in.</summary>
public sealed record TellWorkroom(string Name, JobUnit Unit);

/// <summary>The workroom itself.</summary>
internal static class WorkroomEndpoints
{
    private const int LongestName = 120;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/workroom", (WorkroomStore store) => Of(store))
            .WithName("getWorkroom")
            .WithSummary("What the workroom is called, and the unit that new jobs begin in.");

        api.MapPut(
                "/workroom",
                Results<Ok<WorkroomView>, ProblemHttpResult> (TellWorkroom told, WorkroomStore store) =>
                {
                    var name = told.Name.Trim();
                    if (name.Length is 0 or > LongestName)
                        return Problems.Fields([
                            new Problem(
                                "name",
                                name[..Math.Min(name.Length, 40)],
                                0,
                                name.Length == 0 ? "it has no name" : $"longer than {LongestName} characters",
                                "Heron Loft"
                            ),
                        ]);
                    store.Write(name, told.Unit.ToString());
                    return TypedResults.Ok(Of(store));
                }
            )
            .ProducesProblem(422)
            .WithName("tellWorkroom")
            .WithSummary("Says what the workroom is called, and the unit that new jobs begin in.");
    }

    /// <summary>Tells the demo's workroom, unless one was told.</summary>
    public static void Seed(WorkroomStore store)
    {
        if (store.Read() is null)
            store.Write("Heron Loft", nameof(JobUnit.Inch));
    }

    private static WorkroomView Of(WorkroomStore store) =>
        store.Read() is var (name, unit)
            ? new(name, Enum.TryParse<JobUnit>(unit, out var read) ? read : JobUnit.Inch, Told: true)
            : new("", JobUnit.Inch, Told: false);
}
