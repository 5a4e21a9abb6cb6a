using CsCheck;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>
/// Random items that can be made, of every make-up: any sizes in either unit, every outline and option, allowances with
/// and without edges of their own.
/// </summary>
internal static class Variants
{
    public static readonly Gen<Item> Makeable = Gen.OneOfConst([.. Items.Drafting.MakeUps])
        .SelectMany(From)
        .Where(item => Items.Draft(item).Problems.Count == 0);

    /// <summary>Those of one make-up that can be made.</summary>
    public static Gen<Item> Of(string makeUp) =>
        From(Items.Drafting.Find(makeUp)!).Where(item => Items.Draft(item).Problems.Count == 0);

    private static Gen<Item> From(MakeUp makeUp) =>
        from metric in Gen.Bool
        from scale in Gen.Int[40, 250]
        from picks in Gen.Int[0, 999].Array[makeUp.Choices.Count]
        from shares in Gen.Int[75, 130].Array[makeUp.Measures.Count]
        from own in Gen.Int[-8, 20]
        select Build(makeUp, metric ? JobUnit.Centimetre : JobUnit.Inch, scale, picks, shares, own);

    // Traced outlines, in inches; some concave, some with arcs and hollows. One is a path.
    private static readonly string[] Traces =
    [
        "0, 0; 20, 0; 20, 16; 0, 16",
        "0, 0; 18, 0; 20, 9 arc 14; 17, 18; 1, 18; -2, 9; 0, 0 arc 14",
        "0, 0; 24, 0; 24, 18; 16, 18; 8, 18 hollow 6; 0, 18",
        "0, 0; 12, 0; 12, 8; 22, 8; 22, 20; 0, 20",
        "0, 0 arc 30; 22, 0; 26, 14; 11, 22; -4, 14",
        "M0 0 H20 A10 10 0 0 0 20 -20 H0 Z",
    ];

    // Usual sizes, all of them larger or smaller by one share (per cent) and each by one of its own, to 1/16 in.
    private static Item Build(MakeUp makeUp, JobUnit unit, int scale, int[] picks, int[] shares, int own)
    {
        var item = makeUp.NewItem("i1", "cushion", unit);
        var choices = new Dictionary<string, Entry>(item.Choices);
        foreach (var (choice, pick) in makeUp.Choices.Zip(picks))
        {
            if (choice.Kind == ChoiceKind.Option)
                choices[choice.Key] = new Entry(choice.Options[pick % choice.Options.Count].Key, unit);
            if (choice.Kind == ChoiceKind.Count)
                choices[choice.Key] = new Entry(
                    $"{choice.Min + (pick % Math.Min(5, choice.Max - choice.Min + 1))}",
                    unit
                );
        }
        var measures = new Dictionary<string, Entry>();
        foreach (
            var (measure, share) in makeUp
                .Measures.Zip(shares)
                .Where(pair => !pair.First.Optional || pair.Second % 2 == 1)
        )
        {
            measures[measure.Key] =
                measure.Kind == MeasureKind.Outline
                    ? new Entry(Traces[share % Traces.Length], JobUnit.Inch)
                    : Sixteenths(
                        Math.Max(1, (int)(measure.Usual.Ticks * scale * share * 16 / 10_000 / Length.TicksPerInch))
                    );
        }
        var allowances = new Dictionary<string, Entry>(item.Allowances);
        if (own > 0)
            foreach (
                var edge in new[]
                {
                    "panel/left",
                    "boxing/lower",
                    "cover/zip lower",
                    "cover/right side lower",
                    "front/left",
                    "cap/front",
                    "body/long",
                    "inside-back/top",
                    "sheet/front",
                    "sheet-left/back",
                    "panel-right/right",
                    "top/left",
                    "skirt/lower",
                    "circle/right",
                    "end/foot",
                    "cover/front",
                }
            )
                allowances[edge] = Sixteenths(own);
        return item with { Measures = measures, Choices = choices, Allowances = allowances };
    }

    private static Entry Sixteenths(int n) =>
        new(
            n % 16 == 0 ? $"{n / 16}"
                : n < 16 ? $"{n}/16"
                : $"{n / 16} {n % 16}/16",
            JobUnit.Inch
        );
}
