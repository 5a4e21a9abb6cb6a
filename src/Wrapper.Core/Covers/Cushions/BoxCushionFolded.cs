using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A box cushion from one piece, folded across the front, zip across the back: the quick school (craft §4.2).
/// </summary>
public sealed class BoxCushionFolded : BoxCushion
{
    /// <inheritdoc/>
    public override string Key => "box-cushion-folded";

    /// <inheritdoc/>
    public override string Name => "One piece, folded";

    /// <inheritdoc/>
    public override string Suits =>
        "The quick way: one piece, no strips, no cord. Soft edges; seams run round the sides at mid-depth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        .. OutlineShapes.Choices,
        .. EaseSchools.Choices,
        BoxedSheet.Corners,
        ZipSchools.School,
        ZipSchools.Turn,
        ZipSchools.Clear,
        GrainChoices.Panels,
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<ShownAs> Shown { get; } =
    [
        new("corners", "stitch-off", "stitch-off", "Its rounded corners are shown square.")
        {
            Without = OutlineShapes.CornerRadius.Key,
        },
    ];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (reading.Chosen(OutlineShapes.Shape) is not SeatShapeKind.Rectangle)
            return
            [
                RefuseShape(
                    reading,
                    "one folded sheet covers a rectangle only: choose a separate boxing strip for this outline"
                ),
            ];
        var problems = base.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var sheet = new FoldedSheet(reading);
        if (sheet.Width.Value <= 2 * sheet.Seam.Value || sheet.Length.Value <= 2 * sheet.Seam.Value)
            problems.Add(
                reading.Refuse(
                    BoxedSheet.Corners,
                    "a square as large as the drop leaves nothing of so small a top",
                    "cut"
                )
            );
        if (reading.Chosen(ZipSchools.School) is ZipSchool.Round && sheet.Turn.Value >= sheet.Length.Value)
            problems.Add(
                reading.Refuse(
                    ZipSchools.Turn,
                    $"the zip would run past the side ({reading.Say(sheet.Length.Value)})",
                    reading.Example("2 1/2", "6.5")
                )
            );
        if (reading.Chosen(ZipSchools.School) is ZipSchool.Inside && 2 * sheet.Clear.Value >= sheet.Width.Value)
            problems.Add(
                reading.Refuse(ZipSchools.Clear, "nothing is left for the zip", reading.Example("1/2", "1.2"))
            );
        if (sheet.Radius.Value.IsPositive && reading.Chosen(BoxedSheet.Corners) is not CornerSchool.StitchOff)
            problems.Add(
                reading.Refuse(
                    OutlineShapes.CornerRadius,
                    "rounded corners cannot be cut out first in this make-up: stitch them off, or choose a separate boxing strip",
                    "0"
                )
            );
        else if (sheet.ArcReach.Value >= sheet.Drop.Value)
            problems.Add(
                reading.Refuse(
                    OutlineShapes.CornerRadius,
                    "the corner line curves at both ends, and such a radius leaves it no straight part",
                    reading.Example("2", "5")
                )
            );
        return problems;
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var sheet = new FoldedSheet(reading);
        var seams = sheet.Seams().ToList();
        return new Pattern
        {
            Pieces = [FoldedPiece.Of(reading, sheet) with { Grain = reading.Chosen(GrainChoices.Panels) }],
            Seams = seams,
            Finished =
            [
                .. FinishedSizes(sheet.Finished.Width, sheet.Finished.Length, sheet.Finished.Depth),
                ("zip run", sheet.ZipRun),
                ("corner seam", sheet.CornerSeam),
            ],
            Notions = [.. Basics(reading)],
            MidDepth = sheet.Finished.Depth / 2,
            Steps = FoldedSteps(reading, seams),
            Remarks = [.. CornerRemarks(reading, sheet), .. EaseRemarks(reading)],
        };
    }

    private static IEnumerable<Remark> CornerRemarks(Reading reading, FoldedSheet sheet)
    {
        if (reading.Chosen(BoxedSheet.Corners) is CornerSchool.SquareDrop)
            yield return new Remark(
                $"Top finishes {reading.Say(2 * sheet.Seam.Value)} smaller each way, boxing {reading.Say(2 * sheet.Seam.Value)} deeper: snug in plan. Right for a soft inner, wrong for a rigid one."
            );
        if (reading.Chosen(BoxedSheet.Corners) is CornerSchool.StitchOff)
            yield return new Remark(
                $"Open each corner flat, seam on seam, and stitch straight across where it measures {reading.Say(2 * sheet.Drop.Value)}, half on each side. Try the cover on, right side out, before trimming."
            );
        yield return new Remark(
            "One piece folded: on cloth with a pile or a one-way print the underside runs the other way."
        );
    }

    private static IReadOnlyList<Step> FoldedSteps(Reading reading, IReadOnlyList<Seam> seams)
    {
        var off = reading.Chosen(BoxedSheet.Corners) is CornerSchool.StitchOff;
        var zip = reading.Chosen(ZipSchools.School);
        Step Corners(string which, params string[] seams) =>
            new(
                off
                    ? $"Open each{which} corner flat, seam on seam, and stitch across it."
                    : $"Sew the{which} corners, seam on seam.",
                seams
            );
        var sides = new Step("Sew both side seams, wrong side out.", ["right side", "left side"]);
        List<string> beside =
        [
            .. seams.Select(seam => seam.Name).Where(name => name.StartsWith("back,", StringComparison.Ordinal)),
        ];
        var closing = new Step(
            zip switch
            {
                _ when beside.Count > 0 => ZipSteps.Inside("Leave it part open."),
                ZipSchool.Full =>
                    "Sew the zip across the back, both sides from the same end, its slider left in the middle: the corner seams oversew its ends.",
                ZipSchool.Round => ZipSteps.Round("Leave it part open."),
                _ =>
                    "Sew the zip across the back, both sides from the same end, its stops clear of the corners: the corner seams catch the ends of its tape. Leave it part open.",
            },
            ["zip", .. beside]
        );
        List<Step> steps =
        [
            Step.Cutting(
                off
                    ? "Cut the rectangle; mark the fold and the corner lines."
                    : "Cut the piece and its corner cut-outs; mark the fold."
            ),
            // A zip that turns into the corners finds them sewn.
            .. zip is ZipSchool.Round
                ? new[]
                {
                    Corners(" back", "back right corner", "back left corner"),
                    closing,
                    sides,
                    Corners(" front", "front right corner", "front left corner"),
                }
                :
                [
                    closing,
                    sides,
                    Corners("", "back right corner", "back left corner", "front right corner", "front left corner"),
                ],
        ];
        if (off)
            steps.AddRange(TryingOn.Corners);
        steps.Add(Step.Of(StepKind.Turning, "Finish the seams and turn right side out."));
        steps.Add(FillingSteps.ThroughZip);
        return steps;
    }
}
