using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A seam whose sides, as drawn, are not equally long by <paramref name="By"/>, so that the cloth strains there: the
/// pieces of its longer side, those of its shorter one, and where on the cover it runs.
/// </summary>
public sealed record SeamStrain(string Seam, string Longer, string Shorter, Length By, string Where)
{
    /// <summary>
    /// The seams of <paramref name="pattern"/> that do not meet (by more than the seam check lets pass), as
    /// <paramref name="form"/> shows them, the worst first. What is gathered, eased or pleated counts as it is drawn in.
    /// </summary>
    public static IReadOnlyList<SeamStrain> Of(Pattern pattern, SewnForm form) =>
        [
            .. from seam in pattern.Seams
            where form.SeamPlaces.ContainsKey(seam.Name)
            let one = Along(pattern, seam.OneSide) - seam.Swallowed
            let other = Along(pattern, seam.OtherSide)
            where (one - other).Abs() > SeamCheck.Tolerance
            let longer = one > other ? seam.OneSide : seam.OtherSide
            let shorter = one > other ? seam.OtherSide : seam.OneSide
            orderby (one - other).Abs() descending
            select new SeamStrain(
                seam.Name,
                Names(pattern, longer),
                Names(pattern, shorter),
                (one - other).Abs(),
                form.SeamPlaces[seam.Name]
            ),
        ];

    /// <summary>In words, lengths in <paramref name="unit"/>.</summary>
    public string Said(JobUnit unit)
    {
        var by = $"{LengthPrinter.Finished(By, unit).Text} {LengthPrinter.Word(unit)}";
        return Longer == Shorter
            ? $"The two sides of the seam {Seam} differ by {by}, {Where}."
            : $"The {Longer} is {by} longer than the {Shorter}, {Where}.";
    }

    private static Length Along(Pattern pattern, IReadOnlyList<Run> runs) =>
        runs.Aggregate(Length.Zero, (sum, run) => sum + pattern.LengthOf(run));

    private static string Names(Pattern pattern, IReadOnlyList<Run> runs) =>
        string.Join(" and ", runs.Select(run => pattern.Piece(run.Piece).Name.Split(',')[0]).Distinct());
}
