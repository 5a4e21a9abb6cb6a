using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// Lays pairs on cloth folded lengthwise, right sides together, and what has no partner on one layer behind them.
/// Opened out, the first part is its own
/// mirror image about the fold, so everything that reads a lay reads this one too.
/// </summary>
internal static class FoldedLay
{
    /// <summary>Pairs and single pieces are each laid by <paramref name="lay"/>.</summary>
    public static ClothLay Of(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        Func<IReadOnlyList<LayPiece>, LayCloth, ClothLay> lay
    )
    {
        var flat = cloth with { Spread = Spread.Single };
        // A gap is kept at the fold too, half of it on either side.
        var half = flat with
        {
            Usable = new Length((cloth.Usable - cloth.Gap).Ticks / 2),
            Flaws =
            [
                .. cloth.Flaws,
                .. cloth.Flaws.Select(flaw =>
                    flaw with
                    {
                        FromSelvedge = cloth.Usable - flaw.FromSelvedge - flaw.Across,
                    }
                ),
            ],
        };
        var pairs = Pairs(pieces, half);
        var upper = lay([.. pairs.Select(pair => pair.Upper)], half);
        var under = pairs.ToDictionary(pair => pair.Upper.Id, pair => pair.Under);
        List<Placement> laid =
        [
            .. upper.Best.Placements,
            .. upper.Best.Placements.Select(at => Opened(at, under[at.Id], cloth)),
        ];
        List<Placement> byHand =
        [
            .. upper.Hand.Placements,
            .. upper.Hand.Placements.Select(at => Opened(at, under[at.Id], cloth)),
        ];
        var paired = laid.Select(at => at.Id).ToHashSet();
        List<LayPiece> singles = [.. pieces.Where(piece => !paired.Contains(piece.Id))];
        var bound = LayTable.Bound(pieces, flat);
        if (singles.Count == 0)
            return upper with
            {
                Best = upper.Best with { Placements = laid },
                Hand = upper.Hand with { Placements = byHand },
                ShortestPossible = bound,
                FoldedTo = upper.Best.Length,
                Misfits = [],
            };
        Length Behind(Placed part) => part.Length.IsPositive ? part.Length + cloth.Gap : Length.Zero;
        var (behind, behindHand) = (Behind(upper.Best), Behind(upper.Hand));
        var rest = lay(singles, flat with { Flaws = [.. Shifted(cloth.Flaws, behind)] });
        Placed Whole(List<Placement> first, Placed second, Length from) =>
            new([.. first, .. second.Placements.Select(at => at with { Y = at.Y + from })], second.Length + from);
        return new ClothLay(Whole(laid, rest.Best, behind), Whole(byHand, rest.Hand, behindHand), bound, rest.Misfits)
        {
            FoldedTo = upper.Best.Length is { IsPositive: true } folded ? folded : null,
        };
    }

    // On cloth with one way up a piece across the cloth cannot be cut folded: its pile would run the other way on the
    // layer below.
    private static List<(LayPiece Upper, LayPiece Under)> Pairs(IReadOnlyList<LayPiece> pieces, LayCloth half)
    {
        List<(LayPiece, LayPiece)> pairs = [];
        var waiting = new List<(LayPiece Piece, Region Mirrored)>();
        foreach (
            var piece in pieces.Where(piece =>
                !(half.OneWay && piece.Grain == Grain.Across) && PieceKind.Of(piece, half.WithGap()).Ways.Count > 0
            )
        )
        {
            var region = Region.Of(piece.Cut, 0);
            var partner = waiting.FindIndex(other => other.Piece.Grain == piece.Grain && other.Mirrored.SameAs(region));
            if (partner < 0)
                waiting.Add((piece, Region.Of(piece.Cut.Mirrored(), 0)));
            else
            {
                pairs.Add((waiting[partner].Piece, piece));
                waiting.RemoveAt(partner);
            }
        }
        return pairs;
    }

    // To mirror a piece that was turned to the left is to turn its mirror image to the right.
    private static Placement Opened(Placement upper, LayPiece under, LayCloth cloth)
    {
        var turns = (4 - upper.Turns) % 4;
        return new Placement(under.Id, turns, cloth.Usable - upper.X - under.Across(turns), upper.Y);
    }

    private static IEnumerable<Patch> Shifted(IEnumerable<Patch> flaws, Length offset) =>
        from flaw in flaws
        let start = Length.Max(Length.Zero, flaw.FromEnd - offset)
        let end = flaw.FromEnd + flaw.Along - offset
        where end > start
        select flaw with
        {
            FromEnd = start,
            Along = end - start,
        };
}
