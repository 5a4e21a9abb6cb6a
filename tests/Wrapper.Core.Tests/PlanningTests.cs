using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

public class PlanningTests
{
    private static JobDocument Job(params Item[] items) =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = items,
            Cloths = [LayTests.Cloth("54", false), LayTests.Cloth("60", false) with { Id = "c2" }],
        };

    private static Item Folded(string id, string? cloth, int quantity = 1) =>
        Items.Example("box-cushion-folded") with
        {
            Id = id,
            Cloth = cloth,
            Quantity = $"{quantity}",
        };

    [Fact]
    public void Each_cloth_is_laid_with_its_own_items_and_the_first_takes_the_rest()
    {
        var plan = Plan.Of(Job(Folded("a", null, 3), Folded("b", "c2"), Folded("c", "c1")), Items.Drafting, lay: true);
        Assert.Equal(["1a", "1a", "1a", "3a"], plan.Cloths[0].Pieces.Select(piece => piece.Label));
        Assert.Equal(["2a"], plan.Cloths[1].Pieces.Select(piece => piece.Label));
        Assert.Equal(
            ["a/cover/1", "a/cover/2", "a/cover/3", "c/cover/1"],
            plan.Cloths[0].Pieces.Select(piece => piece.Id)
        );
        Assert.Equal(Length.Inches(4 * 47, 2), plan.Cloths[0].Lay!.Best.Length); // 51 1/4 across, so one under the other
        Assert.Empty(plan.Problems);
    }

    // A cube of 19 in: four bands of 4 1/2 x 16, cord round nothing; tops and sides stay with the face.
    [Fact]
    public void Bands_linings_and_coverings_can_have_a_cloth_of_their_own()
    {
        Item Cube(params (ClothRole Role, string Cloth)[] others) =>
            Items.Of("cube-banded", JobUnit.Inch, ("W", "19"), ("L", "19"), ("H", "19")) with
            {
                Cloth = "c1",
                OtherCloths = others.ToDictionary(o => o.Role, o => o.Cloth),
            };
        var plan = Plan.Of(Job(Cube((ClothRole.Contrast, "c2"))), Items.Drafting, lay: true);
        Assert.Equal(["band", "band", "band", "band"], plan.Cloths[1].Pieces.Select(piece => piece.Piece));
        Assert.Equal(Length.Inches(16), plan.Cloths[1].Lay!.Best.Length); // four of 4 1/2 beside each other on 59
        Assert.DoesNotContain(plan.Cloths[0].Pieces, piece => piece.Piece == "band");
        var alone = plan.Items[0].Alone(Job(Cube((ClothRole.Contrast, "c2"))));
        Assert.Equal(plan.Cloths[0].Lay!.Best.Length + Length.Inches(16), alone);
        var lost = Plan.Of(Job(Cube((ClothRole.Contrast, "sold"))), Items.Drafting, lay: true);
        Assert.Equal(("items.i1.cloth", "sold"), (Assert.Single(lost.Problems).Field, lost.Problems[0].Given));
        Assert.Null(lost.Items[0].Alone(Job(Cube((ClothRole.Contrast, "sold")))));
    }

    [Theory]
    [InlineData("chair-back-slip-over", "W=16 | H=20 | D=2", ClothRole.Lining, "lining")]
    [InlineData(
        "chair-slipcover",
        "W=22|S=21|F=12|A=8|B=5|U=6|H=27|K=4|C=5",
        ClothRole.Contrast,
        "skirt-front skirt-side skirt-flap"
    )]
    [InlineData("box-cushion-strip", "W=20 | L=20 | T=4 | wadding=sides", ClothRole.Wadding, "wadding wadding-side")]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | pads=2 | barrier=under",
        ClothRole.PadLayer,
        "pad-1 pad-2"
    )]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | pads=2 | barrier=under",
        ClothRole.MoistureBarrier,
        "barrier"
    )]
    [InlineData(
        "traced-board",
        "W=15 | B=15 | L=48 | T=1 | stations=0 | sides=straight | pad=1/2",
        ClothRole.PadLayer,
        "pad-1"
    )]
    public void Each_role_has_the_pieces_of_its_name(string makeUp, string changes, ClothRole role, string pieces) =>
        Assert.Equal(
            pieces.Split(' '),
            Items
                .Pattern(Items.Read(makeUp, JobUnit.Inch, changes))
                .Pieces.Where(piece => piece.Role == role)
                .Select(piece => piece.Key)
        );

    // A sheet of 30 x (2 x 20 + 4) and two sides of 20 x 4: turned, 44 across and both sides on end beside it, 30 up
    // the roll.
    [Fact]
    public void Wadding_is_cut_from_no_cloth_until_one_is_named_for_it()
    {
        var item = Items.Read("box-cushion-strip", JobUnit.Inch, "W=30 | L=20 | T=4 | wadding=sides") with
        {
            Cloth = "c1",
        };
        var plan = Plan.Of(Job(item), Items.Drafting, lay: true);
        Assert.DoesNotContain(plan.Cloths.SelectMany(cloth => cloth.Pieces), piece => piece.Role == ClothRole.Wadding);
        var notions = plan.Items[0].Draft.Pattern!.Notions.Where(notion => notion.Role == ClothRole.Wadding);
        Assert.Equal(["30 x 44 in: 9.17 sq ft", "2 of 20 x 4 in: 1.11 sq ft"], notions.Select(notion => notion.Amount));
        var named = Job(item with { OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.Wadding] = "c2" } });
        var laid = Plan.Of(named, Items.Drafting, lay: true);
        Assert.Equal(["wadding", "wadding-side", "wadding-side"], laid.Cloths[1].Pieces.Select(piece => piece.Piece));
        Assert.Equal(Length.Inches(30), laid.Cloths[1].Lay!.Best.Length);
        // What the cover takes is the same either way.
        Assert.Equal(plan.Cloths[0].Lay!.Best.Length, laid.Cloths[0].Lay!.Best.Length);
        Assert.Equal(laid.Cloths[0].Lay!.Best.Length, laid.Items[0].Alone(named));
    }

    // A lining without a cloth of its own is cut from the second face's, that from the item's.
    [Theory]
    [InlineData(ClothRole.Lining, "", "c1")]
    [InlineData(ClothRole.Lining, "second face", "c2")]
    [InlineData(ClothRole.Contrast, "second face", "c1")]
    [InlineData(ClothRole.PadLayer, "second face", null)]
    public void Each_role_falls_back_on_the_next(ClothRole role, string named, string? cloth) =>
        Assert.Equal(
            cloth,
            Job()
                .ClothOf(
                    Folded("a", "c1") with
                    {
                        OtherCloths =
                            named == ""
                                ? new Dictionary<ClothRole, string>()
                                : new Dictionary<ClothRole, string> { [ClothRole.SecondFace] = "c2" },
                    },
                    role
                )
        );

    // Problems count at the stage where they are mended, an item once; what rests on the lay comes after it.
    [Fact]
    public void Each_stage_is_as_far_as_what_it_rests_on()
    {
        static string Said(JobDocument job, bool lay) =>
            string.Join(
                ", ",
                Progress
                    .Of(Plan.Of(job, Items.Drafting, lay), job)
                    .TakeWhile(stage => stage.Stage != Stage.Make)
                    .Select(stage => $"{stage.State} {stage.InDoubt + stage.Left}")
            );
        Assert.Equal("Empty 0, Empty 0, Empty 0, Empty 0, Empty 0", Said(Job(), lay: true));
        Assert.Equal("Done 0, Done 0, Done 0, Empty 0, Empty 0", Said(Job(Folded("a", "c1")), lay: false));
        Assert.Equal("Done 0, Done 0, Done 0, Done 0, Done 0", Said(Job(Folded("a", "c1")), lay: true));
        var unread = Folded("a", "c1") with
        {
            Measures = new Dictionary<string, Entry> { ["W"] = new("x", JobUnit.Inch), ["L"] = new("y", JobUnit.Inch) },
        };
        Assert.Equal("Doubt 2, ToDo 1, ToDo 1, ToDo 0, ToDo 0", Said(Job(unread, Folded("b", "c1")), lay: true));
        // Sizes that are not entered yet are nobody's mistake: three to do, and one item to go on with.
        var blank = Folded("a", "c1") with
        {
            Measures = new Dictionary<string, Entry>(),
        };
        Assert.Equal("ToDo 3, Empty 0, Empty 0, Empty 0, Empty 0", Said(Job(blank), lay: true));
        Assert.Equal("ToDo 3, ToDo 1, ToDo 1, ToDo 0, ToDo 0", Said(Job(blank, Folded("b", "c1")), lay: true));
        var unpriced = Job(Folded("a", "c1"));
        unpriced = unpriced with { Cloths = [unpriced.Cloths[0] with { Price = "much" }, .. unpriced.Cloths.Skip(1)] };
        Assert.Equal("Done 0, Done 0, Done 0, Done 0, Doubt 1", Said(unpriced, lay: true));
    }

    [Fact]
    public void More_pieces_than_anybody_cuts_are_refused_at_once()
    {
        var plan = Plan.Of(
            Job([.. Enumerable.Range(0, 11).Select(n => Folded($"i{n}", "c1", 500))]),
            Items.Drafting,
            lay: true
        );
        Assert.Equal("cloths.c1.pieces", Assert.Single(plan.Cloths[0].Problems).Field);
        Assert.Null(plan.Cloths[0].Lay);
    }

    [Fact]
    public void An_item_whose_cloth_is_gone_is_told()
    {
        var plan = Plan.Of(Job(Folded("a", "sold")), Items.Drafting, lay: true);
        Assert.Equal(("items.a.cloth", "c1"), (Assert.Single(plan.Problems).Field, plan.Problems[0].Example));
        Assert.Null(plan.Cloths[0].Buying);
    }

    [Theory]
    [InlineData("40", "20", "selvedge", "take the whole width")]
    [InlineData("wide", "1/2", "width", "no number")]
    [InlineData("3", "1/2", "width", "under 4 in")]
    [InlineData("54", "-1", "selvedge", "negative")]
    public void A_cloth_that_cannot_be_read_leaves_its_lay_out(
        string width,
        string selvedge,
        string field,
        string reason
    )
    {
        var cloth = LayTests.Cloth(width, false) with { Selvedge = new(selvedge, JobUnit.Inch) };
        var plan = Plan.Of(Job(Folded("a", "c1")) with { Cloths = [cloth] }, Items.Drafting, lay: true);
        var problem = Assert.Single(plan.Cloths[0].Problems);
        Assert.Equal($"cloths.c1.{field}", problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
        Assert.Null(plan.Cloths[0].Lay);
        Assert.NotNull(plan.Items[0].Draft.Pattern);
    }

    [Theory]
    [InlineData("-1")]
    [InlineData("twenty")]
    [InlineData("1.234")]
    public void A_price_that_is_none_is_told(string price)
    {
        var problem = Assert.Single(
            new ClothReading(LayTests.Cloth("54", false) with { Price = price }, JobUnit.Inch).Problems
        );
        Assert.Equal(("cloths.c1.price", price), (problem.Field, problem.Given));
        var plan = Plan.Of(
            Job(Folded("a", "c1")) with
            {
                Cloths = [LayTests.Cloth("54", false) with { Price = price }],
            },
            Items.Drafting,
            lay: true
        );
        Assert.NotNull(plan.Cloths[0].Lay); // a price does not stand in the way of laying
        Assert.Null(plan.Cloths[0].Buying);
    }

    [Theory]
    [InlineData("0")]
    [InlineData("-3")]
    [InlineData("abc")]
    [InlineData("501")]
    public void A_number_of_covers_that_is_none_leaves_the_item_in_doubt(string quantity)
    {
        var problem = Assert.Single(
            Items.Draft(Items.Example("box-cushion-strip") with { Quantity = quantity }).Problems
        );
        Assert.Equal(("quantity", quantity), (problem.Field, problem.Given));
    }

    [Fact]
    public void Defaults_follow_the_unit_an_item_was_begun_in()
    {
        var makeUp = Items.Drafting.Find("box-cushion-strip")!;
        var (inches, metric) = (makeUp.NewItem("a", "a", JobUnit.Inch), makeUp.NewItem("b", "b", JobUnit.Centimetre));
        Assert.Equal(
            ("1/2", "3/4", "1/4"),
            (inches.Allowances["s"].Typed, inches.Allowances["z"].Typed, inches.Choices["snugBy"].Typed)
        );
        Assert.Equal(
            ("1.5", "2", "0.6"),
            (metric.Allowances["s"].Typed, metric.Allowances["z"].Typed, metric.Choices["snugBy"].Typed)
        );
    }

    [Fact]
    public void Going_over_to_another_make_up_and_back_loses_nothing()
    {
        var item = Items.Example("box-cushion-strip", ("lap", "1"), ("panel/front", "7/8"));
        var over = Items.Drafting.Find("box-cushion-folded")!.NewItem("", "", JobUnit.Inch, item);
        var back = Items.Drafting.Find("box-cushion-strip")!.NewItem("", "", JobUnit.Inch, over);
        Assert.Equal(item.Measures, back.Measures);
        Assert.All(item.Choices, choice => Assert.Equal(choice.Value, back.Choices[choice.Key]));
        Assert.All(item.Allowances, allowance => Assert.Equal(allowance.Value, back.Allowances[allowance.Key]));
    }

    // What is usual in the unit that it was entered in is usual, however it is written; what is not is told with what is.
    [Fact]
    public void What_is_answered_otherwise_than_is_usual_is_told()
    {
        var makeUp = Items.Drafting.Find("box-cushion-strip")!;
        string[] Told(JobUnit unit, params (string Key, string Typed)[] changes)
        {
            var item = Items.Of("box-cushion-strip", unit, [("W", "20"), ("L", "20"), ("T", "4"), .. changes]);
            var reading = Items.Draft(item, unit).Reading!;
            return [.. makeUp.Changed(item, reading, unit).Select(each => $"{each.Field}: {each.Usual.Typed}")];
        }
        Assert.Empty(Told(JobUnit.Inch));
        Assert.Empty(Told(JobUnit.Centimetre));
        Assert.Empty(Told(JobUnit.Inch, ("s", "0.5")));
        Assert.Equal(["allowances.s: 1/2"], Told(JobUnit.Inch, ("s", "3/8")));
        Assert.Equal(["allowances.s: 1.5"], Told(JobUnit.Centimetre, ("s", "1")));
    }
}
