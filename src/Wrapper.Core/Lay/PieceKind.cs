using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// A way in which a piece may lie: quarter turns to the left, the cloth it takes then, and where in its box the point
/// lies that the repeat is matched by.
/// </summary>
internal readonly record struct Way(int Turns, Region Region, long OriginX, long OriginY);

/// <summary>A piece with the ways in which it may lie on one cloth.</summary>
internal sealed class PieceKind
{
    private PieceKind(IReadOnlyList<Way> ways, double area, bool matched, bool unmatched) =>
        (Ways, Area, IsMatched, IsUnmatched) = (ways, area, matched, unmatched);

    private PieceKind[]? kept;

    /// <summary>Whether it lies at a certain place of the repeat.</summary>
    public bool IsMatched { get; }

    /// <summary>Whether it would go on the cloth but for the repeat across.</summary>
    public bool IsUnmatched { get; }

    /// <summary>Whether it is a plain rectangle, whichever way it lies.</summary>
    public bool IsRectangle => Ways.All(way => way.Region.IsRectangle);

    public IReadOnlyList<Way> Ways { get; }

    /// <summary>The same piece kept to one of its ways.</summary>
    public PieceKind Kept(int way) =>
        (kept ??= [.. Ways.Select(each => new PieceKind([each], Area, IsMatched, IsUnmatched))])[way];

    /// <summary>Area of the cut outline in square counts.</summary>
    public double Area { get; }

    /// <summary>
    /// The ways that fit into the cloth's width, direction, repeat and article, the gap included; none where it is too
    /// large.
    /// </summary>
    public static PieceKind Of(LayPiece piece, LayCloth cloth)
    {
        // On cloth with one way up nothing is turned upside down, and only what must be railroaded lies across.
        int[] turns = (piece.Grain, cloth.OneWay) switch
        {
            (Grain.Along, true) or (Grain.Either, true) => [0],
            (Grain.Across, true) => [1],
            (Grain.Along, false) => [0, 2],
            (Grain.Across, false) => [1, 3],
            _ => [0, 1, 2, 3],
        };
        var (matched, unmatched) = (piece.Origin is not null && cloth.Repeat is not null, false);
        var ways = new List<Way>();
        foreach (var turn in turns)
        {
            var region = Region.Of(piece.Cut, turn, cloth.Gap.Ticks);
            var (x, y) = matched ? InBox(piece.Cut, piece.Origin!.Value, turn) : (0, 0);
            if (matched && piece.OnMotif)
                (x, y) = (x - cloth.Repeat!.Motif.X.Ticks, y - cloth.Repeat.Motif.Y.Ticks);
            var way = new Way(turn, region, x, y);
            if (region.Width > cloth.Usable.Ticks || region.Height > (cloth.Article?.Ticks ?? long.MaxValue))
                continue;
            if (matched && !Matches(way, cloth.Repeat!, cloth))
                unmatched = true;
            else if (
                !ways.Any(other =>
                    other.Region.SameAs(region) && (!matched || Grid.SamePlace(cloth.Repeat!, other, x, y))
                )
            )
                ways.Add(way);
        }
        return new PieceKind(
            ways,
            piece.Cut.AreaSquareMetres() * 1e6 * Length.TicksPerMillimetre * Length.TicksPerMillimetre,
            matched,
            unmatched && ways.Count == 0
        );
    }

    // Whether a matched piece has any place on the repeat where it lies between the selvedges and within one article.
    private static bool Matches(Way way, Repeat repeat, LayCloth cloth) =>
        Grid.First(repeat.Across.Ticks, way.OriginX) is var x
        && x <= cloth.Usable.Ticks - way.Region.Width
        && (cloth.Article is not { } one || Grid.Phase(repeat, way, x) + way.Region.Height <= one.Ticks);

    // Where in its box a point of the outline lies after quarter turns to the left.
    private static (long X, long Y) InBox(Outline cut, Point of, int turns)
    {
        var (left, bottom, right, top) = cut.Bounds();
        var (x, y) = (of.X - left, of.Y - bottom);
        var (fromRight, fromTop) = (right - of.X, top - of.Y);
        return turns switch
        {
            1 => (fromTop.Ticks, x.Ticks),
            2 => (fromRight.Ticks, fromTop.Ticks),
            3 => (y.Ticks, fromRight.Ticks),
            _ => (x.Ticks, y.Ticks),
        };
    }
}
