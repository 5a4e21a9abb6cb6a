using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// An upright rectangle of cloth, a flaw or a remnant, from the squared end and from the first selvedge.
/// </summary>
public sealed record Patch(Length FromEnd, Length FromSelvedge, Length Along, Length Across);

/// <summary>
/// A printed or woven repeat: <paramref name="Along"/> the roll, <paramref name="Across"/> it (zero where there is
/// none). Origins of matched pieces
/// differ by whole repeats, with half-drop by half of one along for each one across (craft §10).
/// </summary>
public sealed record Repeat(Length Along, Length Across, bool HalfDrop)
{
    /// <summary>Stripes along the roll, this far apart: any place along will do.</summary>
    public static Repeat Stripes(Length across) => new(new Length(1), across, false);

    /// <summary>Whether only places across matter.</summary>
    public bool IsStripes => Along.Ticks == 1;

    /// <summary>Where up the roll the first one begins from the squared end: less than one repeat.</summary>
    public Length From { get; init; }

    /// <summary>Where the motif's centre lies within it.</summary>
    public Point Motif { get; init; } = new(Across.Over(2), Along.Over(2));
}

/// <summary>
/// A remnant or part roll that is used before anything is bought: its washed length and the width between its
/// selvedges.
/// </summary>
public sealed record StockLength(Length Length, Length Usable);

/// <summary>
/// What a lay knows of its cloth: usable width, whether it has one way up, and the usable length of one article where
/// it is not off the roll. Remnants and part rolls lie first, one
/// behind the other, then articles or the roll.
/// </summary>
public sealed record LayCloth(Length Usable, bool OneWay, Length? Article = null)
{
    /// <summary>Left free between the raw edges of two pieces.</summary>
    public Length Gap { get; init; }

    /// <summary>Its repeat; null for cloth without one.</summary>
    public Repeat? Repeat { get; init; }

    /// <summary>Its flaws: nothing may be cut from them.</summary>
    public IReadOnlyList<Patch> Flaws { get; init; } = [];

    /// <summary>Pieces that stay where they are; the rest is laid round them.</summary>
    public IReadOnlyList<Placement> Pins { get; init; } = [];

    /// <summary>Remnants and part rolls, used first.</summary>
    public IReadOnlyList<StockLength> StockLengths { get; init; } = [];

    /// <summary>How it is spread.</summary>
    public Spread Spread { get; init; }

    /// <summary>The length of all remnants and part rolls: whatever lies beyond is bought.</summary>
    public Length Stock => StockLengths.Aggregate(Length.Zero, (sum, stretch) => sum + stretch.Length);

    /// <summary>The pin that keeps a piece at <paramref name="place"/>.</summary>
    public JobPin PinAt(Placement place) => new(place.Id, place.Turns, place.X.Ticks, (place.Y - Stock).Ticks);

    /// <summary>Where <paramref name="pin"/> keeps its piece.</summary>
    public Placement PlaceOf(JobPin pin) => new(pin.Piece, pin.Turns, new Length(pin.X), new Length(pin.Y) + Stock);

    /// <summary>How much of a lay that reaches so far has to be bought.</summary>
    public Length Bought(Length reached) => Length.Max(Length.Zero, reached - Stock);

    /// <summary>Which stretch (or, behind them, article or the roll) a place lies on, and where that begins.</summary>
    public (int Index, Length Start) StockLengthAt(Length y)
    {
        var (index, start) = (0, Length.Zero);
        while (index < StockLengths.Count && y >= start + StockLengths[index].Length)
            start += StockLengths[index++].Length;
        if (index < StockLengths.Count || Article is not { } one || y < start)
            return (index, start);
        var articles = (int)((y - start).Ticks / one.Ticks);
        return (index + articles, start + (articles * one));
    }

    /// <summary>Whether nothing but its width and direction bears on a lay.</summary>
    internal bool IsPlain =>
        Article is null
        && Repeat is null
        && Flaws.Count == 0
        && Pins.Count == 0
        && StockLengths.Count == 0
        && Spread == Spread.Single;

    /// <summary>The cloth as it bears on these pieces: a repeat that none of them keeps to is none.</summary>
    internal LayCloth Bearing(IEnumerable<LayPiece> pieces) =>
        Repeat is null || pieces.Any(piece => piece.Origin is not null) ? this : this with { Repeat = null };

    /// <summary>What is taken before any piece lies there: flaws, and what a narrow remnant lacks of the width.</summary>
    internal IEnumerable<(Region Region, long X, long Y)> Taken()
    {
        foreach (var flaw in Flaws)
            yield return (
                Region.Rectangle(flaw.Across.Ticks, flaw.Along.Ticks),
                flaw.FromSelvedge.Ticks,
                flaw.FromEnd.Ticks
            );
        var start = Length.Zero;
        foreach (var stretch in StockLengths)
        {
            if (stretch.Usable < Usable)
                yield return (
                    Region.Rectangle((Usable - stretch.Usable).Ticks, stretch.Length.Ticks),
                    stretch.Usable.Ticks,
                    start.Ticks
                );
            start += stretch.Length;
        }
    }

    /// <summary>Where stretches and articles end, as far as <paramref name="reached"/> and one further.</summary>
    internal IEnumerable<long> Ends(long reached)
    {
        var end = 0L;
        foreach (var stretch in StockLengths)
            yield return end += stretch.Length.Ticks;
        for (var article = Article?.Ticks ?? long.MaxValue; article != long.MaxValue && end <= reached; )
            yield return end += article;
    }

    /// <summary>
    /// The cloth with the gap added to its width and to each stretch and article: pieces are laid with the gap at their
    /// right and upper edges.
    /// </summary>
    internal LayCloth WithGap() =>
        this with
        {
            Usable = Usable + Gap,
            Article = Article + Gap,
            StockLengths =
            [
                .. StockLengths.Select(stretch => new StockLength(stretch.Length + Gap, stretch.Usable + Gap)),
            ],
            Pins = [.. Pins.Select(pin => pin with { Y = Widened(pin.Y) })],
            Flaws =
            [
                .. Flaws.Select(flaw =>
                    flaw with
                    {
                        FromEnd = Widened(flaw.FromEnd),
                        Along = Widened(flaw.FromEnd + flaw.Along) - Widened(flaw.FromEnd),
                    }
                ),
            ],
        };

    private Length Widened(Length y) => y + (StockLengthAt(y).Index * Gap);

    /// <summary>
    /// The gap taken off a lay on this cloth <see cref="WithGap"/>: the one above the last pieces too.
    /// </summary>
    internal Placed WithoutGap(Placed lay)
    {
        if (!Gap.IsPositive)
            return lay;
        var whole = WithGap();
        Length Off(Length y) => y - (whole.StockLengthAt(y).Index * Gap);
        return new Placed(
            [.. lay.Placements.Select(at => at with { Y = Off(at.Y) })],
            Off(lay.Length.IsPositive ? lay.Length - Gap : Length.Zero)
        );
    }
}
