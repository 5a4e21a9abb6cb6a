using Wrapper.Core.Covers.Chairs;
using Wrapper.Core.Covers.Cushions;
using Wrapper.Core.Covers.Ottomans;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Server.Demo;

/// <summary>Seats of every kind: the lodge's reading chairs, and the reading room's sofa and stools.</summary>
internal static class DemoSeats
{
    /// <summary>Reading chairs, their back covers, the armchair by the stove and a stuffed cube.</summary>
    public static JobDocument LodgeSeats()
    {
        Item Of(
            MakeUp makeUp,
            string id,
            string name,
            string cloth,
            (string, string)[] measures,
            params (string, string)[] choices
        ) => DemoJobs.Item(makeUp, id, name, cloth, JobUnit.Inch, measures, choices);
        return JobDocument.Empty("Reading chairs and stove corner", JobUnit.Inch) with
        {
            Customer = "Ferncliff Observatory Lodge",
            Cloths =
            [
                new("plum", "Plum linen union", E("54"), E("1/2"), false, E("1/8 yd"), E("0"), "31", "yd", "#6d5268")
                {
                    Behaves = [ClothTrait.Frays],
                },
                new(
                    "star",
                    "Star-chart cotton",
                    E("58"),
                    E("3/4"),
                    false,
                    E("1/4 yd"),
                    E("0"),
                    "22.50",
                    "yd",
                    "#3f5d74"
                )
                {
                    RepeatAlong = E("6 1/2"),
                    RepeatAcross = E("5"),
                    HalfDrop = true,
                    Second = "#dfe6ea",
                    Flaws = [new(E("41"), E("22"), E("2"), E("3"))],
                },
            ],
            Items =
            [
                Of(
                    new KnifeEdgePad(),
                    "chair-pad",
                    "Reading chair pad",
                    "star",
                    [("W", "17 1/2"), ("B", "14 1/4"), ("L", "16 3/4"), ("f1", "8"), ("w1", "17 1/4"), ("T", "1 1/2")],
                    ("shape", "tapered"),
                    ("sides", "smooth")
                ) with
                {
                    Quantity = "4",
                },
                Of(
                    new ChairBackSlipOver(),
                    "chair-back",
                    "Reading chair back",
                    "star",
                    [("W", "16 1/2"), ("B", "14 1/2"), ("H", "19 3/4"), ("b", "1 1/2"), ("D", "2")],
                    ("back", "arched")
                ) with
                {
                    Quantity = "4",
                    OtherCloths = From(ClothRole.Lining, "plum"),
                },
                Of(
                    new ChairSlipcover(),
                    "armchair",
                    "Armchair by the stove",
                    "plum",
                    [
                        ("W", "22"),
                        ("S", "21 1/2"),
                        ("F", "11 3/4"),
                        ("A", "8 1/2"),
                        ("B", "4 3/4"),
                        ("U", "6"),
                        ("x", "3/4"),
                        ("H", "27"),
                        ("K", "4 1/2"),
                        ("C", "5"),
                    ],
                    ("lean", "in"),
                    ("armTop", "rolled"),
                    ("strips", "bias")
                ),
                Of(
                    new BoxCushionStrip(),
                    "armchair-seat",
                    "Its seat cushion",
                    "plum",
                    [("W", "28"), ("N", "21 3/4"), ("L", "24"), ("E", "5 1/2"), ("T", "4 1/2")],
                    ("shape", "tee")
                ),
                Of(
                    new OttomanCap(),
                    "footstool",
                    "Footstool",
                    "plum",
                    [("W", "21"), ("L", "17 1/4"), ("H", "14")],
                    ("fall", "3 1/2"),
                    ("capCorners", "pleated")
                ),
                Of(new CubeBanded(), "cube", "Star cube", "star", [("W", "19"), ("L", "19"), ("H", "19")]) with
                {
                    OtherCloths = From(ClothRole.Contrast, "plum"),
                },
                Of(
                    new ChairBackSlipOver(),
                    "desk-back",
                    "Desk chair back, traced",
                    "star",
                    [("O", "0, 0; 16, 0; 15, 19 ; 8, 21 1/2 arc 9; 1, 19 arc 9"), ("D", "1 3/4")],
                    ("back", "traced"),
                    ("lining", "single")
                ),
            ],
        };

        static Entry E(string typed) => new(typed, JobUnit.Inch);
        static Dictionary<ClothRole, string> From(ClothRole role, string cloth) => new() { [role] = cloth };
    }

    /// <summary>Metric: a sofa with a curved end, its bolsters, round stools and a bow-fronted window pad.</summary>
    public static JobDocument ReadingRoom()
    {
        Item Of(
            MakeUp makeUp,
            string id,
            string name,
            (string, string)[] measures,
            params (string, string)[] choices
        ) => DemoJobs.Item(makeUp, id, name, "rust", JobUnit.Centimetre, measures, choices);
        return JobDocument.Empty("Sofa and stools", JobUnit.Centimetre) with
        {
            Customer = "Mill Lane Reading Room",
            HandOver = new() { Place = "Reading Room, by the stove" },
            Cloths =
            [
                new("rust", "Rust herringbone", E("140"), E("1.5"), false, E("10 cm"), E("0"), "34", "m", "#8a5a44")
                {
                    Print = ClothPrint.Herringbone,
                    Second = "#a97a60",
                },
            ],
            Items =
            [
                Of(
                    new SofaBase(),
                    "sofa",
                    "Sofa",
                    [("W", "142"), ("S", "58"), ("F", "40"), ("A", "86"), ("M", "82"), ("C", "12")],
                    ("panelGrain", "across")
                ),
                Of(
                    new PillowcaseCushion(),
                    "sofa-end",
                    "Sofa end cushions",
                    [("W", "71"), ("L", "58"), ("b", "14"), ("T", "12")],
                    ("shape", "curved-end"),
                    ("hand", "pairs"),
                    ("panelGrain", "either")
                ) with
                {
                    Quantity = "2",
                },
                Of(new Bolster(), "bolster", "Bolsters", [("d", "18"), ("L", "58")], ("strips", "bias")) with
                {
                    Quantity = "2",
                },
                Of(
                    new BoxCushionStrip(),
                    "stool",
                    "Round stools",
                    [("d", "34"), ("T", "5")],
                    ("shape", "round"),
                    ("strips", "bias")
                ) with
                {
                    Quantity = "3",
                },
                Of(
                    new BoxCushionTwoPanels(),
                    "niche",
                    "Niche, out of square",
                    [("W", "92"), ("R", "47.5"), ("B", "89.5"), ("L", "45"), ("X", "102.5"), ("T", "8")],
                    ("shape", "four-sided"),
                    ("panelGrain", "either")
                ),
                Of(
                    new KnifeEdgePad(),
                    "sill",
                    "Window sill pad",
                    [("W", "84"), ("L", "38"), ("b", "6.5"), ("T", "3")],
                    ("shape", "bow"),
                    ("ties", "0"),
                    ("panelGrain", "either")
                ),
                Of(new OttomanBoxed(), "pouf", "Pouf", [("W", "46"), ("L", "46"), ("H", "38")]),
                Of(
                    new BoxCushionStrip(),
                    "corner",
                    "Corner seat, L",
                    [("W", "80"), ("N", "58"), ("L", "62"), ("E", "24"), ("T", "9")],
                    ("shape", "ell"),
                    ("hand", "left"),
                    ("panelGrain", "either")
                ),
                Of(
                    new BoxCushionStrip(),
                    "alcove",
                    "Alcove seat, traced",
                    [("O", "0, 0; 70, 0; 70, 30; 58, 42 hollow 14; 12, 42; 0, 30 hollow 14"), ("T", "7")],
                    ("shape", "traced"),
                    ("strips", "slanted"),
                    ("panelGrain", "either")
                ),
            ],
        };

        static Entry E(string typed) => new(typed, JobUnit.Centimetre);
    }
}
