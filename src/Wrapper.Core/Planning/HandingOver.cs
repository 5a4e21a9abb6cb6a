using System.Text.RegularExpressions;
using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>The workroom as it signs what it hands over.</summary>
public sealed record Maker(string Name, string Postcode);

/// <summary>
/// What can be said of the covers of one item when they go out: <paramref name="Given"/> as it would be recorded today,
/// and what is <paramref name="Missing"/> from it, each with where it is entered.
/// </summary>
public sealed record HandingOver(ItemPlan Item, GivenRecord Given, IReadOnlyList<string> Missing, string UsuallyOpens)
{
    /// <summary>What the maker has not filled in of a statement stands in square brackets.</summary>
    public static IEnumerable<string> Blanks(string statement) =>
        Regex.Matches(statement, @"\[[^\]]*\]").Select(match => match.Value);

    /// <summary>
    /// What <paramref name="job"/> says of <paramref name="item"/>; null while the item is in doubt.
    /// </summary>
    public static HandingOver? Of(ItemPlan item, JobDocument job, Maker maker, string date)
    {
        if (item.Draft.Pattern is not { } pattern || item.Draft.Reading is null)
            return null;
        var said = job.HandOver.Covers.FirstOrDefault(cover => cover.Id == item.Item.Id) ?? new(item.Item.Id);
        var roles = pattern.Roles.Where(role => !role.IsFilling()).ToList();
        var cloths = roles
            .Select(role => job.ClothOf(item.Item, role))
            .Distinct()
            .Select(id => job.Cloths.FirstOrDefault(cloth => cloth.Id == id))
            .OfType<JobCloth>()
            .ToList();
        var filled = IsFilled(pattern);
        var care = CareMark.Mildest(cloths.Select(cloth => cloth.Care));
        List<string> missing = [];
        if (job.Customer.Trim().Length == 0)
            missing.Add("the customer's name");
        if (maker.Name.Trim().Length == 0)
            missing.Add("the workroom's name");
        if (maker.Postcode.Trim().Length == 0)
            missing.Add("the workroom's postcode");
        missing.AddRange(
            cloths.Where(cloth => cloth.Batch.Trim().Length == 0).Select(cloth => $"the batch of {cloth.Name}")
        );
        missing.AddRange(
            cloths.Where(cloth => cloth.Care.Count == 0).Select(cloth => $"the care code of {cloth.Name}")
        );
        if (filled && said.Fillings == FillingsAre.Unsaid)
            missing.Add("whether the fillings are original or replaced");
        if (filled && said.Interliner == Stated.Unsaid)
            missing.Add("whether there is an interliner");
        if (said.Fixed == Stated.Unsaid)
            missing.Add("whether the cover is loose or fixed");
        missing.AddRange(Blanks(said.Flammability).Select(blank => $"what stands for {blank} in the statement"));
        missing.AddRange(
            item.Item.PartsOff.Where(part => !part.IsBack).Select(part => $"where {part.Name} is: it is not back yet")
        );
        return new(
            item,
            new GivenRecord(date, item.Item.Name, item.Draft.Reading.MakeUpName, item.Quantity, Size(pattern, job.Unit))
            {
                Maker = maker.Name,
                Postcode = maker.Postcode,
                Customer = job.Customer,
                Place = job.HandOver.Place,
                Cloths = [.. cloths.Select(cloth => new GivenCloth(cloth.Name, cloth.Batch, cloth.Care))],
                Care = [.. care.Select(mark => mark.Key)],
                Stated = [.. Lines(said, filled)],
                Cautions =
                [
                    .. pattern.Remarks.Where(remark => remark.Always).Select(remark => remark.Text),
                    .. pattern.Remarks.Select(remark => remark.OnCare).Where(told => told.Length > 0),
                ],
                Parts = [.. item.Item.PartsOff.Where(part => part.IsBack).Select(part => part.Name)],
            },
            missing,
            Opens(pattern)
        );
    }

    private static bool IsFilled(Pattern pattern) =>
        pattern.Steps.Any(step => step.Does.HasFlag(Doing.Filling))
        || pattern.Notions.Any(notion => notion.Key.StartsWith("foam", StringComparison.Ordinal));

    private static IEnumerable<GivenLine> Lines(CoverRecord said, bool filled)
    {
        if (filled && said.Fillings != FillingsAre.Unsaid)
            yield return new(
                "Fillings",
                (
                    said.Fillings switch
                    {
                        FillingsAre.Original => "original",
                        FillingsAre.Replaced => "replaced",
                        _ => "none",
                    }
                ) + (said.Filling.Trim().Length > 0 ? $": {said.Filling.Trim()}" : "")
            );
        if (said.Interliner != Stated.Unsaid)
            yield return new("Interliner", said.Interliner == Stated.Yes ? "present" : "none");
        if (said.Flammability.Trim().Length > 0)
            yield return new("Flammability, as the maker states", said.Flammability.Trim());
        if (said.Fixed != Stated.Unsaid)
            yield return new("Cover", said.Fixed == Stated.Yes ? "fixed" : "loose, comes off");
        if (said.Opens.Trim().Length > 0)
            yield return new("Opens at", said.Opens.Trim());
        if (said.Cleaning.Trim().Length > 0)
            yield return new("Cleaning", said.Cleaning.Trim());
        if (said.Notes.Trim().Length > 0)
            yield return new("Notes", said.Notes.Trim());
    }

    /// <summary>The finished size of a cover, as it is told to a customer; empty where it has none.</summary>
    internal static string Size(Pattern pattern, JobUnit unit) =>
        string.Join(
            " x ",
            pattern
                .Finished.Where(size => size.Name.StartsWith("finished ", StringComparison.Ordinal))
                .Take(3)
                .Select(size => LengthPrinter.Finished(size.Working.Value, unit).Text)
        )
            is { Length: > 0 } sizes
            ? $"{sizes} {LengthPrinter.Word(unit)}"
            : "";

    // The corner that bears the label, else the zip, else what is closed by hand.
    private static string Opens(Pattern pattern)
    {
        if (pattern.Notions.FirstOrDefault(notion => notion.Key == "label") is { } label)
            return $"{label.Note}, closed by hand in contrasting thread";
        if (pattern.Seams.Any(seam => seam.Zip is not null))
            return "its zip";
        return pattern.Steps.Any(step => step.How.Contains(Technique.LadderStitch))
            ? "the opening closed by hand in ladder stitch"
            : "";
    }
}
