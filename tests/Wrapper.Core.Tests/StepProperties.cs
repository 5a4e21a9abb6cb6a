using System.Text.RegularExpressions;
using CsCheck;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>The making order against the seams: all are sewn, in an order that can be done, and nothing else is spoken of.</summary>
public class StepProperties
{
    private static readonly SeamKind[] Sewn =
    [
        SeamKind.Join,
        SeamKind.Zip,
        SeamKind.Dart,
        SeamKind.Gather,
        SeamKind.Ease,
        SeamKind.Pleat,
    ];

    [Fact]
    public void Every_seam_is_sewn_in_one_step() =>
        Each(
            (item, pattern) =>
            {
                var sewn = pattern.Steps.SelectMany(step => step.Seams).ToList();
                Assert.True(
                    sewn.Count == sewn.Distinct().Count(),
                    $"{item}: sewn twice: {string.Join(", ", sewn.GroupBy(seam => seam).Where(group => group.Count() > 1).Select(group => group.Key))}"
                );
                var left = pattern.Seams.Where(seam => Sewn.Contains(seam.Kind) && !sewn.Contains(seam.Name)).ToList();
                Assert.True(
                    left.Count == 0,
                    $"{item}: never sewn: {string.Join(", ", left.Select(seam => seam.Name))}"
                );
            }
        );

    // A word of the steps, and what must be there for it to be true.
    [Fact]
    public void No_step_speaks_of_what_was_not_chosen() =>
        Each(
            (item, pattern) =>
            {
                var said = string.Join(" ", pattern.Steps.Select(step => step.Text));
                void True(string word, bool there) =>
                    Assert.True(
                        there || !Regex.IsMatch(said, $@"\b{word}", RegexOptions.IgnoreCase),
                        $"{item} speaks of “{word}”: {said}"
                    );
                bool Bought(string name) =>
                    pattern.Notions.Any(notion => notion.Name.Contains(name, StringComparison.OrdinalIgnoreCase));
                var zipped = pattern.Seams.Any(seam => seam.Zip is not null) || Bought("zip");
                True("zip", zipped);
                True("cord", Bought("cord") || Bought("drawstring"));
                True("elastic", Bought("elastic"));
                True("hook-and-loop", Bought("hook-and-loop"));
                True("buttonhole", Bought("button"));
                True("ties", Bought("tie"));
                True("skirt", pattern.Pieces.Any(piece => piece.Name.Contains("skirt", StringComparison.Ordinal)));
                True(
                    "lap",
                    pattern.Seams.Any(seam => seam.Kind == SeamKind.Lap)
                        || said.Contains("flap", StringComparison.Ordinal)
                );
            }
        );

    // A cover that is closed by a zip cannot be turned, nor filled, through one that is shut: it is opened before the last
    // seam that closes the cover, and nothing is sewn after the inner is in.
    [Fact]
    public void A_zip_is_sewn_and_opened_before_the_cover_is_closed() =>
        Each(
            (item, pattern) =>
            {
                var zips = pattern.Seams.Where(seam => seam.Zip is not null).Select(seam => seam.Name).ToList();
                if (zips.Count == 0)
                    return;
                var last = pattern.Steps.ToList().FindLastIndex(step => step.Seams.Count > 0);
                var sewn = pattern.Steps.ToList().FindIndex(step => step.Seams.Any(zips.Contains));
                Assert.True(sewn >= 0 && sewn <= last, $"{item}: the zip is never sewn");
                Assert.All(
                    pattern.Steps.Skip(last + 1),
                    step => Assert.DoesNotContain("Open the zip", step.Text, StringComparison.Ordinal)
                );
                if (pattern.Steps[^1].Text.Contains("Fill", StringComparison.Ordinal))
                {
                    Assert.Contains("lose the zip", pattern.Steps[^1].Text, StringComparison.Ordinal);
                    Assert.Contains(
                        pattern.Steps.Take(last),
                        step => Regex.IsMatch(step.Text, "[Oo]pen (it|the zip)|part open|left in the middle")
                    );
                }
            }
        );

    [Fact]
    public void A_seam_whose_end_is_crossed_is_sewn_before_the_one_that_crosses_it() =>
        Each(
            (item, pattern) =>
            {
                var order = pattern.Steps.SelectMany(step => step.Seams).ToList();
                foreach (var (ends, crossing) in Crossings.Of(pattern))
                    Assert.True(
                        order.IndexOf(ends.Name) < order.IndexOf(crossing.Name),
                        $"{item}: {crossing.Name} is sewn before {ends.Name}, whose end it crosses"
                    );
            }
        );

    // Where a later seam crosses a zip's ends it oversews them: a bar-tack there is cut off, or breaks the needle.
    [Fact]
    public void No_zip_is_bar_tacked_where_a_later_seam_crosses_its_end() =>
        Each(
            (item, pattern) =>
            {
                var crossed = Crossings.Of(pattern).Select(pair => pair.Ends).Where(ends => ends.Zip is not null);
                foreach (var step in pattern.Steps.Where(step => crossed.Any(zip => step.Seams.Contains(zip.Name))))
                    Assert.False(
                        step.Text.Contains("bar-tack each end", StringComparison.Ordinal),
                        $"{item}: {step.Text}"
                    );
            }
        );

    // The boxing's join and both its ends are crossed by the panels' seams.
    [Fact]
    public void Crossings_are_read_off_the_seams()
    {
        var strip = Items.Pattern(
            Items.Read("box-cushion-strip", Core.Lengths.JobUnit.Inch, "W=30 | L=20 | T=4 | lengths=2")
        );
        var crossed = Crossings.Of(strip).Select(pair => (pair.Ends.Name, pair.Crossing.Name)).ToList();
        Assert.Contains(
            crossed,
            pair =>
                pair.Item1.StartsWith("boxing join", StringComparison.Ordinal) && pair.Item2 == "boxing to top panel"
        );
        Assert.All(crossed, pair => Assert.DoesNotContain("panel", pair.Item1, StringComparison.Ordinal));
    }

    // A zip that turns into a seam finds it sewn; one that a seam crosses is sewn before it (craft §4.7).
    [Theory]
    [InlineData("box-cushion-two-panels", "W=30 | L=20 | T=4 | zip=round", "back to left corner, top", "zip")]
    [InlineData("box-cushion-two-panels", "W=30 | L=20 | T=4 | zip=full", "zip", "back to left corner, top")]
    [InlineData("box-cushion-two-panels", "W=30 | L=20 | T=4 | zip=inside", "zip", "right to back corner, bottom")]
    [InlineData("box-cushion-folded", "W=30 | L=20 | T=4 | zip=round", "back right corner", "zip")]
    [InlineData("box-cushion-folded", "W=30 | L=20 | T=4 | zip=inside", "zip", "back right corner")]
    public void A_zip_comes_before_what_crosses_it_and_after_what_it_crosses(
        string makeUp,
        string changes,
        string first,
        string second
    )
    {
        var steps = Items.Pattern(Items.Read(makeUp, Core.Lengths.JobUnit.Inch, changes)).Steps.ToList();
        int StepOf(string seam) => steps.FindIndex(step => step.Seams.Contains(seam));
        Assert.InRange(StepOf(first), 0, StepOf(second) - 1);
    }

    [Fact]
    public void What_is_filled_ends_in_filling_and_closing() =>
        Each(
            (item, pattern) =>
            {
                if (
                    pattern.Notions.Any(notion =>
                        notion.Key is "inner" or "filling" || notion.Key.StartsWith("foam", StringComparison.Ordinal)
                    )
                )
                    Assert.Matches("([Cc]lose|fasten).*", pattern.Steps[^1].Text);
            }
        );

    private static void Each(Action<string, Pattern> holds) =>
        Variants.Makeable.Sample(
            item =>
                holds(
                    $"{item.MakeUp} {string.Join(" | ", item.Choices.Select(choice => $"{choice.Key}={choice.Value.Typed}"))}",
                    Items.Pattern(item)
                ),
            iter: 250
        );
}
