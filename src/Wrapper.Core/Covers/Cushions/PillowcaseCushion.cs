using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A pillowcase with a wrapped end, for sofa cushions: two panels seamed at mid-depth, one end left long and folded in
/// like a parcel
/// (craft §4.4). Square corners can be boxed; T, L and curved ends are pinned at mid-depth and trimmed.
/// </summary>
public sealed class PillowcaseCushion : BoxCushion
{
    internal static readonly OptionChoice<PillowCornerSchool> PillowCorners = Choice
        .Of(
            "pillowCorners",
            "Front corners",
            "Corners",
            Option.Of(
                PillowCornerSchool.Boxed,
                "Boxed",
                "Square corners cut out by the corner rule: the cushion keeps its edges."
            ),
            Option.Of(
                PillowCornerSchool.Plain,
                "Plain",
                "Seamed straight round; the corners stand out a little like ears, or are pinned off."
            )
        )
        .ToldToCustomer();

    internal static readonly LengthChoice WrapOver = Choice.OfLength(
        "wrapOver",
        "Folded in, beyond the depth by",
        "Wrapped end",
        Length.Inches(3),
        75,
        LengthLimits.UpTo(24, "3", "7.5", zero: true)
    ) with
    {
        Adjustable = Length.Inches(1),
    };

    internal static readonly OptionChoice<WrapFastening> HeldBy = Choice
        .Of(
            "closing",
            "Held by",
            "Wrapped end",
            Option.Of(WrapFastening.Pins, "Pins", "Twisted pins, or nothing where the cushion stands against a back."),
            Option.Of(WrapFastening.HookAndLoop, "Hook-and-loop", "A strip along the end, sewn to both sides."),
            Option.Of(WrapFastening.Snaps, "Snaps", "One every 4 in (10 cm) or so."),
            Option.Of(WrapFastening.Zip, "A zip", "Across the end; closed before it is folded in.")
        )
        .ToldToCustomer();

    /// <inheritdoc/>
    public override string Key => "pillowcase-cushion";

    /// <inheritdoc/>
    public override string Name => "Pillowcase, wrapped end";

    /// <inheritdoc/>
    public override string Suits =>
        "Throw-on covers for sofa cushions: no boxing and no zip needed, one end is folded in like a parcel. T, L and curved ends are pinned on the cushion.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [.. OutlineShapes.Choices, .. EaseSchools.Choices, PillowCorners, WrapOver, HeldBy, GrainChoices.Panels];

    private protected override bool IsBoxed => false;

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = base.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var seat = EaseSchools.Outline(reading);
        var half = EaseSchools.Depth(reading).Value.Over(2);
        if (!IsStraightBeside(seat, OpenEnd(reading, seat)))
            problems.Add(
                RefuseShape(
                    reading,
                    "the sides run into the open end in a curve, so it cannot be folded in; choose a separate boxing strip"
                )
            );
        else if (half <= reading[EdgeAllowances.Seam].Value)
            problems.Add(
                reading.Refuse(
                    BoxCushion.T,
                    $"half the depth ({reading.Say(half)}) is no more than a seam allowance",
                    reading.Example("4", "10")
                )
            );
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var seat = EaseSchools.Outline(reading);
        var end = OpenEnd(reading, seat);
        var depth = EaseSchools.Depth(reading);
        var half = (depth / 2).As("G", "fold-down to mid-depth");
        var wrap = (depth + new Allowance("o", AllowanceRole.Lap, reading[WrapOver])).As("E", "wrapped end");
        var boxed =
            reading.Chosen(PillowCorners) is PillowCornerSchool.Boxed
            && reading.Chosen(OutlineShapes.Shape) is SeatShapeKind.Rectangle
            && !reading.Has(OutlineShapes.CornerRadius);
        var zipped = reading.Chosen(HeldBy) is WrapFastening.Zip;

        var dimensions = seat.Dimensions.ToDictionary(pair => pair.Key, pair => pair.Value);
        (dimensions["fall"], dimensions["wrap"]) = (half, wrap);
        Outline Shape(Dimensions d) =>
            boxed
                ? Boxed(d["width"], d["length"], d["fall"], d["wrap"])
                : Offset.Outward(seat.Shape(d), edge => edge == end ? d["wrap"] : d["fall"]);
        var drawn = Shape(new Dimensions(dimensions));
        // Closed with anything but a zip the end stays raw: it is only finished against fraying.
        var allowances = drawn
            .Edges.Where(edge => edge.Name != end || zipped)
            .ToDictionary(
                edge => edge.Name,
                edge =>
                    reading.EdgeAllowance(
                        edge.Name == end ? EdgeAllowances.Zip : EdgeAllowances.Seam,
                        "panel",
                        edge.Name
                    )
            );
        var sideways = end is "left" or "right";
        var piece = new Piece("panel", "panel", 2, dimensions, Shape)
        {
            Allowances = allowances,
            Grain = reading.Chosen(GrainChoices.Panels),
            TurnedOver = true,
            Note = boxed
                ? ""
                : "Pin at mid-depth on the cushion, trim in two passes, the second layer by less than the first; slit inside curves to within two seam allowances of the line.",
        }.Measured(
            sideways ? seat.Width + half + wrap : seat.Width + (2 * half),
            sideways ? seat.Depth + (2 * half) : seat.Depth + half + wrap,
            more: boxed ? [] : seat.Diagonals(drawn)
        );

        var corners = boxed ? new[] { ("front end", "right start"), ("left end", "front start") } : [];
        List<Seam> seams =
        [
            .. from edge in drawn.Edges.Select(edge => edge.Name)
            where edge != end && !corners.Any(corner => corner.Item1 == edge || corner.Item2 == edge)
            select Plain.Join(
                $"{edge}, at mid-depth",
                ("panel", 1, edge),
                ("panel", 2, edge),
                Working.Of(edge, $"{edge} edge as drawn", drawn.LengthOf(edge))
            ),
            .. from corner in corners
            from instance in new[] { 1, 2 }
            select new Seam(
                $"{corner.Item1} to {corner.Item2}{(instance == 1 ? ", top" : ", bottom")}",
                SeamKind.Dart,
                [new Run("panel", instance, corner.Item1)],
                [new Run("panel", instance, corner.Item2)],
                half
            ),
        ];
        var across = Working.Of("end", "open end as drawn", drawn.LengthOf(end));
        if (zipped)
            seams.Add(
                Plain.Join("zip", ("panel", 1, end), ("panel", 2, end), across, SeamKind.Zip) with
                {
                    Zip = Zip.Chain(across + (2 * reading[EdgeAllowances.Seam])),
                }
            );
        return new Pattern
        {
            Pieces = [piece],
            Seams = seams,
            Uses = zipped
                ? []
                :
                [
                    .. Plain
                        .Unsewn(EdgeUse.Opening, "panel", 2, end)
                        .Select(use => use with { Run = use.Run with { Drafted = across.Value } }),
                ],
            Finished = [.. FinishedSizes(seat.Width, seat.Depth, depth), ("wrapped end", wrap)],
            Applied =
                reading.Chosen(HeldBy) is WrapFastening.HookAndLoop
                    ? [new("hook-and-loop", AppliedKind.Tape, across)]
                    : [],
            Notions = [.. Closing(reading, across), .. Basics(reading)],
            Steps =
            [
                Step.Cutting("Cut both panels; finish the open end against fraying."),
                .. zipped ? [new Step("Sew the zip across the open end and open it.", ["zip"])] : Array.Empty<Step>(),
                new(
                    "Sew the panels together at mid-depth, from the open end round to the open end.",
                    [.. seams.Where(seam => seam.Kind == SeamKind.Join).Select(seam => seam.Name)]
                ),
                boxed
                    ? new(
                        "Open the front corners flat and sew across them.",
                        [.. seams.Where(seam => seam.Kind == SeamKind.Dart).Select(seam => seam.Name)]
                    )
                    : Step.Of(StepKind.Pinning, "Pin the curve or corner on the cushion, at mid-depth, and sew."),
                Step.Fitting("Try it on, right side out, after every seam. Nothing is trimmed yet."),
                Step.Trimming(
                    boxed
                        ? TryingOn.Trim
                        : "Trim in two passes, the second layer less than the first; slit curves to within twice the seam allowance of the line."
                ),
                Step.Filling("Turn right side out, put the cushion in, fold the end in like a parcel and fasten it."),
            ],
            Remarks = [.. EaseRemarks(reading)],
            InPairs = OutlineShapes.InPairs(reading),
        };
    }

    // What is left beyond the inner's edge: the back, or of a cushion with one curved end the other end.
    private static string OpenEnd(Reading reading, SeatOutline seat) =>
        reading.Chosen(OutlineShapes.Shape) is not SeatShapeKind.CurvedEnd ? seat.Back
        : reading.Chosen(OutlineShapes.Hand) is HandSide.Left ? "right"
        : "left";

    private static bool IsStraightBeside(SeatOutline seat, string end)
    {
        var edges = seat.Outline.Edges;
        var at = edges.Select(edge => edge.Name).ToList().IndexOf(end);
        return at >= 0 && new[] { at - 1, at, at + 1 }.All(n => edges[(n + edges.Count) % edges.Count].Radius is null);
    }

    // Square corners at the front only; the sides run on past the back.
    private static Outline Boxed(Length w, Length l, Length g, Length wrap)
    {
        var o = Length.Zero;
        Point At(Length x, Length y) => new(x, y);
        return new Outline([
            new("front start", At(o, o)),
            new("front", At(o, -g)),
            new("front end", At(w, -g)),
            new("right start", At(w, o)),
            new("right", At(w + g, o)),
            new("back", At(w + g, l + wrap)),
            new("left", At(-g, l + wrap)),
            new("left end", At(-g, o)),
        ]);
    }

    private static IEnumerable<Notion> Closing(Reading reading, Working across)
    {
        if (reading.Chosen(HeldBy) is WrapFastening.Snaps)
            yield return new(
                "snaps",
                "snaps",
                null,
                (int)(across.Value.UpTo(Length.Inches(4)).Ticks / Length.Inches(4).Ticks)
            );
    }
}

/// <summary>The answers to: Front corners.</summary>
internal enum PillowCornerSchool
{
    Boxed,
    Plain,
}

/// <summary>The answers to: Held by.</summary>
internal enum WrapFastening
{
    Pins,
    HookAndLoop,
    Snaps,
    Zip,
}
