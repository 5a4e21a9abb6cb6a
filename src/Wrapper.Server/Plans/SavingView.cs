using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Plans;

/// <summary>
/// A size that could be a little less, another answer, or another cloth for the cord, and what that would save;
/// <paramref name="Typed"/> is the entry that would do it, for a cloth its id.
/// </summary>
public sealed record SavingView(
    string Item,
    string ItemName,
    string Field,
    string Name,
    Entry Typed,
    string From,
    string To,
    LengthView Saves,
    string BuysLess,
    string? CostsLess
)
{
    internal static SavingView Of(Saving saving, JobDocument job) =>
        new(
            saving.Item,
            job.Items.First(item => item.Id == saving.Item).Name,
            saving.Field,
            saving.Name,
            saving.Answer is { } answer ? new Entry(answer.Key, job.Unit) : Entry.Of(saving.To, job.Unit),
            saving.InsteadOf?.Name ?? LengthView.Finished(saving.From, job.Unit).Text,
            saving.Answer?.Name ?? LengthView.Finished(saving.To, job.Unit).Text,
            LengthView.Cloth(saving.Saves, job.Unit),
            LengthPrinter.ClothDifference(saving.BuysLess, job.Unit).TrimStart('+'),
            saving.CostsLess is { } cost ? BuyingView.Money(cost, job) : null
        );
}
