using System.Globalization;
using Wrapper.Core.Workroom.Money;
using Wrapper.Formats.Pages;

namespace Wrapper.Server.Sheets;

/// <summary>Estimates, quotations, orders, invoices, receipts and credit notes as they were given out: nothing is reckoned here.</summary>
internal static class PaperSheets
{
    private const float DrawnHigh = 22;

    /// <summary>The sheet of a paper; <paramref name="drawing"/> is what was drawn of an item, null for nothing.</summary>
    public static Sheet Of(Paper paper, Func<string, byte[]?> drawing, SheetSize size) =>
        new(
            $"{Kind(paper)} {paper.Called}",
            $"{Kind(paper)} {paper.Called}",
            paper.Maker.Name,
            size,
            [.. Head(paper), Lines(paper, drawing), .. Options(paper), .. Foot(paper)]
        );

    /// <summary>What a kind of paper is called at its head.</summary>
    public static string Kind(Paper paper) => paper.Kind == PaperKind.CreditNote ? "Credit note" : $"{paper.Kind}";

    private static IEnumerable<Block> Head(Paper paper)
    {
        yield return new Beside([
            (3, [new Heading(1, $"{Kind(paper)} {paper.Called}"), Text.Of(Dated(paper.Date))]),
            (
                2,
                [
                    Text.Of(
                        Run.Bold(paper.Maker.Name),
                        Below(paper.Maker),
                        paper.TaxNumber.Length > 0 ? $"\nTax number {paper.TaxNumber}" : ""
                    ),
                ]
            ),
        ]);
        yield return new Gap(6);
        yield return Text.Of(Run.Bold(paper.Customer.Name), Below(paper.Customer));
        yield return new Gap(4);
        yield return Text.Of(
            $"{paper.Job}{(paper.BasedOn.Length > 0 ? $", following {paper.BasedOn}" : "")}{(paper.Chosen.Length > 0 ? $". Ordered with {paper.Chosen}" : "")}"
        );
    }

    private static Grid Lines(Paper paper, Func<string, byte[]?> drawing)
    {
        List<Row> rows =
        [
            .. paper.Lines.Select(line => new Row([
                line.Item.Length > 0 && drawing(line.Item) is { } png
                    ? [new Figure(new RasterPicture(png), line.Text, DrawnHigh)]
                    : [],
                [
                    Text.Of([
                        Run.Bold($"{(line.Quantity > 1 ? $"{line.Quantity} × " : "")}{line.Text}"),
                        .. line.Told.Select(told => (Run)$"\n{told}"),
                    ]),
                ],
                Grid.Cell(line.Amount.Text),
            ])),
        ];
        if (paper.Sum.Taxes.Count > 0)
            rows.Add(Sum(paper.TaxIncluded ? "Of this before tax" : "Before tax", paper.Sum.Net));
        rows.AddRange(
            paper.Sum.Taxes.Select(tax =>
                Sum($"{tax.Name} {tax.Percent} %{(paper.TaxIncluded ? ", included" : "")}", tax.Amount)
            )
        );
        rows.Add(
            Sum(paper.Kind == PaperKind.Receipt ? "Received with thanks" : "Total", paper.Sum.Total) with
            {
                IsStrong = true,
            }
        );
        rows.AddRange(paper.Paid.Select(paid => Sum($"Paid on {Dated(paid.Date)}, {paid.Receipt}", paid.Amount)));
        if (paper.Due is { } due)
            rows.Add(
                Sum(paper.Kind == PaperKind.Invoice ? "To pay" : "Still to pay", due) with
                {
                    IsStrong = paper.Kind == PaperKind.Invoice,
                }
            );
        return new([new("", 1.6f), new("What", 6), new("Amount", 2, IsRight: true)], rows);

        static Row Sum(string what, Sum sum) =>
            new([
                [],
                Grid.Cell(what),
                Grid.Cell(sum.Text),
            ]);
    }

    private static IEnumerable<Block> Options(Paper paper)
    {
        if (paper.Options.Count == 0)
            yield break;
        yield return new Heading(2, "Or made otherwise");
        yield return new Grid(
            [new("What is other", 5), new("In all", 2, IsRight: true), new("Against this offer", 2, IsRight: true)],
            [.. paper.Options.Select(option => Grid.Plain(option.Text, option.Sum.Total.Text, option.Difference))]
        );
    }

    private static IEnumerable<Block> Foot(Paper paper)
    {
        yield return new Gap(4);
        if (paper.Deposit is { } deposit && paper.Kind != PaperKind.Invoice)
            yield return Text.Of(Run.Bold($"Deposit with the order: {deposit.Text}"));
        if (paper.Kind == PaperKind.Quotation && paper.Until.Length > 0)
            yield return Text.Of($"This offer holds until {Dated(paper.Until)}.");
        if (paper.Kind == PaperKind.Estimate)
            yield return Text.Of("This is an estimate and binds nobody: the price follows from the measurements.");
        if (paper.Kind == PaperKind.Invoice && paper.Until.Length > 0)
            yield return Text.Of($"Please pay by {Dated(paper.Until)}.");
        if (paper.PayTo.Length > 0 && paper.Kind is not (PaperKind.Receipt or PaperKind.CreditNote))
            yield return Text.Of($"Pay to: {paper.PayTo}");
        if (paper.Note.Length > 0)
            yield return Text.Of(paper.Kind == PaperKind.Receipt ? $"Paid by {paper.Note}" : paper.Note);
        if (paper.Rounding.Length > 0 && paper.Sum.Taxes.Count > 0)
            yield return Text.Of(paper.Rounding) with
            {
                Size = TextSize.Small,
            };
        if (paper.Terms.Length > 0 && paper.Kind != PaperKind.Receipt)
            yield return Text.Of(paper.Terms) with
            {
                Size = TextSize.Small,
            };
    }

    private static string Below(Named named) =>
        $"\n{(named.Address.StartsWith($"{named.Name}\n", StringComparison.Ordinal) ? named.Address[(named.Name.Length + 1)..] : named.Address)}";

    // The same on every print, wherever it is printed, and read in one way alone.
    private static string Dated(string date) =>
        DateOnly.TryParseExact(date, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)
            : date;
}
