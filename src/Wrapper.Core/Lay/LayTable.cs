using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// A lay of one cloth: the best found, the hand sum beside it, and a length that no lay can be under. Pieces too wide for the
/// cloth stand in <see cref="Misfits"/> and are left out.
/// </summary>
public sealed record ClothLay(Placed Best, Placed Hand, Length ShortestPossible, IReadOnlyList<Misfit> Misfits);

/// <summary>Lays pieces on one cloth.</summary>
public static class LayTable
{
    // More pieces than this are laid in rows only: placing one by one would keep the maker waiting.
    private const int MostPlacedSingly = 600;

    /// <summary>
    /// Lays <paramref name="pieces"/> within <paramref name="usable"/> width; the same pieces always lie the same way. Nobody waits for a lay
    /// that is <paramref name="superseded"/>: it ends in an <see cref="OperationCanceledException"/>.
    /// </summary>
    public static ClothLay Of(IReadOnlyList<LayPiece> pieces, Length usable, bool oneWay, CancellationToken superseded = default)
    {
        // One kind for each outline: the turned-over half of a pair is a kind of its own.
        var kinds = new Dictionary<(Outline, Grain), Kind>();
        var all = pieces.Select(piece =>
        {
            if (!kinds.TryGetValue((piece.Cut, piece.Grain), out var kind))
                kinds[(piece.Cut, piece.Grain)] = kind = Kind.Of(piece, usable.Ticks, oneWay);
            return (Piece: piece, Kind: kind);
        }).ToList();

        var misfits = all.Where(pair => pair.Kind.Ways.Count == 0).Select(pair => new Misfit(pair.Piece.Id, pair.Piece.Label, Across(pair.Piece))).ToList();
        var fit = all.Where(pair => pair.Kind.Ways.Count > 0).ToList();
        var hand = Rows.Lay(fit, usable.Ticks);
        var best = fit.Count > MostPlacedSingly ? hand : Orders(fit).AsParallel().AsOrdered().WithCancellation(superseded).Select(order => BottomLeft.Lay(order, usable.Ticks, superseded)).AsEnumerable().Append(hand).MinBy(lay => lay.Length)!;
        return new ClothLay(best, hand, ShortestPossible([.. fit.Select(pair => pair.Kind)], usable), misfits);
    }

    // Orders in which good lays are found; fewer of them for many pieces.
    private static IEnumerable<IEnumerable<(LayPiece, Kind Kind)>> Orders(List<(LayPiece Piece, Kind Kind)> pieces)
    {
        Func<Kind, long>[] keys =
        [
            kind => kind.Ways[0].Region.Height,
            kind => kind.Ways[0].Region.Width,
            kind => (long)(kind.Area / Length.TicksPerInch),
            kind => Math.Max(kind.Ways[0].Region.Width, kind.Ways[0].Region.Height),
            kind => kind.Ways[0].Region.Width + kind.Ways[0].Region.Height,
            kind => kind.Ways.Min(way => way.Region.Height),
        ];
        // What an order costs grows with the rectangles that pieces are covered by: slants and curves have many.
        var cells = pieces.Sum(pair => pair.Kind.Ways[0].Region.Cells.Length);
        return keys.Take(pieces.Count <= 80 && cells <= 300 ? keys.Length : pieces.Count <= 200 && cells <= 1200 ? 3 : 1)
            .Select(key => pieces.OrderByDescending(pair => key(pair.Kind)).ThenByDescending(pair => pair.Kind.Area).Select(pair => (pair.Piece, pair.Kind)));
    }

    // No lay is shorter than its area spread over the width, than its tallest piece, or than the stack of all pieces that are
    // wider than half the cloth, since no two of those lie side by side.
    private static Length ShortestPossible(IReadOnlyList<Kind> kinds, Length usable)
    {
        if (kinds.Count == 0) return Length.Zero;
        var area = (long)Math.Floor(kinds.Sum(kind => kind.Area) / usable.Ticks);
        var tallest = kinds.Max(kind => kind.Ways.Min(way => way.Region.Height));
        // Only plain rectangles count as wide: a notched piece may let another reach into its cut-outs.
        var stacked = kinds.Where(kind => kind.Ways.All(way => way.Region.Cells.Length == 1 && 2 * way.Region.Width > usable.Ticks))
            .Sum(kind => kind.Ways.Min(way => way.Region.Height));
        return new Length(Math.Max(area, Math.Max(tallest, stacked)));
    }

    private static Length Across(LayPiece piece)
    {
        var (left, bottom, right, top) = piece.Cut.Bounds();
        return piece.Grain switch
        {
            Grain.Across => top - bottom,
            Grain.Either => Length.Min(right - left, top - bottom),
            _ => right - left,
        };
    }
}
