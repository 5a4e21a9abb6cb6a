using Wrapper.Core.Covers.Drawn;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>How the machine is set up, what a learner is shown, and what is measured at which step.</summary>
public class SetUpCases
{
    private static Pattern Of(string makeUp, JobUnit unit, string changes, params ClothTrait[] traits) =>
        Items
            .Drafting.Draft(
                Items.Read(makeUp, unit, changes),
                unit,
                _ => new ClothRoom(Working.Of("U", "usable width", Length.Inches(118)))
                {
                    Name = "Moss linen",
                    Behaves = traits,
                }
            )
            .Pattern!;

    private const string Cushion = "W=22 | L=20 | T=4";

    private static SetUp Sewing(Pattern pattern, StepKind kind = StepKind.Sewing) =>
        pattern.Steps.First(step => step.Kind == kind).SetUp!;

    [Theory]
    [InlineData(null, "straight, 8 stitches to the inch", "universal 90", "all-purpose thread for Moss linen")]
    [InlineData(
        ClothTrait.Thick,
        "straight, 6 stitches to the inch",
        "strong, 100 to 110",
        "strong thread for Moss linen"
    )]
    [InlineData(
        ClothTrait.Slippery,
        "straight, 12 stitches to the inch",
        "fine, 70",
        "all-purpose thread for Moss linen"
    )]
    [InlineData(
        ClothTrait.Stretchy,
        "narrow zigzag, 8 stitches to the inch",
        "ball point 90",
        "all-purpose thread for Moss linen"
    )]
    [InlineData(
        ClothTrait.Outdoor,
        "straight, 8 stitches to the inch",
        "universal 90",
        "outdoor thread for Moss linen"
    )]
    public void Stitch_needle_and_thread_follow_the_cloth(
        ClothTrait? trait,
        string stitch,
        string needle,
        string thread
    )
    {
        var setUp = Sewing(Of("box-cushion-strip", JobUnit.Inch, Cushion, trait is { } one ? [one] : []));
        Assert.Equal((stitch, needle, thread), (setUp.Stitch, setUp.Needle, setUp.Thread));
    }

    [Fact]
    public void Feet_follow_what_is_sewn_and_stitches_are_told_in_the_jobs_unit()
    {
        var corded = Of("box-cushion-strip", JobUnit.Centimetre, "W=56 | L=50 | T=10");
        Assert.Equal("zip foot", Sewing(corded, StepKind.Zips).Foot);
        Assert.Equal("cord foot", Sewing(corded, StepKind.Cording).Foot);
        Assert.Equal("straight, 3 mm long", Sewing(corded).Stitch);
        var sheet = Of("fitted-sheet", JobUnit.Inch, "W=31 1/2 | L=74 | T=7 | edge=sewn");
        Assert.Equal("zigzag, 3 mm wide", Sewing(sheet, StepKind.Holding).Stitch);
        var ravels = Of("runner", JobUnit.Inch, "L=60 | W=14", ClothTrait.Frays);
        Assert.Equal("overcasting foot", Sewing(ravels, StepKind.Edges).Foot);
    }

    [Theory]
    [InlineData("box-cushion-strip", "W=22 | L=20 | T=4", Technique.DrawAThread, Technique.Pivot, Technique.JoinCord)]
    [InlineData("box-cushion-strip", "W=22 | L=20 | T=4 | r=3", Technique.ClipACurve)]
    [InlineData("knife-edge-pad", "W=20 | L=20 | T=2 | closing=hand", Technique.LadderStitch)]
    [InlineData("box-cushion-folded", "W=22 | L=20 | T=4 | zip=full", Technique.ThreadASlider)]
    public void Learners_are_shown_what_the_step_asks_for(string makeUp, string changes, params Technique[] shown)
    {
        var all = Of(makeUp, JobUnit.Inch, changes).Steps.SelectMany(step => step.How).ToHashSet();
        Assert.All(shown, technique => Assert.Contains(technique, all));
    }

    [Fact]
    public void Every_technique_is_drawn_and_told_in_a_few_lines()
    {
        foreach (var technique in Enum.GetValues<Technique>())
        {
            var shown = Techniques.Of(technique);
            Assert.InRange(shown.Words.Count, 2, 4);
            var numbers = System.Text.RegularExpressions.Regex.Matches(
                $"{shown.Solid} {shown.Dashed} {shown.Heavy}",
                @"\d+"
            );
            Assert.True(numbers.Count > 8);
            Assert.All(
                numbers,
                number =>
                    Assert.InRange(int.Parse(number.Value, System.Globalization.CultureInfo.InvariantCulture), 0, 120)
            );
        }
    }

    // Snug on 4 in: 3 3/4 deep. The zip lies at half of it, whole corners measure all of it, cords lie all of it apart.
    [Theory]
    [InlineData("box-cushion-strip", "", "zip", 1.875)]
    [InlineData("box-cushion-strip", "", "cord-level", 3.75)]
    [InlineData("box-cushion-strip", "", "width", 22)]
    [InlineData("box-cushion-strip", "", "length", 20)]
    [InlineData("box-cushion-two-panels", "", "corners", 3.75)]
    [InlineData("box-cushion-two-panels", "| corners=stitch-off", "corners", 3.75)]
    [InlineData("box-cushion-folded", "", "zip", 1.875)]
    public void What_is_measured_is_what_was_drafted(string makeUp, string changes, string check, decimal inches)
    {
        var checks = Of(makeUp, JobUnit.Inch, $"{Cushion} {changes}").Steps.SelectMany(step => step.Checks);
        Assert.Equal(inches, Items.Inches(checks.Single(each => each.Key == check).Target!.Value));
    }

    // A corded cushion is exact to an eighth, a fitted sheet to an inch.
    [Fact]
    public void How_exact_it_must_be_is_the_make_ups()
    {
        Length Of(string makeUp) => Items.Drafting.Find(makeUp)!.Tolerance;
        Assert.Equal(Length.Inches(0, 1, 8), Of("box-cushion-strip"));
        Assert.Equal(Length.Inches(1), Of("fitted-sheet"));
        Assert.Equal(Length.Inches(0, 1, 4), Of("ottoman-cap"));
    }

    // Symmetrical panels are right whichever way they were turned; a curved end that is cut for a left and a right is not.
    [Theory]
    [InlineData("box-cushion-strip", Cushion, false)]
    [InlineData("box-cushion-strip", "W=28 | L=24 | b=6 | T=4 | shape=curved-end", true)]
    public void Only_what_has_a_left_and_a_right_is_checked_for_it(string makeUp, string changes, bool asked) =>
        Assert.Equal(
            asked,
            Of(makeUp, JobUnit.Inch, changes)
                .Steps.SelectMany(step => step.Checks)
                .Any(check => check.Key == "mirrored")
        );

    // A runner of one piece: all is cut at the table and sewn and pressed in the hems; 11.144 + marks, and 34.9504.
    [Fact]
    public void Minutes_stand_at_the_steps_in_which_they_are_spent()
    {
        var runner = Of("runner", JobUnit.Inch, "L=72 | W=14");
        var marks = runner.Pieces.Sum(piece => piece.Notches.Count + piece.Lines.Count);
        var minutes = StepMinutes.Of(runner);
        Assert.Equal(2, minutes.Count);
        Assert.Equal(11.144m + (0.25m * marks), minutes[0], 3);
        Assert.Equal(34.9504m, minutes[1], 3);
        Assert.Equal(
            2 * minutes[1],
            StepMinutes.Of(runner, Pace.From(Enumerable.Repeat((StepKind.Hemming, 60L, 120L), 3)))[1],
            6
        );
    }
}
