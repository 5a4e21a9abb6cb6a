using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Core.Workroom.Stock;
using Wrapper.Core.Workroom.Week;
using Wrapper.Server.Customers;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Demo;

/// <summary>The demo's customers and its price book: invented people, places and figures.</summary>
internal static class DemoWorkroom
{
    private static readonly Dictionary<string, Customer> Customers = new()
    {
        ["ferncliff"] = new("Ferncliff Observatory Lodge")
        {
            Address = "Ferncliff Observatory Lodge\nNorth Stair\nFerncliff FC1 4LL",
            Notes = "The dome is closed to visitors on Mondays. Cat: keep lids on thread boxes.",
            People =
            [
                new("keeper", "Odile Marrow", "keeper, has the keys", "01632 960 114", "keeper@ferncliff.example"),
                new("books", "Piers Attwell", "pays", "01632 960 118", "books@ferncliff.example"),
            ],
            Places =
            [
                new(
                    "lodge",
                    "The Lodge",
                    "North Stair, Ferncliff FC1 4LL",
                    ["East bay", "Stove corner", "Guest room 1", "Guest room 2", "Bunk room"],
                    "Parking behind the dome; narrow stair, measure long benches on the spot."
                ),
            ],
        },
        ["marigold"] = new("Barge Marigold")
        {
            Address = "Barge Marigold\nLower Basin, berth 9\nSallow Wharf SW7 2QD",
            Notes = "Latex allergy: no rubberised backing.",
            People = [new("skipper", "Ines Tolland", "skipper", "01632 960 127", "ines@marigold.example")],
            Places =
            [
                new(
                    "saloon",
                    "Marigold",
                    "Lower Basin, berth 9",
                    ["Saloon", "Fore cabin"],
                    "Ring the bell at the gate; tide shifts the gangway."
                ),
            ],
        },
        ["mill-lane"] = new("Mill Lane Reading Room")
        {
            Address = "Mill Lane Reading Room\n3 Mill Lane\nFerncliff FC2 1AB",
            People = [new("desk", "Tobias Renn", "reading room desk", "01632 960 131", "desk@milllane.example")],
            Places =
            [
                new(
                    "reading",
                    "Reading Room",
                    "3 Mill Lane",
                    ["Hall", "Gallery", "Map room"],
                    "Quiet after two o'clock."
                ),
            ],
        },
    };

    /// <summary>The price book of Heron Loft.</summary>
    public static PriceBook Book { get; } =
        new()
        {
            LabourRate = "32",
            Rows =
            [
                new("chain", "zip chain", "2.20", PricedBy.Yard),
                new("zip", "zip, teeth", "3.40", PricedBy.Each),
                new("cord", "cord", "0.65", PricedBy.Yard),
                new("thread", "thread", "2.10", PricedBy.Each),
                new("foam", "foam", "0.42", PricedBy.Litre),
                new("filling", "loose filling", "9.50", PricedBy.Kilogram),
                new("inner", "inner, by volume", "9.50", PricedBy.Kilogram),
                new("tape", "tie tape", "0.55", PricedBy.Yard),
                new("hook", "hook-and-loop", "3.10", PricedBy.Yard),
                new("label", "label", "0.80", PricedBy.Each),
                new("buttons", "buttons", "0.45", PricedBy.Each),
                new("elastic", "elastic, 1/4 in wide", "0.60", PricedBy.Yard),
                new("loops", "elastic for loops", "0.40", PricedBy.Yard),
            ],
            Waste = "5",
            Sundries = "3",
            Margin = "15",
            Rush = "20",
            Taxes = [new("vat", "VAT", "20")],
            Address = "Heron Loft\nStaithe Row 2\nFerncliff FB2 7QX",
            TaxNumber = "GB 000 0000 00",
            PayTo = "Heron Loft, sort code 00-00-00, account 00000000",
            Terms =
                "Prices hold for the sizes measured and the cloth named. Cloth is ordered when the deposit is paid. Covers are fitted once; what does not fit is put right without charge within six weeks. Cut cloth cannot be taken back.",
        };

    /// <summary>The customer of each demo job, by the job's id.</summary>
    public static JobDocument Of(string id, JobDocument job) =>
        Customers.FirstOrDefault(each => each.Value.Name == job.Customer) is { Key: { } customer, Value: { } named }
            ? job with
            {
                CustomerId = customer,
                PlaceId = named.Places[0].Id,
            }
            : throw new InvalidOperationException($"nobody is the customer of {id}");

    private static readonly Skill[] All = Enum.GetValues<Skill>();

    private static Calendar Hours(DateOnly today) =>
        new()
        {
            People =
            [
                new("wren", "Wren", ["7", "7", "7", "7", "7", "", ""], All, ""),
                new("jory", "Jory", ["", "5:30", "5:30", "5:30", "", "", ""], [Skill.Cutting, Skill.Sewing], "120")
                {
                    Other = [new("away", Written(today.AddDays(12)), Written(today.AddDays(15)), "", "away")],
                },
            ],
        };

    // Promised so that the week is full and one job will be late, with something to be done about it.
    private static IEnumerable<(string Job, JobSchedule Schedule)> Schedules(DateOnly today) =>
        [
            (
                "demo-window-bench",
                new()
                {
                    Promised = Written(today.AddDays(5)),
                    Cloth = Supply.Here,
                    Foam = Supply.Here,
                }
            ),
            (
                "demo-marigold",
                new()
                {
                    Promised = Written(today.AddDays(13)),
                    Cloth = Supply.Ordered,
                    ClothOn = Written(today.AddDays(6)),
                }
            ),
            (
                "demo-lodge-seats",
                new()
                {
                    AskedFor = Written(today.AddDays(8)),
                    Promised = Written(today.AddDays(9)),
                    Cloth = Supply.Here,
                    FittingOn = Written(today.AddDays(7)),
                }
            ),
            ("demo-tables", new() { Cloth = Supply.Ordered, InWeek = InWeek.Yes }),
        ];

    private static Entry In(string typed) => new(typed, JobUnit.Inch);

    private static readonly Dictionary<string, StockRow> Shelves = new()
    {
        ["slate-roll"] = new(StockKind.PartRoll, "Slate wool twill")
        {
            Batch = "SW 4411",
            Place = "rack, left",
            Length = In("2 1/4 yd"),
            Mark = "1 yd",
        },
        ["fern-left"] = new(StockKind.Remnant, "Fern velvet")
        {
            Batch = "FV 19-3",
            Place = "shelf 2",
            Length = In("27"),
            Width = In("31 1/2"),
        },
        ["plum-left"] = new(StockKind.Remnant, "Plum linen union")
        {
            Batch = "PL 880",
            Place = "shelf 2",
            Length = In("40"),
            Width = In("22"),
        },
        ["chain"] = new(StockKind.Cord, "zip chain")
        {
            Place = "drawer 1",
            Length = In("4 yd"),
            Mark = "5 yd",
        },
        ["cord"] = new(StockKind.Cord, "cord")
        {
            Place = "drawer 1",
            Length = In("26 yd"),
            Mark = "10 yd",
        },
        ["thread"] = new(StockKind.Other, "thread")
        {
            Place = "thread rack",
            Count = "14",
            Mark = "6",
        },
        ["foam"] = new(StockKind.Foam, "foam offcuts, 4 in")
        {
            Place = "under the table",
            Count = "3",
            Width = In("18"),
        },
    };

    /// <summary>Fills the demo's shelves, as far as nothing of it lies there.</summary>
    public static void Seed(StockStore stock)
    {
        foreach (var (id, row) in Shelves)
            stock.Keep(
                id,
                0,
                row.Name,
                row.Batch,
                KeptJson.Write(row),
                string.Join('\n', row.Name, row.Batch, row.Place)
            );
    }

    private static string Written(DateOnly day) => Week.Days.Written(day);

    /// <summary>What was said of when the demo's jobs are made, unless something was said already.</summary>
    public static void Seed(SheetStore sheets, DateOnly today)
    {
        sheets.Keep(WorkroomSheet.Calendar, 0, KeptJson.Write(Hours(today)));
        foreach (var (job, schedule) in Schedules(today))
            sheets.Keep(JobSheet.Schedule, job, 0, KeptJson.Write(schedule));
    }

    /// <summary>Puts them into the stores, unless something was told there already.</summary>
    public static void Seed(CustomerStore customers, SheetStore sheets)
    {
        foreach (var (id, customer) in Customers)
            customers.Keep(id, 0, CustomerEndpoints.Entry(customer));
        sheets.Keep(WorkroomSheet.PriceBook, 0, KeptJson.Write(Book));
    }
}
