using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Ottomans;

/// <summary>A boxed ottoman cover: a top and four sides, cord round the top (craft §5.1).</summary>
public sealed class OttomanBoxed : Ottoman
{
    /// <inheritdoc/>
    public override string Key => "ottoman-boxed";

    /// <inheritdoc/>
    public override string Name => "Boxed";

    /// <inheritdoc/>
    public override string Suits =>
        "For a sharp-edged ottoman, stool or footstool: a top and four sides, cord round the top edge.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        .. Beneath,
        .. Cord.ChoicesFor(
            Cord.Asked(
                "cord",
                Option.Of(Cording.Both, "Cord round the top", "A sharp edge that wears well."),
                Option.Of(Cording.None, "No cord", "The plain seam.")
            )
        ),
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading) => CheckBeneath(reading);

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (w, l, h) = (reading[Ottoman.W], reading[Ottoman.L], reading[Ottoman.H]);
        var seat = RectangleShape.Of(w, l, Sum.Of());
        var top = new Piece("top", "top", 1, seat.Dimensions, seat.Shape)
        {
            Allowances = seat.Outline.Edges.ToDictionary(
                edge => edge.Name,
                edge => reading.EdgeAllowance(EdgeAllowances.Seam, "top", edge.Name)
            ),
            Grain = reading.Chosen(GrainChoices.Panels),
            Notches =
            [
                .. seat.Outline.Edges.Select(edge => new Notch(edge.Name, seat.Outline.LengthOf(edge.Name).Over(2))),
            ],
        }.Measured(w, l);
        var corded = Cord.IsChosen(reading);
        List<Seam> seams =
        [
            .. seat.Outline.Edges.Select(edge =>
                Plain.Join(
                    $"top to {edge.Name}",
                    ("top", 1, edge.Name),
                    (Under(edge.Name).Piece, Under(edge.Name).Instance, "upper"),
                    seat.Lengths[edge.Name]
                ) with
                {
                    CordLine = corded ? "top edge" : null,
                }
            ),
            .. Corners(h),
        ];
        List<Piece> pieces = [top, .. Panels(reading, h, "side", ClothRole.Sides)];
        List<Use> uses = [.. Hems()];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Finished =
            [
                ("finished width", w),
                ("finished length", l),
                ("finished height", h),
                ("perimeter", seat.Perimeter),
            ],
            Applied = [.. Fastened(reading)],
            Steps =
            [
                Step.Cutting("Cut the top and four sides; mark the middle of every edge that meets the top."),
                .. corded
                    ?
                    [
                        Step.Of(
                            StepKind.Cording,
                            "Sew the covered cord round the top; butt the core and wrap the join."
                        ),
                    ]
                    : Array.Empty<Step>(),
                new(
                    "Sew the sides to a ring at the corners, stopping one seam allowance short of the top.",
                    [.. Corners(h).Select(seam => seam.Name)]
                ),
                new(
                    "Sew the ring to the top, middles first, pivoting at each corner with the needle down.",
                    [
                        .. seams
                            .Where(seam => seam.Name.StartsWith("top", StringComparison.Ordinal))
                            .Select(seam => seam.Name),
                    ]
                ),
                Step.Fitting("Try on, right side out: seams on the edges, sides straight down."),
                Step.Of(StepKind.Fastening, "Turn the lower edge under and fasten it."),
            ],
            Remarks = [Cautions.OldFurniture],
        };
    }
}
