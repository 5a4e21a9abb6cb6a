using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// The hand sum, laid out: kind by kind, as many across as go into the usable width, row under row (handbook §10), each kind
/// whichever way takes fewer rows of it. Drops of a matched kind start whole repeats apart.
/// </summary>
internal static class Rows
{
    public static Placed Lay(IEnumerable<(LayPiece Piece, Kind Kind)> pieces, LayCloth cloth)
    {
        var placements = new List<Placement>();
        var (y, end) = (0L, 0L);
        foreach (var kind in pieces.GroupBy(pair => pair.Kind))
        {
            var repeat = kind.Key.IsMatched ? cloth.Repeat : null;
            // With half-drop every second repeat across stands level.
            var (along, across) = (repeat?.Along.Ticks ?? 0, (repeat?.Across.Ticks ?? 0) * (repeat?.HalfDrop == true ? 2 : 1));
            var count = kind.Count();
            int Abreast(Region region) => (int)Math.Min(int.MaxValue, ((cloth.Usable.Ticks - region.Width) / UpTo(region.Width, across)) + 1);
            var (turns, region) = kind.Key.Ways.MinBy(way => ((count + Abreast(way.Region) - 1L) / Abreast(way.Region)) * UpTo(way.Region.Height, along));
            foreach (var row in kind.Chunk(Abreast(region)))
            {
                y = UpTo(Within(y, region.Height, cloth.Article), along);
                placements.AddRange(row.Select((pair, at) => new Placement(pair.Piece.Id, turns, new Length(at * UpTo(region.Width, across)), new Length(y))));
                end = Math.Max(end, y + region.Height);
                y += region.Height;
            }
        }
        return new Placed(placements, new Length(end));
    }

    // A row that would reach over the end of an article begins with the next one.
    private static long Within(long y, long height, Length? article) => article is { Ticks: var one } && (y % one) + height > one ? (y / one + 1) * one : y;

    private static long UpTo(long length, long step) => step <= 0 ? length : (length + step - 1) / step * step;
}
