using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;

namespace Wrapper.Core.Planning;

/// <summary>
/// A whole job planned: every item drafted, every cloth laid and bought. Items in doubt are left out of the lays.
/// </summary>
public sealed record Plan(
    IReadOnlyList<ItemPlan> Items,
    IReadOnlyList<ClothPlan> Cloths,
    IReadOnlyList<Problem> Problems
)
{
    /// <summary>The most pieces that a job may have; more is a slip of the pen, or several jobs.</summary>
    public const int MostPieces = 5000;

    /// <summary>
    /// Drafts every item of <paramref name="job"/>, and lays and buys each cloth if <paramref name="lay"/>, unless it
    /// is <paramref name="cancel"/> meanwhile; lays that are <paramref name="kept"/> are not laid again.
    /// </summary>
    public static Plan Of(
        JobDocument job,
        Drafting drafting,
        bool lay,
        LayCache? kept = null,
        CancellationToken cancel = default
    )
    {
        job = MadeCloths.Resolved(job, drafting);
        var items = ItemPlan.AllOf(job, drafting, cancel);
        var cloths = job.Cloths.Select(cloth => ClothPlan.Of(cloth, items, job, lay, kept, cancel)).ToList();
        return new Plan(items, cloths, [.. items.SelectMany(item => item.WithoutCloth(job))]);
    }
}
