namespace Wrapper.Formats.Pages;

/// <summary>A page as it is set: what is drawn, in reading order, from its upper left corner.</summary>
internal sealed record SetPage(IReadOnlyList<Mark> Marks);

/// <summary>A sheet set on its pages, and its parts as they are read.</summary>
internal sealed record SetSheet(Sheet Sheet, IReadOnlyList<SetPage> Pages, Node Root)
{
    private const float Head = 3.6f;

    /// <summary>Sets a sheet.</summary>
    public static SetSheet Of(Sheet sheet)
    {
        var (size, root) = (sheet.Size, new Node("Document"));
        var wide = size.Wide - (2 * size.Margin);
        var room = size.High - (2 * size.Outside);
        List<List<Mark>> pages =
        [
            [],
        ];
        var y = 0f;
        var strips = Blocks.Set(sheet.Blocks, wide, root);
        for (var at = 0; at < strips.Count; at++)
        {
            var strip = strips[at];
            // A heading goes with what follows it.
            var needed = strip.High;
            for (var next = at; strips[next].WithNext && next + 1 < strips.Count; next++)
                needed += strips[next + 1].High;
            if (y > 0 && (strip.IsBreak || y + Math.Min(needed, room) > room + 0.01f))
            {
                pages.Add([]);
                y = 0;
                if (strip.Again is { } again)
                    Place(again);
            }
            Place(strip);
        }
        return new(
            sheet,
            [
                .. pages.Select(
                    (marks, at) => new SetPage(size.IsNumbered ? [.. marks, .. Outside(at + 1, pages.Count)] : marks)
                ),
            ],
            root
        );

        void Place(Strip strip)
        {
            pages[^1].AddRange(strip.Marks.Select(mark => mark.Moved(size.Margin, size.Outside + y)));
            y += strip.High;
        }

        IEnumerable<Mark> Outside(int page, int of)
        {
            List<Strip> over =
            [
                .. Lines.Of([Run.Bold(sheet.Head)], Head, wide * 0.62f, isRight: false, null).Take(1),
                .. Lines
                    .Of([sheet.Whose], Head, wide * 0.36f, isRight: true, null)
                    .Take(1)
                    .Select(line => line.Moved(wide * 0.64f)),
            ];
            var number = Lines.Of([$"{page} of {of}"], Head, wide, isRight: true, null)[0];
            return over.SelectMany(line => line.Marks)
                .Where(mark => mark is Words { Said: not "" })
                .Select(mark => mark.Moved(size.Margin, size.Margin - 3))
                .Concat(number.Marks.Select(mark => mark.Moved(size.Margin, size.High - size.Margin - Head)));
        }
    }

    /// <summary>How high a sheet must be to hold these blocks on one page so wide.</summary>
    public static float Height(IReadOnlyList<Block> blocks, SheetSize size) =>
        Blocks.Set(blocks, size.Wide - (2 * size.Margin), new Node("Document")).Sum(strip => strip.High)
        + (2 * size.Outside);
}
