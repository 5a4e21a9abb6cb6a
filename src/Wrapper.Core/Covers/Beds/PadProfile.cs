using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Beds;

/// <summary>
/// The end of a contoured pad (craft §7.3): base, two rims, and a middle that lies lower (or higher) than they do,
/// extended downward by
/// the tuck. Edges run anticlockwise from the lower left corner; <c>foot</c> is the hem.
/// </summary>
internal sealed class PadProfile(
    Working baseWidth,
    Working rimHeight,
    Working rimWidth,
    Working middleWidth,
    Working middleHeight,
    Working tuck
)
{
    public const string Foot = "foot";

    /// <summary>The edges that the wrap follows, from the lower edge on the right to that on the left.</summary>
    public static readonly string[] Path =
    [
        "right side",
        "right rim",
        "right slope",
        "middle",
        "left slope",
        "left rim",
        "left side",
    ];

    public Working Base => baseWidth;

    /// <summary>From the hem line to the top of the rims, or of a middle that stands higher.</summary>
    public Working Height => (middleHeight.Value > rimHeight.Value ? middleHeight : rimHeight) + tuck;

    /// <summary>The length of each edge of the path by its formula.</summary>
    public IReadOnlyDictionary<string, Working> Lengths { get; } =
        Along(baseWidth, rimHeight, rimWidth, middleWidth, middleHeight, tuck);

    public Dictionary<string, Working> Dimensions =>
        new()
        {
            ["base"] = baseWidth,
            ["rim height"] = rimHeight,
            ["rim width"] = rimWidth,
            ["middle width"] = middleWidth,
            ["middle height"] = middleHeight,
            ["tuck"] = tuck,
        };

    /// <summary>From lower edge to lower edge, tuck included: what the wrap must be wide.</summary>
    public Working Whole => Sum.Of(Path.Select(edge => Lengths[edge])).As("P", "path of the profile");

    /// <summary>Why such a profile cannot be, with the measure to look at.</summary>
    public static IEnumerable<Problem> Check(Reading reading)
    {
        var (w, rim, middle) = (
            reading[ContouredPad.W].Value,
            reading[ContouredPad.W1].Value,
            reading[ContouredPad.W2].Value
        );
        if (2 * rim >= w)
            yield return reading.Refuse(
                ContouredPad.W1,
                $"the profile crosses itself: two such rims are wider than the base ({reading.Say(w)})",
                reading.Example("2", "5")
            );
        else if ((2 * rim) + middle >= w)
            yield return reading.Refuse(
                ContouredPad.W2,
                $"the profile crosses itself: between the rims only {reading.Say(w - (2 * rim))} is left",
                reading.Example("6", "15")
            );
    }

    public static Outline Draw(Dimensions d) =>
        Draw(d["base"], d["rim height"], d["rim width"], d["middle width"], d["middle height"], d["tuck"]);

    public static Outline Draw(Length b, Length rim, Length rimWidth, Length middle, Length high, Length tuck)
    {
        var beside = (b - middle).Over(2);
        Point At(Length x, Length y) => new(x, y);
        return new Outline([
            new(Foot, At(Length.Zero, -tuck)),
            new("right side", At(b, -tuck)),
            new("right rim", At(b, rim)),
            new("right slope", At(b - rimWidth, rim)),
            new("middle", At(b - beside, high)),
            new("left slope", At(beside, high)),
            new("left rim", At(rimWidth, rim)),
            new("left side", At(Length.Zero, rim)),
        ]);
    }

    private static Dictionary<string, Working> Along(
        Working b,
        Working rim,
        Working rimWidth,
        Working middle,
        Working high,
        Working tuck
    )
    {
        var across = (b - (2 * rimWidth) - middle) / 2;
        var fall = rim.Value >= high.Value ? rim - high : high - rim;
        var slope = (rim.Value == high.Value ? across : Working.Slant(across, fall)).As("slope", "a slope");
        var side = rim + tuck;
        return new()
        {
            ["right side"] = side,
            ["right rim"] = rimWidth,
            ["right slope"] = slope,
            ["middle"] = middle,
            ["left slope"] = slope,
            ["left rim"] = rimWidth,
            ["left side"] = side,
        };
    }
}
