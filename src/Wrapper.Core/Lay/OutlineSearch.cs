namespace Wrapper.Core.Lay;

/// <summary>
/// Looks for the order in which outlines, laid one after another, come out shortest: two change places, one moves, or
/// one is kept to a way of lying. What comes out no longer than some tries before is gone on from, so that it finds its
/// way out of hollows. The same seed and number of tries give the same lay.
/// Source: late acceptance (Burke and Bykov 2012) over bottom-left orders.
/// </summary>
internal sealed class OutlineSearch
{
    private const int Late = 24,
        Near = 6;

    private readonly LayCloth cloth;
    private readonly Random random;
    private readonly double[] late = new double[Late];
    private (LayPiece Piece, PieceKind Kind, int Kept)[] order;
    private double cost;
    private int tried;

    /// <summary>Begins from an order.</summary>
    public OutlineSearch(IEnumerable<(LayPiece Piece, PieceKind Kind)> from, LayCloth cloth, int seed)
    {
        (this.cloth, random) = (cloth, new Random(seed));
        order = [.. from.Select(each => (each.Piece, each.Kind, 0))];
        cost = double.MaxValue;
    }

    /// <summary>The shortest so far; null before anything was tried.</summary>
    public Placed? Best { get; private set; }

    /// <summary>Goes on from another lay, if that is shorter than what it is at: its pieces from the squared end on.</summary>
    public void From(Placed lay)
    {
        if (Cost(lay) >= cost)
            return;
        var of = order.ToDictionary(each => each.Piece.Id);
        order =
        [
            .. lay
                .Placements.OrderBy(at => at.Y)
                .ThenBy(at => at.X)
                .Select(at =>
                    of[at.Id] is var (piece, kind, _)
                        ? (piece, kind, 1 + kind.Ways.ToList().FindIndex(way => way.Turns == at.Turns))
                        : default
                ),
        ];
        // What it comes out as, laid one after another, is where it begins; a hair longer is gone on from all the same.
        cost = Cost(lay) * 1.01;
        Array.Fill(late, cost);
    }

    /// <summary>Tries so many changes of the order.</summary>
    public void Run(int tries, CancellationToken stop)
    {
        if (Best is null)
        {
            Take(order, Laid(order, long.MaxValue, stop));
            Array.Fill(late, cost);
        }
        for (var n = 0; n < tries; n++)
        {
            stop.ThrowIfCancellationRequested();
            var next = Changed();
            // Nothing that comes out much longer is laid to its end.
            var most = Best is { } best ? best.Length.Ticks + (best.Length.Ticks / 12) : long.MaxValue;
            if (Laid(next, most, stop) is { } lay && Cost(lay) is var found)
            {
                if (found <= cost || found <= late[tried % Late])
                    Take(next, lay);
            }
            late[tried++ % Late] = cost;
        }
    }

    private void Take((LayPiece, PieceKind, int)[] next, Placed? lay)
    {
        if (lay is null)
            return;
        (order, cost) = (next, Cost(lay));
        if (Best is null || lay.Length < Best.Length)
            Best = lay;
    }

    // How long it is, and how low its pieces lie on the whole: of lays of one length the one with more room above.
    private static double Cost(Placed lay) =>
        lay.Length.Ticks + (0.5 * lay.Placements.Average(at => (double)at.Y.Ticks));

    private Placed? Laid((LayPiece Piece, PieceKind Kind, int Kept)[] of, long most, CancellationToken stop) =>
        BottomLeft.Lay(
            [.. of.Select(each => (each.Piece, each.Kept == 0 ? each.Kind : each.Kind.Kept(each.Kept - 1)))],
            cloth,
            stop,
            most
        );

    private (LayPiece, PieceKind, int)[] Changed()
    {
        var next = ((LayPiece Piece, PieceKind Kind, int Kept)[])order.Clone();
        var a = random.Next(next.Length);
        // Mostly one that lies near.
        var b =
            random.Next(3) == 0
                ? random.Next(next.Length)
                : Math.Clamp(a + random.Next(-Near, Near + 1), 0, next.Length - 1);
        switch (random.Next(4))
        {
            case 0 when next[a].Kind.Ways.Count > 1:
                next[a].Kept = random.Next(next[a].Kind.Ways.Count + 1);
                break;
            case 1:
                // One moves, those between close up.
                var moved = next[a];
                if (a < b)
                    Array.Copy(next, a + 1, next, a, b - a);
                else
                    Array.Copy(next, b, next, b + 1, a - b);
                next[b] = moved;
                break;
            default:
                (next[a], next[b]) = (next[b], next[a]);
                break;
        }
        return next;
    }
}
