using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>The finished sizes of a box cover: plan width and length, and boxing depth.</summary>
internal sealed record FinishedBox(Working Width, Working Length, Working Depth);

/// <summary>How tight a box cover sits on its inner (craft §2).</summary>
internal static class EaseSchools
{
    internal static readonly OptionChoice<EaseSchool> School = Choice.Of(
        "ease",
        "How tight",
        Group,
        Option.Of(
            EaseSchool.Snug,
            "Snug on thickness",
            "For foam: the plan is exact and the boxing a little under the foam's thickness, so that it stands taut."
        ),
        Option.Of(EaseSchool.Exact, "Exact", "The cover is the size of the inner."),
        Option.Of(
            EaseSchool.Overcut,
            "Over-cut inner",
            "The cover fits the space; the foam is ordered larger and fills it out."
        ),
        Option.Of(
            EaseSchool.Soft,
            "Soft inner",
            "For feather, fibre or scraps: the cover is smaller than the inner in plan."
        ),
        Option.Of(EaseSchool.Loose, "Loose", "For covers pulled on and off: larger in plan."),
        Option.Of(
            EaseSchool.Pinfit,
            "Pin-fit",
            "Rough pieces, over in each direction, pinned and trimmed on the furniture in two passes."
        )
    );

    internal static readonly OptionChoice<WaddingWrap> WaddingRound = Choice
        .Of(
            "wadding",
            "Wadding round the foam",
            "Inner",
            Option.Of(WaddingWrap.None, "None", "The foam alone, or a dressed inner."),
            Option.Of(
                WaddingWrap.Front,
                "Round the front",
                "One sheet over the top, round the front and under: a soft front edge."
            ),
            Option.Of(WaddingWrap.Sides, "Round the front, and the sides", "Two pieces more, one for each side.")
        )
        .ToldToCustomer();

    internal static readonly OptionChoice<InnerSource> Inner = Choice
        .Of(
            "inner",
            "Inner",
            "Inner",
            Option.Of(
                InnerSource.Foam,
                "New foam",
                "Ordered as one block; none with the soft school, whose inner is no foam."
            ),
            Option.Of(
                InnerSource.Kept,
                "One that is there",
                "A mattress, the old cushion, a feather inner: no foam is listed."
            )
        )
        .ToldToCustomer();

    private const string Group = "Ease";

    internal static readonly LengthChoice SnugBy = Amount(
        "snugBy",
        "Boxing under the thickness by",
        EaseSchool.Snug,
        Length.Inches(0, 1, 4),
        6
    );

    internal static readonly LengthChoice SoftBy = Amount(
        "softBy",
        "Smaller in plan by",
        EaseSchool.Soft,
        Length.Inches(1, 1, 2),
        40
    );

    internal static readonly LengthChoice LooseBy = Amount(
        "looseBy",
        "Larger in plan by",
        EaseSchool.Loose,
        Length.Inches(0, 1, 2),
        15
    );

    internal static readonly LengthChoice PinBy = Amount(
        "pinBy",
        "Over in each direction by",
        EaseSchool.Pinfit,
        Length.Inches(2, 1, 2),
        65
    );

    internal static readonly LengthChoice OverSmall = Amount(
        "overSmall",
        "Foam larger by, up to 24 in",
        EaseSchool.Overcut,
        Length.Inches(0, 1, 2),
        12
    );

    internal static readonly LengthChoice OverLarge = Amount(
        "overLarge",
        "Foam larger by, above 24 in",
        EaseSchool.Overcut,
        Length.Inches(1),
        25
    );

    public static readonly IReadOnlyList<Choice> Choices =
    [
        School,
        Inner,
        WaddingRound,
        SnugBy,
        SoftBy,
        LooseBy,
        PinBy,
        OverSmall,
        OverLarge,
    ];

    /// <summary>
    /// Finished sizes of a rectangular cover by the school chosen. The space or inner measures <c>W x L x T</c>.
    /// </summary>
    public static FinishedBox Finished(Reading reading) =>
        new(
            InPlan(reading, reading[OutlineShapes.W], "cover W", "cover width"),
            InPlan(reading, reading[Bolster.L], "cover L", "cover length"),
            Depth(reading)
        );

    /// <summary>The boxing depth by the school chosen.</summary>
    public static Working Depth(Reading reading)
    {
        var t = reading[BoxCushion.T];
        return (
            reading.Chosen(School) switch
            {
                EaseSchool.Snug => t - Ease(reading, SnugBy),
                EaseSchool.Pinfit => t + Ease(reading, PinBy),
                _ => t,
            }
        ).As("D", "boxing depth");
    }

    /// <summary>The outline of the cover: the inner's, moved out or in by half the ease on every side.</summary>
    public static SeatOutline Outline(Reading reading)
    {
        var seat = OutlineShapes.Of(reading);
        if (AmountInPlan(reading) is not { } ease)
            return seat;
        if (reading.Chosen(OutlineShapes.Shape) is SeatShapeKind.Rectangle)
        {
            var box = Finished(reading);
            return RectangleShape.Of(box.Width, box.Length, reading.OrZero(OutlineShapes.CornerRadius));
        }
        return seat.Grown(ease / 2, inward: reading.Chosen(School) is EaseSchool.Soft);
    }

    private static Working? AmountInPlan(Reading reading) =>
        reading.Chosen(School) switch
        {
            EaseSchool.Soft => Ease(reading, SoftBy),
            EaseSchool.Loose => Ease(reading, LooseBy),
            EaseSchool.Pinfit => Ease(reading, PinBy),
            _ => null,
        };

    private static Working InPlan(Reading reading, Working size, string symbol, string name) =>
        AmountInPlan(reading) is not { } ease
            ? size
            : (reading.Chosen(School) is EaseSchool.Soft ? size - ease : size + ease).As(symbol, name);

    /// <summary>
    /// The foam to order: the inner as measured, or larger in plan where the school says so (craft §4.8).
    /// </summary>
    public static IReadOnlyList<(string Name, Working Working)> Foam(Reading reading)
    {
        if (reading.Chosen(School) is EaseSchool.Soft || reading.Chosen(Inner) is InnerSource.Kept)
            return [];
        var seat = OutlineShapes.Of(reading);
        return
        [
            ("foam width", Side(reading, seat.Width)),
            ("foam length", Side(reading, seat.Depth)),
            ("foam thickness", reading[BoxCushion.T]),
        ];
    }

    /// <summary>The wadding round the foam (craft §4.8): W x (2 L + D) round the front, L x D for each side.</summary>
    public static IEnumerable<Piece> Wadding(Reading reading)
    {
        if (reading.Chosen(WaddingRound) is WaddingWrap.None)
            yield break;
        var (seat, depth) = (OutlineShapes.Of(reading), reading[BoxCushion.T]);
        yield return Plain.Sheet(
            ClothRole.Wadding,
            "wadding",
            "wadding, round the front",
            seat.Width,
            (2 * seat.Depth) + depth,
            note: "Over the top, round the front and under."
        );
        if (reading.Chosen(WaddingRound) is WaddingWrap.Sides)
            yield return Plain.Sheet(ClothRole.Wadding, "wadding-side", "wadding, side", seat.Depth, depth, 2);
    }

    /// <summary>The stocking over foam and wadding (craft §4.8): L + D + 4 in.</summary>
    public static IEnumerable<Notion> Stocking(Reading reading) =>
        reading.Chosen(WaddingRound) is WaddingWrap.None
            ? []
            :
            [
                new(
                    "stocking",
                    "stocking",
                    OutlineShapes.Of(reading).Depth
                        + reading[BoxCushion.T]
                        + Working.Of("over", "to tie off", Length.Inches(4))
                ),
            ];

    private static Working Side(Reading reading, Working side) =>
        reading.Chosen(School) is EaseSchool.Overcut
            ? side + Ease(reading, side.Value <= Length.Inches(24) ? OverSmall : OverLarge)
            : side;

    private static Allowance Ease(Reading reading, LengthChoice amount) =>
        new("e", AllowanceRole.Ease, reading[amount]);

    private static LengthChoice Amount(
        string key,
        string name,
        EaseSchool school,
        Length inches,
        decimal millimetres
    ) =>
        Choice.OfLength(
            key,
            name,
            Group,
            inches,
            millimetres,
            new LengthLimits(Length.Zero, Length.Inches(6), "1/2", "1.5")
        ) with
        {
            ShownWhen = Condition.While(School, school),
            Learns = true,
        };
}

/// <summary>The answers to: How tight.</summary>
internal enum EaseSchool
{
    Snug,
    Exact,
    Overcut,
    Soft,
    Loose,
    Pinfit,
}

/// <summary>The answers to: Wadding round the foam.</summary>
internal enum WaddingWrap
{
    None,
    Front,
    Sides,
}

/// <summary>The answers to: Inner.</summary>
internal enum InnerSource
{
    Foam,
    Kept,
}
