using System.Text;
using CsCheck;
using Wrapper.Formats.Tables;

namespace Wrapper.Formats.Tests;

/// <summary>Tables from outside, however they are parted and written; and what is written comes back.</summary>
public class TableFileTests
{
    private static (TableFile? Table, string? Reason) Read(string text) => TableFile.Read(Encoding.UTF8.GetBytes(text));

    [Theory]
    [InlineData("What,Batch\nTwill,SW 1\n", "commas")]
    [InlineData("What;Batch\r\nTwill;SW 1\r\n", "semicolons")]
    [InlineData("What\tBatch\rTwill\tSW 1", "tabs")]
    [InlineData("\uFEFFWhat,Batch\n\n \nTwill,SW 1", "commas")]
    [InlineData("\"What\",\"Batch\"\n\"Twill\",\"SW 1\"", "commas")]
    [InlineData(" What , Batch \n Twill , SW 1 ", "commas")]
    public void It_is_read_however_it_is_parted(string text, string parted)
    {
        var (table, reason) = Read(text);
        Assert.Null(reason);
        Assert.Equal(parted, table!.Parted);
        Assert.Equal(["What", "Batch"], table.Head);
        Assert.Equal(["Twill", "SW 1"], Assert.Single(table.Rows));
    }

    [Fact]
    public void Quotes_commas_and_lines_within_a_cell_are_its_own_and_short_rows_are_filled()
    {
        var (table, _) = Read("What,To know,Place\n\"Twill, \"\"slate\"\"\",\"two\nlines\"\nPlum,,shelf,extra\n");
        Assert.Equal(["Twill, \"slate\"", "two\nlines", "", ""], table!.Rows[0]);
        Assert.Equal(["Plum", "", "shelf", "extra"], table.Rows[1]);
    }

    [Fact]
    public void Letters_of_every_usual_encoding_are_read()
    {
        const string text = "What\nZoë's café\n";
        byte[][] files =
        [
            Encoding.UTF8.GetBytes(text),
            [.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes(text)],
            [.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes(text)],
            [.. Encoding.BigEndianUnicode.Preamble, .. Encoding.BigEndianUnicode.GetBytes(text)],
        ];
        Assert.All(files, file => Assert.Equal("Zoë's café", TableFile.Read(file).Table!.Rows[0][0]));
        // One that cannot be told is told, and not guessed.
        Assert.Contains("UTF-8", TableFile.Read(Encoding.Latin1.GetBytes(text)).Reason, StringComparison.Ordinal);
    }

    // What stands in any table comes back from either file, an empty row apart.
    [Fact]
    public void What_is_written_is_read_again() =>
        Gen.OneOfConst(
                "Twill",
                "19 1/4",
                "a, b",
                "say \"so\"",
                "two\nlines",
                "Zoë",
                "=1+1",
                "-3",
                "@x",
                "12.5",
                "é;ü",
                "x\ty"
            )
            .Array[3]
            .Array[1, 8]
            .Sample(
                rows =>
                {
                    var table = new Table(
                        "t",
                        ["A", "B", "C"],
                        [.. rows.Select(row => (IReadOnlyList<Cell>)[.. row.Select(cell => (Cell)cell)])]
                    );
                    foreach (var file in new[] { CsvTable.Write(table), XlsxTable.Write(table) })
                    {
                        var (read, reason) = TableFile.Read(file);
                        Assert.Null(reason);
                        Assert.Equal(["A", "B", "C"], read!.Head);
                        Assert.Equal(rows, read.Rows);
                    }
                },
                iter: 60
            );

    [Fact]
    public void Limits_are_told()
    {
        Assert.Contains("nothing", Read("").Reason, StringComparison.Ordinal);
        Assert.Contains("nothing", Read(" \n , \n").Reason, StringComparison.Ordinal);
        Assert.Contains(
            "rows",
            Read(string.Concat(Enumerable.Repeat("a\n", TableFile.MostRows + 2))).Reason,
            StringComparison.Ordinal
        );
        Assert.Null(Read(string.Concat(Enumerable.Repeat("a\n", TableFile.MostRows + 1))).Reason);
        Assert.Contains(
            "columns",
            Read(string.Join(',', Enumerable.Range(0, TableFile.MostColumns + 1))).Reason,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "letters",
            Read($"a\n{new string('x', TableFile.LongestCell + 1)}").Reason,
            StringComparison.Ordinal
        );
        Assert.Contains("MB", TableFile.Read(new byte[TableFile.MostBytes + 1]).Reason, StringComparison.Ordinal);
        Assert.Contains("CSV", TableFile.Read([0x50, 0x4B, 3, 4, 1, 2, 3]).Reason, StringComparison.Ordinal);
    }
}
