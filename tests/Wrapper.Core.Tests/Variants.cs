using CsCheck;
using Wrapper.Core.Covers;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>Random items of every make-up: any sizes in either unit, every option, allowances with and without edges of their own.</summary>
internal static class Variants
{
    public static readonly Gen<Item> Any =
        from makeUp in Gen.OneOfConst([.. Items.Drafting.MakeUps])
        from metric in Gen.Bool
        from w in Gen.Int[8 * 16, 90 * 16]
        from l in Gen.Int[8 * 16, 60 * 16]
        from t in Gen.Int[2 * 16, 9 * 16]
        from r in Gen.Int[-40, 40]
        from picks in Gen.Int[0, 999].Array[makeUp.Choices.Count]
        from own in Gen.Int[-8, 20]
        select Build(makeUp, metric ? JobUnit.Centimetre : JobUnit.Inch, w, l, t, r, picks, own);

    /// <summary>Only those that can be made.</summary>
    public static readonly Gen<Item> Makeable = Any.Where(item => Items.Draft(item).Problems.Count == 0);

    private static Item Build(MakeUp makeUp, JobUnit unit, int w, int l, int t, int r, int[] picks, int own)
    {
        var item = makeUp.NewItem("i1", "cushion", unit);
        Entry Sixteenths(int n) => new($"{n}/16", JobUnit.Inch);
        Entry Mixed(int n) => n % 16 == 0 ? new($"{n / 16}", JobUnit.Inch) : n < 16 ? Sixteenths(n) : new($"{n / 16} {n % 16}/16", JobUnit.Inch);
        var measures = new Dictionary<string, Entry> { ["W"] = Mixed(w), ["L"] = Mixed(l), ["T"] = Mixed(t) };
        if (r > 0) measures["r"] = Mixed(r);
        var choices = new Dictionary<string, Entry>(item.Choices);
        foreach (var (choice, pick) in makeUp.Choices.Zip(picks))
        {
            if (choice.Kind == ChoiceKind.Option) choices[choice.Key] = new Entry(choice.Options[pick % choice.Options.Count].Key, unit);
            if (choice.Kind == ChoiceKind.Count) choices[choice.Key] = new Entry($"{1 + (pick % 5)}", unit);
        }
        var allowances = new Dictionary<string, Entry>(item.Allowances);
        if (own > 0) foreach (var edge in new[] { "panel/left", "boxing/lower", "cover/zip lower", "cover/right side lower" }) allowances[edge] = Mixed(own);
        return item with { Measures = measures, Choices = choices, Allowances = allowances };
    }
}
