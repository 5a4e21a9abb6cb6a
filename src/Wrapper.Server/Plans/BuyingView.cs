using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Money;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Plans;

/// <summary>
/// What is bought of one cloth; <paramref name="BoughtOtherwise"/> says it in metres where the job is in yards (x
/// 0.9144), and the other way round.
/// </summary>
public sealed record BuyingView(
    LengthView Needed,
    bool BeforeWashing,
    LengthView Margin,
    LengthView Bought,
    LengthView LeftOver,
    string BoughtOtherwise,
    string? Cost,
    string? Articles,
    LengthView? ToStart,
    LengthView? ForSkew,
    string? LeastCut,
    string? Cheaper,
    string? Tight
)
{
    internal static BuyingView Of(Buying buying, ClothReading cloth, JobDocument job)
    {
        return new(
            buying.Articles is null
                ? LengthView.Cloth(buying.Needed, job.Unit)
                : LengthView.Cut(buying.Needed, job.Unit),
            cloth.Shrinks,
            LengthView.Cloth(buying.Margin, job.Unit),
            LengthView.Bought(buying.Bought, job.Unit),
            buying.Articles is null
                ? LengthView.Surplus(buying.LeftOver, job.Unit)
                : LengthView.Finished(buying.LeftOver, job.Unit),
            LengthPrinter.ShopLength(buying.Bought, job.Unit.IsInches() ? JobUnit.Centimetre : JobUnit.Inch),
            buying.Cost is { } cost ? Money(cost, job) : null,
            buying.Articles is { } count
                ? $"{count} of {Side("width")} x {Side("articleLength")} {LengthPrinter.Word(job.Unit)}"
                : null,
            buying.ToStart.IsPositive ? LengthView.Cloth(buying.ToStart, job.Unit) : null,
            buying.ForSkew.IsPositive ? LengthView.Cloth(buying.ForSkew, job.Unit) : null,
            buying.IsLeastCut ? LengthPrinter.ShopLength(cloth.LeastCut, job.Unit) : null,
            buying.Cheaper is { } cheaper
                ? $"{LengthPrinter.ShopLength(cheaper.Bought, job.Unit)} would cost less: {Money(cheaper.Cost, job)}"
                : null,
            buying.IsTight
                ? $"Less than {(job.Unit.IsInches() ? "1 in" : "2.5 cm")} to spare: an end that is cut crooked would leave it short. The next the shop cuts is {LengthPrinter.ShopLength(buying.Bought + cloth.BuyingStep, job.Unit)}."
                : null
        );

        string Side(string name) =>
            LengthPrinter.Finished(cloth.Lengths[$"cloths.{cloth.Cloth.Id}.{name}"], job.Unit).Text;
    }

    internal static string Money(decimal amount, JobDocument job) => Currency.Signed(job.Currency).Text(amount);
}

/// <summary>One cloth off the roll, and how much of it is bought.</summary>
public sealed record ClothTotalView(string Name, string Tone, LengthView Bought);

/// <summary>
/// The figures along the foot of a job; each is null until there is something to show. Every cloth has its own length:
/// two cloths are never added into one. <paramref name="Ticks"/> is the count to give as <c>before</c> with the next
/// plan, which then tells what the last change did. <paramref name="Shopping"/> is one list for the whole job.
/// </summary>
public sealed record TotalsView(
    IReadOnlyList<ClothTotalView> Cloths,
    int Articles,
    long Ticks,
    string? Cost,
    string? Minutes,
    string? Change,
    string Doubt,
    IReadOnlyList<ShoppingLine> Shopping
)
{
    internal static TotalsView? Of(Plan plan, JobDocument job, long? before, Pace pace)
    {
        var bought = plan.Cloths.Where(cloth => cloth.Buying is not null).Select(cloth => cloth.Buying!).ToList();
        if (bought.Count == 0)
            return null;
        var total = bought
            .Where(buying => buying.Articles is null)
            .Aggregate(Length.Zero, (sum, buying) => sum + buying.Bought);
        var minutes = plan
            .Items.Where(item => item.Draft.Pattern is not null)
            .Sum(item => (long)Core.Making.Minutes.Of(item.Draft.Pattern!, pace) * item.Quantity);
        var inDoubt =
            plan.Items.Count(item => item.Draft.Pattern is null) + plan.Cloths.Count(cloth => cloth.Problems.Count > 0);
        return new TotalsView(
            [
                .. plan
                    .Cloths.Where(cloth => cloth.Buying is { Articles: null })
                    .Select(cloth => new ClothTotalView(
                        cloth.Reading.Cloth.Name,
                        cloth.Reading.Cloth.Tone,
                        LengthView.Bought(cloth.Buying!.Bought, job.Unit)
                    )),
            ],
            bought.Sum(buying => buying.Articles ?? 0),
            total.Ticks,
            bought.All(buying => buying.Cost is not null)
                ? BuyingView.Money(bought.Sum(buying => buying.Cost!.Value), job)
                : null,
            minutes == 0 ? null : Core.Making.Minutes.Text(minutes),
            before is { } ticks && ticks != total.Ticks
                ? LengthPrinter.ClothDifference(total - new Length(ticks), job.Unit)
                : null,
            inDoubt == 0 ? "" : $"{inDoubt} in doubt, not counted",
            Core.Planning.Shopping.Of(plan, job)
        );
    }
}
