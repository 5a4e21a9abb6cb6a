using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;

namespace Wrapper.Formats.Tables;

/// <summary>
/// Tables as CSV (RFC 4180) in UTF-8 with its mark, without which spreadsheets take accents for something else. What a
/// spreadsheet would take for a formula begins with an apostrophe.
/// </summary>
public static class CsvTable
{
    private static readonly CsvConfiguration Settings = new(CultureInfo.InvariantCulture)
    {
        NewLine = "\r\n",
        InjectionOptions = InjectionOptions.Escape,
        InjectionEscapeCharacter = '\'',
        // The library quotes its own line end alone; any other would end the row too.
        ShouldQuote = cell =>
            cell.Field is { Length: > 0 } field
            && (field.AsSpan().ContainsAny(",\"\r\n") || field[0] == ' ' || field[^1] == ' '),
    };

    /// <summary>The bytes of the file.</summary>
    public static byte[] Write(Table table)
    {
        using var file = new MemoryStream();
        using (var text = new StreamWriter(file, new UTF8Encoding(encoderShouldEmitUTF8Identifier: true)))
        using (var csv = new CsvWriter(text, Settings))
        {
            foreach (var column in table.Columns)
                csv.WriteField(column);
            csv.NextRecord();
            foreach (var row in table.Rows)
            {
                foreach (var cell in row)
                    csv.WriteField(cell.Words);
                csv.NextRecord();
            }
        }
        return file.ToArray();
    }
}
