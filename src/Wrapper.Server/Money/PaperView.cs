using Wrapper.Core.Workroom.Money;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Money;

/// <summary>Something that became of a paper since it was given out.</summary>
public sealed record PaperEventView(string Event, string Note, string At);

/// <summary>
/// A paper as it was given out, what became of it since, and the items that have a drawing on it.
/// </summary>
public sealed record PaperView(
    string Id,
    string Job,
    string CustomerId,
    string? BasedOn,
    Paper Paper,
    IReadOnlyList<PaperEventView> Events,
    IReadOnlyList<string> Drawings,
    string Mark
)
{
    /// <summary>The view of a paper; null where it cannot be read.</summary>
    internal static PaperView? Of(KeptPaper kept) =>
        KeptJson.Read<Paper>(kept.Content) is { } paper
            ? new(
                kept.Id,
                kept.Job,
                kept.CustomerId,
                kept.BasedOn,
                paper,
                [.. kept.Events.Select(each => new PaperEventView(each.Event, each.Note, each.At))],
                kept.Drawings,
                kept.Mark
            )
            : null;
}

/// <summary>How a job stands: each figure as it is printed, and the papers that the next ones follow from.</summary>
public sealed record StandingView(
    string Invoiced,
    string Credited,
    string Paid,
    string Balance,
    string ToPay,
    bool IsSettled,
    string? Offered,
    string? Order,
    string? Invoice,
    string? Deposit
);

/// <summary>The price sheet of a job at one revision, its papers, and how it stands.</summary>
public sealed record JobMoneyView(
    long Revision,
    Core.Workroom.Pricing.PriceSheet Sheet,
    IReadOnlyList<PaperView> Papers,
    StandingView Standing
);
