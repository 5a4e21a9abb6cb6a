using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// One cloth of a job tried at another width, or with its panels lying the other way: what it would take.
/// <paramref name="Reason"/> says why it cannot be, and the figures are null then.
/// <paramref name="Joins"/> counts seams that only join widths; <paramref name="Waste"/> is the per cent of the usable
/// cloth that is in no piece.
/// </summary>
public sealed record WidthTried(
    Length Width,
    string Lying,
    bool Current,
    Length? Needed,
    Length? Bought,
    decimal? Cost,
    int Joins,
    int? Waste,
    string? Reason
);

/// <summary>
/// Compares the widths that cloth is sold in: everything is drafted and laid anew for each (craft §10).
/// </summary>
public static class Widths
{
    /// <summary>How panels lie: as each item has it, up the roll, or a quarter turned.</summary>
    public static readonly IReadOnlyList<string> Lyings = ["as chosen", "up the roll", "railroaded"];

    private static readonly int[] Inches = [36, 42, 45, 54, 60, 72, 90, 108, 118];
    private static readonly int[] Centimetres = [90, 110, 140, 150, 220, 280];

    /// <summary>
    /// The usual widths, those that were added for this cloth, and its own, by width; the price of a yard or metre is
    /// taken to be the same. Then the cloth's own with panels lying either way.
    /// </summary>
    public static IReadOnlyList<WidthTried> Of(
        JobDocument job,
        string cloth,
        Drafting drafting,
        LayCache? kept = null,
        CancellationToken cancel = default
    )
    {
        var own = job.Cloths.First(each => each.Id == cloth);
        var width = Entry.Read(own.Width, job.Unit, LengthLimits.Cloth).Length;
        var sold = job.Unit.IsInches()
            ? Inches.Select(n => Length.Inches(n))
            : Centimetres.Select(n => Length.Millimetres(10 * n));
        var others = own
            .OtherWidths.Select(entry => Entry.Read(entry, job.Unit, LengthLimits.Cloth).Length)
            .OfType<Length>();
        WidthTried At(Length tried, string lying) =>
            Try(job, own, tried, lying, tried == width && lying == Lyings[0], drafting, kept, cancel);
        List<WidthTried> rows =
        [
            .. sold.Concat(others)
                .Concat(width is { } current ? [current] : [])
                .Distinct()
                .Order()
                .Select(each => At(each, Lyings[0])),
        ];
        if (width is { } now && job.Items.Any(item => item.Choices.ContainsKey(PanelGrain)))
            rows.AddRange(Lyings.Skip(1).Select(lying => At(now, lying)));
        return rows;
    }

    private static readonly string PanelGrain = GrainChoices.Panels.Key;

    private static WidthTried Try(
        JobDocument job,
        JobCloth own,
        Length width,
        string lying,
        bool current,
        Drafting drafting,
        LayCache? kept,
        CancellationToken cancel
    )
    {
        // Where pieces were put by hand holds for this width only.
        var cloth = own with
        {
            Width = Entry.Of(width, job.Unit),
            Pins = current ? own.Pins : [],
            MeasuredWidth = current ? own.MeasuredWidth : null,
        };
        var changed = job with
        {
            Cloths = [.. job.Cloths.Select(each => each == own ? cloth : each)],
            Items = [.. job.Items.Select(item => Lying(item, own, lying, job))],
        };
        changed = MadeCloths.Resolved(changed, drafting);
        var items = ItemPlan.AllOf(changed, drafting, cancel);
        var plan = ClothPlan.Of(cloth, items, changed, lay: true, kept, cancel);
        var joins = items
            .Where(item => changed.ClothOf(item.Item, ClothRole.Face) == own.Id)
            .Sum(item =>
                item.Quantity
                * (item.Draft.Pattern?.Counted.Sum(counted => counted.Quantity * (counted.Parts.Count - 1)) ?? 0)
            );
        if (plan.Lay is not { } lay || plan.Buying is not { } buying)
            return new WidthTried(
                width,
                lying,
                current,
                null,
                null,
                null,
                joins,
                null,
                plan.Problems.Count > 0 ? plan.Problems[0].Reason : "nothing is cut from this cloth"
            );
        var area = plan.Pieces.Sum(piece => piece.Cut.AreaSquareMetres()) * 1e6;
        var laid =
            plan.Reading.Usable.Value.ToMillimetres()
            * (lay.Length.IsPositive ? lay.Length : lay.Best.Length).ToMillimetres();
        return new WidthTried(
            width,
            lying,
            current,
            buying.Needed,
            buying.Bought,
            buying.Cost,
            joins,
            laid > 0 ? (int)Math.Round(100 - (100 * area / laid)) : 0,
            null
        );
    }

    // Only panels of this cloth are turned, and only where their make-up leaves it open.
    private static Item Lying(Item item, JobCloth cloth, string lying, JobDocument job) =>
        lying == Lyings[0] || job.ClothOf(item, ClothRole.Face) != cloth.Id || !item.Choices.ContainsKey(PanelGrain)
            ? item
            : item with
            {
                Choices = new Dictionary<string, Entry>(item.Choices)
                {
                    [PanelGrain] = new(OptionKeys<Grain>.Of(lying == Lyings[1] ? Grain.Along : Grain.Across), job.Unit),
                },
            };
}
