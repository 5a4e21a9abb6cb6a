using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Ottomans;

/// <summary>
/// A soft cube with bands round its corners: darted top and bottom that wrap by <c>t</c>, four sides, and a band of
/// half-width <c>b</c> round
/// each upright corner (craft §5.3).
/// </summary>
public sealed class CubeBanded : Ottoman
{
    internal static readonly LengthChoice Wrap = Choice.OfLength(
        "wrap",
        "Top and bottom wrap by",
        "Cube",
        Length.Inches(2),
        50,
        LengthLimits.UpTo(60, "2", "5")
    );

    internal static readonly LengthChoice Band = Choice.OfLength(
        "band",
        "Half-width of the bands",
        "Cube",
        Length.Inches(1, 3, 4),
        45,
        LengthLimits.UpTo(60, "1 3/4", "4.5")
    );

    internal static readonly LengthChoice Gap = Choice.OfLength(
        "gap",
        "Gap for filling",
        "Cube",
        Length.Zero,
        0,
        LengthLimits.UpTo(60, "9", "23", zero: true)
    ) with
    {
        Note = "0: half the width, or all that the bands leave of it.",
    };

    internal static readonly CountChoice Density = Choice.OfCount(
        "density",
        "Filling, kilograms in a cubic metre",
        "Cube",
        30,
        1,
        300
    ) with
    {
        Note = "As the maker of the filling states it.",
    };

    /// <inheritdoc/>
    public override string Key => "cube-banded";

    /// <inheritdoc/>
    public override int Rank => 1;

    /// <inheritdoc/>
    public override string Name => "Cube with corner bands";

    /// <inheritdoc/>
    public override string Suits =>
        "A stuffed cube to sit on: bands round the upright corners take the wear, and can be of another cloth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Wrap, Band, Gap, Density, GrainChoices.Panels];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var (w, l, h, t, b) = (
            reading[Ottoman.W].Value,
            reading[Ottoman.L].Value,
            reading[Ottoman.H].Value,
            reading[Wrap],
            reading[Band]
        );
        if (2 * t >= h)
            yield return reading.Refuse(
                Wrap,
                $"wrapped at half the height ({reading.Say(h.Over(2))}) or more, nothing is left of the sides",
                reading.Example("2", "5")
            );
        if (2 * b >= Length.Min(w, l))
            yield return reading.Refuse(
                Band,
                $"over half the width ({reading.Say(Length.Min(w, l).Over(2))}): the bands leave nothing of the sides",
                reading.Example("1 3/4", "4.5")
            );
        else if (reading[Gap] > w - (2 * b))
            yield return reading.Refuse(
                Gap,
                $"wider than the front side between its bands ({reading.Say(w - (2 * b))})",
                "0"
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (w, l, h) = (reading[Ottoman.W], reading[Ottoman.L], reading[Ottoman.H]);
        var t = Working.Of("t", "wrap at top and bottom", reading[Wrap]);
        var b = Working.Of("b", "half-width of a band", reading[Band]);
        var seat = RectangleShape.Of(w, l, Sum.Of());
        var sides = seat.Outline.Edges.Select(edge => edge.Name).ToList();
        // The dart is stitched t + s from both raw edges and trimmed: nothing is cut first.
        var sheet = new BoxedSheet(
            seat,
            t,
            edge => reading.EdgeAllowance(EdgeAllowances.Seam, "top", edge),
            stitchOff: true
        );
        var top = sheet.Piece(
            "top",
            "top and bottom",
            2,
            side => reading.EdgeAllowance(EdgeAllowances.Seam, "top", side)
        ) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
            TurnedOver = true,
            Note =
                $"Dart each corner where it measures {reading.Say(t.Value + reading[EdgeAllowances.Seam].Value)} from both raw edges, then trim.",
        };
        var high = h - (2 * t);
        Working S(string key, string edge) => reading.EdgeAllowance(EdgeAllowances.Seam, key, edge);
        Piece Side(string key, string name, int quantity, Working width) =>
            Plain.Rectangle(key, name, quantity, width, high, edge => S(key, edge), "width", "height");
        Piece[] pieces =
        [
            top,
            Side("front", "side, front and back", 2, w - (2 * b)) with
            {
                Role = ClothRole.Sides,
            },
            Side("side", "side, left and right", 2, l - (2 * b)) with
            {
                Role = ClothRole.Sides,
            },
            Side("band", "corner band", 4, 2 * b) with
            {
                Role = ClothRole.Contrast,
                Notches = [new("upper", b.Value), new("lower", b.Value)],
                Note = "Notch the middle of both ends: the dart meets it.",
            },
        ];
        // Half the width, or all that the bands leave of it.
        var gap = reading[Gap].IsPositive
            ? Working.Of("gap", "gap for filling", reading[Gap])
            : new Extreme(Larger: false, w / 2, w - (2 * b)).As("gap", "gap for filling");
        List<Seam> seams =
        [
            .. sheet.CornerSeams("top", 1, ", top"),
            .. sheet.CornerSeams("top", 2, ", bottom"),
            .. Uprights(high),
            .. Rings(seat, sides, b, gap),
        ];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Finished =
            [
                ("finished width", w),
                ("finished length", l),
                ("finished height", h),
                ("ring of sides and bands", seat.Perimeter),
                ("gap for filling", gap),
            ],
            Notions = [Making.LooseFilling.Of(seat.Outline, h.Value, reading[Density], knifeEdge: false)],
            Steps =
            [
                Step.Cutting("Cut top, bottom, four sides and four bands; notch the middle of the bands' ends."),
                new(
                    "Dart the corners of top and bottom.",
                    [.. seams.Where(seam => seam.Kind == SeamKind.Dart).Select(seam => seam.Name)]
                ),
                Step.Fitting("Lay top and bottom over the form, darts on its corners. Nothing is trimmed yet."),
                Step.Trimming("Trim the darts to one seam allowance."),
                new("Sew bands and sides to a ring.", [.. Uprights(high).Select(seam => seam.Name)]),
                new(
                    "Sew the ring to the top, darts on the bands' notches, seams opened where they are crossed.",
                    [
                        .. seams
                            .Where(seam => seam.Name.EndsWith("of the top", StringComparison.Ordinal))
                            .Select(seam => seam.Name),
                    ]
                ),
                new(
                    "Sew the ring to the bottom, leaving the gap in the middle of its front edge.",
                    [
                        .. seams
                            .Where(seam => seam.Name.EndsWith("of the bottom", StringComparison.Ordinal))
                            .Select(seam => seam.Name),
                    ]
                ),
                Step.Filling(
                    "Turn, and try it on before it is stuffed. Soft form first, scrap in the core, padding at sides and corners; close the gap by hand.",
                    ["gap for filling"]
                ) with
                {
                    Does = Doing.Fitting | Doing.Filling,
                    How = [Technique.LadderStitch],
                },
            ],
        };
    }

    // Band 1 stands at the front right corner, 2 at the back right, 3 at the back left, 4 at the front left; seen from
    // outside.
    private static IEnumerable<Seam> Uprights(Working high)
    {
        foreach (var (side, at) in new[] { "front", "right", "back", "left" }.Select((side, at) => (side, at)))
        {
            var (piece, instance) = Under(side);
            yield return Plain.Join(
                $"{side} side to the band after it",
                (piece, instance, "right"),
                ("band", at + 1, "left"),
                high
            );
            yield return Plain.Join(
                $"{side} side to the band before it",
                ("band", at == 0 ? 4 : at, "right"),
                (piece, instance, "left"),
                high
            );
        }
    }

    // Each edge of the darted top takes half a band, a side and half a band; the bottom's front edge has the gap in its
    // middle.
    private static IEnumerable<Seam> Rings(SeatOutline seat, List<string> sides, Working b, Working gap)
    {
        foreach (var (sheet, edge, name) in new[] { (1, "upper", "top"), (2, "lower", "bottom") })
            for (var at = 0; at < sides.Count; at++)
            {
                var (piece, instance) = Under(sides[at]);
                var (before, after) = (at == 0 ? 4 : at, at + 1);
                // Upper edges are drawn from right to left, lower ones from left to right: half of a band counts from
                // its far end.
                Run HalfBefore() =>
                    edge == "upper" ? new("band", before, edge, null, b.Value) : new("band", before, edge, b.Value);
                Run HalfAfter() =>
                    edge == "upper" ? new("band", after, edge, b.Value) : new("band", after, edge, null, b.Value);
                var whole = seat.Lengths[sides[at]];
                // From left to right, seen from outside: that is with the edges of the top, and with those of the sides
                // along the bottom, which is turned over.
                Seam Edge(IReadOnlyList<Run> sheets, IReadOnlyList<Run> below, Working drafted) =>
                    new(
                        $"{sides[at]} edge of the {name}",
                        SeamKind.Join,
                        name == "top" ? sheets : below,
                        name == "top" ? below : sheets,
                        drafted
                    );
                if (name == "top" || sides[at] != "front")
                {
                    yield return Edge(
                        [new Run("top", sheet, sides[at])],
                        [HalfBefore(), new Run(piece, instance, edge), HalfAfter()],
                        whole
                    );
                    continue;
                }
                var beside = ((whole - gap) / 2).As("beside", "beside the gap");
                var start = beside.Value - b.Value;
                yield return Edge(
                    [
                        new Run("top", sheet, "front", null, beside.Value),
                        new Run("top", sheet, "front", beside.Value + gap.Value),
                    ],
                    [
                        HalfBefore(),
                        new Run(piece, instance, edge, null, start),
                        new Run(piece, instance, edge, start + gap.Value),
                        HalfAfter(),
                    ],
                    2 * beside
                );
                yield return new(
                    "gap for filling",
                    SeamKind.Opening,
                    [new Run("top", sheet, "front", beside.Value, beside.Value + gap.Value)],
                    [new Run(piece, instance, edge, start, start + gap.Value)],
                    gap
                );
            }
    }
}
