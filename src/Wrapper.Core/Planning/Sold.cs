using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// So much of something as it is sold, in every way that a price can be for: pieces (reels, zips, blocks), a length,
/// a volume, a weight; null where it has none.
/// </summary>
public sealed record SoldAmount(long Pieces, Length? Length, decimal? Litres, decimal? Kilograms);

/// <summary>In which form a shop sells what is asked for (craft §10).</summary>
internal static class Sold
{
    /// <summary>What a usual reel of thread holds.</summary>
    public static readonly Length Reel = Length.Millimetres(100_000);

    /// <summary>What a usual cone of serging thread holds.</summary>
    public static readonly Length Cone = Length.Millimetres(1_000_000);

    // Lengths in which made-up zips are usual, in inches and in centimetres; longer ones come as chain.
    private static readonly int[] InchZips =
    [
        4,
        6,
        7,
        8,
        9,
        10,
        12,
        14,
        16,
        18,
        20,
        22,
        24,
        26,
        28,
        30,
        32,
        34,
        36,
        40,
        44,
        48,
        54,
        60,
        66,
        72,
        80,
        90,
        100,
    ];

    private static readonly int[] CentimetreZips =
    [
        10,
        15,
        18,
        20,
        22,
        25,
        30,
        35,
        40,
        45,
        50,
        55,
        60,
        65,
        70,
        75,
        80,
        90,
        100,
        110,
        120,
        130,
        140,
        150,
        160,
        180,
        200,
        220,
        240,
    ];

    /// <summary>
    /// How much of <paramref name="like"/>, each so many times: by the yard or metre where it is one
    /// <paramref name="stretch"/>, thread in reels, made-up zips in stock lengths, the rest size by size.
    /// </summary>
    public static string Amount(IReadOnlyList<(Notion Notion, long Count)> like, bool stretch, JobUnit unit)
    {
        var first = like[0].Notion;
        if (stretch)
        {
            var total = like.Aggregate(
                Length.Zero,
                (sum, each) => sum + (each.Count * (each.Notion.Length?.Value ?? Length.Zero))
            );
            if (first.Key == Making.Thread.Key)
            {
                var reels = Whole(total, Reel);
                return $"{reels} {(reels == 1 ? "reel" : "reels")} of 100 m";
            }
            if (first.Key == Making.Thread.SergingKey)
                return $"{Cones(total)} cones of 1000 m";
            var amount = LengthPrinter.ShopLength(OffTheRoll(total, unit), unit);
            if (first.Key != "zip")
                return amount;
            var sliders = like.Sum(each => each.Count);
            return $"{amount}, {sliders} {(sliders == 1 ? "slider" : "sliders")}: {Sizes(like, unit)}";
        }
        return first.Key == "zip" ? MadeUp(like, unit) : Sizes(like, unit);
    }

    /// <summary>The same as numbers.</summary>
    public static SoldAmount Numbers(IReadOnlyList<(Notion Notion, long Count)> like, bool stretch, JobUnit unit)
    {
        var first = like[0].Notion;
        var pieces = like.Sum(each => each.Count);
        var total = like.Aggregate(
            Length.Zero,
            (sum, each) =>
                sum
                + (
                    each.Count
                    * (
                        each.Notion.Length is not { } length ? Length.Zero
                        : !stretch && first.Key == "zip" ? Stock(length.Value, unit) ?? length.Value
                        : length.Value
                    )
                )
        );
        if (stretch)
            return first.Key == Making.Thread.Key ? new(Whole(total, Reel), null, null, null)
                : first.Key == Making.Thread.SergingKey ? new(Cones(total), null, null, null)
                : new(pieces, OffTheRoll(total, unit), null, null);
        decimal? All(Func<Notion, decimal?> of) =>
            like.All(each => of(each.Notion) is not null)
                ? like.Sum(each => each.Count * of(each.Notion)!.Value)
                : null;
        return new(pieces, total.IsPositive ? total : null, All(each => each.Litres), All(each => each.Kilograms));
    }

    // Each of the three threads runs off a cone of its own.
    private static long Cones(Length total) => 3 * Whole(total, 3 * Cone);

    /// <summary>Rounded up to what is cut off a roll: quarters of a yard, or tenths of a metre.</summary>
    public static Length OffTheRoll(Length total, JobUnit unit) =>
        total.UpTo(unit.IsInches() ? Length.Inches(9) : Length.Millimetres(100));

    /// <summary>The next stock length for teeth so long; null where only chain is so long.</summary>
    public static Length? Stock(Length teeth, JobUnit unit) =>
        (
            unit.IsInches()
                ? InchZips.Select(size => Length.Inches(size))
                : CentimetreZips.Select(size => Length.Millimetres(10 * size))
        )
            .Where(size => size >= teeth)
            .Select(size => (Length?)size)
            .FirstOrDefault();

    private static long Whole(Length total, Length each) => (total.Ticks + each.Ticks - 1) / each.Ticks;

    private static string MadeUp(IReadOnlyList<(Notion Notion, long Count)> zips, JobUnit unit) =>
        string.Join(
            ", ",
            zips.GroupBy(each => (Teeth: each.Notion.Length!.Value, Stock: Stock(each.Notion.Length.Value, unit)))
                .OrderByDescending(same => same.Key.Teeth)
                .Select(same =>
                {
                    var (count, teeth) = (same.Sum(each => each.Count), LengthPrinter.Cut(same.Key.Teeth, unit).Text);
                    var word = LengthPrinter.Word(unit);
                    return same.Key.Stock is not { } stock ? $"{count} x {teeth} {word}, off the chain"
                        : stock == same.Key.Teeth ? $"{count} x {teeth} {word}"
                        : $"{count} x {LengthPrinter.Finished(stock, unit).Text} {word}, shortened to {teeth}";
                })
        );

    // Each size by itself, the longest first; what has words for it is counted by those.
    private static string Sizes(IReadOnlyList<(Notion Notion, long Count)> like, JobUnit unit) =>
        string.Join(
            ", ",
            like.GroupBy(each => (Size: each.Notion.Length?.Value ?? Length.Zero, each.Notion.Amount))
                .OrderByDescending(same => same.Key.Size)
                .Select(same =>
                {
                    var count = same.Sum(each => each.Count);
                    return same.Key.Amount.Length > 0 ? $"{count} x {same.Key.Amount}"
                        : same.Key.Size.IsPositive
                            ? $"{count} x {LengthPrinter.Cut(same.Key.Size, unit).Text} {LengthPrinter.Word(unit)}"
                        : $"{count}";
                })
        );
}
