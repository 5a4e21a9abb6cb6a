using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Pieces wider than the cloth, joined of several widths: whatever they are, round ones and flapped ones too (craft
/// §8.2).
/// </summary>
public class WidthJoinTests
{
    private static readonly string[] Joined =
    [
        "round-table-draped",
        "round-table-skirted",
        "table-one-piece",
        "table-five-pieces",
        "contoured-pad",
        "duvet-cover",
        "fitted-sheet",
        "mattress-gusset",
        "mattress-stitched-off",
    ];

    // The same item on narrow cloth and on cloth wide enough: joined it is the same cover.
    private static readonly Gen<(Item Item, Length Usable)> Narrow = Gen.Select(
            Gen.OneOf([.. Joined.Select(Variants.Of)]),
            Gen.Int[20, 50]
        )
        .Select((item, inches) => (Item: item, Usable: Length.Inches(inches)))
        // A join that would fall into a corner that is cut out is refused.
        .Where(job => Draft(job.Item, job.Usable).Problems.Count == 0);

    private static Draft Draft(Item item, Length usable) =>
        Items.Drafting.Draft(item, JobUnit.Inch, _ => new(Working.Of("U", "usable width", usable)));

    private static Pattern On(Item item, Length usable)
    {
        var draft = Draft(item, usable);
        if (draft is not { Pattern: { } pattern, Seams: { } seams })
            throw new InvalidOperationException($"{Said(item)} on {usable}: {string.Join("; ", draft.Problems)}");
        return seams.Holds
            ? pattern
            : throw new InvalidOperationException(
                $"{Said(item)} on {usable}: {string.Join("; ", seams.Coverage.Concat(seams.Seams.Select(seam => seam.Fault).OfType<string>()))}"
            );
    }

    private static string Said(Item item) =>
        $"{item.MakeUp} {string.Join(" | ", item.Measures.Concat(item.Choices).Concat(item.Allowances).Select(pair => $"{pair.Key}={pair.Value.Typed}"))}";

    [Fact]
    public void Joined_pieces_are_the_whole_pieces_cut_apart() =>
        Narrow.Sample(
            job =>
            {
                var (whole, joined) = (On(job.Item, Length.Inches(2000)), On(job.Item, job.Usable));
                if (job.Item.MakeUp == "round-table-skirted")
                    return; // its skirt is cut in as many widths as the cloth asks for
                Assert.Empty(whole.Counted);
                Assert.Equal(
                    whole.Pieces.Sum(piece => piece.Quantity * piece.Stitch.AreaSquareMetres()),
                    joined.Pieces.Sum(piece => piece.Quantity * piece.Stitch.AreaSquareMetres()),
                    1e-6
                );
                foreach (var counted in joined.Counted)
                {
                    var parts = counted.Parts.Select(joined.Piece).ToList();
                    Assert.All(
                        parts,
                        part => Assert.True(Wide(part) <= job.Usable, $"{part.Name} is {Wide(part)} across")
                    );
                    // Each join is a seam more for each piece, and hems are as long as before.
                    Assert.Equal(
                        counted.Quantity * (parts.Count - 1),
                        joined.Seams.Count(seam =>
                            seam.OneSide[0].Edge == "right join" && counted.Parts.Contains(seam.OneSide[0].Piece)
                        )
                    );
                    // By hand so many whole widths as hold all parts side by side, and no fewer.
                    var across = parts.Aggregate(Length.Zero, (sum, part) => sum + Wide(part));
                    Assert.True(counted.Widths * job.Usable >= across && (counted.Widths - 1) * job.Usable < across);
                }
                Assert.Equal(0, (Hemmed(whole) - Hemmed(joined)).Ticks, 40.0);
            },
            iter: 120
        );

    // A circle of radius 34.03 on 49 in cloth would be joined 24 1/8 from its middle, a hair beside the 45° point
    // (24.06) where two of its arcs meet: the join moves in, clear of it.
    [Fact]
    public void A_join_beside_the_point_where_two_arcs_meet_is_drafted() =>
        Assert.Equal(
            3,
            On(
                Items.Read("round-table-draped", JobUnit.Inch, "d=36 13/16 | H=15 10/16 | s=3/8 | h=1/2"),
                Length.Inches(49)
            ).Pieces.Count
        );

    [Fact]
    public void A_cover_that_is_never_joined_stays_whole_on_any_cloth() =>
        Gen.OneOf([.. Joined.Where(key => key != "round-table-skirted").Select(Variants.Of)])
            .Sample(
                item =>
                {
                    var never = item with
                    {
                        Choices = new Dictionary<string, Entry>(item.Choices)
                        {
                            ["widths"] = new("none", JobUnit.Inch),
                        },
                    };
                    Assert.Empty(On(never, Length.Inches(20)).Counted);
                },
                iter: 40
            );

    // Never a seam down the middle by the usual school; two panels have just that.
    [Theory]
    [InlineData("centre", 3)]
    [InlineData("two", 2)]
    [InlineData("strip", 2)]
    public void The_schools_place_their_joins(string school, int parts)
    {
        var pattern = On(
            Items.Read("table-one-piece", JobUnit.Inch, $"W=30 | L=20 | H=10 | widths={school}"),
            Length.Inches(40)
        ); // 53 across
        var widths = Assert
            .Single(pattern.Counted)
            .Parts.Select(pattern.Piece)
            .Select(part => part.Stitch.Bounds())
            .Select(bounds => bounds.Right - bounds.Left)
            .ToList();
        Assert.Equal(parts, widths.Count);
        var middle = widths.Aggregate((sum, width) => sum + width).Over(2);
        var joins = widths
            .SkipLast(1)
            .Select((_, at) => widths.Take(at + 1).Aggregate((sum, width) => sum + width))
            .ToList();
        if (school == "two")
            Assert.Equal(0, (Assert.Single(joins) - middle).Ticks, 2.0);
        else
            Assert.DoesNotContain(joins, join => (join - middle).Abs() < Length.Inches(4));
        if (school == "centre")
            Assert.Equal(0, (widths[0] - widths[2]).Ticks, 2.0);
    }

    // 40 across on the hem line. A width of 40 in cloth is 39 with 1/2 in seams, 38 where it ends in a hem of 1 1/2: sides
    // of 1/2 or a strip of 2 would be slivers.
    [Theory]
    [InlineData("centre", "13.3333 13.3333 13.3333")]
    [InlineData("strip", "36 4")]
    [InlineData("two", "20 20")]
    public void No_panel_is_a_sliver(string school, string finished)
    {
        var pattern = On(
            Items.Read("table-one-piece", JobUnit.Inch, $"W=20 | L=20 | H=10 | s=1/2 | widths={school}"),
            Length.Inches(40)
        );
        Assert.Equal(
            finished.Split(' ').Select(text => double.Parse(text, System.Globalization.CultureInfo.InvariantCulture)),
            Assert
                .Single(pattern.Counted)
                .Parts.Select(pattern.Piece)
                .Select(part => part.Stitch.Bounds())
                .Select(bounds => (double)Items.Inches(bounds.Right - bounds.Left)),
            (a, b) => Math.Abs(a - b) < 1e-3
        );
    }

    private static Length Wide(Piece piece)
    {
        var (left, _, right, _) = piece.Cut.Bounds();
        return right - left;
    }

    private static Length Hemmed(Pattern pattern) =>
        pattern
            .Uses.Where(use => use.Kind == EdgeUse.Hem)
            .Aggregate(
                Length.Zero,
                (sum, use) =>
                    sum
                    + (use.Run.To ?? pattern.Piece(use.Run.Piece).Stitch.LengthOf(use.Run.Edge))
                    - (use.Run.From ?? Length.Zero)
            );

    // Strips that stand upright, or may not turn on pile, reach 53 across. Boxing 79: 16 1/4 + 46 1/2 + 16 1/4, joined at
    // the front corners, + 1 each, the lap 1 1/2 at one end. Zip strip 52 1/2 + 1: at its corners, 3 + 46 1/2 + 3.
    [Theory]
    [InlineData(true, "either")]
    [InlineData(false, "along")]
    [InlineData(false, "as-panel")]
    public void Strips_longer_than_the_cloth_gives_are_joined_at_corners_unasked(bool pile, string grain)
    {
        var pattern = Drafted("box-cushion-strip", "W=46 1/2 | L=19 1/4 | T=4 | zipTurn=3 | stripGrain=" + grain, pile);
        decimal Across(Patterns.Piece piece) =>
            piece.Cut.Bounds() is var (left, _, right, _) ? Items.Inches(right - left) : 0;
        decimal[] Of(string key) =>
            [.. pattern.Pieces.Where(piece => piece.Key.StartsWith(key, StringComparison.Ordinal)).Select(Across)];
        Assert.Equal([17.25m, 47.5m, 17.25m], Of("boxing").Select(width => width == 18.75m ? 17.25m : width));
        Assert.Equal(83.5m, Of("boxing").Sum()); // 79 + 3 x 1 + 1 1/2
        Assert.Equal([4m, 47.5m, 4m], Of("zip-strip"));
        Assert.True(Patterns.SeamCheck.Of(pattern, JobUnit.Inch).Holds);
    }

    // Centimetres, 137 between the selvedges: sides 60 - 6.5 = 53.5, front 120; two lengths would be 173.5 long.
    [Fact]
    public void Strips_are_joined_in_centimetres_too()
    {
        var item = Items.Of(
            "box-cushion-strip",
            JobUnit.Centimetre,
            ("W", "120"),
            ("L", "60"),
            ("T", "10"),
            ("stripGrain", "along"),
            ("lapEnds", "none")
        );
        var pattern = Items
            .Drafting.Draft(item, JobUnit.Centimetre, _ => new(Working.Of("U", "usable", Length.Millimetres(1370))))
            .Pattern!;
        Assert.Equal(
            [56.5m, 123m, 56.5m],
            pattern
                .Pieces.Where(piece => piece.Key.StartsWith("boxing", StringComparison.Ordinal))
                .Select(piece => piece.Sizes[0].Working.Value.Ticks / 38_400m)
        );
    }

    // Plain cloth off the roll sets no end to a strip that lies along it, and a front longer than the cloth is joined by
    // nobody: it is told.
    [Fact]
    public void What_goes_on_the_cloth_in_one_is_not_joined_and_a_front_never_is()
    {
        Assert.Single(
            Drafted("box-cushion-strip", "W=46 1/2 | L=19 1/4 | T=4 | stripGrain=either", pile: false).Pieces,
            piece => piece.Key.StartsWith("boxing", StringComparison.Ordinal)
        );
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items =
            [
                Items.Read(
                    "box-cushion-strip",
                    JobUnit.Inch,
                    "W=70 | L=20 | T=4 | panelGrain=across | stripGrain=along"
                ) with
                {
                    Id = "i1",
                    Cloth = null,
                },
            ],
            Cloths = [LayTests.Cloth("54", false)],
        };
        var problem = Assert.Single(Plan.Of(job, Items.Drafting, lay: true).Cloths[0].Problems);
        Assert.Contains("across", problem.Reason, StringComparison.Ordinal);
    }

    // Whatever the outline, on pile cloth no strip is longer than the cloth is wide unless a front is, and all seams match.
    [Fact]
    public void Strips_on_pile_cloth_fit_it() =>
        Gen.Select(Variants.Of("box-cushion-strip"), Gen.Int[36, 60])
            .Sample(
                (item, inches) =>
                {
                    var usable = Length.Inches(inches);
                    var draft = Items.Drafting.Draft(
                        item,
                        JobUnit.Inch,
                        _ => new(Working.Of("U", "usable width", usable)) { OneWay = true }
                    );
                    if (draft is not { Pattern: { } pattern, Seams: { } seams })
                        return;
                    Assert.True(seams.Holds, Said(item));
                    var zip = pattern.Pieces.Where(piece =>
                        piece.Key.StartsWith("zip-strip", StringComparison.Ordinal)
                    );
                    Assert.All(
                        zip.Where(piece => piece.Grain != Grain.Across),
                        piece => Assert.True(piece.Cut.Bounds() is var (left, _, right, _) && right - left <= usable)
                    );
                },
                iter: 200
            );

    private static Patterns.Pattern Drafted(string makeUp, string changes, bool pile)
    {
        var draft = Items.Drafting.Draft(
            Items.Read(makeUp, JobUnit.Inch, changes),
            JobUnit.Inch,
            _ => new(Declaring.Reading.UsualWidth) { OneWay = pile }
        );
        Assert.Empty(draft.Problems);
        return draft.Pattern!;
    }

    // A duvet face 54 + 1 on cloth of 54 1/2: half an inch too much. On 40 it is 15 too much, which nobody leaves out.
    [Theory]
    [InlineData("54 1/2", "1/2 in less")]
    [InlineData("40", "")]
    [InlineData("56", "")]
    public void A_little_less_and_one_width_will_do(string usable, string says)
    {
        var told = Cases
            .Draft("duvet-cover", $"W=54 | L=78 | usable={usable}", Core.Lengths.JobUnit.Inch)
            .Pattern!.Remarks.Where(remark => remark.Text.Contains("one width will do", StringComparison.Ordinal))
            .ToList();
        Assert.Equal(says.Length > 0, told.Count > 0);
        Assert.All(told, remark => Assert.Contains(says, remark.Text, StringComparison.Ordinal));
    }

    // Sides of 80 x 16 on cloth of 53 between selvedges: a whole width of 52 in the middle of each, never a seam
    // there, and 14 beside it.
    [Fact]
    public void Long_sides_of_an_ottoman_are_joined_by_themselves()
    {
        var pattern = Cases
            .Draft("ottoman-boxed", "W=80 | L=18 | H=16 | usable=53", Core.Lengths.JobUnit.Inch)
            .Pattern!;
        var parts = pattern.Pieces.Where(piece => piece.Key.StartsWith("front-", StringComparison.Ordinal)).ToList();
        Assert.Equal([15m, 53m, 15m], parts.Select(part => pattern.Size(part.Key, "cut width")));
        Assert.True(SeamCheck.Of(pattern, Core.Lengths.JobUnit.Inch).Holds);
    }

    // A wide seat on cloth of 53: the deck of 60 is joined of three, its joins with a seam's allowance, its own sides with
    // ease and tuck-in; all stay rectangles.
    [Fact]
    public void Wide_pieces_of_a_slipcover_are_joined_and_stay_rough()
    {
        var pattern = Cases
            .Draft(
                "chair-slipcover",
                "W=60 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5 | usable=53",
                Core.Lengths.JobUnit.Inch
            )
            .Pattern!;
        var deck = pattern.Pieces.Where(piece => piece.Key.StartsWith("deck-", StringComparison.Ordinal)).ToList();
        Assert.True(deck.Count > 1 && deck.All(part => part.IsRough && part.Cut.Edges.Count == 4));
        Assert.Equal(
            60 + (2 * (0.5m + 1.25m + 3)) + (2 * (deck.Count - 1) * 0.5m),
            deck.Sum(part => pattern.Size(part.Key, "cut width"))
        );
        Assert.All(pattern.Pieces, piece => Assert.True(pattern.Size(piece.Key, piece.Sizes[0].Name) <= 53));
        Assert.True(SeamCheck.Of(pattern, Core.Lengths.JobUnit.Inch).Holds);
    }
}
