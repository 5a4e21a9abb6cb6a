namespace Wrapper.Core.Workroom.Money;

/// <summary>What the account of a job needs to know of one of its papers.</summary>
public sealed record Entered(PaperKind Kind, decimal Total);

/// <summary>
/// How a job stands: what was invoiced, taken back by credit notes, and paid, all read off its papers. Receipts for
/// money paid back are less than nothing.
/// </summary>
public sealed record Account(decimal Invoiced, decimal Credited, decimal Paid)
{
    /// <summary>What is still to be paid; less than nothing is what the customer has to their credit.</summary>
    public decimal Balance => Invoiced - Credited - Paid;

    /// <summary>The account that these papers make.</summary>
    public static Account Of(IEnumerable<Entered> papers)
    {
        var sums = papers.ToLookup(paper => paper.Kind, paper => paper.Total);
        return new(sums[PaperKind.Invoice].Sum(), sums[PaperKind.CreditNote].Sum(), sums[PaperKind.Receipt].Sum());
    }
}
