using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>The base of a sofa in three throw-on sheets: one over each arm, one over seat and front (handbook §6.3). Its cushions are items of their own.</summary>
public sealed class SofaBase : MakeUp
{
    /// <inheritdoc/>
    public override string Key => "sofa-base";

    /// <inheritdoc/>
    public override string Name => "Three throw-on sheets";

    /// <inheritdoc/>
    public override string Family => "Sofa base";

    /// <inheritdoc/>
    public override string When =>
        "Under loose cushions: a sheet over each arm and one over seat and front, tucked into the crevices. Add each cushion as an item of its own.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        new("W", "width", "Between the arms, along the crevice.", LengthLimits.Item),
        new("S", "seat", "From the back crevice to the front edge, over the deck.", LengthLimits.Item),
        new("F", "front", "From the front edge down to the hem line.", LengthLimits.Item),
        new("A", "over the arm", "From the seat crevice up, over the arm and down to the hem line.", LengthLimits.Item),
        new("M", "arm", "Along the arm from its front edge to the back.", LengthLimits.Item),
        new Measure("C", "crevice", "How deep a hand goes down between seat and arm.", Usual.UpTo(24, "5", "12")) with
        {
            FitsInside = true,
        },
        new(
            "t",
            "tuck-in used",
            "Only to use another depth than three fifths of the crevice, at most 3 in (7.5 cm).",
            Usual.UpTo(24, "3", "7.5"),
            Optional: true
        ),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Choice.OfLength(
            "round",
            "Round the arm front and the back",
            "Arms",
            Length.Inches(4),
            100,
            Usual.UpTo(24, "4", "10", zero: true)
        ) with
        {
            Note = "What each arm sheet has over its length to go round both ends.",
        },
        Usual.PanelGrain,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } =
    [new("h", "Hem", AllowanceRole.Hem, Length.Inches(1), Length.Millimetres(25))];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        Length Or(string key, int inches) => reading.Known(key) ?? Length.Inches(inches);
        return SeatSketch.Of(
            new(
                Or("W", 60),
                Or("S", 22),
                Or("F", 16),
                Length.Max(Length.Inches(3), (Or("A", 34) - Or("F", 16)).Over(3)),
                Length.Inches(7),
                Or("M", 34).Over(3)
            ),
            new()
            {
                ["W"] = SeatLine.Width,
                ["S"] = SeatLine.Seat,
                ["F"] = SeatLine.Front,
                ["A"] = SeatLine.OverArm,
                ["M"] = SeatLine.Arm,
                ["C"] = SeatLine.Crevice,
                ["t"] = SeatLine.Tuck,
            }
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading) => TuckIn.Check(reading);

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var tuck = TuckIn.Of(reading);
        Working Hem(string piece, string edge) => reading.EdgeAllowance("h", piece, edge);
        var round = new Allowance("round", AllowanceRole.Ease, reading.Choice("round"));
        var grain = Usual.GrainOf(reading.Option("panelGrain"));
        // Tuck-ins lie only along crevices: the seat's back and sides, and the lower edge of the arms.
        var seat = Usual.Rectangle(
            "seat",
            "seat and front sheet",
            1,
            reading.Measure("W"),
            reading.Measure("S") + reading.Measure("F"),
            edge => edge == "lower" ? Hem("seat", edge) : tuck + Hem("seat", edge)
        );
        var arm = Usual.Rectangle(
            "arm",
            "arm sheet",
            2,
            reading.Measure("M") + round,
            reading.Measure("A"),
            edge => edge == "upper" ? tuck + Hem("arm", edge) : Hem("arm", edge)
        );
        Piece[] pieces =
        [
            seat with
            {
                Grain = grain,
                Note =
                    "Cut the tuck-in towards the crevice's end at the front and snip it, so that the cloth turns flat.",
                Lines =
                [
                    new(
                        "fold",
                        new(Length.Zero, reading.Measure("F").Value),
                        new(reading.Measure("W").Value, reading.Measure("F").Value)
                    ),
                ],
            },
            arm with
            {
                Grain = grain,
                TurnedOver = true,
                Note = "Left and right.",
            },
        ];
        return new Pattern
        {
            Pieces = pieces,
            Seams = [],
            Uses =
            [
                .. pieces.SelectMany(piece =>
                    Usual
                        .Left(EdgeUse.Hem, piece.Key, piece.Quantity, Usual.Sides)
                        .Select(use =>
                            use with
                            {
                                Run = use.Run with { Drafted = piece.Stitch.LengthOf(use.Run.Edge) },
                            }
                        )
                ),
            ],
            Finished =
            [
                ("tuck-in", tuck),
                ("seat and front", reading.Measure("S") + reading.Measure("F")),
                ("over the arm", reading.Measure("A")),
            ],
            Notions = [],
            Steps =
            [
                new("Cut the three sheets; hem every edge.", []),
                new(
                    "Throw the arm sheets on, tuck them down the crevices, fold their ends round the arm fronts and pin.",
                    []
                ),
                new("Lay the seat sheet over seat and front and tuck it in at the back and both sides.", []),
                new("Put the cushions back: left and right are mirrored.", []),
            ],
            Remarks = [Usual.Blades, Usual.OldFurniture],
        };
    }
}
