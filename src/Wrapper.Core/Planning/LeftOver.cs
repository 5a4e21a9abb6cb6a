using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

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
        var measured = job.Cloths.Where(each => Wanted(each) && each.Left.Count > 0).ToList();
        if (measured.Count > 0)
            return [.. measured.SelectMany(each => Measured(each, job.Unit).Patches)];
        return
        [
            .. Plan.Of(job, drafting, lay: true, kept, cancel)
                .Cloths.Where(plan => Wanted(plan.Reading.Cloth))
                .SelectMany(plan => Remaining(plan, cancel)),
        ];
    }

    /// <summary>
    /// What was measured of a cloth that is cut, and what of it cannot be read: each field is
    /// <c>cloths.id.left.row.length</c> or <c>width</c>. A row that is not whole yet is neither.
    /// </summary>
    public static (IReadOnlyList<Patch> Patches, IReadOnlyList<Problem> Problems) Measured(JobCloth cloth, JobUnit unit)
    {
        List<Patch> patches = [];
        List<Problem> problems = [];
        Length? Read(JobRemnant row, string field, Entry? entry)
        {
            if (entry is null || entry.Typed.Trim().Length == 0)
                return null;
            var (length, refusal) = Entry.Read(entry, unit, LengthLimits.Cloth);
            if (refusal is not null)
                problems.Add(
                    new Problem(
                        $"cloths.{cloth.Id}.left.{row.Id}.{field}",
                        entry.Typed,
                        refusal.Position,
                        refusal.Reason,
                        unit.IsInches() ? "18 1/2" : "47"
                    )
                    {
                        Stage = Stage.Make,
                    }
                );
            return length;
        }
        foreach (var row in cloth.Left)
            if (
                (Read(row, "length", row.Length), Read(row, "width", row.Width)) is
                ({ IsPositive: true } along, { IsPositive: true } across)
            )
                patches.Add(new Patch(Length.Zero, Length.Zero, along, across));
        return (patches, problems);
    }

    private static IReadOnlyList<Patch> Remaining(ClothPlan plan, CancellationToken cancel)
    {
        var cut = plan.Reading.Cloth.Cut.Select(each => each.Piece).ToHashSet();
        if (plan is not { Lay: { } lay, Buying: not null } || !plan.Pieces.All(piece => cut.Contains(piece.Id)))
            return [];
        return Remnants.Of(lay.Best, plan.Pieces.ToDictionary(piece => piece.Id), plan.ForLay, plan.OnTable, cancel);
    }
}
