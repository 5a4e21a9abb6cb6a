using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>
/// Whether a length of cloth that is there will do: what is needed (one repeat to start included), what stays over or
/// is missing, which pieces would find no room, and which
/// sizes made a little less would let everything find room.
/// </summary>
public sealed record Enough(
    Length Have,
    Length Needed,
    bool Fits,
    IReadOnlyList<LayPiece> WithoutRoom,
    IReadOnlyList<Saving> Choices
)
{
    private const int MostTriedAgain = 12;

    /// <summary>
    /// Asks it of one cloth of <paramref name="job"/>; null where that cloth is in doubt or nothing is cut from it.
    /// Where the lay is a little too long a tighter one is looked for first, and kept.
    /// </summary>
    public static Enough? Of(
        JobDocument job,
        string cloth,
        Length have,
        Drafting drafting,
        LayCache kept,
        CancellationToken cancel = default,
        CancellationToken closing = default
    )
    {
        var plan = Plan.Of(job, drafting, lay: true, kept, cancel);
        var one = plan.Cloths.First(each => each.Reading.Cloth.Id == cloth);
        if (one is not { Lay: { } lay, Buying: { } buying })
            return null;
        var needed = buying.Needed + buying.ToStart + buying.ForSkew;
        if (needed <= have)
            return new Enough(have, needed, true, [], []);
        // As much of washed cloth as there is: the same share of the lay as of what is needed.
        var room =
            lay.Stock
            + (
                (have - buying.ToStart - buying.ForSkew) is { IsPositive: true } rest
                    ? lay.Length.Scaled((decimal)rest.Ticks / buying.Needed.Ticks)
                    : Length.Zero
            );
        if (room >= lay.ShortestPossible)
        {
            LaySearch.Run(
                one.Panels,
                one.ForLay,
                seed: 1,
                found => kept.Better(one.Panels, one.ForLay, found, one.Strips),
                cancel,
                rounds: 4,
                demands: one.Strips
            );
            var again = ClothPlan.Of(one.Reading.Cloth, [.. plan.Items], job, lay: true, kept, cancel);
            if (
                again.Buying is { } tighter
                && tighter.Needed + tighter.ToStart + tighter.ForSkew is var now
                && now <= have
            )
                return new Enough(have, now, true, [], []);
        }
        var choices = Savings
            .Of(job, drafting, kept, cancel, closing)
            .Savings.Where(saving => saving.Needs.TryGetValue(cloth, out var after) && after <= have)
            .ToList();
        return new Enough(have, needed, false, PiecesBeyond(one, lay, room, cancel), choices);
    }

    // What ends beyond the room, less what finds a place after all, small ones first.
    private static List<LayPiece> PiecesBeyond(ClothPlan cloth, ClothLay lay, Length room, CancellationToken cancel)
    {
        var byId = cloth.Pieces.ToDictionary(piece => piece.Id);
        var ends = lay.Best.Placements.ToDictionary(at => at.Id, at => byId[at.Id].MarksAt(at).ToEnd);
        List<LayPiece> inside = [.. cloth.Pieces.Where(piece => ends[piece.Id] <= room)];
        List<LayPiece> outside =
        [
            .. cloth.Pieces.Where(piece => ends[piece.Id] > room).OrderBy(piece => piece.Cut.AreaSquareMetres()),
        ];
        foreach (var piece in outside.Take(MostTriedAgain).ToList())
        {
            if (LayTable.Of([.. inside, piece], cloth.ForLay, cancel).Best.Length > room)
                continue;
            inside.Add(piece);
            outside.Remove(piece);
        }
        return outside;
    }
}
