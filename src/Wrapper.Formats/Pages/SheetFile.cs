using SkiaSharp;

namespace Wrapper.Formats.Pages;

/// <summary>
/// A sheet as it leaves the house: as PDF, with its text and its parts as they are read; as pictures of its pages; as
/// its words.
/// </summary>
public sealed class SheetFile
{
    // Points a millimetre.
    private const float Points = 72 / 25.4f;
    private readonly SetSheet set;

    /// <summary>Sets a sheet on its pages.</summary>
    public SheetFile(Sheet sheet) => set = SetSheet.Of(sheet);

    /// <summary>How many pages it has.</summary>
    public int Pages => set.Pages.Count;

    /// <summary>How high a page must be to hold these blocks, in millimetres.</summary>
    public static float Height(IReadOnlyList<Block> blocks, SheetSize size) => SetSheet.Height(blocks, size);

    /// <summary>The sheet as tagged PDF; the same sheet gives the same bytes.</summary>
    public byte[] Pdf()
    {
        using var drawn = new MemoryStream();
        List<IReadOnlyList<PageMark>> order = [];
        using (var stream = new SKManagedWStream(drawn))
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = set.Sheet.Title,
                    Creator = "Wrapper",
                    RasterDpi = 300,
                }
            )
        )
        {
            foreach (var page in set.Pages)
            {
                var canvas = document.BeginPage(set.Sheet.Size.Wide * Points, set.Sheet.Size.High * Points);
                canvas.Scale(Points);
                foreach (var mark in page.Marks)
                    mark.Draw(canvas);
                document.EndPage();
                order.Add([
                    .. page.Marks.OfType<Words>().Cast<Mark>().Concat(page.Marks.OfType<Shown>()).Select(PageMark.Of),
                ]);
            }
            document.Close();
        }
        return PdfTags.Written(drawn.ToArray(), order, set.Root);
    }

    /// <summary>A page as PNG, from 1, so many dots an inch.</summary>
    public byte[] Picture(int page, int dpi)
    {
        var scale = dpi / 25.4f;
        var (wide, high) = (set.Sheet.Size.Wide * scale, set.Sheet.Size.High * scale);
        using var bitmap = new SKBitmap((int)MathF.Round(wide), (int)MathF.Round(high));
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(SKColors.White);
            canvas.Scale(scale);
            foreach (var mark in set.Pages[page - 1].Marks)
                mark.Draw(canvas);
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    /// <summary>What is read of a page, from 1: a line each; pictures by what they show.</summary>
    public IReadOnlyList<string> Said(int page)
    {
        List<string> lines = [];
        Node? last = null;
        foreach (var mark in set.Pages[page - 1].Marks.Where(mark => mark.Of is not null))
        {
            var words = mark is Words text ? text.Said : mark.Of!.Shows ?? "";
            if (mark.Of == last && mark is Words)
                lines[^1] += words;
            else
                lines.Add(words);
            last = mark.Of;
        }
        return [.. lines.Select(line => line.Trim())];
    }
}
