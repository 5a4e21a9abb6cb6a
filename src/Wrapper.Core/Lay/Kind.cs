using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>A way in which a piece may lie: quarter turns to the left, the cloth it takes then, and where in its box the point lies that the repeat is matched by.</summary>
internal readonly record struct Way(int Turns, Region Region, long OriginX, long OriginY);

/// <summary>A piece with the ways in which it may lie on one cloth.</summary>
internal sealed class Kind
{
    private Kind(IReadOnlyList<Way> ways, double area, bool matched, bool unmatched) => (Ways, Area, IsMatched, IsUnmatched) = (ways, area, matched, unmatched);

    /// <summary>Whether it lies at a certain place of the repeat.</summary>
    public bool IsMatched { get; }

    /// <summary>Whether it would go on the cloth but for the repeat across.</summary>
    public bool IsUnmatched { get; }

    /// <summary>Whether it is a plain rectangle, whichever way it lies.</summary>
    public bool IsRectangle => Ways.All(way => way.Region.Cells.Length == 1);

    public IReadOnlyList<Way> Ways { get; }

    /// <summary>Area of the cut outline in square counts.</summary>
    public double Area { get; }

    // Whether there is a place of the repeat, from one selvedge and within one article, where it lies inside.
    private static bool Matches(Way way, Repeat repeat, LayCloth cloth) =>
        Grid.First(repeat.Across.Ticks, way.OriginX) is var x && x <= cloth.Usable.Ticks - way.Region.Width
        && (cloth.Article is not { } one || Grid.Phase(repeat, way, x) + way.Region.Height <= one.Ticks);

    // Where in its box a point of the outline lies after quarter turns to the left.
    private static (long X, long Y) InBox(Outline cut, Point of, int turns)
    {
        var (left, bottom, right, top) = cut.Bounds();
        var (x, y) = (of.X - left, of.Y - bottom);
        var (fromRight, fromTop) = (right - of.X, top - of.Y);
        return turns switch { 1 => (fromTop.Ticks, x.Ticks), 2 => (fromRight.Ticks, fromTop.Ticks), 3 => (y.Ticks, fromRight.Ticks), _ => (x.Ticks, y.Ticks) };
    }

    /// <summary>The ways that fit into the cloth's width, direction, repeat and article, the gap included; none where it is too large.</summary>
    public static Kind Of(LayPiece piece, LayCloth cloth)
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
            if (matched && piece.OnMotif) (x, y) = (x - cloth.Repeat!.Motif.X.Ticks, y - cloth.Repeat.Motif.Y.Ticks);
            var way = new Way(turn, region, x, y);
            if (region.Width > cloth.Usable.Ticks || region.Height > (cloth.Article?.Ticks ?? long.MaxValue)) continue;
            if (matched && !Matches(way, cloth.Repeat!, cloth)) unmatched = true;
            else if (!ways.Any(other => other.Region.SameAs(region) && (!matched || Grid.SamePlace(cloth.Repeat!, other, x, y)))) ways.Add(way);
        }
        return new Kind(ways, piece.Cut.AreaSquareMetres() * 1e6 * Length.TicksPerMillimetre * Length.TicksPerMillimetre, matched, unmatched && ways.Count == 0);
    }
}

/// <summary>Places on the grid of a repeat, in counts.</summary>
internal static class Grid
{
    /// <summary>The first place from 0 on at which a box lies on the grid whose origin is <paramref name="origin"/> into it; 0 where the step is none.</summary>
    public static long First(long step, long origin) => step > 0 ? Mod(-origin, step) : 0;

    /// <summary>Where up the roll, within one repeat along, a box of this way begins that lies at <paramref name="x"/>: with half-drop half of one further at every second repeat across.</summary>
    public static long Phase(Repeat repeat, Way way, long x)
    {
        var dropped = repeat.HalfDrop && repeat.Across.IsPositive && Mod((x + way.OriginX) / repeat.Across.Ticks, 2) == 1;
        return Mod(repeat.From.Ticks + (dropped ? repeat.Along.Over(2).Ticks : 0) - way.OriginY, repeat.Along.Ticks);
    }

    /// <summary>Where the repeat has to begin, so that this piece, unturned or railroaded, can be cut from the squared end.</summary>
    public static Length Beginning(LayPiece piece, Repeat repeat)
    {
        var way = Kind.Of(piece, new LayCloth(new Length(long.MaxValue / 4), OneWay: true) { Repeat = repeat }).Ways[0];
        return new Length(Mod(-Phase(repeat with { From = Length.Zero }, way, First(repeat.Across.Ticks, way.OriginX)), repeat.Along.Ticks));
    }

    /// <summary>The first place from <paramref name="y"/> on that is whole steps from <paramref name="phase"/>.</summary>
    public static long UpTo(long y, long step, long phase) => step <= 0 ? y : y + Mod(phase - y, step);

    /// <summary>Whether a box of another way, whose origin is at (x, y), comes to lie just where this way's does.</summary>
    public static bool SamePlace(Repeat repeat, Way way, long x, long y) => Mod(way.OriginX - x, Math.Max(1, repeat.Across.Ticks)) == 0 && Mod(way.OriginY - y, repeat.Along.Ticks) == 0;

    /// <summary>The place on the grid nearest to (<paramref name="x"/>, <paramref name="y"/>) for a box of this way, on a stretch that begins at <paramref name="start"/>.</summary>
    public static (long X, long Y) Nearest(Repeat repeat, Way way, long x, long y, long start)
    {
        var across = repeat.Across.Ticks;
        if (across > 0) x = Math.Max(First(across, way.OriginX), UpTo(x - (across / 2), across, -way.OriginX));
        return (x, start + Math.Max(Phase(repeat, way, x), UpTo(y - start - (repeat.Along.Ticks / 2), repeat.Along.Ticks, Phase(repeat, way, x))));
    }

    /// <summary>Whether a box of this way lies on the grid there.</summary>
    public static bool IsOn(Repeat repeat, Way way, long x, long y, long start) => Mod(x + way.OriginX, Math.Max(1, repeat.Across.Ticks)) == 0 && Mod(y - start - Phase(repeat, way, x), repeat.Along.Ticks) == 0;

    private static long Mod(long value, long step) => ((value % step) + step) % step;
}
