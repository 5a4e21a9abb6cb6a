using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Builds lays of outlines up from the squared end, several side by side: of the pieces that are left some are tried
/// where they come lowest, each way, and those lays are gone on with that have lost the least cloth below their upper
/// edge, and have the least room up to their upper end, which counts <paramref name="open"/> times as much. So the piece
/// that fits is taken, and not the one whose turn it is. Source: filtered beam search (Bennell and Song 2010).
/// </summary>
internal sealed class OutlineBeam(
    IReadOnlyList<(LayPiece Piece, PieceKind Kind)> fit,
    LayCloth cloth,
    int width,
    int tried,
    double open
)
{
    private const int Columns = 96;

    private sealed record State(
        BottomLeft Table,
        double[] Edge,
        int[] Left,
        double Placed,
        double Score,
        State? Before,
        int Kind,
        BottomLeft.Spot Spot
    );

    private readonly double column = (double)cloth.Usable.Ticks / Columns;

    /// <summary>The lay that comes out shortest; with <paramref name="dice"/> what is tried is drawn by chance.</summary>
    public Placed? Find(CancellationToken stop, Random? dice = null)
    {
        var groups = fit.GroupBy(each => each.Kind).OrderByDescending(group => group.Key.Area).ToList();
        var kinds = groups.ConvertAll(group => group.Key);
        List<State> states =
        [
            new(
                BottomLeft.For(fit, cloth),
                new double[Columns],
                [.. groups.Select(group => group.Count())],
                0,
                0,
                null,
                -1,
                default
            ),
        ];
        for (var laid = 0; laid < fit.Count; laid++)
        {
            var next = new List<State>();
            foreach (var state in states)
            foreach (var kind in Some(state.Left, dice))
            foreach (var at in Enumerable.Range(0, kinds[kind].Ways.Count))
            {
                stop.ThrowIfCancellationRequested();
                var spot = state.Table.Best(kinds[kind].Ways.Count == 1 ? kinds[kind] : kinds[kind].Kept(at));
                next.Add(After(state, kind, kinds[kind], spot));
            }
            states =
            [
                .. next.OrderBy(state => state.Score)
                    .DistinctBy(state => (state.Score, state.Kind))
                    .Take(width)
                    .Select(Gone),
            ];
        }
        var best = states.MinBy(state => state.Table.Reached)!;
        var waiting = groups.ConvertAll(group => new Queue<string>(group.Select(each => each.Piece.Id)));
        List<State> steps = [];
        for (var at = best; at.Before is { } before; at = before)
            steps.Add(at);
        return new Placed(
            [
                .. Enumerable
                    .Reverse(steps)
                    .Select(step => new Placement(
                        waiting[step.Kind].Dequeue(),
                        step.Spot.Way.Turns,
                        new Length(step.Spot.X),
                        new Length(step.Spot.Y)
                    )),
            ],
            new Length(best.Table.Reached)
        );
    }

    // The largest that are left, and others all through the list.
    private List<int> Some(int[] left, Random? dice)
    {
        List<int> there = [.. Enumerable.Range(0, left.Length).Where(kind => left[kind] > 0)];
        if (there.Count <= tried)
            return there;
        var first = tried / 2;
        return
        [
            .. there.Take(first),
            .. Enumerable
                .Range(0, tried - first)
                .Select(n =>
                    dice is null
                        ? there[first + (n * (there.Count - first) / (tried - first))]
                        : there[dice.Next(first, there.Count)]
                )
                .Distinct(),
        ];
    }

    private State After(State state, int kind, PieceKind of, BottomLeft.Spot spot)
    {
        var edge = (double[])state.Edge.Clone();
        Raise(edge, spot);
        var placed = state.Placed + of.Area;
        var (below, reached) = (edge.Sum() * column, Math.Max(state.Table.Reached, spot.Top));
        var lost = below - placed;
        var room = ((double)reached * cloth.Usable.Ticks) - below;
        return new(state.Table, edge, state.Left, placed, (lost + (open * room)) / placed, state, kind, spot);
    }

    // Only what is gone on with is laid.
    private static State Gone(State state)
    {
        var table = state.Table.Copy();
        table.Put(state.Spot);
        var left = (int[])state.Left.Clone();
        left[state.Kind]--;
        return state with { Table = table, Left = left };
    }

    private void Raise(double[] edge, BottomLeft.Spot spot)
    {
        foreach (var chain in spot.Way.Region.Upright.Chains)
        {
            var slab = 0;
            var from = Math.Max(0, (int)((spot.X + chain[0].Left) / column));
            for (var at = from; at < Columns; at++)
            {
                var x = (long)((at + 0.5) * column) - spot.X;
                while (slab < chain.Length && chain[slab].Right <= x)
                    slab++;
                if (slab == chain.Length)
                    break;
                if (x > chain[slab].Left)
                    edge[at] = Math.Max(edge[at], chain[slab].Top(x) + spot.Y);
            }
        }
    }
}
