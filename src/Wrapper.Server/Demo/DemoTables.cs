using Wrapper.Core.Covers.Tables;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Server.Demo;

/// <summary>
/// Metric: the reading room's map tables, round and square, a pressing table with a vice in the way, and an ironing
/// board.
/// </summary>
internal static class DemoTables
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
        ) => DemoJobs.Item(makeUp, id, name, cloth, JobUnit.Centimetre, measures, choices);
        return JobDocument.Empty("Map tables and pressing room", JobUnit.Centimetre) with
        {
            Customer = "Mill Lane Reading Room",
            Cloths =
            [
                new("baize", "Bottle-green baize", E("150"), E("1.5"), false, E("10 cm"), E("0"), "27", "m", "#2f5d4a"),
                new("damask", "Pewter damask", E("140"), E("1.5"), false, E("10 cm"), E("0"), "33", "m", "#6b7178")
                {
                    Second = "#8d949c",
                    RepeatAlong = E("32"),
                    RepeatAcross = E("34"),
                },
                new("wadding", "Wool wadding", E("150"), E("0"), false, E("10 cm"), E("0"), "9.50", "m", "#b9ab8f"),
                new("twill", "Unbleached twill", E("160"), E("1"), false, E("50 cm"), E("0"), "12", "m", "#9a8a66")
                {
                    Stock = [new("left of the blinds", E("95"), E("118"))],
                    LeastCut = E("1 m"),
                    Prices = [new(E("5 m"), "10.50")],
                },
            ],
            Items =
            [
                Of(
                    new TableFivePieces(),
                    "map-table",
                    "Long map table",
                    "baize",
                    [("W", "180"), ("L", "90"), ("H", "72"), ("F", "74")],
                    ("corners", "pleat"),
                    ("panelGrain", "across")
                ),
                Of(new TableOnePiece(), "side-table", "Side table", "baize", [("W", "60"), ("L", "40"), ("H", "25")]),
                Of(new RoundTableDraped(), "round-table", "Round reading table", "damask", [("d", "110"), ("H", "25")]),
                Of(new RoundTableSkirted(), "globe-table", "Globe table", "damask", [("d", "80"), ("H", "70")]),
                Of(new CentrePanel(), "compass", "Compass panel", "damask", [("d", "45")]) with
                {
                    OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.SecondFace] = "twill" },
                    Matches = new Dictionary<string, Match> { ["panel"] = Match.Centred },
                },
                Of(
                    new ElasticCap(),
                    "pressing-table",
                    "Pressing table",
                    "twill",
                    [("W", "120"), ("L", "60"), ("T", "2"), ("x1", "35"), ("y1", "16")],
                    ("obstacles", "1"),
                    ("side1", "front"),
                    ("pads", "1"),
                    ("turns", "1"),
                    ("barrier", "under"),
                    ("backOver", "5")
                ) with
                {
                    OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.Wadding] = "wadding" },
                },
                Of(
                    new TracedBoard(),
                    "ironing-board",
                    "Ironing board",
                    "twill",
                    [
                        ("W", "38"),
                        ("L", "112"),
                        ("B", "22"),
                        ("b", "9"),
                        ("T", "2"),
                        ("f1", "40"),
                        ("w1", "38"),
                        ("f2", "85"),
                        ("w2", "35"),
                    ],
                    ("stations", "2"),
                    ("pad", "0.8")
                ) with
                {
                    OtherCloths = new Dictionary<ClothRole, string> { [ClothRole.PadLayer] = "wadding" },
                },
            ],
        };

        static Entry E(string typed) => new(typed, JobUnit.Centimetre);
    }
}
