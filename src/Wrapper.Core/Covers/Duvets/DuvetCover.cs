using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Duvets;

/// <summary>
/// A duvet cover of two faces, each in one width or joined of several, or with a ready-made sheet as its back; closed
/// at the foot (craft §8).
/// </summary>
public sealed class DuvetCover : MakeUp
{
    internal static readonly OptionChoice<DuvetBack> Back = Choice.Of(
        "back",
        "Back",
        "Faces",
        Option.Of(DuvetBack.Cloth, "Of cloth", "Like the front, or of a second cloth."),
        Option.Of(
            DuvetBack.Sheet,
            "A ready-made sheet",
            "Its finished edges stay; the front is made to its washed width."
        )
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly CountChoice Ties = Choice.OfCount("ties", "Ties inside", "Inside", 4, 0, 12) with
    {
        Note = "18 in (45 cm) each, folded at the middle and sewn into the corners.",
    };

    internal static readonly LengthChoice TieLength = Choice
        .OfLength(
            "tieLength",
            "Length of each tie",
            "Inside",
            Length.Inches(18),
            450,
            LengthLimits.UpTo(60, "18", "45")
        )
        .AskedWhenAtLeast(Ties, 1) with
    {
        Note = "Folded at the middle.",
    };

    internal static readonly OptionChoice<HandSlots> Slots = Choice
        .Of(
            "slots",
            "Hand slots near the top",
            "Inside",
            Option.Of(HandSlots.None, "None", "The duvet goes in from the foot."),
            Option.Of(
                HandSlots.Both,
                "In both sides",
                "7 in (18 cm) long, from 3 in (7.5 cm) below the corner: reach in and pull the corners up."
            )
        )
        .ToldToCustomer();

    internal static readonly AllowanceDeclaration FirstFold = EdgeAllowances.Hem(
        "h1",
        "Hem, first fold",
        Length.Inches(1, 1, 2),
        Length.Millimetres(40),
        Length.Inches(0, 1, 2)
    );

    internal static readonly AllowanceDeclaration SecondFold = EdgeAllowances.Hem(
        "h2",
        "Hem, second fold",
        Length.Inches(1, 1, 2),
        Length.Millimetres(40),
        Length.Inches(0, 1, 2)
    );

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Of the duvet, side to side, laid flat and not stretched.",
        LengthLimits.Item,
        Usual: Length.Inches(76)
    )
    {
        Adjustable = Length.Inches(2),
    }.AskedWhen(Back, DuvetBack.Cloth);

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "Of the duvet, from top to foot.",
        LengthLimits.Item,
        Usual: Length.Inches(84)
    )
    {
        Adjustable = Length.Inches(2),
    };

    internal static readonly Measure Y = new Measure(
        "Y",
        "sheet width",
        "Of the ready-made sheet, washed and pressed, from edge to edge.",
        LengthLimits.Item,
        Usual: Length.Inches(80)
    ).AskedWhen(Back, DuvetBack.Sheet);

    /// <inheritdoc/>
    public override string Key => "duvet-cover";

    /// <inheritdoc/>
    public override string Name => "Duvet cover";

    /// <inheritdoc/>
    public override string Family => "Duvet";

    /// <inheritdoc/>
    public override Length Tolerance => Length.Inches(1);

    /// <inheritdoc/>
    public override string Suits =>
        "Any size from any width: wide cloth whole, narrower cloth as a centre with equal sides, or a ready-made sheet behind.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L, Y];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [Back, .. Closing.Choices, Ties, TieLength, Slots, WidthJoins.School];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } =
    [EdgeAllowances.Seam, FirstFold, SecondFold];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var flat = PrismSketch.Box(reading, W, L, null);
        var lines = flat.Dimensions.ToList();
        if (reading.Chosen(Back) is DuvetBack.Sheet)
            lines.Add(
                new(
                    Y,
                    lines[0].From.Moved(Length.Zero, -Length.Inches(4)),
                    lines[0].To.Moved(Length.Zero, -Length.Inches(4))
                )
            );
        return flat with { Dimensions = lines };
    }

    // With a flap the whole foot stays open.
    private static IEnumerable<Step> Foot(IEnumerable<Seam> seams)
    {
        List<string> beside =
        [
            .. seams.Select(seam => seam.Name).Where(name => name.StartsWith("foot", StringComparison.Ordinal)),
        ];
        if (beside.Count > 0)
            yield return new("Close the foot beside the opening; bar-tack its ends.", beside);
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var s = reading[EdgeAllowances.Seam].Value;
        var width = Width(reading).Value;
        if (width <= 4 * s)
            yield return reading.Refuse(
                reading.Chosen(Back) is DuvetBack.Sheet ? Y : W,
                "nothing is left between the seams",
                reading.Example("76", "140")
            );
        else if (HasSlots(reading) && reading[L].Value <= Length.Inches(14))
            yield return reading.Refuse(
                L,
                $"too short for hand slots of {reading.Say(Length.Inches(7))}, {reading.Say(Length.Inches(3))} below the corners",
                reading.Example("84", "200")
            );
        foreach (var problem in Closing.Check(reading, width))
            yield return problem;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (width, length, sheet) = (Width(reading), reading[L], reading.Chosen(Back) is DuvetBack.Sheet);
        var hem = reading[FirstFold] + reading[SecondFold];
        var closing = new Closing(reading, width);
        var beyond = closing.Flap is { } flap ? length + flap : length;
        Working Side(string piece, string edge) =>
            sheet && piece == "front"
                ? reading.Own(piece, edge, reading[EdgeAllowances.Seam] + hem)
                : reading.EdgeAllowance(EdgeAllowances.Seam, piece, edge);
        Working Edge(string piece, string edge) =>
            edge == "lower" ? reading.Own(piece, edge, hem)
            : edge == "upper" ? reading.EdgeAllowance(EdgeAllowances.Seam, piece, edge)
            : Side(piece, edge);
        Piece Face(string key, Working high) =>
            Plain.Rectangle(key, key, 1, width, high, edge => Edge(key, edge)) with
            {
                MayBeJoined = true,
            };
        Piece[] pieces =
        [
            Face("front", length) with
            {
                Notches = [.. closing.Marks],
                Note = sheet ? "Its sides are turned in twice before they are joined to the sheet." : "",
            },
            Face("back", beyond) with
            {
                Faces = true,
                Role = sheet ? ClothRole.ReadyMade : ClothRole.SecondFace,
                Notches = [.. closing.MarksBehind],
                Note = sheet ? "The sheet: its finished side edges stay; what is over is cut off at the foot." : "",
            },
        ];
        List<Seam> seams =
        [
            Plain.Join("top", ("front", 1, "upper"), ("back", 1, "upper"), width),
            .. SideSeams(reading, length, closing),
            .. closing.Seams(width),
        ];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = [.. closing.Uses(length)],
            Finished = [("finished width", width), ("finished length", length), ("opening", closing.Opening)],
            Applied = [.. closing.Applied(Width(reading))],
            Notions =
            [
                .. sheet
                    ?
                    [
                        new Notion("sheet", "ready-made sheet", null)
                        {
                            Amount = $"{reading.Say(reading[Y].Value)} wide, {reading.Say(beyond.Value)} long at least",
                            Role = ClothRole.ReadyMade,
                        },
                    ]
                    : Array.Empty<Notion>(),
                .. closing.Notions,
                .. TieNotions(reading),
            ],
            Steps =
            [
                Step.Cutting("Cut the panels, each with its own allowances at top and foot."),
                Step.Of(
                    StepKind.Hemming,
                    "Turn the hems of both faces at the foot, first fold and second, and sew them."
                ),
                .. closing.Steps,
                new(
                    $"Sew the sides{(HasSlots(reading) ? ", leaving the hand slots open," : "")} and the top{(TieNotions(reading).Any() ? ", ties in the corners" : "")}; finish the seams.",
                    [
                        .. seams
                            .Select(seam => seam.Name)
                            .Where(name => name == "top" || name.Contains(" side", StringComparison.Ordinal)),
                    ]
                ),
                .. Foot(seams),
            ],
            Remarks =
            [
                .. sheet
                    ?
                    [
                        new Remark(
                            "Measure the sheet after washing: it has shrunk by then, the cloth has not. Wash the cloth too, or enter what it shrinks."
                        ),
                        .. reading.Room(ClothRole.ReadyMade).IsKnown
                            ? Array.Empty<Remark>()
                            :
                            [
                                new Remark(
                                    "The back is the sheet itself, never cut from the cloth of the front: add it to the job's cloths as ready-made and name it for this cover on Buy, to see it laid; or use it as it is."
                                ),
                            ],
                    ]
                    : (Remark[])[],
                .. closing.Remarks,
            ],
        };
    }

    // Behind a sheet the cover is as wide as the sheet less the seams that join it.
    private static Working Width(Reading reading) =>
        reading.Chosen(Back) is DuvetBack.Sheet
            ? (reading[Y] - (2 * reading[EdgeAllowances.Seam])).As("cover W", "sheet less both seams")
            : reading[W];

    private static bool HasSlots(Reading reading) => reading.Chosen(Slots) is HandSlots.Both;

    private static IEnumerable<Notion> TieNotions(Reading reading)
    {
        if (reading[Ties] > 0)
            yield return new Notion(
                "ties",
                "tie tape",
                reading[Ties] * Working.Of("tie", "a tie", reading[TieLength]),
                Note: $"{reading[Ties]} ties of {reading.Say(reading[TieLength])}, folded at the middle"
            )
            {
                SoldAs = "tie tape",
            };
    }

    // Right sides are drawn upward from the foot, left sides down from the top; a flap lies below the foot of the back.
    private static IEnumerable<Seam> SideSeams(Reading reading, Working length, Closing closing)
    {
        var flap = closing.Flap?.Value ?? Length.Zero;
        var (below, slot) = (
            Working.Of("below the corner", "from the corner to the slot", Length.Inches(3)),
            Working.Of("slot", "hand slot", Length.Inches(7))
        );
        foreach (var side in new[] { "right", "left" })
        {
            // From, to and length of each stretch, measured from the foot.
            List<(string Name, SeamKind Kind, Length From, Length To, Working Drafted)> stretches = HasSlots(reading)
                ?
                [
                    (
                        $"{side} side, below the slot",
                        SeamKind.Join,
                        Length.Zero,
                        (length - below - slot).Value,
                        length - below - slot
                    ),
                    ($"{side} slot", SeamKind.Opening, (length - below - slot).Value, (length - below).Value, slot),
                    ($"{side} side, above the slot", SeamKind.Join, (length - below).Value, length.Value, below),
                ]
                : [($"{side} side", SeamKind.Join, Length.Zero, length.Value, length)];
            foreach (var (name, kind, from, to, drafted) in stretches)
            {
                Run On(string piece, Length under) =>
                    side == "right"
                        ? new Run(piece, 1, side, from + under, to + under)
                        : new Run(piece, 1, side, length.Value - to, length.Value - from);
                yield return new Seam(name, kind, [On("front", Length.Zero)], [On("back", flap)], drafted);
            }
        }
    }
}

/// <summary>The answers to: Back.</summary>
internal enum DuvetBack
{
    Cloth,
    Sheet,
}

/// <summary>The answers to: Hand slots near the top.</summary>
internal enum HandSlots
{
    None,
    Both,
}
