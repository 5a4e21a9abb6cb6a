using Wrapper.Core.Cloth;
using Wrapper.Core.Covers;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Server.Views;

/// <summary>A whole job planned: items in order, cloths with lays and purchases, totals, and what is wrong beyond single fields.</summary>
public sealed record PlanView(IReadOnlyList<ItemView> Items, IReadOnlyList<ClothView> Cloths, TotalsView? Totals, IReadOnlyList<Problem> Problems)
{
    /// <summary>The view of <paramref name="plan"/>; differences are told against <paramref name="before"/>, the cloth bought before, in counts.</summary>
    public static PlanView Of(Plan plan, JobDocument job, Drafting drafting, long? before) => new(
        [.. plan.Items.Select(item => new ItemView(item.Item.Id, item.Number, DraftView.Of(item, drafting, job.Unit)))],
        [.. plan.Cloths.Select(cloth => ClothView.Of(cloth, job))],
        TotalsView.Of(plan, job, before),
        plan.Problems);
}

/// <summary>One item of a plan.</summary>
public sealed record ItemView(string Id, int Number, DraftView Draft);

/// <summary>One cloth of a plan.</summary>
public sealed record ClothView(
    string Id,
    IReadOnlyDictionary<string, LengthView> Fields,
    IReadOnlyList<Problem> Problems,
    LengthView? Usable,
    IReadOnlyList<string> UsableWorking,
    int Pieces,
    LayView? Lay,
    BuyingView? Buying)
{
    internal static ClothView Of(ClothPlan plan, JobDocument job)
    {
        var readable = plan.Reading.CanBeLaid;
        return new ClothView(
            plan.Reading.Cloth.Id,
            plan.Reading.Lengths.ToDictionary(pair => pair.Key, pair => LengthView.Finished(pair.Value, job.Unit)),
            plan.Problems,
            readable ? LengthView.Finished(plan.Reading.Usable.Value, job.Unit) : null,
            readable ? WorkingText.Lines(plan.Reading.Usable, "usable width", job.Unit) : [],
            plan.Pieces.Count,
            plan.Lay is { } lay ? LayView.Of(lay, plan, job.Unit) : null,
            plan.Buying is { } buying ? BuyingView.Of(buying, job) : null);
    }
}

/// <summary>
/// A lay, drawn with the cloth along the screen: up the roll to the right, the first selvedge on top, hundredths of a millimetre.
/// </summary>
public sealed record LayView(
    LengthView Length,
    LengthView ByHand,
    LengthView ShortestPossible,
    BoxView Cloth,
    BoxView Usable,
    IReadOnlyList<PlacedView> Placed,
    IReadOnlyList<TickView> Ruler)
{
    internal static LayView Of(ClothLay lay, ClothPlan plan, JobUnit unit)
    {
        var pieces = plan.Pieces.ToDictionary(piece => piece.Id);
        var usable = plan.Reading.Usable.Value;
        var width = plan.Reading.Lengths[$"cloths.{plan.Reading.Cloth.Id}.width"];
        var selvedge = (width - usable).Over(2);
        var length = Drawing.Hundredths(lay.Best.Length);
        return new LayView(
            LengthView.Cloth(lay.Best.Length, unit),
            LengthView.Cloth(lay.Hand.Length, unit),
            LengthView.Cloth(lay.ShortestPossible, unit),
            new BoxView(0, -Drawing.Hundredths(selvedge), length, Drawing.Hundredths(width)),
            new BoxView(0, 0, length, Drawing.Hundredths(usable)),
            [.. lay.Best.Placements.Select(at => PlacedView.Of(pieces[at.Id], at, unit))],
            [.. Ticks(lay.Best.Length, unit)]);
    }

    // The ruler along the cloth: every inch or centimetre, with a figure at every foot or half metre.
    private static IEnumerable<TickView> Ticks(Core.Lengths.Length length, JobUnit unit)
    {
        var (step, figured) = unit.IsInches() ? (Core.Lengths.Length.Inches(1), 12) : (Core.Lengths.Length.Millimetres(10), 50);
        for (var n = 0; n * step <= length; n++)
            yield return new TickView(Drawing.Hundredths(n * step), n % figured == 0 ? $"{n} {LengthPrinter.Word(unit)}" : null);
    }
}

/// <summary>A mark of the ruler; a figure at the long ones.</summary>
public sealed record TickView(long At, string? Figure);

/// <summary>One piece on the cloth: its label, its path, and where its box starts from the squared end and from the selvedge.</summary>
public sealed record PlacedView(string Id, string Item, string Label, int Turns, string Path, BoxView Box, LengthView AlongRoll, LengthView FromSelvedge)
{
    internal static PlacedView Of(LayPiece piece, Placement at, JobUnit unit)
    {
        var (path, box) = Drawing.OnCloth(piece.Cut, at.Turns, at.X, at.Y);
        return new PlacedView(piece.Id, piece.Item, piece.Label, at.Turns, path, box, LengthView.Finished(at.Y, unit), LengthView.Finished(at.X, unit));
    }
}

/// <summary>What is bought of one cloth; lengths in yards and in metres (yards x 0.9144).</summary>
public sealed record BuyingView(LengthView Needed, LengthView Margin, LengthView Bought, LengthView LeftOver, string BoughtYards, string BoughtMetres, string? Cost)
{
    internal static BuyingView Of(Buying buying, JobDocument job) => new(
        LengthView.Cloth(buying.Needed, job.Unit),
        LengthView.Cloth(buying.Margin, job.Unit),
        LengthView.Cloth(buying.Bought, job.Unit),
        new LengthView(buying.LeftOver.Ticks, LengthPrinter.ClothLength(buying.LeftOver, job.Unit, down: true), ""),
        LengthPrinter.ClothLength(buying.Bought, JobUnit.Inch),
        LengthPrinter.ClothLength(buying.Bought, JobUnit.Centimetre),
        buying.Cost is { } cost ? Money(cost, job) : null);

    internal static string Money(decimal amount, JobDocument job) => job.Currency + amount.ToString("N2", System.Globalization.CultureInfo.InvariantCulture);
}

/// <summary>The figures along the foot of a job; each is null until there is something to show.</summary>
public sealed record TotalsView(LengthView Bought, string? Cost, string? Minutes, string? Change, string Doubt)
{
    internal static TotalsView? Of(Plan plan, JobDocument job, long? before)
    {
        var bought = plan.Cloths.Where(cloth => cloth.Buying is not null).Select(cloth => cloth.Buying!).ToList();
        if (bought.Count == 0) return null;
        var total = bought.Aggregate(Length.Zero, (sum, buying) => sum + buying.Bought);
        var minutes = plan.Items.Where(item => item.Draft.Pattern is not null).Sum(item => Core.Making.Minutes.Of(item.Draft.Pattern!) * item.Quantity);
        var inDoubt = plan.Items.Count(item => item.Draft.Pattern is null) + plan.Cloths.Count(cloth => cloth.Problems.Count > 0);
        return new TotalsView(
            LengthView.Cloth(total, job.Unit),
            bought.All(buying => buying.Cost is not null) ? BuyingView.Money(bought.Sum(buying => buying.Cost!.Value), job) : null,
            minutes == 0 ? null : $"{minutes / 60} h {minutes % 60:00} min",
            before is { } ticks && ticks != total.Ticks ? LengthPrinter.ClothDifference(total - new Length(ticks), job.Unit) : null,
            inDoubt == 0 ? "" : $"{inDoubt} in doubt, not counted");
    }
}
