using Wrapper.Core.Workroom.Money;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Money;

/// <summary>The papers of a job as dealings: amounts in the currency that they were written in.</summary>
internal static class JobPapers
{
    /// <summary>A paper that was refused by the customer, or an order that was taken back.</summary>
    public const string Declined = "declined",
        Cancelled = "cancelled";

    public static Dealings Dealings(IReadOnlyList<KeptPaper> papers, Currency usual)
    {
        var currency = CurrencyOf(papers, usual);
        return new([.. papers.Select(paper => Dealing(paper, currency))], currency);
    }

    /// <summary>The currency that a job is dealt in: that of its first paper, else the workroom's.</summary>
    public static Currency CurrencyOf(IReadOnlyList<KeptPaper> papers, Currency usual) =>
        papers.Count > 0 ? Currency.Of(papers[0].Currency) ?? usual : usual;

    public static Paper? Read(KeptPaper? kept) => KeptJson.Read<Paper>(kept?.Content);

    public static StandingView Standing(IReadOnlyList<KeptPaper> papers, Currency usual)
    {
        var (dealings, currency) = (Dealings(papers, usual), CurrencyOf(papers, usual));
        var account = dealings.Account;
        var asked = Read(papers.FirstOrDefault(paper => paper.Id == dealings.Order?.Id))?.Deposit;
        var missing = asked is null ? 0 : currency.OfUnits(asked.Units) - account.Paid;
        return new(
            currency.Text(account.Invoiced),
            currency.Text(account.Credited),
            currency.Text(account.Paid),
            currency.Text(account.Balance),
            currency.Text(dealings.ToPay),
            dealings.Invoice is not null && account.Balance == 0,
            dealings.Offered?.Id,
            dealings.Order?.Id,
            dealings.Invoice?.Id,
            dealings.Invoice is null && missing > 0 ? currency.Text(missing) : null
        );
    }

    private static Dealing Dealing(KeptPaper paper, Currency currency) =>
        new(
            paper.Id,
            Enum.Parse<PaperKind>(paper.Kind),
            paper.Number,
            paper.BasedOn,
            currency.OfUnits(paper.Total),
            paper.Events.Any(each => each.Event is Declined or Cancelled)
        );
}
