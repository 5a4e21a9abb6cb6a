using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>Sizes that could be a little less, and joined widths counted by hand beside the lay (craft §8.2).</summary>
public class SavingsTests
{
    // On 53 in usable a duvet 54 wide is joined: three cuts of 87 1/2 (its four sides of 2 in share one). At 52 both
    // faces fit a width: two cuts.
    // 262 1/2 in is 7.29 yd, 7 3/8 bought; 175 in is 4.86, 4 7/8 bought. Half as much, 53 and its seams, would not fit.
    [Fact]
    public void A_duvet_two_inches_narrower_saves_a_whole_width()
    {
        var savings = Savings.Of(Job("W=54 | L=84", "54"), Items.Drafting).Savings;
        var first = savings[0];
        Assert.Equal(
            ("i1", "measures.W", Length.Inches(54), Length.Inches(52)),
            (first.Item, first.Field, first.From, first.To)
        );
        Assert.Equal((Length.Inches(87, 1, 2), Length.Inches(90), 50m), (first.Saves, first.BuysLess, first.CostsLess)); // 2 1/2 yd at 20
        // A hem 1/2 in shallower: three cuts of 87, 7.25 yd. Half of that leaves 261 3/4, still 7 3/8.
        Assert.Contains(
            savings,
            saving =>
                saving.Field == "allowances.h1"
                && saving.To == Length.Inches(1)
                && saving.BuysLess == Length.Inches(4, 1, 2)
        );
    }

    [Fact]
    public void A_second_reading_does_not_stand_in_the_way() =>
        Assert.Contains(
            Savings.Of(Job("W=54 | W again=53 15/16 | L=84", "54"), Items.Drafting).Savings,
            saving => saving.Field == "measures.W"
        );

    [Fact]
    public void Where_nothing_may_be_less_nothing_is_told() =>
        Assert.Empty(Savings.Of(Job("shape=square | W=20", "54", "centre-panel"), Items.Drafting).Savings);

    // Told to close before it begins nothing is tried; the same again goes on to the end.
    [Fact]
    public void What_is_closed_early_says_how_far_it_came()
    {
        var some = Savings.Of(Job("W=54 | L=84", "54"), Items.Drafting, closing: new CancellationToken(true));
        Assert.Equal((0, 0, false), (some.Savings.Count, some.Looked, some.IsWhole));
        var all = Savings.Of(Job("W=54 | L=84", "54"), Items.Drafting);
        Assert.Equal((some.Sizes, true), (all.Looked, all.IsWhole));
    }

    // Taken at its word each saving lets the whole job buy exactly so much less, whatever is made.
    [Fact]
    public void A_saving_holds_when_it_is_taken()
    {
        var taken = 0;
        foreach (var width in Enumerable.Range(50, 7))
        foreach (
            var (makeUp, changes) in new[] { ("duvet-cover", "W=54 | L=84"), ("table-one-piece", "W=40 | L=30 | H=8") }
        )
        {
            var job = Job(changes, $"{width}", makeUp);
            var before = Plan.Of(job, Items.Drafting, lay: true).Cloths[0].Buying!.Bought;
            foreach (var saving in Savings.Of(job, Items.Drafting).Savings.Take(2))
            {
                var after = Plan.Of(Taken(job, saving), Items.Drafting, lay: true).Cloths[0].Buying!.Bought;
                Assert.Equal(before - saving.BuysLess, after);
                taken++;
            }
        }
        Assert.True(taken >= 7, $"only {taken} savings were found to be taken");
    }

    // A square of √(1.06 x 147 1/2 x 1 7/8) = 17.1, so 17 1/2, finds no room beside panels of 19 x 19 on 53; straight
    // strips do. And a second cloth of which nothing else is cut would have to be bought.
    [Fact]
    public void Another_way_to_cut_cord_strips_is_tried_too()
    {
        var cushion = Items.Of(
            "box-cushion-strip",
            JobUnit.Inch,
            ("W", "18"),
            ("L", "18"),
            ("T", "3"),
            ("strips", "bias")
        );
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [cushion with { Id = "i1" }],
            Cloths =
            [
                LayTests.Cloth("53", false) with
                {
                    Id = "blue",
                },
                LayTests.Cloth("53", false) with
                {
                    Id = "red",
                    Name = "red",
                },
            ],
        };
        var saving = Assert.Single(Savings.Of(job, Items.Drafting).Savings, each => each.Field == "choices.strips");
        Assert.Equal(("bias", "across"), (saving.InsteadOf!.Key, saving.Answer!.Key));
        Length Bought(JobDocument some) =>
            Plan.Of(some, Items.Drafting, lay: true)
                .Cloths.Aggregate(Length.Zero, (sum, cloth) => sum + (cloth.Buying?.Bought ?? Length.Zero));
        Assert.Equal(Bought(job) - saving.BuysLess, Bought(Taken(job, saving)));

        // Cord of its own cloth costs that cloth's shortest cut: covered with the cushion's own it is saved.
        var contrast = job with
        {
            Items =
            [
                cushion with
                {
                    Id = "i1",
                    OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.CordCovering] = "red" },
                },
            ],
        };
        var cloth = Assert.Single(
            Savings.Of(contrast, Items.Drafting).Savings,
            each => each.Field == Savings.CordCloth
        );
        Assert.Equal(("red", "blue"), (cloth.InsteadOf!.Key, cloth.Answer!.Key));
        Assert.Equal(Bought(contrast) - cloth.BuysLess, Bought(job));
    }

    private static JobDocument Taken(JobDocument job, Saving saving)
    {
        var (map, key) = saving.Field.Split('.') is [var first, var second] ? (first, second) : ("", "");
        Dictionary<string, Entry> Set(IReadOnlyDictionary<string, Entry> old, string name) =>
            name == map
                ? new(old)
                {
                    [key] = saving.Answer is { } answer
                        ? new Entry(answer.Key, JobUnit.Inch)
                        : Entry.Of(saving.To, JobUnit.Inch),
                }
                : new(old);
        return job with
        {
            Items =
            [
                .. job.Items.Select(item =>
                    item with
                    {
                        Measures = Set(item.Measures, "measures"),
                        Choices = Set(item.Choices, "choices"),
                        Allowances = Set(item.Allowances, "allowances"),
                    }
                ),
            ],
        };
    }

    // The handbook's example: faces need 79 3/4 across, two widths each, four cuts of 87 5/8 = 350 1/2 in (9.74 yd);
    // the lay finds three (7.30 yd).
    [Fact]
    public void Joined_widths_are_counted_by_hand_beside_the_lay()
    {
        var cloth = Plan.Of(Job("W=76 | L=84 | s=5/8", "57 1/2"), Items.Drafting, lay: true).Cloths[0];
        Assert.Equal((Length.Inches(350, 1, 2), Length.Inches(262, 7, 8)), (cloth.ByWidths, cloth.Lay!.Best.Length));
        Assert.Null(Plan.Of(Job("W=50 | L=84", "57 1/2"), Items.Drafting, lay: true).Cloths[0].ByWidths);
    }

    private static JobDocument Job(string changes, string width, string makeUp = "duvet-cover") =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Items.Read(makeUp, JobUnit.Inch, changes) with { Cloth = null }],
            Cloths = [LayTests.Cloth(width, false)],
        };
}
