using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.RegularExpressions;

namespace Wrapper.Formats.Pages;

/// <summary>
/// The numbered objects of a PDF with a plain table of them, as the drawing library writes it; each can be replaced, and
/// the file written again.
/// </summary>
internal sealed partial class PdfObjects
{
    private static readonly Encoding Latin = Encoding.Latin1;
    private readonly SortedDictionary<int, byte[]> objects = [];
    private readonly string info;

    /// <summary>Reads the objects of a file.</summary>
    public PdfObjects(byte[] file)
    {
        var text = Latin.GetString(file);
        var table = int.Parse(Table().Matches(text)[^1].Groups["at"].Value, CultureInfo.InvariantCulture);
        var trailer = text[table..];
        (Root, info) = (Number(RootOf().Match(trailer)), InfoOf().Match(trailer).Value);
        var starts = Entry()
            .Matches(trailer)
            .Select(entry => int.Parse(entry.Groups["at"].ValueSpan, CultureInfo.InvariantCulture))
            .Append(table)
            .Order()
            .ToList();
        foreach (var (from, to) in starts.Zip(starts.Skip(1)))
        {
            var head = Head().Match(text, from, to - from);
            var (begin, end) = (head.Index + head.Length, text.LastIndexOf("endobj", to, StringComparison.Ordinal));
            objects[Number(head)] = file[begin..end];
        }
        Pages = [.. PagesUnder(Number(PagesOf().Match(Latin.GetString(objects[Root]))))];
    }

    /// <summary>The catalog.</summary>
    public int Root { get; }

    /// <summary>The pages in their order.</summary>
    public IReadOnlyList<int> Pages { get; }

    /// <summary>A new object, to be filled.</summary>
    public int Next()
    {
        var number = objects.Keys.Last() + 1;
        objects[number] = [];
        return number;
    }

    /// <summary>Where the marks of a page are.</summary>
    public int ContentOf(int page) => Number(Contents().Match(Latin.GetString(objects[page])));

    /// <summary>What a packed stream holds.</summary>
    public string Stream(int number)
    {
        var bytes = objects[number];
        var start = Latin.GetString(bytes).IndexOf("stream\n", StringComparison.Ordinal) + "stream\n".Length;
        using var unpacked = new ZLibStream(
            new MemoryStream(bytes, start, bytes.Length - start),
            CompressionMode.Decompress
        );
        using var read = new StreamReader(unpacked, Latin);
        return read.ReadToEnd();
    }

    /// <summary>Puts something else in the place of an object.</summary>
    public void Replace(int number, byte[] content) => objects[number] = content;

    /// <summary>The same, of plain text.</summary>
    public void Replace(int number, string content) => Replace(number, Latin.GetBytes(content));

    /// <summary>Adds entries to an object that is a dictionary.</summary>
    public void AddTo(int number, string entries)
    {
        var text = Latin.GetString(objects[number]).TrimEnd();
        Replace(number, $"{text[..^2]}\n{entries}>>");
    }

    /// <summary>The file as it is now.</summary>
    public byte[] Written()
    {
        using var file = new MemoryStream();
        // The second line has letters above 127: the file is not text.
        file.Write([.. Latin.GetBytes("%PDF-1.7\n%"), 0xE2, 0xE3, 0xCF, 0xD3, (byte)'\n']);
        List<long> starts = [];
        foreach (var (number, content) in objects)
        {
            starts.Add(file.Position);
            Write($"{number} 0 obj\n");
            file.Write(content);
            Write("\nendobj\n");
        }
        var table = file.Position;
        Write($"xref\n0 {objects.Count + 1}\n0000000000 65535 f \n");
        foreach (var start in starts)
            Write($"{start.ToString("D10", CultureInfo.InvariantCulture)} 00000 n \n");
        Write($"trailer\n<</Size {objects.Count + 1}\n/Root {Root} 0 R\n{info}>>\nstartxref\n{table}\n%%EOF\n");
        return file.ToArray();

        void Write(string text) => file.Write(Latin.GetBytes(text));
    }

    // Many pages stand in a tree of several levels.
    private IEnumerable<int> PagesUnder(int node) =>
        KidsOf().Match(Latin.GetString(objects[node])) is { Success: true } kids
            ? kids.Groups["kids"]
                .Value.Split(" 0 R", StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
                .SelectMany(kid => PagesUnder(int.Parse(kid, CultureInfo.InvariantCulture)))
            : [node];

    private static int Number(Match match) => int.Parse(match.Groups["number"].ValueSpan, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"startxref\s+(?<at>\d+)")]
    private static partial Regex Table();

    [GeneratedRegex(@"(?<at>\d{10}) \d{5} n")]
    private static partial Regex Entry();

    [GeneratedRegex(@"\G(?<number>\d+) 0 obj\s")]
    private static partial Regex Head();

    [GeneratedRegex(@"/Root (?<number>\d+) 0 R")]
    private static partial Regex RootOf();

    [GeneratedRegex(@"/Info \d+ 0 R")]
    private static partial Regex InfoOf();

    [GeneratedRegex(@"/Pages (?<number>\d+) 0 R")]
    private static partial Regex PagesOf();

    [GeneratedRegex(@"/Kids \[(?<kids>[^\]]*)\]")]
    private static partial Regex KidsOf();

    [GeneratedRegex(@"/Contents (?<number>\d+) 0 R")]
    private static partial Regex Contents();
}
