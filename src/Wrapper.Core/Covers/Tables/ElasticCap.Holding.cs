using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <content>What holds a cap: elastic, a cord or a drawstring of its own cloth, straps where an obstacle breaks the edge.</content>
public sealed partial class ElasticCap
{
    private static bool IsOwnCloth(Reading reading) => reading.Chosen(Drawstring) is DrawnBy.OwnCloth;

    // Round cord half-way round; a flat drawstring its width, 1/8 in to run and 1/4 in turned under.
    private static Working Casing(Reading reading) =>
        IsOwnCloth(reading)
            ? (
                Working.Of("string", "drawstring, finished width", reading[StringWidth])
                + Working.Of("run", "room to run", Length.Inches(0, 1, 8))
                + Working.Of("turned", "turned under", Length.Inches(0, 1, 4))
            ).As("k", "casing for the drawstring")
            : CordCasing.Of(reading);

    private static IEnumerable<Piece> StringOf(Reading reading, Working hem)
    {
        if (!IsOwnCloth(reading))
            yield break;
        yield return Plain.Rectangle(
            "drawstring",
            "drawstring",
            1,
            Drawn(hem),
            4 * Working.Of("string", "drawstring, finished width", reading[StringWidth]),
            _ => Sum.Of(),
            "length",
            "width"
        ) with
        {
            Grain = Grain.Either,
            MayBeJoined = true,
            JoinedFirstAt = [],
            Note = "Folded lengthwise to the middle, then in half.",
        };
    }

    private static Working Drawn(Working hem) => hem + Working.Of("tails", "to tie", Length.Inches(12));

    private static IEnumerable<Notion> Holding(Reading reading, Working hem, IReadOnlyList<Working> drops)
    {
        if (IsOwnCloth(reading))
            yield return new("drawstring", "drawstring of the cover's own cloth", Drawn(hem));
        else if (reading.Chosen(Hold) is HoldSchool.Drawstring)
            yield return new(
                "drawstring",
                "drawcord for the drawstring",
                Drawn(hem),
                Note: $"{reading.Say(reading[CordCasing.Thick])} thick; a gap of {reading.Say(Length.Inches(1))} in the casing"
            )
            {
                SoldAs = $"drawcord, {reading.Say(reading[CordCasing.Thick])} thick",
            };
        else
            foreach (var notion in Elastic.Notions(reading, hem, drops.MaxBy(drop => drop.Value)!, corners: 4))
                yield return notion;
        foreach (var strap in Straps(reading))
            yield return strap;
    }

    // Where an obstacle breaks an edge a strap crosses underneath, from hem to hem (craft §9.3): as long as the gap
    // between them beneath x the ratio, and an inch turned in at each end.
    private static IEnumerable<Notion> Straps(Reading reading)
    {
        foreach (
            var (across, count) in new[] { false, true }.Select(across =>
                (across, ObstaclesOf(reading).Count(obstacle => obstacle.Side % 2 == (across ? 1 : 0)))
            )
        )
        {
            var (one, other) = across ? (1, 3) : (0, 2);
            var gap =
                (across ? Wide(reading) : reading[L])
                - Working.Of($"o {CapSheet.Sides[one]}", $"overhang, {CapSheet.Sides[one]}", reading[Overhang[one]])
                - Working.Of(
                    $"o {CapSheet.Sides[other]}",
                    $"overhang, {CapSheet.Sides[other]}",
                    reading[Overhang[other]]
                );
            if (count == 0 || !gap.Value.IsPositive)
                continue;
            yield return new(
                across ? "straps-across" : "straps",
                "straps of elastic, across underneath",
                new Percentage(reading[Elastic.Ratio], gap.As("gap", "between the hems beneath"))
                    + (2 * Working.Of("turned in", "turned in at an end", Length.Inches(1))),
                count,
                $"one beside each obstacle, from {(across ? "side to side" : "front to back")}; {reading.Say(reading[Elastic.Width])} wide"
            )
            {
                SoldAs = $"elastic, {reading.Say(reading[Elastic.Width])} wide",
            };
        }
    }
}
