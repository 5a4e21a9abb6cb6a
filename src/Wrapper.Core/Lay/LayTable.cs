using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// A lay of one cloth: the best found, the hand sum beside it, and a length that no lay can be under; where both lengths meet the lay is proven shortest.
/// Pieces too large for the cloth stand in <see cref="Misfits"/> and are left out.
/// </summary>
public sealed record ClothLay(Placed Best, Placed Hand, Length ShortestPossible, IReadOnlyList<Misfit> Misfits)
{
    /// <summary>Whether no lay is shorter.</summary>
    public bool IsProven => Best.Length <= ShortestPossible;
}

/// <summary>Lays pieces on one cloth.</summary>
public static class LayTable
{
    /// <summary>
    /// Lays <paramref name="pieces"/> on <paramref name="cloth"/> at once; the same pieces always lie the same way. Ready-made articles lie one behind
    /// the other, and no piece reaches over from one into the next. Nobody waits for a lay that is <paramref name="superseded"/>: it ends in an
    /// <see cref="OperationCanceledException"/>.
    /// </summary>
    public static ClothLay Of(IReadOnlyList<LayPiece> pieces, LayCloth cloth, CancellationToken superseded = default)
    {
        var table = new LaySet(pieces, cloth);
        var ways = new List<Func<Placed?>> { () => table.Hand };
        ways.AddRange(table.Outlined(superseded));
        if (cloth.IsPlain)
        {
            // In a few dozen milliseconds: many lays followed side by side, and one bettered by exchanges.
            ways.Add(() => table.Followed(BeamWidth(table.Count), superseded));
            ways.Add(() => table.Exchanged(seed: 1, rounds: 8, steps: 40_000 / Math.Max(1, 8 * table.Count), superseded));
        }
        var found = ways.AsParallel().AsOrdered().WithDegreeOfParallelism(Math.Max(2, Environment.ProcessorCount)).WithCancellation(superseded).Select(way => way()).AsEnumerable().OfType<Placed>().ToList();
        var best = found.Where((lay, at) => at > 0 || (cloth.Flaws.Count == 0 && cloth.Pins.Count == 0)).MinBy(lay => lay.Length) ?? table.Hand;
        return table.Finished(cloth.IsPlain ? table.Nested(best, superseded) : best, superseded);
    }

    /// <summary>The hand sum alone: rows of each kind (handbook §10). Pieces that the cloth cannot take are left out.</summary>
    public static Length ByHand(IReadOnlyList<LayPiece> pieces, LayCloth cloth) => new LaySet(pieces, cloth).HandLength;

    // Work grows with the square of the pieces.
    private static int BeamWidth(int pieces) => pieces <= 40 ? 200 : Math.Max(2, (int)(120 * Math.Min(1, 180.0 / pieces * (180.0 / pieces))));
}
