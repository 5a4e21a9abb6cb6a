using System.Text.Json;
using Wrapper.Core.Covers.Cushions;
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
        foreach (var (id, job) in Jobs().Select(each => (each.Id, DemoWorkroom.Of(each.Id, each.Job))))
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
                    DemoSeats.ReadingRoom(),
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
        yield return ("demo-lodge-seats", DemoSeats.LodgeSeats());
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
