using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>
/// What every make-up declares and draws before anything is measured, and what it reads off its seams after.
/// </summary>
public class DeclarationTests
{
    public static TheoryData<string> MakeUps => [.. Items.Drafting.MakeUps.Select(makeUp => makeUp.Key)];

    // With nothing measured, for every answer that changes what is measured: a drawing, and a line or a field for each
    // length asked.
    [Theory]
    [MemberData(nameof(MakeUps))]
    public void The_measuring_drawing_is_there_before_any_size(string key)
    {
        var makeUp = Items.Drafting.Find(key)!;
        var asking = makeUp
            .Choices.Where(choice => choice.OnMeasure && choice.Kind == ChoiceKind.Option)
            .SelectMany(choice => choice.Options.Select(option => (choice.Key, option.Key)));
        foreach (var (choice, answer) in asking.Append(("none", "")))
        {
            var reading = new Reading(makeUp, Items.Of(key, JobUnit.Inch, (choice, answer)), JobUnit.Inch);
            var sketch = makeUp.Sketch(reading);
            Assert.NotEmpty(sketch.Strokes);
            Assert.All(
                sketch.Dimensions,
                line => Assert.Contains(makeUp.Measures, measure => measure.Key == line.Measure.Key)
            );
            Assert.Equal(sketch.Dimensions.Count, sketch.Dimensions.Select(line => line.Measure).Distinct().Count());
            var asked = makeUp
                .Measures.Where(measure => measure.Kind == MeasureKind.Length && reading.Asks(measure))
                .Select(measure => measure.Key);
            Assert.Subset(sketch.Dimensions.Select(line => line.Measure.Key).ToHashSet(), asked.ToHashSet());
        }
    }

    // Sketches, examples, trials and the bench start from usual sizes: together they must make a cover.
    [Theory]
    [MemberData(nameof(MakeUps))]
    public void Usual_sizes_can_be_drafted(string key)
    {
        var makeUp = Items.Drafting.Find(key)!;
        foreach (var unit in (JobUnit[])[JobUnit.Inch, JobUnit.Centimetre])
        {
            var draft = Items.Draft(makeUp.UsualItem("a", "a", unit), unit);
            Assert.Empty(draft.Problems);
            Assert.True(draft.Seams!.Holds);
        }
        Assert.All(
            makeUp.Measures.Where(measure => measure.Kind == MeasureKind.Length),
            measure => Assert.True(measure.Usual.IsPositive, $"{measure.Key} has no usual size")
        );
    }

    [Theory]
    [MemberData(nameof(MakeUps))]
    public void Keys_are_told_apart_and_every_default_can_be_read(string key)
    {
        var makeUp = Items.Drafting.Find(key)!;
        Assert.Equal(makeUp.Measures.Count, makeUp.Measures.Select(measure => measure.Key).Distinct().Count());
        Assert.Equal(makeUp.Choices.Count, makeUp.Choices.Select(choice => choice.Key).Distinct().Count());
        foreach (var unit in (JobUnit[])[JobUnit.Inch, JobUnit.Centimetre])
            Assert.All(
                new Reading(makeUp, makeUp.NewItem("a", "a", unit), unit).Problems,
                problem => Assert.StartsWith("measures.", problem.Field, StringComparison.Ordinal)
            );
        // A condition looks at a choice of the same make-up, and at answers that it can have.
        foreach (
            var when in makeUp
                .Choices.Select(choice => choice.ShownWhen)
                .Concat(makeUp.Measures.Select(measure => measure.ShownWhen))
                .OfType<Condition>()
        )
        {
            var choice = makeUp.Choices.Single(each => each.Key == when.Choice);
            if (choice.Kind == ChoiceKind.Option)
                Assert.Subset(choice.Options.Select(option => option.Key).ToHashSet(), when.Answers.ToHashSet());
        }
    }

    // What is sewn more takes longer and more thread: cord, a lining, wings.
    [Theory]
    [InlineData("ottoman-boxed", "W=20 | L=18 | H=16", "cord=none", "cord=both")]
    [InlineData("bolster", "d=7 | L=30", "closing=sewn", "closing=zip")]
    [InlineData("chair-back-slip-over", "W=16 | H=20 | D=2", "lining=single", "lining=reversible")]
    [InlineData(
        "chair-slipcover",
        "W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5 | G=5",
        "wings=no",
        "wings=yes"
    )]
    [InlineData(
        "chair-slipcover",
        "W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "skirt=none",
        "skirt=flaps"
    )]
    public void More_to_sew_takes_longer(string makeUp, string sizes, string less, string more)
    {
        Pattern Of(string choice) => Items.Pattern(Items.Read(makeUp, JobUnit.Inch, $"{sizes} | {choice}"));
        Assert.True(Making.Minutes.Of(Of(less)) < Making.Minutes.Of(Of(more)));
        Assert.True(Making.Stitching.Run(Of(less)).Value <= Making.Stitching.Run(Of(more)).Value);
    }

    // Across the open end 24 + 5 in: hook-and-loop as long, a snap every 4 in or less.
    [Theory]
    [InlineData("pins", null, 0)]
    [InlineData("hook-and-loop", 29.0, 1)]
    [InlineData("snaps", null, 8)]
    public void The_wrapped_end_is_held_as_chosen(string closing, double? length, int count)
    {
        var pattern = Items.Pattern(
            Items.Read("pillowcase-cushion", JobUnit.Inch, $"W=24 | L=22 | T=5 | ease=exact | closing={closing}")
        );
        var notion = pattern.Notions.SingleOrDefault(each => each.Key == closing);
        Assert.Equal(count, notion?.Count ?? 0);
        if (length is { } across)
            Assert.Equal((decimal)across, Items.Inches(notion!.Length!.Value));
    }

    [Fact]
    public void A_superseded_lay_ends_at_once()
    {
        using var cancel = new CancellationTokenSource();
        cancel.Cancel();
        var piece = new LayPiece(
            "a/p/1",
            "a",
            "p",
            "1a",
            Outline.Rectangle(Length.Inches(10), Length.Inches(10)),
            Grain.Along
        );
        Assert.ThrowsAny<OperationCanceledException>(() =>
            LayTable.Of([piece], new LayCloth(Length.Inches(54), OneWay: false), cancel.Token)
        );
    }

    // Foam to order follows the inner, not the cover: the outline's extents, larger in plan where it is over-cut.
    [Theory]
    [InlineData("shape=tee | W=28 | N=22 | L=24 | E=5 | ease=exact", 28, 24)]
    [InlineData("shape=round | d=16 | ease=exact", 16, 16)]
    [InlineData("shape=bow | W=20 | L=18 | b=2 | ease=loose", 20, 20)]
    [InlineData("shape=curved-end | W=30 | L=20 | b=6 | ease=overcut", 31, 20.5)] // 1 in over 24 in, 1/2 in up to it
    public void Foam_to_order_has_the_extents_of_the_inner(string changes, double width, double length)
    {
        var pattern = Items.Pattern(Items.Read("box-cushion-strip", JobUnit.Inch, $"T=4 | {changes}"));
        decimal Foam(string side) =>
            Items.Inches(pattern.Notions.Single(notion => notion.Key == $"foam-{side}").Length!.Value);
        Assert.Equal(((decimal)width, (decimal)length, 4m), (Foam("width"), Foam("length"), Foam("thickness")));
        // One block with its outline; none where the inner is soft, or there already.
        Assert.Contains(
            "outline of the inner",
            pattern.Notions.First(notion => notion.Key == "foam-width").Note,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("box-cushion-strip", "W=30 | L=20 | T=4 | ease=soft")]
    [InlineData("box-cushion-strip", "W=30 | L=20 | T=4 | inner=kept")]
    [InlineData("mattress-gusset", "W=90 | L=75 | T=6")]
    public void No_foam_is_ordered_where_the_inner_is_none(string makeUp, string changes) =>
        Assert.DoesNotContain(
            Items.Pattern(Items.Read(makeUp, JobUnit.Inch, changes)).Notions,
            notion => notion.Key.StartsWith("foam", StringComparison.Ordinal)
        );

    // Corner marks of a T's boxing, from the end of the zip on the left: 19 - 2 1/2, then 3, 5, 28, 5, 3.
    [Fact]
    public void Corner_marks_fall_where_the_panel_turns()
    {
        var pattern = Items.Pattern(
            Items.Read(
                "box-cushion-strip",
                JobUnit.Inch,
                "shape=tee | W=28 | N=22 | L=24 | E=5 | T=4 | ease=exact | lapEnds=none"
            )
        );
        var marks = pattern
            .Piece("boxing")
            .Notches.Where(notch => notch.Edge == "lower")
            .Select(notch => Items.Inches(notch.At));
        Assert.Equal([16.5m, 19.5m, 24.5m, 52.5m, 57.5m, 60.5m], marks);
    }

    // Boxing in three lengths with joins at the front corners: the middle one is the front.
    [Theory]
    [InlineData("shape=tee | W=28 | N=22 | L=24 | E=5", 28)]
    [InlineData("shape=bow | W=20 | L=18 | b=2", 20.5293)]
    [InlineData("shape=tapered | stations=0 | W=18 | B=14 | L=16", 18)]
    public void A_boxing_joined_at_the_corners_has_a_whole_front(string changes, double front)
    {
        var pattern = Items.Pattern(
            Items.Read("box-cushion-strip", JobUnit.Inch, $"T=4 | ease=exact | lengths=3 | joins=corners | {changes}")
        );
        Assert.Equal(front + 1, (double)pattern.Size("boxing-2", "cut length"), 1e-3);
    }
}
