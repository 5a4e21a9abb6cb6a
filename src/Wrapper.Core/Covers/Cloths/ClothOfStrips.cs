using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cloths;

/// <summary>
/// A cloth made of strips of two or three cloths, sewn side by side in turn: once made it is a cloth of the job like any
/// ready-made one (craft §10).
/// </summary>
public sealed class ClothOfStrips : MakeUp
{
    private static readonly OptionChoice<StripKinds> Kinds = Choice.Of(
        "kinds",
        "Strips of",
        "Strips",
        Option.Of(StripKinds.Two, "Two cloths in turn", "One, the other, and again."),
        Option.Of(StripKinds.Three, "Three cloths in turn", "One, another, a third, and again.")
    );

    private static readonly LengthChoice First = Wide("first", "First strip, finished", 6, 150),
        Second = Wide("second", "Second strip, finished", 3, 75),
        Third = Wide("third", "Third strip, finished", 2, 50).AskedWhen(Kinds, StripKinds.Three);

    private static readonly Measure W = new(
        "W",
        "width",
        "Of the cloth that is wanted, between the outermost seams.",
        LengthLimits.Item,
        Usual: Length.Inches(45)
    );

    private static readonly Measure L = new(
        "L",
        "length",
        "Of the cloth that is wanted.",
        LengthLimits.Item,
        Usual: Length.Inches(60)
    );

    // More are sewn by nobody.
    private const int MostStrips = 60;

    /// <inheritdoc/>
    public override string Key => "cloth-of-strips";

    /// <inheritdoc/>
    public override string Name => "Strips side by side";

    /// <inheritdoc/>
    public override string Family => "Cloth made of strips";

    /// <inheritdoc/>
    public override string Suits =>
        "A striped cloth of your own, from two or three cloths: add it to the job's cloths as made here, and cut covers from it.";

    /// <inheritdoc/>
    public override bool MakesCloth => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Kinds, First, Second, Third];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [EdgeAllowances.Seam];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading) => PrismSketch.Box(reading, W, L, up: null);

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var strips = Strips(reading);
        if (strips.Count > MostStrips)
            yield return reading.Refuse(
                First,
                $"over {MostStrips} strips: take wider ones",
                reading.Example("6", "15")
            );
        else if (strips[^1].Width.Value <= reading[EdgeAllowances.Seam].Value)
            yield return reading.Refuse(
                W,
                $"the last strip would finish {reading.Say(strips[^1].Width.Value)}, no wider than a seam: leave it out",
                LengthPrinter.Finished(reading[W].Value - strips[^1].Width.Value, reading.Unit).Text
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (l, strips) = (reading[L], Strips(reading));
        // The last strip takes what is left, and is a kind of its own where that is less than a whole one.
        var kinds = strips.GroupBy(strip => strip.Key).Select(kind => (kind.First(), Count: kind.Count())).ToList();
        List<Piece> pieces =
        [
            .. kinds.Select(kind =>
                Plain.Rectangle(
                    kind.Item1.Key,
                    kind.Item1.Name,
                    kind.Count,
                    kind.Item1.Width,
                    l,
                    side =>
                        side is "left" or "right"
                            ? reading.EdgeAllowance(EdgeAllowances.Seam, kind.Item1.Key, side)
                            : Sum.Of()
                ) with
                {
                    Role = kind.Item1.Role,
                    Grain = Grain.Along,
                }
            ),
        ];
        var at = new Dictionary<string, int>();
        List<(string Key, int Instance)> order =
        [
            .. strips.Select(strip => (strip.Key, at[strip.Key] = at.GetValueOrDefault(strip.Key) + 1)),
        ];
        List<Seam> seams =
        [
            .. order
                .Zip(order.Skip(1))
                .Select(
                    (pair, n) =>
                        Plain.Join(
                            $"strip {n + 1} to strip {n + 2}",
                            (pair.First.Key, pair.First.Instance, "right"),
                            (pair.Second.Key, pair.Second.Instance, "left"),
                            l
                        )
                ),
        ];
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses =
            [
                .. kinds.SelectMany(kind => Plain.Unsewn(EdgeUse.Raw, kind.Item1.Key, kind.Count, "lower", "upper")),
                .. Plain.Unsewn(EdgeUse.Raw, order[0].Key, 1, "left"),
                new Use(EdgeUse.Raw, new Run(order[^1].Key, order[^1].Instance, "right")),
            ],
            Finished = [("usable width", reading[W]), ("usable length", l)],
            Steps =
            [
                Step.Cutting("Cut the strips along the grain, one kind after the other; square their ends."),
                Step.Pressing(
                    "Lay them out in turn. Sew strip to strip, every second seam from the other end, so that the cloth stays straight; press each seam to one side.",
                    [.. seams.Select(seam => seam.Name)]
                ),
            ],
        };
    }

    /// <summary>
    /// Its size as a cloth of the job, edge to edge, and what is cut off along its edges, the seam left over at either
    /// side; null where <paramref name="draft"/> makes no cloth.
    /// </summary>
    internal static (Length Width, Length Length, Length Edge)? Made(Pattern? draft, Reading? reading)
    {
        if (draft is null || reading is null || !draft.Finished.Any(size => size.Name == "usable width"))
            return null;
        Length Told(string name) => draft.Finished.First(size => size.Name == name).Working.Value;
        var s = reading[EdgeAllowances.Seam].Value;
        return (Told("usable width") + (2 * s), Told("usable length") + (2 * s), s);
    }

    private static List<(string Key, string Name, ClothRole Role, Working Width)> Strips(Reading reading)
    {
        (string Key, string Name, ClothRole Role, LengthChoice Width)[] turn =
        [
            ("first", "first strip", ClothRole.Face, First),
            ("second", "second strip", ClothRole.SecondFace, Second),
            .. reading.Chosen(Kinds) is StripKinds.Three
                ? [("third", "third strip", ClothRole.Contrast, Third)]
                : Array.Empty<(string, string, ClothRole, LengthChoice)>(),
        ];
        var strips = new List<(string, string, ClothRole, Working)>();
        var rest = reading[W];
        for (var n = 0; rest.Value.IsPositive && n <= MostStrips; n++)
        {
            var (key, name, role, width) = turn[n % turn.Length];
            var own = Working.Of(key, $"{name}, finished", reading[width]);
            if (own.Value >= rest.Value)
                strips.Add(
                    own.Value == rest.Value ? (key, name, role, own) : ($"{key}-last", $"{name}, the last", role, rest)
                );
            else
                strips.Add((key, name, role, own));
            rest -= own;
        }
        return strips;
    }

    private static LengthChoice Wide(string key, string name, int inches, decimal millimetres) =>
        Choice.OfLength(key, name, "Strips", Length.Inches(inches), millimetres, LengthLimits.UpTo(60, "6", "15"));
}

/// <summary>The answers to: Strips of.</summary>
internal enum StripKinds
{
    Two,
    Three,
}
