using Wrapper.Core.Jobs;

namespace Wrapper.Server.Api;

/// <summary>What a job document may hold: bounds that no real job meets, so that a broken or hostile file is refused at the door.</summary>
internal static class JobLimits
{
    private const int MostItems = 500, MostCloths = 50, LongestName = 200, LongestEntry = 4000, MostEntries = 300, LongestNotes = 4000, MostFlaws = 60, MostStock = 20;

    public static IEnumerable<Problem> Check(JobDocument job)
    {
        if (job.Items.Any(item => item is null) || job.Cloths.Any(cloth => cloth is null))
        {
            yield return new Problem("items", "null", 0, "items and cloths cannot be null", "[]");
            yield break;
        }
        if (job.Version is < 1 or > JobDocument.Current)
            yield return new Problem("version", $"{job.Version}", 0, $"this program reads job files up to version {JobDocument.Current}", $"{JobDocument.Current}");
        if (string.IsNullOrWhiteSpace(job.Name)) yield return new Problem("name", job.Name ?? "", 0, "a job needs a name", "Window bench");
        foreach (var (field, text) in new[] { ("name", job.Name), ("customer", job.Customer), ("currency", job.Currency) }.Concat(Names(job)))
            if (text?.Length > LongestName) yield return new Problem(field, text[..40], LongestName, $"longer than {LongestName} characters", "Window bench");
        if (job.Items.Count > MostItems) yield return new Problem("items", $"{job.Items.Count}", 0, $"a job holds at most {MostItems} items", $"{MostItems}");
        if (job.Cloths.Count > MostCloths) yield return new Problem("cloths", $"{job.Cloths.Count}", 0, $"a job holds at most {MostCloths} cloths", $"{MostCloths}");
        foreach (var twice in job.Items.Select(item => item.Id).Concat(job.Cloths.Select(cloth => cloth.Id)).GroupBy(id => id).Where(ids => ids.Count() > 1))
            yield return new Problem("id", twice.Key, 0, "used twice; every item and cloth needs its own", "bench-left");
        foreach (var flawed in job.Cloths.Where(cloth => cloth.Flaws.Count > MostFlaws || cloth.Flaws.Any(flaw => flaw is null) || cloth.Pins.Count > Planning.MostPieces || cloth.Pins.Any(pin => pin is null) || cloth.Cut.Count > Planning.MostPieces || cloth.Cut.Any(cut => cut is null)))
            yield return new Problem($"cloths.{flawed.Id}.flaws", $"{flawed.Flaws.Count}", 0, $"a cloth has at most {MostFlaws} flaws here (cut it apart where there are more), and no more pins than pieces", $"{MostFlaws}");
        foreach (var stocked in job.Cloths.Where(cloth => new[] { cloth.Stock.Count, cloth.Prices.Count, cloth.OtherWidths.Count }.Max() > MostStock || cloth.Stock.Any(remnant => remnant?.Name is null || remnant.Name.Length > LongestName) || cloth.Prices.Any(price => price?.Price is null || price.Price.Length > LongestName) || cloth.OtherWidths.Any(width => width is null)))
            yield return new Problem($"cloths.{stocked.Id}.stock", $"{stocked.Stock.Count}", 0, $"a cloth has at most {MostStock} remnants, prices and other widths, none of them null, with names up to {LongestName} characters", $"{MostStock}");
        foreach (var problem in job.Items.SelectMany(Check)) yield return problem;
    }

    /// <summary>What is out of bounds in one item.</summary>
    public static IEnumerable<Problem> Check(Item item)
    {
        if (item.Notes is null || item.Notes.Length > LongestNotes)
            yield return new Problem($"items.{item.Id}.notes", item.Name, LongestNotes, $"longer than {LongestNotes} characters", "Hinges at the back; leg pads numbered 1 to 4.");
        var entries = item.Measures.Concat(item.Choices).Concat(item.Allowances).ToList();
        if (entries.Count > MostEntries || item.Quantity.Length > LongestEntry || entries.Any(entry => entry.Value is null || entry.Value.Typed.Length > LongestEntry))
            yield return new Problem($"items.{item.Id}", item.Name, 0, $"more than {MostEntries} entries, or one that is null or longer than {LongestEntry} characters", "W: 46 1/2");
    }

    private static IEnumerable<(string, string?)> Names(JobDocument job) =>
        job.Items.Select(item => ($"items.{item.Id}.name", (string?)item.Name)).Concat(job.Cloths.Select(cloth => ($"cloths.{cloth.Id}.name", (string?)cloth.Name)))
            .Concat(job.Cloths.SelectMany(cloth => new[] { ("price", (string?)cloth.Price), ("shrinksAcross", cloth.ShrinksAcross), ("shrinksAlong", cloth.ShrinksAlong) }.Select(field => ($"cloths.{cloth.Id}.{field.Item1}", field.Item2))));
}
