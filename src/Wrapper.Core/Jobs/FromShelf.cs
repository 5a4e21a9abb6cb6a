using System.Text.Json.Serialization;

namespace Wrapper.Core.Jobs;

/// <summary>
/// What a job takes from the shelves beside cloth: for the line <paramref name="Thing"/> of its shopping list, from the
/// row <paramref name="Stock"/> of the shelves, so much as typed: a length, or how many.
/// </summary>
public sealed record FromShelf(string Id, string Thing, string Stock, Entry Amount)
{
    /// <summary>Whether it was taken out of the shelf; until then it is reserved there.</summary>
    public bool IsOut { get; init; }

    /// <summary>How many it says; null where it says no whole number.</summary>
    [JsonIgnore]
    public int? Count => Lengths.Counting.Read(Amount.Typed);
}
