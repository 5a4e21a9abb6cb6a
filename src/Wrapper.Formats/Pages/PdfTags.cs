using System.Globalization;
using System.IO.Compression;
using System.Text;

namespace Wrapper.Formats.Pages;

/// <summary>
/// Gives a PDF the tree of its parts. The library that draws writes none; what it draws it writes in the order of the
/// calls, every run of words as one <c>BT … ET</c>, every picture as one <c>Do</c>. Here each is marked as what it is
/// part of, the tree is put beside it (ISO 32000-1, 14.7 and 14.8), and the table of the file's objects is written anew.
/// </summary>
internal static class PdfTags
{
    private static readonly Encoding Bytes = Encoding.Latin1;

    /// <summary>
    /// The file with marks and tree; <paramref name="pages"/> tell what was drawn on each, in its order.
    /// </summary>
    /// <exception cref="InvalidOperationException">The file does not hold what was drawn: nothing is marked wrongly.</exception>
    public static byte[] Written(byte[] drawn, IReadOnlyList<IReadOnlyList<PageMark>> pages, Node root)
    {
        var file = new PdfObjects(drawn);
        var parts = new List<Node>();
        var numbers = new Dictionary<Node, int>();
        Collect(root);
        var treeRoot = file.Next();
        foreach (var part in parts)
            numbers[part] = file.Next();
        List<string> byPage = [];
        var pageNumbers = new List<int>();
        foreach (var (marks, at) in pages.Select((marks, at) => (marks, at)))
        {
            var page = file.Pages[at];
            pageNumbers.Add(page);
            var (content, marked) = Marked(file.Stream(file.ContentOf(page)), marks, at);
            file.Replace(file.ContentOf(page), Deflated(content));
            file.AddTo(page, $"/StructParents {at}");
            byPage.Add($"{at} [{string.Join(' ', marked.Select(part => $"{numbers[part]} 0 R"))}]");
        }
        var parents = Parents();
        foreach (var part in parts)
            file.Replace(numbers[part], Written(part));
        file.Replace(
            treeRoot,
            $"<</Type /StructTreeRoot /K [{numbers[root]} 0 R] /ParentTree <</Nums [{string.Join(' ', byPage)}]>> /ParentTreeNextKey {pages.Count}>>"
        );
        file.AddTo(file.Root, $"/MarkInfo <</Marked true>> /Lang (en) /StructTreeRoot {treeRoot} 0 R");
        return file.Written();

        void Collect(Node node)
        {
            parts.Add(node);
            foreach (var (part, _, _) in node.Parts)
                if (part is not null)
                    Collect(part);
        }

        Dictionary<Node, Node> Parents() =>
            parts
                .SelectMany(node => node.Parts.Where(each => each.Part is not null).Select(each => (each.Part!, node)))
                .ToDictionary();

        string Written(Node node)
        {
            var text = new StringBuilder($"<</Type /StructElem /S /{node.Kind} /P ");
            text.Append(parents.TryGetValue(node, out var parent) ? $"{numbers[parent]} 0 R" : $"{treeRoot} 0 R");
            if (node.Shows is { } shows)
                text.Append($" /Alt {Hex(shows)}");
            if (node.HeadOf is { } head)
                text.Append($" /A <</O /Table /Scope /{head}>>");
            text.Append(" /K [");
            foreach (var (part, page, mark) in node.Parts)
                text.Append(
                    part is not null
                        ? $"{numbers[part]} 0 R "
                        : $"<</Type /MCR /Pg {pageNumbers[page]} 0 R /MCID {mark}>> "
                );
            return text.Append("]>>").ToString();
        }
    }

    // Words and pictures are told apart; each kind comes in the order in which it was drawn.
    private static (string Content, List<Node> Marked) Marked(string content, IReadOnlyList<PageMark> marks, int page)
    {
        var words = new Queue<Node?>(marks.Where(mark => !mark.IsPicture).Select(mark => mark.Part));
        var pictures = new Queue<Node?>(marks.Where(mark => mark.IsPicture).Select(mark => mark.Part));
        List<Node> marked = [];
        var text = new StringBuilder();
        foreach (var line in content.Split('\n'))
        {
            if (line == "BT")
                text.Append(Begin(words)).Append("BT\n");
            else if (line == "ET")
                text.Append("ET\nEMC\n");
            else if (line.EndsWith(" Do", StringComparison.Ordinal))
                text.Append(Begin(pictures)).Append(line).Append("\nEMC\n");
            else
                text.Append(line).Append('\n');
        }
        if (words.Count > 0 || pictures.Count > 0)
            throw new InvalidOperationException($"page {page + 1} lacks some of what was drawn on it");
        return (text.ToString(), marked);

        string Begin(Queue<Node?> drawn)
        {
            if (!drawn.TryDequeue(out var part))
                throw new InvalidOperationException($"page {page + 1} has more than was drawn on it");
            if (part is null)
                return "/Artifact BMC\n";
            part.Parts.Add((null, page, marked.Count));
            marked.Add(part);
            return $"/{part.Kind} <</MCID {marked.Count - 1}>> BDC\n";
        }
    }

    private static byte[] Deflated(string content)
    {
        using var packed = new MemoryStream();
        using (var zlib = new ZLibStream(packed, CompressionLevel.Optimal, leaveOpen: true))
            zlib.Write(Bytes.GetBytes(content));
        return
        [
            .. Bytes.GetBytes($"<</Filter /FlateDecode /Length {packed.Length}>> stream\n"),
            .. packed.ToArray(),
            .. Bytes.GetBytes("\nendstream"),
        ];
    }

    // A text of any script.
    private static string Hex(string text) =>
        $"<FEFF{string.Concat(text.Select(letter => ((int)letter).ToString("X4", CultureInfo.InvariantCulture)))}>";
}

/// <summary>What is drawn on a page in turn: words or a picture, and the part of the sheet that it belongs to.</summary>
internal readonly record struct PageMark(bool IsPicture, Node? Part)
{
    public static PageMark Of(Mark mark) => new(mark is Shown, mark.Of);
}
