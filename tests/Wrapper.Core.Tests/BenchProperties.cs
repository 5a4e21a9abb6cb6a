using System.Text.RegularExpressions;
using CsCheck;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>What every step of every cover has to hold, whatever was chosen.</summary>
public class BenchProperties
{
    // Keys are what a log is kept by for years.
    [Fact]
    public void Every_step_and_check_is_known_by_a_key_of_its_own() =>
        Each(
            (_, pattern) =>
            {
                Assert.Equal(pattern.Steps.Count, pattern.Steps.Select(step => step.Key).Distinct().Count());
                Assert.All(pattern.Steps, step => Assert.NotEmpty(step.Key));
                Assert.All(
                    pattern.Steps,
                    step => Assert.Equal(step.Checks.Count, step.Checks.Select(check => check.Key).Distinct().Count())
                );
                Assert.All(
                    pattern.Steps.SelectMany(step => step.Checks),
                    check => Assert.DoesNotContain('/', check.Key)
                );
            }
        );

    [Fact]
    public void The_steps_take_as_long_as_the_cover() =>
        Each(
            (item, pattern) =>
            {
                var minutes = StepMinutes.Of(pattern);
                Assert.Equal(pattern.Steps.Count, minutes.Count);
                Assert.InRange(minutes.Sum() - Minutes.Works(pattern).Sum(work => work.Minutes), -0.0001m, 0.0001m);
                Assert.All(minutes, each => Assert.True(each >= 0, $"{item}: {each}"));
            }
        );

    // A word that says so, and the flag by which the bench knows it, go together; and before each there is a step in which
    // the cover is tried on, which nothing passes before it is answered.
    [Fact]
    public void What_is_trimmed_was_tried_on_right_before() =>
        Each(
            (item, pattern) =>
            {
                for (var at = 0; at < pattern.Steps.Count; at++)
                {
                    var step = pattern.Steps[at];
                    Assert.Equal(
                        Regex.IsMatch(step.Text, @"(^|[.;:] )[Tt]rim |, trim "),
                        step.Does.HasFlag(Doing.Trimming)
                    );
                    if (step.Does.HasFlag(Doing.Trimming))
                        Assert.Contains(
                            pattern.Steps.Take(at),
                            before => before.Checks.Any(check => check.IsGate && check.Key == "tried-on")
                        );
                    if (step.Kind == StepKind.Trimming)
                        Assert.True(pattern.Steps[at - 1].Checks.Any(check => check.IsGate), $"{item}: {step.Text}");
                    Assert.Equal(step.Does.HasFlag(Doing.Fitting), step.Checks.Any(check => check.IsGate));
                }
            }
        );

    // What is said to be sewn, is: and what is sewn by machine tells how the machine is set up.
    [Fact]
    public void Sewing_has_seams_and_a_machine() =>
        Each(
            (item, pattern) =>
            {
                foreach (var step in pattern.Steps)
                {
                    if (step.Kind is StepKind.Sewing or StepKind.Zips or StepKind.Piecing)
                        Assert.True(step.Seams.Count > 0, $"{item}: {step.Text}");
                    var stitched = pattern.Seams.Any(seam =>
                        step.Seams.Contains(seam.Name) && seam.Kind != SeamKind.Opening
                    );
                    if (stitched || step.Kind is StepKind.Cording or StepKind.Hemming)
                        Assert.True(step.SetUp is not null, $"{item}: {step.Text}");
                    if (step.Kind is StepKind.Cutting or StepKind.Trimming && !stitched)
                        Assert.Null(step.SetUp);
                }
            }
        );

    // Blades where something is cut, irons where something is pressed, dust where something is filled (craft §12).
    [Fact]
    public void Each_caution_stands_at_its_step() =>
        Each(
            (item, pattern) =>
            {
                foreach (var step in pattern.Steps)
                {
                    var said = string.Join(" ", step.Cautions.Select(caution => caution.Text));
                    void Says(Doing doing, string word) =>
                        Assert.True(
                            !step.Does.HasFlag(doing) || said.Contains(word, StringComparison.Ordinal),
                            $"{item}: {step.Text} says nothing of {word}"
                        );
                    Says(Doing.Cutting, "cut away from the hand");
                    Says(Doing.Trimming, "cut away from the hand");
                    Says(Doing.Pressing, "burn");
                    Says(Doing.Filling, "mask");
                    Says(Doing.Stretching, "Needles break");
                }
            }
        );

    // Measured along both sides by adding up the runs: a mark is as far from the end of the one as of the other.
    [Fact]
    public void Marks_that_come_together_are_as_far_alengthboth_sides() =>
        Each(
            (item, pattern) =>
            {
                foreach (var seam in pattern.Seams)
                foreach (var (one, other) in MatchMarks.Of(pattern, seam))
                {
                    var ways = Along(pattern, seam.OneSide, one)
                        .SelectMany(a => Along(pattern, seam.OtherSide, other).Select(b => (a - b).Abs()));
                    Assert.True(
                        ways.Any(apart => apart <= Length.Inches(0, 1, 8)),
                        $"{item}: {seam.Name}: {one} and {other}"
                    );
                }
            },
            iter: 120
        );

    // A run may be walked either way: how far along it is, both ways.
    private static IEnumerable<Length> Along(Pattern pattern, IReadOnlyList<Run> side, EdgePoint point)
    {
        var before = Length.Zero;
        foreach (var run in side)
        {
            var from = run.From ?? Length.Zero;
            var length = (run.To ?? pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge)) - from;
            if (run.Piece == point.Piece && run.Instance == point.Instance && run.Edge == point.Edge)
            {
                yield return before + (point.At - from);
                yield return before + (length - (point.At - from));
            }
            before += length;
        }
    }

    private static void Each(Action<string, Pattern> holds, int iter = 200) =>
        Variants.Makeable.Sample(
            item =>
                holds(
                    $"{item.MakeUp} {string.Join(" | ", item.Choices.Select(choice => $"{choice.Key}={choice.Value.Typed}"))}",
                    Items.Pattern(item)
                ),
            iter: iter
        );
}
