using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Shortens a lay by letting pieces lie in one another: the cloth is taken a little shorter, what reaches beyond is moved
/// down, and then each piece that lies in another goes where it lies least deep, over and over, while what does not come
/// apart counts more and more. When all lie apart the lay is shorter. The same seed and effort give the same lay.
/// Source: guided local search (Egeblad, Nielsen and Odgaard 2007; Umetani et al. 2009).
/// </summary>
internal sealed class OverlapSearch
{
    // So many places across and up are tried for a piece in each of its ways; and so many rounds in which nothing came
    // apart are gone on with, more where pieces match, which have few places.
    private const int Lines = 3,
        Patience = 12,
        MatchedPatience = 24;

    // From there a piece is moved by steps that become so many times smaller, half a millimetre at the least.
    private const int Finer = 16;
    private const long Fine = Length.TicksPerMillimetre / 2;

    // By what share of its length the cloth is taken shorter at first, and at the least.
    private const double First = 0.02,
        Least = 0.0004;

    // What an attempt costs at the least, in pairs.
    private const long Attempt = 500;

    private readonly LayCloth cloth;
    private readonly Dictionary<string, (LayPiece Piece, PieceKind Kind)> of;
    private readonly (LayPiece Piece, PieceKind Kind)[] moving;
    private readonly Way[] ways;
    private readonly Tents tents = new();
    private readonly Comb comb = new();
    private readonly Random random;
    private readonly long floor;
    private readonly NoFit noFit;
    private readonly int patience;
    private double step = First;
    private int failed;
    private OverlapTable table = null!;

    /// <summary>Begins from a lay.</summary>
    public OverlapSearch(IReadOnlyList<(LayPiece Piece, PieceKind Kind)> pieces, LayCloth cloth, long floor, int seed)
    {
        (this.cloth, this.floor, random) = (cloth, floor, new Random(seed));
        of = pieces.ToDictionary(each => each.Piece.Id);
        moving = [.. pieces.Where(each => cloth.Pins.All(pin => pin.Id != each.Piece.Id))];
        ways = new Way[moving.Length];
        patience = moving.Any(each => each.Kind.IsMatched) ? MatchedPatience : Patience;
        noFit = new(cloth.Repeat is { Across.IsPositive: true } && moving.All(each => each.Kind.IsMatched));
    }

    /// <summary>The shortest so far; null before any was given.</summary>
    public Placed? Best { get; private set; }

    /// <summary>Goes on from a lay of all pieces, if it is shorter than its own.</summary>
    public void From(Placed lay)
    {
        if (Best is { } best && best.Length <= lay.Length)
            return;
        (Best, step) = (lay, Math.Max(step, First / 4));
    }

    /// <summary>Shortens the best one, looking at so many pairs of pieces at the most.</summary>
    public void Run(long pairs, CancellationToken stop)
    {
        while (pairs > 0 && Best is { } best && best.Length.Ticks > floor && moving.Length > 1)
        {
            var aim = Math.Max(floor, best.Length.Ticks - Math.Max(Fine, (long)(best.Length.Ticks * step)));
            stop.ThrowIfCancellationRequested();
            Spread(best, aim);
            for (var n = 0; n < failed; n++)
                Exchange(aim);
            if (moving.Any(each => each.Kind.Ways.All(way => way.Region.Height > aim)) || Pinned() > aim)
                return;
            // A matched piece may have no place below the aim, and then lies beyond it still.
            var found = Apart(aim, ref pairs, stop) ? Lay() : best;
            var shorter = found.Length < best.Length;
            step = shorter ? Math.Min(First, step * 1.2) : Math.Max(Least, step * 0.7);
            failed = shorter ? 0 : 1 + random.Next(3);
            Best = found;
        }
    }

    private long Pinned() =>
        cloth
            .Pins.Where(pin => of.ContainsKey(pin.Id))
            .Select(pin => pin.Y.Ticks + Region.Of(of[pin.Id].Piece.Cut, pin.Turns, cloth.Gap.Ticks).Height)
            .DefaultIfEmpty(0)
            .Max();

    // Everything as it lies, what reaches beyond the aim as low as it must.
    private void Spread(Placed lay, long aim)
    {
        var at = lay.Placements.ToDictionary(placement => placement.Id);
        var laid = new List<(Region, long, long)>();
        for (var n = 0; n < moving.Length; n++)
        {
            var placed = at[moving[n].Piece.Id];
            var found = moving[n].Kind.Ways.First(way => way.Turns == placed.Turns);
            ways[n] = found;
            laid.Add((found.Region, placed.X.Ticks, placed.Y.Ticks));
        }
        var pins = cloth
            .Pins.Where(pin => of.ContainsKey(pin.Id))
            .Select(pin =>
                (Region.Of(of[pin.Id].Piece.Cut, pin.Turns, cloth.Gap.Ticks), pin.X.Ticks, pin.Y.Ticks, false)
            );
        table = new OverlapTable(laid, pins.Concat(OverlapTable.FixedOn(cloth, aim)), noFit);
        for (var n = 0; n < moving.Length; n++)
            if (table[n].Y + ways[n].Region.Height > aim)
                Anywhere(n, aim);
    }

    // Two change places, as near as they may lie there.
    private void Exchange(long aim)
    {
        var (a, b) = (random.Next(moving.Length), random.Next(moving.Length));
        if (moving[a].Kind == moving[b].Kind)
            return;
        var (from, to) = (table[a], table[b]);
        Put(a, to.X, to.Y, aim);
        Put(b, from.X, from.Y, aim);
    }

    private void Put(int n, long x, long y, long aim)
    {
        var (wide, high) = (cloth.Usable.Ticks - ways[n].Region.Width, aim - ways[n].Region.Height);
        (x, y) = (Math.Clamp(x, 0, wide), Math.Clamp(y, 0, Math.Max(0, high)));
        if (moving[n].Kind.IsMatched)
            (x, y) = Grid.Nearest(cloth.Repeat!, ways[n], x, y, cloth.StockLengthAt(new Length(y)).Start.Ticks);
        if (x <= wide && y <= high)
            table.Move(n, ways[n].Region, x, y);
    }

    // Down to the aim if it may lie there, else to where it lies least deep.
    private void Anywhere(int n, long aim)
    {
        var (region, x, _) = table[n];
        if (region.Height <= aim && !moving[n].Kind.IsMatched)
            table.Move(n, region, x, aim - region.Height);
        else
            Move(n, aim, force: true);
    }

    private bool Apart(long aim, ref long pairs, CancellationToken stop)
    {
        var (least, since) = (double.MaxValue, 0);
        var turn = Enumerable.Range(0, moving.Length).ToArray();
        var began = table.Looked;
        while (table.Total > 0 && since < patience && table.Looked - began < pairs)
        {
            random.Shuffle(turn);
            foreach (var n in turn)
            {
                stop.ThrowIfCancellationRequested();
                if (!table.IsClear(n))
                    Move(n, aim, force: false);
            }
            if (table.Total < 0.98 * least)
                (least, since) = (table.Total, 0);
            else
                since++;
            table.Weigh();
        }
        pairs -= Math.Max(Attempt, table.Looked - began);
        return table.Total <= 0;
    }

    private void Move(int n, long aim, bool force)
    {
        var kind = moving[n].Kind;
        var (cost, best, bestX, bestY) = (force ? double.MaxValue : table.Cost(n), ways[n], table[n].X, table[n].Y);
        void Take(Way way, long x, long y, double sum)
        {
            if (sum < cost)
                (cost, best, bestX, bestY) = (sum, way, x, y);
        }
        void Column(Way way, long x)
        {
            if (kind.IsMatched)
            {
                comb.Begin(OnGrid(way, x, aim - way.Region.Height));
                table.Column(n, way.Region, x, comb);
                if (comb.Least() is var (y, least))
                    Take(way, x, y, least);
                return;
            }
            tents.Clear();
            table.Column(n, way.Region, x, tents);
            var (at, sum) = tents.Lowest(0, aim - way.Region.Height);
            Take(way, x, at, sum);
        }
        void Row(Way way, long y)
        {
            tents.Clear();
            if (!table.Row(n, way.Region, y, tents))
                return;
            var (at, sum) = tents.Lowest(0, cloth.Usable.Ticks - way.Region.Width);
            Take(way, at, y, sum);
        }
        foreach (var way in kind.Ways)
        {
            var (wide, high) = (cloth.Usable.Ticks - way.Region.Width, aim - way.Region.Height);
            if (wide < 0 || high < 0)
                continue;
            if (kind.IsMatched && cloth.Repeat!.Across.Ticks is > 0 and var across)
            {
                for (var x = Grid.First(across, way.OriginX); x <= wide; x += across)
                    Column(way, x);
                continue;
            }
            for (var line = 0; line < Lines; line++)
            {
                Column(way, Beside(wide, other => (other.X, other.Region.Width), way.Region.Width));
                if (!kind.IsMatched)
                    Row(way, Beside(high, other => (other.Y, other.Region.Height), way.Region.Height));
            }
        }
        if (!kind.IsMatched && cost > 0)
            // By ever smaller steps from there.
            for (var by = best.Region.Width / 8; by >= Fine && cost > 0; )
            {
                var before = cost;
                foreach (var x in (long[])[bestX - by, bestX + by])
                    if (x >= 0 && x <= cloth.Usable.Ticks - best.Region.Width)
                        Column(best, x);
                foreach (var y in (long[])[bestY - by, bestY + by])
                    if (y >= 0 && y <= aim - best.Region.Height)
                        Row(best, y);
                if (cost >= before)
                    by /= Finer;
            }
        if (best == ways[n] && (bestX, bestY) == (table[n].X, table[n].Y))
            return;
        ways[n] = best;
        table.Move(n, best.Region, bestX, bestY);
    }

    // A place at one side of another piece, at an end of the cloth, or anywhere.
    private long Beside(long most, Func<(Region Region, long X, long Y), (long From, long Size)> side, long size)
    {
        if (random.Next(3) == 0)
            return random.NextInt64(most + 1);
        var (from, its) = side(table[random.Next(table.Moving)]);
        return Math.Clamp(random.Next(2) == 0 ? from + its : from - size, 0, most);
    }

    private IEnumerable<long> OnGrid(Way way, long x, long most)
    {
        var (along, phase) = (cloth.Repeat!.Along.Ticks, Grid.Phase(cloth.Repeat, way, x));
        for (var y = Grid.UpTo(0, along, phase, cloth); y <= most; y = Grid.UpTo(y + 1, along, phase, cloth))
            yield return y;
    }

    private Placed Lay()
    {
        List<Placement> placements = [.. cloth.Pins.Where(pin => of.ContainsKey(pin.Id))];
        var reached = Pinned();
        for (var n = 0; n < moving.Length; n++)
        {
            var (region, x, y) = table[n];
            placements.Add(new(moving[n].Piece.Id, ways[n].Turns, new Length(x), new Length(y)));
            reached = Math.Max(reached, y + region.Height);
        }
        return new Placed(placements, new Length(reached));
    }
}
