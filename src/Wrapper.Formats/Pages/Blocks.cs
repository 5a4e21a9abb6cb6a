namespace Wrapper.Formats.Pages;

/// <summary>Sets blocks: each becomes strips that follow one another down the page, and parts that are read.</summary>
internal static class Blocks
{
    private const float Between = 1.6f,
        Box = 4.2f,
        Gutter = 2.4f;

    /// <summary>The strips of <paramref name="blocks"/>, so wide; their parts are added to <paramref name="within"/>.</summary>
    public static List<Strip> Set(IReadOnlyList<Block> blocks, float wide, Node within) =>
        [.. blocks.SelectMany(block => Set(block, wide, within))];

    private static List<Strip> Set(Block block, float wide, Node within) =>
        block switch
        {
            Heading heading => SetHeading(heading, wide, within),
            Text text => [.. SetText(text, wide, within.Add(new Node("P"))), new Strip(Between, [])],
            Grid grid => SetGrid(grid, wide, within),
            Beside beside => SetBeside(beside, wide, within),
            Points points => SetPoints(points, wide, within),
            Figure figure => SetFigure(figure, wide, within),
            Signs signs => SetSigns(signs, wide, within),
            WriteIn room => SetWriteIn(room, wide, within),
            Gap gap => [new Strip(gap.High, [])],
            NewPage => [new Strip(0, []) { IsBreak = true }],
            Framed framed => SetFramed(framed, wide, within),
            _ => throw new InvalidOperationException($"{block.GetType().Name} is not set"),
        };

    private static List<Strip> SetHeading(Heading heading, float wide, Node within)
    {
        var size = heading.Level switch
        {
            1 => 6.4f,
            2 => 4.8f,
            _ => 4.2f,
        };
        var lines = Lines.Of([Run.Bold(heading.Words)], size, wide, false, within.Add(new Node($"H{heading.Level}")));
        return
        [
            new Strip(heading.Level == 1 ? 0 : Between, [], WithNext: true),
            .. lines.Select(line => line with { WithNext = true }),
            new Strip(Between, [], WithNext: true),
        ];
    }

    private static List<Strip> SetText(Text text, float wide, Node? of)
    {
        var size = text.Size switch
        {
            TextSize.Small => 3.2f,
            TextSize.Large => 6,
            TextSize.Label => 2.6f,
            _ => 4,
        };
        if (!text.IsMarked)
            return Lines.Of(text.Runs, size, wide, text.IsRight, of);
        return
        [
            .. Lines
                .Of(text.Runs, size, wide - 4, text.IsRight, of)
                .Select(line => line with { Marks = [new Rule(1, 0, 0, line.High, 1), .. line.Moved(4).Marks] }),
        ];
    }

    // What a cell holds: one paragraph is the cell itself.
    private static List<Strip> SetCell(
        IReadOnlyList<Block> blocks,
        Column column,
        bool strong,
        float wide,
        Node cell
    ) =>
        blocks is [Text text]
            ? SetText(
                text with
                {
                    IsRight = column.IsRight,
                    Runs = strong ? [.. text.Runs.Select(run => run with { IsBold = true })] : text.Runs,
                },
                wide,
                cell
            )
            : Set(blocks, wide, cell);

    private static List<Strip> SetGrid(Grid grid, float wide, Node within)
    {
        var table = within.Add(new Node("Table"));
        var shares = grid.Columns.Sum(column => column.Share);
        List<(Column Column, float Left, float Wide)> columns = [];
        var left = 0f;
        foreach (var column in grid.Columns)
        {
            var share = wide * column.Share / shares;
            // The last one ends where the table ends.
            columns.Add((column, left, column == grid.Columns[^1] ? share : share - Gutter));
            left += share;
        }
        List<Strip> strips = [];
        Strip? heads = null;
        if (grid.Columns.Any(column => column.Head.Length > 0))
        {
            var row = table.Add(new Node("TR"));
            strips.Add(Heads(column => row.Add(new Node("TH") { HeadOf = "Column" })) with { WithNext = true });
            // Over the next page it is decoration: it was read already.
            heads = Heads(_ => null);
        }
        foreach (var row in grid.Rows)
        {
            var read = table.Add(new Node("TR"));
            var cells = columns
                .Zip(row.Cells)
                .Select(pair =>
                    SetCell(pair.Second, pair.First.Column, row.IsStrong, pair.First.Wide, read.Add(new Node("TD")))
                        .Select(strip => strip.Moved(pair.First.Left))
                        .ToList()
                )
                .ToList();
            var parted = Parted(cells).Select(strip => strip with { Again = heads }).ToList();
            // The line under a row stays with it.
            var line = grid.IsRuled
                ? new[] { new Rule(0, parted[^1].High + 0.5f, wide, 0, row.IsStrong ? 0.4f : 0.12f) }
                : [];
            parted[^1] = parted[^1] with { High = parted[^1].High + 1.2f, Marks = [.. parted[^1].Marks, .. line] };
            strips.AddRange(parted);
        }
        strips.Add(new Strip(Between, []));
        return strips;

        Strip Heads(Func<Column, Node?> of)
        {
            var set = Strip.Abreast([
                .. columns.Select(each =>
                    Strip
                        .Joined(
                            Lines.Of(
                                [Run.Bold(each.Column.Head)],
                                3.2f,
                                each.Wide,
                                each.Column.IsRight,
                                of(each.Column)
                            )
                        )
                        .Moved(each.Left)
                ),
            ]);
            return new(set.High + 1, [.. set.Marks, new Rule(0, set.High + 0.3f, wide, 0, 0.4f)]);
        }
    }

    // A row stays whole where it can; one that would fill pages is parted line by line.
    private static IEnumerable<Strip> Parted(List<List<Strip>> cells)
    {
        const float most = 120;
        if (cells.Max(cell => cell.Sum(strip => strip.High)) <= most)
        {
            yield return Strip.Abreast([.. cells.Select(Strip.Joined)]);
            yield break;
        }
        for (var line = 0; line < cells.Max(cell => cell.Count); line++)
            yield return Strip.Abreast([.. cells.Where(cell => line < cell.Count).Select(cell => cell[line])]);
    }

    private static List<Strip> SetBeside(Beside beside, float wide, Node within)
    {
        var shares = beside.Parts.Sum(part => part.Share);
        var left = 0f;
        List<List<Strip>> parts = [];
        foreach (var (share, blocks) in beside.Parts)
        {
            var x = left;
            var own = wide * share / shares;
            parts.Add([.. Set(blocks, own - Gutter, within).Select(strip => strip.Moved(x))]);
            left += own;
        }
        return [.. Parted(parts)];
    }

    private static List<Strip> SetPoints(Points points, float wide, Node within)
    {
        var list = within.Add(new Node("L"));
        var indent = points.HasBoxes ? 14f : 8;
        List<Strip> strips = [];
        foreach (var (blocks, at) in points.Each.Select((blocks, at) => (blocks, at)))
        {
            var point = list.Add(new Node("LI"));
            var number = Lines.Of([Run.Bold($"{at + 1}")], 4, indent, false, point.Add(new Node("Lbl")))[0];
            var body = Set(blocks, wide - indent, point.Add(new Node("LBody"))).Select(each => each.Moved(indent));
            List<Mark> before = points.HasBoxes
                ? [new Frame(0, 0.4f, Box, Box), .. number.Moved(Box + 1.6f).Marks]
                : [.. number.Marks];
            strips.AddRange(
                body.Select((strip, line) => line == 0 ? strip with { Marks = [.. before, .. strip.Marks] } : strip)
            );
            strips.Add(new Strip(Between, []));
        }
        return strips;
    }

    private static List<Strip> SetFigure(Figure figure, float wide, Node within)
    {
        var high = Math.Min(figure.MostHigh, wide / figure.Picture.Ratio);
        var across = high * figure.Picture.Ratio;
        var of = within.Add(new Node("Figure") { Shows = figure.Shows });
        // Lines at the very edge have their breadth outside of it.
        return [new Strip(high + 3, [new Shown((wide - across) / 2, 1, of, across, high, figure.Picture)])];
    }

    private static List<Strip> SetSigns(Signs signs, float wide, Node within)
    {
        List<Strip> strips = [];
        List<Mark> marks = [];
        var x = 0f;
        foreach (var (picture, words) in signs.Each)
        {
            var across = signs.High * picture.Ratio;
            var of = within.Add(new Node("Figure") { Shows = words });
            if (signs.HasWords)
            {
                var text = Lines.Of([words], 4, wide - across - 4, false, within.Add(new Node("P")));
                strips.Add(
                    Strip.Abreast([
                        new(signs.High + 1.5f, [new Shown(0, 0.4f, of, across, signs.High, picture)]),
                        Strip.Joined([new(signs.High / 4, []), .. text]).Moved(across + 4),
                    ])
                );
                continue;
            }
            if (x > 0 && x + across > wide)
            {
                strips.Add(new(signs.High + 1.5f, [.. marks]));
                marks.Clear();
                x = 0;
            }
            marks.Add(new Shown(x, 0.4f, of, across, signs.High, picture));
            x += across + 1.5f;
        }
        if (marks.Count > 0)
            strips.Add(new(signs.High + 1.5f, marks));
        return strips;
    }

    private static List<Strip> SetWriteIn(WriteIn room, float wide, Node within)
    {
        var words = Lines.Of([Run.Bold(room.What)], 3.6f, wide, false, within.Add(new Node("P")));
        return
        [
            .. words.Select(line => line with { WithNext = true }),
            .. Enumerable.Range(0, room.Lines).Select(_ => new Strip(9, [new Rule(0, 8, wide - Gutter, 0, 0.25f)])),
        ];
    }

    private static List<Strip> SetFramed(Framed framed, float wide, Node within)
    {
        var across = Math.Min(framed.Wide, wide);
        var set = Set(framed.Blocks, across - (2 * framed.Inside), within);
        var inner = Strip.Joined(set);
        var high = Math.Max(framed.LeastHigh, inner.High + (2 * framed.Inside));
        // What no page holds runs on over the next, its frame open.
        if (high > 200)
            return
            [
                .. set.Select(strip =>
                    strip with
                    {
                        Marks =
                        [
                            new Rule(0.2f, 0, 0, strip.High),
                            .. strip.Moved(framed.Inside).Marks,
                            new Rule(across, 0, 0, strip.High),
                        ],
                    }
                ),
            ];
        return
        [
            new Strip(
                high + 3,
                [
                    new Frame(0.2f, 0.2f, across, high, 0.2f),
                    .. inner.Marks.Select(mark => mark.Moved(framed.Inside, framed.Inside)),
                ]
            ),
        ];
    }
}
