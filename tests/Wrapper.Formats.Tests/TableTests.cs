using CsCheck;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Formats.Contacts;
using Wrapper.Formats.Dates;
using Wrapper.Formats.Tables;

namespace Wrapper.Formats.Tests;

/// <summary>Tables, days and people, read back by other people's readers.</summary>
public sealed class TableTests : IDisposable
{
    private readonly Tools tools = new();

    public void Dispose() => tools.Dispose();

    private string File(string name, byte[] bytes)
    {
        System.IO.File.WriteAllBytes(tools.Path(name), bytes);
        return tools.Path(name);
    }

    private static readonly string[] Awkward =
    [
        "19 1/4",
        "a, b; \"c\"",
        "two\nlines",
        "Zoë's café, 30 °C",
        "  kept  ",
        "",
        "1/2 yd",
    ];

    // What a spreadsheet would run begins with an apostrophe; everything else is as it was.
    [Theory]
    [InlineData("=HYPERLINK(\"http://x\")")]
    [InlineData("+1+cmd|' /C calc'!A0")]
    [InlineData("-2+3")]
    [InlineData("@SUM(A1)")]
    [InlineData("\t=1")]
    public void What_would_be_a_formula_is_words(string hostile)
    {
        var table = new Table(
            "t",
            ["What"],
            [
                [hostile],
            ]
        );
        var csv = Tools.Read("tables.py", File("t.csv", CsvTable.Write(table)));
        Assert.Equal($"'{hostile}", $"{csv["rows"]![1]![0]}");
        var xlsx = Tools.Read("tables.py", File("t.xlsx", XlsxTable.Write(table)));
        Assert.Equal(0, (int)xlsx["formulas"]!);
        Assert.Equal(hostile, $"{xlsx["rows"]![1]![0]}");
    }

    [Fact]
    public void Csv_is_strict_and_keeps_every_letter()
    {
        var table = new Table(
            "t",
            [.. Awkward.Select((_, n) => $"c{n}")],
            [
                [.. Awkward.Select(word => (Cell)word)],
            ]
        );
        var read = Tools.Read("tables.py", File("t.csv", CsvTable.Write(table)));
        Assert.True((bool)read["mark"]!);
        Assert.Equal(0, (int)read["bare"]!);
        Assert.Equal(Awkward, read["rows"]![1]!.AsArray().Select(cell => $"{cell}"));
    }

    // Random words and numbers come back as they are, numbers as numbers.
    [Fact]
    public void A_workbook_is_read_back_as_it_was_written() =>
        Gen.Select(Gen.OneOfConst(Awkward), Gen.Decimal[-9999, 9999].Select(number => decimal.Round(number, 3)))
            .Array[1, 12]
            .Sample(
                rows =>
                {
                    var table = new Table(
                        "Cut: [list]/all",
                        ["Words", "Number"],
                        [.. rows.Select(row => (IReadOnlyList<Cell>)[row.Item1, Cell.Of(row.Item2)])]
                    );
                    var read = Tools.Read("tables.py", File("t.xlsx", XlsxTable.Write(table)));
                    Assert.Equal("Cut listall", $"{read["name"]}");
                    var found = read["rows"]!.AsArray().Skip(1).ToList();
                    Assert.Equal(rows.Length, found.Count);
                    foreach (var ((words, number), row) in rows.Zip(found))
                    {
                        Assert.Equal(words, $"{row![0]}");
                        Assert.Equal((double)number, (double)row[1]!, 1e-9);
                    }
                },
                iter: 12,
                threads: 1
            );

    [Fact]
    public void Numbers_that_were_typed_are_numbers_and_fractions_are_words()
    {
        Assert.Equal(12.5m, Cell.Typed("12.5").Number);
        Assert.Null(Cell.Typed("12 1/2").Number);
        Assert.Null(Cell.Typed("1,5").Number);
        Assert.Null(Cell.Typed("=1").Number);
        Assert.Equal("0.1", Cell.Of(0.10m).Words);
    }

    [Fact]
    public void Days_are_whole_days_known_by_their_ids()
    {
        var days = new[]
        {
            new DayEvent(
                "due-1@wrapper",
                new(2026, 2, 28),
                "Due: Zoë's bench, bay; east",
                "Mill Lane\nsecond line",
                true
            ),
            new DayEvent("bench-1@wrapper", new(2026, 12, 31), "Bench, 2 h", "", false),
        };
        var made = new DateTimeOffset(2026, 2, 1, 9, 0, 0, TimeSpan.Zero);
        var text = CalendarFile.Write("Workroom", days, made);
        var read = Tools.Read("calendar_days.py", tools.Write("w.ics", text)).AsArray();
        Assert.Equal(2, read.Count);
        Assert.Equal(
            ("due-1@wrapper", "2026-02-28", "2026-03-01", "TRANSPARENT"),
            ($"{read[0]!["uid"]}", $"{read[0]!["from"]}", $"{read[0]!["to"]}", $"{read[0]!["busy"]}")
        );
        Assert.Equal(
            ("Due: Zoë's bench, bay; east", "Mill Lane\nsecond line"),
            ($"{read[0]!["name"]}", $"{read[0]!["told"]}")
        );
        Assert.Equal(("2026-12-31", "2027-01-01"), ($"{read[1]!["from"]}", $"{read[1]!["to"]}"));
        // Taken again it is the same file: no calendar makes second ones of it.
        Assert.Equal(text, CalendarFile.Write("Workroom", days, made));
        Assert.Contains("BEGIN:VCALENDAR", CalendarFile.Write("Empty", [], made), StringComparison.Ordinal);
    }

    [Fact]
    public void People_are_of_their_customer_and_no_line_is_too_long()
    {
        var long_ = string.Join(' ', Enumerable.Range(0, 40).Select(n => $"wörd{n},"));
        var customer = new Customer("Mill Lane; Reading, Room")
        {
            Address = "Mill Lane 3\nSallow",
            Notes = long_,
            People =
            [
                new("a", "Odile \\ Marrow", "keys", "01632 960 131", "o@mill.example"),
                new("b", " ", "", "", ""),
            ],
            Places = [new("p", "Stove corner", "back door", ["Room"], "")],
        };
        var read = Tools.Read("contacts.py", tools.Write("c.vcf", VCards.Write([("mill", customer)])));
        Assert.InRange((int)read["longest"]!, 1, 75);
        var cards = read["cards"]!.AsArray();
        Assert.Equal(2, cards.Count);
        Assert.Equal("Mill Lane; Reading, Room", $"{cards[0]!["fn"]![0]}");
        Assert.Equal(long_, $"{cards[0]!["note"]![0]}");
        Assert.Equal(
            ["Mill Lane 3\nSallow", "Stove corner\nback door"],
            cards[0]!["adr"]!.AsArray().Select(address => $"{address}")
        );
        Assert.Equal(
            ("Odile \\ Marrow", "Mill Lane; Reading, Room", "01632 960 131", "o@mill.example", "keys"),
            (
                $"{cards[1]!["fn"]![0]}",
                $"{cards[1]!["org"]![0]}",
                $"{cards[1]!["tel"]![0]}",
                $"{cards[1]!["email"]![0]}",
                $"{cards[1]!["role"]![0]}"
            )
        );
    }
}
