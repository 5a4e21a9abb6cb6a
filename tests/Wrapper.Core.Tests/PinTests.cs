using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Pieces put in place by hand: they stay, the rest is laid round them, and what cannot lie there is told.
/// </summary>
public class PinTests
{
    [Fact]
    public void Pinned_pieces_stay_and_the_rest_lies_round_them() =>
        Gen.Select(Variants.Makeable.Array[1, 3], Gen.Int[45, 110], Gen.Int[1, 4], Gen.Int[0, 2])
            .Sample(
                (items, width, every, gap) =>
                {
                    var job = JobDocument.Empty("job", JobUnit.Inch) with
                    {
                        Items = [.. items.Select((item, at) => item with { Id = $"i{at}", Cloth = null })],
                        Cloths = [LayTests.Cloth($"{width}", false)],
                    };
                    var planned = Plan.Of(job, Items.Drafting, lay: false).Cloths[0];
                    var cloth = planned.Reading.ForLay with { Gap = Length.Inches(0, gap, 4) };
                    var first = LayTable.Of(planned.Pieces, cloth);
                    // Some stay where they lay, a hand's width further up the roll.
                    List<Placement> pins =
                    [
                        .. first
                            .Best.Placements.Where((_, at) => at % every == 0)
                            .Select(at => at with { Y = at.Y + Length.Inches(4) }),
                    ];
                    var (kept, refused) = Pinning.Sort(pins, planned.Pieces, cloth);
                    Assert.Empty(refused);
                    var lay = LayTable.Of(planned.Pieces, cloth with { Pins = kept });
                    var at = lay.Best.Placements.ToDictionary(placement => placement.Id);
                    Assert.Equal(first.Best.Placements.Count, at.Count);
                    Assert.All(pins, pin => Assert.Equal(pin, at[pin.Id]));
                    var drawn = lay
                        .Best.Placements.Select(placement =>
                            Geometry.Laid(planned.Pieces.Single(piece => piece.Id == placement.Id).Cut, placement)
                        )
                        .ToList();
                    for (var a = 0; a < drawn.Count; a++)
                    {
                        Assert.True(
                            drawn[a].EnvelopeInternal.MaxX < Geometry.Mm(cloth.Usable) + 0.01
                                && drawn[a].EnvelopeInternal.MaxY < Geometry.Mm(lay.Best.Length) + 0.01
                        );
                        for (var b = 0; b < a; b++)
                            Assert.True(drawn[a].Distance(drawn[b]) > Geometry.Mm(cloth.Gap) - 0.05);
                    }
                },
                iter: 40
            );

    // Panels of 20 x 10 on 53 in, a flaw of 2 x 2 at 30 in from the end and 40 from the selvedge; b is pinned at the
    // very corner.
    [Theory]
    [InlineData(20, 0, 0, null)] // beside b
    [InlineData(19, 0, 0, "on 1b, which is pinned")]
    [InlineData(34, 0, 0, "over the edge")] // 54
    [InlineData(33, 25, 0, "on a flaw")]
    [InlineData(33, 32, 0, null)] // just behind it
    [InlineData(0, 10, 1, "does not let it lie so")]
    [InlineData(0, 10, 2, null)] // upside down looks the same
    [InlineData(-1, 10, 0, "over the edge")]
    public void Where_a_piece_may_be_put(int x, int y, int turns, string? reason)
    {
        var (pieces, cloth) = Two();
        var refusal = Pinning.Refusal(
            new Placement("a", turns, Length.Inches(x), Length.Inches(y)),
            pieces,
            cloth,
            [new Placement("b", 0, Length.Zero, Length.Zero)]
        );
        if (reason is null)
            Assert.Null(refusal);
        else
            Assert.Contains(reason, refusal, StringComparison.Ordinal);
    }

    // Let go within 5/8 in of an edge it lies against it, to the count; further off it stays.
    [Theory]
    [InlineData(20.4, 0.5, 20, 0)]
    [InlineData(32.5, 9.6, 33, 10)] // the far selvedge; the end of b
    [InlineData(25, 5, 25, 5)]
    [InlineData(-0.4, 14, 0, 14)]
    public void A_piece_snaps_to_what_it_is_let_go_near(double x, double y, double restsX, double restsY)
    {
        var (pieces, cloth) = Two();
        var pin = Pinning.Snapped(
            pieces["a"],
            0,
            Length.Snap(25.4 * x),
            Length.Snap(25.4 * y),
            pieces,
            cloth,
            [new Placement("b", 0, Length.Zero, Length.Zero)]
        );
        Assert.Equal((restsX, restsY), (pin.X.Ticks / 97536.0, pin.Y.Ticks / 97536.0));
    }

    [Fact]
    public void A_pin_that_is_lost_is_told_and_the_rest_is_laid()
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with { Cloth = null }],
            Cloths =
            [
                LayTests.Cloth("54", false) with
                {
                    Pins = [new JobPin("i1/panel/1", 0, Length.Inches(10).Ticks, 0), new JobPin("i1/gone/1", 0, 0, 0)],
                },
            ],
        };
        var cloth = Plan.Of(job, Items.Drafting, lay: true).Cloths[0];
        Assert.Equal("there is no such piece any more", Assert.Single(cloth.RefusedPins).Reason);
        Assert.Equal(Length.Inches(10), cloth.Lay!.Best.Placements.Single(at => at.Id == "i1/panel/1").X);
        Assert.Equal(Length.Inches(60), cloth.Lay.Best.Length); // 13 in are left beside it: the facing lies behind
    }

    // The panel was cut 30 x 30; drafted 31 now it is told, a thread more is not, and a piece that is gone is.
    [Theory]
    [InlineData("29 1/4", 0, "")]
    [InlineData("29 17/64", 0, "")]
    [InlineData("30 1/4", 1, "1a was cut 30 x 30 in and is drafted 31 x 31 in now")]
    public void What_was_cut_and_is_drafted_otherwise_is_told(string side, int told, string says)
    {
        var thirty = Length.Inches(30).Ticks;
        JobDocument Job(params JobCut[] cut) =>
            JobDocument.Empty("job", JobUnit.Inch) with
            {
                Items = [Items.Read("centre-panel", JobUnit.Inch, $"shape=square | W={side}") with { Cloth = null }],
                Cloths = [LayTests.Cloth("54", false) with { Cut = cut }],
            };
        var otherwise = Plan.Of(Job(new JobCut("i1/panel/1", thirty, thirty)), Items.Drafting, lay: false)
            .Cloths[0]
            .CutOtherwise;
        Assert.Equal(told, otherwise.Count);
        if (told > 0)
            Assert.Equal(says, otherwise[0]);
        Assert.Contains(
            "no longer in the job",
            Assert.Single(
                Plan.Of(Job(new JobCut("i1/gone/1", thirty, thirty)), Items.Drafting, lay: true).Cloths[0].CutOtherwise
            ),
            StringComparison.Ordinal
        );
    }

    private static (Dictionary<string, LayPiece> Pieces, LayCloth Cloth) Two()
    {
        var cut = Outline.Rectangle(Length.Inches(20), Length.Inches(10));
        return (
            new()
            {
                ["a"] = new("a", "i", "a", "1a", cut, Grain.Along),
                ["b"] = new("b", "i", "b", "1b", cut, Grain.Along),
            },
            new LayCloth(Length.Inches(53), OneWay: false)
            {
                Flaws = [new Patch(Length.Inches(30), Length.Inches(40), Length.Inches(2), Length.Inches(2))],
            }
        );
    }
}
