namespace Wrapper.Formats.Pages;

/// <summary>A stretch of words in one weight.</summary>
public readonly record struct Run(string Words, bool IsBold = false)
{
    /// <summary>Words in the usual weight.</summary>
    public static implicit operator Run(string words) => new(words);

    /// <summary>Words in bold.</summary>
    public static Run Bold(string words) => new(words, IsBold: true);
}

/// <summary>How large words are set.</summary>
public enum TextSize
{
    /// <summary>As most is read, standing at a table.</summary>
    Usual,

    /// <summary>What is read once: terms, sources.</summary>
    Small,

    /// <summary>The figure that the page is about.</summary>
    Large,

    /// <summary>What is sewn in: as small as can be read.</summary>
    Label,
}

/// <summary>What a page is made of. Sizes are millimetres on paper.</summary>
public abstract record Block;

/// <summary>A heading; level 1 is the title of the sheet.</summary>
public sealed record Heading(int Level, string Words) : Block;

/// <summary>A paragraph; a line break in its words is kept.</summary>
public sealed record Text(IReadOnlyList<Run> Runs) : Block
{
    /// <summary>How large it is set.</summary>
    public TextSize Size { get; init; } = TextSize.Usual;

    /// <summary>Whether it ends at the right, as amounts do.</summary>
    public bool IsRight { get; init; }

    /// <summary>Whether a bar stands before it, as before a caution.</summary>
    public bool IsMarked { get; init; }

    /// <summary>A paragraph of runs.</summary>
    public static Text Of(params Run[] runs) => new(runs);
}

/// <summary>A column: its head, its share of the width, and whether what it holds ends at the right.</summary>
public sealed record Column(string Head, float Share, bool IsRight = false);

/// <summary>A row: what each column holds; a strong one is a sum.</summary>
public sealed record Row(IReadOnlyList<IReadOnlyList<Block>> Cells, bool IsStrong = false);

/// <summary>A table. Its heads, where it has any, stand on every page that it runs over.</summary>
public sealed record Grid(IReadOnlyList<Column> Columns, IReadOnlyList<Row> Rows) : Block
{
    /// <summary>Whether lines are drawn between its rows.</summary>
    public bool IsRuled { get; init; } = true;

    /// <summary>A row of plain cells.</summary>
    public static Row Plain(params string[] cells) => new([.. cells.Select(Cell)]);

    /// <summary>A cell of plain words.</summary>
    public static IReadOnlyList<Block> Cell(string words) => [Text.Of(words)];
}

/// <summary>Blocks side by side, each with its share of the width. Not a table: it is read one after the other.</summary>
public sealed record Beside(IReadOnlyList<(float Share, IReadOnlyList<Block> Blocks)> Parts) : Block;

/// <summary>A numbered list, each point with a box to tick where it is asked for.</summary>
public sealed record Points(IReadOnlyList<IReadOnlyList<Block>> Each, bool HasBoxes = false) : Block;

/// <summary>A picture, as wide as there is room and at most so high, and what it shows in words.</summary>
public sealed record Figure(Picture Picture, string Shows, float MostHigh) : Block;

/// <summary>Small pictures in a row, each so high, with its words.</summary>
public sealed record Signs(IReadOnlyList<(Picture Picture, string Words)> Each, float High, bool HasWords) : Block;

/// <summary>Room to write by hand: what for, and how many lines.</summary>
public sealed record WriteIn(string What, int Lines = 1) : Block;

/// <summary>Empty room.</summary>
public sealed record Gap(float High) : Block;

/// <summary>A new page.</summary>
public sealed record NewPage : Block;

/// <summary>Blocks in a frame of its own width, to be cut out; at least so high, and so far inside of its line.</summary>
public sealed record Framed(IReadOnlyList<Block> Blocks, float Wide, float LeastHigh, float Inside = 3) : Block;

/// <summary>
/// A sheet as it is described once, for every way out of the house: blocks in their order on paper of one size.
/// <paramref name="Head"/> and <paramref name="Whose"/> stand over every page, empty for none.
/// </summary>
public sealed record Sheet(string Title, string Head, string Whose, SheetSize Size, IReadOnlyList<Block> Blocks);

/// <summary>Paper, its margins, and whether the pages are numbered.</summary>
public sealed record SheetSize(float Wide, float High, float Margin, bool IsNumbered = true)
{
    /// <summary>The room over and below what is set, where head and number stand.</summary>
    internal float Outside => IsNumbered ? Margin + 6 : Margin;

    /// <summary>A sheet of A4.</summary>
    public static readonly SheetSize A4 = new(210, 297, 13);

    /// <summary>A sheet of Letter.</summary>
    public static readonly SheetSize Letter = new(215.9f, 279.4f, 13);

    /// <summary>A label of its own.</summary>
    public static SheetSize Label(float wide, float high) => new(wide, high, 3, IsNumbered: false);
}
