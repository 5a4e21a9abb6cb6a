using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>
/// Covers of every outline and make-up of the seats, each cut size worked by hand with the handbook's rule beside it.
/// Usual allowances:
/// s 1/2, z 3/4 in, or s 1.5, z 2 cm; bare numbers in inches unless a case says cm.
/// </summary>
public class SeatCases
{
    // Boxing = P - Z + 2 s + 2 laps of 3/4; Z = back + 2 x 2 1/2. Figures: panel width, panel length, boxing.
    [Theory]
    [InlineData("shape=round | d=16", 17, 17, 35.1991)] // P 16 π; back P / 4
    [InlineData("shape=tee | W=28 | N=22 | L=24 | E=5", 29, 25, 79.5)] // P 28 + 2 (5 + 3 + 19) + 22 = 104
    [InlineData("shape=ell | W=30 | N=22 | L=24 | E=8", 31, 25, 83.5)] // P 30 + 8 + 8 + 16 + 22 + 24 = 108
    [InlineData("shape=ell | hand=left | W=30 | N=22 | L=24 | E=8", 31, 25, 83.5)]
    [InlineData("shape=bow | W=20 | L=18 | b=2", 21, 21, 54.0293)] // r 26, arc 52 asin(10/26) = 20.5293
    [InlineData("shape=curved-end | W=30 | L=20 | b=6", 31, 21, 65.9992)] // r 34/3, arc 24.4992; straight 24
    [InlineData("shape=four-sided | W=24 | R=18 | B=24 | L=18 | X=30", 25, 19, 57.5)] // 3-4-5: square after all
    [InlineData("shape=tapered | stations=0 | W=18 | B=14 | L=16", 0, 17, 47.749)] // sides √(2² + 16²) = 16.1245
    [InlineData("shape=tapered | stations=1 | W=18 | B=18 | L=16 | f1=8 | w1=20", 21.0078, 17, 47.7490)] // sides 2 √65; the waist's mitre reaches s √65 / 8
    [InlineData("shape=traced | O=0, 0; 24, 0; 24, 18; 16, 18; 8, 18 hollow 6; 0, 18", 25, 19, 74.2567)] // hollow 12 asin(4/6) = 8.7567; back is 8
    [InlineData("shape=traced | backEdge=1 | O=M0 0 H20 A10 10 0 0 0 20 -20 H0 Z", 0, 21, 68.9159)] // half circle 10 π, back 20
    public void Boxed_on_any_outline(string changes, double width, double length, double boxing)
    {
        var pattern = Items.Pattern(Items.Read("box-cushion-strip", JobUnit.Inch, $"T=4 | ease=exact | {changes}"));
        if (width > 0)
            Assert.Equal(width, (double)pattern.Size("panel", "cut width"), 1e-3);
        Assert.Equal(length, (double)pattern.Size("panel", "cut length"), 1e-3);
        Assert.Equal(boxing, (double)pattern.Size("boxing", "cut length"), 1e-3);
    }

    [Theory]
    // Two panels: (W + D + 2 s) x (L + D + s + z), corner rule with G = D / 2.
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | ease=exact",
        "panel/cut width=35; panel/cut length=25.25; panel/corner cut-out, in from the front=2; panel/corner cut-out, in from the side=2"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | ease=exact | panel/left=1",
        "panel/cut width=35.5; panel/corner cut-out, in from the side=2.5"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | ease=exact | corners=square-drop",
        "panel/cut width=35; finished width=29; finished depth=5"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | wadding=sides",
        "wadding/cut width=30; wadding/cut length=44; wadding-side/cut width=20; wadding-side/cut length=4; *wadding=44; *stocking=28; *foam-width=30"
    )]
    [InlineData("box-cushion-two-panels", "cm | W=60 | L=50 | T=8", "panel/cut width=70.4; panel/cut length=60.9")]
    // Its zip: inside the corners W - 1; round them W + 2 w, the tape crossing both edges (z = s); to the full cut width
    // W + D + 2 s where nothing is cut out. Over a rounded inner the corner line is 2 - r (√2 - 1), then π r / 4.
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | ease=exact | zip=inside",
        "zip run=29; *zip=29; panel/cut length=25.25"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | ease=exact | zip=round",
        "zip run=35; *zip=36; panel/cut length=25"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | ease=exact | corners=stitch-off | r=2",
        "zip run=30; *zip=35; panel/cut width=35; panel/cut length=25.25; corner seam=2.7424"
    )]
    [InlineData(
        "mattress-stitched-off",
        "cm | W=90 | L=190 | T=14 | ease=exact | zip=inside",
        "zip run=87.6; *zip=87.6; corner seam=7"
    )]
    // Pillowcase: across W + D + 2 s; length s + D/2 + L + E, E = D + 3; a zip adds z.
    [InlineData(
        "pillowcase-cushion",
        "W=24 | L=22 | T=5 | ease=exact",
        "panel/cut width=30; panel/cut length=33; wrapped end=8"
    )]
    [InlineData(
        "pillowcase-cushion",
        "W=24 | L=22 | T=5 | ease=exact | closing=zip | panel/left=1",
        "panel/cut width=30.5; panel/cut length=33.75; *zip=30"
    )]
    [InlineData(
        "pillowcase-cushion",
        "shape=tee | W=28 | N=22 | L=24 | E=5 | T=5 | ease=exact",
        "panel/cut width=34; panel/cut length=35"
    )]
    [InlineData(
        "pillowcase-cushion",
        "cm | W=60 | L=55 | T=12 | ease=exact",
        "panel/cut width=75; panel/cut length=82"
    )]
    // Knife edge: T / 2 more all round for a slab, nothing for loose filling.
    [InlineData("knife-edge-pad", "W=16 | L=15 | T=1", "panel/cut width=18; panel/cut length=17; opening=17; *ties=56")]
    [InlineData(
        "knife-edge-pad",
        "W=16 | L=15 | T=2 | filling=loose | panel/back=1",
        "panel/cut width=17; panel/cut length=16.5; opening=4.5"
    )]
    [InlineData("knife-edge-pad", "cm | W=40 | L=38 | T=3", "panel/cut width=46; panel/cut length=44")]
    // A zip in its back: 17 less 1/2 in clear of each corner, or 2 1/2 in round both; a round corner of 3 counts half of
    // its arc, π 3 / 4, with the back.
    [InlineData(
        "knife-edge-pad",
        "W=16 | L=15 | T=1 | closing=inside",
        "zip run=16; *zip=16; panel/cut width=18; panel/cut length=17.25"
    )]
    [InlineData("knife-edge-pad", "W=16 | L=15 | T=1 | closing=round", "zip run=22; *zip=23; panel/cut length=17")]
    [InlineData(
        "knife-edge-pad",
        "W=20 | L=18 | T=2 | r=3 | filling=loose | closing=round",
        "zip run=23.7124; *zip=24.7124"
    )]
    [InlineData("knife-edge-pad", "cm | W=40 | L=38 | T=3 | closing=inside", "zip run=40.6; panel/cut length=44.5")]
    // Bolster: circles d + 2 s, body (π d + 2 z) x (L + 2 s), an eighth of the length sewn at each end, 2 in at the
    // least.
    [InlineData(
        "bolster",
        "d=7 | L=30 | z=1/2",
        "end/cut width=8; body/cut width=22.9911; body/cut length=31; zip opening=22.5"
    )]
    [InlineData("bolster", "d=7 | L=30 | closing=hidden", "zip opening=22.5; *zip=22.5; body/cut width=23.4911")]
    [InlineData(
        "bolster",
        "d=7 | L=12 | closing=zip | body/lower=1",
        "body/cut width=23.4911; body/cut length=13.5; zip opening=8"
    )]
    [InlineData(
        "bolster",
        "cm | d=18 | L=58",
        "end/cut width=21; body/cut width=60.5487; body/cut length=61; zip opening=43.5; *cord=128.0973"
    )]
    // Ottoman boxed: top (W + 2 s) x (L + 2 s), sides by H + s + under; hook-and-loop 2 (W + L) less 4 gaps of 3.
    [InlineData(
        "ottoman-boxed",
        "W=20 | L=18 | H=16",
        "top/cut width=21; top/cut length=19; front/cut width=21; side/cut width=19; side/cut height=19.5; *hook-and-loop=64; *cord=79"
    )]
    [InlineData(
        "ottoman-boxed",
        "W=20 | L=18 | H=16 | front/left=1 | under=0",
        "front/cut width=21.5; front/cut height=16.5"
    )]
    [InlineData("ottoman-boxed", "cm | W=46 | L=46 | H=38", "top/cut width=49; front/cut height=47")]
    // Cap: (W + 2 f + 2 s), boxed c = f; pleated legs (2 - √2)(f + s). Apron H - f + s + under.
    [InlineData(
        "ottoman-cap",
        "W=20 | L=18 | H=16",
        "cap/cut width=29; cap/cut length=27; cap/corner cut-out, in from the front=4; front/cut height=15.5"
    )]
    [InlineData(
        "ottoman-cap",
        "W=20 | L=18 | H=16 | capCorners=pleated | cap/front=1",
        "cap/cut width=29; cap/cut length=27.5; cap/cut off at each corner, along the edge=2.636"
    )]
    [InlineData(
        "ottoman-cap",
        "cm | W=50 | L=40 | H=35 | fall=10",
        "cap/cut width=73; cap/cut length=63; front/cut width=53; front/cut height=34"
    )]
    // Cube: tops W + 2 t + 2 s, sides (W - 2 b + 2 s) x (H - 2 t + 2 s), bands 2 b + 2 s; the first is the handbook's.
    [InlineData(
        "cube-banded",
        "W=19 | L=19 | H=19",
        "top/cut width=24; top/cut length=24; front/cut width=16.5; side/cut height=16; band/cut width=4.5; band/cut height=16; gap for filling=9.5"
    )]
    [InlineData(
        "cube-banded",
        "W=19 | L=21 | H=19 | gap=6 | front/left=1",
        "gap for filling=6; top/cut length=26; front/cut width=17; side/cut width=18.5"
    )]
    [InlineData(
        "cube-banded",
        "cm | W=40 | L=40 | H=45 | wrap=5 | band=4",
        "top/cut width=53; front/cut width=35; front/cut height=38; band/cut width=11"
    )]
    // Slip-over: (W + depth + 2 s + e) x (H + depth / 2 + 2 s); single, the lower edge has its hem.
    [InlineData(
        "chair-back-slip-over",
        "W=16 | H=20 | D=2",
        "face/cut width=20; face/cut height=22; lining/cut width=20"
    )]
    [InlineData(
        "chair-back-slip-over",
        "W=16 | H=20 | D=2 | lining=single | face/left side=1",
        "face/cut width=20.5; face/cut height=22.5"
    )]
    [InlineData(
        "chair-back-slip-over",
        "back=arched | W=16 | B=16 | H=20 | b=1 1/2 | D=2",
        "face/cut width=20; face/cut height=23.5"
    )]
    [InlineData("chair-back-slip-over", "cm | W=42 | H=50 | D=6", "face/cut width=53.5; face/cut height=56")]
    // Slipcover: every side s + half of 2 1/2; along crevices min(3/5 x 5, 3) = 3 more. A skirt of 7 hangs from a line 7 in
    // above the lower edge: front band 12 - 7, outside arm 12 - 7 + 9. Without one the feet have a hem of 1 1/2 for s.
    [InlineData(
        "chair-slipcover",
        "W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "inside-back/cut width=35.5; inside-back/cut length=33.5; deck/cut width=31.5; deck/cut length=28; inside-arm/cut width=25; inside-arm/cut length=20.5; outside-arm/cut width=30; outside-arm/cut length=17.5; "
            + "arm-front/cut width=8.5; arm-front/cut length=17.5; front-band/cut width=25.5; front-band/cut length=8.5; corner/cut width=8.5; corner/cut length=16.5; skirt-front/cut width=35; skirt-front/cut height=9; skirt-flap/cut width=15; plumb width of an arm front=5"
    )]
    [InlineData(
        "chair-slipcover",
        "skirt=none | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "front-band/cut length=16.5; outside-arm/cut length=25.5; outside-back/cut length=38.5; outside-back/cut width=35.5; arm-front/cut length=25.5"
    )]
    // A tuck-in of its own at the arms: the deck's sides 1/2 + 1 1/4 + 2 on either side of 22, its back still 3.
    [InlineData(
        "chair-slipcover",
        "ta=2 | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "deck/cut width=29.5; deck/cut length=28; inside-arm/cut length=19.5; inside-back/cut length=33.5"
    )]
    // Only the skirt line corded: 2 x 32 + 2 x 26 1/2, and one join of 3.
    [InlineData(
        "chair-slipcover",
        "cordArms=no | cordBack=no | cordBackSeams=no | cordFront=no | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "*cord=120"
    )]
    [InlineData(
        "chair-slipcover",
        "skirtBelow=2 | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "front-band/cut length=10.5; skirt-front/cut height=9"
    )]
    [InlineData(
        "chair-slipcover",
        "lean=out | x=2 | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5 | inside-back/upper=1",
        "plumb width of an arm front=7; inside-back/cut length=34; tuck-in=3"
    )]
    [InlineData(
        "chair-slipcover",
        "lean=in | x=1 | armTop=rolled | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=6 | H=27 | K=5 | C=4",
        "plumb width of an arm front=6; tuck-in=2.4; inside of the arm=16.0101"
    )] // √82 + 7.5 asin(4/5)
    [InlineData(
        "chair-slipcover",
        "armFront=strip | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "arm-front/cut length=22.5; arm-front/cut width=7"
    )] // 14 + 5 along the outside, 1 over on either side
    [InlineData(
        "chair-slipcover",
        "cm | W=55 | S=52 | F=30 | A=22 | B=12 | U=12 | H=68 | K=12 | C=10",
        "deck/cut width=76.5; deck/cut length=67.5; tuck-in=6"
    )]
    [InlineData(
        "chair-slipcover",
        "wings=yes | G=6 | W=22 | S=21 1/2 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "inside-wing/cut width=9.5; corner/cut width=14.5; inside-wing/cut length=16.5"
    )]
    // Sofa: tuck-ins along the crevices, hems of 1 in on every edge.
    [InlineData(
        "sofa-base",
        "W=60 | S=22 | F=16 | A=34 | M=34 | C=5",
        "seat/cut width=68; seat/cut length=43; arm/cut width=40; arm/cut length=39"
    )]
    [InlineData(
        "sofa-base",
        "W=60 | S=22 | F=16 | A=34 | M=34 | C=5 | t=2 | seat/lower=2",
        "seat/cut width=66; seat/cut length=43"
    )]
    // An arm that ends in a wall goes round nothing; what one edge has is its own; a narrower hem is so on all of them.
    [InlineData(
        "sofa-base",
        "W=60 | S=22 | F=16 | A=34 | M=34 | C=5 | round=0 | arm/upper=2",
        "arm/cut width=36; arm/cut length=40; seat/cut length=43"
    )]
    [InlineData(
        "sofa-base",
        "W=60 | S=22 | F=16 | A=34 | M=34 | C=5 | h=3/4",
        "seat/cut width=67.5; seat/cut length=42.5; arm/cut width=39.5; arm/cut length=38.5"
    )]
    [InlineData(
        "sofa-base",
        "cm | W=142 | S=58 | F=40 | A=86 | M=82 | C=12",
        "seat/cut width=161.4; seat/cut length=110.2; arm/cut width=97; arm/cut length=98.2"
    )]
    public void Sizes_as_worked_by_hand(string makeUp, string changes, string expected) =>
        Cases.Check(makeUp, changes, expected);

    [Theory]
    [InlineData(
        "box-cushion-strip",
        "shape=tapered | stations=2 | W=18 | B=14 | L=16 | f1=9 | w1=17 | f2=5 | w2=16 | T=2",
        "measures.f2",
        "out of order"
    )]
    [InlineData(
        "box-cushion-strip",
        "shape=tapered | stations=1 | W=18 | B=14 | L=16 | f1=16 | w1=17 | T=2",
        "measures.f1",
        "behind the back edge"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "shape=tapered | stations=1 | W=18 | B=14 | L=16 1/2 | f1=8 | w1=16 1/4 | T=3",
        "choices.shape",
        "between right 1 and right 2 is too flat to be boxed"
    )]
    [InlineData(
        "knife-edge-pad",
        "shape=tapered | stations=2 | sides=smooth | W=18 | B=2 | L=16 | f1=1 | w1=40 | f2=2 | w2=2 | T=1",
        "measures.B",
        "crosses itself"
    )]
    [InlineData(
        "box-cushion-strip",
        "shape=traced | O=0, 0; 10, 10; 10, 0; 0, 10 | T=2",
        "measures.O",
        "crosses itself"
    )]
    [InlineData(
        "box-cushion-strip",
        "shape=four-sided | W=20 | R=20 | B=20 | L=20 | X=60 | T=2",
        "measures.X",
        "do not meet"
    )]
    [InlineData("box-cushion-strip", "shape=bow | W=20 | L=18 | b=11 | T=2", "measures.b", "turns back on itself")]
    [InlineData("box-cushion-strip", "shape=ell | W=20 | N=20 | L=18 | E=5 | T=2", "measures.N", "nothing stands out")]
    [InlineData(
        "box-cushion-strip",
        "shape=tee | W=20 | N=16 | L=18 | E=18 | T=2",
        "measures.E",
        "as deep as the whole"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "shape=tee | W=28 | N=22 | L=24 | E=5 | T=4",
        "choices.shape",
        "inside corner"
    )]
    [InlineData("box-cushion-two-panels", "shape=round | d=20 | T=4", "choices.shape", "curve")]
    [InlineData("box-cushion-two-panels", "W=30 | L=20 | T=4 | r=3", "measures.r", "stitch them off")]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | corners=stitch-off | r=5",
        "measures.r",
        "no straight part"
    )]
    [InlineData(
        "box-cushion-two-panels",
        "W=30 | L=20 | T=4 | zip=round | zipTurn=20",
        "choices.zipTurn",
        "past the side"
    )]
    [InlineData(
        "knife-edge-pad",
        "W=16 | L=15 | T=1 | closing=inside | zipClear=9",
        "choices.zipClear",
        "nothing is left"
    )]
    [InlineData("box-cushion-folded", "shape=round | d=20 | T=4", "choices.shape", "rectangle only")]
    [InlineData("pillowcase-cushion", "shape=round | d=20 | T=4", "choices.shape", "cannot be folded in")]
    [InlineData(
        "knife-edge-pad",
        "shape=traced | O=0, 0; 20, 0; 20, 20; 11, 20; 9, 20 hollow 1; 0, 20 | T=3",
        "measures.T",
        "the outline"
    )]
    [InlineData("box-cushion-strip", "W=30 | W again=30 1/4 | L=20 | T=4", "measures.W again", "measure again")]
    [InlineData("bolster", "d=7 | L=3", "measures.L", "too short for a zip")]
    [InlineData("ottoman-cap", "W=20 | L=18 | H=3 1/2", "choices.fall", "deeper than the ottoman")]
    [InlineData("ottoman-boxed", "W=5 | L=5 | H=10 | legGap=5", "choices.legGap", "whole edge")]
    [InlineData("cube-banded", "W=19 | L=19 | H=19 | gap=16", "choices.gap", "between its bands")]
    [InlineData("cube-banded", "W=19 | L=19 | H=19 | wrap=9 1/2", "choices.wrap", "half the height")]
    [InlineData("cube-banded", "W=19 | L=19 | H=19 | band=9 1/2", "choices.band", "half the width")]
    [InlineData(
        "chair-back-slip-over",
        "W=16 | H=20 | D=2 | finials=ends | finialGap=8",
        "choices.finialGap",
        "whole top"
    )]
    [InlineData(
        "chair-slipcover",
        "W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=14 | K=5 | C=5",
        "measures.H",
        "nothing is left"
    )]
    [InlineData(
        "chair-slipcover",
        "W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=3 | t=4",
        "measures.t",
        "deeper than the crevice"
    )]
    [InlineData(
        "chair-slipcover",
        "skirtBelow=7 | W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "choices.skirtBelow",
        "not cover"
    )]
    [InlineData(
        "chair-slipcover",
        "skirtDrop=11 | W=22 | S=21 | F=12 | A=9 | B=5 | U=5 | H=27 | K=5 | C=5",
        "choices.skirtDrop",
        "nothing is left of the front band"
    )]
    [InlineData(
        "sofa-base",
        "W=60 | S=22 | F=16 | A=34 | M=34 | C=2 | t=2 1/2",
        "measures.t",
        "deeper than the crevice"
    )]
    public void Impossible_items_name_the_measurement_to_look_at(
        string makeUp,
        string changes,
        string field,
        string reason
    ) => Cases.Refused(makeUp, changes, field, reason);

    [Fact]
    public void Of_two_readings_the_larger_counts()
    {
        var pattern = Items.Pattern(
            Items.Read("box-cushion-strip", JobUnit.Inch, "W=30 | W again=30 1/8 | L=20 | L again=19 7/8 | T=4")
        );
        Assert.Equal((31.125m, 21m), (pattern.Size("panel", "cut width"), pattern.Size("panel", "cut length")));
    }

    [Theory]
    [InlineData("V=30 1/2", true)]
    [InlineData("V=30 1/8 | X1=36 | X2=36 1/8", false)]
    [InlineData("X1=36 | X2=36 3/8", true)]
    public void Check_measures_tell_what_is_out_of_square(string changes, bool told) =>
        Assert.Equal(
            told,
            Items
                .Pattern(Items.Read("box-cushion-strip", JobUnit.Inch, $"W=30 | L=20 | T=4 | square=yes | {changes}"))
                .Remarks.Any(remark => remark.OnMeasure)
        );

    // The clip rule: √(8 x 3 1/2 x 1/16) = 1.32 in; 21.99 in take 17 stretches, so 16 clips on either edge.
    [Fact]
    public void A_bolster_is_clipped_as_its_curve_asks() =>
        Assert.Equal(
            32,
            Items
                .Pattern(Items.Read("bolster", JobUnit.Inch, "d=7 | L=30"))
                .Piece("body")
                .Notches.Count(notch => notch.Clip)
        );

    // 16 x 15 x 2 in = 7.866 litres, of which a knife edge holds seven tenths.
    [Fact]
    public void Loose_filling_by_volume_and_mass() =>
        Assert.Equal(
            "5.5 litres, 0.10 kg",
            Items
                .Pattern(Items.Read("knife-edge-pad", JobUnit.Inch, "W=16 | L=15 | T=2 | filling=loose"))
                .Notions.Single(notion => notion.Key == "filling")
                .Amount
        );

    [Theory]
    [InlineData("0, 0; 20, 0; 20, 16; 0, 16", "M0 0 H20 V-16 H0 Z")]
    [InlineData("0, 16; 20, 16; 20, 0; 0, 0", "m5 5 h20 v-16 h-20 z")] // traced the other way round, begun elsewhere
    [InlineData("0, 0; 20, 0; 20, 20 arc 10; 0, 20", "M0 0 L20 0 A10 10 0 0 0 20 -20 L0 -20 Z")]
    [InlineData("0, 0; 20, 0; 20, 16; 12, 16; 8, 16 hollow 3; 0, 16", "M0 0 H20 V-16 H12 A3 3 0 0 1 8 -16 H0 Z")]
    [InlineData("0, 0 arc 10; 20, 0 arc 10", "M0 0 A10 10 0 0 0 20 0 A10 10 0 0 0 0 0 Z")]
    public void An_outline_can_be_written_as_points_or_as_a_path(string points, string path)
    {
        Outline Read(string text) => OutlineReader.Read(text, JobUnit.Inch).Outline!;
        Assert.Equal(Read(points).AreaSquareMetres(), Read(path).AreaSquareMetres(), 1e-9);
        Assert.Equal(Read(points).Bounds(), Read(path).Bounds());
        Assert.Equal(
            Read(points).Edges.Select(edge => edge.Radius).Order(),
            Read(path).Edges.Select(edge => edge.Radius).Order()
        );
    }

    [Theory]
    [InlineData("", "no outline")]
    [InlineData("0, 0; 10, 0", "three points")]
    [InlineData("0, 0; ten, 0; 10, 10", "no number")]
    [InlineData("0, 0; 10; 10, 10", "no point")]
    [InlineData("0, 0; 20, 0 arc 4; 20, 20", "too tight")]
    [InlineData("0, 0; 0, 0; 20, 20; 0, 20", "fall on one another")]
    [InlineData("M0 0 C1 1 2 2 3 3 Z", "no arc of a circle")]
    [InlineData("M0 0 A5 4 0 0 0 10 0 Z", "two radii")]
    [InlineData("M0 0 H10 V", "needs 1 numbers")]
    [InlineData("M0 0 L10", "needs 2 numbers")]
    [InlineData("0, 0; 10, 0; 10, 10 bulge 4", "no unit known")]
    [InlineData("0, 0; 10, 0; 10, 900 ft", "over 50 ft")]
    [InlineData("M0 0 H10 V10 Z M2 2 H4", "not several")]
    [InlineData("M0 0 H10 ! V10 Z", "does not belong")]
    public void An_outline_that_cannot_be_read_is_refused(string text, string reason) =>
        Assert.Contains(reason, OutlineReader.Read(text, JobUnit.Inch).Refusal!.Reason, StringComparison.Ordinal);

    // Points that are to be matched lie equally far apart on every piece that bears both: A to B along the seat (21), D
    // to D across the
    // back (22 between the arms + 2 x 6), C to D up the side of the back (27 - 4 - 8) and over the rail (4).
    [Theory]
    [InlineData("no", "deck", "A", "B", 21)]
    [InlineData("no", "inside-arm", "A", "B", 21)]
    [InlineData("no", "inside-back", "D", "D", 34)]
    [InlineData("no", "outside-back", "D", "D", 34)]
    [InlineData("no", "inside-back", "C", "D", 19)]
    [InlineData("yes", "inside-arm", "C", "E", 5)]
    [InlineData("yes", "inside-wing", "C", "E", 5)]
    public void Named_points_match(string wings, string piece, string from, string to, int inches)
    {
        var drawn = Items
            .Pattern(
                Items.Read(
                    "chair-slipcover",
                    JobUnit.Inch,
                    $"W=22|S=21|F=12|A=8|B=6|U=6|H=27|K=4|C=5|G=5|wings={wings}"
                )
            )
            .Piece(piece);
        Point[] At(string name) =>
            [
                .. drawn
                    .Meeting.Where(point => point.Name == name)
                    .Select(point => drawn.Stitch.Mark(point.Edge, point.At, Length.Zero).On),
            ];
        var spans = At(from)
            .SelectMany(
                _ => At(to),
                (a, b) =>
                    Math.Round(
                        Math.Sqrt(Math.Pow((a.X - b.X).Ticks, 2) + Math.Pow((a.Y - b.Y).Ticks, 2))
                            / Length.TicksPerInch,
                        3
                    )
            );
        Assert.Contains(inches, spans);
    }
}
