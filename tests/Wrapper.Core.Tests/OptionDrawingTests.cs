using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Covers.Drawn;
using Wrapper.Core.Declaring;

namespace Wrapper.Core.Tests;

/// <summary>Small drawings of answers: they can be drawn, they lie in their field, and they tell answers apart.</summary>
public sealed partial class OptionDrawingTests
{
    private static IEnumerable<(Choice Choice, Option Option, OptionDrawing Drawn)> All =>
        from makeUp in Items.Drafting.MakeUps
        from choice in makeUp.Choices
        from option in choice.Options
        let drawn = OptionDrawings.Of(option)
        where drawn is not null
        select (choice, option, drawn);

    [Fact]
    public void Every_drawing_is_a_path_within_its_field()
    {
        foreach (var (_, option, drawn) in All)
        foreach (var path in new[] { drawn.Solid, drawn.Dashed, drawn.Heavy }.Where(path => path.Length > 0))
        {
            Assert.Matches("^M[MLHVAQqZ0-9 .-]+$", path);
            // Absolute points alone; waves run on from where they begin.
            foreach (Match point in Points().Matches(path))
            {
                var (x, y) = (Number(point, "x"), Number(point, "y"));
                Assert.True(x is >= 0 and <= 60 && y is >= 0 and <= 42, $"{option.Key}: {point.Value}");
            }
        }
    }

    private static double Number(Match point, string part) =>
        double.Parse(point.Groups[part].Value, CultureInfo.InvariantCulture);

    // A choice is drawn whole or not at all, and no two of its answers look alike.
    [Fact]
    public void Answers_of_one_choice_are_told_apart()
    {
        foreach (var drawn in All.Select(each => each.Choice).DistinctBy(choice => choice.Key + choice.Options.Count))
        {
            var looks = drawn.Options.Select(OptionDrawings.Of).ToList();
            Assert.DoesNotContain(null, looks);
            Assert.Equal(looks.Count, looks.Distinct().Count());
        }
    }

    [Fact]
    public void Corners_zips_and_pleats_are_drawn()
    {
        var drawn = All.Select(each => each.Choice.Key).ToHashSet();
        foreach (
            var key in new[]
            {
                "corners",
                "capCorners",
                "pillowCorners",
                "zip",
                "widths",
                "elastic",
                "lapEnds",
                "joins",
            }
        )
            Assert.Contains(key, drawn);
    }

    [GeneratedRegex("[ML](?<x>[0-9.]+) (?<y>[0-9.]+)")]
    private static partial Regex Points();
}
