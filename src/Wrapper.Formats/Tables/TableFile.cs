using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Xml;
using CsvHelper;
using CsvHelper.Configuration;
using MiniExcelLibs;
using Wrapper.Formats.Contacts;

namespace Wrapper.Formats.Tables;

/// <summary>
/// A table that came from outside, as words: its first row is its head. Where it parts its cells and what it is written
/// in is guessed.
/// </summary>
public sealed record TableFile(IReadOnlyList<string> Head, IReadOnlyList<IReadOnlyList<string>> Rows, string Parted)
{
    /// <summary>The most bytes, rows, columns and letters in a cell that are read.</summary>
    public const int MostBytes = 8 * 1024 * 1024,
        MostRows = 5000,
        MostColumns = 60,
        LongestCell = 4000;

    // What a workbook of so many bytes may unpack to.
    private const long MostUnpacked = 64L * 1024 * 1024;

    /// <summary>The table of a file (CSV with commas, semicolons or tabs, or XLSX); or why there is none in it.</summary>
    public static (TableFile? Table, string? Reason) Read(byte[] file)
    {
        if (file.Length > MostBytes)
            return (null, $"larger than {MostBytes / 1024 / 1024} MB");
        try
        {
            List<List<string>> rows;
            string parted;
            if (file is [0x50, 0x4B, ..])
                (rows, parted) = (Workbook(file), "workbook");
            else
            {
                var (text, reason) = Decoded(file);
                if (text is null)
                    return (null, reason);
                if (VCardFile.Is(text))
                    return VCardFile.Read(text);
                (rows, parted) = Parts(text);
            }
            rows.RemoveAll(row => row.All(cell => cell.Length == 0));
            if (rows.Count == 0)
                return (null, "there is nothing in it");
            if (rows.Count - 1 > MostRows)
                return (null, $"more than {MostRows} rows: take it in parts");
            var width = rows.Max(row => row.Count);
            if (width > MostColumns)
                return (null, $"more than {MostColumns} columns");
            if (rows.Any(row => row.Any(cell => cell.Length > LongestCell)))
                return (null, $"a cell of more than {LongestCell} letters");
            return (
                new(
                    rows[0],
                    [
                        .. rows.Skip(1)
                            .Select(row =>
                                (IReadOnlyList<string>)[.. row, .. Enumerable.Repeat("", width - row.Count)]
                            ),
                    ],
                    parted
                ),
                null
            );
        }
        catch (Exception broken)
            when (broken
                    is InvalidDataException
                        or XmlException
                        or CsvHelperException
                        or FormatException
                        or ArgumentException
                        or InvalidOperationException
                        or KeyNotFoundException
                        or IndexOutOfRangeException
                        or NullReferenceException
            )
        {
            return (null, "it is no table that can be read: save it as CSV in UTF-8");
        }
    }

    /// <summary>The text of a file, in whichever Unicode it is written; or why it is none.</summary>
    public static (string? Text, string? Reason) Decoded(byte[] file)
    {
        try
        {
            var text = file switch
            {
                [0xFF, 0xFE, ..] => new UnicodeEncoding(false, false, true).GetString(file.AsSpan(2)),
                [0xFE, 0xFF, ..] => new UnicodeEncoding(true, false, true).GetString(file.AsSpan(2)),
                [0xEF, 0xBB, 0xBF, ..] => new UTF8Encoding(false, true).GetString(file.AsSpan(3)),
                _ => new UTF8Encoding(false, true).GetString(file),
            };
            return text.Contains('\0', StringComparison.Ordinal) ? (null, "it is no text") : (text, null);
        }
        catch (DecoderFallbackException)
        {
            return (null, "it is in an encoding that cannot be told: save it as UTF-8");
        }
    }

    private static (List<List<string>> Rows, string Parted) Parts(string text)
    {
        var head = text.AsSpan(0, text.AsSpan().IndexOfAny('\r', '\n') is var end && end < 0 ? text.Length : end);
        // The head says how it is parted: by what it has most of.
        var parted = ",";
        foreach (var sign in new[] { ";", "\t" })
            if (head.Count(sign) > head.Count(parted))
                parted = sign;
        using var csv = new CsvReader(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = parted,
                HasHeaderRecord = false,
                BadDataFound = null,
                TrimOptions = TrimOptions.Trim,
                MaxFieldSize = LongestCell * 4,
            }
        );
        List<List<string>> rows = [];
        while (csv.Read() && rows.Count <= MostRows + 1)
            rows.Add([.. (csv.Parser.Record ?? []).Select(Plain)]);
        return (
            rows,
            parted == "\t" ? "tabs"
            : parted == ";" ? "semicolons"
            : "commas"
        );
    }

    private static List<List<string>> Workbook(byte[] file)
    {
        // Unpacked once and counted, before anything takes it at its word.
        using (var zip = new ZipArchive(new MemoryStream(file)))
        {
            long unpacked = 0;
            var part = new byte[1 << 16];
            foreach (var entry in zip.Entries)
                using (var packed = entry.Open())
                    for (int count; (count = packed.Read(part)) > 0; )
                        if ((unpacked += count) > MostUnpacked)
                            throw new InvalidDataException("it unpacks to more than any table holds");
        }
        using var stream = new MemoryStream(file);
        return
        [
            .. stream
                .Query(useHeaderRow: false)
                .Cast<IDictionary<string, object?>>()
                .Take(MostRows + 2)
                .Select(row =>
                    row.Values.Take(MostColumns + 1)
                        .Select(cell => Plain(Convert.ToString(cell, CultureInfo.InvariantCulture) ?? "").Trim())
                        .ToList()
                ),
        ];
    }

    // The apostrophe before what would be a formula was put there by whoever wrote the table.
    private static string Plain(string cell) =>
        cell.Length > 1 && cell[0] == '\'' && cell[1] is '=' or '+' or '-' or '@' ? cell[1..] : cell;
}
