using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>
/// A job as it is stored, sent and exported: one versioned document. <paramref name="Version"/> is the format's,
/// now <see cref="Current"/>; older ones are upgraded when read.
/// </summary>
public sealed record JobDocument(
    int Version,
    string Name,
    string Customer,
    JobUnit Unit,
    string Currency,
    IReadOnlyList<Item> Items,
    IReadOnlyList<JobCloth> Cloths
)
{
    /// <summary>The version that this program writes.</summary>
    public const int Current = 1;

    /// <summary>Items that were taken off, with everything entered for them; they can be brought back.</summary>
    public IReadOnlyList<Item> Removed { get; init; } = [];

    /// <summary>The customer's id in the workroom's own list; empty for nobody of it.</summary>
    public string CustomerId { get; init; } = "";

    /// <summary>The id of the customer's place that the covers go to; empty for none of theirs.</summary>
    public string PlaceId { get; init; } = "";

    /// <summary>What it takes from the shelves beside cloth.</summary>
    public IReadOnlyList<FromShelf> FromShelves { get; init; } = [];

    /// <summary>How it is being made.</summary>
    public MakingLog Making { get; init; } = new();

    /// <summary>What goes out with it.</summary>
    public HandOverLog HandOver { get; init; } = new();

    /// <summary>
    /// The same document with an id for every remnant, price and flaw that has none. Equal documents get equal ids, so
    /// that two readers of one revision call
    /// the same row the same.
    /// </summary>
    public JobDocument Identified() =>
        this with
        {
            Cloths =
            [
                .. Cloths.Select(cloth =>
                    cloth with
                    {
                        Stock =
                        [
                            .. cloth.Stock.Select(
                                (row, at) => row.Id.Length > 0 ? row : row with { Id = $"r{at + 1}" }
                            ),
                        ],
                        Prices =
                        [
                            .. cloth.Prices.Select(
                                (row, at) => row.Id.Length > 0 ? row : row with { Id = $"p{at + 1}" }
                            ),
                        ],
                        Flaws =
                        [
                            .. cloth.Flaws.Select(
                                (row, at) => row.Id.Length > 0 ? row : row with { Id = $"f{at + 1}" }
                            ),
                        ],
                    }
                ),
            ],
        };

    /// <summary>
    /// The id of the cloth that pieces of <paramref name="role"/> are cut from: the role's own, else the item's, else
    /// the first of the job. Null for
    /// fillings without one, which are bought by their size, and where the job has no cloth.
    /// </summary>
    public string? ClothOf(Item item, ClothRole role) =>
        item.OtherCloths.GetValueOrDefault(role) is { } own ? own
        // Before it had a role of its own, a ready-made sheet was the second face.
        : role == ClothRole.ReadyMade ? item.OtherCloths.GetValueOrDefault(ClothRole.SecondFace)
        : role.IsFilling() ? null
        : role == ClothRole.Lining ? ClothOf(item, ClothRole.SecondFace)
        : item.Cloth ?? (Cloths.Count > 0 ? Cloths[0].Id : null);

    /// <summary>
    /// The ids of the cloths that an item may be cut from: its own, or the first of the job, and those that are named
    /// for some of its pieces.
    /// </summary>
    public IEnumerable<string> ClothsOf(Item item) =>
        item.OtherCloths.Values.Concat(ClothOf(item, ClothRole.Face) is { } face ? [face] : []);

    /// <summary>An empty job.</summary>
    public static JobDocument Empty(string name, JobUnit unit) => new(Current, name, "", unit, "£", [], []);
}
