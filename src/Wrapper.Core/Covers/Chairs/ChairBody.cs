using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// An upholstered chair as its seams see it. The arms have one section from front to back: upright to the seat, then
/// leaning by
/// <c>x</c>, flat or rolled on top. Every seam length is derived here once, so that pieces on both its sides agree.
/// </summary>
internal sealed class ChairBody
{
    public ChairBody(Reading reading)
    {
        (Seat, Width, Front, Arm) = (
            reading[ChairSlipcover.S],
            reading[ChairSlipcover.W],
            FrontOf(reading),
            reading[ChairSlipcover.A]
        );
        (ArmBase, ArmTop, Thick) = (reading[ChairSlipcover.B], reading[ChairSlipcover.U], reading[ChairSlipcover.K]);
        Lean = reading.Chosen(ChairSlipcover.Lean) is ArmLean.None ? Sum.Of() : reading[ChairSlipcover.LeanOfTheArm];
        LeansIn = reading.Chosen(ChairSlipcover.Lean) is ArmLean.In;
        Roll =
            reading.Chosen(ChairSlipcover.ArmTop) is ArmShape.Rolled
                ? Working.Of("roll", "rise of the roll", reading[ChairSlipcover.Roll])
                : Sum.Of();
        Wing = reading.Chosen(ChairSlipcover.Wings) is YesNo.Yes ? reading[ChairSlipcover.G] : Sum.Of();
        Inner = (Lean.Value.IsPositive ? Working.Slant(Lean, Arm) : Arm).As(
            "inner",
            "inside of the arm, along the surface"
        );
        Over = Rolled ? Working.ArcOver(ArmTop, Roll).As("over", "over the roll") : ArmTop;
        ArmFrontHeight = Front + Arm;
        var reach = LeansIn ? ArmTop - Lean : Lean + ArmTop; // outer top corner, from the inner edge
        var aside = reach.Value >= ArmBase.Value ? reach - ArmBase : ArmBase - reach;
        Outer = (aside.Value == Length.Zero ? ArmFrontHeight : Working.Slant(aside, ArmFrontHeight)).As(
            "outer",
            "outside of the arm, along the surface"
        );
        Across = (LeansIn ? (Width - (2 * Lean)) + (2 * ArmTop) : Width + (2 * Lean) + (2 * ArmTop)).As(
            "across",
            "across the back, above the arms"
        );
        Foot = (Width + (2 * ArmBase)).As("foot", "across the foot");
        Above = (reading[ChairSlipcover.H] - Arm - Thick).As("above", "side of the back above the arm");
        Plumb = LeansIn
            ? new Extreme(Larger: true, ArmBase, ArmTop - Lean) + Lean
            : new Extreme(Larger: true, ArmBase, Lean + ArmTop);
    }

    private static Working FrontOf(Reading reading) =>
        ChairSlipcover.HasSkirt(reading) ? reading[ChairSlipcover.F] - Rise(reading) : reading[ChairSlipcover.F];

    /// <summary>How far the skirt line lies above the chair's lower edge (craft §6.2).</summary>
    public static Working Rise(Reading reading) =>
        Working.Of("drop", "skirt, finished", reading[ChairSlipcover.SkirtDrop])
        - Working.Of("below", "skirt below the lower edge", reading[ChairSlipcover.SkirtBelow]);

    public Working Seat { get; }

    public Working Width { get; }

    /// <summary>
    /// From the seat's front edge down to the lower edge of the cover's body: to the chair's own, or to the skirt line,
    /// which lies above it by as much as the skirt covers.
    /// </summary>
    public Working Front { get; }

    /// <summary>Arm height above the seat, upright.</summary>
    public Working Arm { get; }

    public Working ArmBase { get; }

    public Working ArmTop { get; }

    /// <summary>Thickness of the back.</summary>
    public Working Thick { get; }

    public Working Lean { get; }

    public bool LeansIn { get; }

    /// <summary>How far the middle of a rolled arm stands above the ends of its roll; zero for a flat one.</summary>
    public Working Roll { get; }

    public bool Rolled => Roll.Value.IsPositive;

    /// <summary>How far a wing stands forward; zero without.</summary>
    public Working Wing { get; }

    public bool HasWings => Wing.Value.IsPositive;

    public Working Inner { get; }

    public Working Over { get; }

    public Working Outer { get; }

    public Working Across { get; }

    public Working Foot { get; }

    public Working Above { get; }

    public Working ArmFrontHeight { get; }

    /// <summary>
    /// The width that holds the leaning arm front on the straight grain (craft §1.4): max(B, x + A) - min(0, x).
    /// </summary>
    public Working Plumb { get; }

    /// <summary>
    /// The arm front: base, outer edge, top, inner edge, and the end of the front band. Drawn with its inner edge on
    /// the left.
    /// </summary>
    public Outline ArmFront(Dimensions d)
    {
        var (o, height) = (Length.Zero, d["front"] + d["arm"]);
        var x = LeansIn ? -d["lean"] : d["lean"];
        Point At(Length across, Length up) => new(across, up);
        var roll = Rolled ? Bows.Radius(d["top"], d["roll"]) : (Length?)null;
        return new Outline([
            new("base", At(o, o)),
            new("outer", At(d["base"], o)),
            new("top", At(x + d["top"], height), roll),
            new("inner", At(x, height)),
            new("band", At(o, d["front"])),
        ]);
    }

    /// <summary>The inside back: between the arms below, cut out round them, full width above.</summary>
    public Outline InsideBack(Dimensions d)
    {
        var (o, w) = (Length.Zero, d["width"]);
        var x = LeansIn ? -d["lean"] : d["lean"];
        var (low, wide) = (d["arm"], x + d["top"]);
        var height = d["arm"] + d["side"];
        Point At(Length across, Length up) => new(across, up);
        var roll = Rolled ? Bows.Radius(d["top"], d["roll"]) : (Length?)null;
        return new Outline([
            new("crevice", At(o, o)),
            new("right arm", At(w, o)),
            new("right step", At(w + x, low), roll, Outward: false),
            new("right side", At(w + wide, low)),
            new("top", At(w + wide, height)),
            new("left side", At(-wide, height)),
            new("left step", At(-wide, low), roll, Outward: false),
            new("left arm", At(-x, low)),
        ]);
    }

    /// <summary>The outside back: as wide as the foot below, as the top of the arms above.</summary>
    public static Outline OutsideBack(Dimensions d)
    {
        var (o, aside) = (Length.Zero, (d["across"] - d["foot"]).Over(2));
        var (low, top) = (d["low"], d["low"] + d["above"]);
        Point At(Length across, Length up) => new(across, up);
        return new Outline([
            new("foot", At(o, o)),
            new("right lower", At(d["foot"], o)),
            new("right upper", At(d["foot"] + aside, low)),
            new("top", At(d["foot"] + aside, top)),
            new("left upper", At(-aside, top)),
            new("left lower", At(-aside, low)),
        ]);
    }
}
