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

/// <summary>How tight a box cover sits on its inner (handbook §2).</summary>
internal static class EaseSchools
{
    private const string Group = "Ease";

    public static readonly IReadOnlyList<Choice> Choices =
    [
        Choice.Of(
            "ease",
            "How tight",
            Group,
            new Option(
                "snug",
                "Snug on thickness",
                "For foam: the plan is exact and the boxing a little under the foam's thickness, so that it stands taut."
            ),
            new Option("exact", "Exact", "The cover is the size of the inner."),
            new Option(
                "overcut",
                "Over-cut inner",
                "The cover fits the space; the foam is ordered larger and fills it out."
            ),
            new Option(
                "soft",
                "Soft inner",
                "For feather, fibre or scraps: the cover is smaller than the inner in plan."
            ),
            new Option("loose", "Loose", "For covers pulled on and off: larger in plan."),
            new Option(
                "pinfit",
                "Pin-fit",
                "Rough pieces, over in each direction, pinned and trimmed on the furniture in two passes."
            )
        ),
        Choice.Of(
            "wadding",
            "Wadding round the foam",
            "Inner",
            new Option("none", "None", "The foam alone, or a dressed inner."),
            new Option(
                "front",
                "Round the front",
                "One sheet over the top, round the front and under: a soft front edge."
            ),
            new Option("sides", "Round the front, and the sides", "Two pieces more, one for each side.")
        ),
        Amount("snugBy", "Boxing under the thickness by", "snug", Length.Inches(0, 1, 4), 6),
        Amount("softBy", "Smaller in plan by", "soft", Length.Inches(1, 1, 2), 40),
        Amount("looseBy", "Larger in plan by", "loose", Length.Inches(0, 1, 2), 15),
        Amount("pinBy", "Over in each direction by", "pinfit", Length.Inches(2, 1, 2), 65),
        Amount("overSmall", "Foam larger by, up to 24 in", "overcut", Length.Inches(0, 1, 2), 12),
        Amount("overLarge", "Foam larger by, above 24 in", "overcut", Length.Inches(1), 25),
    ];

    /// <summary>Finished sizes of a rectangular cover by the school chosen. The space or inner measures <c>W x L x T</c>.</summary>
    public static FinishedBox Finished(Reading reading) =>
        new(
            InPlan(reading, reading.Measure("W"), "cover W", "cover width"),
            InPlan(reading, reading.Measure("L"), "cover L", "cover length"),
            Depth(reading)
        );

    /// <summary>The boxing depth by the school chosen.</summary>
    public static Working Depth(Reading reading)
    {
        var t = reading.Measure("T");
        return (
            reading.Option("ease") switch
            {
                "snug" => t - Ease(reading, "snugBy"),
                "pinfit" => t + Ease(reading, "pinBy"),
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
        if (reading.Chosen("shape", "rectangle"))
        {
            var box = Finished(reading);
            return RectangleShape.Of(box.Width, box.Length, reading.MeasureOrZero("r"));
        }
        return seat.Grown(ease / 2, inward: reading.Chosen("ease", "soft"));
    }

    private static Working? AmountInPlan(Reading reading) =>
        reading.Option("ease") switch
        {
            "soft" => Ease(reading, "softBy"),
            "loose" => Ease(reading, "looseBy"),
            "pinfit" => Ease(reading, "pinBy"),
            _ => null,
        };

    private static Working InPlan(Reading reading, Working size, string symbol, string name) =>
        AmountInPlan(reading) is not { } ease
            ? size
            : (reading.Chosen("ease", "soft") ? size - ease : size + ease).As(symbol, name);

    /// <summary>The foam to order: the inner as measured, or larger in plan where the school says so (handbook §4.8).</summary>
    public static IReadOnlyList<(string Name, Working Working)> Foam(Reading reading)
    {
        var seat = OutlineShapes.Of(reading);
        return
        [
            ("foam width", Side(reading, seat.Width)),
            ("foam length", Side(reading, seat.Depth)),
            ("foam thickness", reading.Measure("T")),
        ];
    }

    /// <summary>The wadding round the foam (handbook §4.8): W x (2 L + D) round the front, L x D for each side.</summary>
    public static IEnumerable<Piece> Wadding(Reading reading)
    {
        if (reading.Chosen("wadding", "none"))
            yield break;
        var (seat, depth) = (OutlineShapes.Of(reading), reading.Measure("T"));
        yield return Usual.Sheet(
            ClothRole.Wadding,
            "wadding",
            "wadding, round the front",
            seat.Width,
            (2 * seat.Depth) + depth,
            note: "Over the top, round the front and under."
        );
        if (reading.Chosen("wadding", "sides"))
            yield return Usual.Sheet(ClothRole.Wadding, "wadding-side", "wadding, side", seat.Depth, depth, 2);
    }

    /// <summary>The stocking over foam and wadding (handbook §4.8): L + D + 4 in.</summary>
    public static IEnumerable<Notion> Stocking(Reading reading) =>
        reading.Chosen("wadding", "none")
            ? []
            :
            [
                new(
                    "stocking",
                    "stocking",
                    OutlineShapes.Of(reading).Depth
                        + reading.Measure("T")
                        + Working.Of("over", "to tie off", Length.Inches(4))
                ),
            ];

    private static Working Side(Reading reading, Working side) =>
        reading.Chosen("ease", "overcut")
            ? side + Ease(reading, side.Value <= Length.Inches(24) ? "overSmall" : "overLarge")
            : side;

    private static Allowance Ease(Reading reading, string choice) =>
        new("e", AllowanceRole.Ease, reading.Choice(choice));

    private static Choice Amount(string key, string name, string school, Length inches, decimal millimetres) =>
        Choice.OfLength(
            key,
            name,
            Group,
            inches,
            millimetres,
            new LengthLimits(Length.Zero, Length.Inches(6), "1/2", "1.5")
        ) with
        {
            ShownWhen = new Condition("ease", [school]),
        };
}
