using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Tests;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Formats.Contacts;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Tables;

namespace Wrapper.Formats.Tests;

/// <summary>What others wrote: cut lists, cards, drawings.</summary>
public sealed class FromOutsideTests : IDisposable
{
    private readonly Tools tools = new();

    public void Dispose() => tools.Dispose();

    [Theory]
    [InlineData("2 panels 47 1/2 x 20 1/4", "panels|2|47 1/2|20 1/4")]
    [InlineData("boxing, 4 @ 5 in by 74 in", "boxing|4|5 in|74 in")]
    [InlineData("- Schild 60 x 45,5 cm (3)", "Schild|3|60 cm|45,5 cm")]
    [InlineData("1a top 47 1/2\" × 20 1/4\" cut 2", "1a top|2|47 1/2\"|20 1/4\"")]
    [InlineData("20 x 18", "piece|1|20|18")]
    [InlineData("3 x 20 x 18", "piece|3|20|18")]
    [InlineData("47 1/2 x 20 lid", "lid|1|47 1/2|20")]
    [InlineData("4 off 47 1/2 x 20 lid", "lid|4|47 1/2|20")]
    [InlineData("1/2 x 3/4", "piece|1|1/2|3/4")]
    [InlineData("strips: 1200mm x 90 mm, 6", "strips|6|1200mm|90 mm")]
    [InlineData("lid 19½ x 12¼ (2)", "lid|2|19½|12¼")]
    [InlineData("no size at all", "no size at all|||")]
    public void A_line_of_a_cut_list_is_how_many_what_and_a_size(string line, string parts)
    {
        var row = Assert.Single(CutListText.Read($"\n{line}\r\n---\n").Rows);
        Assert.Equal(parts, string.Join('|', row));
    }

    // Whatever the words around it: a size that is written out is found, and the words stay.
    [Fact]
    public void Any_listed_piece_comes_back()
    {
        var size = Gen.OneOf(
            Gen.Int[1, 300].Select(n => $"{n}"),
            Gen.Select(Gen.Int[1, 90], Gen.OneOfConst("1/2", "3/4", "5/8")).Select((whole, part) => $"{whole} {part}"),
            Gen.Select(Gen.Int[1, 90], Gen.Int[1, 9]).Select((whole, part) => $"{whole}.{part}")
        );
        var word = Gen.OneOfConst("panel", "boxing", "zip strip", "front, left", "sides");
        Gen.Select(Gen.Int[1, 99], word, size, size)
            .Sample(
                (count, what, first, second) =>
                {
                    var row = Assert.Single(CutListText.Read($"{count} {what} {first} x {second}").Rows);
                    Assert.Equal([what, $"{count}", first, second], row);
                },
                iter: 500
            );
    }

    // What is given out is what comes in: every customer under its name, with its people.
    [Fact]
    public void Cards_that_are_written_come_back()
    {
        var text = Gen.String[Gen.Char["abcäß, ;:\\\"£9"], 1, 30].Select(each => $"x{each.Trim()}x");
        Gen.Select(text, text, text, text)
            .List[1, 6]
            .Sample(
                given =>
                {
                    var customers = given
                        .Select(
                            (each, at) =>
                                (
                                    $"c{at}",
                                    new Customer($"{at} {each.Item1}")
                                    {
                                        Address = $"{each.Item2}\n9 Mill Lane",
                                        Notes = each.Item3,
                                        People =
                                        [
                                            new("p1", $"Ada {each.Item4}", "skipper", "01632 960 1", "a@example.org"),
                                        ],
                                    }
                                )
                        )
                        .ToList();
                    var (table, reason) = VCardFile.Read(VCards.Write(customers));
                    Assert.Null(reason);
                    Assert.Equal(
                        customers.SelectMany(each =>
                            new[]
                            {
                                string.Join('|', each.Item2.Name, each.Item2.Address, each.Item2.Notes, "", "", "", ""),
                                string.Join(
                                    '|',
                                    each.Item2.Name,
                                    "",
                                    "",
                                    each.Item2.People[0].Name,
                                    "skipper",
                                    "01632 960 1",
                                    "a@example.org"
                                ),
                            }
                        ),
                        table!.Rows.Select(row => string.Join('|', row))
                    );
                },
                iter: 100
            );
    }

    [Theory]
    // As telephones write them, old and new; a person without an organisation is a customer of her own.
    [InlineData(
        "BEGIN:VCARD\nVERSION:3.0\nN:Penrose;Ada;;;\nTEL;TYPE=CELL:01632 960 2\nitem1.EMAIL;TYPE=INTERNET:ada@example.org\nEND:VCARD\n",
        "Ada Penrose|||Ada Penrose||01632 960 2|ada@example.org"
    )]
    [InlineData(
        "BEGIN:VCARD\r\nVERSION:2.1\r\nFN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:Z=C3=B6e =\r\nPenrose\r\nORG:Mill Lane;Reading\r\nTITLE:warden\r\nEND:VCARD\r\n",
        "Mill Lane|||Zöe Penrose|warden||"
    )]
    [InlineData(
        "BEGIN:VCARD\nVERSION:4.0\nFN:A long\n  name\nTEL;VALUE=uri:tel:+44-1632-960-3\nADR;TYPE=work:;;9 Mill Lane;Ferncliff;;FB2 7QX;\nEND:VCARD",
        "A long name|9 Mill Lane\nFerncliff\nFB2 7QX||A long name||+44-1632-960-3|"
    )]
    public void Cards_of_every_version_are_read(string file, string row) =>
        Assert.Equal(row, string.Join('|', Assert.Single(VCardFile.Read(file).Table!.Rows)));

    [Theory]
    [InlineData("BEGIN:VCARD\nFN:Ada\n", "broken off")]
    [InlineData("FN:Ada\nEND:VCARD\n", "no card")]
    public void Cards_that_are_none_are_told(string file, string reason) =>
        Assert.Contains(reason, VCardFile.Read(file).Reason, StringComparison.Ordinal);

    // Area of the pad by hand: 400 x 300, and below it the segment of a circle of radius 250 over a chord of 400.
    [Theory]
    [InlineData("lines")]
    [InlineData("polyline")]
    [InlineData("polyline-inches")]
    public void An_outline_that_another_program_drew_is_read_with_its_arc(string kind)
    {
        var path = tools.Path($"{kind}.dxf");
        Tools.Run("/usr/bin/python3", Path.Combine(AppContext.BaseDirectory, "readers", "drawn.py"), kind, path);
        foreach (var (unit, length) in new[] { (JobUnit.Inch, 25.4), (JobUnit.Centimetre, 10.0) })
        {
            var (traced, reason) = DxfOutline.Read(File.ReadAllText(path), length);
            Assert.Null(reason);
            var (outline, refusal) = OutlineReader.Read(traced!, unit);
            Assert.Null(refusal);
            var half = Math.Asin(200 / 250.0);
            var segment = 250 * 250 * (half - (Math.Sin(half) * Math.Cos(half)));
            Assert.Equal((120_000 + segment) / 1e6, outline!.AreaSquareMetres(), 7);
            Assert.Equal(300 + 400 + 300 + (2 * half * 250), outline.Perimeter().Ticks / 3840.0, 0.02);
        }
    }

    // Pieces of random covers, written as DXF and read again: the same outline within a hundredth of a millimetre.
    [Fact]
    public void Outlines_that_are_given_out_come_back()
    {
        Variants.Makeable.Sample(
            item =>
            {
                var job = JobDocument.Empty("job", JobUnit.Inch) with { Items = [item] };
                var plan = ItemPlan.Of(item, 1, Items.Drafting, job);
                foreach (var piece in (plan.Draft.Pattern?.Pieces ?? []).Take(3))
                {
                    var (path, reason) = DxfOutline.Read(DxfWriter.Write(PieceDrawing.Of(plan, piece)), 10);
                    Assert.Null(reason);
                    var (read, refusal) = OutlineReader.Read(path!, JobUnit.Centimetre);
                    if (refusal is not null)
                    {
                        // What is too finely divided to be traced says so.
                        Assert.Contains("more than", refusal.Reason, StringComparison.Ordinal);
                        continue;
                    }
                    Assert.Equal(piece.Stitch.AreaSquareMetres(), read!.AreaSquareMetres(), 1e-5);
                    Assert.Equal(piece.Stitch.Perimeter().Ticks / 3840.0, read.Perimeter().Ticks / 3840.0, 0.1);
                }
            },
            iter: 40
        );
    }

    [Theory]
    [InlineData("", "no DXF")]
    [InlineData("nothing of it", "no DXF")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nLINE\n10\n0\n20\n0\n11\n9\n21\n9", "broken off")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nLINE\n10\n0\n20\n0\n11\n9\n21\n9\n0\nENDSEC\n0\nEOF\n", "closed outline")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nSPLINE\n70\n8\n0\nENDSEC\n0\nEOF\n", "no arcs")]
    public void A_drawing_without_an_outline_says_why(string dxf, string reason) =>
        Assert.Contains(reason, DxfOutline.Read(dxf, 10).Reason, StringComparison.Ordinal);
}
