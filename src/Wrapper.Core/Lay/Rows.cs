using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// The hand sum, laid out: kind by kind, as many across as go into the usable width, row under row (craft §10), each
/// kind
/// whichever way takes fewer rows of it. Drops of a matched kind start whole repeats apart. By hand nobody lays into
/// remnants: rows begin behind them.
/// </summary>
internal static class Rows
{
    public static Placed Lay(IEnumerable<(LayPiece Piece, PieceKind Kind)> pieces, LayCloth cloth)
    {
        var placements = new List<Placement>();
        var (y, end) = (cloth.Stock.Ticks, 0L);
        foreach (var kind in pieces.GroupBy(pair => pair.Kind))
        {
            var repeat = kind.Key.IsMatched ? cloth.Repeat : null;
            // With a half-drop only every second repeat across stands at the same height.
            var (along, across) = (
                repeat?.Along.Ticks ?? 0,
                (repeat?.Across.Ticks ?? 0) * (repeat?.HalfDrop == true ? 2 : 1)
            );
            var count = kind.Count();
            long First(Way way) => Grid.First(repeat?.Across.Ticks ?? 0, way.OriginX);
            int Abreast(Way way) =>
                (int)
                    Math.Min(
                        int.MaxValue,
                        ((cloth.Usable.Ticks - First(way) - way.Region.Width) / UpTo(way.Region.Width, across)) + 1
                    );
            var way = kind.Key.Ways.MinBy(way =>
                ((count + Abreast(way) - 1L) / Abreast(way)) * UpTo(way.Region.Height, along)
            );
            var (width, height) = (way.Region.Width, way.Region.Height);
            foreach (var row in kind.Chunk(Abreast(way)))
            {
                y = Start(y, height, cloth, along, repeat is null ? 0 : Grid.Phase(repeat, way, First(way)));
                placements.AddRange(
                    row.Select(
                        (pair, at) =>
                            new Placement(
                                pair.Piece.Id,
                                way.Turns,
                                new Length(First(way) + (at * UpTo(width, across))),
                                new Length(y)
                            )
                    )
                );
                end = Math.Max(end, y + height);
                y += height;
            }
        }
        return new Placed(placements, new Length(end));
    }

    // A row that would reach over the end of an article begins with the next one, whose repeat begins anew.
    private static long Start(long y, long height, LayCloth cloth, long along, long phase)
    {
        for (; ; y = cloth.StockLengthAt(new Length(y)).Start.Ticks + cloth.Article!.Value.Ticks)
        {
            y = Grid.UpTo(y, along, phase, cloth);
            if (
                cloth.Article is not { } one
                || y + height <= cloth.StockLengthAt(new Length(y)).Start.Ticks + one.Ticks
            )
                return y;
        }
    }

    private static long UpTo(long length, long step) => step <= 0 ? length : (length + step - 1) / step * step;
}
