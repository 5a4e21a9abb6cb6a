using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A knife-edge seat pad: two mirrored pieces, one seam, an opening or a zip in the back, ties at the posts (craft §4.6).
/// </summary>
public sealed class KnifeEdgePad : BoxCushion
{
    internal static readonly OptionChoice<PadFilling> Filling = Choice.Of(
        "filling",
        "Filling",
        "Filling",
        Option.Of(
            PadFilling.Foam,
            "A foam slab",
            "The outline grows by half the thickness all round; closed by hand, the whole back is left open to put it in."
        ),
        Option.Of(
            PadFilling.Loose,
            "Loose filling",
            "The outline stays as measured; closed by hand, a hand's width is left open."
        )
    );

    internal static readonly OptionChoice<PadClosing> Closing = Choice
        .Of(
            "closing",
            "Closed by",
            "Closing",
            Option.Of(PadClosing.Hand, "Ladder stitch", "By hand, once it is filled; unpicked for washing."),
            Option.Of(
                PadClosing.Inside,
                "A zip, kept inside the corners",
                "In the middle of the back edge: the neatest."
            ),
            Option.Of(PadClosing.Round, "A zip round the corners", "Turns both back corners: the easiest to fill.")
        )
        .ToldToCustomer();

    internal static readonly LengthChoice HandOpening = Choice
        .OfLength(
            "handOpening",
            "Opening",
            "Filling",
            Length.Inches(4, 1, 2),
            115,
            LengthLimits.UpTo(60, "4 1/2", "11.5")
        )
        .AskedWhen(Filling, PadFilling.Loose)
        .AndWhen(Closing, PadClosing.Hand);

    internal static readonly CountChoice Density = Choice
        .OfCount("density", "Filling, kilograms in a cubic metre", "Filling", 18, 1, 300)
        .AskedWhen(Filling, PadFilling.Loose) with
    {
        Note = "As the maker of the filling states it.",
    };

    internal static readonly CountChoice Ties = Choice.OfCount("ties", "Ties", "Ties", 4, 0, 12) with
    {
        Note = "Sewn in at the back posts, half of them on each side.",
    };

    internal static readonly LengthChoice TieLength = Choice.OfLength(
        "tieLength",
        "Length of each tie",
        "Ties",
        Length.Inches(14),
        350,
        LengthLimits.UpTo(60, "14", "35")
    );

    internal static readonly OptionChoice<Cording> EdgeCord = Cord.Asked(
        "edgeCord",
        Option.Of(Cording.None, "No cord", "Less cloth and time."),
        Option.Of(Cording.Both, "Cord in the seam", "A sharp edge that wears well.")
    );

    /// <inheritdoc/>
    public override string Key => "knife-edge-pad";

    /// <inheritdoc/>
    public override string Name => "Knife-edge pad";

    /// <inheritdoc/>
    public override string Suits =>
        "Thin pads tied to a chair: two pieces and one seam, filled with a foam slab or loose filling, closed by hand or by a zip.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        .. OutlineShapes.Choices,
        Filling,
        Closing,
        HandOpening,
        ZipSchools.Turn.AskedWhen(Closing, PadClosing.Round),
        ZipSchools.Clear.AskedWhen(Closing, PadClosing.Inside),
        Density,
        Ties,
        TieLength,
        .. Cord.ChoicesFor(EdgeCord),
        GrainChoices.Panels,
    ];

    private protected override bool IsBoxed => false;

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = base.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var seat = Seat(reading);
        if (!seat.Outline.Has(seat.Back))
            problems.Add(
                reading.Refuse(
                    OutlineShapes.CornerRadius,
                    "such a radius leaves no straight back to close",
                    reading.Example("3", "8")
                )
            );
        else if (Zipped(reading, seat) is { } zip)
            problems.AddRange(zip.Check(reading));
        else if (!IsFoam(reading) && reading[HandOpening] >= seat.Outline.LengthOf(seat.Back))
            problems.Add(
                reading.Refuse(
                    HandOpening,
                    $"wider than the back edge ({reading.Say(seat.Outline.LengthOf(seat.Back))})",
                    reading.Example("4 1/2", "11.5")
                )
            );
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var seat = Seat(reading);
        var outline = seat.Outline;
        var corded = Cord.IsChosen(reading, EdgeCord);
        var zip = Zipped(reading, seat);
        var opening =
            zip is not null ? zip.Run
            : IsFoam(reading) ? seat.Lengths[seat.Back]
            : Working.Of("opening", "opening", reading[HandOpening]);
        var pad = new Piece("panel", "pad", 2, seat.Dimensions, seat.Shape)
        {
            Allowances = outline.Edges.ToDictionary(
                edge => edge.Name,
                edge => reading.EdgeAllowance(zip?.Allowance(edge.Name) ?? EdgeAllowances.Seam, "panel", edge.Name)
            ),
            Grain = reading.Chosen(GrainChoices.Panels),
            TurnedOver = true,
            // At the back posts: both ends of the back.
            Attached =
                reading[Ties] > 0
                    ?
                    [
                        new(seat.Back, Length.Zero) { What = "tie" },
                        new(seat.Back, outline.LengthOf(seat.Back)) { What = "tie" },
                    ]
                    : [],
            Note = "One turned over, or both cut on the double away from the fold.",
        }.Measured(seat.Width, seat.Depth, more: seat.Diagonals(outline));

        List<Seam> seams = zip is not null
            ? [.. zip.Seams("panel", ToBuy(reading, zip), edge => $"{edge} seam")]
            :
            [
                .. outline
                    .Edges.Select(edge => edge.Name)
                    .Where(edge => edge != seat.Back)
                    .Select(edge =>
                        Plain.Join($"{edge} seam", ("panel", 1, edge), ("panel", 2, edge), seat.Lengths[edge])
                    ),
                .. Back(seat, opening, IsFoam(reading)),
            ];
        seams = [.. seams.Select(seam => seam with { CordLine = corded ? "edge" : null })];
        List<Piece> pieces = [pad];
        List<Notion> notions = [];
        List<Use> uses = [];
        if (reading[Ties] > 0)
            notions.Add(
                new(
                    "ties",
                    "tie tape",
                    reading[Ties] * Working.Of("tie", "length of a tie", reading[TieLength]),
                    Note: $"{reading[Ties]} ties, half of them at each back post"
                )
                {
                    SoldAs = "tie tape",
                }
            );
        notions.AddRange(
            IsFoam(reading)
                ? [.. Foam(reading)]
                : [LooseFilling.Of(outline, reading[BoxCushion.T].Value, reading[Density], knifeEdge: true)]
        );
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Finished =
            [
                .. FinishedSizes(seat.Width, seat.Depth, reading[BoxCushion.T]),
                ("perimeter", seat.Perimeter),
                (zip is null ? "opening" : "zip run", opening),
            ],
            Notions = notions,
            Steps = Steps(reading, seams, corded, zip is not null),
            Remarks = [.. OutlineShapes.Remarks(reading)],
            InPairs = OutlineShapes.InPairs(reading),
        };
    }

    private static IReadOnlyList<Step> Steps(Reading reading, IReadOnlyList<Seam> seams, bool corded, bool zipped)
    {
        List<Step> steps =
        [
            Step.Cutting($"Cut two pieces, one turned over; mark the {(zipped ? "ends of the zip" : "opening")}."),
        ];
        if (corded)
            steps.Add(
                Step.Of(StepKind.Cording, "Sew the covered cord round one piece; butt the core and wrap the join.")
            );
        List<string> beside =
        [
            .. seams.Select(seam => seam.Name).Where(name => name.EndsWith("the zip", StringComparison.Ordinal)),
        ];
        if (zipped)
            steps.Add(
                new(beside.Count > 0 ? ZipSteps.Inside("Open it.") : ZipSteps.Round("Open it."), ["zip", .. beside])
            );
        var (from, to) = zipped ? ("one end of the back", "the other") : ("the opening", "the opening");
        steps.Add(
            new(
                $"{(reading[Ties] > 0 ? "Pin the ties at the back posts, ends outward, and sew" : "Sew")} round from {from} to {to}.",
                [
                    .. seams
                        .Where(seam => seam.Kind == SeamKind.Join && !beside.Contains(seam.Name))
                        .Select(seam => seam.Name),
                ]
            )
        );
        steps.Add(Step.Fitting("Turn it right side out and lay it on the seat, edge on edge. Nothing is trimmed yet."));
        steps.Add(Step.Trimming("Trim the allowance, then clip the outer curves; turn right side out."));
        steps.Add(
            zipped
                ? FillingSteps.ThroughZip
                : Step.Filling(
                    "Fill, and close the opening with ladder stitch.",
                    [.. seams.Where(seam => seam.Kind == SeamKind.Opening).Select(seam => seam.Name)]
                ) with
                {
                    How = [Technique.LadderStitch],
                }
        );
        return steps;
    }

    private static RingZip? Zipped(Reading reading, SeatOutline seat) =>
        reading.Chosen(Closing) switch
        {
            PadClosing.Inside => new(reading, seat, ZipSchool.Inside),
            PadClosing.Round => new(reading, seat, ZipSchool.Round),
            _ => null,
        };

    private static Zip ToBuy(Reading reading, RingZip zip) =>
        reading.Chosen(Closing) is PadClosing.Round
            ? Zip.Chain(zip.Run + (2 * reading[EdgeAllowances.Seam]), "turns both back corners")
            : Zip.OfTeeth(zip.Run, "kept inside the corners");

    private static IEnumerable<Notion> Foam(Reading reading)
    {
        var inner = OutlineShapes.Of(reading);
        return
        [
            new("foam-width", "foam width", inner.Width, Note: OutlineShapes.OutlineOf(reading)),
            new("foam-length", "foam length", inner.Depth, Note: OutlineShapes.OutlineOf(reading)),
            new("foam-thickness", "foam thickness", reading[BoxCushion.T], Note: OutlineShapes.OutlineOf(reading)),
        ];
    }

    private static bool IsFoam(Reading reading) => reading.Chosen(Filling) is PadFilling.Foam;

    // A slab of thickness T needs T/2 more all round to reach mid-depth.
    private protected override SeatOutline Seat(Reading reading) =>
        IsFoam(reading) ? OutlineShapes.Of(reading).Grown(reading[BoxCushion.T] / 2) : OutlineShapes.Of(reading);

    // The opening lies in the middle of the back edge, or takes all of it.
    private static IEnumerable<Seam> Back(SeatOutline seat, Working opening, bool whole)
    {
        if (whole)
        {
            yield return Plain.Join(
                "opening",
                ("panel", 1, seat.Back),
                ("panel", 2, seat.Back),
                opening,
                SeamKind.Opening
            );
            yield break;
        }
        var back = seat.Lengths[seat.Back];
        var before = (back - opening) / 2;
        (string Name, Length? From, Length? To, Working Drafted, SeamKind Kind)[] parts =
        [
            ("back, beside the opening", null, before.Value, before, SeamKind.Join),
            ("opening", before.Value, before.Value + opening.Value, opening, SeamKind.Opening),
            ("back, beyond the opening", before.Value + opening.Value, null, before, SeamKind.Join),
        ];
        foreach (var (name, from, to, drafted, kind) in parts)
            yield return new(
                name,
                kind,
                [new Run("panel", 1, seat.Back, from, to)],
                [new Run("panel", 2, seat.Back, from, to)],
                drafted
            );
    }
}

/// <summary>The answers to: Filling.</summary>
internal enum PadFilling
{
    Foam,
    Loose,
}

/// <summary>The answers to: Closed by.</summary>
internal enum PadClosing
{
    Hand,
    Inside,
    Round,
}
