namespace Wrapper.Core.Tests;

/// <summary>
/// Covers of tables, boards and contoured pads, each size worked by hand with the handbook's rule beside it. Usual
/// allowances: tables s 3/8, hem 1/2 + 1 in, or
/// s 1, hem 1 + 2.5 cm; caps and pads s 1/2, k 5/8 in, or s 1.5, k 1.6 cm.
/// </summary>
public class TableCases
{
    [Theory]
    // Five pieces: top (W + 2 s) x (L + 2 s), sides (W or L + 2 s) x (drop + s + h1 + h2).
    [InlineData(
        "table-five-pieces",
        "W=60 | L=36 | H=28 | usable=72",
        "top/cut width=60.75; top/cut length=36.75; front/cut width=60.75; front/cut height=29.875; side/cut width=36.75; hem=192"
    )]
    [InlineData(
        "table-five-pieces",
        "W=60 | L=36 | H=28 | usable=72 | corners=pleat | front/lower=2 | top/left=1",
        "top/cut width=61.375; front/cut height=30.375; insert/cut width=12.75; insert/cut height=29.875"
    )]
    [InlineData(
        "table-five-pieces",
        "cm | W=120 | L=80 | H=70 | usable=140",
        "top/cut width=122; top/cut length=82; side/cut height=74.5"
    )]
    [InlineData(
        "table-five-pieces",
        "W=64 | L=36 | H=28",
        "top-centre/cut width=53; top-left/cut width=6.625; front-left/cut height=29.875"
    )] // (64 - 52 1/4) / 2 + 2 s
    [InlineData(
        "table-five-pieces",
        "W=60 | L=36 | H=28",
        "top-centre/cut width=20.75; top-left/cut width=20.75; top-right/cut width=20.75"
    )] // sides of 3 7/8 would be slivers: thirds of 60 + 2 s
    // One piece: W + 2 (drop + hem), cut-outs drop + hem - s; square = drop takes the whole drop and 2 s off the top.
    [InlineData(
        "table-one-piece",
        "W=48 | L=30 | H=28 | usable=108",
        "sheet/cut width=107; sheet/cut length=89; sheet/corner cut-out, in from the front=29.125; finished width=48"
    )]
    [InlineData(
        "table-one-piece",
        "W=48 | L=30 | H=28 | usable=108 | corners=square-drop",
        "sheet/cut width=107; sheet/corner cut-out, in from the side=29.5; finished width=47.25; finished drop=28.375"
    )]
    [InlineData(
        "table-one-piece",
        "W=48 | L=30 | H=28 | usable=108 | sheet/front=2",
        "sheet/cut length=89.5; sheet/corner cut-out, in from the front=29.625; sheet/corner cut-out, in from the side=29.125"
    )]
    [InlineData(
        "table-one-piece",
        "cm | W=100 | L=60 | H=40 | usable=220",
        "sheet/cut width=187; sheet/corner cut-out, in from the front=42.5"
    )]
    // Cap: each drop is board + pads + overhang; the hem runs round it.
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72",
        "sheet/cut width=57.75; sheet/cut length=29.75; hem perimeter=136; *elastic=103"
    )]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | pads=1 | turns=1",
        "finished width=48.5; height over board and pad=1.75; drop, front=5.25; sheet/cut width=60.25"
    )] // 3/4 + 1/2 + 2 x 1/4
    // Under it: wadding round the board, the k-th turn 2 (W + 2 k t) + 2 (T + 2 k t) on its outer face: 2 x 2 x 48 3/4
    // + 1 + 1 + 2 + 2; pads and barrier as the board.
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | pads=2 | pad2=1 | turns=2 | barrier=under",
        "wadding/cut width=201; wadding/cut length=20; *wadding=201; pad-2/cut width=48; pad-2/cut length=20; barrier/cut width=48; height over board and pad=3.25"
    )]
    [InlineData(
        "elastic-cap",
        "cm | W=120 | L=50 | T=2 | usable=150 | turns=1 | wadding=0.5",
        "wadding/cut width=248; wadding/cut length=50"
    )] // 2 x 122 + 8 x 1/2
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | backOver=1 | sheet/front=1",
        "sheet/cut length=27.625; hem perimeter=138.0711"
    )] // 2 x 48 + 2 (17 1/2 + 2 1/2 root 2)
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | obstacles=1 | side1=front | x1=12 | y1=6 | hold=drawstring",
        "hem perimeter=141; *drawstring=153; *straps=11.75"
    )] // up and down 2 1/2; beneath 20 - 2 x 3 1/2 = 13, three quarters of it and an inch at each end
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | corners=rounded",
        "hem perimeter=162.7035; *elastic=123.0277"
    )] // 136 + 2 pi 4 1/4
    // Square = drop: the top 1 in less each way, drops 4 1/4 + 1/2, casing 5/8; the sheet is as large as ever.
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | corners=square-drop",
        "finished width=47; finished length=19; drop, front=4.75; hem perimeter=132; sheet/cut width=57.75; sheet/cut length=29.75"
    )]
    // Round cord of 1/4: π/8 + 3/8 = 0.7677 of casing. A drawstring 1/2 wide of the cover's cloth: cut 2 wide, casing 7/8.
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | hold=drawstring | cordThick=1/4",
        "sheet/cut width=58.0354; *drawstring=148"
    )]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=3/4 | usable=72 | hold=drawstring | drawnBy=own-cloth",
        "sheet/cut width=58.25; drawstring/cut length=148; drawstring/cut width=2"
    )]
    [InlineData(
        "elastic-cap",
        "cm | W=120 | L=50 | T=2 | usable=150 | obstacles=1 | side1=left | x1=10 | y1=8",
        "*straps-across=81.58"
    )] // (120 - 2 x 9) x 3/4, and 2.54 at each end
    [InlineData("elastic-cap", "cm | W=120 | L=50 | T=2 | usable=150", "sheet/cut width=145.2; sheet/cut length=75.2")] // 11 and 1.6 on each side
    // Board: the outline out by T + 1 1/4; cord round it + 12.
    [InlineData(
        "traced-board",
        "W=15 | B=15 | L=48 | T=1 | stations=0 | sides=straight | cover/front=1",
        "cover/cut width=19.5; cover/cut length=53.5; *cord=156"
    )]
    [InlineData(
        "traced-board",
        "W=15 | B=8 | L=50 | b=3 | T=1 | stations=0 | sides=straight | edge=casing",
        "board, length=53; cover/cut length=58.7409; cover/cut width=21.1567"
    )] // casing 5 π / 64 + 3/8 = 0.6204; out by 2.8704, and the mitres of the slant 3 1/2 in 50
    [InlineData(
        "traced-board",
        "W=15 | B=15 | L=48 | T=1 | stations=0 | sides=straight | pad=1/2 | edge=casing",
        "outline moved out by=2.75; cover/cut width=21.7409; pad-1/cut width=15; pad-1/cut length=48"
    )]
    [InlineData(
        "traced-board",
        "cm | W=38 | B=38 | L=120 | T=2 | stations=0 | sides=straight",
        "cover/cut width=48; cover/cut length=130; *cord=386.48"
    )]
    // Traced: 15 x 40 as it is, out by 2 1/4.
    [InlineData(
        "traced-board",
        "board=trace | O=0, 0; 15, 0; 15, 40; 0, 40 | T=1",
        "board, width=15; board, length=40; cover/cut width=19.5; cover/cut length=44.5; *cord=140"
    )]
    // Round: diameter + 2 drop + 2 hem; joined, across that + 4 s.
    [InlineData("round-table-draped", "d=36 | H=10 | usable=60", "circle/cut diameter=57; hem=175.9292")]
    [InlineData(
        "round-table-draped",
        "d=48 | H=10",
        "circle-centre/cut width=53; circle-left/cut width=8.75; circle-right/cut width=8.75"
    )] // (68 - 52 1/4) / 2 + 3/8 + 1/2
    // Sides of (56 - 52 1/4) / 2 = 1 7/8 would be slivers: thirds of 56, with 2 x 3/8 or 3/8 + 1/2.
    [InlineData(
        "round-table-draped",
        "d=36 | H=10",
        "circle-centre/cut width=19.4167; circle-left/cut width=19.5417; circle-right/cut width=19.5417"
    )]
    [InlineData(
        "round-table-draped",
        "d=36 | H=10 | usable=60 | circle/front=1",
        "circle/cut diameter=57; circle/cut diameter the other way=57.5"
    )]
    [InlineData("round-table-draped", "cm | d=90 | H=20 | usable=140", "circle/cut diameter=132.4")]
    // Skirt: pi d x fullness in equal widths, 2 s a join.
    [InlineData(
        "round-table-skirted",
        "d=36 | H=28",
        "top/cut diameter=36.75; skirt/cut width=43.1615; skirt/cut height=28.875; skirt, ungathered=169.646"
    )]
    [InlineData(
        "round-table-skirted",
        "d=36 | H=28 | fullness=100 | skirt/lower=2",
        "skirt/cut height=30.375; skirt/cut width=38.4491"
    )] // three widths of 37.6991
    [InlineData(
        "round-table-skirted",
        "cm | d=80 | H=70 | fullness=200 | usable=137",
        "skirt/cut width=127.6637; skirt/cut height=72.2"
    )]
    // Centre panel: d + 2 s twice, the slit an eighth.
    [InlineData(
        "centre-panel",
        "d=20",
        "panel/cut diameter=20.75; facing/cut diameter=20.75; slit=2.5; round the edge=62.8319"
    )]
    [InlineData(
        "centre-panel",
        "d=20 | facing/front=1",
        "facing/cut diameter the other way=21.375; panel/cut diameter the other way=20.75"
    )]
    [InlineData("centre-panel", "cm | shape=square | W=40", "panel/cut width=42; facing/cut length=42; slit=5")]
    // Contoured pad: path 2 (rim + tuck) + 2 rims + middle + 2 slopes; the wrap that and two casings.
    [InlineData(
        "contoured-pad",
        "W=16 | L=32 | H1=4 | W1=2 | W2=6 | H2=1 1/2",
        "wrap/cut width=31.0602; wrap/cut length=33; end/cut width=17; end/cut height=7.125; hem perimeter=96; *elastic=73"
    )] // slopes of 3.9051
    [InlineData(
        "contoured-pad",
        "W=16 | L=32 | H1=4 | W1=2 | W2=6 | H2=1 1/2 | end/foot=1 | wrap/left=3/4",
        "wrap/cut width=31.1852; end/cut height=7.5"
    )]
    [InlineData(
        "contoured-pad",
        "W=16 | L=32 | H1=4 | W1=2 | W2=6 | H2=4 | edge=sewn",
        "path of the profile=28; wrap/cut width=28"
    )] // flat on top
    [InlineData(
        "contoured-pad",
        "cm | W=40 | L=80 | H1=10 | W1=5 | W2=14 | H2=4",
        "path of the profile=74; wrap/cut width=77.2; wrap/cut length=83; end/cut height=18.1"
    )] // slopes of 10 from 8 and 6
    public void Worked_by_hand(string makeUp, string changes, string expected) =>
        Cases.Check(makeUp, changes, expected);

    [Theory]
    [InlineData("table-one-piece", "W=48 | L=30 | H=28 | F=27", "measures.H", "lie on the floor")]
    [InlineData("table-five-pieces", "W=48 | L=30 | H=1", "allowances.h2", "take the whole drop")]
    [InlineData("table-five-pieces", "W=1 | L=30 | H=20", "measures.W", "four seam allowances")]
    [InlineData("elastic-cap", "W=48 | L=20 | T=1 | frontOver=1/2", "choices.frontOver", "no longer than its casing")]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=1 | obstacles=2 | x1=12 | y1=6 | x2=15 | y2=6",
        "measures.x2",
        "obstacles 1 and 2 overlap"
    )]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=1 | obstacles=1 | x1=46 | y1=6",
        "measures.x1",
        "does not lie within its side"
    )]
    [InlineData(
        "elastic-cap",
        "W=48 | L=20 | T=1 | obstacles=1 | x1=12 | y1=6 | clear1=4",
        "choices.clear1",
        "no shorter than the overhang"
    )]
    [InlineData(
        "traced-board",
        "W=15 | B=8 | L=50 | b=5 | T=1 | f1=20 | w1=14",
        "measures.b",
        "more than half of the width"
    )]
    [InlineData(
        "traced-board",
        "W=15 | B=8 | L=50 | T=1 | stations=2 | f1=20 | w1=14 | f2=12 | w2=13",
        "measures.f2",
        "out of order"
    )]
    [InlineData("round-table-draped", "d=36 | H=1/4", "allowances.h", "takes the whole drop")]
    [InlineData("round-table-skirted", "d=1 | H=20", "measures.d", "four seam allowances")]
    [InlineData("centre-panel", "d=2", "measures.d", "turned through its slit")]
    [InlineData("contoured-pad", "W=16 | L=32 | H1=4 | W1=8 | W2=6 | H2=1", "measures.W1", "crosses itself")]
    [InlineData("contoured-pad", "W=16 | L=32 | H1=4 | W1=2 | W2=12 | H2=1", "measures.W2", "crosses itself")]
    public void Impossible_tables_are_refused(string makeUp, string changes, string field, string reason) =>
        Cases.Refused(makeUp, changes, field, reason);

    // craft §7.3: the ends' inward angles are clipped and their outward ones notched; on the wrap the reverse, at the
    // same places.
    [Fact]
    public void Angles_of_a_contoured_pad_are_clipped_on_one_side_and_notched_on_the_other()
    {
        var pattern = Items.Pattern(
            Items.Read(
                "contoured-pad",
                Wrapper.Core.Lengths.JobUnit.Inch,
                "W=16 | L=32 | H1=4 | W1=2 | W2=6 | H2=1 1/2"
            )
        );
        Assert.Equal(
            [false, false, true, true, false, false],
            pattern.Piece("end").Notches.Select(notch => notch.Clip)
        );
        var lower = pattern.Piece("wrap").Notches.Where(notch => notch.Edge == "lower").ToList();
        Assert.Equal([true, true, false, false, true, true], lower.Select(notch => notch.Clip));
        Assert.Equal([6m, 8m, 11.9051m, 17.9051m, 21.8102m, 23.8102m], lower.Select(notch => Items.Inches(notch.At)));
    }

    // A maker of an infant's pad is told; for other pads nothing is.
    [Fact]
    public void A_contoured_pad_is_for_an_infant_unless_told_otherwise()
    {
        int Always(string changes) =>
            Items
                .Pattern(
                    Items.Read(
                        "contoured-pad",
                        Wrapper.Core.Lengths.JobUnit.Inch,
                        $"W=16 | L=32 | H1=4 | W1=2 | W2=6 | H2=1 1/2{changes}"
                    )
                )
                .Remarks.Count(remark => remark.Always);
        Assert.Equal((1, 0), (Always(""), Always(" | for=bed")));
    }

    [Theory]
    [InlineData("serged", "Serge the edge over the drawcord, from the square end round to")]
    [InlineData("casing", "left at the square end; draw the drawcord through")]
    public void A_cord_in_a_board_starts_at_the_square_end(string edge, string says) =>
        Assert.Contains(
            Items
                .Pattern(
                    Items.Read(
                        "traced-board",
                        Core.Lengths.JobUnit.Inch,
                        $"W=15 | B=15 | L=48 | T=1 | stations=0 | sides=straight | edge={edge}"
                    )
                )
                .Steps,
            step => step.Text.Contains(says, StringComparison.Ordinal)
        );
}
