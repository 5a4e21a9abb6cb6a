using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>Places on the grid of a repeat, in counts.</summary>
internal static class Grid
{
    /// <summary>
    /// The first place from 0 on at which a box lies on the grid whose origin is <paramref name="origin"/> into it; 0
    /// where the step is none.
    /// </summary>
    public static long First(long step, long origin) => step > 0 ? Mod(-origin, step) : 0;

    /// <summary>
    /// Where up the roll, within one repeat along, a box of this way begins that lies at <paramref name="x"/>: with
    /// half-drop half of one further at every second repeat across.
    /// </summary>
    public static long Phase(Repeat repeat, Way way, long x)
    {
        var dropped =
            repeat.HalfDrop && repeat.Across.IsPositive && Mod((x + way.OriginX) / repeat.Across.Ticks, 2) == 1;
        return Mod(repeat.From.Ticks + (dropped ? repeat.Along.Over(2).Ticks : 0) - way.OriginY, repeat.Along.Ticks);
    }

    /// <summary>
    /// Where the repeat has to begin, so that this piece, unturned or railroaded, can be cut from the squared end.
    /// </summary>
    public static Length Beginning(LayPiece piece, Repeat repeat)
    {
        var way = PieceKind
            .Of(piece, new LayCloth(new Length(long.MaxValue / 4), OneWay: true) { Repeat = repeat })
            .Ways[0];
        return new Length(
            Mod(
                -Phase(repeat with { From = Length.Zero }, way, First(repeat.Across.Ticks, way.OriginX)),
                repeat.Along.Ticks
            )
        );
    }

    /// <summary>
    /// The first place from <paramref name="y"/> on that is whole steps from <paramref name="phase"/>.
    /// </summary>
    public static long UpTo(long y, long step, long phase) => step <= 0 ? y : y + Mod(phase - y, step);

    /// <summary>
    /// The first place from <paramref name="y"/> on that is whole steps from <paramref name="phase"/>, counted from
    /// where its remnant or article begins: each is squared where its repeat begins. On articles
    /// shorter than the phase there is none.
    /// </summary>
    public static long UpTo(long y, long step, long phase, LayCloth cloth)
    {
        if (step <= 0)
            return y;
        if (cloth.Article is { } one && phase >= one.Ticks)
            return long.MaxValue / 2;
        for (; ; )
        {
            var start = cloth.StockLengthAt(new Length(y)).Start.Ticks;
            y = start + UpTo(y - start, step, phase);
            if (cloth.StockLengthAt(new Length(y)).Start.Ticks is var next && next == start)
                return y;
            y = next;
        }
    }

    /// <summary>
    /// Whether a box of another way, whose origin is at (x, y), comes to lie just where this way's does.
    /// </summary>
    public static bool SamePlace(Repeat repeat, Way way, long x, long y) =>
        Mod(way.OriginX - x, Math.Max(1, repeat.Across.Ticks)) == 0 && Mod(way.OriginY - y, repeat.Along.Ticks) == 0;

    /// <summary>
    /// The place on the grid nearest to (<paramref name="x"/>, <paramref name="y"/>) for a box of this way, on a
    /// stretch that begins at <paramref name="start"/>.
    /// </summary>
    public static (long X, long Y) Nearest(Repeat repeat, Way way, long x, long y, long start)
    {
        var across = repeat.Across.Ticks;
        if (across > 0)
            x = Math.Max(First(across, way.OriginX), UpTo(x - (across / 2), across, -way.OriginX));
        return (
            x,
            start
                + Math.Max(
                    Phase(repeat, way, x),
                    UpTo(y - start - (repeat.Along.Ticks / 2), repeat.Along.Ticks, Phase(repeat, way, x))
                )
        );
    }

    /// <summary>Whether a box of this way lies on the grid there.</summary>
    public static bool IsOn(Repeat repeat, Way way, long x, long y, long start) =>
        Mod(x + way.OriginX, Math.Max(1, repeat.Across.Ticks)) == 0
        && Mod(y - start - Phase(repeat, way, x), repeat.Along.Ticks) == 0;

    private static long Mod(long value, long step) => ((value % step) + step) % step;
}
