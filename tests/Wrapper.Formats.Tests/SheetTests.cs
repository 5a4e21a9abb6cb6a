using System.Text.RegularExpressions;
using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Pages;
using Xunit.Sdk;

namespace Wrapper.Formats.Tests;

/// <summary>Sheets as other programs read them: their parts, their words, their type, their pixels.</summary>
public sealed partial class SheetTests : IDisposable
{
    private readonly Tools tools = new();

    public void Dispose() => tools.Dispose();

    private static Sheet Of(params Block[] blocks) => new("A sheet", "Window seat", "Heron Loft", SheetSize.A4, blocks);

    private static ScaledDrawing Square() =>
        new(
            new Drawing(
                "square",
                [
                    Stroke.Of(
                        Layer.Cut,
                        Outline.Rectangle(Length.Millimetres(100), Length.Millimetres(50)),
                        at => at,
                        turnedOver: false
                    ),
                ],
                []
            )
        );

    private string Written(Sheet sheet)
    {
        var path = tools.Path("sheet.pdf");
        File.WriteAllBytes(path, new SheetFile(sheet).Pdf());
        return path;
    }

    // The tree of parts as it is read back, with what each says.
    private static string Tree(string pdf) => Spaces().Replace(Tools.Text("pdfinfo", "-struct-text", pdf), " ");

    private static string Said(string pdf) =>
        string.Join(
            ' ',
            Quoted().Matches(Tools.Text("pdfinfo", "-struct-text", pdf)).Select(match => match.Groups[1].Value.Trim())
        );

    [Fact]
    public void Every_part_is_in_the_tree_with_its_words_and_the_type_is_in_the_file()
    {
        var pdf = Written(
            Of(
                new Heading(1, "Cutting sheet"),
                Text.Of("Cut ", Run.Bold("19 1/4 in"), " of it."),
                new Figure(Square(), "A square, 100 mm wide", 60),
                new Grid([new("Piece", 2), new("Width", 1, IsRight: true)], [Grid.Plain("1a top", "46 1/2")]),
                new Points(
                    [
                        [Text.Of("Sew the boxing.")],
                        [Text.Of("Close it.")],
                    ],
                    HasBoxes: true
                ),
                new WriteIn("In the way")
            )
        );
        var tree = Tree(pdf);
        Assert.Matches(
            string.Join(
                ' ',
                "^Document H1 \\(block\\) \"Cutting sheet \" P \\(block\\) \"Cut \" \"19 1/4 in\" \" of it. \" Figure \"\"",
                "Table \\(block\\) TR TH: /Scope /Column \"Piece \" TH: /Scope /Column \"Width \"",
                "TR TD \"1a top \" TD \"46 1/2 \" L \\(block\\) LI \\(block\\) Lbl \\(block\\) \"1 \"",
                "LBody \\(block\\) P \\(block\\) \"Sew the boxing. \" LI .* \"2 \" .* \"Close it. \" P .* \"In the way \" ?$"
            ),
            Tree(pdf)
        );
        var told = Tools.Text("pdfinfo", pdf);
        Assert.Matches(@"Tagged:\s+yes", told);
        Assert.Matches(@"Title:\s+A sheet", told);
        Assert.Matches(@"AtkinsonHyperlegible\S*\s+\S+.*\s+yes\s+yes\s+yes", Tools.Text("pdffonts", pdf));
        // What a picture shows is told to whoever does not see it (ISO 32000-1, 14.9.3), as a text of any script.
        Assert.Contains(
            $"/Alt <FEFF{string.Concat("A square, 100 mm wide".Select(letter => $"{(int)letter:X4}"))}>",
            File.ReadAllText(pdf, System.Text.Encoding.Latin1)
        );
        Assert.Contains("Window seat", Tools.Text("pdftotext", "-layout", pdf, "-"));
        Assert.Contains("1 of 1", Tools.Text("pdftotext", "-layout", pdf, "-"));
    }

    [Fact]
    public void Any_sheet_is_read_back_word_for_word_in_its_order_and_nothing_leaves_its_page()
    {
        var word = Gen.String[Gen.Char["abcdefgh£é19/-"], 1, 14];
        var words = word.List[1, 60].Select(list => string.Join(' ', list));
        var cell = Gen.OneOf(word, words);
        var block = Gen.OneOf(
            words.Select(each => (Block)Text.Of(each)),
            word.Select(each => (Block)new Heading(2, each)),
            words.List[1, 5].Select(list => (Block)new Points([.. list.Select(each => Grid.Cell(each))])),
            Gen.Select(cell, cell, word)
                .List[1, 30]
                .Select(rows =>
                    (Block)
                        new Grid(
                            [new("", 2), new("", 3), new("", 1, IsRight: true)],
                            [.. rows.Select(row => Grid.Plain(row.Item1, row.Item2, row.Item3))]
                        )
                ),
            words.Select(each => (Block)new Framed([Text.Of(each) with { Size = TextSize.Label }], 70, 40))
        );
        block
            .List[1, 8]
            .Sample(
                blocks =>
                {
                    var pdf = Written(Of([.. blocks]));
                    var expected = string.Join(' ', blocks.SelectMany(WordsOf));
                    // How lines are broken is not told apart, within a word either.
                    Assert.Equal(Bare(expected), Bare(Said(pdf)));
                    var pages = int.Parse(Regex.Match(Tools.Text("pdfinfo", pdf), @"Pages:\s+(\d+)").Groups[1].Value);
                    var last = Pixels.OfPage(pdf, pages, 3);
                    for (var y = 0; y < last.Height; y++)
                    for (var x = 0; x < 20; x++)
                        if (last.IsDark(x, y) || last.IsDark(last.Width - 1 - x, y))
                            throw new XunitException($"something is drawn at the edge of page {pages}");
                },
                iter: 25,
                threads: 1
            );
    }

    private static IEnumerable<string> WordsOf(Block block) =>
        block switch
        {
            Text text => [string.Concat(text.Runs.Select(run => run.Words))],
            Heading heading => [heading.Words],
            Points points => points.Each.SelectMany((each, at) => each.SelectMany(WordsOf).Prepend($"{at + 1}")),
            Grid grid => grid.Rows.SelectMany(row => row.Cells).SelectMany(blocks => blocks).SelectMany(WordsOf),
            Framed framed => framed.Blocks.SelectMany(WordsOf),
            _ => [],
        };

    private static string Bare(string text) => text.Replace(" ", "").Replace("\n", "");

    [Fact]
    public void Heads_stand_on_every_page_of_a_table_and_are_read_once()
    {
        var pdf = Written(
            Of(new Grid([new("Where it lies", 1)], [.. Enumerable.Range(1, 500).Select(at => Grid.Plain($"row {at}"))]))
        );
        var pages = Tools.Text("pdftotext", "-layout", pdf, "-").Split('\f', StringSplitOptions.RemoveEmptyEntries);
        // More than stand in one node of a page tree.
        Assert.True(pages.Length > 9, $"{pages.Length} pages");
        Assert.All(pages, page => Assert.Contains("Where it lies", page));
        Assert.Equal("Whereitlies", Bare(Said(pdf))[..11]);
        Assert.Single(Regex.Matches(Said(pdf), "Where it lies"));
        // Every row is there, and none is parted.
        for (var row = 1; row <= 500; row++)
            Assert.Single(pages, page => Regex.IsMatch(page, $@"row {row}\b"));
    }

    [Fact]
    public void A_heading_goes_with_what_follows_it_and_a_page_ends_where_it_is_asked()
    {
        var pdf = Written(
            Of([
                .. Enumerable.Range(0, 44).Select(at => Text.Of($"line {at}")),
                new Heading(2, "Not alone"),
                Text.Of("Under it"),
                new NewPage(),
                Text.Of("Apart"),
            ])
        );
        var pages = Tools.Text("pdftotext", "-layout", pdf, "-").Split('\f', StringSplitOptions.RemoveEmptyEntries);
        Assert.Equal(
            Array.FindIndex(pages, page => page.Contains("Not alone")),
            Array.FindIndex(pages, page => page.Contains("Under it"))
        );
        Assert.Contains("Apart", pages[^1]);
        Assert.DoesNotContain("Under it", pages[^1]);
    }

    [Fact]
    public void A_page_looks_the_same_as_picture_and_in_the_file()
    {
        var sheet = Of(new Heading(1, "Lay"), new Figure(Square(), "a square", 80));
        var pdf = Written(sheet);
        var file = tools.Path("page.png");
        File.WriteAllBytes(file, new SheetFile(sheet).Picture(1, 127));
        var found = Tools.Read("alike.py", pdf, file, "127");
        Assert.True((double)found["apart"]! < 0.004, $"{found["apart"]} of the dots differ");
    }

    [Fact]
    public void The_same_sheet_gives_the_same_bytes()
    {
        var sheet = Of(new Heading(1, "Order"), Text.Of("One cushion"));
        Assert.Equal(new SheetFile(sheet).Pdf(), new SheetFile(sheet).Pdf());
        Assert.Equal(["Order", "One cushion"], new SheetFile(sheet).Said(1));
    }

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();

    [GeneratedRegex("\"([^\"]*)\"", RegexOptions.Singleline)]
    private static partial Regex Quoted();
}
