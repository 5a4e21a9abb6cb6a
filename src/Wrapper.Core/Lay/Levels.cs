namespace Wrapper.Core.Lay;

/// <summary>
/// Levels up the roll, one place of the repeat apart from a first one on, half of one with half-drop. Every height is
/// taken down to its level: what lay above one another still does, and matched pieces, which begin whole places apart,
/// then count whole places each. So a piece a little longer than a place takes two from those above it.
/// </summary>
internal readonly record struct Levels(long First, long Step, long From)
{
    /// <summary>By so much a lay may be shorter than what is counted by levels: the squared end lies on none.</summary>
    public long Lost => First > 0 ? Step - First : 0;

    /// <summary>
    /// Levels at which tops or bottoms of the matched ones lie, each with its rectangle within for each of its ways; none
    /// where nothing matches along.
    /// </summary>
    public static IEnumerable<Levels> Of(IEnumerable<(PieceKind Kind, Inner[] Inner)> kinds, Repeat repeat)
    {
        var step = repeat.HalfDrop ? repeat.Along.Over(2).Ticks : repeat.Along.Ticks;
        if (step <= 1)
            return [];
        var from = repeat.From.Ticks;
        return kinds
            .Where(each => each.Kind.IsMatched)
            .SelectMany(each =>
                each.Kind.Ways.SelectMany(
                    (way, n) =>
                        (long[])
                            [
                                Bottom(way, each.Inner[n].Bottom, from) + 1,
                                Bottom(way, each.Inner[n].Bottom, from) + each.Inner[n].Height,
                            ]
                )
            )
            .Select(level => Mod(level, step))
            .Distinct()
            .Select(first => new Levels(first, step, from));
    }

    /// <summary>
    /// How many counts lie between the levels of its bottom and its top, for a rectangle so far up in a piece; of one
    /// that may begin anywhere as many as at the least.
    /// </summary>
    public long Between(PieceKind kind, Way way, long bottom, long height)
    {
        if (!kind.IsMatched)
            return height / Step * Step;
        var begins = Bottom(way, bottom, From) - First;
        return Down(begins + height) - Down(begins);
    }

    // Where it begins but for whole places.
    private static long Bottom(Way way, long bottom, long from) => from - way.OriginY + bottom;

    private long Down(long at) => at - Mod(at, Step);

    private static long Mod(long value, long step) => ((value % step) + step) % step;
}
