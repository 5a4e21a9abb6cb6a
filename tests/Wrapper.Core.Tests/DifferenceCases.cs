using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;

namespace Wrapper.Core.Tests;

/// <summary>What changed in a job, in the maker's words.</summary>
public class DifferenceCases
{
    private static readonly Vocabulary Plain = new(new Dictionary<string, string>());

    private static JobDocument Job() =>
        JobDocument.Empty("Bench", JobUnit.Inch) with
        {
            Items = [Items.Example("box-cushion-strip") with { Name = "Middle" }],
            Cloths = [JobCloth.Usual("c", "Twill", JobUnit.Inch)],
        };

    private static IReadOnlyList<string> Told(JobDocument after, Vocabulary? words = null) =>
        Differences.Of(Job(), after, Items.Drafting, words ?? Plain);

    private static JobDocument With(Func<Item, Item> change) => Job() with { Items = [change(Job().Items[0])] };

    private static Dictionary<string, Entry> Set(IReadOnlyDictionary<string, Entry> of, string key, string typed) =>
        new(of) { [key] = new(typed, JobUnit.Inch) };

    [Fact]
    public void Nothing_changed_is_nothing_told() => Assert.Empty(Told(Job()));

    [Fact]
    public void Sizes_choices_and_how_many_are_told_by_their_names()
    {
        Assert.Equal(
            ["Middle: length 19 1/4, now 19 1/2"],
            Told(With(item => item with { Measures = Set(item.Measures, "L", "19 1/2") }))
        );
        Assert.Equal(
            ["Middle: cord cord on both edges, now no cord"],
            Told(With(item => item with { Choices = Set(item.Choices, "cord", "none") }))
        );
        Assert.Equal(["Middle: how many 1, now 3"], Told(With(item => item with { Quantity = "3" })));
        Assert.Equal(["called Middle, now Left"], Told(With(item => item with { Name = "Left" })));
        var words = new Vocabulary(new Dictionary<string, string> { ["cord"] = "piping" });
        Assert.Contains(
            "piping",
            Assert.Single(Told(With(item => item with { Choices = Set(item.Choices, "cord", "none") }), words)),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void What_is_added_taken_off_or_made_is_told()
    {
        var other = Items.Example("bolster") with { Id = "b", Name = "Roll" };
        Assert.Equal(["Roll added"], Told(Job() with { Items = [.. Job().Items, other] }));
        Assert.Equal(["Roll added", "Middle taken off"], Told(Job() with { Items = [other] }));
        Assert.Equal(
            ["Twill: price 24", "Twill: batch SW 1"],
            Told(Job() with { Cloths = [Job().Cloths[0] with { Price = "24", Batch = "SW 1" }] })
        );
        Assert.Equal(
            ["2 steps done"],
            Told(Job() with { Making = new() { Steps = [new("i1/a", 1), new("i1/b", 1)] } })
        );
        Assert.Equal(["measured in cm instead of in"], Told(Job() with { Unit = JobUnit.Centimetre }));
    }

    [Fact]
    public void What_comes_from_the_shelves_is_told()
    {
        FromShelf Chain(string typed) => new("r", "zip chain/closed", "s", new(typed, JobUnit.Inch));
        var (none, some) = (Job(), Job() with { FromShelves = [Chain("3 yd")] });
        IReadOnlyList<string> Between(JobDocument then, JobDocument now) =>
            Differences.Of(then, now, Items.Drafting, new Vocabulary(new Dictionary<string, string>()));
        Assert.Equal(["zip chain from the shelves: 3 yd"], Between(none, some));
        Assert.Equal(
            ["zip chain from the shelves 3 yd, now 1 yd", "zip chain taken out of the shelf"],
            Between(some, Job() with { FromShelves = [Chain("1 yd") with { IsOut = true }] })
        );
        Assert.Equal(["zip chain: not from the shelves"], Between(some, none));
    }

    // Two more take twice as much again: what is bought of each, less what was.
    [Fact]
    public void Cloth_is_told_as_the_shop_cuts_it()
    {
        var (before, after) = (
            Plan.Of(Job(), Items.Drafting, lay: true),
            Plan.Of(With(item => item with { Quantity = "3" }), Items.Drafting, lay: true)
        );
        var more = after.Cloths[0].Buying!.Bought - before.Cloths[0].Buying!.Bought;
        Assert.True(more.IsPositive);
        var told = Assert.Single(Differences.InCloth(before, after, JobUnit.Inch));
        Assert.Equal($"+{LengthPrinter.ShopLength(more, JobUnit.Inch)} of Twill", told);
        Assert.Empty(Differences.InCloth(before, before, JobUnit.Inch));
    }
}
