using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>The print slid on a cover, worked by hand (craft §10).</summary>
public class SlideCases
{
    private static Entry In(string typed) => new(typed, JobUnit.Inch);

    // A print of 10 across and 12 along, its motif in the middle of each.
    private static JobDocument Job(Item item, bool halfDrop = false) =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [item with { Id = "i0", Cloth = null }],
            Cloths =
            [
                LayTests.Cloth("60", oneWay: true) with
                {
                    RepeatAlong = In("12"),
                    RepeatAcross = In("10"),
                    HalfDrop = halfDrop,
                },
            ],
        };

    private static Plan Planned(JobDocument job) => Plan.Of(job, Items.Drafting, lay: true);

    private static PrintSlide Slid(JobDocument job, string piece, Length across, Length along) =>
        PrintSlide.Of(Planned(job), "i0", piece, across, along, job.Unit)!;

    private static JobDocument Entered(JobDocument job, PrintSlide slide) => job with { Items = [slide.Enter(job)] };

    private static Item Panel(Match match) =>
        Items.Read("centre-panel", JobUnit.Inch, "shape=square | W=29 1/4") with
        {
            Matches = new Dictionary<string, Match> { ["panel"] = match, ["facing"] = Match.Free },
        };

    private const string Cushion =
        "ease=exact | W=20 | L=18 | T=4 | zipTurn=2 1/2 | lapEnds=none | cord=none | stripGrain=along | panelGrain=along";

    // Finished 29 1/4 square: the middle is 14 5/8 from each edge. Slid 2 to the right and 3 down a motif lies 16 5/8 and
    // 11 5/8 in; cut 3/8 outside the finished edge, so 17 and 12 from the corner of the box. Motifs stand 5 and every 10
    // from the selvedge: the box begins at 8 or 18 (28 would end at 58 of 60).
    [Fact]
    public void The_lay_follows_the_hand()
    {
        var job = Job(Panel(Match.Centred));
        var slide = Slid(job, "panel", Length.Inches(2), -Length.Inches(3));
        Assert.Equal(
            (Match.Placed, Length.Inches(16, 5, 8), Length.Inches(11, 5, 8)),
            (slide.Match, slide.Across, slide.Along)
        );
        var plan = Planned(Entered(job, slide)).Cloths[0];
        Assert.Empty(plan.Problems);
        var panel = plan.Lay!.Best.Placements.Single(at => at.Id == "i0/panel/1");
        var motif = plan.ForLay.Repeat!.From + Length.Inches(6);
        Assert.Equal(Length.Inches(8), new Length(panel.X.Ticks % Length.Inches(10).Ticks));
        Assert.Equal(0, (panel.Y + Length.Inches(12) - motif).Ticks % Length.Inches(12).Ticks);
    }

    // A whole repeat further the cloth looks the same, and less than 1/4 in beside the middle is the middle. From
    // "the same place" the motif is where the lay put it: slid there and back it is there again.
    [Fact]
    public void A_whole_repeat_changes_nothing()
    {
        var job = Job(Panel(Match.Centred));
        Assert.Equal(Match.Centred, Slid(job, "panel", Length.Inches(10, 1, 8), -Length.Inches(24)).Match);
        var same = Job(Panel(Match.Same));
        var (there, still) = (
            Slid(same, "panel", Length.Inches(3), Length.Inches(1)),
            Slid(same, "panel", Length.Zero, Length.Zero)
        );
        var back = Slid(Entered(same, there), "panel", -Length.Inches(3), -Length.Inches(1));
        Assert.Equal((still.Across, still.Along), (back.Across, back.Along));
    }

    // Half-dropped, the next motif to the left stands 6 higher: slid 10 to the right and 6 down it is as before.
    [Fact]
    public void A_half_drop_steps_aside_and_up()
    {
        var job = Job(Panel(Match.Centred), halfDrop: true);
        Assert.Equal(Match.Centred, Slid(job, "panel", Length.Inches(10), -Length.Inches(6)).Match);
        Assert.Equal(Match.Placed, Slid(job, "panel", Length.Inches(10), Length.Zero).Match);
    }

    // The boxing runs on from the top panel: whichever of the two the hand is on, the panel's match is entered and both
    // move. The stitch lines are 1/2 in from the cut, the boxing's front 15 1/2 along it (see MatchTests).
    [Fact]
    public void What_runs_on_slides_along()
    {
        var job = Job(Items.Read("box-cushion-strip", JobUnit.Inch, Cushion));
        var slide = Slid(job, "boxing", Length.Inches(1, 1, 2), Length.Inches(2));
        Assert.Equal("panel", slide.Piece.Key);
        Assert.Contains(slide.Followers, piece => piece.Key == "boxing");
        var plan = Planned(Entered(job, slide)).Cloths[0];
        Assert.Empty(plan.Problems);
        var (panel, boxing) = (
            plan.Lay!.Best.Placements.Single(at => at.Id == "i0/panel/1"),
            plan.Lay!.Best.Placements.Single(at => at.Id == "i0/boxing/1")
        );
        Assert.Equal(0, (boxing.X + Length.Inches(15, 1, 2) - panel.X).Ticks % Length.Inches(10).Ticks);
        Assert.Equal(
            Length.Inches(5) - slide.Across - Length.Inches(0, 1, 2),
            Mod(panel.X, 10) - (slide.Across > Length.Inches(4, 1, 2) ? Length.Inches(10) : Length.Zero)
        );

        static Length Mod(Length length, int inches) => new(length.Ticks % Length.Inches(inches).Ticks);
    }

    // Two cushions of 20 and one of 23 in line: slid on the third, the first one's match is entered, and the third still
    // begins 40 further into the print.
    [Fact]
    public void In_line_the_first_one_is_slid()
    {
        var job = Job(Items.Read("box-cushion-strip", JobUnit.Inch, Cushion));
        Item At(string id, string width) =>
            Items.Read("box-cushion-strip", JobUnit.Inch, Cushion.Replace("W=20", width, StringComparison.Ordinal)) with
            {
                Id = id,
                Cloth = null,
                InLine = true,
            };
        // What is cut from another cloth in between does not part them.
        job = job with
        {
            Items =
            [
                At("i0", "W=20"),
                At("i1", "W=20"),
                At("i9", "W=20") with
                {
                    InLine = false,
                    Cloth = "c2",
                    OtherCloths = Enum.GetValues<ClothRole>().ToDictionary(role => role, _ => "c2"),
                },
                At("i2", "W=23"),
            ],
            Cloths = [job.Cloths[0], LayTests.Cloth("60", oneWay: true) with { Id = "c2" }],
        };
        var slide = PrintSlide.Of(Planned(job), "i2", "panel", Length.Inches(2), Length.Zero, job.Unit)!;
        Assert.Equal(("i0", "panel"), (slide.Item.Item.Id, slide.Piece.Key));
        var entered = slide.Enter(job);
        var plan = Planned(job with { Items = [entered, .. job.Items.Skip(1)] }).Cloths[0];
        Assert.Empty(plan.Problems);
        Length X(string id) => plan.Lay!.Best.Placements.Single(at => at.Id == id).X;
        Assert.Equal(0, (X("i2/panel/1") - X("i0/panel/1") - Length.Inches(40)).Ticks % Length.Inches(10).Ticks);
        // Motifs stand 5 and every 10 from the selvedge; cut 1/2 outside the finished edge.
        var off = X("i0/panel/1") + Length.Inches(0, 1, 2) + slide.Across - Length.Inches(5);
        Assert.Equal(0, off.Ticks % Length.Inches(10).Ticks);
    }

    // Typed by hand it holds too; what cannot be read is told at its field, and nothing is bought meanwhile.
    [Fact]
    public void A_place_is_typed_or_told_why_not()
    {
        JobDocument Typed(string across) =>
            Job(
                Panel(Match.Placed) with
                {
                    Motifs = new Dictionary<string, MotifPlace> { ["panel"] = new(In(across), In("")) },
                }
            );
        var plan = Planned(Typed("4 5/8")).Cloths[0];
        Assert.Equal(
            new Point(Length.Inches(4, 5, 8), Length.Inches(14, 5, 8)),
            Off(plan.Pieces.Single(piece => piece.Piece == "panel"))
        );
        var wrong = Planned(Typed("a bit")).Cloths[0];
        Assert.Equal("motifs.i0.panel.across", Assert.Single(wrong.Problems).Field);
        Assert.Null(wrong.Buying);

        // From the finished edge, 3/8 in inside the cut.
        static Point Off(Lay.LayPiece piece)
        {
            var (left, bottom, _, _) = piece.Cut.Bounds();
            return piece.Origin!.Value.Moved(-left - Length.Inches(0, 3, 8), -bottom - Length.Inches(0, 3, 8));
        }
    }

    [Fact]
    public void Without_a_repeat_there_is_nothing_to_slide()
    {
        var job = Job(Panel(Match.Centred));
        job = job with { Cloths = [job.Cloths[0] with { RepeatAlong = null, RepeatAcross = null }] };
        Assert.Null(PrintSlide.Of(Planned(job), "i0", "panel", Length.Inches(1), Length.Zero, job.Unit));
    }
}
