using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Stock;

/// <summary>A row of the shelves as read; what cannot be read counts as nothing and is told.</summary>
public sealed class StockReading
{
    /// <summary>
    /// Reads <paramref name="row"/>, of which jobs have <paramref name="reserved"/> so much; nothing entered is in
    /// <paramref name="unit"/>.
    /// </summary>
    public StockReading(StockRow row, JobUnit unit, IEnumerable<Entry>? reserved = null)
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
        Reserve([.. reserved ?? []], unit);
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

    /// <summary>What of the length no job has reserved by the length.</summary>
    public Length? FreeLength { get; private set; }

    /// <summary>What of the number no job has reserved.</summary>
    public int? FreeCount { get; private set; }

    /// <summary>The length below which more is bought; null for none.</summary>
    public Length? MarkLength { get; }

    /// <summary>The number below which more is bought; null for none.</summary>
    public int? MarkCount { get; }

    /// <summary>The row once <paramref name="taken"/> is out of it; or why so much cannot be taken.</summary>
    public (StockRow? Row, Problem? Problem) Without(Entry taken, JobUnit unit)
    {
        Problem Refuse(string reason, string example) => new("amount", Shown(taken.Typed), 0, reason, example);
        if (Length is { } length)
        {
            var (out_, refusal) = Entry.Read(taken, unit, LengthLimits.Cloth);
            if (out_ is not { } cut)
                return (null, Refuse(refusal!.Reason, unit.IsInches() ? "2 1/4 yd" : "1.8 m"));
            return cut > length
                ? (null, Refuse("that is more than there is", LengthPrinter.ShopLength(length, unit)))
                : (Row with { Length = Entry.Of(length - cut, Row.Length!.Unit) }, null);
        }
        if (Count is not { } there)
            return (null, Refuse("how much there is must be counted first", "12"));
        if (Counting.Read(taken.Typed) is not { } count)
            return (null, Refuse($"a whole number up to {Counting.Most} is needed", "4"));
        return count > there
            ? (null, Refuse("that is more than there is", $"{there}"))
            : (Row with { Count = $"{there - count}" }, null);
    }

    /// <summary>
    /// What is to be bought anew, by name: of all rows of one kind and name less is free than the highest mark among
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
            let length = like.Aggregate(
                Lengths.Length.Zero,
                (sum, each) => sum + (each.FreeLength ?? Lengths.Length.Zero)
            )
            let count = like.Sum(each => (long)(each.FreeCount ?? 0))
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

    // More than there is may be reserved: two people at two benches. Then it is told, and nothing is free.
    private void Reserve(List<Entry> reserved, JobUnit unit)
    {
        var lengths = reserved
            .Select(each => Entry.Read(each, unit, LengthLimits.Cloth).Length)
            .OfType<Length>()
            .Aggregate(Lengths.Length.Zero, (sum, each) => sum + each);
        var counts = reserved.Sum(each => (long)(Counting.Read(each.Typed) ?? 0));
        if (Length is { } length)
        {
            FreeLength = length > lengths ? length - lengths : Lengths.Length.Zero;
            if (lengths > length)
                Over(LengthPrinter.ShopLength(lengths, unit), LengthPrinter.ShopLength(length, unit));
        }
        if (Count is { } count)
        {
            FreeCount = (int)Math.Max(0, count - counts);
            if (counts > count)
                Over($"{counts}", $"{count}");
        }
    }

    private void Over(string reserved, string there) =>
        Problems.Add(new("reserved", reserved, 0, $"jobs have reserved {reserved}, and {there} is there", there));

    private int? ReadCount(string field, string typed, string missing)
    {
        var given = typed.Trim();
        if (given.Length == 0 && missing.Length > 0)
            Problems.Add(new(field, "", 0, missing, "12"));
        else if (given.StartsWith('-'))
            Problems.Add(new(field, Shown(given), 0, "there cannot be less than nothing: count again", "0"));
        else if (Counting.Read(given) is { } count)
            return count;
        else
            Problems.Add(new(field, Shown(given), 0, $"a whole number up to {Counting.Most} is needed", "12"));
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
