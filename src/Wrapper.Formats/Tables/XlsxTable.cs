using MiniExcelLibs;
using MiniExcelLibs.OpenXml;

namespace Wrapper.Formats.Tables;

/// <summary>Tables as workbooks of one sheet; numbers are numbers, words are words whatever they begin with.</summary>
public static class XlsxTable
{
    // What the format allows in the name of a sheet.
    private const int LongestName = 31;
    private const string Forbidden = "\\/?*[]:";

    /// <summary>The bytes of the file.</summary>
    public static byte[] Write(Table table)
    {
        using var file = new MemoryStream();
        var name = string.Concat(table.Name.Where(letter => !Forbidden.Contains(letter, StringComparison.Ordinal)));
        file.SaveAs(
            Rows(table),
            sheetName: name.Length == 0 ? "Table" : name[..Math.Min(LongestName, name.Length)],
            configuration: new OpenXmlConfiguration { AutoFilter = false }
        );
        return file.ToArray();
    }

    private static IEnumerable<Dictionary<string, object>> Rows(Table table)
    {
        foreach (var row in table.Rows)
            yield return table
                .Columns.Zip(row)
                .ToDictionary(
                    pair => pair.First,
                    pair => pair.Second.Number is { } number ? (object)number : pair.Second.Words
                );
    }
}
