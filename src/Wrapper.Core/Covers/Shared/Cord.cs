using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>Cord along the corded seams, and the covering strips that it needs (craft §4.1).</summary>
internal static class Cord
{
    internal static readonly LengthChoice CordDiameter = Choice.OfLength(
        "cordDiameter",
        "Cord diameter",
        Group,
        Length.Inches(0, 1, 4),
        6,
        new LengthLimits(Length.Millimetres(1), Length.Inches(2), "1/4", "0.6")
    );

    internal static readonly LengthChoice CordJoin = Choice.OfLength(
        "cordJoin",
        "Cord to join the ends, each ring",
        Group,
        Length.Inches(3),
        75
    );

    internal static readonly OptionChoice<CoveringCut> CutOfStrips = Choice.Of(
        "strips",
        "Covering strips",
        Group,
        Option.Of(CoveringCut.Bias, "On the bias", "Goes round corners without puckers; cut at 45° across a block."),
        Option.Of(
            CoveringCut.Slanted,
            "On the bias, one by one",
            "Each strip is laid by itself, wherever there is room at 45°: less waste, more joins to keep in order."
        ),
        Option.Of(
            CoveringCut.Across,
            "Across the cloth",
            "Less waste; for straight runs and cloth that gives a little."
        )
    );

    internal static readonly LengthChoice BlockWidth = Choice.OfLength(
        "blockWidth",
        "Strips cut across",
        Group,
        Length.Inches(36),
        900,
        new LengthLimits(Length.Inches(6), Length.Inches(120), "36", "90")
    ) with
    {
        Note = "The width of the block that the strips are cut from, or their length when cut across.",
    };

    internal static readonly LengthChoice StripJoin = Choice.OfLength(
        "stripJoin",
        "Allowance where strips join",
        Group,
        Length.Inches(0, 1, 4),
        6,
        new LengthLimits(Length.Zero, Length.Inches(2), "1/4", "0.6")
    );

    private const string Group = "Cord";

    /// <summary>
    /// Whether there is cord. What each answer means for a cover it says itself, see <see cref="Asked"/>.
    /// </summary>
    internal static readonly OptionChoice<Cording> Corded = Asked(
        "cord",
        Option.Of(
            Cording.Both,
            "Cord on both edges",
            "Sharp edges that wear well; the seam is easier to keep straight."
        ),
        Option.Of(Cording.None, "No cord", "Less cloth and time; the plain seam shows every wobble.")
    );

    /// <summary>The choices of a box cushion: cord on both edges, or none.</summary>
    public static IReadOnlyList<Choice> Choices => ChoicesFor(Corded);

    /// <summary>Whether there is cord, in the words of one cover.</summary>
    public static OptionChoice<Cording> Asked(string key, params Option<Cording>[] options) =>
        Choice.Of(key, "Cord", Group, options);

    /// <summary>Whether there is cord, and how it is covered.</summary>
    public static IReadOnlyList<Choice> ChoicesFor(OptionChoice<Cording> asked) =>
        [
            asked,
            CordDiameter.AskedWhen(asked, Cording.Both),
            CordJoin.AskedWhen(asked, Cording.Both),
            CutOfStrips.AskedWhen(asked, Cording.Both),
            BlockWidth.AskedWhen(asked, Cording.Both),
            StripJoin.AskedWhen(asked, Cording.Both),
        ];

    /// <summary>Whether cord is chosen.</summary>
    public static bool IsChosen(Reading reading, OptionChoice<Cording>? asked = null) =>
        reading.Chosen(asked ?? Corded) is Cording.Both;

    /// <summary>
    /// The pattern with the cord of all its cord lines, one join for each of them, and the pieces that cover it.
    /// </summary>
    public static Pattern Apply(Pattern pattern, Reading reading)
    {
        var corded = pattern.Seams.Where(seam => seam.CordLine is not null).ToList();
        if (corded.Count == 0)
            return pattern;
        var joins = corded.Select(seam => seam.CordLine).Distinct().Count();
        var cord = (
            Sum.Of(corded.Select(seam => seam.Drafted))
            + (joins * (Working)new Allowance("j", AllowanceRole.Join, reading[CordJoin]))
        ).As("C", "cord");
        var covering = Covering(reading, cord);
        return pattern with
        {
            Pieces = [.. pattern.Pieces, covering],
            Uses = [.. pattern.Uses, .. RawEdges(covering)],
            Notions = [new("cord", "cord", cord) { OffTheRoll = true }, .. pattern.Notions],
        };
    }

    /// <summary>The block (bias) or the strips (across) that cover <paramref name="cord"/>, raw on all sides.</summary>
    private static Piece Covering(Reading reading, Working cord)
    {
        var diameter = Working.Of("cord diameter", "cord diameter", reading[CordDiameter]);
        var strip = (diameter.TimesPi() + (2 * reading[EdgeAllowances.Seam]))
            .UpTo(Length.Inches(0, 1, 8))
            .As("strip width", "width of the covering strip");
        var across = Working.Of("a", "width cut across", reading[BlockWidth]);
        var join = new Allowance("j'", AllowanceRole.Join, reading[StripJoin]);
        return reading.Chosen(CutOfStrips) switch
        {
            CoveringCut.Bias => Bias(cord, strip, across, join),
            CoveringCut.Slanted => Slanted(cord, strip, across, join),
            _ => Straight(cord, strip, across, join),
        };
    }

    // A strip cut at 45° across a is a√2 long and each join, on the straight grain, takes 2√2 j' of it.
    private static Piece Bias(Working cord, Working strip, Working across, Working join)
    {
        var (each, ends, slant, count) = OnBias(cord, strip, across, join);
        var block = across + (count * slant);
        var (w, h) = (across.Value, block.Value);
        return Raw("cord-block", "cord covering, bias block", 1, across, block) with
        {
            Lines =
            [
                .. Enumerable
                    .Range(0, count + 1)
                    .Select(i => new InnerLine(
                        "strip",
                        new(Length.Zero, i * slant.Value),
                        new(w, (i * slant.Value) + w)
                    )),
            ],
            Sizes =
            [
                new("width", SizeKind.Cut, across, new(Length.Zero, Length.Zero), new(w, Length.Zero)),
                new("block length", SizeKind.Cut, block, new(Length.Zero, Length.Zero), new(Length.Zero, h)),
                new("strip width", SizeKind.Cut, strip, new(Length.Zero, Length.Zero), new(Length.Zero, slant.Value)),
                new(
                    "strips when joined",
                    SizeKind.Finished,
                    (count * each) + ends,
                    new(Length.Zero, slant.Value),
                    new(w, slant.Value + w)
                ),
            ],
            Note = $"{count} strips at 45° across the block",
        };
    }

    // The same strips as parallelograms, ends on the straight grain: a quarter turned they lie at 45° too.
    private static Piece Slanted(Working cord, Working strip, Working across, Working join)
    {
        var (each, ends, slant, count) = OnBias(cord, strip, across, join);
        var (w, h) = (across.Value, slant.Value);
        return Raw("cord-slant", "cord covering, bias strip", count, across, slant) with
        {
            Shape = d => new Outline([
                new("lower", new(Length.Zero, Length.Zero)),
                new("right", new(d["width"], d["width"])),
                new("upper", new(d["width"], d["width"] + d["height"])),
                new("left", new(Length.Zero, d["height"])),
            ]),
            Sizes =
            [
                new("width", SizeKind.Cut, across, new(Length.Zero, Length.Zero), new(w, Length.Zero)),
                new("height", SizeKind.Cut, across + slant, new(Length.Zero, Length.Zero), new(Length.Zero, w + h)),
                new(
                    "end, up the straight grain",
                    SizeKind.Cut,
                    slant,
                    new(Length.Zero, Length.Zero),
                    new(Length.Zero, h)
                ),
                new("strip width", SizeKind.Cut, strip, new(Length.Zero, Length.Zero), new(Length.Zero, h)),
                new("strips when joined", SizeKind.Finished, (count * each) + ends, new(Length.Zero, h), new(w, h + w)),
            ],
        };
    }

    private static (Working Each, Working Ends, Working Slant, int Count) OnBias(
        Working cord,
        Working strip,
        Working across,
        Working join
    )
    {
        var each = (across - (2 * join)).TimesRoot2();
        var ends = (2 * join).TimesRoot2();
        return (each, ends, strip.TimesRoot2(), Strips(cord.Value - ends.Value, each.Value));
    }

    private static Piece Straight(Working cord, Working strip, Working across, Working join)
    {
        var each = across - (2 * join);
        var count = Strips(cord.Value - (2 * join.Value), each.Value);
        return Raw("cord-strip", "cord covering strip", count, across, strip) with
        {
            Sizes =
            [
                new("length", SizeKind.Cut, across, new(Length.Zero, Length.Zero), new(across.Value, Length.Zero)),
                new("strip width", SizeKind.Cut, strip, new(Length.Zero, Length.Zero), new(Length.Zero, strip.Value)),
                new(
                    "strips when joined",
                    SizeKind.Finished,
                    (count * each) + (2 * join),
                    new(Length.Zero, strip.Value),
                    new(across.Value, strip.Value)
                ),
            ],
        };
    }

    private static Piece Raw(string key, string name, int quantity, Working width, Working height) =>
        new(
            key,
            name,
            quantity,
            new Dictionary<string, Working> { ["width"] = width, ["height"] = height },
            d => Outline.Rectangle(d["width"], d["height"])
        )
        {
            Grain = Grain.Either,
            Role = ClothRole.CordCovering,
        };

    private static int Strips(Length covered, Length each) =>
        Math.Max(1, (int)((covered.Ticks + each.Ticks - 1) / each.Ticks));

    /// <summary>Raw edges of every instance of <paramref name="piece"/>.</summary>
    private static IEnumerable<Use> RawEdges(Piece piece) =>
        from instance in Enumerable.Range(1, piece.Quantity)
        from edge in piece.Stitch.Edges
        select new Use(EdgeUse.Raw, new Run(piece.Key, instance, edge.Name));
}

/// <summary>The answers to: Covering strips.</summary>
internal enum CoveringCut
{
    Bias,
    Slanted,
    Across,
}

/// <summary>The answers to: Cord.</summary>
internal enum Cording
{
    None,
    Both,
}
