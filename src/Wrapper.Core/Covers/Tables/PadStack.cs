using System.Globalization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>The layers under a cover from the board up, each with its area (handbook §9.3).</summary>
internal static class PadStack
{
    /// <summary>Barrier, wadding and pads on a rectangular board W x L.</summary>
    public static IEnumerable<Notion> Of(Reading reading, IReadOnlyList<Working> pads)
    {
        var (w, l) = (reading.Measure("W").Value, reading.Measure("L").Value);
        var board = Outline.Rectangle(w, l);
        string Sheet(int times) => $"{reading.Say(w)} x {reading.Say(l)}{(times > 1 ? $", {times} times" : "")}: {Area(reading, board, times)}";
        if (reading.Chosen("barrier", "under")) yield return new("barrier", "moisture barrier, under the wadding", null) { Amount = Sheet(1) };
        if (reading.Count("turns") is > 0 and var turns) yield return new("wadding", "wadding, wrapped", null, Note: $"{turns} turns, above and below") { Amount = Sheet(2 * turns) };
        for (var n = 0; n < pads.Count; n++) yield return Layer(reading, n + 1, pads[n].Value, board);
    }

    /// <summary>One pad layer as large as the board, counted from the board up.</summary>
    public static Notion Layer(Reading reading, int n, Length thick, Outline board)
    {
        var (left, bottom, right, top) = board.Bounds();
        return new($"pad-{n}", $"pad layer {n}, {reading.Say(thick)} thick", null) { Amount = $"{reading.Say(right - left)} x {reading.Say(top - bottom)}: {Area(reading, board, 1)}" };
    }

    // To a hundredth of a square foot or of a square metre.
    private static string Area(Reading reading, Outline board, int times)
    {
        const double squareFoot = 0.3048 * 0.3048;
        var area = times * board.AreaSquareMetres() / (reading.Unit.IsInches() ? squareFoot : 1);
        return $"{area.ToString("0.00", CultureInfo.InvariantCulture)} {(reading.Unit.IsInches() ? "sq ft" : "sq m")}";
    }
}
