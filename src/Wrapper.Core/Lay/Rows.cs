using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// The hand sum, laid out: kind by kind, as many across as go into the usable width, row under row (handbook §10), each kind
/// whichever way takes fewer rows of it.
/// </summary>
internal static class Rows
{
    public static Placed Lay(IEnumerable<(LayPiece Piece, Kind Kind)> pieces, long usable)
    {
        var placements = new List<Placement>();
        var y = 0L;
        foreach (var kind in pieces.GroupBy(pair => pair.Kind))
        {
            var count = kind.Count();
            var (turns, region) = kind.Key.Ways.MinBy(way => Stacked(way.Region, count, usable));
            var across = usable / region.Width;
            var at = 0L;
            foreach (var (piece, _) in kind)
            {
                placements.Add(new Placement(piece.Id, turns, new Length(at % across * region.Width), new Length(y + (at / across * region.Height))));
                at++;
            }
            y += Stacked(region, count, usable);
        }
        return new Placed(placements, new Length(y));
    }

    // Length of the rows that so many of one kind take.
    private static long Stacked(Region region, int count, long usable)
    {
        var across = usable / region.Width;
        return (count + across - 1) / across * region.Height;
    }
}
