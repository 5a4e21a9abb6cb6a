using Wrapper.Core.Covers.Beds;
using Wrapper.Core.Covers.Cushions;
using Wrapper.Core.Covers.Duvets;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Server.Demo;

/// <summary>
/// The lodge's bunk room and guest rooms: sheets, mattress covers, duvets in joined cloth and on a ready-made sheet,
/// and what an infant needs.
/// </summary>
internal static class DemoBeds
{
    public static JobDocument Job()
    {
        Item Of(
            MakeUp makeUp,
            string id,
            string name,
            string cloth,
            (string, string)[] measures,
            params (string, string)[] choices
        ) => DemoJobs.Item(makeUp, id, name, cloth, JobUnit.Inch, measures, choices);
        Item With(Item item, params (string Symbol, string Typed)[] allowances)
        {
            var own = new Dictionary<string, Entry>(item.Allowances);
            foreach (var (symbol, typed) in allowances)
                own[symbol] = E(typed);
            return item with { Allowances = own };
        }

        return JobDocument.Empty("Bunks and guest duvets", JobUnit.Inch) with
        {
            Customer = "Ferncliff Observatory Lodge",
            Cloths =
            [
                new(
                    "night",
                    "Night-sky cotton",
                    E("57 1/2"),
                    E("1/2"),
                    false,
                    E("1/8 yd"),
                    E("0"),
                    "14.50",
                    "yd",
                    "#3d4f78"
                )
                {
                    Print = ClothPrint.Spots,
                    Second = "#d9dbe6",
                },
                new(
                    "sheeting",
                    "Bleached sheeting",
                    E("90"),
                    E("1/2"),
                    false,
                    E("1/4 yd"),
                    E("0"),
                    "11",
                    "yd",
                    "#8d8a7c"
                )
                {
                    ShrinksAcross = "2",
                    ShrinksAlong = "4",
                },
                new("drill", "Oat drill", E("60"), E("1/2"), false, E("1/8 yd"), E("0"), "16", "yd", "#8a7448")
                {
                    Print = ClothPrint.Herringbone,
                    Second = "#a08c61",
                },
                new("sheet", "Washed linen sheet", E("81"), E("0"), false, E("1/8 yd"), E("0"), "38", "yd", "#6f7f74")
                {
                    Print = ClothPrint.Check,
                    Second = "#cfd6cf",
                    ArticleLength = E("96"),
                },
                new("towel", "Bath towel", E("40"), E("1"), false, E("1/8 yd"), E("0"), "9", "yd", "#7d6a72")
                {
                    ArticleLength = E("60"),
                },
            ],
            Items =
            [
                With(
                    Of(
                        new FittedSheet(),
                        "bunk-sheet",
                        "Bunk sheet",
                        "sheeting",
                        [("W", "31 1/2"), ("L", "74"), ("T", "7")]
                    ) with
                    {
                        Quantity = "4",
                    },
                    ("k", "1/2")
                ),
                Of(
                    new MattressGusset(),
                    "bunk-mattress",
                    "Bunk mattress",
                    "drill",
                    [("W", "30"), ("L", "74"), ("T", "6"), ("r", "3")],
                    ("panelGrain", "along")
                ) with
                {
                    Quantity = "2",
                },
                With(
                    Of(new DuvetCover(), "guest-duvet", "Guest duvet", "night", [("W", "76"), ("L", "84")]),
                    ("s", "5/8")
                ),
                Of(
                    new DuvetCover(),
                    "sheet-duvet",
                    "Duvet on a linen sheet",
                    "night",
                    [("L", "84"), ("Y", "80")],
                    ("back", "sheet"),
                    ("closing", "loops")
                ) with
                {
                    OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.SecondFace] = "sheet" },
                },
                Of(
                    new MattressStitchedOff(),
                    "futon",
                    "Night-watch futon",
                    "drill",
                    [("W", "39"), ("L", "75"), ("T", "5")],
                    ("panelGrain", "along")
                ),
                With(
                    Of(
                        new FittedSheet(),
                        "cot-sheet",
                        "Cot sheet",
                        "sheeting",
                        [("W", "27"), ("L", "51"), ("T", "5")],
                        ("for", "cot"),
                        ("tuck", "2")
                    ),
                    ("k", "1/2")
                ),
                Of(
                    new ContouredPad(),
                    "changing-pad",
                    "Changing pad, towelling",
                    "towel",
                    [("W", "16"), ("L", "32"), ("H1", "4"), ("W1", "2"), ("W2", "6"), ("H2", "1 1/2")]
                ),
            ],
        };

        static Entry E(string typed) => new(typed, JobUnit.Inch);
    }
}
