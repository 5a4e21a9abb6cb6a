using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Rows across the cloth in which slants lie against slants and bows in hollows, head to foot where the grain allows it:
/// each begins with the tallest piece that is left, and takes beside it those of about its height that lose the least.
/// Several lays are followed side by side, those gone on with that have lost the least cloth so far.
/// </summary>
internal sealed class NestedRows
{
    // Of the pieces that are left so many of the next lower ones are tried beside the tallest; so many rows are followed
    // while one is filled, and so many of the filled ones gone on with.
    private const int Beside = 14,
        Filling = 40,
        Filled = 6;

    // What corners lose by being whole counts: 0.001 mm.
    private const long Slop = 4;

    private readonly record struct Lying(int Kind, Way Way, Profile Side, double Right);

    // A row being filled: what lies in it from left to right, how high it is, and what it has lost up to its right side.
    private sealed record Row(int[] Ways, long[] Xs, double Area, long Height, double Lost);

    // The row with one piece more, before it is known whether it is gone on with.
    private readonly record struct Longer(Row From, int At, long X, double Area, long Height, double Lost)
    {
        public Row Row() => new([.. From.Ways, At], [.. From.Xs, X], Area, Height, Lost);
    }

    private sealed record State(int[] Left, double Area, double Lost, long Reached, State? Before, Row? Last);

    private readonly LayCloth cloth;
    private readonly List<IGrouping<PieceKind, (LayPiece Piece, PieceKind Kind)>> groups;
    private readonly Lying[] lying;
    private readonly Dictionary<(int Left, int Right), long> beside = [];
    private readonly Stretches refused = new();

    /// <summary>For these pieces; the tallest first, each by the way in which it is lowest.</summary>
    public NestedRows(IReadOnlyList<(LayPiece Piece, PieceKind Kind)> fit, LayCloth cloth)
    {
        this.cloth = cloth;
        groups =
        [
            .. fit.GroupBy(each => each.Kind)
                .OrderByDescending(group => group.Key.Ways.Min(way => way.Region.Height))
                .ThenByDescending(group => group.Key.Area),
        ];
        lying =
        [
            .. groups.SelectMany(
                (group, kind) =>
                    group.Key.Ways.Select(way =>
                        (
                            cloth.Gap.IsPositive ? way.Region : way.Region.Close(group.First().Piece.Cut, way.Turns)
                        ).Sideways
                            is var side
                            ? new Lying(kind, way, side, MeanRight(side) / way.Region.Height)
                            : default
                    )
            ),
        ];
    }

    /// <summary>The shortest lay in rows, following so many.</summary>
    public Placed Find(int width, CancellationToken stop)
    {
        List<State> states = [new([.. groups.Select(group => group.Count())], 0, 0, 0, null, null)];
        State? best = null;
        while (states.Count > 0)
        {
            stop.ThrowIfCancellationRequested();
            var next = states.SelectMany(state => Rows(state).Select(row => After(state, row))).ToList();
            foreach (var done in next.Where(state => Array.TrueForAll(state.Left, left => left == 0)))
                if (best is null || done.Reached < best.Reached)
                    best = done;
            states =
            [
                .. next.Where(state => Array.Exists(state.Left, left => left > 0))
                    .OrderBy(state => state.Lost / state.Area)
                    .DistinctBy(state => (state.Reached, state.Area))
                    .Take(width),
            ];
        }
        return Laid(best!);
    }

    // The rows that lose the least, beginning with the tallest piece that is left.
    private List<Row> Rows(State state)
    {
        var tallest = Array.FindIndex(state.Left, left => left > 0);
        List<int> those = [];
        for (var kind = tallest; kind < groups.Count && those.Count <= Beside; kind++)
            if (state.Left[kind] > 0)
                those.Add(kind);
        var most = groups[tallest].Key.Ways.Min(way => way.Region.Height);
        int[] tried =
        [
            .. Enumerable
                .Range(0, lying.Length)
                .Where(at => those.Contains(lying[at].Kind) && lying[at].Way.Region.Height <= most),
        ];
        bool Has(Row row) => Array.Exists(row.Ways, at => lying[at].Kind == tallest);
        List<Row> filled = [],
            open = [new([], [], 0, 0, 0)];
        while (open.Count > 0)
        {
            List<Longer> with = [],
                without = [];
            foreach (var row in open)
            {
                var (has, isFull) = (Has(row), true);
                foreach (var at in tried)
                    if (Of(row, lying[at].Kind) < state.Left[lying[at].Kind] && With(row, at) is { } longer)
                    {
                        (has || lying[at].Kind == tallest ? with : without).Add(longer);
                        isFull = false;
                    }
                if (isFull)
                    filled.Add(row);
            }
            // The tallest may come last as well as first.
            open = [.. Least(with, Filling), .. Least(without, Filling / 2)];
        }
        return
        [
            .. filled
                .Where(Has)
                .OrderBy(row => ((double)row.Height * cloth.Usable.Ticks) / row.Area)
                .DistinctBy(row => row.Area)
                .Take(Filled),
        ];
    }

    private static IEnumerable<Row> Least(List<Longer> rows, int most) =>
        rows.OrderBy(row => row.Lost / row.Area)
            .DistinctBy(row => (row.Lost, row.Area))
            .Take(most)
            .Select(row => row.Row());

    // How many of a kind lie in the row already.
    private int Of(Row row, int kind)
    {
        var count = 0;
        foreach (var at in row.Ways)
            count += lying[at].Kind == kind ? 1 : 0;
        return count;
    }

    private Longer? With(Row row, int at)
    {
        var (kind, way, _, right) = lying[at];
        var x = 0L;
        // What ends before it begins cannot push it further: mostly all but the last one.
        for (var n = row.Ways.Length - 1; n >= 0; n--)
            if (row.Xs[n] + lying[row.Ways[n]].Way.Region.Width > x)
                x = Math.Max(x, row.Xs[n] + Next(row.Ways[n], at));
        if (x + way.Region.Width > cloth.Usable.Ticks)
            return null;
        var (area, height) = (row.Area + groups[kind].Key.Area, Math.Max(row.Height, way.Region.Height));
        return new Longer(row, at, x, area, height, ((x + right) * height) - area);
    }

    // How far to the right of one the other begins, both at the bottom of the row.
    private long Next(int left, int right)
    {
        if (beside.TryGetValue((left, right), out var known))
            return known;
        refused.Clear();
        lying[right].Side.Forbidden(0, lying[left].Side, 0, refused, 0);
        var slop = lying[left].Way.Region.IsStraight && lying[right].Way.Region.IsStraight ? 0 : Slop;
        return beside[(left, right)] = Math.Max(0, refused.Last - slop);
    }

    // How far right its right side lies, summed up its height.
    private static double MeanRight(Profile side)
    {
        var sum = 0.0;
        foreach (var chain in side.Chains.GroupBy(chain => chain[0].Left).Select(alike => alike.Last()))
        foreach (var slab in chain)
            sum += (slab.Right - slab.Left) * (slab.TopLeft + slab.Top(slab.Right)) / 2;
        return sum;
    }

    private State After(State state, Row row)
    {
        var left = (int[])state.Left.Clone();
        foreach (var at in row.Ways)
            left[lying[at].Kind]--;
        return new(
            left,
            state.Area + row.Area,
            state.Lost + ((double)row.Height * cloth.Usable.Ticks) - row.Area,
            state.Reached + row.Height,
            state,
            row
        );
    }

    private Placed Laid(State best)
    {
        var waiting = groups.ConvertAll(group => new Queue<string>(group.Select(each => each.Piece.Id)));
        List<State> rows = [];
        for (var at = best; at.Before is { } before; at = before)
            rows.Add(at);
        return new Placed(
            [
                .. Enumerable
                    .Reverse(rows)
                    .SelectMany(state =>
                        state.Last!.Ways.Select(
                            (at, n) =>
                                new Placement(
                                    waiting[lying[at].Kind].Dequeue(),
                                    lying[at].Way.Turns,
                                    new Length(state.Last.Xs[n]),
                                    new Length(state.Reached - state.Last.Height)
                                )
                        )
                    ),
            ],
            new Length(best.Reached)
        );
    }
}
