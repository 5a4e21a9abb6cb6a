using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;

namespace Wrapper.Server.Devices;

/// <summary>
/// Something that was sent to the printer: how many of its pages lie in the out-tray, and what the rest waits for, empty
/// where nothing does.
/// </summary>
public sealed record PrintedFile(string Id, string Name, int Pages, int Printed, bool OnLabels, string WaitsFor);

/// <summary>
/// How the printer stands: sheets and labels that are left in it, and what was sent, the latest first.
/// </summary>
public sealed record PrinterState(bool IsOn, int Sheets, int Labels, IReadOnlyList<PrintedFile> Files);

/// <summary>A machine that prints pages of PDF.</summary>
internal interface IPrinter
{
    /// <summary>Takes a file; why it cannot, or null. What there is no paper for waits for it.</summary>
    PrinterRefuses? Take(string name, byte[] pdf);
}

/// <summary>Why a printer does not take a file; <paramref name="ForNow"/> where it may later.</summary>
internal sealed record PrinterRefuses(string Reason, bool ForNow = false);

/// <summary>
/// The stand-in for a printer of sheets and labels: what it prints lies in its out-tray as PDF, page by page as long as
/// there is paper. It forgets its tray with the server.
/// </summary>
internal sealed partial class Printer : IPrinter
{
    private const int Full = 100,
        MostFiles = 40;
    private const long MostBytes = 64L * 1024 * 1024;

    // In points: what is narrower comes off the roll of labels.
    private const double NarrowestSheet = 140 / 25.4 * 72;

    private readonly Lock gate = new();
    private readonly List<Sent> sent = [];
    private bool isOn;
    private int sheets = Full,
        labels = Full,
        number;

    /// <summary>Switches it on or off; what waits in it is gone then, what lies in the tray stays.</summary>
    public void Set(bool on)
    {
        lock (gate)
        {
            isOn = on;
            if (!on)
                sent.RemoveAll(file => file.Printed < file.Pages);
        }
    }

    /// <summary>Puts paper in, of both kinds, or takes all out; what waits for it goes on.</summary>
    public void Fill(bool full)
    {
        lock (gate)
        {
            (sheets, labels) = full ? (Full, Full) : (0, 0);
            Print();
        }
    }

    /// <inheritdoc/>
    public PrinterRefuses? Take(string name, byte[] pdf)
    {
        var text = Encoding.Latin1.GetString(pdf);
        lock (gate)
        {
            if (!isOn)
                return new("The printer is switched off: switch it on under Workshop devices.", ForNow: true);
            var pages = Page().Count(text);
            if (!text.StartsWith("%PDF-", StringComparison.Ordinal) || pages == 0)
                return new("this is no PDF with pages to print");
            if (sent.Count >= MostFiles || sent.Sum(file => (long)file.Pdf.Length) + pdf.Length > MostBytes)
                return new("The out-tray is full: empty it under Workshop devices.", ForNow: true);
            var box = Box().Match(text);
            var wide = box.Success ? double.Parse(box.Groups["wide"].ValueSpan, CultureInfo.InvariantCulture) : 595;
            sent.Add(new($"p{++number}", name, pdf, pages, wide < NarrowestSheet));
            Print();
            return null;
        }
    }

    /// <summary>What lies in the tray under this id, as it was sent; null where nothing does.</summary>
    public (string Name, byte[] Pdf)? Printed(string id)
    {
        lock (gate)
            return sent.Find(file => file.Id == id) is { } found ? (found.Name, found.Pdf) : null;
    }

    /// <summary>Empties the tray; what waits for paper stays.</summary>
    public void Empty()
    {
        lock (gate)
            sent.RemoveAll(file => file.Printed == file.Pages);
    }

    /// <summary>How it stands.</summary>
    public PrinterState State()
    {
        lock (gate)
            return new(
                isOn,
                sheets,
                labels,
                [
                    .. Enumerable
                        .Reverse(sent)
                        .Select(file => new PrintedFile(
                            file.Id,
                            file.Name,
                            file.Pages,
                            file.Printed,
                            file.OnLabels,
                            file.Printed == file.Pages ? ""
                                : file.OnLabels ? "labels"
                                : "paper"
                        )),
                ]
            );
    }

    // In the order in which they came, each kind of paper for itself.
    private void Print()
    {
        foreach (var file in sent)
        {
            ref var left = ref (file.OnLabels ? ref labels : ref sheets);
            var now = Math.Min(left, file.Pages - file.Printed);
            (left, file.Printed) = (left - now, file.Printed + now);
        }
    }

    [GeneratedRegex(@"/Type\s*/Page\b")]
    private static partial Regex Page();

    [GeneratedRegex(@"/MediaBox\s*\[\s*0\s+0\s+(?<wide>[\d.]+)")]
    private static partial Regex Box();

    private sealed record Sent(string Id, string Name, byte[] Pdf, int Pages, bool OnLabels)
    {
        public int Printed { get; set; }
    }
}
