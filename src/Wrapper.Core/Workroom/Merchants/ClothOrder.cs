using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Merchants;

/// <summary>Cloth that came: how long and wide, from which batch, on which day (<c>yyyy-MM-dd</c>). Counts of 1/3840 mm.</summary>
public sealed record Delivery(string Id, long Length, long Width, string Batch, string CameOn);

/// <summary>
/// Cloth that a merchant put aside or was asked to send for a cloth of a job: how much, as wide as the catalogue says,
/// from which batch, and by when (<c>yyyy-MM-dd</c>). Counts of 1/3840 mm.
/// </summary>
public sealed record ClothOrder(
    string Id,
    string Article,
    string Name,
    string Job,
    string Cloth,
    long Length,
    long Width,
    string Batch,
    string PlacedOn,
    string DueOn,
    bool IsReserved
)
{
    /// <summary>What came of it so far, in the order in which it came.</summary>
    public IReadOnlyList<Delivery> Came { get; init; } = [];

    /// <summary>How much is still to come.</summary>
    public Length Missing => new(Math.Max(0, Length - Came.Sum(each => each.Length)));

    /// <summary>Whether all of it is there.</summary>
    public bool IsWhole => !IsReserved && !Missing.IsPositive;

    /// <summary>
    /// What must be known before what came is cut: a width that is not the one it was laid for, batches that differ
    /// (dye lots differ to the eye: covers that are seen together come from one), and a piece too short to be what was
    /// asked for in one length (craft §10).
    /// </summary>
    public IEnumerable<string> Warnings(JobUnit unit)
    {
        foreach (var width in Came.Where(each => each.Width != Width).Select(each => new Length(each.Width)).Distinct())
            yield return $"It is {Say(width)} wide, and not {Say(new Length(Width))}: lay it anew at its own width, or send it back. Do not cut.";
        var batches = Came.Select(each => each.Batch).Distinct().ToList();
        if (batches.Any(batch => batch != Batch))
            yield return $"It comes from batch {string.Join(" and ", batches)}, and not from {Batch}: hold both in daylight before either is cut. Covers that are seen together are cut from one batch.";
        if (Came.Count > 1)
            yield return $"It came in {Came.Count} lengths: {string.Join(", ", Came.Select(each => LengthPrinter.ClothLength(new Length(each.Length), unit)))}. Lay them as lengths of their own.";

        string Say(Length length) => $"{LengthPrinter.Finished(length, unit).Text} {LengthPrinter.Word(unit)}";
    }
}
