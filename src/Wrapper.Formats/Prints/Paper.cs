using Wrapper.Core.Lengths;

namespace Wrapper.Formats.Prints;

/// <summary>Paper to print on, upright; a roll is as long as what is drawn on it.</summary>
public sealed record Paper(string Key, string Name, Length Width, Length Height)
{
    /// <summary>The sheets that are to be had everywhere.</summary>
    public static IReadOnlyList<Paper> Sheets { get; } =
    [
        new("a4", "A4", Length.Millimetres(210), Length.Millimetres(297)),
        new("letter", "Letter", Length.Inches(8, 1, 2), Length.Inches(11)),
        new("a3", "A3", Length.Millimetres(297), Length.Millimetres(420)),
    ];

    /// <summary>The key of a roll.</summary>
    public const string RollKey = "roll";

    /// <summary>The narrowest and the widest roll.</summary>
    public static readonly Length Narrowest = Length.Millimetres(200),
        Widest = Length.Millimetres(2000);

    /// <summary>The longest page that readers of the format take: 200 in, less a little.</summary>
    public static readonly Length Longest = Length.Millimetres(5000);

    /// <summary>A roll of this width, cut off after <paramref name="length"/>.</summary>
    public static Paper Roll(Length width, Length length) => new(RollKey, "Roll", width, Length.Min(length, Longest));

    /// <summary>The sheet of this key; null where there is none.</summary>
    public static Paper? Find(string key) => Sheets.FirstOrDefault(paper => paper.Key == key);
}
