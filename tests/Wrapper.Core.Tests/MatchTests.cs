using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Where prints come to lie on a cover, worked by hand (craft §10): motifs in the middle, stripes that run on over a
/// seam, cushions in line.
/// </summary>
public class MatchTests
{
    private static Entry In(string typed) => new(typed, JobUnit.Inch);

    // A print of 10 across and 12 along; nothing is turned on it.
    private static JobCloth Print(string width, string motifAcross = "") =>
        LayTests.Cloth(width, oneWay: true) with
        {
            RepeatAlong = In("12"),
            RepeatAcross = In("10"),
            MotifAcross = In(motifAcross),
        };

    private static ClothPlan Planned(JobCloth cloth, params Item[] items) =>
        Plan.Of(
            JobDocument.Empty("job", JobUnit.Inch) with
            {
                Items = [.. items.Select((item, at) => item with { Id = $"i{at}", Cloth = null })],
                Cloths = [cloth],
            },
            Items.Drafting,
            lay: true
        ).Cloths[0];

    private static Placement At(ClothPlan plan, string id) => plan.Lay!.Best.Placements.Single(at => at.Id == id);

    // The panel is cut 30 x 30, its middle 15 from either edge. Motifs stand 5 from the selvedge and every 10: at 0 the
    // middle lies on the one at 15. Measured 2 from the
    // selvedge they stand at 2, 12, 22, 32: the panel lies at 7 or 17. Squared so that the panel begins at the end,
    // with motifs 6 into each repeat: 15 = 6 + 9.
    [Theory]
    [InlineData("", 0, 20)]
    [InlineData("2", 7, 17)]
    [InlineData("9.5", 4.5, 14.5)]
    public void A_motif_sits_in_the_middle_of_the_panel(string motifAcross, double first, double last)
    {
        var plan = Planned(
            Print("54", motifAcross),
            Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with
            {
                Matches = new Dictionary<string, Match> { ["panel"] = Match.Centred, ["facing"] = Match.Free },
            }
        );
        var panel = At(plan, "i0/panel/1");
        Assert.Equal((Length.Zero, Length.Inches(9)), (panel.Y, plan.ForLay.Repeat!.From));
        Assert.InRange((double)Items.Inches(panel.X), first, last);
        Assert.Equal(0, (Items.Inches(panel.X) - (decimal)first) % 10);
    }

    // 44 wide and 22 from the middle: X = 6 would reach 50 of 53; 50 wide at the same motif X = 3, to 53; 52 wide X =
    // 2, to 54: it is told which measure to look at.
    [Theory]
    [InlineData("43 1/4", true)]
    [InlineData("49 1/4", true)]
    [InlineData("51 1/4", false)]
    public void A_panel_that_cannot_lie_at_its_place_is_told(string side, bool lies)
    {
        var plan = Planned(
            Print("54", "8"),
            Items.Read("centre-panel", JobUnit.Inch, $"shape=square | W={side}") with
            {
                Matches = new Dictionary<string, Match> { ["panel"] = Match.Centred, ["facing"] = Match.Free },
            }
        );
        if (lies)
            Assert.Empty(plan.Problems);
        else
            Assert.Equal("cloths.c1.repeatAcross", Assert.Single(plan.Problems).Field);
    }

    private const string Cushion =
        "ease=exact | W=20 | L=18 | T=4 | zipTurn=2 1/2 | lapEnds=none | cord=none | stripGrain=along | panelGrain=along";

    // Boxing run 76 - 25 = 51, its front from 18 - 2 1/2 = 15 1/2 on. Its upper seam hangs on the panel's front seam:
    // stitch lines 1/2 in from either edge, so
    // boxing 15 1/2 to the left of the panel (or whole repeats off), its upper seam, 4 1/2 up, as high as the panel's,
    // 1/2 up.
    [Theory]
    [InlineData("60", "")]
    [InlineData("90", "3")]
    public void A_boxing_front_continues_the_stripes_of_its_panel(string width, string motif)
    {
        var plan = Planned(Print(width, motif), Items.Read("box-cushion-strip", JobUnit.Inch, Cushion));
        Assert.Equal(
            (Match.Follows, "panel"),
            plan.Matches.Where(match => match.Piece.Key == "boxing")
                .Select(match => (match.Match, match.Leader!.Key))
                .Single()
        );
        var (panel, boxing) = (At(plan, "i0/panel/1"), At(plan, "i0/boxing/1"));
        Assert.Equal(0, (boxing.X + Length.Inches(15, 1, 2) - panel.X).Ticks % Length.Inches(10).Ticks);
        Assert.Equal(0, (boxing.Y + Length.Inches(4) - panel.Y).Ticks % Length.Inches(12).Ticks);
    }

    // Chosen otherwise it starts where its panel starts, or anywhere.
    [Theory]
    [InlineData(Match.Same, true)]
    [InlineData(Match.Free, false)]
    public void What_is_chosen_for_a_piece_holds(Match match, bool onGrid)
    {
        var plan = Planned(
            Print("60"),
            Items.Read("box-cushion-strip", JobUnit.Inch, Cushion) with
            {
                Matches = new Dictionary<string, Match> { ["boxing"] = match },
            }
        );
        Assert.Equal(match, plan.Matches.Single(each => each.Piece.Key == "boxing").Match);
        var boxing = At(plan, "i0/boxing/1");
        if (onGrid)
            Assert.Equal(
                (0, 0),
                (
                    boxing.X.Ticks % Length.Inches(10).Ticks,
                    (boxing.Y - plan.ForLay.Repeat!.From).Ticks % Length.Inches(12).Ticks
                )
            );
        Assert.Equal(onGrid, plan.Pieces.Single(piece => piece.Id == "i0/boxing/1").Origin is not null);
    }

    // Two cushions 20 wide and one of 24 beside each other: the second begins 20 into the print of the first, the third
    // 40, whole repeats apart; up the roll all at the same place.
    [Fact]
    public void The_print_runs_on_over_cushions_in_line()
    {
        var plan = Planned(
            Print("60"),
            Items.Read("box-cushion-strip", JobUnit.Inch, Cushion) with
            {
                InLine = true,
                Quantity = "2",
            },
            Items.Read(
                "box-cushion-strip",
                JobUnit.Inch,
                Cushion.Replace("W=20", "W=23", StringComparison.Ordinal)
            ) with
            {
                InLine = true,
            }
        );
        Placement[] tops = [At(plan, "i0/panel/1"), At(plan, "i0/panel/3"), At(plan, "i1/panel/1")];
        for (var n = 1; n < 3; n++)
        {
            Assert.Equal(0, (tops[n].X - tops[0].X - Length.Inches(20 * n)).Ticks % Length.Inches(10).Ticks);
            Assert.Equal(0, (tops[n].Y - tops[0].Y).Ticks % Length.Inches(12).Ticks);
        }
        // 7 across does not go into 20: the second stands 20 - 14 = 6 further.
        var narrow = Planned(
            Print("60") with
            {
                RepeatAcross = In("7"),
            },
            Items.Read("box-cushion-strip", JobUnit.Inch, Cushion) with
            {
                InLine = true,
                Quantity = "2",
            }
        );
        Assert.Equal(
            0,
            (At(narrow, "i0/panel/3").X - At(narrow, "i0/panel/1").X - Length.Inches(6)).Ticks % Length.Inches(7).Ticks
        );
    }

    // Sides of 51 beside a centre of 52, on 53: in a print of 10 the left one would begin 51 before the centre, at 9,
    // and end at 61, the right one 52 behind it, at 2, and end at 54. So they start where
    // the centre does, and say so. Asked for all the same, it is told.
    [Fact]
    public void What_cannot_run_on_between_the_selvedges_says_so()
    {
        var item = Items.Read("duvet-cover", JobUnit.Inch, "W=154 | L=60");
        var plan = Planned(Print("54"), item);
        Assert.Empty(plan.Problems);
        Assert.DoesNotContain(plan.Matches, match => match.Match == Match.Follows);
        var parts = plan.Matches.Where(match => match.Leader is not null).Select(match => match.Piece.Key).ToList();
        Assert.NotEmpty(parts);
        var asked = Planned(Print("54"), item with { Matches = parts.ToDictionary(key => key, _ => Match.Follows) });
        Assert.All(asked.Problems, problem => Assert.Equal("cloths.c1.repeatAcross", problem.Field));
        Assert.NotEmpty(asked.Problems);
    }

    // A duvet face of three widths: each side's print runs on from the centre, its stitched edge where the centre's is,
    // as high up as that. Stitch lines are read off the pattern.
    [Fact]
    public void The_print_runs_on_over_joined_widths()
    {
        var item = Items.Read("duvet-cover", JobUnit.Inch, "W=80 | L=60") with
        {
            Matches = new Dictionary<string, Match>(),
        };
        var plan = Planned(Print("54"), item);
        foreach (var match in plan.Matches.Where(match => match.Match == Match.Follows))
        {
            var (side, centre) = (match.Piece, match.Leader!);
            var (sideAt, centreAt) = (At(plan, $"i0/{side.Key}/1"), At(plan, $"i0/{centre.Key}/1"));
            (Length Left, Length Right, Length Bottom) Lines(Wrapper.Core.Patterns.Piece piece, Placement at) =>
                (piece.Cut.Bounds(), piece.Stitch.Bounds()) is var (cut, stitch)
                    ? (
                        at.X + (stitch.Left - cut.Left),
                        at.X + (stitch.Right - cut.Left),
                        at.Y + (stitch.Bottom - cut.Bottom)
                    )
                    : default;
            var (one, other) = (Lines(side, sideAt), Lines(centre, centreAt));
            var off = new[] { one.Left - other.Right, one.Right - other.Left }.Count(gap =>
                gap.Ticks % Length.Inches(10).Ticks == 0
            );
            Assert.True(off > 0, $"{side.Key} does not run on from {centre.Key}");
            Assert.Equal(0, (one.Bottom - other.Bottom).Ticks % Length.Inches(12).Ticks);
        }
        Assert.Equal(4, plan.Matches.Count(match => match.Match == Match.Follows)); // two sides of each face
    }

    // Stripes of 7 up the roll: the boxing front stands 15 1/2 to the left of its panel or whole stripes off; along the
    // roll nothing is asked, and nothing is bought to start.
    [Fact]
    public void Stripes_are_matched_across_only()
    {
        var plan = Planned(
            LayTests.Cloth("60", oneWay: true) with
            {
                RepeatAcross = In("7"),
            },
            Items.Read("box-cushion-strip", JobUnit.Inch, Cushion)
        );
        Assert.Equal(
            0,
            (At(plan, "i0/boxing/1").X + Length.Inches(15, 1, 2) - At(plan, "i0/panel/1").X).Ticks
                % Length.Inches(7).Ticks
        );
        Assert.Equal(Length.Zero, plan.Buying!.ToStart);
        Assert.True(
            plan.Lay!.Best.Length
                < Planned(Print("60"), Items.Read("box-cushion-strip", JobUnit.Inch, Cushion)).Lay!.Best.Length
        );
    }

    // Moved by hand it comes to rest on the grid; put elsewhere it is refused. The panel is 30 x 30, matched by its
    // corner.
    [Fact]
    public void A_matched_piece_is_pinned_on_the_grid_only()
    {
        var plan = Planned(
            Print("54"),
            Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with
            {
                Matches = new Dictionary<string, Match> { ["panel"] = Match.Same },
            }
        );
        var pieces = plan.Pieces.ToDictionary(piece => piece.Id);
        var panel = pieces["i0/panel/1"];
        var rests = Pinning.Snapped(panel, 0, Length.Inches(13), Length.Inches(19), pieces, plan.ForLay, []);
        Assert.Equal((Length.Inches(10), Length.Inches(24)), (rests.X, rests.Y));
        Assert.Null(Pinning.Refusal(rests, pieces, plan.ForLay, []));
        Assert.Contains(
            "would not match",
            Pinning.Refusal(rests with { X = Length.Inches(11) }, pieces, plan.ForLay, []),
            StringComparison.Ordinal
        );
    }

    // The panel is cut at 3 from the selvedge, where the print of 10 does not match: it lies there. Not yet cut, such a
    // pin is refused.
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void What_is_cut_stays_where_it_is_matched_or_not(bool cut)
    {
        var item = Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with
        {
            Matches = new Dictionary<string, Match> { ["panel"] = Match.Same },
        };
        var plan = Planned(
            Print("54") with
            {
                Pins = [new JobPin("i0/panel/1", 0, Length.Inches(3).Ticks, Length.Inches(5).Ticks)],
                Cut = cut ? [new JobCut("i0/panel/1", Length.Inches(30).Ticks, Length.Inches(30).Ticks)] : [],
            },
            item
        );
        Assert.Equal(cut ? 0 : 1, plan.RefusedPins.Count);
        Assert.Equal(cut, At(plan, "i0/panel/1").X == Length.Inches(3));
    }
}
