using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// The hand sum, laid out as a careful person does (craft §10): rows across the cloth, as many of a kind as go into the
/// usable width; the longest kinds begin, and shorter ones share what their rows leave of the width (first fit by
/// decreasing height). Each kind lies whichever way takes fewer rows of it; drops of a matched kind start whole repeats
/// apart and keep rows of their own. By hand nobody lays into remnants: rows begin behind them.
/// </summary>
internal static class Rows
{
    public static Placed Lay(IEnumerable<(LayPiece Piece, PieceKind Kind)> pieces, LayCloth cloth)
    {
        var table = new Table(cloth);
        var kinds = pieces.GroupBy(pair => pair.Kind).ToList();
        foreach (var kind in kinds.Where(kind => kind.Key.IsMatched))
            table.Match(kind.Key, [.. kind.Select(pair => pair.Piece.Id)]);
        foreach (
            var (way, ids) in kinds
                .Where(kind => !kind.Key.IsMatched)
                .Select(kind => (Way: FewestRows(kind, cloth), Ids: kind.Select(pair => pair.Piece.Id).ToList()))
                .OrderByDescending(kind => kind.Way.Region.Height)
        )
            table.Share(way, ids);
        return table.Placed;
    }

    private static Way FewestRows(IGrouping<PieceKind, (LayPiece Piece, PieceKind Kind)> kind, LayCloth cloth)
    {
        long Count(Way way)
        {
            var abreast = Math.Max(1, cloth.Usable.Ticks / way.Region.Width);
            return (kind.Count() + abreast - 1) / abreast * way.Region.Height;
        }
        return kind.Key.Ways.MinBy(Count)!;
    }

    private sealed class Table(LayCloth cloth)
    {
        private readonly List<Placement> placements = [];
        private readonly List<(long Y, long Height, long Used)> rows = [];
        private long next = cloth.Stock.Ticks;
        private long end;

        public Placed Placed => new(placements, new Length(end));

        /// <summary>Every piece of a kind in the first row that has room for it, else in a row of its own.</summary>
        public void Share(Way way, IReadOnlyList<string> ids)
        {
            var (width, height) = (way.Region.Width, way.Region.Height);
            foreach (var id in ids)
            {
                var at = rows.FindIndex(row => height <= row.Height && row.Used + width <= cloth.Usable.Ticks);
                if (at < 0)
                {
                    at = rows.Count;
                    rows.Add((Open(height, 0, 0), height, 0));
                }
                var row = rows[at];
                placements.Add(new Placement(id, way.Turns, new Length(row.Used), new Length(row.Y)));
                rows[at] = row with { Used = row.Used + width };
            }
        }

        /// <summary>A kind that lies on the repeat, in rows of its own.</summary>
        public void Match(PieceKind kind, IReadOnlyList<string> ids)
        {
            var repeat = cloth.Repeat!;
            // With a half-drop only every second repeat across stands at the same height.
            var (along, across) = (repeat.Along.Ticks, repeat.Across.Ticks * (repeat.HalfDrop ? 2 : 1));
            long First(Way way) => Grid.First(repeat.Across.Ticks, way.OriginX);
            int Abreast(Way way) =>
                (int)
                    Math.Min(
                        int.MaxValue,
                        ((cloth.Usable.Ticks - First(way) - way.Region.Width) / UpTo(way.Region.Width, across)) + 1
                    );
            var way = kind.Ways.MinBy(way =>
                ((ids.Count + Abreast(way) - 1L) / Abreast(way)) * UpTo(way.Region.Height, along)
            )!;
            var (width, height) = (way.Region.Width, way.Region.Height);
            foreach (var row in ids.Chunk(Abreast(way)))
            {
                var y = Open(height, along, Grid.Phase(repeat, way, First(way)));
                placements.AddRange(
                    row.Select(
                        (id, at) =>
                            new Placement(
                                id,
                                way.Turns,
                                new Length(First(way) + (at * UpTo(width, across))),
                                new Length(y)
                            )
                    )
                );
            }
        }

        private long Open(long height, long along, long phase)
        {
            var y = Start(next, height, cloth, along, phase);
            next = y + height;
            end = Math.Max(end, next);
            return y;
        }
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
