using System.Text.Json;
using Wrapper.Core.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Records;

/// <summary>What the workroom states, as it is kept; usual statements to begin from until it has its own.</summary>
internal static class States
{
    private const int LongestPostcode = 200,
        LongestText = 4000,
        MostStatements = 40;

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    /// <summary>Statements to begin from. They name no law: the maker writes in what the country asks for.</summary>
    private static readonly IReadOnlyList<Statement> Usual =
    [
        new(
            "materials",
            "New materials",
            "The cover and filling materials were sold to us as meeting [the rule that applies]. The suppliers' papers, [their numbers], are kept with this job."
        ),
        new(
            "own-filling",
            "The customer's own filling",
            "The filling is the customer's own. It was not examined or replaced, and nothing is stated about it."
        ),
        new(
            "interliner",
            "With an interliner",
            "An interliner, [its name and papers], lies between the cover and the filling. It has to stay in place when the cover is washed or renewed."
        ),
        new(
            "coating",
            "Flame-resistant coating",
            "The back of the cloth is coated to resist flame, as its supplier states. Washing may take the coating off."
        ),
        new("none", "No statement", "Nothing is stated about flammability."),
    ];

    /// <summary>What is kept; the usual where it cannot be read.</summary>
    public static WorkroomStates Read(WorkroomStore store)
    {
        try
        {
            if (JsonSerializer.Deserialize<WorkroomStates>(store.HandOver(), Json) is { Statements: not null } kept)
                return kept with { Postcode = kept.Postcode ?? "" };
        }
        catch (JsonException) { }
        return new("", Usual);
    }

    /// <summary>What of it is more than can be kept; null where nothing is.</summary>
    public static Problem? TooLong(WorkroomStates states)
    {
        var texts = states
            .Statements.SelectMany(each => new[] { each.Id, each.Name, each.Text })
            .Append(states.Postcode);
        if (states.Statements.Count > MostStatements || texts.Any(text => text.Length > LongestText))
            return new(
                "statements",
                $"{states.Statements.Count}",
                0,
                $"at most {MostStatements} statements of {LongestText} characters each",
                "Nothing is stated about flammability."
            );
        return states.Postcode.Length > LongestPostcode
            ? new(
                "postcode",
                states.Postcode[..40],
                LongestPostcode,
                $"longer than {LongestPostcode} characters",
                "FB2 7QX"
            )
            : null;
    }

    /// <summary>Keeps it; false while there is no workroom.</summary>
    public static bool Keep(WorkroomStore store, WorkroomStates states) =>
        store.KeepHandOver(JsonSerializer.Serialize(states, Json));
}
