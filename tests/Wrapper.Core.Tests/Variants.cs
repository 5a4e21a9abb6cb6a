using CsCheck;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>Random items that can be made, of every make-up: any sizes in either unit, every outline and option, allowances with and without edges of their own.</summary>
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
        from w in Gen.Int[8 * 16, 90 * 16]
        from l in Gen.Int[8 * 16, 60 * 16]
        from picks in Gen.Int[0, 999].Array[makeUp.Choices.Count]
        from shares in Gen.Int[0, 99].Array[makeUp.Measures.Count]
        from own in Gen.Int[-8, 20]
        select Build(makeUp, metric ? JobUnit.Centimetre : JobUnit.Inch, w, l, picks, shares, own);

    // Each measure lies between two shares (per cent) of the width w, of the length l, or of neither (in 1/16 in).
    private static readonly Dictionary<string, (char Of, int From, int To)> Ranges = new()
    {
        ["W"] = ('w', 100, 100),
        ["L"] = ('l', 100, 100),
        ["T"] = ('-', 2 * 16, 9 * 16),
        ["d"] = ('-', 5 * 16, 40 * 16),
        ["B"] = ('w', 70, 115),
        ["R"] = ('l', 92, 108),
        ["N"] = ('w', 40, 92),
        ["E"] = ('l', 15, 60),
        ["b"] = ('l', 3, 30),
        ["f1"] = ('l', 20, 30),
        ["f2"] = ('l', 40, 55),
        ["f3"] = ('l', 65, 80),
        ["w1"] = ('w', 85, 110),
        ["w2"] = ('w', 80, 110),
        ["w3"] = ('w', 80, 110),
        ["r"] = ('l', 1, 30),
        ["V"] = ('w', 99, 101),
        ["M"] = ('l', 99, 101),
        ["X1"] = ('w', 120, 130),
        ["X2"] = ('w', 120, 130),
        ["H"] = ('-', 12 * 16, 36 * 16),
        ["D"] = ('-', 1 * 16, 5 * 16),
        ["A"] = ('-', 5 * 16, 12 * 16),
        ["t"] = ('-', 8, 3 * 16),
        ["F"] = ('-', 6 * 16, 12 * 16),
        ["K"] = ('-', 2 * 16, 6 * 16),
        ["S"] = ('-', 14 * 16, 26 * 16),
        ["P"] = ('-', 16 * 16, 30 * 16),
        ["U"] = ('-', 3 * 16, 8 * 16),
        ["C"] = ('-', 1 * 16, 6 * 16),
        ["G"] = ('-', 3 * 16, 8 * 16),
        ["x"] = ('-', 8, 24),
        ["Y"] = ('w', 100, 104),
        ["H1"] = ('-', 3 * 16, 6 * 16),
        ["W1"] = ('w', 8, 20),
        ["W2"] = ('w', 10, 40),
        ["H2"] = ('-', 8, 5 * 16),
        ["x1"] = ('w', 8, 20),
        ["x2"] = ('w', 30, 45),
        ["x3"] = ('w', 55, 70),
        ["y1"] = ('w', 5, 9),
        ["y2"] = ('w', 5, 9),
        ["y3"] = ('w', 5, 9),
    };

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

    private static Item Build(MakeUp makeUp, JobUnit unit, int w, int l, int[] picks, int[] shares, int own)
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
            if (measure.Kind == MeasureKind.Outline)
                measures[measure.Key] = new Entry(Traces[share % Traces.Length], JobUnit.Inch);
            else if (measure.Key == "X")
                measures["X"] = Sixteenths((int)Math.Sqrt(((long)w * w) + ((long)l * l)) + (share - 50));
            else
            {
                var (of, from, to) = Ranges[measure.Key];
                var size = from + ((to - from) * share / 99);
                measures[measure.Key] = Sixteenths(of == '-' ? size : Math.Max(1, (of == 'w' ? w : l) * size / 100));
            }
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
