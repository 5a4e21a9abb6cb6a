using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>
/// Duvet covers worked by hand (craft §8). Usual allowances: s 1/2, hem 1 1/2 + 1 1/2 in, or s 1.5, hem 4 + 4 cm; cloth
/// with 53 in between its selvedges.
/// </summary>
public class DuvetCases
{
    [Theory]
    // Wide cloth: (W + 2 s) x (L + s + h1 + h2); the opening W less an eighth at each side.
    [InlineData(
        "W=54 | L=78 | usable=108",
        "front/cut width=55; front/cut length=81.5; back/cut width=55; opening=40.5; *buttons*=6; *ties=72"
    )]
    [InlineData("W=54 | L=78 | usable=108 | buttons=5 | tieLength=20", "*buttons*=5; *ties=80")]
    [InlineData(
        "W=54 | L=78 | usable=108 | closing=flap | ties=0",
        "front/cut length=81.5; back/cut length=91.5; opening=54"
    )]
    [InlineData(
        "W=54 | L=78 | usable=108 | closing=loops | back/left=1 | h1=1",
        "back/cut width=55.5; front/cut length=81; *loops=8.25; *buttons*=6"
    )] // 6 x (5/8 + 3/4)
    [InlineData("W=54 | L=78 | usable=108 | closing=zip | slots=both", "*zip=40.5; front/finished length=78")]
    [InlineData("cm | W=140 | L=200 | usable=220", "front/cut width=143; front/cut length=209.5; opening=105")]
    // The handbook's example: centre 56 1/2, sides 11 5/8, every panel 87 5/8 long; the opening is the centre, 55 1/4
    // finished.
    [InlineData(
        "W=76 | L=84 | s=5/8 | usable=56 1/2",
        "front-left/cut width=11.625; front-centre/cut width=56.5; front-right/cut width=11.625; back-centre/cut length=87.625; back-left/cut length=87.625; opening=55.25; *buttons*=7"
    )]
    [InlineData(
        "W=76 | L=84 | s=5/8 | usable=56 1/2 | widths=two",
        "front-left/cut width=39.25; front-right/cut width=39.25; opening=57"
    )] // (76 + 4 x 5/8) / 2
    // Narrower than half: 36 in cloth, 35 finished in the centre, sides of 20 1/2.
    [InlineData("W=76 | L=84 | usable=36", "front-left/cut width=21.5; front-centre/cut width=36")]
    [InlineData(
        "W=118 | L=84 | usable=36",
        "front-width-1/cut width=21.75; front-width-2/cut width=21.75; front-width-3/cut width=36"
    )] // sides 41 1/2, two widths each
    // A sheet of 80 washed: the face 80 + 2 x 3 across, the cover 80 less two seams.
    [InlineData(
        "back=sheet | Y=80 | W=76 | L=84 | usable=108",
        "front/cut width=86; back/cut width=80; finished width=79"
    )]
    [InlineData(
        "back=sheet | Y=80 | W=76 | L=84 | usable=56 1/2",
        "front-centre/cut width=56.5; front-left/cut width=15.75"
    )] // 80 + 6 + 2 joins of 1 = 88, less 56 1/2, halved
    public void Worked_by_hand(string changes, string expected) => Cases.Check("duvet-cover", changes, expected);

    // Seven buttons over 55 1/4 fall at (i - 1/2) x 7.893 from the centre's edge; the first and last are an inch clear
    // of the joins already.
    [Theory]
    [InlineData("W=76 | L=84 | s=5/8 | usable=56 1/2", 7)]
    [InlineData("W=76 | L=84 | usable=53 | widths=two", 8)]
    public void Buttons_keep_off_the_joins(string changes, int count)
    {
        var pattern = Cases.Draft("duvet-cover", changes, JobUnit.Inch).Pattern!;
        var marks = pattern
            .Pieces.Where(piece => piece.Key.StartsWith("front", StringComparison.Ordinal))
            .SelectMany(piece =>
                piece
                    .Notches.Where(notch => !Runs(piece).Contains((notch.Edge, notch.At)))
                    .Select(notch => (notch.At, piece.Stitch.LengthOf(notch.Edge)))
            )
            .ToList();
        // Where the opening begins and stops there are marks too.
        HashSet<(string, Length?)> Runs(Piece piece) =>
            [
                .. pattern
                    .Seams.SelectMany(seam => seam.OneSide.Concat(seam.OtherSide))
                    .Where(run => run.Piece == piece.Key)
                    .SelectMany(run => new[] { (run.Edge, run.From), (run.Edge, run.To) }),
            ];
        Assert.Equal(count, marks.Count);
        // Nearer than 1 in only to the side of a piece that is no join: none, since the opening stops an eighth short
        // of it.
        Assert.All(marks, mark => Assert.True(mark.At >= Length.Inches(1) && mark.Item2 - mark.At >= Length.Inches(1)));
    }

    [Theory]
    [InlineData("W=1 | L=84", "measures.W", "nothing is left")]
    [InlineData("W=76 | L=12 | slots=both", "measures.L", "too short for hand slots")]
    [InlineData("back=sheet | W=76 | L=84", "measures.Y", "nothing is entered")]
    [InlineData("W=10 | L=84 | closing=loops | button=2", "choices.button", "as wide as")]
    [InlineData("W=76 | L=84 | ties=13", "choices.ties", "from 0 to 12")]
    public void Impossible_duvets_are_refused(string changes, string field, string reason) =>
        Cases.Refused("duvet-cover", changes, field, reason);

    // Four buttons from 2 in within an opening of 40 1/2: 2, 14 1/6, 26 1/3 and 38 1/2 from where it begins.
    [Fact]
    public void Buttons_can_be_placed_from_the_ends_of_the_opening()
    {
        var front = Cases
            .Draft("duvet-cover", "W=54 | L=78 | usable=108 | buttons=4 | buttonInset=2", JobUnit.Inch)
            .Pattern!.Piece("front");
        Assert.Equal(
            [8.75m, 20.9167m, 33.0833m, 45.25m],
            front.Notches.Where(notch => notch.What == "buttonhole").Select(notch => Items.Inches(notch.At))
        );
    }

    // A sheet that is owned is never cut from the print: it takes a cloth that is named for it, or none.
    [Fact]
    public void A_ready_made_back_asks_for_a_cloth_of_its_own()
    {
        var draft = Cases.Draft("duvet-cover", "back=sheet | Y=80 | W=76 | L=84 | usable=118", JobUnit.Inch);
        var item = Items.Read("duvet-cover", JobUnit.Inch, "back=sheet | Y=80 | W=76 | L=84");
        var job = Core.Jobs.JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items = [item],
            Cloths = [LayTests.Cloth("118", false)],
        };
        var role = draft.Pattern!.Piece("back").Role;
        Assert.Null(job.ClothOf(item, role));
        Assert.Contains(
            Items.Pattern(item).Remarks,
            remark => remark.Text.Contains("never cut from", StringComparison.Ordinal)
        );
        Assert.Contains(
            "80 in wide",
            draft.Pattern.Notions.Single(notion => notion.Key == "sheet").Amount,
            StringComparison.Ordinal
        );
        // As it was kept before it had a role of its own.
        var older = item with
        {
            OtherCloths = new Dictionary<Core.Jobs.ClothRole, string> { [Core.Jobs.ClothRole.SecondFace] = "c9" },
        };
        Assert.Equal("c9", job.ClothOf(older, role));
    }
}
