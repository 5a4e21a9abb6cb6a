using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>Sets of items that are begun in one step: what each item is given, and that every one can be drafted.</summary>
public class SetCases
{
    private static (IReadOnlyList<Item> Items, IReadOnlyList<Problem> Problems) Begin(
        string set,
        JobUnit unit,
        string entries
    ) =>
        ItemSets
            .Find(set)!
            .Begin(
                "s",
                "Reading room",
                unit,
                entries
                    .Split('|', StringSplitOptions.RemoveEmptyEntries)
                    .Select(entry => entry.Split('=', 2))
                    .ToDictionary(entry => entry[0].Trim(), entry => new Entry(entry[1].Trim(), unit)),
                Items.Drafting
            );

    private static Length Size(Item item, string key) =>
        Entry.Read(item.Measures[key], item.Measures[key].Unit, LengthLimits.Item).Length!.Value;

    // 70 between the arms is shared out by three: 23 1/3 each; the ends reach out 5 1/2 in front of the arms.
    [Fact]
    public void A_sofa_has_a_base_mirrored_ends_a_middle_and_backs()
    {
        var (items, problems) = Begin(
            "sofa",
            JobUnit.Inch,
            "seats=3 | W=70 | S=22 | T=5 | F=16 | A=34 | M=34 | C=5 | e=5 1/2 | E=6 | H=20 | B=7"
        );
        Assert.Empty(problems);
        Assert.Equal(
            [("sofa-base", "1"), ("box-cushion-strip", "2"), ("box-cushion-strip", "1"), ("pillowcase-cushion", "3")],
            items.Select(item => (item.MakeUp, item.Quantity))
        );
        var third = Length.Inches(70).Over(3);
        Assert.Equal(("ell", "pairs"), (items[1].Choices["shape"].Typed, items[1].Choices["hand"].Typed));
        Assert.Equal((third + Length.Inches(5, 1, 2), third), (Size(items[1], "W"), Size(items[1], "N")));
        Assert.Equal((third, Length.Inches(22)), (Size(items[2], "W"), Size(items[2], "L")));
        Assert.Equal(
            (third, Length.Inches(20), Length.Inches(7)),
            (Size(items[3], "W"), Size(items[3], "L"), Size(items[3], "T"))
        );
        Assert.All(items, item => Assert.Empty(Items.Draft(item).Problems));
        Assert.Equal(4, items.Select(item => item.Id).Distinct().Count());
    }

    [Fact]
    public void A_sofa_without_ears_or_backs_has_cushions_all_alike()
    {
        var (items, _) = Begin("sofa", JobUnit.Centimetre, "seats=2 | W=150 | S=55 | T=12 | F=40 | A=86 | M=86 | C=12");
        Assert.Equal(["1", "2"], items.Select(item => item.Quantity));
        Assert.Equal(Length.Millimetres(750), Size(items[1], "W"));
        Assert.All(items, item => Assert.Empty(Items.Draft(item, JobUnit.Centimetre).Problems));
    }

    [Fact]
    public void A_table_has_its_chairs_and_a_bed_its_pillowcases()
    {
        var (table, _) = Begin(
            "dining",
            JobUnit.Inch,
            "chairs=6 | W=72 | L=36 | H=12 | w=16 | l=15 1/2 | T=1 | b=15 | h=19 | d=2"
        );
        Assert.Equal(["1", "6", "6"], table.Select(item => item.Quantity));
        Assert.Equal(Length.Inches(15, 1, 2), Size(table[1], "L"));
        var (bed, _) = Begin(
            "bed",
            JobUnit.Centimetre,
            "pillows=4 | W=90 | L=200 | T=22 | w=140 | l=200 | p=65 | q=45 | t=10"
        );
        Assert.Equal(["duvet-cover", "fitted-sheet", "pillowcase-cushion"], bed.Select(item => item.MakeUp));
        Assert.Equal("4", bed[2].Quantity);
        Assert.All(table.Concat(bed), item => Assert.Empty(Items.Draft(item).Problems));
    }

    // What cannot be read is told with field, reason and an example that works.
    [Theory]
    [InlineData("seats=0", "seats", "1 to 8")]
    [InlineData("seats=three", "seats", "whole number")]
    [InlineData("W=about 70", "W", "")]
    [InlineData("F=-2", "F", "")]
    public void Bad_entries_of_a_set_are_told(string entry, string field, string reason)
    {
        const string sound = "seats=3 | W=70 | S=22 | T=5 | F=16 | A=34 | M=34 | C=5";
        string With(string key, string value) =>
            string.Join(
                '|',
                sound
                    .Split('|')
                    .Where(each => !each.Trim().StartsWith($"{key}=", StringComparison.Ordinal))
                    .Append($"{key}={value}")
            );
        var wrong = entry.Split('=', 2);
        var (items, problems) = Begin("sofa", JobUnit.Inch, With(wrong[0], wrong[1]));
        var problem = Assert.Single(problems);
        Assert.Empty(items);
        Assert.Equal(field, problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
        Assert.Empty(Begin("sofa", JobUnit.Inch, With(field, problem.Example)).Problems);
    }
}
