using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>A runner by hand: 72 x 14 with hems of 1 in.</summary>
public class RunnerCases
{
    [Theory]
    [InlineData("L=72 | W=14", "runner/cut length=74; runner/cut width=16; finished length=72")]
    [InlineData("L=72 | W=14 | ends=raw", "runner/cut length=72; runner/cut width=16")]
    [InlineData("L=72 | W=14 | runner/left=1 1/2", "runner/cut width=16.5")] // one hem has a size of its own
    public void Worked_by_hand(string changes, string expected) => Cases.Check("runner", changes, expected);

    // 2 (72 + 14) = 172 in of hem, or 144 along the sides alone; three times that and a tenth.
    [Theory]
    [InlineData("hemmed", 172 * 3.3)]
    [InlineData("raw", 144 * 3.3)]
    public void Only_hems_are_sewn(string ends, double thread)
    {
        var pattern = Items.Pattern(Items.Read("runner", JobUnit.Inch, $"L=72 | W=14 | ends={ends}"));
        Assert.Equal(
            thread,
            (double)Items.Inches(pattern.Notions.Single(each => each.Key == "thread").Length!.Value),
            2
        );
    }

    [Fact]
    public void A_runner_no_wider_than_its_hems_is_refused() =>
        Cases.Refused("runner", "L=72 | W=2", "measures.W", "no wider than its two hems");
}
