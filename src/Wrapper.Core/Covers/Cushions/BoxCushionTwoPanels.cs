using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A box cushion from two panels with boxed corners, seamed at mid-depth, zip across the back (craft §4.3).
/// </summary>
public class BoxCushionTwoPanels : BoxCushion
{
    /// <inheritdoc/>
    public override string Key => "box-cushion-two-panels";

    /// <inheritdoc/>
    public override string Name => "Two panels, corners boxed";

    /// <inheritdoc/>
    public override string Suits =>
        "Two pieces and no strips: a seam at mid-depth all round. Pile and print run the same way on both faces, and any straight-sided outline can be followed.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices => PanelChoices;

    private static readonly OptionChoice<ZipSchool> Zips = ZipSchools.School.Without(ZipSchool.Closed);

    /// <summary>The choices of this school.</summary>
    private protected static IReadOnlyList<Choice> PanelChoices { get; } =
    [
        .. OutlineShapes.Choices,
        .. EaseSchools.Choices,
        BoxedSheet.Corners,
        Zips,
        ZipSchools.Turn,
        ZipSchools.Clear,
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = base.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var seat = Top(reading);
        if (IsRounded(reading) && !IsSoftened(reading))
            problems.Add(
                reading.Refuse(
                    OutlineShapes.CornerRadius,
                    "rounded corners cannot be cut out first in this make-up: stitch them off, or choose a separate boxing strip",
                    "0"
                )
            );
        else if (BoxedSheet.Refusal(seat) is { } why)
            problems.Add(RefuseShape(reading, $"{why}; choose a separate boxing strip"));
        else if (
            OutlineCheck.Fault(Sheet(reading).Top.Outline) is not null
            || Sheet(reading).Top.Width.Value <= Sheet(reading).Fall.Value
        )
            problems.Add(
                reading.Refuse(
                    BoxedSheet.Corners,
                    "a square as large as the drop leaves nothing of so small a top",
                    "cut"
                )
            );
        else if (IsSoftened(reading) && Sheet(reading) is var soft && soft.ArcReach.Value >= soft.Fall.Value)
            problems.Add(
                reading.Refuse(
                    OutlineShapes.CornerRadius,
                    "the corner line curves at both ends, and such a radius leaves it no straight part",
                    reading.Example("2", "5")
                )
            );
        else
            problems.AddRange(new RingZip(reading, Sheet(reading).Top, reading.Chosen(Zips)).Check(reading));
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var sheet = Sheet(reading);
        var zip = new RingZip(reading, sheet.Top, reading.Chosen(Zips));
        var panel = sheet.Piece(
            "panel",
            "panel",
            2,
            side => reading.EdgeAllowance(zip.Allowance(side), "panel", side)
        ) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
            TurnedOver = true,
            MayBeJoined = JoinsPanels,
            Notches = [.. sheet.Sides.Select(side => new Notch(side, sheet.Top.Outline.LengthOf(side).Over(2)))],
        };
        List<Seam> seams =
        [
            .. sheet.CornerSeams("panel", 1, ", top"),
            .. sheet.CornerSeams("panel", 2, ", bottom"),
            .. zip.Seams(
                "panel",
                ToBuy(reading, sheet, zip, panel.UncutShape is not null),
                side => $"{side}, at mid-depth"
            ),
        ];
        return new Pattern
        {
            Pieces = [panel],
            Seams = seams,
            Finished =
            [
                .. FinishedSizes(sheet.Top.Width, sheet.Top.Depth, 2 * sheet.Fall),
                ("perimeter", sheet.Top.Perimeter),
                ("zip run", zip.Run),
                ("corner seam", seams.First(seam => seam.Kind == SeamKind.Dart).Drafted),
            ],
            Notions = [.. Basics(reading)],
            MidDepth = sheet.Fall,
            Steps = Steps(reading, sheet, seams),
            Remarks = [.. sheet.Remarks(reading), .. EaseRemarks(reading)],
            InPairs = OutlineShapes.InPairs(reading),
        };
    }

    private static Zip ToBuy(Reading reading, BoxedSheet sheet, RingZip zip, bool uncut)
    {
        var s = reading[EdgeAllowances.Seam];
        return reading.Chosen(Zips) switch
        {
            ZipSchool.Inside => Zip.OfTeeth(zip.Run, "kept inside the corners"),
            ZipSchool.Round => Zip.Chain(zip.Run + (2 * s), "turns both back corners"),
            _ => Zip.Chain(
                uncut ? zip.Run + (2 * sheet.Fall) + (2 * s) : zip.Run + (2 * s),
                "full cut width, oversewn at the corners"
            ),
        };
    }

    // A seam that the zip turns into is sewn before it; one that crosses the zip's ends comes after (craft §4.7).
    private static IReadOnlyList<Step> Steps(Reading reading, BoxedSheet sheet, IReadOnlyList<Seam> seams)
    {
        var off = reading.Chosen(BoxedSheet.Corners) is CornerSchool.StitchOff;
        var round = reading.Chosen(Zips) is ZipSchool.Round;
        var corners = seams.Where(seam => seam.Kind == SeamKind.Dart).ToList();
        var back = round ? corners.Where(seam => IsAtBack(seam, sheet)).ToList() : [];
        Step Corners(string which, IEnumerable<Seam> darts) =>
            new(
                off
                    ? $"Open each{which} corner flat and stitch across it, top and bottom."
                    : $"Sew the{which} corners of both panels, edge on edge.",
                [.. darts.Select(seam => seam.Name)]
            );
        List<string> beside =
        [
            .. seams.Select(seam => seam.Name).Where(name => name.EndsWith("the zip", StringComparison.Ordinal)),
        ];
        var closing = new Step(
            reading.Chosen(Zips) switch
            {
                ZipSchool.Inside => ZipSteps.Inside("Open it."),
                ZipSchool.Round => ZipSteps.Round("Open it."),
                _ =>
                    "Sew the zip into the back edges, both sides from the same end, its slider left in the middle: the corner seams cross its ends. Open it.",
            },
            ["zip", .. beside]
        );
        List<Step> steps =
        [
            Step.Cutting(
                off
                    ? "Cut both panels as they are; mark the corner lines and the middle of every side."
                    : "Cut both panels and their corner cut-outs; mark the middle of every side."
            ),
        ];
        if (round)
            steps.Add(Corners(" back", back));
        steps.Add(closing);
        steps.Add(
            new(
                round
                    ? "Sew the other sides, middle on middle, from where the zip ends."
                    : "Sew the other sides, middle on middle, from corner to corner.",
                [
                    .. seams
                        .Where(seam => seam.Name.EndsWith("mid-depth", StringComparison.Ordinal))
                        .Select(seam => seam.Name),
                ]
            )
        );
        steps.Add(Corners(round ? " other" : "", corners.Except(back)));
        if (off)
            steps.AddRange(TryingOn.Corners);
        steps.Add(Step.Of(StepKind.Turning, "Finish the seams and turn right side out through the zip."));
        steps.Add(FillingSteps.ThroughZip);
        return steps;
    }

    private static bool IsAtBack(Seam corner, BoxedSheet sheet) =>
        corner
            .OneSide.Concat(corner.OtherSide)
            .Any(run => run.Edge == $"{sheet.Top.Back} start" || run.Edge == $"{sheet.Top.Back} end");

    private static bool IsRounded(Reading reading) =>
        reading.Chosen(OutlineShapes.Shape) is SeatShapeKind.Rectangle
        && reading.OrZero(OutlineShapes.CornerRadius).Value.IsPositive;

    // Over a rounded inner corners are stitched off in a line that curves.
    private static bool IsSoftened(Reading reading) =>
        IsRounded(reading) && reading.Chosen(BoxedSheet.Corners) is CornerSchool.StitchOff;

    private static SeatOutline Top(Reading reading)
    {
        if (!IsSoftened(reading))
            return EaseSchools.Outline(reading);
        var box = EaseSchools.Finished(reading);
        return RectangleShape.Of(box.Width, box.Length, Sum.Of());
    }

    private static BoxedSheet Sheet(Reading reading) =>
        BoxedSheet.BySchool(
            reading,
            Top(reading),
            EaseSchools.Depth(reading) / 2,
            "panel",
            IsSoftened(reading) ? reading.OrZero(OutlineShapes.CornerRadius) : null
        );
}
