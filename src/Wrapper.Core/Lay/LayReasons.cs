using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Why a lay is as long as it is, and what it is to cut: <paramref name="Share"/> per cent of the cloth are pieces;
/// <paramref name="Chain"/> lie one behind the other from the squared end to the far one; <paramref name="Wide"/> pieces
/// are rectangles wider than half the cloth and take <paramref name="WideLength"/> alone; <paramref name="Lost"/> is the
/// largest stretch that is left free, <paramref name="Fitting"/> what of this cloth would go into it; so many
/// <paramref name="Lines"/> are chalked, and <paramref name="CutLine"/> is cut, what two pieces share once.
/// </summary>
public sealed record LayReasons(
    int Share,
    IReadOnlyList<string> Chain,
    int Wide,
    Length WideLength,
    Patch? Lost,
    IReadOnlyList<string> Fitting,
    int Lines,
    Length CutLine
)
{
    private const int MostNamed = 6;

    /// <summary>
    /// The reasons of <paramref name="lay"/>, laid of <paramref name="pieces"/> on <paramref name="cloth"/>, of which
    /// <paramref name="remnants"/> are left, the largest first.
    /// </summary>
    public static LayReasons Of(
        Placed lay,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<Patch> remnants
    )
    {
        var boxes = lay.Placements.Select(at => (Piece: pieces[at.Id], Box: pieces[at.Id].MarksAt(at))).ToList();
        // Cord is cut from what the panels leave: it makes nothing longer.
        var panels = boxes
            .Where(each => !each.Piece.Id.StartsWith(CordStrips.Prefix, StringComparison.Ordinal))
            .ToList();
        var ground =
            ((double)cloth.Usable.Ticks * Math.Max(1, lay.Length.Ticks))
            - cloth.StockLengths.Sum(stretch => (double)(cloth.Usable - stretch.Usable).Ticks * stretch.Length.Ticks);
        var square = (double)Length.TicksPerMillimetre * Length.TicksPerMillimetre * 1e6;
        List<ChalkMarks> wide =
        [
            .. panels
                .Where(each =>
                    2 * (each.Box.ToSelvedge - each.Box.FromSelvedge) > cloth.Usable && IsRectangle(each.Piece)
                )
                .Select(each => each.Box),
        ];
        var lost = remnants.Count > 0 ? remnants[0] : null;
        return new(
            (int)(100 * boxes.Sum(each => each.Piece.Cut.AreaSquareMetres() * square) / ground),
            Chained(panels),
            wide.Count,
            wide.Aggregate(Length.Zero, (sum, box) => sum + (box.ToEnd - box.FromEnd)),
            lost,
            lost is null
                ? []
                :
                [
                    .. panels
                        .Where(each =>
                            each.Box.ToEnd - each.Box.FromEnd <= lost.Along
                            && each.Box.ToSelvedge - each.Box.FromSelvedge <= lost.Across
                        )
                        .Select(each => each.Piece.Label)
                        .Distinct(),
                ],
            Simplicity.Of(lay, pieces).Lines,
            Cut(boxes)
        );
    }

    /// <summary>The same in words, sizes in <paramref name="unit"/>.</summary>
    public IEnumerable<string> Told(JobUnit unit)
    {
        if (Lines == 0)
            yield break;
        yield return $"Pieces are {Share} % of it; {100 - Share} % lies between them and beside them.";
        if (Chain.Count > 1)
            yield return $"One behind the other, from the squared end to the far one: {Named(Chain)}. It is shorter only if one of them lies elsewhere, or is shorter.";
        if (Wide > 1)
            yield return $"{Wide} pieces are wider than half of the cloth, so no two of them lie abreast: they take {LengthPrinter.ClothLength(WideLength, unit)} alone.";
        if (Lost is not null)
            yield return $"The largest stretch that stays free begins {Size(Lost.FromEnd)} from the squared end: {Size(Lost.Along)} along by {Size(Lost.Across)} across"
                + (Fitting.Count > 0 ? $". Of this cloth {Named(Fitting)} would go there once more." : ".");
        yield return $"To cut: {Lines} lines to chalk, {LengthPrinter.ClothLength(CutLine, unit)} of cutting.";

        string Size(Length length) => $"{LengthPrinter.Finished(length, unit).Text} {LengthPrinter.Word(unit)}";
        static string Named(IReadOnlyList<string> labels) =>
            labels.Count <= MostNamed
                ? string.Join(", ", labels)
                : $"{string.Join(", ", labels.Take(MostNamed))} and {labels.Count - MostNamed} more";
    }

    // Slants and hollows let another in beside them, and are cut round.
    private static bool IsRectangle(LayPiece piece) => Region.Of(piece.Cut, turns: 0).IsRectangle;

    // From the piece that reaches furthest back: each time the one below it that reaches highest.
    private static List<string> Chained(List<(LayPiece Piece, ChalkMarks Box)> boxes)
    {
        List<string> chain = [];
        for (var at = boxes.OrderByDescending(each => each.Box.ToEnd).FirstOrDefault(); at.Piece is not null; )
        {
            chain.Insert(0, at.Piece.Label);
            var over = at.Box;
            at = boxes
                .Where(each =>
                    each.Box.FromEnd < over.FromEnd
                    && each.Box.FromSelvedge < over.ToSelvedge
                    && over.FromSelvedge < each.Box.ToSelvedge
                )
                .OrderByDescending(each => each.Box.ToEnd)
                .FirstOrDefault();
        }
        return chain;
    }

    // Sides of rectangles that lie on one line are cut once where they meet; every other outline is cut round.
    private static Length Cut(List<(LayPiece Piece, ChalkMarks Box)> boxes)
    {
        var around = Length.Zero;
        var sides = new Dictionary<(bool Across, long At), List<(long From, long To)>>();
        void Side(bool across, Length at, Length from, Length to)
        {
            if (!sides.TryGetValue((across, at.Ticks), out var line))
                sides[(across, at.Ticks)] = line = [];
            line.Add((from.Ticks, to.Ticks));
        }
        foreach (var (piece, box) in boxes)
        {
            if (!IsRectangle(piece))
            {
                around += piece.Cut.Perimeter();
                continue;
            }
            Side(across: true, box.FromEnd, box.FromSelvedge, box.ToSelvedge);
            Side(across: true, box.ToEnd, box.FromSelvedge, box.ToSelvedge);
            Side(across: false, box.FromSelvedge, box.FromEnd, box.ToEnd);
            Side(across: false, box.ToSelvedge, box.FromEnd, box.ToEnd);
        }
        foreach (var line in sides.Values)
        {
            var reached = long.MinValue;
            foreach (var (from, to) in line.Order())
            {
                around += new Length(Math.Max(0, to - Math.Max(from, reached)));
                reached = Math.Max(reached, to);
            }
        }
        return around;
    }
}
