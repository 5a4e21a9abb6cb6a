using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// The hand sum, laid out: kind by kind, as many across as go into the usable width, row under row (handbook §10). Each kind lies
/// the first way that fits.
/// </summary>
internal static class Rows
{
    public static Placed Lay(IEnumerable<(LayPiece Piece, Kind Kind)> pieces, long usable)
    {
        var placements = new List<Placement>();
        var y = 0L;
        foreach (var kind in pieces.GroupBy(pair => (pair.Piece.Item, pair.Piece.Piece)))
        {
            var (turns, region) = kind.First().Kind.Ways[0];
            var across = usable / region.Width;
            var at = 0L;
            foreach (var (piece, _) in kind)
            {
                placements.Add(new Placement(piece.Id, turns, new Length(at % across * region.Width), new Length(y + (at / across * region.Height))));
                at++;
            }
            y += (at + across - 1) / across * region.Height;
        }
        return new Placed(placements, new Length(y));
    }
}
