using Wrapper.Core.Cloth;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>
/// One item's draft within a plan, with the letters of its pieces (<c>a</c>, <c>b</c>, …) by piece key.
/// </summary>
public sealed record ItemPlan(Item Item, int Number, Draft Draft, IReadOnlyDictionary<string, string> Letters)
{
    /// <summary>How many are made; none while the item is in doubt.</summary>
    public int Quantity => Draft.Pattern is null ? 0 : Draft.Reading!.Quantity;

    /// <summary>The label of a piece: item number and letter, <c>2c</c>.</summary>
    public string Label(string piece) => $"{Number}{Letters[piece]}";

    /// <summary>Every item of <paramref name="job"/>, its made cloths resolved, drafted in order.</summary>
    internal static List<ItemPlan> AllOf(JobDocument job, Drafting drafting, CancellationToken cancel) =>
        [
            .. job.Items.Select(
                (item, at) =>
                {
                    cancel.ThrowIfCancellationRequested();
                    return OnCloths(item, at + 1, drafting, job);
                }
            ),
        ];

    /// <summary>
    /// Drafts one item as number <paramref name="number"/> of <paramref name="job"/>, to the cloths that it is cut
    /// from.
    /// </summary>
    public static ItemPlan Of(Item item, int number, Drafting drafting, JobDocument job) =>
        OnCloths(item, number, drafting, MadeCloths.Resolved(job, drafting));

    private static ItemPlan OnCloths(Item item, int number, Drafting drafting, JobDocument job)
    {
        var draft = drafting.Draft(item, job.Unit, role => Room(item, role, job));
        var letters = (draft.Pattern?.Pieces ?? [])
            .Select((piece, at) => (piece.Key, Letter: Letter(at)))
            .ToDictionary(pair => pair.Key, pair => pair.Letter);
        return new ItemPlan(item, number, draft, letters);
    }

    /// <summary>
    /// The cloth that the cover of one item takes, laid alone, all its cloths together; null when it or a cloth of it
    /// is in doubt, or a piece too wide.
    /// </summary>
    public Length? Alone(JobDocument job, CancellationToken cancel = default)
    {
        if (Draft.Pattern is null || job.Cloths.Count == 0 || WithoutCloth(job).Any())
            return null;
        var sum = Length.Zero;
        var cut = CutPiece.Of(this).Where(piece => !piece.Lay.Role.IsFilling()).ToList();
        foreach (
            var id in Draft
                .Pattern.Roles.Where(role => !role.IsFilling())
                .Select(role => job.ClothOf(Item, role))
                .Distinct()
        )
        {
            // Reckoned on new cloth, even where the job has remnants.
            var cloth = new ClothReading(
                job.Cloths.First(cloth => cloth.Id == id) with
                {
                    Stock = [],
                    Cut = [],
                },
                job.Unit
            );
            if (!cloth.CanBeLaid)
                return null;
            var (pieces, _, repeat) = Matching.Apply(
                [.. cut.Where(piece => job.ClothOf(Item, piece.Lay.Role) == id)],
                cloth.ForLay,
                new MotifPlaces(job.Unit, [], [])
            );
            var forLay = cloth.ForLay with { Repeat = repeat };
            var cord = CordOnCloth.Of([this], job, cloth.Cloth, forLay);
            pieces.AddRange(cord.Panels);
            var panels =
                pieces.Count == 0 ? ClothLay.Nothing(forLay) : LayTable.Of(pieces, forLay, cord.Demands, cancel);
            var (_, lay) = CordStrips.After(panels, pieces, forLay, cord.Demands, cancel);
            if (lay.Misfits.Count > 0)
                return null;
            sum += lay.Length;
        }
        return sum;
    }

    /// <summary>The cloths of the item that the job does not have.</summary>
    internal IEnumerable<Problem> WithoutCloth(JobDocument job) =>
        from id in Item.OtherCloths.Values.Prepend(Item.Cloth).Distinct()
        where id is not null && job.Cloths.All(cloth => cloth.Id != id)
        select new Problem(
            $"items.{Item.Id}.cloth",
            id,
            0,
            "this job has no such cloth",
            job.Cloths.Count > 0 ? job.Cloths[0].Id : ""
        );

    // A cloth that is lost or cannot be read has a problem of its own; pieces are drafted to usual cloth meanwhile.
    internal static ClothRoom Room(Item item, ClothRole role, JobDocument job)
    {
        var cloth =
            job.Cloths.Count == 0 ? null : job.Cloths.FirstOrDefault(cloth => cloth.Id == job.ClothOf(item, role));
        return cloth is not null && new ClothReading(cloth, job.Unit) is { CanBeLaid: true } reading
            ? new ClothRoom(reading.Usable)
            {
                Name = cloth.Name,
                Behaves = cloth.Behaves,
                EdgeFinish = cloth.EdgeFinish,
                Shrinks = cloth.ShrinksAcross.Trim().Length > 0 || cloth.ShrinksAlong.Trim().Length > 0,
                OneWay = cloth.LiesOneWay,
                Article = reading.Article?.Value,
            }
            : new ClothRoom(Reading.UsualWidth) { IsKnown = false };
    }

    private static string Letter(int at) =>
        at < 26 ? $"{(char)('a' + at)}" : $"{Letter((at / 26) - 1)}{(char)('a' + (at % 26))}";
}
