using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Cord covering as a demand of the whole cloth (craft §4.1): how much, out of what is left, and what is bought for it.
/// </summary>
public class CordCases
{
    private static readonly Length Zero = Length.Zero;

    private static Length In(int whole, int numerator = 0, int denominator = 1) =>
        Length.Inches(whole, numerator, denominator);

    private static JobDocument Job(JobUnit unit, IReadOnlyList<JobCloth> cloths, params Item[] items) =>
        JobDocument.Empty("job", unit) with
        {
            Cloths = cloths,
            Items = [.. items.Select((item, at) => item with { Id = $"i{at}" })],
        };

    private static ClothPlan Cord(JobUnit unit, string width, string selvedge, Item item)
    {
        var red = LayTests.Cloth(width, false) with
        {
            Id = "red",
            Width = new(width, unit),
            Selvedge = new(selvedge, unit),
        };
        var contrast = new Dictionary<ClothRole, string> { [ClothRole.CordCovering] = "red" };
        var job = Job(
            unit,
            [LayTests.Cloth("300", false) with { Id = "blue" }, red],
            item with
            {
                OtherCloths = contrast,
            }
        );
        return Plan.Of(job, Items.Drafting, lay: true).Cloths[1];
    }

    // By hand, a cloth of its own: cord 269, strips 1 7/8 wide. 53 between selvedges: the first gives 53, each further 52
    // 1/2 (1/4 of both at the join): (269 - 1/2) / 52 1/2 = 5.1, so 6; after five 263, so 6 more + 1/2, 12 at least.
    [Fact]
    public void Straight_strips_from_a_cloth_of_their_own()
    {
        var plan = Cord(JobUnit.Inch, "54", "1/2", Items.Example("box-cushion-strip"));
        Assert.Equal("5 strips 1 7/8 x 53 in, 1 of 12 in", CordOnCloth.Told(plan.Pieces, JobUnit.Inch));
        Assert.Equal(In(11, 1, 4), plan.Lay!.Length); // 6 x 1 7/8
        Assert.Equal(In(11, 1, 4), plan.Lay.Hand.Length);
    }

    // A cloth of its own with a flaw right across it: whatever the depth at which it lies, no strip reaches into it, cut
    // straight in rows or at 45° in a deep block.
    [Theory]
    [InlineData("across")]
    [InlineData("slanted")]
    public void Strips_keep_clear_of_a_flaw_at_any_depth(string strips)
    {
        for (var at = 0; at <= 60; at += 4)
        {
            var red = LayTests.Cloth("54", false) with
            {
                Id = "red",
                Flaws =
                [
                    new(
                        new($"{at}", JobUnit.Inch),
                        new("0", JobUnit.Inch),
                        new("2", JobUnit.Inch),
                        new("54", JobUnit.Inch)
                    ),
                ],
            };
            var item = Items.Example("box-cushion-strip", ("strips", strips)) with
            {
                OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.CordCovering] = "red" },
            };
            var plan = Plan.Of(
                Job(JobUnit.Inch, [LayTests.Cloth("300", false) with { Id = "blue" }, red], item),
                Items.Drafting,
                lay: true
            ).Cloths[1];
            var pieces = plan.Pieces.ToDictionary(piece => piece.Id);
            Assert.Equal(pieces.Count, plan.Lay!.Best.Placements.Count);
            Assert.All(
                plan.Lay.Best.Placements,
                placed =>
                    Assert.True(
                        placed.Y + pieces[placed.Id].Along(placed.Turns) <= In(at) || placed.Y >= In(at + 2),
                        $"{placed} reaches into the flaw at {at}"
                    )
            );
        }
    }

    // Metric: P 2 (60 + 50) = 220, cord 2 x 220 + 2 x 7.5 = 455; π x 0.6 + 2 x 1.5 = 4.885, up to the next 1/8 in 5.08.
    // 137 usable, joins 0.6: 137 + 2 x 135.8 = 408.6, 46.4 more + 1.2 = 47.6.
    [Fact]
    public void Straight_strips_in_centimetres()
    {
        var item = Items.Of("box-cushion-strip", JobUnit.Centimetre, ("W", "60"), ("L", "50"), ("T", "8"));
        var plan = Cord(JobUnit.Centimetre, "140", "1.5", item);
        Assert.Equal("3 strips 5.1 x 137 cm, 1 of 47.6 cm", CordOnCloth.Told(plan.Pieces, JobUnit.Centimetre));
        Assert.Equal(Length.Millimetres(4 * 50.8m), plan.Lay!.Length);
    }

    // A square sewn to a tube: √(1.06 x 269 x 1 7/8) = 23.12, up to 23 1/2.
    [Fact]
    public void A_square_sewn_to_a_tube()
    {
        var plan = Cord(JobUnit.Inch, "54", "1/2", Items.Example("box-cushion-strip", ("strips", "bias")));
        Assert.Equal(In(23, 1, 2), plan.Lay!.Length);
        Assert.Equal(
            "1 square of 23 1/2 in, sewn to a tube and cut in a spiral",
            CordOnCloth.Told(plan.Pieces, JobUnit.Inch)
        );
        // On cloth of 20 in: two of √(1.06 x 134 1/2 x 1 7/8) = 16.35, one behind the other.
        var narrow = Cord(JobUnit.Inch, "21", "1/2", Items.Example("box-cushion-strip", ("strips", "bias")));
        Assert.Equal((2, In(33)), (narrow.Pieces.Count, narrow.Lay!.Length));
    }

    // A panel of 40 on cloth 53 wide leaves 13 x 30: along it 6 strips of 30 (2 wide), across it 15 of 13. The long ones
    // have fewer joins: 70 asked are two of 30, then 12, the shortest there is. No cloth is bought for them.
    [Fact]
    public void Strips_come_from_what_the_panels_leave()
    {
        var panel = new LayPiece("p", "i", "panel", "1a", Outline.Rectangle(In(40), In(30)), Grain.Along);
        var cloth = new LayCloth(In(53), OneWay: false);
        var (cut, lay) = CordStrips.After(
            LayTable.Of([panel], cloth),
            [panel],
            cloth,
            [new StripDemand(In(2), In(70), Zero, OnBias: false)]
        );
        Assert.Equal([In(30), In(30), In(12)], cut.Select(strip => Length.Max(strip.Across(0), strip.Along(0))));
        Assert.Equal((In(30), In(30)), (lay.Length, LayTable.Of([panel], cloth).Length));
        // By hand they lie behind the panel: 53 and 17 across.
        Assert.Equal(In(34), lay.Hand.Length);
    }

    // 20 x 40 left: at 45° a strip across the 20 is 20 √2 = 28.28 long, and takes 2 √2 = 2.83 up the roll: (40 - 20) / 2.83
    // = 7.07, so 7 of them; 150 asked: five are 141.42, then 12.
    [Fact]
    public void Short_bias_strips_from_what_is_left()
    {
        var panel = new LayPiece("p", "i", "panel", "1a", Outline.Rectangle(In(33), In(40)), Grain.Along);
        var cloth = new LayCloth(In(53), OneWay: false);
        IReadOnlyList<LayPiece> Cut(int length) =>
            CordStrips
                .After(
                    LayTable.Of([panel], cloth),
                    [panel],
                    cloth,
                    [new StripDemand(In(2), In(length), Zero, OnBias: true)]
                )
                .Cut;
        Assert.Equal("5 bias strips 2 x 28 5/16 in, 1 of 12 in", CordOnCloth.Told(Cut(150), JobUnit.Inch));
        Assert.Equal(7, Cut(197).Count); // 7 x 28.28 = 197.99
    }

    // Cut strips stay where they were cut; what is still asked is cut beside them.
    [Fact]
    public void Strips_that_are_cut_stay()
    {
        JobDocument Of(string length, IReadOnlyList<JobPin> pins, IReadOnlyList<JobCut> cut) =>
            Job(
                JobUnit.Inch,
                [LayTests.Cloth("54", false) with { Selvedge = new("1/2", JobUnit.Inch), Pins = pins, Cut = cut }],
                Items.Example("box-cushion-strip", ("L", length)) with
                {
                    Cloth = null,
                }
            );
        var first = Plan.Of(Of("19 1/4", [], []), Items.Drafting, lay: true).Cloths[0];
        var strip = first.Pieces.First(piece => piece.Id.StartsWith(CordStrips.Prefix, StringComparison.Ordinal));
        var at = first.Lay!.Best.Placements.Single(each => each.Id == strip.Id);
        var cut = new JobCut(strip.Id, strip.Across(0).Ticks, strip.Along(0).Ticks);
        var next = Plan.Of(Of("21 1/4", [first.ForLay.PinAt(at)], [cut]), Items.Drafting, lay: true).Cloths[0];
        Assert.Equal(at, next.Lay!.Best.Placements.Single(each => each.Id == strip.Id));
        Assert.Empty(next.CutOtherwise);
        Assert.True(Joined(next.Pieces, In(0, 1, 4)) >= In(277)); // 2 x (46 1/2 + 21 1/4) x 2 + 6
    }

    // Whatever lies there: enough strip when joined, none shorter than 12 in, each within its cloth and clear of the rest
    // (LayDemandTests looks at that too, on cloth with every demand).
    [Fact]
    public void There_is_always_enough() =>
        Gen.Select(
                Gen.Select(Gen.Int[4, 50], Gen.Int[4, 40]).Array[0, 4],
                Gen.Int[14, 60],
                Gen.Int[1, 900],
                Gen.Int[1, 4],
                Gen.Int[0, 4],
                Gen.Bool,
                Gen.Int[0, 2]
            )
            .Sample(
                (sizes, usable, asked, wide, join, onBias, gap) =>
                {
                    LayPiece[] panels =
                    [
                        .. sizes.Select(
                            (size, n) =>
                                new LayPiece(
                                    $"p{n}",
                                    "i",
                                    "panel",
                                    "1a",
                                    Outline.Rectangle(Length.Min(In(size.Item1), In(usable)), In(size.Item2)),
                                    Grain.Along
                                )
                        ),
                    ];
                    var cloth = new LayCloth(In(usable), OneWay: false) { Gap = In(0, gap, 4) };
                    var demand = new StripDemand(In(wide), In(asked), In(0, join, 8), onBias);
                    var before =
                        panels.Length == 0
                            ? new ClothLay(new([], Zero), new([], Zero), Zero, [])
                            : LayTable.Of(panels, cloth, [demand]);
                    var (cut, lay) = CordStrips.After(before, panels, cloth, [demand]);
                    // Chosen for panels and strips together it is never longer than chosen for the panels alone.
                    if (panels.Length > 0)
                        Assert.True(
                            lay.Length
                                <= CordStrips.After(LayTable.Of(panels, cloth), panels, cloth, [demand]).Lay.Length
                        );
                    Assert.Empty(lay.Misfits);
                    Assert.True(Joined(cut, demand.Join) >= In(asked) - new Length(cut.Count));
                    Assert.True(lay.ShortestPossible <= lay.Length && lay.Length <= lay.Hand.Length);
                    var shapes = lay
                        .Best.Placements.Select(at =>
                            Geometry.Laid(panels.Concat(cut).Single(piece => piece.Id == at.Id).Cut, at)
                        )
                        .ToList();
                    foreach (var (shape, n) in shapes.Select((shape, n) => (shape, n)))
                    {
                        var box = shape.EnvelopeInternal;
                        Assert.True(
                            box.MinX > -0.01 && box.MaxX < Geometry.Mm(cloth.Usable) + 0.01 && box.MinY > -0.01
                        );
                        Assert.All(
                            shapes.Take(n),
                            other =>
                                Assert.True(
                                    other.Distance(shape) > Geometry.Mm(cloth.Gap) - 0.05
                                        && other.Intersection(shape).Area < 0.5
                                )
                        );
                    }
                },
                iter: 80
            );

    // A search counts its strips: the lay it ends with is never longer with them than the one at once, of loose sets often
    // shorter, and each that it tells is shorter than the one before or surer.
    [Fact]
    public void A_search_shortens_panels_and_strips_together()
    {
        var cloth = new LayCloth(In(54), OneWay: false);
        StripDemand[] demands = [new(In(1, 7, 8), In(500), In(0, 1, 4), OnBias: false)];
        var shortened = 0;
        foreach (var seed in Enumerable.Range(1, 3))
        {
            var random = new Random(seed);
            LayPiece[] panels =
            [
                .. Enumerable
                    .Range(0, 12)
                    .Select(n => new LayPiece(
                        $"p{n}",
                        "i",
                        "panel",
                        "1a",
                        Outline.Rectangle(In(random.Next(8, 40)), In(random.Next(8, 30))),
                        Grain.Along
                    )),
            ];
            List<(Length Length, Length Bound)> told = [];
            var found = LaySearch.Run(panels, cloth, 1, lay => told.Add(Measured(lay)), default, 2, demands);
            Assert.Equal(panels.Length, found.Best.Placements.Count);
            Assert.Equal(told[^1], Measured(found));
            Assert.True(told[0].Length <= Measured(LayTable.Of(panels, cloth)).Length);
            Assert.All(
                told.Zip(told.Skip(1)),
                each =>
                    Assert.True(
                        each.Second.Length < each.First.Length
                            || (each.Second.Length == each.First.Length && each.Second.Bound > each.First.Bound)
                    )
            );
            shortened += told[^1].Length < told[0].Length ? 1 : 0;

            (Length Length, Length Bound) Measured(ClothLay lay) =>
                CordStrips.After(lay, panels, cloth, demands).Lay is var whole
                    ? (whole.Best.Length, whole.ShortestPossible)
                    : default;
        }
        Assert.True(shortened > 0);
    }

    // What the strips come to when joined, reckoned from their boxes: at 45° the short side times √2 is the length, and a
    // join takes √2 of its allowances.
    private static Length Joined(IEnumerable<LayPiece> pieces, Length join)
    {
        var strips = pieces.Where(piece => piece.Id.StartsWith(CordStrips.Prefix, StringComparison.Ordinal)).ToList();
        var lengths = strips
            .Select(strip =>
                strip.Id.Contains("bias", StringComparison.Ordinal)
                    ? Math.Sqrt(2) * Math.Min(strip.Across(0).Ticks, strip.Along(0).Ticks)
                    : Math.Max(strip.Across(0).Ticks, strip.Along(0).Ticks)
            )
            .ToList();
        Assert.All(lengths, length => Assert.True(length >= CordStrips.Shortest.Ticks - 2));
        var takes =
            2
            * join.Ticks
            * (strips.Any(strip => strip.Id.Contains("bias", StringComparison.Ordinal)) ? Math.Sqrt(2) : 1);
        return new Length((long)Math.Round(lengths.Sum() - (takes * (strips.Count - 1))));
    }

    // What older jobs stored: they read without a word, and mean the same look.
    [Theory]
    [InlineData("across", StripCut.Straight)]
    [InlineData("slanted", StripCut.ShortBias)]
    [InlineData("bias", StripCut.Tube)]
    public void Older_answers_keep_their_meaning(string stored, StripCut meant)
    {
        var item = Items.Example("box-cushion-strip", ("strips", stored));
        var old = item with
        {
            Choices = new Dictionary<string, Entry>(item.Choices) { ["blockWidth"] = new("36", JobUnit.Inch) },
        };
        Assert.Equal(meant, Items.Pattern(old).Covering!.Cut);
    }

    [Fact]
    public void Straight_strips_round_a_tight_curve_are_warned_of()
    {
        bool Warned(params (string, string)[] changes) =>
            Items
                .Pattern(Items.Example("box-cushion-strip", changes))
                .Remarks.Any(remark => remark.Text.Contains("pucker", StringComparison.Ordinal));
        Assert.True(Warned(("r", "3")));
        Assert.False(Warned(("r", "3"), ("strips", "bias")));
        Assert.False(Warned());
    }

    // A width that cannot be read says nothing of squares: none is cut, and the field is told.
    [Fact]
    public void No_square_is_cut_from_cloth_in_doubt()
    {
        var plan = Cord(JobUnit.Inch, "wide", "1/2", Items.Example("box-cushion-strip", ("strips", "bias")));
        Assert.Empty(plan.Pieces);
        Assert.Contains(plan.Problems, problem => problem.Field == "cloths.red.width");
    }

    // A cushion 30 x 20 x 4 has P 100: one ring of 100 and a join of 3 instead of two; a strip as wide as it is asked for.
    [Fact]
    public void One_edge_alone_can_be_corded_and_a_strip_cut_wider()
    {
        Pattern Of(string changes) =>
            Items.Pattern(Items.Read("box-cushion-strip", JobUnit.Inch, $"W=30 | L=20 | T=4 | ease=exact | {changes}"));
        decimal Told(Pattern pattern, string size) =>
            Items.Inches(pattern.Finished.Single(each => each.Name == size).Working.Value);
        Assert.Equal(103, Told(Of("cord=top"), "strip to cover the cord, joined"));
        Assert.Equal(206, Told(Of("cord=both"), "strip to cover the cord, joined"));
        Assert.Equal(2.5m, Told(Of("stripWidth=2 1/2"), "strip to cover the cord, cut wide"));
        Assert.Contains(
            Of("stripWidth=1 1/2").Remarks,
            remark => remark.Text.Contains("does not go round", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(
            Of("stripWidth=2").Remarks,
            remark => remark.Text.Contains("does not go round", StringComparison.Ordinal)
        );
        var steps = string.Join(" ", Of("cord=top").Steps.Select(step => step.Text));
        Assert.Contains("round the top panel", steps, StringComparison.Ordinal);
        Assert.DoesNotContain("both panels", steps, StringComparison.Ordinal);
    }
}
