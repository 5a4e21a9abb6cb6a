using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// The base of a sofa in three throw-on sheets: one over each arm, one over seat and front (craft §6.3). Its cushions
/// are items of their own.
/// </summary>
public sealed class SofaBase : MakeUp
{
    internal static readonly LengthChoice Round = Choice.OfLength(
        "round",
        "Round the arm front and the back",
        "Arms",
        Length.Inches(4),
        100,
        LengthLimits.UpTo(24, "4", "10", zero: true)
    ) with
    {
        Note = "What each arm sheet has over its length to go round both ends.",
    };

    internal static readonly AllowanceDeclaration Hem = EdgeAllowances.Hem(
        "h",
        "Hem",
        Length.Inches(1),
        Length.Millimetres(25)
    );

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Between the arms, along the crevice.",
        LengthLimits.Item,
        Usual: Length.Inches(60)
    );

    internal static readonly Measure S = new Measure(
        "S",
        "seat",
        "From the back crevice to the front edge, over the deck.",
        LengthLimits.Item,
        Usual: Length.Inches(22)
    );

    internal static readonly Measure F = new Measure(
        "F",
        "front",
        "From the front edge down to the hem line.",
        LengthLimits.Item,
        Usual: Length.Inches(16)
    );

    internal static readonly Measure A = new Measure(
        "A",
        "over the arm",
        "From the seat crevice up, over the arm and down to the hem line.",
        LengthLimits.Item,
        Usual: Length.Inches(34)
    );

    internal static readonly Measure M = new Measure(
        "M",
        "arm",
        "Along the arm from its front edge to the back.",
        LengthLimits.Item,
        Usual: Length.Inches(34)
    );

    internal static readonly Measure C = new Measure(
        "C",
        "crevice",
        "How deep a hand goes down between seat and arm.",
        LengthLimits.UpTo(24, "5", "12"),
        Usual: Length.Inches(5)
    ) with
    {
        FitsInside = true,
    };

    /// <inheritdoc/>
    public override string Key => "sofa-base";

    /// <inheritdoc/>
    public override string Name => "Three throw-on sheets";

    /// <inheritdoc/>
    public override string Family => "Sofa base";

    /// <inheritdoc/>
    public override string Suits =>
        "Under loose cushions: a sheet over each arm and one over seat and front, tucked into the crevices. Add each cushion as an item of its own.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, S, F, A, M, C, TuckIn.Used];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Round, GrainChoices.Panels.StartingWith(Grain.Across)];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [Hem];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        return SeatSketch.Of(
            new(
                reading.Drawn(W),
                reading.Drawn(S),
                reading.Drawn(F),
                Length.Max(Length.Inches(3), (reading.Drawn(A) - reading.Drawn(F)).Over(3)),
                Length.Inches(7),
                reading.Drawn(M).Over(3)
            ),
            new()
            {
                [W] = SeatLine.Width,
                [S] = SeatLine.Seat,
                [F] = SeatLine.Front,
                [A] = SeatLine.OverArm,
                [M] = SeatLine.Arm,
                [C] = SeatLine.Crevice,
                [TuckIn.Used] = SeatLine.Tuck,
            }
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading) => TuckIn.Check(reading, C);

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var tuck = TuckIn.Of(reading, C);
        Working HemOf(string piece, string edge) => reading.EdgeAllowance(Hem, piece, edge);
        var round = new Allowance("round", AllowanceRole.Ease, reading[Round]);
        var grain = reading.Chosen(GrainChoices.Panels);
        // Tuck-ins lie only along crevices: the seat's back and sides, and the lower edge of the arms.
        var seat = Plain.Rectangle(
            "seat",
            "seat and front sheet",
            1,
            reading[W],
            reading[S] + reading[F],
            edge => edge == "lower" ? HemOf("seat", edge) : tuck + HemOf("seat", edge)
        );
        var arm = Plain.Rectangle(
            "arm",
            "arm sheet",
            2,
            reading[M] + round,
            reading[A],
            edge => edge == "upper" ? tuck + HemOf("arm", edge) : HemOf("arm", edge)
        );
        Piece[] pieces =
        [
            seat with
            {
                Grain = grain,
                Note =
                    "Cut the tuck-in towards the crevice's end at the front and snip it, so that the cloth turns flat.",
                Lies = new(
                    -reading[W].Value.Over(2),
                    Length.Zero,
                    Length.Zero,
                    OverSide: false,
                    [(reading[F].Value, Going.Up), (reading[S].Value, Going.Back)]
                ),
                Lines = [new("fold", new(Length.Zero, reading[F].Value), new(reading[W].Value, reading[F].Value))],
            },
            arm with
            {
                Grain = grain,
                TurnedOver = true,
                Lies = OverArm(reading),
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
                    Plain
                        .Unsewn(EdgeUse.Hem, piece.Key, piece.Quantity, Plain.Sides)
                        .Select(use =>
                            use with
                            {
                                Run = use.Run with { Drafted = piece.Stitch.LengthOf(use.Run.Edge) },
                            }
                        )
                ),
            ],
            Finished = [("tuck-in", tuck), ("seat and front", reading[S] + reading[F]), ("over the arm", reading[A])],
            Steps =
            [
                Step.Cutting("Cut the three sheets."),
                Step.Of(StepKind.Hemming, "Hem every edge."),
                Step.Of(
                    StepKind.Pinning,
                    "Throw the arm sheets on, tuck them down the crevices, fold their ends round the arm fronts and pin."
                ),
                Step.Of(
                    StepKind.Pinning,
                    "Lay the seat sheet over seat and front and tuck it in at the back and both sides."
                ),
                Step.Of(StepKind.Turning, "Put the cushions back: left and right are mirrored."),
            ],
            Remarks = [Cautions.OldFurniture],
        };
    }

    // From the hem up the outside, over the arm, and down to the seat; how wide the arm is was not measured, so it is taken
    // to be as it is sketched.
    private static Lying OverArm(Reading reading)
    {
        var (over, front) = (reading[A].Value, reading[F].Value);
        var wide = Length.Max(Length.Inches(3), (over - front).Over(3));
        var up = Length.Max(Length.Inches(1), (over + front - wide).Over(2));
        return new(
            reading[W].Value.Over(2) + wide,
            -reading[Round].Over(2),
            Length.Zero,
            OverSide: true,
            [(up, Going.Up), (wide, Going.Inward), (over - up - wide, Going.Down)]
        );
    }
}
