using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// The print slid on a piece: how it is matched then, and where the middle of a motif lies on the piece
/// that the others run on from, from its left and its lower finished edge; of items in line the first one's. What runs on
/// from it is <paramref name="Followers"/>.
/// </summary>
public sealed record PrintSlide(
    ItemPlan Item,
    Piece Piece,
    Repeat Repeat,
    Match Match,
    Length Across,
    Length Along,
    IReadOnlyList<Piece> Followers
)
{
    // Nearer to the middle than this is the middle.
    private static readonly Length Snap = Length.Inches(0, 1, 4);

    // Repeats looked at on either side of the piece's middle.
    private const int Reach = 3;

    /// <summary>
    /// The print of the cloth moved by (<paramref name="across"/>, <paramref name="along"/>) on <paramref name="piece"/>
    /// as drawn, from where the lay of <paramref name="plan"/> has it, to the mark of <paramref name="unit"/>; pieces
    /// that run on from one another slide together. Null where the piece is on no cloth with a repeat.
    /// </summary>
    public static PrintSlide? Of(Plan plan, string item, string piece, Length across, Length along, JobUnit unit)
    {
        foreach (var cloth in plan.Cloths)
        {
            var own = cloth.Matches.Where(match => match.Item.Item.Id == item).ToDictionary(match => match.Piece.Key);
            if (!own.TryGetValue(piece, out var match) || cloth.ForLay.Repeat is not { } repeat)
                continue;
            var root = RootOf(match, own);
            if (FirstInLine(cloth, root) is { } first)
                return Of(plan, first.Item.Id, Matching.PanelOf(first).Key, across, along, unit);
            if (
                cloth.Lay?.Best.Placements.FirstOrDefault(at => at.Id == $"{item}/{root.Piece.Key}/1") is not { } placed
            )
                continue;
            var (left, bottom, right, top) = root.Piece.Stitch.Bounds();
            var middle = new Point((left + right).Over(2) - left, (bottom + top).Over(2) - bottom);
            var at = PrintedPart.Of(root.Piece.Cut, root.Piece.IsTurnedOver(1), placed);
            var start = cloth.ForLay.StockLengthAt(placed.Y).Start;
            var (x, y) = (
                from motif in Motifs(repeat, at.OnCloth(middle.Moved(left - across, bottom - along)), start)
                let drawn = at.Drawn(motif)
                let slid = (X: drawn.X + across - left, Y: drawn.Y + along - bottom)
                where slid.X >= Length.Zero && slid.Y >= Length.Zero
                orderby Far(slid.X - middle.X) + Far(slid.Y - middle.Y)
                select slid
            ).FirstOrDefault((middle.X, middle.Y));
            (x, y) = (Settled(x, middle.X, unit), Settled(y, middle.Y, unit));
            return new(
                root.Item,
                root.Piece,
                repeat,
                (x, y) == (middle.X, middle.Y) ? Match.Centred : Match.Placed,
                x,
                y,
                [
                    .. own
                        .Values.Where(each => each.Piece.Key != root.Piece.Key && RootOf(each, own) == root)
                        .Select(each => each.Piece),
                ]
            );
        }
        return null;
    }

    /// <summary>
    /// Which piece each piece of <paramref name="item"/> on cloth with a repeat slides with: the one that it runs on
    /// from, through others, or itself.
    /// </summary>
    public static IReadOnlyDictionary<string, string> Together(Plan plan, string item)
    {
        Dictionary<string, string> together = [];
        foreach (var cloth in plan.Cloths)
        {
            var own = cloth.Matches.Where(match => match.Item.Item.Id == item).ToDictionary(match => match.Piece.Key);
            foreach (var (piece, match) in own)
                together[piece] = RootOf(match, own).Piece.Key;
        }
        return together;
    }

    /// <summary>The item of <paramref name="job"/> with the match entered.</summary>
    public Item Enter(JobDocument job) =>
        job.Items.First(item => item.Id == Item.Item.Id) with
        {
            Matches = new Dictionary<string, Match>(Item.Item.Matches) { [Piece.Key] = Match },
            Motifs = new Dictionary<string, MotifPlace>(Item.Item.Motifs)
            {
                [Piece.Key] = new(Entry.Of(Across, job.Unit), Entry.Of(Along, job.Unit)),
            },
        };

    // Panels in line continue the print of the first one: that is where their match is entered.
    private static ItemPlan? FirstInLine(ClothPlan cloth, PieceMatch match)
    {
        if (!match.Item.Item.InLine || Matching.PanelOf(match.Item).Key != match.Piece.Key)
            return null;
        // What is cut from another cloth does not part them.
        var first = cloth
            .Matches.Select(each => each.Item)
            .Distinct()
            .Where(item => item.Number <= match.Item.Number)
            .OrderByDescending(item => item.Number)
            .TakeWhile(item => item.Item.InLine)
            .Last();
        return first.Number == match.Item.Number ? null : first;
    }

    private static PieceMatch RootOf(PieceMatch match, Dictionary<string, PieceMatch> own)
    {
        while (match is { Match: Match.Follows, Leader: { } leader } && own.TryGetValue(leader.Key, out var next))
            match = next;
        return match;
    }

    // The motifs around a place of the cloth; where the print does not repeat one way, the place itself counts.
    private static IEnumerable<Point> Motifs(Repeat repeat, Point near, Length start)
    {
        var (across, along) = (repeat.Across.Ticks, repeat.Along.Ticks);
        var first = across > 0 ? (near.X - repeat.Motif.X).Ticks / across : 0;
        for (var column = first - Reach; column <= first + Reach; column++)
        {
            var x = across > 0 ? repeat.Motif.X + new Length(column * across) : near.X;
            if (repeat.IsStripes)
            {
                yield return new(x, near.Y);
                continue;
            }
            var dropped = repeat.HalfDrop && column % 2 != 0 ? repeat.Along.Over(2) : Length.Zero;
            var from = start + repeat.From + repeat.Motif.Y + dropped;
            var nearest = (near.Y - from).Ticks / along;
            for (var row = nearest - Reach; row <= nearest + Reach; row++)
                yield return new(x, from + new Length(row * along));
            if (across == 0)
                yield break;
        }
    }

    private static double Far(Length off) => Math.Pow(off.ToMillimetres(), 2);

    private static Length Settled(Length at, Length middle, JobUnit unit)
    {
        if ((at - middle).Abs() <= Snap)
            return middle;
        var mark = LengthPrinter.Mark(unit).Ticks;
        return new(Length.DivideRounded(at.Ticks, mark) * mark);
    }
}
