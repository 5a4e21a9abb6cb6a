using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Whether pieces can stay where they are pinned, and where a piece that is moved by hand comes to rest.
/// </summary>
public static class Pinning
{
    // A piece that is let go this near to an edge is put against it.
    private static readonly Length Near = Length.Inches(0, 5, 8);

    /// <summary>
    /// Why a pin cannot be kept; null where it can: the piece must lie on the cloth, in a way that it may lie, off
    /// every flaw, and clear of what is pinned by <paramref name="others"/>.
    /// </summary>
    public static string? Refusal(
        Placement pin,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        IEnumerable<Placement> others
    ) => Refusal(pin, pieces, cloth, others, new Covered(cloth.Gap.Ticks));

    // The regions of outlines by their way of lying, kept because many pins are compared with many others.
    private sealed class Covered(long gap)
    {
        private readonly Dictionary<(Outline, int), Region> known = [];

        public Region By(LayPiece piece, int turns) =>
            known.TryGetValue((piece.Cut, turns), out var region)
                ? region
                : known[(piece.Cut, turns)] =
                    gap == 0 ? Region.Of(piece.Cut, turns).Close(piece.Cut, turns) : Region.Of(piece.Cut, turns, gap);
    }

    private static string? Refusal(
        Placement pin,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        IEnumerable<Placement> others,
        Covered covered
    )
    {
        if (!pieces.TryGetValue(pin.Id, out var piece))
            return "there is no such piece any more";
        if (cloth.Spread != Spread.Single)
            return "pieces are pinned on a single layer only, not on folded or torn cloth";
        var whole = cloth.WithGap();
        // A turn that leaves the outline as it was is not listed a second time among the ways of its kind.
        if (MayLie(piece, pin.Turns, cloth) is not { } way)
            return "the grain or the cloth's direction does not let it lie so";
        var own = covered.By(piece, pin.Turns);
        if (pin.X < Length.Zero || pin.Y < Length.Zero || pin.X.Ticks + own.Width > whole.Usable.Ticks)
            return "it would lie over the edge of the cloth";
        var (stretch, start) = cloth.StockLengthAt(pin.Y);
        var end = pin.Y + piece.Along(pin.Turns);
        if (
            stretch < cloth.StockLengths.Count
            && (
                end > start + cloth.StockLengths[stretch].Length
                || pin.X + piece.Across(pin.Turns) > cloth.StockLengths[stretch].Usable
            )
        )
            return "it would reach over the edge of a remnant";
        if (stretch >= cloth.StockLengths.Count && cloth.Article is { } one && end > start + one)
            return "it would reach over the end of an article";
        if (
            piece.Origin is not null
            && cloth.Repeat is { } repeat
            && !Grid.IsOn(repeat, way, pin.X.Ticks, pin.Y.Ticks, start.Ticks)
        )
            return "it would not match the repeat there";
        foreach (var flaw in cloth.Flaws)
            if (Meet(own, pin, Region.Rectangle(flaw.Across.Ticks, flaw.Along.Ticks), flaw.FromSelvedge, flaw.FromEnd))
                return "it would lie on a flaw";
        foreach (var other in others.Where(other => other.Id != pin.Id && pieces.ContainsKey(other.Id)))
            if (Meet(own, pin, covered.By(pieces[other.Id], other.Turns), other.X, other.Y))
                return $"it would lie on {pieces[other.Id].Label}, which is pinned";
        return null;
    }

    /// <summary>The pins that can be kept, in their order, and the others with the reason.</summary>
    public static (IReadOnlyList<Placement> Kept, IReadOnlyList<(Placement Pin, string Reason)> Refused) Sort(
        IEnumerable<Placement> pins,
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        CancellationToken cancel = default
    )
    {
        var byId = pieces.ToDictionary(piece => piece.Id);
        List<Placement> kept = [];
        List<(Placement, string)> refused = [];
        var covered = new Covered(cloth.Gap.Ticks);
        foreach (var pin in pins)
        {
            cancel.ThrowIfCancellationRequested();
            if (Refusal(pin, byId, cloth, kept, covered) is { } reason)
                refused.Add((pin, reason));
            else
                kept.Add(pin);
        }
        return (kept, refused);
    }

    /// <summary>
    /// Where a piece let go at (<paramref name="x"/>, <paramref name="y"/>) comes to rest: against a selvedge, the
    /// squared end or another piece if it is near one, exactly.
    /// </summary>
    public static Placement Snapped(
        LayPiece piece,
        int turns,
        Length x,
        Length y,
        IReadOnlyDictionary<string, LayPiece> pieces,
        LayCloth cloth,
        IEnumerable<Placement> laid
    )
    {
        var (wide, high) = (piece.Across(turns), piece.Along(turns));
        List<Length> across = [Length.Zero, cloth.Usable - wide],
            along = [Length.Zero];
        foreach (var other in laid.Where(other => other.Id != piece.Id))
        {
            var marks = pieces[other.Id].MarksAt(other);
            across.AddRange([
                marks.FromSelvedge,
                marks.ToSelvedge + cloth.Gap,
                marks.FromSelvedge - cloth.Gap - wide,
                marks.ToSelvedge - wide,
            ]);
            along.AddRange([
                marks.FromEnd,
                marks.ToEnd + cloth.Gap,
                marks.FromEnd - cloth.Gap - high,
                marks.ToEnd - high,
            ]);
        }
        var (restsX, restsY) = (Nearest(across, x), Nearest(along, y));
        if (piece.Origin is not null && cloth.Repeat is { } repeat && MayLie(piece, turns, cloth) is { } way)
        {
            var (onX, onY) = Grid.Nearest(
                repeat,
                way,
                restsX.Ticks,
                restsY.Ticks,
                cloth.StockLengthAt(restsY).Start.Ticks
            );
            (restsX, restsY) = (new Length(onX), new Length(onY));
        }
        return new Placement(piece.Id, turns, restsX, restsY);
    }

    private static Length Nearest(List<Length> edges, Length at) =>
        edges
            .Where(edge => (edge - at).Abs() <= Near && edge >= Length.Zero)
            .OrderBy(edge => (edge - at).Abs())
            .FirstOrDefault(at);

    private static Way? MayLie(LayPiece piece, int turns, LayCloth cloth)
    {
        if (turns is < 0 or > 3)
            return null;
        var region = Region.Of(piece.Cut, turns);
        var ways = PieceKind.Of(piece, cloth with { Gap = Length.Zero }).Ways;
        return ways.Where(way => way.Turns == turns)
            .Concat(ways.Where(way => way.Region.SameAs(region)))
            .Select(way => (Way?)way)
            .FirstOrDefault();
    }

    // Slants that touch are rounded: 0.004 mm.
    private const long Slop = 16;

    private static bool Meet(Region a, Placement at, Region b, Length x, Length y)
    {
        var (dx, dy) = (at.X.Ticks - x.Ticks, at.Y.Ticks - y.Ticks);
        var boxesMeet = dx < b.Width && -dx < a.Width && dy < b.Height && -dy < a.Height;
        if (!boxesMeet || (a.IsRectangle && b.IsRectangle))
            return boxesMeet;
        var refused = new Stretches();
        a.Upright.Forbidden(dx, b.Upright, 0, refused, 0);
        if (!refused.Holds(dy, Slop))
            return false;
        refused.Clear();
        a.Sideways.Forbidden(dy, b.Sideways, 0, refused, 0);
        return refused.Holds(dx, Slop);
    }
}
