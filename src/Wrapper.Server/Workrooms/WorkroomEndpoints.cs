using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Words;
using Wrapper.Server.Files;
using Wrapper.Server.Hosting;
using Wrapper.Server.Records;
using Wrapper.Store;

namespace Wrapper.Server.Workrooms;

/// <summary>
/// What the workroom is called and the unit that new jobs begin in; <paramref name="Told"/> is false until somebody said
/// so. <paramref name="Words"/> is what things are called there, every term with its word.
/// </summary>
public sealed record WorkroomView(string Name, JobUnit Unit, bool Told, IReadOnlyDictionary<string, string> Words);

/// <summary>
/// What the workroom is to be called, the unit that new jobs begin in, and what things are called, term by word; what is
/// left out is called as it comes.
/// </summary>
public sealed record TellWorkroom(string Name, JobUnit Unit, IReadOnlyDictionary<string, string> Words);

/// <summary>A term, and the words for it.</summary>
public sealed record TermView(string Term, IReadOnlyList<string> Words);

/// <summary>What can be called how, and the words that are usual in each region.</summary>
public sealed record WordsView(IReadOnlyList<TermView> Terms, IReadOnlyList<Region> Regions);

/// <summary>The workroom itself.</summary>
internal static class WorkroomEndpoints
{
    private const int LongestName = 120;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/workroom", (WorkroomStore store, Wording wording) => Of(store, wording))
            .WithName("getWorkroom")
            .WithSummary("What the workroom is called, the unit that new jobs begin in, and its words.");

        api.MapGet(
                "/words",
                () => new WordsView([.. Term.All.Select(term => new TermView(term.Key, term.Words))], Region.All)
            )
            .WithName("listWords")
            .WithSummary("What can be called how, and the words that are usual in each region.");

        api.MapPut(
                "/workroom",
                Results<Ok<WorkroomView>, ProblemHttpResult> (
                    TellWorkroom told,
                    WorkroomStore store,
                    Wording wording
                ) =>
                {
                    if (Wrong(told) is { } problem)
                        return Problems.Fields([problem]);
                    Tell(told, store, wording);
                    return TypedResults.Ok(Of(store, wording));
                }
            )
            .ProducesProblem(422)
            .WithName("tellWorkroom")
            .WithSummary("Says what the workroom is called, the unit that new jobs begin in, and its words.");
    }

    /// <summary>Tells the demo's workroom, unless one was told.</summary>
    public static void Seed(WorkroomStore store)
    {
        if (store.Read() is not null)
            return;
        store.Write(new("Heron Loft", nameof(JobUnit.Inch), "{}"));
        States.Keep(store, States.Read(store) with { Postcode = "FB2 7QX" });
    }

    /// <summary>What of it cannot be kept; null where all can.</summary>
    public static Problem? Wrong(TellWorkroom told)
    {
        var name = told.Name.Trim();
        if (name.Length is 0 or > LongestName)
            return new(
                "name",
                name[..Math.Min(name.Length, 40)],
                0,
                name.Length == 0 ? "it has no name" : $"longer than {LongestName} characters",
                "Heron Loft"
            );
        foreach (var (key, word) in told.Words)
            if (Term.All.FirstOrDefault(term => term.Key == key)?.Words.Contains(word) != true)
                return new(
                    "words",
                    $"{key}: {word}"[..Math.Min($"{key}: {word}".Length, 40)],
                    0,
                    "no word that is known for it",
                    "zip: zipper"
                );
        return null;
    }

    /// <summary>Keeps what was told, and calls things so from now on.</summary>
    public static void Tell(TellWorkroom told, WorkroomStore store, Wording wording)
    {
        var words = JsonSerializer.Serialize(told.Words);
        store.Write(new(told.Name.Trim(), told.Unit.ToString(), words));
        wording.TakeUp(words);
    }

    /// <summary>All that the workroom says of itself, as it goes into its file; null until it was told.</summary>
    public static string? Whole(WorkroomStore store) =>
        store.Read() is { } told
            ? KeptJson.Write(
                new WholeWorkroom(
                    new(told.Name, UnitOf(told), KeptJson.Read<Dictionary<string, string>>(told.Words) ?? []),
                    States.Read(store)
                )
            )
            : null;

    private static JobUnit UnitOf(ToldWorkroom told) =>
        Enum.TryParse<JobUnit>(told.Unit, out var read) ? read : JobUnit.Inch;

    private static WorkroomView Of(WorkroomStore store, Wording wording)
    {
        var words = Term.All.ToDictionary(
            term => term.Key,
            term => wording.Vocabulary.Words.GetValueOrDefault(term.Key, term.Key)
        );
        return store.Read() is { } told
            ? new(told.Name, UnitOf(told), Told: true, words)
            : new("", JobUnit.Inch, Told: false, words);
    }
}
