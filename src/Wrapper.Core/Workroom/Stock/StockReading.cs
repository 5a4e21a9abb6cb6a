using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Stock;

/// <summary>A row of the shelves as read; what cannot be read counts as nothing and is told.</summary>
public sealed class StockReading
{
    private const int MostCounted = 100_000;

    /// <summary>Reads <paramref name="row"/>; nothing entered is in <paramref name="unit"/>.</summary>
    public StockReading(StockRow row, JobUnit unit)
    {
        Row = row;
        if (row.Name.Trim().Length == 0)
            Problems.Add(new("name", "", 0, "what it is is needed", "Slate wool twill"));
        if (row.HasLength)
        {
            Length = Read("length", row.Length, unit);
            if (row.Length is null || row.Length.Typed.Trim().Length == 0)
                Problems.Add(new("length", "", 0, "how long it is is needed", unit.IsInches() ? "2 1/4 yd" : "1.8 m"));
        }
        else
            Count = ReadCount("count", row.Count, "how many there are is needed");
        if (row.Width is { Typed: { } typed } && typed.Trim().Length > 0)
            Width = Read("width", row.Width, unit);
        if (row.Mark.Trim().Length == 0)
            return;
        if (row.HasLength)
            MarkLength = Read("mark", new Entry(row.Mark, unit), unit);
        else
            MarkCount = ReadCount("mark", row.Mark, "");
    }

    /// <summary>The row as entered.</summary>
    public StockRow Row { get; }

    /// <summary>What could not be read.</summary>
    public List<Problem> Problems { get; } = [];

    /// <summary>How long it is; null where that is not known or it has no length.</summary>
    public Length? Length { get; }

    /// <summary>How wide it is; null where that is not known.</summary>
    public Length? Width { get; }

    /// <summary>How many there are; null where that is not known or it is not counted.</summary>
    public int? Count { get; }

    /// <summary>The length below which more is bought; null for none.</summary>
    public Length? MarkLength { get; }

    /// <summary>The number below which more is bought; null for none.</summary>
    public int? MarkCount { get; }

    /// <summary>
    /// What is to be bought anew, by name: of all rows of one kind and name there is less than the highest mark among
    /// them.
    /// </summary>
    public static IReadOnlyList<(string Name, string There, string Mark)> Low(
        IEnumerable<StockReading> rows,
        JobUnit unit
    ) =>
        [
            .. from row in rows
            group row by (row.Row.HasLength, Name: row.Row.Name.Trim().ToUpperInvariant()) into like
            let name = like.First().Row.Name.Trim()
            let length = like.Aggregate(Lengths.Length.Zero, (sum, each) => sum + (each.Length ?? Lengths.Length.Zero))
            let count = like.Sum(each => (long)(each.Count ?? 0))
            let isLow = like.Key.HasLength
                ? like.Max(each => each.MarkLength) is { } most && length < most
                : like.Max(each => each.MarkCount) is { } number && count < number
            where isLow
            orderby name
            select (
                name,
                like.Key.HasLength ? LengthPrinter.ShopLength(length, unit) : $"{count}",
                like.Key.HasLength
                    ? LengthPrinter.ShopLength(like.Max(each => each.MarkLength)!.Value, unit)
                    : $"{like.Max(each => each.MarkCount)}"
            ),
        ];

    private int? ReadCount(string field, string typed, string missing)
    {
        var given = typed.Trim();
        if (given.Length == 0 && missing.Length > 0)
            Problems.Add(new(field, "", 0, missing, "12"));
        else if (given.StartsWith('-'))
            Problems.Add(new(field, Shown(given), 0, "there cannot be less than nothing: count again", "0"));
        else if (
            int.TryParse(given, NumberStyles.None, CultureInfo.InvariantCulture, out var count)
            && count <= MostCounted
        )
            return count;
        else
            Problems.Add(new(field, Shown(given), 0, $"a whole number up to {MostCounted} is needed", "12"));
        return null;
    }

    private Length? Read(string field, Entry? entry, JobUnit unit)
    {
        if (entry is null || entry.Typed.Trim().Length == 0)
            return null;
        if (entry.Typed.TrimStart().StartsWith('-'))
        {
            Problems.Add(new(field, Shown(entry.Typed), 0, "there cannot be less than nothing: measure again", "0"));
            return null;
        }
        var (length, refusal) = Entry.Read(entry, entry.Unit, LengthLimits.Cloth);
        if (refusal is not null)
            Problems.Add(
                new(field, refusal.Given, refusal.Position, refusal.Reason, unit.IsInches() ? "2 1/4 yd" : "1.8 m")
            );
        return length;
    }

    private static string Shown(string typed) => typed.Length > 40 ? typed[..40] : typed;
}
