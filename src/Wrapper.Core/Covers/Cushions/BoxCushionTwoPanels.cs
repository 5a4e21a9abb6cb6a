using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
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

    /// <summary>The choices of this school.</summary>
    private protected static IReadOnlyList<Choice> PanelChoices { get; } =
    [.. OutlineShapes.Choices, .. EaseSchools.Choices, BoxedSheet.Corners, GrainChoices.Panels];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = base.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var seat = EaseSchools.Outline(reading);
        if (BoxedSheet.Refusal(seat) is { } why)
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
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var sheet = Sheet(reading);
        var back = sheet.Top.Back;
        var panel = sheet.Piece(
            "panel",
            "panel",
            2,
            side => reading.EdgeAllowance(side == back ? EdgeAllowances.Zip : EdgeAllowances.Seam, "panel", side)
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
            .. sheet.Sides.Select(side =>
                Plain.Join(
                    side == back ? "zip" : $"{side}, at mid-depth",
                    ("panel", 1, side),
                    ("panel", 2, side),
                    sheet.Top.Lengths[side],
                    side == back ? SeamKind.Zip : SeamKind.Join
                ) with
                {
                    Zip = side == back ? Zip.Chain(sheet.Top.Lengths[back] + (2 * reading[EdgeAllowances.Seam])) : null,
                }
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
            ],
            Notions = [.. Basics(reading)],
            Steps =
            [
                new(
                    panel.UncutShape is null
                        ? "Cut both panels and their corner cut-outs; mark the middle of every side."
                        : "Cut both panels as they are; mark the corner lines.",
                    []
                ),
                new(
                    "Sew the zip into the back edges, both sides from the same end, its slider left in the middle: the corner seams cross its ends. Open it.",
                    ["zip"]
                ),
                new(
                    "Sew the other sides, middle on middle, from corner to corner.",
                    [
                        .. seams
                            .Where(seam => seam.Name.EndsWith("mid-depth", StringComparison.Ordinal))
                            .Select(seam => seam.Name),
                    ]
                ),
                new(
                    "Open each corner flat and sew across it, top and bottom.",
                    [.. seams.Where(seam => seam.Kind == SeamKind.Dart).Select(seam => seam.Name)]
                ),
                new("Finish the seams and turn right side out through the zip.", []),
                FillingSteps.ThroughZip,
            ],
            Remarks = [.. sheet.Remarks(reading), .. EaseRemarks(reading)],
            InPairs = OutlineShapes.InPairs(reading),
        };
    }

    private static BoxedSheet Sheet(Reading reading) =>
        BoxedSheet.BySchool(reading, EaseSchools.Outline(reading), EaseSchools.Depth(reading) / 2, "panel");
}
