using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>The make-ups that this workroom knows, and drafting by them.</summary>
public sealed class Drafting
{
    private readonly Dictionary<string, MakeUp> byKey;

    /// <summary>A drafting table for these make-ups, in the order given.</summary>
    public Drafting(IEnumerable<MakeUp> makeUps)
    {
        MakeUps = [.. makeUps];
        byKey = MakeUps.ToDictionary(makeUp => makeUp.Key, StringComparer.Ordinal);
    }

    /// <summary>All make-ups.</summary>
    public IReadOnlyList<MakeUp> MakeUps { get; }

    /// <summary>Every make-up of this assembly, by rank and key.</summary>
    public static Drafting Standard(params IEnumerable<MakeUp> more) =>
        new(
            typeof(MakeUp)
                .Assembly.GetTypes()
                .Where(type => type.IsSubclassOf(typeof(MakeUp)) && !type.IsAbstract)
                .Select(type => (MakeUp)Activator.CreateInstance(type)!)
                .OrderBy(makeUp => makeUp.Rank)
                .ThenBy(makeUp => makeUp.Key, StringComparer.Ordinal)
                .Concat(more)
        );

    /// <summary>The make-up of a key, or null.</summary>
    public MakeUp? Find(string key) => byKey.GetValueOrDefault(key);

    /// <summary>
    /// Drafts <paramref name="item"/>, to the <paramref name="room"/> on its cloths where it matters, and
    /// checks the seams on what was drawn.
    /// </summary>
    public Draft Draft(Item item, JobUnit unit, Func<ClothRole, ClothRoom>? room = null)
    {
        var draft = Drawn(item, unit, room);
        // What cannot be read has examples of its own; what does not go together is tried.
        return draft.Reading is not { Unreadable: false } || draft.Problems.Count == 0
            ? draft
            : draft with
            {
                Problems =
                [
                    .. draft.Problems.Select(problem =>
                        Examples.Tried(problem, item, unit, other => Drawn(other, unit, room).Problems)
                    ),
                ],
            };
    }

    private Draft Drawn(Item item, JobUnit unit, Func<ClothRole, ClothRoom>? room)
    {
        if (Find(item.MakeUp) is not { } makeUp)
            return new Draft(
                null,
                null,
                null,
                [new Problem("makeUp", item.MakeUp, 0, "no such make-up", MakeUps[0].Key)]
            );
        var reading = new Reading(makeUp, item, unit, room);
        if (reading.Problems.Count > 0)
            reading.Unreadable = true;
        else
            reading.Problems.AddRange(makeUp.Check(reading));
        if (reading.Problems.Count > 0)
            return new Draft(null, null, reading, reading.Problems);
        var pattern = Sewn(
            Behaviour.Apply(Marks.Apply(WidthJoins.Apply(Cord.Apply(makeUp.Draft(reading), reading), reading)), reading)
        );
        pattern = Cautions.Apply(
            Bench.Apply(Fillings.AddTo(pattern, makeUp.Fillings(reading), unit), reading, makeUp.Tolerance)
        );
        if (Unsound(pattern, makeUp, reading) is { } unsound)
            return new Draft(null, null, reading, [unsound]);
        return new Draft(pattern, SeamCheck.Of(pattern, unit), reading, []);
    }

    // What is bought for the seams: zips first, thread last.
    private static Pattern Sewn(Pattern pattern) =>
        pattern with
        {
            Notions =
            [
                .. pattern
                    .Seams.Select(seam => seam.Zip)
                    .OfType<Zip>()
                    .Select(zip => new Notion("zip", zip.Name, zip.Length, Note: zip.Note)
                    {
                        SoldAs = zip.IsChain ? "zip chain" : "",
                    }),
                .. pattern
                    .Applied.Where(applied => applied.Kind == AppliedKind.Tape)
                    .Select(tape => new Notion(tape.Name, tape.Name, tape.Length, Note: tape.Note)
                    {
                        OffTheRoll = true,
                    }),
                .. pattern.Notions,
                .. Making.Thread.Of(pattern),
            ],
        };

    // The last look before anything is cut: no outline may cross itself, and no allowance may swallow an edge.
    private static Problem? Unsound(Pattern pattern, MakeUp makeUp, Reading reading)
    {
        Problem Allowance(string reason, string example) =>
            makeUp.Allowances.Count > 0
                ? reading.Refuse(makeUp.Allowances[0], reason, example)
                : reading.Refuse(makeUp.Measures[0], reason, "20");
        foreach (var piece in pattern.Pieces)
        {
            if (OutlineCheck.Fault(piece.Stitch) is { } stitch)
                return reading.Refuse(makeUp.Measures[0], $"the stitch line of the {piece.Name} {stitch}", "20");
            if (piece.SwallowedEdge() is { } edge)
                return Allowance(
                    $"the {piece.Name} is too narrow at its {edge} edge for its allowances",
                    reading.Example("1/4", "0.6")
                );
            if (OutlineCheck.Fault(piece.Cut) is { } cut)
                return Allowance(
                    $"the cut line of the {piece.Name} {cut}: the allowance does not go round its inside corners",
                    reading.Example("1/4", "0.6")
                );
        }
        return null;
    }
}
