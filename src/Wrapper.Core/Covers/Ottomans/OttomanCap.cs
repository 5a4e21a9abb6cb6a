using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Ottomans;

/// <summary>
/// A loose ottoman cover: a cap that wraps down by <c>f</c> with boxed or pleated corners, an apron of four pieces,
/// cord on the join
/// (craft §5.2).
/// </summary>
public sealed class OttomanCap : Ottoman
{
    internal static readonly LengthChoice Fall = Choice.OfLength(
        "fall",
        "The cap wraps down by",
        "Cap",
        Length.Inches(4),
        100,
        LengthLimits.UpTo(60, "4", "10")
    );

    internal static readonly OptionChoice<CapCornerSchool> CapCorners = Choice
        .Of(
            "capCorners",
            "Corners of the cap",
            "Cap",
            Option.Of(CapCornerSchool.Boxed, "Boxed", "Square: the waste is cut out by the corner rule."),
            Option.Of(
                CapCornerSchool.Pleated,
                "Pleated",
                "Soft: each corner is cut off at 45° and laid in two facing pleats that run out at the top's corner."
            )
        )
        .ToldToCustomer();

    internal static readonly OptionChoice<DownDiagonal> Diagonal = Choice.Of(
        "diagonal",
        "Corners sewn right down",
        "Apron",
        Option.Of(
            DownDiagonal.FrontLeft,
            "Front left and back right",
            "The other two stay part-open until the cover has been tried on; the back left one is closed by hand to be unpicked, and bears the label."
        ),
        Option.Of(
            DownDiagonal.FrontRight,
            "Front right and back left",
            "The other two stay part-open until the cover has been tried on; the back right one is closed by hand to be unpicked, and bears the label."
        )
    );

    /// <inheritdoc/>
    public override string Key => "ottoman-cap";

    /// <inheritdoc/>
    public override IReadOnlyList<ShownAs> Shown { get; } = [new("capCorners", "pleated", "boxed")];

    /// <inheritdoc/>
    public override string Name => "Cap and apron";

    /// <inheritdoc/>
    public override string Suits =>
        "For a domed or soft-edged ottoman, stool or footstool: the cap wraps over the edge, the seam and its cord lie below it on the frame.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Fall,
        CapCorners,
        Diagonal,
        .. Beneath,
        .. Cord.ChoicesFor(
            Cord.Asked(
                "cord",
                Option.Of(Cording.Both, "Cord on the join", "The line that is seen; gauge it level all round."),
                Option.Of(Cording.None, "No cord", "The plain seam.")
            )
        ),
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var f = reading[Fall];
        if (f >= reading[Ottoman.H].Value)
            yield return reading.Refuse(
                Fall,
                $"the cap would fall deeper than the ottoman is high ({reading.Say(reading[Ottoman.H].Value)})",
                reading.Example("4", "10")
            );
        if (f <= reading[EdgeAllowances.Seam].Value)
            yield return reading.Refuse(
                Fall,
                "no more than a seam allowance: take the boxed make-up",
                reading.Example("4", "10")
            );
        foreach (var problem in CheckBeneath(reading))
            yield return problem;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (w, l, h) = (reading[Ottoman.W], reading[Ottoman.L], reading[Ottoman.H]);
        var f = Working.Of("f", "fall of the cap", reading[Fall]);
        var apron = h - f;
        var corded = Cord.IsChosen(reading);
        var boxed = reading.Chosen(CapCorners) is CapCornerSchool.Boxed;
        var (cap, join) = boxed ? Boxed(reading, w, l, f) : Pleated(reading, w, l, f);
        var right = reading.Chosen(Diagonal) is DownDiagonal.FrontRight;
        string[] down = right ? ["front right corner", "back left corner"] : ["front left corner", "back right corner"];
        string[] open = right ? ["front left corner", "back right corner"] : ["front right corner", "back left corner"];
        // The label stands where the cover can be opened again, never in a corner that is sewn for good.
        var unpicked = open.First(corner => corner.StartsWith("back", StringComparison.Ordinal));
        List<Seam> seams =
        [
            .. join.Select(seam => seam with { CordLine = corded && seam.Kind != SeamKind.Dart ? "cap" : null }),
            .. Corners(apron).SelectMany(corner => open.Contains(corner.Name) ? PartOpen(corner) : [corner]),
        ];
        List<Piece> pieces =
        [
            cap with
            {
                Grain = reading.Chosen(GrainChoices.Panels),
            },
            .. Panels(reading, apron, "apron", ClothRole.Apron),
        ];
        List<Use> uses = [.. Hems()];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Tucks = boxed ? [] : [Tuck.FacingPleats("cap", w.Value, l.Value, f.Value)],
            Finished =
            [
                ("finished width", w),
                ("finished length", l),
                ("finished height", h),
                ("fall of the cap", f),
                ("apron", apron),
            ],
            CordGauge = ("from the edge of the top down to it", f),
            Applied = [.. Fastened(reading)],
            Notions = [new("label", "label", null, Note: $"in the {unpicked}")],
            Steps =
            [
                Step.Cutting("Cut the cap and the apron; mark the middles of the cap and the tops of the apron."),
                boxed
                    ? new(
                        "Sew the cap's corners.",
                        [.. seams.Where(seam => seam.Kind == SeamKind.Dart).Select(seam => seam.Name)]
                    )
                    : Step.Of(
                        StepKind.Pinning,
                        "Lay two facing pleats at each corner, running out at the top's corner; tack them."
                    ),
                new(
                    $"Sew the apron's {down[0]} and {down[1]} right down, and the upper half of the other two: the apron is a ring.",
                    [.. down, .. open.Select(Upper)]
                ),
                .. corded
                    ?
                    [
                        Step.Of(
                            StepKind.Cording,
                            $"Sew the covered cord round the cap; gauge it level all round, within {reading.Say(Length.Inches(0, 1, 8))}."
                        ),
                    ]
                    : Array.Empty<Step>(),
                new(
                    "Put the cap on, centre on centre, weave level, smoothed tighter than it lies. Sew the apron to it from the middles outward, seam turned downward; gauge it again.",
                    [
                        .. seams
                            .Where(seam =>
                                seam.Kind is SeamKind.Join or SeamKind.Pleat
                                && seam.Name.StartsWith("cap", StringComparison.Ordinal)
                            )
                            .Select(seam => seam.Name),
                    ]
                )
                {
                    Checks = [Checks.Weave],
                },
                Step.Fitting(
                    $"Try on, right side out: weave level, {(corded ? "cord" : "seam")} on the edge of the frame."
                ),
                new(
                    $"Close the lower half of the {open[0]} and the {open[1]}. The {unpicked} is closed by hand in contrasting thread and bears the label.",
                    [.. open.Select(Lower)]
                ),
                Step.Of(
                    StepKind.Fastening,
                    $"Turn the lower edge under; fold corner bulk to a triangle.{(reading.Chosen(Fastening) is OttomanFastening.HookAndLoop ? " Upper row of hook-and-loop first, trim the turning under its midline, then the lower row." : " Tack or stitch it down.")}"
                ) with
                {
                    Does = reading.Chosen(Fastening) is OttomanFastening.HookAndLoop ? Doing.Trimming : Doing.Sewing,
                },
            ],
            Remarks = [Cautions.OldFurniture],
        };
    }

    // Of the two corners that stay part-open, the upper half is sewn with the ring and the lower one after trying on.
    private static IEnumerable<Seam> PartOpen(Seam corner)
    {
        var (right, left) = (corner.OneSide[0], corner.OtherSide[0]);
        var upper = corner.Drafted / 2;
        // A right edge is drawn upward, a left one downward.
        yield return corner with
        {
            Name = Upper(corner.Name),
            OneSide = [right with { From = (corner.Drafted - upper).Value }],
            OtherSide = [left with { To = upper.Value }],
            Drafted = upper,
        };
        yield return corner with
        {
            Name = Lower(corner.Name),
            OneSide = [right with { To = (corner.Drafted - upper).Value }],
            OtherSide = [left with { From = upper.Value }],
            Drafted = corner.Drafted - upper,
        };
    }

    private static string Upper(string corner) => $"{corner}, upper half";

    private static string Lower(string corner) => $"{corner}, lower half";

    // Cut out square: every side of the cap meets its apron piece.
    private static (Piece, IEnumerable<Seam>) Boxed(Reading reading, Working w, Working l, Working f)
    {
        var seat = RectangleShape.Of(w, l, Sum.Of());
        var sides = seat.Outline.Edges.Select(edge => edge.Name).ToList();
        var sheet = new BoxedSheet(seat, f, edge => reading.EdgeAllowance(EdgeAllowances.Seam, "cap", edge));
        return (
            sheet.Piece("cap", "cap", 1, side => reading.EdgeAllowance(EdgeAllowances.Seam, "cap", side)) with
            {
                Notches = [.. sides.Select(side => new Notch(side, seat.Outline.LengthOf(side).Over(2)))],
            },
            [
                .. sheet.CornerSeams("cap", 1, " of the cap"),
                .. sides.Select(side =>
                    Plain.Join(
                        $"cap to apron, {side}",
                        ("cap", 1, side),
                        (Under(side).Piece, Under(side).Instance, "upper"),
                        seat.Lengths[side]
                    )
                ),
            ]
        );
    }

    // Cut off at 45° so that the stitch line lies f from the top's corner all round: legs (2 - √2) f. The corner is
    // then 4 f tan 22.5°
    // longer than the apron below it, which has no corner piece: two facing pleats swallow it.
    private static (Piece, IEnumerable<Seam>) Pleated(Reading reading, Working w, Working l, Working f)
    {
        var leg = (2 * f) - f.TimesRoot2();
        var swallowed = (4 * (f.TimesRoot2() - f)).As("pleats", "length that the two pleats of a corner swallow");
        var dimensions = new Dictionary<string, Working>
        {
            ["width"] = w,
            ["length"] = l,
            ["fall"] = f,
        };
        var piece = new Piece("cap", "cap", 1, dimensions, CutOff)
        {
            Note =
                $"Two facing pleats at each corner, each {reading.Say(swallowed.Value.Over(2))} deep at the edge, running out at the top's corner.",
        };
        piece = piece with
        {
            Allowances = piece.Stitch.Edges.ToDictionary(
                edge => edge.Name,
                edge => reading.EdgeAllowance(EdgeAllowances.Seam, "cap", edge.Name)
            ),
            Notches =
            [
                .. new[] { ("front", w), ("right", l), ("back", w), ("left", l) }.Select(side => new Notch(
                    side.Item1,
                    piece.Stitch.LengthOf(side.Item1).Over(2)
                )),
            ],
        };
        var cutLeg = leg + ((2 * reading[EdgeAllowances.Seam]) - reading[EdgeAllowances.Seam].TimesRoot2());
        var (lowest, rightmost) = (piece.Cut.Bounds().Bottom, piece.Cut.Bounds().Right);
        Size[] more =
        [
            new(
                "cut off at each corner, along the edge",
                SizeKind.Cut,
                cutLeg,
                new(rightmost - cutLeg.Value, lowest),
                new(rightmost, lowest)
            ),
        ];
        var total = 2 * (w + l);
        string[] ring =
        [
            "front",
            "front right corner",
            "right",
            "back right corner",
            "back",
            "back left corner",
            "left",
            "front left corner",
        ];
        var seam = new Seam(
            "cap to apron",
            SeamKind.Pleat,
            [.. ring.Select(edge => new Run("cap", 1, edge))],
            [
                .. new[] { "front", "right", "back", "left" }.Select(side => new Run(
                    Under(side).Piece,
                    Under(side).Instance,
                    "upper"
                )),
            ],
            total
        )
        {
            Swallowed = 4 * swallowed.Value,
        };
        return (piece.Measured(w + (2 * f), l + (2 * f), more: more), [seam]);
    }

    private static Outline CutOff(Dimensions d)
    {
        var (w, l, f) = (d["width"], d["length"], d["fall"]);
        var leg = (2 * f) - f.Scaled(1.41421356237309504880m);
        Point At(Length x, Length y) => new(x, y);
        var (right, top) = (w + f, l + f);
        return new Outline([
            new("front", At(leg - f, -f)),
            new("front right corner", At(right - leg, -f)),
            new("right", At(right, leg - f)),
            new("back right corner", At(right, top - leg)),
            new("back", At(right - leg, top)),
            new("back left corner", At(leg - f, top)),
            new("left", At(-f, top - leg)),
            new("front left corner", At(-f, leg - f)),
        ]);
    }
}

/// <summary>The answers to: Corners of the cap.</summary>
internal enum CapCornerSchool
{
    Boxed,
    Pleated,
}

/// <summary>The answers to: Corners sewn right down.</summary>
internal enum DownDiagonal
{
    FrontLeft,
    FrontRight,
}
