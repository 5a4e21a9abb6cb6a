using Wrapper.Core.Covers.Cushions;
using Wrapper.Core.Covers.Ottomans;
using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Covers.Tables;
using Wrapper.Core.Declaring;

namespace Wrapper.Core.Covers.Drawn;

/// <summary>
/// A small drawing of what an answer does, as SVG path data in a field 60 wide and 40 high, y down: edges and cut lines,
/// stitch lines, and what is sewn in (zip, elastic). Each may be empty.
/// </summary>
public sealed record OptionDrawing(string Solid, string Dashed, string Heavy);

/// <summary>Drawings of answers whose words alone say too little: corners, zips, pleats, elastic, joins.</summary>
public static class OptionDrawings
{
    // A box seen from its corner, and a sheet seen flat from above with one corner in sight.
    private const string Box = "M4 13L30 5L56 13V33L30 39L4 33ZM4 13L30 20L56 13",
        Notched = "M2 6H40V18H58V38H2Z",
        Pad = "M8 6H52V36H8Z",
        Sheet = "M4 4H56V36H4Z";

    private static readonly Dictionary<Enum, OptionDrawing> All = new()
    {
        [CornerSchool.Cut] = new(Notched, "M2 9H37V21H58", ""),
        [CornerSchool.StitchOff] = new("M2 38L30 8L58 38Z", "M30 8V16M18 21H42", ""),
        [CornerSchool.SquareDrop] = new("M2 6H46V12H58V38H2Z", "M2 15H37V38M37 15L46 12", ""),
        [SheetCorners.Squared] = new(Notched, "M2 9H37V21H58", ""),
        [SheetCorners.SquareDrop] = new("M2 6H46V12H58V38H2Z", "M2 15H37V38M37 15L46 12", ""),
        [SheetCorners.Rounded] = new("M2 6H34A24 24 0 0 1 58 30V38H2Z", "M2 9H33A22 22 0 0 1 55 31V38", ""),
        [CapCornerSchool.Boxed] = new(Box, "M30 20V39", ""),
        [CapCornerSchool.Pleated] = new($"{Box}M30 20L21 37M30 20L39 37", "", ""),
        [TableCornerSchool.Sewn] = new("M4 10H56M4 38H56", "M30 10V38", ""),
        [TableCornerSchool.Pleat] = new("M4 10H56M4 38H56M30 10V38M20 10V38M40 10V38M23 24H29M37 24H31", "", ""),
        [PillowCornerSchool.Boxed] = new(Box, "M30 20V39", ""),
        [PillowCornerSchool.Plain] = new("M4 12Q30 6 56 12L58 24Q30 34 2 24Z", "M4 22Q30 31 56 22", ""),
        [ZipSchool.Full] = new(Pad, "", "M8 6H52"),
        [ZipSchool.Inside] = new(Pad, "", "M15 6H45"),
        [ZipSchool.Closed] = new(Pad, "", "M12 6H48M12 3V9M48 3V9"),
        [ZipSchool.Round] = new(Pad, "", "M8 17V6H52V17"),
        [PadClosing.Inside] = new(Pad, "", "M15 6H45"),
        [PadClosing.Round] = new(Pad, "", "M8 17V6H52V17"),
        [PadClosing.Hand] = new(Pad, "M15 9H45", ""),
        [LapPlaces.None] = new("M4 12H56V28H4Z", "", "M4 20H56"),
        [LapPlaces.One] = new("M4 12H56V28H4ZM4 12H14V28H4Z", "", "M14 20H56"),
        [LapPlaces.Both] = new("M4 12H56V28H4ZM4 12H14V28M46 12V28", "", "M14 20H46"),
        [JoinPlaces.Corners] = new(Pad, "M4 2L12 10M48 10L56 2M4 40L12 32M48 32L56 40", ""),
        [JoinPlaces.Evenly] = new(Pad, "M4 18H12M48 18H56M22 32V40M38 32V40", ""),
        [WidthSchool.Centre] = new(Sheet, "M17 4V36M43 4V36", ""),
        [WidthSchool.Two] = new(Sheet, "M30 4V36", ""),
        [WidthSchool.Strip] = new(Sheet, "M47 4V36", ""),
        [WidthSchool.None] = new(Sheet, "", ""),
        [ElasticRun.Whole] = new("", "", Waves(4, 56, 6) + Waves(4, 56, 34) + "M4 6V34M56 6V34"),
        [ElasticRun.Corners] = new(
            "M20 6H40M20 34H40",
            "",
            Waves(4, 20, 6) + Waves(40, 56, 6) + Waves(4, 20, 34) + Waves(40, 56, 34)
        ),
        [ElasticRun.Pull] = new("M4 6H56V34H4Z", "", "M30 34V40M26 40L30 34L34 40"),
        [ElasticEdge.Casing] = new("M4 8H56V32H4ZM4 20H56", "", Waves(4, 56, 26)),
        [ElasticEdge.Sewn] = new("M4 8H56V32H4Z", "", Waves(4, 56, 31)),
    };

    /// <summary>The drawing of an answer; null where its words are enough.</summary>
    public static OptionDrawing? Of(Option option) =>
        option.Member is { } member ? All.GetValueOrDefault(member) : null;

    // A line drawn in: up and down every four.
    private static string Waves(int from, int to, int y) =>
        $"M{from} {y}"
        + string.Concat(Enumerable.Range(0, (to - from) / 4).Select(n => $"q2 {(n % 2 == 0 ? -4 : 4)} 4 0"));
}
