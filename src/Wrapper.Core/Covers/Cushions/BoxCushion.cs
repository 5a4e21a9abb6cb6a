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
/// What every school of box cushion shares: the measures, the ease, the allowances and the measuring sketch.
/// </summary>
public abstract class BoxCushion : MakeUp
{
    internal static readonly Measure T = new Measure(
        "T",
        "thickness",
        "Of the dressed inner, lying flat, not pressed.",
        new LengthLimits(new Length(1), Length.Inches(60), "4", "10"),
        Usual: Length.Inches(4)
    );

    /// <inheritdoc/>
    public override string Family => "Cushion or seat pad";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        .. OutlineShapes.Measures.TakeWhile(measure => measure != OutlineShapes.CornerRadius),
        T,
        .. OutlineShapes.Measures.SkipWhile(measure => measure != OutlineShapes.CornerRadius),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam, EdgeAllowances.Zip];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => OutlineShapes.Sketch(reading, T);

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = OutlineShapes.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var seat = Seat(reading);
        var s = reading[EdgeAllowances.Seam].Value;
        var main =
            reading.Chosen(OutlineShapes.Shape) is SeatShapeKind.Round
                ? (OutlineShapes.Diameter, OutlineShapes.Diameter)
            : reading.Chosen(OutlineShapes.Shape) is SeatShapeKind.Traced ? (OutlineShapes.O, OutlineShapes.O)
            : (OutlineShapes.W, OutlineShapes.L);
        if (seat.Width.Value <= 2 * s)
            problems.Add(
                reading.Refuse(
                    main.Item1,
                    $"the cover would finish {reading.Say(seat.Width.Value)} wide: too little for the ease and two seams",
                    reading.Example("22", "56")
                )
            );
        if (seat.Depth.Value <= 2 * s)
            problems.Add(
                reading.Refuse(
                    main.Item2,
                    $"the cover would finish {reading.Say(seat.Depth.Value)} long: too little for the ease and two seams",
                    reading.Example("20", "51")
                )
            );
        if (IsBoxed && EaseSchools.Depth(reading).Value is var depth && depth <= 2 * s)
            problems.Add(
                reading.Refuse(
                    T,
                    $"the boxing would finish {reading.Say(depth)} deep, not over two seam allowances ({reading.Say(2 * s)}): half of it must hold a zip beside a seam",
                    reading.Example("4", "10")
                )
            );
        if (problems.Count == 0 && OutlineCheck.Fault(seat.Outline) is { } fault)
            problems.Add(
                IsBoxed
                    ? reading.Refuse(EaseSchools.School, $"with the ease all round the outline {fault}", "exact")
                    : reading.Refuse(T, $"with the ease all round the outline {fault}", "1")
            );
        return problems;
    }

    /// <summary>Whether its panels are joined of several widths where the cloth is narrower.</summary>
    private protected virtual bool JoinsPanels => false;

    /// <summary>Whether it has a boxing that must hold a zip beside a seam.</summary>
    private protected virtual bool IsBoxed => true;

    /// <summary>The outline of the cover along the stitch line.</summary>
    private protected virtual SeatOutline Seat(Reading reading) => EaseSchools.Outline(reading);

    /// <summary>Refuses an outline that this make-up cannot follow.</summary>
    private protected static Problem RefuseShape(Reading reading, string why) =>
        reading.Refuse(OutlineShapes.Shape, why, "rectangle");

    /// <summary>The finished sizes that every school lists first.</summary>
    private protected static List<(string, Working)> FinishedSizes(Working width, Working length, Working depth) =>
        [("finished width", width), ("finished length", length), ("finished depth", depth)];

    /// <summary>What the ease school asks of the maker.</summary>
    private protected static IEnumerable<Remark> EaseRemarks(Reading reading)
    {
        foreach (var remark in OutlineShapes.Remarks(reading))
            yield return remark;
        if (reading.Chosen(EaseSchools.School) is EaseSchool.Pinfit)
            yield return new Remark(
                "Pin on the furniture, wrong side out. Trim to three seam allowances, fit again, then trim to one."
            );
        if (reading.Offers(Bedding.UsedFor))
            foreach (
                var caution in Bedding.Cautions(
                    reading.Chosen(Bedding.UsedFor) is BedUse.Cot,
                    corded: reading.Offers(Cord.Corded) && Cord.IsChosen(reading)
                )
            )
                yield return caution;
    }

    /// <inheritdoc/>
    public override IEnumerable<Piece> Fillings(Reading reading) =>
        reading.Offers(EaseSchools.WaddingRound) ? EaseSchools.Wadding(reading) : [];

    /// <summary>Foam to order, and the stocking over it.</summary>
    private protected static IEnumerable<Notion> Basics(Reading reading)
    {
        foreach (var (name, working) in EaseSchools.Foam(reading))
            yield return new Notion(name.Replace(' ', '-'), name, working, Note: OutlineShapes.OutlineOf(reading));
        foreach (var notion in EaseSchools.Stocking(reading))
            yield return notion;
    }
}
