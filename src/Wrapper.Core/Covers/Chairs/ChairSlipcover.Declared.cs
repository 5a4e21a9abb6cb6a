using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Chairs;

/// <content>What a pin-fitted slipcover measures, and what can be chosen.</content>
public sealed partial class ChairSlipcover
{
    internal static readonly OptionChoice<ArmLean> Lean = Choice.Of(
        "lean",
        "Arm fronts lean",
        "Arms",
        Option.Of(ArmLean.None, "Not at all", "The inner edge stands plumb."),
        Option.Of(ArmLean.Out, "Outward", "Away from the seat, going up."),
        Option.Of(ArmLean.In, "Inward", "Over the seat, going up.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<ArmShape> ArmTop = Choice.Of(
        "armTop",
        "Arms are",
        "Arms",
        Option.Of(ArmShape.Flat, "Flat on top", "Square in front."),
        Option.Of(ArmShape.Rolled, "Rolled", "Rounded on top.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly LengthChoice Roll = Choice
        .OfLength("roll", "Rise of the roll", "Arms", Length.Inches(1, 1, 2), 40, LengthLimits.UpTo(24, "1 1/2", "4"))
        .AskedWhen(ArmTop, ArmShape.Rolled) with
    {
        OnMeasure = true,
        Note = "How far the middle of the roll stands above its ends.",
    };

    internal static readonly OptionChoice<YesNo> Wings = Choice.Of(
        "wings",
        "Wings",
        "Arms",
        Option.Of(YesNo.No, "None", "The back stands alone."),
        Option.Of(YesNo.Yes, "Wings", "An inside and an outside wing on each side.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly OptionChoice<ArmFrontSchool> ArmFront = Choice.Of(
        "armFront",
        "Arm fronts are covered by",
        "Arms",
        Option.Of(ArmFrontSchool.Panel, "A panel", "Cut on the straight grain, as wide as the plumb rule asks."),
        Option.Of(ArmFrontSchool.Strip, "A strip", "A long strip along the outside curve, eased to shape: for scrolls.")
    );

    internal static readonly LengthChoice PinEase = Choice.OfLength(
        "pinEase",
        "Pin-fit ease, in each direction",
        "Ease",
        Length.Inches(2, 1, 2),
        65,
        LengthLimits.UpTo(12, "2 1/2", "6.5", zero: true)
    ) with
    {
        Learns = true,
        Note =
            "Half of it on every edge: each piece is cut as the rectangle that holds it, opened on the chair, and trimmed to three seam allowances, then to one.",
    };

    internal static readonly OptionChoice<BackSide> ZipSide = Choice.Of(
        "zipSide",
        "Zip",
        "Zip",
        Option.Of(BackSide.Left, "Left back seam", "Seen from behind."),
        Option.Of(BackSide.Right, "Right back seam", "Seen from behind.")
    );

    internal static readonly LengthChoice ZipClosed = Choice.OfLength(
        "zipClosed",
        "Seam left closed above the zip",
        "Zip",
        Length.Inches(2),
        50,
        LengthLimits.UpTo(60, "2", "5", zero: true)
    );

    internal static readonly OptionChoice<SkirtSchool> Skirt = Choice
        .Of(
            "skirt",
            "Skirt",
            "Skirt",
            Option.Of(
                SkirtSchool.Flaps,
                "With flaps",
                "One width to each face, flaps behind the corners; hung from a line as high as the skirt is deep, so that it covers the lower edge of the body."
            ),
            Option.Of(SkirtSchool.None, "None", "The lower edge is hemmed.")
        )
        .ToldToCustomer();

    internal static readonly LengthChoice SkirtDrop = Choice
        .OfLength("skirtDrop", "Skirt, finished", "Skirt", Length.Inches(7), 180, LengthLimits.UpTo(40, "7", "18"))
        .AskedWhen(Skirt, SkirtSchool.Flaps);

    internal static readonly LengthChoice SkirtBelow = Choice
        .OfLength(
            "skirtBelow",
            "Skirt goes on below the lower edge by",
            "Skirt",
            Length.Zero,
            0,
            LengthLimits.UpTo(40, "1", "2.5", zero: true)
        )
        .AskedWhen(Skirt, SkirtSchool.Flaps) with
    {
        Note = "0: the skirt line lies the skirt's own depth above the lower edge of the body.",
    };

    internal static bool HasSkirt(Reading reading) => reading.Chosen(Skirt) is SkirtSchool.Flaps;

    internal static readonly LengthChoice FlapWidth = Choice
        .OfLength(
            "flap",
            "Flap, each way from the corner",
            "Skirt",
            Length.Inches(6),
            150,
            LengthLimits.UpTo(24, "6", "15")
        )
        .AskedWhen(Skirt, SkirtSchool.Flaps) with
    {
        Adjustable = Length.Inches(1),
    };

    private static readonly OptionChoice<Cording> Corded = Cord.Asked(
        "cord",
        Option.Of(Cording.Both, "Cord on the lines chosen", "Arm fronts, back, back seams, front edge, skirt line."),
        Option.Of(Cording.None, "No cord", "Plain seams.")
    );

    // Each by the beginning of the name that its seams give it; the longer name comes first.
    private static readonly (string Line, OptionChoice<YesNo> Choice)[] CordLines =
    [
        ("arm", Line("cordArms", "Cord round the arms", "Arm fronts and the tops of the arms.")),
        ("back seam", Line("cordBackSeams", "Cord down both back seams", "The zip's teeth ride it.")),
        ("back", Line("cordBack", "Cord round the back", "Along its top and down its corners.")),
        ("front edge", Line("cordFront", "Cord along the front edge", "Where deck and front band meet.")),
        (
            "skirt line",
            Line("cordSkirt", "Cord on the skirt line", "The line that the skirt hangs from.")
                .AndWhen(Skirt, SkirtSchool.Flaps)
        ),
    ];

    private static OptionChoice<YesNo> Line(string key, string name, string suits) =>
        Choice
            .Of(
                key,
                name,
                "Cord",
                Option.Of(YesNo.Yes, "Corded", suits),
                Option.Of(YesNo.No, "Plain", "Less cord to make.")
            )
            .AskedWhen(Corded, Cording.Both);

    internal static readonly AllowanceDeclaration Hem = EdgeAllowances.Hem(
        "h",
        "Hem",
        Length.Inches(1, 1, 2),
        Length.Millimetres(40)
    );

    internal static readonly Measure W = new Measure(
        "W",
        "seat width",
        "Between the arms, along the crevice at the back.",
        LengthLimits.Item,
        Usual: Length.Inches(22)
    );

    internal static readonly Measure S = new Measure(
        "S",
        "seat depth",
        "From the back crevice to the front edge, cushion off; cord to cord where there is cord.",
        LengthLimits.Item,
        Usual: Length.Inches(22)
    );

    internal static readonly Measure F = new Measure(
        "F",
        "front band",
        "From the front edge of the seat down to the lower edge of the body.",
        LengthLimits.Item,
        Usual: Length.Inches(12)
    );

    internal static readonly Measure A = new Measure(
        "A",
        "arm height",
        "Upright, from the seat to the top of the arm; to where the roll begins if it is rolled.",
        LengthLimits.Item,
        Usual: Length.Inches(9)
    );

    internal static readonly Measure B = new Measure(
        "B",
        "arm front, base",
        "Across the front of one arm at its foot; at the skirt line where there is a skirt.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    );

    internal static readonly Measure U = new Measure(
        "U",
        "arm front, top",
        "Across the front of one arm at its top, level.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    );

    internal static readonly Measure LeanOfTheArm = new Measure(
        "x",
        "lean of the arm",
        "Hang a plumb line from the arm's inner top edge: how far its foot lies beside it at the seat.",
        LengthLimits.Item,
        Usual: Length.Inches(1)
    ).AskedWhen(Lean, ArmLean.Out, ArmLean.In);

    internal static readonly Measure H = new Measure(
        "H",
        "inside back",
        "From the crevice up, over the top rail, to the seam behind.",
        LengthLimits.Item,
        Usual: Length.Inches(27)
    );

    internal static readonly Measure K = new Measure(
        "K",
        "back, thickness",
        "Through the back at its top corner.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    );

    internal static readonly Measure G = new Measure(
        "G",
        "wing",
        "How far the wing stands forward of the back.",
        LengthLimits.Item,
        Usual: Length.Inches(5)
    ).AskedWhen(Wings, YesNo.Yes);

    internal static readonly Measure C = new Measure(
        "C",
        "crevice",
        "How deep a hand goes down between seat and back.",
        LengthLimits.UpTo(24, "5", "12"),
        Usual: Length.Inches(5)
    ) with
    {
        FitsInside = true,
    };
}

/// <summary>The answers to: Arm fronts lean.</summary>
internal enum ArmLean
{
    None,
    Out,
    In,
}

/// <summary>The answers to: Arms are.</summary>
internal enum ArmShape
{
    Flat,
    Rolled,
}

/// <summary>The answers to: Arm fronts are covered by.</summary>
internal enum ArmFrontSchool
{
    Panel,
    Strip,
}

/// <summary>The answers to: Zip.</summary>
internal enum BackSide
{
    Left,
    Right,
}

/// <summary>The answers to: Skirt.</summary>
internal enum SkirtSchool
{
    Flaps,
    None,
}
