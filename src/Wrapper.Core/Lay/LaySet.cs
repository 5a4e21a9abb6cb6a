using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>The pieces of one cloth made ready: sorted into kinds, and the different ways of laying them.</summary>
internal sealed class LaySet
{
    // Up to so many pieces every lay is tried.
    private const int FewEnough = 12,
        MostWays = 300_000;

    // So many orders are laid at once: of few pieces all, of many the best one.
    private const int Some = 80,
        Many = 300,
        ManyCorners = 800,
        FreePlaces = 6;

    private readonly LayCloth cloth,
        whole;
    private readonly List<(LayPiece Piece, PieceKind Kind)> fit;
    private readonly IReadOnlyList<Misfit> misfits;
    private readonly ILookup<PieceKind, LayPiece> ofKind;
    private readonly List<PieceKind> kinds;
    private readonly List<Box> boxes;
    private readonly Lazy<Placed> hand;
    private readonly Lazy<long> bound;
    private long barred;

    public LaySet(IReadOnlyList<LayPiece> pieces, LayCloth cloth, CancellationToken stop = default)
    {
        (this.cloth, whole) = (cloth, cloth.WithGap());
        // Pieces of one outline are one kind; the turned-over piece of a pair has another outline and is another kind.
        var known = new Dictionary<(Outline, Grain, Point?, bool), PieceKind>();
        var all = pieces
            .Select(piece =>
            {
                stop.ThrowIfCancellationRequested();
                if (!known.TryGetValue((piece.Cut, piece.Grain, piece.Origin, piece.OnMotif), out var kind))
                    known[(piece.Cut, piece.Grain, piece.Origin, piece.OnMotif)] = kind = PieceKind.Of(piece, whole);
                return (Piece: piece, Kind: kind);
            })
            .ToList();
        misfits =
        [
            .. all.Where(pair => pair.Kind.Ways.Count == 0).Select(pair => TooLarge(pair.Piece, pair.Kind.IsUnmatched)),
        ];
        fit = [.. all.Where(pair => pair.Kind.Ways.Count > 0)];
        ofKind = fit.ToLookup(pair => pair.Kind, pair => pair.Piece);
        kinds = [.. ofKind.Select(group => group.Key)];
        boxes =
        [
            .. kinds.Select(kind => new Box(
                [
                    .. kind
                        .Ways.Select((way, at) => (at, way.Region.Width, way.Region.Height))
                        .DistinctBy(way => (way.Width, way.Height)),
                ],
                ofKind[kind].Count()
            )),
        ];
        hand = new(() => Rows.Lay(fit, whole));
        bound = new(() => LowerBound.Of([.. fit.Select(pair => pair.Kind)], whole));
    }

    public int Count => fit.Count;

    /// <summary>The pieces that the cloth can take.</summary>
    public IReadOnlyList<(LayPiece Piece, PieceKind Kind)> Fit => fit;

    /// <summary>A length that no lay is under, the gap included.</summary>
    public long Bound => Math.Max(bound.Value, barred);

    /// <summary>The bound as it is told, the gap taken off.</summary>
    public Length Shortest => cloth.WithoutGap(new Placed([], new Length(Bound))).Length;

    /// <summary>
    /// A length that no lay is under, by what goes side by side, found in so many steps; curved pieces are parted into so
    /// many rectangles at the most. It is not the bound before it is raised to it: lays may be on their way.
    /// </summary>
    public long Bar(int parts, int steps, CancellationToken stop) =>
        BarBound.Of([.. kinds.Select(kind => (kind, ofKind[kind].Count()))], whole, parts, steps, stop);

    /// <summary>Raises the bound to a length that no lay is under.</summary>
    public void Raise(long bound) => barred = Math.Max(barred, bound);

    public Placed Hand => hand.Value;

    public Length HandLength => cloth.Bought(cloth.WithoutGap(Hand).Length);

    /// <summary>How many straight stretches all outlines have together: what laying them costs.</summary>
    public int Corners => ofKind.Sum(group => group.Count() * CornersOf(group.Key));

    /// <summary>
    /// The same on a repeat: what need not match costs more, since it can begin anywhere.
    /// </summary>
    public int Places =>
        ofKind.Sum(group => group.Count() * CornersOf(group.Key) * (group.Key.IsMatched ? 1 : FreePlaces));

    /// <summary>How many different pieces there are.</summary>
    public int KindCount => kinds.Count;

    public bool IsRectangles => kinds.All(kind => kind.IsRectangle);

    /// <summary>
    /// Lays by the outlines themselves, each in an order in which good ones are found; small pieces slip into the
    /// cut-outs of large ones.
    /// </summary>
    public IEnumerable<Func<Placed?>> Outlined(CancellationToken stop)
    {
        if (fit.Count == 0)
            return [];
        Func<PieceKind, long>[] keys =
        [
            kind => kind.Ways[0].Region.Height,
            kind => kind.Ways[0].Region.Width,
            kind => (long)(kind.Area / Length.TicksPerInch),
            kind => Math.Max(kind.Ways[0].Region.Width, kind.Ways[0].Region.Height),
            kind => kind.Ways[0].Region.Width + kind.Ways[0].Region.Height,
            kind => kind.Ways.Min(way => way.Region.Height),
        ];
        var orders = keys.Take(
                fit.Count <= Some && Corners <= ManyCorners ? keys.Length
                : fit.Count <= Many ? 3
                : 1
            )
            .Select(key => fit.OrderByDescending(pair => key(pair.Kind)).ThenByDescending(pair => pair.Kind.Area))
            .ToList();
        // Where a repeat leaves strips between matched pieces, what need not match may come first.
        if (cloth.Repeat is not null && fit.Count <= Many)
            orders.AddRange(
                keys.Take(2)
                    .Select(key => fit.OrderByDescending(pair => key(pair.Kind)).ThenBy(pair => pair.Kind.IsMatched))
            );
        return orders.Select(order => (Func<Placed?>)(() => BottomLeft.Lay([.. order], whole, stop)));
    }

    /// <summary>
    /// A search over orders of outlines, from an order by size that is shaken a little: each a quarter larger or smaller
    /// at most, by a seed above zero.
    /// </summary>
    public OutlineSearch Orders(int seed)
    {
        var random = new Random(seed);
        return new(
            fit.OrderByDescending(pair =>
                (seed % 2 == 0 ? pair.Kind.Area : pair.Kind.Ways[0].Region.Height)
                * (seed < 2 ? 1 : 0.75 + (random.NextDouble() / 2))
            ),
            whole,
            seed
        );
    }

    /// <summary>Rows in which slants and bows lie in one another, closed up, following so many; null of very many.</summary>
    public Placed? InRows(int width, CancellationToken stop) =>
        fit.Count is 0 or > Many || IsRectangles ? null : Nested(new NestedRows(fit, whole).Find(width, stop), stop);

    /// <summary>A search that lets outlines lie in one another while the cloth is shortened.</summary>
    public OverlapSearch Overlaps(int seed) => new(fit, whole, Bound, seed);

    /// <summary>A lay shortened by letting pieces lie in one another, looking at so many pairs of them.</summary>
    public Placed? Shortened(Placed lay, long pairs, int seed, CancellationToken stop)
    {
        var search = Overlaps(seed);
        search.From(lay);
        search.Run(pairs, stop);
        return search.Best;
    }

    /// <summary>Builds lays of outlines up side by side, so many, each from so many of the pieces that are left.</summary>
    public Placed? Built(int width, int tried, CancellationToken stop, Random? dice = null) =>
        fit.Count == 0 || cloth.Pins.Count > 0
            ? null
            : new OutlineBeam(fit, whole, width, tried, dice is null ? 1 : 0.5 + dice.NextDouble()).Find(stop, dice);

    /// <summary>
    /// Lays by boxes, following so many side by side; with <paramref name="shake"/> others than those that look best,
    /// by up to the area of an average box.
    /// </summary>
    public Placed? Followed(
        int width,
        Care care,
        CancellationToken stop,
        long aim = long.MaxValue,
        Random? shake = null
    )
    {
        if (fit.Count == 0)
            return null;
        Func<long>? by = null;
        if (shake is not null)
        {
            var most = boxes.Average(box => (double)box.Area) * shake.NextDouble();
            by = () => (long)(shake.NextDouble() * most);
        }
        return new BeamSearch(boxes, whole.Usable.Ticks, care).Find(aim, width, stop, by) is { } found
            ? Laid(found.Spots, found.Reached)
            : null;
    }

    /// <summary>Lays by boxes, bettered by exchanges in their order.</summary>
    public Placed? Exchanged(int seed, int rounds, int steps, CancellationToken stop)
    {
        if (fit.Count == 0)
            return null;
        var search = new OrderSearch(boxes, whole.Usable.Ticks, seed);
        search.Run(rounds, steps, Bound, stop);
        return Laid(search.Spots(), search.Length);
    }

    /// <summary>
    /// The lay as it is told: few rectangles proven or bettered, the gap taken off again, the bound beside it.
    /// </summary>
    public ClothLay Finished(Placed best, CancellationToken stop)
    {
        var shortest = Bound;
        if (fit.Count is > 0 and <= FewEnough && IsRectangles && cloth.IsPlain && best.Length.Ticks > shortest)
        {
            var (spots, length, proven) = new ExactLay(boxes, whole.Usable.Ticks).Find(
                best.Length.Ticks,
                shortest,
                MostWays,
                stop
            );
            if (spots is not null)
                best = Laid(spots, length);
            if (proven)
                shortest = best.Length.Ticks;
        }
        return new ClothLay(
            cloth.WithoutGap(best),
            cloth.WithoutGap(Hand),
            cloth.WithoutGap(new Placed([], new Length(shortest))).Length,
            misfits
        )
        {
            Stock = cloth.Stock,
            IsOfAreaAlone = !IsRectangles && shortest <= LowerBound.ByArea([.. fit.Select(pair => pair.Kind)], whole),
        };
    }

    /// <summary>
    /// The same lay closed up where boxes are more than their outline: what lies lowest is laid first, by its outline.
    /// </summary>
    public Placed Nested(Placed laid, CancellationToken stop)
    {
        if (IsRectangles || laid.Placements.Count < fit.Count)
            return laid;
        var at = laid.Placements.ToDictionary(placement => placement.Id);
        var nested = BottomLeft.Lay(
            [.. fit.OrderBy(pair => at[pair.Piece.Id].Y).ThenBy(pair => at[pair.Piece.Id].X)],
            whole,
            stop,
            laid.Length.Ticks - 1
        );
        return nested ?? laid;
    }

    private static int CornersOf(PieceKind kind) => kind.Ways[0].Region.Upright.Chains.Sum(chain => chain.Length);

    private Placed Laid(List<Spot> spots, long reached)
    {
        var waiting = kinds.Select(kind => new Queue<LayPiece>(ofKind[kind])).ToList();
        return new Placed(
            [
                .. spots.Select(spot => new Placement(
                    waiting[spot.Box].Dequeue().Id,
                    kinds[spot.Box].Ways[boxes[spot.Box].Ways[spot.Way].At].Turns,
                    new Length(spot.X),
                    new Length(spot.Y)
                )),
            ],
            new Length(reached)
        );
    }

    private static Misfit TooLarge(LayPiece piece, bool unmatched)
    {
        var (left, bottom, right, top) = piece.Cut.Bounds();
        var (wide, high) = (right - left, top - bottom);
        var turned = piece.Grain == Grain.Across || (piece.Grain == Grain.Either && high < wide);
        return new Misfit(piece.Id, piece.Label, turned ? high : wide, turned ? wide : high, unmatched);
    }
}
