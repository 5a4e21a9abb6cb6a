using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Beds;

/// <summary>
/// A fitted sheet for a bed, cot or pad: one sheet, boxed corners, tucked beneath and held by elastic (craft §7.2).
/// </summary>
public sealed class FittedSheet : MakeUp
{
    internal static readonly LengthChoice Tuck = Choice.OfLength(
        "tuck",
        "Tuck beneath",
        "Edge",
        Length.Inches(3),
        75,
        LengthLimits.UpTo(12, "3", "7.5", zero: true)
    ) with
    {
        Adjustable = Length.Inches(0, 1, 2),
        Note = "2 to 4 in is usual.",
        Learns = true,
    };

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Side to side, over the fullest part.",
        LengthLimits.Item,
        Usual: Length.Inches(36)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "length",
        "From head to foot.",
        LengthLimits.Item,
        Usual: Length.Inches(75)
    );

    internal static readonly Measure T = new Measure(
        "T",
        "height",
        "From the top edge to the lower edge of the mattress.",
        new LengthLimits(new Length(1), Length.Inches(60), "7", "18"),
        Usual: Length.Inches(8)
    );

    /// <inheritdoc/>
    public override string Key => "fitted-sheet";

    /// <inheritdoc/>
    public override string Name => "Fitted sheet";

    /// <inheritdoc/>
    public override string Family => Bedding.Family;

    /// <inheritdoc/>
    public override int Rank => 10;

    /// <inheritdoc/>
    public override Length Tolerance => Length.Inches(1);

    /// <inheritdoc/>
    public override string Suits =>
        "For mattresses, cot mattresses and flat pads: one sheet, four corners, elastic beneath.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L, T];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [
        Bedding.UsedFor,
        Tuck,
        Elastic.Edge,
        .. Elastic.Choices,
        BoxedSheet.Corners.StartingWith(CornerSchool.SquareDrop),
        GrainChoices.Panels,
        WidthJoins.School.StartingWith(WidthSchool.Strip),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, Elastic.Casing];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => PrismSketch.Box(reading, W, L, T);

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var s = reading[EdgeAllowances.Seam].Value;
        foreach (var side in new[] { W, L })
            if (reading[side].Value <= 4 * s)
                yield return reading.Refuse(
                    side,
                    $"no more than four seam allowances ({reading.Say(4 * s)}): nothing is left of the top between its corners",
                    reading.Example("31 1/2", "80")
                );
        if (Fall(reading).Value <= s)
            yield return reading.Refuse(
                T,
                $"height and tuck together are no more than one seam allowance ({reading.Say(s)})",
                reading.Example("7", "18")
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var top = RectangleShape.Of(reading[W], reading[L], Sum.Of());
        var sheet = BoxedSheet.BySchool(reading, top, Fall(reading), "sheet");
        var piece = sheet.Piece("sheet", "sheet", 1, side => Elastic.Allowance(reading, "sheet", side)) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
            MayBeJoined = true,
            Wraps = new(top.Outline, reading[T].Value),
        };
        List<Seam> seams = [.. sheet.CornerSeams("sheet", 1, "")];
        var hem = sheet.Top.Perimeter.As("hem", "hem perimeter");
        return new Pattern
        {
            Pieces = [piece],
            Seams = seams,
            Uses =
            [
                .. sheet.Sides.Select(side => new Use(
                    Elastic.Use(reading),
                    new Run("sheet", 1, side) { Drafted = sheet.Top.Lengths[side].Value }
                )),
            ],
            Finished =
            [
                ("finished width", sheet.Top.Width),
                ("finished length", sheet.Top.Depth),
                ("finished drop", sheet.Fall),
                ("hem perimeter", hem),
            ],
            Notions = [.. Elastic.Notions(reading, hem, Fall(reading), corners: 4)],
            Steps =
            [
                Step.Cutting("Cut the sheet; mark every corner."),
                new("Sew the corners, right sides together, and finish them.", [.. seams.Select(seam => seam.Name)]),
                Step.Fitting("Try it on before hem or elastic."),
                .. Elastic.Steps(reading),
            ],
            Remarks =
            [
                .. Bedding.Cautions(reading.Chosen(Bedding.UsedFor) is BedUse.Cot, corded: false),
                .. sheet.Remarks(reading, piece),
                .. Elastic.Remarks(reading),
            ],
        };
    }

    // Down the side and beneath: from the top's edge to the hem line.
    private static Working Fall(Reading reading) => reading[T] + Working.Of("t", "tuck beneath", reading[Tuck]);
}
