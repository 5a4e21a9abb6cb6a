using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Tables;

/// <content>What a cap over a work table measures, and what can be chosen.</content>
public sealed partial class ElasticCap
{
    internal static readonly CountChoice Obstacles = Choice.OfCount(
        "obstacles",
        "Obstacles under an edge",
        "Obstacles",
        0,
        0,
        MostObstacles
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<SheetCorners> Corners = Choice.Of(
        "corners",
        "Corners",
        "Corners",
        Option.Of(
            SheetCorners.Squared,
            "Squared",
            "Sewn by the corner rule; where overhangs differ the longer side slopes down to the smaller."
        ),
        Option.Of(
            SheetCorners.SquareDrop,
            "Square = drop",
            "The whole drop is cut out, raw edge included: the top finishes two seam allowances smaller each way. Snug over a pad, wrong for a bare board."
        ),
        Option.Of(
            SheetCorners.Rounded,
            "Rounded",
            "One smooth curve from hem to hem, no seam: the elastic draws it in."
        )
    );

    internal static readonly CountChoice Pads = Choice.OfCount("pads", "Pad layers on top", "Pad", 0, 0, MostPads);

    internal static readonly CountChoice Turns = Choice.OfCount("turns", "Wadding wrapped, turns", "Pad", 0, 0, 4) with
    {
        Note = "Round the board from side to side: adds its thickness above, below and at both ends.",
    };

    internal static readonly LengthChoice Wadding = Choice
        .OfLength("wadding", "Wadding, thickness", "Pad", Length.Inches(0, 1, 4), 6, LengthLimits.UpTo(3, "1/4", "0.6"))
        .AskedWhenAtLeast(Turns, 1);

    internal static readonly OptionChoice<BarrierPlace> Barrier = Choice.Of(
        "barrier",
        "Moisture barrier",
        "Pad",
        Option.Of(BarrierPlace.None, "None", "For dry work."),
        Option.Of(BarrierPlace.Under, "Under the wadding", "For pressing with steam: keeps the board dry.")
    );

    internal static readonly OptionChoice<HoldSchool> Hold = Choice
        .Of(
            "hold",
            "Held by",
            "Elastic",
            Option.Of(HoldSchool.Elastic, "Elastic", "Grips by itself."),
            Option.Of(
                HoldSchool.Drawstring,
                "A drawstring in a casing",
                "Pulled tight and tied beneath; the drawcord is 12 in (30 cm) longer than the edge."
            )
        )
        .ToldToCustomer();

    internal static readonly OptionChoice<DrawnBy> Drawstring = Choice
        .Of(
            "drawnBy",
            "Drawstring",
            "Elastic",
            Option.Of(DrawnBy.Cord, "Bought drawcord", "By the yard or metre."),
            Option.Of(
                DrawnBy.OwnCloth,
                "A strip of the cover's own cloth",
                "Cut four times as wide, folded twice and sewn down."
            )
        )
        .AskedWhen(Hold, HoldSchool.Drawstring);

    internal static readonly LengthChoice StringWidth = Choice
        .OfLength(
            "stringWidth",
            "Drawstring, finished width",
            "Elastic",
            Length.Inches(0, 1, 2),
            12,
            LengthLimits.UpTo(3, "1/2", "1.2")
        )
        .AskedWhen(Drawstring, DrawnBy.OwnCloth);

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Of the board, along its longer side.",
        LengthLimits.Item,
        Usual: Length.Inches(48)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "depth",
        "Of the board, front to back.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    );

    internal static readonly Measure T = new Measure(
        "T",
        "board",
        "Thickness of the bare board at its edge.",
        LengthLimits.UpTo(24, "3/4", "2"),
        Usual: Length.Inches(1)
    );

    private const int MostObstacles = 3,
        MostPads = 3;

    // One for each side, in the order of CapSheet.Sides.
    private static readonly LengthChoice[] Overhang =
    [
        .. CapSheet.Sides.Select(side =>
            Choice.OfLength(
                $"{side}Over",
                $"Overhang, {side}",
                "Overhang",
                Length.Inches(3, 1, 2),
                90,
                LengthLimits.UpTo(24, "3 1/2", "9")
            ) with
            {
                Adjustable = Length.Inches(0, 1, 2),
                Note = "Below the board's lower edge, to the hem line.",
            }
        ),
    ];

    private static readonly OptionChoice<BoardSide>[] ObstacleSide = Numbered(
        MostObstacles,
        n =>
            Choice
                .Of(
                    $"side{n}",
                    $"Obstacle {n} is at the",
                    "Obstacles",
                    Option.Of(BoardSide.Front, "Front", "Under the front edge."),
                    Option.Of(BoardSide.Right, "Right", "Under the right edge."),
                    Option.Of(BoardSide.Back, "Back", "Under the back edge."),
                    Option.Of(BoardSide.Left, "Left", "Under the left edge.")
                )
                .AskedWhenAtLeast(Obstacles, n) with
            {
                OnMeasure = true,
            }
    );

    private static readonly LengthChoice[] Clear = Numbered(
        MostObstacles,
        n =>
            Choice
                .OfLength(
                    $"clear{n}",
                    $"Overhang over obstacle {n}",
                    "Obstacles",
                    Length.Inches(1),
                    25,
                    LengthLimits.UpTo(24, "1", "2.5", zero: true)
                )
                .AskedWhenAtLeast(Obstacles, n)
    );

    private static readonly LengthChoice[] PadLayer = Numbered(
        MostPads,
        n =>
            Choice
                .OfLength(
                    $"pad{n}",
                    $"Layer {n}, thickness",
                    "Pad",
                    Length.Inches(0, 1, 2),
                    12,
                    LengthLimits.UpTo(6, "1/2", "1.2")
                )
                .AskedWhenAtLeast(Pads, n)
    );

    private static readonly Measure[] ToObstacle = Numbered(
        MostObstacles,
        n =>
            new Measure(
                $"x{n}",
                $"to obstacle {n}",
                "Facing that side: from its left end to where the obstacle begins.",
                LengthLimits.UpTo(600, "12", "30", zero: true),
                Usual: Length.Inches((14 * n) - 8)
            ).AskedWhenAtLeast(Obstacles, n)
    );

    private static readonly Measure[] ObstacleWidth = Numbered(
        MostObstacles,
        n =>
            new Measure(
                $"y{n}",
                $"obstacle {n}, width",
                "Along the edge, with room for a hand.",
                LengthLimits.UpTo(600, "6", "15"),
                Usual: Length.Inches(4)
            ).AskedWhenAtLeast(Obstacles, n)
    );
}

/// <summary>The answers to: Corners.</summary>
internal enum SheetCorners
{
    Squared,
    SquareDrop,
    Rounded,
}

/// <summary>The answers to: Moisture barrier.</summary>
internal enum BarrierPlace
{
    None,
    Under,
}

/// <summary>The answers to: Drawstring.</summary>
internal enum DrawnBy
{
    Cord,
    OwnCloth,
}

/// <summary>The answers to: Held by.</summary>
internal enum HoldSchool
{
    Elastic,
    Drawstring,
}

/// <summary>The sides of a board, in the order of <see cref="CapSheet.Sides"/>.</summary>
internal enum BoardSide
{
    Front,
    Right,
    Back,
    Left,
}
