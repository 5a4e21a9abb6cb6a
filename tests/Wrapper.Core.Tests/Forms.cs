using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Tests;

/// <summary>Covers sewn on screen, at usual sizes with some answers of their own.</summary>
internal static class Forms
{
    public static Item Usual(string makeUp, params (string Key, string Answer)[] answers)
    {
        var item = Items.Drafting.Find(makeUp)!.UsualItem("i1", "cover", JobUnit.Inch);
        var choices = new Dictionary<string, Entry>(item.Choices);
        foreach (var (key, answer) in answers)
            choices[key] = new Entry(answer, JobUnit.Inch);
        return item with { Choices = choices };
    }

    public static SewnForm Sewn(Item item) =>
        ItemForm.Sew(
            item,
            JobDocument.Empty("job", JobUnit.Inch) with
            {
                Items = [item],
            },
            Items.Drafting,
            CancellationToken.None
        )!;
}
