using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>What is said of covers when they go out.</summary>
public class HandingOverCases
{
    private static readonly Maker Loft = new("Heron Loft", "FB2 7QX");

    private static JobCloth Cloth(string id, string batch, params string[] care) =>
        JobCloth.Usual(id, $"Cloth {id}", JobUnit.Inch) with
        {
            Batch = batch,
            Care = care,
        };

    private static HandingOver Of(Item item, Func<JobDocument, JobDocument>? change = null, params JobCloth[] cloths)
    {
        var job = JobDocument.Empty("Bay", JobUnit.Inch) with
        {
            Customer = "Ferncliff Lodge",
            Items = [item],
            Cloths = cloths.Length > 0 ? cloths : [Cloth("c1", "B 1", "wash-40")],
        };
        job = change?.Invoke(job) ?? job;
        return HandingOver.Of(ItemPlan.Of(item, 1, Items.Drafting, job), job, Loft, "2026-11-26")!;
    }

    private static Item Cushion => Items.Example("box-cushion-strip");

    private static Func<JobDocument, JobDocument> Said(CoverRecord record) =>
        job =>
            job with
            {
                HandOver = new() { Place = "East bay", Covers = [record] },
            };

    // Of each group the mark that stands least; groups that nobody states are left out.
    [Theory]
    [InlineData("wash-95 | wash-30", "wash-30")]
    [InlineData("wash-60 iron-hot | wash-never iron-warm", "wash-never iron-warm")]
    [InlineData("wash-60 dry-clean | tumble-low", "wash-60 tumble-low dry-clean")]
    [InlineData("bleach-oxygen bleach-never | bleach", "bleach-never")]
    [InlineData("boil | wash-40", "wash-40")]
    [InlineData(" | ", "")]
    public void Of_several_cloths_the_mildest_care_holds(string cloths, string care) =>
        Assert.Equal(
            care.Split(' ', StringSplitOptions.RemoveEmptyEntries),
            CareMark
                .Mildest(cloths.Split('|').Select(keys => keys.Split(' ', StringSplitOptions.RemoveEmptyEntries)))
                .Select(mark => mark.Key)
        );

    // Each mark is told by words of its own and lies within its field.
    [Fact]
    public void Every_mark_is_drawn_within_its_field_and_said_in_words()
    {
        Assert.Equal(CareMark.All.Count, CareMark.All.Select(mark => mark.Key).Distinct().Count());
        Assert.Equal(CareMark.All.Count, CareMark.All.Select(mark => mark.Words).Distinct().Count());
        Assert.Equal(5, CareMark.All.Select(mark => mark.Group).Distinct().Count());
        foreach (var mark in CareMark.All)
        {
            var numbers = System.Text.RegularExpressions.Regex.Matches(mark.Drawing, @"-?\d+(\.\d+)?");
            Assert.All(
                numbers,
                number =>
                    Assert.InRange(
                        decimal.Parse(number.Value, System.Globalization.CultureInfo.InvariantCulture),
                        0,
                        40
                    )
            );
        }
    }

    [Fact]
    public void What_is_missing_is_told_and_what_was_said_is_not()
    {
        var bare = Of(Cushion, job => job with { Customer = " " }, Cloth("c1", ""));
        Assert.Equal(
            [
                "the customer's name",
                "the batch of Cloth c1",
                "the care code of Cloth c1",
                "whether the fillings are original or replaced",
                "whether there is an interliner",
                "whether the cover is loose or fixed",
            ],
            bare.Missing
        );
        var said = Of(
            Cushion,
            Said(
                new("i1")
                {
                    Fillings = FillingsAre.Replaced,
                    Filling = "cold foam",
                    Interliner = Stated.No,
                    Fixed = Stated.No,
                    Opens = "its zip",
                    Flammability = "Sold as meeting [the rule], papers [number].",
                }
            )
        );
        Assert.Equal(
            ["what stands for [the rule] in the statement", "what stands for [number] in the statement"],
            said.Missing
        );
        Assert.Equal(
            [
                "Fillings: replaced: cold foam",
                "Interliner: none",
                "Flammability, as the maker states: Sold as meeting [the rule], papers [number].",
                "Cover: loose, comes off",
                "Opens at: its zip",
            ],
            said.Given.Stated.Select(line => $"{line.Name}: {line.Text}")
        );
        Assert.Equal(
            ("2026-11-26", "46 1/2 x 19 1/4 x 3 3/4 in", "East bay", "FB2 7QX"),
            (said.Given.Date, said.Given.Size, said.Given.Place, said.Given.Postcode)
        );
    }

    // What is not filled is not asked about its fillings.
    [Fact]
    public void A_runner_has_no_fillings_to_speak_of()
    {
        var runner = Of(Items.Read("runner", JobUnit.Inch, "L=60 | W=14"));
        Assert.DoesNotContain(runner.Missing, missing => missing.Contains("filling", StringComparison.Ordinal));
        Assert.DoesNotContain(runner.Missing, missing => missing.Contains("interliner", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("box-cushion-strip", "W=20 | L=20 | T=4", "its zip")]
    [InlineData("ottoman-cap", "W=20 | L=18 | H=16", "closed by hand in contrasting thread")]
    [InlineData("knife-edge-pad", "W=20 | L=20 | T=2 | closing=hand", "ladder stitch")]
    [InlineData("runner", "L=60 | W=14", "")]
    public void Where_it_usually_opens(string makeUp, string sizes, string opens) =>
        Assert.Contains(opens, Of(Items.Read(makeUp, JobUnit.Inch, sizes)).UsuallyOpens, StringComparison.Ordinal);

    [Fact]
    public void A_coating_that_washing_takes_off_is_said_and_parts_that_are_not_back_are_missed()
    {
        var coated = Cloth("c1", "B 1", "wash-40") with { Behaves = [ClothTrait.FlameResistantCoating] };
        var item = Cushion with { PartsOff = [new("p1", "left leg", true), new("p2", "right leg", false)] };
        var over = Of(item, null, coated);
        Assert.Contains("coating", Assert.Single(over.Given.Cautions), StringComparison.Ordinal);
        Assert.Equal(["left leg"], over.Given.Parts);
        Assert.Contains("where right leg is: it is not back yet", over.Missing);
    }

    [Fact]
    public void An_item_in_doubt_says_nothing()
    {
        var job = JobDocument.Empty("Bay", JobUnit.Inch);
        var item = Items.Drafting.Find("runner")!.NewItem("i1", "Runner", JobUnit.Inch);
        Assert.Null(HandingOver.Of(ItemPlan.Of(item, 1, Items.Drafting, job), job, Loft, "2026-11-26"));
    }

    // Each cloth of a cover is named with its batch, and only those.
    [Fact]
    public void The_cloths_of_a_cover_are_those_that_it_is_cut_from()
    {
        var item = Cushion with
        {
            Cloth = "c2",
            OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.CordCovering] = "c3" },
        };
        var over = Of(
            item,
            null,
            Cloth("c1", "A", "wash-95"),
            Cloth("c2", "B", "wash-60"),
            Cloth("c3", "C", "wash-30")
        );
        Assert.Equal(["c2 B", "c3 C"], over.Given.Cloths.Select(cloth => $"{cloth.Name[6..]} {cloth.Batch}"));
        Assert.Equal(["wash-30"], over.Given.Care);
    }
}
