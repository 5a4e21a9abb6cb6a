using Wrapper.Core.Declaring;
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

    internal static readonly OptionChoice<StripCut> CutOfStrips = Choice.Of(
        "strips",
        "Covering strips",
        Group,
        Option.Of(
            StripCut.Straight,
            "Straight strips",
            "Across or along, from what the panels leave; for straight runs and square corners."
        ),
        Option.Of(
            StripCut.ShortBias,
            "Short bias strips",
            "At 45° from what the panels leave; for tight curves, with more joins to press."
        ),
        Option.Of(
            StripCut.Tube,
            "Bias from a tube",
            "One square for all covers of a cloth, sewn to a tube and cut in a spiral; for tight curves and long runs."
        )
    ) with
    {
        MaySave = true,
    };

    internal static readonly LengthChoice StripJoin = Choice.OfLength(
        "stripJoin",
        "Allowance where strips join",
        Group,
        Length.Inches(0, 1, 4),
        6,
        new LengthLimits(Length.Zero, Length.Inches(2), "1/4", "0.6")
    );

    internal static readonly LengthChoice StripWidth = Choice.OfLength(
        "stripWidth",
        "Covering strip, cut wide",
        Group,
        Length.Zero,
        0,
        LengthLimits.UpTo(12, "1 7/8", "4.8", zero: true)
    ) with
    {
        Note = "0: round the cord and both seams, up to the next 1/8 in (5 mm).",
    };

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
        Option.Of(Cording.Top, "Cord on the top edge", "The edge that is seen; half the cord, one face up."),
        Option.Of(Cording.None, "No cord", "Less cloth and time; the plain seam shows every wobble.")
    );

    /// <summary>The choices of a box cushion: cord on both edges, or none.</summary>
    public static IReadOnlyList<Choice> Choices => ChoicesFor(Corded);

    /// <summary>Whether there is cord, in the words of one cover.</summary>
    public static OptionChoice<Cording> Asked(string key, params Option<Cording>[] options) =>
        Choice.Of(key, "Cord", Group, options).ToldToCustomer();

    /// <summary>Whether there is cord, and how it is covered.</summary>
    public static IReadOnlyList<Choice> ChoicesFor(OptionChoice<Cording> asked)
    {
        Cording[] some =
        [
            .. asked
                .Options.OfType<Option<Cording>>()
                .Select(option => option.Value)
                .Where(each => each != Cording.None),
        ];
        return
        [
            asked,
            CordDiameter.AskedWhen(asked, some),
            CordJoin.AskedWhen(asked, some),
            CutOfStrips.AskedWhen(asked, some),
            StripWidth.AskedWhen(asked, some),
            StripJoin.AskedWhen(asked, some),
        ];
    }

    /// <summary>Whether cord is chosen.</summary>
    public static bool IsChosen(Reading reading, OptionChoice<Cording>? asked = null) =>
        reading.Chosen(asked ?? Corded) is not Cording.None;

    /// <summary>
    /// The pattern with the cord of all its cord lines, one join for each of them, and the covering that it asks for.
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
        var diameter = Working.Of("cord diameter", "cord diameter", reading[CordDiameter]);
        var wraps = diameter.TimesPi() + (2 * reading[EdgeAllowances.Seam]);
        var strip = (
            reading[StripWidth].IsPositive
                ? Working.Of("strip", "strip, as chosen", reading[StripWidth])
                : wraps.UpTo(Length.Inches(0, 1, 8))
        ).As("w_c", "width of the covering strip");
        var cut = reading.Chosen(CutOfStrips);
        return pattern with
        {
            Pieces = Started(pattern, corded),
            Covering = new CordCovering(cord, strip, reading[StripJoin], cut),
            Finished =
            [
                .. pattern.Finished,
                ("strip to cover the cord, joined", cord),
                ("strip to cover the cord, cut wide", strip),
            ],
            Notions =
            [
                new("cord", "cord", cord, Note: $"{reading.Say(diameter.Value)} thick") { OffTheRoll = true },
                .. pattern.Notions,
            ],
            Remarks =
            [
                .. pattern.Remarks,
                .. cut == StripCut.Straight ? TightCurves(pattern, corded) : [],
                .. strip.Value < wraps.Value
                    ?
                    [
                        new Remark(
                            $"A strip of {reading.Say(strip.Value)} does not go round this cord with both seams: that takes {reading.Say(wraps.Value)}.",
                            Caution: true
                        ),
                    ]
                    : Array.Empty<Remark>(),
            ],
        };
    }

    // Where each ring of cord starts and is joined: where its last seam starts, if that goes round by itself, else in the
    // middle of it, on whichever side is one piece. What is pinned on furniture first has no such mark.
    private static IReadOnlyList<Piece> Started(Pattern pattern, IReadOnlyList<Seam> corded)
    {
        var marks = new List<(string Piece, Notch Notch)>();
        foreach (var line in corded.GroupBy(seam => seam.CordLine))
        {
            // At the back, where there is one.
            var seam = line.LastOrDefault(each => each.OneSide.Concat(each.OtherSide).Any(IsBack)) ?? line.Last();
            var side = new[] { seam.OtherSide, seam.OneSide }.FirstOrDefault(runs =>
                runs.Select(run => (run.Piece, run.Instance)).Distinct().Count() == 1
            );
            if (side is null || pattern.Piece(side[0].Piece).IsRough)
                continue;
            var run = line.Count() == 1 ? side[0] : side.FirstOrDefault(IsBack) ?? side[side.Count / 2];
            var from = run.From ?? Length.Zero;
            var at = line.Count() == 1 ? from : from + pattern.LengthOf(run).Over(2);
            marks.Add((run.Piece, new Notch(run.Edge, at) { What = "cord start" }));
        }
        return
        [
            .. pattern.Pieces.Select(piece =>
                marks.Where(mark => mark.Piece == piece.Key).Select(mark => mark.Notch).Distinct().ToList()
                    is { Count: > 0 } own
                    ? piece with
                    {
                        Notches = [.. piece.Notches, .. own],
                    }
                    : piece
            ),
        ];
    }

    private static bool IsBack(Run run) => run.Edge == "back";

    // Read off the corded edges: whichever curve is too tight for straight strips.
    private static IEnumerable<Remark> TightCurves(Pattern pattern, IEnumerable<Seam> corded)
    {
        var curves =
            from seam in corded
            from run in seam.OneSide.Concat(seam.OtherSide)
            where pattern.Piece(run.Piece).Stitch.Edges.First(edge => edge.Name == run.Edge).Radius < Tight
            select pattern.Piece(run.Piece).Name;
        if (curves.Distinct().ToList() is { Count: > 0 } pieces)
            yield return new Remark(
                $"The cord turns tightly round the {string.Join(" and the ", pieces)}: straight covering strips pucker there, bias strips lie flat."
            );
    }

    // Curves of less than about this radius want bias (craft §4.1).
    private static readonly Length Tight = Length.Inches(10);
}

/// <summary>The answers to: Cord.</summary>
internal enum Cording
{
    None,
    Both,
    Top,
}
