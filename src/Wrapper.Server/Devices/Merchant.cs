using System.Globalization;
using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Merchants;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Devices;

/// <summary>How a merchant answers.</summary>
[JsonConverter(typeof(ByName<MerchantIs>))]
public enum MerchantIs
{
    /// <summary>Switched off.</summary>
    [JsonStringEnumMemberName("off")]
    Off,

    /// <summary>At once.</summary>
    [JsonStringEnumMemberName("open")]
    Open,

    /// <summary>After a while that is longer than anybody waits.</summary>
    [JsonStringEnumMemberName("slow")]
    Slow,

    /// <summary>Not at all.</summary>
    [JsonStringEnumMemberName("down")]
    Down,
}

/// <summary>How the next delivery comes.</summary>
[JsonConverter(typeof(ByName<NextDelivery>))]
public enum NextDelivery
{
    /// <summary>All that is missing, as it was ordered.</summary>
    [JsonStringEnumMemberName("whole")]
    Whole,

    /// <summary>Half of what is missing.</summary>
    [JsonStringEnumMemberName("part")]
    Part,

    /// <summary>From another batch than was promised.</summary>
    [JsonStringEnumMemberName("other-batch")]
    OtherBatch,

    /// <summary>Narrower than it was ordered.</summary>
    [JsonStringEnumMemberName("wrong-width")]
    WrongWidth,
}

/// <summary>So much of one batch.</summary>
internal sealed record Batch(string Name, Length Length);

/// <summary>A cloth in a merchant's catalogue; its price is for a yard, in smallest units of the workroom's currency.</summary>
internal sealed record Article(
    string Key,
    string Name,
    Length Width,
    Length RepeatAlong,
    Length RepeatAcross,
    ClothPrint Print,
    string Tone,
    string Second,
    long PriceAYard,
    Length Step,
    int Days,
    IReadOnlyList<Batch> Batches
);

/// <summary>What a merchant says to a length of an article: from which one batch, null where none has so much, and the most that one has.</summary>
internal sealed record Availability(string? Batch, Length Most, Length Length);

/// <summary>Somebody who sells cloth.</summary>
internal interface IMerchant
{
    /// <summary>What is to be had.</summary>
    IReadOnlyList<Article> Catalogue { get; }

    /// <summary>Whether so much of an article is there, up to the next step that is cut.</summary>
    Availability Check(Article article, Length length);

    /// <summary>Puts cloth aside, or sends it; null where it is not there.</summary>
    ClothOrder? Place(string id, Article article, Length length, string job, string cloth, bool reserve);
}

/// <summary>The stand-in for a cloth merchant. What was ordered is kept; what is left of a batch follows from it.</summary>
internal sealed class Merchant(OrderStore store, TimeProvider clock) : IMerchant
{
    private static readonly Length Yard = Length.Inches(36),
        Narrower = Length.Inches(4);

    private readonly Lock gate = new();

    /// <summary>How it answers.</summary>
    public MerchantIs Is { get; private set; }

    /// <summary>How the next delivery comes.</summary>
    public NextDelivery Next { get; private set; }

    /// <summary>Whether its shelves are empty.</summary>
    public bool IsSoldOut { get; private set; }

    /// <inheritdoc/>
    public IReadOnlyList<Article> Catalogue { get; } =
    [
        Of(
            "heather-twill",
            "Heather twill",
            54,
            0,
            0,
            ClothPrint.Herringbone,
            "#6f7d8c",
            "#8d99a5",
            3850,
            4,
            ("HT 204", 22),
            ("HT 207", 9)
        ),
        Of("moss-velvet", "Moss velvet", 56, 0, 0, ClothPrint.Plain, "#4c6b4a", "", 4600, 6, ("MV 31", 14)),
        Of(
            "ferry-stripe",
            "Ferry stripe",
            54,
            0,
            3,
            ClothPrint.Stripe,
            "#e6dcc4",
            "#4a6076",
            3200,
            3,
            ("FS 118", 40),
            ("FS 121", 35)
        ),
        Of(
            "lantern-sprig",
            "Lantern sprig",
            55,
            24,
            18,
            ClothPrint.Sprig,
            "#f0e7d6",
            "#8a4b3a",
            5200,
            10,
            ("LS 9", 18)
        ),
        Of(
            "cellar-ticking",
            "Cellar ticking",
            60,
            0,
            2,
            ClothPrint.Stripe,
            "#efe9dc",
            "#5b5b5b",
            1450,
            2,
            ("CT 77", 60)
        ),
    ];

    /// <summary>Says how it answers and how its next delivery comes.</summary>
    public void Set(MerchantIs answers, NextDelivery next, bool soldOut)
    {
        lock (gate)
            (Is, Next, IsSoldOut) = (answers, next, soldOut);
    }

    /// <summary>Every order, the latest first.</summary>
    public IReadOnlyList<ClothOrder> Orders() =>
        [.. store.List().Select(KeptJson.Read<ClothOrder>).OfType<ClothOrder>()];

    /// <summary>What is left of each batch of an article, beside what is ordered or put aside.</summary>
    public IReadOnlyList<Batch> Left(Article article)
    {
        var taken = Orders()
            .Where(order => order.Article == article.Key)
            .ToLookup(order => order.Batch, order => order.Length);
        return
        [
            .. article.Batches.Select(batch =>
                batch with
                {
                    Length = IsSoldOut
                        ? Length.Zero
                        : Length.Max(Length.Zero, batch.Length - new Length(taken[batch.Name].Sum())),
                }
            ),
        ];
    }

    /// <inheritdoc/>
    public Availability Check(Article article, Length length)
    {
        var cut = Cut(article, length);
        var left = Left(article);
        // The batch with the least that is enough: large ones stay whole.
        var batch = left.Where(each => each.Length >= cut).MinBy(each => each.Length);
        return new(batch?.Name, left.Max(each => each.Length), cut);
    }

    /// <inheritdoc/>
    public ClothOrder? Place(string id, Article article, Length length, string job, string cloth, bool reserve)
    {
        lock (gate)
        {
            // The same request twice is one order.
            if (Orders().FirstOrDefault(order => order.Id == id) is { } known)
                return known;
            if (Check(article, length) is not { Batch: { } batch, Length: var cut })
                return null;
            var today = clock.GetLocalNow();
            return Keep(
                new(
                    id,
                    article.Key,
                    article.Name,
                    job,
                    cloth,
                    cut.Ticks,
                    article.Width.Ticks,
                    batch,
                    Day(today),
                    Day(today.AddDays(article.Days)),
                    reserve
                )
            );
        }
    }

    /// <summary>Has what was put aside sent; null where it was not.</summary>
    public ClothOrder? Send(string id)
    {
        lock (gate)
            return Orders().FirstOrDefault(order => order.Id == id) is { IsReserved: true } order
                ? Keep(order with { IsReserved = false })
                : null;
    }

    /// <summary>Gives back what was put aside; false where it was ordered, or is not there.</summary>
    public bool GiveBack(string id)
    {
        lock (gate)
            return Orders().Any(order => order.Id == id && order.IsReserved) && store.Remove(id);
    }

    /// <summary>The van comes: each order that is open gets its next delivery, as it was said that it comes.</summary>
    public void Deliver()
    {
        lock (gate)
            foreach (
                var (order, article) in Orders()
                    .Where(order => !order.IsReserved && !order.IsWhole)
                    // What is no longer sold does not come.
                    .Join(
                        Catalogue,
                        order => order.Article,
                        article => article.Key,
                        (order, article) => (order, article)
                    )
            )
            {
                var length = Next == NextDelivery.Part ? Half(order.Missing, article.Step) : order.Missing;
                var batch = Next == NextDelivery.OtherBatch ? $"{order.Batch} B" : order.Batch;
                var width = new Length(order.Width) - (Next == NextDelivery.WrongWidth ? Narrower : Length.Zero);
                Keep(
                    order with
                    {
                        Came =
                        [
                            .. order.Came,
                            new(
                                $"{order.Id}-{order.Came.Count + 1}",
                                length.Ticks,
                                width.Ticks,
                                batch,
                                Day(clock.GetLocalNow())
                            ),
                        ],
                    }
                );
            }
    }

    private static Length Half(Length missing, Length step) => Length.Min(missing, Cut(missing.Over(2), step));

    private static Length Cut(Article article, Length length) => Cut(length, article.Step);

    // Up to the next step that the shop cuts.
    private static Length Cut(Length length, Length step) => (length.Ticks + step.Ticks - 1) / step.Ticks * step;

    private ClothOrder Keep(ClothOrder order)
    {
        store.Keep(order.Id, order.PlacedOn, KeptJson.Write(order));
        return order;
    }

    private static string Day(DateTimeOffset at) => at.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static Article Of(
        string key,
        string name,
        int width,
        int along,
        int across,
        ClothPrint print,
        string tone,
        string second,
        long price,
        int days,
        params (string Name, int Yards)[] batches
    ) =>
        new(
            key,
            name,
            Length.Inches(width),
            Length.Inches(along),
            Length.Inches(across),
            print,
            tone,
            second,
            price,
            Yard.Over(8),
            days,
            [.. batches.Select(batch => new Batch(batch.Name, batch.Yards * Yard))]
        );
}
