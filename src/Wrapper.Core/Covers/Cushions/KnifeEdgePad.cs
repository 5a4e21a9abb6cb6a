using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>A knife-edge seat pad: two mirrored pieces, one seam, an opening left in the back, ties at the posts (handbook §4.6).</summary>
public sealed class KnifeEdgePad : BoxCushion
{
    /// <inheritdoc/>
    public override string Key => "knife-edge-pad";

    /// <inheritdoc/>
    public override string Name => "Knife-edge pad";

    /// <inheritdoc/>
    public override string When =>
        "Thin pads tied to a chair: two pieces and one seam, filled with a foam slab or loose filling and closed by hand.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        .. OutlineShapes.Choices,
        Choice.Of(
            "filling",
            "Filling",
            "Filling",
            new Option(
                "foam",
                "A foam slab",
                "The outline grows by half the thickness all round; the whole back is left open to put it in."
            ),
            new Option("loose", "Loose filling", "The outline stays as measured; a hand's width is left open.")
        ),
        Choice
            .OfLength("handOpening", "Opening", "Filling", Length.Inches(4, 1, 2), 115, Usual.UpTo(60, "4 1/2", "11.5"))
            .When("filling", "loose"),
        Choice
            .OfCount("density", "Filling, kilograms in a cubic metre", "Filling", 18, 1, 300)
            .When("filling", "loose") with
        {
            Note = "As the maker of the filling states it.",
        },
        Choice.OfCount("ties", "Ties", "Ties", 4, 0, 12) with
        {
            Note = "Sewn in at the back posts, half of them on each side.",
        },
        Choice.OfLength("tieLength", "Length of each tie", "Ties", Length.Inches(14), 350, Usual.UpTo(60, "14", "35")),
        .. Cord.ChoicesFor(
            "edgeCord",
            new("none", "No cord", "Less cloth and time."),
            new("both", "Cord in the seam", "A sharp edge that wears well.")
        ),
        Usual.PanelGrain,
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
                    "measures.r",
                    "such a radius leaves no straight back to close",
                    Example(reading, "3", "8")
                )
            );
        else if (!IsFoam(reading) && reading.Choice("handOpening") >= seat.Outline.LengthOf(seat.Back))
            problems.Add(
                reading.Refuse(
                    "choices.handOpening",
                    $"wider than the back edge ({reading.Say(seat.Outline.LengthOf(seat.Back))})",
                    Example(reading, "4 1/2", "11.5")
                )
            );
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var seat = Seat(reading);
        var outline = seat.Outline;
        var corded = Cord.IsChosen(reading, "edgeCord");
        var opening = IsFoam(reading)
            ? seat.Lengths[seat.Back]
            : Working.Of("opening", "opening", reading.Choice("handOpening"));
        // Hollow edges are clipped, outer curves are trimmed; marks stand where curves begin and end.
        var hollows = outline.Edges.Where(edge => edge is { Radius: not null, Outward: false });
        var pad = new Piece("panel", "pad", 2, seat.Dimensions, seat.Shape)
        {
            Allowances = outline.Edges.ToDictionary(
                edge => edge.Name,
                edge => reading.EdgeAllowance("s", "panel", edge.Name)
            ),
            Grain = Usual.GrainOf(reading.Option("panelGrain")),
            TurnedOver = true,
            Notches =
            [
                .. hollows.SelectMany(edge =>
                    Clips
                        .Along(outline.LengthOf(edge.Name), edge.Radius!.Value)
                        .Select(at => new Notch(edge.Name, at, Clip: true))
                ),
            ],
            Note = "One turned over, or both cut on the double away from the fold.",
        }.Measured(seat.Width, seat.Depth, more: seat.Diagonals(outline));

        List<Seam> seams =
        [
            .. outline
                .Edges.Select(edge => edge.Name)
                .Where(edge => edge != seat.Back)
                .Select(edge => Usual.Join($"{edge} seam", ("panel", 1, edge), ("panel", 2, edge), seat.Lengths[edge])),
            .. Back(seat, opening, IsFoam(reading)),
        ];
        seams = [.. seams.Select(seam => seam with { Corded = corded })];
        List<Piece> pieces = [pad];
        List<Notion> notions = [];
        List<Use> uses = [];
        if (corded)
            Cord.Add(reading, seams, rings: 1, pieces, uses, notions);
        if (reading.Count("ties") > 0)
            notions.Add(
                new(
                    "ties",
                    "tie tape",
                    reading.Count("ties") * Working.Of("tie", "length of a tie", reading.Choice("tieLength")),
                    Note: $"{reading.Count("ties")} ties, half of them at each back post"
                )
            );
        notions.AddRange(
            IsFoam(reading)
                ? [.. Foam(reading), Making.Thread.Of(seams)]
                :
                [
                    LooseFilling.Of(outline, reading.Measure("T").Value, reading.Count("density"), knifeEdge: true),
                    Making.Thread.Of(seams),
                ]
        );
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Finished =
            [
                .. FinishedSizes(seat.Width, seat.Depth, reading.Measure("T")),
                ("perimeter", seat.Perimeter),
                ("opening", opening),
            ],
            Notions = notions,
            Steps =
            [
                new("Cut two pieces, one turned over; mark the opening.", []),
                .. corded
                    ? [new Step("Sew the covered cord round one piece; butt the core and wrap the join.", [])]
                    : Array.Empty<Step>(),
                new(
                    reading.Count("ties") > 0
                        ? "Pin the ties at the back posts, ends outward, and sew round from the opening to the opening."
                        : "Sew round from the opening to the opening.",
                    [.. seams.Where(seam => seam.Kind == SeamKind.Join).Select(seam => seam.Name)]
                ),
                new("Trim the allowance, then clip the outer curves; turn right side out.", []),
                new(
                    "Fill, and close the opening with ladder stitch.",
                    [.. seams.Where(seam => seam.Kind == SeamKind.Opening).Select(seam => seam.Name)]
                ),
            ],
            Remarks = [.. OutlineShapes.Remarks(reading), Usual.Blades],
            InPairs = OutlineShapes.InPairs(reading),
        };
    }

    private static IEnumerable<Notion> Foam(Reading reading)
    {
        var inner = OutlineShapes.Of(reading);
        return
        [
            new("foam-width", "foam width", inner.Width),
            new("foam-length", "foam length", inner.Depth),
            new("foam-thickness", "foam thickness", reading.Measure("T")),
        ];
    }

    private static bool IsFoam(Reading reading) => reading.Chosen("filling", "foam");

    // A slab of thickness T needs T/2 more all round to reach mid-depth.
    private protected override SeatOutline Seat(Reading reading) =>
        IsFoam(reading) ? OutlineShapes.Of(reading).Grown(reading.Measure("T") / 2) : OutlineShapes.Of(reading);

    // The opening lies in the middle of the back edge, or takes all of it.
    private static IEnumerable<Seam> Back(SeatOutline seat, Working opening, bool whole)
    {
        if (whole)
        {
            yield return Usual.Join(
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
