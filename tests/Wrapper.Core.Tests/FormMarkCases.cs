using Wrapper.Core.Sewing;
using static Wrapper.Core.Tests.Forms;

namespace Wrapper.Core.Tests;

/// <summary>Buttons, loops, cord starts and elastic, where they come to lie on the cover.</summary>
public class FormMarkCases
{
    // Every button of a duvet's closing has its loop, and all lie on the lower edge: as far to the front as the cover goes.
    [Fact]
    public void Buttons_and_loops_lie_on_the_opening()
    {
        var form = Sewn(Usual("duvet-cover", ("closing", "loops")));
        var front = Enumerable.Range(0, form.Places.Count / 3).Min(at => form.Places[(3 * at) + 1]);
        var buttons = form.Marks.Where(mark => mark.What == "button").ToList();
        Assert.NotEmpty(buttons);
        Assert.All(form.Marks, mark => Assert.InRange(mark.Back, front - 1, front + 60));
        Assert.Equal(buttons.Count, buttons.Select(mark => MathF.Round(mark.Across)).Distinct().Count());
    }

    // Cord begins on a seam with cord in it: no farther from it than the mesh is fine.
    [Fact]
    public void Cord_starts_on_its_seam()
    {
        var form = Sewn(Usual("box-cushion-strip", ("cord", "both")));
        var starts = form.Marks.Where(mark => mark.What == "cord start").ToList();
        Assert.NotEmpty(starts);
        var cord = form.Lines.Where(line => line.Kind == FormLineKind.Corded).SelectMany(line => line.Points).ToList();
        foreach (var mark in starts)
            Assert.InRange(
                cord.Min(at =>
                    Math.Sqrt(
                        Math.Pow(form.Places[3 * at] - mark.Across, 2)
                            + Math.Pow(form.Places[(3 * at) + 1] - mark.Back, 2)
                            + Math.Pow(form.Places[(3 * at) + 2] - mark.Up, 2)
                    )
                ),
                0,
                20
            );
    }

    // The hem of a fitted sheet is held by elastic all round: the edge is one of that kind and no other is open.
    [Fact]
    public void Elastic_is_a_line_of_its_own()
    {
        var form = Sewn(Usual("fitted-sheet"));
        Assert.Contains(form.Lines, line => line.Kind == FormLineKind.Elastic);
        Assert.DoesNotContain(form.Lines, line => line.Kind == FormLineKind.Edge);
    }
}
