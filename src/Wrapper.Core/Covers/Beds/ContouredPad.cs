using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Beds;

/// <summary>
/// A cover for a pad whose sides stand up and whose middle lies low: two ends cut to its profile and one wrap over them
/// (craft §7.3).
/// </summary>
public sealed class ContouredPad : MakeUp
{
    internal static readonly LengthChoice Tuck = Choice.OfLength(
        "tuck",
        "Tuck beneath",
        "Edge",
        Length.Inches(2),
        50,
        LengthLimits.UpTo(12, "2", "5", zero: true)
    ) with
    {
        Adjustable = Length.Inches(0, 1, 2),
        Learns = true,
    };

    internal static readonly Measure W = new Measure(
        "W",
        "base width",
        "Across the underside at the end, side to side.",
        LengthLimits.Item,
        Usual: Length.Inches(16)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "From end to end along the side.",
        LengthLimits.Item,
        Usual: Length.Inches(32)
    );

    internal static readonly Measure H1 = new Measure(
        "H1",
        "rim height",
        "From the table up to the top of the rim.",
        LengthLimits.UpTo(24, "4", "10"),
        Usual: Length.Inches(4)
    );

    internal static readonly Measure W1 = new Measure(
        "W1",
        "rim width",
        "Across the flat top of one rim; both are alike.",
        LengthLimits.UpTo(60, "2", "5"),
        Usual: Length.Inches(2)
    );

    internal static readonly Measure W2 = new Measure(
        "W2",
        "middle width",
        "Across the flat middle, between the slopes.",
        LengthLimits.UpTo(120, "6", "15"),
        Usual: Length.Inches(6)
    );

    internal static readonly Measure H2 = new Measure(
        "H2",
        "middle height",
        "From the table up to the middle where it is flat.",
        LengthLimits.UpTo(24, "1 1/2", "4"),
        Usual: Length.Inches(1, 1, 2)
    );

    /// <inheritdoc/>
    public override string Key => "contoured-pad";

    /// <inheritdoc/>
    public override string Name => "Two ends and a wrap";

    /// <inheritdoc/>
    public override string Family => "Contoured pad";

    /// <inheritdoc/>
    public override Length Tolerance => Length.Inches(1);

    /// <inheritdoc/>
    public override string Suits =>
        "For changing pads and the like: the wrap follows the hollow of the pad, elastic beneath holds it.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L, H1, W1, W2, H2];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Bedding.UsedFor.StartingWith(BedUse.Cot),
        Tuck,
        Elastic.Edge,
        .. Elastic.AllRound,
        GrainChoices.Panels,
        WidthJoins.School.StartingWith(WidthSchool.Strip),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, Elastic.Casing];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var (w, l, rim, high) = (reading.Drawn(W), reading.Drawn(L), reading.Drawn(H1), reading.Drawn(H2));
        // A profile that cannot be is drawn as far as it can.
        var rimWidth = Length.Min(reading.Drawn(W1), w.Over(3));
        var middle = Length.Min(reading.Drawn(W2), w - (2 * rimWidth) - w.Over(20));
        var end = PadProfile.Draw(w, rim, rimWidth, middle, high, Length.Zero);
        Point Corner(string edge) => end.Edges.Single(each => each.Name == edge).Start;
        var beside = (w - middle).Over(2);
        return ExtrudedSketch.Of(
            end,
            l,
            [
                new(W, Corner(PadProfile.Foot), Corner("right side")),
                new(H1, Corner(PadProfile.Foot), Corner("left side")),
                new(W1, Corner("left side"), Corner("left rim")),
                new(W2, Corner("left slope"), Corner("middle")),
                new(H2, new(beside, Length.Zero), Corner("left slope")),
            ],
            (L, Corner("right side"))
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        foreach (var problem in PadProfile.Check(reading))
            yield return problem;
        var s = reading[EdgeAllowances.Seam].Value;
        if (reading[L].Value <= 4 * s)
            yield return reading.Refuse(
                L,
                $"no more than four seam allowances ({reading.Say(4 * s)})",
                reading.Example("32", "80")
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (w, l) = (reading[W], reading[L]);
        var profile = new PadProfile(
            w,
            reading[H1],
            reading[W1],
            reading[W2],
            reading[H2],
            Working.Of("t", "tuck beneath", reading[Tuck])
        );
        var path = profile.Whole;
        var end = new Piece("end", "end", 2, profile.Dimensions, PadProfile.Draw)
        {
            Allowances = PadProfile
                .Path.Append(PadProfile.Foot)
                .ToDictionary(
                    edge => edge,
                    edge =>
                        edge == PadProfile.Foot
                            ? Elastic.Allowance(reading, "end", edge)
                            : reading.EdgeAllowance(EdgeAllowances.Seam, "end", edge)
                ),
            // Where the profile turns inward its allowance is clipped, where it turns outward notched; on the wrap it
            // is the reverse.
            Notches = [.. Turns(profile).Select(turn => new Notch(turn.Edge, Length.Zero, Clip: turn.Inward))],
            Note = "Clip the inward angles, notch the outward ones.",
        }.Measured(profile.Base, profile.Height, "width", "height");
        var wrap = Plain.Rectangle(
            "wrap",
            "wrap",
            1,
            path,
            l,
            edge =>
                edge is "left" or "right"
                    ? Elastic.Allowance(reading, "wrap", edge)
                    : reading.EdgeAllowance(EdgeAllowances.Seam, "wrap", edge)
        ) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
            MayBeJoined = true,
            Note = "At the marks, notch where the profile turns inward and clip where it turns outward.",
        };
        Seam EndSeam(int instance, string edge) =>
            new(
                $"{(instance == 1 ? "first" : "second")} end to wrap",
                SeamKind.Join,
                [new Run("wrap", 1, edge)],
                [
                    .. PadProfile.Path.Select(part => new Run("end", instance, part)
                    {
                        Drafted = profile.Lengths[part].Value,
                    }),
                ],
                path
            );
        List<Seam> seams = [EndSeam(1, "lower"), EndSeam(2, "upper")];
        var hem = (2 * (w + l)).As("hem", "hem perimeter");
        return new Pattern
        {
            Pieces = [end, wrap],
            EndFirst = true,
            Seams = seams,
            Uses =
            [
                .. Plain
                    .Unsewn(Elastic.Use(reading), "end", 2, PadProfile.Foot)
                    .Select(use => use with { Run = use.Run with { Drafted = w.Value } }),
                .. Plain
                    .Unsewn(Elastic.Use(reading), "wrap", 1, "left", "right")
                    .Select(use => use with { Run = use.Run with { Drafted = l.Value } }),
            ],
            Finished =
            [
                ("finished width", w),
                ("finished length", l),
                ("path of the profile", path),
                ("hem perimeter", hem),
            ],
            Notions = [.. Elastic.Notions(reading, hem, l, corners: 0)],
            Steps =
            [
                Step.Cutting("Cut two ends and the wrap; mark every angle of the profile on both."),
                new(
                    "Pin the wrap to the ends from both lower edges, ease toward the middle; clip and notch the angles, and sew.",
                    [.. seams.Select(seam => seam.Name)]
                ),
                Step.Fitting("Try it on before hem or elastic."),
                .. Elastic.Steps(reading),
            ],
            Remarks =
            [
                .. Bedding.Cautions(reading.Chosen(Bedding.UsedFor) is BedUse.Cot, corded: false),
                .. Elastic.Remarks(reading),
            ],
        };
    }

    // The edges of the path that start at an angle, and whether the profile turns inward there.
    private static IEnumerable<(string Edge, bool Inward)> Turns(PadProfile profile)
    {
        var outline = PadProfile.Draw(new Dimensions(profile.Dimensions));
        foreach (var (before, edge) in PadProfile.Path.Zip(PadProfile.Path.Skip(1)))
        {
            var turn = outline.Curve(before).Direction(1).Cross(outline.Curve(edge).Direction(0));
            if (Math.Abs(turn) > 1e-3)
                yield return (edge, turn < 0);
        }
    }
}
