using System.Text.Json;
using Wrapper.Core.Covers.Chairs;
using Wrapper.Core.Covers.Cushions;
using Wrapper.Core.Covers.Ottomans;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Store;

namespace Wrapper.Server.Demo;

/// <summary>
/// The demo data: workroom Heron Loft at work on Ferncliff Observatory Lodge, the barge Marigold and the Mill Lane
/// Reading Room.
/// </summary>
public static class DemoJobs
{
    /// <summary>
    /// Puts the demo jobs into <paramref name="store"/>; those that are there already stay as they are.
    /// </summary>
    internal static void Seed(JobStore store)
    {
        foreach (var (id, job) in Jobs())
            store.Create(
                id,
                new Change("demo", JsonSerializer.Serialize(job, JsonSerializerOptions.Web), job.Name, job.Customer)
            );
    }

    /// <summary>The demo jobs by their ids, the oldest first.</summary>
    public static IEnumerable<(string Id, JobDocument Job)> Jobs()
    {
        yield return ("demo-tables", DemoTables.Job());
        yield return ("demo-bunks", DemoBeds.Job());
        yield return (
            "demo-reading-room",
            DemoBench.Gone(
                DemoBench.Ticketed(
                    ReadingRoom(),
                    "rust",
                    "H 2207",
                    "wash-never",
                    "bleach-never",
                    "iron-warm",
                    "dry-clean"
                ),
                "stool",
                "2026-03-14",
                new("stool")
                {
                    Fillings = FillingsAre.Replaced,
                    Filling = "chopped foam in a cotton case",
                    Interliner = Stated.No,
                    Fixed = Stated.No,
                    Opens = "its zip",
                    Flammability = "Nothing is stated about flammability.",
                }
            )
        );
        yield return ("demo-lodge-seats", LodgeSeats());
        yield return ("demo-marigold", Marigold());
        yield return (
            "demo-window-bench",
            DemoBench.Begun(
                DemoBench.Ticketed(
                    DemoBench.Ticketed(
                        WindowBench(),
                        "slate",
                        "SW 4411",
                        "wash-30-gentle",
                        "bleach-never",
                        "dry-flat",
                        "iron-warm",
                        "dry-clean"
                    ),
                    "fern",
                    "FV 19-3",
                    "wash-never",
                    "bleach-never",
                    "tumble-never",
                    "iron-never",
                    "dry-clean-gentle"
                ),
                12
            )
        );
    }

    // A bay window: two equal ends and a long middle; the middle in its own cloth.
    private static JobDocument WindowBench()
    {
        var strip = new BoxCushionStrip();
        var folded = new BoxCushionFolded();
        return JobDocument.Empty("Window bench, east bay", JobUnit.Inch) with
        {
            Customer = "Ferncliff Observatory Lodge",
            HandOver = new() { Place = "East bay, ground floor" },
            Cloths =
            [
                new(
                    "slate",
                    "Slate wool twill",
                    E("54"),
                    E("1/2"),
                    false,
                    E("1/8 yd"),
                    E("0"),
                    "38.50",
                    "yd",
                    "#5d7284"
                ),
                new("fern", "Fern velvet", E("55"), E("5/8"), true, E("1/4 yd"), E("0"), "46", "yd", "#5f7a5c"),
            ],
            Items =
            [
                Item(
                    strip,
                    "bench-middle",
                    "Middle cushion",
                    "slate",
                    JobUnit.Inch,
                    [("W", "46 1/2"), ("L", "19 1/4"), ("T", "4")],
                    [("zipTurn", "3")]
                ),
                Item(
                    strip,
                    "bench-end",
                    "End cushion",
                    "slate",
                    JobUnit.Inch,
                    [("W", "22 1/4"), ("L", "19 1/4"), ("T", "4"), ("r", "3")],
                    [("strips", "bias")]
                ) with
                {
                    Quantity = "2",
                },
                Item(
                    folded,
                    "bench-kneeler",
                    "Kneeler",
                    "fern",
                    JobUnit.Inch,
                    [("W", "30"), ("L", "14"), ("T", "3 1/2")],
                    [("ease", "exact"), ("zip", "inside")]
                ),
            ],
        };

        static Entry E(string typed) => new(typed, JobUnit.Inch);
    }

    // Reading chairs, their back covers, the armchair by the stove and a stuffed cube.
    private static JobDocument LodgeSeats()
    {
        Item Of(
            MakeUp makeUp,
            string id,
            string name,
            string cloth,
            (string, string)[] measures,
            params (string, string)[] choices
        ) => Item(makeUp, id, name, cloth, JobUnit.Inch, measures, choices);
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

    // Metric: a sofa with a curved end, its bolsters, round stools and a bow-fronted window pad.
    private static JobDocument ReadingRoom()
    {
        Item Of(
            MakeUp makeUp,
            string id,
            string name,
            (string, string)[] measures,
            params (string, string)[] choices
        ) => Item(makeUp, id, name, "rust", JobUnit.Centimetre, measures, choices);
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

    private static JobDocument Marigold()
    {
        var strip = new BoxCushionStrip();
        return JobDocument.Empty("Saloon berths", JobUnit.Centimetre) with
        {
            Customer = "Barge Marigold",
            Cloths =
            [
                new("canvas", "Ochre deck stripe", E("140"), E("1.5"), false, E("10 cm"), E("0"), "29", "m", "#b88a3e")
                {
                    Second = "#f1e3c3",
                    RepeatAcross = E("8"),
                },
            ],
            Items =
            [
                Item(
                    strip,
                    "berth",
                    "Berth cushion",
                    "canvas",
                    JobUnit.Centimetre,
                    [("W", "188"), ("L", "62.5"), ("T", "10")],
                    [("panelGrain", "across"), ("zipTurn", "20"), ("cord", "none")]
                ) with
                {
                    Quantity = "2",
                },
            ],
        };

        static Entry E(string typed) => new(typed, JobUnit.Centimetre);
    }

    internal static Item Item(
        MakeUp makeUp,
        string id,
        string name,
        string cloth,
        JobUnit unit,
        (string Key, string Typed)[] measures,
        (string Key, string Typed)[] choices
    )
    {
        var item = makeUp.NewItem(id, name, unit);
        var chosen = new Dictionary<string, Entry>(item.Choices);
        foreach (var (key, typed) in choices)
            chosen[key] = new Entry(typed, unit);
        return item with
        {
            Cloth = cloth,
            Measures = measures.ToDictionary(m => m.Key, m => new Entry(m.Typed, unit)),
            Choices = chosen,
        };
    }
}
