using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>The maker's own order of steps: taken up where the seams allow it.</summary>
public class WayCases
{
    private static readonly Pattern Cushion = Items.Pattern(
        Items.Read("box-cushion-strip", JobUnit.Inch, "W=14 | L=12 | T=4 | lengths=1")
    );

    private static List<string> Keys => [.. Cushion.Steps.Select(step => step.Key)];

    private static List<WayStep> Rows(IEnumerable<string> keys) => [.. keys.Select(key => new WayStep(key, ""))];

    private static List<string> Moved(string key, int by)
    {
        var keys = Keys;
        var at = keys.IndexOf(key);
        keys.RemoveAt(at);
        keys.Insert(at + by, key);
        return keys;
    }

    [Fact]
    public void Zip_and_cord_may_change_places()
    {
        var moved = Moved("cording", 1);
        Assert.NotEqual(Keys, moved);
        Assert.Equal(moved, Way.Of(Cushion, Rows(moved)).Select(step => step.Key));
        Assert.Null(Way.Refused(Cushion, Rows(moved)));
    }

    // The ring is joined at the ends of the zip strip: they are crossed, so the zip is in before.
    [Fact]
    public void A_seam_is_not_sewn_before_the_one_whose_end_it_crosses()
    {
        var moved = Moved(Cushion.Steps.Single(step => step.Kind == StepKind.Zips).Key, 1);
        Assert.Contains("crosses the end", Way.Refused(Cushion, Rows(moved)), StringComparison.Ordinal);
        Assert.Equal(Keys, Way.Of(Cushion, Rows(moved)).Select(step => step.Key));
    }

    [Fact]
    public void A_step_of_the_makers_own_follows_the_one_it_was_put_after()
    {
        List<WayStep> way = [.. Rows(Keys)];
        way.Insert(3, new("own-1", "Press it over the sleeve roll."));
        Assert.Equal("own-1", Way.Of(Cushion, way)[3].Key);
        Assert.Equal(StepKind.Own, Way.Of(Cushion, way)[3].Kind);
        // With cord left out its step is gone, and the own step still stands after the zip.
        var plain = Items.Pattern(
            Items.Read("box-cushion-strip", JobUnit.Inch, "W=14 | L=12 | T=4 | lengths=1 | cord=none")
        );
        var steps = Way.Of(plain, way).Select(step => step.Key).ToList();
        Assert.Equal(steps.IndexOf("own-1") - 1, steps.IndexOf("zips:zip"));
        Assert.Equal(plain.Steps.Count + 1, steps.Count);
    }

    // Whatever order is asked for: every step once, and no seam before one whose end it crosses.
    [Fact]
    public void No_order_breaks_the_seams() =>
        Gen.Select(Variants.Makeable, Gen.Int[0, 1_000_000])
            .Sample(
                (item, seed) =>
                {
                    var pattern = Items.Pattern(item);
                    var random = new Random(seed);
                    var asked = pattern.Steps.Select(step => step.Key).OrderBy(_ => random.Next()).ToList();
                    var made = Way.Of(pattern, Rows(asked));
                    Assert.Equal(
                        pattern.Steps.Select(step => step.Key).Order(StringComparer.Ordinal),
                        made.Select(step => step.Key).Order(StringComparer.Ordinal)
                    );
                    var order = made.SelectMany(step => step.Seams).ToList();
                    foreach (var (ends, crossing) in Crossings.Of(pattern))
                        Assert.True(order.IndexOf(ends.Name) < order.IndexOf(crossing.Name));
                    var fit = made.ToList().FindIndex(step => step.Kind == StepKind.Fitting);
                    var trim = made.ToList().FindIndex(step => step.Kind == StepKind.Trimming);
                    Assert.True(trim < 0 || fit < trim);
                },
                iter: 80
            );
}
