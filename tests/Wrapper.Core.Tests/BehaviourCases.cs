using CsCheck;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>What the behaviour of a cloth asks of the making, and where cautions stand.</summary>
public class BehaviourCases
{
    private const string Cap = "W=20 | L=18 | H=16";

    private static Pattern Of(string makeUp, string changes, bool shrinks, params ClothTrait[] traits) =>
        Items
            .Drafting.Draft(
                Items.Read(makeUp, JobUnit.Inch, changes),
                JobUnit.Inch,
                role => new ClothRoom(Working.Of("U", "usable width", Length.Inches(53)))
                {
                    Name = role == ClothRole.CordCovering ? "Reed canvas" : "Moss linen",
                    Behaves = role == ClothRole.CordCovering ? [] : traits,
                    Shrinks = shrinks,
                }
            )
            .Pattern!;

    private static Pattern Of(params ClothTrait[] traits) => Of("ottoman-cap", Cap, false, traits);

    private static Step Cutting(Pattern pattern) => pattern.Steps.First(step => step.Does.HasFlag(Doing.Cutting));

    [Fact]
    public void What_is_washed_is_washed_before_it_is_cut()
    {
        var first = Of(ClothTrait.Washable).Steps[0];
        Assert.StartsWith("Wash, dry and press Moss linen before cutting.", first.Text, StringComparison.Ordinal);
        Assert.Contains("enter it as shrinkage", first.Text, StringComparison.Ordinal);
        var known = Of("ottoman-cap", Cap, true, ClothTrait.Washable).Steps[0];
        Assert.DoesNotContain("enter it", known.Text, StringComparison.Ordinal);
        Assert.DoesNotContain(Of().Steps, step => step.Text.StartsWith("Wash", StringComparison.Ordinal));
    }

    // A runner of one piece: zigzag takes four times the way round its cut line, and a tenth more.
    [Theory]
    [InlineData(ClothTrait.Frays)]
    [InlineData(ClothTrait.Sheds)]
    public void Raw_edges_of_cloth_that_ravels_are_finished_once_cut(ClothTrait trait)
    {
        Pattern Runner(params ClothTrait[] traits) => Of("runner", "W=14 | L=60", false, traits);
        decimal Thread(Pattern pattern) =>
            Items.Inches(pattern.Notions.Single(notion => notion.Key == "thread").Length!.Value);
        var (plain, finished) = (Runner(), Runner(trait));
        var piece = Assert.Single(plain.Pieces);
        var (across, along) = (plain.Size(piece.Key, "cut width"), plain.Size(piece.Key, "cut length"));
        Assert.Equal(1.1m * 4 * 2 * (across + along), Thread(finished) - Thread(plain), 3);
        var at = finished.Steps.ToList().IndexOf(Cutting(finished));
        Assert.Matches("^Finish the raw edges .*: zigzag Moss linen.$", finished.Steps[at + 1].Text);
        Assert.True(Making.Minutes.Of(finished) > Making.Minutes.Of(plain));
    }

    // Serging takes twelve times the way round both cut lines, in the colour of the cloth, off cones of its own: the
    // thread of the seams stays as it was.
    [Fact]
    public void Serged_edges_take_thread_of_their_own()
    {
        var pattern = Items
            .Drafting.Draft(
                Items.Read("box-cushion-folded", JobUnit.Inch, "W=22 | L=20 | T=4 | corners=cut"),
                JobUnit.Inch,
                _ => new ClothRoom(Working.Of("U", "usable width", Length.Inches(53)))
                {
                    Name = "Moss linen",
                    Behaves = [ClothTrait.Frays],
                    EdgeFinish = EdgeFinish.Serging,
                }
            )
            .Pattern!;
        decimal Thread(Pattern of, string key) =>
            Items.Inches(of.Notions.Single(notion => notion.Key == key).Length!.Value);
        var round = pattern.Pieces.Sum(piece => piece.Quantity * Items.Inches(piece.Cut.Perimeter()));
        Assert.Equal(13.2m * round, Thread(pattern, Making.Thread.SergingKey), 2);
        Assert.Equal(
            Thread(Of("box-cushion-folded", "W=22 | L=20 | T=4 | corners=cut", false), "thread"),
            Thread(pattern, "thread")
        );
        Assert.Contains(
            pattern.Steps,
            step => step.Text.EndsWith("serge Moss linen with three threads.", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(ClothTrait.Thick, "two layers at most")]
    [InlineData(ClothTrait.Coated, "Never pin Moss linen inside the seam")]
    [InlineData(ClothTrait.Coated, "Moss linen is coated")]
    [InlineData(ClothTrait.Slippery, "Not a cloth to begin on: Moss linen is slippery")]
    [InlineData(ClothTrait.Stretchy, "Not a cloth to begin on: Moss linen is stretchy")]
    [InlineData(ClothTrait.Pile, "one way up")]
    public void A_trait_is_told_where_it_is_cut(ClothTrait trait, string says)
    {
        Assert.Contains(Cutting(Of(trait)).Cautions, caution => caution.Text.Contains(says, StringComparison.Ordinal));
        Assert.DoesNotContain(
            Of().Steps.SelectMany(step => step.Cautions),
            caution => caution.Text.Contains(says, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Outdoor_cloth_asks_for_outdoor_thread_and_a_coating_is_told()
    {
        Assert.Equal(
            "to match Moss linen, outdoor",
            Of(ClothTrait.Outdoor).Notions.Single(notion => notion.Key == "thread").Note
        );
        Assert.Equal("to match Moss linen", Of().Notions.Single(notion => notion.Key == "thread").Note);
        Assert.Contains(
            Of(ClothTrait.FlameResistantCoating).Remarks,
            remark =>
                remark is { Caution: true } && remark.Text.Contains("washing may take off", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Pile_keeps_every_piece_one_way_up()
    {
        var cloth = JobCloth.Usual("a", "Moss velvet", JobUnit.Inch) with { Behaves = [ClothTrait.Pile] };
        Assert.True(new Core.Cloth.ClothReading(cloth, JobUnit.Inch).ForLay.OneWay);
    }

    // Each caution stands at its own step: blades where cloth is cut, irons where something is pressed, dust where the
    // inner goes in.
    [Fact]
    public void Cautions_stand_at_their_own_steps() =>
        Variants.Makeable.Sample(
            item =>
            {
                var pattern = Items.Pattern(item);
                Assert.Contains(pattern.Steps, step => step.Does.HasFlag(Doing.Cutting));
                foreach (
                    var (doing, word) in new[]
                    {
                        (Doing.Cutting | Doing.Trimming, "Shears"),
                        (Doing.Pressing, "Irons"),
                        (Doing.Stretching, "Needles"),
                        (Doing.Filling, "dust"),
                    }
                )
                    Assert.All(
                        pattern.Steps,
                        step =>
                            Assert.Equal(
                                (step.Does & doing) != 0,
                                step.Cautions.Any(caution =>
                                    caution.StandsAt == doing && caution.Text.Contains(word, StringComparison.Ordinal)
                                )
                            )
                    );
                Assert.All(
                    pattern.Steps.Where(step =>
                        step.Text.Contains("press", StringComparison.Ordinal)
                        && !step.Text.Contains("pressing board", StringComparison.Ordinal)
                    ),
                    step => Assert.True(step.Does.HasFlag(Doing.Pressing), step.Text)
                );
            },
            iter: 150
        );

    // A make-up that tells no steps of its own still has its cloth washed, then cut, then finished.
    [Fact]
    public void Where_no_steps_are_told_the_cloth_brings_its_own()
    {
        var drafting = new Planning.Drafting([new Square()]);
        var draft = drafting.Draft(
            drafting.MakeUps[0].UsualItem("a", "a", JobUnit.Inch),
            JobUnit.Inch,
            _ => new ClothRoom(Working.Of("U", "usable width", Length.Inches(53)))
            {
                Name = "Moss linen",
                Behaves = [ClothTrait.Washable, ClothTrait.Frays, ClothTrait.Thick],
            }
        );
        var steps = draft.Pattern!.Steps;
        Assert.Equal(["Wash", "Cut", "Finish"], steps.Select(step => step.Text.Split(',', ' ')[0]));
        Assert.Contains(
            steps[1].Cautions,
            caution => caution.Text.Contains("two layers at most", StringComparison.Ordinal)
        );
    }

    private sealed class Square : MakeUp
    {
        private static readonly Measure A = new(
            "A",
            "side",
            "Along one side.",
            LengthLimits.Item,
            Usual: Length.Inches(9)
        );

        public override string Key => "square";

        public override string Name => "Square";

        public override string Family => "Square";

        public override string Suits => "For a test.";

        public override IReadOnlyList<Measure> Measures { get; } = [A];

        public override IReadOnlyList<Choice> Choices { get; } = [];

        public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [];

        public override Sketch Sketch(Reading reading) => new([], []);

        public override IEnumerable<Problem> Check(Reading reading) => [];

        public override Pattern Draft(Reading reading) =>
            new()
            {
                Pieces =
                [
                    new Piece(
                        "square",
                        "square",
                        1,
                        new Dictionary<string, Working> { ["a"] = reading[A] },
                        d => Core.Geometry.Outline.Rectangle(d["a"], d["a"])
                    ),
                ],
                Seams = [],
            };
    }
}
