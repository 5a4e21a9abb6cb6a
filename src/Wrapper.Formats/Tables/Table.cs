namespace Wrapper.Formats.Tables;

/// <summary>A cell: words, and the number that they are where they are one.</summary>
public readonly record struct Cell(string Words, decimal? Number = null)
{
    /// <summary>Words.</summary>
    public static implicit operator Cell(string words) => new(words);

    /// <summary>A number, told without a thousands' mark and with a point.</summary>
    public static Cell Of(decimal number) =>
        new(number.ToString("0.############", System.Globalization.CultureInfo.InvariantCulture), number);

    /// <summary>What was typed, as a number where it is nothing else.</summary>
    public static Cell Typed(string typed) =>
        decimal.TryParse(
            typed,
            System.Globalization.NumberStyles.AllowDecimalPoint,
            System.Globalization.CultureInfo.InvariantCulture,
            out var number
        )
            ? new(typed, number)
            : new(typed);
}

/// <summary>A table with a head; every row has as many cells.</summary>
public sealed record Table(string Name, IReadOnlyList<string> Columns, IReadOnlyList<IReadOnlyList<Cell>> Rows);
