using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Lays of panels that are the shortest with their cord strips, which are cut last from what the panels leave. The
/// strips that one lay leads to are laid with the panels as pieces of their own; where the panels come to lie then,
/// strips are cut anew, in free lengths.
/// </summary>
internal sealed class CordLay
{
    // Panels and strips together are laid as pieces up to so many.
    private const int MostPieces = 200;

    private readonly IReadOnlyList<LayPiece> pieces;
    private readonly LayCloth cloth;
    private readonly IReadOnlyList<StripDemand> demands;
    private readonly CancellationToken cancel;

    public CordLay(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<StripDemand> demands,
        CancellationToken cancel
    )
    {
        (this.pieces, this.cloth, this.demands, this.cancel) = (pieces, cloth, demands, cancel);
        Together = pieces;
    }

    /// <summary>The panels of the best lay so far; null before one is offered.</summary>
    public ClothLay? Panels { get; private set; }

    /// <summary>The same with its strips.</summary>
    public ClothLay? Whole { get; private set; }

    /// <summary>Panels, and the strips that the best lay leads to, as pieces.</summary>
    public IReadOnlyList<LayPiece> Together { get; private set; }

    /// <summary>Whether there are strips to be laid as pieces, and not too many.</summary>
    public bool HasTogether => Together.Count > pieces.Count && Together.Count <= MostPieces;

    /// <summary>Takes a lay of the panels if it is the shortest with its strips, or surer.</summary>
    public bool Offer(ClothLay lay)
    {
        if (Panels is { } known)
        {
            var surest = Length.Max(lay.ShortestPossible, known.ShortestPossible);
            if (lay.Best.Length > Whole!.Best.Length && surest == known.ShortestPossible)
                return false;
            lay = (lay.Best.Length > Whole.Best.Length ? known : lay) with { ShortestPossible = surest };
        }
        var (cut, whole) = CordStrips.After(lay, pieces, cloth, demands, cancel);
        if (
            Whole is { } before
            && (
                whole.Best.Length > before.Best.Length
                || (whole.Best.Length == before.Best.Length && whole.ShortestPossible <= before.ShortestPossible)
            )
        )
            return false;
        (Panels, Whole, Together) = (lay, whole, [.. pieces, .. cut]);
        return true;
    }

    /// <summary>
    /// Takes a lay of the panels, or of both together, of which nothing more is known: strips in it are cut anew.
    /// </summary>
    public bool Offer(Placed lay)
    {
        var byId = pieces.ToDictionary(piece => piece.Id);
        List<Placement> left = [.. lay.Placements.Where(at => byId.ContainsKey(at.Id))];
        var reached = left.Aggregate(Length.Zero, (top, at) => Length.Max(top, byId[at.Id].MarksAt(at).ToEnd));
        return left.Count == Panels!.Best.Placements.Count && Offer(Panels with { Best = new Placed(left, reached) });
    }

    /// <summary>Laid at once: of all lays of the panels that are found the shortest with its strips.</summary>
    public ClothLay AtOnce()
    {
        List<Placed> seen = [];
        Offer(LayTable.Seen(pieces, cloth, seen.Add, cancel));
        foreach (var lay in seen)
            Offer(lay);
        return Panels!;
    }
}
