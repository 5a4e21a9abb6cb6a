using CsCheck;
using NetTopologySuite.Geometries;
using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>What cloth demands of a lay: a gap, flaws left out, a repeat that drops are matched to (handbook §10). Looked at with another library's geometry.</summary>
public class LayDemandTests
{
    private static readonly Gen<(IReadOnlyList<LayPiece> Pieces, LayCloth Cloth)> Jobs =
        from items in Variants.Makeable.Array[1, 3]
        from width in Gen.Int[40, 110]
        from oneWay in Gen.Bool
        from gap in Gen.Int[0, 3]
        from repeat in Gen.Int[0, 4]
        from flaws in Gen.Select(Gen.Int[0, 90], Gen.Int[0, 40], Gen.Int[1, 12], Gen.Int[1, 12]).Array[0, 3]
        select Job(items, width, new LayCloth(Length.Zero, oneWay)
        {
            Gap = Length.Inches(0, gap, 4),
            Repeat = repeat == 0 ? null : new Repeat(Length.Inches(4 * repeat), repeat == 2 ? Length.Zero : Length.Inches(3 * repeat), repeat > 2),
            Flaws = [.. flaws.Select(flaw => new Flaw(Length.Inches(flaw.Item1), Length.Inches(flaw.Item2), Length.Inches(flaw.Item3), Length.Inches(flaw.Item4)))],
        });

    private static (IReadOnlyList<LayPiece>, LayCloth) Job(Item[] items, int width, LayCloth cloth)
    {
        var document = JobDocument.Empty("job", JobUnit.Inch) with { Items = [.. items.Select((item, at) => item with { Id = $"i{at}", Cloth = null })], Cloths = [LayTests.Cloth($"{width}", false)] };
        var plan = Planning.Of(document, Items.Drafting, lay: false).Cloths[0];
        return (plan.Pieces, cloth with { Usable = plan.Reading.Usable.Value });
    }

    [Fact]
    public void Every_demand_is_kept() =>
        Jobs.Sample(job =>
        {
            var (pieces, cloth) = job;
            var lay = LayTable.Of(pieces, cloth);
            Assert.Equal(pieces.Count, lay.Best.Placements.Count + lay.Misfits.Count);
            Assert.True(lay.ShortestPossible <= lay.Best.Length);
            if (cloth.Flaws.Count == 0) Assert.True(lay.Best.Length <= lay.Hand.Length);
            var drawn = lay.Best.Placements.Select(at => (At: at, Piece: pieces.Single(piece => piece.Id == at.Id))).Select(laid => (laid.At, laid.Piece, Shape: Geometry.Laid(laid.Piece.Cut, laid.At))).ToList();
            for (var a = 0; a < drawn.Count; a++)
            {
                var box = drawn[a].Shape.EnvelopeInternal;
                Assert.True(box.MinX > -0.01 && box.MinY > -0.01 && box.MaxX < Geometry.Mm(cloth.Usable) + 0.01 && box.MaxY < Geometry.Mm(lay.Best.Length) + 0.01, $"{drawn[a].At} lies off the cloth");
                foreach (var flaw in cloth.Flaws)
                    Assert.True(drawn[a].Shape.Intersection(Rectangle(flaw)).Area < 0.5, $"{drawn[a].At} lies on a flaw");
                for (var b = 0; b < a; b++)
                    Assert.True(drawn[a].Shape.Distance(drawn[b].Shape) > Geometry.Mm(cloth.Gap) - 0.05, $"{drawn[a].At} and {drawn[b].At} are nearer than the gap");
            }
            if (cloth.Repeat is not { } repeat) return;
            foreach (var (at, piece, _) in drawn.Where(laid => laid.Piece.Grain != Grain.Either && laid.Piece.Role != ClothRole.CordCovering))
            {
                // Origins differ by m (Q, V/2) + n (0, V), the first one's phase being none.
                var across = repeat.Across.IsPositive ? at.X.Ticks / repeat.Across.Ticks : 0;
                if (repeat.Across.IsPositive) Assert.Equal(0, at.X.Ticks % repeat.Across.Ticks);
                var phase = repeat.HalfDrop && repeat.Across.IsPositive && across % 2 == 1 ? repeat.Along.Ticks / 2 : 0;
                Assert.True((at.Y.Ticks - phase) % repeat.Along.Ticks == 0, $"{piece.Id} does not start at the same place of the repeat");
            }
        }, iter: 60);

    private static Polygon Rectangle(Flaw flaw)
    {
        var (x, y, w, h) = (Geometry.Mm(flaw.FromSelvedge), Geometry.Mm(flaw.FromEnd), Geometry.Mm(flaw.Across), Geometry.Mm(flaw.Along));
        return new Polygon(new LinearRing([new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h), new(x, y)]));
    }

    // Handbook §10: n straight-match drops take (n - 1) ceil(cut / V) V + cut. Three panels of 30 x 20 on 40 in, repeat 12 1/2: 2 x 25 + 20.
    [Fact]
    public void Drops_of_a_straight_match_take_what_the_hand_sum_says()
    {
        var cut = Outline.Rectangle(Length.Inches(30), Length.Inches(20));
        List<LayPiece> pieces = [.. Enumerable.Range(1, 3).Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along))];
        var lay = LayTable.Of(pieces, new LayCloth(Length.Inches(40), OneWay: true) { Repeat = new Repeat(Length.Inches(12, 1, 2), Length.Zero, false) });
        Assert.Equal((Length.Inches(70), Length.Inches(70)), (lay.Hand.Length, lay.Best.Length));
    }

    // Two panels of 20 x 20 beside each other on 53 in: the second starts whole repeats of 9 across, at 27, so both fit; with 13 it would start at 26 too.
    // Half-drop 9 across, 8 along: at 27 stands the third repeat, half of 8 higher: 4 + 20.
    [Theory]
    [InlineData(9, 8, false, 20)]
    [InlineData(9, 8, true, 24)]
    [InlineData(17, 8, false, 44)] // at 34 the second would reach 54: under the first instead, 24 + 20
    public void Panels_start_whole_repeats_apart(int across, int along, bool halfDrop, int length)
    {
        var cut = Outline.Rectangle(Length.Inches(20), Length.Inches(20));
        List<LayPiece> pieces = [.. Enumerable.Range(1, 2).Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along))];
        var lay = LayTable.Of(pieces, new LayCloth(Length.Inches(53), OneWay: true) { Repeat = new Repeat(Length.Inches(along), Length.Inches(across), halfDrop) });
        Assert.Equal(Length.Inches(length), lay.Best.Length);
    }

    // 24 panels of 10 x 10 with 1/2 in between on 53 in: (53 + 1/2) / 10 1/2 = 5 across, five rows: 5 x 10 + 4 x 1/2.
    [Fact]
    public void A_gap_lies_between_pieces_and_nowhere_else()
    {
        var cut = Outline.Rectangle(Length.Inches(10), Length.Inches(10));
        List<LayPiece> pieces = [.. Enumerable.Range(1, 24).Select(n => new LayPiece($"p{n}", "i", "p", "1a", cut, Grain.Along))];
        var lay = LayTable.Of(pieces, new LayCloth(Length.Inches(53), OneWay: true) { Gap = Length.Inches(0, 1, 2) });
        Assert.Equal((Length.Inches(52), Length.Inches(52)), (lay.Best.Length, lay.Hand.Length));
    }

    // Washed 10 % shorter: a repeat of 20 is 18 then; what is bought has one repeat of 20 to start.
    [Fact]
    public void Repeats_and_flaws_shrink_with_the_cloth_and_one_repeat_is_bought_to_start()
    {
        static Entry In(string typed) => new(typed, JobUnit.Inch);
        var cloth = new ClothReading(LayTests.Cloth("54", false) with { ShrinksAlong = "10", ShrinksAcross = "5", RepeatAlong = In("20"), RepeatAcross = In("10"), Gap = In("1/4"), Flaws = [new(In("30"), In("4"), In("2"), In("1"))] }, JobUnit.Inch);
        Assert.Empty(cloth.Problems);
        Assert.Equal(new Repeat(Length.Inches(18), Length.Inches(9, 1, 2), false), cloth.ForLay.Repeat);
        Assert.Equal(new Flaw(Length.Inches(27), Length.Millimetres(96.52m), Length.Millimetres(45.72m), Length.Millimetres(24.13m)), cloth.ForLay.Flaws[0], Near);
        var buying = Buying.Of(Length.Inches(90), cloth);
        Assert.Equal((Length.Inches(100), Length.Inches(20), Length.Inches(121, 1, 2)), (buying.Needed, buying.ToStart, buying.Bought)); // 120, up to 27 eighths of a yard
    }

    private static bool Near(Flaw a, Flaw b) => new[] { a.FromEnd - b.FromEnd, a.FromSelvedge - b.FromSelvedge, a.Along - b.Along, a.Across - b.Across }.All(off => off.Abs().Ticks <= 1);

    [Theory]
    [InlineData("gap", "-1", "negative")]
    [InlineData("repeatAlong", "abc", "no number")]
    [InlineData("repeatAcross", "500", "over")]
    public void A_demand_that_cannot_be_read_is_told(string field, string typed, string reason)
    {
        var entry = new Entry(typed, JobUnit.Inch);
        var plain = LayTests.Cloth("54", false) with { RepeatAlong = new("10", JobUnit.Inch) };
        var problem = Assert.Single(new ClothReading(field switch { "gap" => plain with { Gap = entry }, "repeatAlong" => plain with { RepeatAlong = entry }, _ => plain with { RepeatAcross = entry } }, JobUnit.Inch).Problems);
        Assert.Equal($"cloths.c1.{field}", problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    // A flaw across the whole width from the very end: everything is laid behind it. Nothing to lay takes nothing, flaws or not.
    [Fact]
    public void Behind_a_flaw_across_the_whole_width_the_cloth_goes_on()
    {
        var flawed = new LayCloth(Length.Inches(53), OneWay: false) { Flaws = [new(Length.Zero, Length.Zero, Length.Inches(500), Length.Inches(53))] };
        LayPiece piece = new("p", "i", "p", "1a", Outline.Rectangle(Length.Inches(53), Length.Inches(10)), Grain.Along);
        Assert.Equal(Length.Inches(510), LayTable.Of([piece], flawed).Best.Length);
        Assert.Equal(Length.Zero, LayTable.Of([], flawed).Best.Length);
    }
}
