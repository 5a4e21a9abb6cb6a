using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>A bolster: two round ends and a body, with or without a zip along it (craft §4.5).</summary>
public sealed class Bolster : MakeUp
{
    internal static readonly OptionChoice<BolsterClosing> Closing = Choice
        .Of(
            "closing",
            "Closing",
            "Closing",
            Option.Of(BolsterClosing.Zip, "Zip along the body", "The cover comes off for washing."),
            Option.Of(
                BolsterClosing.Hidden,
                "Invisible zip along the body",
                "Only the slider shows; sewn open, close behind the teeth."
            ),
            Option.Of(
                BolsterClosing.Sewn,
                "Sewn shut",
                "The inner goes in before the last hand's width is closed by hand."
            )
        )
        .ToldToCustomer();

    internal static readonly Measure Diameter = new Measure(
        "d",
        "diameter",
        "Across the end of the dressed inner, between two blocks.",
        LengthLimits.UpTo(60, "7", "18"),
        Usual: Length.Inches(7)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "From end to end.",
        LengthLimits.Item,
        Usual: Length.Inches(24)
    );

    /// <inheritdoc/>
    public override string Key => "bolster";

    /// <inheritdoc/>
    public override string Name => "Round ends and body";

    /// <inheritdoc/>
    public override string Family => "Bolster";

    /// <inheritdoc/>
    public override string Suits =>
        "A firm roll with flat round ends; cord round the ends if wanted, the zip along the body.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [Diameter, L];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Closing,
        .. Cord.ChoicesFor(
            Cord.Asked(
                "cord",
                Option.Of(
                    Cording.Both,
                    "Cord round both ends",
                    "Sharp ends that wear well; the cord's join lies on the zip seam."
                ),
                Option.Of(Cording.None, "No cord", "The plain seam.")
            )
        ),
        GrainChoices.Body,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, EdgeAllowances.Zip];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var (d, l) = (reading.Drawn(Diameter), reading.Drawn(L));
        // Lying down, seen a little from the right: the near end an ellipse.
        Point Rim(Length x, double angle) =>
            new(
                x + Length.Snap(0.18 * d.ToMillimetres() * Math.Cos(angle)),
                d.Over(2) + Length.Snap(d.ToMillimetres() / 2 * Math.Sin(angle))
            );
        List<Point> Arc(Length x, double from, double to) =>
            [.. Enumerable.Range(0, 25).Select(n => Rim(x, from + ((to - from) * n / 24)))];
        return new Sketch(
            [
                new Stroke(
                    "face",
                    [.. Arc(l, -Math.PI / 2, Math.PI / 2), .. Arc(Length.Zero, Math.PI / 2, 1.5 * Math.PI)]
                ),
                new Stroke("face", Arc(l, 0, 2 * Math.PI)),
            ],
            [
                new(Diameter, new(Length.Zero, Length.Zero), new(Length.Zero, d)),
                new(L, new(Length.Zero, Length.Zero), new(l, Length.Zero)),
            ]
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (IsZipped(reading) && ZipOpening(reading).Value <= Length.Zero)
            yield return reading.Refuse(
                L,
                $"the body is too short for a zip: {reading.Say(2 * EndMargin(reading).Value)} of seam is left at its ends; choose sewn shut",
                reading.Example("30", "75")
            );
        if (reading[Diameter].Value <= 2 * reading[EdgeAllowances.Seam].Value)
            yield return reading.Refuse(
                Diameter,
                $"not over two seam allowances ({reading.Say(2 * reading[EdgeAllowances.Seam].Value)})",
                reading.Example("7", "18")
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (d, l) = (reading[Diameter], reading[L]);
        var s = reading[EdgeAllowances.Seam];
        var (zipped, hidden) = (IsZipped(reading), reading.Chosen(Closing) is BolsterClosing.Hidden);
        var round = d.TimesPi().As("R", "round the stitch line of the end");
        var radius = d.Value.Over(2);
        var end = new Piece(
            "end",
            "end",
            2,
            new Dictionary<string, Working> { ["diameter"] = d },
            size => RoundShape.Circle(size["diameter"])
        )
        {
            Allowances = RoundShape
                .Circle(d.Value)
                .Edges.ToDictionary(
                    edge => edge.Name,
                    edge => reading.EdgeAllowance(EdgeAllowances.Seam, "end", edge.Name)
                ),
            Grain = Grain.Either,
        }.Measured(d, d);
        var body = Plain.Rectangle(
            "body",
            "body",
            1,
            round,
            l,
            edge =>
                reading.EdgeAllowance(
                    zipped && edge is "left" or "right" ? EdgeAllowances.Zip : EdgeAllowances.Seam,
                    "body",
                    edge
                )
        ) with
        {
            Grain = reading.Chosen(GrainChoices.Body),
            Note = $"Clip both ends every {reading.Say(Clips.Spacing(radius))}, to just short of the stitch line.",
        };
        var corded = Cord.IsChosen(reading);
        List<Seam> seams =
        [
            .. EndSeams(round).Select(seam => seam with { CordLine = corded ? seam.Name : null }),
            .. Along(reading, l, zipped),
        ];
        List<Piece> pieces = [end, body];
        List<Use> uses = [];
        var inner = LooseFilling.Of(RoundShape.Circle(d.Value), l.Value, 30, knifeEdge: false) with
        {
            Key = "inner",
            Name = "inner, by volume",
        };
        var slip = (d + (2 * s)).TimesPi();
        return new Pattern
        {
            Pieces = pieces,
            EndFirst = true,
            Seams = seams,
            Uses = uses,
            Finished =
            [
                ("finished width", d),
                ("finished length", l),
                ("perimeter", round),
                .. zipped ? [("zip opening", ZipOpening(reading))] : Array.Empty<(string, Working)>(),
            ],
            Notions = [inner],
            Steps =
            [
                Step.Cutting("Cut two ends and the body; quarter the ends and the body's edges."),
                zipped
                    ? new Step(
                        hidden
                            ? "Press the invisible zip flat and sew it in open, both sides from the same end; go over the bulge at the slider again and tack behind the teeth. Sew the rest of the seam at both ends. Open the zip."
                            : "Sew the seam at both ends up to where the zip ends, then the zip between, both sides from the same end; bar-tack each end. Open the zip.",
                        ["zip", "body seam, first end", "body seam, second end"]
                    )
                    {
                        Does = hidden ? Doing.Pressing : Doing.Sewing,
                    }
                    : new("Sew the body seam, leaving a hand's width in the middle.", ["body seam"]),
                .. corded
                    ?
                    [
                        Step.Of(
                            StepKind.Cording,
                            "Sew the covered cord round both ends, its join on the body seam, turned down."
                        ),
                    ]
                    : Array.Empty<Step>(),
                new("Clip the body's ends, pin the quarters, and sew the ends in.", ["first end", "second end"]),
                Step.Of(StepKind.Turning, "Finish the seams and turn right side out."),
                FillingSteps.Bolster(zipped),
            ],
            Remarks =
            [
                new(
                    $"Check the line that the tape goes round: the stitch line is {reading.Say(round.Value)}. Wrapped round the cut disc it reads {reading.Say(slip.Value)}; cut to that without a seam, the body is {reading.Say(slip.Value - round.Value - (2 * s.Value))} too wide and must be eased in."
                ),
            ],
        };
    }

    private static bool IsZipped(Reading reading) => reading.Chosen(Closing) is not BolsterClosing.Sewn;

    // An eighth of the length, at least 2 in, stays sewn at each end.
    private static Working EndMargin(Reading reading) =>
        new Extreme(Larger: true, reading[L] / 8, Working.Of("least", "least seam beside the zip", Length.Inches(2)));

    private static Working ZipOpening(Reading reading) =>
        (reading[L] - (2 * EndMargin(reading))).As("Z", "zip opening");

    private static IEnumerable<Seam> EndSeams(Working round)
    {
        Run[] Circle(int instance) =>
            [.. new[] { "front", "right", "back", "left" }.Select(edge => new Run("end", instance, edge))];
        yield return new("first end", SeamKind.Join, [new Run("body", 1, "lower")], Circle(1), round);
        yield return new("second end", SeamKind.Join, [new Run("body", 1, "upper")], Circle(2), round);
    }

    // The left edge of the body is walked downwards, the right one upwards.
    private static IEnumerable<Seam> Along(Reading reading, Working l, bool zipped)
    {
        if (!zipped)
        {
            yield return Plain.Join("body seam", ("body", 1, "left"), ("body", 1, "right"), l);
            yield break;
        }
        var (margin, opening) = (EndMargin(reading), ZipOpening(reading));
        var (from, to) = (margin.Value, margin.Value + opening.Value);
        yield return new(
            "body seam, first end",
            SeamKind.Join,
            [new Run("body", 1, "right", null, from)],
            [new Run("body", 1, "left", to)],
            margin
        );
        yield return new(
            "zip",
            SeamKind.Zip,
            [new Run("body", 1, "right", from, to)],
            [new Run("body", 1, "left", from, to)],
            opening
        )
        {
            Zip =
                reading.Chosen(Closing) is BolsterClosing.Hidden
                    ? Zip.Invisible(opening, "made up, up to the next stock length")
                    : Zip.OfTeeth(opening, "made up, up to the next stock length"),
        };
        yield return new(
            "body seam, second end",
            SeamKind.Join,
            [new Run("body", 1, "right", to)],
            [new Run("body", 1, "left", null, from)],
            margin
        );
    }
}

/// <summary>The answers to: Closing.</summary>
internal enum BolsterClosing
{
    Zip,
    Hidden,
    Sewn,
}
