using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>What every school of box cushion shares: the measures, the ease, the allowances and the measuring sketch.</summary>
public abstract class BoxCushion : MakeUp
{
    /// <inheritdoc/>
    public override string Family => "Box cushion";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } =
    [
        new("W", "width", "Side to side, along the front edge of the inner or of the space it sits in.", LengthLimits.Item),
        new("L", "length", "Front to back, at the side.", LengthLimits.Item),
        new("T", "thickness", "Of the dressed inner, lying flat, not pressed.", new LengthLimits(new Length(1), Length.Inches(60), "4", "10")),
        new("r", "corner radius", "Only if the corners are rounded: from where the side stops being straight to where it would have met the front.", new LengthLimits(Length.Zero, Length.Inches(120), "3", "8"), Optional: true),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } =
    [
        new("s", "Seam allowance", AllowanceRole.Seam, Length.Inches(0, 1, 2), Length.Millimetres(15)),
        new("z", "Zip allowance", AllowanceRole.Zip, Length.Inches(0, 3, 4), Length.Millimetres(20)),
    ];

    /// <summary>How the large pieces lie.</summary>
    private protected static Choice PanelGrain { get; } = Choice.Of("panelGrain", "Panels lie", "On the cloth",
        new Option("along", "Upright, up the roll", "The back edge towards the far end: pile and print run from back to front."),
        new Option("across", "Railroaded", "A quarter turned, for cushions longer than the cloth is wide."),
        new Option("either", "Either way", "For plain cloth: whichever takes less."));

    /// <summary>The grain that an option stands for.</summary>
    private protected static Grain GrainOf(string option) => option switch
    {
        "along" => Grain.Along,
        "across" => Grain.Across,
        _ => Grain.Either,
    };

    /// <inheritdoc/>
    public override Sketch Sketch(Func<string, Length?> size) => BoxSketch.Of(
        size("W") ?? Length.Inches(22), size("L") ?? Length.Inches(20), size("T") ?? Length.Inches(4), size("r") ?? Length.Zero);

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var box = EaseSchools.Finished(reading);
        var s = reading.Allowance("s").Value;
        if (box.Width.Value <= 2 * s)
            yield return reading.Refuse("measures.W", $"the cover would finish {reading.Say(box.Width.Value)} wide: too little for the ease and two seams", Example(reading, "22", "56"));
        if (box.Length.Value <= 2 * s)
            yield return reading.Refuse("measures.L", $"the cover would finish {reading.Say(box.Length.Value)} long: too little for the ease and two seams", Example(reading, "20", "51"));
        if (box.Depth.Value <= 2 * s)
            yield return reading.Refuse("measures.T", $"the boxing would finish {reading.Say(box.Depth.Value)} deep, not over two seam allowances ({reading.Say(2 * s)}): half of it must hold a zip beside a seam", Example(reading, "4", "10"));
        var shorter = Length.Min(box.Width.Value, box.Length.Value);
        if (2 * reading.MeasureOrZero("r").Value > shorter)
            yield return reading.Refuse("measures.r", $"larger than half the shorter side ({reading.Say(shorter.Over(2))})", Example(reading, "3", "8"));
    }

    /// <summary>An example in the job's unit.</summary>
    private protected static string Example(Reading reading, string inches, string centimetres) => reading.Unit.IsInches() ? inches : centimetres;

    /// <summary>The finished sizes that every school lists first.</summary>
    private protected static List<(string, Working)> FinishedSizes(FinishedBox box) =>
        [("finished width", box.Width), ("finished length", box.Length), ("finished depth", box.Depth)];

    /// <summary>What the ease school asks of the maker.</summary>
    private protected static IEnumerable<Remark> EaseRemarks(Reading reading)
    {
        if (reading.Chosen("ease", "pinfit"))
            yield return new Remark("Pin on the furniture, wrong side out. Trim to three seam allowances, fit again, then trim to one.");
        yield return new Remark("Shears and rotary cutters: cut away from the hand that holds the cloth, and close the blade each time it is put down.", Caution: true);
    }

    /// <summary>Foam to order and thread, read off the seams.</summary>
    private protected static IEnumerable<Notion> Basics(Reading reading, IEnumerable<Seam> seams)
    {
        foreach (var (name, working) in EaseSchools.Foam(reading)) yield return new Notion(name.Replace(' ', '-'), name, working);
        yield return Making.Thread.Of(seams);
    }
}
