using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// A slip-over for a chair back: two faces that meet at mid-depth, top corners stitched off to the depth; with a lining it can be worn
/// either way out (handbook §6.1).
/// </summary>
public sealed class ChairBackSlipOver : MakeUp
{
    /// <inheritdoc/>
    public override string Key => "chair-back-slip-over";

    /// <inheritdoc/>
    public override string Name => "Slip-over";

    /// <inheritdoc/>
    public override string Family => "Chair back";

    /// <inheritdoc/>
    public override string When =>
        "A loose cap over a chair back, pulled on from above; lined, it can be turned to the other cloth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        new Measure("W", "width", "Across the back at its top, outside to outside.", LengthLimits.Item).When(
            "back",
            "straight",
            "tapered",
            "arched"
        ),
        new Measure("B", "width at the seat", "Across the back just above the seat.", LengthLimits.Item).When(
            "back",
            "tapered",
            "arched"
        ),
        new Measure("H", "height", "From the seat to the top rail, at the side.", Usual.UpTo(120, "22", "56")).When(
            "back",
            "straight",
            "tapered",
            "arched"
        ),
        new Measure(
            "b",
            "rise of the arch",
            "How far the middle of the top rail stands above its ends.",
            LengthLimits.Item
        ).When("back", "arched"),
        new Measure(
            "O",
            "traced outline",
            "The back as seen from behind: points x, y from the lower left, one a line; behind a point arc or hollow and its radius. Or an SVG path.",
            LengthLimits.Item
        )
        {
            Kind = MeasureKind.Outline,
            ShownWhen = new Condition("back", ["traced"]),
        },
        new("D", "depth", "How thick the back is at its thickest.", Usual.UpTo(24, "2", "5")),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Choice.Of(
            "back",
            "Shape of the back",
            "Outline",
            new Option("straight", "Straight", "As wide at the top as at the seat."),
            new Option("tapered", "Tapered", "Wider at the top or at the seat."),
            new Option("arched", "Arched", "The top rail rises in the middle."),
            new Option("traced", "Traced", "Any other shape, off a template.")
        ) with
        {
            OnMeasure = true,
        },
        Choice.Of(
            "lining",
            "Lining",
            "Lining",
            new Option(
                "reversible",
                "Lined, reversible",
                "Two covers one inside the other, sewn together at the lower edge; turned through a gap."
            ),
            new Option("single", "Single", "One layer with a hem.")
        ),
        Choice.OfLength(
            "widthEase",
            "Ease in width",
            "Ease",
            Length.Inches(1),
            25,
            Usual.UpTo(6, "1", "2.5", zero: true)
        ),
        Choice.OfLength("heightEase", "Ease in height", "Ease", Length.Zero, 0, Usual.UpTo(6, "0", "0", zero: true)),
        Choice
            .Of(
                "finials",
                "Finials",
                "Top",
                new Option("none", "None", "The top seam is closed."),
                new Option("middle", "One in the middle", "A gap in the middle of the top seam."),
                new Option("ends", "One at each end", "A gap at both ends of the top seam.")
            )
            .When("back", "straight", "tapered", "arched"),
        Choice
            .OfLength("finialGap", "Gap for a finial", "Top", Length.Inches(2), 50, Usual.UpTo(24, "2", "5"))
            .When("finials", "middle", "ends"),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } =
    [Usual.Seam, new("h", "Hem", AllowanceRole.Hem, Length.Inches(1), Length.Millimetres(25))];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        Length Or(string key, int inches) => reading.Known(key) ?? Length.Inches(inches);
        var (d, o) = (Or("D", 2), Length.Zero);
        var traced = reading.Chosen("back", "traced");
        var (w, h) = (Or("W", 17), Or("H", 20));
        var b = reading.Chosen("back", "straight") ? w : Or("B", 16);
        var rise = reading.Chosen("back", "arched") ? Length.Min(reading.Known("b") ?? w.Over(8), w.Over(2)) : o;
        var face = traced && reading.Traced("O") is { } drawn ? drawn : Face(w, b, h, rise);
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
        List<DimensionLine> lines = [new("D", new(right, top.Over(2)), new(right + dx, top.Over(2) + dy))];
        if (!traced)
            lines.AddRange([
                new("W", new((b - w).Over(2), h), new((b - w).Over(2) + w, h)),
                new("H", new(left, o), new(left, h)),
            ]);
        if (!traced && !reading.Chosen("back", "straight"))
            lines.Add(new("B", new(o, o), new(b, o)));
        if (reading.Chosen("back", "arched"))
            lines.Add(new("b", new(b.Over(2), h), new(b.Over(2), h + rise)));
        return new Sketch(
            [new Stroke("face", [.. front.Select(p => p.Moved(dx, dy))]), new Stroke("face", front)],
            lines
        );
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        string Example(string inches, string metric) => reading.Unit.IsInches() ? inches : metric;
        if (reading.Chosen("back", "arched") && 2 * reading.Measure("b").Value > reading.Measure("W").Value)
            yield return reading.Refuse(
                "measures.b",
                $"a rise of more than half the width ({reading.Say(reading.Measure("W").Value.Over(2))}) turns back on itself",
                Example("2", "5")
            );
        if (!reading.Chosen("back", "traced") && !reading.Chosen("finials", "none"))
        {
            var gaps = reading.Chosen("finials", "ends") ? 2 : 1;
            if (gaps * reading.Choice("finialGap") >= reading.Measure("W").Value)
                yield return reading.Refuse(
                    "choices.finialGap",
                    $"the gaps take the whole top ({reading.Say(reading.Measure("W").Value)})",
                    Example("2", "5")
                );
        }
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var lined = reading.Chosen("lining", "reversible");
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
            seams.Add(Usual.Join("lower edge, front", ("face", 1, face.Lower), ("lining", 1, face.Lower), foot));
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
                        [new Run("lining", 2, face.Lower, from, to)],
                        drafted
                    )
                );
        }
        else
            uses.AddRange(
                Usual
                    .Left(EdgeUse.Hem, "face", 2, face.Lower)
                    .Select(use => use with { Run = use.Run with { Drafted = foot.Value } })
            );
        string[] Named(string part) =>
            [.. seams.Where(seam => seam.Name.Contains(part, StringComparison.Ordinal)).Select(seam => seam.Name)];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Finished =
            [
                ("finished width", face.Width),
                ("finished height", face.Height),
                ("depth", reading.Measure("D")),
                ("lower edge of a face", foot),
            ],
            Notions = [Making.Thread.Of(seams)],
            Steps =
            [
                new(
                    lined
                        ? "Cut two outer and two lining faces, one of each turned over."
                        : "Cut two faces, one turned over.",
                    []
                ),
                new("Sew the top and the side seams.", [.. Named("top"), .. Named("side")]),
                .. face.IsTraced
                    ? Array.Empty<Step>()
                    :
                    [
                        new Step(
                            "Open each top corner flat, seam on seam, and stitch it off to the depth. Try on before trimming.",
                            Named("corner")
                        ),
                    ],
                .. lined
                    ?
                    [
                        new Step(
                            "Put the one inside the other, right sides together; sew the lower edge but for the turning gap.",
                            Named("lower edge")
                        ),
                        new Step("Turn through the gap, press, and close it by hand.", ["turning gap"]),
                    ]
                    : new[] { new Step("Turn the hem up twice and sew it.", []) },
            ],
            Remarks =
            [
                new(
                    lined
                        ? "The two cloths must not show through each other; light to middle weight."
                        : "Light to middle weight cloth goes over the corners best."
                ),
                Usual.Blades,
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
