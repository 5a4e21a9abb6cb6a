using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;

namespace Wrapper.Core.Planning;

/// <summary>What is left of the cloths of a job that have been cut, to be offered to others (craft §10).</summary>
public static class LeftOver
{
    /// <summary>
    /// The remnants of the job's cloths of this name, whatever its case, from which every piece has been cut; as far as
    /// they were bought.
    /// </summary>
    public static IReadOnlyList<Patch> Of(
        JobDocument job,
        string cloth,
        Drafting drafting,
        LayCache? kept = null,
        CancellationToken cancel = default
    )
    {
        bool Wanted(JobCloth each) =>
            each.Cut.Count > 0 && string.Equals(each.Name.Trim(), cloth.Trim(), StringComparison.OrdinalIgnoreCase);
        if (!job.Cloths.Any(Wanted))
            return [];
        return
        [
            .. Plan.Of(job, drafting, lay: true, kept, cancel)
                .Cloths.Where(plan => Wanted(plan.Reading.Cloth))
                .SelectMany(plan => Remaining(plan, cancel)),
        ];
    }

    private static IReadOnlyList<Patch> Remaining(ClothPlan plan, CancellationToken cancel)
    {
        var cut = plan.Reading.Cloth.Cut.Select(each => each.Piece).ToHashSet();
        if (plan is not { Lay: { } lay, Buying: not null } || !plan.Pieces.All(piece => cut.Contains(piece.Id)))
            return [];
        return Remnants.Of(lay.Best, plan.Pieces.ToDictionary(piece => piece.Id), plan.ForLay, plan.OnTable, cancel);
    }
}
