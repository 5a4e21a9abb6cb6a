using Wrapper.Core.Cloth;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>Which one change shortens a lay most, by lays that are plain to see.</summary>
public sealed class ShorteningCases
{
    private static readonly LayCloth Flat = new(Length.Inches(54), OneWay: false);

    private static LayPiece[] Pads(int count, Length across, int along, bool matched = false) =>
        [
            .. Enumerable
                .Range(1, count)
                .Select(n => new LayPiece(
                    $"i/pad/{n}",
                    "i",
                    "pad",
                    "1a",
                    Outline.Rectangle(across, Length.Inches(along)),
                    Grain.Along
                ))
                .Select(piece => matched ? piece.AtSamePlace() : piece),
        ];

    private static List<Shortening> Found(LayPiece[] pieces, LayCloth cloth, params string[] cut)
    {
        var reading = new ClothReading(
            LayTests.Cloth("54", false) with
            {
                Cut = [.. cut.Select(id => new JobCut(id, 1, 1))],
            },
            JobUnit.Inch
        );
        var plan = new ClothPlan(reading, pieces, LayTable.Of(pieces, cloth), null, []) { ForLay = cloth };
        var found = Shortenings.Of(plan, JobUnit.Inch);
        Assert.Equal(found.All, found.Looked);
        // What it says is saved it does take less.
        Assert.All(found.Shortenings, each => Assert.Equal(plan.Lay!.Length, each.Length + each.Saves));
        return [.. found.Shortenings];
    }

    private static Length Saved(List<Shortening> found, LayChange change) =>
        found.SingleOrDefault(each => each.Change == change)?.Saves ?? Length.Zero;

    // Two pads 27 1/4 x 40 on 54 in lie one behind the other, 80 in. A little narrower, or on wider cloth, they lie abreast
    // and take 40; turned they lie one behind the other and take 54 1/2; half an inch shorter each they take 79.
    [Fact]
    public void What_lets_two_lie_abreast_comes_first()
    {
        var found = Found(Pads(2, Length.Inches(27, 1, 4), 40), Flat);
        Assert.Equal(
            [LayChange.WiderCloth, LayChange.Narrower, LayChange.EitherWay, LayChange.Shorter],
            found.Select(each => each.Change)
        );
        Assert.Equal(
            [Length.Inches(40), Length.Inches(40), Length.Inches(25, 1, 2), Length.Inches(1)],
            found.Select(each => each.Saves)
        );
        Assert.Equal("If 1a (2 pieces) were 1/2 in narrower", found[1].Told(JobUnit.Inch));
        Assert.Equal("On cloth 2 in wider", found[0].Told(JobUnit.Inch));
        // With one way up nothing may be turned, and the way up alone lets two pads lie no nearer.
        var pile = Found(Pads(2, Length.Inches(27, 1, 4), 40), Flat with { OneWay = true });
        Assert.Equal((Length.Zero, Length.Zero), (Saved(pile, LayChange.EitherWay), Saved(pile, LayChange.NoWayUp)));
    }

    // Each demand let go by itself: 27 + 20 and 20 + 20 in a repeat of 27; an inch between two; three of which two are
    // cut at once on folded cloth, 30 + 30, lie abreast on one layer.
    [Fact]
    public void A_demand_is_let_go_by_itself()
    {
        var repeat = Flat with { Repeat = new Repeat(Length.Inches(27), Length.Zero, HalfDrop: false) };
        Assert.Equal(
            Length.Inches(7),
            Saved(Found(Pads(2, Length.Inches(30), 20, matched: true), repeat), LayChange.Unmatched)
        );
        Assert.Equal(
            Length.Inches(1),
            Saved(Found(Pads(2, Length.Inches(30), 20), Flat with { Gap = Length.Inches(1) }), LayChange.NoGap)
        );
        Assert.Equal(
            Length.Inches(30),
            Saved(Found(Pads(3, Length.Inches(18), 30), Flat with { Spread = Spread.Folded }), LayChange.NotFolded)
        );
    }

    [Fact]
    public void What_is_pinned_may_be_let_go_and_what_is_cut_may_not()
    {
        var pads = Pads(1, Length.Inches(10), 10);
        var pinned = Flat with { Pins = [new Placement(pads[0].Id, 0, Length.Zero, Length.Inches(90))] };
        Assert.Equal(Length.Inches(90), Saved(Found(pads, pinned), LayChange.Unpinned));
        Assert.Empty(Found(pads, pinned, pads[0].Id));
    }

    [Fact]
    public void Where_there_is_no_time_it_says_how_many_were_tried()
    {
        var pads = Pads(2, Length.Inches(27, 1, 4), 40);
        var plan = new ClothPlan(
            new ClothReading(LayTests.Cloth("54", false), JobUnit.Inch),
            pads,
            LayTable.Of(pads, Flat),
            null,
            []
        )
        {
            ForLay = Flat,
        };
        var found = Shortenings.Of(plan, JobUnit.Inch, closing: new CancellationToken(canceled: true));
        Assert.Equal((0, 0), (found.Looked, found.Shortenings.Count));
        Assert.True(found.All > 0);
        Assert.Throws<OperationCanceledException>(() =>
            Shortenings.Of(plan, JobUnit.Inch, cancel: new CancellationToken(canceled: true))
        );
    }
}
