using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>What every school of box cushion shares: the measures, the ease, the allowances and the measuring sketch.</summary>
public abstract class BoxCushion : MakeUp
{
    /// <inheritdoc/>
    public override string Family => "Cushion or seat pad";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        .. OutlineShapes.Measures.TakeWhile(measure => measure.Key != "r"),
        new(
            "T",
            "thickness",
            "Of the dressed inner, lying flat, not pressed.",
            new LengthLimits(new Length(1), Length.Inches(60), "4", "10")
        ),
        .. OutlineShapes.Measures.SkipWhile(measure => measure.Key != "r"),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [Usual.Seam, Usual.Zip];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) =>
        OutlineShapes.Sketch(reading, reading.Known("T") ?? Length.Inches(4));

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var problems = OutlineShapes.Check(reading).ToList();
        if (problems.Count > 0)
            return problems;
        var seat = Seat(reading);
        var s = reading.Allowance("s").Value;
        var main =
            reading.Chosen("shape", "round") ? ("d", "d")
            : reading.Chosen("shape", "traced") ? ("O", "O")
            : ("W", "L");
        if (seat.Width.Value <= 2 * s)
            problems.Add(
                reading.Refuse(
                    $"measures.{main.Item1}",
                    $"the cover would finish {reading.Say(seat.Width.Value)} wide: too little for the ease and two seams",
                    Example(reading, "22", "56")
                )
            );
        if (seat.Depth.Value <= 2 * s)
            problems.Add(
                reading.Refuse(
                    $"measures.{main.Item2}",
                    $"the cover would finish {reading.Say(seat.Depth.Value)} long: too little for the ease and two seams",
                    Example(reading, "20", "51")
                )
            );
        if (IsBoxed && EaseSchools.Depth(reading).Value is var depth && depth <= 2 * s)
            problems.Add(
                reading.Refuse(
                    "measures.T",
                    $"the boxing would finish {reading.Say(depth)} deep, not over two seam allowances ({reading.Say(2 * s)}): half of it must hold a zip beside a seam",
                    Example(reading, "4", "10")
                )
            );
        if (problems.Count == 0 && OutlineCheck.Fault(seat.Outline) is { } fault)
            problems.Add(
                reading.Refuse(
                    IsBoxed ? "choices.ease" : "measures.T",
                    $"with the ease all round the outline {fault}",
                    IsBoxed ? "exact" : "1"
                )
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
        reading.Refuse("choices.shape", why, "rectangle");

    /// <summary>An example in the job's unit.</summary>
    private protected static string Example(Reading reading, string inches, string centimetres) =>
        reading.Unit.IsInches() ? inches : centimetres;

    /// <summary>The finished sizes that every school lists first.</summary>
    private protected static List<(string, Working)> FinishedSizes(Working width, Working length, Working depth) =>
        [("finished width", width), ("finished length", length), ("finished depth", depth)];

    /// <summary>What the ease school asks of the maker.</summary>
    private protected static IEnumerable<Remark> EaseRemarks(Reading reading)
    {
        foreach (var remark in OutlineShapes.Remarks(reading))
            yield return remark;
        if (reading.Chosen("ease", "pinfit"))
            yield return new Remark(
                "Pin on the furniture, wrong side out. Trim to three seam allowances, fit again, then trim to one."
            );
        if (reading.Offers("for"))
            foreach (
                var caution in Bedding.Cautions(
                    reading.Chosen("for", "cot"),
                    corded: reading.Offers("cord") && Cord.IsChosen(reading)
                )
            )
                yield return caution;
        yield return Usual.Blades;
    }

    /// <inheritdoc/>
    public override IEnumerable<Piece> Fillings(Reading reading) =>
        reading.Offers("wadding") ? EaseSchools.Wadding(reading) : [];

    /// <summary>Foam to order and thread, read off the seams.</summary>
    private protected static IEnumerable<Notion> Basics(Reading reading, IEnumerable<Seam> seams)
    {
        foreach (var (name, working) in EaseSchools.Foam(reading))
            yield return new Notion(name.Replace(' ', '-'), name, working);
        foreach (var notion in EaseSchools.Stocking(reading))
            yield return notion;
        yield return Making.Thread.Of(seams);
    }
}
