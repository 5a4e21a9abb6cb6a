using Wrapper.Core.Lengths;
using Wrapper.Core.Words;
using Wrapper.Formats.Pages;

namespace Wrapper.Server.Sheets;

/// <summary>
/// What every sheet of the house has in common: the workroom's name, its words, the paper that it prints on.
/// </summary>
internal sealed record Office(string Workroom, Vocabulary Words, SheetSize Size)
{
    /// <summary>A sheet about a job, or of none.</summary>
    public Sheet Sheet(string title, string head, IReadOnlyList<Block> blocks) =>
        new($"{title}{(head.Length > 0 ? $", {head}" : "")}", head, Workroom, Size, blocks);

    /// <summary>A text of this program in the workroom's words.</summary>
    public string Say(string text) => Words.Say(text);

    /// <summary>How an item is headed: its number, its name, and how many are made.</summary>
    public static string Titled(int number, string name, string quantity) =>
        $"{number} {name}{(quantity.Trim() is "1" or "" ? "" : $" × {quantity.Trim()}")}";

    /// <summary>The unit of a tape, as it stands at the head of a column.</summary>
    public static string UnitOf(JobUnit unit) => LengthPrinter.Word(unit);
}
