using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Plans;

/// <summary>
/// A size that could be a little less and what that would save; <paramref name="Typed"/> is the entry that would do it.
/// </summary>
public sealed record SavingView(
    string Item,
    string ItemName,
    string Field,
    string Name,
    Entry Typed,
    LengthView From,
    LengthView To,
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
            Entry.Of(saving.To, job.Unit),
            LengthView.Finished(saving.From, job.Unit),
            LengthView.Finished(saving.To, job.Unit),
            LengthView.Cloth(saving.Saves, job.Unit),
            LengthPrinter.ClothDifference(saving.BuysLess, job.Unit).TrimStart('+'),
            saving.CostsLess is { } cost ? BuyingView.Money(cost, job) : null
        );
}
