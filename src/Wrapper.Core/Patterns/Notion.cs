using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>Something bought by length or count beside the cloth: zip, cord, thread, foam.</summary>
public sealed record Notion(string Key, string Name, Working? Length, int Count = 1, string Note = "")
{
    /// <summary>
    /// How much, in words, of what is bought neither by length nor by count ("31 litres"); empty for the rest.
    /// </summary>
    public string Amount { get; init; } = "";

    /// <summary>How many litres one is, of what is bought by volume; null for the rest.</summary>
    public decimal? Litres { get; init; }

    /// <summary>How many kilograms one is, of what is bought by weight; null for the rest.</summary>
    public decimal? Kilograms { get; init; }

    /// <summary>
    /// Whether a shop sells it off a roll or reel, by the yard or metre (thread, cord, tape, elastic), and not at a
    /// size of its own.
    /// </summary>
    public bool OffTheRoll { get; init; }

    /// <summary>
    /// What a shop sells it as, by the yard or metre, where it is then cut to the length told here: elastic, tape, zip
    /// chain. Empty for the rest.
    /// </summary>
    public string SoldAs { get; init; } = "";

    /// <summary>
    /// What it is cut from, where it is a piece of the pattern too: it is laid, not bought by size, once that has a
    /// cloth of its own.
    /// </summary>
    public ClothRole? Role { get; init; }
}
