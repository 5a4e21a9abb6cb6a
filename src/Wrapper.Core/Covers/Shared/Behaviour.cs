using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>What the behaviour of its cloths asks of the making of a cover (craft §10).</summary>
internal static class Behaviour
{
    /// <summary>
    /// The pattern with the steps, cautions, finished edges and thread that the cloths of <paramref name="reading"/>
    /// ask for.
    /// </summary>
    public static Pattern Apply(Pattern pattern, Reading reading)
    {
        pattern = pattern with { Colour = reading.Room(ClothRole.Face).Name };
        List<ClothRoom> cloths =
        [
            .. pattern.Roles.Select(reading.Room).Where(room => room.Behaves.Count > 0).DistinctBy(room => room.Name),
        ];
        if (cloths.Count == 0)
            return pattern;
        List<ClothRoom> Those(params ClothTrait[] traits) =>
            [.. cloths.Where(cloth => cloth.Behaves.Intersect(traits).Any())];
        List<Step> steps = [.. pattern.Steps];
        // Widths that are joined first are cut before the rest.
        var cut = steps.FindIndex(step => step.Does.HasFlag(Doing.Cutting));
        if (cut < 0)
            steps.Insert(cut = 0, Step.Cutting("Cut all pieces."));
        steps[cut] = steps[cut] with { Cautions = [.. steps[cut].Cautions, .. AtCutting(Those)] };
        var fraying = Those(ClothTrait.Frays, ClothTrait.Sheds);
        var edges = fraying.Count > 0 ? RawEdges(pattern, reading) : [];
        if (edges.Count > 0)
            steps.Insert(
                cut + 1,
                Step.Of(
                    StepKind.Edges,
                    $"Finish the raw edges as soon as they are cut, before anything is sewn: {Finishes(fraying)}."
                )
            );
        if (Those(ClothTrait.Washable) is { Count: > 0 } washable)
            steps.Insert(0, Wash(washable));
        return pattern with
        {
            Steps = steps,
            Applied = [.. pattern.Applied, .. edges],
            ThreadNote = Those(ClothTrait.Outdoor).Count > 0 ? "outdoor" : "",
            Remarks = [.. pattern.Remarks, .. Coating(Those(ClothTrait.FlameResistantCoating))],
        };
    }

    private static Step Wash(IReadOnlyList<ClothRoom> cloths)
    {
        var known = cloths.Where(cloth => cloth.Shrinks).ToList();
        var unknown = cloths.Except(known).ToList();
        return Step.Pressing(
            $"Wash, dry and press {Names(cloths)} before cutting."
                + (unknown.Count > 0 ? $" Measure what {Names(unknown)} lost and enter it as shrinkage." : "")
                + (
                    known.Count > 0
                        ? $" The shrinkage entered for {Names(known)} is reckoned with: measure whether it holds."
                        : ""
                )
        ) with
        {
            Kind = StepKind.Preparing,
        };
    }

    private static IEnumerable<Remark> AtCutting(Func<ClothTrait[], List<ClothRoom>> those)
    {
        Remark Of(string text) => new(text, Caution: true) { StandsAt = Doing.Cutting };
        if (those([ClothTrait.Thick]) is { Count: > 0 } thick)
            yield return Of($"Cut {Names(thick)} two layers at most: in more the shears drift.");
        if (those([ClothTrait.Coated]) is { Count: > 0 } coated)
            yield return Of(
                $"Never pin {Names(coated)} inside the seam: every hole stays. Hold it with clips, within the allowance."
            );
        if (those([ClothTrait.Slippery, ClothTrait.Stretchy, ClothTrait.Coated]) is { Count: > 0 } hard)
            yield return Of(
                $"Not a cloth to begin on: {string.Join("; ", hard.Select(Why))}. Try seams on a scrap first."
            );
        if (those([ClothTrait.Pile]) is { Count: > 0 } pile)
            yield return Of(
                $"Brush the pile of {Names(pile)} flat: towards the front and downward, every piece one way up."
            );
    }

    private static string Why(ClothRoom cloth)
    {
        var traits = ClothTraits
            .All.Where(each => each.Trait is ClothTrait.Slippery or ClothTrait.Stretchy or ClothTrait.Coated)
            .Where(each => cloth.Behaves.Contains(each.Trait));
        return $"{cloth.Name} is {string.Join(" and ", traits.Select(each => each.Name.ToLowerInvariant()))}";
    }

    private static IEnumerable<Remark> Coating(IReadOnlyList<ClothRoom> cloths)
    {
        if (cloths.Count > 0)
            yield return new(
                $"The flame resistance of {Names(cloths)} is a coating, which washing may take off. Say so at hand-over; the local rules decide.",
                Caution: true
            )
            {
                OnCare = $"The flame resistance of {Names(cloths)} is a coating, which washing may take off.",
            };
    }

    private static string Finishes(IEnumerable<ClothRoom> cloths) =>
        string.Join(
            "; ",
            cloths
                .GroupBy(cloth => cloth.EdgeFinish)
                .Select(same =>
                    (same.Key == EdgeFinish.Serging ? "serge " : "zigzag ")
                    + Names([.. same])
                    + (same.Key == EdgeFinish.Serging ? " with three threads" : "")
                )
        );

    // Each piece of such cloth all round its cut line, in the colour of the cloth.
    private static List<Applied> RawEdges(Pattern pattern, Reading reading) =>
        [
            .. from piece in pattern.Pieces
            where !piece.Role.IsFilling()
            let room = reading.Room(piece.Role)
            where room.Behaves.Any(trait => trait is ClothTrait.Frays or ClothTrait.Sheds)
            group piece by (room.Name, room.EdgeFinish) into same
            select new Applied(
                $"raw edges of {same.Key.Name}",
                same.Key.EdgeFinish == EdgeFinish.Serging ? AppliedKind.Serging : AppliedKind.Zigzag,
                Working.Of(
                    "edges",
                    $"raw edges of {same.Key.Name}, as drawn",
                    same.Aggregate(Length.Zero, (sum, piece) => sum + (piece.Quantity * piece.Cut.Perimeter()))
                )
            )
            {
                Colour = same.Key.Name,
            },
        ];

    private static string Names(IReadOnlyList<ClothRoom> cloths) =>
        string.Join(" and ", cloths.Select(cloth => cloth.Name));
}
