using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// A slip-over for a chair back: two faces that meet at mid-depth, top corners stitched off to the depth; with a lining
/// it can be worn
/// either way out (craft §6.1).
/// </summary>
public sealed class ChairBackSlipOver : MakeUp
{
    internal static readonly OptionChoice<BackShape> Back = Choice.Of(
        "back",
        "Shape of the back",
        "Outline",
        Option.Of(BackShape.Straight, "Straight", "As wide at the top as at the seat."),
        Option.Of(BackShape.Tapered, "Tapered", "Wider at the top or at the seat."),
        Option.Of(BackShape.Arched, "Arched", "The top rail rises in the middle."),
        Option.Of(BackShape.Traced, "Traced", "Any other shape, off a template.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<LiningSchool> Lining = Choice
        .Of(
            "lining",
            "Lining",
            "Lining",
            Option.Of(
                LiningSchool.Reversible,
                "Lined, reversible",
                "Two covers one inside the other, sewn together at the lower edge; turned through a gap."
            ),
            Option.Of(LiningSchool.Single, "Single", "One layer with a hem.")
        )
        .ToldToCustomer();

    internal static readonly LengthChoice WidthEase = Choice.OfLength(
        "widthEase",
        "Ease in width",
        "Ease",
        Length.Inches(1),
        25,
        LengthLimits.UpTo(6, "1", "2.5", zero: true)
    ) with
    {
        Learns = true,
    };

    internal static readonly LengthChoice HeightEase = Choice.OfLength(
        "heightEase",
        "Ease in height",
        "Ease",
        Length.Zero,
        0,
        LengthLimits.UpTo(6, "0", "0", zero: true)
    ) with
    {
        Learns = true,
    };

    internal static readonly OptionChoice<FinialPlaces> Finials = Choice
        .Of(
            "finials",
            "Finials",
            "Top",
            Option.Of(FinialPlaces.None, "None", "The top seam is closed."),
            Option.Of(FinialPlaces.Middle, "One in the middle", "A gap in the middle of the top seam."),
            Option.Of(FinialPlaces.Ends, "One at each end", "A gap at both ends of the top seam.")
        )
        .ToldToCustomer()
        .AskedWhen(Back, BackShape.Straight, BackShape.Tapered, BackShape.Arched);

    internal static readonly LengthChoice FinialGap = Choice
        .OfLength("finialGap", "Gap for a finial", "Top", Length.Inches(2), 50, LengthLimits.UpTo(24, "2", "5"))
        .AskedWhen(Finials, FinialPlaces.Middle, FinialPlaces.Ends);

    internal static readonly AllowanceDeclaration Hem = EdgeAllowances.Hem(
        "h",
        "Hem",
        Length.Inches(1),
        Length.Millimetres(25)
    );

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Across the back at its top, outside to outside.",
        LengthLimits.Item,
        Usual: Length.Inches(17)
    ).AskedWhen(Back, BackShape.Straight, BackShape.Tapered, BackShape.Arched);

    internal static readonly Measure B = new Measure(
        "B",
        "width at the seat",
        "Across the back just above the seat.",
        LengthLimits.Item,
        Usual: Length.Inches(16)
    ).AskedWhen(Back, BackShape.Tapered, BackShape.Arched);

    internal static readonly Measure H = new Measure(
        "H",
        "height",
        "From the seat to the top rail, at the side.",
        LengthLimits.UpTo(120, "22", "56"),
        Usual: Length.Inches(20)
    ).AskedWhen(Back, BackShape.Straight, BackShape.Tapered, BackShape.Arched);

    internal static readonly Measure RiseOfTheArch = new Measure(
        "b",
        "rise of the arch",
        "How far the middle of the top rail stands above its ends.",
        LengthLimits.Item,
        Usual: Length.Inches(3)
    ).AskedWhen(Back, BackShape.Arched);

    internal static readonly Measure O = new Measure(
        "O",
        "traced outline",
        "The back as seen from behind: points x, y from the lower left, one a line; behind a point arc or hollow and its radius. Or an SVG path.",
        LengthLimits.Item
    )
    {
        Kind = MeasureKind.Outline,
        ShownWhen = Condition.While(Back, BackShape.Traced),
    };

    internal static readonly Measure D = new Measure(
        "D",
        "depth",
        "How thick the back is at its thickest.",
        LengthLimits.UpTo(24, "2", "5"),
        Usual: Length.Inches(2)
    );

    /// <inheritdoc/>
    public override string Key => "chair-back-slip-over";

    /// <inheritdoc/>
    public override string Name => "Slip-over";

    /// <inheritdoc/>
    public override string Family => "Chair back";

    /// <inheritdoc/>
    public override string Suits =>
        "A loose cap over a chair back, pulled on from above; lined, it can be turned to the other cloth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, B, H, RiseOfTheArch, O, D];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Back, Lining, WidthEase, HeightEase, Finials, FinialGap];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, Hem];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var (d, o) = (reading.Drawn(D), Length.Zero);
        var traced = reading.Chosen(Back) is BackShape.Traced;
        var (w, h) = (reading.Drawn(W), reading.Drawn(H));
        var b = reading.Chosen(Back) is BackShape.Straight ? w : reading.Drawn(B);
        var rise =
            reading.Chosen(Back) is BackShape.Arched
                ? Length.Min(reading.Known(RiseOfTheArch) ?? w.Over(8), w.Over(2))
                : o;
        var face = traced && reading.Traced(O) is { } drawn ? drawn : Face(w, b, h, rise);
        List<Point> front =
        [
            .. Enumerable
                .Range(0, face.Edges.Count)
                .SelectMany(at => face.Curve(at).FlattenedOutward(1))
                .Select(v => new Point(Length.Snap(v.X), Length.Snap(v.Y))),
        ];
        // The far side shows above and to the right by the depth.
        var (dx, dy) = (d.Scaled(0.7m), d.Scaled(0.5m));
        var (left, _, right, top) = face.Bounds();
        List<DimensionLine> lines = [new(D, new(right, top.Over(2)), new(right + dx, top.Over(2) + dy))];
        if (!traced)
            lines.AddRange([
                new(W, new((b - w).Over(2), h), new((b - w).Over(2) + w, h)),
                new(H, new(left, o), new(left, h)),
            ]);
        if (!traced && reading.Chosen(Back) is not BackShape.Straight)
            lines.Add(new(B, new(o, o), new(b, o)));
        if (reading.Chosen(Back) is BackShape.Arched)
            lines.Add(new(RiseOfTheArch, new(b.Over(2), h), new(b.Over(2), h + rise)));
        return new Sketch(
            [new Stroke("face", [.. front.Select(p => p.Moved(dx, dy))]), new Stroke("face", front)],
            lines
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (reading.Chosen(Back) is BackShape.Arched && 2 * reading[RiseOfTheArch].Value > reading[W].Value)
            yield return reading.Refuse(
                RiseOfTheArch,
                $"a rise of more than half the width ({reading.Say(reading[W].Value.Over(2))}) turns back on itself",
                reading.Example("2", "5")
            );
        if (reading.Chosen(Back) is not BackShape.Traced && reading.Chosen(Finials) is not FinialPlaces.None)
        {
            var gaps = reading.Chosen(Finials) is FinialPlaces.Ends ? 2 : 1;
            if (gaps * reading[FinialGap] >= reading[W].Value)
                yield return reading.Refuse(
                    FinialGap,
                    $"the gaps take the whole top ({reading.Say(reading[W].Value)})",
                    reading.Example("2", "5")
                );
        }
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var lined = reading.Chosen(Lining) is LiningSchool.Reversible;
        var face = new SlipOverFace(reading);
        var piece = face.Piece("face", lined ? "outer face" : "face", lined);
        List<Piece> pieces = lined
            ? [piece, face.Piece("lining", "lining face", lined) with { Role = ClothRole.Lining }]
            : [piece];
        List<Seam> seams = [.. pieces.SelectMany(each => face.Around(each))];
        List<Use> uses = [];
        var foot = face.Foot(piece.Stitch);
        var gap = (foot / 2).As("gap", "turning gap, a quarter of the lower edge");
        if (lined)
        {
            seams.Add(Plain.Join("lower edge, front", ("face", 1, face.Lower), ("lining", 2, face.Lower), foot));
            var beside = (foot - gap) / 2;
            foreach (
                var (name, from, to, drafted, kind) in new[]
                {
                    (
                        "lower edge, back, before the gap",
                        default(Length?),
                        (Length?)beside.Value,
                        beside,
                        SeamKind.Join
                    ),
                    ("turning gap", beside.Value, beside.Value + gap.Value, gap, SeamKind.Opening),
                    ("lower edge, back, after the gap", beside.Value + gap.Value, null, beside, SeamKind.Join),
                }
            )
                seams.Add(
                    new(
                        name,
                        kind,
                        [new Run("face", 2, face.Lower, from, to)],
                        [new Run("lining", 1, face.Lower, from, to)],
                        drafted
                    )
                );
        }
        else
            uses.AddRange(
                Plain
                    .Unsewn(EdgeUse.Hem, "face", 2, face.Lower)
                    .Select(use => use with { Run = use.Run with { Drafted = foot.Value } })
            );
        string[] Named(string part) =>
            [.. seams.Where(seam => seam.Name.Contains(part, StringComparison.Ordinal)).Select(seam => seam.Name)];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            // Each lining face is sewn to the outer one that it lies behind.
            Tucks = lined ? [Tuck.Behind("lining", 2, "face", 1), Tuck.Behind("lining", 1, "face", 2)] : [],
            Finished =
            [
                ("finished width", face.Width),
                ("finished height", face.Height),
                ("depth", reading[D]),
                ("lower edge of a face", foot),
            ],
            Steps =
            [
                Step.Cutting(
                    lined
                        ? "Cut two outer and two lining faces, one of each turned over."
                        : "Cut two faces, one turned over."
                ),
                new("Sew the top and the side seams.", [.. Named("top"), .. Named("side")]),
                .. face.IsTraced
                    ? Array.Empty<Step>()
                    :
                    [
                        new Step(
                            "Open each top corner flat, seam on seam, and stitch it off to the depth.",
                            Named("corner")
                        ),
                        .. TryingOn.Corners,
                    ],
                .. lined
                    ?
                    [
                        new Step(
                            "Put the one inside the other, right sides together; sew the lower edge but for the turning gap.",
                            Named("lower edge")
                        ),
                        Step.Pressing("Turn through the gap, press, and close it by hand.", ["turning gap"]) with
                        {
                            Kind = StepKind.Turning,
                            How = [Technique.LadderStitch],
                        },
                    ]
                    : new[] { Step.Of(StepKind.Hemming, "Turn the hem up twice and sew it.") },
            ],
            Remarks =
            [
                new(
                    lined
                        ? "The two cloths must not show through each other; light to middle weight."
                        : "Light to middle weight cloth goes over the corners best."
                ),
            ],
        };
    }

    /// <summary>The back seen from behind: lower edge, right side, top, left side.</summary>
    internal static Outline Face(Length top, Length foot, Length height, Length rise)
    {
        var (left, o) = ((foot - top).Over(2), Length.Zero);
        return new Outline([
            new("lower", new(o, o)),
            new("right side", new(foot, o)),
            rise.IsPositive
                ? new("top", new(left + top, height), Bows.Radius(top, rise))
                : new("top", new(left + top, height)),
            new("left side", new(left, height)),
        ]);
    }
}

/// <summary>The answers to: Shape of the back.</summary>
internal enum BackShape
{
    Straight,
    Tapered,
    Arched,
    Traced,
}

/// <summary>The answers to: Lining.</summary>
internal enum LiningSchool
{
    Reversible,
    Single,
}

/// <summary>The answers to: Finials.</summary>
internal enum FinialPlaces
{
    None,
    Middle,
    Ends,
}
